using System.Net;
using System.Net.Http.Json;

namespace IronLoop.Server.Tests;

/// <summary>What whoever watches over the program is told.</summary>
public sealed class MetricsTests : IDisposable
{
    private readonly Shop _shop = new(demo: true);

    public void Dispose() => _shop.Dispose();

    [Fact]
    public async Task Calls_changes_and_memory_are_counted_by_their_usual_names()
    {
        await _shop.Put("/api/jobs/5/take-in/referral", new { reasons = Array.Empty<string>(), referred = false, note = "" });
        await _shop.Get("/api/jobs/5");
        var counts = await _shop.Client.GetStringAsync("/api/metrics");
        counts.ShouldContain("http_server_request_duration_seconds_count");
        counts.ShouldContain("http_route=\"/api/jobs/{id:long}\"");
        counts.ShouldContain("iron_loop_changes_total");
        counts.ShouldContain("dotnet_process_memory_working_set");
    }

    [Fact]
    public async Task They_are_for_this_machine_only()
    {
        using var shop = new Shop(door: true);
        (await shop.Client.GetAsync("/api/metrics")).StatusCode.ShouldBe(HttpStatusCode.OK);
        using var passedOn = new HttpRequestMessage(HttpMethod.Get, "/api/metrics");
        passedOn.Headers.Add("X-Forwarded-For", "192.168.1.33");
        (await shop.Client.SendAsync(passedOn)).StatusCode.ShouldBe(HttpStatusCode.Unauthorized);
    }

    [Fact]
    public async Task A_refusal_says_the_number_it_has_in_the_log()
    {
        var refused = await _shop.Client.PostAsJsonAsync("/api/jobs", new { });
        refused.StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        (await refused.Content.ReadAsStringAsync()).ShouldContain("requestId");
        (await (await _shop.Client.GetAsync("/api/no-such-call")).Content.ReadAsStringAsync()).ShouldContain("requestId");
    }
}
