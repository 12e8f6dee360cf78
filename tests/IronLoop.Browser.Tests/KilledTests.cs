using System.Globalization;
using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Microsoft.Data.Sqlite;

namespace IronLoop.Browser.Tests;

/// <summary>
/// The server killed (kill -9) at random moments while several hands write: what it acknowledged is there, the file is whole, the
/// trays balance. Here a few rounds; with IRON_LOOP_KILLS=200 as many as are said.
/// </summary>
public sealed class KilledTests
{
    private const int Hands = 4;

    [Fact]
    public async Task Every_acknowledged_change_is_there_after_the_server_is_killed()
    {
        var rounds = int.Parse(Environment.GetEnvironmentVariable("IRON_LOOP_KILLS") ?? "3", CultureInfo.InvariantCulture);
        var random = new Random(11);
        using var shop = new RunningShop(demo: true);
        var taken = new List<(long Job, string Words)>();
        var benchSteps = 0;
        Dictionary<string, int> account;
        using (var first = await Signed(shop))
            account = await Account(first);
        for (var round = 0; round < rounds; round++)
        {
            using var ended = new CancellationTokenSource();
            var begun = new TaskCompletionSource();
            var hands = Enumerable.Range(0, Hands).Select(hand => hand == 0 ? WorkAtTheBench(shop, ended.Token) : TakeIn(shop, $"round {round} hand {hand}", taken, begun, ended.Token)).ToList();
            // The moment is what is tested: any once the load has begun.
            await begun.Task;
            await Task.Delay(random.Next(0, 400), CancellationToken.None);
            shop.Kill();
            await ended.CancelAsync();
            benchSteps += (await Task.WhenAll(hands))[0];
            shop.Restart();

            using var client = await Signed(shop);
            foreach (var (job, words) in taken.TakeLast(40))
                (await client.GetFromJsonAsync<JsonNode>($"/api/jobs/{job}"))!["words"]!.GetValue<string>().ShouldBe(words, $"round {round}");
            (await Account(client)).ShouldBe(account, ignoreOrder: true, $"round {round}: a part is lost or doubled");
        }
        taken.Count.ShouldBeGreaterThan(rounds, "there was a load to kill");
        shop.Kill();
        using var file = new SqliteConnection($"Data Source={shop.Database};Mode=ReadOnly;Pooling=False");
        file.Open();
        using var check = file.CreateCommand();
        check.CommandText = "PRAGMA integrity_check";
        check.ExecuteScalar().ShouldBe("ok");
        // Half a job is none: each has its wrist, its client and its first line in the log.
        check.CommandText = "SELECT COUNT(*) FROM job WHERE id NOT IN (SELECT job_id FROM wrist) OR id NOT IN (SELECT job_id FROM log_entry) OR client_id NOT IN (SELECT id FROM client)";
        check.ExecuteScalar().ShouldBe(0L);
        TestContext.Current.TestOutputHelper!.WriteLine($"{rounds} kills, {taken.Count} jobs and {benchSteps} bench steps acknowledged, all there.");
    }

    private static async Task<HttpClient> Signed(RunningShop shop)
    {
        var client = new HttpClient { BaseAddress = new Uri(shop.Address) };
        var door = (await client.GetFromJsonAsync<JsonNode>("/api/door"))!;
        client.DefaultRequestHeaders.Add("X-Iron-Loop-Token", door["token"]!.GetValue<string>());
        client.DefaultRequestHeaders.TryAddWithoutValidation("If-Match", "*");
        return client;
    }

    private static async Task<int> TakeIn(RunningShop shop, string by, List<(long, string)> taken, TaskCompletionSource begun, CancellationToken stop)
    {
        try
        {
            using var client = await Signed(shop);
            for (var i = 0; !stop.IsCancellationRequested; i++)
            {
                var words = $"{by}, {i}";
                var answer = await client.PostAsJsonAsync("/api/jobs", new { client = "Kettle Brack", watch = "Ostwick", request = "refit", promised = Promised, by = "TB", words }, stop);
                if (answer.StatusCode != HttpStatusCode.Created)
                    continue;
                var job = (await answer.Content.ReadFromJsonAsync<JsonNode>(stop))!["id"]!.GetValue<long>();
                lock (taken)
                    taken.Add((job, words));
                begun.TrySetResult();
            }
        }
        catch (Exception gone) when (IsTheKill(gone))
        {
            // The server was killed: what was not acknowledged does not count.
        }
        return 0;
    }

    /// <summary>Whether an answer was cut off by the kill: before, while or after it was asked for; a bare socket says so too when it is cut while it connects.</summary>
    private static bool IsTheKill(Exception gone) =>
        gone is HttpRequestException or OperationCanceledException or IOException or System.Net.Sockets.SocketException;

    /// <summary>Steps of job 4 done and taken back, which moves parts between watch and tray.</summary>
    private static async Task<int> WorkAtTheBench(RunningShop shop, CancellationToken stop)
    {
        var done = 0;
        try
        {
            using var client = await Signed(shop);
            while (!stop.IsCancellationRequested)
            {
                var bench = (await client.GetFromJsonAsync<JsonNode>("/api/jobs/4/bench", stop))!;
                var steps = bench["steps"]!.AsArray();
                var next = steps.FirstOrDefault(s => !s!["done"]!.GetValue<bool>());
                var step = done % 3 == 2 || next is null ? steps.Last(s => s!["done"]!.GetValue<bool>())! : next;
                var answer = await client.PutAsJsonAsync($"/api/jobs/4/bench/steps/{step["key"]}", new { done = step == next, skipped = "", asPlanned = true }, stop);
                done++;
                if (!answer.IsSuccessStatusCode)
                    break;
            }
        }
        catch (Exception gone) when (IsTheKill(gone))
        {
            // As above.
        }
        return done;
    }

    /// <summary>How many there are of each part of job 4, wherever they are.</summary>
    private static async Task<Dictionary<string, int>> Account(HttpClient client) =>
        (await client.GetFromJsonAsync<JsonNode>("/api/jobs/4/bench"))!["tray"]!.AsArray().ToDictionary(
            line => line!["part"]!.GetValue<string>(),
            line => ((string[])["watch", "tray", "bag", "scrapped", "lost"]).Sum(place => line![place]!.GetValue<int>()) - line!["fromStock"]!.GetValue<int>());

    private static string Promised => DateOnly.FromDateTime(DateTime.Today.AddDays(7)).ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);
}
