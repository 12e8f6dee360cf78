using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using IronLoop.Replay;

namespace IronLoop.Server.Tests;

/// <summary>
/// A clumsy fitter, who does, takes back, leaves out, loses, finds, borrows from stock, tries on, stops and begins again in any order.
/// Whatever is taken and whatever refused: no part appears or vanishes, and what the shop says of its stock stays true.
/// </summary>
public sealed class ClumsyFitterTests : IDisposable
{
    private static readonly string[] Places = ["watch", "tray", "bag", "scrapped", "lost"];
    private readonly Shop _shop = new(demo: true);

    public void Dispose() => _shop.Dispose();

    [Theory]
    [InlineData("Sunniva Marl", 1)]
    [InlineData("Ketil Orrel", 2)]
    [InlineData("Bettan Oakes", 3)]
    [InlineData("Isbet Linnet", 4)]
    [InlineData("Runa Fenwick", 5)]
    public async Task No_order_of_doings_breaks_the_account_and_the_job_can_always_be_brought_to_its_end(string client, int seed)
    {
        var random = new Random(seed);
        var job = (await _shop.Get("/api/jobs")).AsArray().First(j => j!["client"]!.GetValue<string>() == client)!["id"]!.GetValue<long>();
        if ((await Bench(job))["from"] is null)
        {
            await _shop.Put($"/api/jobs/{job}/clasp/keep", null);
            await _shop.Post($"/api/jobs/{job}/size/agree", null);
        }
        var opening = Totals(await Bench(job));
        var borrowed = (await _shop.Get($"/api/jobs/{job}/bench/tray/stock")).AsArray().First(p => p!["free"]!.GetValue<int>() >= 3)!;
        var (taken, refused) = (0, 0);
        for (var i = 0; i < 120; i++)
        {
            var answer = await Do(job, await Bench(job), borrowed, random);
            ((int)answer.StatusCode).ShouldBeLessThan(500);
            if (answer.IsSuccessStatusCode) taken++;
            else refused++;
            var bench = await Bench(job);
            (bench["from"] is null && bench["steps"]!.AsArray().Count > 0).ShouldBeFalse("no doing leaves a bench that cannot be worked on");
            // A plan that is dropped closes the account; it is opened anew with the next, when everything lies where it came from.
            if (bench["from"] is null)
                opening.Clear();
            // A look put right, at joints nobody has opened, changes what is held there.
            else if (answer.IsSuccessStatusCode && answer.RequestMessage!.RequestUri!.AbsolutePath.EndsWith("/joints", StringComparison.Ordinal))
                Reopen(opening, Totals(bench));
            else if (opening.Count == 0 || !bench["steps"]!.AsArray().Any(s => s!["done"]!.GetValue<bool>()))
                Reopen(opening, Totals(bench));
            if (opening.Count > 0)
                Balances(bench, opening);
            if (i % 10 == 9 && opening.Count > 0)
                await SeeAnotherAttachment(job, opening, random);
        }
        taken.ShouldBeGreaterThan(8);
        refused.ShouldBeGreaterThan(5, "a clumsy fitter is refused now and then");
        await ToTheEnd(job, opening);
    }

    /// <summary>How the watch takes its band was misjudged: what holds it there is another part, where none of it was moved yet.</summary>
    private async Task SeeAnotherAttachment(long job, Dictionary<string, int> opening, Random random)
    {
        var seen = Pick(random, "springBarDrilled", "springBarBlind", "screwBar", "screwSlot", "fixedBar");
        var answer = await _shop.Client.PatchAsJsonAsync($"/api/jobs/{job}/gauge", new { attachment = seen });
        ((int)answer.StatusCode).ShouldBeLessThan(500);
        var bench = await Bench(job);
        var now = Totals(bench);
        if (bench["from"] is null)
        {
            // Gauged anew before anything was moved, the plan is to be agreed anew.
            opening.Clear();
            return;
        }
        // Before the first step the account is what would be opened; from then on it is what it is.
        if (bench["steps"]!.AsArray().Any(s => s!["done"]!.GetValue<bool>()))
            Balances(bench, opening);
        else
            Reopen(opening, now);
    }

    private async Task<HttpResponseMessage> Do(long job, JsonNode bench, JsonNode borrowed, Random random)
    {
        var at = $"/api/jobs/{job}/bench";
        var steps = bench["steps"]!.AsArray();
        var next = steps.FirstOrDefault(s => s!["next"]!.GetValue<bool>());
        var last = steps.LastOrDefault(s => s!["done"]!.GetValue<bool>());
        var any = steps.Count > 0 ? steps[random.Next(steps.Count)] : null;
        var line = bench["tray"]!.AsArray() is { Count: > 0 } tray ? tray[random.Next(tray.Count)]! : null;
        var heap = line is null ? "links" : Text(line, "heap");
        return random.Next(21) switch
        {
            < 5 when next is not null => await Put($"{at}/steps/{Text(next, "key")}", new { done = true, asPlanned = random.Next(5) > 0 }),
            5 or 6 when last is not null => await Put($"{at}/steps/{Text(last, "key")}", new { done = false }),
            7 when any is not null => await Put($"{at}/steps/{Text(any, "key")}", new { done = random.Next(2) == 0, skipped = random.Next(3) == 0 ? "no time" : "" }),
            8 => await _shop.Client.PostAsJsonAsync($"{at}/tray", new { heap, count = random.Next(1, 3), act = "lost", why = "rolled away" }),
            9 => await _shop.Client.PostAsJsonAsync($"{at}/tray", new { heap, count = 1, act = "found" }),
            10 => await _shop.Client.PostAsJsonAsync($"{at}/tray", new { heap, count = 1, act = random.Next(2) == 0 ? "fromStock" : "toStock", partId = borrowed["partId"]!.GetValue<long>() }),
            11 => await Put($"{at}/try-on", new { by = "millimetres", over = "comfort", amount = $"{random.Next(-6, 20)}", take = random.Next(2) == 0 }),
            12 => await Put($"/api/jobs/{job}/take-in/referral", new { reasons = new[] { "screwStuck" }, referred = random.Next(4) == 0 }),
            // What the account hangs on, once it has begun: taken where it changes nothing of it, refused where it would.
            13 or 14 when last is not null => await _shop.Client.PostAsJsonAsync($"/api/jobs/{job}/gauge/readings", new { figure = Pick(random, "linkPitch", "bandWidth"), typed = $"{random.Next(5, 40)}" }),
            15 when last is not null => await Put($"{at}/setup", new { tools = "handPusher", insertion = "againstTheArrow", micro = Pick(random, "tipByTip", "barRightOut"), runs = Pick(random, "insideTheLinks", "atTheClasp"), oneByOne = random.Next(2) == 0 }),
            19 when last is not null => await Put($"{at}/joints", new { group = Pick(random, "links", "claspTwelve", "claspSix"), fastener = Pick(random, "splitPin", "pinWithTube", "screw", "screwInTube", "springBar") }),
            16 when last is not null => await Put($"/api/jobs/{job}/match", new { bandId = random.Next(1, 30) }),
            17 when last is not null => await Put($"/api/jobs/{job}/clasp/seen", new { kind = Pick(random, "foldOver", "butterfly", "extending") }),
            18 when last is not null => await _shop.Client.PatchAsJsonAsync($"/api/jobs/{job}/gauge/bracelet", new { twelve = "5 full, first 2 fixed" }),
            _ => await _shop.Client.PostAsync($"/api/jobs/{job}/size/agree", null),
        };
    }

    /// <summary>Finds or replaces what was lost, works the steps to the end, and hands over what is in the tray.</summary>
    private async Task ToTheEnd(long job, Dictionary<string, int> opening)
    {
        await Put($"/api/jobs/{job}/take-in/referral", new { reasons = Array.Empty<string>(), referred = false });
        if ((await Bench(job))["from"] is null)
        {
            await _shop.Put($"/api/jobs/{job}/clasp/keep", null);
            await _shop.Post($"/api/jobs/{job}/size/agree", null);
            opening = Totals(await Bench(job));
        }
        foreach (var line in (await Bench(job))["tray"]!.AsArray().Where(l => l!["lost"]!.GetValue<int>() > 0))
            await _shop.Post($"/api/jobs/{job}/bench/tray", new { heap = Text(line, "heap"), count = line!["lost"]!.GetValue<int>(), act = "found" });
        while ((await Bench(job))["steps"]!.AsArray().FirstOrDefault(s => s!["next"]!.GetValue<bool>()) is { } step)
            await _shop.Put($"/api/jobs/{job}/bench/steps/{Text(step, "key")}", new { done = true, asPlanned = true });
        var bench = await Bench(job);
        Balances(bench, opening);
        var bag = (await _shop.Get($"/api/jobs/{job}/hand-over"))["bag"]!.AsArray();
        bench["tray"]!.AsArray().Sum(l => l!["tray"]!.GetValue<int>()).ShouldBe(0, "all that lay in the tray is put away");
        Replayed.FaultsOf(bench).ShouldBeEmpty();
        await _shop.Post($"/api/jobs/{job}/hand-over", new { counted = bag, by = "TB" });
        bench = await Bench(job);
        Balances(bench, opening);
    }

    private static void Reopen(Dictionary<string, int> opening, Dictionary<string, int> now)
    {
        opening.Clear();
        foreach (var (part, total) in now)
            opening[part] = total;
    }

    private static string Pick(Random random, params string[] of) => of[random.Next(of.Length)];

    private static void Balances(JsonNode bench, Dictionary<string, int> opening)
    {
        // What is moved for the first time comes on the account as it is.
        foreach (var (part, total) in Totals(bench))
            if (!opening.TryAdd(part, total))
                total.ShouldBe(opening[part], $"{part} in all");
        foreach (var line in bench["tray"]!.AsArray())
            foreach (var place in Places)
                line![place]!.GetValue<int>().ShouldBeGreaterThanOrEqualTo(0, $"{Text(line, "part")}, {place}");
    }

    private static Dictionary<string, int> Totals(JsonNode bench) => bench["tray"]!.AsArray().ToDictionary(
        t => Text(t, "part"), t => Places.Sum(p => t![p]!.GetValue<int>()) - t!["fromStock"]!.GetValue<int>());

    private Task<HttpResponseMessage> Put(string path, object body) => _shop.Client.PutAsJsonAsync(path, body);

    private Task<JsonNode> Bench(long job) => _shop.Get($"/api/jobs/{job}/bench");

    private static string Text(JsonNode? node, string field) => node![field]!.GetValue<string>();
}
