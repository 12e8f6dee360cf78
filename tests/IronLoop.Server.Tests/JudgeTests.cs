using System.Net;
using System.Text.Json.Nodes;

namespace IronLoop.Server.Tests;

public sealed class JudgeTests : IClassFixture<JudgeTests.EmptyShop>
{
    private readonly Shop _shop;

    public JudgeTests(EmptyShop shop) => _shop = shop.Shop;

    private static JsonObject Watch => new()
    {
        ["lugWidthMm"] = 20,
        ["attachment"] = "springBarDrilled",
        ["barGapMm"] = 2,
    };

    private static JsonObject Strap => new()
    {
        ["kind"] = "twoPiece",
        ["material"] = "leather",
        ["widthMm"] = 19.8,
        ["attaches"] = "looseBar",
        ["end"] = "straight",
        ["endThicknessMm"] = 3,
    };

    private Task<JsonNode> Judge(JsonObject watch, JsonObject band, JsonObject? wearer = null, HttpStatusCode expected = HttpStatusCode.OK)
    {
        var body = new JsonObject { ["watch"] = watch, ["band"] = band };
        if (wearer is not null)
            body["wearer"] = wearer;
        return _shop.Post("/api/match/judge", body.ToJsonString(), expected);
    }

    private static List<string> Rules(JsonNode answer) => [.. answer["rules"]!.AsArray().Select(r => $"{r!["rule"]} {r["verdict"]}")];

    [Fact]
    public async Task A_strap_that_goes_on_fits_by_each_rule_that_applies()
    {
        var answer = await Judge(Watch, Strap);
        Rules(answer).ShouldBe(["lug-width fits", "attachment fits", "bar-gap fits", "end-shape fits"]);
        answer["verdict"]!.GetValue<string>().ShouldBe("fits");
    }

    [Fact]
    public async Task The_worst_rule_is_the_verdict_and_work_says_whether_it_can_be_undone()
    {
        var watch = Watch;
        watch["attachment"] = "screwSlot";
        watch["slotHeightMm"] = 2.2;
        var answer = await Judge(watch, Strap, new JsonObject { ["water"] = true });
        Rules(answer).ShouldBe(["lug-width fits", "attachment work", "slot work", "end-shape fits", "use compromise"]);
        answer["verdict"]!.GetValue<string>().ShouldBe("work");
        answer["rules"]![2]!["work"]![0]!["reversible"]!.GetValue<bool>().ShouldBeFalse();
    }

    [Fact]
    public async Task A_missing_number_is_unknown_and_named()
    {
        var answer = await Judge(new JsonObject { ["attachment"] = "fixedBar" }, Strap);
        answer["rules"]![0]!["says"]!.GetValue<string>().ShouldBe("Measure the lug width first.");
        answer["verdict"]!.GetValue<string>().ShouldBe("no", "nothing on a loose bar goes on a fixed one, whatever is measured");
    }

    [Fact]
    public async Task What_nobody_read_is_judged_as_it_usually_is_and_says_what_would_decide()
    {
        var strap = Strap;
        var answer = await Judge(new JsonObject { ["lugWidthMm"] = 20, ["attachment"] = "notLookedAt" }, strap);
        (answer["verdict"]!.GetValue<string>(), answer["certainty"]!.GetValue<string>()).ShouldBe(("fits", "likely"));
        answer["rules"]!.AsArray().Select(r => $"{r!["rule"]} {r["certainty"]}").ShouldBe(["lug-width certain", "attachment likely", "bar-gap likely", "end-shape certain"]);
        answer["rules"]![2]!["decides"]!.ToJsonString().ShouldBe("""{"figure":"barGapMm","atMm":1.7}""");
        answer["rules"]![1]!["decides"]!.ToJsonString().ShouldBe("""{"figure":"attachment","atMm":null}""");
        strap = Strap;
        strap["widthMm"] = 24;
        answer = await Judge(new JsonObject { ["lugWidthMm"] = 20, ["attachment"] = "notLookedAt" }, strap);
        (answer["verdict"]!.GetValue<string>(), answer["certainty"]!.GetValue<string>()).ShouldBe(("no", "certain"));
        answer["rules"]![0]!["decides"].ShouldBeNull();
    }

    [Fact]
    public async Task Bands_are_put_in_order_under_the_names_they_came_with()
    {
        static JsonObject Band(JsonNode id, decimal width, string? colour = null, JsonNode? inStock = null, int? price = null)
        {
            var band = Strap;
            band["id"] = id;
            band["widthMm"] = width;
            band["colour"] = colour;
            band["inStock"] = inStock;
            band["priceCents"] = price;
            return band;
        }
        async Task<List<string>> Order(JsonObject? wishes, params JsonObject[] bands)
        {
            var body = new JsonObject { ["watch"] = new JsonObject { ["lugWidthMm"] = 20, ["attachment"] = "notLookedAt" }, ["bands"] = new JsonArray(bands), ["wishes"] = wishes };
            return [.. (await _shop.Post("/api/match/rank", body.ToJsonString()))["order"]!.AsArray().Select(o => o!["id"]!.ToString())];
        }
        (await Order(null, Band("narrow", 18), Band(7, 20), Band("wide", 24))).ShouldBe(["7", "narrow", "wide"]);
        (await Order(null, Band("a", 20, "black", 0), Band("b", 20, "brown", true, 900), Band("c", 20, "black", 3, 800))).ShouldBe(["c", "b", "a"], "colour decides nothing while nobody wishes");
        (await Order(new JsonObject { ["colour"] = "brown" }, Band("c", 20, "black", 3, 800), Band("b", 20, "dark brown", false, 900))).ShouldBe(["b", "c"]);
        (await Order(null)).ShouldBeEmpty();
    }

    [Theory]
    [InlineData("""{ "id": "a" }""", 1, "$.bands[0].id", "")]
    [InlineData("""{ "id": [1] }""", 1, "$.bands[0].id", "neither a text nor a number")]
    [InlineData("""{ "id": 1, "inStock": -1 }""", 1, "$.bands[0].inStock", "whole number from 0")]
    [InlineData("""{ "id": 1, "priceCents": -1 }""", 1, "$.bands[0].priceCents", "allowed is 0 to")]
    [InlineData("""{ "id": 1, "widthMm": 99 }""", 1, "$.bands[0].widthMm", "allowed is 6 to 40 mm")]
    [InlineData("""{ "id": 1 }""", 201, "$.bands", "allowed is 0 to 200")]
    public async Task A_wrong_field_of_one_of_many_is_named_with_its_place(string changed, int many, string path, string said)
    {
        var bands = new JsonArray();
        for (var i = 0; i < many; i++)
        {
            var band = Strap;
            foreach (var (name, value) in JsonNode.Parse(changed)!.AsObject())
                band[name] = value?.DeepClone();
            bands.Add(band);
        }
        var body = new JsonObject { ["watch"] = Watch, ["bands"] = bands }.ToJsonString();
        if (said.Length == 0)
            (await _shop.Post("/api/match/rank", body))["order"]!.AsArray().Count.ShouldBe(1);
        else
            (await _shop.Post("/api/match/rank", body, HttpStatusCode.BadRequest))["errors"]![path]![0]!.GetValue<string>().ShouldContain(said);
    }

    [Theory]
    [InlineData("widthMm", "99", "widthMm is 99 mm; allowed is 6 to 40 mm.")]
    [InlineData("material", "\"gold\"", "material must be one of leather, textile, rubber, metal.")]
    [InlineData("endThicknessMm", "3.00001", "endThicknessMm has more than three decimals")]
    [InlineData("colour", "\"red\"", "colour is not a field of this request.")]
    public async Task A_wrong_field_is_named(string field, string value, string said)
    {
        var band = Strap;
        band[field] = JsonNode.Parse(value);
        var problem = await Judge(Watch, band, expected: HttpStatusCode.BadRequest);
        problem["errors"]![$"$.band.{field}"]![0]!.GetValue<string>().ShouldContain(said);
    }

    [Fact]
    public async Task A_clasp_is_judged_on_the_band_s_end()
    {
        var answer = await _shop.Post("/api/match/judge-clasp", new
        {
            bandEnd = new { kind = "linkBracelet", material = "metal", widthMm = 18, notchMm = 8, notchedEnd = true, otherEndPlain = true },
            clasp = new { kind = "butterfly", tubeMm = 7.9, overButtonsMm = 18.3 },
        });
        Rules(answer).ShouldBe(["clasp-kind fits", "end-tube fits", "button-span compromise", "open-look work"]);
        answer["verdict"]!.GetValue<string>().ShouldBe("work");
        answer = await _shop.Post("/api/match/judge-clasp", new
        {
            bandEnd = new { kind = "twoPiece", material = "leather", widthMm = 18 },
            clasp = new { kind = "pinBuckle", innerWidthMm = 20 },
        });
        answer["verdict"]!.GetValue<string>().ShouldBe("no", "bought at the lug width");
    }

    public sealed class EmptyShop : IDisposable
    {
        public Shop Shop { get; } = new();

        public void Dispose() => Shop.Dispose();
    }
}
