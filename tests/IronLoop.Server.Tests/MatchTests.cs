using System.Net;
using System.Text.Json.Nodes;
using SkiaSharp;

namespace IronLoop.Server.Tests;

public sealed class MatchTests : IDisposable
{
    private readonly Shop _shop = new(demo: true);

    public void Dispose() => _shop.Dispose();

    private async Task<long> JobOf(string client) =>
        (await _shop.Get("/api/jobs")).AsArray().First(t => t!["client"]!.GetValue<string>() == client)!["id"]!.GetValue<long>();

    private static string Text(JsonNode? node, string name) => node![name]!.GetValue<string>();

    private static IEnumerable<JsonNode> Shapes(JsonNode loop, string role) => loop["drawing"]!["shapes"]!.AsArray().Where(s => Text(s, "role") == role)!;

    private static bool Tried(JsonNode loop) => Shapes(loop, "edge").All(s => s["dashed"]!.GetValue<bool>());

    private static double BarRise(JsonNode loop)
    {
        using var wrist = SKPath.ParseSvgPathData(Text(Shapes(loop, "wrist").Single(), "path"));
        using var bar = SKPath.ParseSvgPathData(Text(Shapes(loop, "bar").First(), "path"));
        return wrist.TightBounds.Top - bar.TightBounds.MidY;
    }

    private async Task<JsonNode> Band(long job, string article) =>
        (await _shop.Get($"/api/jobs/{job}/match?take=100"))["page"]!.AsArray().Single(m => Text(m!["band"], "article") == article)!;

    private static JsonNode Rule(JsonNode match, string rule) => match["rules"]!.AsArray().Single(r => Text(r, "rule") == rule)!;

    // One watch for each way a band is taken, and a band that goes on it.
    [Theory]
    [InlineData("Dorrit Vale", "SK-L18", "fits")]
    [InlineData("Jory Quill", "SK-P20", "fits")]
    [InlineData("Jory Quill", "SK-L20", "no")]
    [InlineData("Aslo Finn", "SK-L20", "fits")]
    [InlineData("Aslo Finn", "SK-T20", "work")]
    [InlineData("Maren Stoll", "SK-S20", "fits")]
    [InlineData("Maren Stoll", "SK-L20", "work")]
    [InlineData("Maren Stoll", "SK-M20", "no")]
    [InlineData("Wenna Dray", "SK-N18", "fits")]
    [InlineData("Wenna Dray", "SK-L18", "no")]
    public async Task Each_attachment_takes_its_own(string client, string article, string attachment) =>
        Text(Rule(await Band(await JobOf(client), article), "attachment"), "verdict").ShouldBe(attachment);

    [Fact]
    public async Task The_list_is_narrowed_paged_and_counted()
    {
        var job = await JobOf("Sunniva Marl");
        var all = await _shop.Get($"/api/jobs/{job}/match?take=5");
        all["page"]!.AsArray().Count.ShouldBe(5);
        all["counts"]!.AsArray().Sum(c => c!["count"]!.GetValue<int>()).ShouldBe(all["total"]!.GetValue<int>());
        var next = await _shop.Get($"/api/jobs/{job}/match?take=5&skip=5");
        next["page"]!.AsArray().Select(m => Text(m!["band"], "article")).ShouldNotContain(Text(all["page"]![4]!["band"], "article"));
        var mesh = await _shop.Get($"/api/jobs/{job}/match?kind=mesh&mostPrice=60,00&inStock=true");
        mesh["page"]!.AsArray().Select(m => Text(m!["band"], "kind")).Distinct().ShouldBe(["mesh"]);
        mesh["page"]!.AsArray().ShouldAllBe(m => m!["band"]!["priceCents"]!.GetValue<int>() <= 6000);
        var problem = await _shop.Send(HttpMethod.Get, $"/api/jobs/{job}/match?kind=rope", null, HttpStatusCode.BadRequest);
        problem["errors"]!["$.kind"]![0]!.GetValue<string>().ShouldBe("kind is “rope”; allowed is one of twoPiece, onePiece, mesh, linkBracelet.");
    }

    [Fact]
    public async Task Work_that_cannot_be_undone_waits_for_a_signature_and_comes_to_the_bench()
    {
        var job = await JobOf("Maren Stoll");
        var band = await Band(job, "SK-L20");
        band["needsConsent"]!.GetValue<bool>().ShouldBeTrue();
        var id = band["band"]!["id"]!.GetValue<long>();
        var problem = await _shop.Put($"/api/jobs/{job}/match", new { bandId = id }, HttpStatusCode.BadRequest);
        problem["errors"]!["$.consentSignedBy"]![0]!.GetValue<string>().ShouldContain("Let the slot’s screws pierce the strap’s ends");
        (await _shop.Get($"/api/jobs/{job}"))["band"].ShouldBeNull();

        await _shop.Put($"/api/jobs/{job}/match", new { bandId = id, consentSignedBy = "M. Stoll" });
        Text((await _shop.Get($"/api/jobs/{job}/match"))["consent"], "signedBy").ShouldBe("M. Stoll");
        (await _shop.Get("/api/log?words=consent%20Stoll"))["visits"]!.AsArray().Count.ShouldBe(1);
        await _shop.Put($"/api/jobs/{job}/clasp/keep", null);
        await _shop.Post($"/api/jobs/{job}/size/agree", null);
        var steps = (await _shop.Get($"/api/jobs/{job}/bench"))["steps"]!.AsArray();
        steps.ShouldContain(s => Text(s, "row") == "prepare" && Text(s, "says").Contains("pierce the strap’s ends") && Text(s, "tool").Contains("screwdriver"));
    }

    [Fact]
    public async Task A_pull_through_band_is_worn_four_ways_and_goes_to_the_bench_in_the_way_chosen()
    {
        var job = await JobOf("Jory Quill");
        var band = await Band(job, "SK-P20");
        var ways = band["ways"]!.AsArray();
        ways.Select(w => Text(w, "way")).ShouldBe(["double", "single", "reversedDouble", "reversedSingle"]);
        ways.Select(w => w!["raiseMm"]!.GetValue<decimal>()).ShouldBe([2.4m, 1.2m, 2.4m, 1.2m]);
        ways[0]!["targetMm"]!.GetValue<decimal>().ShouldBeGreaterThan(ways[1]!["targetMm"]!.GetValue<decimal>(), "two layers lift the head");
        var id = band["band"]!["id"]!.GetValue<long>();
        var preview = await _shop.Get($"/api/jobs/{job}/match/{id}/loop?way=single");
        Tried(preview).ShouldBeTrue();
        BarRise(preview).ShouldBe(4.2, 0.02, "3 assumed and one layer of 1.2");
        (await _shop.Get($"/api/jobs/{job}"))["band"].ShouldBeNull("a look commits nothing");

        await _shop.Put($"/api/jobs/{job}/match", new { bandId = id, way = "reversedSingle" });
        await _shop.Put($"/api/jobs/{job}/clasp/keep", null);
        await _shop.Post($"/api/jobs/{job}/size/agree", null);
        var steps = (await _shop.Get($"/api/jobs/{job}/bench"))["steps"]!.AsArray().Select(s => Text(s, "says")).ToList();
        steps.ShouldContain(s => s.Contains("buckle end lies on the 6 side"));
        steps.ShouldContain(s => s.Contains("one layer lies under the case"));
    }

    [Fact]
    public async Task Mesh_is_sized_to_a_notch()
    {
        var job = await JobOf("Dorrit Vale");
        await _shop.Put($"/api/jobs/{job}/match", new { bandId = (await Band(job, "SK-M18"))["band"]!["id"]!.GetValue<long>() });
        var loop = await _shop.Get($"/api/jobs/{job}/loop");
        Text(loop, "plannersSay").ShouldStartWith("Notch ");
        Tried(loop).ShouldBeFalse();
        loop["rulers"]!["ease"]!["inside"]!.GetValue<bool>().ShouldBeTrue();
    }

    [Fact]
    public async Task What_the_wearer_needs_is_heard()
    {
        var job = await JobOf("Elspet Ramm");
        Text(Rule(await Band(job, "SK-2011"), "use"), "verdict").ShouldBe("no");
        Text(Rule(await Band(job, "SK-2012"), "use"), "verdict").ShouldBe("fits", "it is declared nickel-safe");
        await _shop.Put($"/api/jobs/{job}/match/wishes", new { water = true, colour = "black" });
        Text(Rule(await Band(job, "SK-L20X"), "use"), "says").ShouldContain("leather does not bear water");
        Text(Rule(await Band(job, "SK-L20"), "finish"), "verdict").ShouldBe("compromise");
    }

    [Fact]
    public async Task Readings_that_disagree_about_the_width_say_so()
    {
        var job = await JobOf("Dorrit Vale");
        await _shop.Patch($"/api/jobs/{job}/gauge", new { lugWidth = "18.4" });
        await _shop.Post($"/api/jobs/{job}/gauge/readings", new { figure = "lugWidth", typed = "18.7" });
        Text(Rule(await Band(job, "SK-L18"), "lug-width"), "says").ShouldContain("gauge again");
    }

    [Fact]
    public async Task A_band_in_the_hand_finds_its_watches()
    {
        var band = (await Band(await JobOf("Jory Quill"), "SK-P20"))["band"]!["id"]!.GetValue<long>();
        var held = (await _shop.Get($"/api/bands/{band}/fits")).AsArray();
        held.ShouldContain(h => Text(h, "client") == "Jory Quill" && Text(h, "verdict") == "fits");
        held.Select(h => Text(h, "verdict")).Distinct().First().ShouldBe("fits");
        var hers = (await _shop.Get($"/api/bands/{band}/fits?client=fenwick")).AsArray();
        hers.Select(h => Text(h, "client")).Distinct().ShouldBe(["Runa Fenwick"]);
        hers.Count.ShouldBe(4, "one line a watch, closed jobs too");
    }

    [Fact]
    public async Task A_limit_is_set_holds_and_goes_back()
    {
        var job = await JobOf("Dorrit Vale");
        Text(Rule(await Band(job, "SK-L18"), "lug-width"), "verdict").ShouldBe("fits");
        await _shop.Put("/api/limits", new { limit = "softFits", value = 0.1 });
        Text(Rule(await Band(job, "SK-L18"), "lug-width"), "verdict").ShouldBe("compromise");
        var problem = await _shop.Put("/api/limits", new { limit = "softFits", value = 9 }, HttpStatusCode.BadRequest);
        problem["errors"]!["$.value"]![0]!.GetValue<string>().ShouldContain("allowed is 0 to 5");
        await _shop.Put("/api/limits", new { limit = "softFits" });
        Text(Rule(await Band(job, "SK-L18"), "lug-width"), "verdict").ShouldBe("fits");
    }

    [Fact]
    public async Task A_spring_bar_put_in_stock_is_named()
    {
        var job = await JobOf("Pir Halloran");
        await _shop.Patch($"/api/jobs/{job}/gauge", new { lugWidth = "25" });
        Text(Rule(await Band(job, "SK-L22"), "bar-bore"), "verdict").ShouldBe("no");
        await _shop.Put("/api/spring-bars", new { article = "SB-25", length = "25", body = "1,8", tip = "0.9", inStock = 4 });
        Text(Rule(await Band(job, "SK-L22"), "bar-bore"), "says").ShouldStartWith("Bar SB-25:");
        var problem = await _shop.Put("/api/spring-bars", new { article = "X", length = "20", body = "1", tip = "1.2" }, HttpStatusCode.BadRequest);
        problem["errors"]!["$.tip"]![0]!.GetValue<string>().ShouldContain("thicker than the body");
    }
}
