using System.Net;
using System.Text.Json.Nodes;

namespace IronLoop.Server.Tests;

/// <summary>The log: every job found by what a fitter remembers of it, and figures over time.</summary>
public sealed class LogTests : IDisposable
{
    private readonly Shop _shop = new(demo: true);

    public void Dispose() => _shop.Dispose();

    private async Task<List<JsonNode>> Ask(string question) => [.. (await _shop.Get($"/api/log?{question}"))["visits"]!.AsArray().Select(v => v!)];

    private async Task<List<string>> Clients(string question) => [.. (await Ask(question)).Select(v => v["client"]!.GetValue<string>()).Distinct()];

    [Theory]
    [InlineData("client=torvic", "Hale Torvic")]
    [InlineData("watch=ostwick three-hander", "Runa Fenwick")]
    [InlineData("words=net loft", "")]
    [InlineData("words=birthday sunday", "Bettan Oakes")]
    [InlineData("words=tag 4", "Bettan Oakes")]
    [InlineData("part=sk-2231&client=oakes", "Bettan Oakes")]
    [InlineData("part=harbour&fitter=tb&client=brandel", "Osk Brandel")]
    [InlineData("client=torvic&fitter=tb", "")]
    [InlineData("width=22&client=oakes", "Bettan Oakes")]
    [InlineData("width=20&client=oakes", "")]
    [InlineData("words=BIRTHDÁY", "Bettan Oakes")]
    [InlineData("words=zeppelin", "")]
    public async Task A_job_is_found_by_what_is_remembered_of_it(string question, string client) =>
        (await Clients(question)).ShouldBe(client.Length == 0 ? [] : [client]);

    [Fact]
    public async Task Days_bound_the_search_and_pages_follow_each_other()
    {
        (await Ask("from=2026-11-20&client=fenwick")).ShouldAllBe(v => v["takenInAt"]!.GetValue<DateTimeOffset>() >= new DateTimeOffset(2026, 11, 20, 0, 0, 0, TimeSpan.Zero));
        (await Ask("to=2026-10-01")).ShouldAllBe(v => v["takenInAt"]!.GetValue<DateTimeOffset>() < new DateTimeOffset(2026, 10, 2, 0, 0, 0, TimeSpan.Zero));
        for (var i = 0; i < 40; i++)
            await _shop.Send(HttpMethod.Post, "/api/jobs", new { client = $"Page Turner {i}", watch = "Pellmarsh", request = "refit", promised = "2026-12-01", by = "pt" }, HttpStatusCode.Created);
        var seen = new List<long>();
        long? before = null;
        do
        {
            var page = await _shop.Get($"/api/log?fitter=pt{(before is { } b ? $"&before={b}" : "")}");
            seen.AddRange(page["visits"]!.AsArray().Select(v => v!["jobId"]!.GetValue<long>()));
            before = page["next"]?.GetValue<long>();
        }
        while (before is not null);
        seen.Count.ShouldBe(40);
        seen.ShouldBe(seen.Distinct().OrderDescending());
    }

    [Theory]
    [InlineData("words=\"")]
    [InlineData("words=a OR b NOT c*")]
    [InlineData("words=NEAR(a b)")]
    [InlineData("words=client:x")]
    [InlineData("words=%00%01-'); DROP TABLE job;--")]
    public async Task What_looks_like_a_sign_of_the_search_is_a_word(string question) => (await Ask(question)).Count.ShouldBe(0);

    [Fact]
    public async Task A_job_on_the_rack_is_found_by_how_it_stands_for_whoever_looks_and_is_not_written_anywhere_for_it()
    {
        var job = (await _shop.Get("/api/jobs")).AsArray().Single(j => j!["client"]!.GetValue<string>() == "Hale Torvic")!["id"]!.GetValue<long>();
        List<long> Found(Storage.ShopWork work, string watch) => [.. Storage.Visits.Find(work, new Storage.LogQuestion(Watch: watch, Client: "torvic"), long.MaxValue, 10).Select(v => v.JobId)];
        using var before = _shop.File.Look();
        var was = Storage.Visits.Find(before, new Storage.LogQuestion(Client: "torvic"), long.MaxValue, 10).Single(v => v.JobId == job);
        using (var work = _shop.File.Begin())
        {
            Storage.Watches.Rename(work, was.WatchId, "Quillmere night watch");
            work.Commit();
        }
        using (var after = _shop.File.Look())
        {
            Found(after, "quillmere").ShouldBe([job]);
            Found(before, "quillmere").ShouldBeEmpty("it still sees the moment before");
            Found(before, was.Watch).ShouldContain(job);
            Found(after, "quillmere").ShouldBe([job], "who looked in between changes nothing");
            Storage.Visits.IsBehind(after).ShouldBeFalse("the file's index holds closed jobs alone");
        }
        using (var work = _shop.File.Begin())
        {
            Storage.Watches.Rename(work, was.WatchId, "Never stored");
            Should.Throw<InvalidOperationException>(() => Found(work, "never stored"));
        }
        using var last = _shop.File.Look();
        Found(last, "never stored").ShouldBeEmpty();
        Found(last, "quillmere").ShouldBe([job]);
    }

    [Fact]
    public async Task What_cannot_be_a_width_is_refused() =>
        (await _shop.Send(HttpMethod.Get, "/api/log?width=wide", null, HttpStatusCode.BadRequest))["errors"]!["$.width"].ShouldNotBeNull();

    [Fact]
    public async Task Figures_over_time_count_what_was_handed_over()
    {
        var figures = await _shop.Get("/api/log/figures?weeks=52");
        var weeks = figures["weeks"]!.AsArray();
        weeks.Count.ShouldBe(52);
        weeks.Sum(w => w!["closed"]!.GetValue<int>()).ShouldBe(35, "two of the demo’s log lie further back");
        weeks.Sum(w => w!["triedOn"]!.GetValue<int>()).ShouldBe(19, "the others were straps, a mesh, a pull-through band, and one whose wearer was not here");
        weeks.Sum(w => w!["rightFirst"]!.GetValue<int>()).ShouldBe(17, "at two the try-on changed the plan");
        figures["minutes"]!.AsArray().GroupBy(m => m!["request"]!.GetValue<string>(), (request, of) => (request, of.Sum(m => m!["jobs"]!.GetValue<int>()))).OrderByDescending(m => m.Item2)
            .ShouldBe([("takeLinksOut", 13), ("changeStrap", 12), ("somethingElse", 4), ("putLinksIn", 2), ("refit", 1)]);
        figures["minutes"]!.AsArray().Where(m => m!["joined"]!.GetValue<string>() == "split pins").Sum(m => m!["jobs"]!.GetValue<int>()).ShouldBeGreaterThan(0, "times are told apart by what joins the links");
        figures["minutes"]!.AsArray().ShouldContain(m => m!["expected"] != null && m["expected"]!.GetValue<double>() > 0);
        figures["promises"]!["of"]!.GetValue<int>().ShouldBe(35);
        figures["promises"]!["kept"]!.GetValue<int>().ShouldBeInRange(1, 35);
        figures["widths"]!.AsArray()[0]!["widthMm"]!.GetValue<decimal>().ShouldBe(20);
        await _shop.Send(HttpMethod.Get, "/api/log/figures?weeks=0", null, HttpStatusCode.BadRequest);
    }
}
