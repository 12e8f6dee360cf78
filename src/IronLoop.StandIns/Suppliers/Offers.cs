namespace IronLoop.StandIns.Suppliers;

/// <summary>A part that a supplier offers; lengths are millimetres, null where they say nothing about it.</summary>
internal sealed record Offer(string Article, string Name, string Supplier, string Kind, long PriceCents, int Available)
{
    public string Finish { get; init; } = "";
    public string Colour { get; init; } = "";
    public string? Clasp { get; init; }
    public decimal? InnerMm { get; init; }
    public decimal? TubeMm { get; init; }
    public decimal? OverButtonsMm { get; init; }
    public decimal? ThroatMm { get; init; }
    public decimal? BarMm { get; init; }
    public decimal? AddsMm { get; init; }
    public decimal? TwelveMm { get; init; }
    public decimal? SixMm { get; init; }
    public string? MicroSide { get; init; }
    public int? Positions { get; init; }
    public decimal? StepMm { get; init; }
    public decimal? LengthMm { get; init; }
    public decimal? DiameterMm { get; init; }
    public decimal? TipMm { get; init; }
    public decimal? PitchMm { get; init; }
    public decimal? WidthMm { get; init; }
}

/// <summary>What two made-up suppliers have, each with its own make of everything.</summary>
internal static class Offers
{
    public const string Findings = "Fennick & Loe Findings";
    public const string SmallParts = "Quarrel Street Small Parts";

    public static IReadOnlyList<string> Suppliers { get; } = [Findings, SmallParts];

    public static IReadOnlyList<Offer> All { get; } = [.. Clasps(), .. Pins(), .. Bars(), .. Links()];

    private static IEnumerable<Offer> Clasps()
    {
        for (var width = 8m; width <= 26; width += 0.5m)
        {
            var w = Number(width);
            yield return Clasp($"FL-B{w}", "Pin buckle", Findings, "pinBuckle", 480, 40, width) with { ThroatMm = 4.5m, BarMm = 1.5m };
            yield return Clasp($"QS-F{w}", "Folding clasp for straps", SmallParts, "strapFolding", 2_650, 12, width) with
            { ThroatMm = 4, BarMm = 1.5m, AddsMm = 7 };
            yield return Clasp($"FL-M{w}", "Slide clasp", Findings, "slide", 1_900, 8, width);
            yield return Micro(Clasp($"FL-O{w}", "Fold-over, eight holes", Findings, "foldOver", 4_400, 6, width + 0.2m), 18.5m, 20.5m, 8, 1.5m);
            yield return Micro(Clasp($"QS-O{w}", "Fold-over, four holes", SmallParts, "foldOver", 2_900, 15, width + 0.2m), 18, 18, 4, 2.4m);
            yield return Micro(Clasp($"QS-S{w}", "Fold-over with slide", SmallParts, "foldOver", 7_800, 3, width + 0.1m), 21, 20, 12, 1);
            yield return Micro(Clasp($"QS-E{w}", "Extending fold-over", SmallParts, "extending", 8_900, 2, width + 0.2m), 22, 22, 5, 2);
            yield return new Offer($"FL-Y{w}", "Butterfly with push buttons", Findings, "clasp", 3_600, 10)
            {
                Clasp = "butterfly",
                TubeMm = Math.Round(width * 0.45m, 1),
                OverButtonsMm = width + 1.6m,
                TwelveMm = 16.5m,
                SixMm = 16.5m,
                MicroSide = "twelve",
                Positions = 1,
                StepMm = 0,
                Finish = "polished",
                Colour = "steel",
            };
        }
    }

    private static IEnumerable<Offer> Pins()
    {
        foreach (var diameter in (decimal[])[0.8m, 0.9m, 1, 1.1m, 1.2m])
            for (var length = 8m; length <= 26; length += 0.5m)
                yield return new Offer($"FL-P{Number(diameter)}-{Number(length)}", "Friction pin", Findings, "pin", 60, length == 13 ? 3 : 200)
                { DiameterMm = diameter, LengthMm = length };
    }

    private static IEnumerable<Offer> Bars()
    {
        foreach (var body in (decimal[])[1.3m, 1.5m, 1.6m, 1.8m])
            for (var length = 8m; length <= 26; length++)
                yield return new Offer($"QS-SB{Number(body)}-{Number(length)}", "Spring bar", SmallParts, "bar", 90, 150)
                { DiameterMm = body, LengthMm = length, TipMm = 0.8m };
    }

    private static IEnumerable<Offer> Links()
    {
        foreach (var pitch in (decimal[])[4, 4.5m, 5, 5.6m])
            for (var width = 14m; width <= 22; width++)
                yield return new Offer($"QS-L{Number(pitch)}-{Number(width)}", "Half link", SmallParts, "link", 1_200, pitch == 4 ? 0 : 5)
                { PitchMm = pitch, WidthMm = width };
    }

    private static Offer Clasp(string article, string name, string supplier, string clasp, long price, int available, decimal inner) =>
        new(article, name, supplier, "clasp", price, available) { Clasp = clasp, InnerMm = inner, Finish = "brushed", Colour = "steel" };

    private static Offer Micro(Offer clasp, decimal twelve, decimal six, int positions, decimal step) => clasp with
    { TwelveMm = twelve, SixMm = six, MicroSide = "twelve", Positions = positions, StepMm = step, BarMm = 1.5m };

    private static string Number(decimal mm) => mm.ToString("0.#", System.Globalization.CultureInfo.InvariantCulture).Replace('.', 'h');
}
