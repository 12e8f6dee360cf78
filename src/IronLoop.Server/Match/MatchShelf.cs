using IronLoop.Core.Fitting;
using IronLoop.Core.Jobs;
using IronLoop.Storage;

namespace IronLoop.Server.Match;

/// <summary>The shop's stock, made ready for questions and kept in memory until a band changes.</summary>
internal sealed class MatchShelf
{
    private readonly Lock _lock = new();
    private Shelf? _shelf;
    private IReadOnlyList<string> _finishes = [];
    private IReadOnlyList<string> _colours = [];
    private readonly Dictionary<long, (Shelf? Version, Reach Reach)> _reaches = [];
    private long _version = -1;

    /// <summary>The shelf with the finishes and colours on it, as they are now.</summary>
    public (Shelf Shelf, IReadOnlyList<string> Finishes, IReadOnlyList<string> Colours) Now(ShopFile shop, ShopWork work)
    {
        lock (_lock)
        {
            // Read before the bands are: what changes meanwhile is looked at again next time.
            var version = shop.BandsVersion;
            if (_shelf is null || version != _version)
            {
                var stock = Bands.InStock(work);
                _shelf = Shelf.Of(stock.Select(OnShelf));
                _finishes = Distinct(stock.Select(b => b.Finish));
                _colours = Distinct(stock.Select(b => b.Colour));
                _version = version;
                _reaches.Clear();
            }
            return (_shelf, _finishes, _colours);
        }
    }

    /// <summary>What a bracelet can make, worked out the first time it is shown; other bands are quickly worked out each time.</summary>
    public Reach? ReachOf(StockBand stock)
    {
        if (stock.Band.Links is null)
            return null;
        lock (_lock)
        {
            if (!_reaches.TryGetValue(stock.Id, out var known) || !ReferenceEquals(known.Version, _shelf))
                _reaches[stock.Id] = known = (_shelf, MatchBand.ReachOf(stock.Band, null)!);
            return known.Reach;
        }
    }

    public static Shelved OnShelf(StockBand stock) => new(stock.Id, stock.Band, stock.PriceCents, stock.InStock);

    private static string[] Distinct(IEnumerable<string> words) =>
        [.. words.Where(w => w.Length > 0).Distinct(StringComparer.OrdinalIgnoreCase).Order(StringComparer.OrdinalIgnoreCase).Take(200)];
}
