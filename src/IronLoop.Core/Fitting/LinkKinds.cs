using IronLoop.Core.Measuring;

namespace IronLoop.Core.Fitting;

/// <summary>
/// The links that come out and the spares, gathered by kind: links of one pitch are alike and may change sides, so a
/// plan only has to say how many of each kind end on each side.
/// </summary>
internal sealed class LinkKinds
{
    public LinkKinds(PlanRequest request)
    {
        var pitches = new SortedSet<long>();
        foreach (var side in (Side[])[Side.Twelve, Side.Six])
            foreach (var link in request.Bracelet.On(side))
                if (link.Removable)
                    pitches.Add(link.Pitch.Micrometres);
        foreach (var spare in request.Spares)
            if (spare.Count > 0)
                pitches.Add(spare.Pitch.Micrometres);

        Pitch = [.. pitches];
        NowTwelve = Count(request.Bracelet.Twelve);
        NowSix = Count(request.Bracelet.Six);
        AtHand = new int[Pitch.Length];
        for (var kind = 0; kind < Pitch.Length; kind++)
        {
            AtHand[kind] = NowTwelve[kind] + NowSix[kind];
            foreach (var spare in request.Spares)
                if (spare.Pitch.Micrometres == Pitch[kind])
                    AtHand[kind] += spare.Count;
        }
        FixedTwelve = Fixed(request.Bracelet.Twelve);
        FixedSix = Fixed(request.Bracelet.Six);
    }

    /// <summary>Pitches in micrometres, ascending.</summary>
    public long[] Pitch { get; }

    /// <summary>Links of each kind on the 12 side now.</summary>
    public int[] NowTwelve { get; }

    /// <summary>Links of each kind on the 6 side now.</summary>
    public int[] NowSix { get; }

    /// <summary>Links of each kind there are in all, spares included.</summary>
    public int[] AtHand { get; }

    /// <summary>What the links that stay add to the 12 side, in micrometres.</summary>
    public long FixedTwelve { get; }

    /// <summary>What the links that stay add to the 6 side, in micrometres.</summary>
    public long FixedSix { get; }

    private int[] Count(IReadOnlyList<Link> row)
    {
        var counts = new int[Pitch.Length];
        foreach (var link in row)
            if (link.Removable)
                counts[Array.BinarySearch(Pitch, link.Pitch.Micrometres)]++;
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
