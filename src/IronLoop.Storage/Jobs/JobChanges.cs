namespace IronLoop.Storage;

/// <summary>What was stored lately, as far as it touches what is known of jobs, by a running number.</summary>
public sealed class JobChanges
{
    // Who missed more than these knows only that much has changed.
    private const int Remembered = 1_024;

    private readonly Lock _lock = new();
    private readonly Queue<Changed> _recent = [];
    private long _now;

    /// <summary>The running number: it moves on with everything that is stored.</summary>
    public long Now => Interlocked.Read(ref _now);

    /// <summary>What was stored after a moment; null when it is too much to name.</summary>
    internal IReadOnlyList<Changed>? Since(long moment)
    {
        lock (_lock)
        {
            var missed = _now - moment;
            return missed > _recent.Count ? null : missed == 0 ? [] : [.. _recent.Skip(_recent.Count - (int)missed)];
        }
    }

    /// <summary>Says what was stored.</summary>
    internal void Tell(Changed changed)
    {
        if (changed.IsNothing)
            return;
        lock (_lock)
        {
            _recent.Enqueue(changed);
            Interlocked.Increment(ref _now);
            if (_recent.Count > Remembered)
                _recent.Dequeue();
        }
    }
}
