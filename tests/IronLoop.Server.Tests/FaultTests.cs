using System.Net;
using System.Text.Json.Nodes;
using IronLoop.Server.Safekeeping;
using IronLoop.Storage;
using Microsoft.Data.Sqlite;

namespace IronLoop.Server.Tests;

/// <summary>What goes wrong around the program, and what it says then.</summary>
public sealed class FaultTests : IDisposable
{
    private readonly Shop _shop = new(demo: true);

    public void Dispose() => _shop.Dispose();

    private string Database => Path.Combine(_shop.Folder, "iron-loop.db");

    private static object Taken(string client) => new { client, watch = "Pellmarsh diver", request = "takeLinksOut", promised = "2026-12-01", by = "TB", words = new string('w', 1500) };

    private async Task<int> JobsOf(string client)
    {
        var tags = (await _shop.Get("/api/jobs")).AsArray();
        return tags.Count(t => t!["client"]!.GetValue<string>() == client);
    }

    private void Sql(string sql)
    {
        using var connection = new SqliteConnection($"Data Source={Database};Pooling=False");
        connection.Open();
        using var command = connection.CreateCommand();
        command.CommandText = sql;
        command.ExecuteNonQuery();
    }

    [Fact]
    public async Task What_fails_in_the_middle_stores_nothing_of_it_and_what_was_stored_stays()
    {
        await _shop.Post("/api/jobs", Taken("Before"), HttpStatusCode.Created);
        // The job itself is stored by then, its wrist is not.
        Sql("CREATE TRIGGER breaks BEFORE INSERT ON wrist BEGIN SELECT RAISE(ABORT, 'broken'); END;");
        await _shop.Post("/api/jobs", Taken("During"), HttpStatusCode.InternalServerError);
        (await JobsOf("During")).ShouldBe(0, "the job, its client and its log line go together or not at all");
        (await _shop.Get("/api/clients?typed=During")).AsArray().ShouldBeEmpty();
        Sql("DROP TRIGGER breaks");
        (await JobsOf("Before")).ShouldBe(1);
        await _shop.Post("/api/jobs", Taken("After"), HttpStatusCode.Created);
    }

    [Theory]
    [InlineData(13, "full")]
    [InlineData(8, "cannot be written")]
    [InlineData(14, "cannot be written")]
    [InlineData(5, "held by another program")]
    [InlineData(10, "does not read or write")]
    [InlineData(11, "damaged")]
    public void What_the_disk_says_at_the_start_is_said_in_words(int code, string words) =>
        StartTrouble.Explain(new InvalidOperationException("At a migration.", new SqliteException("as SQLite says it", code)), _shop.Folder)!.ShouldContain(words);

    [Fact]
    public async Task A_damaged_file_is_said_to_be_damaged_and_is_not_written_on()
    {
        var backups = new Backups(_shop.File);
        var kept = backups.Make(_shop.Clock.GetUtcNow());
        _shop.File.Checkpoint();
        ShopFile.LetGo();
        var bytes = await System.IO.File.ReadAllBytesAsync(Database);
        // The pages that hold the tables' own list: nothing can be found any more.
        Array.Fill(bytes, (byte)0xA5, 100, 4000);
        await System.IO.File.WriteAllBytesAsync(Database, bytes);

        var said = await _shop.Send(HttpMethod.Get, "/api/jobs", null, HttpStatusCode.ServiceUnavailable);
        said["title"]!.GetValue<string>().ShouldContain("damaged");
        said["title"]!.GetValue<string>().ShouldContain("--restore");
        said["requestId"]!.GetValue<string>().ShouldNotBeEmpty();
        await _shop.Send(HttpMethod.Post, "/api/jobs", Taken("Lost"), HttpStatusCode.ServiceUnavailable);
        ShopFile.LetGo();
        (await System.IO.File.ReadAllBytesAsync(Database)).ShouldBe(bytes, "it is left as it is");

        // A start says where the way back is, and the way back works; the damaged one is kept.
        var failed = Should.Throw<Exception>(() => ShopFile.Open(_shop.Folder));
        StartTrouble.Explain(failed, _shop.Folder)!.ShouldContain(kept.Name);
        ShopFile.LetGo();
        var aside = Backups.PutIn(_shop.Folder, Path.Combine(_shop.Folder, "backups", kept.Name), _shop.Clock.GetUtcNow());
        (await System.IO.File.ReadAllBytesAsync(aside!)).ShouldBe(bytes);
        ShopFile.LetGo();
        (await _shop.Get("/api/jobs")).AsArray().Count.ShouldBeGreaterThan(10);
    }

    [Fact]
    public void A_file_that_is_no_database_and_a_folder_that_is_none_are_said_at_the_start()
    {
        var folder = Directory.CreateTempSubdirectory("iron-loop-").FullName;
        try
        {
            System.IO.File.WriteAllText(Path.Combine(folder, "iron-loop.db"), new string('x', 5000));
            var failed = Should.Throw<Exception>(() => ShopFile.Open(folder));
            StartTrouble.Explain(failed, folder)!.ShouldContain("damaged");
            StartTrouble.Explain(failed, folder)!.ShouldContain("no backup");
            var taken = Path.Combine(folder, "iron-loop.db", "shop");
            StartTrouble.Explain(new UnauthorizedAccessException(), taken)!.ShouldContain("cannot be written");
            StartTrouble.Explain(new InvalidOperationException("something else"), folder).ShouldBeNull();
        }
        finally
        {
            ShopFile.LetGo();
            Directory.Delete(folder, recursive: true);
        }
    }

    [Fact]
    public async Task A_file_held_by_another_program_is_waited_for_then_said_and_reading_goes_on()
    {
        using var other = new SqliteConnection($"Data Source={Database};Pooling=False");
        other.Open();
        using var hold = other.CreateCommand();
        hold.CommandText = "BEGIN IMMEDIATE";
        hold.ExecuteNonQuery();
        var waiting = _shop.Client.PostAsync("/api/jobs", System.Net.Http.Json.JsonContent.Create(Taken("Waits")));
        (await _shop.Get("/api/jobs")).AsArray().ShouldNotBeEmpty("readers are not held up");
        var said = await waiting;
        said.StatusCode.ShouldBe(HttpStatusCode.ServiceUnavailable);
        JsonNode.Parse(await said.Content.ReadAsStringAsync())!["title"]!.GetValue<string>().ShouldContain("another program");
        hold.CommandText = "ROLLBACK";
        hold.ExecuteNonQuery();
        await _shop.Post("/api/jobs", Taken("Waits"), HttpStatusCode.Created);
        (await JobsOf("Waits")).ShouldBe(1);
    }

    [Fact]
    public async Task A_damaged_or_missing_photo_is_said_and_the_rest_of_the_job_is_there()
    {
        using var picture = new SkiaSharp.SKBitmap(40, 30);
        using var png = picture.Encode(SkiaSharp.SKEncodedImageFormat.Png, 90);
        var added = await _shop.Client.PostAsync("/api/jobs/5/take-in/photos", new ByteArrayContent(png.ToArray()));
        added.StatusCode.ShouldBe(HttpStatusCode.OK, await added.Content.ReadAsStringAsync());
        var photo = JsonNode.Parse(await added.Content.ReadAsStringAsync())!["photos"]!.AsArray().Single()!["id"]!;
        var path = Directory.GetFiles(Path.Combine(_shop.Folder, "photos")).First(f => !f.Contains("thumb", StringComparison.OrdinalIgnoreCase));
        await System.IO.File.WriteAllTextAsync(path, "no picture any more");
        (await _shop.Client.GetAsync("/api/jobs/5/job-sheet.pdf")).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await _shop.Client.GetAsync("/api/jobs/5/take-in")).StatusCode.ShouldBe(HttpStatusCode.OK);
        var said = await _shop.Client.GetAsync($"/api/photos/{photo}");
        said.StatusCode.ShouldBe(HttpStatusCode.NotFound);
        JsonNode.Parse(await said.Content.ReadAsStringAsync())!["title"]!.GetValue<string>().ShouldContain("damaged or missing");
        Directory.Delete(Path.Combine(_shop.Folder, "photos"), recursive: true);
        (await _shop.Client.GetAsync($"/api/photos/{photo}/thumbnail")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await _shop.Client.GetAsync("/api/jobs/5/take-in")).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await _shop.Client.GetAsync("/api/jobs/5/job-sheet.pdf")).StatusCode.ShouldBe(HttpStatusCode.OK);
    }

    [Fact]
    public async Task A_damaged_or_missing_photo_comes_back_from_beside_the_backups()
    {
        using var picture = new SkiaSharp.SKBitmap(40, 30);
        using var png = picture.Encode(SkiaSharp.SKEncodedImageFormat.Png, 90);
        await _shop.Client.PostAsync("/api/jobs/5/take-in/photos", new ByteArrayContent(png.ToArray()));
        var thumbnail = await _shop.Client.GetByteArrayAsync("/api/photos/1/thumbnail");
        var kept = await _shop.Client.GetByteArrayAsync("/api/photos/1");
        new Backups(_shop.File).Make(_shop.Clock.GetUtcNow());
        var photos = PhotoFolder.Beside(_shop.File);
        await File.WriteAllTextAsync(photos.FileOf(1), "no picture any more");
        File.Delete(photos.ThumbnailOf(1));
        (await _shop.Client.GetByteArrayAsync("/api/photos/1")).ShouldBe(kept);
        (await _shop.Client.GetByteArrayAsync("/api/photos/1/thumbnail")).ShouldBe(thumbnail);
        File.ReadAllBytes(photos.FileOf(1)).ShouldBe(kept, "it lies where it was");
    }

    [Theory]
    [InlineData("UPDATE bench_plan SET plan = replace(plan, '\"splitPin\"', '\"pinThatSplits\"')")]
    [InlineData("UPDATE bench_plan SET plan = '{}'")]
    [InlineData("UPDATE bench_step SET acts = replace(acts, '\"open\"', '\"unlock\"') WHERE acts IS NOT NULL")]
    [InlineData("UPDATE bench_step SET acts = '[null]' WHERE acts IS NOT NULL")]
    public async Task An_account_that_cannot_be_read_is_shown_as_damaged_and_everything_else_goes_on(string fault)
    {
        using var shop = new Shop(demo: true);
        shop.File.Checkpoint();
        using (var other = new Microsoft.Data.Sqlite.SqliteConnection($"Data Source={Path.Combine(shop.Folder, "iron-loop.db")}"))
        {
            other.Open();
            using var change = other.CreateCommand();
            change.CommandText = fault;
            change.ExecuteNonQuery().ShouldBeGreaterThan(0);
        }
        var damaged = 0;
        foreach (var tag in (await shop.Get("/api/jobs")).AsArray().Select(j => j!["id"]!.GetValue<long>()).Concat([2L, 33L]).ToList())
        {
            foreach (var page in (string[])["", "/take-in", "/gauge", "/match", "/clasp", "/loop", "/bench", "/hand-over", "/job-sheet.pdf", "/owners-card.pdf"])
                ((int)(await shop.Client.GetAsync($"/api/jobs/{tag}{page}")).StatusCode).ShouldBeLessThan(500, $"{tag}{page}");
            var bench = await shop.Get($"/api/jobs/{tag}/bench");
            if (bench["trouble"]?.GetValue<string>() is not { } trouble)
                continue;
            trouble.ShouldStartWith("The account of this job is damaged", customMessage: $"job {tag}");
            damaged++;
            await shop.Put($"/api/jobs/{tag}/bench/steps/1-protect", new { done = true }, HttpStatusCode.Conflict);
        }
        damaged.ShouldBeGreaterThan(0);
        (await shop.Get("/api/log"))["visits"]!.AsArray().Count.ShouldBe(20);
    }

    [Fact]
    public async Task A_clock_that_is_set_back_loses_nothing_and_keeps_the_order_of_what_was_done()
    {
        var first = (await _shop.Post("/api/jobs", Taken("Clock"), HttpStatusCode.Created))["id"]!.GetValue<long>();
        _shop.Clock.AdjustTime(_shop.Clock.GetUtcNow().AddDays(-3));
        await _shop.Put($"/api/jobs/{first}/take-in/referral", new { reasons = Array.Empty<string>(), referred = true, note = "Seen after the clock was set back." });
        var second = (await _shop.Post("/api/jobs", Taken("Clock"), HttpStatusCode.Created))["id"]!.GetValue<long>();
        second.ShouldBeGreaterThan(first);
        using (var work = _shop.File.Look())
        {
            var lines = Log.Of(work, [first]).SelectMany(e => e).ToList();
            lines[^1].Words.ShouldContain("Seen after");
            lines[^1].At.ShouldBeLessThan(lines[0].At);
        }
        // Two backups, the older in the future: both are kept, and one is made when it is due.
        var backups = new Backups(_shop.File);
        backups.Make(_shop.Clock.GetUtcNow().AddDays(3));
        backups.Make(_shop.Clock.GetUtcNow());
        backups.Thin(_shop.Clock.GetUtcNow());
        backups.All.Count.ShouldBe(2);
    }
}
