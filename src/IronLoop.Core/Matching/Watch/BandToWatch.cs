namespace IronLoop.Core.Matching;

/// <summary>All rules about a band on a watch that need no length of the band, in the order a fitter asks them.</summary>
public static class BandToWatch
{
    // What is on the watch already is not asked how it would go on.
    private static readonly HashSet<string> PuttingOn = [LugWidthRule.Name, AttachmentRule.Name, BarGapRule.Name, BarBoreRule.Name, SlotRule.Name, EndShapeRule.Name];

    /// <summary>What is left to ask of a band that is on the watch already.</summary>
    public static IReadOnlyList<RuleVerdict> OfOneThatIsOn(IReadOnlyList<RuleVerdict> rules) => [.. rules.Where(r => !PuttingOn.Contains(r.Rule))];

    /// <summary>Asks every rule; those that do not apply are left out.</summary>
    /// <param name="watch">The watch.</param>
    /// <param name="band">The band.</param>
    /// <param name="wearer">The wearer.</param>
    /// <param name="bars">The spring bars in stock; null when nothing is known of them.</param>
    /// <param name="limits">The house's limits.</param>
    public static IReadOnlyList<RuleVerdict> Judge(
        WatchFacts watch, BandFacts band, WearerFacts wearer, IReadOnlyList<SpringBar>? bars, HouseLimits limits)
    {
        RuleVerdict?[] asked =
        [
            LugWidthRule.Judge(watch, band, limits),
            AttachmentRule.Judge(watch, band, limits),
            BarGapRule.Judge(watch, band, limits),
            BarBoreRule.Judge(watch, band, bars, limits),
            SlotRule.Judge(watch, band, limits),
            EndShapeRule.Judge(watch, band),
            BuildRule.Judge(watch, band, wearer, limits),
            UseRule.Judge(band, wearer),
            FinishRule.Judge(watch, band, wearer),
        ];
        return [.. asked.OfType<RuleVerdict>()];
    }
}
