using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace IronLoop.Server.Tests;

/// <summary>
/// What is worked out of a job is kept in memory. Whatever is done to jobs, to the house and to its stock, in any order: what is told from memory
/// is what would be told if nothing were kept.
/// </summary>
public sealed class KeptJobsTests : IDisposable
{
    private readonly Shop _shop = new(demo: true);

    public void Dispose() => _shop.Dispose();

    [Theory]
    [InlineData(1)]
    [InlineData(2)]
    [InlineData(3)]
    public async Task What_is_told_from_memory_is_what_would_be_told_without(int seed)
    {
        var random = new Random(seed);
        var jobs = (await _shop.Get("/api/jobs")).AsArray().Select(j => j!["id"]!.GetValue<long>()).ToList();
        var done = new Dictionary<string, int>(StringComparer.Ordinal);
        for (var i = 0; i < 70; i++)
        {
            var job = jobs[random.Next(jobs.Count)];
            var mates = (long[])[job, jobs[random.Next(jobs.Count)]];
            // All of it is in memory before something is done.
            await Told(mates);
            var (what, answer) = await Do(job, random);
            ((int)answer.StatusCode).ShouldBeLessThan(500, what);
            if (answer.IsSuccessStatusCode)
                done[what] = done.GetValueOrDefault(what) + 1;
            var told = await Told(mates);
            _shop.File.IsAnother();
            (await Told(mates)).ShouldBe(told, $"after {what} on job {job}, {(int)answer.StatusCode}");
        }
        done.Count.ShouldBeGreaterThan(8, "many kinds of doings were taken");
    }

    [Fact]
    public async Task One_who_wins_parts_for_another_job_by_leaving_them_is_seen_on_the_others_tag()
    {
        var clasp = (await _shop.Get("/api/parts")).AsArray().Single(p => p!["article"]!.GetValue<string>() == "CL-E18")!["id"]!.GetValue<long>();
        var waits = (await _shop.Get("/api/jobs")).AsArray().Single(j => j!["waits"]!.GetValue<bool>())!["id"]!.GetValue<long>();
        (await _shop.Get($"/api/jobs/{waits}"))["awaited"]!.ToJsonString().ShouldContain("CL-E18");
        await _shop.Post("/api/parts/stock-take", new { by = "mk", reason = "came by the boat", counted = new[] { new { partId = clasp, counted = 1 } } });
        (await _shop.Get($"/api/jobs/{waits}"))["awaited"]!.AsArray().ShouldBeEmpty();
        (await _shop.Get($"/api/tags?of={waits}"))[0]!["partsIn"]!.GetValue<bool>().ShouldBeTrue();
    }

    [Theory]
    [InlineData("Bettan Oakes", "step")]
    [InlineData("Sunniva Marl", "reading")]
    [InlineData("Sunniva Marl", "keep")]
    [InlineData("Sunniva Marl", "mark")]
    public async Task What_is_done_to_a_job_at_the_bench_or_the_counter_touches_no_other(string client, string what)
    {
        var job = (await _shop.Get("/api/jobs")).AsArray().Single(j => j!["client"]!.GetValue<string>() == client)!["id"]!.GetValue<long>();
        var before = _shop.File.JobChanges.Now;
        var answer = what switch
        {
            "step" => await Tick(job),
            "reading" => await _shop.Client.PostAsJsonAsync($"/api/jobs/{job}/gauge/readings", new { figure = "lugWidth", typed = "20" }),
            "keep" => await _shop.Client.PutAsJsonAsync<object?>($"/api/jobs/{job}/clasp/keep", null),
            _ => await _shop.Client.PostAsJsonAsync($"/api/jobs/{job}/take-in/marks", new { place = "crown", kind = "scratch", note = "" }),
        };
        answer.IsSuccessStatusCode.ShouldBeTrue(await answer.Content.ReadAsStringAsync());
        // It is told of before it can be seen and after.
        var changed = _shop.File.JobChanges.Since(before)!.Distinct().ShouldHaveSingleItem();
        (changed.All, changed.Stock, string.Join(',', changed.Jobs)).ShouldBe((false, false, $"{job}"));
    }

    [Fact]
    public async Task A_tag_of_a_job_that_is_handed_over_hangs_no_more()
    {
        var job = (await _shop.Get("/api/jobs")).AsArray().Single(j => j!["client"]!.GetValue<string>() == "Hale Torvic")!["id"]!.GetValue<long>();
        (await _shop.Get($"/api/tags?of={job}"))[0]!["next"]!.GetValue<string>().ShouldBe("handOver");
        var sheet = await _shop.Get($"/api/jobs/{job}/hand-over");
        await _shop.Post($"/api/jobs/{job}/hand-over", new { counted = sheet["bag"]!, by = "TB" });
        (await _shop.Get($"/api/tags?of={job}&of=5")).AsArray().Select(t => t!["id"]!.GetValue<long>()).ShouldBe([5]);
    }

    private async Task<string> Told(IEnumerable<long> jobs)
    {
        var told = new List<string> { (await _shop.Get("/api/jobs")).ToJsonString() };
        foreach (var job in jobs)
            foreach (var sheet in (string[])["", "/loop", "/gauge", "/clasp", "/bench", "/hand-over"])
                told.Add($"{job}{sheet}: {await _shop.Client.GetStringAsync($"/api/jobs/{job}{sheet}")}");
        return string.Join('\n', told);
    }

    private async Task<(string What, HttpResponseMessage Answer)> Do(long job, Random random)
    {
        var at = $"/api/jobs/{job}";
        string Pick(params string[] of) => of[random.Next(of.Length)];
        Task<HttpResponseMessage> Put(string path, object? body) => _shop.Client.PutAsJsonAsync(path, body);
        Task<HttpResponseMessage> Post(string path, object? body) => _shop.Client.PostAsJsonAsync(path, body);
        (string What, Task<HttpResponseMessage> Answer) doing = random.Next(24) switch
        {
            0 => ("reading", Post($"{at}/gauge/readings", new { figure = Pick("wrist", "lugWidth", "barGap", "lugHole"), typed = $"{random.Next(2, 190)}" })),
            1 => ("gauge", _shop.Client.PatchAsJsonAsync($"{at}/gauge", new { attachment = Pick("springBarDrilled", "springBarBlind", "fixedBar"), wear = Pick("snug", "regular", "easy") })),
            2 => ("choose", Put($"{at}/match", new { bandId = random.Next(1, 30) })),
            3 => ("keep", Put($"{at}/clasp/keep", null)),
            4 => ("seen", Put($"{at}/clasp/seen", new { kind = Pick("foldOver", "butterfly", "extending", "pinBuckle") })),
            5 => ("agree", Post($"{at}/size/agree", null)),
            6 or 7 or 8 or 9 => ("tick", Tick(job)),
            10 => ("tray", Tray(job, random)),
            11 => ("joints", Put($"{at}/bench/joints", new { group = Pick("links", "claspTwelve", "claspSix"), fastener = Pick("splitPin", "pinWithTube", "screw", "springBar") })),
            12 => ("came", Put($"{at}/bench/came", new { on = Pick("soft", "mesh", "bracelet"), held = Pick("looseBars", "leveredBars"), isWanted = random.Next(2) == 0 })),
            13 => ("habits", Put($"{at}/size/habits", new { offCentre = $"{random.Next(9)}", toward = "six", hot = "5", cold = "" })),
            14 => ("mark", Post($"{at}/take-in/marks", new { place = "lugTwelveLeft", kind = Pick("missingBar", "dirt", "scratch"), note = "" })),
            15 => ("referral", Put($"{at}/take-in/referral", new { reasons = new[] { "screwStuck" }, referred = random.Next(2) == 0 })),
            16 => ("put right", PutRight(job, random)),
            17 => ("school", Put($"{at}/size/school", new { odd = Pick("asComputed", "longerOnTwelve"), way = (string?)null })),
            18 => ("limit", Put("/api/limits", new { limit = "softFits", value = random.Next(2, 8) / 10.0 })),
            19 => ("tool", Post("/api/tools", new { kind = "punch", name = "punch", across = $"0.{random.Next(5, 9)}", width = "", spares = 1, wanted = false })),
            20 => ("stock-take", StockTake(random)),
            21 => ("own way", Put("/api/bench/setup", new { tools = Pick("handPusher", "screwPress"), insertion = "againstTheArrow", micro = Pick("tipByTip", "barRightOut") })),
            22 => ("hand over", HandOver(job)),
            _ => ("band", Rename(random)),
        };
        return (doing.What, await doing.Answer);
    }

    private async Task<HttpResponseMessage> Tick(long job)
    {
        var steps = (await _shop.Get($"/api/jobs/{job}/bench"))["steps"]!.AsArray();
        var key = steps.FirstOrDefault(s => s!["next"]!.GetValue<bool>())?["key"]!.GetValue<string>() ?? "none";
        return await _shop.Client.PutAsJsonAsync($"/api/jobs/{job}/bench/steps/{key}", new { done = true, asPlanned = true });
    }

    private async Task<HttpResponseMessage> Tray(long job, Random random)
    {
        var tray = (await _shop.Get($"/api/jobs/{job}/bench"))["tray"]!.AsArray();
        var heap = tray.Count > 0 ? tray[random.Next(tray.Count)]!["heap"]!.GetValue<string>() : "none";
        return await _shop.Client.PostAsJsonAsync($"/api/jobs/{job}/bench/tray", new { heap, count = 1, act = "lost", why = "rolled away" });
    }

    private async Task<HttpResponseMessage> PutRight(long job, Random random)
    {
        var heard = await _shop.Get($"/api/jobs/{job}");
        return await _shop.Client.PutAsJsonAsync($"/api/jobs/{job}/take-in", new
        {
            client = heard["client"]!,
            watch = $"{heard["watch"]} {random.Next(9)}",
            request = heard["request"]!,
            promised = "2026-12-11",
            by = "MK",
            contact = heard["contact"]!,
            words = "Heard anew.",
            wearer = random.Next(2) == 0,
        });
    }

    private async Task<HttpResponseMessage> StockTake(Random random)
    {
        var parts = (await _shop.Get("/api/parts")).AsArray();
        return await _shop.Client.PostAsJsonAsync("/api/parts/stock-take", new
        {
            by = "mk",
            reason = "counted",
            counted = new[] { new { partId = parts[random.Next(parts.Count)]!["id"]!.GetValue<long>(), counted = random.Next(12) } },
        });
    }

    private async Task<HttpResponseMessage> HandOver(long job)
    {
        var sheet = await _shop.Get($"/api/jobs/{job}/hand-over");
        return await _shop.Client.PostAsJsonAsync($"/api/jobs/{job}/hand-over", new { counted = sheet["bag"]!, by = "TB" });
    }

    /// <summary>A catalogue that knows a band by its article has another price and another width for it.</summary>
    private async Task<HttpResponseMessage> Rename(Random random)
    {
        var bands = (await _shop.Get("/api/bands")).AsArray();
        using var work = _shop.File.Begin();
        var stock = Storage.Bands.Find(work, bands[random.Next(bands.Count)]!["id"]!.GetValue<long>())!;
        Storage.Bands.AddOrReplace(work, stock with { Name = $"{stock.Name} {random.Next(9)}", InStock = random.Next(4) });
        work.Commit();
        return new HttpResponseMessage(System.Net.HttpStatusCode.OK);
    }
}
