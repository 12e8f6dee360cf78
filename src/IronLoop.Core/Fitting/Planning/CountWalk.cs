namespace IronLoop.Core.Fitting;

/// <summary>A closed range of micrometres.</summary>
internal readonly record struct Span(long From, long To)
{
    public static Span Any { get; } = new(-Far, Far);

    // Far beyond every bracelet, and far from overflow.
    private const long Far = long.MaxValue / 16;

    public bool IsEmpty => From > To;

    /// <summary>The smallest whole n with from ≤ at + n·step.</summary>
    public long FirstCount(long at, long step) => CeilingOf(From - at, step);

    /// <summary>The largest whole n with at + n·step ≤ to.</summary>
    public long LastCount(long at, long step) => FloorOf(To - at, step);

    public static long FloorOf(long value, long step) => value >= 0 ? value / step : -((-value + step - 1) / step);

    public static long CeilingOf(long value, long step) => -FloorOf(-value, step);
}

/// <summary>
/// Goes through all ways to share the links out of which the sums of the two sides lie in given ranges, longest pitch
/// first. With some kinds chosen, the sums still possible form ranges of their own, from what is left and from how many
/// links may still be moved; only counts from which the wanted ranges cannot be reached are left out.
/// </summary>
internal sealed class CountWalk
{
    private readonly LinkKinds _kinds;
    private readonly long[] _restTwelve;
    private readonly long[] _restSix;
    private readonly long[] _restTogether;
    private readonly long[] _nowTwelve;
    private readonly long[] _nowSix;
    private readonly Effort _effort;
    private Span _wantedTwelve;
    private Span _wantedSix;
    private Span _wantedTogether;
    private int _movedAtLeast;
    private bool _isBudgeted;
    private Action<long, long, int> _found = static (_, _, _) => { };

    public CountWalk(LinkKinds kinds, Effort effort)
    {
        (_kinds, _effort) = (kinds, effort);
        var count = kinds.Pitch.Length;
        (Twelve, Six) = (new int[count], new int[count]);
        // Of the kinds below k, which are chosen after it: the most there can be, and what there is now.
        (_restTwelve, _restSix, _restTogether) = (new long[count + 1], new long[count + 1], new long[count + 1]);
        (_nowTwelve, _nowSix) = (new long[count + 1], new long[count + 1]);
        for (var kind = 0; kind < count; kind++)
        {
            var pitch = kinds.Pitch[kind];
            _restTwelve[kind + 1] = _restTwelve[kind] + kinds.MostTwelve[kind] * pitch;
            _restSix[kind + 1] = _restSix[kind] + kinds.MostSix[kind] * pitch;
            _restTogether[kind + 1] = _restTogether[kind] + kinds.AtHand[kind] * pitch;
            _nowTwelve[kind + 1] = _nowTwelve[kind] + kinds.NowTwelve[kind] * pitch;
            _nowSix[kind + 1] = _nowSix[kind] + kinds.NowSix[kind] * pitch;
            MostMoved += Math.Max(kinds.NowTwelve[kind], kinds.MostTwelve[kind] - kinds.NowTwelve[kind])
                + Math.Max(kinds.NowSix[kind], kinds.MostSix[kind] - kinds.NowSix[kind]);
        }
    }

    /// <summary>Counts on the 12 side, while something is found.</summary>
    public int[] Twelve { get; }

    /// <summary>Counts on the 6 side, while something is found.</summary>
    public int[] Six { get; }

    /// <summary>No more links than these can be moved.</summary>
    public int MostMoved { get; }

    /// <summary>Walks; what is found is told as the sums of both sides and the links moved.</summary>
    /// <param name="twelve">The sum wanted on the 12 side.</param>
    /// <param name="six">The sum wanted on the 6 side.</param>
    /// <param name="together">The sum wanted of both.</param>
    /// <param name="movedFrom">No fewer links moved than these.</param>
    /// <param name="movedTo">No more; null when any number may be.</param>
    /// <param name="found">What is done with each.</param>
    /// <exception cref="PlanTooLargeException">More counts than are looked at.</exception>
    public void Go(Span twelve, Span six, Span together, int movedFrom, int? movedTo, Action<long, long, int> found)
    {
        if (twelve.IsEmpty || six.IsEmpty || together.IsEmpty)
            return;
        (_wantedTwelve, _wantedSix, _wantedTogether) = (twelve, six, together);
        (_movedAtLeast, _isBudgeted, _found) = (movedFrom, movedTo is not null, found);
        Descend(_kinds.Pitch.Length - 1, 0, 0, 0, movedTo ?? int.MaxValue);
    }

    private void Descend(int kind, long twelve, long six, int moved, int left)
    {
        if (kind < 0)
        {
            if (moved >= _movedAtLeast)
                _found(twelve, six, moved);
            return;
        }
        var (pitch, now12, now6) = (_kinds.Pitch[kind], _kinds.NowTwelve[kind], _kinds.NowSix[kind]);
        var rest12 = Rest(_restTwelve[kind], _nowTwelve[kind], kind, left);
        var from12 = Math.Max(0, _wantedTwelve.FirstCount(twelve + rest12.To, pitch));
        var to12 = Math.Min(_kinds.MostTwelve[kind], _wantedTwelve.LastCount(twelve + rest12.From, pitch));
        if (_isBudgeted)
            (from12, to12) = (Math.Max(from12, now12 - left), Math.Min(to12, now12 + left));
        for (var n12 = from12; n12 <= to12; n12++)
        {
            _effort.Take(1);
            var left6 = _isBudgeted ? left - (int)Math.Abs(n12 - now12) : left;
            var sum12 = twelve + n12 * pitch;
            var rest6 = Rest(_restSix[kind], _nowSix[kind], kind, left6);
            var from6 = Math.Max(0, _wantedSix.FirstCount(six + rest6.To, pitch));
            var to6 = Math.Min(Math.Min(_kinds.AtHand[kind] - n12, _kinds.MostSix[kind]), _wantedSix.LastCount(six + rest6.From, pitch));
            from6 = Math.Max(from6, _wantedTogether.FirstCount(sum12 + six + _restTogether[kind], pitch));
            to6 = Math.Min(to6, _wantedTogether.LastCount(sum12 + six, pitch));
            if (_isBudgeted)
                (from6, to6) = (Math.Max(from6, now6 - left6), Math.Min(to6, now6 + left6));
            Twelve[kind] = (int)n12;
            var moved12 = moved + (int)Math.Abs(n12 - now12);
            for (var n6 = from6; n6 <= to6; n6++)
            {
                var change6 = (int)Math.Abs(n6 - now6);
                if (kind == 0 && moved12 + change6 < _movedAtLeast)
                {
                    // Nothing more is moved after this: go on where enough is.
                    n6 = now6 + _movedAtLeast - moved12 - 1;
                    continue;
                }
                _effort.Take(1);
                Six[kind] = (int)n6;
                Descend(kind - 1, sum12, six + n6 * pitch, moved12 + change6, left6 - (_isBudgeted ? change6 : 0));
            }
        }
    }

    /// <summary>What the kinds below can still add to a side: from nothing to all, and, with so many links left to move, not far from what they add now.</summary>
    private Span Rest(long most, long now, int kind, int left)
    {
        if (!_isBudgeted || kind == 0)
            return new Span(0, most);
        var far = left * _kinds.Pitch[kind - 1];
        return new Span(Math.Max(0, now - far), Math.Min(most, now + far));
    }
}
