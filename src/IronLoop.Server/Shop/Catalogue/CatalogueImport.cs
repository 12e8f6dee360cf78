using IronLoop.Core.Fitting;
using IronLoop.Core.Shelf;
using IronLoop.Server.Host;
using IronLoop.Server.Stations;
using IronLoop.Storage;

namespace IronLoop.Server.Shop.Catalogue;

/// <summary>How far an import has come.</summary>
internal enum ImportState
{
    /// <summary>Looked at, not begun.</summary>
    Waiting,

    /// <summary>Reading and storing.</summary>
    Running,

    /// <summary>Stored.</summary>
    Done,

    /// <summary>Nothing was stored.</summary>
    Refused,
}

/// <summary>One catalogue on its way in.</summary>
internal sealed class CatalogueImport(string id, CatalogueFile file)
{
    /// <summary>Bad rows shown; more are counted.</summary>
    public const int MostBad = 500;

    private readonly Lock _lock = new();
    private readonly List<BadCell> _bad = [];
    private int _rows;
    private int _badRows;
    private int _added;
    private int _updated;
    private ImportState _state = ImportState.Waiting;
    private string _says = "";
    private volatile bool _isCancelled;

    public string Id { get; } = id;

    public CatalogueFile File { get; } = file;

    public IReadOnlyDictionary<string, string> Mapping { get; set; } = file.Guess();

    public long Bytes { get; } = new FileInfo(file.Path).Length;

    public CatalogueWire Wire(IReadOnlyList<CatalogueSample>? samples = null)
    {
        lock (_lock)
        {
            return new CatalogueWire(
                Id, File.Kind.Of, _state, File.Delimiter == ';' ? "semicolon" : "comma", File.Decimal == ',' ? "comma" : "point",
                [.. File.Headers.Select(h => new ColumnWire(h, Mapping.GetValueOrDefault(h)))],
                [.. File.Kind.Needed.Where(n => !Mapping.Values.Contains(n))],
                File.Kind.All, samples ?? [], _rows, _badRows, _added, _updated, [.. _bad], _says);
        }
    }

    /// <summary>Looks at all rows without storing any.</summary>
    public CatalogueWire Look(ShopFile shop)
    {
        Begin(ImportState.Waiting);
        using var work = shop.Look();
        var taken = File.Kind.Known(work);
        var samples = new List<CatalogueSample>();
        var seen = new HashSet<string>(StringComparer.Ordinal);
        foreach (var row in File.Rows(Mapping))
        {
            if (Count(row, taken, seen) is { } item && samples.Count < 5)
                samples.Add(new CatalogueSample(row.Line, item.Says));
        }
        return Wire(samples);
    }

    /// <summary>Takes the rows in, in one piece of work: all of them, or, when bad ones are skipped, all the others.</summary>
    public void Run(ShopFile shop, bool skipBad, DateTimeOffset at)
    {
        try
        {
            using var work = shop.Begin();
            var taken = File.Kind.Known(work);
            var seen = new HashSet<string>(StringComparer.Ordinal);
            foreach (var row in File.Rows(Mapping))
            {
                if (_isCancelled)
                {
                    End(ImportState.Refused, "Cancelled; nothing was stored.");
                    return;
                }
                if (Count(row, taken, seen) is { } item)
                    File.Kind.Store(work, item, at);
            }
            if (_badRows > 0 && !skipBad)
            {
                End(ImportState.Refused, $"{_badRows} rows are bad, so nothing was stored. Mend them, or skip them.");
                return;
            }
            work.Commit();
            End(ImportState.Done, $"{_added} {File.Kind.Of} are new, {_updated} were known and are as the catalogue has them{(_badRows > 0 ? $"; {_badRows} bad rows were skipped" : "")}.");
        }
        catch (Exception failed) when (failed is IOException or Microsoft.Data.Sqlite.SqliteException or CsvHelper.CsvFormatException or System.Text.DecoderFallbackException or PlanTooLargeException or StaleException)
        {
            End(ImportState.Refused, $"Nothing was stored: {failed.Message}");
        }
        finally
        {
            System.IO.File.Delete(File.Path);
        }
    }

    /// <summary>Stops an import that is running; nothing of it is stored.</summary>
    public void Cancel() => _isCancelled = true;

    public bool TryBegin()
    {
        lock (_lock)
        {
            if (_state != ImportState.Waiting)
                return false;
            Begin(ImportState.Running);
            return true;
        }
    }

    private void Begin(ImportState state)
    {
        lock (_lock)
        {
            (_rows, _badRows, _added, _updated, _state, _says) = (0, 0, 0, 0, state, "");
            _bad.Clear();
        }
    }

    private void End(ImportState state, string says)
    {
        lock (_lock)
            (_state, _says) = (state, says);
    }

    private CatalogueItem? Count(CatalogueRow row, IReadOnlyDictionary<string, string?> known, HashSet<string> seen)
    {
        lock (_lock)
        {
            _rows++;
            var bad = row.Bad;
            var why = (string?)null;
            if (row.Item is { } item && (known.TryGetValue(item.Key, out why) && why is not null || !seen.Add(item.Key)))
                bad = [new BadCell(row.Line, File.Kind.KeyColumn, item.Key.Replace('\n', ' ').Trim(), why ?? "It stands in an earlier line too.")];
            if (bad.Count > 0)
            {
                _badRows++;
                if (_bad.Count < MostBad)
                    _bad.AddRange(bad);
                return null;
            }
            if (known.ContainsKey(row.Item!.Key))
                _updated++;
            else
                _added++;
            return row.Item;
        }
    }
}
