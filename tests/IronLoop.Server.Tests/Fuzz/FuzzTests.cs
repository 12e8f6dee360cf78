using System.Globalization;
using System.Net;
using System.Text;
using System.Text.Json.Nodes;

namespace IronLoop.Server.Tests.Fuzz;

/// <summary>
/// Every call of the contract with what no screen would send. Here a few thousand; with IRON_LOOP_FUZZ=20000 as many as are said.
/// </summary>
public sealed class FuzzTests : IDisposable
{
    private readonly Shop _shop = new(demo: true);

    public void Dispose() => _shop.Dispose();

    [Fact]
    public async Task Nothing_that_is_sent_breaks_the_server_or_what_it_keeps()
    {
        var count = int.Parse(Environment.GetEnvironmentVariable("IRON_LOOP_FUZZ") ?? "1000", CultureInfo.InvariantCulture);
        var seed = int.Parse(Environment.GetEnvironmentVariable("IRON_LOOP_FUZZ_SEED") ?? "1", CultureInfo.InvariantCulture);
        var random = new Random(seed);
        var document = JsonNode.Parse(await _shop.Client.GetStringAsync("/api/openapi/v1.json"))!;
        var bad = new BadValues(random, document);
        var calls = document["paths"]!.AsObject().SelectMany(path => path.Value!.AsObject().Where(call => call.Key is "get" or "put" or "post" or "delete" or "patch")
            .Select(call => (Path: path.Key, Method: call.Key, Call: call.Value!))).Where(c => !c.Path.EndsWith("/stream", StringComparison.Ordinal)).ToList();
        calls.Count.ShouldBeGreaterThan(80);
        var broken = new List<string>();
        var answers = new Dictionary<HttpStatusCode, int>();
        for (var i = 0; i < count; i++)
        {
            var (path, method, call) = calls[i % calls.Count];
            using var request = new HttpRequestMessage(new HttpMethod(method.ToUpperInvariant()), Filled(random, bad, path, call));
            var body = call["requestBody"]?["content"] is JsonObject content ? content["application/json"]?["schema"] : null;
            var sent = "";
            if (body is not null)
            {
                sent = random.Next(25) == 0 ? bad.Text() : bad.Body(body)?.ToJsonString() ?? "null";
                request.Content = new StringContent(sent, Encoding.UTF8, "application/json");
            }
            using var patience = new CancellationTokenSource(TimeSpan.FromSeconds(30));
            using var answer = await _shop.Client.SendAsync(request, patience.Token);
            answers[answer.StatusCode] = answers.GetValueOrDefault(answer.StatusCode) + 1;
            // A label printer, supplier or caliper that is not there is said with 503; that is an answer, not a fault.
            if ((int)answer.StatusCode >= 500 && answer.StatusCode != HttpStatusCode.ServiceUnavailable)
                broken.Add($"{method} {request.RequestUri} {sent[..Math.Min(sent.Length, 400)]}: {(int)answer.StatusCode}");
            else if (!answer.IsSuccessStatusCode)
                answer.Content.Headers.ContentType?.MediaType.ShouldBe("application/problem+json", $"{method} {request.RequestUri}");
        }
        broken.ShouldBeEmpty();
        answers.Keys.Count.ShouldBeGreaterThan(3, "some calls were taken, some refused");

        // What is kept is whole: the database, every job, every tray's account.
        new Storage.Backups(_shop.File).Make(_shop.Clock.GetUtcNow().AddDays(1));
        foreach (var job in (await _shop.Get("/api/jobs")).AsArray())
            foreach (var sheet in new[] { "loop", "bench", "hand-over", "gauge", "take-in", "match", "clasp" })
                await _shop.Get($"/api/jobs/{job!["id"]!.GetValue<long>()}/{sheet}");
    }

    private static string Filled(Random random, BadValues bad, string path, JsonNode call)
    {
        var query = new StringBuilder();
        foreach (var parameter in call["parameters"]?.AsArray() ?? [])
        {
            var (name, place) = (parameter!["name"]!.GetValue<string>(), parameter["in"]!.GetValue<string>());
            var isNumber = parameter["schema"]?["type"] is { } type && type.ToJsonString().Contains("integer", StringComparison.Ordinal);
            var value = isNumber && random.Next(5) != 0 ? random.Next(1, 22).ToString(CultureInfo.InvariantCulture) : bad.Text();
            // The test's own host takes no address with a null character; the real one answers 400 before any call is reached.
            if (place == "path")
                path = path.Replace($"{{{name}}}", Uri.EscapeDataString(value.Length == 0 ? "x" : value[..Math.Min(value.Length, 200)].Replace('\0', 'x')), StringComparison.Ordinal);
            else if (random.Next(2) == 0)
                query.Append(query.Length == 0 ? '?' : '&').Append(name).Append('=').Append(Uri.EscapeDataString(value[..Math.Min(value.Length, 500)]));
        }
        return path + query;
    }
}
