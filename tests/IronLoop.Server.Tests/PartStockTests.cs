using System.Net;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Stock;
using IronLoop.Storage;
using Microsoft.Data.Sqlite;

namespace IronLoop.Server.Tests;

/// <summary>Counts, places, minimum levels, reservations and the stock-take.</summary>
public sealed class PartStockTests : IDisposable
{
    private readonly Shop _shop = new(demo: true);

    public void Dispose() => _shop.Dispose();

    private static object Pin(string article = "PIN-1", string diameter = "1,05", string length = "17.8", int minimum = 4) =>
        new { article, name = "Friction pin", kind = "pin", supplier = "Somebody", place = "pin box", minimum, price = "0,60", diameter, length };

    [Fact]
    public async Task A_part_is_put_on_the_list_counted_and_told_low()
    {
        var parts = await _shop.Put("/api/parts", Pin());
        var pin = parts.AsArray().Single(p => p!["article"]!.GetValue<string>() == "PIN-1")!;
        pin["measured"]!.GetValue<string>().ShouldBe("1.05 mm across, 17.8 mm long");
        (pin["onHand"]!.GetValue<int>(), pin["toOrder"]!.GetValue<int>()).ShouldBe((0, 4));
        await _shop.Post("/api/parts/stock-take", new { by = "mk", reason = "first count", counted = new[] { new { partId = pin["id"]!.GetValue<long>(), counted = 9 } } });
        await _shop.Put("/api/parts", Pin(diameter: "1.0"));
        pin = (await _shop.Get("/api/parts?kind=pin")).AsArray().Single(p => p!["article"]!.GetValue<string>() == "PIN-1")!;
        (pin["onHand"]!.GetValue<int>(), pin["measured"]!.GetValue<string>()).ShouldBe((9, "1 mm across, 17.8 mm long"));
        var entry = (await _shop.Get($"/api/parts/{pin["id"]}/entries")).AsArray().Single()!;
        (entry["change"]!.GetValue<int>(), entry["reason"]!.GetValue<string>(), entry["by"]!.GetValue<string>()).ShouldBe((9, "first count", "MK"));
    }

    [Fact]
    public async Task What_cannot_be_is_refused_with_its_field()
    {
        var refused = await _shop.Put("/api/parts", Pin(diameter: "9", length: ""), HttpStatusCode.BadRequest);
        refused["errors"]!["$.diameter"]![0]!.GetValue<string>().ShouldContain("0.3 to 4 mm");
        refused["errors"]!["$.length"]![0]!.GetValue<string>().ShouldContain("missing");
        (await _shop.Put("/api/parts", Pin(article: "CL-O18"), HttpStatusCode.BadRequest))["errors"]!["$.article"]![0]!.GetValue<string>().ShouldContain("is a clasp already");
        refused = await _shop.Put("/api/parts", new { article = "X", name = "Clasp", kind = "clasp", clasp = "foldOver", inner = "18", twelve = "20", positions = 5 }, HttpStatusCode.BadRequest);
        refused["errors"]!["$.six"]![0]!.GetValue<string>().ShouldContain("Both half lengths");
        refused["errors"]!["$.step"]![0]!.GetValue<string>().ShouldContain("0.05 to 10");
        refused = await _shop.Post("/api/parts/stock-take", new { by = "", reason = "", counted = new[] { new { partId = 1, counted = -1 } } }, HttpStatusCode.BadRequest);
        refused["errors"]!.AsObject().Select(e => e.Key).ShouldBe(["$.reason", "$.by"], ignoreOrder: true);
        refused = await _shop.Post("/api/parts/stock-take", new { by = "mk", reason = "x", counted = new[] { new { partId = 1, counted = -1 } } }, HttpStatusCode.BadRequest);
        refused["errors"]!["$.counted[0].counted"]![0]!.GetValue<string>().ShouldContain("0 to 99999");
    }

    [Fact]
    public void Nothing_goes_below_nought_whoever_takes()
    {
        using var work = _shop.File.Begin();
        var pin = Parts.Set(work, new Part("P", "Pin") { Pin = new FrictionPin(Length.FromMillimetres(1), Length.FromMillimetres(18)) });
        Parts.Change(work, pin, 3, "count", DateTimeOffset.UnixEpoch, "MK");
        Should.Throw<SqliteException>(() => Parts.Change(work, pin, -4, "taken", DateTimeOffset.UnixEpoch, "MK"));
        Parts.Find(work, pin)!.Count.OnHand.ShouldBe(3);
    }

    [Fact]
    public void Reservations_never_pass_what_is_there_and_what_is_left_goes_to_who_waits_longest()
    {
        using var work = _shop.File.Begin();
        var at = DateTimeOffset.UnixEpoch;
        var pin = Parts.Set(work, new Part("P", "Pin") { Pin = new FrictionPin(Length.FromMillimetres(1), Length.FromMillimetres(18)) });
        Parts.Change(work, pin, 3, "count", at, "MK");
        var jobs = Storage.Jobs.Open(work).OrderBy(j => j.Promised).ThenBy(j => j.Id).Take(3).Select(j => j.Id).ToList();
        var random = new Random(3);
        // Any order of taking, leaving and delivering keeps the books straight.
        for (var round = 0; round < 300; round++)
        {
            var job = jobs[random.Next(jobs.Count)];
            switch (random.Next(4))
            {
                case 0 or 1:
                    PartsTaken.Take(work, job, $"use {random.Next(2)}", pin, 1 + random.Next(3));
                    break;
                case 2:
                    PartsTaken.Leave(work, job, $"use {random.Next(2)}");
                    break;
                default:
                    Parts.Change(work, pin, 1, "delivery", at, "MK");
                    PartsTaken.GiveToWaiting(work, pin, at);
                    break;
            }
            var count = Parts.Find(work, pin)!.Count;
            count.Free.ShouldBeGreaterThanOrEqualTo(0);
            var taken = jobs.SelectMany(j => PartsTaken.Of(work, j)).Where(t => t.BookedAt is null).ToList();
            count.Reserved.ShouldBe(taken.Where(t => t.IsReserved).Sum(t => t.Count));
            count.Awaited.ShouldBe(taken.Where(t => !t.IsReserved).Sum(t => t.Count));
            Parts.Entries(work, pin).Sum(e => e.Change).ShouldBe(count.OnHand, "the entries tell the count");
        }
        var before = Parts.Find(work, pin)!.Count;
        foreach (var job in jobs)
            PartsTaken.BookOut(work, job, null, at, "MK");
        var after = Parts.Find(work, pin)!.Count;
        (after.OnHand, after.Reserved).ShouldBe((before.OnHand - before.Reserved, 0), "what was reserved is booked out, and no more");
    }
}
