using IronLoop.Core.Bands;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Shelf;

/// <summary>What the shop has beside its bands: spring bars in stock, and its own limits.</summary>
/// <param name="Bars">The spring bars in stock; null when the shop keeps none.</param>
/// <param name="Limits">The limits it works with.</param>
public sealed record House(IReadOnlyList<SpringBar>? Bars, HouseLimits Limits)
{
    /// <summary>No bars known, the default limits.</summary>
    public static House Usual { get; } = new(null, HouseLimits.Usual);
}

/// <summary>Asks every rule about one band for one job.</summary>
public static class MatchBand
{
    /// <summary>The judgement, the rules in the order a fitter asks them.</summary>
    /// <param name="figures">What was gauged.</param>
    /// <param name="band">The band.</param>
    /// <param name="way">How a pull-through band is worn; not looked at for others.</param>
    /// <param name="house">What the shop has; the usual when null.</param>
    /// <param name="reach">What the band can make, where it is worked out already.</param>
    /// <param name="wanted">The lengths wanted, where several bands are judged.</param>
    /// <param name="isOn">Whether it is on the watch already: then nothing is asked of how it would go on.</param>
    public static Judgement Judge(
        Figures figures, Band band, PullThroughWay way = PullThroughWay.Double, House? house = null, Reach? reach = null, WantedLengths? wanted = null, bool isOn = false)
    {
        house ??= House.Usual;
        wanted ??= new WantedLengths(figures);
        var rules = BandToWatch.Judge(figures.Watch, band.FactsWorn(way), figures.Wearer, house.Bars, house.Limits);
        if (isOn)
            rules = BandToWatch.OfOneThatIsOn(rules);
        return new Judgement(Wearer(band, wanted.Of(band, way), wanted.BareHead, reach) is { } wearer ? [.. rules, wearer] : rules);
    }

    /// <summary>The chance that a band is right on this wearer at the first opening, 0 to 1.</summary>
    /// <param name="figures">What was gauged.</param>
    /// <param name="band">The band.</param>
    /// <param name="wanted">The length wanted.</param>
    /// <returns>Null while it is not known how well that length is known.</returns>
    public static double? Chance(Figures figures, Band band, FitTarget wanted)
    {
        if (wanted.Sigma == Length.Zero)
            return null;
        if (band.Holed(figures.BareHead) is { } holed)
            return FirstTimeChance.Of(holed, wanted);
        return band.Links is null ? null : Planner.Recommend(Sizing.Request(band, wanted, figures.Habits)).Figures.Chance;
    }

    /// <summary>The spring bar of the shop's that is right for a band on a watch.</summary>
    /// <returns>Null when none is, or a figure for it is missing.</returns>
    public static SpringBar? BarFor(Figures figures, Band band, House house) =>
        house.Bars is { } bars && figures.Watch is { HasSpringBars: true, LugWidth: { } lugs, LugHole: { } hole } watch && band.Facts.TubeBore is { } bore
            ? SpringBarChoice.Choose(bars, BarBoreRule.Wish(watch, band.Facts, lugs, hole, bore, house.Limits), house.Limits)
            : null;

    /// <summary>All lengths a band can make; for a pull-through band on this head.</summary>
    /// <returns>Null for a pull-through band while the head is unknown.</returns>
    public static Reach? ReachOf(Band band, Head? bareHead)
    {
        if (band.Holed(bareHead) is { } holed)
            return holed.Reach();
        // The target says only what is judged; it does not change what can be made.
        return band.Links is null ? null : Reach.WithOffCentre(Sizing.Request(band, new FitTarget(Length.Zero, Length.Zero, Length.Zero)));
    }

    // Nothing is judged of a wearer nobody measured.
    private static RuleVerdict? Wearer(Band band, FitTarget? target, Head? bareHead, Reach? known) =>
        target is { } wanted && (known ?? ReachOf(band, bareHead)) is { } reach ? WearerRule.Judge(reach, wanted, band.Holed(bareHead)) : null;
}
