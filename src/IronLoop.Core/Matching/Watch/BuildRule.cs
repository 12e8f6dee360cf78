using IronLoop.Core.Measuring;

namespace IronLoop.Core.Matching;

/// <summary>The rule <c>build</c>: the height on the wrist, head and layers together, against the wrist.</summary>
public static class BuildRule
{
    /// <summary>The rule's name.</summary>
    public const string Name = "build";

    /// <summary>Judges the height.</summary>
    /// <returns>Null when wrist or head was not measured: then there is nothing to judge.</returns>
    public static RuleVerdict? Judge(WatchFacts watch, BandFacts band, WearerFacts wearer, HouseLimits limits)
    {
        if (wearer.Wrist is not { } wrist || watch.Height is not { } head)
            return null;
        if (band.Layers is not > 0 || band.LayerThickness is not null)
            return Over(band.LayerThickness ?? Length.Zero) with { Figure = Total(band.LayerThickness ?? Length.Zero).ToString() };
        return OverRange.Judge(
            [new OpenRange(OpenFigure.LayerThickness, "thickness of one layer", UsualRange.Layer(band.Material, limits), MoreIsBetter: false)],
            (layer, _) => IsTall(layer) ? Verdict.Compromise : Verdict.Fits, (layer, _) => Over(layer),
            verdict => verdict == Verdict.Fits ? $"it sits well on a wrist of {wrist}" : $"it sits tall on a wrist of {wrist}, and tips");

        Length Total(Length layer) => head + (band.Layers ?? 0) * layer;

        bool IsTall(Length layer)
        {
            var seems = watch.CaseShape == CaseShape.FlatSided ? Total(layer) + limits[Limit.FlatSided] : Total(layer);
            // Height × 12 against the wrist keeps the share whole.
            return seems.Micrometres * limits.Thousandths(Limit.WristOverHeight) > wrist.Micrometres * 1000;
        }

        RuleVerdict Over(Length layer) => IsTall(layer)
            ? new RuleVerdict(Name, Verdict.Compromise, $"{Total(layer)} high on a wrist of {wrist} sits tall and tips; wear it snugger.")
            : new RuleVerdict(Name, Verdict.Fits, $"{Total(layer)} high on a wrist of {wrist} sits well.");
    }
}
