using System.Net;
using System.Text.Json.Nodes;
using IronLoop.Server.Safekeeping;
using IronLoop.Storage;
using Microsoft.Data.Sqlite;

namespace IronLoop.Server.Tests;

/// <summary>Backups made, thinned out and gone back to; what a browser is told.</summary>
public sealed class SafekeepingTests : IDisposable
{
    private readonly Shop _shop = new(demo: true);

    public void Dispose() => _shop.Dispose();

    private Task<JsonNode> TakeIn(string client) =>
        _shop.Send(HttpMethod.Post, "/api/jobs", new { client, watch = "Ostwick", request = "refit", promised = "2026-12-01", by = "mk" }, HttpStatusCode.Created);

    [Fact]
    public async Task A_shop_goes_back_to_a_backup_and_what_was_there_is_kept()
    {
        await TakeIn("Before Backup");
        (await _shop.Ended(await _shop.Post("/api/backups", null)))["state"]!.GetValue<string>().ShouldBe("done");
        var first = (await _shop.Get("/api/backups"))[0]!["name"]!.GetValue<string>();
        await TakeIn("After Backup");
        _shop.Clock.Advance(TimeSpan.FromMinutes(5));
        var back = await _shop.Ended(await _shop.Post($"/api/backups/{first}/restore", null));
        back["state"]!.GetValue<string>().ShouldBe("done", back.ToJsonString());

        Directory.GetFiles(Path.Combine(_shop.Folder, "backups")).ShouldAllBe(f => f.EndsWith(".db", StringComparison.Ordinal), "a backup is one file");
        (await _shop.Get("/api/log?client=before"))["visits"]!.AsArray().Count.ShouldBe(1);
        (await _shop.Get("/api/log?client=after"))["visits"]!.AsArray().ShouldBeEmpty();
        // And forward again: nothing is lost by going back.
        var kept = (await _shop.Get("/api/backups")).AsArray().Select(b => b!["name"]!.GetValue<string>()).Single(n => n != first);
        _shop.Clock.Advance(TimeSpan.FromMinutes(5));
        await _shop.Ended(await _shop.Post($"/api/backups/{kept}/restore", null));
        (await _shop.Get("/api/log?client=after"))["visits"]!.AsArray().Count.ShouldBe(1);
        await _shop.Send(HttpMethod.Post, "/api/backups/iron-loop-20200101T000000Z.db/restore", null, HttpStatusCode.NotFound);
        await _shop.Send(HttpMethod.Post, "/api/backups/..%2F..%2Firon-loop.db/restore", null, HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task A_file_of_a_newer_program_is_neither_opened_nor_put_over_a_good_shop()
    {
        var later = Directory.CreateTempSubdirectory("iron-loop-later-").FullName;
        try
        {
            var path = Path.Combine(later, "iron-loop.db");
            using (ShopFile.Open(later))
                ShopFile.LetGo();
            using (var connection = new SqliteConnection($"Data Source={path};Pooling=False"))
            {
                connection.Open();
                using var note = connection.CreateCommand();
                note.CommandText = "INSERT INTO SchemaVersions (ScriptName, Applied) VALUES ('IronLoop.Storage.Migrations.999_later.sql', '2031-01-01'); PRAGMA wal_checkpoint(TRUNCATE);";
                note.ExecuteNonQuery();
            }
            var before = await File.ReadAllBytesAsync(path);
            var refused = Should.Throw<NewerShopException>(() => ShopFile.Open(later));
            refused.Message.ShouldContain($"is of version 999; this program knows versions up to {ShopFile.LatestVersion}");
            StartTrouble.Explain(refused, later).ShouldBe(refused.Message);

            // Nor by the command line over a good shop, nor a good one over it.
            var jobs = (await _shop.Get("/api/jobs")).ToJsonString();
            Should.Throw<NewerShopException>(() => Backups.PutIn(_shop.Folder, path, _shop.Clock.GetUtcNow()));
            (await _shop.Get("/api/jobs")).ToJsonString().ShouldBe(jobs);
            var made = new Backups(_shop.File).Make(_shop.Clock.GetUtcNow());
            Should.Throw<NewerShopException>(() => Backups.PutIn(later, Path.Combine(_shop.Folder, "backups", made.Name), _shop.Clock.GetUtcNow()));
            ShopFile.LetGo();
            (await File.ReadAllBytesAsync(path)).ShouldBe(before);
        }
        finally
        {
            Directory.Delete(later, recursive: true);
        }
    }

    [Fact]
    public void One_program_holds_a_shop_and_the_next_is_told_so()
    {
        var refused = Should.Throw<ShopHeldException>(() => ShopHeld.Take(_shop.Folder));
        StartTrouble.Explain(refused, _shop.Folder)!.ShouldContain("held by another program");
        var free = Directory.CreateTempSubdirectory("iron-loop-free-").FullName;
        try
        {
            using (ShopHeld.Take(free))
                Should.Throw<ShopHeldException>(() => ShopHeld.Take(free));
            ShopHeld.Take(free).Dispose();
        }
        finally
        {
            Directory.Delete(free, recursive: true);
        }
    }

    [Fact]
    [System.Runtime.Versioning.SupportedOSPlatform("linux")]
    public async Task Nobody_else_on_the_machine_reads_what_lies_in_the_folder()
    {
        var folder = Directory.CreateTempSubdirectory("iron-loop-ours-").FullName;
        try
        {
            // As an older program, or a hand, left it.
            File.SetUnixFileMode(folder, UnixFileMode.UserRead | UnixFileMode.UserWrite | UnixFileMode.UserExecute | UnixFileMode.OtherRead | UnixFileMode.OtherExecute);
            await File.WriteAllTextAsync(Path.Combine(folder, "notes.txt"), "left here");
            File.SetUnixFileMode(Path.Combine(folder, "notes.txt"), UnixFileMode.UserRead | UnixFileMode.UserWrite | UnixFileMode.GroupRead | UnixFileMode.OtherRead);
            using (var shop = new Shop(folder: folder))
            {
                var job = await shop.Post("/api/jobs", new { client = "Wil Tansy", watch = "Ostwick", request = "refit", promised = "2026-12-01", by = "mk" }, HttpStatusCode.Created);
                using var photo = new ByteArrayContent(Convert.FromBase64String("iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg=="));
                (await shop.Client.PostAsync($"/api/jobs/{job["id"]}/take-in/photos", photo)).IsSuccessStatusCode.ShouldBeTrue();
                new Backups(shop.File).Make(shop.Clock.GetUtcNow());
                await shop.Ended(await shop.Post("/api/archive", null));
                var entries = new DirectoryInfo(folder).GetFileSystemInfos("*", SearchOption.AllDirectories).Append(new DirectoryInfo(folder)).ToList();
                entries.Count.ShouldBeGreaterThan(8);
                foreach (var entry in entries)
                    ((int)entry.UnixFileMode & 0b000_111_111).ShouldBe(0, entry.FullName);
            }
        }
        finally
        {
            Directory.Delete(folder, recursive: true);
        }
    }

    [Fact]
    public void A_damaged_backup_is_not_put_in()
    {
        var backups = new Backups(_shop.File);
        var made = backups.Make(_shop.Clock.GetUtcNow());
        var path = Path.Combine(_shop.Folder, "backups", made.Name);
        Directory.GetFiles(Path.Combine(_shop.Folder, "backups")).ShouldBe([path], "a backup is one file");
        var bytes = File.ReadAllBytes(path);
        bytes.AsSpan(4096, bytes.Length / 2).Clear();
        File.WriteAllBytes(path, bytes);
        Should.Throw<IOException>(() => backups.Restore(made.Name, _shop.Clock.GetUtcNow().AddMinutes(1)));
        File.WriteAllText(path, "no database at all");
        Should.Throw<IOException>(() => backups.Restore(made.Name, _shop.Clock.GetUtcNow().AddMinutes(1)));
        using var work = _shop.File.Look();
        Clients.Count(work).ShouldBeGreaterThan(10, "the shop is as it was");
    }

    [Fact]
    public async Task Backups_are_thinned_out_as_they_age()
    {
        var backups = new Backups(_shop.File);
        var now = _shop.Clock.GetUtcNow();
        for (var hours = 0; hours < 24 * 120; hours += 12)
            File.WriteAllText(MadeUp(now.AddHours(-hours)), "");
        await TakeIn("Of today");
        backups.Thin(now).ShouldBe(2, "never more at once, without somebody's word");
        backups.Thin(now, most: 1_000).ShouldBeGreaterThan(150);
        var left = backups.All;
        left.Count(b => now - b.At < TimeSpan.FromDays(2)).ShouldBe(4);
        left.Count(b => now - b.At >= TimeSpan.FromDays(2) && now - b.At < TimeSpan.FromDays(14)).ShouldBeInRange(12, 16);
        left.Count(b => now - b.At >= TimeSpan.FromDays(14) && now - b.At < TimeSpan.FromDays(60)).ShouldBeInRange(6, 8);
        left.Count.ShouldBeLessThan(32);
        backups.Thin(now, most: 1_000).ShouldBe(0);
    }

    [Fact]
    public async Task A_clock_that_is_years_ahead_takes_no_backup_and_no_line_of_the_door_away()
    {
        await TakeIn("Of today");
        var (backups, now) = (new Backups(_shop.File), _shop.Clock.GetUtcNow());
        for (var days = 1; days < 60; days++)
            File.WriteAllText(MadeUp(now.AddDays(-days)), "");
        void AtTheDoor(DateTimeOffset at, string what)
        {
            using var work = _shop.File.Begin();
            DoorLog.Write(work, new DoorEntry(at, "MK", what, "here"));
            work.Commit();
        }
        AtTheDoor(now, "signed in");

        var ahead = now.AddDays(1_100);
        backups.Make(ahead);
        backups.Thin(ahead, most: 1_000).ShouldBe(0);
        AtTheDoor(ahead, "signed in by a wrong clock");
        using (var look = _shop.File.Look())
            DoorLog.Last(look, 10).Select(e => e.What).ShouldBe(["signed in by a wrong clock", "signed in"]);
        backups.All.Count.ShouldBe(60);
        backups.Thin(now, most: 1_000).ShouldBeGreaterThan(20, "the clock put right, they age again");
    }

    [Fact]
    public void Who_has_left_stays_away_and_nobody_stays_signed_in_when_the_shop_goes_back()
    {
        using (var work = _shop.File.Begin())
        {
            Fitters.Add(work, "MK", Role.Lead, "a hash of then", _shop.Clock.GetUtcNow());
            Fitters.Add(work, "TB", Role.Fitter, "a hash of then", _shop.Clock.GetUtcNow());
            work.Commit();
        }
        var backups = new Backups(_shop.File);
        var older = backups.Make(_shop.Clock.GetUtcNow());
        using (var work = _shop.File.Begin())
        {
            Fitters.Change(work, Fitters.Find(work, "TB")! with { GoneAt = _shop.Clock.GetUtcNow() });
            Fitters.Change(work, Fitters.Find(work, "MK")! with { Hash = "a hash of now" });
            Sessions.Begin(work, Fitters.Find(work, "MK")!.Id, _shop.Clock.GetUtcNow(), "here");
            work.Commit();
        }
        // From the screen, and from the command line.
        foreach (var goBack in (Action[])[() => backups.Restore(older.Name, _shop.Clock.GetUtcNow().AddMinutes(5)), () => Backups.PutIn(_shop.Folder, Path.Combine(_shop.Folder, "backups", older.Name), _shop.Clock.GetUtcNow())])
        {
            goBack();
            using var look = _shop.File.Look();
            Fitters.Find(look, "TB")!.GoneAt.ShouldNotBeNull("who was let go is not let in again");
            Fitters.Find(look, "MK")!.Hash.ShouldBe("a hash of now");
            Sessions.All(look, _shop.Clock.GetUtcNow()).ShouldBeEmpty();
        }
        Directory.Exists(Path.Combine(_shop.Folder, "going-back")).ShouldBeFalse();
    }

    [Fact]
    public async Task Whoever_was_forgotten_stays_forgotten_when_the_shop_goes_back_to_an_older_backup()
    {
        var photo = Photographed(job: 2, "a photo of theirs");
        var backups = new Backups(_shop.File);
        var older = backups.Make(_shop.Clock.GetUtcNow());
        var theirs = (await _shop.Get("/api/log?client=osk brandel"))["visits"]!.AsArray().ShouldHaveSingleItem()!;
        var client = theirs["clientId"]!.GetValue<long>();
        await _shop.Send(HttpMethod.Delete, $"/api/clients/{client}", null);
        await TakeIn("Tamsin Elder");

        backups.Restore(older.Name, _shop.Clock.GetUtcNow().AddMinutes(5));
        (await _shop.Get("/api/log?client=tamsin"))["visits"]!.AsArray().ShouldBeEmpty("it is the older shop");
        (await _shop.Get("/api/log?client=osk"))["visits"]!.AsArray().ShouldBeEmpty();
        (await _shop.Get($"/api/clients/{client}"))["name"]!.GetValue<string>().ShouldBe("Erased client");
        File.Exists(PhotoFolder.Beside(_shop.File).FileOf(photo)).ShouldBeFalse();
        // What is shared in memory beside the file holds no rows, and comes and goes.
        foreach (var file in Directory.GetFiles(_shop.Folder, "iron-loop.db*").Where(f => !f.EndsWith("-shm", StringComparison.Ordinal)))
            System.Text.Encoding.UTF8.GetString(File.ReadAllBytes(file)).ShouldNotContain("Osk Brandel");
        // The others are as they were.
        (await _shop.Get("/api/log?client=runa"))["visits"]!.AsArray().Count.ShouldBe(5);
    }

    [Fact]
    public void A_photos_number_is_not_given_twice_so_that_no_old_picture_stands_for_a_new_one()
    {
        var backups = new Backups(_shop.File);
        var first = Photographed(job: 6, "dropped again");
        var older = backups.Make(_shop.Clock.GetUtcNow());
        using (var work = _shop.File.Begin())
        {
            TakeIns.DropPhoto(work, 6, first).ShouldBeTrue();
            work.Commit();
        }
        var second = Photographed(job: 6, "a dent");
        second.ShouldBeGreaterThan(first);

        backups.Restore(older.Name, _shop.Clock.GetUtcNow().AddMinutes(5));
        var third = Photographed(job: 6, "a scratch");
        third.ShouldBeGreaterThan(second, "the second lies beside the backups still");
        var newest = backups.Make(_shop.Clock.GetUtcNow().AddMinutes(10));
        PhotoFolder.Beside(_shop.File).Drop(third);
        backups.Restore(newest.Name, _shop.Clock.GetUtcNow().AddMinutes(15));
        File.ReadAllText(PhotoFolder.Beside(_shop.File).FileOf(third)).ShouldBe("a scratch");
        File.Exists(PhotoFolder.Beside(_shop.File).FileOf(second)).ShouldBeTrue("it is left where it was");
    }

    [Fact]
    public void Photos_that_no_backup_knows_go_when_backups_are_thinned_out()
    {
        var backups = new Backups(_shop.File);
        var now = _shop.Clock.GetUtcNow();
        var gone = Photographed(job: 6, "taken off the job");
        backups.Make(now.AddDays(-5));
        using (var work = _shop.File.Begin())
        {
            TakeIns.DropPhoto(work, 6, gone);
            work.Commit();
        }
        var stays = Photographed(job: 6, "a dent");
        backups.Make(now.AddDays(-5).AddHours(2));
        string[] Beside() => [.. Directory.GetFiles(Path.Combine(_shop.Folder, "backups", "photos")).Select(f => Path.GetFileName(f)!).Order(StringComparer.Ordinal)];
        Beside().ShouldContain($"{gone}");
        backups.Thin(now).ShouldBe(0, "the newest ten stay whatever their age");
        for (var i = 1; i <= 9; i++)
            backups.Make(now.AddDays(-i % 5).AddHours(i));
        backups.Thin(now, most: 100).ShouldBeGreaterThan(0, "the newer stands for the day");
        Beside().ShouldBe([$"{stays}", $"{stays}.thumb"]);
    }

    private long Photographed(long job, string picture)
    {
        using var work = _shop.File.Begin();
        var id = TakeIns.AddPhoto(work, job, "image/jpeg", picture.Length, _shop.Clock.GetUtcNow());
        PhotoFolder.Beside(_shop.File).Put(id, System.Text.Encoding.UTF8.GetBytes(picture), [1]);
        work.Commit();
        return id;
    }

    private string MadeUp(DateTimeOffset at)
    {
        var folder = Directory.CreateDirectory(Path.Combine(_shop.Folder, "backups"));
        return Path.Combine(folder.FullName, $"iron-loop-{at:yyyyMMdd'T'HHmmss'Z'}.db");
    }

    [Theory]
    [InlineData("/api/health")]
    [InlineData("/api/jobs")]
    [InlineData("/api/no-such-call")]
    public async Task A_browser_is_told_to_take_nothing_from_elsewhere(string path)
    {
        using var answer = await _shop.Client.GetAsync(path);
        var policy = answer.Headers.GetValues("Content-Security-Policy").Single();
        policy.ShouldContain("script-src 'self';");
        policy.ShouldContain("frame-ancestors 'none'");
        answer.Headers.GetValues("X-Content-Type-Options").Single().ShouldBe("nosniff");
    }

    [Fact]
    public async Task The_code_on_a_tag_finds_that_tag_alone()
    {
        (await _shop.Get("/api/jobs?words=tag 3")).AsArray().Select(j => j!["id"]!.GetValue<long>()).ShouldBe([3L]);
        (await _shop.Get("/api/jobs?words=3")).AsArray().Count.ShouldBeGreaterThan(1);
    }
}
