using System.Net;
using System.Text;
using System.Text.Json.Nodes;
using Microsoft.Data.Sqlite;
using UglyToad.PdfPig;

namespace IronLoop.Server.Tests;

/// <summary>The bench: steps, the tray's account, the try-on between the sides, consent, stop and refer.</summary>
public sealed class BenchTests : IDisposable
{
    private readonly Shop _shop = new(demo: true);

    public void Dispose() => _shop.Dispose();

    private async Task<long> JobId(string client, string watch = "") =>
        (await _shop.Get("/api/jobs")).AsArray().Single(j => j!["client"]!.GetValue<string>() == client && j["watch"]!.GetValue<string>().Contains(watch, StringComparison.Ordinal))!["id"]!.GetValue<long>();

    private Task<JsonNode> Bench(long job) => _shop.Get($"/api/jobs/{job}/bench");

    private static JsonNode? Next(JsonNode bench) => bench["steps"]!.AsArray().FirstOrDefault(s => s!["next"]!.GetValue<bool>());

    private static string Text(JsonNode? node, string field) => node![field]!.GetValue<string>();

    /// <summary>By what the tray's things of a name are told.</summary>
    private async Task<string> Heap(long job, string part) => Text((await Bench(job))["tray"]!.AsArray().First(l => Text(l, "part") == part), "heap");

    private static int Tray(JsonNode bench, string part, string place) =>
        bench["tray"]!.AsArray().Single(t => t!["part"]!.GetValue<string>() == part)![place]!.GetValue<int>();

    /// <summary>Works steps forward until one of a kind is next; to the end without one.</summary>
    private async Task<JsonNode> Forward(long job, string? until = null)
    {
        var bench = await Bench(job);
        while (Next(bench) is { } step && Text(step, "row") != until)
            bench = await _shop.Put($"/api/jobs/{job}/bench/steps/{Text(step, "key")}", new { done = true, asPlanned = true });
        return bench;
    }

    private async Task<long> OnTheBench(string client)
    {
        var job = await JobId(client);
        await _shop.Put($"/api/jobs/{job}/clasp/keep", null);
        await _shop.Post($"/api/jobs/{job}/size/agree", null);
        return job;
    }

    private static void Balances(JsonNode bench, Dictionary<string, int> opening)
    {
        foreach (var line in bench["tray"]!.AsArray())
        {
            var sum = ((string[])["watch", "tray", "bag", "scrapped", "lost"]).Sum(p => line![p]!.GetValue<int>()) - line!["fromStock"]!.GetValue<int>();
            if (!opening.TryAdd(Text(line, "part"), sum))
                sum.ShouldBe(opening[Text(line, "part")], $"{Text(line, "part")} in all");
        }
    }

    private static Dictionary<string, int> Totals(JsonNode bench) => bench["tray"]!.AsArray().ToDictionary(
        t => Text(t, "part"), t => ((string[])["watch", "tray", "bag", "scrapped", "lost"]).Sum(p => t![p]!.GetValue<int>()) - t!["fromStock"]!.GetValue<int>());

    [Fact]
    public async Task Each_step_moves_its_parts_and_taking_it_back_moves_them_back()
    {
        var job = await OnTheBench("Sunniva Marl");
        var bench = await Bench(job);
        var opening = Totals(bench);
        bench = await Forward(job, "open");
        bench = await _shop.Put($"/api/jobs/{job}/bench/steps/{Text(Next(bench), "key")}", new { done = true, asPlanned = true });
        var before = Tray(bench, "link screws", "tray");
        var key = Text(Next(bench), "key");
        bench = await _shop.Put($"/api/jobs/{job}/bench/steps/{key}", new { done = true, asPlanned = true });
        Tray(bench, "link screws", "tray").ShouldBe(before + 2, "a joint opened, its screw in the tray, and the run with the one inside it");
        Balances(bench, opening);
        bench = await _shop.Put($"/api/jobs/{job}/bench/steps/{key}", new { done = false });
        Tray(bench, "link screws", "tray").ShouldBe(before);
        await _shop.Put($"/api/jobs/{job}/bench/steps/{key}", new { done = false }, HttpStatusCode.Conflict);
        bench = await Forward(job, "tryOn");
        await _shop.Put($"/api/jobs/{job}/bench/steps/{Text(Next(bench), "key")}", new { done = true, skipped = "the owner could not come" });
        bench = await Forward(job);
        bench["steps"]!.AsArray().First(s => Text(s, "row") == "tryOn")!["skipped"]!.GetValue<string>().ShouldBe("the owner could not come");
        Balances(bench, opening);
        var lines = (await _shop.Get($"/api/jobs/{job}/hand-over"))["bag"]!.AsArray();
        var bag = lines.ToDictionary(b => Text(b, "what"), b => b!["count"]!.GetValue<int>());
        (bag["link screws"], bag["links of 8.6 mm"]).ShouldBe((4, 4));
        bag.Keys.ShouldContain(k => k.StartsWith("old strap with its pin buckle", StringComparison.Ordinal), "it goes back too");
        await _shop.Post($"/api/jobs/{job}/hand-over", new { counted = lines, by = "MK" });
        Balances(await Bench(job), opening);
        Tray(await Bench(job), "link screws", "bag").ShouldBe(4);
        Tray(await Bench(job), "link screws", "tray").ShouldBe(0);
    }

    [Fact]
    public async Task Work_on_links_cannot_be_left_out_and_a_check_only_with_a_note()
    {
        var job = await OnTheBench("Sunniva Marl");
        var bench = await Forward(job, "open");
        (await _shop.Put($"/api/jobs/{job}/bench/steps/{Text(Next(bench), "key")}", new { done = true, skipped = "no time" }, HttpStatusCode.Conflict))["title"]!.GetValue<string>()
            .ShouldContain("cannot be left out");
        bench = await Forward(job, "check");
        var key = Text(Next(bench), "key");
        await _shop.Put($"/api/jobs/{job}/bench/steps/{key}", new { done = true, skipped = "one screw turns, owner told" });
        await Forward(job);
        (await _shop.Get("/api/log?words=screw%20turns"))["visits"]!.AsArray().Count.ShouldBe(1, "what is not settled is in the log");
    }

    [Fact]
    public async Task A_lost_tube_keeps_its_joint_open_until_one_comes_from_stock()
    {
        var job = await OnTheBench("Ketil Orrel");
        var opening = Totals(await Bench(job));
        var bench = await Forward(job, "open");
        bench = await _shop.Put($"/api/jobs/{job}/bench/steps/{Text(Next(bench), "key")}", new { done = true, asPlanned = true });
        var out3 = Tray(bench, "tubes", "tray");
        await _shop.Post($"/api/jobs/{job}/bench/tray", new { heap = await Heap(job, "tubes"), count = out3 + 1, act = "lost" }, HttpStatusCode.Conflict);
        bench = await _shop.Post($"/api/jobs/{job}/bench/tray", new { heap = await Heap(job, "tubes"), count = 1, act = "lost", why = "rolled under the bench" });
        Tray(bench, "tubes", "lost").ShouldBe(1);
        // Taking the step back wants the tube again: it is not there.
        var done = bench["steps"]!.AsArray().Last(s => s!["done"]!.GetValue<bool>() && Text(s, "row") != "tray")!;
        (await _shop.Put($"/api/jobs/{job}/bench/steps/{Text(done, "key")}", new { done = false }, HttpStatusCode.Conflict))["title"]!.GetValue<string>()
            .ShouldContain("Parts of it are gone");
        var stock = (await _shop.Get($"/api/jobs/{job}/bench/tray/stock")).AsArray().First(p => Text(p, "article").StartsWith("PN-", StringComparison.Ordinal))!;
        bench = await _shop.Post($"/api/jobs/{job}/bench/tray", new { heap = await Heap(job, "tubes"), count = 1, act = "fromStock", partId = stock["partId"]!.GetValue<long>() });
        Tray(bench, "tubes", "fromStock").ShouldBe(1);
        Balances(bench, opening);
        (await _shop.Get($"/api/jobs/{job}/bench/tray/stock")).AsArray().Single(p => Text(p, "article") == Text(stock, "article"))!["free"]!.GetValue<int>()
            .ShouldBe(stock["free"]!.GetValue<int>() - 1, "it is the job’s now");
        await Forward(job);
        var bag = (await _shop.Get($"/api/jobs/{job}/hand-over"))["bag"]!.AsArray();
        await _shop.Post($"/api/jobs/{job}/hand-over", new { counted = bag, by = "TB" });
        Balances(await Bench(job), opening);
        (await _shop.Post($"/api/jobs/{await JobId("Bettan Oakes")}/bench/tray", new { heap = "rubies", count = 1, act = "lost" }, HttpStatusCode.BadRequest))["errors"]!["$.heap"]![0]!.GetValue<string>()
            .ShouldContain("heap is “rubies”, which the tray does not know");
    }

    [Fact]
    public async Task What_was_lost_and_not_replaced_is_owned_up_to_before_the_job_closes()
    {
        var job = await OnTheBench("Sunniva Marl");
        await Forward(job);
        await _shop.Post($"/api/jobs/{job}/bench/tray", new { heap = await Heap(job, "link screws"), count = 1, act = "lost" });
        var bag = (await _shop.Get($"/api/jobs/{job}/hand-over"))["bag"]!.AsArray();
        bag.Single(b => Text(b, "what") == "link screws")!["count"]!.GetValue<int>().ShouldBe(3);
        (await _shop.Post($"/api/jobs/{job}/hand-over", new { counted = bag, by = "MK" }, HttpStatusCode.BadRequest)).ToJsonString()
            .ShouldContain("link screws: 1 lost and not replaced");
        await _shop.Post($"/api/jobs/{job}/hand-over", new { counted = bag, by = "MK", note = "One of the spare screws was lost; told her." });
    }

    [Fact]
    public async Task The_try_on_between_the_sides_plans_the_rest_anew_and_the_part_account_holds()
    {
        var job = await JobId("Bettan Oakes");
        var opening = Totals(await Bench(job));
        var loop = await _shop.Get($"/api/jobs/{job}/loop");
        var planned = loop["figures"]!["lengthMm"]!.GetValue<decimal>();
        var felt = new { by = "millimetres", over = "comfort", amount = "30", take = false };
        var tried = await _shop.Put($"/api/jobs/{job}/bench/try-on", felt);
        tried["same"]!.GetValue<bool>().ShouldBeFalse();
        (await _shop.Get($"/api/jobs/{job}/loop"))["figures"]!["lengthMm"]!.GetValue<decimal>().ShouldBe(planned, "only shown, not taken");
        await _shop.Put($"/api/jobs/{job}/bench/try-on", new { by = "millimetres", over = "comfort", amount = "", take = true }, HttpStatusCode.BadRequest);
        var taken = await _shop.Put($"/api/jobs/{job}/bench/try-on", new { by = "millimetres", over = "comfort", amount = "30", seen = "2", toward = "twelve", take = true });
        taken["seenSays"]!.GetValue<string>().ShouldContain("The clasp was seen 2.0 mm toward the 12 side");
        var bench = taken["bench"]!;
        bench["round"]!.GetValue<int>().ShouldBe(2);
        bench["steps"]!.AsArray().Count(s => s!["done"]!.GetValue<bool>()).ShouldBeGreaterThan(9, "what was done stays done");
        Next(bench)!["key"]!.GetValue<string>().ShouldStartWith("r2-");
        (await _shop.Get($"/api/jobs/{job}/loop"))["figures"]!["lengthMm"]!.GetValue<decimal>().ShouldBe(taken["lengthMm"]!.GetValue<decimal>());
        Balances(bench, opening);
        bench = await Forward(job);
        Balances(bench, opening);
        (await _shop.Get("/api/log?words=Tried%20on"))["visits"]!.AsArray().ShouldNotBeEmpty();
        var bag = (await _shop.Get($"/api/jobs/{job}/hand-over"))["bag"]!.AsArray();
        var outOf = (await _shop.Get($"/api/jobs/{job}/loop"))["layOut"]!;
        ((string[])["twelve", "six"]).Sum(side => outOf[side]!.AsArray().Count(l => Text(l, "fate") == "leaves"))
            .ShouldBe(bag.Single(b => Text(b, "what").StartsWith("link", StringComparison.Ordinal) && Text(b, "what").Contains(" of ", StringComparison.Ordinal))!["count"]!.GetValue<int>());
        await _shop.Post($"/api/jobs/{job}/hand-over", new { counted = bag, by = "TB" });
    }

    [Fact]
    public async Task No_figure_makes_a_part_vanish_once_the_account_has_begun()
    {
        var job = await JobId("Bettan Oakes");
        var opening = Totals(await Bench(job));
        (await _shop.Patch($"/api/jobs/{job}/gauge", new { attachment = "fixedBar" }, HttpStatusCode.Conflict))["title"]!.GetValue<string>()
            .ShouldContain("the account of its parts depends on");
        await _shop.Patch($"/api/jobs/{job}/gauge", new { wear = "snug" });
        Balances(await Bench(job), opening);

        // The same before any step, once a part is said to be lost.
        job = await OnTheBench("Runa Fenwick");
        await _shop.Post($"/api/jobs/{job}/bench/tray", new { heap = await Heap(job, "links of 8.2 mm"), count = 1, act = "lost" });
        var other = (await _shop.Get($"/api/jobs/{job}/match?take=60"))["page"]!.AsArray().First(m => m!["whyNot"] is null && !m["chosen"]!.GetValue<bool>())!["band"]!["id"]!.GetValue<long>();
        await _shop.Put($"/api/jobs/{job}/match", new { bandId = other }, HttpStatusCode.Conflict);
        await _shop.Post($"/api/jobs/{job}/bench/tray", new { heap = await Heap(job, "links of 8.2 mm"), count = 1, act = "found" });
        await _shop.Put($"/api/jobs/{job}/match", new { bandId = other });
    }

    [Fact]
    public async Task A_pin_that_comes_out_bent_is_replaced_and_said_at_the_hand_over()
    {
        var job = await OnTheBench("Sunniva Marl");
        var bench = await Forward(job, "open");
        bench["cameOut"]!.AsArray().ShouldBeEmpty("nothing is out yet");
        bench = await _shop.Put($"/api/jobs/{job}/bench/steps/{Text(Next(bench), "key")}", new { done = true });
        bench["cameOut"]!.AsArray().Select(c => Text(c, "part")).ShouldBe(["link screws"]);
        bench = await _shop.Post($"/api/jobs/{job}/bench/tray", new { heap = await Heap(job, "link screws"), count = 1, act = "scrapped", why = "bent" });
        bench["cameOut"]!.AsArray().ShouldBeEmpty("it is judged");
        Text(bench["gone"]!.AsArray().Single(), "part").ShouldBe("link screws");
        bench["gone"]![0]!["offers"]!.AsArray().ShouldBeEmpty("no screws are kept in stock here");
        await _shop.Post($"/api/jobs/{job}/bench/tray", new { heap = await Heap(job, "link screws"), count = 1, act = "fromStock" });
        await Forward(job);
        Text(await _shop.Get($"/api/jobs/{job}/hand-over"), "done").ShouldContain("Replaced: 1 link screw.");
        (await _shop.Get("/api/log?words=bent"))["visits"]!.AsArray().ShouldNotBeEmpty();
    }

    [Fact]
    public async Task What_takes_a_worn_pin_s_place_is_offered_by_size_and_booked_and_what_is_lent_comes_back()
    {
        var job = await OnTheBench("Ketil Orrel");
        (await _shop.Put($"/api/jobs/{job}/bench/lent", new { lines = new[] { new { name = "fitting pin", count = 0, drawer = "" } } }, HttpStatusCode.BadRequest))["errors"]!.AsObject().Select(e => e.Key)
            .ShouldBe(["$.lines[0].count", "$.lines[0].drawer"]);
        await _shop.Put($"/api/jobs/{job}/bench/lent", new { lines = new[] { new { name = "fitting pin", count = 2, drawer = "pin box" } } });
        var bench = await Forward(job, "open");
        bench["steps"]!.AsArray().ShouldContain(s => Text(s, "says").Contains("lent for this work: 2 fitting pins", StringComparison.Ordinal));
        bench = await _shop.Put($"/api/jobs/{job}/bench/steps/{Text(Next(bench), "key")}", new { done = true });
        bench = await _shop.Post($"/api/jobs/{job}/bench/tray", new { heap = await Heap(job, "plain pins"), count = 1, act = "scrapped", why = "worn" });
        var offer = bench["gone"]![0]!["offers"]!.AsArray().Single(o => o!["ofSize"]!.GetValue<bool>())!;
        Text(offer, "article").ShouldBe("PN-09-18", "the pins of this bracelet are 0.9 mm across");
        await _shop.Post($"/api/jobs/{job}/bench/tray", new { heap = await Heap(job, "plain pins"), count = 1, act = "fromStock", partId = offer["partId"]!.GetValue<long>() });
        async Task<int> Free() => (await _shop.Get("/api/parts")).AsArray().Single(p => Text(p, "article") == "PN-09-18")!["free"]!.GetValue<int>();
        (await Free()).ShouldBe(offer["free"]!.GetValue<int>() - 1, "it is the job’s");
        bench = await Forward(job);
        bench["gone"]!.AsArray().ShouldBeEmpty();
        bench["steps"]!.AsArray().ShouldContain(s => Text(s, "row") == "giveBack");
        Replay.Replayed.Of(bench).Faults.ShouldBeEmpty();
        var sheet = await _shop.Get($"/api/jobs/{job}/hand-over");
        sheet["bag"]!.AsArray().Select(b => Text(b, "fits")).Distinct().ShouldBe(["own broad-link bracelet"], "all that is in the bag fits it");
        await _shop.Post($"/api/jobs/{job}/hand-over", new { counted = sheet["bag"]!, by = "TB" });
        (await Free()).ShouldBe(offer["free"]!.GetValue<int>() - 1);
    }

    [Fact]
    public async Task Stock_moves_by_what_is_done_alone()
    {
        async Task<(int OnHand, int Free)> Bars()
        {
            var part = (await _shop.Get("/api/parts")).AsArray().Single(p => Text(p, "article") == "SB-18-18F");
            return (part!["onHand"]!.GetValue<int>(), part["free"]!.GetValue<int>());
        }
        var job = await JobId("Dorrit Vale");
        var before = await Bars();
        await _shop.Put($"/api/jobs/{job}/clasp/keep", null);
        await _shop.Post($"/api/jobs/{job}/size/agree", null);
        (await Bars()).ShouldBe(before, "a plan moves nothing");
        var bench = await Forward(job, "oldBandOff");
        bench["steps"]!.AsArray().ShouldContain(s => Text(s, "row") == "fetch" && Text(s, "says").Contains("2 spring bars 18 × 1.8, SB-18-18F", StringComparison.Ordinal));
        (await Bars()).ShouldBe((before.OnHand, before.Free - 2), "what was fetched is the job’s");
        var key = Text(bench["steps"]!.AsArray().Last(s => s!["done"]!.GetValue<bool>()), "key");
        await _shop.Put($"/api/jobs/{job}/bench/steps/{key}", new { done = false });
        (await Bars()).ShouldBe(before, "and is not when it lies in its drawer again");
        await Forward(job);
        var sheet = await _shop.Get($"/api/jobs/{job}/hand-over");
        await _shop.Post($"/api/jobs/{job}/hand-over", new { counted = sheet["bag"]!, by = "TB" });
        (await Bars()).ShouldBe((before.OnHand - 2, before.Free - 2), "what was used is booked");
    }

    [Fact]
    public async Task The_last_bars_that_were_fetched_stay_the_jobs_when_it_is_planned_anew()
    {
        await _shop.Put("/api/spring-bars", new { article = "SB-18-18F", length = "18", body = "1.8", tip = "0.9", style = "flanged", inStock = 2 });
        var job = await JobId("Dorrit Vale");
        await _shop.Put($"/api/jobs/{job}/clasp/keep", null);
        await _shop.Post($"/api/jobs/{job}/size/agree", null);
        await Forward(job, "oldBandOff");
        var bench = await _shop.Put($"/api/jobs/{job}/bench/joints", new { group = "lugs", fastener = "notLookedAt", across = "1.5" });
        bench["from"]!["things"]!.AsArray().Count(t => Text(t, "like") == "spring bar 18 × 1.8").ShouldBe(2);
        await Forward(job);
        var sheet = await _shop.Get($"/api/jobs/{job}/hand-over");
        await _shop.Post($"/api/jobs/{job}/hand-over", new { counted = sheet["bag"]!, by = "TB" });
        (await _shop.Get("/api/parts")).AsArray().Single(p => Text(p, "article") == "SB-18-18F")!["onHand"]!.GetValue<int>().ShouldBe(0);
    }

    [Fact]
    public async Task What_is_reserved_and_not_used_is_another_jobs_again()
    {
        var job = await JobId("Dorrit Vale");
        var bars = (await _shop.Get("/api/parts")).AsArray().Single(p => Text(p, "article") == "SB-18-18F")!;
        await _shop.Put($"/api/jobs/{job}/clasp/own-parts", new { kind = "springBars", straight = false, springy = true, unworn = true, came = true });
        await _shop.Put($"/api/jobs/{job}/clasp/own-parts/replacement", new { kind = "springBars", partId = bars["id"]!.GetValue<long>() });
        await _shop.Put($"/api/jobs/{job}/clasp/keep", null);
        await _shop.Post($"/api/jobs/{job}/size/agree", null);
        async Task<int> Free() => (await _shop.Get("/api/parts")).AsArray().Single(p => Text(p, "article") == "SB-18-18F")!["free"]!.GetValue<int>();
        (await Free()).ShouldBe(bars["free"]!.GetValue<int>() - 2);
        // They are found good after all, and go back in.
        await _shop.Put($"/api/jobs/{job}/clasp/own-parts", new { kind = "springBars", straight = true, springy = true, unworn = true, came = true });
        (await Free()).ShouldBe(bars["free"]!.GetValue<int>());
        await _shop.Put($"/api/jobs/{job}/bench/came", new { on = "soft", held = "looseBars", isWanted = false });
        await Forward(job);
        var sheet = await _shop.Get($"/api/jobs/{job}/hand-over");
        await _shop.Post($"/api/jobs/{job}/hand-over", new { counted = sheet["bag"]!, by = "TB" });
        (await Free()).ShouldBe(bars["free"]!.GetValue<int>(), "reused bars cost the stock nothing");
    }

    [Fact]
    public async Task A_try_on_waits_for_its_answer_and_the_hole_that_was_found_is_what_is_said()
    {
        var job = await JobId("Dorrit Vale");
        await _shop.Put($"/api/jobs/{job}/clasp/keep", null);
        await _shop.Post($"/api/jobs/{job}/size/agree", null);
        var bench = await Forward(job, "tryOn");
        var key = Text(Next(bench), "key");
        Text(bench, "foretold").ShouldStartWith("By the plan in the fourth hole from the tight end, ");
        (await _shop.Put($"/api/jobs/{job}/bench/steps/{key}", new { done = true }, HttpStatusCode.Conflict))["title"]!.GetValue<string>().ShouldContain("Say how it was on the wrist");
        (await _shop.Put($"/api/jobs/{job}/bench/try-on", new { closedIn = "8", take = true }, HttpStatusCode.BadRequest))["errors"]!["$.closedIn"]![0]!.GetValue<string>()
            .ShouldBe("closedIn is 8; allowed is 1 to 7, the holes counted from the tight end.");
        await _shop.Put($"/api/jobs/{job}/bench/try-on", new { take = true }, HttpStatusCode.BadRequest);
        var tried = await _shop.Put($"/api/jobs/{job}/bench/try-on", new { closedIn = "3", ease = "snug", tail = "22", take = true });
        Text(tried, "says").ShouldBe("Tried on: rather snug, closed in the third hole from the tight end, the tail 22.0 mm past its keepers.");
        bench = tried["bench"]!;
        bench["steps"]!.AsArray().Single(s => Text(s, "key") == key)!["acts"]!.AsArray().Select(a => Text(a, "do")).ShouldBe(["adjust", "tryOn"]);
        bench["to"]!["joints"]!.AsArray().Single(j => Text(j, "id") == "band.hole")!["position"]!.GetValue<int>().ShouldBe(2);

        // Taken back it is asked again; found again it stands.
        await _shop.Put($"/api/jobs/{job}/bench/steps/{key}", new { done = false });
        await _shop.Put($"/api/jobs/{job}/bench/try-on", new { closedIn = "3", ease = "snug", take = true });
        await Forward(job);
        var sheet = await _shop.Get($"/api/jobs/{job}/hand-over");
        Text(sheet, "done").ShouldContain("Closed in the third hole from the tight end. Tried on: rather snug.");
        sheet["advice"]![0]!.GetValue<string>().ShouldBe("It leaves in the third hole from the tight end.", "hot days are reckoned from where it was found to be worn, not from the tape");
        Text(sheet["packed"]![0], "says").ShouldEndWith("on its band, wrapped", Case.Sensitive, "a strap scratches nothing");
        await _shop.Post($"/api/jobs/{job}/hand-over", new { counted = sheet["bag"]!, by = "TB" });
        (await _shop.Get("/api/log?words=third%20hole"))["visits"]!.AsArray().ShouldNotBeEmpty();
    }

    [Fact]
    public async Task A_mesh_said_to_be_on_the_watch_comes_off_once_a_strap_is_chosen_instead()
    {
        var job = await JobId("Dorrit Vale");
        async Task Choose(string article) =>
            await _shop.Put($"/api/jobs/{job}/match", new { bandId = (await _shop.Get("/api/bands")).AsArray().Single(b => Text(b, "article") == article)!["id"]! });
        await Choose("SK-M18");
        await _shop.Put($"/api/jobs/{job}/bench/came", new { on = "mesh", held = "looseBars", isWanted = true });
        await Choose("SK-L18");
        await _shop.Put($"/api/jobs/{job}/clasp/keep", null);
        await _shop.Post($"/api/jobs/{job}/size/agree", null);
        var bench = await Bench(job);
        (Text(bench["came"], "on"), bench["came"]!["isWanted"]!.GetValue<bool>()).ShouldBe(("mesh", false));
        bench["steps"]!.AsArray().Count(s => Text(s, "row") == "oldBandOff").ShouldBe(2, "the mesh, side by side");
    }

    [Fact]
    public async Task A_try_on_that_agrees_goes_on_as_planned()
    {
        var job = await JobId("Bettan Oakes");
        var bench = await Bench(job);
        await _shop.Put($"/api/jobs/{job}/bench/steps/{Text(Next(bench), "key")}", new { done = true, asPlanned = true });
        (await Bench(job))["round"]!.GetValue<int>().ShouldBe(2, "a round ends with its try-on");
        await _shop.Put($"/api/jobs/{job}/bench/try-on", new { by = "millimetres", over = "comfort", amount = "3" }, HttpStatusCode.Conflict);
    }

    [Fact]
    public async Task Work_that_cannot_be_undone_waits_for_a_signature_drawn_or_on_paper()
    {
        var job = await JobId("Maren Stoll");
        var band = (await _shop.Get($"/api/jobs/{job}/match?take=60")).AsObject()["page"]!.AsArray().First(m => Text(m, "verdict") == "work" && m!["needsConsent"]!.GetValue<bool>() && m["whyNot"] is null)!["band"]!["id"]!.GetValue<long>();
        await _shop.Put($"/api/jobs/{job}/match", new { bandId = band, consentSignedBy = "M. Stoll" });
        await _shop.Put($"/api/jobs/{job}/clasp/keep", null);
        await _shop.Post($"/api/jobs/{job}/size/agree", null);
        var bench = await Forward(job, "consent");
        bench["consent"]!["signed"]!.GetValue<bool>().ShouldBeFalse("a name alone is no signature");
        (await _shop.Put($"/api/jobs/{job}/bench/steps/consent", new { done = true, asPlanned = true }, HttpStatusCode.Conflict))["title"]!.GetValue<string>().ShouldContain("has not signed yet");
        await _shop.Put($"/api/jobs/{job}/bench/consent", new { signedBy = "", signature = "M1 1L2 2" }, HttpStatusCode.BadRequest);
        await _shop.Put($"/api/jobs/{job}/bench/consent", new { signedBy = "M. Stoll", signature = "" }, HttpStatusCode.BadRequest);
        await _shop.Put($"/api/jobs/{job}/bench/consent", new { signedBy = "M. Stoll", signature = "<script>" }, HttpStatusCode.BadRequest);
        bench = await _shop.Put($"/api/jobs/{job}/bench/consent", new { signedBy = "M. Stoll", signature = "M10 60L40 30L80 66" });
        bench["consent"]!["signed"]!.GetValue<bool>().ShouldBeTrue();
        Text(bench["consent"], "signature").ShouldBe("M10 60L40 30L80 66");
        await _shop.Put($"/api/jobs/{job}/bench/steps/consent", new { done = true, asPlanned = true });
        await Forward(job);
    }

    [Fact]
    public async Task What_joins_the_links_is_settled_by_a_look_and_the_tools_follow_from_what_was_gauged()
    {
        var job = await OnTheBench("Sunniva Marl");
        await _shop.Put($"/api/jobs/{job}/bench/setup", new { tools = "handPusher", insertion = "alongTheArrow", micro = "barRightOut" });
        var bench = await _shop.Put($"/api/jobs/{job}/bench/joints", new { group = "links", fastener = "pinWithTube", across = "1,2" });
        var open = bench["steps"]!.AsArray().First(s => Text(s, "row") == "open")!;
        Text(open, "tool").ShouldBe("hand pusher, punch 1 for the 1.2 mm pin, needle-nose pliers");
        Text(open, "fallsOut").ShouldContain("drops out unseen");
        (await _shop.Put($"/api/jobs/{job}/bench/joints", new { group = "links", fastener = "pinWithTube", across = "9" }, HttpStatusCode.BadRequest)).ToJsonString().ShouldContain("allowed is 0.2 to 5 mm");
        (await _shop.Put($"/api/jobs/{job}/bench/joints", new { group = "links", fastener = "sewn" }, HttpStatusCode.BadRequest)).ToJsonString().ShouldContain("links and clasps are held by");

        // How the old strap is held nobody has looked at yet: the list begins with a look, and goes on by what it showed.
        Text(bench["came"], "held").ShouldBe("notLookedAt");
        bench = await Forward(job, "look");
        bench["asks"]!.AsArray().Select(a => a!.GetValue<string>()).ShouldContain("lugs");
        bench = await _shop.Put($"/api/jobs/{job}/bench/came", new { on = "soft", held = "leveredBars", isWanted = false });
        bench["steps"]!.AsArray().First(s => Text(s, "row") == "oldBandOff")!["says"]!.GetValue<string>().ShouldContain("Draw the lever");
        bench["steps"]!.AsArray().Count(s => s!["done"]!.GetValue<bool>()).ShouldBe(1, "what was done stays done");
        bench = await Forward(job, "open");
        await _shop.Put($"/api/jobs/{job}/bench/steps/{Text(Next(bench), "key")}", new { done = true, asPlanned = true });
        (await _shop.Put($"/api/jobs/{job}/bench/joints", new { group = "links", fastener = "screwInTube" }, HttpStatusCode.Conflict))["title"]!.GetValue<string>().ShouldContain("take the steps back first");
        await _shop.Put($"/api/jobs/{job}/bench/setup", new { tools = "screwPress", insertion = "againstTheArrow", micro = "barRightOut" });
    }

    [Fact]
    public async Task The_shop_s_own_times_take_the_place_of_the_house_figures()
    {
        var job = await OnTheBench("Sunniva Marl");
        async Task<double> ACheck() => (await Bench(job))["steps"]!.AsArray().First(s => Text(s, "row") == "check")!["minutes"]!.GetValue<double>();
        void Timed(string seconds)
        {
            using var file = new SqliteConnection($"Data Source={_shop.File.Path}");
            file.Open();
            using var timed = file.CreateCommand();
            timed.CommandText = $"UPDATE bench_step SET seconds = {seconds}";
            timed.ExecuteNonQuery();
            _shop.File.IsAnother();
        }
        Timed("NULL");
        (await ACheck()).ShouldBe(0.5, "the house’s figure, where nothing was timed");
        await Forward(job, "check");
        while (Next(await Bench(job)) is { } step)
        {
            _shop.Clock.Advance(TimeSpan.FromSeconds(72));
            await _shop.Put($"/api/jobs/{job}/bench/steps/{Text(step, "key")}", new { done = true, asPlanned = true });
        }
        // What this job's checks took is what all of them take.
        Timed($"(SELECT MAX(seconds) FROM bench_step WHERE row = 'Check' AND job_id = {job})");
        (await ACheck()).ShouldBe(1.2);
    }

    [Fact]
    public async Task A_fitter_may_stop_at_any_step_the_tray_stays_and_what_was_found_is_printed()
    {
        var job = await OnTheBench("Sunniva Marl");
        var bench = await Forward(job, "open");
        for (var opened = 0; opened < 2; opened++)
            bench = await _shop.Put($"/api/jobs/{job}/bench/steps/{Text(Next(bench), "key")}", new { done = true, asPlanned = true });
        (await _shop.Client.GetAsync($"/api/jobs/{job}/bench/referral.pdf")).StatusCode.ShouldBe(HttpStatusCode.Conflict);
        await _shop.Put($"/api/jobs/{job}/take-in/referral", new { reasons = new[] { "screwStuck" }, referred = true });
        bench = await Bench(job);
        (await _shop.Put($"/api/jobs/{job}/bench/steps/{Text(Next(bench), "key")}", new { done = true, asPlanned = true }, HttpStatusCode.Conflict))["title"]!.GetValue<string>().ShouldContain("referred");
        using var pdf = PdfDocument.Open(await _shop.Client.GetByteArrayAsync($"/api/jobs/{job}/bench/referral.pdf?paper=letter"));
        var text = string.Join(' ', pdf.GetPages().Select(p => string.Join(' ', p.GetWords().Select(w => w.Text))));
        text.ShouldContain("A screw is stuck or its slot is torn");
        text.ShouldContain("links of 8.6 mm");
        await _shop.Put($"/api/jobs/{job}/take-in/referral", new { reasons = Array.Empty<string>(), referred = false });
        Tray(await Bench(job), "links of 8.6 mm", "tray").ShouldBe(2, "the tray is as it was");
        await Forward(job);
    }

    [Fact]
    public async Task Links_from_stock_come_out_of_stock_and_into_the_loop()
    {
        var job = await JobId("Ketil Orrel");
        var link = (await _shop.Get($"/api/jobs/{job}/size/links")).AsArray().Single()!;
        await _shop.Put($"/api/jobs/{job}/size/links", new { partId = link["partId"]!.GetValue<long>(), count = 1 });
        await _shop.Put($"/api/jobs/{job}/clasp/keep", null);
        await _shop.Post($"/api/jobs/{job}/size/agree", null);
        var bench = await Forward(job);
        Tray(bench, "links of 5.6 mm", "watch").ShouldBe(1);
        Tray(bench, "links of 5.6 mm", "fromStock").ShouldBe(1);
        Tray(bench, "links of 5.6 mm", "tray").ShouldBe(0);
    }
}
