namespace IronLoop.Core.Fitting;

/// <summary>
/// Finds the plan that ranks first among those not dominated by plans already found. For each micro position it goes
/// through the kinds of links, longest pitch first, and for each kind through the counts on both sides, leaving out
/// only what cannot rank before the best plan so far; so it answers the same as trying every combination.
/// </summary>
/// <remarks>
/// What is left out, and why nothing is missed: with some kinds chosen, the lengths still possible form an interval,
/// and so do the centres. The best plan so far limits how far length and centre may be from what is wanted; counts
/// whose intervals lie outside those limits lead only to plans with more misfit or more trouble. Where the best plan can
/// be worn and trouble cannot get less than its, counts that already move more links than it are left out too. Where the
/// house shares links evenly, plans that do not are passed over when they are weighed; the limits come from plans that do.
/// </remarks>
internal sealed class PlanSearch
{
    /// <summary>Counts looked at before a request is called too large; about half a second here.</summary>
    public const long MostLooks = 40_000_000;

    private readonly PlanRequest _request;
    private readonly LinkKinds _kinds;
    private readonly long[] _restSum;
    private readonly int[] _twelve;
    private readonly int[] _six;
    private readonly int[] _bestTwelve;
    private readonly int[] _bestSix;
    private readonly List<(PlanRank Rank, int[] Twelve, int[] Six)> _kept = [];
    private readonly int[] _positions;
    private readonly int _cameTwelve;
    private readonly int _cameSix;

    private PlanRank _best;
    private bool _hasBest;
    private long _looks;

    // What is fixed while one micro position is searched, in micrometres.
    private int _position;
    private long _baseTwelve;
    private long _baseSix;
    private long _shortfall;

    public PlanSearch(PlanRequest request)
    {
        _request = request;
        _kinds = new LinkKinds(request);
        var count = _kinds.Pitch.Length;
        _twelve = new int[count];
        _six = new int[count];
        _bestTwelve = new int[count];
        _bestSix = new int[count];
        // _restSum[k]: all links at hand of the kinds below k, which are chosen after k.
        _restSum = new long[count + 1];
        for (var kind = 0; kind < count; kind++)
            _restSum[kind + 1] = _restSum[kind] + _kinds.AtHand[kind] * _kinds.Pitch[kind];
        (_cameTwelve, _cameSix) = (_kinds.NowTwelve.Sum(), _kinds.NowSix.Sum());
        // Positions with the least shortfall first, then those near the present one: good plans early prune most.
        var clasp = request.Clasp;
        _positions = [.. Enumerable.Range(0, clasp.Positions)
            .OrderBy(m => Shortfall(m)).ThenBy(m => Math.Abs(m - clasp.Position))];
    }

    /// <summary>The next plan in rank that no plan found before dominates, or null when there is none.</summary>
    /// <exception cref="PlanTooLargeException">More combinations than are searched.</exception>
    public Plan? Next()
    {
        _hasBest = false;
        foreach (var position in _positions)
        {
            SetPosition(position);
            if (_hasBest && TroubleAtLeast() > _best.TwiceTrouble && _best.Misfit == 0)
                continue;
            Descend(_kinds.Pitch.Length - 1, 0, 0, 0);
        }
        if (!_hasBest)
            return null;
        _kept.Add((_best, [.. _bestTwelve], [.. _bestSix]));
        return ToPlan();
    }

    private long Shortfall(int position)
    {
        var reserve = _request.Reserve;
        return Math.Max(0, reserve.Tighter.Micrometres - _request.Clasp.Tighter(position).Micrometres)
            + Math.Max(0, reserve.Looser.Micrometres - _request.Clasp.Looser(position).Micrometres);
    }

    private void SetPosition(int position)
    {
        var clasp = _request.Clasp;
        var micro = clasp.Tighter(position).Micrometres;
        _position = position;
        _shortfall = Shortfall(position);
        _baseTwelve = _kinds.FixedTwelve + clasp.Twelve.Micrometres + (clasp.MicroSide == Side.Twelve ? micro : 0);
        _baseSix = _kinds.FixedSix + clasp.Six.Micrometres + (clasp.MicroSide == Side.Six ? micro : 0);
    }

    private long TroubleAtLeast() => 2 * _shortfall;

    private void Descend(int kind, long twelve, long six, int moved)
    {
        if (kind < 0)
        {
            Weigh(twelve, six, moved);
            return;
        }
        var pitch = _kinds.Pitch[kind];
        var atHand = _kinds.AtHand[kind];
        var rest = _restSum[kind];
        for (var n12 = 0; n12 <= _kinds.MostTwelve[kind]; n12++)
        {
            if (++_looks > MostLooks)
                throw new PlanTooLargeException();
            var sum12 = twelve + n12 * pitch;
            var (from, to) = (0L, (long)Math.Min(atHand - n12, _kinds.MostSix[kind]));
            if (_hasBest)
            {
                var limits = Limits();
                // Length with none of the rest must not exceed, with all of it must reach.
                var length = _baseTwelve + _baseSix + sum12 + six;
                from = Math.Max(from, CeilingOf(limits.Shortest - rest - length, pitch));
                to = Math.Min(to, FloorOf(limits.Longest - length, pitch));
                // A12 − A6, with the rest on either side.
                var centre = _baseTwelve + sum12 - _baseSix - six;
                from = Math.Max(from, CeilingOf(centre - rest - limits.CentreMost, pitch));
                to = Math.Min(to, FloorOf(centre + rest - limits.CentreLeast, pitch));
            }
            var moved12 = moved + Math.Abs(n12 - _kinds.NowTwelve[kind]);
            for (var n6 = from; n6 <= to; n6++)
            {
                var movedNow = moved12 + Math.Abs((int)n6 - _kinds.NowSix[kind]);
                if (_hasBest && _best.Misfit == 0 && movedNow > _best.LinksMoved && TroubleAtLeast() >= _best.TwiceTrouble)
                    continue;
                _looks++;
                _twelve[kind] = n12;
                _six[kind] = (int)n6;
                Descend(kind - 1, sum12, six + n6 * pitch, movedNow);
            }
        }
    }

    /// <summary>How far length and centre may lie and still rank before the best plan so far.</summary>
    private (long Shortest, long Longest, long CentreLeast, long CentreMost) Limits()
    {
        const long noLimit = long.MaxValue / 8;
        var target = _request.Target;
        var farthest = target.Window.Micrometres + _best.Misfit;
        var centre = noLimit;
        if (_best.Misfit == 0)
        {
            // Any plan that ranks before has no misfit either, so its trouble counts.
            var twiceLeft = _best.TwiceTrouble - 2 * _shortfall;
            if (twiceLeft < 0)
                return (1, 0, 1, 0);
            farthest = Math.Min(farthest, target.Tolerance.Micrometres + twiceLeft / 2);
            centre = 2 * _request.Centring.Tolerance.Micrometres + twiceLeft;
        }
        var wanted = 2 * _request.Centring.Desired.Micrometres;
        return (target.Length.Micrometres - farthest, target.Length.Micrometres + farthest, wanted - centre, wanted + centre);
    }

    private void Weigh(long twelve, long six, int moved)
    {
        if (_request.Odd != OddLink.AsComputed && !_request.Odd.Keeps(_twelve.Sum() - _cameTwelve, _six.Sum() - _cameSix))
            return;
        var length12 = _baseTwelve + twelve;
        var length6 = _baseSix + six;
        var length = length12 + length6;
        var miss = Math.Abs(length - _request.Target.Length.Micrometres);
        var centreMiss = Math.Abs(length12 - length6 - 2 * _request.Centring.Desired.Micrometres);
        var wander = Math.Max(0, centreMiss - 2 * _request.Centring.Tolerance.Micrometres);
        var rank = new PlanRank(
            Math.Max(0, miss - _request.Target.Window.Micrometres),
            2 * Math.Max(0, miss - _request.Target.Tolerance.Micrometres) + wander + 2 * _shortfall,
            moved,
            miss,
            centreMiss,
            _position != _request.Clasp.Position,
            Math.Abs(2 * _position - (_request.Clasp.Positions - 1)),
            _position,
            -length,
            _shortfall);
        if (_hasBest)
        {
            var order = rank.CompareTo(_best);
            if (order > 0 || order == 0 && !SmallerCounts())
                return;
        }
        foreach (var kept in _kept)
            if (kept.Rank.Dominates(rank)
                || _twelve.AsSpan().SequenceEqual(kept.Twelve) && _six.AsSpan().SequenceEqual(kept.Six) && _position == kept.Rank.Position)
                return;
        _best = rank;
        _hasBest = true;
        _twelve.CopyTo(_bestTwelve, 0);
        _six.CopyTo(_bestSix, 0);
    }

    private bool SmallerCounts()
    {
        var twelve = _twelve.AsSpan().SequenceCompareTo(_bestTwelve);
        return twelve != 0 ? twelve < 0 : _six.AsSpan().SequenceCompareTo(_bestSix) < 0;
    }

    private Plan ToPlan()
    {
        var twelve = new LinkCount[_kinds.Pitch.Length];
        var six = new LinkCount[_kinds.Pitch.Length];
        var (sum12, sum6) = (_kinds.FixedTwelve, _kinds.FixedSix);
        for (var kind = 0; kind < twelve.Length; kind++)
        {
            twelve[kind] = new LinkCount(_kinds.Kind[kind].Pitch, _bestTwelve[kind]) { Kind = _kinds.Kind[kind] };
            six[kind] = new LinkCount(_kinds.Kind[kind].Pitch, _bestSix[kind]) { Kind = _kinds.Kind[kind] };
            sum12 += _kinds.Pitch[kind] * _bestTwelve[kind];
            sum6 += _kinds.Pitch[kind] * _bestSix[kind];
        }
        return new Plan(twelve, six, _best.Position,
            PlanFigures.Judge(_request, new(sum12), new(sum6), _best.Position, _best.LinksMoved));
    }

    private static long FloorOf(long value, long step) => value >= 0 ? value / step : -((-value + step - 1) / step);

    private static long CeilingOf(long value, long step) => -FloorOf(-value, step);
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
