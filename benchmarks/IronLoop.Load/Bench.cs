using System.Diagnostics;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace IronLoop.Load;

/// <summary>
/// One bench: takes jobs in and works them to the end, gauging, planning, trying by hand and ticking steps, and in between looks at the
/// rack and asks the log, as a screen does.
/// </summary>
internal sealed class Bench(HttpClient client, int number, Tally tally)
{
    private static readonly (string Figure, string Typed)[] Readings = [("lugWidth", "20"), ("lugToLug", "48.2"), ("barToBar", "44.1"), ("barRise", "3.2"), ("barGap", "2.4"), ("caseHeight", "10.5"), ("lugHole", "0.9")];

    private readonly Random _random = new(number);

    public async Task Work(CancellationToken stop)
    {
        try
        {
            while (!stop.IsCancellationRequested)
                await Job(stop);
        }
        catch (OperationCanceledException)
        {
            // The time is up.
        }
    }

    private async Task Job(CancellationToken stop)
    {
        var promised = DateTime.Today.AddDays(7).ToString("yyyy-MM-dd", System.Globalization.CultureInfo.InvariantCulture);
        var job = await Send(HttpMethod.Post, "take in", "/api/jobs", new { client = $"Bench {number}", watch = $"Watch {_random.Next(40)}", request = "takeLinksOut", promised, by = "LO" }, stop);
        if (job is null)
            return;
        var at = $"/api/jobs/{job["id"]}";
        await Send(HttpMethod.Get, "rack", "/api/jobs", null, stop);
        await Send(HttpMethod.Patch, "gauge", $"{at}/gauge", new { attachment = "springBarDrilled", wear = "regular" }, stop);
        foreach (var (figure, typed) in Readings.Append(("wrist", $"{_random.Next(158, 186)}")))
            await Send(HttpMethod.Post, "reading", $"{at}/gauge/readings", new { figure, typed }, stop);
        var match = await Send(HttpMethod.Get, "match", $"{at}/match?kind=linkBracelet", null, stop);
        var bands = match?["page"]?.AsArray().Where(m => m!["verdict"]!.GetValue<string>() is "fits" or "compromise").ToList();
        if (bands is not { Count: > 0 })
            return;
        var band = bands[_random.Next(bands.Count)]!["band"]!["id"]!;
        await Send(HttpMethod.Put, "choose", $"{at}/match", new { bandId = band }, stop);
        await Send(HttpMethod.Put, "clasp", $"{at}/clasp/keep", null, stop);
        var loop = await Send(HttpMethod.Get, "loop", $"{at}/loop", null, stop);
        for (var i = 0; i < 4; i++)
        {
            await Send(HttpMethod.Post, "plan", "/api/fit/plan", PlanOf(), stop);
            await Send(HttpMethod.Get, "job", at, null, stop);
        }
        await Send(HttpMethod.Get, "log", $"/api/log?words=watch {_random.Next(40)}", null, stop);
        if (loop is null || await Send(HttpMethod.Post, "agree", $"{at}/size/agree", null, stop) is null)
            return;
        var bench = await Send(HttpMethod.Get, "bench", $"{at}/bench", null, stop);
        while (bench?["steps"]?.AsArray().FirstOrDefault(s => s!["next"]!.GetValue<bool>()) is { } step)
            bench = await Send(HttpMethod.Put, "step", $"{at}/bench/steps/{step["key"]}", new { done = true, asPlanned = true }, stop);
        var sheet = await Send(HttpMethod.Get, "sheet", $"{at}/hand-over", null, stop);
        if (sheet is null)
            return;
        var counted = sheet["bag"]!.AsArray().Select(l => new { key = l!["key"], count = l["count"] }).ToList();
        await Send(HttpMethod.Post, "hand over", $"{at}/hand-over", new { counted, by = "LO" }, stop);
    }

    private object PlanOf()
    {
        object[] Row(int links) => [.. Enumerable.Range(0, links).Select(i => new { pitchMm = i < 2 ? 9.0 : 8.3, removable = i >= 2 })];
        return new
        {
            bracelet = new { twelve = Row(9 + _random.Next(3)), six = Row(8 + _random.Next(3)) },
            spares = new[] { new { pitchMm = 8.3, count = 2 } },
            clasp = new { twelveMm = 18.2, sixMm = 19.0, microSide = "twelve", positions = 4, stepMm = 2.5, position = 1 },
            target = new { lengthMm = 150 + _random.Next(25), windowMm = 2.5, toleranceMm = 1.5 },
            centring = new { desiredMm = 0, toleranceMm = 2 },
            reserve = new { tighterMm = 2, looserMm = 2 },
        };
    }

    private async Task<JsonNode?> Send(HttpMethod method, string kind, string path, object? body, CancellationToken stop)
    {
        using var request = new HttpRequestMessage(method, path);
        if (body is not null)
            request.Content = JsonContent.Create(body);
        var watch = Stopwatch.GetTimestamp();
        using var answer = await client.SendAsync(request, stop);
        var text = await answer.Content.ReadAsStringAsync(stop);
        tally.Add(kind, Stopwatch.GetElapsedTime(watch), answer.IsSuccessStatusCode ? null : $"{method} {path}: {(int)answer.StatusCode} {text}");
        return answer.IsSuccessStatusCode && text.Length > 0 ? JsonNode.Parse(text) : null;
    }
}
