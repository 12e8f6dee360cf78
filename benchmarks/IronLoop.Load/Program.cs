using System.Diagnostics;
using System.Globalization;
using System.Net.Http.Json;
using System.Text.Json;
using System.Text.Json.Nodes;
using IronLoop.Load;

// Usage: IronLoop.Load ADDRESS PID [BENCHES] [SECONDS] [PAUSE-IN-SECONDS | empty]
// Works as so many benches at once against a running server, and prints calls a second, times, refusals and the server's memory. With a pause
// each bench waits as long before each call, as hands do; with "empty" it asks a handler that does nothing.
if (args is not [var address, var pid, .. var rest])
{
    Console.Error.WriteLine("IronLoop.Load ADDRESS PID [BENCHES] [SECONDS] [PAUSE-IN-SECONDS | empty]");
    return 2;
}
var benches = rest.Length > 0 ? int.Parse(rest[0], CultureInfo.InvariantCulture) : 20;
var seconds = rest.Length > 1 ? int.Parse(rest[1], CultureInfo.InvariantCulture) : 180;
var isEmpty = rest.Length > 2 && rest[2] == "empty";
var pause = rest.Length > 2 && !isEmpty ? TimeSpan.FromSeconds(double.Parse(rest[2], CultureInfo.InvariantCulture)) : TimeSpan.Zero;
var mix = JsonSerializer.Deserialize<List<Act>>(await File.ReadAllTextAsync(Path.Combine(AppContext.BaseDirectory, "mix.json")), JsonSerializerOptions.Web)!;

using var client = new HttpClient(new SocketsHttpHandler { MaxConnectionsPerServer = benches * 2, UseCookies = true }) { BaseAddress = new Uri(address), Timeout = TimeSpan.FromSeconds(60) };
var door = (await client.GetFromJsonAsync<JsonNode>("/api/door"))!;
client.DefaultRequestHeaders.Add("X-Iron-Loop-Token", door["token"]!.GetValue<string>());
client.DefaultRequestHeaders.TryAddWithoutValidation("If-Match", "*");
var tally = new Tally();
using var up = new CancellationTokenSource(TimeSpan.FromSeconds(seconds));
var watch = Stopwatch.StartNew();
var memory = Memory(pid, up.Token);
await Task.WhenAll(Enumerable.Range(1, benches).Select(n => new Bench(client, n, mix, pause, tally)).Select(b => isEmpty ? b.WorkEmpty(up.Token) : b.Work(up.Token)));
await memory;
tally.Print(watch.Elapsed);
if (!isEmpty)
{
    await Held();
    // The limit: what the same benches get out of a handler that does nothing.
    var limit = new Tally();
    using var soon = new CancellationTokenSource(TimeSpan.FromSeconds(5));
    var shortly = Stopwatch.StartNew();
    await Task.WhenAll(Enumerable.Range(1, benches).Select(n => new Bench(client, n, mix, TimeSpan.Zero, limit).WorkEmpty(soon.Token)));
    limit.Print(shortly.Elapsed);
}
return 0;

// How long the file was held for writing: the first bound that half of all stays within.
async Task Held()
{
    var told = (await client.GetStringAsync("/api/metrics")).Split('\n');
    double Of(string name) => told.Where(l => l.StartsWith(name, StringComparison.Ordinal)).Select(l => double.Parse(l.Split(' ')[1], CultureInfo.InvariantCulture)).FirstOrDefault();
    var count = Of("iron_loop_write_held_seconds_count");
    var bound = told.Where(l => l.StartsWith("iron_loop_write_held_seconds_bucket", StringComparison.Ordinal))
        .First(l => double.Parse(l.Split(' ')[1], CultureInfo.InvariantCulture) >= count / 2).Split('"')[1];
    Console.WriteLine($"written {count:0} times; held on average {1000 * Of("iron_loop_write_held_seconds_sum") / count:0.00} ms, half of them no longer than {bound} s");
}

// The server's resident memory, ten times over the run.
async Task Memory(string process, CancellationToken stop)
{
    try
    {
        while (!stop.IsCancellationRequested)
        {
            var resident = (await File.ReadAllLinesAsync($"/proc/{process}/status", stop)).First(l => l.StartsWith("VmRSS", StringComparison.Ordinal));
            Console.WriteLine($"{watch.Elapsed.TotalSeconds,5:0} s  {resident}");
            await Task.Delay(TimeSpan.FromSeconds(seconds / 10.0), stop);
        }
    }
    catch (OperationCanceledException)
    {
        // The time is up.
    }
}
