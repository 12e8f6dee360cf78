using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace IronLoop.Server.Tests;

/// <summary>A press that arrives twice is one press: a delivery, a job, a return visit, a line to be ordered.</summary>
public sealed class OnceOnlyTests : IAsyncLifetime
{
    private StandInSuppliers _suppliers = null!;
    private Shop _shop = null!;

    public async ValueTask InitializeAsync()
    {
        _suppliers = await StandInSuppliers.Open();
        _shop = new Shop(demo: true, suppliers: _suppliers.Address);
    }

    public async ValueTask DisposeAsync()
    {
        _shop.Dispose();
        await _suppliers.DisposeAsync();
    }

    private static readonly object Heard = new { client = "Wil Tansy", watch = "Ostwick ferry clock", request = "changeStrap", promised = "2026-11-27", by = "MK", words = "" };

    private async Task<HttpResponseMessage> Press(string key, string path, object? body, HttpClient? at = null)
    {
        using var request = new HttpRequestMessage(HttpMethod.Post, path) { Content = body is null ? null : JsonContent.Create(body) };
        request.Headers.TryAddWithoutValidation("Idempotency-Key", key);
        return await (at ?? _shop.Client).SendAsync(request);
    }

    /// <summary>The same press three times, one after the other or all at once; all are told the same.</summary>
    private async Task<JsonNode> Thrice(string path, object? body, bool atOnce = false)
    {
        var key = Guid.NewGuid().ToString();
        var answers = new List<HttpResponseMessage>();
        if (atOnce)
            answers.AddRange(await Task.WhenAll(Enumerable.Range(0, 3).Select(_ => Press(key, path, body))));
        else
            for (var i = 0; i < 3; i++)
                answers.Add(await Press(key, path, body));
        var said = new List<string>();
        foreach (var answer in answers)
        {
            said.Add(await answer.Content.ReadAsStringAsync());
            answer.IsSuccessStatusCode.ShouldBeTrue(said[^1]);
        }
        said.Distinct().Count().ShouldBe(1);
        answers.Select(a => (a.StatusCode, a.Headers.Location?.ToString(), a.Headers.ETag?.Tag)).Distinct().Count().ShouldBe(1);
        answers.Count(a => a.Headers.Contains("Idempotency-Replayed")).ShouldBe(2);
        return JsonNode.Parse(said[0])!;
    }

    private async Task<int> Jobs(string client) => (await _shop.Get("/api/jobs")).AsArray().Count(j => j!["client"]!.GetValue<string>() == client);

    [Theory]
    [InlineData(false)]
    [InlineData(true)]
    public async Task Enter_held_in_take_in_hangs_one_job_on_the_rack(bool atOnce)
    {
        var job = await Thrice("/api/jobs", Heard, atOnce);
        (await Jobs("Wil Tansy")).ShouldBe(1);
        job["client"]!.GetValue<string>().ShouldBe("Wil Tansy");
    }

    [Fact]
    public async Task A_delivery_booked_three_times_is_in_stock_once()
    {
        foreach (var line in (await _shop.Get("/api/orders"))["toOrder"]!.AsArray().SelectMany(s => s!["lines"]!.AsArray()))
            await _shop.Send(HttpMethod.Delete, $"/api/orders/lines/{line!["id"]}", null);
        var part = (await _shop.Get("/api/parts")).AsArray().Single(p => p!["article"]!.GetValue<string>() == "PN-10-18")!;
        var (id, before) = (part["id"]!.GetValue<long>(), part["onHand"]!.GetValue<int>());
        var book = await Thrice("/api/orders/lines", new { partId = id, count = 10 });
        book["toOrder"]!.AsArray().SelectMany(s => s!["lines"]!.AsArray()).Sum(l => l!["count"]!.GetValue<int>()).ShouldBe(10, "the line stands once");

        var supplier = book["toOrder"]![0]!["supplier"]!.GetValue<string>();
        book = await Thrice("/api/orders", new { supplier, by = "mk" });
        var order = book["orders"]!.AsArray().Single()!;
        await Thrice($"/api/orders/{order["id"]}/received", new { by = "mk", lines = new[] { new { lineId = order["lines"]![0]!["id"]!.GetValue<long>(), count = 3 } } });
        (await _shop.Get("/api/parts")).AsArray().Single(p => p!["id"]!.GetValue<long>() == id)!["onHand"]!.GetValue<int>().ShouldBe(before + 3);
    }

    [Fact]
    public async Task A_return_visit_pressed_three_times_is_one_visit()
    {
        var closed = (await _shop.Get("/api/log?words=Tiba%20Morrow"))["visits"]![0]!["jobId"]!.GetValue<long>();
        await Thrice($"/api/jobs/{closed}/again", new { by = "mk", words = "The end piece rattles." });
        (await Jobs("Tiba Morrow")).ShouldBe(1);
    }

    [Fact]
    public async Task What_was_told_is_told_again_after_the_program_was_started_anew_and_forgotten_after_a_day()
    {
        var folder = Directory.CreateTempSubdirectory("iron-loop-once-").FullName;
        try
        {
            string first;
            using (var shop = new Shop(folder: folder))
                first = await (await Press("a-press", "/api/jobs", Heard, shop.Client)).Content.ReadAsStringAsync();
            using (var shop = new Shop(folder: folder))
            {
                (await (await Press("a-press", "/api/jobs", Heard, shop.Client)).Content.ReadAsStringAsync()).ShouldBe(first);
                (await shop.Get("/api/jobs")).AsArray().Count.ShouldBe(1);
                shop.Clock.Advance(TimeSpan.FromHours(25));
                (await Press("a-press", "/api/jobs", Heard, shop.Client)).StatusCode.ShouldBe(HttpStatusCode.Created);
                (await shop.Get("/api/jobs")).AsArray().Count.ShouldBe(2, "a name is kept a day");
            }
        }
        finally
        {
            Directory.Delete(folder, recursive: true);
        }
    }

    [Fact]
    public async Task A_refusal_is_not_told_again_once_it_would_be_taken()
    {
        object Line(long job) => new { partId = 1, count = 1, jobId = job };
        var next = (await _shop.Post("/api/jobs", Heard, HttpStatusCode.Created))["id"]!.GetValue<long>() + 1;
        (await Press("early", "/api/orders/lines", Line(next))).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        await _shop.Post("/api/jobs", Heard, HttpStatusCode.Created);
        (await Press("early", "/api/orders/lines", Line(next))).StatusCode.ShouldBe(HttpStatusCode.OK);
    }

    [Fact]
    public async Task One_name_for_two_calls_is_refused_and_a_name_that_is_none_too()
    {
        (await Press("named", "/api/jobs", Heard)).StatusCode.ShouldBe(HttpStatusCode.Created);
        var other = await Press("named", "/api/jobs", new { client = "Another", watch = "Ostwick ferry clock", request = "changeStrap", promised = "2026-11-27", by = "MK", words = "" });
        other.StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
        (await Jobs("Another")).ShouldBe(0);
        foreach (var garbled in (string[])["two words", new string('x', 201)])
            (await Press(garbled, "/api/jobs", Heard)).StatusCode.ShouldBe(HttpStatusCode.BadRequest, garbled);
        (await Jobs("Wil Tansy")).ShouldBe(1);
    }

    [Fact]
    public async Task A_program_that_names_nothing_is_taken_at_its_word_each_time()
    {
        await _shop.Post("/api/jobs", Heard, HttpStatusCode.Created);
        await _shop.Post("/api/jobs", Heard, HttpStatusCode.Created);
        (await Jobs("Wil Tansy")).ShouldBe(2);
    }
}
