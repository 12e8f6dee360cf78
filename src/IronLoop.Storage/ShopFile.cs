using DbUp;
using DbUp.Engine;
using Microsoft.Data.Sqlite;

namespace IronLoop.Storage;

/// <summary>
/// The shop's database file: one SQLite file in write-ahead mode, foreign keys on, brought up to date by numbered
/// migrations when it is opened.
/// </summary>
public sealed class ShopFile
{
    private readonly string _connectionString;

    private ShopFile(string path)
    {
        Path = path;
        _connectionString = new SqliteConnectionStringBuilder
        {
            DataSource = path,
            ForeignKeys = true,
            Pooling = true,
            DefaultTimeout = 10,
        }.ConnectionString;
    }

    /// <summary>Where the file is.</summary>
    public string Path { get; }

    /// <summary>Which bands were changed since the shop was opened.</summary>
    public BandChanges BandChanges { get; } = new();

    /// <summary>Opens the file in a folder, making both when they are not there, and runs the migrations it lacks.</summary>
    /// <exception cref="InvalidOperationException">A migration failed; the file is as it was before that migration.</exception>
    public static ShopFile Open(string folder)
    {
        Directory.CreateDirectory(folder);
        var shop = new ShopFile(System.IO.Path.Combine(folder, "iron-loop.db"));
        using (var connection = shop.Connect())
        {
            using var journal = connection.CreateCommand();
            // Write-ahead mode stays with the file. Synchronous full: what was acknowledged survives a power cut.
            journal.CommandText = "PRAGMA journal_mode = WAL;";
            journal.ExecuteNonQuery();
        }
        var result = Upgrade(shop._connectionString);
        if (!result.Successful)
            throw new InvalidOperationException($"The database could not be brought up to date at {result.ErrorScript?.Name}.", result.Error);
        using var work = shop.Begin();
        if (Bands.WorkOutReach(work) > 0)
            work.Keep();
        return shop;
    }

    /// <summary>Begins a piece of work: everything in it is stored together by <see cref="ShopWork.Keep"/>, or not at all.</summary>
    public ShopWork Begin() => new(Connect(), writing: true, BandChanges.Add);

    /// <summary>Begins a piece of work that only reads, and sees one moment of the shop.</summary>
    public ShopWork Look() => new(Connect(), writing: false, _ => { });

    /// <summary>Lets go of the file, so that it can be moved or another process can take it.</summary>
    public static void LetGo() => SqliteConnection.ClearAllPools();

    private SqliteConnection Connect()
    {
        var connection = new SqliteConnection(_connectionString);
        connection.Open();
        using var pragma = connection.CreateCommand();
        pragma.CommandText = "PRAGMA synchronous = FULL;";
        pragma.ExecuteNonQuery();
        return connection;
    }

    private static DatabaseUpgradeResult Upgrade(string connectionString) =>
        DeployChanges.To
            .SqliteDatabase(connectionString)
            .WithScriptsEmbeddedInAssembly(typeof(ShopFile).Assembly)
            .WithTransactionPerScript()
            .LogToNowhere()
            .Build()
            .PerformUpgrade();
}
