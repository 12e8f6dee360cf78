using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace IronLoop.Server.Tests;

/// <summary>Nothing that somebody else changed meanwhile is overwritten unseen: jobs, and every list that several people change.</summary>
public sealed class VersionsTests : IDisposable
{
    private readonly Shop _shop = new(demo: true);

    public void Dispose() => _shop.Dispose();

    private async Task<HttpResponseMessage> Change(HttpMethod method, string path, object? body, string? seen)
    {
        using var request = new HttpRequestMessage(method, path) { Content = body is null ? null : JsonContent.Create(body) };
        if (seen is null)
            _shop.Client.DefaultRequestHeaders.Remove("If-Match");
        else
            request.Headers.TryAddWithoutValidation("If-Match", seen);
        return await _shop.Client.SendAsync(request);
    }

    private async Task<(JsonNode List, string Version)> Seen(string path)
    {
        var response = await _shop.Client.GetAsync(path);
        return (JsonNode.Parse(await response.Content.ReadAsStringAsync())!, response.Headers.ETag!.Tag);
    }

    private static async Task<JsonNode> Problem(HttpResponseMessage response, HttpStatusCode expected)
    {
        var text = await response.Content.ReadAsStringAsync();
        response.StatusCode.ShouldBe(expected, text);
        return JsonNode.Parse(text)!;
    }

    [Fact]
    public async Task A_limit_set_by_two_leads_at_once_is_set_by_one_and_the_other_is_told()
    {
        var (_, seen) = await Seen("/api/limits");
        var first = await Change(HttpMethod.Put, "/api/limits", new { limit = "metalFits", value = 0.2 }, seen);
        first.StatusCode.ShouldBe(HttpStatusCode.OK, await first.Content.ReadAsStringAsync());
        var told = await Problem(await Change(HttpMethod.Put, "/api/limits", new { limit = "metalFits", value = 0.3 }, seen), HttpStatusCode.PreconditionFailed);
        told["title"]!.GetValue<string>().ShouldStartWith("The limits were changed on another screen meanwhile");
        var (limits, now) = await Seen("/api/limits");
        limits.AsArray().Single(l => l!["limit"]!.GetValue<string>() == "metalFits")!["value"]!.GetValue<decimal>().ShouldBe(0.2m);
        now.ShouldBe(first.Headers.ETag!.Tag);
        (await Change(HttpMethod.Put, "/api/limits", new { limit = "metalFits", value = 0.3 }, now)).StatusCode.ShouldBe(HttpStatusCode.OK);
    }

    [Fact]
    public async Task A_part_that_was_counted_at_two_shelves_is_not_counted_over()
    {
        var (parts, seen) = await Seen("/api/parts");
        var part = parts.AsArray().Single(p => p!["article"]!.GetValue<string>() == "PN-10-18")!["id"]!.GetValue<long>();
        object Counted(int count) => new { by = "mk", reason = "counted", counted = new[] { new { partId = part, counted = count } } };
        (await Change(HttpMethod.Post, "/api/parts/stock-take", Counted(20), seen)).StatusCode.ShouldBe(HttpStatusCode.OK);
        await Problem(await Change(HttpMethod.Post, "/api/parts/stock-take", Counted(24), seen), HttpStatusCode.PreconditionFailed);
    }

    [Theory]
    [InlineData("PUT", "/api/limits", """{"limit":"metalFits","value":0.2}""")]
    [InlineData("PUT", "/api/parts", """{}""")]
    [InlineData("POST", "/api/parts/stock-take", """{}""")]
    [InlineData("POST", "/api/orders/1/received", """{}""")]
    [InlineData("PUT", "/api/orders/suppliers", """{"address":""}""")]
    [InlineData("PUT", "/api/hands/MK", """{}""")]
    [InlineData("PUT", "/api/tools/1", """{}""")]
    [InlineData("PUT", "/api/spring-bars", """{}""")]
    [InlineData("POST", "/api/catalogue/x/import", """{"skipBad":true}""")]
    [InlineData("PATCH", "/api/jobs/5/gauge", """{"wrist":"171"}""")]
    [InlineData("POST", "/api/jobs/5/size/agree", null)]
    [InlineData("POST", "/api/jobs/3/hand-over", """{}""")]
    public async Task What_overwrites_says_on_what_it_was_made(string method, string path, string? body)
    {
        var json = body is null ? null : JsonNode.Parse(body);
        var missing = await Problem(await Change(new HttpMethod(method), path, json, seen: null), HttpStatusCode.PreconditionRequired);
        missing["errors"]!["If-Match"].ShouldNotBeNull();
        foreach (var garbled in (string[])["7", "\"seven\"", "\"-1\"", "W/\"3\"", "\"1\", \"2\"", "\"99999999999999999999\""])
            (await Problem(await Change(new HttpMethod(method), path, json, garbled), HttpStatusCode.BadRequest))["errors"]!["If-Match"]!.ToJsonString().ShouldContain("allowed is a version in quotes");
    }

    [Fact]
    public async Task What_only_adds_needs_no_version()
    {
        (await Change(HttpMethod.Post, "/api/jobs/5/gauge/readings", new { figure = "barGap", typed = "2.1" }, seen: null)).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await Change(HttpMethod.Post, "/api/jobs/4/bench/notes", new { note = "A scratch beside the crown.", settled = true }, seen: null)).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await Change(HttpMethod.Post, "/api/orders/fill-up", null, seen: null)).StatusCode.ShouldBe(HttpStatusCode.OK);
    }
}
