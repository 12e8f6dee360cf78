using IronLoop.Core.Bench;
using IronLoop.Core.Gauging;
using IronLoop.Core.Matching;

namespace IronLoop.Core.Jobs;

/// <summary>Something that is asked of a watch, its band or its wearer.</summary>
public enum Asked
{
    /// <summary>What is on the watch now, and how it is held; not looked at yet is an answer.</summary>
    OnTheWatch,

    /// <summary>The lug width.</summary>
    LugWidth,

    /// <summary>How the watch takes a band.</summary>
    Attachment,

    /// <summary>Room and holes at the bars.</summary>
    AtTheBars,

    /// <summary>The head: lug-to-lug, bar-to-bar, rise.</summary>
    Head,

    /// <summary>The wrist.</summary>
    Wrist,

    /// <summary>How loose it is worn.</summary>
    Wear,

    /// <summary>The old strap's length and its worn hole, or a loop that was sent or measured.</summary>
    OldStrap,

    /// <summary>What it has to suit: water, skin, colour.</summary>
    Wishes,

    /// <summary>What closes the band now.</summary>
    PresentClasp,

    /// <summary>The band's width at the clasp.</summary>
    ClaspEnd,

    /// <summary>The clasp's own figures, by its kind.</summary>
    ClaspOwn,

    /// <summary>The rows, the pitch and the clasp's halves.</summary>
    Bracelet,

    /// <summary>How many links leave or come on each side.</summary>
    Count,

    /// <summary>What joins the links.</summary>
    Joints,

    /// <summary>Which hole, notch or position now, and which it shall be.</summary>
    Place,

    /// <summary>Which part, and where.</summary>
    Part,

    /// <summary>What the owner's band is, and how it attaches.</summary>
    OwnBand,

    /// <summary>The band's own widths and thickness.</summary>
    BandWidths,
}

/// <summary>What a request asks: the one table of it.</summary>
/// <param name="Request">What is asked for.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Must">Without these the work cannot be told.</param>
/// <param name="Sharpens">Assumed until they are read.</param>
/// <param name="Stations">The stations it passes, beside those that every job passes.</param>
public sealed record Needs(Request Request, string Name, IReadOnlyList<Asked> Must, IReadOnlyList<Asked> Sharpens, IReadOnlyList<Station> Stations)
{
    /// <summary>Whether all of it is told by hand: so many links, a place more.</summary>
    public bool ByHand { get; init; }

    /// <summary>Whether a length has to be found for it.</summary>
    public bool IsSized => Must.Contains(Asked.Wrist);

    /// <summary>The table, in the order a fitter tells them.</summary>
    public static IReadOnlyList<Needs> Table { get; } =
    [
        Band(Request.ChangeStrap, "change the strap"),
        Band(Request.FitMesh, "fit a mesh"),
        new(Request.ReplaceClasp, "clasp or buckle", [Asked.PresentClasp, Asked.ClaspEnd], [Asked.OnTheWatch, Asked.ClaspOwn, Asked.Bracelet, Asked.Head, Asked.Wrist, Asked.Wear], [Station.Clasp, Station.Size]),
        Counted(Request.TakeLinksOut, "links out, by count"),
        Sized(Request.TakeLinksOut, "links out, by figures"),
        Counted(Request.PutLinksIn, "links in, by count"),
        Sized(Request.PutLinksIn, "links in, by figures"),
        new(Request.PositionOnly, "hole, notch or micro position only", [Asked.OnTheWatch, Asked.Place], [], []) { ByHand = true },
        new(Request.ReplacePart, "a lost or worn part", [Asked.OnTheWatch, Asked.Part], [Asked.LugWidth, Asked.Joints], []),
        Counted(Request.Refit, "refit after wear, by count or place"),
        Sized(Request.Refit, "refit after wear, by figures"),
        new(Request.OffAndOn, "off and on again", [Asked.OnTheWatch], [Asked.Attachment], []),
        new(Request.PutOwnBandOn, "put a band of the owner’s on", [Asked.OwnBand], [Asked.OnTheWatch, Asked.LugWidth, Asked.Attachment, Asked.BandWidths], []),
        new(Request.SomethingElse, "something else", [], [], []),
    ];

    /// <summary>What of a request is told by hand; null where none of it is.</summary>
    /// <param name="request">What is asked for.</param>
    public static HandWorkKind? ToldBy(Request request) => Table.Where(n => n.Request == request).SelectMany(n => n.Must).Select(a => (HandWorkKind?)(a switch
    {
        Asked.Count => HandWorkKind.ByCount,
        Asked.Place => HandWorkKind.AtPlace,
        Asked.Part => HandWorkKind.Part,
        Asked.OwnBand => HandWorkKind.OwnBandOn,
        _ => null,
    })).FirstOrDefault(k => k is not null);

    /// <summary>Whether a request that is told by hand can be told by figures instead.</summary>
    /// <param name="request">What is asked for.</param>
    public static bool CanBeFigured(Request request) => Table.Count(n => n.Request == request) > 1;

    /// <summary>What a request asks.</summary>
    /// <param name="request">What is asked for.</param>
    /// <param name="byHand">Whether it is told by a count or a place, where it can be told by figures too.</param>
    public static Needs Of(Request request, bool byHand) =>
        Table.FirstOrDefault(n => n.Request == request && n.ByHand == byHand) ?? Table.First(n => n.Request == request);

    /// <summary>The figures that are asked, in the order the tool is moved.</summary>
    /// <param name="attachment">How the watch takes a band; taken as sprung bars where nobody looked.</param>
    public IReadOnlyList<GaugedFigure> Figures(Attachment? attachment)
    {
        var asked = Must.Concat(Sharpens).SelectMany(a => FiguresOf(a, attachment)).ToHashSet();
        return [.. FigureKind.All.Select(k => k.Figure).Where(asked.Contains)];
    }

    /// <summary>What is asked, in words.</summary>
    public static string NameOf(Asked asked) => asked switch
    {
        Asked.OnTheWatch => "what is on it and how it is held",
        Asked.LugWidth => "lug width",
        Asked.Attachment => "attachment",
        Asked.AtTheBars => "room and holes at the bars",
        Asked.Head => "lug-to-lug, bar-to-bar, rise",
        Asked.Wrist => "wrist, or a try-on",
        Asked.Wear => "wear preference",
        Asked.OldStrap => "the old strap and its worn hole",
        Asked.Wishes => "use, skin, colour",
        Asked.PresentClasp => "what closes it now",
        Asked.ClaspEnd => "band width at the clasp",
        Asked.ClaspOwn => "the clasp’s own figures",
        Asked.Bracelet => "rows, pitch, clasp halves",
        Asked.Count => "how many links of which side",
        Asked.Joints => "what joins the links",
        Asked.Place => "which place now, and which it shall be",
        Asked.Part => "which part, and where",
        Asked.OwnBand => "what the band is, and how it attaches",
        Asked.BandWidths => "the band’s widths and thickness",
        _ => throw new ArgumentOutOfRangeException(nameof(asked), asked, "Not asked."),
    };

    private static Needs Band(Request request, string name) => new(
        request, name, [Asked.LugWidth, Asked.OnTheWatch],
        [Asked.Attachment, Asked.AtTheBars, Asked.Head, Asked.Wrist, Asked.Wear, Asked.OldStrap, Asked.Wishes], [Station.Match, Station.Size]);

    private static Needs Counted(Request request, string name) =>
        new(request, name, [Asked.Count], [Asked.OnTheWatch, Asked.Joints, Asked.Bracelet, Asked.Head, Asked.Wrist, Asked.Wear], []) { ByHand = true };

    private static Needs Sized(Request request, string name) =>
        new(request, name, [Asked.Head, Asked.Wrist, Asked.Wear, Asked.Bracelet], [Asked.OnTheWatch, Asked.BandWidths, Asked.Joints, Asked.ClaspEnd], [Station.Size]);

    private static IEnumerable<GaugedFigure> FiguresOf(Asked asked, Attachment? attachment) => asked switch
    {
        Asked.LugWidth => [GaugedFigure.LugWidth],
        Asked.AtTheBars => attachment switch
        {
            null or Attachment.SpringBarDrilled or Attachment.SpringBarBlind => [GaugedFigure.CaseHeight, GaugedFigure.BarGap, GaugedFigure.LugHole],
            Attachment.FixedBar => [GaugedFigure.CaseHeight, GaugedFigure.BarGap],
            Attachment.ScrewBar => [GaugedFigure.CaseHeight, GaugedFigure.BarGap, GaugedFigure.OwnBar],
            Attachment.ScrewSlot => [GaugedFigure.CaseHeight, GaugedFigure.SlotHeight],
            _ => [GaugedFigure.CaseHeight],
        },
        Asked.Head => [GaugedFigure.LugToLug, GaugedFigure.BarToBar, GaugedFigure.BarRise],
        Asked.Wrist => [GaugedFigure.Wrist],
        Asked.ClaspEnd => [GaugedFigure.ClaspEnd],
        Asked.ClaspOwn => [GaugedFigure.BandThickness],
        Asked.Bracelet => [GaugedFigure.LinkPitch],
        Asked.BandWidths => [GaugedFigure.BandWidth, GaugedFigure.BandThickness],
        _ => [],
    };
}
