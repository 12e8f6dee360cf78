namespace IronLoop.Storage;

/// <summary>
/// Which bands were changed and when, by a running number: what is made of the bands and kept in memory catches up by
/// the few that changed, or begins anew when they were many.
/// </summary>
public sealed class BandChanges
{
    /// <summary>Bands remembered by number; of more than these only "many" is known.</summary>
    public const int MostNamed = 1_000;

    private readonly Lock _lock = new();
    private readonly Queue<(long Version, IReadOnlyCollection<long> Bands)> _recent = [];
    private int _named;
    private long _version;
    private long _forgottenUpTo;

    /// <summary>The running number: it moves on whenever bands were changed and kept.</summary>
    public long Version
    {
        get
        {
            lock (_lock)
                return _version;
        }
    }

    /// <summary>The bands changed after a version.</summary>
    /// <returns>Null when they are too many to name.</returns>
    public IReadOnlySet<long>? Since(long version)
    {
        lock (_lock)
            return version < _forgottenUpTo ? null : _recent.Where(c => c.Version > version).SelectMany(c => c.Bands).ToHashSet();
    }

    /// <summary>Says that all of them may be others now.</summary>
    internal void All()
    {
        lock (_lock)
        {
            _recent.Clear();
            (_named, _forgottenUpTo) = (0, ++_version);
        }
    }

    internal void Add(IReadOnlyCollection<long> bands)
    {
        lock (_lock)
        {
            _recent.Enqueue((++_version, bands));
            _named += bands.Count;
            while (_named > MostNamed)
            {
                var (forgotten, gone) = _recent.Dequeue();
                (_forgottenUpTo, _named) = (forgotten, _named - gone.Count);
            }
        }
    }
}
