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

    /// <summary>Judges the widths.</summary>
    public static RuleVerdict Judge(WatchFacts watch, BandFacts band, HouseLimits? limits = null)
    {
        limits ??= HouseLimits.Usual;
        if (watch.LugWidth is not { } lugs)
            return new RuleVerdict(Name, Verdict.Unknown, "Measure the lug width first.");
        var verdict = Find(lugs - band.Width, band, limits);
        var said = Say(verdict, lugs, band) with { Figure = $"{(lugs < band.Width ? "−" : "")}{(lugs - band.Width).Abs()}" };
        return watch.LugWidthReadings is var (smallest, largest)
            && Find(smallest - band.Width, band, limits) != Find(largest - band.Width, band, limits)
                ? said with { Says = $"{said.Says} The readings, {smallest} to {largest}, would not agree on this: gauge again." }
                : said;
    }

    /// <summary>Whether the width alone keeps a band off.</summary>
    public static bool Refuses(WatchFacts watch, BandFacts band, HouseLimits limits) => watch.LugWidth is { } lugs && Find(lugs - band.Width, band, limits) == Verdict.No;

    private static Verdict Find(Length g, BandFacts band, HouseLimits limits) => band.IsSoft ? Soft(g, band.Material, limits) : Metal(g, band, limits);

    private static Verdict Soft(Length g, BandMaterial material, HouseLimits limits)
    {
        if (g > limits[Limit.SoftShows]) return Verdict.No;
        if (g > limits[Limit.SoftFits]) return Verdict.Compromise;
        if (g >= Length.Zero) return Verdict.Fits;
        var isRubber = material == BandMaterial.Rubber;
        if (-g <= limits[isRubber ? Limit.RubberSqueeze : Limit.SoftSqueeze]) return Verdict.Compromise;
        return !isRubber && -g <= limits[Limit.SoftTrim] ? Verdict.Work : Verdict.No;
    }

    private static Verdict Metal(Length g, BandFacts band, HouseLimits limits)
    {
        if (g > limits[Limit.MetalPlay]) return Verdict.No;
        if (g > limits[Limit.MetalFits]) return Verdict.Compromise;
        if (g >= Length.Zero) return Verdict.Fits;
        if (-g <= limits[Limit.MetalReading]) return Verdict.Compromise;
        if (-g > limits[Limit.MetalFile] || band.Kind == BandKind.Mesh) return Verdict.No;
        return band.SolidEnd switch
        {
            true => Verdict.Work,
            false => Verdict.No,
            null => Verdict.Unknown,
        };
    }

    private static RuleVerdict Say(Verdict verdict, Length lugs, BandFacts band)
    {
        var g = lugs - band.Width;
        var widths = $"{band.Width} band between {lugs} lugs";
        var isWide = g < Length.Zero;
        return verdict switch
        {
            Verdict.Fits => Say(verdict, $"{widths}: {(g == Length.Zero ? "just right" : $"{g} to spare")}."),
            Verdict.Compromise when band.IsSoft => Say(verdict,
                isWide ? $"{widths}: {-g} too wide, it goes in with a squeeze." : $"{widths}: a gap of {g.Half()} shows each side."),
            Verdict.Compromise => Say(verdict,
                isWide ? $"{widths}: {-g} too wide, which is inside the reading error; gauge again." : $"{widths}: {g} of side play."),
            Verdict.Unknown => Say(verdict, $"{widths}: {-g} too wide; look whether the ends are solid, for then they can be filed."),
            Verdict.Work when band.IsSoft => new RuleVerdict(Name, verdict, $"{widths}: {-g} too wide, both edges have to be trimmed.",
                [new PieceOfWork(WorkKind.Trim, $"Trim {(-g).Half()} off each edge at the lugs", Reversible: false) { Tools = "sharp knife, steel rule", Minutes = 15, Caution = PieceOfWork.Blades }]),
            Verdict.Work => new RuleVerdict(Name, verdict, $"{widths}: {-g} too wide, the solid ends have to be filed.",
                [new PieceOfWork(WorkKind.File, $"File {(-g).Half()} off each side of both end links", Reversible: false) { Tools = "fine flat file, vice with soft jaws", Minutes = 40, Caution = PieceOfWork.Filing }]),
            _ when !isWide => Say(verdict, $"{widths}: {g} too narrow{(band.IsSoft ? ", it would slide about" : " for metal")}."),
            _ when !band.IsSoft && (band.Kind == BandKind.Mesh || band.SolidEnd == false) =>
                Say(verdict, $"{widths}: {-g} too wide, and {(band.Kind == BandKind.Mesh ? "mesh" : "a hollow end")} cannot be filed."),
            _ => Say(verdict, $"{widths}: {-g} too wide."),
        };
    }

    private static RuleVerdict Say(Verdict verdict, string says) => new(Name, verdict, says);
}
