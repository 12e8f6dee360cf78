using IronLoop.Core.Measuring;

namespace IronLoop.Core.Matching;

/// <summary>The rule <c>build</c>: the height on the wrist, head and layers together, against the wrist.</summary>
public static class BuildRule
{
    /// <summary>The rule's name.</summary>
    public const string Name = "build";

    /// <summary>Judges the height.</summary>
    /// <returns>Null when the wrist is not known: then there is nothing to judge it against.</returns>
    public static RuleVerdict? Judge(WatchFacts watch, BandFacts band, WearerFacts wearer, HouseLimits limits)
    {
        if (wearer.Wrist is not { } wrist)
            return null;
        if (watch.Height is not { } head)
            return new RuleVerdict(Name, Verdict.Unknown, "Measure the height of the head.");
        var total = head;
        if (band.Layers is { } layers)
        {
            if (band.LayerThickness is not { } layer)
                return new RuleVerdict(Name, Verdict.Unknown, "Measure the thickness of one layer of the band.");
            total += layers * layer;
        }
        var seems = watch.CaseShape == CaseShape.FlatSided ? total + limits[Limit.FlatSided] : total;
        // Height × 12 against the wrist keeps the share whole.
        var isTall = seems.Micrometres * limits.Thousandths(Limit.WristOverHeight) > wrist.Micrometres * 1000;
        var judged = isTall
            ? new RuleVerdict(Name, Verdict.Compromise, $"{total} high on a wrist of {wrist} sits tall and tips; wear it snugger.")
            : new RuleVerdict(Name, Verdict.Fits, $"{total} high on a wrist of {wrist} sits well.");
        return judged with { Figure = total.ToString() };
    }
}
