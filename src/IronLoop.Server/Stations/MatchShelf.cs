using IronLoop.Core.Bands;
using IronLoop.Core.Shelf;
using IronLoop.Storage;

namespace IronLoop.Server.Stations;

/// <summary>The shop's stock, made ready for questions and kept in memory; a band that changes is changed there too.</summary>
internal sealed class MatchShelf
{
    private readonly Lock _lock = new();
    private BandShelf? _shelf;
    private IReadOnlyList<string> _finishes = [];
    private IReadOnlyList<string> _colours = [];
    private long _version;

    /// <summary>The shelf with the finishes and colours on it, as they are now.</summary>
    public (BandShelf Shelf, IReadOnlyList<string> Finishes, IReadOnlyList<string> Colours) Now(ShopFile shop)
    {
        lock (_lock)
        {
            // Read before the bands are: what changes meanwhile is looked at again next time.
            var version = shop.BandChanges.Version;
            var changed = _shelf is null ? null : shop.BandChanges.Since(_version);
            if (_shelf is not null && changed is { Count: 0 })
                return (_shelf, _finishes, _colours);
            using var work = shop.Look();
            if (_shelf is null || changed is null)
                TakeAll(work);
            else
                TakeFew(work, _shelf, changed);
            _version = version;
            return (_shelf!, _finishes, _colours);
        }
    }

    private void TakeAll(ShopWork work)
    {
        var stock = Bands.OnTheShelf(work);
        var reaches = Reaches.OfAll(work);
        _shelf = BandShelf.Of(stock.Select(b => OnShelf(b, reaches.GetValueOrDefault(b.Id))));
        _finishes = Distinct(stock.Select(b => b.Finish));
        _colours = Distinct(stock.Select(b => b.Colour));
    }

    private void TakeFew(ShopWork work, BandShelf shelf, IReadOnlySet<long> changed)
    {
        var now = Bands.Find(work, changed).Values.Where(b => b.OwnerClientId is null).ToList();
        _shelf = shelf.With(now.Select(b => OnShelf(b, Reaches.OfBand(work, b.Id))), changed.Except(now.Select(b => b.Id)).ToHashSet());
        _finishes = Distinct(_finishes.Concat(now.Select(b => b.Finish)));
        _colours = Distinct(_colours.Concat(now.Select(b => b.Colour)));
    }

    public static Shelved OnShelf(StockBand stock, ShelfReach? reach) => new(stock.Id, stock.Band, stock.PriceCents, stock.InStock, reach, stock.Name);

    private static string[] Distinct(IEnumerable<string> words) =>
        [.. words.Where(w => w.Length > 0).Distinct(StringComparer.OrdinalIgnoreCase).Order(StringComparer.OrdinalIgnoreCase).Take(200)];
}
