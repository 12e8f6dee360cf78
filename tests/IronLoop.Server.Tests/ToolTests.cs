using System.Net;
using System.Text.Json.Nodes;
using IronLoop.Core.Tools;

namespace IronLoop.Server.Tests;

/// <summary>The tool wall as a fitter keeps it, and what the bench takes from it.</summary>
public sealed class ToolTests : IDisposable
{
    private readonly Shop _shop = new(demo: true);

    public void Dispose() => _shop.Dispose();

    private static string Text(JsonNode? node, string field) => node![field]!.GetValue<string>();

    private static JsonNode Named(JsonNode tools, string says) => tools.AsArray().Single(t => Text(t, "says") == says)!;

    [Fact]
    public async Task The_usual_set_hangs_there_until_the_house_changes_it()
    {
        var tools = await _shop.Get("/api/tools");
        tools.AsArray().Select(t => Text(t, "says")).ShouldBe(ToolWall.Usual.Tools.Select(t => t.Says), ignoreOrder: true);
        var punch = Named(tools, "punch 0.8");
        tools = await _shop.Put($"/api/tools/{punch["id"]}", new { spares = 2, wanted = false });
        Named(tools, "punch 0.8")["spares"]!.GetValue<int>().ShouldBe(2);
        tools.AsArray().Count.ShouldBe(ToolWall.Usual.Tools.Count, "the rest hangs where it hung");
        tools = await _shop.Send(HttpMethod.Delete, $"/api/tools/{punch["id"]}", null);
        tools.AsArray().ShouldNotContain(t => Text(t, "says") == "punch 0.8");
        await _shop.Send(HttpMethod.Delete, $"/api/tools/{punch["id"]}", null, HttpStatusCode.NotFound);
        (await _shop.Post("/api/tools", new { kind = "blade", name = "blade", across = "0.3", width = "" }, HttpStatusCode.BadRequest))["errors"]!["$.width"]![0]!
            .GetValue<string>().ShouldBe("width is missing: a blade is chosen by it; allowed is 0.1 to 6 mm.");
        await _shop.Post("/api/tools", new { kind = "punch", name = "punch", across = "9" }, HttpStatusCode.BadRequest);
    }

    [Fact]
    public async Task A_step_names_the_tool_from_the_wall_or_what_is_wanting_there()
    {
        const string bench = "/api/jobs/8/bench";
        await _shop.Put("/api/jobs/8/clasp/keep", null);
        await _shop.Post("/api/jobs/8/size/agree", null);
        await _shop.Put($"{bench}/joints", new { group = "links", fastener = "splitPin", across = "0.5" });
        JsonNode Open(JsonNode sheet) => sheet["steps"]!.AsArray().First(s => Text(s, "row") == "open")!;
        var open = Open(await _shop.Get(bench));
        Text(open, "tool").ShouldContain("no punch on the wall fits for the 0.5 mm pin; the nearest is punch 0.5");
        var wanted = open["wants"]!.AsArray().Single()!;
        var tools = await _shop.Post("/api/tools", new { kind = "punch", name = "punch", across = Text(wanted, "across"), wanted = true });
        Named(tools, "punch 0.45")["wanted"]!.GetValue<bool>().ShouldBeTrue();
        Text(Open(await _shop.Get(bench)), "tool").ShouldContain("no punch", Case.Sensitive, "it does not hang there yet");
        await _shop.Put($"/api/tools/{Named(tools, "punch 0.45")["id"]}", new { spares = 1, wanted = false });
        open = Open(await _shop.Get(bench));
        Text(open, "tool").ShouldContain("punch 0.45 for the 0.5 mm pin");
        Text(open, "how").ShouldContain("arrow down");
    }

    [Fact]
    public async Task The_house_settles_how_it_works_and_a_fitter_how_they_hold()
    {
        await _shop.Put("/api/bench/setup", new { tools = "screwPress", insertion = "againstTheArrow", micro = "tipByTip", tryOn = "onceAtTheEnd", toolsIn = "blockAndHammer" });
        await _shop.Put("/api/jobs/8/clasp/keep", null);
        await _shop.Post("/api/jobs/8/size/agree", null);
        var sheet = await _shop.Get("/api/jobs/8/bench");
        (Text(sheet["setup"], "tools"), Text(sheet["setup"], "toolsIn"), Text(sheet["setup"], "tryOn")).ShouldBe(("screwPress", "blockAndHammer", "onceAtTheEnd"));
        await _shop.Put("/api/jobs/8/bench/setup", new { tools = "handPusher", insertion = "againstTheArrow", micro = "tipByTip" });
        Text((await _shop.Get("/api/jobs/8/bench"))["setup"], "tools").ShouldBe("handPusher", "a job may say otherwise");
        Text((await _shop.Get("/api/jobs/4/bench"))["setup"], "tools").ShouldBe("screwPress");

        await _shop.Put("/api/jobs/8/bench/hands", new { grip = "inTheHand", leftHanded = true });
        var fitter = Text(await _shop.Get("/api/jobs/8"), "takenInBy");
        foreach (var job in (await _shop.Get("/api/jobs")).AsArray().Select(j => j!["id"]!.GetValue<long>()))
            Text((await _shop.Get($"/api/jobs/{job}/bench"))["hands"], "grip").ShouldBe(Text(await _shop.Get($"/api/jobs/{job}"), "takenInBy") == fitter ? "inTheHand" : "onTheMat");
    }
}
