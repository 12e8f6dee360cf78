using System.Globalization;
using System.Net;
using System.Security.Cryptography;
using System.Text;
using System.Text.Json.Nodes;
using System.Text.RegularExpressions;

namespace IronLoop.Server.Tests;

/// <summary>An archive that somebody made up: its sum is right, for anybody can reckon it; what it holds no shop could have stored.</summary>
public sealed class StrangeArchiveTests : IDisposable
{
    private readonly Shop _shop = new(demo: true);

    public void Dispose() => _shop.Dispose();

    private async Task<string> Archive()
    {
        var work = await _shop.Ended(await _shop.Post("/api/archive", null));
        return await _shop.Client.GetStringAsync($"/api/long-work/{work["id"]!.GetValue<string>()}/file");
    }

    private static async Task<JsonNode> Restore(Shop shop, string archive)
    {
        using var body = new ByteArrayContent(Encoding.UTF8.GetBytes(archive)) { Headers = { { "Content-Type", "application/octet-stream" } } };
        using var answer = await shop.Client.PostAsync("/api/archive/restore", body);
        answer.StatusCode.ShouldBe(HttpStatusCode.OK, await answer.Content.ReadAsStringAsync());
        return await shop.Ended(JsonNode.Parse(await answer.Content.ReadAsStringAsync())!);
    }

    /// <summary>Gives a file the sum of what it holds now, as its maker would.</summary>
    private static string Sealed(string archive)
    {
        using var digest = IncrementalHash.CreateHash(HashAlgorithmName.SHA256);
        void Add(string text) => digest.AppendData(Encoding.UTF8.GetBytes(text));
        var inPhotos = false;
        foreach (var line in archive.Split('\n').Skip(1))
        {
            if (line.StartsWith("},", StringComparison.Ordinal))
                continue;
            if (line.StartsWith("\"photos\":", StringComparison.Ordinal))
                inPhotos = true;
            else if (line.StartsWith('"') && Regex.Match(line, "^\"(\\w+)\":\\[") is { Success: true } table)
                Add(table.Groups[1].Value + "\n");
            else if (line.StartsWith('{') && !inPhotos)
                Add(Regex.Replace(line, "(\\]\\}?)?,?$", ""));
            else if (line.StartsWith('{') && JsonNode.Parse(Regex.Match(line, "^\\{[^}]*\\}").Value) is { } photo)
                Add($"photo {photo["id"]}\n{photo["picture"]!.GetValue<string>()}\n{photo["thumbnail"]!.GetValue<string>()}\n");
        }
        return Regex.Replace(archive, "\"sha256\":\"[0-9a-f]+\"", $"\"sha256\":\"{Convert.ToHexStringLower(digest.GetHashAndReset())}\"");
    }

    private static string Setting(string archive, string name, string value) =>
        Regex.Replace(archive, "\"setting\":\\[", $"\"setting\":[\n{{\"name\":\"{name}\",\"value\":\"{value}\"}}").Replace($"\"value\":\"{value}\"}}\n", $"\"value\":\"{value}\"}},\n", StringComparison.Ordinal);

    private static string First(string archive, string pattern, string instead) => new Regex(pattern).Replace(archive, instead, 1);

    public static TheoryData<string, string> Attacks => new()
    {
        { "unknown request", "table “job”, row 1, field “request” is “Polish”; allowed is one of ChangeStrap" },
        { "unknown row", "field “row” is “Dance”" },
        { "50 MB word", "field “words” is 50000000 characters long; allowed are 8000" },
        { "largest id", "table “log_entry”, row 1, field “id” is 9223372036854775807; allowed is 1 to" },
        { "longest length", "field “um” is 9000000000000" },
        { "no moment", "field “taken_in_at” is “yesterday”" },
        { "text for a number", "field “price_cents”" },
        { "unknown caliper", "of “caliper” is “Laser" },
        { "file for an address", "of “suppliers” is “file:///etc/passwd”" },
        { "unheard-of setting", "a setting that no shop has" },
        { "limit beyond its range", "of “limit.MetalFits” is “-7”" },
        { "plan of another language", "cannot be read" },
        { "page for a photo", "Photo 1 cannot be taken: by its content it is neither PNG nor JPEG" },
    };

    [Theory]
    [MemberData(nameof(Attacks))]
    public async Task What_no_shop_could_have_stored_is_refused_by_table_row_and_field_before_it_goes_live(string attack, string says)
    {
        var whole = await Archive();
        Sealed(whole).ShouldBe(whole, "whoever makes one up knows how its sum is reckoned");
        var made = attack switch
        {
            "unknown request" => First(whole, "\"request\":\"\\w+\"", "\"request\":\"Polish\""),
            "unknown row" => First(whole, "\"row\":\"\\w+\"", "\"row\":\"Dance\""),
            "50 MB word" => First(whole, "\"words\":\"[^\"]*\"", $"\"words\":\"{new string('x', 50_000_000)}\""),
            "largest id" => First(whole, "(?<=\"log_entry\":\\[\n\\{\"id\":)1,", $"{long.MaxValue},"),
            "longest length" => First(whole, "\"um\":\\d+", "\"um\":9000000000000"),
            "no moment" => First(whole, "\"taken_in_at\":\"[^\"]*\"", "\"taken_in_at\":\"yesterday\""),
            "text for a number" => First(whole, "\"price_cents\":\\d+", "\"price_cents\":\"dear\""),
            "unknown caliper" => First(whole, "(?<=\"name\":\"caliper\",\"value\":\")\\w+", "Laser"),
            "file for an address" => Setting(whole, "suppliers", "file:///etc/passwd"),
            "unheard-of setting" => Setting(whole, "autoexec", "yes"),
            "limit beyond its range" => Setting(whole, "limit.MetalFits", "-7"),
            "plan of another language" => First(whole, "\"plan\":\"[^,]*", "\"plan\":\"oui"),
            _ => whole.Replace("\"photos\":[],", $"\"photos\":[\n{{\"id\":1,\"picture\":\"{Convert.ToBase64String("<html><script>"u8)}\",\"thumbnail\":\"\"}}],", StringComparison.Ordinal),
        };
        made.ShouldNotBe(whole);
        using var other = new Shop();
        var work = await Restore(other, Sealed(made));
        work["state"]!.GetValue<string>().ShouldBe("refused", work.ToJsonString());
        work["says"]!.GetValue<string>().ShouldContain(says);
        // Nothing of it is there, and the shop goes on.
        (await other.Get("/api/jobs")).AsArray().ShouldBeEmpty();
        await other.Post("/api/jobs", new { client = "Wil Tansy", watch = "Ostwick", request = "refit", promised = "2026-12-01", by = "mk" }, HttpStatusCode.Created);
    }

    [Fact]
    public async Task A_shop_whose_settings_cannot_be_read_starts_and_works_with_the_usual_ones()
    {
        var folder = Directory.CreateTempSubdirectory("iron-loop-settings-").FullName;
        try
        {
            using (var shop = new Shop(folder: folder))
            {
                using var work = shop.File.Begin();
                foreach (var (name, value) in ((string, string)[])
                [
                    ("caliper", "Laser\thost\tport\t/dev/x\t9600"), ("caliper line", "?"), ("label printer", "Tcp\t\t99999"), ("suppliers", "file:///etc/passwd"), ("bench.setup", "{"),
                    ("hands.MK", "[]"), ("limit.MetalFits", "many"), ("limit.Nothing", "1"), ("school.way", "Polish"), ("school.odd", "7"),
                ])
                    Storage.Settings.Set(work, name, value);
                work.Commit();
            }
            using var again = new Shop(folder: folder);
            foreach (var path in (string[])["/api/jobs", "/api/caliper", "/api/label-printer", "/api/orders", "/api/limits", "/api/tools", "/api/parts"])
                await again.Get(path);
            var job = await again.Post("/api/jobs", new { client = "Wil Tansy", watch = "Ostwick", request = "refit", promised = "2026-12-01", by = "mk" }, HttpStatusCode.Created);
            foreach (var path in (string[])["bench", "gauge", "take-in", "loop"])
                await again.Get(string.Create(CultureInfo.InvariantCulture, $"/api/jobs/{job["id"]}/{path}"));
        }
        finally
        {
            Directory.Delete(folder, recursive: true);
        }
    }
}
