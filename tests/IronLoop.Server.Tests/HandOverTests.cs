using System.Net;
using System.Text.Json.Nodes;

namespace IronLoop.Server.Tests;

/// <summary>Hand-over, what was promised with it, and the owner who comes back.</summary>
public sealed class HandOverTests : IDisposable
{
    private readonly Shop _shop = new(demo: true);

    public void Dispose() => _shop.Dispose();

    private async Task<long> Ready() => (await _shop.Get("/api/jobs")).AsArray().Single(j => j!["client"]!.GetValue<string>() == "Hale Torvic")!["id"]!.GetValue<long>();

    private Task<JsonNode> Sheet(long job) => _shop.Get($"/api/jobs/{job}/hand-over");

    private static object[] Counted(JsonNode sheet) =>
        [.. sheet["bag"]!.AsArray().Select(l => (object)new { key = l!["key"]!.GetValue<string>(), count = l["count"]!.GetValue<int>() })];

    private async Task<long> HandOver(long job)
    {
        await _shop.Post($"/api/jobs/{job}/hand-over", new { counted = Counted(await Sheet(job)), by = "mk" });
        return job;
    }

    [Fact]
    public async Task The_owner_is_told_what_fits_this_band_and_this_wrist()
    {
        var job = await Ready();
        var advice = (await Sheet(job))["advice"]!.AsArray().Select(a => a!.GetValue<string>()).ToList();
        advice[0].ShouldBe("The clasp sits off its place, 3.0 mm toward the 6 side.");
        (await _shop.Get($"/api/jobs/{job}/loop"))["notice"]!.GetValue<string>().ShouldContain(advice[0], customMessage: "and it was said at Size");
        advice[1].ShouldBe("Come by and we move the clasp’s bar to position 5 from the tight end on hot days; it leaves in position 4 from the tight end.");
        advice.ShouldContain(a => a.StartsWith("Keep the bag", StringComparison.Ordinal));
        advice.ShouldNotContain(a => a.Contains("eather", StringComparison.Ordinal) && a.Contains("water", StringComparison.Ordinal));
    }

    [Fact]
    public async Task What_is_posted_is_packed_line_by_line()
    {
        var job = await Ready();
        var sheet = await Sheet(job);
        sheet["packed"]!.AsArray().Select(p => p!["says"]!.GetValue<string>()).ShouldContain("1 box, as it came");
        var refused = await _shop.Post($"/api/jobs/{job}/hand-over",
            new { counted = Counted(sheet), by = "mk", goesBack = "posted", packed = new[] { "card" } }, HttpStatusCode.BadRequest);
        refused["errors"]!["$.packed"]!.AsArray().Count.ShouldBe(sheet["packed"]!.AsArray().Count - 1);
        (await Sheet(job))["closed"]!.GetValue<bool>().ShouldBeFalse("a refused hand-over stores nothing");
        await _shop.Post($"/api/jobs/{job}/hand-over", new { counted = Counted(sheet), by = "mk", goesBack = "posted", packed = sheet["packed"]!.AsArray().Select(p => p!["key"]!.GetValue<string>()), price = "49.50" });
        sheet = await Sheet(job);
        sheet["goesBack"]!.GetValue<string>().ShouldBe("posted");
        sheet["price"]!.GetValue<long>().ShouldBe(4950);
    }

    [Theory]
    [InlineData("2026-11-24", "observeOn is 2026-11-24; allowed is 2026-11-25 to 2027-11-24.")]
    [InlineData("2030-01-01", "observeOn is 2030-01-01; allowed is 2026-11-25 to 2027-11-24.")]
    public async Task A_day_to_ask_after_it_must_be_one_that_can_be_kept(string day, string says)
    {
        var job = await Ready();
        var refused = await _shop.Post($"/api/jobs/{job}/hand-over", new { counted = Counted(await Sheet(job)), by = "mk", observeOn = day }, HttpStatusCode.BadRequest);
        refused["errors"]!["$.observeOn"]![0]!.GetValue<string>().ShouldBe(says);
    }

    [Fact]
    public async Task The_rack_reminds_of_what_was_promised_until_it_was_asked()
    {
        var job = await Ready();
        await _shop.Post($"/api/jobs/{job}/hand-over", new { counted = Counted(await Sheet(job)), by = "mk", observeOn = "2026-11-27", observeFor = "does the end link rattle" });
        JsonNode Mine(JsonNode all) => all.AsArray().Single(o => o!["jobId"]!.GetValue<long>() == job)!;
        Mine(await _shop.Get("/api/observations"))["due"]!.GetValue<bool>().ShouldBeFalse();
        _shop.Clock.Advance(TimeSpan.FromDays(3));
        var due = Mine(await _shop.Get("/api/observations"));
        due["due"]!.GetValue<bool>().ShouldBeTrue();
        due["for"]!.GetValue<string>().ShouldBe("does the end link rattle");
        await _shop.Post($"/api/jobs/{job}/observed", new { by = "mk", heard = "" }, HttpStatusCode.BadRequest);
        await _shop.Post($"/api/jobs/{job}/observed", new { by = "mk", heard = "Quiet as a mouse." });
        (await _shop.Get("/api/observations")).AsArray().ShouldNotContain(o => o!["jobId"]!.GetValue<long>() == job);
        await _shop.Post($"/api/jobs/{job}/observed", new { by = "mk", heard = "Again." }, HttpStatusCode.Conflict);
        (await _shop.Get("/api/log?words=quiet mouse"))["visits"]!.AsArray().Count.ShouldBe(1);
    }

    [Fact]
    public async Task A_return_visit_begins_with_the_band_as_it_left_and_the_bag_and_is_sized_up_from_it()
    {
        var job = await HandOver(await Ready());
        var left = await _shop.Get($"/api/jobs/{job}/loop");
        var bag = (await Sheet(job))["bag"]!.AsArray().Single(l => l!["what"]!.GetValue<string>().StartsWith("links", StringComparison.Ordinal))!["count"]!.GetValue<int>();

        await _shop.Post($"/api/jobs/{await Open()}/again", new { by = "tb" }, HttpStatusCode.Conflict);
        var again = await _shop.Send(HttpMethod.Post, $"/api/jobs/{job}/again", new { by = "tb", words = "Tight since the summer." }, HttpStatusCode.Created);
        var id = again["id"]!.GetValue<long>();
        again["figures"]!["missing"]!.AsArray().Select(m => m!.GetValue<string>()).ShouldBe(["wrist"], "only the wrist is taken anew");
        again["band"]!["own"]!.GetValue<bool>().ShouldBeTrue();

        // One figure, and the plan puts the owner's own links back.
        await _shop.Post($"/api/jobs/{id}/gauge/readings", new { figure = "wrist", typed = "184" });
        var loop = await _shop.Get($"/api/jobs/{id}/loop");
        loop["plannersSay"]!.GetValue<string>().ShouldContain("Put ");
        var lay = loop["layOut"]!;
        var joins = ((string[])["twelve", "six"]).Sum(side => lay[side]!.AsArray().Count(l => l!["fate"]!.GetValue<string>() == "joins"));
        joins.ShouldBeInRange(1, bag);
        joins.ShouldBe(bag - lay["spares"]!.AsArray().Count, "what goes in comes from the bag");
        int In(JsonNode l, string side) => l["layOut"]![side]!.AsArray().Count(x => x!["fate"]!.GetValue<string>() is "stays" or "fixed");
        In(loop, "twelve").ShouldBe(In(left, "twelve"), "as it left");
        In(loop, "six").ShouldBe(In(left, "six"));

        // And it is worked, with the pins out of the bag too.
        await _shop.Post($"/api/jobs/{id}/size/agree", null);
        var bench = await _shop.Get($"/api/jobs/{id}/bench");
        while (bench["steps"]!.AsArray().FirstOrDefault(s => s!["next"]!.GetValue<bool>()) is { } step)
            bench = await _shop.Put($"/api/jobs/{id}/bench/steps/{step["key"]!.GetValue<string>()}", new { done = true, asPlanned = true });
        await HandOver(id);
        (await Sheet(id))["backFrom"]!.GetValue<long>().ShouldBe(job);
    }

    private async Task<long> Open() => (await _shop.Get("/api/jobs")).AsArray().First()!["id"]!.GetValue<long>();

    [Fact]
    public async Task A_watch_that_goes_back_as_it_came_says_why_and_leaves_what_was_kept_for_it()
    {
        using var shop = new Shop(demo: true);
        async Task<long> JobOf(string client) => (await shop.Get("/api/jobs")).AsArray().Single(j => j!["client"]!.GetValue<string>() == client)!["id"]!.GetValue<long>();
        var waits = await JobOf("Nessa Brune");
        (await shop.Post($"/api/jobs/{waits}/hand-over/unworked", new { by = "TB", why = " " }, HttpStatusCode.BadRequest))["errors"]!["$.why"]![0]!.GetValue<string>().ShouldContain("1 to 2000");
        var back = await shop.Post($"/api/jobs/{waits}/hand-over/unworked", new { by = "TB", why = "The clasp would take five weeks; she sails on Friday." });
        back["closedAt"].ShouldNotBeNull();
        back["awaited"]!.AsArray().ShouldBeEmpty();
        (await shop.Get($"/api/jobs/{waits}/hand-over"))["done"]!.GetValue<string>().ShouldBe("Nothing was done to it: it went back as it came.");
        var log = (await shop.Get($"/api/log?words=tag {waits}")).ToJsonString();
        log.ShouldContain("Went back unworked.");
        log.ShouldContain("she sails on Friday");
        // What lies open is finished or put back first.
        (await shop.Post($"/api/jobs/{await JobOf("Bettan Oakes")}/hand-over/unworked", new { by = "TB", why = "No time." }, HttpStatusCode.Conflict))["title"]!.GetValue<string>().ShouldContain("has begun");
    }
}
