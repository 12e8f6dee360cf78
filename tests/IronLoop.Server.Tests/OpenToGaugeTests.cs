using System.Net;
using System.Text.Json.Nodes;
using IronLoop.Replay;

namespace IronLoop.Server.Tests;

/// <summary>What can be gauged only when it is open: begun before anything is chosen, gauged, ordered, gone on with.</summary>
public sealed class OpenToGaugeTests : IDisposable
{
    private readonly Shop _shop = new(demo: true);

    public void Dispose() => _shop.Dispose();

    private static string Text(JsonNode? node, string field) => node![field]!.GetValue<string>();

    private static IEnumerable<string> Texts(JsonNode? node) => node!.AsArray().Select(n => n!.GetValue<string>());

    private async Task<long> JobId(string client) =>
        (await _shop.Get("/api/jobs")).AsArray().Single(j => Text(j, "client") == client)!["id"]!.GetValue<long>();

    private async Task<JsonNode> Tag(long job) => (await _shop.Get("/api/jobs")).AsArray().Single(j => j!["id"]!.GetValue<long>() == job)!;

    /// <summary>Works all the steps there are.</summary>
    private async Task<JsonNode> Forward(long job)
    {
        var bench = await _shop.Get($"/api/jobs/{job}/bench");
        while (bench["steps"]!.AsArray().FirstOrDefault(s => s!["next"]!.GetValue<bool>()) is { } step)
        {
            var asks = Texts(bench["asks"]).ToList();
            foreach (var asked in asks)
                bench = asked == "lugs"
                    ? await _shop.Put($"/api/jobs/{job}/bench/came", new { on = Text(bench["came"], "on"), held = "looseBars", isWanted = bench["came"]!["isWanted"]!.GetValue<bool>() })
                    : await _shop.Put($"/api/jobs/{job}/bench/joints", new { group = asked, fastener = "springBar" });
            if (asks.Count == 0)
                bench = await _shop.Put($"/api/jobs/{job}/bench/steps/{Text(step, "key")}", new { done = true, asPlanned = true });
        }
        return bench;
    }

    [Fact]
    public async Task What_took_a_worn_parts_place_before_the_rest_was_agreed_is_what_holds_the_joint()
    {
        var job = await JobId("Ketil Orrel");
        await _shop.Put($"/api/jobs/{job}/bench/open", new { groups = new[] { "claspSix" } });
        var bench = await Forward(job);
        var lies = bench["tray"]!.AsArray().Single(t => t!["tray"]!.GetValue<int>() == 1)!;
        var (bar, heap) = (Text(lies, "part"), Text(lies, "heap"));
        await _shop.Post($"/api/jobs/{job}/bench/tray", new { heap, act = "scrapped", count = 1, why = "worn" });
        var stock = (await _shop.Get($"/api/jobs/{job}/bench/tray/stock")).AsArray().First(p => Text(p, "article").StartsWith("SB-", StringComparison.Ordinal))!;
        await _shop.Post($"/api/jobs/{job}/bench/tray", new { heap, act = "fromStock", count = 1, partId = stock["partId"]!.GetValue<long>() });
        await _shop.Put($"/api/jobs/{job}/clasp/keep", null);
        await _shop.Post($"/api/jobs/{job}/size/agree", null);
        bench = await Forward(job);
        Replayed.Of(bench).Faults.ShouldBeEmpty();
        bench["steps"]!.AsArray().ShouldAllBe(s => s!["done"]!.GetValue<bool>());
        var bars = bench["tray"]!.AsArray().Single(t => Text(t, "part") == bar)!;
        (bars["scrapped"]!.GetValue<int>(), bars["tray"]!.GetValue<int>()).ShouldBe((1, 0), "the new one is in the joint");
    }

    [Fact]
    public async Task A_slim_bar_is_gauged_with_its_joint_open_a_clasp_is_ordered_and_the_work_goes_on()
    {
        var job = await JobId("Ketil Orrel");
        var bench = await _shop.Get($"/api/jobs/{job}/bench");
        bench["steps"]!.AsArray().ShouldBeEmpty();
        Texts(bench["toGauge"]!["groups"]).ShouldContain("claspTwelve");
        (await Tag(job))["trayKept"]!.GetValue<bool>().ShouldBeFalse();

        (await _shop.Put($"/api/jobs/{job}/bench/open", new { groups = new[] { "links" } }, HttpStatusCode.BadRequest))["errors"]!["$.groups"]!.ToJsonString().ShouldContain("ClaspTwelve");
        bench = await _shop.Put($"/api/jobs/{job}/bench/open", new { groups = new[] { "claspSix" } });
        bench["steps"]!.AsArray().Select(s => Text(s, "row")).ShouldBe(["protect", "look", "openToGauge"], "nothing beyond it");
        bench = await Forward(job);
        bench["toGauge"]!["lines"]!.AsArray().Select(l => Text(l, "figure")).ShouldBe(["claspBar", "claspBarLength", "endBore", "otherEndBore"]);
        (await Tag(job))["trayKept"]!.GetValue<bool>().ShouldBeTrue();
        bench["tray"]!.AsArray().Sum(t => t!["tray"]!.GetValue<int>()).ShouldBe(1, "the bar that came out");

        // What was read goes to Clasp; the clasp has to be ordered, the tag waits and the tray is kept.
        await _shop.Post($"/api/jobs/{job}/gauge/readings", new { figure = "endBore", typed = "1.9" });
        var clasps = await _shop.Get($"/api/jobs/{job}/clasp");
        var part = clasps["candidates"]!.AsArray().Single(c => Text(c, "article") == "CL-E18")!["partId"]!.GetValue<long>();
        await _shop.Put($"/api/jobs/{job}/clasp/other", new { partId = part, consentSignedBy = "Ketil Orrel" });
        var tag = await Tag(job);
        (tag["waits"]!.GetValue<bool>(), tag["trayKept"]!.GetValue<bool>()).ShouldBe((true, true));
        // Another watch than this cannot be made of it meanwhile.
        await _shop.Put($"/api/jobs/{job}/bench/came", new { on = "nothing", held = "notLookedAt", isWanted = false }, HttpStatusCode.Conflict);

        await _shop.Post("/api/parts/stock-take", new { by = "mk", reason = "came by the boat", counted = new[] { new { partId = part, counted = 1 } } });
        await _shop.Post($"/api/jobs/{job}/size/agree", null);
        bench = await _shop.Get($"/api/jobs/{job}/bench");
        bench["steps"]!.AsArray().Count(s => s!["done"]!.GetValue<bool>()).ShouldBe(2, "what is done stays done");
        await _shop.Put($"/api/jobs/{job}/bench/consent", new { signedBy = "Ketil Orrel", onPaper = true });
        bench = await Forward(job);
        Replayed.Of(bench).Faults.ShouldBeEmpty();
        bench["steps"]!.AsArray().Count(s => Text(s, "row") is "open" or "claspOff" or "openToGauge" && s!["acts"]!.AsArray().Any(a => Text(a, "do") == "open" && Text(a, "joint") == "band.clasp-6"))
            .ShouldBe(1, "its joint is opened once");
        (await Tag(job))["trayKept"]!.GetValue<bool>().ShouldBeFalse();
        var bag = (await _shop.Get($"/api/jobs/{job}/hand-over"))["bag"]!.AsArray();
        bag.ShouldContain(b => Text(b, "what").Contains("fold-over", StringComparison.Ordinal), "the old clasp goes back");
    }

    [Fact]
    public async Task A_butterfly_s_pins_are_gauged_open_new_ones_are_ordered_and_go_in_when_they_are_there()
    {
        var job = await JobId("Ketil Orrel");
        await _shop.Put($"/api/jobs/{job}/clasp/seen", new { kind = "butterfly" });
        await _shop.Put($"/api/jobs/{job}/bench/open", new { groups = new[] { "claspTwelve", "claspSix" } });
        var bench = await Forward(job);
        bench["toGauge"]!["lines"]!.AsArray().Select(l => Text(l, "figure")).ShouldBe(["claspTube", "pinDiameter", "pinLength", "endBore"]);
        bench["tray"]!.AsArray().Where(t => Text(t, "part").Contains("pins", StringComparison.Ordinal)).Sum(t => t!["tray"]!.GetValue<int>()).ShouldBe(2);
        await _shop.Post($"/api/jobs/{job}/gauge/readings", new { figure = "pinDiameter", typed = "1.0" });
        // Worn: others go in, of which there are none.
        var pin = (await _shop.Get("/api/parts?kind=pin")).AsArray().Single(p => Text(p, "article") == "PN-10-18")!["id"]!.GetValue<long>();
        await _shop.Post("/api/parts/stock-take", new { by = "mk", reason = "none left", counted = new[] { new { partId = pin, counted = 0 } } });
        await _shop.Put($"/api/jobs/{job}/clasp/own-parts", new { kind = "claspPins", straight = true, springy = true, unworn = false });
        await _shop.Put($"/api/jobs/{job}/clasp/own-parts/replacement", new { kind = "claspPins", partId = pin });
        (await Tag(job))["waits"]!.GetValue<bool>().ShouldBeTrue();
        await _shop.Post("/api/parts/stock-take", new { by = "mk", reason = "came by the boat", counted = new[] { new { partId = pin, counted = 4 } } });
        await _shop.Put($"/api/jobs/{job}/clasp/keep", null);
        await _shop.Post($"/api/jobs/{job}/size/agree", null);
        bench = await Forward(job);
        Replayed.Of(bench).Faults.ShouldBeEmpty();
        bench["steps"]!.AsArray().ShouldContain(s => Text(s, "row") == "fetch" && Text(s, "says").Contains("PN-10-18", StringComparison.Ordinal));
        (await _shop.Get($"/api/jobs/{job}/hand-over"))["bag"]!.AsArray().ShouldContain(b => Text(b, "what").Contains("friction pin", StringComparison.Ordinal), "the worn ones go back");
    }

    [Fact]
    public async Task A_slot_is_gauged_with_the_strap_off_before_any_band_is_chosen()
    {
        var job = (await _shop.Post("/api/jobs", new { client = "Merl Stack", watch = "Ostwick slotted", request = "changeStrap", words = "", promised = "2026-12-01", by = "MK" }, HttpStatusCode.Created))["id"]!.GetValue<long>();
        await _shop.Patch($"/api/jobs/{job}/gauge", new { attachment = "screwSlot", lugWidth = "20", lugToLug = "47", wrist = "170", wear = "regular" });
        var bench = await _shop.Put($"/api/jobs/{job}/bench/open", new { groups = new[] { "lugs" } });
        bench["joints"]!.AsArray().Select(j => Text(j, "group")).ShouldBe(["lugs"], "its screws have sizes too");
        bench = await Forward(job);
        Text(bench["toGauge"]!["lines"]![0], "figure").ShouldBe("slotHeight");
        bench["tray"]!.AsArray().First(t => Text(t, "part") == "buckle piece of the old strap")!["tray"]!.GetValue<int>().ShouldBe(1, "it is off");
        await _shop.Put($"/api/jobs/{job}/bench/joints", new { group = "lugs", fastener = "notLookedAt", slot = "0.3", slotLength = "1.6" });
        await _shop.Post($"/api/jobs/{job}/gauge/readings", new { figure = "slotHeight", typed = "2.4" });

        var matched = (await _shop.Get($"/api/jobs/{job}/match?take=50"))["page"]!.AsArray();
        var soft = matched.First(m => Text(m!["band"], "article") == "SK-L20")!;
        soft["needsConsent"]!.GetValue<bool>().ShouldBeTrue("its ends are pierced by the screws");
        await _shop.Put($"/api/jobs/{job}/match", new { bandId = soft["band"]!["id"]!.GetValue<long>(), consentSignedBy = "Merl Stack" });
        await _shop.Put($"/api/jobs/{job}/clasp/keep", null);
        await _shop.Post($"/api/jobs/{job}/size/agree", null);
        bench = await _shop.Get($"/api/jobs/{job}/bench");
        bench["trouble"].ShouldBeNull();
        bench["steps"]!.AsArray().Count(s => Text(s, "row") == "oldBandOff").ShouldBe(0, "it is off already");
        await _shop.Put($"/api/jobs/{job}/bench/consent", new { signedBy = "Merl Stack", onPaper = true });
        bench = await Forward(job);
        Replayed.Of(bench).Faults.ShouldBeEmpty();
    }
}
