using System.Globalization;
using System.Net;
using System.Text;
using System.Text.Json.Nodes;
using CsvHelper;

namespace IronLoop.Server.Tests;

/// <summary>The whole shop in one file and back; tables, calendar and card; a client forgotten.</summary>
public sealed class ArchiveTests : IDisposable
{
    private readonly Shop _shop = new(demo: true);

    public void Dispose() => _shop.Dispose();

    private static async Task<byte[]> Archive(Shop shop)
    {
        var work = await shop.Ended(await shop.Post("/api/archive", null));
        work["state"]!.GetValue<string>().ShouldBe("done", work.ToJsonString());
        return await shop.Client.GetByteArrayAsync($"/api/long-work/{work["id"]!.GetValue<string>()}/file");
    }

    private static async Task<JsonNode> Restore(Shop shop, byte[] archive)
    {
        using var answer = await shop.Client.PostAsync("/api/archive/restore", new ByteArrayContent(archive) { Headers = { { "Content-Type", "application/octet-stream" } } });
        answer.StatusCode.ShouldBe(HttpStatusCode.OK, await answer.Content.ReadAsStringAsync());
        return await shop.Ended(JsonNode.Parse(await answer.Content.ReadAsStringAsync())!);
    }

    [Fact]
    public async Task A_shop_comes_back_from_its_archive_equal_to_the_byte()
    {
        var photo = Convert.FromBase64String("iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==");
        using (var body = new ByteArrayContent(photo))
            (await _shop.Client.PostAsync("/api/jobs/3/take-in/photos", body)).IsSuccessStatusCode.ShouldBeTrue();
        var archive = await Archive(_shop);
        (await Archive(_shop)).ShouldBe(archive, "the same shop always gives the same file");

        using var other = new Shop();
        var work = await Restore(other, archive);
        work["state"]!.GetValue<string>().ShouldBe("done", work.ToJsonString());
        (await Archive(other)).ShouldBe(archive);
        // And it is worked with: the log is found, a photo shown, a band matched.
        (await other.Get("/api/log?client=torvic"))["visits"]!.AsArray().Count.ShouldBe(1);
        (await other.Client.GetByteArrayAsync("/api/photos/1")).Length.ShouldBeGreaterThan(50);
        (await other.Get("/api/jobs/10/match"))["page"]!.AsArray().Count.ShouldBeGreaterThan(0);
        (await other.Get("/api/jobs/5/loop")).ToJsonString().ShouldBe((await _shop.Get("/api/jobs/5/loop")).ToJsonString());
    }

    public static TheoryData<string, string> Damages => new()
    {
        { "cut", "cannot be read as JSON" },
        { "figure", "damaged" },
        { "foreign", "no archive of a shop" },
        { "text", "cannot be read as JSON" },
        { "newer", "this program knows up to" },
        { "table", "which no shop has" },
        { "column", "which no shop has" },
        { "pointer", "damaged" },
        { "empty", "cannot be read as JSON" },
    };

    [Theory]
    [MemberData(nameof(Damages))]
    public async Task A_damaged_or_foreign_file_is_refused_with_the_reason_and_changes_nothing(string damage, string says)
    {
        var whole = Encoding.UTF8.GetString(await Archive(_shop));
        var damaged = damage switch
        {
            "cut" => whole[..(whole.Length / 2)],
            "figure" => whole.Replace("\"um\":20000", "\"um\":21000", StringComparison.Ordinal),
            "foreign" => "{\"format\":\"something-else\",\"version\":10}",
            "text" => "Dear fitter, here is my shop.",
            "newer" => whole.Replace($"\"version\":{Storage.ShopFile.LatestVersion}", "\"version\":99", StringComparison.Ordinal),
            "table" => whole.Replace("\"tables\":{", "\"tables\":{\"spy\":[],", StringComparison.Ordinal),
            "column" => whole.Replace("\"contact\":", "\"kontakt\":", StringComparison.Ordinal),
            "pointer" => whole.Replace("\"client_id\":1,", "\"client_id\":4711,", StringComparison.Ordinal),
            _ => "",
        };
        damaged.ShouldNotBe(whole);
        using var other = new Shop();
        var before = await Archive(other);
        var work = await Restore(other, Encoding.UTF8.GetBytes(damaged));
        work["state"]!.GetValue<string>().ShouldBe("refused");
        work["says"]!.GetValue<string>().ShouldContain(says);
        (await Archive(other)).ShouldBe(before);
        Directory.GetFileSystemEntries(other.Folder).Select(Path.GetFileName).ShouldNotContain("incoming");
    }

    [Fact]
    public async Task The_schema_that_is_kept_in_the_documents_is_that_of_the_file()
    {
        var schema = await _shop.Client.GetStringAsync("/api/archive/schema.json");
        IronLoop.Core.Tests.Bench.Kept.AgreeWith("docs/archive.schema.json", schema + "\n");
        var (tables, archive) = (JsonNode.Parse(schema)!["properties"]!["tables"]!["properties"]!.AsObject(), JsonNode.Parse(await Archive(_shop))!);
        foreach (var (name, rows) in archive["tables"]!.AsObject())
            foreach (var row in rows!.AsArray())
                row!.AsObject().Select(c => c.Key).ShouldBe(tables[name]!["items"]!["required"]!.AsArray().Select(c => c!.GetValue<string>()));
    }

    [Fact]
    public async Task A_shop_that_holds_anything_takes_no_archive_in()
    {
        var archive = await Archive(_shop);
        var work = await Restore(_shop, archive);
        work["says"]!.GetValue<string>().ShouldContain("into an empty shop only");
        (await Archive(_shop)).ShouldBe(archive);
    }

    [Fact]
    public async Task Long_work_can_be_cancelled_and_keeps_nothing()
    {
        var before = await Archive(_shop);
        var work = await _shop.Post("/api/log/index", null);
        await _shop.Send(HttpMethod.Delete, $"/api/long-work/{work["id"]!.GetValue<string>()}", null);
        (await _shop.Ended(work))["state"]!.GetValue<string>().ShouldBeOneOf("cancelled", "done");
        (await _shop.Get("/api/log?client=torvic"))["visits"]!.AsArray().Count.ShouldBe(1);
        (await Archive(_shop)).ShouldBe(before);
        await _shop.Send(HttpMethod.Get, "/api/long-work/nothing", null, HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task The_index_is_made_anew_from_what_is_stored()
    {
        using (var work = _shop.File.Begin())
        {
            Storage.Visits.IndexAll(work, (_, _) => { });
            work.Commit();
        }
        (await _shop.Ended(await _shop.Post("/api/log/index", null)))["says"]!.GetValue<string>().ShouldEndWith("jobs are in the index.");
        (await _shop.Get("/api/log?client=torvic"))["visits"]!.AsArray().Count.ShouldBe(1);
    }

    [Fact]
    public async Task Work_that_is_cancelled_halfway_leaves_the_index_as_it_was()
    {
        (await _shop.Get("/api/log?client=torvic"))["visits"]!.AsArray().Count.ShouldBe(1);
        using (var work = _shop.File.Begin())
            Should.Throw<OperationCanceledException>(() => Storage.Visits.IndexAll(work, (_, _) => throw new OperationCanceledException()));
        using var look = _shop.File.Look();
        Storage.Visits.Find(look, new Storage.LogQuestion(Client: "torvic"), long.MaxValue, 10).Count.ShouldBe(1);
    }

    [Fact]
    public async Task Jobs_log_and_parts_are_CSV()
    {
        await _shop.Send(HttpMethod.Post, "/api/jobs", new { client = "=1+1", watch = "Quote \"this\", please", request = "refit", promised = "2026-12-01", by = "mk" }, HttpStatusCode.Created);
        foreach (var (name, least) in ((string, int)[])[("jobs", 17), ("log", 20), ("parts", 10)])
        {
            var path = Path.Combine(_shop.Folder, $"{name}.csv");
            await File.WriteAllBytesAsync(path, await _shop.Client.GetByteArrayAsync($"/api/{name}.csv"));
            using var csv = CsvReader.FromFile(path, new CsvReaderOptions());
            var rows = new List<string[]>();
            while (csv.Read())
                rows.Add([.. Enumerable.Range(0, csv.FieldCount).Select(csv.GetString)]);
            rows.Count.ShouldBeGreaterThanOrEqualTo(least);
            rows.ShouldAllBe(row => row.Length == rows[0].Length);
            if (name != "jobs")
                continue;
            rows[2][9].ShouldStartWith("SK-", customMessage: "a band is told by its article");
            rows[^1][3].ShouldBe("Quote \"this\", please");
            rows[^1][1].ShouldNotStartWith("=", customMessage: "a table must not reckon with a name");
        }
    }

    [Fact]
    public async Task Promised_and_observation_days_are_a_calendar()
    {
        var calendar = Ical.Net.Calendar.Load(await _shop.Client.GetStringAsync("/api/days.ics"))!;
        var jobs = (await _shop.Get("/api/jobs")).AsArray();
        calendar.Events.Count(e => e.Summary!.StartsWith("Promised", StringComparison.Ordinal)).ShouldBe(jobs.Count);
        var first = jobs[0]!;
        var day = calendar.Events.Single(e => e.Uid == $"tag-{first["id"]!.GetValue<long>()}-promised@iron-loop");
        day.Start!.Date.ShouldBe(DateOnly.Parse(first["promised"]!.GetValue<string>(), CultureInfo.InvariantCulture));
        day.IsAllDay.ShouldBeTrue();
        calendar.Events.ShouldContain(e => e.Summary!.StartsWith("Ask after: Osk Brandel", StringComparison.Ordinal));
    }

    [Theory]
    [InlineData("Mara Lindqvist; of the mill, upper", "mara@mill.example", "EMAIL")]
    [InlineData("Jon \\ Back", "+00 12 34-5", "TEL")]
    [InlineData("A name so long that its line must be folded because a card holds seventy-fi", "the boathouse, ring twice", "NOTE")]
    public async Task A_client_is_a_card(string name, string contact, string property)
    {
        var job = await _shop.Send(HttpMethod.Post, "/api/jobs", new { client = name, contact, watch = "Ostwick", request = "refit", promised = "2026-12-01", by = "mk" }, HttpStatusCode.Created);
        var id = (await _shop.Get($"/api/log?words=tag {job["id"]!.GetValue<long>()}"))["visits"]![0]!["clientId"]!.GetValue<long>();
        var card = await _shop.Client.GetStringAsync($"/api/clients/{id}.vcf");
        card.Split("\r\n").ShouldAllBe(line => Encoding.UTF8.GetByteCount(line) <= 75);
        var lines = card.Replace("\r\n ", "", StringComparison.Ordinal).Split("\r\n", StringSplitOptions.RemoveEmptyEntries);
        lines[0].ShouldBe("BEGIN:VCARD");
        lines[1].ShouldBe("VERSION:4.0");
        lines[^1].ShouldBe("END:VCARD");
        string Read(string head) => lines.Single(l => l.StartsWith(head, StringComparison.Ordinal))[(lines.Single(l => l.StartsWith(head, StringComparison.Ordinal)).IndexOf(':', StringComparison.Ordinal) + 1)..]
            .Replace("\\,", ",", StringComparison.Ordinal).Replace("\\;", ";", StringComparison.Ordinal).Replace("\\\\", "\\", StringComparison.Ordinal);
        Read("FN").ShouldBe(name);
        Read(property).ShouldBe(contact);
    }

    [Fact]
    public async Task A_client_is_shown_whole_and_forgotten_while_the_jobs_stay()
    {
        var id = (await _shop.Get("/api/log?client=brandel"))["visits"]![0]!["clientId"]!.GetValue<long>();
        var data = (await _shop.Get($"/api/clients/{id}/data")).ToJsonString();
        foreach (var held in new[] { "Osk Brandel", "the net loft", "Slides down to my hand.", "wrist" })
            data.ShouldContain(held);
        var open = (await _shop.Get("/api/log?client=torvic"))["visits"]![0]!["clientId"]!.GetValue<long>();
        await _shop.Send(HttpMethod.Delete, $"/api/clients/{open}", null, HttpStatusCode.Conflict);
        await Archive(_shop);
        var written = Path.Combine(_shop.Folder, "archive", "archive.json");
        File.Exists(written).ShouldBeTrue();

        await _shop.Send(HttpMethod.Delete, $"/api/clients/{id}", null);
        File.Exists(written).ShouldBeFalse("an archive that lies there to be saved would still name them");
        await _shop.Send(HttpMethod.Delete, $"/api/clients/{id}", null, HttpStatusCode.Conflict);
        (await _shop.Get("/api/log?client=brandel"))["visits"]!.AsArray().ShouldBeEmpty();
        (await _shop.Get("/api/log?words=slides hand"))["visits"]!.AsArray().ShouldBeEmpty();
        (await _shop.Get("/api/clients?typed=osk")).AsArray().ShouldBeEmpty("nobody is found at take-in");
        var jobs = (await _shop.Get("/api/log?client=erased"))["visits"]!.AsArray();
        jobs.Count.ShouldBe(1, "the job stays, without a name");
        var all = Encoding.UTF8.GetString(await Archive(_shop));
        foreach (var gone in new[] { "Osk", "Brandel", "net loft", "Slides down", "does it still slide" })
            all.ShouldNotContain(gone, Case.Insensitive);
        all.ShouldNotContain(": .", customMessage: "where something was said stands nothing, not its colon");
        var file = Encoding.UTF8.GetString(await File.ReadAllBytesAsync(Path.Combine(_shop.Folder, "iron-loop.db")));
        file.ShouldNotContain("Osk Brandel", customMessage: "what is taken out is written over");
    }
}
