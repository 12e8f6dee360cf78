using IronLoop.Core.Measuring;

namespace IronLoop.Core.Matching;

/// <summary>
/// Where a band stands among others for one watch, the best first. What is certain comes first; so a band of the right width stands above one
/// that is much too narrow whatever nobody read, and a band that only needs a part which is here above one that needs lasting work.
/// </summary>
/// <param name="Stands">The worst of the certain rules, looks left out; work that can be undone, its part at hand, counts as a compromise.</param>
/// <param name="Gap">What the band's width differs from the lug width by, in tenths of a millimetre; nought up to half a millimetre.</param>
/// <param name="Off">The share of what is usual in which it does not go on as it is, in tenths.</param>
/// <param name="Certainty">How sure its verdict is.</param>
/// <param name="Chance">The chance to be right on this wearer, in whole percents.</param>
/// <param name="Reserve">What is left the lesser way, in micrometres.</param>
/// <param name="Looks">How like the looks are to what is wanted.</param>
/// <param name="Missed">How many wishes it does not meet.</param>
/// <param name="Width">What its width differs by, in tenths of a millimetre.</param>
public readonly record struct Standing(Verdict Stands, int Gap, int Off, Certainty Certainty, int Chance, long Reserve, Likeness Looks, int Missed, int Width)
{
    // A difference up to this is no reason to prefer another band before all else is asked.
    private static readonly Length Near = Length.FromMillimetres(0.5m);

    /// <summary>Where the rules about the watch put a band, before its wearer and its looks are asked.</summary>
    /// <param name="rules">What they say.</param>
    /// <param name="watch">The watch.</param>
    /// <param name="band">The band.</param>
    /// <param name="bars">The spring bars in stock; null when nothing is known of them.</param>
    /// <param name="limits">The house's limits.</param>
    public static Standing Of(IReadOnlyList<RuleVerdict> rules, WatchFacts watch, BandFacts band, IReadOnlyList<SpringBar>? bars, HouseLimits limits)
    {
        var (stands, goesOn) = (Verdict.Fits, 1.0);
        foreach (var rule in rules)
        {
            if (rule.Rule == FinishRule.Name)
                continue;
            if (rule.Certainty == Certainty.Likely)
                goesOn *= 1 - rule.Open!.Off;
            else if (AtLeast(rule, watch, bars, limits) is var verdict && verdict > stands)
                stands = verdict;
        }
        var gap = watch.LugWidth is { } lugs ? (lugs - band.Width).Abs() : Length.Zero;
        return new Standing(stands, gap > Near ? Tenths(gap) : 0, (int)Math.Round(10 * (1 - goesOn)), new Judgement(rules).Certainty, 0, 0, Likeness.Equal, 0, Tenths(gap));
    }

    /// <summary>Its order; below nought when the first stands before the second.</summary>
    public static int Compare(in Standing a, in Standing b)
    {
        var order = a.Stands.CompareTo(b.Stands);
        if (order == 0) order = a.Gap.CompareTo(b.Gap);
        if (order == 0) order = a.Off.CompareTo(b.Off);
        if (order == 0) order = a.Certainty.CompareTo(b.Certainty);
        if (order == 0) order = b.Chance.CompareTo(a.Chance);
        if (order == 0) order = b.Reserve.CompareTo(a.Reserve);
        if (order == 0) order = a.Looks.CompareTo(b.Looks);
        if (order == 0) order = a.Missed.CompareTo(b.Missed);
        return order != 0 ? order : a.Width.CompareTo(b.Width);
    }

    /// <summary>What a rule counts as: reversible work is a drawback where its part is at hand; a metal end that nobody looked at has to be filed at least.</summary>
    private static Verdict AtLeast(RuleVerdict rule, WatchFacts watch, IReadOnlyList<SpringBar>? bars, HouseLimits limits) => rule.Verdict switch
    {
        Verdict.Work when rule.Work.All(w => w.Reversible && (w.Kind != WorkKind.CurvedBar || HasCurved(watch, bars, limits))) => Verdict.Compromise,
        Verdict.Unknown => rule.Rule == LugWidthRule.Name && watch.LugWidth is not null ? Verdict.Work : Verdict.Fits,
        _ => rule.Verdict,
    };

    private static bool HasCurved(WatchFacts watch, IReadOnlyList<SpringBar>? bars, HouseLimits limits) =>
        bars is null || watch.LugWidth is not { } lugs || SpringBarChoice.OfLength(bars, lugs, limits).Any(b => b.Curved);

    private static int Tenths(Length gap) => (int)((gap.Micrometres + 50) / 100);
}
