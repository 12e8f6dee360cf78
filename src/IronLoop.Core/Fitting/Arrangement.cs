using IronLoop.Core.Measuring;

namespace IronLoop.Core.Fitting;

/// <summary>What happens to a link.</summary>
public enum LinkFate
{
    /// <summary>It never comes out.</summary>
    Fixed,

    /// <summary>It could come out and stays in.</summary>
    Stays,

    /// <summary>It comes out.</summary>
    Leaves,

    /// <summary>It is put in from the spares.</summary>
    Joins,
}

/// <summary>One link where it lies.</summary>
/// <param name="Pitch">Pivot-to-pivot length.</param>
/// <param name="Fate">What happens to it.</param>
public readonly record struct PlacedLink(Length Pitch, LinkFate Fate)
{
    /// <summary>Whether it is part of the closed loop.</summary>
    public bool InLoop => Fate != LinkFate.Leaves;
}

/// <summary>
/// A plan told link by link: which ones leave, which join, in rows from case to clasp. This is what is drawn, changed
/// by hand and worked at the bench.
/// </summary>
/// <param name="Twelve">The 12 side.</param>
/// <param name="Six">The 6 side.</param>
/// <param name="Position">Micro position.</param>
public sealed record Arrangement(IReadOnlyList<PlacedLink> Twelve, IReadOnlyList<PlacedLink> Six, int Position)
{
    /// <summary>The bracelet as it came, nothing moved.</summary>
    public static Arrangement AsItIs(Bracelet bracelet, BraceletClasp clasp) =>
        new(Place(bracelet.Twelve, []), Place(bracelet.Six, []), clasp.Position);

    /// <summary>
    /// Tells a plan's counts link by link: those that leave are the nearest to the clasp, so that a run comes away
    /// whole and the taper keeps its order; those that join go in at the clasp.
    /// </summary>
    public static Arrangement Of(Bracelet bracelet, Plan plan) =>
        new(Place(bracelet.Twelve, plan.Twelve), Place(bracelet.Six, plan.Six), plan.Position);

    /// <summary>The row of one side.</summary>
    public IReadOnlyList<PlacedLink> On(Side side) => side == Side.Twelve ? Twelve : Six;

    /// <summary>Sum of the pitches of one side's links that are in the loop.</summary>
    public Length Sum(Side side)
    {
        var sum = Length.Zero;
        foreach (var link in On(side))
            if (link.InLoop)
                sum += link.Pitch;
        return sum;
    }

    /// <summary>Links put in or taken out, per side and pitch: a link that leaves where one alike joins does not count.</summary>
    public int LinksMoved()
    {
        var moved = 0;
        foreach (var side in (Side[])[Side.Twelve, Side.Six])
        {
            moved += On(side)
                .Where(l => l.Fate is LinkFate.Leaves or LinkFate.Joins)
                .GroupBy(l => l.Pitch)
                .Sum(g => Math.Abs(g.Sum(l => l.Fate == LinkFate.Joins ? 1 : -1)));
        }
        return moved;
    }

    /// <summary>
    /// The loose links of each pitch beside this arrangement, longest first: spares and links taken out, less those put in.
    /// </summary>
    /// <param name="spares">The spares there were to begin with.</param>
    /// <returns>A count below nought where more were put in than there are.</returns>
    public IReadOnlyList<LinkCount> LooseLinks(IReadOnlyList<SpareLinks> spares)
    {
        var loose = new SortedDictionary<Length, int>(Comparer<Length>.Create(static (a, b) => b.CompareTo(a)));
        foreach (var spare in spares)
            loose[spare.Pitch] = loose.GetValueOrDefault(spare.Pitch) + spare.Count;
        foreach (var link in Twelve.Concat(Six).Where(l => l.Fate is LinkFate.Leaves or LinkFate.Joins))
            loose[link.Pitch] = loose.GetValueOrDefault(link.Pitch) + (link.Fate == LinkFate.Leaves ? 1 : -1);
        return [.. loose.Select(l => new LinkCount(l.Key, l.Value))];
    }

    private static List<PlacedLink> Place(IReadOnlyList<Link> row, IReadOnlyList<LinkCount> wanted)
    {
        var placed = row.Select(l => new PlacedLink(l.Pitch, l.Removable ? LinkFate.Stays : LinkFate.Fixed)).ToList();
        foreach (var (pitch, after) in wanted)
        {
            var change = after - row.Count(l => l.Removable && l.Pitch == pitch);
            for (var i = row.Count - 1; i >= 0 && change < 0; i--)
            {
                if (row[i].Removable && row[i].Pitch == pitch)
                {
                    placed[i] = placed[i] with { Fate = LinkFate.Leaves };
                    change++;
                }
            }
            for (; change > 0; change--)
                placed.Add(new PlacedLink(pitch, LinkFate.Joins));
        }
        return placed;
    }
}
