using IronLoop.Core.Measuring;

namespace IronLoop.Core.Matching;

/// <summary>
/// The rule <c>lug-width</c>: the gap between lugs and band, g = lug width − band width. A limit belongs to the better
/// verdict. All limits are house rules.
/// </summary>
public static class LugWidthRule
{
    /// <summary>The rule's name.</summary>
    public const string Name = "lug-width";

    private static readonly Length SoftFits = Length.FromMillimetres(0.5m);
    private static readonly Length SoftShows = Length.FromMillimetres(2);
    private static readonly Length SoftSqueeze = Length.FromMillimetres(-0.5m);
    private static readonly Length RubberSqueeze = Length.FromMillimetres(-0.3m);
    private static readonly Length SoftTrim = Length.FromMillimetres(-1);
    private static readonly Length MetalFits = Length.FromMillimetres(0.3m);
    private static readonly Length MetalPlay = Length.FromMillimetres(1);
    private static readonly Length MetalReading = Length.FromMillimetres(-0.1m);
    private static readonly Length MetalFile = Length.FromMillimetres(-1);

    /// <summary>Judges the widths.</summary>
    public static RuleVerdict Judge(WatchFacts watch, BandFacts band)
    {
        if (watch.LugWidth is not { } lugs)
            return new RuleVerdict(Name, Verdict.Unknown, "Measure the lug width first.");
        var g = lugs - band.Width;
        var widths = $"{band.Width} band between {lugs} lugs";
        return band.IsSoft ? Soft(g, widths, band.Material) : Metal(g, widths, band);
    }

    private static RuleVerdict Soft(Length g, string widths, BandMaterial material)
    {
        if (g > SoftShows)
            return No($"{widths}: {g} too narrow, it would slide about.");
        if (g > SoftFits)
            return Say(Verdict.Compromise, $"{widths}: a gap of {Half(g)} shows each side.");
        if (g >= Length.Zero)
            return Say(Verdict.Fits, $"{widths}: {(g == Length.Zero ? "just right" : $"{g} to spare")}.");
        if (g >= (material == BandMaterial.Rubber ? RubberSqueeze : SoftSqueeze))
            return Say(Verdict.Compromise, $"{widths}: {-g} too wide, it goes in with a squeeze.");
        if (g >= SoftTrim && material != BandMaterial.Rubber)
        {
            return new RuleVerdict(Name, Verdict.Work, $"{widths}: {-g} too wide, both edges have to be trimmed.",
                [new PieceOfWork($"Trim {Half(-g)} off each edge at the lugs", Reversible: false)]);
        }
        return No($"{widths}: {-g} too wide.");
    }

    private static RuleVerdict Metal(Length g, string widths, BandFacts band)
    {
        if (g > MetalPlay)
            return No($"{widths}: {g} too narrow for metal.");
        if (g > MetalFits)
            return Say(Verdict.Compromise, $"{widths}: {g} of side play.");
        if (g >= Length.Zero)
            return Say(Verdict.Fits, $"{widths}: {(g == Length.Zero ? "just right" : $"{g} to spare")}.");
        if (g >= MetalReading)
            return Say(Verdict.Compromise, $"{widths}: {-g} too wide, which is inside the reading error; gauge again.");
        if (g < MetalFile)
            return No($"{widths}: {-g} too wide.");
        if (band.Kind == BandKind.Mesh || band.SolidEnd == false)
            return No($"{widths}: {-g} too wide, and {(band.Kind == BandKind.Mesh ? "mesh" : "a hollow end")} cannot be filed.");
        if (band.SolidEnd is null)
            return Say(Verdict.Unknown, $"{widths}: {-g} too wide; look whether the ends are solid, for then they can be filed.");
        return new RuleVerdict(Name, Verdict.Work, $"{widths}: {-g} too wide, the solid ends have to be filed.",
            [new PieceOfWork($"File {Half(-g)} off each side of both end links", Reversible: false)]);
    }

    private static Length Half(Length g) => new(g.Micrometres / 2);

    private static RuleVerdict Say(Verdict verdict, string says) => new(Name, verdict, says);

    private static RuleVerdict No(string says) => new(Name, Verdict.No, says);
}
