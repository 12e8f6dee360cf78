using IronLoop.Core.Bands;
using IronLoop.Core.Fitting;
using IronLoop.Core.Joints;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Bench;

/// <summary>A part that is replaced by one like it. Stored and sent by name.</summary>
public enum WornPart
{
    /// <summary>A bar at the lugs.</summary>
    LugBar,

    /// <summary>A pin or screw between links.</summary>
    LinkPin,

    /// <summary>A pin or bar at the clasp.</summary>
    ClaspPin,

    /// <summary>A keeper of a strap.</summary>
    Keeper,

    /// <summary>The tongue of a buckle.</summary>
    Tongue,
}

/// <summary>The kinds of hand work that somebody has to say. Stored and sent by name.</summary>
public enum HandWorkKind
{
    /// <summary>Links by their count.</summary>
    ByCount,

    /// <summary>Another place.</summary>
    AtPlace,

    /// <summary>A part.</summary>
    Part,

    /// <summary>A band that the owner brings.</summary>
    OwnBandOn,
}

/// <summary>
/// Work that the hands know without a figure: so many links, a place more, a part like the one that is there. Of the band only what is
/// worked is told apart; the rest of it is one thing whose joints stay closed.
/// </summary>
/// <param name="Of">What the band is.</param>
public abstract record HandWork(OnTheWatch Of)
{
    /// <summary>How a band is shut that nobody sized.</summary>
    public const string Picked = "in whichever hole its wearer picks";

    private const string AsItWas = "in the place it was worn in";

    /// <summary>How many links of a side can leave, or come where it is below nought.</summary>
    public static readonly AllowedNumber Links = new(-12, 12);

    /// <summary>The places a band can be closed in, counted from the tightest.</summary>
    public static readonly AllowedNumber Places = new(1, 60);

    /// <summary>Links out or in, by their count.</summary>
    /// <param name="Out">How many.</param>
    public sealed record ByCount(Counted Out) : HandWork(OnTheWatch.Bracelet)
    {
        /// <inheritdoc />
        public override Band Outline(Length width) => Out.Bracelet(Known(Of, width));

        /// <inheritdoc />
        public override Arrangement Plan => Out.Plan;

        /// <inheritdoc />
        public override BenchFacts On(BenchFacts facts) => Out.Of(facts);
    }

    /// <summary>Another hole, notch or micro position.</summary>
    /// <param name="Of">What the band is.</param>
    /// <param name="From">The place it is closed in now, from the tightest, which is 0.</param>
    /// <param name="To">The place it shall be closed in.</param>
    public sealed record AtPlace(OnTheWatch Of, int From, int To) : HandWork(Of)
    {
        /// <inheritdoc />
        public override Band Outline(Length width) => Known(Of, width) switch
        {
            // One place beyond what is asked for, as a band has.
            LinkBracelet bracelet => bracelet with { Closes = bracelet.Closes with { Positions = Math.Max(From, To) + 2, Position = From } },
            TwoPieceBand strap => strap with { Lengths = strap.Lengths with { Holes = Math.Max(strap.Lengths.Holes, Math.Max(From, To) + 1) } },
            MeshBracelet mesh => mesh with { Lengths = mesh.Lengths with { Notches = Math.Max(From, To) + 2 } },
            PulledThroughBand through => through with { Lengths = through.Lengths with { Holes = Math.Max(through.Lengths.Holes, Math.Max(From, To) + 1) } },
            var other => other,
        };

        /// <inheritdoc />
        public override Arrangement Plan => base.Plan with { Position = To };

        /// <inheritdoc />
        public override BenchFacts On(BenchFacts facts) => base.On(facts) with { Came = facts.Came with { Position = From } };
    }

    /// <summary>A part that is lost or worn.</summary>
    /// <param name="What">The part.</param>
    /// <param name="Of">What the band is.</param>
    /// <param name="Side">The side it belongs to; null for both.</param>
    /// <param name="IsLost">Whether it is not there; else it is worn and comes out.</param>
    public sealed record Part(WornPart What, OnTheWatch Of, Side? Side, bool IsLost) : HandWork(Of)
    {
        /// <summary>The sides.</summary>
        public IReadOnlyList<Side> Sides => Side is { } one ? [one] : [Fitting.Side.Twelve, Fitting.Side.Six];

        /// <inheritdoc />
        public override BenchFacts On(BenchFacts facts)
        {
            var on = base.On(facts) with { HasWearer = false, ShutAs = AsItWas };
            return What switch
            {
                WornPart.LugBar when facts.Attachment == Attachment.FixedBar => on with { Told = "The bars are part of the case: one that is broken or lost is a watchmaker’s work. Refer it, or leave this out." },
                WornPart.LugBar when facts.Attachment is not (Attachment.SpringBarBlind or Attachment.SpringBarDrilled) || facts.Came.Held == HeldBy.Screws =>
                    on with { NewParts = [.. Sides.Select(s => new NewPart($"lug-{Laid.On(s)}", IsLost))] },
                WornPart.LugBar when IsLost => on with { Came = on.Came with { MissingBars = new HashSet<Side>([.. on.Came.MissingBars, .. Sides]) } },
                WornPart.LugBar => on with { WornBars = new HashSet<Side>(Sides) },
                WornPart.LinkPin or WornPart.ClaspPin => on with
                {
                    NewParts = [.. Sides.Select(s => new NewPart($"{FromTheWatch.Wanted}.{(What == WornPart.LinkPin ? $"joint-{Laid.On(s)}-1" : $"clasp-{Laid.On(s)}")}", IsLost))],
                },
                _ => on with { Told = $"The {(What == WornPart.Keeper ? "keeper" : "tongue")} that is {(IsLost ? "lost" : "worn")} is replaced by one like it; try it by hand before it goes on." },
            };
        }
    }

    /// <summary>The band off the head, and on again as it was.</summary>
    /// <param name="Of">What the band is.</param>
    public sealed record OffAndOn(OnTheWatch Of) : HandWork(Of)
    {
        /// <inheritdoc />
        public override BenchFacts On(BenchFacts facts) => base.On(facts) with { IsOffAndOn = true, HasWearer = false, ShutAs = AsItWas };
    }

    /// <summary>A band that the owner brings.</summary>
    /// <param name="Of">What it is.</param>
    /// <param name="Attaches">How it attaches.</param>
    public sealed record OwnBandOn(OnTheWatch Of, BandAttachment Attaches) : HandWork(Of)
    {
        /// <inheritdoc />
        public override Band Outline(Length width)
        {
            var band = base.Outline(width)!;
            return band with { Facts = band.Facts with { Attaches = Attaches } };
        }

        /// <inheritdoc />
        public override BenchFacts On(BenchFacts facts) => base.On(facts) with { ShutAs = Picked };
    }

    /// <summary>The clasp or buckle of a band of which nothing else is known.</summary>
    /// <param name="Of">What the band is.</param>
    public sealed record OtherClasp(OnTheWatch Of) : HandWork(Of)
    {
        /// <inheritdoc />
        public override BenchFacts On(BenchFacts facts) => base.On(facts) with { ShutAs = AsItWas };
    }

    /// <summary>What is told in words.</summary>
    /// <param name="Of">What is on the watch.</param>
    public sealed record AsTold(OnTheWatch Of) : HandWork(Of)
    {
        /// <inheritdoc />
        public override Band? Outline(Length width) => null;

        /// <inheritdoc />
        public override Arrangement Plan => new([], [], 0);

        /// <inheritdoc />
        public override BenchFacts On(BenchFacts facts) => facts with { Told = "What was asked for, in the owner’s own words. Note at this step what was done.", HasWearer = false };
    }

    /// <summary>What is done, in words for log and owner; empty where that is told otherwise.</summary>
    public string Says => this switch
    {
        ByCount { Out: var links } => string.Join(' ', ((Side[])[Side.Twelve, Side.Six]).Where(s => links.On(s) != 0).Select(s => Counts(links.On(s), s))),
        AtPlace { Of: OnTheWatch.Bracelet } at => $"Micro-adjust moved from position {at.From + 1} to {at.To + 1}, counted from the tightest.",
        AtPlace at => $"Closed in {(Of == OnTheWatch.Mesh ? "notch" : "hole")} {at.To + 1} from the tight end, before in {at.From + 1}.",
        Part part => $"{char.ToUpperInvariant(NameOf(part.What)[0])}{NameOf(part.What)[1..]}{WhereOf(part)} replaced: {(part.IsLost ? "it was lost" : "it was worn")}.",
        OffAndOn => "Band taken off and put on again.",
        OwnBandOn => $"The owner’s own {BandOf(Of)} put on; not sized.",
        AsTold => "As was asked for in words.",
        _ => "",
    };

    /// <summary>What a part is called.</summary>
    public static string NameOf(WornPart part) => part switch
    {
        WornPart.LugBar => "bar at the lugs",
        WornPart.LinkPin => "pin or screw between links",
        WornPart.ClaspPin => "pin or bar at the clasp",
        WornPart.Keeper => "keeper",
        _ => "buckle’s tongue",
    };

    /// <summary>What a band is called.</summary>
    public static string BandOf(OnTheWatch of) => of switch
    {
        OnTheWatch.Bracelet => "bracelet",
        OnTheWatch.Mesh => "mesh",
        OnTheWatch.PulledThrough => "pull-through band",
        OnTheWatch.Soft => "strap",
        _ => "bare head",
    };

    private static string WhereOf(Part part) => part.What is WornPart.Keeper or WornPart.Tongue ? "" : part.Side is { } side ? $", {PlanWords.Name(side)} side" : ", both sides";

    private static string Counts(int count, Side side)
    {
        var many = Math.Abs(count);
        return $"{many} {(many == 1 ? "link" : "links")} {(count > 0 ? "taken out of" : "put into")} the {PlanWords.Name(side)} side.";
    }

    /// <summary>The kind of what somebody said.</summary>
    /// <exception cref="ArgumentOutOfRangeException">It follows from the request, and is not said.</exception>
    public static HandWorkKind KindOf(HandWork said) => said switch
    {
        ByCount => HandWorkKind.ByCount,
        AtPlace => HandWorkKind.AtPlace,
        Part => HandWorkKind.Part,
        OwnBandOn => HandWorkKind.OwnBandOn,
        _ => throw new ArgumentOutOfRangeException(nameof(said), said, "It follows from the request."),
    };

    /// <summary>The band, as far as it is told apart.</summary>
    /// <param name="width">Its width, as far as it is known.</param>
    /// <returns>Null where no band is worked on.</returns>
    public virtual Band? Outline(Length width) => Known(Of, width);

    /// <summary>How its links, hole or notch shall lie: where nothing of them is worked, as they do.</summary>
    public virtual Arrangement Plan => Of == OnTheWatch.Bracelet ? new Counted(0, 0).Plan : new Arrangement([], [], 0);

    /// <summary>What the bench works from.</summary>
    /// <param name="facts">The job; its band is the one that is outlined here.</param>
    public virtual BenchFacts On(BenchFacts facts) => Of == OnTheWatch.Bracelet
        ? facts with { Counted = new Counted(0, 0) }
        // It is shut in some place, which nobody has to say.
        : facts with { Came = facts.Came with { Position = facts.Came.Position ?? 0 } };

    /// <summary>A band of which only its kind is known. Its lengths are no figures: nothing is reckoned with them.</summary>
    private static Band Known(OnTheWatch of, Length width)
    {
        BandFacts Facts(BandKind kind, BandMaterial material) => new(kind, material, width, BandAttachment.LooseBar, null, null);
        var (five, thick) = (Length.FromMillimetres(5), Length.FromMillimetres(3));
        return of switch
        {
            OnTheWatch.Bracelet => new Counted(0, 0).Bracelet(new TwoPieceBand(Facts(BandKind.LinkBracelet, BandMaterial.Metal), thick, "clasp", new TwoPieceStrap(five, five, five, five, 1))),
            OnTheWatch.Mesh => new MeshBracelet(Facts(BandKind.Mesh, BandMaterial.Metal), thick, "slide clasp", new MeshBand(five * 20, five * 40, 20)),
            OnTheWatch.PulledThrough => new PulledThroughBand(Facts(BandKind.OnePiece, BandMaterial.Textile), thick, "buckle", new OnePieceBand(five * 20, five, 9, thick, null)),
            _ => new TwoPieceBand(Facts(BandKind.TwoPiece, BandMaterial.Leather), thick, "pin buckle", new TwoPieceStrap(five * 15, five * 23, five * 11, five, 7)),
        };
    }
}

/// <summary>A joint whose part is replaced by one like it.</summary>
/// <param name="Joint">The joint.</param>
/// <param name="IsLost">Whether its part is not there; else it comes out.</param>
public sealed record NewPart(string Joint, bool IsLost);
