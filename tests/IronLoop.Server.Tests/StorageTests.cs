using IronLoop.Core.Jobs;
using IronLoop.Storage;
using Microsoft.Data.Sqlite;

namespace IronLoop.Server.Tests;

public sealed class StorageTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("iron-loop-").FullName;

    public void Dispose()
    {
        ShopFile.LetGo();
        Directory.Delete(_folder, recursive: true);
    }

    [Fact]
    public void Work_that_is_not_kept_leaves_nothing()
    {
        var shop = ShopFile.Open(_folder);
        using (var work = shop.Begin())
            Clients.Add(work, "Nobody", "");
        using var look = shop.Look();
        Clients.Count(look).ShouldBe(0);
    }

    [Fact]
    public void A_second_opening_runs_no_migration_twice_and_keeps_what_is_there()
    {
        using (var work = ShopFile.Open(_folder).Begin())
        {
            Clients.Add(work, "Somebody", "");
            work.Keep();
        }
        ShopFile.LetGo();
        using var look = ShopFile.Open(_folder).Look();
        Clients.Count(look).ShouldBe(1);
    }

    [Fact]
    public void A_job_of_an_unknown_watch_is_not_stored()
    {
        using var work = ShopFile.Open(_folder).Begin();
        var client = Clients.Add(work, "Somebody", "");
        Should.Throw<SqliteException>(() =>
            Storage.Jobs.Add(work, client, 99, Request.Refit, "", new DateOnly(2026, 11, 24), null, DateTimeOffset.UnixEpoch, "MK"))
            .Message.ShouldContain("FOREIGN KEY");
    }

    [Fact]
    public void The_file_is_in_write_ahead_mode()
    {
        var shop = ShopFile.Open(_folder);
        using var connection = new SqliteConnection($"Data Source={shop.Path}");
        connection.Open();
        using var command = connection.CreateCommand();
        command.CommandText = "PRAGMA journal_mode";
        command.ExecuteScalar().ShouldBe("wal");
    }
}
