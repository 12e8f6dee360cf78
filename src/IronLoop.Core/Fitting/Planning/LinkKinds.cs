using IronLoop.Core.Measuring;

namespace IronLoop.Core.Fitting;

/// <summary>
/// The links that come out and the spares, gathered by kind: links of one kind are alike and may change sides unless they
/// are one-sided, so a plan only has to say how many of each kind end on each side.
/// </summary>
internal sealed class LinkKinds
{
    public LinkKinds(PlanRequest request)
    {
        var kinds = new SortedSet<LinkKind>(LinkKind.Order);
        foreach (var side in (Side[])[Side.Twelve, Side.Six])
            foreach (var link in request.Bracelet.On(side))
                if (link.Removable)
                    kinds.Add(link.KindOn(side));
        foreach (var spare in request.Spares)
            if (spare.Count > 0)
                kinds.Add(spare.Kind);

        Kind = [.. kinds];
        Pitch = [.. Kind.Select(k => k.Pitch.Micrometres)];
        NowTwelve = Count(request.Bracelet, Side.Twelve);
        NowSix = Count(request.Bracelet, Side.Six);
        AtHand = new int[Kind.Length];
        MostTwelve = new int[Kind.Length];
        MostSix = new int[Kind.Length];
        for (var kind = 0; kind < Kind.Length; kind++)
        {
            AtHand[kind] = NowTwelve[kind] + NowSix[kind];
            foreach (var spare in request.Spares)
                if (spare.Kind == Kind[kind])
                    AtHand[kind] += spare.Count;
            MostTwelve[kind] = Kind[kind].Only == Side.Six ? 0 : AtHand[kind];
            MostSix[kind] = Kind[kind].Only == Side.Twelve ? 0 : AtHand[kind];
        }
        FixedTwelve = Fixed(request.Bracelet.Twelve);
        FixedSix = Fixed(request.Bracelet.Six);
    }

    /// <summary>The kinds, pitches ascending.</summary>
    public LinkKind[] Kind { get; }

    /// <summary>Pitches in micrometres, ascending.</summary>
    public long[] Pitch { get; }

    /// <summary>Links of each kind on the 12 side now.</summary>
    public int[] NowTwelve { get; }

    /// <summary>Links of each kind on the 6 side now.</summary>
    public int[] NowSix { get; }

    /// <summary>Links of each kind there are in all, spares included.</summary>
    public int[] AtHand { get; }

    /// <summary>How many of each kind may lie on the 12 side.</summary>
    public int[] MostTwelve { get; }

    /// <summary>How many of each kind may lie on the 6 side.</summary>
    public int[] MostSix { get; }

    /// <summary>What the links that stay add to the 12 side, in micrometres.</summary>
    public long FixedTwelve { get; }

    /// <summary>What the links that stay add to the 6 side, in micrometres.</summary>
    public long FixedSix { get; }

    private int[] Count(Bracelet bracelet, Side side)
    {
        var counts = new int[Kind.Length];
        foreach (var link in bracelet.On(side))
            if (link.Removable)
                counts[Array.BinarySearch(Kind, link.KindOn(side), LinkKind.Order)]++;
        return counts;
    }

    private static long Fixed(IReadOnlyList<Link> row)
    {
        var sum = 0L;
        foreach (var link in row)
            if (!link.Removable)
                sum += link.Pitch.Micrometres;
        return sum;
    }
}
