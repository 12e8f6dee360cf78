using System.Text.Json.Nodes;
using IronLoop.Replay;

namespace IronLoop.Server.Tests;

/// <summary>Every job of the demo, as another program is sent it, can be worked act by act and ends as it was promised.</summary>
public sealed class BenchReplayTests : IDisposable
{
    private readonly Shop _shop = new(demo: true);

    public void Dispose() => _shop.Dispose();

    [Fact]
    public async Task Every_job_of_the_demo_is_replayed_from_what_is_sent()
    {
        var jobs = (await _shop.Get("/api/jobs")).AsArray().Select(j => j!["id"]!.GetValue<long>())
            .Concat((await _shop.Get("/api/log?take=100"))["visits"]!.AsArray().Select(v => v!["jobId"]!.GetValue<long>())).Distinct().ToList();
        var (replayed, opened) = (0, 0);
        foreach (var job in jobs)
        {
            var bench = await _shop.Get($"/api/jobs/{job}/bench");
            bench["trouble"].ShouldBeNull();
            if (bench["from"] is null)
                continue;
            var replay = Replayed.Of(bench);
            replay.Faults.ShouldBeEmpty($"job {job}");
            replayed++;
            opened += replay.Opened;
        }
        replayed.ShouldBeGreaterThan(20);
        opened.ShouldBeGreaterThan(60);
    }

    [Fact]
    public async Task What_is_sent_has_the_fixed_names_and_both_sides_of_the_ledger()
    {
        var job = (await _shop.Get("/api/jobs")).AsArray().Single(j => j!["client"]!.GetValue<string>() == "Bettan Oakes")!["id"]!.GetValue<long>();
        var bench = await _shop.Get($"/api/jobs/{job}/bench");
        var things = bench["from"]!["things"]!.AsArray();
        things.Select(t => t!["id"]!.GetValue<string>()).ShouldBe(bench["to"]!["things"]!.AsArray().Select(t => t!["id"]!.GetValue<string>()), "no thing appears or vanishes");
        things.Single(t => t!["kind"]!.GetValue<string>() == "head")!["owner"]!.GetValue<string>().ShouldBe("client");
        foreach (var step in bench["steps"]!.AsArray())
        {
            (step!["caution"]!.GetValue<bool>() ^ step["acts"]!.AsArray().Count > 0).ShouldBeTrue("a step has acts, or is a plain word");
            foreach (var act in step["acts"]!.AsArray().Where(a => a!["do"]!.GetValue<string>() == "close"))
                act!["side"]!.GetValue<string>().ShouldBeOneOf("12", "6");
        }
    }
}
