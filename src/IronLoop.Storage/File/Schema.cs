using System.Collections.Concurrent;
using System.Collections.Frozen;
using System.Text.RegularExpressions;
using Microsoft.Data.Sqlite;

namespace IronLoop.Storage;

/// <summary>
/// The tables of a shop's file, and which of them a statement has to do with. It is read off the statement itself: whatever word in it is a
/// table's name counts, so that none can be forgotten; that a column is called like a table costs a reading more and nothing else.
/// </summary>
internal sealed partial class Schema
{
    // Statements with words sought in them are many; the usual ones are some three hundred.
    private const int MostRemembered = 2_000;

    // Milliseconds for reading one statement of ours.
    private const int Patience = 1_000;

    private readonly FrozenDictionary<string, Tables> _tables;
    private readonly FrozenDictionary<string, Tables> _changedAlong;
    private readonly ConcurrentDictionary<string, Tables> _named = new(StringComparer.Ordinal), _written = new(StringComparer.Ordinal);

    private Schema(IReadOnlyList<string> names, IReadOnlyList<(string Of, string By)> along)
    {
        _tables = names.Select((name, i) => (name, Tables.Number(i))).ToFrozenDictionary(t => t.name, t => t.Item2, StringComparer.Ordinal);
        // What goes when a row of another table goes may take more along, and that more: each round goes one step further.
        var changed = names.ToDictionary(n => n, n => _tables[n], StringComparer.Ordinal);
        for (var round = 0; round < along.Count; round++)
            foreach (var (of, by) in along)
                changed[by] |= changed[of];
        _changedAlong = changed.ToFrozenDictionary(StringComparer.Ordinal);
    }

    /// <summary>The tables of a file that is up to date.</summary>
    public static Schema Of(SqliteConnection connection)
    {
        using var look = connection.CreateCommand();
        look.CommandText =
            """
            SELECT name, '' FROM sqlite_schema WHERE type = 'table'
            UNION ALL SELECT referring.name, key."table" FROM sqlite_schema AS referring JOIN pragma_foreign_key_list(referring.name) AS key
              WHERE referring.type = 'table' AND key.on_delete <> 'NO ACTION'
            """;
        var (names, along) = (new List<string>(), new List<(string, string)>());
        using var rows = look.ExecuteReader();
        while (rows.Read())
        {
            if (rows.GetString(1) is { Length: > 0 } by)
                along.Add((rows.GetString(0), by));
            else
                names.Add(rows.GetString(0));
        }
        return new Schema(names, along);
    }

    /// <summary>The tables a statement names.</summary>
    public Tables Named(string sql) => Remembered(_named, sql, _tables);

    /// <summary>The tables a statement may change. One that takes rows out changes those along that hang on them; a row's number is never changed.</summary>
    public Tables Written(string sql) => Remembered(_written, sql, TakesOut().IsMatch(sql) ? _changedAlong : _tables);

    private static Tables Remembered(ConcurrentDictionary<string, Tables> known, string sql, FrozenDictionary<string, Tables> of)
    {
        if (known.TryGetValue(sql, out var tables))
            return tables;
        foreach (var word in Words().EnumerateMatches(sql))
            if (of.TryGetValue(sql.Substring(word.Index, word.Length), out var one))
                tables |= one;
        if (known.Count < MostRemembered)
            known[sql] = tables;
        return tables;
    }

    // What a value is called is no table.
    [GeneratedRegex(@"(?<![$\w])\w+", RegexOptions.None, Patience)]
    private static partial Regex Words();

    // What is replaced is taken out first.
    [GeneratedRegex(@"\b(?:DELETE|REPLACE)\b", RegexOptions.None, Patience)]
    private static partial Regex TakesOut();
}

/// <summary>Some of a file's tables.</summary>
/// <param name="Bits">One for each.</param>
internal readonly record struct Tables(UInt128 Bits)
{
    // As many as there can be.
    private const int Most = 128;

    /// <summary>None of them.</summary>
    public static Tables None => default;

    /// <summary>All of them.</summary>
    public static Tables All => new(UInt128.MaxValue);

    /// <summary>One of them, by its place among all.</summary>
    public static Tables Number(int place) => place < Most ? new(UInt128.One << place) : throw new InvalidOperationException($"The file has more than {Most} tables; what is kept of jobs cannot tell them apart.");

    /// <summary>Whether some are among others.</summary>
    public bool Meets(Tables others) => (Bits & others.Bits) != 0;

    /// <summary>These and others.</summary>
    public static Tables operator |(Tables these, Tables others) => new(these.Bits | others.Bits);
}
