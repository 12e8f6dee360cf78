using System.Net;
using System.Text.Json.Nodes;

namespace IronLoop.Server.Tests;

public sealed class GaugeTests : IDisposable
{
    private readonly Shop _shop = new();

    public void Dispose() => _shop.Dispose();

    private async Task<long> TakeIn(string request = "changeStrap", string watch = "Ostwick pilot") =>
        (await _shop.Post("/api/jobs", new { client = "Ada Moor", watch, request, promised = "2026-11-27", by = "MK" }, HttpStatusCode.Created))["id"]!
            .GetValue<long>();

    private Task<JsonNode> Read(long id, string figure, string typed, HttpStatusCode expected = HttpStatusCode.OK) =>
        _shop.Post($"/api/jobs/{id}/gauge/readings", new { figure, typed }, expected);

    private Task<JsonNode> Bracelet(long id, object fields, HttpStatusCode expected = HttpStatusCode.OK) =>
        _shop.Patch($"/api/jobs/{id}/gauge/bracelet", fields, expected);

    private static JsonNode Line(JsonNode sheet, string figure) =>
        sheet["lines"]!.AsArray().Single(l => l!["figure"]!.GetValue<string>() == figure)!;

    private static double Needed(JsonNode sheet, string way) =>
        sheet["ways"]!["ways"]!.AsArray().Single(w => w!["way"]!.GetValue<string>() == way)!["neededMm"]!.GetValue<double>();

    /// <summary>A watch and wrist of the reference table: aspect 1.35, 170 mm round, bars 44 apart and 3 up.</summary>
    private async Task GaugeReference(long id)
    {
        await _shop.Patch($"/api/jobs/{id}/gauge", new { attachment = "springBarDrilled", wear = "regular", lugWidth = "20", barToBar = "44", barRise = "3", wrist = "170" });
    }

    [Fact]
    public async Task A_null_in_a_list_is_named_with_its_number()
    {
        var job = await TakeIn("takeLinksOut");
        var link = """{"pitchMm": 8, "removable": true}""";
        foreach (var side in new[] { "twelve", "0" })
        {
            var problem = await _shop.Put($"/api/jobs/{job}/gauge/bracelet/{side}", $$"""{"links": [{{link}}, null, {{link}}]}""", HttpStatusCode.BadRequest);
            problem["errors"]!["$.links"].ShouldNotBeNull(problem.ToJsonString())[0]!.GetValue<string>().ShouldBe("links must be a list without null; number 2 is null.");
        }
    }

    [Fact]
    public async Task Several_readings_are_a_mean_with_a_spread_and_one_can_be_dropped()
    {
        var id = await TakeIn();
        await Read(id, "lugWidth", "19.9");
        var sheet = await Read(id, "lugWidth", "20,0 mm");
        var line = Line(await Read(id, "lugWidth", "0.79 in"), "lugWidth");
        line["value"]!["mm"]!.GetValue<decimal>().ShouldBe(19.989m);
        line["spread"]!.GetValue<string>().ShouldBe("0.17 mm");
        line["question"].ShouldBeNull();
        var first = Line(sheet, "lugWidth")["readings"]![0]!["id"]!.GetValue<long>();
        line = Line(await _shop.Send(HttpMethod.Delete, $"/api/jobs/{id}/gauge/readings/{first}", null), "lugWidth");
        line["readings"]!.AsArray().Count.ShouldBe(2);
        await _shop.Send(HttpMethod.Delete, $"/api/jobs/{id}/gauge/readings/{first}", null, HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task An_implausible_figure_is_questioned_until_it_is_said_to_be_so_and_asked_again_after_the_next_reading()
    {
        var id = await TakeIn();
        Line(await Read(id, "lugWidth", "32"), "lugWidth")["question"]!.GetValue<string>().ShouldContain("unusual for a lug width");
        (await _shop.Get($"/api/jobs/{id}"))["stations"]![1]!["says"]!.GetValue<string>().ShouldStartWith("Look again at lug width");
        var line = Line(await _shop.Put($"/api/jobs/{id}/gauge/lugWidth/stands", null), "lugWidth");
        line["question"].ShouldBeNull();
        line["stands"]!.GetValue<bool>().ShouldBeTrue();
        Line(await Read(id, "lugWidth", "33"), "lugWidth")["question"]!.GetValue<string>().ShouldContain("1 mm apart");
    }

    [Theory]
    [InlineData("lugWidth", "45", "lug width is 45 mm; allowed is 6 to 40 mm.")]
    [InlineData("wrist", "17 m", "is not a length")]
    [InlineData("lugHole", "", "Nothing was read for the lug hole; allowed is 0.3 to 4 mm.")]
    public async Task An_impossible_reading_is_refused(string figure, string typed, string said)
    {
        var id = await TakeIn();
        var problem = await Read(id, figure, typed, HttpStatusCode.BadRequest);
        problem["errors"]!["$.typed"]![0]!.GetValue<string>().ShouldContain(said);
        Line(await _shop.Get($"/api/jobs/{id}/gauge"), figure)["readings"]!.AsArray().ShouldBeEmpty();
    }

    [Fact]
    public async Task A_wrist_of_90_mm_is_questioned_and_nothing_is_computed_from_it()
    {
        var id = await TakeIn();
        await GaugeReference(id);
        var sheet = await _shop.Patch($"/api/jobs/{id}/gauge", new { wrist = "90" });
        sheet["stations"]![1]!["says"]!.GetValue<string>().ShouldContain("Look again at wrist");
        (await _shop.Get($"/api/jobs/{id}/loop"))["drawing"].ShouldBeNull();
    }

    [Fact]
    public async Task A_watch_s_figures_come_back_with_it_and_the_wrist_is_taped_anew()
    {
        var first = await TakeIn();
        await GaugeReference(first);
        var second = await TakeIn();
        var sheet = await _shop.Get($"/api/jobs/{second}/gauge");
        Line(sheet, "barToBar")["value"]!["mm"]!.GetValue<decimal>().ShouldBe(44);
        Line(sheet, "barToBar")["readings"]![0]!["earlier"]!.GetValue<bool>().ShouldBeTrue();
        Line(sheet, "wrist")["readings"]!.AsArray().ShouldBeEmpty();

        // A new reading has the say from now on; the earlier visit keeps its own.
        Line(await Read(second, "barToBar", "43.6"), "barToBar")["value"]!["mm"]!.GetValue<decimal>().ShouldBe(43.6m);
        Line(await _shop.Get($"/api/jobs/{first}/gauge"), "barToBar")["value"]!["mm"]!.GetValue<decimal>().ShouldBe(44);

        await Read(second, "wrist", "17,3 cm");
        await _shop.Patch($"/api/jobs/{second}/gauge", new { season = "summer", wornAt = "onBone" });
        var history = (await _shop.Get($"/api/jobs/{second}/gauge"))["wristHistory"]!.AsArray();
        history.Select(v => v!["mm"]!.GetValue<decimal>()).ShouldBe([170m, 173m]);
        history.Select(v => v!["season"]!.GetValue<string>()).ShouldBe(["autumn", "summer"]);
    }

    [Fact]
    public async Task Three_ways_are_combined_and_their_disagreement_is_said()
    {
        var id = await TakeIn();
        await GaugeReference(id);
        var sheet = await _shop.Patch($"/api/jobs/{id}/gauge/try-on", new { amount = "13", loop = "160" });
        Needed(sheet, "measured").ShouldBe(146.99, 0.01);
        Needed(sheet, "tryOn").ShouldBe(147, 0.01);
        sheet["ways"]!["says"].ShouldBeNull();
        sheet["ways"]!["sigmaMm"]!.GetValue<double>().ShouldBeLessThan(1.0);

        sheet = await _shop.Patch($"/api/jobs/{id}/gauge/copy", new { loop = "162.5", barToBar = "44", barRise = "3", thickness = "3.5" });
        Needed(sheet, "copy").ShouldBe(155, 0.01);
        sheet["ways"]!["says"]!.GetValue<string>().ShouldContain("copied loop stands alone");
        (await _shop.Patch($"/api/jobs/{id}/gauge/copy", new { loop = "", barToBar = "", barRise = "", thickness = "" }))["ways"]!["says"].ShouldBeNull();
    }

    [Fact]
    public async Task A_surplus_is_taken_in_millimetres_links_or_as_a_gap_and_over_comfort_counts_the_aim()
    {
        var id = await TakeIn();
        await GaugeReference(id);
        var sheet = await _shop.Patch($"/api/jobs/{id}/gauge/try-on", new { by = "linksPinched", amount = "1,5", loop = "159", pitch = "8" });
        Needed(sheet, "tryOn").ShouldBe(147, 0.01);
        sheet = await _shop.Patch($"/api/jobs/{id}/gauge/try-on", new { over = "comfort" });
        Needed(sheet, "tryOn").ShouldBe(139.5, 0.01);
        sheet = await _shop.Patch($"/api/jobs/{id}/gauge/try-on", new { by = "gap", over = "zeroEase" });
        sheet["tryOn"]!["amount"]!.GetValue<string>().ShouldBeEmpty("a count of links is no gap");
        sheet = await _shop.Patch($"/api/jobs/{id}/gauge/try-on", new { amount = "6 mm", wedge = "14" });
        var ease = (await _shop.Post("/api/fit/ease-from-gap", new { wristMm = 170, aspect = 1.35, gapMm = 6, wedgeWidthMm = 14 }))["easeMm"]!.GetValue<double>();
        Needed(sheet, "tryOn").ShouldBe(159 - ease, 0.01);
    }

    [Theory]
    [InlineData("try-on", "amount", "99", "amount is 99 mm; allowed is -30 to 80 mm.")]
    [InlineData("try-on", "loop", "40", "allowed is 60 to 400 mm")]
    [InlineData("copy", "barToBar", "90", "allowed is 20 to 70 mm")]
    [InlineData("bracelet", "claspTwelve", "90", "allowed is 0 to 80 mm")]
    [InlineData("bracelet", "twelve", "umpteen full", "12 side: “umpteen full” is no group of links")]
    [InlineData("bracelet", "benchLength", "long", "is not a length")]
    public async Task A_wrong_field_of_a_sheet_is_refused_by_name(string sheet, string field, string typed, string said)
    {
        var id = await TakeIn("takeLinksOut");
        var problem = await _shop.Patch($"/api/jobs/{id}/gauge/{sheet}", new JsonObject { [field] = typed }.ToJsonString(), HttpStatusCode.BadRequest);
        problem["errors"]![$"$.{field}"]![0]!.GetValue<string>().ShouldContain(said);
    }

    [Fact]
    public async Task A_bracelet_is_said_in_words_checked_along_the_bench_and_planned_with()
    {
        var id = await TakeIn("takeLinksOut");
        await GaugeReference(id);
        await Read(id, "bandWidth", "20");
        (await Bracelet(id, new { twelve = "7 full, 1 half, first 2 fixed", six = "seven full, first two fixed" }))["bracelet"]!["fastener"]!.GetValue<string>()
            .ShouldBe("notLookedAt", "nobody looked at the joints yet");
        await Read(id, "linkPitch", "8.2");
        await Bracelet(id, new { halfPitch = "5", claspTwelve = "18", claspSix = "19" });
        var sheet = (await Bracelet(id, new { positions = 4, step = "2.5", position = 2, fastener = "pinWithTube" }))["bracelet"]!;
        sheet["missing"]!.AsArray().ShouldBeEmpty();
        sheet["lengthNow"]!.GetValue<string>().ShouldBe("159.3 mm");
        sheet["fastener"]!.GetValue<string>().ShouldBe("pinWithTube");
        (await Bracelet(id, new { fastener = "notLookedAt" }))["bracelet"]!["fastener"]!.GetValue<string>().ShouldBe("notLookedAt", "what was seen can be taken back");
        (await Bracelet(id, new { benchLength = "167.4" }))["bracelet"]!["question"]!.GetValue<string>().ShouldContain("a link of 8.2 mm was left out");

        // The owner's own bracelet is what the job is sized with, and the try-on takes its length from the sheet.
        var job = await _shop.Get($"/api/jobs/{id}");
        job["band"]!["own"]!.GetValue<bool>().ShouldBeTrue();
        Needed(await _shop.Patch($"/api/jobs/{id}/gauge/try-on", new { amount = "12.3" }), "tryOn").ShouldBe(147, 0.01);
        job["band"]!["links"]!.GetValue<int>().ShouldBe(15);

        // Link by link: one more on the 6 side. The plan made for the other row goes.
        await _shop.Post($"/api/jobs/{id}/size/agree", null);
        var six = sheet["sixLinks"]!.DeepClone().AsArray();
        six.Add(new JsonObject { ["pitchMm"] = 8.2, ["removable"] = true });
        var changed = (await _shop.Put($"/api/jobs/{id}/gauge/bracelet/six", new { links = six }))["bracelet"]!;
        changed["six"]!.GetValue<string>().ShouldBe("2 fixed of 8.2; 6 of 8.2");
        changed["question"].ShouldBeNull();
        job = await _shop.Get($"/api/jobs/{id}");
        job["planAgreed"]!.GetValue<bool>().ShouldBeFalse();
        job["band"]!["links"]!.GetValue<int>().ShouldBe(16);
    }

    [Fact]
    public async Task What_was_acknowledged_is_there_after_a_restart()
    {
        var id = await TakeIn("takeLinksOut");
        await Read(id, "wrist", "168");
        await Bracelet(id, new { twelve = "5 of 8" });
        await _shop.Patch($"/api/jobs/{id}/gauge/try-on", new { by = "linksPinched", amount = "2" });
        using var again = new Shop(folder: _shop.Stop());
        var sheet = await again.Get($"/api/jobs/{id}/gauge");
        Line(sheet, "wrist")["value"]!["mm"]!.GetValue<decimal>().ShouldBe(168);
        sheet["bracelet"]!["twelve"]!.GetValue<string>().ShouldBe("5 of 8");
        sheet["tryOn"]!["amount"]!.GetValue<string>().ShouldBe("2");
    }
}
