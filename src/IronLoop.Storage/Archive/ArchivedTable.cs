using System.Text.Json;
using Microsoft.Data.Sqlite;

namespace IronLoop.Storage.Archive;

/// <summary>A table as an archive holds it: its columns by name, its rows in the order of its key.</summary>
/// <param name="Name">The table's name.</param>
/// <param name="Columns">Its columns, in their order.</param>
/// <param name="Key">The columns of its primary key.</param>
internal sealed record ArchivedTable(string Name, IReadOnlyList<string> Columns, IReadOnlyList<string> Key)
{
    /// <summary>What each column holds: INTEGER, TEXT, REAL or BLOB, and whether it may be missing.</summary>
    public IReadOnlyList<(string Type, bool Needed)> Types { get; init; } = [];

    // Who may come in stays with the shop that let them: an archive that is passed on opens no door.
    private static readonly HashSet<string> OfTheDoor = new(StringComparer.Ordinal) { "fitter", "session", "door_entry", "shop_key" };

    // What calls under way need to know of one another goes with the program that runs.
    private static readonly HashSet<string> OfTheDay = new(StringComparer.Ordinal) { "press", "sheet" };

    // Made from the rest when a shop is opened: the words' index and what bracelets can make.
    private static readonly HashSet<string> Derived = new(StringComparer.Ordinal) { "visit", "visit_due", "reach", "model_figure", "model_saying", "SchemaVersions" };

    /// <summary>Whether it tells who may come in: that is read past, and stays with the shop that let them.</summary>
    public bool IsOfTheDoor => OfTheDoor.Contains(Name);

    /// <summary>The tables that are archived, by name.</summary>
    public static IReadOnlyList<ArchivedTable> Of(SqliteConnection connection) => [.. Known(connection).Where(t => !t.IsOfTheDoor)];

    /// <summary>The tables that an archive may hold: some were archived once that are not any more.</summary>
    public static IReadOnlyList<ArchivedTable> Known(SqliteConnection connection)
    {
        var names = new List<string>();
        using (var command = connection.CreateCommand())
        {
            command.CommandText = "SELECT name FROM sqlite_schema WHERE type = 'table' AND name NOT LIKE 'sqlite\\_%' ESCAPE '\\' AND name NOT LIKE 'visit\\_words%' ESCAPE '\\' AND name NOT LIKE 'model\\_words%' ESCAPE '\\' ORDER BY name";
            using var reader = command.ExecuteReader();
            while (reader.Read())
                names.Add(reader.GetString(0));
        }
        return [.. names.Where(n => !Derived.Contains(n) && !OfTheDay.Contains(n)).Select(name => Of(connection, name))];
    }

    private string Select => $"SELECT {string.Join(", ", Columns.Select(Quoted))} FROM {Quoted(Name)} ORDER BY {string.Join(", ", Key.Select(Quoted))}";

    /// <summary>Tells of every row, as the JSON it has in an archive.</summary>
    public void Each(SqliteConnection connection, SqliteTransaction? transaction, Action<ReadOnlySpan<byte>> tell)
    {
        using var command = connection.CreateCommand();
        command.Transaction = transaction;
        command.CommandText = Select;
        using var reader = command.ExecuteReader();
        var row = new ArchivedRow();
        Each(reader, values => tell(row.Write(Columns, values)));
    }

    /// <summary>Tells of every row, value by value.</summary>
    public void Each(SqliteConnection connection, Action<object?[]> tell)
    {
        using var command = connection.CreateCommand();
        command.CommandText = Select;
        using var reader = command.ExecuteReader();
        Each(reader, tell);
    }

    private void Each(SqliteDataReader reader, Action<object?[]> tell)
    {
        var values = new object?[Columns.Count];
        while (reader.Read())
        {
            for (var i = 0; i < values.Length; i++)
                values[i] = reader.IsDBNull(i) ? null : reader.GetValue(i);
            tell(values);
        }
    }

    /// <summary>A statement that puts a row in.</summary>
    public SqliteCommand Insert(SqliteConnection connection, SqliteTransaction transaction)
    {
        var command = connection.CreateCommand();
        command.Transaction = transaction;
        command.CommandText =
            $"INSERT INTO {Quoted(Name)} ({string.Join(", ", Columns.Select(Quoted))}) VALUES ({string.Join(", ", Columns.Select((_, i) => $"$v{i}"))})";
        for (var i = 0; i < Columns.Count; i++)
            command.Parameters.AddWithValue($"$v{i}", DBNull.Value);
        return command;
    }

    private static ArchivedTable Of(SqliteConnection connection, string name)
    {
        var columns = new List<(string Name, long Key, string Type, bool Needed)>();
        using var command = connection.CreateCommand();
        command.CommandText = "SELECT name, pk, type, \"notnull\" FROM pragma_table_info($table) ORDER BY cid";
        command.Parameters.AddWithValue("$table", name);
        using var reader = command.ExecuteReader();
        while (reader.Read())
            if (reader.GetString(0) != "reach_id")
                columns.Add((reader.GetString(0), reader.GetInt64(1), reader.GetString(2), reader.GetInt64(3) != 0 || reader.GetInt64(1) > 0));
        return new ArchivedTable(name, [.. columns.Select(c => c.Name)], [.. columns.Where(c => c.Key > 0).OrderBy(c => c.Key).Select(c => c.Name)])
        {
            Types = [.. columns.Select(c => (c.Type, c.Needed))],
        };
    }

    private static string Quoted(string name) => $"\"{name.Replace("\"", "\"\"", StringComparison.Ordinal)}\"";
}

/// <summary>Writes a row as the one JSON it has, so that the same row is always the same bytes.</summary>
internal sealed class ArchivedRow
{
    private readonly System.Buffers.ArrayBufferWriter<byte> _bytes = new();

    public ReadOnlySpan<byte> Write(IReadOnlyList<string> columns, IReadOnlyList<object?> values)
    {
        _bytes.ResetWrittenCount();
        using (var json = new Utf8JsonWriter(_bytes))
        {
            json.WriteStartObject();
            for (var i = 0; i < columns.Count; i++)
            {
                json.WritePropertyName(columns[i]);
                switch (values[i])
                {
                    case null:
                        json.WriteNullValue();
                        break;
                    case long whole:
                        json.WriteNumberValue(whole);
                        break;
                    case double real:
                        json.WriteNumberValue(real);
                        break;
                    case byte[] bytes:
                        json.WriteBase64StringValue(bytes);
                        break;
                    case var text:
                        json.WriteStringValue(text.ToString());
                        break;
                }
            }
            json.WriteEndObject();
        }
        return _bytes.WrittenSpan;
    }
}
