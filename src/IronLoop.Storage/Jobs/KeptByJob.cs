namespace IronLoop.Storage;

/// <summary>Which job something was worked out of, and what else it hangs on.</summary>
/// <param name="Job">The job.</param>
/// <param name="Version">The version it was at.</param>
/// <param name="Watch">Its watch: what was read of it on one visit holds for the next.</param>
/// <param name="Client">Its client.</param>
/// <param name="Band">Its band; null while none is chosen.</param>
/// <param name="BandBefore">The band its watch left with at a former visit; null where there was none.</param>
public readonly record struct KeptOf(long Job, long Version, long Watch, long Client, long? Band, long? BandBefore);

/// <summary>
/// What was worked out of jobs, kept in memory by the version each was at. It is dropped when anything is stored that it hangs on; and what was
/// read before that is not taken in after it.
/// </summary>
/// <typeparam name="T">What is kept.</typeparam>
/// <param name="changes">What is stored in the shop.</param>
/// <param name="most">How many are kept, 1 or more; beyond that the oldest goes.</param>
public class KeptByJob<T>(JobChanges changes, int most)
    where T : class
{
    private readonly Lock _lock = new();
    private readonly Dictionary<(long Job, string For), (KeptOf Of, T Value)> _kept = [];
    private readonly Queue<(long Job, string For)> _order = [];

    // Where a change of a job, a watch, a client or a band has to be looked after.
    private readonly Dictionary<(char Kind, long Id), HashSet<(long Job, string For)>> _by = [];
    private long _caughtUp;

    /// <summary>What is kept of a job; null when nothing is, or it is of another version.</summary>
    /// <param name="job">The job.</param>
    /// <param name="whose">Whose eyes it is for; empty where that does not matter.</param>
    /// <param name="version">The version the job is at.</param>
    public T? Find(long job, string whose, long version)
    {
        lock (_lock)
        {
            CatchUp();
            return _kept.TryGetValue((job, whose), out var kept) && kept.Of.Version == version ? kept.Value : null;
        }
    }

    /// <summary>Uses what is kept of a job, of whatever version; nobody changes it meanwhile.</summary>
    private protected TUsed Use<TUsed>(long job, string whose, Func<T?, TUsed> use)
    {
        lock (_lock)
        {
            CatchUp();
            return use(_kept.TryGetValue((job, whose), out var kept) ? kept.Value : null);
        }
    }

    /// <summary>Whether a change may be one of anything that is kept, and not only of the jobs, watches, clients and bands it names.</summary>
    private protected virtual bool ConcernsAll(Changed changed) => changed.All;

    /// <summary>Whether something kept still stands after a change.</summary>
    private protected virtual bool StandsAfter(T value, KeptOf of, Changed changed) => !changed.Touches(of);

    /// <summary>Keeps it, unless what it hangs on was changed since.</summary>
    /// <param name="of">What it was worked out of.</param>
    /// <param name="whose">Whose eyes it is for.</param>
    /// <param name="value">What is kept.</param>
    /// <param name="readAt">The moment before which it was read, as <see cref="JobChanges.Now"/> told it.</param>
    public void Keep(KeptOf of, string whose, T value, long readAt)
    {
        lock (_lock)
        {
            CatchUp();
            if (changes.Since(readAt) is not { } since || !StandAfterAll(value, of, since))
                return;
            if (!Drop((of.Job, whose)))
                _order.Enqueue((of.Job, whose));
            _kept[(of.Job, whose)] = (of, value);
            foreach (var by in By(of))
                (_by.TryGetValue(by, out var keys) ? keys : _by[by] = []).Add((of.Job, whose));
            while (_kept.Count > most && _order.TryDequeue(out var oldest))
                Drop(oldest);
        }
    }

    private void CatchUp()
    {
        var now = changes.Now;
        if (now == _caughtUp)
            return;
        if (changes.Since(_caughtUp) is not { } since)
        {
            _kept.Clear();
            _order.Clear();
            _by.Clear();
        }
        else
        {
            foreach (var changed in since)
                foreach (var key in Concerned(changed))
                    if (_kept.TryGetValue(key, out var kept) && !StandsAfter(kept.Value, kept.Of, changed))
                        Drop(key);
            // What was dropped and kept anew stands in the order once more.
            if (_order.Count > 2 * most)
            {
                _order.Clear();
                foreach (var key in _kept.Keys)
                    _order.Enqueue(key);
            }
        }
        _caughtUp = now;
    }

    private List<(long Job, string For)> Concerned(Changed changed) => ConcernsAll(changed) ? [.. _kept.Keys]
        : [.. changed.Jobs.Select(j => ('j', j)).Concat(changed.Watches.Select(w => ('w', w))).Concat(changed.Clients.Select(c => ('c', c))).Concat(changed.Bands.Union(changed.Counted).Select(b => ('b', b)))
            .SelectMany(by => _by.GetValueOrDefault(by) ?? []).Distinct()];

    private static IEnumerable<(char Kind, long Id)> By(KeptOf of)
    {
        yield return ('j', of.Job);
        yield return ('w', of.Watch);
        yield return ('c', of.Client);
        if (of.Band is { } band)
            yield return ('b', band);
        if (of.BandBefore is { } before)
            yield return ('b', before);
    }

    private bool Drop((long Job, string For) key)
    {
        if (!_kept.Remove(key, out var kept))
            return false;
        foreach (var by in By(kept.Of))
            if (_by.TryGetValue(by, out var keys) && keys.Remove(key) && keys.Count == 0)
                _by.Remove(by);
        return true;
    }

    private bool StandAfterAll(T value, KeptOf of, IReadOnlyList<Changed> since)
    {
        foreach (var changed in since)
            if (!StandsAfter(value, of, changed))
                return false;
        return true;
    }
}
