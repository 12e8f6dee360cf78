using System.Diagnostics;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace IronLoop.Load;

/// <summary>What a bench does with a job, in order; the mix is in <c>mix.json</c>.</summary>
/// <param name="Do">One of the pieces of work that a bench knows.</param>
/// <param name="Times">How often, one after the other.</param>
internal sealed record Act(string Do, int Times = 1);

/// <summary>
/// One bench: takes jobs in and works them to the end, gauging, planning, trying by hand and ticking steps, and in between looks at the
/// rack and asks the log, as a screen does.
/// </summary>
internal sealed class Bench(HttpClient client, int number, IReadOnlyList<Act> mix, TimeSpan pause, Tally tally)
{
    private static readonly (string Figure, string Typed)[] Readings = [("lugWidth", "20"), ("lugToLug", "48.2"), ("barToBar", "44.1"), ("barRise", "3.2"), ("barGap", "2.4"), ("caseHeight", "10.5"), ("lugHole", "0.9")];

    private readonly Random _random = new(number);
    private string _at = "";
    private JsonNode? _match;

    public async Task Work(CancellationToken stop)
    {
        try
        {
            // Twenty people do not move all at once.
            await Task.Delay(pause * Random.Shared.NextDouble(), stop);
            while (!stop.IsCancellationRequested)
                foreach (var act in mix.SelectMany(a => Enumerable.Repeat(a.Do, a.Times)))
                    if (!await Does(act, stop))
                        break;
        }
        catch (OperationCanceledException)
        {
            // The time is up.
        }
    }

    /// <summary>A handler that does nothing, for what the calls cost by themselves.</summary>
    public async Task WorkEmpty(CancellationToken stop)
    {
        try
        {
            while (!stop.IsCancellationRequested)
                await Send(HttpMethod.Get, "empty", "/api/health", null, stop);
        }
        catch (OperationCanceledException)
        {
            // The time is up.
        }
    }

    /// <returns>Whether the job goes on.</returns>
    private async Task<bool> Does(string act, CancellationToken stop) => act switch
    {
        "take in" => await TakeIn(stop),
        "rack" => await Looks("rack", "/api/jobs", stop),
        "gauge" => await Send(HttpMethod.Patch, "gauge", $"{_at}/gauge", new { attachment = "springBarDrilled", wear = "regular" }, stop) is not null,
        "readings" => await Gauges(stop),
        "match" => (_match = await Send(HttpMethod.Get, "match", $"{_at}/match?kind=linkBracelet", null, stop)) is not null,
        "choose" => await Chooses(stop),
        "clasp" => await Send(HttpMethod.Put, "clasp", $"{_at}/clasp/keep", null, stop) is not null,
        "loop" => await Looks("loop", $"{_at}/loop", stop),
        "plan" => await Send(HttpMethod.Post, "plan", "/api/fit/plan", PlanOf(), stop) is not null,
        "job" => await Looks("job", _at, stop),
        "log" => await Looks("log", $"/api/log?words=watch {_random.Next(40)}", stop),
        "agree" => await Send(HttpMethod.Post, "agree", $"{_at}/size/agree", null, stop) is not null,
        "bench" => await Looks("bench", $"{_at}/bench", stop),
        "steps" => await Steps(stop),
        "hand over" => await HandsOver(stop),
        _ => throw new InvalidOperationException($"mix.json asks for {act}, which no bench knows."),
    };

    private async Task<bool> Looks(string kind, string path, CancellationToken stop) => await Send(HttpMethod.Get, kind, path, null, stop) is not null;

    private async Task<bool> TakeIn(CancellationToken stop)
    {
        var promised = DateTime.Today.AddDays(7).ToString("yyyy-MM-dd", System.Globalization.CultureInfo.InvariantCulture);
        var job = await Send(HttpMethod.Post, "take in", "/api/jobs", new { client = $"Bench {number}", watch = $"Watch {_random.Next(40)}", request = "takeLinksOut", promised, by = "LO" }, stop);
        _at = $"/api/jobs/{job?["id"]}";
        return job is not null;
    }

    private async Task<bool> Gauges(CancellationToken stop)
    {
        foreach (var (figure, typed) in Readings.Append(("wrist", $"{_random.Next(158, 186)}")))
            await Send(HttpMethod.Post, "reading", $"{_at}/gauge/readings", new { figure, typed }, stop);
        return true;
    }

    private async Task<bool> Chooses(CancellationToken stop)
    {
        var bands = _match?["page"]?.AsArray().Where(m => m!["verdict"]!.GetValue<string>() is "fits" or "compromise").ToList();
        return bands is { Count: > 0 } && await Send(HttpMethod.Put, "choose", $"{_at}/match", new { bandId = bands[_random.Next(bands.Count)]!["band"]!["id"] }, stop) is not null;
    }

    private async Task<bool> Steps(CancellationToken stop)
    {
        var bench = await Send(HttpMethod.Get, "bench", $"{_at}/bench", null, stop);
        while (bench?["steps"]?.AsArray().FirstOrDefault(s => s!["next"]!.GetValue<bool>()) is { } step)
            bench = await Send(HttpMethod.Put, "step", $"{_at}/bench/steps/{step["key"]}", new { done = true, asPlanned = true }, stop);
        return true;
    }

    private async Task<bool> HandsOver(CancellationToken stop)
    {
        var sheet = await Send(HttpMethod.Get, "sheet", $"{_at}/hand-over", null, stop);
        var counted = sheet?["bag"]!.AsArray().Select(l => new { key = l!["key"], count = l["count"] }).ToList();
        return counted is not null && await Send(HttpMethod.Post, "hand over", $"{_at}/hand-over", new { counted, by = "LO" }, stop) is not null;
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
        if (pause > TimeSpan.Zero)
            await Task.Delay(pause, stop);
        using var request = new HttpRequestMessage(method, path);
        if (body is not null)
            request.Content = JsonContent.Create(body);
        var watch = Stopwatch.GetTimestamp();
        using var answer = await client.SendAsync(request, stop);
        var text = await answer.Content.ReadAsStringAsync(stop);
        tally.Add(kind, method != HttpMethod.Get && kind != "plan", Stopwatch.GetElapsedTime(watch), answer.IsSuccessStatusCode ? null : $"{method} {path}: {(int)answer.StatusCode} {text}");
        return answer.IsSuccessStatusCode && text.Length > 0 ? JsonNode.Parse(text) : null;
    }
}
