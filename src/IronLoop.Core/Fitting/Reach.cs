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
    /// <summary>Lengths gathered before a request is called too large.</summary>
    public const int MostLengths = 4_000_000;

    /// <summary>Combinations looked at before a request is called too large.</summary>
    public const long MostLooks = 40_000_000;

    private readonly ReachedLength[] _lengths;

    private Reach(ReachedLength[] lengths) => _lengths = lengths;

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
    public static Reach Of(IEnumerable<ReachedLength> lengths)
    {
        var sorted = lengths.ToArray();
        Array.Sort(sorted, static (a, b) => a.Length != b.Length ? a.Length.CompareTo(b.Length) : b.LeftBothWays.CompareTo(a.LeftBothWays));
        var kept = 0;
        for (var i = 0; i < sorted.Length; i++)
            if (kept == 0 || sorted[kept - 1].Length != sorted[i].Length)
                sorted[kept++] = sorted[i];
        Array.Resize(ref sorted, kept);
        return new Reach(sorted);
    }

    /// <summary>The reach of a link bracelet: every arrangement and position with no wander.</summary>
    /// <exception cref="PlanTooLargeException">More arrangements than are gathered.</exception>
    public static Reach Of(PlanRequest request) =>
        Of(Arrangements(request).Select(a => new ReachedLength(a.Length, a.Position > 0 && a.Position < request.Clasp.Positions - 1)));

    /// <summary>Every length of a link bracelet with no wander, with the position it is made in; some more than once.</summary>
    /// <exception cref="PlanTooLargeException">More arrangements than are gathered.</exception>
    internal static List<(Length Length, int Position)> Arrangements(PlanRequest request)
    {
        var clasp = request.Clasp;
        var halves = HalfLoops(request, new LinkKinds(request));
        var wanted = 2 * request.Centring.Desired.Micrometres;
        var centreTolerance = 2 * request.Centring.Tolerance.Micrometres;
        var lengths = new List<(Length Length, int Position)>();
        foreach (var (sum12, sum6) in halves)
        {
            for (var position = 0; position < clasp.Positions; position++)
            {
                var micro = clasp.Tighter(position).Micrometres;
                var twelve = sum12 + clasp.Twelve.Micrometres + (clasp.MicroSide == Side.Twelve ? micro : 0);
                var six = sum6 + clasp.Six.Micrometres + (clasp.MicroSide == Side.Six ? micro : 0);
                if (Math.Abs(twelve - six - wanted) > centreTolerance)
                    continue;
                if (lengths.Count >= MostLengths)
                    throw new PlanTooLargeException();
                lengths.Add((new Length(twelve + six), position));
            }
        }
        return lengths;
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
    /// Every pair of link sums the two sides can have, each once. Pairs that can no longer be centred, whatever is
    /// still to come, are dropped on the way.
    /// </summary>
    private static HashSet<(long Twelve, long Six)> HalfLoops(PlanRequest request, LinkKinds kinds)
    {
        var clasp = request.Clasp;
        var microMost = clasp.Tighter(clasp.Positions - 1).Micrometres;
        var wanted = 2 * request.Centring.Desired.Micrometres;
        var tolerance = 2 * request.Centring.Tolerance.Micrometres;
        var rest = 0L;
        for (var kind = 0; kind < kinds.Pitch.Length; kind++)
            rest += kinds.AtHand[kind] * kinds.Pitch[kind];

        var looks = 0L;
        var pairs = new HashSet<(long Twelve, long Six)> { (kinds.FixedTwelve, kinds.FixedSix) };
        for (var kind = kinds.Pitch.Length - 1; kind >= 0; kind--)
        {
            rest -= kinds.AtHand[kind] * kinds.Pitch[kind];
            var longer = new HashSet<(long Twelve, long Six)>();
            foreach (var (twelve, six) in pairs)
            {
                for (var n12 = 0; n12 <= kinds.MostTwelve[kind]; n12++)
                {
                    for (var n6 = 0; n6 <= Math.Min(kinds.AtHand[kind] - n12, kinds.MostSix[kind]); n6++)
                    {
                        if (++looks > MostLooks)
                            throw new PlanTooLargeException();
                        var pair = (Twelve: twelve + n12 * kinds.Pitch[kind], Six: six + n6 * kinds.Pitch[kind]);
                        var centre = pair.Twelve + clasp.Twelve.Micrometres - pair.Six - clasp.Six.Micrometres - wanted;
                        var (least, most) = clasp.MicroSide == Side.Twelve ? (centre, centre + microMost) : (centre - microMost, centre);
                        if (least - rest > tolerance || most + rest < -tolerance)
                            continue;
                        longer.Add(pair);
                    }
                }
            }
            pairs = longer;
        }
        return pairs;
    }
}
