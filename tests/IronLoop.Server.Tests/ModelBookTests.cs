using System.Net;
using System.Text.Json.Nodes;

namespace IronLoop.Server.Tests;

/// <summary>The model book: it fills itself, fills jobs, and goes out and in as a file.</summary>
public sealed class ModelBookTests : IDisposable
{
    private readonly Shop _shop = new();

    public void Dispose() => _shop.Dispose();

    private async Task<long> TakeIn(string watch, string request = "changeStrap", string client = "Mara Quill") =>
        (await _shop.Post("/api/jobs", new { client, watch, request, promised = "2026-11-27", by = "MK" }, HttpStatusCode.Created))["id"]!.GetValue<long>();

    private async Task Read(long job, string figure, string typed) => await _shop.Post($"/api/jobs/{job}/gauge/readings", new { figure, typed });

    private async Task<JsonNode> Model(string words) =>
        await _shop.Get($"/api/models/{(await _shop.Get($"/api/models?words={words}"))["models"]![0]!["id"]}");

    private static JsonNode Figure(JsonNode model, string figure) => model["editions"]![0]!["figures"]!.AsArray().Single(f => f!["figure"]!.GetValue<string>() == figure)!;

    private static JsonNode Line(JsonNode sheet, string figure) => sheet["lines"]!.AsArray().Single(l => l!["figure"]!.GetValue<string>() == figure)!;

    [Fact]
    public async Task What_is_gauged_fills_the_sheet_and_an_odd_watch_is_shown_as_odd()
    {
        foreach (var (client, mm) in ((string, string)[])[("A Brask", "20"), ("B Brask", "20.1"), ("C Brask", "20"), ("D Brask", "21")])
            await Read(await TakeIn("Ostwick gannet", client: client), "lugWidth", mm);
        var figure = Figure(await Model("gannet"), "lugWidth");
        figure["pieces"]!.GetValue<int>().ShouldBe(4);
        figure["text"]!.GetValue<string>().ShouldBe("20.28 mm");
        figure["odd"]!.AsArray().Single()!["text"]!.GetValue<string>().ShouldBe("21 mm");

        // A reading that is deleted says nothing any more; the other watches' stay.
        var job = await TakeIn("Ostwick gannet", client: "E Brask");
        await Read(job, "lugWidth", "30");
        var reading = Line(await _shop.Get($"/api/jobs/{job}/gauge"), "lugWidth")["readings"]![0]!["id"]!.GetValue<long>();
        await _shop.Send(HttpMethod.Delete, $"/api/jobs/{job}/gauge/readings/{reading}", null);
        Figure(await Model("gannet"), "lugWidth")["pieces"]!.GetValue<int>().ShouldBe(4);
    }

    [Fact]
    public async Task The_second_owner_of_a_model_costs_one_confirmation()
    {
        var (first, _) = await GaugedBracelet("A Brask");
        var second = await TakeIn("Ostwick gannet", "takeLinksOut", "B Brask");
        var edition = (await _shop.Get("/api/models?words=ganet"))["models"]![0]!["edition"]!.GetValue<long>();
        var sheet = await _shop.Put($"/api/jobs/{second}/gauge/model", new { edition });
        sheet["model"]!["unconfirmed"]!.AsArray().Count.ShouldBe(7);
        Line(sheet, "lugWidth")["value"]!["assumed"]!.GetValue<bool>().ShouldBeTrue();
        Line(sheet, "lugWidth")["book"]!.GetValue<string>().ShouldBe("from the model book, 1 watch");
        sheet["bracelet"]!["twelve"]!.GetValue<string>().ShouldBe("1 fixed of 8.4; 7 of 8.4");
        sheet = await _shop.Put($"/api/jobs/{second}/gauge/model/confirmed", new { });
        sheet["model"]!["unconfirmed"]!.AsArray().ShouldBeEmpty();
        Line(sheet, "lugWidth")["value"]!["assumed"]!.GetValue<bool>().ShouldBeFalse();

        // All that is left is the wrist; then it is planned.
        await _shop.Patch($"/api/jobs/{second}/gauge", new { wear = "regular" });
        await Read(second, "wrist", "172");
        var job = await _shop.Get($"/api/jobs/{second}");
        job["figures"]!["missing"]!.AsArray().ShouldBeEmpty();
        (await _shop.Get($"/api/jobs/{second}/loop"))["figures"]!["lengthMm"]!.GetValue<decimal>().ShouldBeGreaterThan(100);

        // What was read of the first is not written over, and a reading that disagrees says so.
        await Read(second, "lugWidth", "21.4");
        Line(await _shop.Get($"/api/jobs/{second}/gauge"), "lugWidth")["question"]!.GetValue<string>().ShouldContain("The model book has 20 mm here");
        Figure(await Model("gannet"), "lugWidth")["pieces"]!.GetValue<int>().ShouldBe(2);

        // Left again, what was read stays.
        sheet = await _shop.Send(HttpMethod.Delete, $"/api/jobs/{second}/gauge/model", null);
        Line(sheet, "lugToLug")["value"].ShouldBeNull();
        Line(sheet, "lugWidth")["value"]!["mm"]!.GetValue<decimal>().ShouldBe(21.4m);
    }

    [Fact]
    public async Task What_was_found_at_the_joints_of_one_holds_for_the_next_once_it_is_confirmed()
    {
        var (first, edition) = await GaugedBracelet("A Brask");
        await _shop.Put($"/api/jobs/{first}/bench/joints", new { group = "links", fastener = "pinWithTube", across = "1.2" });
        await _shop.Put($"/api/jobs/{first}/bench/joints", new { group = "claspSix", fastener = "springBar" });
        var joints = (await Model("gannet"))["editions"]![0]!["joints"]!.AsArray();
        joints.Select(j => $"{j!["where"]}: {j["held"]}, {j["size"]}, {j["pieces"]}").ShouldBe(
            ["between the links: plain pins, each in a tube, 1.2 mm across, in by the arrow, 1", "6 side to the clasp: spring bars, , 1"]);

        var second = await TakeIn("Ostwick gannet", "takeLinksOut", "B Brask");
        var taken = await _shop.Put($"/api/jobs/{second}/gauge/model", new { edition });
        taken["model"]!["joints"]!.AsArray().Count.ShouldBe(2);
        await _shop.Patch($"/api/jobs/{second}/gauge", new { wear = "regular" });
        await Read(second, "wrist", "172");
        await _shop.Put($"/api/jobs/{second}/gauge/model/confirmed", new { });
        await _shop.Post($"/api/jobs/{second}/size/agree", null);
        var links = (await _shop.Get($"/api/jobs/{second}/bench"))["joints"]!.AsArray().Single(j => j!["group"]!.GetValue<string>() == "links")!;
        (links["fastener"]!.GetValue<string>(), links["across"]!.GetValue<string>()).ShouldBe(("pinWithTube", "1.2 mm"));

        // What the house heard of a link that looks fixed is told to whoever gauges the next; hearsay is called so.
        await _shop.Patch($"/api/models/{taken["model"]!["modelId"]}", new { freed = new { edition, side = "twelve", @is = "hearsay" } });
        (await _shop.Get($"/api/jobs/{second}/gauge"))["model"]!["freed"]![0]!["says"]!.GetValue<string>().ShouldBe("The last link of the 12 side is said to come free at the clasp; nobody here tried.");
        (await _shop.Patch($"/api/models/{taken["model"]!["modelId"]}", new { freed = new { edition = 4711, side = "twelve", @is = "tried" } }, HttpStatusCode.BadRequest))["errors"]!.AsObject().Single().Key.ShouldBe("$.freed.edition");
    }

    /// <summary>A job whose bracelet is gauged whole, and the edition it made.</summary>
    private async Task<(long Job, long Edition)> GaugedBracelet(string client)
    {
        var job = await TakeIn("Ostwick gannet", "takeLinksOut", client);
        await _shop.Patch($"/api/jobs/{job}/gauge", new { attachment = "springBarDrilled", wear = "regular" });
        foreach (var (figure, typed) in ((string, string)[])[("lugWidth", "20"), ("lugToLug", "47"), ("barToBar", "43"), ("barRise", "3"), ("bandWidth", "20"), ("bandThickness", "3.4"), ("linkPitch", "8.4")])
            await Read(job, figure, typed);
        await _shop.Patch($"/api/jobs/{job}/gauge/bracelet", new { twelve = "1 fixed of 8.4; 7 of 8.4", six = "1 fixed of 8.4; 7 of 8.4", claspTwelve = "18", claspSix = "17", positions = 4, step = "2.4" });
        return (job, (await _shop.Get("/api/models?words=gannet"))["models"]![0]!["edition"]!.GetValue<long>());
    }

    [Fact]
    public async Task The_counter_goes_by_the_book_where_nothing_is_typed()
    {
        await Read(await TakeIn("Ostwick gannet", client: "A Brask"), "lugWidth", "20");
        var edition = (await _shop.Get("/api/models?words=gannet"))["models"]![0]!["edition"]!.GetValue<long>();
        var heard = new { request = "changeStrap", watch = "Ostwick gannet", by = "MK", on = "soft", held = "looseBars", edition };
        var answer = await _shop.Post("/api/counter/answer", heard);
        answer["book"]!.AsArray().Single()!["says"]!.GetValue<string>().ShouldBe("20 mm, from the model book, 1 watch");
        answer["missing"]!.AsArray().Select(m => m!.GetValue<string>()).ShouldNotContain(m => m.Contains("lug width", StringComparison.OrdinalIgnoreCase));
        (await _shop.Post("/api/counter/answer", new { heard.request, heard.watch, heard.by, edition = 4711 }))["whyNot"]!.GetValue<string>().ShouldContain("the model book has none of that number");
    }

    [Fact]
    public async Task Models_are_renamed_split_and_merged_and_a_job_keeps_what_it_was_worked_with()
    {
        var job = await TakeIn("Ostwick gannet", client: "A Brask");
        await Read(job, "lugWidth", "20");
        await Read(await TakeIn("Ostwick gannet", client: "B Brask"), "lugWidth", "21");
        await Read(await TakeIn("Ostwik gannet", client: "C Brask"), "lugWidth", "20.1");
        var (gannet, slip) = (await Model("ostwick gannet"), await Model("ostwik gannet"));
        var merged = await _shop.Post($"/api/models/{slip["id"]}/merged", new { into = gannet["id"]!.GetValue<long>() });
        Figure(merged, "lugWidth")["pieces"]!.GetValue<int>().ShouldBe(3);
        (await _shop.Get("/api/models"))["total"]!.GetValue<int>().ShouldBe(1);

        // The one that is wider is another edition.
        var edition = merged["editions"]![0]!["id"]!.GetValue<long>();
        var watch = Figure(merged, "lugWidth")["odd"]!.AsArray().Single()!["watch"]!.GetValue<long>();
        var split = await _shop.Post("/api/models/split", new { edition, name = "wide", watches = new[] { watch } });
        split["editions"]!.AsArray().Select(e => (e!["name"]!.GetValue<string>(), e["pieces"]!.GetValue<int>())).ShouldBe([("", 2), ("wide", 1)]);

        (await _shop.Patch($"/api/models/{gannet["id"]}", new { name = "Ostwick sea bird" }))["name"]!.GetValue<string>().ShouldBe("Ostwick sea bird");
        (await _shop.Get($"/api/jobs/{job}"))["watch"]!.GetValue<string>().ShouldBe("Ostwick gannet");
        await Read(await TakeIn("Ostwick heron"), "lugWidth", "18");
        (await _shop.Patch($"/api/models/{gannet["id"]}", new { name = "ostwick heron" }, HttpStatusCode.BadRequest))["errors"]!["$.name"]![0]!.GetValue<string>().ShouldContain("another model is called so");
    }

    [Fact]
    public async Task A_name_put_right_goes_to_its_own_model_and_leaves_none_behind()
    {
        var job = await TakeIn("Ostwik ganet");
        await Read(job, "lugWidth", "20");
        await Read(await TakeIn("Ostwick gannet", client: "B Brask"), "lugWidth", "20.2");
        await _shop.Put($"/api/jobs/{job}/take-in", new { client = "Mara Quill", watch = "Ostwick gannet", request = "changeStrap", promised = "2026-11-27", by = "MK" });
        (await _shop.Get("/api/models"))["total"]!.GetValue<int>().ShouldBe(1);
        Figure(await Model("gannet"), "lugWidth")["pieces"]!.GetValue<int>().ShouldBe(2);
    }

    [Fact]
    public async Task A_file_made_by_hand_goes_in_comes_out_the_same_and_is_refused_by_path()
    {
        const string File =
            """
            {"format":"iron-loop-models","version":1,"models":[{"name":"Skerrow puffin","note":"short pins","editions":[{
              "head":{"attachment":"springBarBlind","caseShape":"round"},
              "band":{"rows":{"twelve":"1 fixed of 8; 6 of 8","six":"1 fixed of 8; 6 of 8"},"joints":[{"group":"links","fastener":"splitPin","acrossMm":1.1},{"group":"claspSix","fastener":"screw","slotMm":0.4}],"freedSix":"saidFixed","strapLengths":"75/115"},
              "clasp":{"name":"fold-over","twelveMm":17,"sixMm":16,"microSide":"twelve","positions":3,"stepMm":2},
              "figures":[{"figure":"lugWidth","meanMm":20.02,"spreadMm":0.08,"pieces":7,"how":"read"},{"figure":"linkPitch","meanMm":8}]}]}]}
            """;
        (await _shop.Post("/api/models/file", File, HttpStatusCode.OK))["models"]!.GetValue<int>().ShouldBe(1);
        var out1 = (await _shop.Get("/api/models/file")).ToJsonString();
        await _shop.Post("/api/models/file", out1, HttpStatusCode.OK);
        (await _shop.Get("/api/models/file")).ToJsonString().ShouldBe(out1, "taken in again, it is what it was");
        var edition = JsonNode.Parse(out1)!["models"]![0]!["editions"]![0]!;
        edition["figures"]![0]!["spreadMm"]!.GetValue<decimal>().ShouldBe(0.08m);
        edition["figures"]![1]!["how"]!.GetValue<string>().ShouldBe("catalogue");
        edition["band"]!["rows"]!["twelve"]!.GetValue<string>().ShouldBe("1 fixed of 8; 6 of 8");

        foreach (var (was, instead, path) in ((string, string, string)[])
            [("20.02", "200", "$.models[0].editions[0].figures[0].meanMm"), ("\"pieces\":7", "\"pieces\":0", "$.models[0].editions[0].figures[0].pieces"), ("\"linkPitch\"", "\"wrist\"", "$.models[0].editions[0].figures[1].figure"),
                ("iron-loop-models", "models", "$.format"), ("Skerrow puffin", "", "$.models[0].name"), ("1 fixed of 8; 6 of 8\",\"six", "some\",\"six", "$.models[0].editions[0].band.rows.twelve"), ("\"acrossMm\":1.1", "\"acrossMm\":11", "$.models[0].editions[0].band.joints[0].acrossMm"), ("claspSix", "links", "$.models[0].editions[0].band.joints"), ("75/115", "75", "$.models[0].editions[0].band.strapLengths"), ("\"positions\":3", "\"positions\":0", "$.models[0].editions[0].clasp.positions")])
            (await _shop.Post("/api/models/file", File.Replace(was, instead, StringComparison.Ordinal), HttpStatusCode.BadRequest))["errors"]!.AsObject().Select(e => e.Key).ShouldContain(path);
        (await _shop.Get("/api/models/file")).ToJsonString().ShouldBe(out1, "nothing of what was refused is stored");
    }

    [Fact]
    public async Task A_shop_of_the_version_before_has_a_book_of_what_it_gauged()
    {
        var folder = Directory.CreateTempSubdirectory("iron-loop-before-").FullName;
        try
        {
            ShopsBefore.Unpack(31, Path.Combine(folder, "iron-loop.db"));
            using var shop = new Shop(folder: folder);
            var listed = (await shop.Get("/api/models?words=moon%20dial"))["models"]!.AsArray().Single(m => m!["name"]!.GetValue<string>() == "Ostwick moon dial")!;
            listed["pieces"]!.GetValue<int>().ShouldBe(1);
            var model = await shop.Get($"/api/models/{listed["id"]}");
            Figure(model, "lugWidth")["text"]!.GetValue<string>().ShouldBe("20.1 mm");
            model["editions"]![0]!["figures"]!.AsArray().ShouldNotContain(f => f!["figure"]!.GetValue<string>() == "wrist");
            model["jobs"]!.AsArray().Count.ShouldBe(1);
        }
        finally
        {
            Directory.Delete(folder, recursive: true);
        }
    }
}
