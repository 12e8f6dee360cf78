using IronLoop.Core.Measuring;

namespace IronLoop.Core.Matching;

/// <summary>What would make a band go on that one rule alone keeps off.</summary>
public static class NearMiss
{
    /// <summary>The cure, as a condition; null when nothing would.</summary>
    /// <param name="refusal">The rule that keeps it off.</param>
    /// <param name="watch">The watch.</param>
    /// <param name="band">The band.</param>
    /// <param name="limits">The house's limits.</param>
    public static string? Cure(RuleVerdict refusal, WatchFacts watch, BandFacts band, HouseLimits limits) => refusal.Rule switch
    {
        LugWidthRule.Name when watch.LugWidth is { } lugs => Width(lugs, band, limits),
        BarGapRule.Name when watch.BarGap is { } gap => band.Attaches == BandAttachment.PullThrough
            ? $"with a layer of at most {new Length((2 * gap - (watch.OwnBar ?? limits[Limit.UsualBar])).Micrometres / 2)}"
            : $"with an end of at most {2 * (gap + limits[Limit.CurvedBar]) - 2 * limits[Limit.EndRoom]}",
        BarBoreRule.Name when watch is { LugWidth: { } lugs, LugHole: { } hole } =>
            $"with a bar for {lugs} lugs in stock whose tips go into {hole} holes",
        SlotRule.Name when watch.SlotHeight is { } slot =>
            $"with an end of at most {(band.Material == BandMaterial.Leather ? slot + limits[Limit.SlotPress] : slot)}",
        EndShapeRule.Name => "with an end made for this case, or a straight one",
        UseRule.Name => "if its metal were declared nickel-safe",
        WearerRule.Name => "with other links, holes or another clasp: the length alone is not there",
        _ => null,
    };

    private static string? Width(Length lugs, BandFacts band, HouseLimits limits)
    {
        var g = lugs - band.Width;
        var widest = limits[band.IsSoft ? Limit.SoftShows : Limit.MetalPlay];
        if (g > widest)
            return $"if it were {g - widest} wider";
        var narrowest = band.IsSoft
            ? limits[band.Material == BandMaterial.Rubber ? Limit.RubberSqueeze : Limit.SoftTrim]
            : limits[band.Kind == BandKind.Mesh || band.SolidEnd != true ? Limit.MetalReading : Limit.MetalFile];
        return -g > narrowest ? $"if it were {-g - narrowest} narrower" : null;
    }
}
