using System.Net;
using System.Text.Json.Nodes;
using IronLoop.Replay;

namespace IronLoop.Server.Tests;

/// <summary>Each request goes from the counter to the log with what it must have, and nothing else.</summary>
public sealed class CounterTests : IDisposable
{
    private readonly Shop _shop = new(demo: true);

    public void Dispose() => _shop.Dispose();

    public static TheoryData<string, string, string> Requests => new()
    {
        { "strap", """{"request":"changeStrap","lugWidth":"20","on":"soft","held":"looseBars"}""", "Not sized: its wearer picks the hole." },
        { "strap, nothing looked at", """{"request":"changeStrap","lugWidth":"20"}""", "Not sized: its wearer picks the hole." },
        { "strap by post, as the old one", """{"request":"changeStrap","lugWidth":"20","on":"soft","bucklePiece":"75","toHole":"88","wearer":false}""", "Sized from the old strap." },
        { "mesh for a strap", """{"request":"fitMesh","lugWidth":"20","on":"soft"}""", "Not sized" },
        { "buckle", """{"request":"replaceClasp","claspKind":"pinBuckle","claspEnd":"18"}""", "put on instead of the pin buckle" },
        { "links out", """{"request":"takeLinksOut","byHand":{"kind":"byCount","twelve":2,"six":1}}""", "2 links taken out of the 12 side. 1 link taken out of the 6 side." },
        { "link in", """{"request":"putLinksIn","byHand":{"kind":"byCount","twelve":1,"six":0}}""", "1 link put into the 12 side." },
        { "a link more after wear", """{"request":"refit","byHand":{"kind":"byCount","twelve":0,"six":1}}""", "1 link taken out of the 6 side." },
        { "a hole looser after wear", """{"request":"refit","byHand":{"kind":"byCount","of":"soft","from":3,"to":4}}""", "Closed in hole 4 from the tight end, before in 3." },
        { "a hole looser", """{"request":"positionOnly","byHand":{"kind":"atPlace","of":"soft","from":3,"to":4}}""", "Closed in hole 4 from the tight end, before in 3." },
        { "micro two tighter", """{"request":"positionOnly","byHand":{"kind":"atPlace","of":"bracelet","from":4,"to":2}}""", "Micro-adjust moved from position 4 to 2" },
        { "a lost bar", """{"request":"replacePart","on":"soft","byHand":{"kind":"part","of":"soft","part":"lugBar","side":"six","why":"lost"}}""", "Bar at the lugs, 6 side replaced: it was lost." },
        { "a lost pin", """{"request":"replacePart","on":"bracelet","byHand":{"kind":"part","of":"bracelet","part":"linkPin","side":"twelve","why":"lost"}}""", "Pin or screw between links, 12 side replaced" },
        { "a keeper", """{"request":"replacePart","on":"soft","byHand":{"kind":"part","of":"soft","part":"keeper","why":"lost"}}""", "Keeper replaced: it was lost." },
        { "off and on", """{"request":"offAndOn","on":"bracelet"}""", "Band taken off and put on again." },
        { "pull-through off and on", """{"request":"offAndOn","on":"pulledThrough","held":"looseBars"}""", "Band taken off and put on again." },
        { "own strap on", """{"request":"putOwnBandOn","byHand":{"kind":"ownBandOn","of":"soft","attaches":"quickRelease"}}""", "own strap put on; not sized." },
        { "something else", """{"request":"somethingElse","words":"It smells of the sea."}""", "As was asked for in words." },
    };

    [Theory]
    [MemberData(nameof(Requests))]
    public async Task A_request_goes_from_the_counter_to_the_log_with_what_it_must_have(string name, string heard, string said)
    {
        var sheet = JsonNode.Parse(heard)!.AsObject();
        sheet["by"] = "MK";
        var offers = (await Answer(sheet))["offers"]!.AsArray().Where(o => o!["whyNot"] is null && o["free"]!.GetValue<int>() > 0).ToList();
        if (offers.Count > 0)
            sheet[sheet["request"]!.GetValue<string>() == "replaceClasp" ? "claspId" : "bandId"] = offers[0]!["id"]!.GetValue<long>();
        var answer = await Answer(sheet);
        ((string?)answer["whyNot"]).ShouldBeNull(name);
        answer["missing"]!.AsArray().ShouldBeEmpty();
        var steps = answer["steps"]!.AsArray().Select(s => s!.GetValue<string>()).ToList();
        steps.ShouldNotBeEmpty();

        var job = await _shop.Post("/api/counter", sheet, HttpStatusCode.Created);
        var at = $"/api/jobs/{job["id"]}";
        job["planAgreed"]!.GetValue<bool>().ShouldBeTrue();
        job["next"]!.GetValue<string>().ShouldBe("bench");
        job["figures"]!["missing"]!.AsArray().ShouldBeEmpty();
        var bench = await _shop.Get($"{at}/bench");
        bench["steps"]!.AsArray().Select(s => s!["says"]!.GetValue<string>()).ShouldBe(steps, "what was answered is what is worked");
        Replayed.FaultsOf(bench).ShouldBeEmpty(name);
        while (bench["steps"]!.AsArray().FirstOrDefault(s => s!["next"]!.GetValue<bool>()) is { } step)
            bench = await _shop.Put($"{at}/bench/steps/{Uri.EscapeDataString(step["key"]!.GetValue<string>())}", new { done = true, asPlanned = true });
        var over = await _shop.Get($"{at}/hand-over");
        over["asListed"]!.GetValue<bool>().ShouldBeTrue("everything was checked at the bench");
        await _shop.Post($"{at}/hand-over", new { counted = over["bag"]!.AsArray().Select(l => new { key = l!["key"], count = l["count"] }), by = "MK" });
        var log = (await _shop.Get($"/api/log?words=tag {job["id"]}")).ToJsonString();
        log.ShouldContain(said[..^1], customMessage: name);
        log.ShouldNotContain("wrist");
    }

    [Fact]
    public async Task Nothing_is_stored_by_asking_and_what_is_wanting_is_said()
    {
        var before = (await _shop.Get("/api/jobs")).AsArray().Count;
        var answer = await Answer(new JsonObject { ["request"] = "changeStrap", ["lugWidth"] = "20" });
        answer["whyNot"]!.GetValue<string>().ShouldBe("Choose a band first.");
        answer["offers"]!.AsArray().Count.ShouldBe(5);
        (await Answer(new JsonObject { ["request"] = "changeStrap" }))["missing"]!.AsArray().Select(m => m!.GetValue<string>()).ShouldBe(["lug width"]);
        (await Answer(new JsonObject { ["request"] = "takeLinksOut", ["byHand"] = new JsonObject { ["kind"] = "byCount" } }))["missing"]![0]!.GetValue<string>()
            .ShouldBe("lug-to-lug", "without a count it is told by figures");
        (await _shop.Get("/api/jobs")).AsArray().Count.ShouldBe(before);
        var refused = await _shop.Post("/api/counter", new { request = "changeStrap", by = "MK", lugWidth = "200" }, HttpStatusCode.BadRequest);
        refused["errors"]!["$.lugWidth"]![0]!.GetValue<string>().ShouldContain("6 to 40 mm");
        (await _shop.Post("/api/counter", new { request = "changeStrap", by = "MK", lugWidth = "20", sized = "oldStrap", bucklePiece = "75" }, HttpStatusCode.BadRequest))["errors"]!["$.toHole"]![0]!
            .GetValue<string>().ShouldStartWith("Sized by the old strap");
        await _shop.Post("/api/counter", new { request = "replacePart", by = "MK", byHand = new { kind = "part", of = "mesh", part = "linkPin" } }, HttpStatusCode.BadRequest);
        await _shop.Post("/api/counter", new { request = "positionOnly", by = "MK" }, HttpStatusCode.Conflict);
        (await _shop.Get("/api/jobs")).AsArray().Count.ShouldBe(before, "nothing is half taken in");
    }

    [Fact]
    public async Task Two_walk_ins_are_two_and_each_can_be_named_later()
    {
        async Task<long> WalkIn() => (await _shop.Post("/api/counter", new { request = "offAndOn", by = "MK", on = "soft" }, HttpStatusCode.Created))["id"]!.GetValue<long>();
        var (one, other) = (await WalkIn(), await WalkIn());
        await _shop.Put($"/api/jobs/{one}/take-in", new { client = "Petra Hask", watch = "Gannet", request = "offAndOn", promised = "2026-11-24", by = "MK" });
        (await _shop.Get($"/api/jobs/{one}"))["client"]!.GetValue<string>().ShouldBe("Petra Hask");
        (await _shop.Get($"/api/jobs/{other}"))["client"]!.GetValue<string>().ShouldBe("Walk-in");
    }

    [Fact]
    public async Task What_was_told_by_hand_is_told_anew_until_work_begins_and_a_band_that_is_chosen_takes_its_place()
    {
        var job = (await _shop.Post("/api/jobs", new { client = "Petra Hask", watch = "Gannet", request = "takeLinksOut", promised = "2026-12-01", by = "MK" }, HttpStatusCode.Created))["id"]!.GetValue<long>();
        (await _shop.Get($"/api/jobs/{job}"))["figures"]!["missing"]!.AsArray().Count.ShouldBeGreaterThan(3);
        var told = await _shop.Put($"/api/jobs/{job}/by-hand", new { kind = "byCount", twelve = 2, six = 0 });
        told["figures"]!["missing"]!.AsArray().ShouldBeEmpty();
        told["stations"]!.AsArray().Where(s => !s!["used"]!.GetValue<bool>()).Select(s => s!["station"]!.GetValue<string>()).ShouldBe(["match", "clasp", "size"]);
        told["next"]!.GetValue<string>().ShouldBe("bench");
        await _shop.Put($"/api/jobs/{job}/by-hand", new { kind = "byCount", twelve = 20, six = 0 }, HttpStatusCode.BadRequest);
        (await _shop.Send(HttpMethod.Delete, $"/api/jobs/{job}/by-hand", null))["figures"]!["missing"]!.AsArray().Count.ShouldBeGreaterThan(3);
        await _shop.Put($"/api/jobs/{job}/by-hand", new { kind = "byCount", twelve = 1, six = 1 });
        await _shop.Post($"/api/jobs/{job}/size/agree", null);
        await _shop.Put($"/api/jobs/{job}/bench/steps/protect", new { done = true });
        await _shop.Put($"/api/jobs/{job}/by-hand", new { kind = "byCount", twelve = 2, six = 1 }, HttpStatusCode.Conflict);
    }

    [Fact]
    public async Task A_bar_that_is_part_of_the_case_is_no_part_that_is_replaced_here()
    {
        var job = (await _shop.Post("/api/counter", new { request = "replacePart", by = "MK", on = "pulledThrough", byHand = new { kind = "part", of = "pulledThrough", part = "lugBar", side = "six", why = "lost" } }, HttpStatusCode.Created))["id"]!.GetValue<long>();
        await _shop.Patch($"/api/jobs/{job}/gauge", new { attachment = "fixedBar" });
        foreach (var page in (string[])["", "/gauge", "/bench", "/hand-over", "/job-sheet.pdf"])
            ((int)(await _shop.Client.GetAsync($"/api/jobs/{job}{page}")).StatusCode).ShouldBe(200, page);
        (await _shop.Get($"/api/jobs/{job}/bench"))["steps"]!.AsArray().Select(s => s!["says"]!.GetValue<string>()).ShouldContain(s => s.Contains("a watchmaker’s work"));
    }

    private async Task<JsonNode> Answer(JsonObject sheet) => await _shop.Post("/api/counter/answer", sheet.DeepClone());
}
