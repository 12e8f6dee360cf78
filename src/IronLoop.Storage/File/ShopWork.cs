using System.Globalization;
using IronLoop.Core.Measuring;
using Microsoft.Data.Sqlite;
using SQLitePCL;

namespace IronLoop.Storage;

/// <summary>
/// One piece of work on the shop's file, in one transaction. Disposing it without <see cref="Commit"/> leaves the file
/// as it was.
/// </summary>
public sealed class ShopWork : IDisposable
{
    private readonly Line _line;
    private readonly ShopFile _shop;
    private SqliteTransaction _transaction;
    private Action? _onEnded;
    private Action? _onCommitted;
    private readonly HashSet<long> _bandsOnTheShelf = [];
    private readonly int _rowsBefore;
    private Changed _changed = new();
    private Tables _named;

    internal ShopWork(ShopFile shop, Line line, bool writing, Action? onEnded = null)
    {
        (_shop, _line, IsLooking) = (shop, line, !writing);
        ReadFrom = shop.JobChanges.Now;
        try
        {
            // A writer takes the write lock at once, so that what it read cannot change before it writes.
            _transaction = line.Connection.BeginTransaction(deferred: !writing);
        }
        catch
        {
            line.Dispose();
            throw;
        }
        _rowsBefore = raw.sqlite3_total_changes(line.Connection.Handle);
        _onEnded = onEnded;
    }

    /// <summary>Whose work it is; null where it is nobody's, or nothing is written.</summary>
    public Hand? Hand { get; internal init; }

    /// <summary>Initials of whoever is signed in and does it; null where nobody has to be.</summary>
    public string? By { get => Hand?.By ?? field; internal init; }

    /// <summary>The moment before which all of it is read, as the shop's <see cref="JobChanges"/> tell it.</summary>
    public long ReadFrom { get; private set; }

    /// <summary>Whether nothing was written in it yet but whose hand it is: what was known before still stands.</summary>
    internal bool IsUntouched { get; private set; } = true;

    /// <summary>Whether it only reads: from its beginning, or since it was stored.</summary>
    internal bool IsLooking { get; private set; }

    /// <summary>What is kept in memory of the jobs.</summary>
    internal KnownJobs Known => _shop.Known;

    /// <summary>The tables that are written in it and not stored yet.</summary>
    internal Tables Written => _changed.Tables;

    /// <summary>How long steps take here.</summary>
    internal Pace Pace => _shop.Pace;

    /// <summary>The words of the jobs that are open.</summary>
    internal OpenVisits OpenVisits => _shop.OpenVisits;

    /// <summary>
    /// Stores everything done in this piece of work, and lets others write. What is asked through it from then on is how the shop stands
    /// after it; nothing more can be written.
    /// </summary>
    public void Commit()
    {
        _changed.Complete(this);
        // Told before it can be seen, so that nobody puts what it changes together with what they knew; and after it, so that nobody keeps
        // what they read meanwhile.
        _shop.JobChanges.Tell(_changed);
        _transaction.Commit();
        _onCommitted?.Invoke();
        if (_bandsOnTheShelf.Count > 0)
            _shop.BandChanges.Add(_bandsOnTheShelf);
        _shop.JobChanges.Tell(_changed);
        Hand?.Note(_changed);
        Interlocked.Exchange(ref _onEnded, null)?.Invoke();
        _changed = new Changed();
        (IsUntouched, IsLooking) = (true, true);
        ReadFrom = _shop.JobChanges.Now;
        _transaction.Dispose();
        _transaction = _line.Connection.BeginTransaction(deferred: true);
    }

    /// <summary>Says what is to be done once this piece of work is stored.</summary>
    internal void OnCommitted(Action then) => _onCommitted = then;

    /// <summary>Says that a band is changed in this piece of work.</summary>
    internal void BandChanged(long id)
    {
        _changed.Bands.Add(id);
        _bandsOnTheShelf.Add(id);
    }

    /// <summary>Says that there are more or fewer of a band, which is as it was otherwise.</summary>
    internal void BandCounted(long id)
    {
        _changed.Counted.Add(id);
        _bandsOnTheShelf.Add(id);
    }

    /// <summary>Says that all there is so far is whose hand it is.</summary>
    internal void HandIsLaidOn()
    {
        IsUntouched = true;
        _changed.OnlyTheHand();
    }

    /// <inheritdoc />
    public void Dispose()
    {
        try
        {
            _transaction.Dispose();
            _shop.GiveBack(_line, raw.sqlite3_total_changes(_line.Connection.Handle) - _rowsBefore);
        }
        finally
        {
            // Whatever became of it, the next may write.
            Interlocked.Exchange(ref _onEnded, null)?.Invoke();
        }
    }

    internal int Execute(string sql, params ReadOnlySpan<(string Name, object? Value)> values)
    {
        var command = Writing(sql, values);
        var rows = command.ExecuteNonQuery();
        _line.GiveBack(command);
        return rows;
    }

    internal long Insert(string sql, params ReadOnlySpan<(string Name, object? Value)> values)
    {
        var command = Writing(sql + " RETURNING id", values);
        var id = (long)command.ExecuteScalar()!;
        _line.GiveBack(command);
        return id;
    }

    internal List<T> Query<T>(string sql, Func<SqliteDataReader, T> map, params ReadOnlySpan<(string Name, object? Value)> values)
    {
        var command = Command(sql, values);
        var rows = new List<T>();
        using (var reader = command.ExecuteReader())
            while (reader.Read())
                rows.Add(map(reader));
        _line.GiveBack(command);
        return rows;
    }

    /// <summary>Row after row, as they are asked for: none is kept.</summary>
    internal IEnumerable<T> Each<T>(string sql, Func<SqliteDataReader, T> map, params (string Name, object? Value)[] values)
    {
        using var command = Command(sql, values);
        using var reader = command.ExecuteReader();
        while (reader.Read())
            yield return map(reader);
    }

    /// <summary>The shop's spring bars and limits.</summary>
    internal KnownHouse House => _shop.House;

    /// <summary>Says that something is known which was read from tables before.</summary>
    internal void Named(Tables from) => _named |= from;

    /// <summary>Reads something, and says from which tables.</summary>
    internal T Noting<T>(Func<T> read, out Tables from)
    {
        var before = _named;
        _named = Tables.None;
        var value = read();
        from = _named;
        _named |= before;
        return value;
    }

    private SqliteCommand Writing(string sql, ReadOnlySpan<(string Name, object? Value)> values)
    {
        if (IsLooking)
            throw new InvalidOperationException("This piece of work only looks; nothing can be written in it.");
        _changed.Add(sql, values, _shop.Schema.Written(sql), Hand?.JobId);
        IsUntouched = false;
        return Command(sql, values);
    }

    // A statement that fails is not given back: it may be in the middle of something.
    private SqliteCommand Command(string sql, ReadOnlySpan<(string Name, object? Value)> values)
    {
        _named |= _shop.Schema.Named(sql);
        var command = _line.Take(sql, _transaction);
        foreach (var (name, value) in values)
        {
            if (command.Parameters.IndexOf(name) is var at and >= 0)
                command.Parameters[at].Value = ToStored(value);
            else
                command.Parameters.AddWithValue(name, ToStored(value));
        }
        return command;
    }

    /// <summary>How each kind of value is stored: lengths as micrometres, days and times as ISO 8601 text, choices by name.</summary>
    private static object ToStored(object? value) => value switch
    {
        null => DBNull.Value,
        Length length => length.Micrometres,
        DateOnly day => day.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture),
        DateTimeOffset time => time.ToUniversalTime().ToString("yyyy-MM-dd'T'HH:mm:ss.fff'Z'", CultureInfo.InvariantCulture),
        bool yes => yes ? 1L : 0L,
        Enum choice => choice.ToString(),
        _ => value,
    };
}

/// <summary>Reads stored values back by column name.</summary>
internal static class Columns
{
    public static long Number(this SqliteDataReader row, string column) => row.GetInt64(row.GetOrdinal(column));

    public static int Count(this SqliteDataReader row, string column) => row.GetInt32(row.GetOrdinal(column));

    public static string Text(this SqliteDataReader row, string column) => row.GetString(row.GetOrdinal(column));

    public static char Mark(this SqliteDataReader row, string column) => row.Text(column) is [var mark, ..] ? mark : '\0';

    public static string Mark(char mark) => mark == '\0' ? "" : mark.ToString();

    public static bool Yes(this SqliteDataReader row, string column) => row.Number(column) != 0;

    public static Length Length(this SqliteDataReader row, string column) => new(row.Number(column));

    public static TChoice Choice<TChoice>(this SqliteDataReader row, string column)
        where TChoice : struct, Enum => Enum.Parse<TChoice>(row.Text(column));

    public static DateOnly Day(this SqliteDataReader row, string column) =>
        DateOnly.ParseExact(row.Text(column), "yyyy-MM-dd", CultureInfo.InvariantCulture);

    public static DateTimeOffset Time(this SqliteDataReader row, string column) =>
        DateTimeOffset.Parse(row.Text(column), CultureInfo.InvariantCulture, DateTimeStyles.AssumeUniversal);

    public static T? Maybe<T>(this SqliteDataReader row, string column, Func<SqliteDataReader, string, T> read)
        where T : struct => row.IsDBNull(row.GetOrdinal(column)) ? null : read(row, column);

    public static string? MaybeText(this SqliteDataReader row, string column) =>
        row.IsDBNull(row.GetOrdinal(column)) ? null : row.Text(column);
}
