using IronLoop.Core.Shelf;

namespace IronLoop.Storage;

/// <summary>The shop's spring bars and limits, read once until a table they were read from is written.</summary>
/// <param name="changes">What is stored in the shop.</param>
internal sealed class KnownHouse(JobChanges changes)
{
    private readonly Lock _lock = new();
    private House? _known;
    private Tables _from;
    private long _readAt;

    /// <summary>As it stands in a piece of work.</summary>
    public House Of(ShopWork work, Func<House> read)
    {
        lock (_lock)
        {
            if (_known is { } known && !work.Written.Meets(_from) && changes.Since(_readAt) is { } since && !since.Any(c => c.Tables.Meets(_from)))
            {
                work.Named(_from);
                _readAt += since.Count;
                return known;
            }
        }
        var house = work.Noting(read, out var from);
        if (!work.Written.Meets(from))
            lock (_lock)
                (_known, _from, _readAt) = (house, from, work.ReadFrom);
        return house;
    }
}
