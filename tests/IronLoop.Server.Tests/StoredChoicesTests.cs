using System.Runtime.CompilerServices;
using System.Text.RegularExpressions;
using IronLoop.Storage;
using Microsoft.Data.Sqlite;

namespace IronLoop.Server.Tests;

/// <summary>Where one of a few words is stored, the file itself refuses any other.</summary>
public sealed class StoredChoicesTests : IDisposable
{
    private readonly Shop _shop = new(demo: true);

    public void Dispose() => _shop.Dispose();

    private SqliteConnection Connect()
    {
        var connection = new SqliteConnection($"Data Source={_shop.File.Path}");
        connection.Open();
        return connection;
    }

    private static string Root([CallerFilePath] string here = "") => here[..here.LastIndexOf("/tests/", StringComparison.Ordinal)];

    private static object? Ask(SqliteConnection connection, string sql)
    {
        using var command = connection.CreateCommand();
        command.CommandText = sql;
        return command.ExecuteScalar();
    }

    [Fact]
    public void The_file_knows_the_words_of_every_choice_and_no_others()
    {
        using var connection = Connect();
        var refused = 0;
        foreach (var ((table, column), choice) in StoredChoices.All)
        {
            var sql = (string)Ask(connection, $"SELECT sql FROM sqlite_schema WHERE type = 'table' AND name = '{table}'")!;
            sql.ShouldContain($"CONSTRAINT {column}_known {StoredChoices.Rule(column, choice)}", Case.Sensitive, $"a word more or less of {choice.Name} wants a migration");
            if ((long)Ask(connection, $"SELECT COUNT(*) FROM {table}")! == 0)
                continue;
            Should.Throw<SqliteException>(() => Ask(connection, $"UPDATE {table} SET {column} = 'Polish'")).SqliteErrorCode.ShouldBe(19, $"{table}.{column}");
            refused++;
        }
        refused.ShouldBeGreaterThan(30, "the demo has rows in most tables");
        Ask(connection, "PRAGMA integrity_check").ShouldBe("ok");
    }

    [Fact]
    public void Every_choice_that_is_read_from_the_file_is_one_that_it_knows()
    {
        var known = StoredChoices.All.Select(c => (c.Key.Column, c.Value.Name)).ToHashSet();
        var read = new HashSet<(string, string)>();
        foreach (var file in Directory.GetFiles(Path.Combine(Root(), "src/IronLoop.Storage"), "*.cs", SearchOption.AllDirectories))
            foreach (System.Text.RegularExpressions.Match match in Regex.Matches(File.ReadAllText(file), "Choice<(?<type>\\w+)>\\(\"(?<column>\\w+)\"\\)|Maybe\\(\"(?<column>\\w+)\", Columns\\.Choice<(?<type>\\w+)>"))
                read.Add((match.Groups["column"].Value, match.Groups["type"].Value));
        read.Count.ShouldBeGreaterThan(30);
        read.Except(known).ShouldBeEmpty();
    }
}
