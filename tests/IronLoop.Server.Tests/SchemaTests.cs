using IronLoop.Storage;
using Microsoft.Data.Sqlite;

namespace IronLoop.Server.Tests;

/// <summary>Which tables a statement has to do with is read off the statement: what is kept of jobs in memory hangs on it.</summary>
public sealed class SchemaTests : IDisposable
{
    private readonly SqliteConnection _file = new("Data Source=:memory:");
    private readonly Schema _schema;

    public SchemaTests()
    {
        _file.Open();
        using var make = _file.CreateCommand();
        make.CommandText =
            """
            CREATE TABLE shelf (id INTEGER PRIMARY KEY);
            CREATE TABLE box (id INTEGER PRIMARY KEY, shelf_id INTEGER REFERENCES shelf (id) ON DELETE CASCADE);
            CREATE TABLE screw (id INTEGER PRIMARY KEY, box_id INTEGER REFERENCES box (id) ON DELETE SET NULL);
            CREATE TABLE label (id INTEGER PRIMARY KEY, box_id INTEGER REFERENCES box (id), shelf TEXT);
            """;
        make.ExecuteNonQuery();
        _schema = Schema.Of(_file);
    }

    public void Dispose() => _file.Dispose();

    [Theory]
    [InlineData("SELECT * FROM box WHERE id = $id", "box")]
    [InlineData("SELECT * FROM label WHERE box_id IN (SELECT id FROM box)", "box label")]
    [InlineData("SELECT l.id FROM label l, screw s", "label screw")]
    [InlineData("SELECT shelf FROM label", "label shelf")]
    [InlineData("SELECT box_id FROM labels", "")]
    public void Every_table_that_is_named_counts(string sql, string tables) => Names(_schema.Named(sql)).ShouldBe(tables);

    [Theory]
    [InlineData("DELETE FROM shelf WHERE id = $id", "box screw shelf")]
    [InlineData("DELETE FROM box WHERE id = $id", "box screw")]
    [InlineData("UPDATE screw SET box_id = NULL", "screw")]
    [InlineData("INSERT OR REPLACE INTO box VALUES ($id, $on)", "box screw")]
    [InlineData("UPDATE OR REPLACE shelf SET id = $id", "box screw shelf")]
    [InlineData("UPDATE box SET shelf_id = $on WHERE id = $id", "box")]
    [InlineData("INSERT INTO label (box_id) SELECT id FROM box", "box label")]
    public void What_is_written_takes_along_what_goes_with_it(string sql, string tables) => Names(_schema.Written(sql)).ShouldBe(tables);

    [Fact]
    public void More_tables_than_can_be_told_apart_are_refused() =>
        Should.Throw<InvalidOperationException>(() => Tables.Number(128)).Message.ShouldContain("128");

    private string Names(Tables tables) => string.Join(' ', new[] { "box", "label", "screw", "shelf" }.Where(t => _schema.Named(t).Meets(tables)));
}
