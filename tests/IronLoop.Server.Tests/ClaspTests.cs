using System.Net;
using System.Text.Json.Nodes;

namespace IronLoop.Server.Tests;

/// <summary>The Clasp station over the real host.</summary>
public sealed class ClaspTests : IDisposable
{
    private readonly Shop _shop = new(demo: true);

    public void Dispose() => _shop.Dispose();

    private async Task<long> JobId(string client) =>
        (await _shop.Get("/api/jobs")).AsArray().Single(j => j!["client"]!.GetValue<string>() == client)!["id"]!.GetValue<long>();

    private async Task<JsonNode> Part(string article) =>
        (await _shop.Get("/api/parts")).AsArray().Single(p => p!["article"]!.GetValue<string>() == article)!;

    private static JsonNode Candidate(JsonNode sheet, string article) => sheet["candidates"]!.AsArray().Single(c => c!["article"]!.GetValue<string>() == article)!;

    private static JsonNode Own(JsonNode sheet, string kind) => sheet["ownParts"]!.AsArray().Single(p => p!["kind"]!.GetValue<string>() == kind)!;

    [Fact]
    public async Task The_key_leads_to_the_measuring_sheet_of_the_kind()
    {
        var job = await JobId("Ketil Orrel");
        var key = await _shop.Get("/api/clasp-key");
        key["steps"]![0]!["question"]!.GetValue<string>().ShouldBe("folds");
        key["kinds"]!.AsArray().Count.ShouldBe(6);
        foreach (var (kind, figure) in ((string, string)[])[("butterfly", "overButtons"), ("foldOver", "microPitch"), ("pinBuckle", "claspThroat"), ("extending", "extension"), ("slide", "bandThickness")])
        {
            var sheet = await _shop.Put($"/api/jobs/{job}/clasp/seen", new { kind });
            sheet["lines"]!.AsArray().Select(l => l!["figure"]!.GetValue<string>()).ShouldContain(figure);
            sheet["lines"]![0]!["figure"]!.GetValue<string>().ShouldBe("claspEnd");
        }
        await _shop.Put($"/api/jobs/{job}/clasp/seen", new { kind = "hook" }, HttpStatusCode.BadRequest);
        await _shop.Post($"/api/jobs/{job}/gauge/readings", new { figure = "claspInner", typed = "18.2", byLine = false });
        (await _shop.Put($"/api/jobs/{job}/clasp/seen", new { kind = "foldOver" }))["present"]!["rules"]!.AsArray()
            .Single(r => r!["rule"]!.GetValue<string>() == "clasp-width")!["verdict"]!.GetValue<string>().ShouldBe("fits");
        (await _shop.Get($"/api/jobs/{job}/gauge"))["lines"]!.AsArray().Select(l => l!["figure"]!.GetValue<string>()).ShouldNotContain("claspInner", "it is measured at Clasp");
    }

    [Fact]
    public async Task A_clasp_that_cures_is_reserved_planned_with_worked_and_booked_out()
    {
        var job = await JobId("Ketil Orrel");
        var sheet = await _shop.Get($"/api/jobs/{job}/clasp");
        sheet["present"]!["effect"]!["betweenSizes"]!.GetValue<bool>().ShouldBeTrue();
        var best = sheet["candidates"]![0]!;
        best["article"]!.GetValue<string>().ShouldBe("CL-O18");
        best["cures"]!.GetValue<bool>().ShouldBeTrue();
        best["effect"]!["largestGapMm"]!.GetValue<decimal>().ShouldBeLessThan(sheet["present"]!["effect"]!["largestGapMm"]!.GetValue<decimal>());

        var free = best["free"]!.GetValue<int>();
        var after = await _shop.Put($"/api/jobs/{job}/clasp/other", new { partId = best["partId"]!.GetValue<long>() });
        after["claspKept"]!.GetValue<bool>().ShouldBeTrue();
        after["otherClasp"]!.GetValue<string>().ShouldBe("Fold-over, eight holes");
        after["band"]!["clasp"]!["positions"]!.GetValue<int>().ShouldBe(8);
        (await Part("CL-O18"))["free"]!.GetValue<int>().ShouldBe(free - 1);
        (await _shop.Get($"/api/jobs/{job}/loop"))["figures"]!["misfitMm"]!.GetValue<decimal>().ShouldBe(0);
        Candidate(await _shop.Get($"/api/jobs/{job}/clasp"), "CL-O18")["chosen"]!.GetValue<bool>().ShouldBeTrue();

        // Kept after all, and then not.
        await _shop.Put($"/api/jobs/{job}/clasp/keep", null);
        (await Part("CL-O18"))["free"]!.GetValue<int>().ShouldBe(free);
        await _shop.Put($"/api/jobs/{job}/clasp/other", new { partId = best["partId"]!.GetValue<long>() });

        await _shop.Post($"/api/jobs/{job}/size/agree", null);
        var steps = (await _shop.Get($"/api/jobs/{job}/bench"))["steps"]!.AsArray();
        var words = steps.Select(s => s!["says"]!.GetValue<string>()).ToList();
        words.ShouldContain(w => w.Contains("Lift the old clasp off", StringComparison.Ordinal));
        words.ShouldContain(w => w.Contains("From drawer B1 into the tray: 1 Fold-over, eight holes, CL-O18", StringComparison.Ordinal));
        words.FindIndex(w => w.Contains("Lift the old clasp off", StringComparison.Ordinal)).ShouldBeLessThan(words.FindIndex(w => w.Contains("try it on", StringComparison.OrdinalIgnoreCase)), "nothing is tried on with the old clasp");
        words.ShouldNotContain(w => w.Contains("At the lugs", StringComparison.Ordinal), "the band stays on the watch");
        await _shop.Put($"/api/jobs/{job}/bench/steps/{steps[0]!["key"]}", new { done = true, asPlanned = true });
        (await _shop.Put($"/api/jobs/{job}/clasp/keep", null, HttpStatusCode.Conflict))["title"]!.GetValue<string>().ShouldContain("Bench work has begun");
        foreach (var step in steps.Skip(1))
            await _shop.Put($"/api/jobs/{job}/bench/steps/{step!["key"]}", new { done = true, asPlanned = true });
        var bag = (await _shop.Get($"/api/jobs/{job}/hand-over"))["bag"]!.AsArray();
        bag.Select(b => b!["what"]!.GetValue<string>()).ShouldContain("fold-over, two holes with 1 micro-adjust bar and 1 fastener at the fold", "what was taken off as a set stays one");
        await _shop.Post($"/api/jobs/{job}/hand-over", new { by = "tb", counted = bag.Select(b => new { key = b!["key"]!.GetValue<string>(), count = b["count"]!.GetValue<int>() }) });
        var part = await Part("CL-O18");
        (part["onHand"]!.GetValue<int>(), part["reserved"]!.GetValue<int>()).ShouldBe((free - 1, 0));
        (await _shop.Get("/api/log?words=eight+holes")).ToJsonString().ShouldContain("put on instead of the fold-over, two holes");
    }

    [Fact]
    public async Task Another_band_leaves_the_clasp_that_was_to_go_on_the_one_before()
    {
        var job = await JobId("Ketil Orrel");
        var free = (await Part("CL-O18"))["free"]!.GetValue<int>();
        await _shop.Put($"/api/jobs/{job}/clasp/other", new { partId = (await Part("CL-O18"))["id"]!.GetValue<long>() });
        var match = await _shop.Get($"/api/jobs/{job}/match");
        var other = match["page"]!.AsArray().First(m => m!["whyNot"] is null && !m["needsConsent"]!.GetValue<bool>())!["band"]!["id"]!.GetValue<long>();
        var after = await _shop.Put($"/api/jobs/{job}/match", new { bandId = other });
        after["otherClasp"].ShouldBeNull();
        (await Part("CL-O18"))["free"]!.GetValue<int>().ShouldBe(free);
    }

    [Fact]
    public async Task Opening_a_hole_waits_for_the_owner_s_consent_and_comes_to_the_bench_with_its_size()
    {
        var job = await JobId("Ketil Orrel");
        await _shop.Put($"/api/jobs/{job}/clasp/seen", new { kind = "foldOver", fit = "free" });
        await _shop.Post("/api/parts/stock-take", new { by = "mk", reason = "found one", counted = new[] { new { partId = (await Part("CL-E18"))["id"]!.GetValue<long>(), counted = 1 } } });
        var thick = Candidate(await _shop.Get($"/api/jobs/{job}/clasp"), "CL-E18");
        thick["verdict"]!.GetValue<string>().ShouldBe("work");
        thick["needsConsent"]!.GetValue<bool>().ShouldBeTrue();
        var part = thick["partId"]!.GetValue<long>();
        (await _shop.Put($"/api/jobs/{job}/clasp/other", new { partId = part }, HttpStatusCode.BadRequest))["errors"]!["$.consentSignedBy"]![0]!.GetValue<string>()
            .ShouldContain("Open the bore by hand to 1.9 mm");
        await _shop.Put($"/api/jobs/{job}/clasp/other", new { partId = part, consentSignedBy = "Ketil Orrel" });
        await _shop.Put($"/api/jobs/{job}/clasp/other", new { partId = part });
        await _shop.Post($"/api/jobs/{job}/size/agree", null);
        var steps = (await _shop.Get($"/api/jobs/{job}/bench"))["steps"]!.AsArray();
        steps.ShouldContain(s => s!["key"]!.GetValue<string>() == "consent");
        steps.Single(s => s!["row"]!.GetValue<string>() == "prepare" && s["says"]!.GetValue<string>().Contains("open the bore by hand to 1.9 mm", StringComparison.Ordinal) && s["says"]!.GetValue<string>().Contains("6 side", StringComparison.Ordinal))!["beware"]!.GetValue<string>().ShouldContain("Eye protection");
    }

    [Fact]
    public async Task Ends_are_swapped_where_the_notched_one_would_show_and_a_strap_is_pierced()
    {
        var job = await JobId("Ketil Orrel");
        await _shop.Put($"/api/jobs/{job}/clasp/seen", new { kind = "foldOver", notched = true, otherPlain = true, swapEnds = true });
        await _shop.Put($"/api/jobs/{job}/clasp/keep", null);
        await _shop.Post($"/api/jobs/{job}/size/agree", null);
        (await _shop.Get($"/api/jobs/{job}/bench"))["steps"]!.AsArray().ShouldContain(s => s!["says"]!.GetValue<string>().Contains("of the 6 side, case end toward the case", StringComparison.Ordinal));

        var strap = await JobId("Dorrit Vale");
        await _shop.Put($"/api/jobs/{strap}/clasp/seen", new { kind = "pinBuckle", pierced = false });
        (await _shop.Get($"/api/jobs/{strap}"))["claspKept"]!.GetValue<bool>().ShouldBeFalse("what was kept was kept with a hole in the end");
        // An end that is sold without a hole is pierced as part of its use: nobody signs for it.
        await _shop.Put($"/api/jobs/{strap}/clasp/keep", null);
        await _shop.Post($"/api/jobs/{strap}/size/agree", null);
        (await _shop.Get($"/api/jobs/{strap}/bench"))["steps"]!.AsArray().ShouldContain(s => s!["says"]!.GetValue<string>().Contains("pierce the strap’s end", StringComparison.Ordinal));
        var buckle = Candidate(await _shop.Get($"/api/jobs/{strap}/clasp"), "CL-B16");
        buckle["rules"]!.AsArray().SelectMany(r => r!["work"]!.AsArray()).Single()!["what"]!.GetValue<string>().ShouldContain("clean through both sides");
    }

    [Theory]
    [InlineData("%20", "kind is missing.")]
    [InlineData("rubies", "kind is “rubies”; allowed is one of")]
    [InlineData("1", "kind is “1”; allowed is one of")]
    public async Task An_own_part_that_is_none_is_refused(string kind, string says)
    {
        var job = (await _shop.Get("/api/jobs")).AsArray()[0]!["id"]!.GetValue<long>();
        foreach (var refused in (JsonNode[])[
            await _shop.Send(HttpMethod.Delete, $"/api/jobs/{job}/clasp/own-parts/{kind}", null, HttpStatusCode.BadRequest),
            await _shop.Send(HttpMethod.Get, $"/api/jobs/{job}/clasp/own-parts/{kind}/offers", null, HttpStatusCode.BadRequest)])
            refused["errors"]!["$.kind"]![0]!.GetValue<string>().ShouldStartWith(says);
    }

    [Fact]
    public async Task A_worn_bar_is_replaced_from_stock_and_goes_back_in_the_bag()
    {
        var job = await JobId("Dorrit Vale");
        var sheet = await _shop.Put($"/api/jobs/{job}/clasp/own-parts", new { kind = "springBars", straight = true, springy = true, unworn = true });
        Own(sheet, "springBars")["reused"]!.GetValue<bool>().ShouldBeTrue();
        await _shop.Put($"/api/jobs/{job}/clasp/own-parts/replacement", new { kind = "springBars", partId = (await Part("SB-18-15"))["id"]!.GetValue<long>() }, HttpStatusCode.BadRequest);

        sheet = await _shop.Put($"/api/jobs/{job}/clasp/own-parts", new { kind = "springBars", straight = true, springy = false, unworn = true });
        Own(sheet, "springBars")["says"]!.GetValue<string>().ShouldContain("lost its spring");
        var choices = Own(sheet, "springBars")["choices"]!.AsArray();
        choices.ShouldNotBeEmpty();
        choices.ShouldAllBe(c => c!["measured"]!.GetValue<string>().StartsWith("18 mm long", StringComparison.Ordinal));
        var bar = choices[0]!["article"]!.GetValue<string>();
        var before = await Part(bar);
        sheet = await _shop.Put($"/api/jobs/{job}/clasp/own-parts/replacement", new { kind = "springBars", partId = before["id"]!.GetValue<long>() });
        Own(sheet, "springBars")["replacement"]!["reserved"]!.GetValue<bool>().ShouldBeTrue();
        (await Part(bar))["reserved"]!.GetValue<int>().ShouldBe(2);
        (await _shop.Get("/api/spring-bars")).AsArray().Single(b => b!["article"]!.GetValue<string>() == bar)!["inStock"]!.GetValue<int>().ShouldBe(before["onHand"]!.GetValue<int>() - 2);
        await _shop.Put($"/api/jobs/{job}/clasp/keep", null);
        await _shop.Post($"/api/jobs/{job}/size/agree", null);
        var steps = (await _shop.Get($"/api/jobs/{job}/bench"))["steps"]!.AsArray().Select(s => s!["says"]!.GetValue<string>()).ToList();
        steps.ShouldContain(s => s.StartsWith("From ", StringComparison.Ordinal) && s.Contains(bar, StringComparison.Ordinal), "the bar is named where it is fetched");
        steps.ShouldContain(s => s.Contains($"({bar})", StringComparison.Ordinal), "and where it goes in");

        sheet = await _shop.Put($"/api/jobs/{job}/clasp/own-parts", new { kind = "springBars", came = false });
        Own(sheet, "springBars")["says"]!.GetValue<string>().ShouldContain("None came along");
        var refused = await _shop.Put("/api/spring-bars", new { article = bar, length = "18", body = "1.5", tip = "0.8", inStock = 1 }, HttpStatusCode.BadRequest);
        refused["errors"]!["$.inStock"]![0]!.GetValue<string>().ShouldContain("2 are reserved");
        await _shop.Send(HttpMethod.Delete, $"/api/jobs/{job}/clasp/own-parts/springBars", null);
        (await Part(bar))["reserved"]!.GetValue<int>().ShouldBe(0);
    }

    [Fact]
    public async Task A_job_that_waits_is_not_handed_over()
    {
        var job = await JobId("Dorrit Vale");
        await _shop.Put($"/api/jobs/{job}/clasp/own-parts", new { kind = "springBars", straight = false, springy = true, unworn = true });
        var bar = await Part("SB-18-15C");
        await _shop.Post("/api/parts/stock-take", new { by = "mk", reason = "miscounted", counted = new[] { new { partId = bar["id"]!.GetValue<long>(), counted = 1 } } });
        var sheet = await _shop.Put($"/api/jobs/{job}/clasp/own-parts/replacement", new { kind = "springBars", partId = bar["id"]!.GetValue<long>() });
        Own(sheet, "springBars")["replacement"]!["reserved"]!.GetValue<bool>().ShouldBeFalse("one is there, two are needed");
        (await _shop.Get("/api/orders"))["toOrder"]!.ToJsonString().ShouldContain("SB-18-15C");
        (await _shop.Post($"/api/jobs/{job}/hand-over", new { by = "mk", counted = Array.Empty<object>() }, HttpStatusCode.Conflict))["title"]!.GetValue<string>().ShouldContain("Still awaited");
        // Found in the drawer: the job has them without a delivery.
        await _shop.Post("/api/parts/stock-take", new { by = "mk", reason = "found in the drawer", counted = new[] { new { partId = bar["id"]!.GetValue<long>(), counted = 2 } } });
        (await _shop.Get($"/api/jobs/{job}"))["awaited"]!.AsArray().ShouldBeEmpty();
    }
}
