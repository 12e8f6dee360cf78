using IronLoop.Core.Measuring;

namespace IronLoop.Core.Fitting;

/// <summary>The four ways to wear a one-piece band pulled through over both bars.</summary>
public enum PullThroughWay
{
    /// <summary>Through the short under-flap's loop: two layers lie under the case.</summary>
    Double,

    /// <summary>The hand goes between under-flap and main band: one layer lies under the case.</summary>
    Single,

    /// <summary>As double, threaded from the other side: the buckle on the 6 side.</summary>
    ReversedDouble,

    /// <summary>As single, threaded from the other side: the buckle on the 6 side.</summary>
    ReversedSingle,
}

/// <summary>What closes a one-piece band. Stored and sent by name.</summary>
public enum OnePieceClosure
{
    /// <summary>A buckle, its tongue in a hole.</summary>
    Buckle,

    /// <summary>Hook and loop, folded back through a ring: it closes anywhere.</summary>
    HookAndLoop,

    /// <summary>A catch that springs open at its sides; a slider sets the length: it closes anywhere.</summary>
    SideRelease,
}

/// <summary>A one-piece band (fit model, section 7).</summary>
/// <param name="FirstHole">From the buckle's bar to the first hole, the tightest, z.</param>
/// <param name="HolePitch">From one hole to the next.</param>
/// <param name="Holes">How many holes.</param>
/// <param name="Layer">Thickness of one layer.</param>
/// <param name="UnderRun">What passing under the case uses up, if it was measured.</param>
public sealed record OnePieceBand(Length FirstHole, Length HolePitch, int Holes, Length Layer, Length? UnderRun)
{
    /// <summary>What closes it.</summary>
    public OnePieceClosure Closure { get; init; }

    /// <summary>
    /// From the buckle's bar, or the ring or catch, to the farthest place it closes in, where it closes anywhere between that and
    /// <see cref="FirstHole"/>; null where it has holes.
    /// </summary>
    public Length? Farthest { get; init; }

    /// <summary>From the buckle's bar to the tail's tip; null where nobody measured.</summary>
    public Length? Whole { get; init; }

    /// <summary>A band that closes anywhere between two places.</summary>
    /// <param name="closure">What closes it.</param>
    /// <param name="nearest">From ring or catch to the nearest place, the tightest.</param>
    /// <param name="farthest">To the farthest.</param>
    /// <param name="layer">Thickness of one layer.</param>
    /// <param name="underRun">What passing under the case uses up, if it was measured.</param>
    public static OnePieceBand Anywhere(OnePieceClosure closure, Length nearest, Length farthest, Length layer, Length? underRun) =>
        new(nearest, HoledBand.Anywhere, 0, layer, underRun) { Closure = closure, Farthest = farthest };

    /// <summary>All ways, in the order a fitter tells them.</summary>
    public static IReadOnlyList<PullThroughWay> Ways { get; } =
        [PullThroughWay.Double, PullThroughWay.Single, PullThroughWay.ReversedDouble, PullThroughWay.ReversedSingle];

    /// <summary>Layers under the case.</summary>
    public static int Layers(PullThroughWay way) => way is PullThroughWay.Double or PullThroughWay.ReversedDouble ? 2 : 1;

    /// <summary>What the head is raised by.</summary>
    public Length Raise(PullThroughWay way) => Layer * Layers(way);

    /// <summary>
    /// What passing under the case uses up: as measured, else (B − 10) + 2·√(5² + h²) with the head's own rise.
    /// </summary>
    /// <param name="head">The head as it is, not raised.</param>
    public Length UnderRunOf(Head head)
    {
        if (UnderRun is { } measured)
            return measured;
        var h = head.BarRise.ApproximateMillimetres;
        return Length.Nearest(head.BarToBar.ApproximateMillimetres - 10 + 2 * Math.Sqrt(25 + h * h));
    }

    /// <summary>The band on a head.</summary>
    public PulledThrough On(Head head) => new(this, UnderRunOf(head));

    /// <summary>What the owner feels of a way.</summary>
    public static string Feels(PullThroughWay way) => way switch
    {
        PullThroughWay.Double => "two layers under the case, the head sits higher; buckle and fold on the 12 side",
        PullThroughWay.Single => "one layer under the case, lower and cooler; the flap is felt beside the band",
        PullThroughWay.ReversedDouble => "two layers under the case; buckle and fold on the 6 side, where the hand does not press on them",
        PullThroughWay.ReversedSingle => "one layer under the case; buckle on the 6 side, where the hand does not press on it",
        _ => throw new ArgumentOutOfRangeException(nameof(way), way, "Not a way to wear it."),
    };
}

/// <summary>A one-piece band pulled through under a case. The head slides on it, so its centre is the wearer's to set.</summary>
/// <param name="Band">The band.</param>
/// <param name="UnderRun">What passing under this case uses up, U.</param>
public sealed record PulledThrough(OnePieceBand Band, Length UnderRun)
    : HoledBand(Band.Farthest is { } farthest ? AnywhereBetween(Band.FirstHole, farthest) : Band.Holes, Band.Farthest is null ? Band.HolePitch : Anywhere)
{
    /// <inheritdoc />
    public override bool LocksAnywhere => Band.Farthest is not null;

    /// <inheritdoc />
    public override string Place => LocksAnywhere ? "place" : "hole";

    /// <summary>What the tail's tip passes the buckle by; a tail that nobody measured is taken to be long enough.</summary>
    public override Length PastBuckle(int hole) => Band.Whole is { } whole ? whole - Band.FirstHole - Looser(hole) : base.PastBuckle(hole);

    /// <inheritdoc />
    public override Length Tightest => Band.FirstHole - UnderRun;
}
