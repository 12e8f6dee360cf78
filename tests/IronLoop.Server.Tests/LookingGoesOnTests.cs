using System.Net;
using System.Net.Http.Json;
using System.Net.WebSockets;
using IronLoop.Server.Door;
using IronLoop.Server.Host;
using IronLoop.Server.Safekeeping;
using IronLoop.Storage;
using Microsoft.AspNetCore.Routing;
using Microsoft.Data.Sqlite;

namespace IronLoop.Server.Tests;

/// <summary>What goes on when the shop's file cannot be written, what ends with a session, and what leaves the shop.</summary>
public sealed class LookingGoesOnTests
{
    private const string Passphrase = "seven quiet lamps";

    private static async Task<HttpClient> SignedIn(Shop shop, string initials, string role, CookieContainer? cookies = null)
    {
        var page = await shop.OpenPage(cookies);
        if (role == "lead")
        {
            (await page.PostAsJsonAsync("/api/door/first", new { initials, passphrase = Passphrase })).StatusCode.ShouldBe(HttpStatusCode.OK);
            await Shop.Sign(page);
            return page;
        }
        (await page.PostAsJsonAsync("/api/door/in", new { initials, passphrase = Passphrase })).StatusCode.ShouldBe(HttpStatusCode.OK);
        await Shop.Sign(page);
        return page;
    }

    /// <summary>Another program that holds the file to write, for as long as it is not let go.</summary>
    private static SqliteConnection Held(Shop shop)
    {
        var other = new SqliteConnection($"Data Source={Path.Combine(shop.Folder, "iron-loop.db")};Pooling=False");
        other.Open();
        using var begin = other.CreateCommand();
        begin.CommandText = "BEGIN IMMEDIATE";
        begin.ExecuteNonQuery();
        return other;
    }

    [Fact]
    public async Task Every_page_is_read_while_another_program_keeps_the_file_from_being_written()
    {
        using var shop = new Shop(door: true, demo: true);
        var lead = await SignedIn(shop, "MK", "lead");
        // Something the log's index does not know yet, and a session that is to be noted as heard of.
        await lead.PostAsJsonAsync("/api/jobs", new { client = "Runa Halder", contact = "", watch = "Corvel 36", request = "somethingElse", words = "", promised = "2026-12-01", by = "MK" });
        shop.Clock.Advance(TimeSpan.FromMinutes(5));
        using var held = Held(shop);
        var read = 0;
        foreach (var call in shop.Calls.OfType<RouteEndpoint>().Where(c => c.Metadata.GetMetadata<HttpMethodMetadata>() is { HttpMethods: ["GET"] }))
        {
            var path = call.RoutePattern.RawText!.Replace("{id:long}", "5", StringComparison.Ordinal);
            if (path.Contains('{', StringComparison.Ordinal) || !path.StartsWith("/api/", StringComparison.Ordinal) || path is "/api/changes" or "/api/caliper/stream"
                || call.Metadata.GetMetadata<Door.GivesOut>() is not null)
                continue;
            using var answer = await lead.GetAsync(path);
            ((int)answer.StatusCode).ShouldBeLessThan(500, path);
            answer.StatusCode.ShouldNotBe(HttpStatusCode.Unauthorized, path);
            read++;
        }
        read.ShouldBeGreaterThan(40);
        // What leaves the shop is noted first: where that cannot be, nothing leaves.
        (await lead.GetAsync("/api/log.csv")).StatusCode.ShouldBe(HttpStatusCode.ServiceUnavailable);
    }

    [Fact]
    public async Task A_line_of_changes_ends_with_its_session()
    {
        using var shop = new Shop(door: true);
        var cookies = new CookieContainer();
        var lead = await SignedIn(shop, "MK", "lead", cookies);
        using var line = await shop.Listen(cookies: cookies);
        line.State.ShouldBe(WebSocketState.Open);
        using var readings = await lead.GetAsync("/api/caliper/stream", HttpCompletionOption.ResponseHeadersRead);
        readings.StatusCode.ShouldBe(HttpStatusCode.OK);
        await using var told = await readings.Content.ReadAsStreamAsync();

        (await lead.PostAsync("/api/door/out", null)).StatusCode.ShouldBe(HttpStatusCode.OK);

        var bytes = new byte[4_096];
        WebSocketReceiveResult end;
        do
            end = await line.ReceiveAsync(bytes, CancellationToken.None);
        while (end.MessageType != WebSocketMessageType.Close);
        end.CloseStatus.ShouldBe(WebSocketCloseStatus.PolicyViolation);
        while (await told.ReadAsync(bytes) > 0)
        {
            // What was said before the session ended.
        }
    }

    [Fact]
    public async Task Behind_a_proxy_that_is_told_cookies_are_for_HTTPS_alone_and_addresses_are_the_real_ones()
    {
        static HttpRequestMessage PassedOn(HttpMethod method, string path, object? body = null)
        {
            var request = new HttpRequestMessage(method, path) { Content = body is null ? null : JsonContent.Create(body) };
            request.Headers.Add(FromElsewhere.Header, "127.0.0.1");
            request.Headers.Add("X-Forwarded-For", "192.168.7.5");
            request.Headers.Add("X-Forwarded-Proto", "https");
            return request;
        }
        async Task<(IReadOnlyList<string> Cookies, string Address)> Come(string? behind)
        {
            using var shop = new Shop(door: true, behind: behind);
            var page = await shop.OpenPage();
            var door = await page.SendAsync(PassedOn(HttpMethod.Get, "/api/door"));
            var token = System.Text.Json.Nodes.JsonNode.Parse(await door.Content.ReadAsStringAsync())!["token"]!.GetValue<string>();
            // The browser of this test speaks HTTP, so it is handed what it would not send.
            using var first = PassedOn(HttpMethod.Post, "/api/door/first", new { initials = "MK", passphrase = Passphrase });
            first.Headers.Add(Door.Doorkeeper.Token, token);
            if (door.Headers.TryGetValues("Set-Cookie", out var pageCookies))
                first.Headers.Add("Cookie", pageCookies.Select(c => c.Split(';')[0]));
            using var answer = await page.SendAsync(first);
            answer.StatusCode.ShouldBe(HttpStatusCode.OK, await answer.Content.ReadAsStringAsync());
            using var look = shop.File.Look();
            return ([.. answer.Headers.GetValues("Set-Cookie"), .. pageCookies ?? []], DoorLog.Last(look, 1)[0].Device.Split(',')[0]);
        }
        var told = await Come("127.0.0.1");
        told.Address.ShouldBe("192.168.7.5");
        told.Cookies.ShouldNotBeEmpty();
        foreach (var cookie in told.Cookies)
        {
            cookie.ShouldStartWith("__Host-iron-loop");
            foreach (var word in (string[])["secure", "path=/;", "httponly", "samesite=strict"])
                cookie.ShouldContain(word);
        }
        var untold = await Come(null);
        untold.Address.ShouldBe("127.0.0.1", "a header that nobody vouches for says nothing");
        foreach (var cookie in untold.Cookies)
            cookie.ShouldStartWith("iron-loop");
    }

    [Fact]
    public async Task What_names_people_leaves_the_shop_for_a_lead_alone_and_is_noted()
    {
        using var shop = new Shop(door: true);
        var lead = await SignedIn(shop, "MK", "lead");
        (await lead.PostAsJsonAsync("/api/hands", new { initials = "CO", role = "counter", passphrase = Passphrase })).IsSuccessStatusCode.ShouldBeTrue();
        (await lead.PostAsJsonAsync("/api/jobs", new { client = "Runa Halder", contact = "", watch = "Corvel 36", request = "somethingElse", words = "", promised = "2026-12-01", by = "MK" }))
            .IsSuccessStatusCode.ShouldBeTrue();
        var counter = await SignedIn(shop, "CO", "counter");
        foreach (var path in (string[])["/api/jobs.csv", "/api/log.csv", "/api/parts.csv", "/api/days.ics", "/api/clients/1.vcf", "/api/clients/1/data", "/api/long-work/x/file"])
        {
            (await counter.GetAsync(path)).StatusCode.ShouldBe(HttpStatusCode.Forbidden, path);
            if (!path.Contains("long-work", StringComparison.Ordinal))
                (await lead.GetAsync(path)).StatusCode.ShouldBe(HttpStatusCode.OK, path);
        }
        using var look = shop.File.Look();
        ChangeEntries.Last(look, 20).Where(c => c.What.StartsWith("Took out", StringComparison.Ordinal)).Select(c => $"{c.By}: {c.What}").ShouldBe(
        [
            "MK: Took out all that is held of a client.", "MK: Took out a client as vCard.", "MK: Took out the promised days as a calendar.",
            "MK: Took out the parts as CSV.", "MK: Took out the log as CSV.", "MK: Took out all jobs as CSV.",
        ]);
    }

    [Fact]
    public async Task A_shop_that_lost_what_was_written_ahead_of_it_says_so()
    {
        var folder = Directory.CreateTempSubdirectory("iron-loop-").FullName;
        try
        {
            using (var shop = new Shop(folder: folder))
                (await shop.Get("/api/door"))["notice"].ShouldBeNull();
            using (var shop = new Shop(folder: folder))
                (await shop.Get("/api/door"))["notice"].ShouldBeNull("it was closed in order");
            // As a machine leaves it that lost its power, whose folder was then copied without that file.
            File.WriteAllText(Path.Combine(folder, "held"), "open");
            using (var shop = new Shop(folder: folder))
                (await shop.Get("/api/door"))["notice"]!.GetValue<string>().ShouldBe(ShopHeld.Lost);
        }
        finally
        {
            Directory.Delete(folder, recursive: true);
        }
    }

    [Fact]
    public async Task What_broke_off_is_swept_at_start()
    {
        var folder = Directory.CreateTempSubdirectory("iron-loop-").FullName;
        try
        {
            foreach (var left in (string[])["archive/arrived-1.json", "incoming/iron-loop.db", "going-back/iron-loop.db", "backups/iron-loop-20261101T090000Z.db.new", "backups/iron-loop-20261101T090000Z.db.new-wal"])
            {
                Directory.CreateDirectory(Path.GetDirectoryName(Path.Combine(folder, left))!);
                File.WriteAllText(Path.Combine(folder, left), "names of people");
            }
            using var shop = new Shop(folder: folder);
            await shop.Get("/api/jobs");
            Directory.GetFiles(folder, "*", SearchOption.AllDirectories).Select(f => Path.GetRelativePath(folder, f))
                .Where(f => !f.StartsWith("iron-loop.db", StringComparison.Ordinal) && !f.StartsWith("keys", StringComparison.Ordinal)).ShouldBe(["held"]);
        }
        finally
        {
            Directory.Delete(folder, recursive: true);
        }
    }
}
