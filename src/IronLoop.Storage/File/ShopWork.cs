using System.Globalization;
using IronLoop.Core.Measuring;
using Microsoft.Data.Sqlite;

namespace IronLoop.Storage;

/// <summary>
/// One piece of work on the shop's file, in one transaction. Disposing it without <see cref="Commit"/> leaves the file
/// as it was.
/// </summary>
public sealed class ShopWork : IDisposable
{
    private readonly SqliteConnection _connection;
    private readonly SqliteTransaction _transaction;
    private readonly Action<IReadOnlyCollection<long>> _onBandsCommitted;
    private Action? _onEnded;
    private readonly HashSet<long> _bandsChanged = [];
    private Action? _onCommitted;
    private readonly Dictionary<string, SqliteCommand> _prepared = new(StringComparer.Ordinal);

    internal ShopWork(SqliteConnection connection, bool writing, Action<IReadOnlyCollection<long>> onBandsCommitted, Action onEnded)
    {
        (_connection, _onBandsCommitted) = (connection, onBandsCommitted);
        try
        {
            // A writer takes the write lock at once, so that what it read cannot change before it writes.
            _transaction = connection.BeginTransaction(deferred: !writing);
        }
        catch
        {
            connection.Dispose();
            throw;
        }
        _onEnded = onEnded;
    }

    /// <summary>Whose work it is; null where it is nobody's, or nothing is written.</summary>
    public Hand? Hand { get; internal init; }

    /// <summary>Initials of whoever is signed in and does it; null where nobody has to be.</summary>
    public string? By => Hand?.By;

    /// <summary>Stores everything done in this piece of work.</summary>
    public void Commit()
    {
        _transaction.Commit();
        _onCommitted?.Invoke();
        if (_bandsChanged.Count > 0)
            _onBandsCommitted(_bandsChanged);
    }

    /// <summary>Says what is to be done once this piece of work is stored.</summary>
    internal void OnCommitted(Action then) => _onCommitted = then;

    /// <summary>Says that a band is changed in this piece of work.</summary>
    internal void BandChanged(long id) => _bandsChanged.Add(id);

    /// <inheritdoc />
    public void Dispose()
    {
        foreach (var command in _prepared.Values)
            command.Dispose();
        _transaction.Dispose();
        _connection.Dispose();
        Interlocked.Exchange(ref _onEnded, null)?.Invoke();
    }

    internal int Execute(string sql, params ReadOnlySpan<(string Name, object? Value)> values) => Prepared(sql, values).ExecuteNonQuery();

    internal long Insert(string sql, params ReadOnlySpan<(string Name, object? Value)> values) =>
        (long)Prepared(sql + " RETURNING id", values).ExecuteScalar()!;

    internal List<T> Query<T>(string sql, Func<SqliteDataReader, T> map, params ReadOnlySpan<(string Name, object? Value)> values)
    {
        using var command = Command(sql, values);
        using var reader = command.ExecuteReader();
        var rows = new List<T>();
        while (reader.Read())
            rows.Add(map(reader));
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

    /// <summary>A statement that writes is prepared once for this piece of work: a catalogue runs the same few many thousand times.</summary>
    private SqliteCommand Prepared(string sql, ReadOnlySpan<(string Name, object? Value)> values)
    {
        if (!_prepared.TryGetValue(sql, out var command))
        {
            _prepared[sql] = command = Command(sql, values);
            return command;
        }
        foreach (var (name, value) in values)
            command.Parameters[name].Value = ToStored(value);
        return command;
    }

    private SqliteCommand Command(string sql, ReadOnlySpan<(string Name, object? Value)> values)
    {
        var command = _connection.CreateCommand();
        command.Transaction = _transaction;
        command.CommandText = sql;
        foreach (var (name, value) in values)
            command.Parameters.AddWithValue(name, ToStored(value));
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
