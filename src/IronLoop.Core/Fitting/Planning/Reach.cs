using System.Numerics;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Fitting;

/// <summary>A length the loop can make.</summary>
/// <param name="Length">The length.</param>
/// <param name="LeftBothWays">Whether it can be made with a position (or hole) left each way.</param>
public readonly record struct ReachedLength(Length Length, bool LeftBothWays);

/// <summary>
/// All lengths a band can make with its centre where it should be, shortest first (fit model, section 6).
/// </summary>
public sealed class Reach
{
    private readonly ReachedLength[] _lengths;

    private Reach(ReachedLength[] lengths, IReadOnlyList<Length>? offCentre = null) => (_lengths, OffCentre) = (lengths, offCentre ?? []);

    /// <summary>What it makes only with its clasp off its place, where that was asked for; ascending.</summary>
    public IReadOnlyList<Length> OffCentre { get; }

    /// <summary>The lengths, ascending, each once.</summary>
    public IReadOnlyList<ReachedLength> Lengths => _lengths;

    /// <summary>The shortest, or null when there is none.</summary>
    public Length? Shortest => _lengths.Length == 0 ? null : _lengths[0].Length;

    /// <summary>The longest, or null when there is none.</summary>
    public Length? Longest => _lengths.Length == 0 ? null : _lengths[^1].Length;

    /// <summary>The largest gap between neighbours; nought for a single length, null when there is none.</summary>
    public Length? LargestGap
    {
        get
        {
            if (_lengths.Length == 0)
                return null;
            var largest = Length.Zero;
            for (var i = 1; i < _lengths.Length; i++)
                largest = Length.Max(largest, _lengths[i].Length - _lengths[i - 1].Length);
            return largest;
        }
    }

    /// <summary>Gathers lengths, each kept once; one that can be made with room both ways counts as such.</summary>
    /// <param name="lengths">The lengths.</param>
    /// <param name="offCentre">What is made only with the clasp off its place.</param>
    public static Reach Of(IEnumerable<ReachedLength> lengths, IEnumerable<Length>? offCentre = null)
    {
        var sorted = lengths.ToArray();
        Array.Sort(sorted, static (a, b) => a.Length != b.Length ? a.Length.CompareTo(b.Length) : b.LeftBothWays.CompareTo(a.LeftBothWays));
        var kept = 0;
        for (var i = 0; i < sorted.Length; i++)
            if (kept == 0 || sorted[kept - 1].Length != sorted[i].Length)
                sorted[kept++] = sorted[i];
        Array.Resize(ref sorted, kept);
        return new Reach(sorted, offCentre?.ToList());
    }

    /// <summary>
    /// The reach of a link bracelet: every arrangement and position with no wander. Lengths are whole micrometres, so they are
    /// ticked off along a ruler of micrometres and read from it in order.
    /// </summary>
    /// <exception cref="PlanTooLargeException">More arrangements than are gathered.</exception>
    public static Reach Of(PlanRequest request)
    {
        var (clasp, kinds) = (request.Clasp, new LinkKinds(request));
        var shortest = kinds.FixedTwelve + kinds.FixedSix + clasp.Twelve.Micrometres + clasp.Six.Micrometres;
        var longest = shortest + clasp.Tighter(clasp.Positions - 1).Micrometres;
        for (var kind = 0; kind < kinds.Pitch.Length; kind++)
            longest += kinds.AtHand[kind] * kinds.Pitch[kind];
        var (made, roomy) = (new ulong[(longest - shortest) / 64 + 1], new ulong[(longest - shortest) / 64 + 1]);
        var step = clasp.Positions > 1 ? clasp.Step.Micrometres : 0;
        foreach (var (length, first, last) in Centred(request, kinds))
        {
            request.Effort.Take(last - first + 1);
            for (var position = first; position <= last; position++)
            {
                var tick = length - shortest + position * step;
                made[tick >> 6] |= 1ul << (int)(tick & 63);
                if (position > 0 && position < clasp.Positions - 1)
                    roomy[tick >> 6] |= 1ul << (int)(tick & 63);
            }
        }
        var lengths = new List<ReachedLength>();
        for (var word = 0; word < made.Length; word++)
        {
            for (var left = made[word]; left != 0; left &= left - 1)
            {
                var bit = BitOperations.TrailingZeroCount(left);
                lengths.Add(new ReachedLength(new Length(shortest + 64L * word + bit), (roomy[word] >> bit & 1) != 0));
            }
        }
        return new Reach([.. lengths]);
    }

    /// <summary>The lengths of a link bracelet that it makes only with its clasp further off its place than the tolerance allows.</summary>
    /// <exception cref="PlanTooLargeException">More arrangements than are gathered.</exception>
    public static IReadOnlyList<Length> OffItsPlace(PlanRequest request)
    {
        var inPlace = Of(request)._lengths.Select(l => l.Length).ToHashSet();
        var anywhere = Of(request with { Centring = request.Centring with { Tolerance = Length.FromMillimetres(1_000) } });
        return [.. anywhere._lengths.Select(l => l.Length).Where(l => !inPlace.Contains(l))];
    }

    /// <summary>The reach of a link bracelet together with what it makes only with its clasp off its place.</summary>
    /// <exception cref="PlanTooLargeException">More arrangements than are gathered.</exception>
    public static Reach WithOffCentre(PlanRequest request) => new(Of(request)._lengths, OffItsPlace(request));

    /// <summary>Every length of a link bracelet with no wander, with the position it is made in; some more than once.</summary>
    /// <exception cref="PlanTooLargeException">More arrangements than are gathered.</exception>
    internal static List<(Length Length, int Position)> Arrangements(PlanRequest request)
    {
        var step = request.Clasp.Positions > 1 ? request.Clasp.Step.Micrometres : 0;
        var lengths = new List<(Length Length, int Position)>();
        foreach (var (length, first, last) in Centred(request, new LinkKinds(request)))
        {
            request.Effort.Take((last - first + 1) * Effort.Kept);
            for (var position = first; position <= last; position++)
                lengths.Add((new Length(length + position * step), (int)position));
        }
        return lengths;
    }

    /// <summary>Every arrangement that some position centres: its length in position 0, the tightest, in micrometres, and the first and last position that do.</summary>
    private static IEnumerable<(long Length, long First, long Last)> Centred(PlanRequest request, LinkKinds kinds)
    {
        var clasp = request.Clasp;
        var step = clasp.Positions > 1 ? clasp.Step.Micrometres : 0;
        var tolerance = 2 * request.Centring.Tolerance.Micrometres;
        var apart = (clasp.Twelve - clasp.Six).Micrometres - 2 * request.Centring.Desired.Micrometres;
        foreach (var (sum12, sum6) in HalfLoops(request, kinds))
        {
            // Off the centre wanted by so much, twice over; each position takes a step toward its own side.
            var off = (clasp.MicroSide == Side.Twelve ? 1 : -1) * (sum12 - sum6 + apart);
            var (first, last) = (0L, clasp.Positions - 1L);
            if (step > 0)
                (first, last) = (Math.Max(first, new Span(-tolerance, tolerance).FirstCount(off, step)), Math.Min(last, new Span(-tolerance, tolerance).LastCount(off, step)));
            else if (Math.Abs(off) > tolerance)
                continue;
            if (first <= last)
                yield return (sum12 + sum6 + (clasp.Twelve + clasp.Six).Micrometres, first, last);
        }
    }

    /// <summary>Whether some length lies within the window of a target.</summary>
    public bool Holds(Length target, Length window) => _lengths.Any(l => (l.Length - target).Abs() <= window);

    /// <summary>Whether some length with a position left each way lies within the window of a target.</summary>
    public bool HoldsWithRoom(Length target, Length window) =>
        _lengths.Any(l => l.LeftBothWays && (l.Length - target).Abs() <= window);

    /// <summary>The nearest lengths below and above a target when none lies within its window; null when one does or there is none.</summary>
    public (Length? Below, Length? Above)? GapAt(Length target, Length window)
    {
        if (_lengths.Length == 0 || Holds(target, window))
            return null;
        Length? below = null;
        Length? above = null;
        foreach (var reached in _lengths)
        {
            if (reached.Length < target)
                below = reached.Length;
            else
                above ??= reached.Length;
        }
        return (below, above);
    }

    /// <summary>
    /// Every pair of link sums the two sides can have, some more than once. Pairs that can no longer be centred, whatever is
    /// still to come, are dropped on the way.
    /// </summary>
    private static IEnumerable<(long Twelve, long Six)> HalfLoops(PlanRequest request, LinkKinds kinds)
    {
        var clasp = request.Clasp;
        var microMost = clasp.Tighter(clasp.Positions - 1).Micrometres;
        var apart = clasp.Twelve.Micrometres - clasp.Six.Micrometres - 2 * request.Centring.Desired.Micrometres;
        var tolerance = 2 * request.Centring.Tolerance.Micrometres;
        // A12 − A6 of the links that some position brings within the tolerance.
        var centred = clasp.MicroSide == Side.Twelve
            ? new Span(-tolerance - microMost - apart, tolerance - apart)
            : new Span(-tolerance - apart, tolerance + microMost - apart);
        var rest = 0L;
        for (var kind = 0; kind < kinds.Pitch.Length; kind++)
            rest += kinds.AtHand[kind] * kinds.Pitch[kind];

        var effort = request.Effort;
        IEnumerable<(long Twelve, long Six)> Longer(IEnumerable<(long Twelve, long Six)> pairs, int kind, long after)
        {
            var pitch = kinds.Pitch[kind];
            foreach (var (twelve, six) in pairs)
            {
                for (var n12 = 0; n12 <= kinds.MostTwelve[kind]; n12++)
                {
                    var sum12 = twelve + n12 * pitch;
                    var first = Math.Max(0, Span.CeilingOf(sum12 - six - after - centred.To, pitch));
                    var last = Math.Min(Math.Min(kinds.AtHand[kind] - n12, kinds.MostSix[kind]), Span.FloorOf(sum12 - six + after - centred.From, pitch));
                    effort.Take(1 + Math.Max(0, last - first + 1));
                    for (var n6 = first; n6 <= last; n6++)
                        yield return (sum12, six + n6 * pitch);
                }
            }
        }

        HashSet<(long, long)> Once(IEnumerable<(long, long)> told)
        {
            var once = new HashSet<(long, long)>();
            foreach (var pair in told)
                if (once.Add(pair))
                    effort.Take(Effort.Kept);
            return once;
        }

        IEnumerable<(long Twelve, long Six)> pairs = [(kinds.FixedTwelve, kinds.FixedSix)];
        for (var kind = kinds.Pitch.Length - 1; kind >= 0; kind--)
        {
            rest -= kinds.AtHand[kind] * kinds.Pitch[kind];
            // Many counts come to the same sums; only the last kind's are told as they come.
            pairs = kind > 0 ? Once(Longer(pairs, kind, rest)) : Longer(pairs, kind, rest);
        }
        return pairs;
    }
}
