using System.Net;
using System.Net.Http.Json;
using System.Text.Json;
using System.Text.Json.Nodes;

namespace IronLoop.Server.Tests;

public sealed class StatelessCallsTests : IDisposable
{
    private const string Need = """{"wristMm":170,"aspect":1.35,"head":{"barToBarMm":44,"barRiseMm":3},"pivotHeightMm":1.75}""";

    private readonly Shop _shop = new();

    public void Dispose() => _shop.Dispose();

    [Fact]
    public async Task Every_worked_figure_is_answered()
    {
        var worked = JsonNode.Parse(await File.ReadAllTextAsync(Path.Combine(AppContext.BaseDirectory, "cases", "need.json")))!;
        foreach (var one in worked["need"]!.AsArray())
        {
            var answer = await _shop.Post("/api/fit/need", one!["request"]!.ToJsonString());
            answer["neededMm"]!.GetValue<double>().ShouldBe(one["expected"]!["neededMm"]!.GetValue<double>(), 0.01);
        }
        foreach (var one in worked["easeFromGap"]!.AsArray())
        {
            var answer = await _shop.Post("/api/fit/ease-from-gap", one!["request"]!.ToJsonString());
            answer["easeMm"]!.GetValue<double>().ShouldBe(one["expected"]!["easeMm"]!.GetValue<double>(), 0.01);
        }
        worked = JsonNode.Parse(await File.ReadAllTextAsync(Path.Combine(AppContext.BaseDirectory, "cases", "plan.json")))!;
        foreach (var one in worked["cases"]!.AsArray())
        {
            var plan = (await _shop.Post("/api/fit/plan", one!["request"]!.ToJsonString()))["recommended"]!;
            foreach (var (name, expected) in one["expected"]!.AsObject())
                if (expected is JsonValue)
                    plan[name]!.GetValue<decimal>().ShouldBe(expected.GetValue<decimal>(), name);
        }
    }

    [Fact]
    public async Task What_is_assumed_makes_the_answer_less_certain()
    {
        var measured = await _shop.Post("/api/fit/need", Need);
        var assumed = await _shop.Post("/api/fit/need", Need.Replace("}}", "}", StringComparison.Ordinal)
            .Replace("\"pivotHeightMm\":1.75}", "\"pivotHeightMm\":1.75,\"assumed\":[\"aspect\",\"barRiseMm\",\"barToBarMm\"]}", StringComparison.Ordinal));
        assumed["sigmaMm"]!.GetValue<double>().ShouldBeGreaterThan(measured["sigmaMm"]!.GetValue<double>());
    }

    [Theory]
    [InlineData("\"wristMm\":170", "\"wristMm\":119.9", "$.wristMm", "wristMm is 119.9 mm; allowed is 120 to 240 mm.")]
    [InlineData("\"aspect\":1.35", "\"aspect\":1.81", "$.aspect", "aspect is 1.81; allowed is 1 to 1.8.")]
    [InlineData("\"barRiseMm\":3", "\"barRiseMm\":15.001", "$.head.barRiseMm", "allowed is -2 to 15 mm.")]
    [InlineData("\"barToBarMm\":44", "\"barToBarMm\":44.0001", "$.head.barToBarMm", "more than three decimals")]
    [InlineData("\"barToBarMm\":44", "\"barToBarMm\":44.00000000000000000000000000000000000001", "$.head.barToBarMm", "more than three decimals")]
    [InlineData("\"wristMm\":170", "\"wristMm\":\"170\"", "$.wristMm", "must be a number of millimetres")]
    [InlineData("\"wristMm\":170", "\"wristMm\":1e99", "$.wristMm", "too large")]
    [InlineData("\"wristMm\":170,", "", "$.wristMm", "wristMm is missing.")]
    [InlineData("\"barRiseMm\":3", "\"barRise\":3", "$.head.barRise", "is not a field of this request")]
    [InlineData("\"wristMm\":170", "\"wristMm\":170,\"wristMm\":171", "$.wristMm", "given twice")]
    [InlineData("{\"barToBarMm\":44,\"barRiseMm\":3}", "null", "$.head", "must not be null")]
    [InlineData("\"pivotHeightMm\":1.75", "\"pivotHeightMm\":1.75,\"assumed\":[\"width\"]", "$.assumed[0]", "one of aspect, barRiseMm, barToBarMm")]
    [InlineData("{\"wristMm\"", "{{", "$", "not JSON")]
    public async Task A_bad_figure_is_refused_by_name_value_and_range(string good, string bad, string path, string said)
    {
        var problem = await _shop.Post("/api/fit/need", Need.Replace(good, bad, StringComparison.Ordinal), HttpStatusCode.BadRequest);
        problem["errors"]!.AsObject().ShouldContainKey(path, problem.ToJsonString());
        problem["errors"]![path]![0]!.GetValue<string>().ShouldContain(said);
    }

    [Fact]
    public async Task A_head_sunk_into_the_wrist_is_refused_with_the_reason()
    {
        var problem = await _shop.Post("/api/fit/need",
            """{"wristMm":240,"aspect":1,"head":{"barToBarMm":20,"barRiseMm":-2},"pivotHeightMm":6}""", HttpStatusCode.BadRequest);
        problem["errors"]!["$.head"]![0]!.GetValue<string>().ShouldContain("model does not hold");
    }

    [Theory]
    [InlineData("$.bracelet.twelve[0].pitchMm", "1.9", "allowed is 2 to 40 mm")]
    [InlineData("$.bracelet.six[0]", "null", "must be an object")]
    [InlineData("$.bracelet.six[0].removable", "\"yes\"", "must be true or false")]
    [InlineData("$.spares[0].count", "61", "allowed is 0 to 60")]
    [InlineData("$.spares[0].count", "1.5", "must be a whole number")]
    [InlineData("$.clasp.positions", "401", "allowed is 1 to 400")]
    [InlineData("$.clasp.position", "4", "allowed is 0 to 3")]
    [InlineData("$.clasp.stepMm", "0.04", "allowed is 0.05 to 10 mm")]
    [InlineData("$.clasp.microSide", "\"three\"", "one of twelve, six")]
    [InlineData("$.target.lengthMm", "59", "allowed is 60 to 400 mm")]
    [InlineData("$.target.windowMm", "-0.001", "allowed is 0 to 15 mm")]
    [InlineData("$.reserve.looserMm", "20.5", "allowed is 0 to 20 mm")]
    public async Task A_plan_is_refused_by_the_path_of_what_is_wrong(string path, string value, string said)
    {
        var request = PlanRequest();
        Set(request, path, JsonNode.Parse(value));
        var problem = await _shop.Post("/api/fit/plan", request.ToJsonString(), HttpStatusCode.BadRequest);
        problem["errors"]!.AsObject().ShouldContainKey(path, problem.ToJsonString());
        problem["errors"]![path]![0]!.GetValue<string>().ShouldContain(said);
    }

    [Fact]
    public async Task A_missing_field_inside_a_link_is_named()
    {
        var request = PlanRequest();
        request["bracelet"]!["six"]![0]!.AsObject().Remove("removable");
        var problem = await _shop.Post("/api/fit/plan", request.ToJsonString(), HttpStatusCode.BadRequest);
        problem["errors"]!.AsObject().ShouldContainKey("$.bracelet.six[0].removable", problem.ToJsonString());
    }

    [Fact]
    public async Task The_step_does_not_matter_with_one_position()
    {
        var request = PlanRequest();
        request["clasp"]!["positions"] = 1;
        request["clasp"]!["position"] = 0;
        request["clasp"]!["stepMm"] = 0;
        var answer = await _shop.Post("/api/fit/plan", request.ToJsonString());
        answer["recommended"]!["tighterMm"]!.GetValue<decimal>().ShouldBe(0);
        answer["recommended"]!["looserMm"]!.GetValue<decimal>().ShouldBe(0);
    }

    [Fact]
    public async Task More_arrangements_than_are_searched_are_refused_with_a_reason()
    {
        var request = PlanRequest();
        static JsonArray Row() => [.. Enumerable.Range(0, 40).Select(i => new JsonObject { ["pitchMm"] = 7.001m + 0.137m * (i % 10), ["removable"] = true })];
        request["bracelet"]!["twelve"] = Row();
        request["bracelet"]!["six"] = Row();
        var problem = await _shop.Post("/api/fit/plan", request.ToJsonString(), HttpStatusCode.UnprocessableEntity);
        problem["title"]!.GetValue<string>().ShouldContain("more arrangements than are searched");
    }

    [Fact]
    public async Task An_unknown_call_and_an_unknown_job_are_problems_too()
    {
        (await _shop.Send(HttpMethod.Get, "/api/nothing", null, HttpStatusCode.NotFound))["status"]!.GetValue<int>().ShouldBe(404);
        (await _shop.Send(HttpMethod.Get, "/api/jobs/4711", null, HttpStatusCode.NotFound))["title"]!.GetValue<string>().ShouldContain("4711");
    }

    [Fact]
    public async Task Health_answers_and_the_document_lists_the_calls()
    {
        (await _shop.Get("/api/health"))["status"]!.GetValue<string>().ShouldBe("ready");
        var paths = (await _shop.Get("/api/openapi/v1.json"))["paths"]!.AsObject();
        foreach (var path in (string[])["/api/fit/need", "/api/fit/ease-from-gap", "/api/fit/plan", "/api/jobs", "/api/health"])
            paths.ShouldContainKey(path);
    }

    [Fact]
    public async Task With_the_spread_of_the_length_told_the_plans_carry_their_chance_and_without_it_they_do_not()
    {
        var asked = PlanRequest();
        asked["target"]!["lengthMm"] = 86;
        var without = await _shop.Post("/api/fit/plan", asked);
        without["recommended"]!.AsObject().ContainsKey("chance").ShouldBeFalse();
        var known = asked.DeepClone();
        known["target"]!["sigmaMm"] = 1.5;
        var with = await _shop.Post("/api/fit/plan", known);
        var chance = with["recommended"]!["chance"]!.GetValue<double>();
        chance.ShouldBeInRange(0.05, 1);
        with["alternatives"]!.AsArray().ShouldAllBe(a => a!["chance"]!.GetValue<double>() <= chance + 0.05);
        known["target"]!["sigmaMm"] = 0;
        var refused = await _shop.Post("/api/fit/plan", known, HttpStatusCode.BadRequest);
        refused.ToJsonString().ShouldContain("sigmaMm is 0 mm; allowed is 0.05 to 20 mm.");
    }

    [Fact]
    public async Task Another_program_is_told_which_reading_is_worth_taking()
    {
        var asked = PlanRequest();
        asked.Remove("target");
        foreach (var side in (string[])["twelve", "six"])
            asked["bracelet"]![side] = new JsonArray([.. Enumerable.Range(0, 9).Select(i => new JsonObject { ["pitchMm"] = 8.3, ["removable"] = i > 0 })]);
        asked["need"] = JsonNode.Parse("""{"wristMm":172,"aspect":1.35,"head":{"barToBarMm":44,"barRiseMm":3},"pivotHeightMm":1.75,"assumed":["barRiseMm","barToBarMm"]}""");
        asked["wear"] = "regular";
        // One place to close it: what it comes to has to be known well.
        asked["clasp"]!["positions"] = 1;
        asked["clasp"]!["position"] = 0;
        var told = await _shop.Post("/api/fit/next-reading", asked);
        var now = told["chanceNow"]!.GetValue<double>();
        now.ShouldBeInRange(0.2, 0.99);
        var readings = told["readings"]!.AsArray();
        readings[0]!["gain"]!.GetValue<double>().ShouldBeGreaterThan(0.005);
        readings.Select(r => r!["figure"]!.GetValue<string>()).Order(StringComparer.Ordinal).ShouldBe(["aspect", "barRiseMm", "barToBarMm", "copy", "tryOn", "wristMm"]);
        readings.ShouldAllBe(r => Math.Abs(r!["chanceAfter"]!.GetValue<double>() - now - r["gain"]!.GetValue<double>()) < 2e-4);
        readings.Zip(readings.Skip(1)).ShouldAllBe(p => p.First!["gain"]!.GetValue<double>() >= p.Second!["gain"]!.GetValue<double>());
        asked["need"]!["wristMm"] = 20;
        (await _shop.Post("/api/fit/next-reading", asked, HttpStatusCode.BadRequest)).ToJsonString().ShouldContain("need.wristMm");
        asked["need"]!["wristMm"] = 172;
        asked["target"] = new JsonObject();
        (await _shop.Post("/api/fit/next-reading", asked, HttpStatusCode.BadRequest)).ToJsonString().ShouldContain("target");
    }

    private static JsonObject PlanRequest() => JsonNode.Parse(
        """
        { "bracelet":{"twelve":[{"pitchMm":8.3,"removable":false},{"pitchMm":8.3,"removable":true},{"pitchMm":8.3,"removable":true}],
                      "six":[{"pitchMm":8.3,"removable":false},{"pitchMm":8.3,"removable":true}]},
          "spares":[{"pitchMm":8.3,"count":2}],
          "clasp":{"twelveMm":18.2,"sixMm":19.0,"microSide":"twelve","positions":4,"stepMm":2.5,"position":1},
          "target":{"lengthMm":161.5,"windowMm":2.5,"toleranceMm":1.5}, "centring":{"desiredMm":0,"toleranceMm":2},
          "reserve":{"tighterMm":2,"looserMm":2} }
        """)!.AsObject();

    private static void Set(JsonNode root, string path, JsonNode? value)
    {
        var steps = path[2..].Replace("[", ".", StringComparison.Ordinal).Replace("]", "", StringComparison.Ordinal).Split('.');
        var at = root;
        foreach (var step in steps[..^1])
            at = int.TryParse(step, out var index) ? at[index]! : at[step]!;
        if (int.TryParse(steps[^1], out var last))
            at[last] = value;
        else
            at[steps[^1]] = value;
    }

    /// <summary>Eight links a side of pitches that hardly come to one sum twice, and next to no tolerance.</summary>
    private static object Strange(int seed)
    {
        var random = new Random(seed);
        object[] Row() => [.. Enumerable.Range(0, 8).Select(_ => new { pitchMm = random.Next(6_000, 9_001) / 1000m, removable = true })];
        return new
        {
            bracelet = new { twelve = Row(), six = Row() },
            clasp = new { twelveMm = 18, sixMm = 18, microSide = "twelve", positions = 6, position = 0, stepMm = 2 },
            target = new { lengthMm = 150, windowMm = 0.001, toleranceMm = 0.001 },
            centring = new { desiredMm = 0, toleranceMm = 0.001 },
        };
    }

    [Fact]
    public async Task A_stranger_s_arithmetic_is_bound_and_sixty_at_once_are_asked_to_come_again()
    {
        var one = await _shop.Client.PostAsJsonAsync("/api/fit/plan", Strange(1));
        one.StatusCode.ShouldBeOneOf(HttpStatusCode.OK, HttpStatusCode.UnprocessableEntity);
        var answers = await Task.WhenAll(Enumerable.Range(0, 60).Select(i => Task.Run(() => _shop.Client.PostAsJsonAsync("/api/fit/plan", Strange(i)))));
        answers.ShouldAllBe(a => a.StatusCode == HttpStatusCode.OK || a.StatusCode == HttpStatusCode.UnprocessableEntity || a.StatusCode == HttpStatusCode.TooManyRequests);
        var asked = answers.Where(a => a.StatusCode == HttpStatusCode.TooManyRequests).ToList();
        asked.Count.ShouldBeGreaterThan(20, "two are worked out at a time and six wait");
        asked.ShouldAllBe(a => a.Headers.RetryAfter != null && a.Content.Headers.ContentType!.MediaType == "application/problem+json");
    }

    [Fact]
    public async Task From_another_machine_figures_want_a_sign_in_or_a_key_that_holds()
    {
        using var shop = new Shop(door: true);
        var lead = shop.Client;
        (await lead.PostAsJsonAsync("/api/door/first", new { initials = "IB", passphrase = "seven grey herring boats" })).StatusCode.ShouldBe(HttpStatusCode.OK);
        await Shop.Sign(lead);
        var made = JsonNode.Parse(await (await lead.PostAsJsonAsync("/api/hands/keys", new { name = "the till" })).Content.ReadAsStringAsync())!;
        async Task<HttpStatusCode> Ask(string? from, string? key)
        {
            using var request = new HttpRequestMessage(HttpMethod.Post, "/api/fit/need") { Content = new StringContent(Need, System.Text.Encoding.UTF8, "application/json") };
            if (from is not null)
                request.Headers.Add(FromElsewhere.Header, from);
            if (key is not null)
                request.Headers.Add("X-Iron-Loop-Key", key);
            using var stranger = new HttpClient(shop.Handler) { BaseAddress = new Uri("http://localhost") };
            return (await stranger.SendAsync(request)).StatusCode;
        }
        (await Ask(null, null)).ShouldBe(HttpStatusCode.OK, "at this machine");
        (await Ask("10.1.1.1", null)).ShouldBe(HttpStatusCode.Unauthorized);
        (await Ask("10.1.1.1", "0123456789abcdef")).ShouldBe(HttpStatusCode.Unauthorized);
        var key = made["key"]!.GetValue<string>();
        (await Ask("10.1.1.1", key)).ShouldBe(HttpStatusCode.OK);
        (await lead.GetStringAsync("/api/hands/keys")).ShouldNotContain(key, Case.Insensitive, "it is told once");
        (await lead.DeleteAsync($"/api/hands/keys/{made["keys"]![0]!["id"]}")).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await Ask("10.1.1.1", key)).ShouldBe(HttpStatusCode.Unauthorized);
    }

    [Fact]
    public void Every_call_that_can_be_made_without_signing_in_only_looks_or_is_bound()
    {
        var open = _shop.Calls.Where(c => c.Metadata.GetMetadata<Door.NeedsNobody>() is not null || c.Metadata.GetMetadata<Door.NeedsKeyFromElsewhere>() is not null).ToList();
        open.Count.ShouldBeGreaterThan(5);
        foreach (var call in open)
        {
            var methods = call.Metadata.GetMetadata<Microsoft.AspNetCore.Routing.HttpMethodMetadata>()?.HttpMethods ?? ["GET"];
            if (methods.Any(m => m is not ("GET" or "HEAD")))
                call.Metadata.GetMetadata<Microsoft.AspNetCore.RateLimiting.EnableRateLimitingAttribute>()?.PolicyName.ShouldBe(Contract.Arithmetic.Policy, call.DisplayName);
        }
        _shop.Calls.Count(c => c.Metadata.GetMetadata<Microsoft.AspNetCore.RateLimiting.EnableRateLimitingAttribute>() is not null).ShouldBe(8, "need, ease from a gap, plan, next reading, judge, judge a clasp, rank, plan of a day");
    }
}
