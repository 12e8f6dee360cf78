using System.Net;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;
using IronLoop.Server.Contract;
using IronLoop.Server.Door;
using IronLoop.Server.Host;
using IronLoop.Storage;

namespace IronLoop.Server.Tests;

public sealed class DoorTests : IDisposable
{
    private const string Long = "seven grey herring boats";
    private const string Other = "nine green lobster pots";

    private readonly Shop _shop = new(door: true);

    public void Dispose() => _shop.Dispose();

    private static object Sunday(string by = "XX") => new { client = "Hale Torvic", watch = "Pellmarsh diver", request = "takeLinksOut", promised = "2026-12-01", by };

    private async Task<HttpClient> Lead()
    {
        var lead = await _shop.OpenPage();
        (await lead.PostAsJsonAsync("/api/door/first", new { initials = "TB", passphrase = Long })).StatusCode.ShouldBe(HttpStatusCode.OK);
        await Shop.Sign(lead);
        return lead;
    }

    private async Task<HttpClient> SignedIn(HttpClient lead, string initials, string role)
    {
        (await lead.PostAsJsonAsync("/api/hands", new { initials, role, passphrase = Other })).StatusCode.ShouldBe(HttpStatusCode.OK);
        var page = await _shop.OpenPage();
        (await In(page, initials, Other)).StatusCode.ShouldBe(HttpStatusCode.OK);
        await Shop.Sign(page);
        return page;
    }

    private static Task<HttpResponseMessage> In(HttpClient page, string initials, string passphrase) =>
        page.PostAsJsonAsync("/api/door/in", new { initials, passphrase });

    private static async Task<JsonNode> Body(HttpResponseMessage response) => JsonNode.Parse(await response.Content.ReadAsStringAsync())!;

    [Fact]
    public async Task The_first_start_makes_the_first_lead_and_nobody_else_comes_in_without_signing_in()
    {
        foreach (var path in (string[])["/api/jobs", "/API/JOBS", "/api/log", "/api/clients/1/data", "/api/changes", "/api/jobs.csv", "/api/no-such-call"])
            (await _shop.Client.GetAsync(path)).StatusCode.ShouldBe(HttpStatusCode.Unauthorized, path);
        (await _shop.Client.PostAsJsonAsync("/api/jobs", Sunday())).StatusCode.ShouldBe(HttpStatusCode.Unauthorized);
        var before = await Shop.Sign(_shop.Client);
        before["isFirst"]!.GetValue<bool>().ShouldBeTrue();
        before["isOpen"]!.GetValue<bool>().ShouldBeFalse();

        var lead = await Lead();
        (await lead.GetAsync("/api/jobs")).StatusCode.ShouldBe(HttpStatusCode.OK);
        var second = await _shop.OpenPage();
        var refused = await second.PostAsJsonAsync("/api/door/first", new { initials = "ZZ", passphrase = Long });
        refused.StatusCode.ShouldBe(HttpStatusCode.Conflict);
        (await second.GetAsync("/api/jobs")).StatusCode.ShouldBe(HttpStatusCode.Unauthorized);
    }

    [Fact]
    public async Task Figures_in_figures_out_needs_nobody()
    {
        var asked = await new HttpClient(new NoCookies(_shop)).PostAsJsonAsync("http://localhost/api/fit/need",
            new { wristMm = 170, aspect = 1.35, head = new { barToBarMm = 44, barRiseMm = 3 }, pivotHeightMm = 1.75 });
        asked.StatusCode.ShouldBe(HttpStatusCode.OK);
    }

    [Fact]
    public async Task Who_did_it_stands_on_every_record_whatever_was_typed()
    {
        var lead = await Lead();
        var job = await Body(await lead.PostAsJsonAsync("/api/jobs", Sunday(by: "ZZ")));
        job["takenInBy"]!.GetValue<string>().ShouldBe("TB");

        // Another's hand on the same job stands in the log by its own name.
        var mk = await SignedIn(lead, "MK", "fitter");
        var marked = await mk.PutAsJsonAsync($"/api/jobs/{job["id"]}/take-in/referral", new { reasons = Array.Empty<string>(), referred = true, note = "Case worn at the lug." });
        marked.StatusCode.ShouldBe(HttpStatusCode.OK, await marked.Content.ReadAsStringAsync());
        // So does every change, to a job or to anything else, with what it was.
        (await lead.PutAsJsonAsync("/api/label-printer", new { kind = "none" })).StatusCode.ShouldBe(HttpStatusCode.OK);
        var done = (await Body(await lead.GetAsync("/api/hands")))["done"]!.AsArray().Select(d => $"{d!["by"]} {d["jobId"]} {d["what"]}").ToList();
        done.ShouldContain("TB  Sets the label printer.");
        done.ShouldContain($"MK {job["id"]} Notes what is outside the craft, and refers the job or takes it back.");
        using var work = _shop.File.Look();
        Log.Of(work, [job["id"]!.GetValue<long>()]).SelectMany(e => e).Select(e => e.By).ShouldBe(["TB", "MK"]);
    }

    [Fact]
    public async Task Each_role_does_its_own_and_no_more()
    {
        var lead = await Lead();
        var job = (await Body(await lead.PostAsJsonAsync("/api/jobs", Sunday())))["id"]!;
        var counter = await SignedIn(lead, "CO", "counter");
        var fitter = await SignedIn(lead, "FI", "fitter");
        async Task<HttpStatusCode> Put(HttpClient who, string path, object body) => (await who.PutAsJsonAsync(path, body)).StatusCode;
        var school = new { school = "byTryOn" };

        (await counter.PostAsJsonAsync("/api/jobs", Sunday())).StatusCode.ShouldBe(HttpStatusCode.Created);
        (await counter.GetAsync("/api/bands")).StatusCode.ShouldBe(HttpStatusCode.OK, "everybody signed in sees everything");
        (await Put(counter, $"/api/jobs/{job}/bench/setup", new { })).ShouldBe(HttpStatusCode.Forbidden);
        (await Put(fitter, $"/api/jobs/{job}/bench/setup", new { })).ShouldNotBe(HttpStatusCode.Forbidden);
        foreach (var path in (string[])["/api/limits", "/api/label-printer", "/api/caliper", "/api/orders/suppliers", $"/api/jobs/{job}/size/school", "/api/hands/TB"])
        {
            (await Put(counter, path, school)).ShouldBe(HttpStatusCode.Forbidden, path);
            (await Put(fitter, path, school)).ShouldBe(HttpStatusCode.Forbidden, path);
            (await Put(lead, path, school)).ShouldNotBe(HttpStatusCode.Forbidden, path);
        }
        foreach (var path in (string[])["/api/archive", "/api/backups", "/api/log/index", "/api/hands"])
            (await fitter.PostAsJsonAsync(path, new { })).StatusCode.ShouldBe(HttpStatusCode.Forbidden, path);
        (await fitter.DeleteAsync("/api/clients/1")).StatusCode.ShouldBe(HttpStatusCode.Forbidden);
        // And only a lead is told where the others are signed in.
        (await Body(await fitter.GetAsync("/api/hands")))["sessions"]!.AsArray().Select(s => s!["initials"]!.GetValue<string>()).ShouldBe(["FI"]);
        (await Body(await lead.GetAsync("/api/hands")))["sessions"]!.AsArray().Count.ShouldBe(3);
    }

    [Fact]
    public async Task A_change_that_does_not_come_from_a_page_of_ours_is_refused_and_stores_nothing()
    {
        var lead = await Lead();
        var token = lead.DefaultRequestHeaders.GetValues(Doorkeeper.Token).Single();
        lead.DefaultRequestHeaders.Remove(Doorkeeper.Token);
        (await lead.PostAsJsonAsync("/api/jobs", Sunday())).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        // The sign of a page opened before signing in is nobody's.
        lead.DefaultRequestHeaders.Add(Doorkeeper.Token, (await _shop.OpenPage()).DefaultRequestHeaders.GetValues(Doorkeeper.Token).Single());
        (await lead.PostAsJsonAsync("/api/jobs", Sunday())).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        (await Body(await lead.GetAsync("/api/jobs"))).AsArray().ShouldBeEmpty();
        lead.DefaultRequestHeaders.Remove(Doorkeeper.Token);
        lead.DefaultRequestHeaders.Add(Doorkeeper.Token, token);
        (await lead.PostAsJsonAsync("/api/jobs", Sunday())).StatusCode.ShouldBe(HttpStatusCode.Created);
    }

    [Fact]
    public async Task Cookies_stay_with_this_site_and_out_of_scripts_and_a_foreign_name_is_not_answered()
    {
        await Lead();
        var page = await _shop.OpenPage();
        var cookies = (await In(page, "TB", Long)).Headers.GetValues("Set-Cookie").ToList();
        cookies.ShouldContain(c => c.StartsWith("iron-loop=", StringComparison.Ordinal));
        cookies.ShouldAllBe(c => c.Contains("samesite=strict", StringComparison.OrdinalIgnoreCase) && c.Contains("httponly", StringComparison.OrdinalIgnoreCase));
        using var foreign = new HttpRequestMessage(HttpMethod.Get, "/api/door") { Headers = { Host = "shop.elsewhere.example" } };
        (await page.SendAsync(foreign)).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
    }

    [Fact]
    public async Task Wrong_passphrases_are_slowed_noted_and_forgotten_after_a_right_one()
    {
        var lead = await Lead();
        var page = await _shop.OpenPage();
        for (var i = 0; i < 3; i++)
            (await In(page, "TB", "not this one at all")).StatusCode.ShouldBe(HttpStatusCode.Unauthorized);
        var slowed = await In(page, "TB", Long);
        slowed.StatusCode.ShouldBe(HttpStatusCode.TooManyRequests);
        slowed.Headers.RetryAfter!.ToString().ShouldBe("1");
        _shop.Clock.Advance(TimeSpan.FromSeconds(2));
        (await In(page, "TB", "wrong again, that is four")).StatusCode.ShouldBe(HttpStatusCode.Unauthorized);
        (await In(page, "TB", Long)).Headers.RetryAfter!.ToString().ShouldBe("2");
        _shop.Clock.Advance(TimeSpan.FromSeconds(2));
        (await In(page, "TB", Long)).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await Body(await lead.GetAsync("/api/hands")))["door"]!.AsArray().Count(e => e!["what"]!.GetValue<string>().StartsWith("refused", StringComparison.Ordinal)).ShouldBe(4);
    }

    /// <summary>A page that comes from another machine.</summary>
    private async Task<HttpClient> PageFrom(string address)
    {
        var page = await _shop.OpenPage();
        page.DefaultRequestHeaders.Add(FromElsewhere.Header, address);
        return page;
    }

    [Fact]
    public async Task Sixty_guesses_at_once_are_no_better_than_a_few_one_after_the_other()
    {
        await Lead();
        var pages = await Task.WhenAll(Enumerable.Range(0, 60).Select(_ => PageFrom("10.9.8.7")));
        var answers = await Task.WhenAll(pages.Select((page, i) => In(page, "IB", $"a guess of mine, number {i}")));
        answers.Count(a => a.StatusCode == HttpStatusCode.Unauthorized).ShouldBeLessThanOrEqualTo(3, "three are free");
        answers.Where(a => a.StatusCode != HttpStatusCode.Unauthorized).ShouldAllBe(a => a.StatusCode == HttpStatusCode.TooManyRequests && a.Headers.RetryAfter != null);
        // Whoever guesses for many initials from one machine is slowed too.
        var refused = 0;
        for (var i = 0; i < 30; i++)
            if ((await In(pages[0], $"{(char)('A' + i % 26)}{(char)('A' + i / 26)}", "another guess of mine")).StatusCode == HttpStatusCode.TooManyRequests)
                refused++;
        refused.ShouldBeGreaterThan(10);
    }

    [Fact]
    public async Task Whoever_guesses_from_elsewhere_keeps_nobody_out_and_what_was_wrong_long_ago_fades()
    {
        await Lead();
        var stranger = await PageFrom("10.9.8.7");
        for (var i = 0; i < 9; i++)
            await In(stranger, "TB", "not this one at all");
        (await In(await PageFrom("10.1.1.1"), "TB", Long)).StatusCode.ShouldBe(HttpStatusCode.OK, "from their own machine");
        // A browser that was let in before is counted for itself, even from the stranger's address.
        var known = await PageFrom("10.1.1.2");
        (await In(known, "TB", Long)).StatusCode.ShouldBe(HttpStatusCode.OK);
        await Shop.Sign(known);
        await known.PostAsync("/api/door/out", null);
        await Shop.Sign(known);
        known.DefaultRequestHeaders.Remove(FromElsewhere.Header);
        known.DefaultRequestHeaders.Add(FromElsewhere.Header, "10.9.8.7");
        (await In(known, "TB", Long)).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await In(stranger, "TB", Long)).StatusCode.ShouldBe(HttpStatusCode.TooManyRequests);
        _shop.Clock.Advance(TimeSpan.FromHours(1));
        (await In(stranger, "TB", Long)).StatusCode.ShouldBe(HttpStatusCode.OK, "it has faded");
    }

    [Fact]
    public async Task A_wrong_former_passphrase_is_slowed_and_noted_like_any_other()
    {
        var lead = await Lead();
        async Task<HttpStatusCode> Change(string before) => (await lead.PutAsJsonAsync("/api/door/passphrase", new { before, passphrase = "nine blue kettle lids" })).StatusCode;
        for (var i = 0; i < 3; i++)
            (await Change("not this one at all")).ShouldBe(HttpStatusCode.BadRequest);
        (await Change(Long)).ShouldBe(HttpStatusCode.TooManyRequests);
        (await Body(await lead.GetAsync("/api/hands")))["door"]!.AsArray().Count(e => e!["what"]!.GetValue<string>() == "refused: wrong former passphrase").ShouldBe(3);
    }

    [Theory]
    [InlineData("password1234")]
    [InlineData("qwertyuiop12")]
    [InlineData("1234567890ab")]
    [InlineData("ironloop2026")]
    public async Task What_everybody_takes_for_a_passphrase_is_not_taken(string common)
    {
        var refused = await _shop.Client.PostAsJsonAsync("/api/door/first", new { initials = "TB", passphrase = common });
        refused.StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        (await Body(refused))["errors"]!["$.passphrase"]![0]!.GetValue<string>().ShouldContain("guessed too easily");
    }

    [Theory]
    [InlineData("TB", "short")]
    [InlineData("TB", "aaaaaaaaaaaaaaaa")]
    [InlineData("T1", Long)]
    [InlineData("", Long)]
    public async Task A_poor_passphrase_or_initials_that_are_none_are_refused_without_repeating_the_passphrase(string initials, string passphrase)
    {
        var refused = await _shop.Client.PostAsJsonAsync("/api/door/first", new { initials, passphrase });
        refused.StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        (await refused.Content.ReadAsStringAsync()).ShouldNotContain(passphrase);
        (await Shop.Sign(_shop.Client))["isFirst"]!.GetValue<bool>().ShouldBeTrue();
    }

    [Fact]
    public async Task A_session_ends_when_it_is_silent_after_a_week_when_it_is_ended_and_with_a_new_passphrase()
    {
        var lead = await Lead();
        var fitter = await SignedIn(lead, "FI", "fitter");
        async Task<bool> IsIn(HttpClient who) => (await who.GetAsync("/api/jobs")).StatusCode == HttpStatusCode.OK;

        // Heard of every few hours it lasts, but no longer than a week.
        for (var day = 0; day < 7; day++)
        {
            (await IsIn(fitter)).ShouldBeTrue($"day {day}");
            _shop.Clock.Advance(TimeSpan.FromHours(11));
            (await IsIn(fitter)).ShouldBeTrue($"day {day}, evening");
            _shop.Clock.Advance(TimeSpan.FromHours(11.9));
        }
        (await IsIn(fitter)).ShouldBeTrue();
        _shop.Clock.Advance(TimeSpan.FromHours(8));
        (await IsIn(fitter)).ShouldBeFalse("after a week");
        (await IsIn(lead)).ShouldBeFalse("silent for a week");

        await Shop.Sign(lead);
        (await In(lead, "TB", Long)).StatusCode.ShouldBe(HttpStatusCode.OK);
        await Shop.Sign(lead);
        await Shop.Sign(fitter);
        await In(fitter, "FI", Other);
        await Shop.Sign(fitter);
        var mark = (await Body(await lead.GetAsync("/api/hands")))["sessions"]!.AsArray().Single(s => s!["initials"]!.GetValue<string>() == "FI")!["mark"];
        (await lead.DeleteAsync($"/api/hands/sessions/{mark}")).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await IsIn(fitter)).ShouldBeFalse("ended by the lead");

        await Shop.Sign(fitter);
        await In(fitter, "FI", Other);
        var elsewhere = await _shop.OpenPage();
        await In(elsewhere, "FI", Other);
        await Shop.Sign(fitter);
        (await fitter.PutAsJsonAsync("/api/door/passphrase", new { before = "not so", passphrase = Long })).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        (await fitter.PutAsJsonAsync("/api/door/passphrase", new { before = Other, passphrase = Long })).StatusCode.ShouldBe(HttpStatusCode.NoContent);
        (await IsIn(elsewhere)).ShouldBeFalse("signed in with the old passphrase");
        (await IsIn(fitter)).ShouldBeTrue("where it was changed");
        await fitter.PostAsync("/api/door/out", null);
        (await IsIn(fitter)).ShouldBeFalse("signed out");
    }

    [Fact]
    public async Task Who_has_left_does_not_come_in_keeps_the_initials_and_the_only_lead_cannot_leave()
    {
        var lead = await Lead();
        var fitter = await SignedIn(lead, "FI", "fitter");
        (await lead.PutAsJsonAsync("/api/hands/TB", new { gone = true })).StatusCode.ShouldBe(HttpStatusCode.Conflict);
        (await lead.PutAsJsonAsync("/api/hands/TB", new { role = "counter" })).StatusCode.ShouldBe(HttpStatusCode.Conflict);
        (await lead.PutAsJsonAsync("/api/hands/FI", new { gone = true })).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await fitter.GetAsync("/api/jobs")).StatusCode.ShouldBe(HttpStatusCode.Unauthorized);
        (await In(await _shop.OpenPage(), "FI", Other)).StatusCode.ShouldBe(HttpStatusCode.Unauthorized);
        (await lead.PostAsJsonAsync("/api/hands", new { initials = "fi", role = "lead", passphrase = Other })).StatusCode.ShouldBe(HttpStatusCode.Conflict);
        (await lead.PutAsJsonAsync("/api/hands/FI", new { gone = false, role = "lead" })).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await In(await _shop.OpenPage(), "FI", Other)).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await lead.PutAsJsonAsync("/api/hands/TB", new { role = "counter" })).StatusCode.ShouldBe(HttpStatusCode.OK, "there is another lead now");
    }

    [Fact]
    public async Task No_passphrase_and_no_session_s_key_stands_anywhere_in_the_folder()
    {
        var lead = await Lead();
        var key = (await In(lead, "TB", Long)).Headers.GetValues("Set-Cookie").First().Split('=', ';')[1];
        _shop.File.Checkpoint();
        // The index of what is written ahead holds no words, and comes and goes with whoever reads.
        foreach (var file in Directory.GetFiles(_shop.Folder, "*", SearchOption.AllDirectories).Where(f => Path.GetFileName(f) != "held" && !f.EndsWith("-shm", StringComparison.Ordinal)))
        {
            var bytes = await System.IO.File.ReadAllBytesAsync(file);
            bytes.AsSpan().IndexOf(Encoding.UTF8.GetBytes(Long)).ShouldBe(-1, file);
            bytes.AsSpan().IndexOf(Encoding.UTF8.GetBytes(key)).ShouldBe(-1, file);
        }
    }

    [Fact]
    public async Task The_shop_is_not_served_to_others_before_a_lead_is_entered_and_the_demo_never()
    {
        var beyond = new Switches(0, _shop.Folder, Demo: false, null, 0, []) { Listen = "0.0.0.0" };
        Doorway.WhyNotBeyond(beyond, _shop.File)!.ShouldContain("first manager");
        Doorway.WhyNotBeyond(beyond with { Listen = null }, _shop.File).ShouldBeNull();
        await Lead();
        Doorway.WhyNotBeyond(beyond, _shop.File).ShouldBeNull();
        Switches.TryRead(["--demo", "--listen", "0.0.0.0"], out _, out var demo).ShouldBeFalse();
        demo!.ShouldContain("this machine alone");
        Switches.TryRead(["--listen", "0.0.0.0"], out _, out var why).ShouldBeFalse();
        why!.ShouldContain("--certificate");
        Switches.TryRead(["--listen", "0.0.0.0", "--certificate", "/no/such.pem", "--key", "/no/such.pem"], out _, out why).ShouldBeFalse();
        why!.ShouldContain("/no/such.pem");
        Switches.TryRead(["--listen", "the counter"], out _, out why).ShouldBeFalse();
        why!.ShouldContain("the counter");
    }

    [Fact]
    public void It_answers_to_its_own_names_alone_however_widely_it_listens()
    {
        Switches Listening(string? at, params string[] names) => new(0, _shop.Folder, Demo: false, null, 0, []) { Listen = at, Names = names };
        Listening(null).Hosts.ShouldBe(["localhost", "127.0.0.1"]);
        Listening("192.168.1.20", "bench.shop.lan").Hosts.ShouldBe(["localhost", "127.0.0.1", "192.168.1.20", "bench.shop.lan"]);
        Listening("fe80::1").Hosts.ShouldContain("[fe80::1]");
        foreach (var all in (string[])["0.0.0.0", "::"])
        {
            // The framework takes these three for any name whatever.
            foreach (var any in (string[])["*", "0.0.0.0", "[::]"])
                Listening(all, "bench.shop.lan").Hosts.ShouldNotContain(any);
            Listening(all, "bench.shop.lan").Hosts.ShouldContain("bench.shop.lan");
        }
        foreach (var name in (string[])["*", "*.lan", "0.0.0.0"])
        {
            Switches.TryRead(["--name", name], out _, out var why).ShouldBeFalse();
            why!.ShouldContain(name);
        }
    }

    [Fact]
    public async Task What_is_brought_in_neither_opens_the_door_nor_shuts_it()
    {
        var lead = await Lead();
        var backups = new Backups(_shop.File);
        var old = backups.Make(_shop.Clock.GetUtcNow());
        await SignedIn(lead, "FI", "lead");
        (await lead.PutAsJsonAsync("/api/door/passphrase", new { before = Long, passphrase = "a quite different one" })).StatusCode.ShouldBe(HttpStatusCode.NoContent);
        _shop.Clock.Advance(TimeSpan.FromHours(1));
        backups.Restore(old.Name, _shop.Clock.GetUtcNow());
        (await lead.GetAsync("/api/jobs")).StatusCode.ShouldBe(HttpStatusCode.Unauthorized, "nobody stays signed in");
        (await In(await _shop.OpenPage(), "TB", "a quite different one")).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await In(await _shop.OpenPage(), "FI", Other)).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await In(await _shop.OpenPage(), "TB", Long)).StatusCode.ShouldBe(HttpStatusCode.Unauthorized, "the old passphrase does not come back");
    }

    /// <summary>A caller that keeps no cookies and carries no sign.</summary>
    private sealed class NoCookies(Shop shop) : DelegatingHandler(shop.Handler);
}
