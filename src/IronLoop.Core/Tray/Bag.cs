using IronLoop.Core.Fitting;

namespace IronLoop.Core.Tray;

/// <summary>Parts of one kind that go into the owner's bag.</summary>
/// <param name="What">What they are, in the trade's words.</param>
/// <param name="Count">How many there must be.</param>
public sealed record BagLine(string What, int Count);

/// <summary>
/// What the owner's bag must hold after the work: every removed link, and one fastener for each, since a run of n
/// links out opens two joints, comes away whole and leaves n fasteners over. Spares that came with the band and were
/// not used stay with it.
/// </summary>
public static class Bag
{
    /// <summary>The bag of a bracelet sized to an arrangement.</summary>
    public static IReadOnlyList<BagLine> Of(Arrangement arrangement, IReadOnlyList<SpareLinks> spares)
    {
        var links = arrangement.Twelve.Concat(arrangement.Six).ToList();
        var lines = arrangement.LooseLinks(spares).Where(l => l.Count > 0).Select(l => new BagLine($"links of {l.Kind}", l.Count)).ToList();
        var removed = links.Count(l => l.Fate == LinkFate.Leaves) - links.Count(l => l.Fate == LinkFate.Joins);
        if (removed > 0)
            lines.Add(new BagLine("fasteners from removed links", removed));
        return lines;
    }
}
