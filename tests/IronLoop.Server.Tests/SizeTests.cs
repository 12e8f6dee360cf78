using System.Net;
using System.Text.Json.Nodes;

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
}
