using System.Net;
using System.Text;
using System.Text.Json.Nodes;

namespace IronLoop.Server.Tests;

public sealed class CatalogueTests : IDisposable
{
    private const string Header = "article;name;kind;material;attaches;width;thickness;price;inStock;bucklePiece;tail;firstHole;holePitch;holes";

    private readonly Shop _shop = new();

    public void Dispose() => _shop.Dispose();

    private static string Strap(string article, string width = "20", string name = "Strap", string price = "34,50") =>
        $"{article};{name};twoPiece;leather;looseBar;{width};2,8;{price};3;75;118;58;6,5;7";

    private async Task<JsonNode> Read(string csv, bool bom = false, HttpStatusCode expected = HttpStatusCode.OK, string of = "bands")
    {
        var bytes = new UTF8Encoding(bom).GetPreamble().Concat(Encoding.UTF8.GetBytes(csv)).ToArray();
        var response = await _shop.Client.PostAsync($"/api/catalogue?of={of}", new ByteArrayContent(bytes));
        var text = await response.Content.ReadAsStringAsync();
        response.StatusCode.ShouldBe(expected, text);
        return JsonNode.Parse(text)!;
    }

    private async Task<JsonNode> Import(JsonNode catalogue, bool skipBad)
    {
        var id = catalogue["id"]!.GetValue<string>();
        var now = await _shop.Post($"/api/catalogue/{id}/import", new { skipBad });
        while (now["state"]!.GetValue<string>() == "running")
            now = await _shop.Get($"/api/catalogue/{id}");
        return now;
    }

    private async Task<List<JsonNode>> Stock() => [.. (await _shop.Get("/api/bands")).AsArray().Select(b => b!)];

    [Fact]
    public async Task A_makers_catalogue_of_models_goes_into_the_model_book_beside_what_was_gauged()
    {
        var job = (await _shop.Post("/api/jobs", new { client = "Mara Quill", watch = "Skerrow puffin", request = "changeStrap", promised = "2026-11-27", by = "MK" }, HttpStatusCode.Created))["id"]!;
        await _shop.Post($"/api/jobs/{job}/gauge/readings", new { figure = "lugWidth", typed = "20.2" });
        const string Rows = "reference;Lug width mm;attachment;edition;lugToLug;positions;strapLengths\nSkerrow puffin;20;springBarBlind;;44,5;3;75/115\nSkerrow auk;18;springBarDrilled;small;40;;\nSkerrow auk;19;springBarDrilled;large;41;;\n";
        var catalogue = await Read(Rows, of: "models");
        catalogue["missing"]!.AsArray().Select(m => m!.GetValue<string>()).ShouldBe(["model"]);
        catalogue = await _shop.Put($"/api/catalogue/{catalogue["id"]}/columns", new { columns = catalogue["columns"]!.AsArray().Select(c => new { header = c!["header"]!.GetValue<string>(), column = c["header"]!.GetValue<string>() == "reference" ? "model" : (string?)c["column"] }) });
        (catalogue["added"]!.GetValue<int>(), catalogue["updated"]!.GetValue<int>(), catalogue["badRows"]!.GetValue<int>()).ShouldBe((2, 1, 0));
        catalogue["samples"]![0]!["says"]!.GetValue<string>().ShouldBe("Skerrow puffin: lug width 20 mm, lug-to-lug 44.5 mm");
        (await _shop.Get("/api/models"))["total"]!.GetValue<int>().ShouldBe(1, "a look stores nothing");
        (await Import(catalogue, skipBad: false))["says"]!.GetValue<string>().ShouldBe("2 models are new, 1 were known and are as the catalogue has them.");

        var puffin = await _shop.Get($"/api/models/{(await _shop.Get("/api/models?words=puffin"))["models"]![0]!["id"]}");
        var figures = puffin["editions"]![0]!["figures"]!.AsArray();
        figures.Select(f => $"{f!["name"]} {f["text"]} {f["pieces"]} {f["how"]}").ShouldBe(["lug width 20.1 mm 2 read", "lug-to-lug 44.5 mm 1 catalogue"]);
        (await _shop.Get("/api/models?words=auk"))["models"]![0]!["editions"]!.GetValue<int>().ShouldBe(2);

        var bad = await Read("model;lugWidth;attachment;positions;strapLengths\nSkerrow auk;90;nails;0;75\n;20;;;\n", of: "models");
        bad["badRows"]!.GetValue<int>().ShouldBe(2);
        bad["bad"]!.AsArray().Select(b => $"{b!["line"]} {b["column"]}").ShouldBe(["2 attachment", "2 positions", "2 strapLengths", "2 lugWidth", "3 model"], ignoreOrder: true);
        await Read(Rows, of: "moons", expected: HttpStatusCode.BadRequest);
    }

    [Fact]
    public async Task A_catalogue_is_looked_over_taken_in_and_brought_up_to_date_without_doubles()
    {
        var catalogue = await Read($"{Header}\r\n{Strap("A1")}\r\n{Strap("A2", "18,5", "\"Strap; long\"")}\r\n\r\n", bom: true);
        catalogue["delimiter"]!.GetValue<string>().ShouldBe("semicolon");
        catalogue["decimal"]!.GetValue<string>().ShouldBe("comma");
        catalogue["added"]!.GetValue<int>().ShouldBe(2);
        (await Stock()).ShouldBeEmpty("a look stores nothing");
        (await Import(catalogue, skipBad: false))["state"]!.GetValue<string>().ShouldBe("done");
        var stock = await Stock();
        stock.Select(b => b["name"]!.GetValue<string>()).ShouldBe(["Strap", "Strap; long"]);
        stock[1]["widthMm"]!.GetValue<decimal>().ShouldBe(18.5m);
        stock[0]["priceCents"]!.GetValue<int>().ShouldBe(3450);

        catalogue = await Read($"{Header}\n{Strap("A1", name: "Strap, dearer", price: "40")}\n{Strap("A3")}\n");
        (catalogue["added"]!.GetValue<int>(), catalogue["updated"]!.GetValue<int>()).ShouldBe((1, 1));
        await Import(catalogue, skipBad: false);
        stock = await Stock();
        stock.Count.ShouldBe(3);
        stock[0]["priceCents"]!.GetValue<int>().ShouldBe(4000);
    }

    [Fact]
    public async Task Bad_rows_are_listed_by_line_and_column_and_nothing_or_all_the_others_are_taken()
    {
        var csv = $"{Header}\n{Strap("A1")}\n{Strap("A2", "wide")}\n{Strap("A1")}\n{Strap("A3").Replace("leather", "gold", StringComparison.Ordinal)}\n";
        var catalogue = await Read(csv);
        var bad = catalogue["bad"]!.AsArray().Select(b => $"{b!["line"]} {b["column"]} {b["value"]}").ToList();
        bad.ShouldBe(["3 width wide", "4 article A1", "5 material gold"]);
        catalogue["bad"]![2]!["reason"]!.GetValue<string>().ShouldContain("leather, textile, rubber, metal");

        (await Import(catalogue, skipBad: false))["state"]!.GetValue<string>().ShouldBe("refused");
        (await Stock()).ShouldBeEmpty();
        (await Import(await Read(csv), skipBad: true))["says"]!.GetValue<string>().ShouldContain("3 bad rows were skipped");
        (await Stock()).ShouldHaveSingleItem();
    }

    [Fact]
    public async Task An_import_that_is_cancelled_stores_nothing()
    {
        var catalogue = await Read($"{Header}\r\n{Strap("A1")}\r\n{Strap("A2")}\r\n");
        await _shop.Send(HttpMethod.Delete, $"/api/catalogue/{catalogue["id"]!.GetValue<string>()}", null);
        var ended = await Import(catalogue, skipBad: false);
        ended["state"]!.GetValue<string>().ShouldBe("refused");
        ended["says"]!.GetValue<string>().ShouldBe("Cancelled; nothing was stored.");
        (await Stock()).ShouldBeEmpty();
    }

    [Fact]
    public async Task A_program_that_ends_in_the_middle_of_an_import_lets_go_of_the_file_and_has_stored_nothing_of_it()
    {
        var folder = Directory.CreateTempSubdirectory("iron-loop-ending-").FullName;
        using (var shop = new Shop(folder: folder))
        {
            var rows = string.Join('\n', Enumerable.Range(1, 50_000).Select(i => Strap($"A{i}")));
            var read = await shop.Client.PostAsync("/api/catalogue", new StringContent($"{Header}\n{rows}\n"));
            var id = JsonNode.Parse(await read.Content.ReadAsStringAsync())!["id"]!.GetValue<string>();
            (await shop.Post($"/api/catalogue/{id}/import", new { skipBad = false }))["state"]!.GetValue<string>().ShouldBe("running");
        }
        Directory.GetFileSystemEntries("/proc/self/fd").Select(fd => new FileInfo(fd).LinkTarget ?? "").Where(f => f.StartsWith(folder, StringComparison.Ordinal)).ShouldBeEmpty();
        using (var again = new Shop(folder: folder))
            (await again.Get("/api/bands")).AsArray().ShouldBeEmpty();
        Directory.Delete(folder, recursive: true);
    }

    [Fact]
    public async Task Columns_are_guessed_by_their_headers_and_can_be_mapped()
    {
        var csv = "Article,Label,Kind,Material,Attaches,Width (mm),Thickness mm,Shortest,Longest\nM1,Mesh,mesh,metal,looseBar,20,1.6,120,180\n";
        var catalogue = await Read(csv);
        catalogue["missing"]!.AsArray().Select(m => m!.GetValue<string>()).ShouldBe(["name"]);
        var columns = catalogue["columns"]!.AsArray().Select(c => new { header = c!["header"]!.GetValue<string>(), column = c["header"]!.GetValue<string>() == "Label" ? "name" : (string?)c["column"] }).ToList();
        catalogue = await _shop.Put($"/api/catalogue/{catalogue["id"]}/columns", new { columns });
        catalogue["missing"]!.AsArray().ShouldBeEmpty();
        (await Import(catalogue, skipBad: false))["state"]!.GetValue<string>().ShouldBe("done");
        (await Stock()).ShouldHaveSingleItem()["longestMm"]!.GetValue<decimal>().ShouldBe(180);
    }

    [Fact]
    public async Task What_is_written_is_read_again_and_a_formula_is_defused()
    {
        using var demo = new Shop(demo: true);
        await Import(await Read($"{Header}\n{Strap("A1", name: "=2+5")}\n"), skipBad: false);
        var written = await _shop.Client.GetStringAsync("/api/catalogue.csv?delimiter=semicolon");
        written.ShouldContain("'=2+5");
        var again = await Read(written);
        again["badRows"]!.GetValue<int>().ShouldBe(0);
        again["samples"]![0]!["says"]!.GetValue<string>().ShouldStartWith("=2+5, A1");

        // Every kind of band of the demo goes out and comes back.
        var all = await Read(await demo.Client.GetStringAsync("/api/catalogue.csv"));
        all["bad"]!.AsArray().ShouldBeEmpty();
        (await Import(all, skipBad: false))["state"]!.GetValue<string>().ShouldBe("done");
        (await _shop.Client.GetStringAsync("/api/catalogue.csv")).Split("\r\n").Skip(1).Where(l => !l.StartsWith("A1,", StringComparison.Ordinal))
            .ShouldBe((await demo.Client.GetStringAsync("/api/catalogue.csv")).Split("\r\n").Skip(1), ignoreOrder: true);
    }

    [Fact]
    public async Task A_bracelet_with_more_arrangements_than_are_worked_out_ends_the_import_with_its_article_named()
    {
        var row = string.Join(" + ", Enumerable.Range(0, 4).Select(i => $"10 of {7 + i}.{137 + i}"));
        var csv = "article,name,kind,material,attaches,width,thickness,twelve,six,claspTwelve,claspSix,microSide,positions,step,position\n"
            + $"LONG,Bracelet,linkBracelet,metal,looseBar,20,3,{row},{row},20,20,twelve,400,0.1,1\n";
        var done = await Import(await Read(csv), skipBad: true);
        done["state"]!.GetValue<string>().ShouldBe("refused");
        done["says"]!.GetValue<string>().ShouldContain("LONG");
        (await Stock()).ShouldBeEmpty();
    }

    [Theory]
    [InlineData("", "The file is empty.")]
    [InlineData("\0\0\0\u0001", "The file is no text.")]
    [InlineData("nothing but words", "no header line")]
    public async Task A_file_that_is_no_catalogue_is_refused(string content, string said) =>
        (await Read(content, expected: HttpStatusCode.BadRequest))["errors"]!["$"]![0]!.GetValue<string>().ShouldContain(said);
}
