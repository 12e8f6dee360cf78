using System.Net;
using System.Text.Json.Nodes;

namespace IronLoop.Server.Tests;

/// <summary>The rack: what hangs there, in which order, and how a tag is found.</summary>
public sealed class RackTests : IDisposable
{
    private readonly Shop _shop = new();

    public void Dispose() => _shop.Dispose();

    private async Task<long> TakeIn(string client, string watch, string promised, string by = "TB") =>
        (await _shop.Send(HttpMethod.Post, "/api/jobs", new { client, watch, request = "changeStrap", promised, by }, HttpStatusCode.Created))["id"]!.GetValue<long>();

    private async Task<string[]> Found(string query = "") =>
        [.. (await _shop.Get($"/api/jobs{query}")).AsArray().Select(t => t!["client"]!.GetValue<string>())];

    [Fact]
    public async Task An_empty_rack_is_empty() => (await _shop.Get("/api/jobs")).AsArray().ShouldBeEmpty();

    [Fact]
    public async Task Tags_hang_by_the_day_they_are_promised_for_and_late_ones_are_told()
    {
        // The clock here stands at 24 November 2026.
        await TakeIn("Tomorrow", "Ostwick", "2026-11-25");
        await TakeIn("Today", "Ostwick", "2026-11-24");
        await TakeIn("Next week", "Ostwick", "2026-12-01");
        (await Found()).ShouldBe(["Today", "Tomorrow", "Next week"]);
        var tags = (await _shop.Get("/api/jobs")).AsArray();
        tags.Select(t => t!["today"]!.GetValue<bool>()).ShouldBe([true, false, false]);
        _shop.Clock.Advance(TimeSpan.FromDays(2));
        tags = (await _shop.Get("/api/jobs")).AsArray();
        tags.Select(t => t!["late"]!.GetValue<bool>()).ShouldBe([true, true, false]);
        tags.ShouldAllBe(t => !t!["today"]!.GetValue<bool>());
    }

    [Fact]
    public async Task Every_word_sought_has_to_be_found_in_client_watch_or_tag()
    {
        await TakeIn("Petra Hask", "Gannet three hands", "2026-12-01");
        var second = await TakeIn("Petra Lund", "Gannet moon dial", "2026-12-02");
        (await Found("?words=petra")).ShouldBe(["Petra Hask", "Petra Lund"]);
        (await Found("?words=gannet%20lund")).ShouldBe(["Petra Lund"]);
        (await Found("?words=moon%20HANDS")).ShouldBeEmpty();
        (await Found($"?words=tag%20{second}")).ShouldBe(["Petra Lund"]);
        (await Found("?words=tag%20999")).ShouldBeEmpty();
    }

    [Theory]
    [InlineData("%25")]
    [InlineData("_")]
    [InlineData("'")]
    [InlineData("%5C")]
    [InlineData("%22")]
    public async Task What_means_something_to_a_search_is_a_letter_like_any_other(string sign)
    {
        await TakeIn("Petra Hask", "Gannet", "2026-12-01");
        (await Found($"?words={sign}")).ShouldBeEmpty();
        await TakeIn($"Odd {Uri.UnescapeDataString(sign)} one", "Gannet", "2026-12-02");
        (await Found($"?words={sign}")).Length.ShouldBe(1);
    }

    [Fact]
    public async Task A_fitter_s_own_tags_are_found_by_initials_and_only_those_who_have_some_are_listed()
    {
        await TakeIn("Petra Hask", "Gannet", "2026-12-01", "mk");
        await TakeIn("Osk Lund", "Gannet", "2026-12-01", "TB");
        (await _shop.Get("/api/fitters")).AsArray().Select(f => f!.GetValue<string>()).ShouldBe(["MK", "TB"]);
        (await Found("?by=MK")).ShouldBe(["Petra Hask"]);
        (await Found("?by=ZZ")).ShouldBeEmpty();
        (await Found("?by=MK&words=lund")).ShouldBeEmpty();
    }

    [Fact]
    public async Task A_tag_says_the_next_station_and_how_many_are_done_and_that_it_is_held()
    {
        var job = await TakeIn("Petra Hask", "Gannet", "2026-12-01");
        async Task<JsonNode> Tag() => (await _shop.Get("/api/jobs")).AsArray().Single()!;
        ((await Tag())["next"]!.GetValue<string>(), (await Tag())["stationsDone"]!.GetValue<int>()).ShouldBe(("gauge", 1));
        await _shop.Patch($"/api/jobs/{job}/gauge", new { attachment = "springBarDrilled", wear = "regular" });
        foreach (var (figure, typed) in ((string, string)[])[("lugWidth", "20"), ("lugToLug", "48"), ("wrist", "170")])
            await _shop.Post($"/api/jobs/{job}/gauge/readings", new { figure, typed });
        ((await Tag())["next"]!.GetValue<string>(), (await Tag())["stationsDone"]!.GetValue<int>()).ShouldBe(("match", 2));
        (await Tag())["referred"]!.GetValue<bool>().ShouldBeFalse();
        await _shop.Put($"/api/jobs/{job}/take-in/referral", new { reasons = new[] { "crownLoose" }, referred = true });
        (await Tag())["referred"]!.GetValue<bool>().ShouldBeTrue();
    }

    [Fact]
    public async Task A_job_is_asked_for_by_its_tag_with_the_version_a_change_names()
    {
        var job = await TakeIn("Petra Hask", "Gannet", "2026-12-01");
        using var first = await _shop.Client.GetAsync($"/api/jobs/{job}");
        first.Headers.ETag!.Tag.ShouldBe("\"1\"");
        await _shop.Patch($"/api/jobs/{job}/gauge", new { wear = "snug" });
        using var second = await _shop.Client.GetAsync($"/api/jobs/{job}");
        second.Headers.ETag!.Tag.ShouldBe("\"2\"");
        (await _shop.Send(HttpMethod.Get, "/api/jobs/77", null, HttpStatusCode.NotFound))["title"]!.GetValue<string>().ShouldBe("There is no job with tag 77.");
    }
}
