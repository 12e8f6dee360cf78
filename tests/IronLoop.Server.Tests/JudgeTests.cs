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
