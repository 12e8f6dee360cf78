namespace IronLoop.Storage;

/// <summary>What was stored lately, as far as it touches what is known of jobs, by a running number.</summary>
public sealed class JobChanges
{
    // Who missed more than these knows only that much has changed.
    private const int Remembered = 8_192;

    private readonly Lock _lock = new();
    private readonly Changed[] _recent = new Changed[Remembered];
    private long _now;

    /// <summary>The running number: it moves on with everything that is stored.</summary>
    public long Now => Interlocked.Read(ref _now);

    /// <summary>What was stored after a moment; null when it is too much to name.</summary>
    internal IReadOnlyList<Changed>? Since(long moment)
    {
        lock (_lock)
        {
            if (_now - moment > Remembered)
                return null;
            var since = new Changed[_now - moment];
            for (var i = 0; i < since.Length; i++)
                since[i] = _recent[(moment + i) % Remembered];
            return since;
        }
    }

    /// <summary>Says what was stored.</summary>
    internal void Tell(Changed changed)
    {
        if (changed.IsNothing)
            return;
        lock (_lock)
        {
            _recent[_now % Remembered] = changed;
            Interlocked.Increment(ref _now);
        }
    }
}
