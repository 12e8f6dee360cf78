using System.Diagnostics;

namespace IronLoop.Storage;

/// <summary>
/// Who writes is served in turn, the first to come first, and whoever waits sleeps: left to themselves writers ask SQLite again and again, and
/// a ready-made lock spins, which on a small machine takes the processor from the one who has the turn.
/// </summary>
internal sealed class Turn
{
    private readonly Lock _lock = new();
    private readonly Queue<Waiting> _waiting = [];
    private bool _isTaken;
    private long _since;

    /// <summary>Told how long each had the turn.</summary>
    public Action<TimeSpan>? Ended { get; set; }

    /// <summary>Waits for one's turn.</summary>
    /// <returns>Whether it came in time; then it is to be ended.</returns>
    public bool Take(TimeSpan patience)
    {
        if (!IsMine(patience))
            return false;
        _since = Stopwatch.GetTimestamp();
        return true;
    }

    private bool IsMine(TimeSpan patience)
    {
        Waiting mine;
        lock (_lock)
        {
            if (!_isTaken)
                return _isTaken = true;
            _waiting.Enqueue(mine = new Waiting());
        }
        if (mine.Called.Wait(patience))
            return true;
        lock (_lock)
        {
            // Called in the last moment all the same.
            if (mine.Called.IsSet)
                return true;
            mine.HasLeft = true;
            return false;
        }
    }

    /// <summary>Ends one's turn; the next who waits has it.</summary>
    public void End()
    {
        Ended?.Invoke(Stopwatch.GetElapsedTime(_since));
        lock (_lock)
        {
            while (_waiting.TryDequeue(out var next))
            {
                if (next.HasLeft)
                    continue;
                next.Called.Set();
                return;
            }
            _isTaken = false;
        }
    }

    private sealed class Waiting
    {
        // It holds nothing of the system's as long as it is only waited for, so nothing is to be let go.
        public ManualResetEventSlim Called { get; } = new(false, spinCount: 0);

        public bool HasLeft { get; set; }
    }
}
