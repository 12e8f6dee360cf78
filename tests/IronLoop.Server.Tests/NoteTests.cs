using System.Net;
using System.Text.Json.Nodes;

namespace IronLoop.Server.Tests;

/// <summary>What is noted at a step: in the log, answered before the watch goes back, and there again at the next visit.</summary>
public sealed class NoteTests : IDisposable
{
    private readonly Shop _shop = new(demo: true);

    public void Dispose() => _shop.Dispose();

    private static string Text(JsonNode? node, string field) => node![field]!.GetValue<string>();

    private async Task<JsonNode> Forward(long job, string? until = null)
    {
        var bench = await _shop.Get($"/api/jobs/{job}/bench");
        while (bench["steps"]!.AsArray().FirstOrDefault(s => s!["next"]!.GetValue<bool>()) is { } step && Text(step, "row") != until)
            bench = await _shop.Put($"/api/jobs/{job}/bench/steps/{Text(step, "key")}", new { done = true, asPlanned = true });
        return bench;
    }

    [Fact]
    public async Task What_is_not_settled_is_answered_before_the_watch_goes_back()
    {
        const long job = 4;
        var bench = await Forward(job, "check");
        await _shop.Post($"/api/jobs/{job}/bench/notes", new { note = " " }, HttpStatusCode.BadRequest);
        await _shop.Post($"/api/jobs/{job}/bench/notes", new { note = "a hair in the clasp", photoId = 99 }, HttpStatusCode.BadRequest);
        bench = await _shop.Post($"/api/jobs/{job}/bench/notes", new { note = "the fold is worn on one side" });
        bench["notes"]![0]!["open"]!.GetValue<bool>().ShouldBeFalse();
        Text(bench["notes"]![0], "step").ShouldStartWith("At the lugs: ");
        bench = await _shop.Put($"/api/jobs/{job}/bench/steps/{Text(bench["steps"]!.AsArray().First(s => s!["next"]!.GetValue<bool>()), "key")}", new { done = true, skipped = "one pin stands proud" });
        bench = await Forward(job);
        var open = bench["notes"]!.AsArray().Single(n => n!["open"]!.GetValue<bool>())!;
        Text(open, "note").ShouldBe("one pin stands proud");

        var handOver = new { counted = (await _shop.Get($"/api/jobs/{job}/hand-over"))["bag"], by = "TB" };
        (await _shop.Post($"/api/jobs/{job}/hand-over", handOver, HttpStatusCode.BadRequest))["errors"]!["$.notes"]![0]!.GetValue<string>().ShouldBe("Still open: one pin stands proud. Answer it first.");
        await _shop.Put($"/api/jobs/{job}/bench/notes/{open["id"]}", new { answer = "" }, HttpStatusCode.BadRequest);
        await _shop.Put($"/api/jobs/5/bench/notes/{open["id"]}", new { answer = "pressed home" }, HttpStatusCode.NotFound);
        await _shop.Put($"/api/jobs/{job}/bench/notes/{open["id"]}", new { answer = "pressed home" });
        await _shop.Post($"/api/jobs/{job}/hand-over", handOver);
        (await _shop.Get("/api/log?words=pressed%20home"))["visits"]!.AsArray().ShouldNotBeEmpty();

        // The same watch again: what was noted is there.
        var again = await _shop.Post($"/api/jobs/{job}/again", new { by = "MK" }, HttpStatusCode.Created);
        var former = (await _shop.Get($"/api/jobs/{again["id"]}/bench"))["former"]!.AsArray();
        former.Select(n => Text(n, "note")).ShouldBe(["one pin stands proud", "the fold is worn on one side"]);
        Text(former[0], "answer").ShouldBe("pressed home");

        // When the owner is forgotten, so is what was noted.
        using (var work = _shop.File.Begin())
        {
            Storage.Erasure.Erase(work, Storage.Jobs.Find(work, job)!.Client.Id, _shop.Clock.GetUtcNow(), "MK");
            work.Commit();
        }
        (await _shop.Get($"/api/jobs/{again["id"]}/bench"))["former"]!.AsArray().ShouldBeEmpty();
        (await _shop.Get("/api/log?words=pressed%20home"))["visits"]!.AsArray().ShouldBeEmpty();
    }

    [Fact]
    public async Task What_was_also_done_and_found_stands_on_card_log_and_the_next_visit_with_who_and_when()
    {
        const long job = 4;
        await _shop.Post($"/api/jobs/{job}/bench/notes", new { note = "crown gasket greased", kind = "alsoDone" });
        await _shop.Post($"/api/jobs/{job}/bench/notes", new { note = "scratched B 14 inside the back", kind = "formerMark" });
        var bench = await _shop.Post($"/api/jobs/{job}/bench/notes", new { note = "plain" });
        bench["notes"]!.AsArray().Select(n => Text(n, "kind")).ShouldBe(["alsoDone", "formerMark", "note"]);
        await Forward(job);
        var sheet = await _shop.Get($"/api/jobs/{job}/hand-over");
        sheet["also"]!.AsArray().Select(a => a!.GetValue<string>()).ShouldBe(
            ["Also done: crown gasket greased (TB, 24 November).", "Mark of a former repair: scratched B 14 inside the back (TB, 24 November)."]);
        await _shop.Post($"/api/jobs/{job}/hand-over", new { counted = sheet["bag"], by = "TB" });
        (await _shop.Get($"/api/log?words=gasket"))["visits"]!.AsArray().Count.ShouldBe(1);
    }
}
