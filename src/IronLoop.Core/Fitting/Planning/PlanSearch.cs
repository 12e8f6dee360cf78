namespace IronLoop.Core.Fitting;

/// <summary>
/// Finds the plans that rank first among those no other plan dominates. It works through regions that the rank order itself
/// cuts off, from the front: all plans that can be worn with no more trouble than so much, then with more; then those that
/// miss the window by no more than so much, then by more. Within a region nothing is left out, and what lies outside ranks
/// after all that lies inside; so it answers the same as trying every combination.
/// </summary>
/// <remarks>
/// A region of trouble is a range for the length and one for the centre, so each side's sum lies in a range of its own, and
/// <see cref="CountWalk"/> goes through the counts that can reach it. The least trouble there can be is the least shortfall
/// of any position; plans with just that rank by the links moved, so they are gone through by few links moved first. A plan
/// that dominates another also ranks before it: once a region is whole, its plans taken in rank order and kept where none
/// kept before dominates them are the unbeaten ones.
/// </remarks>
internal sealed class PlanSearch
{
    // Below this many ways to share the links out, going through them link by link moved costs more than it saves.
    private const double Few = 200_000;

    private readonly double _few;

    private readonly PlanRequest _request;
    private readonly LinkKinds _kinds;
    private readonly CountWalk _walk;
    private readonly Candidates _candidates;
    private readonly List<Plan> _kept = [];
    private readonly List<PlanRank> _keptRanks = [];
    private readonly int _cameTwelve;
    private readonly int _cameSix;
    private readonly long[] _shortfall;
    private readonly long _least;
    private readonly long _target;
    private readonly long _window;

    private int _wanted;

    // The region now gone through: within these, and beyond the region before.
    private long _misfitTo;
    private long _misfitAbove;
    private long _troubleTo;
    private long _troubleAbove;

    /// <summary>A search.</summary>
    /// <param name="request">What is wanted.</param>
    /// <param name="few">Ways to share the links out below which the least trouble is gone through in growing steps.</param>
    public PlanSearch(PlanRequest request, double few = Few)
    {
        _few = few;
        _request = request;
        _kinds = new LinkKinds(request);
        _walk = new CountWalk(_kinds, request.Effort);
        _candidates = new Candidates(_kinds.Pitch.Length, request.Effort);
        (_cameTwelve, _cameSix) = (_kinds.NowTwelve.Sum(), _kinds.NowSix.Sum());
        (_target, _window) = (request.Target.Length.Micrometres, request.Target.Window.Micrometres);
        _shortfall = new long[request.Clasp.Positions];
        for (var position = 0; position < _shortfall.Length; position++)
            _shortfall[position] = Amiss.ShortfallAt(request, position);
        _least = _shortfall.Min();
    }

    /// <summary>The first so many plans in rank that no plan dominates; fewer when there are no more.</summary>
    /// <param name="wanted">How many.</param>
    /// <param name="atLeast">How many are enough where the others could not be worn; all of them when null.</param>
    /// <exception cref="PlanTooLargeException">More combinations than are searched.</exception>
    public IReadOnlyList<Plan> First(int wanted, int? atLeast = null)
    {
        _wanted = wanted;
        (_misfitTo, _misfitAbove) = (0, -1);
        WithTheLeastTrouble();
        // Then with more trouble, in growing steps, until everything that can be worn is in.
        var (shortest, longest) = Ends();
        var mostTrouble = 2 * _window + longest + Math.Abs(2 * _request.Centring.Desired.Micrometres) + 2 * _shortfall.Max();
        for (var more = 1_000L; _kept.Count < _wanted && _troubleTo < mostTrouble; more *= 2)
        {
            (_troubleAbove, _troubleTo) = (_troubleTo, 2 * _least + 2 * more);
            Gather(0, null);
        }
        // Nothing more can be worn: then what misses the window by ever more, from the least there can be.
        (_troubleAbove, _troubleTo) = (-1, mostTrouble);
        var leastMisfit = Math.Max(0, Math.Max(shortest - _target, _target - longest) - _window);
        var mostMisfit = Math.Max(_target - shortest, longest - _target);
        for (var more = 1_000L; _kept.Count < (atLeast ?? _wanted) && _misfitTo < mostMisfit; more *= 2)
        {
            (_misfitAbove, _misfitTo) = (_misfitTo, leastMisfit + more);
            Gather(0, null);
        }
        return _kept;
    }

    /// <summary>Shorter than the shortest loop and longer than the longest there can be.</summary>
    private (long Shortest, long Longest) Ends()
    {
        var clasp = _request.Clasp;
        var shortest = _kinds.FixedTwelve + _kinds.FixedSix + clasp.Twelve.Micrometres + clasp.Six.Micrometres;
        var longest = shortest + clasp.Tighter(clasp.Positions - 1).Micrometres;
        for (var kind = 0; kind < _kinds.Pitch.Length; kind++)
            longest += _kinds.AtHand[kind] * _kinds.Pitch[kind];
        return (shortest, longest);
    }

    private void WithTheLeastTrouble()
    {
        (_troubleAbove, _troubleTo) = (-1, 2 * _least);
        var ways = 1.0;
        foreach (var count in _kinds.AtHand)
            ways *= (count + 1.0) * (count + 2) / 2;
        // By ever more links moved: one by one where there are many ways, else in growing steps.
        for (int from = 0, to = ways < _few ? 4 : 0; _kept.Count < _wanted && from <= _walk.MostMoved;)
        {
            Gather(from, to);
            (from, to) = (to + 1, ways < _few ? 2 * to + 4 : to + 1);
        }
    }

    /// <summary>Goes through the region and keeps what nothing dominates, in rank order, until enough is kept.</summary>
    private void Gather(int movedFrom, int? movedTo)
    {
        _candidates.Clear();
        var slack = _troubleTo - 2 * _least;
        var target = _request.Target;
        var far = _misfitTo > 0 ? _window + _misfitTo : Math.Min(_window, target.Tolerance.Micrometres + slack / 2);
        var length = new Span(_target - far, _target + far);
        var desired = 2 * _request.Centring.Desired.Micrometres;
        var off = 2 * _request.Centring.Tolerance.Micrometres + slack;
        // Half loops from length and centre: A12 = (L + C) / 2, A6 = (L − C) / 2.
        var twelve = _misfitTo > 0 ? Span.Any : Halves(length.From + desired - off, length.To + desired + off);
        var six = _misfitTo > 0 ? Span.Any : Halves(length.From - desired - off, length.To - desired + off);
        var clasp = _request.Clasp;
        var micro = Micros();
        var (micro12, micro6) = clasp.MicroSide == Side.Twelve ? (micro, new Span(0, 0)) : (new Span(0, 0), micro);
        var (base12, base6) = (_kinds.FixedTwelve + clasp.Twelve.Micrometres, _kinds.FixedSix + clasp.Six.Micrometres);
        _walk.Go(
            Less(twelve, base12, micro12), Less(six, base6, micro6), Less(length, base12 + base6, micro), movedFrom, movedTo,
            (sum12, sum6, moved) => Weigh(base12 + sum12, base6 + sum6, moved, length));
        Keep();
    }

    internal static Span Halves(long from, long to) => new(Span.CeilingOf(from, 2), Span.FloorOf(to, 2));

    /// <summary>What is left for the links, once clasp and micro-adjust have taken theirs.</summary>
    internal static Span Less(Span wanted, long taken, Span micro) => new(wanted.From - taken - micro.To, wanted.To - taken - micro.From);

    /// <summary>What the micro-adjust may add: positions that alone are not more trouble than the region allows.</summary>
    private Span Micros()
    {
        var (from, to) = (long.MaxValue / 16, -1L);
        for (var position = 0; position < _shortfall.Length; position++)
        {
            if (2 * _shortfall[position] > _troubleTo)
                continue;
            var micro = _request.Clasp.Tighter(position).Micrometres;
            (from, to) = (Math.Min(from, micro), Math.Max(to, micro));
        }
        return new Span(from, to);
    }

    /// <summary>One way to share the links out, in every position that brings it into the region.</summary>
    private void Weigh(long half12, long half6, int moved, Span length)
    {
        if (_request.Odd != OddLink.AsComputed && !_request.Odd.Keeps(_walk.Twelve.Sum() - _cameTwelve, _walk.Six.Sum() - _cameSix))
            return;
        var clasp = _request.Clasp;
        var (first, last) = (0L, clasp.Positions - 1L);
        if (clasp.Positions > 1 && clasp.Step.Micrometres is > 0 and var step)
        {
            first = Math.Max(first, length.FirstCount(half12 + half6, step));
            last = Math.Min(last, length.LastCount(half12 + half6, step));
        }
        for (var position = (int)first; position <= last; position++)
        {
            _request.Effort.Take(1);
            var micro = clasp.Tighter(position).Micrometres;
            var (whole12, whole6) = clasp.MicroSide == Side.Twelve ? (half12 + micro, half6) : (half12, half6 + micro);
            var rank = Rank(whole12, whole6, position, moved);
            var isHere = rank.Misfit > _misfitAbove && rank.Misfit <= _misfitTo
                && (rank.Misfit > 0 || rank.TwiceTrouble > _troubleAbove && rank.TwiceTrouble <= _troubleTo);
            if (!isHere || (_wanted == 1 ? _candidates.HasBefore(rank, _walk.Twelve, _walk.Six) : Candidates.IsDominated(rank, _keptRanks)))
                continue;
            if (_wanted == 1)
                _candidates.Clear();
            _candidates.Add(rank, _walk.Twelve, _walk.Six);
        }
    }

    internal PlanRank Rank(long whole12, long whole6, int position, int moved)
    {
        var clasp = _request.Clasp;
        var amiss = Amiss.Of(_request, whole12, whole6, _shortfall[position]);
        return new PlanRank(
            amiss.Misfit,
            amiss.TwiceTrouble,
            moved,
            amiss.Miss,
            amiss.TwiceCentreMiss,
            position != clasp.Position,
            Math.Abs(2 * position - (clasp.Positions - 1)),
            position,
            -amiss.Length,
            _shortfall[position]);
    }

    private void Keep()
    {
        while (_kept.Count < _wanted && _candidates.TakeFirst(_keptRanks) is { } first)
        {
            _keptRanks.Add(first.Rank);
            _kept.Add(ToPlan(first.Rank, first.Twelve, first.Six));
        }
    }

    internal Plan ToPlan(in PlanRank rank, ReadOnlySpan<int> counts12, ReadOnlySpan<int> counts6)
    {
        var (twelve, six) = (new LinkCount[counts12.Length], new LinkCount[counts6.Length]);
        var (sum12, sum6) = (_kinds.FixedTwelve, _kinds.FixedSix);
        for (var kind = 0; kind < twelve.Length; kind++)
        {
            twelve[kind] = new LinkCount(_kinds.Kind[kind].Pitch, counts12[kind]) { Kind = _kinds.Kind[kind] };
            six[kind] = new LinkCount(_kinds.Kind[kind].Pitch, counts6[kind]) { Kind = _kinds.Kind[kind] };
            sum12 += _kinds.Pitch[kind] * counts12[kind];
            sum6 += _kinds.Pitch[kind] * counts6[kind];
        }
        return new Plan(twelve, six, rank.Position, PlanFigures.Judge(_request, new(sum12), new(sum6), rank.Position, rank.LinksMoved));
    }
}

/// <summary>More ways to arrange the links than the search goes through; nothing was answered rather than something wrong.</summary>
public sealed class PlanTooLargeException : Exception
{
    /// <summary>Says what to do.</summary>
    public PlanTooLargeException()
        : base("This bracelet has more arrangements than are searched exactly: too many links that come out, of too many different pitches. "
            + "Mark links that stay as fixed, or leave out spares that are not needed.")
    {
    }

    /// <summary>Says the same and of which bracelet.</summary>
    /// <param name="message">Which bracelet, and what to do.</param>
    /// <param name="inner">What the search said.</param>
    public PlanTooLargeException(string message, Exception inner)
        : base(message, inner)
    {
    }
}
