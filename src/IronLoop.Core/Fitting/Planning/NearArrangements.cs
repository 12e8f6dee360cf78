namespace IronLoop.Core.Fitting;

/// <summary>
/// Goes through the ways to share the links out that come near a length with their centre where it is wanted: those of which some position may
/// do both. The others are told of nowhere that a chance is weighed.
/// </summary>
/// <param name="request">What is wanted.</param>
/// <param name="effort">What it may cost.</param>
internal sealed class NearArrangements(PlanRequest request, Effort effort)
{
    private readonly LinkKinds _kinds = new(request);

    /// <summary>How many kinds of links there are.</summary>
    public int Kinds => _kinds.Pitch.Length;

    /// <summary>Counts on the 12 side, while something is found.</summary>
    public int[] Twelve { get; private set; } = [];

    /// <summary>Counts on the 6 side, while something is found.</summary>
    public int[] Six { get; private set; } = [];

    /// <summary>Goes through them.</summary>
    /// <param name="far">How far from the length wanted, in micrometres.</param>
    /// <param name="found">Is told both half loops at the tightest position, in micrometres, and the links moved.</param>
    /// <exception cref="PlanTooLargeException">More than may be looked at.</exception>
    public void Go(long far, Action<long, long, int> found)
    {
        var walk = new CountWalk(_kinds, effort);
        (Twelve, Six) = (walk.Twelve, walk.Six);
        var (cameTwelve, cameSix) = (_kinds.NowTwelve.Sum(), _kinds.NowSix.Sum());
        var (clasp, wanted) = (request.Clasp, request.Target.Length.Micrometres);
        var length = new Span(wanted - far, wanted + far);
        var (desired, off) = (2 * request.Centring.Desired.Micrometres, 2 * request.Centring.Tolerance.Micrometres);
        var micro = new Span(0, clasp.Tighter(clasp.Positions - 1).Micrometres);
        var (micro12, micro6) = clasp.MicroSide == Side.Twelve ? (micro, new Span(0, 0)) : (new Span(0, 0), micro);
        var (base12, base6) = (_kinds.FixedTwelve + clasp.Twelve.Micrometres, _kinds.FixedSix + clasp.Six.Micrometres);
        walk.Go(
            PlanSearch.Less(PlanSearch.Halves(length.From + desired - off, length.To + desired + off), base12, micro12),
            PlanSearch.Less(PlanSearch.Halves(length.From - desired - off, length.To - desired + off), base6, micro6),
            PlanSearch.Less(length, base12 + base6, micro), 0, null,
            (sum12, sum6, moved) =>
            {
                if (request.Odd != OddLink.AsComputed && !request.Odd.Keeps(walk.Twelve.Sum() - cameTwelve, walk.Six.Sum() - cameSix))
                    return;
                effort.Take(4 + clasp.Positions);
                found(base12 + sum12, base6 + sum6, moved);
            });
    }
}
