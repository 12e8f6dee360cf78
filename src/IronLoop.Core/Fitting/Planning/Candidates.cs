using System.Runtime.InteropServices;

namespace IronLoop.Core.Fitting;

/// <summary>Plans gathered in one region, with their counts side by side in one list.</summary>
/// <param name="kinds">How many kinds of links there are.</param>
/// <param name="effort">What gathering and weighing them may cost.</param>
internal sealed class Candidates(int kinds, Effort effort)
{
    private readonly List<PlanRank> _ranks = [];
    private readonly List<int> _counts = [];
    private readonly List<bool> _taken = [];

    public readonly record struct Taken(PlanRank Rank, int[] Twelve, int[] Six);

    public void Clear()
    {
        _ranks.Clear();
        _counts.Clear();
        _taken.Clear();
    }

    public void Add(in PlanRank rank, int[] twelve, int[] six)
    {
        // Its counts, on both sides, lie in a list that doubles as it grows.
        effort.Take(Effort.Kept + 3 * kinds);
        _ranks.Add(rank);
        _taken.Add(false);
        _counts.AddRange(twelve);
        _counts.AddRange(six);
    }

    /// <summary>Whether the one gathered last stands before this plan.</summary>
    public bool HasBefore(in PlanRank rank, int[] twelve, int[] six)
    {
        if (_ranks.Count == 0)
            return false;
        var order = _ranks[^1].CompareTo(rank);
        return order != 0 ? order < 0 : !IsSmaller(twelve, six, _ranks.Count - 1);
    }

    /// <summary>Takes out the first in rank that none of those kept dominates; null when there is none.</summary>
    public Taken? TakeFirst(IReadOnlyList<PlanRank> kept)
    {
        effort.Take(_ranks.Count);
        var first = -1;
        for (var i = 0; i < _ranks.Count; i++)
        {
            if (_taken[i] || first >= 0 && IsAfter(i, first))
                continue;
            // One that is dominated now is dominated for good.
            _taken[i] = IsDominated(_ranks[i], kept);
            if (!_taken[i])
                first = i;
        }
        if (first < 0)
            return null;
        var taken = new Taken(_ranks[first], [.. Twelve(first)], [.. Six(first)]);
        _taken[first] = true;
        return taken;
    }

    private bool IsAfter(int i, int first)
    {
        var order = _ranks[first].CompareTo(_ranks[i]);
        return order != 0 ? order < 0 : !IsSmaller(Twelve(i), Six(i), first);
    }

    public static bool IsDominated(in PlanRank rank, IReadOnlyList<PlanRank> kept)
    {
        for (var i = 0; i < kept.Count; i++)
            if (kept[i].Dominates(rank))
                return true;
        return false;
    }

    private ReadOnlySpan<int> Twelve(int i) => CollectionsMarshal.AsSpan(_counts).Slice(i * 2 * kinds, kinds);

    private ReadOnlySpan<int> Six(int i) => CollectionsMarshal.AsSpan(_counts).Slice(i * 2 * kinds + kinds, kinds);

    /// <summary>Whether these counts are the smaller list: 12 side first, pitches ascending.</summary>
    private bool IsSmaller(ReadOnlySpan<int> twelve, ReadOnlySpan<int> six, int than)
    {
        var order = twelve.SequenceCompareTo(Twelve(than));
        return order != 0 ? order < 0 : six.SequenceCompareTo(Six(than)) < 0;
    }
}
