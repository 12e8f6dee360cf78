using System.Net;
using System.Text.Json.Nodes;

namespace IronLoop.Server.Tests;

/// <summary>Several bands on one job, cures of a length that cannot be made, ways that are refused, and how a watch goes back.</summary>
public sealed class MoreBandsTests : IDisposable
{
    private readonly Shop _shop = new(demo: true);

    public void Dispose() => _shop.Dispose();

    private static string Text(JsonNode? node, string name) => node![name]!.GetValue<string>();

    private async Task<JsonNode> Offer(JsonObject heard) => (await _shop.Post("/api/counter/answer", heard))["offers"]!.AsArray().First(o => o!["whyNot"] is null && o["free"]!.GetValue<int>() > 0)!;

    /// <summary>A strap taken in over the counter, on its way to the bench.</summary>
    private async Task<(string At, long Band)> Strap()
    {
        var heard = new JsonObject { ["request"] = "changeStrap", ["lugWidth"] = "20", ["on"] = "soft", ["held"] = "looseBars", ["by"] = "MK", ["client"] = "Petra Hask" };
        var band = (await Offer(heard))["id"]!.GetValue<long>();
        heard["bandId"] = band;
        return ($"/api/jobs/{(await _shop.Post("/api/counter", heard, HttpStatusCode.Created))["id"]}", band);
    }

    private async Task Work(string at)
    {
        while ((await _shop.Get($"{at}/bench"))["steps"]!.AsArray().FirstOrDefault(s => s!["next"]!.GetValue<bool>()) is { } step)
            await _shop.Put($"{at}/bench/steps/{Uri.EscapeDataString(Text(step, "key"))}", new { done = true, asPlanned = true });
    }

    private Task<JsonNode> HandOver(string at, JsonNode over, HttpStatusCode expected = HttpStatusCode.OK) =>
        _shop.Post($"{at}/hand-over", new { counted = over["bag"]!.AsArray().Select(l => new { key = l!["key"], count = l["count"] }), by = "MK" }, expected);

    [Fact]
    public async Task A_second_band_goes_along_in_the_bag_leaves_stock_and_is_its_owner_s_from_then_on()
    {
        var (at, band) = await Strap();
        var sheet = await _shop.Get($"{at}/match?take=100&inStock=true");
        var second = sheet["page"]!.AsArray().First(m => m!["whyNotAlong"] is null && m["band"]!["id"]!.GetValue<long>() != band && m["free"]!.GetValue<int>() > 0)!;
        var (id, stock, name) = (second["band"]!["id"]!.GetValue<long>(), second["band"]!["inStock"]!.GetValue<int>(), Text(second["band"], "name"));
        await _shop.Put($"{at}/match/also", new { bandId = band, @as = "forTheBag" }, HttpStatusCode.Conflict);
        await _shop.Put($"{at}/match/also", new { bandId = id, @as = "forTheBag" });
        // What hangs beside it for looks is neither in the bag nor booked.
        var no = (await _shop.Get($"{at}/match?take=100&verdict=no"))["page"]!.AsArray()[0]!["band"]!["id"]!.GetValue<long>();
        await _shop.Put($"{at}/match/also", new { bandId = no, @as = "forTheBag" }, HttpStatusCode.Conflict);
        await _shop.Put($"{at}/match/also", new { bandId = no, @as = "forLooks" });
        var also = (await _shop.Get($"{at}/match"))["also"]!.AsArray();
        also.Select(a => Text(a, "as")).ShouldBe(["forTheBag", "forLooks"], ignoreOrder: true);
        also.Single(a => Text(a, "as") == "forTheBag")!["written"]!.GetValue<string>().ShouldBe("not sized: its wearer picks the place");
        // Another job cannot have the one that is spoken for.
        var (other, _) = await Strap();
        (await _shop.Get($"{other}/match/{id}"))["free"]!.GetValue<int>().ShouldBe(stock - 1);

        await Work(at);
        var over = await _shop.Get($"{at}/hand-over");
        over["bag"]!.AsArray().ShouldContain(l => Text(l, "what").StartsWith(name, StringComparison.Ordinal));
        await HandOver(at, over);
        (await _shop.Get($"/api/bands/{id}/fits")).ShouldNotBeNull();
        (await _shop.Get($"{other}/match/{id}"))["band"]!["inStock"]!.GetValue<int>().ShouldBe(stock - 1);
        (await _shop.Get($"{other}/match"))["own"]!.AsArray().ShouldContain(m => Text(m!["band"], "name") == name, "she is the same client");
        var log = (await _shop.Get($"/api/log?words=tag {at[10..]}")).ToJsonString();
        log.ShouldContain("Goes along in the bag");
        log.ShouldContain("Shown for looks");
    }

    [Fact]
    public async Task One_that_was_added_is_put_on_the_watch_instead_and_is_not_beside_itself()
    {
        var (at, band) = await Strap();
        await _shop.Put($"{at}/match/also", new { bandId = band, @as = "forTheBag" }, HttpStatusCode.Conflict);
        var id = (await _shop.Get($"{at}/match?take=100&inStock=true"))["page"]!.AsArray().First(m => m!["whyNotAlong"] is null && !m["chosen"]!.GetValue<bool>())!["band"]!["id"]!.GetValue<long>();
        await _shop.Put($"{at}/match/also", new { bandId = id, @as = "forTheBag" });
        await _shop.Put($"{at}/match", new { bandId = id });
        (await _shop.Get($"{at}/match"))["also"]!.AsArray().ShouldBeEmpty();
        await _shop.Put($"{at}/match/also", new { bandId = band, @as = "forTheBag" });
        await _shop.Send(HttpMethod.Delete, $"{at}/match/also/{band}", null);
        await _shop.Send(HttpMethod.Delete, $"{at}/match/also/{band}", null, HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task A_watch_is_observed_before_it_goes_back_and_what_it_showed_stays()
    {
        var (at, _) = await Strap();
        await Work(at);
        (await _shop.Put($"{at}/observation", new { until = "2019-01-01", set = "fast by 3 s", by = "MK" }, HttpStatusCode.BadRequest))["errors"]!["$.until"]![0]!.GetValue<string>().ShouldContain("allowed is");
        var day = DateOnly.FromDateTime(DateTime.Parse((await _shop.Get(at))["takenInAt"]!.GetValue<string>(), System.Globalization.CultureInfo.InvariantCulture));
        string Day(int days) => day.AddDays(days).ToString("yyyy-MM-dd", System.Globalization.CultureInfo.InvariantCulture);
        await _shop.Put($"{at}/observation", new { until = Day(3), set = "fast by 3 s", by = "MK", looks = new[] { Day(9) } }, HttpStatusCode.BadRequest);
        var over = await _shop.Put($"{at}/observation", new { until = Day(3), set = "fast by 3 s", by = "MK", looks = new[] { Day(0), Day(2) } });
        over["observed"]!["looks"]!.AsArray().Count.ShouldBe(2);
        (await HandOver(at, over, HttpStatusCode.Conflict))["title"]!.GetValue<string>().ShouldStartWith("Under observation until");
        over = await _shop.Post($"{at}/observation/looks", new { shows = "fast by 2 s", by = "TB" });
        over["observed"]!["looks"]![0]!["shows"]!.GetValue<string>().ShouldBe("fast by 2 s");
        over = await _shop.Post($"{at}/observation/looks", new { shows = "on time", by = "TB", ends = true });
        over["observed"]!["stands"]!.GetValue<bool>().ShouldBeFalse();
        over["observed"]!["looks"]!.AsArray().Select(l => Text(l, "shows")).ShouldBe(["fast by 2 s", "on time"]);
        await _shop.Post($"{at}/observation/looks", new { shows = "more", by = "TB" }, HttpStatusCode.Conflict);
        await HandOver(at, over);
        (await _shop.Get($"/api/log?words=tag {at[10..]}")).ToJsonString().ShouldContain("on time");
    }

    [Fact]
    public async Task One_concern_is_referred_while_the_band_is_fitted_and_its_terms_stand_where_it_goes_back()
    {
        var (at, _) = await Strap();
        await _shop.Put($"{at}/take-in/referral", new { reasons = new[] { "crownLoose" }, referred = true });
        (await _shop.Get(at))["may"]!["work"]!["ok"]!.GetValue<bool>().ShouldBeFalse("it is on hold");
        var sheet = await _shop.Put($"{at}/take-in/referral", new { reasons = new[] { "crownLoose" }, referred = true, meanwhile = true });
        sheet["meanwhile"]!.GetValue<bool>().ShouldBeTrue();
        (await _shop.Get(at))["may"]!["work"]!["ok"]!.GetValue<bool>().ShouldBeTrue();
        await _shop.Put($"{at}/take-in/terms", new { craft = "needsWatchmaker", returns = "ownBox", postagePaid = true });
        sheet = await _shop.Put($"{at}/take-in/came-with", new { what = "box", count = 1, note = "lid torn" });
        (Text(sheet["terms"], "craft"), sheet["cameWith"]!.AsArray().Single(c => Text(c, "what") == "box")!["note"]!.GetValue<string>()).ShouldBe(("needsWatchmaker", "lid torn"));
        await Work(at);
        var over = await _shop.Get($"{at}/hand-over");
        Text(over["returns"], "goesBack").ShouldBe("posted");
        over["asListed"]!.GetValue<bool>().ShouldBeFalse("what goes by post is packed line by line");
        over["packed"]!.AsArray().ShouldContain(l => Text(l, "says").Contains("box (lid torn)", StringComparison.Ordinal));
        await HandOver(at, over);
        (await _shop.Get($"/api/log?words=tag {at[10..]}")).ToJsonString().ShouldContain("The crown is loose");
    }

    [Fact]
    public async Task A_bracelet_between_sizes_is_told_its_cures_with_price_and_days()
    {
        var job = (await _shop.Get("/api/jobs")).AsArray().Single(j => Text(j, "client") == "Ketil Orrel")!["id"];
        var cures = (await _shop.Get($"/api/jobs/{job}/size/cures")).AsArray();
        cures.Select(c => Text(c, "kind")).ShouldContain("clasp");
        cures.ShouldContain(c => Text(c, "kind") == "links" && c!["priceCents"]!.GetValue<int>() > 0);
        cures.ShouldAllBe(c => c!["days"]!.GetValue<int>() == 0 || c["days"]!.GetValue<int>() == 5);
        // A job that can be worn as it is needs none.
        var other = (await _shop.Get("/api/jobs")).AsArray().Single(j => Text(j, "client") == "Bettan Oakes")!["id"];
        (await _shop.Get($"/api/jobs/{other}/size/cures")).AsArray().ShouldBeEmpty();
    }

    [Fact]
    public async Task A_hole_is_punched_between_two_with_the_owner_s_consent()
    {
        var job = await _shop.Post("/api/jobs", new { client = "Petra Hask", watch = "Gannet", request = "changeStrap", promised = "2028-01-01", by = "MK" }, HttpStatusCode.Created);
        var at = $"/api/jobs/{job["id"]}";
        foreach (var (figure, typed) in ((string, string)[])[("lugWidth", "20"), ("lugToLug", "48"), ("wrist", "172")])
            await _shop.Post($"{at}/gauge/readings", new { figure, typed, byLine = false });
        await _shop.Patch($"{at}/gauge", new { wear = "regular", attachment = "springBarDrilled" });
        // Holes so far apart that what is wanted lies between two.
        JsonNode? cure = null;
        for (var pitch = 12; cure is null && pitch < 20; pitch++)
        {
            await _shop.Post($"{at}/bands", new
            {
                name = "Wide strap",
                material = "leather",
                attaches = "looseBar",
                width = "20",
                thickness = "2.4",
                claspName = "pin buckle",
                strap = new { bucklePiece = "75", tail = "140", firstHole = "50", holePitch = $"{pitch}", holes = 4 },
            }, HttpStatusCode.Created);
            var own = (await _shop.Get($"{at}/match"))["own"]!.AsArray().MaxBy(m => m!["band"]!["id"]!.GetValue<long>())!;
            await _shop.Put($"{at}/match", new { bandId = own["band"]!["id"]!.GetValue<long>() });
            cure = (await _shop.Get($"{at}/size/cures")).AsArray().FirstOrDefault(c => Text(c, "kind") == "extraHole");
        }
        cure.ShouldNotBeNull()["lasting"]!.GetValue<bool>().ShouldBeTrue();
        await _shop.Put($"{at}/size/extra-hole", new { after = 7 }, HttpStatusCode.BadRequest);
        var loop = await _shop.Put($"{at}/size/extra-hole", new { after = cure["id"] });
        Text(loop, "says").ShouldStartWith("The extra hole between");
        (await _shop.Put($"{at}/size/extra-hole", new { after = 0 }))["says"]!.GetValue<string>().ShouldNotBeNull();
        await _shop.Put($"{at}/size/extra-hole", new { after = (int?)null });
        await _shop.Put($"{at}/size/extra-hole", new { after = cure["id"] });
        (await _shop.Get(at))["extraHole"]!.GetValue<int>().ShouldBe(cure["id"]!.GetValue<int>());
        await _shop.Post($"{at}/size/agree", null);
        (await _shop.Get($"{at}/bench"))["steps"]!.AsArray().ShouldContain(s => Text(s, "says").Contains("punch one hole half way", StringComparison.Ordinal));
        (await _shop.Get($"{at}/bench"))["consent"]!["signed"]!.GetValue<bool>().ShouldBeFalse();
        await _shop.Put($"{at}/bench/consent", new { signedBy = "Petra Hask", signature = "", onPaper = true });
        await Work(at);
        await HandOver(at, await _shop.Get($"{at}/hand-over"));
        // She wears it home: the next visit knows the hole.
        var again = await _shop.Post($"{at}/again", new { by = "MK", promised = "2028-01-01" }, HttpStatusCode.Created);
        await _shop.Post($"/api/jobs/{again["id"]}/gauge/readings", new { figure = "wrist", typed = "172", byLine = false });
        Text(await _shop.Get($"/api/jobs/{again["id"]}/loop"), "plannersSay").ShouldContain("extra hole between");
        (await _shop.Get($"/api/jobs/{again["id"]}"))["may"]!["punchHole"]!["why"]!.GetValue<string>().ShouldBe("It has an extra hole already.");
    }

    [Fact]
    public async Task A_way_that_the_bars_have_no_room_for_is_refused_before_it_is_agreed()
    {
        var job = await _shop.Post("/api/jobs", new { client = "Petra Hask", watch = "Gannet", request = "changeStrap", promised = "2028-01-01", by = "MK" }, HttpStatusCode.Created);
        var at = $"/api/jobs/{job["id"]}";
        foreach (var (figure, typed) in ((string, string)[])[("lugWidth", "20"), ("lugToLug", "46"), ("wrist", "185"), ("barGap", "2.6")])
            await _shop.Post($"{at}/gauge/readings", new { figure, typed, byLine = false });
        await _shop.Patch($"{at}/gauge", new { wear = "regular", attachment = "springBarDrilled" });
        var through = (await _shop.Get($"{at}/match?take=100&kind=onePiece"))["page"]!.AsArray().First(m => m!["whyNot"] is null && m["ways"]!.AsArray().Count > 0)!;
        await _shop.Put($"{at}/match", new { bandId = through["band"]!["id"]!.GetValue<long>(), way = "single" });
        // A gap that the band does not pass.
        JsonArray ways = [];
        for (var tenths = 24; tenths > 2 && !ways.Any(w => w!["whyNot"] != null); tenths--)
        {
            foreach (var reading in (await _shop.Get($"{at}/gauge"))["lines"]!.AsArray().Single(l => Text(l, "figure") == "barGap")!["readings"]!.AsArray())
                await _shop.Send(HttpMethod.Delete, $"{at}/gauge/readings/{reading!["id"]}", null);
            await _shop.Post($"{at}/gauge/readings", new { figure = "barGap", typed = $"{tenths / 10}.{tenths % 10}", byLine = false });
            ways = (await _shop.Get($"{at}/size/ways")).AsArray();
        }
        ways.ShouldContain(w => w!["whyNot"] != null);
        var refused = ways.First(w => w!["whyNot"] != null && !w["chosen"]!.GetValue<bool>())!;
        (await _shop.Put($"{at}/size/way", new { way = Text(refused, "way") }, HttpStatusCode.Conflict))["title"]!.GetValue<string>().ShouldStartWith("Worn this way it does not go on");
        ways.Single(w => w!["chosen"]!.GetValue<bool>())!["whyNot"].ShouldNotBeNull();
        (await _shop.Post($"{at}/size/agree", null, HttpStatusCode.Conflict))["title"]!.GetValue<string>().ShouldContain("does not go on it worn this way");
        // Match says so of each way too, and not how long it would be.
        var shown = (await _shop.Get($"{at}/match/{through["band"]!["id"]}"))["ways"]!.AsArray();
        shown.ShouldAllBe(w => Text(w, "verdict") == "no" && !Text(w, "says").StartsWith("Makes", StringComparison.Ordinal));
        // And where it was gauged only after the plan was agreed, the bench does not begin.
        async Task Gap(string typed)
        {
            foreach (var reading in (await _shop.Get($"{at}/gauge"))["lines"]!.AsArray().Single(l => Text(l, "figure") == "barGap")!["readings"]!.AsArray())
                await _shop.Send(HttpMethod.Delete, $"{at}/gauge/readings/{reading!["id"]}", null);
            await _shop.Post($"{at}/gauge/readings", new { figure = "barGap", typed, byLine = false });
        }
        await Gap("2.6");
        await _shop.Post($"{at}/size/agree", null);
        var first = (await _shop.Get($"{at}/bench"))["steps"]!.AsArray()[0]!;
        await Gap("1.0");
        (await _shop.Put($"{at}/bench/steps/{Uri.EscapeDataString(Text(first, "key"))}", new { done = true, asPlanned = true }, HttpStatusCode.Conflict))["title"]!.GetValue<string>()
            .ShouldContain("does not go on it worn this way");
    }

    [Fact]
    public async Task A_band_that_closes_anywhere_is_entered_matched_and_closed_to_the_millimetre()
    {
        var job = await _shop.Post("/api/jobs", new { client = "Petra Hask", watch = "Gannet", request = "changeStrap", promised = "2028-01-01", by = "MK" }, HttpStatusCode.Created);
        var at = $"/api/jobs/{job["id"]}";
        foreach (var (figure, typed) in ((string, string)[])[("lugWidth", "20"), ("lugToLug", "48"), ("wrist", "172"), ("barToBar", "44"), ("barRise", "3")])
            await _shop.Post($"{at}/gauge/readings", new { figure, typed, byLine = false });
        await _shop.Patch($"{at}/gauge", new { wear = "regular", attachment = "springBarDrilled" });
        object Hooks(string farthest) => new
        {
            name = "Hook band",
            material = "textile",
            attaches = "pullThrough",
            width = "20",
            thickness = "1.2",
            claspName = "hook and loop",
            onePiece = new { firstHole = "150", closure = "hookAndLoop", farthest, whole = "260" },
        };
        (await _shop.Post($"{at}/bands", Hooks("140"), HttpStatusCode.BadRequest))["errors"]!["$.onePiece.farthest"]![0]!.GetValue<string>().ShouldContain("less than firstHole");
        await _shop.Post($"{at}/bands", Hooks("240"), HttpStatusCode.Created);
        var own = (await _shop.Get($"{at}/match"))["own"]!.AsArray().Single()!;
        await _shop.Put($"{at}/match", new { bandId = own["band"]!["id"]!.GetValue<long>() });
        var loop = await _shop.Get($"{at}/loop");
        Text(loop, "plannersSay").ShouldContain("looser than its tightest is nearest");
        Text(loop, "leaves").ShouldContain("mm tighter and");
        await _shop.Post($"{at}/size/agree", null);
        await Work(at);
        Text(await _shop.Get($"{at}/hand-over"), "done").ShouldContain("looser than its tightest");
    }
}
