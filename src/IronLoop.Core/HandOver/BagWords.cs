using IronLoop.Core.Tray;

namespace IronLoop.Core.HandOver;

/// <summary>What a bag holds, told by the band that it fits.</summary>
public static class BagWords
{
    /// <summary>The lines by the band that they fit, in the order that the bands come up.</summary>
    public static IEnumerable<(string Fits, IReadOnlyList<BagLine> Lines)> ByBand(IEnumerable<BagLine> bag) =>
        bag.GroupBy(l => l.Fits).Select(g => (g.Key, (IReadOnlyList<BagLine>)[.. g]));

    /// <summary>In one sentence: "for the calf strap 2 spring bars; 1 old strap with its pin buckle".</summary>
    public static string Said(IEnumerable<BagLine> bag) =>
        string.Join("; ", ByBand(bag).Select(g => $"{(g.Fits.Length > 0 ? $"for the {g.Fits} " : "")}{string.Join(", ", g.Lines.Select(l => $"{l.Count} {l.What}"))}"));
}
