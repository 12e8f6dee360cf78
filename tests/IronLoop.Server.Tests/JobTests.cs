using System.Net;
using System.Text.Json.Nodes;

namespace IronLoop.Server.Tests;

public sealed class JobTests : IDisposable
{
    private readonly Shop _shop = new(demo: true);

    public void Dispose() => _shop.Dispose();

    private static object Heard(string client = "Ada Moor", string promised = "2026-11-27") =>
        new { client, watch = "Ostwick pilot", request = "changeStrap", promised, by = "mk", contact = "pier 2", words = "Too long by two fingers." };

    private async Task<long> TakeIn() => (await _shop.Post("/api/jobs", Heard(), HttpStatusCode.Created))["id"]!.GetValue<long>();

    private Task<JsonNode> Gauge(long id) => _shop.Patch($"/api/jobs/{id}/gauge", new
    {
        lugWidth = "20,1 mm",
        attachment = "springBarDrilled",
        lugToLug = "1 7/8 in",
        wrist = "16,8 cm",
        wear = "regular",
    });

    private async Task<List<JsonNode>> Bands(long id)
    {
        var sheet = await _shop.Get($"/api/jobs/{id}/match?take=100");
        return [.. sheet["own"]!.AsArray().Concat(sheet["page"]!.AsArray()).Select(m => m!)];
    }

    private async Task<JsonNode> Band(long id, string article) =>
        (await Bands(id)).Single(m => m["band"]!["article"]!.GetValue<string>() == article);

    private async Task Choose(long id, string article) =>
        await _shop.Put($"/api/jobs/{id}/match", new { bandId = (await Band(id, article))["band"]!["id"]!.GetValue<long>() });

    private async Task<JsonArray> TickAll(long id)
    {
        var steps = (await _shop.Get($"/api/jobs/{id}/bench"))["steps"]!.AsArray();
        foreach (var key in steps.Select(s => s!["key"]!.GetValue<string>()).ToList())
            steps = (await _shop.Put($"/api/jobs/{id}/bench/steps/{key}", new { done = true, asPlanned = true }))["steps"]!.AsArray();
        return steps;
    }

    private static string Says(JsonNode job, string station) =>
        job["stations"]!.AsArray().Single(s => s!["station"]!.GetValue<string>() == station)!["says"]!.GetValue<string>();

    [Fact]
    public async Task One_job_goes_from_take_in_to_the_log_and_is_there_after_a_restart()
    {
        var id = await TakeIn();
        var job = await _shop.Get($"/api/jobs/{id}");
        job["takenInBy"]!.GetValue<string>().ShouldBe("MK");
        Says(job, "gauge").ShouldBe("Still to gauge: lug width.");

        job = await Gauge(id);
        var figures = job["figures"]!;
        figures["lugWidth"]!["text"]!.GetValue<string>().ShouldBe("20.1 mm");
        figures["lugToLug"]!["mm"]!.GetValue<decimal>().ShouldBe(47.625m);
        figures["barToBar"]!["mm"]!.GetValue<decimal>().ShouldBe(43.625m, "assumed from lug-to-lug, less 4 mm");
        figures["barToBar"]!["assumed"]!.GetValue<bool>().ShouldBeTrue();
        figures["wrist"]!["mm"]!.GetValue<decimal>().ShouldBe(168m);

        await Choose(id, "SK-2011");
        await _shop.Put($"/api/jobs/{id}/clasp/keep", null);
        var loop = await _shop.Get($"/api/jobs/{id}/loop");
        loop["isPlanned"]!.GetValue<bool>().ShouldBeTrue();
        loop["rulers"]!["temper"]!.GetValue<string>().ShouldBe("right");
        var out12 = Out(loop, "twelve");
        var out6 = Out(loop, "six");
        (out12 + out6).ShouldBeGreaterThan(0);

        await _shop.Post($"/api/jobs/{id}/size/agree", null);
        (await TickAll(id)).ShouldAllBe(s => s!["done"]!.GetValue<bool>());
        var sheet = await _shop.Get($"/api/jobs/{id}/hand-over");
        var bag = sheet["bag"]!.AsArray();
        bag.Where(l => l!["what"]!.GetValue<string>() is var what && (what.StartsWith("link", StringComparison.Ordinal) || what.StartsWith("split pin", StringComparison.Ordinal)))
            .Sum(l => l!["count"]!.GetValue<int>()).ShouldBe(2 * (out12 + out6), "every link out, and one fastener for each");
        bag.ShouldContain(l => l!["what"]!.GetValue<string>().StartsWith("old strap with its pin buckle", StringComparison.Ordinal), "what came off goes back too");

        job = await _shop.Post($"/api/jobs/{id}/hand-over", new { counted = bag, by = "MK", note = "Owner asked about a shorter strap." });
        job["closedAt"].ShouldNotBeNull();

        using var later = new Shop(folder: _shop.Stop());
        (await later.Get("/api/jobs")).AsArray().ShouldNotContain(t => t!["id"]!.GetValue<long>() == id, "a closed job leaves the rack");
        var found = (await later.Get("/api/log?words=moor%20shorter"))["visits"]!.AsArray();
        found.Count.ShouldBe(1);
        found[0]!["jobId"]!.GetValue<long>().ShouldBe(id);
        found[0]!["entries"]!.ToJsonString().ShouldContain("taken out of");
        (await later.Get("/api/log?words=moor%20zeppelin"))["visits"]!.AsArray().ShouldBeEmpty();
        (await later.Get("/api/log?words=%25"))["visits"]!.AsArray().ShouldBeEmpty("a percent sign is a character, not a wildcard");
    }

    [Theory]
    [InlineData("client", "", "client is empty")]
    [InlineData("watch", " ", "watch is empty")]
    [InlineData("by", "M4", "1 to 4 letters")]
    [InlineData("promised", "2026-11-23", "allowed is 2026-11-24 to 2029-11-24")]
    [InlineData("promised", "tomorrow", "a day such as")]
    [InlineData("request", "polish", "one of changeStrap")]
    public async Task A_take_in_is_refused_by_field_and_nothing_is_stored(string field, string value, string said)
    {
        var before = (await _shop.Get("/api/jobs")).AsArray().Count;
        var heard = System.Text.Json.JsonSerializer.SerializeToNode(Heard())!;
        heard[field] = value;
        var problem = await _shop.Post("/api/jobs", heard.ToJsonString(), HttpStatusCode.BadRequest);
        problem["errors"]![$"$.{field}"]![0]!.GetValue<string>().ShouldContain(said);
        (await _shop.Get("/api/jobs")).AsArray().Count.ShouldBe(before);
    }

    [Theory]
    [InlineData("lugWidth", "nineteen", "is not a length")]
    [InlineData("lugWidth", "19.4 cm", "lug width is 194 mm; allowed is 6 to 40 mm.")]
    [InlineData("wrist", "50", "wrist is 50 mm; allowed is 60 to 320 mm.")]
    [InlineData("barRise", "-3", "allowed is -2 to 15 mm")]
    public async Task A_figure_is_refused_and_the_others_in_the_same_breath_are_not_half_stored(string field, string typed, string said)
    {
        var id = await TakeIn();
        var body = new JsonObject { ["lugToLug"] = "47", [field] = typed };
        var problem = await _shop.Patch($"/api/jobs/{id}/gauge", body.ToJsonString(), HttpStatusCode.BadRequest);
        problem["errors"]![$"$.{field}"]![0]!.GetValue<string>().ShouldContain(said);
        (await _shop.Get($"/api/jobs/{id}"))["figures"]!["lugToLug"].ShouldBeNull();
    }

    [Fact]
    public async Task A_figure_can_be_forgotten_again()
    {
        var id = await TakeIn();
        await Gauge(id);
        await _shop.Patch($"/api/jobs/{id}/gauge", new { barToBar = "44" });
        (await _shop.Get($"/api/jobs/{id}"))["figures"]!["barToBar"]!["assumed"]!.GetValue<bool>().ShouldBeFalse();
        await _shop.Patch($"/api/jobs/{id}/gauge", new { barToBar = "" });
        (await _shop.Get($"/api/jobs/{id}"))["figures"]!["barToBar"]!["assumed"]!.GetValue<bool>().ShouldBeTrue();
    }

    [Fact]
    public async Task Bands_are_ranked_with_reasons_and_what_cannot_go_on_cannot_be_chosen()
    {
        var id = await TakeIn();
        await Gauge(id);
        var verdicts = (await Bands(id)).Select(m => m!["verdict"]!.GetValue<string>()).ToList();
        var order = new List<string> { "fits", "compromise", "unknown", "work", "no" };
        verdicts.ShouldBe(verdicts.OrderBy(order.IndexOf));
        var rubber = await Band(id, "SK-R22");
        rubber["verdict"]!.GetValue<string>().ShouldBe("no");
        rubber["rules"]!.AsArray().ShouldContain(r => r!["says"]!.GetValue<string>().Contains("too wide"));
        var problem = await _shop.Put($"/api/jobs/{id}/match", new { bandId = rubber["band"]!["id"]!.GetValue<long>() }, HttpStatusCode.Conflict);
        problem["title"]!.GetValue<string>().ShouldContain("does not go on this watch");
    }

    [Fact]
    public async Task The_last_band_in_stock_is_promised_to_one_job_only()
    {
        var (first, second) = (await TakeIn(), await TakeIn());
        await Gauge(first);
        await Gauge(second);
        await Choose(first, "SK-2014");
        var problem = await _shop.Put($"/api/jobs/{second}/match",
            new { bandId = (await Band(second, "SK-2014"))["band"]!["id"]!.GetValue<long>() }, HttpStatusCode.Conflict);
        problem["title"]!.GetValue<string>().ShouldContain("chosen for other jobs");
    }

    [Fact]
    public async Task A_link_by_hand_changes_every_number_and_one_call_goes_back_to_the_plan()
    {
        var id = await TakeIn();
        await Gauge(id);
        await Choose(id, "SK-2011");
        var plan = await _shop.Get($"/api/jobs/{id}/loop");
        var byHand = await _shop.Put($"/api/jobs/{id}/size", new
        {
            twelve = new { @out = new[] { 8 }, @in = Array.Empty<decimal>() },
            six = new { @out = Array.Empty<int>(), @in = Array.Empty<decimal>() },
            position = 2,
        });
        byHand["isPlanned"]!.GetValue<bool>().ShouldBeFalse();
        Out(byHand, "twelve").ShouldBe(1);
        byHand["figures"]!["linksMoved"]!.GetValue<int>().ShouldBe(1);
        byHand["rulers"]!["ease"]!["mm"]!.GetValue<decimal>().ShouldNotBe(plan["rulers"]!["ease"]!["mm"]!.GetValue<decimal>());
        (await _shop.Get($"/api/jobs/{id}/loop")).ToJsonString().ShouldBe(byHand.ToJsonString(), "it is stored");
        (await _shop.Send(HttpMethod.Delete, $"/api/jobs/{id}/size", null)).ToJsonString().ShouldBe(plan.ToJsonString());
    }

    [Theory]
    [InlineData(0, 2, "$.twelve.out[0]", "does not come out")]
    [InlineData(40, 2, "$.twelve.out[0]", "this side has links 0 to 8")]
    [InlineData(8, 5, "$.position", "allowed is 0 to 4")]
    public async Task Links_cannot_lie_as_they_cannot(int ordinal, int position, string path, string said)
    {
        var id = await TakeIn();
        await Gauge(id);
        await Choose(id, "SK-2011");
        var problem = await _shop.Put($"/api/jobs/{id}/size", new
        {
            twelve = new { @out = new[] { ordinal }, @in = Array.Empty<decimal>() },
            six = new { @out = Array.Empty<int>(), @in = Array.Empty<decimal>() },
            position,
        }, HttpStatusCode.BadRequest);
        problem["errors"]![path]![0]!.GetValue<string>().ShouldContain(said);
    }

    [Fact]
    public async Task The_second_side_waits_for_the_try_on_and_the_plan_waits_for_the_bench()
    {
        var id = await TakeIn();
        await Gauge(id);
        await Choose(id, "SK-2011");
        await _shop.Post($"/api/jobs/{id}/size/agree", null);
        var steps = (await _shop.Get($"/api/jobs/{id}/bench"))["steps"]!.AsArray();
        steps.Select(s => s!["row"]!.GetValue<string>()).Distinct().ShouldBe(
            ["protect", "look", "fetch", "oldBandOff", "clean", "open", "join", "lay", "lugs", "tryOn", "wipe", "check", "putAway"], "the order a hand would choose");
        var keys = steps.Select(s => s!["key"]!.GetValue<string>()).ToList();
        foreach (var key in keys.TakeWhile(k => !k.StartsWith("tryon", StringComparison.Ordinal)).ToList())
            await _shop.Put($"/api/jobs/{id}/bench/steps/{key}", new { done = true, asPlanned = true });
        var second = steps.First(s => s!["round"]!.GetValue<int>() == 2)!["key"]!.GetValue<string>();
        var problem = await _shop.Put($"/api/jobs/{id}/bench/steps/{second}", new { done = true, asPlanned = true }, HttpStatusCode.Conflict);
        problem["title"]!.GetValue<string>().ShouldContain("try it on");
        problem = await _shop.Send(HttpMethod.Delete, $"/api/jobs/{id}/size", null, HttpStatusCode.Conflict);
        problem["title"]!.GetValue<string>().ShouldContain("Bench work has begun");
    }

    [Fact]
    public async Task A_bag_that_lacks_a_link_does_not_close_the_job()
    {
        var ready = (await _shop.Get("/api/jobs")).AsArray().Single(t => t!["client"]!.GetValue<string>() == "Hale Torvic")!["id"]!.GetValue<long>();
        var bag = (await _shop.Get($"/api/jobs/{ready}/hand-over"))["bag"]!.AsArray();
        bag[0]!["count"] = bag[0]!["count"]!.GetValue<int>() - 1;
        var problem = await _shop.Post($"/api/jobs/{ready}/hand-over", new { counted = bag, by = "MK" }, HttpStatusCode.BadRequest);
        problem["errors"]!["$.counted"]![0]!.GetValue<string>().ShouldContain("must be in the bag");
        (await _shop.Get($"/api/jobs/{ready}"))["closedAt"].ShouldBeNull();
    }

    [Fact]
    public async Task A_closed_job_cannot_be_changed()
    {
        var closed = (await _shop.Get("/api/log?words=handed%20over"))["visits"]!.AsArray()[0]!["jobId"]!.GetValue<long>();
        await _shop.Patch($"/api/jobs/{closed}/gauge", new { wrist = "180" }, HttpStatusCode.Conflict);
        await _shop.Put($"/api/jobs/{closed}/take-in", Heard(), HttpStatusCode.Conflict);
        await _shop.Put($"/api/jobs/{closed}/bench/steps/check-lugs", new { done = false }, HttpStatusCode.Conflict);
    }

    [Fact]
    public async Task Figures_gauged_anew_after_the_plan_are_said_to_have_changed()
    {
        var id = await TakeIn();
        await Gauge(id);
        await Choose(id, "SK-2011");
        await _shop.Post($"/api/jobs/{id}/size/agree", null);
        await _shop.Patch($"/api/jobs/{id}/gauge", new { wrist = "175" });
        (await _shop.Get($"/api/jobs/{id}/loop"))["notice"]!.GetValue<string>().ShouldContain("figures have changed");
    }

    private static object OwnBracelet(string twelve = "2 fixed of 9; 7 of 8.2") => new
    {
        name = "Own bracelet",
        material = "metal",
        attaches = "looseBar",
        width = "20",
        thickness = "3,4",
        claspName = "fold-over",
        price = "0",
        bracelet = new
        {
            twelve,
            six = "2 fixed of 9; 6 of 8.2",
            spares = "2 of 5",
            claspTwelve = "18.4",
            claspSix = "19.6",
            microSide = "twelve",
            positions = 5,
            step = "2.4",
            position = 3,
        },
    };

    [Fact]
    public async Task The_owners_own_band_is_entered_and_offered_to_that_owner_only()
    {
        var (mine, other) = (await TakeIn(), (await _shop.Post("/api/jobs", Heard("Ben Lowe"), HttpStatusCode.Created))["id"]!.GetValue<long>());
        var band = await _shop.Post($"/api/jobs/{mine}/bands", OwnBracelet(), HttpStatusCode.Created);
        band["links"]!.GetValue<int>().ShouldBe(17);
        var article = band["article"]!.GetValue<string>();
        (await Band(mine, article))["free"]!.GetValue<int>().ShouldBe(1);
        (await Bands(other)).ShouldNotContain(m => m["band"]!["article"]!.GetValue<string>() == article);
        await _shop.Put($"/api/jobs/{other}/match", new { bandId = band["id"]!.GetValue<long>() }, HttpStatusCode.NotFound);
        await Gauge(mine);
        await Choose(mine, article);
        (await _shop.Get($"/api/jobs/{mine}/loop"))["rulers"]!["temper"]!.GetValue<string>().ShouldBe("right");
    }

    [Fact]
    public async Task A_strap_is_put_in_stock_and_a_bad_sheet_is_refused_field_by_field()
    {
        var strap = await _shop.Post("/api/bands", new
        {
            name = "Plain strap",
            material = "leather",
            attaches = "looseBar",
            width = "19",
            thickness = "2.5",
            claspName = "pin buckle",
            inStock = 3,
            price = "31,50",
            strap = new { bucklePiece = "75", tail = "118", firstHole = "58", holePitch = "6.5", holes = 7 },
        }, HttpStatusCode.Created);
        (await _shop.Get("/api/bands")).AsArray().ShouldContain(b => b!["id"]!.GetValue<long>() == strap["id"]!.GetValue<long>());
        strap["priceCents"]!.GetValue<long>().ShouldBe(3_150);

        var problem = await _shop.Post("/api/bands", OwnBracelet("seven of eight"), HttpStatusCode.BadRequest);
        problem["errors"]!["$.bracelet.twelve"]![0]!.GetValue<string>().ShouldContain("12 side: “eight” is not a length");
    }

    [Fact]
    public async Task The_demo_stands_in_all_stations()
    {
        var next = (await _shop.Get("/api/jobs")).AsArray().Select(t => t!["next"]!.GetValue<string>()).Distinct().ToList();
        foreach (var station in (string[])["gauge", "match", "clasp", "size", "bench", "handOver"])
            next.ShouldContain(station);
    }

    private static int Out(JsonNode loop, string side) =>
        loop["layOut"]![side]!.AsArray().Count(l => l!["fate"]!.GetValue<string>() == "leaves");
}
