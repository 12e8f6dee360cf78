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
        counts.ShouldContain("http_request_duration_seconds_count");
        counts.ShouldContain("endpoint=\"/api/jobs/{id:long}\"");
        counts.ShouldContain("iron_loop_changes_total 1");
        counts.ShouldContain("process_working_set_bytes");
    }

    [Fact]
    public async Task Beyond_the_demo_they_are_for_who_is_signed_in_and_for_a_program_with_a_key()
    {
        using var shop = new Shop(door: true);
        (await shop.Client.GetAsync("/api/metrics")).StatusCode.ShouldBe(HttpStatusCode.Unauthorized, "at this machine too");
        (await shop.Client.PostAsJsonAsync("/api/door/first", new { initials = "MK", passphrase = "seven quiet lamps" })).StatusCode.ShouldBe(HttpStatusCode.OK);
        await Shop.Sign(shop.Client);
        (await shop.Client.GetAsync("/api/metrics")).StatusCode.ShouldBe(HttpStatusCode.OK);
        var made = await shop.Post("/api/hands/keys", new { name = "who watches" });
        var program = new HttpClient(shop.Handler) { BaseAddress = new Uri("http://localhost") };
        program.DefaultRequestHeaders.Authorization = new("Bearer", made["key"]!.GetValue<string>());
        (await program.GetAsync("/api/metrics")).StatusCode.ShouldBe(HttpStatusCode.OK);
        program.DefaultRequestHeaders.Authorization = new("Bearer", "no key");
        (await program.GetAsync("/api/metrics")).StatusCode.ShouldBe(HttpStatusCode.Unauthorized);
    }

    [Fact]
    public async Task In_the_demo_they_are_for_this_machine_only()
    {
        using var passedOn = new HttpRequestMessage(HttpMethod.Get, "/api/metrics");
        passedOn.Headers.Add("X-Forwarded-For", "192.168.1.33");
        (await _shop.Client.SendAsync(passedOn)).StatusCode.ShouldBe(HttpStatusCode.Unauthorized);
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
