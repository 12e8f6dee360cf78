using System.Net;
using System.Text.Json;
using System.Text.Json.Nodes;
using IronLoop.Core.Jobs;
using IronLoop.Server.Door;
using IronLoop.Server.Stations;
using SkiaSharp;

namespace IronLoop.Server.Tests;

/// <summary>The Size station: other plans, reach, hot and cold days, habits.</summary>
public sealed class SizeTests : IDisposable
{
    private readonly Shop _shop = new(demo: true);

    public void Dispose() => _shop.Dispose();

    private async Task<long> JobId(string client) =>
        (await _shop.Get("/api/jobs")).AsArray().Single(j => j!["client"]!.GetValue<string>() == client)!["id"]!.GetValue<long>();

    private static decimal Number(JsonNode node, string field) => node[field]!.GetValue<decimal>();

    [Fact]
    public async Task Another_plan_is_taken_as_it_is_offered_and_says_what_it_trades()
    {
        var job = await JobId("Sunniva Marl");
        var loop = await _shop.Get($"/api/jobs/{job}/loop");
        var others = loop["alternatives"]!.AsArray();
        others.ShouldNotBeEmpty();
        foreach (var other in others)
        {
            other!["trades"]!.GetValue<string>().ShouldContain("; but ", customMessage: "an alternative is better in something and pays for it");
            var tried = await _shop.Put($"/api/jobs/{job}/size", new { twelve = other["twelve"], six = other["six"], position = other["position"] });
            tried["isPlanned"]!.GetValue<bool>().ShouldBeFalse();
            Number(tried["figures"]!, "lengthMm").ShouldBe(Number(other, "lengthMm"));
            Number(tried["figures"]!, "linksMoved").ShouldBe(Number(other, "linksMoved"));
        }
        var layOut = (await _shop.Send(HttpMethod.Delete, $"/api/jobs/{job}/size", null))["layOut"]!;
        layOut["twelveJoints"]!.AsArray().Count.ShouldBe(2, "two links leave as one run");
    }

    [Fact]
    public async Task The_reach_says_where_it_is_stuck_and_whom_it_serves()
    {
        var stuck = (await _shop.Get($"/api/jobs/{await JobId("Ketil Orrel")}/loop"))["reach"]!;
        Number(stuck, "belowMm").ShouldBeLessThan(Number(stuck, "targetMm"));
        Number(stuck, "aboveMm").ShouldBeGreaterThan(Number(stuck, "targetMm"));
        Number(stuck, "largestGapMm").ShouldBeGreaterThan(5);
        var well = (await _shop.Get($"/api/jobs/{await JobId("Sunniva Marl")}/loop"))["reach"]!;
        well["belowMm"].ShouldBeNull();
        Number(well, "largestWristMm").ShouldBeGreaterThan(163, "it serves the wrist it is sized for");
        well["lengths"]!.AsArray().Select(l => l!.GetValue<decimal>()).ShouldBeInOrder();
    }

    [Fact]
    public async Task What_was_worked_out_before_the_file_was_free_is_worked_out_again_where_the_job_was_changed_meanwhile()
    {
        var job = await JobId("Sunniva Marl");
        var shop = new OpenShop(_shop.File);
        var foreseen = new Foreseen<AgreedPlan>(shop, job, JobAct.Agree, seen => AgreedPlan.Of(seen, _shop.Clock.GetUtcNow()));
        JobSnapshot Now()
        {
            using var work = shop.Look();
            return TheJob.Read(work, job);
        }
        foreseen.Of(Now()).ShouldBeSameAs(foreseen.Of(Now()), "nobody changed it: it is worked out once");
        static string Told(AgreedPlan agreed) => JsonSerializer.Serialize(agreed.Plan.Arrangement);
        var before = Told(foreseen.Of(Now()));
        await _shop.Put($"/api/jobs/{job}/size/habits", new { offCentre = "8", toward = "six", hot = "5", cold = "" });
        var after = foreseen.Of(Now());
        Told(after).ShouldNotBe(before);
        after.Plan.Target.ShouldBe(Now().Target!.Value.Length);
    }

    [Fact]
    public async Task A_strap_has_its_days_too()
    {
        var loop = await _shop.Get($"/api/jobs/{await JobId("Dorrit Vale")}/loop");
        loop["days"]!["says"]!.GetValue<string>().ShouldContain("ole ");
        loop["reach"]!["lengths"]!.AsArray().Count.ShouldBeGreaterThan(1);
        loop["lean"].ShouldBeNull("where a buckle sits is shown, not judged");
    }

    [Fact]
    public async Task A_client_s_habit_moves_the_plan_and_stays_with_the_client()
    {
        var job = await JobId("Sunniva Marl");
        var before = Number((await _shop.Get($"/api/jobs/{job}/loop"))["rulers"]!["offCentre"]!, "mm");
        await _shop.Put($"/api/jobs/{job}/size/habits", new { offCentre = "8", toward = "six", hot = "5", cold = "" });
        var loop = await _shop.Get($"/api/jobs/{job}/loop");
        Number(loop["rulers"]!["offCentre"]!, "mm").ShouldBeGreaterThan(before + 4);
        loop["lean"]!["toward"]!.GetValue<string>().ShouldBe("six");
        loop["lean"]!["says"]!.GetValue<string>().ShouldContain("6 side");
        Number(loop["days"]!["hot"]!, "wantedMm").ShouldBe(Number(loop["figures"]!, "targetMm") + 5);
        var again = await _shop.Post("/api/jobs", new { client = "Sunniva Marl", contact = "lighthouse row 2", watch = "Another", request = "refit", words = "", promised = "2026-12-01", by = "MK" }, HttpStatusCode.Created);
        (await _shop.Get($"/api/jobs/{again["id"]}/size/habits"))["offCentre"]!.GetValue<string>().ShouldBe("8 mm");

        (await _shop.Put($"/api/jobs/{job}/size/habits", new { offCentre = "45", toward = "six", hot = "", cold = "11" }, HttpStatusCode.BadRequest))["errors"]!
            .AsObject().Select(e => e.Key).ShouldBe(["$.offCentre", "$.cold"], ignoreOrder: true);
        await _shop.Put($"/api/jobs/{job}/size/habits", new { });
        Number((await _shop.Get($"/api/jobs/{job}/loop"))["rulers"]!["offCentre"]!, "mm").ShouldBe(before);
    }

    [Fact]
    public async Task A_link_the_fitter_will_not_take_stays_in_the_plan_and_in_what_was_laid_by_hand()
    {
        var job = await JobId("Sunniva Marl");
        JsonNode Link(JsonNode loop) => loop["layOut"]!["twelve"]![7]!;
        var before = await _shop.Get($"/api/jobs/{job}/loop");
        Link(before)["fate"]!.GetValue<string>().ShouldBe("leaves");
        var pinned = await _shop.Put($"/api/jobs/{job}/size/pinned", new { side = "twelve", ordinal = 7, pinned = true });
        Link(pinned)["pinned"]!.GetValue<bool>().ShouldBeTrue();
        Link(pinned)["fate"]!.GetValue<string>().ShouldBe("fixed");
        pinned["isPlanned"]!.GetValue<bool>().ShouldBeTrue("the planner has another answer now");
        // By hand: another one out, then that one kept for good.
        var tried = await _shop.Put($"/api/jobs/{job}/size", new { twelve = new { @out = new[] { 6 }, @in = Array.Empty<object>() }, six = new { @out = Array.Empty<int>(), @in = Array.Empty<object>() }, position = 0 });
        tried["isPlanned"]!.GetValue<bool>().ShouldBeFalse();
        var kept = await _shop.Put($"/api/jobs/{job}/size/pinned", new { side = "twelve", ordinal = 6, pinned = true });
        kept["layOut"]!["twelve"]![6]!["fate"]!.GetValue<string>().ShouldBe("fixed");
        (await _shop.Put($"/api/jobs/{job}/size/pinned", new { side = "twelve", ordinal = 40, pinned = true }, HttpStatusCode.BadRequest))
            .ToJsonString().ShouldContain("allowed is 0 to 8");
        await _shop.Put($"/api/jobs/{job}/size/pinned", new { side = "twelve", ordinal = 0, pinned = true }, HttpStatusCode.BadRequest);
        await _shop.Put($"/api/jobs/{job}/size/pinned", new { side = "twelve", ordinal = 6, pinned = false });
        (await _shop.Put($"/api/jobs/{job}/size/pinned", new { side = "twelve", ordinal = 7, pinned = false }))["layOut"]!["twelve"]![7]!["pinned"]!.GetValue<bool>().ShouldBeFalse();
    }

    [Fact]
    public async Task A_small_wrist_is_centred_once_the_link_at_the_clasp_is_freed()
    {
        var job = await JobId("Isbet Linnet");
        var before = await _shop.Get($"/api/jobs/{job}/loop");
        before["plannersSay"]!.GetValue<string>().ShouldContain("Look at the clasp’s joint on the 12 side");
        before["layOut"]!["twelveAtTheClasp"]!["canBeFreed"]!.GetValue<bool>().ShouldBeTrue();
        before["layOut"]!["sixAtTheClasp"]!["canBeFreed"]!.GetValue<bool>().ShouldBeFalse();
        (await _shop.Put($"/api/jobs/{job}/size/freed", new { side = "twelve", freed = true, endPiece = "8" }, HttpStatusCode.BadRequest))
            .ToJsonString().ShouldContain("The end piece is 8 mm; allowed is 0 to 7.2 mm.");
        var freed = await _shop.Put($"/api/jobs/{job}/size/freed", new { side = "twelve", freed = true, endPiece = "1,6" });
        Math.Abs(Number(freed["rulers"]!["offCentre"]!, "mm")).ShouldBeLessThan(1);
        freed["layOut"]!["twelve"]![7]!["fate"]!.GetValue<string>().ShouldBe("leaves");
        freed["layOut"]!["twelveJoints"]!.AsArray().Select(j => j!.GetValue<int>()).ShouldContain(8, "the joint at the clasp is opened");
        var again = await _shop.Put($"/api/jobs/{job}/size/freed", new { side = "twelve", freed = false });
        Number(again["rulers"]!["offCentre"]!, "mm").ShouldBe(Number(before["rulers"]!["offCentre"]!, "mm"));
    }

    [Fact]
    public async Task A_half_link_from_stock_cures_it_is_reserved_and_goes_back_when_the_plan_does_not_use_it()
    {
        var job = await JobId("Ketil Orrel");
        var link = (await _shop.Get($"/api/jobs/{job}/size/links")).AsArray().Single()!;
        link["article"]!.GetValue<string>().ShouldBe("LK-56-22", "only links as wide as the bracelet");
        var part = link["partId"]!.GetValue<long>();
        var tried = await _shop.Put($"/api/jobs/{job}/size/links", new { partId = part, count = 2 });
        Number(tried["figures"]!, "misfitMm").ShouldBe(0);
        var held = (await _shop.Get($"/api/jobs/{job}/size/links")).AsArray().Single()!;
        held["taken"]!.GetValue<int>().ShouldBe(2);
        held["free"]!.GetValue<int>().ShouldBe(link["free"]!.GetValue<int>() - 2);
        await _shop.Put($"/api/jobs/{job}/size/links", new { partId = part, count = 61 }, HttpStatusCode.BadRequest);
        await _shop.Put($"/api/jobs/{job}/size/links", new { partId = 9_999, count = 1 }, HttpStatusCode.NotFound);
        await _shop.Put($"/api/jobs/{job}/clasp/keep", new { });
        await _shop.Post($"/api/jobs/{job}/size/agree", new { });
        (await _shop.Get($"/api/jobs/{job}/size/links")).AsArray().Single()!["taken"]!.GetValue<int>().ShouldBe(1, "the plan puts in one; the other went back");
        (await _shop.Get($"/api/jobs/{job}/loop"))["layOut"]!["spares"]!.AsArray().ShouldAllBe(s => s!["pitchMm"]!.GetValue<decimal>() != 5.6m, "nothing of the shop’s goes into the owner’s bag");
    }

    [Fact]
    public async Task Giving_back_a_link_that_was_laid_by_hand_goes_back_to_the_planner()
    {
        var job = await JobId("Ketil Orrel");
        var part = (await _shop.Get($"/api/jobs/{job}/size/links")).AsArray().Single()!["partId"]!.GetValue<long>();
        await _shop.Put($"/api/jobs/{job}/size/links", new { partId = part, count = 1 });
        var half = new[] { new { pitchMm = 5.6m, mark = "", oneSided = false } };
        var none = Array.Empty<int>();
        (await _shop.Put($"/api/jobs/{job}/size", new { twelve = new { @out = none, @in = half }, six = new { @out = none, @in = Array.Empty<object>() }, position = 0 }))
            ["isPlanned"]!.GetValue<bool>().ShouldBeFalse();
        (await _shop.Put($"/api/jobs/{job}/size/links", new { partId = part, count = 0 }))["isPlanned"]!.GetValue<bool>().ShouldBeTrue();
        (await _shop.Put($"/api/jobs/{job}/size", new { twelve = new { @out = none, @in = half }, six = new { @out = none, @in = Array.Empty<object>() }, position = 0 }, HttpStatusCode.BadRequest))
            .ToJsonString().ShouldContain("1 more of 5.6 mm put in than there are loose.");
    }

    [Fact]
    public async Task The_house_s_school_is_settled_once_and_the_cost_of_the_others_is_seen()
    {
        var job = await JobId("Isbet Linnet");
        var sheet = await _shop.Get($"/api/jobs/{job}/size/school");
        sheet["oddLinks"]!.AsArray().Count.ShouldBe(3);
        sheet["oddLinks"]![0]!["costs"].ShouldBeNull();
        var before = await _shop.Get($"/api/jobs/{job}/loop");
        var settled = await _shop.Put($"/api/jobs/{job}/size/school", new { way = (string?)null, odd = "onSix" });
        settled["house"]!["odd"]!.GetValue<string>().ShouldBe("onSix");
        var six = settled["oddLinks"]!.AsArray().Single(o => o!["odd"]!.GetValue<string>() == "onSix")!;
        var after = await _shop.Get($"/api/jobs/{job}/loop");
        after["plannersSay"]!.GetValue<string>().ShouldContain(six["does"]!.GetValue<string>());
        Number(after["figures"]!, "troubleMm").ShouldBeGreaterThanOrEqualTo(Number(before["figures"]!, "troubleMm"));
        // It holds for the whole house.
        var other = await JobId("Sunniva Marl");
        (await _shop.Get($"/api/jobs/{other}/size/school"))["house"]!["odd"]!.GetValue<string>().ShouldBe("onSix");
        await _shop.Put($"/api/jobs/{job}/size/school", new { way = "sundial", odd = "onSix" }, HttpStatusCode.BadRequest);
    }

    [Fact]
    public async Task The_shop_s_straps_are_told_by_how_near_their_middle_hole_is()
    {
        var straps = (await _shop.Get($"/api/jobs/{await JobId("Dorrit Vale")}/size/straps")).AsArray();
        straps.Count(s => s!["here"]!.GetValue<bool>()).ShouldBe(1);
        straps.Select(s => Number(s!, "missMm")).ShouldBeInOrder();
        (await _shop.Get($"/api/jobs/{await JobId("Sunniva Marl")}/size/straps")).AsArray().ShouldBeEmpty("a bracelet has links");
    }

    [Fact]
    public async Task The_keepers_are_drawn_where_they_hold_the_tail()
    {
        var shapes = (await _shop.Get($"/api/jobs/{await JobId("Dorrit Vale")}/loop"))["layOut"]!["drawn"]!["shapes"]!.AsArray();
        SKRect[] Drawn(string role) => [.. shapes.Where(s => s!["role"]!.GetValue<string>() == role).Select(s =>
        {
            using var path = SKPath.ParseSvgPathData(s!["path"]!.GetValue<string>());
            return path.TightBounds;
        })];
        var hole = Drawn("holeNow").Single().MidX;
        Drawn("keeper").SelectMany(k => new[] { k.Left - hole, k.Right - hole }).Select(mm => Math.Round(mm, 1)).ShouldBe([7f, 11, 21, 25]);
    }

    [Fact]
    public async Task A_pull_through_band_has_a_hole_and_a_head_height_for_each_way_of_wearing_it()
    {
        var job = await JobId("Jory Quill");
        var band = (await _shop.Get($"/api/jobs/{job}/match?take=50"))["page"]!.AsArray().Single(m => m!["band"]!["article"]!.GetValue<string>() == "SK-P20")!["band"]!["id"]!.GetValue<long>();
        await _shop.Put($"/api/jobs/{job}/match", new { bandId = band, way = "double" });
        var ways = (await _shop.Get($"/api/jobs/{job}/size/ways")).AsArray();
        ways.Select(w => w!["way"]!.GetValue<string>()).ShouldBe(["double", "single", "reversedDouble", "reversedSingle"]);
        var (twice, once) = (ways[0]!, ways[1]!);
        Number(twice, "headHeightMm").ShouldBe(Number(once, "headHeightMm") + 1.2m, "one layer more");
        Number(twice, "targetMm").ShouldBeGreaterThan(Number(once, "targetMm") + 1.2m, "the raised head needs more");
        var loop = await _shop.Put($"/api/jobs/{job}/size/way", new { way = "reversedSingle" });
        Number(loop["figures"]!, "targetMm").ShouldBe(Number(once, "targetMm"));
        (await _shop.Get($"/api/jobs/{job}/size/ways")).AsArray().Single(w => w!["chosen"]!.GetValue<bool>())!["way"]!.GetValue<string>().ShouldBe("reversedSingle");
        await _shop.Put($"/api/jobs/{await JobId("Sunniva Marl")}/size/way", new { way = "single" }, HttpStatusCode.Conflict);
    }

    [Fact]
    public async Task Links_of_one_pitch_that_are_not_alike_keep_their_letter_from_the_sheet_to_the_bag()
    {
        var job = await JobId("Runa Fenwick");
        await _shop.Send(HttpMethod.Patch, $"/api/jobs/{job}/gauge/bracelet", new { twelve = "2 fixed of 8.2; 4 of 8.2; 2 of 8.2 kind b", six = "2 fixed of 8.2; 6 of 8.2", spares = "1 of 8.2 kind b" });
        var layOut = (await _shop.Get($"/api/jobs/{job}/loop"))["layOut"]!;
        layOut["twelve"]!.AsArray().Select(l => l!["mark"]!.GetValue<string>()).ShouldBe(["", "", "", "", "", "", "b", "b"]);
        var kind = new[] { new { pitchMm = 8.2m, mark = "b", oneSided = false } };
        var twice = new[] { kind[0], kind[0] };
        var none = Array.Empty<int>();
        await _shop.Put($"/api/jobs/{job}/size", new { twelve = new { @out = none, @in = Array.Empty<object>() }, six = new { @out = none, @in = kind }, position = 0 });
        (await _shop.Put($"/api/jobs/{job}/size", new { twelve = new { @out = none, @in = Array.Empty<object>() }, six = new { @out = none, @in = twice }, position = 0 }, HttpStatusCode.BadRequest))
            .ToJsonString().ShouldContain("1 more of 8.2 mm kind b put in than there are loose.");
        await _shop.Put($"/api/jobs/{job}/gauge/bracelet/six", new { links = new[] { new { pitchMm = 8.2m, removable = true, mark = "??" } } }, HttpStatusCode.BadRequest);
    }
}
