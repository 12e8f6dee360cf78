using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Jobs;

/// <summary>
/// A link bracelet's reach, packed for looking up: each length with the most that can be left the lesser way when it is
/// made. It is worked out once, when the bracelet is stored.
/// </summary>
public sealed class ShelfReach
{
    private readonly int[] _lengths;
    private readonly int[] _reserves;

    private ShelfReach(int[] lengths, int[] reserves) => (_lengths, _reserves) = (lengths, reserves);

    /// <summary>How many lengths it has.</summary>
    public int Count => _lengths.Length;

    /// <summary>Works out the reach of a bracelet with its clasp and spares, in whole micrometres.</summary>
    public static ShelfReach Of(Band bracelet)
    {
        var request = Sizing.Request(bracelet, new FitTarget(Length.Zero, Length.Zero, Length.Zero));
        var clasp = request.Clasp;
        var best = new SortedDictionary<int, int>();
        foreach (var (length, position) in Reach.Arrangements(request))
        {
            var left = Math.Min(clasp.Tighter(position).Micrometres, clasp.Looser(position).Micrometres);
            var key = (int)length.Micrometres;
            best[key] = Math.Max(best.GetValueOrDefault(key), (int)left);
        }
        return new ShelfReach([.. best.Keys], [.. best.Values]);
    }

    /// <summary>The most that can be left the lesser way with a length inside the window; null when no length is.</summary>
    public Length? Reserve(Length target, Length window)
    {
        var from = target.Micrometres - window.Micrometres;
        var to = target.Micrometres + window.Micrometres;
        var at = Array.BinarySearch(_lengths, (int)from);
        if (at < 0)
            at = ~at;
        var best = -1;
        for (; at < _lengths.Length && _lengths[at] <= to; at++)
            best = Math.Max(best, _reserves[at]);
        return best < 0 ? null : new Length(best);
    }

    /// <summary>The shortest and the longest; null when there is none.</summary>
    public (Length Shortest, Length Longest)? Ends => _lengths.Length == 0 ? null : (new Length(_lengths[0]), new Length(_lengths[^1]));

    /// <summary>What the nearest length misses the window by.</summary>
    public Length Missing(Length target, Length window)
    {
        var nearest = long.MaxValue;
        foreach (var length in _lengths)
            nearest = Math.Min(nearest, Math.Abs(length - target.Micrometres));
        return new Length(Math.Max(0, nearest - window.Micrometres));
    }
}
