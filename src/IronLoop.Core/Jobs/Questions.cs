using IronLoop.Core.Bench;
using IronLoop.Core.Gauging;
using IronLoop.Core.Joints;
using IronLoop.Core.Matching;

namespace IronLoop.Core.Jobs;

/// <summary>The questions of each request: what it must have, asked in the order of the hand.</summary>
public static class Questions
{
    private static readonly Choice[] Bands =
    [
        new(OnTheWatch.Soft, "A strap of two pieces"), new(OnTheWatch.Mesh, "Mesh"), new(OnTheWatch.PulledThrough, "A pull-through band"), new(OnTheWatch.Bracelet, "A bracelet"),
    ];

    private static readonly Enum[] Soft = [OnTheWatch.Soft, OnTheWatch.Mesh, OnTheWatch.PulledThrough];

    /// <summary>What the counter takes in, in the order of its digits, each under a short name.</summary>
    public static IReadOnlyList<(Request Request, string Name)> Counter { get; } =
    [
        (Request.ChangeStrap, "Change the strap"), (Request.FitMesh, "Fit a mesh"), (Request.ReplaceClasp, "Clasp or buckle"), (Request.TakeLinksOut, "Links out"),
        (Request.PutLinksIn, "Links in"), (Request.PositionOnly, "Hole, notch or micro"), (Request.ReplacePart, "A part replaced"), (Request.OffAndOn, "Off and on again"),
        (Request.PutOwnBandOn, "Owner’s band on"),
    ];

    /// <summary>What is asked over the counter.</summary>
    /// <param name="request">What is asked for.</param>
    public static IReadOnlyList<Question> AtTheCounter(Request request) => request switch
    {
        Request.ChangeStrap or Request.FitMesh =>
        [
            Length(Ask.LugWidth, Asked.LugWidth, "Lug width"), On(Asked.OnTheWatch, orNothing: true), Held,
            Chosen(Ask.Sized, Asked.OldStrap, "Sized by", SizedBy.NotSized,
                new(SizedBy.NotSized, $"Not sized: the wearer picks the {(request == Request.FitMesh ? "place" : "hole")}"), new(SizedBy.OldStrap, "The old strap"), new(SizedBy.Sent, "A measure that was sent")),
            Length(Ask.BucklePiece, Asked.OldStrap, "Lug end to buckle’s bar") with { When = new(Ask.Sized, [SizedBy.OldStrap]) },
            Length(Ask.ToHole, Asked.OldStrap, "Lug end to worn hole") with { When = new(Ask.Sized, [SizedBy.OldStrap]) },
            Length(Ask.Sent, Asked.OldStrap, "Length of the loop") with { When = new(Ask.Sized, [SizedBy.Sent]) },
            new(Ask.BandId, Asked.Wishes, "Band", AnsweredBy.Offer),
        ],
        Request.ReplaceClasp =>
        [
            Chosen(Ask.ClaspKind, Asked.PresentClasp, "Closed now by", null,
                new(ClaspKind.PinBuckle, "Pin buckle"), new(ClaspKind.StrapFolding, "Folding clasp"), new(ClaspKind.Butterfly, "Butterfly"), new(ClaspKind.FoldOver, "Fold-over"),
                new(ClaspKind.Extending, "Extending fold-over")),
            // A butterfly closes straps and bracelets; what the others close is plain.
            On(Asked.OnTheWatch, orNothing: false) with { When = new(Ask.ClaspKind, [ClaspKind.Butterfly]) },
            Length(Ask.ClaspEnd, Asked.ClaspEnd, "Band width at the clasp"), new(Ask.ClaspId, Asked.ClaspOwn, "Goes on", AnsweredBy.Offer),
        ],
        Request.OffAndOn => [On(Asked.OnTheWatch, orNothing: false), Held],
        Request.TakeLinksOut or Request.PutLinksIn => [.. ByHand(request), Links],
        _ => ByHand(request),
    };

    /// <summary>What is asked where the work is told by hand.</summary>
    /// <param name="request">What is asked for.</param>
    /// <returns>None where it cannot be told so.</returns>
    public static IReadOnlyList<Question> ByHand(Request request) => Needs.ToldBy(request) switch
    {
        // What is different after wear: a link of a bracelet, or a hole or notch of another band.
        HandWorkKind.ByCount when request == Request.Refit =>
        [
            Chosen(Ask.Of, Asked.Count, "On the watch now", null, Bands),
            Count(Ask.Twelve, Asked.Count, "Links out, 12 side; in: −", "0") with { When = new(Ask.Of, [OnTheWatch.Bracelet]) },
            Count(Ask.Six, Asked.Count, "Links out, 6 side; in: −", "0") with { When = new(Ask.Of, [OnTheWatch.Bracelet]) },
            Count(Ask.From, Asked.Count, "Closed now in place", null) with { Unit = "from the tightest", When = new(Ask.Of, Soft) },
            Count(Ask.To, Asked.Count, "Shall be in place", null) with { Unit = "from the tightest", When = new(Ask.Of, Soft) },
        ],
        HandWorkKind.ByCount => [Count(Ask.Twelve, Asked.Count, "Links, 12 side", "0"), Count(Ask.Six, Asked.Count, "Links, 6 side", "0")],
        HandWorkKind.AtPlace =>
        [
            On(Asked.Place, orNothing: false), Count(Ask.From, Asked.Place, "Closed now in place", null) with { Unit = "from the tightest" },
            Count(Ask.To, Asked.Place, "Shall be in place", null) with { Unit = "from the tightest" },
        ],
        HandWorkKind.Part =>
        [
            Chosen(Ask.Part, Asked.Part, "Which part", null, [.. Enum.GetValues<WornPart>().Select(p => new Choice(p, Capital(HandWork.NameOf(p))))]),
            // Only a bracelet has pins between links, and only a strap a keeper or a tongue.
            On(Asked.Part, orNothing: false) with { When = new(Ask.Part, [WornPart.LugBar, WornPart.ClaspPin]) },
            Chosen(Ask.Side, Asked.Part, "Where", null, new(PartSides.Twelve, "12 side"), new(PartSides.Six, "6 side"), new(PartSides.Both, "Both"))
                with { When = new(Ask.Part, [WornPart.LugBar, WornPart.LinkPin, WornPart.ClaspPin]) },
            Chosen(Ask.Why, Asked.Part, "It is", null, new(PartIs.Lost, "Lost"), new(PartIs.Worn, "Worn")),
        ],
        HandWorkKind.OwnBandOn =>
        [
            On(Asked.OwnBand, orNothing: false) with { Label = "The band is" },
            Chosen(Ask.Attaches, Asked.OwnBand, "It attaches by", BandAttachment.LooseBar,
                new(BandAttachment.LooseBar, "Loose bars"), new(BandAttachment.QuickRelease, "Its own levered bars"), new(BandAttachment.OpenEnd, "Open ends")),
        ],
        _ => [],
    };

    private static Question Held => Chosen(Ask.Held, Asked.OnTheWatch, "Held by", HeldBy.NotLookedAt,
        new(HeldBy.NotLookedAt, "Not looked at yet"), new(HeldBy.LooseBars, "Spring bars"), new(HeldBy.LeveredBars, "Bars with a lever"), new(HeldBy.Screws, "Screws"));

    private static Question Links => Chosen(Ask.Links, Asked.Joints, "Between the links", Fastener.NotLookedAt,
        new(Fastener.NotLookedAt, "Not looked at yet"), new(Fastener.SplitPin, "Split pins"), new(Fastener.PinWithTube, "Pins with tubes"), new(Fastener.Screw, "Screws"),
        new(Fastener.SpringBar, "Spring bars"));

    private static Question On(Asked about, bool orNothing) =>
        Chosen(about == Asked.OnTheWatch ? Ask.On : Ask.Of, about, "On the watch now", OnTheWatch.Soft, orNothing ? [new(OnTheWatch.Nothing, "Nothing"), .. Bands] : Bands);

    private static Question Chosen(Ask ask, Asked about, string label, Enum? usual, params Choice[] choices) => new(ask, about, label, AnsweredBy.Choice) { Choices = choices, Usual = usual };

    private static Question Length(Ask ask, Asked about, string label) => new(ask, about, label, AnsweredBy.Length) { Unit = "mm" };

    private static Question Count(Ask ask, Asked about, string label, string? usual) => new(ask, about, label, AnsweredBy.Count) { Usual = usual };

    private static string Capital(string words) => $"{char.ToUpperInvariant(words[0])}{words[1..]}";
}
