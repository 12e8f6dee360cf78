using System.Net;
using System.Text.Json.Nodes;

namespace IronLoop.Server.Tests;

/// <summary>Variants tried at Size are returned to whole: with their clasp, their links from stock, their freed links.</summary>
public sealed class VariantTests : IDisposable
{
    private readonly Shop _shop = new(demo: true);

    public void Dispose() => _shop.Dispose();

    private async Task<long> JobId(string client) =>
        (await _shop.Get("/api/jobs")).AsArray().Single(j => j!["client"]!.GetValue<string>() == client)!["id"]!.GetValue<long>();

    private Task<JsonNode> Loop(long job) => _shop.Get($"/api/jobs/{job}/loop");

    private static decimal LengthOf(JsonNode loop) => loop["figures"]!["lengthMm"]!.GetValue<decimal>();

    /// <summary>What the screen keeps of a loop to return to.</summary>
    private static object Kept(JsonNode loop)
    {
        var layOut = loop["layOut"]!;
        object Side(string side) => new
        {
            @out = layOut[side]!.AsArray().Select((l, i) => (l, i)).Where(l => l.l!["fate"]!.GetValue<string>() == "leaves").Select(l => l.i),
            @in = layOut[side]!.AsArray().Where(l => l!["fate"]!.GetValue<string>() == "joins").Select(l => new { pitchMm = l!["pitchMm"], mark = l["mark"], oneSided = l["oneSided"] }),
        };
        return new
        {
            with = loop["variant"],
            lies = new { twelve = Side("twelve"), six = Side("six"), position = (layOut["clasp"]?["position"] ?? layOut["strap"]?["hole"])!.GetValue<int>() },
        };
    }

    private async Task<int> Free(long job) => (await _shop.Get($"/api/jobs/{job}/size/links")).AsArray().Single()!["free"]!.GetValue<int>();

    private async Task<long> Clasp(long job, string article) =>
        (await _shop.Get($"/api/jobs/{job}/clasp"))["candidates"]!.AsArray().Single(c => c!["article"]!.GetValue<string>() == article)!["partId"]!.GetValue<long>();

    [Fact]
    public async Task A_half_link_and_another_clasp_are_both_returned_to_and_nothing_stays_borrowed()
    {
        var job = await JobId("Ketil Orrel");
        var asItCame = await Loop(job);
        var free = await Free(job);
        var link = (await _shop.Get($"/api/jobs/{job}/size/links")).AsArray().Single()!["partId"]!.GetValue<long>();
        var half = await _shop.Put($"/api/jobs/{job}/size/links", new { partId = link, count = 1 });
        LengthOf(half).ShouldNotBe(LengthOf(asItCame));
        await _shop.Put($"/api/jobs/{job}/size/links", new { partId = link, count = 0 });
        await _shop.Put($"/api/jobs/{job}/clasp/other", new { partId = await Clasp(job, "CL-O18") });
        var other = await Loop(job);
        LengthOf(other).ShouldNotBe(LengthOf(half));

        var back = await _shop.Put($"/api/jobs/{job}/size/variant", Kept(half));
        LengthOf(back).ShouldBe(LengthOf(half));
        back["variant"]!.ToJsonString().ShouldBe(half["variant"]!.ToJsonString());
        back["isPlanned"]!.GetValue<bool>().ShouldBeTrue("it was the planner’s answer with the half link");
        (await Free(job)).ShouldBe(free - 1);
        (await _shop.Get($"/api/jobs/{job}/clasp"))["candidates"]!.AsArray().ShouldAllBe(c => !c!["chosen"]!.GetValue<bool>());

        LengthOf(await _shop.Put($"/api/jobs/{job}/size/variant", Kept(other))).ShouldBe(LengthOf(other));
        (await Free(job)).ShouldBe(free, "the half link is back in its place");
        LengthOf(await _shop.Put($"/api/jobs/{job}/size/variant", Kept(asItCame))).ShouldBe(LengthOf(asItCame));
        (await Loop(job))["variant"]!["claspPartId"].ShouldBeNull();
    }

    [Fact]
    public async Task A_link_freed_at_the_clasp_is_freed_again_and_fixed_again()
    {
        var job = await JobId("Isbet Linnet");
        var asItCame = await Loop(job);
        var freed = await _shop.Put($"/api/jobs/{job}/size/freed", new { side = "twelve", freed = true, endPiece = "1.6" });
        freed["layOut"]!["clasp"]!["twelveMm"]!.GetValue<decimal>().ShouldBe(asItCame["layOut"]!["clasp"]!["twelveMm"]!.GetValue<decimal>() + 1.6m);
        var back = await _shop.Put($"/api/jobs/{job}/size/variant", Kept(asItCame));
        (LengthOf(back), back["variant"]!["freed"]!.AsArray().Count).ShouldBe((LengthOf(asItCame), 0));
        back = await _shop.Put($"/api/jobs/{job}/size/variant", Kept(freed));
        LengthOf(back).ShouldBe(LengthOf(freed));
        back["variant"]!["freed"]!.AsArray().Single()!["endPiece"]!.GetValue<string>().ShouldBe("1.6 mm");
    }

    [Fact]
    public async Task A_link_never_to_be_taken_stays_so_whatever_is_returned_to()
    {
        var job = await JobId("Sunniva Marl");
        var planned = await Loop(job);
        var row = planned["layOut"]!["twelve"]!.AsArray();
        var leaves = row.ToList().FindIndex(l => l!["fate"]!.GetValue<string>() == "leaves");
        await _shop.Put($"/api/jobs/{job}/size/pinned", new { side = "twelve", ordinal = leaves, pinned = true });
        var stands = await Loop(job);
        (await _shop.Put($"/api/jobs/{job}/size/variant", Kept(planned), HttpStatusCode.BadRequest)).ToJsonString().ShouldContain($"Link {leaves + 1} from the case does not come out.");
        LengthOf(await Loop(job)).ShouldBe(LengthOf(stands), "nothing is half returned to");
    }

    [Fact]
    public async Task A_way_of_wearing_is_returned_to_with_its_hole()
    {
        var job = await JobId("Jory Quill");
        var band = (await _shop.Get($"/api/jobs/{job}/match?take=60"))["page"]!.AsArray()
            .First(m => m!["band"]!["kind"]!.GetValue<string>() == "onePiece" && m["whyNot"] is null)!["band"]!["id"]!.GetValue<long>();
        await _shop.Put($"/api/jobs/{job}/match", new { bandId = band });
        var before = await Loop(job);
        var other = before["variant"]!["way"]!.GetValue<string>() == "single" ? "double" : "single";
        await _shop.Put($"/api/jobs/{job}/size/way", new { way = other });
        var back = await _shop.Put($"/api/jobs/{job}/size/variant", Kept(before));
        back["variant"]!["way"]!.GetValue<string>().ShouldBe(before["variant"]!["way"]!.GetValue<string>());
        LengthOf(back).ShouldBe(LengthOf(before));
    }

    [Fact]
    public async Task What_cannot_be_is_refused_by_its_field_and_the_job_is_as_it_was()
    {
        var job = await JobId("Ketil Orrel");
        var before = (await Loop(job)).ToJsonString();
        var lies = new { twelve = new { @out = Array.Empty<int>(), @in = Array.Empty<object>() }, six = new { @out = Array.Empty<int>(), @in = Array.Empty<object>() }, position = 0 };
        object With(object? clasp = null, object[]? links = null, object[]? freed = null, string way = "double") =>
            new { with = new { claspPartId = clasp, links = links ?? [], freed = freed ?? [], way }, lies };
        await _shop.Put($"/api/jobs/{job}/size/variant", With(clasp: 999_999), HttpStatusCode.NotFound);
        await _shop.Put($"/api/jobs/{job}/size/variant", With(links: [new { partId = 999_999, count = 1 }]), HttpStatusCode.NotFound);
        (await _shop.Put($"/api/jobs/{job}/size/variant", With(links: [new { partId = 1, count = -3 }]), HttpStatusCode.BadRequest)).ToJsonString().ShouldContain("$.with.links[0].count");
        (await _shop.Put($"/api/jobs/{job}/size/variant", With(freed: [new { side = "twelve", freed = true, endPiece = "500" }]), HttpStatusCode.BadRequest)).ToJsonString().ShouldContain("$.with.freed[0].endPiece");
        await _shop.Put($"/api/jobs/{job}/size/variant", With(way: "reversedSingle"), HttpStatusCode.Conflict);
        await _shop.Put($"/api/jobs/{job}/size/variant", new { with = new { claspPartId = 1 }, lies }, HttpStatusCode.BadRequest);
        (await Loop(job)).ToJsonString().ShouldBe(before);
    }
}
