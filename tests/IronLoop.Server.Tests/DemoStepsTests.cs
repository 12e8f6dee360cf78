using System.Text.Json.Nodes;
using System.Text.RegularExpressions;
using IronLoop.Core.Tests.Bench;
using IronLoop.Replay;

namespace IronLoop.Server.Tests;

/// <summary>
/// What the bench says for every kind of band the demo's stock holds for each of its watches: kept as text, so that a fitter can
/// read it aloud and do the work.
/// </summary>
public sealed class DemoStepsTests : IDisposable
{
    private readonly Shop _shop = new(demo: true);

    public void Dispose() => _shop.Dispose();

    [Fact]
    public async Task Every_band_that_goes_on_a_watch_of_the_demo_has_steps_to_read_aloud()
    {
        var lists = new Dictionary<string, string>();
        foreach (var job in (await _shop.Get("/api/jobs")).AsArray())
        {
            var id = job!["id"]!.GetValue<long>();
            // A list whose work has begun is read as it stands; what is asked cannot be told yet on three others.
            if ((await _shop.Get($"/api/jobs/{id}"))["planAgreed"]!.GetValue<bool>())
                await Keep(lists, id, Text(job, "client"), "its own");
            else if (Text(job, "next") is not "gauge")
                await EveryBand(lists, id, Text(job, "client"));
        }
        // Lists that differ in figures alone are read once, under the first of them.
        var distinct = lists.OrderBy(l => l.Key, StringComparer.Ordinal).GroupBy(l => Regex.Replace(l.Value, @"\d+(\.\d+)?", "#")).ToList();
        var all = string.Join('\n', distinct.Select(alike =>
            $"== {alike.First().Key}\n{string.Concat(alike.Skip(1).Select(l => $"   alike: {l.Key}\n"))}\n{alike.First().Value}"));
        Kept.Agree("the demo", all);
        // Each row of the attachments that the demo's watches have, and each kind of band.
        foreach (var said in new[] { "draw the lever", "under-flap", "to notch", "Turn the screw out", "slit end at the arrow", "the tube, often shorter", "then a screw from each edge", "slot’s screws", "fixed bar", "as its maker made it" })
            all.ShouldContain(said, Case.Insensitive);
    }

    private async Task EveryBand(Dictionary<string, string> lists, long job, string client)
    {
        var match = await _shop.Get($"/api/jobs/{job}/match?take=100&inStock=true");
        foreach (var judged in match["own"]!.AsArray().Concat(match["page"]!.AsArray()))
        {
            if (Text(judged, "verdict") is "no" or "unknown")
                continue;
            var band = judged!["band"]!;
            await _shop.Put($"/api/jobs/{job}/match", new { bandId = band["id"]!.GetValue<long>(), consentSignedBy = client });
            if (band["links"]!.GetValue<int>() > 0)
                await _shop.Put($"/api/jobs/{job}/clasp/keep", null);
            await _shop.Post($"/api/jobs/{job}/size/agree", null);
            await Keep(lists, job, client, $"{Text(band, "article")} {Text(band, "name")}");
        }
    }

    private async Task Keep(Dictionary<string, string> lists, long job, string client, string band)
    {
        var bench = await _shop.Get($"/api/jobs/{job}/bench");
        lists[$"{client}, {band}"] = Kept.Read(bench["steps"]!.AsArray().Select(s => new KeptStep(
            Text(s, "row"), s!["round"]!.GetValue<int>(), Text(s, "says"), Text(s, "tool"), (string?)s["direction"], (string?)s["fallsOut"], (string?)s["beware"])));
        // Another program can work it from what it is sent, and ends where it was promised.
        Replayed.FaultsOf(bench).ShouldBeEmpty($"{client}, {band}");
    }

    private static string Text(JsonNode? node, string field) => node![field]?.GetValue<string>() ?? "";
}
