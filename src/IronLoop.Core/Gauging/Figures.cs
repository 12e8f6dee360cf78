using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Gauging;

/// <summary>What was gauged of a watch, its band and a wrist so far: each figure's readings, and what was chosen.</summary>
/// <param name="Read">The readings, by figure; a figure nobody measured is not in it.</param>
/// <param name="Attachment">How the watch takes a band.</param>
/// <param name="CaseShape">Whether the case is straight where the band's end meets it.</param>
/// <param name="Family">The maker's family code, of a case with a shape of its own.</param>
/// <param name="Wear">How loose the wearer likes it.</param>
/// <param name="TryOn">The band on the wrist and its surplus.</param>
/// <param name="Copy">Another loop that feels right.</param>
/// <param name="Bracelet">The owner's own bracelet, as its sheet has it.</param>
/// <param name="Stands">Figures that were questioned and looked at again: they are as they are.</param>
public sealed record Figures(
    IReadOnlyDictionary<GaugedFigure, Readings> Read,
    Attachment? Attachment = null,
    CaseShape? CaseShape = null,
    string? Family = null,
    WearPreference? Wear = null,
    TryOn? TryOn = null,
    CopiedLoop? Copy = null,
    OwnBracelet? Bracelet = null,
    IReadOnlySet<GaugedFigure>? Stands = null)
{
    /// <summary>Nothing gauged yet.</summary>
    public static Figures None { get; } = new(new Dictionary<GaugedFigure, Readings>());

    /// <summary>What was taken from the model book, by figure: it stands in where nothing was read.</summary>
    public IReadOnlyDictionary<GaugedFigure, BookFigure> Book { get; init; } = new Dictionary<GaugedFigure, BookFigure>();

    /// <summary>The mean of a figure's readings, else what the model book has of it; null when neither is known.</summary>
    public Length? this[GaugedFigure figure] => Read.TryGetValue(figure, out var readings) ? readings.Mean : Book.TryGetValue(figure, out var known) ? known.Mean : null;

    /// <summary>What the model book has of a figure that nobody read; null where it was read, or the book does not have it.</summary>
    public BookFigure? FromTheBook(GaugedFigure figure) => Read.ContainsKey(figure) ? null : Book.GetValueOrDefault(figure);

    /// <summary>Whether a figure is gone by that nobody read or confirmed.</summary>
    public bool IsUnconfirmed(GaugedFigure figure) => this[figure] is null || FromTheBook(figure) is { Confirmed: false };

    /// <summary>The same with one figure read once, in place of what was read before.</summary>
    public Figures With(GaugedFigure figure, Length? reading)
    {
        var read = new Dictionary<GaugedFigure, Readings>(Read);
        if (reading is { } length)
            read[figure] = new Readings([length]);
        else
            read.Remove(figure);
        return this with { Read = read };
    }

    /// <summary>From lug tip to lug tip.</summary>
    public Length? LugToLug => this[GaugedFigure.LugToLug];

    /// <summary>The wrist's tape reading, if it is one the fit model takes.</summary>
    public Length? Wrist => this[GaugedFigure.Wrist] is { } round && FitRanges.Wrist.Holds(round) ? round : null;

    /// <summary>What matching looks at.</summary>
    public WatchFacts Watch => new(this[GaugedFigure.LugWidth], Attachment, Family)
    {
        LugWidthReadings = Read.TryGetValue(GaugedFigure.LugWidth, out var lugs) && lugs.Each.Count > 1 ? (lugs.Each.Min(), lugs.Each.Max()) : null,
        BarGap = this[GaugedFigure.BarGap],
        LugHole = this[GaugedFigure.LugHole],
        OwnBar = this[GaugedFigure.OwnBar],
        SlotHeight = this[GaugedFigure.SlotHeight],
        CaseShape = CaseShape,
        Height = this[GaugedFigure.CaseHeight],
        Finish = Wishes.CaseFinish,
        Colour = Wishes.CaseColour,
    };

    /// <summary>What matching looks at of the wearer.</summary>
    public WearerFacts Wearer => new(Wishes.Water, Wishes.NickelSensitive, Wishes.HairPull, Wrist, Wishes.Colour);

    /// <summary>What the band has to suit.</summary>
    public Wishes Wishes { get; init; } = new();

    /// <summary>How the client wears it.</summary>
    public Habits Habits { get; init; } = new();

    /// <summary>How the house knows a size.</summary>
    public School School { get; init; } = School.Computed;

    /// <summary>What the head is raised by: the layers of a band pulled through under it.</summary>
    public Length Raise { get; init; }

    /// <summary>The head where it sits, raised by what lies under it; null when it is not known.</summary>
    public Head? Head => BareHead is { } bare ? bare with { BarRise = bare.BarRise + Raise } : null;

    /// <summary>The head as measured, else as assumed from the lug-to-lug; null when neither is known.</summary>
    public Head? BareHead
    {
        get
        {
            var barToBar = this[GaugedFigure.BarToBar] ?? (LugToLug is { } tips ? Fitting.Head.AssumedFrom(tips).BarToBar : null);
            return barToBar is { } known ? new Head(known, this[GaugedFigure.BarRise] ?? Fitting.Head.AssumedRise) : null;
        }
    }

    /// <summary>The wrist's width over its depth as measured; null when not measured, or beyond what a wrist can be.</summary>
    public decimal? MeasuredAspect =>
        AspectRead is { } aspect && FitRanges.Aspect.Holds(aspect) ? aspect : null;

    /// <summary>The wrist's width over its depth, assumed until measured.</summary>
    public decimal Aspect => MeasuredAspect ?? NeededLength.AssumedAspect;

    /// <summary>Width over depth as the readings have it, whether it can be or not.</summary>
    public decimal? AspectRead =>
        this[GaugedFigure.WristWidth] is { } width && this[GaugedFigure.WristDepth] is { } depth
            ? Math.Round((decimal)width.Micrometres / depth.Micrometres, 3) : null;

    /// <summary>What is assumed, not measured.</summary>
    public Assumed Assumed => new(MeasuredAspect is null, this[GaugedFigure.BarRise] is null, this[GaugedFigure.BarToBar] is null)
    {
        RiseByTheBook = FromTheBook(GaugedFigure.BarRise)?.SigmaMm,
        BarsByTheBook = FromTheBook(GaugedFigure.BarToBar)?.SigmaMm,
    };

    /// <summary>The try-on, with what was not said taken from the owner's own bracelet: its length now and its pitch.</summary>
    public TryOn? TriedOn => TryOn is { } tried
        ? tried with { Loop = tried.Loop ?? Bracelet?.LengthNow(this), Pitch = tried.Pitch ?? this[GaugedFigure.LinkPitch] }
        : null;

    /// <summary>Whether the wrist is taped, or a band was tried on it.</summary>
    public bool WristIsKnown => Wrist is not null || TriedOn is { IsWhole: true };

    /// <summary>The ways the needed length is known for a band of some pivot height, combined.</summary>
    /// <returns>Null when no way is known, or the model does not hold.</returns>
    public ThreeWays? Ways(Length pivotHeight)
    {
        if (Head is not { } head)
            return null;
        var ways = new List<KnownNeed>();
        if (Wrist is { } wrist && NeededLength.WithUncertainty(wrist, Aspect, head, pivotHeight, Assumed) is { } measured)
            ways.Add(new KnownNeed(Way.Measured, measured));
        Length? aim = Wear is { } wear ? Fitting.Wear.Of(wear).Aim : null;
        if (TriedOn is { } tried && tried.Need(Wrist, Aspect, aim) is { } surplus && Onto(surplus, tried.Thickness, pivotHeight, head) is { } here)
            ways.Add(new KnownNeed(Way.TryOn, here));
        if (Copy is { } copy && Wrist is { } round && aim is { } ease && copy.Need(round, Aspect, head, pivotHeight, ease) is { } copied)
            ways.Add(new KnownNeed(Way.Copy, copied));
        return ThreeWays.Combine(ways, School.Way);
    }

    /// <summary>Needed length and its uncertainty for a band of some pivot height, all ways combined.</summary>
    /// <returns>Null when no way is known, or the model does not hold.</returns>
    public Need? Need(Length pivotHeight) => Ways(pivotHeight)?.Together;

    /// <summary>
    /// The length wanted for a band of some pivot height: needed length and the ease to aim at; without a wrist, that of a loop that fits.
    /// </summary>
    /// <returns>Null when a figure is missing.</returns>
    public FitTarget? Target(Length pivotHeight)
    {
        if (Wear is not { } preference || Need(pivotHeight) is not { } need)
        {
            // Nobody has to be here for a loop of the same head that fits already.
            return Copy?.Alike is { } alike && FitRanges.Target.Holds(alike)
                ? new FitTarget(alike, Fitting.Wear.Of(Wear ?? WearPreference.Regular).Window, PlanRequest.HouseTolerance) : null;
        }
        var wear = Fitting.Wear.Of(preference);
        var target = new FitTarget(Length.Nearest(need.Needed) + wear.Aim, wear.Window, PlanRequest.HouseTolerance) { Sigma = Length.Nearest(need.Sigma) };
        return FitRanges.Target.Holds(target.Length) ? target : null;
    }

    /// <summary>
    /// The wrist to draw: as taped, else the one that the needed length belongs to, for a client who was only tried on.
    /// </summary>
    public WristSection? WristToDraw(Length pivotHeight)
    {
        var round = Wrist ?? (Head is { } head && Need(pivotHeight) is { } need ? WristServed.By(need.Needed, Aspect, head, pivotHeight) : null);
        return round is { } known ? WristSection.FromTape(known.ApproximateMillimetres, (double)Aspect) : null;
    }

    /// <summary>Whether the lugs reach past the wrist: it can be worn, but the owner is told.</summary>
    public bool LugsOverhang =>
        Wrist is { } wrist && LugToLug is { } tips
        && tips.ApproximateMillimetres > 2 * WristSection.FromTape(wrist.ApproximateMillimetres, (double)Aspect).HalfWidth;

    /// <summary>A try-on's needed length moved onto a band of another pivot height; the two bands differ as the model has it.</summary>
    private Need? Onto(Need tried, Length? thickness, Length to, Head head)
    {
        var from = thickness is { } measured ? measured.Half() : to;
        if (from == to && Raise == Length.Zero)
            return tried;
        var wrist = Wrist ?? WristServed.By(tried.Needed, Aspect, BareHead ?? head, from);
        return wrist is { } round && NeededLength.Of(round, Aspect, BareHead ?? head, from) is { } there && NeededLength.Of(round, Aspect, head, to) is { } here
            ? tried with { Needed = tried.Needed + here - there }
            : null;
    }
}
