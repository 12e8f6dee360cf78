namespace IronLoop.StandIns.Suppliers;

/// <summary>What is played; what is left out stays as it is.</summary>
/// <param name="Down">Every call answers 503.</param>
/// <param name="FailNext">So many calls answer 500 and do nothing.</param>
/// <param name="LoseNext">So many orders are taken, and their answer never comes.</param>
/// <param name="SlowNext">So many orders are taken, and nobody answers until the caller gives up.</param>
/// <param name="Partly">Orders are shipped half now, half later.</param>
/// <param name="Refuse">Orders are refused.</param>
/// <param name="ForwardHours">The made-up clock is put forward.</param>
internal sealed record PlayWire(bool? Down = null, int? FailNext = null, int? LoseNext = null, int? SlowNext = null, bool? Partly = null, bool? Refuse = null, double? ForwardHours = null);

/// <summary>How the suppliers are today.</summary>
/// <param name="unsteady">Whether every seventh call fails by itself, as happens.</param>
internal sealed class Moods(bool unsteady)
{
    private int _calls;
    private int _failNext;
    private int _loseNext;
    private int _slowNext;
    private int _played;

    /// <summary>How many calls failed, were lost or were slow because it was played.</summary>
    public int Played => Volatile.Read(ref _played);

    public bool Down { get; private set; }

    public bool Partly { get; private set; }

    public bool Refuse { get; private set; }

    public void Play(PlayWire play)
    {
        Down = play.Down ?? Down;
        Partly = play.Partly ?? Partly;
        Refuse = play.Refuse ?? Refuse;
        if (play.FailNext is { } fail)
            Interlocked.Exchange(ref _failNext, fail);
        if (play.LoseNext is { } lose)
            Interlocked.Exchange(ref _loseNext, lose);
        if (play.SlowNext is { } slow)
            Interlocked.Exchange(ref _slowNext, slow);
    }

    public PlayWire Now => new(Down, Volatile.Read(ref _failNext), Volatile.Read(ref _loseNext), Volatile.Read(ref _slowNext), Partly, Refuse);

    /// <summary>Whether this call fails.</summary>
    public bool Fails() => Use(ref _failNext) || unsteady && Interlocked.Increment(ref _calls) % 7 == 0;

    /// <summary>Whether this order's answer is lost.</summary>
    public bool Loses() => Use(ref _loseNext);

    /// <summary>Whether this order's answer never comes.</summary>
    public bool IsSlow() => Use(ref _slowNext);

    private bool Use(ref int left)
    {
        while (true)
        {
            var now = Volatile.Read(ref left);
            if (now <= 0)
                return false;
            if (Interlocked.CompareExchange(ref left, now - 1, now) == now)
            {
                Interlocked.Increment(ref _played);
                return true;
            }
        }
    }
}
