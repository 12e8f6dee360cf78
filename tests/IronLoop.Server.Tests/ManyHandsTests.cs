using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using IronLoop.Core.Jobs;
using IronLoop.Storage;

namespace IronLoop.Server.Tests;

/// <summary>Two people, one job.</summary>
public sealed class ManyHandsTests : IDisposable
{
    private readonly Shop _shop = new(demo: true);

    public void Dispose() => _shop.Dispose();

    private async Task<(JsonNode Job, string Version)> Seen(long id)
    {
        var response = await _shop.Client.GetAsync($"/api/jobs/{id}");
        var job = JsonNode.Parse(await response.Content.ReadAsStringAsync())!;
        response.Headers.ETag!.Tag.ShouldBe($"\"{job["version"]}\"");
        return (job, response.Headers.ETag.Tag);
    }

    private async Task<HttpResponseMessage> Change(HttpMethod method, string path, object? body, string? seen)
    {
        using var request = new HttpRequestMessage(method, path);
        if (body is not null)
            request.Content = JsonContent.Create(body);
        if (seen is not null)
            request.Headers.TryAddWithoutValidation("If-Match", seen);
        return await _shop.Client.SendAsync(request);
    }

    private static object TakenIn(JsonNode job, string words) => new
    {
        client = job["client"]!.GetValue<string>(),
        contact = job["contact"]!.GetValue<string>(),
        watch = job["watch"]!.GetValue<string>(),
        request = job["request"]!.GetValue<string>(),
        promised = job["promised"]!.GetValue<string>(),
        by = "TB",
        words,
    };

    [Fact]
    public async Task A_change_on_an_older_sight_is_refused_names_the_newer_and_stores_nothing()
    {
        var (job, seen) = await Seen(5);
        var first = await Change(HttpMethod.Put, "/api/jobs/5/take-in", TakenIn(job, "first hand"), seen);
        first.StatusCode.ShouldBe(HttpStatusCode.OK);
        var now = first.Headers.ETag!.Tag;
        now.ShouldNotBe(seen);

        var second = await Change(HttpMethod.Put, "/api/jobs/5/take-in", TakenIn(job, "second hand"), seen);
        second.StatusCode.ShouldBe(HttpStatusCode.PreconditionFailed);
        var problem = JsonNode.Parse(await second.Content.ReadAsStringAsync())!;
        $"\"{problem["version"]}\"".ShouldBe(now);
        problem["title"]!.GetValue<string>().ShouldContain("on another screen");
        (await Seen(5)).Job["words"]!.GetValue<string>().ShouldBe("first hand");

        // Seen anew, the same change is taken.
        (await Change(HttpMethod.Put, "/api/jobs/5/take-in", TakenIn(job, "second hand"), now)).StatusCode.ShouldBe(HttpStatusCode.OK);
    }

    [Theory]
    [InlineData("PATCH", "/api/jobs/5/gauge", """{"wrist":"171"}""")]
    [InlineData("DELETE", "/api/jobs/5/size", null)]
    [InlineData("POST", "/api/jobs/5/size/agree", null)]
    [InlineData("PUT", "/api/jobs/5/take-in/referral", """{"reasons":[],"referred":true,"note":"Case worn."}""")]
    [InlineData("PUT", "/api/jobs/4/bench/steps/protect", """{"done":false,"skipped":""}""")]
    public async Task Every_kind_of_change_to_a_job_is_refused_on_an_older_sight(string method, string path, string? body)
    {
        var id = path.Split('/')[3];
        var (job, seen) = await Seen(long.Parse(id, System.Globalization.CultureInfo.InvariantCulture));
        (await Change(HttpMethod.Put, $"/api/jobs/{id}/take-in", TakenIn(job, "meanwhile"), null)).StatusCode.ShouldBe(HttpStatusCode.OK);
        var late = await Change(new HttpMethod(method), path, body is null ? null : JsonNode.Parse(body), seen);
        late.StatusCode.ShouldBe(HttpStatusCode.PreconditionFailed, await late.Content.ReadAsStringAsync());
    }

    [Fact]
    public async Task A_change_to_one_job_does_not_make_another_stale()
    {
        var (_, five) = await Seen(5);
        var (six, seen) = await Seen(6);
        (await Change(HttpMethod.Put, "/api/jobs/6/take-in", TakenIn(six, "other job"), seen)).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await Seen(5)).Version.ShouldBe(five);
    }

    [Fact]
    public async Task Of_two_at_the_same_moment_one_is_taken_and_the_other_refused()
    {
        for (var round = 0; round < 10; round++)
        {
            var (job, seen) = await Seen(5);
            var both = await Task.WhenAll(Enumerable.Range(0, 2).Select(i => Change(HttpMethod.Put, "/api/jobs/5/take-in", TakenIn(job, $"{round} {i}"), seen)));
            both.Select(b => b.StatusCode).ShouldBe([HttpStatusCode.OK, HttpStatusCode.PreconditionFailed], ignoreOrder: true);
            var taken = Array.FindIndex(both, b => b.StatusCode == HttpStatusCode.OK);
            (await Seen(5)).Job["words"]!.GetValue<string>().ShouldBe($"{round} {taken}");
        }
    }

    [Fact]
    public async Task A_refused_change_does_not_count_the_job_up()
    {
        var (_, before) = await Seen(5);
        (await Change(HttpMethod.Patch, "/api/jobs/5/gauge", new { wrist = "9000" }, before)).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        (await Seen(5)).Version.ShouldBe(before);
    }

    [Fact]
    public async Task Other_screens_are_told_what_was_changed()
    {
        using var line = await _shop.Listen();
        var (job, seen) = await Seen(5);
        using var request = new HttpRequestMessage(HttpMethod.Put, "/api/jobs/5/take-in") { Content = JsonContent.Create(TakenIn(job, "told")) };
        request.Headers.TryAddWithoutValidation("If-Match", seen);
        request.Headers.TryAddWithoutValidation("X-Iron-Loop-Screen", "counter");
        var changed = await _shop.Client.SendAsync(request);
        changed.StatusCode.ShouldBe(HttpStatusCode.OK);
        var buffer = new byte[1000];
        var told = JsonNode.Parse(buffer.AsSpan(0, (await line.ReceiveAsync(buffer, CancellationToken.None)).Count))!;
        told["jobId"]!.GetValue<long>().ShouldBe(5);
        told["screen"]!.GetValue<string>().ShouldBe("counter");
        $"\"{told["version"]}\"".ShouldBe(changed.Headers.ETag!.Tag);
    }

    [Fact]
    public async Task A_page_from_elsewhere_is_not_told()
    {
        var refused = await Should.ThrowAsync<InvalidOperationException>(() => _shop.Listen("https://elsewhere.example"));
        refused.Message.ShouldContain("403");
        (await _shop.Client.GetAsync("/api/changes")).StatusCode.ShouldBe(HttpStatusCode.Conflict);
    }
}
