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
    /// <summary>The letter that tells it from others of its pitch; '\0' where nothing does.</summary>
    public char Mark { get; init; }

    /// <summary>Whether it goes on its own side only.</summary>
    public bool OneSided { get; init; }

    /// <summary>Its kind, on the side it lies on.</summary>
    public LinkKind KindOn(Side side) => new(Pitch, Mark, OneSided ? side : null);

    /// <summary>A link of a kind, put in from the loose ones.</summary>
    public static PlacedLink Joining(LinkKind kind) => new(kind.Pitch, LinkFate.Joins) { Mark = kind.Mark, OneSided = kind.Only is not null };

    /// <summary>A link of the band that is where it was.</summary>
    public static PlacedLink AsItIs(Link link) =>
        new(link.Pitch, link.Removable ? LinkFate.Stays : LinkFate.Fixed) { Mark = link.Mark, OneSided = link.OneSided };

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
        new(Place(bracelet.Twelve, Side.Twelve, []), Place(bracelet.Six, Side.Six, []), clasp.Position);

    /// <summary>
    /// Tells a plan's counts link by link. Those that leave are one run where that can be, the nearest to the clasp, so that it
    /// comes away whole, two joints are opened and the taper keeps its order; else they are those nearest the clasp. Those that
    /// join go in at the clasp.
    /// </summary>
    public static Arrangement Of(Bracelet bracelet, Plan plan) =>
        new(Place(bracelet.Twelve, Side.Twelve, plan.Twelve), Place(bracelet.Six, Side.Six, plan.Six), plan.Position);

    /// <summary>Whether it is the same, link by link.</summary>
    public bool IsLike(Arrangement other) => Position == other.Position && Twelve.SequenceEqual(other.Twelve) && Six.SequenceEqual(other.Six);

    /// <summary>The row of one side.</summary>
    public IReadOnlyList<PlacedLink> On(Side side) => side == Side.Twelve ? Twelve : Six;

    /// <summary>
    /// The joints that are opened on a side, numbered from the case: joint 0 is at the case, joint n follows link n, and the
    /// last is at the clasp. A run of links that leave opens the joint at each of its ends; where a run leaves beside links that
    /// join, or at the clasp, a joint is opened once.
    /// </summary>
    public IReadOnlyList<int> JointsOpened(Side side)
    {
        var row = On(side);
        var opened = new SortedSet<int>();
        var came = row.Count(l => l.Fate != LinkFate.Joins);
        for (var i = 0; i < came; i++)
        {
            if (row[i].Fate != LinkFate.Leaves)
                continue;
            if (i == 0 || row[i - 1].Fate != LinkFate.Leaves)
                opened.Add(i);
            if (i == came - 1 || row[i + 1].Fate != LinkFate.Leaves)
                opened.Add(i + 1);
        }
        if (row.Count > came)
            opened.Add(came);
        return [.. opened];
    }

    /// <summary>The same with a link said never to be taken, so that one that was out is back; or no longer so.</summary>
    /// <param name="side">Its side.</param>
    /// <param name="ordinal">Its place from the case, 0 first.</param>
    /// <param name="pinned">Whether it is never to be taken.</param>
    public Arrangement Pinned(Side side, int ordinal, bool pinned)
    {
        var row = On(side).ToList();
        row[ordinal] = row[ordinal] with { Fate = pinned ? LinkFate.Fixed : LinkFate.Stays };
        return side == Side.Twelve ? this with { Twelve = row } : this with { Six = row };
    }

    /// <summary>Sum of the pitches of one side's links that are in the loop.</summary>
    public Length Sum(Side side)
    {
        var sum = Length.Zero;
        foreach (var link in On(side))
            if (link.InLoop)
                sum += link.Pitch;
        return sum;
    }

    /// <summary>A side's half of the loop, closed with a clasp.</summary>
    public Length Half(Side side, BraceletClasp clasp) => clasp.Half(side, Sum(side), Position);

    /// <summary>Pivot path of the loop, closed with a clasp.</summary>
    public Length LoopLength(BraceletClasp clasp) => Half(Side.Twelve, clasp) + Half(Side.Six, clasp);

    /// <summary>Links put in or taken out, per side and kind: a link that leaves where one alike joins does not count.</summary>
    public int LinksMoved()
    {
        var moved = 0;
        foreach (var side in (Side[])[Side.Twelve, Side.Six])
        {
            moved += On(side)
                .Where(l => l.Fate is LinkFate.Leaves or LinkFate.Joins)
                .GroupBy(l => l.KindOn(side))
                .Sum(g => Math.Abs(g.Sum(l => l.Fate == LinkFate.Joins ? 1 : -1)));
        }
        return moved;
    }

    /// <summary>
    /// The loose links of each kind beside this arrangement, longest first: spares and links taken out, less those put in.
    /// </summary>
    /// <param name="spares">The spares there were to begin with.</param>
    /// <returns>A count below nought where more were put in than there are.</returns>
    public IReadOnlyList<LinkCount> LooseLinks(IReadOnlyList<SpareLinks> spares)
    {
        var loose = new SortedDictionary<LinkKind, int>(Comparer<LinkKind>.Create(static (a, b) => LinkKind.Order.Compare(b, a)));
        foreach (var spare in spares)
            loose[spare.Kind] = loose.GetValueOrDefault(spare.Kind) + spare.Count;
        foreach (var side in (Side[])[Side.Twelve, Side.Six])
            foreach (var link in On(side).Where(l => l.Fate is LinkFate.Leaves or LinkFate.Joins))
                loose[link.KindOn(side)] = loose.GetValueOrDefault(link.KindOn(side)) + (link.Fate == LinkFate.Leaves ? 1 : -1);
        return [.. loose.Select(l => new LinkCount(l.Key.Pitch, l.Value) { Kind = l.Key })];
    }

    private static List<PlacedLink> Place(IReadOnlyList<Link> row, Side side, IReadOnlyList<LinkCount> wanted)
    {
        var placed = row.Select(PlacedLink.AsItIs).ToList();
        var leave = new Dictionary<LinkKind, int>();
        var join = new List<PlacedLink>();
        foreach (var count in wanted)
        {
            var change = count.Count - row.Count(l => l.Removable && l.KindOn(side) == count.Kind);
            if (change < 0)
                leave[count.Kind] = -change;
            join.AddRange(Enumerable.Repeat(PlacedLink.Joining(count.Kind), Math.Max(0, change)));
        }
        foreach (var i in Leaving(row, side, leave))
            placed[i] = placed[i] with { Fate = LinkFate.Leaves };
        placed.AddRange(join);
        return placed;
    }

    /// <summary>Which links leave: one run that holds just the counts, the one nearest the clasp; else those nearest the clasp.</summary>
    private static IEnumerable<int> Leaving(IReadOnlyList<Link> row, Side side, Dictionary<LinkKind, int> counts)
    {
        var length = counts.Values.Sum();
        for (var from = row.Count - length; from >= 0 && length > 0; from--)
        {
            var run = Enumerable.Range(from, length).Select(i => row[i]).ToList();
            if (run.TrueForAll(l => l.Removable) && run.GroupBy(l => l.KindOn(side)).All(g => counts.GetValueOrDefault(g.Key) == g.Count()))
                return Enumerable.Range(from, length);
        }
        var left = new Dictionary<LinkKind, int>(counts);
        var leaving = new List<int>();
        for (var i = row.Count - 1; i >= 0; i--)
        {
            if (row[i].Removable && left.GetValueOrDefault(row[i].KindOn(side)) > 0)
            {
                left[row[i].KindOn(side)]--;
                leaving.Add(i);
            }
        }
        return leaving;
    }
}
