using System.Net;
using System.Text.Json.Nodes;

namespace IronLoop.Server.Tests;

/// <summary>The day: today's lists, rings, promises, hours; and the same asked from outside.</summary>
public sealed class DayTests : IDisposable
{
    // The clock of these tests stands at nine on a Tuesday.
    private readonly Shop _shop = new();

    public void Dispose() => _shop.Dispose();

    private async Task<long> TakeIn(string client, string promised = "2026-11-27", string request = "changeStrap") =>
        (await _shop.Post("/api/jobs", new { client, watch = "Ostwick pilot", request, promised, by = "MK" }, HttpStatusCode.Created))["id"]!.GetValue<long>();

    private async Task SetHours(string week, params object[] hands) => await _shop.Put("/api/day/hours", new { week, off = Array.Empty<string>(), hands });

    private static object Works(string initials, string week = "", string[]? off = null, string[]? not = null) => new { initials, week, off = off ?? [], not = not ?? [] };

    private static List<(string Hand, long Job, string From)> Pieces(JsonNode day) =>
        [.. day["lists"]!.AsArray().SelectMany(l => l!["pieces"]!.AsArray().Select(p => (l["hand"]!.GetValue<string>(), p!["jobId"]!.GetValue<long>(), p["from"]!.GetValue<string>()[11..])))];

    [Fact]
    public async Task The_lists_follow_dues_hours_and_what_somebody_does_not_do()
    {
        await SetHours("mo-fr 10-18", Works("MK"), Works("TB", "mo 9-12"), Works("ZO", not: ["changeStrap"]));
        var (later, sooner) = (await TakeIn("Ada Moor", "2026-11-27"), await TakeIn("Wil Tansy", "2026-11-25"));
        var day = await _shop.Get("/api/day");
        day["feasible"]!.GetValue<bool>().ShouldBeTrue();
        day["says"]!.GetValue<string>().ShouldBe("Every promise can be kept.");
        // TB works on Mondays only, ZO changes no straps; MK comes at ten.
        Pieces(day).ShouldBe([("MK", sooner, "10:00"), ("MK", later, "10:13")]);

        // Pulled to the front it comes first; held, it waits.
        (await _shop.Get($"/api/day/front/{later}")).AsArray().ShouldBeEmpty();
        Pieces(await _shop.Put($"/api/jobs/{later}/front", new { inFront = true }))[0].Job.ShouldBe(later);
        var held = await _shop.Put($"/api/jobs/{later}/hold", new { until = "2026-11-26" });
        Pieces(held).Select(p => p.Job).ShouldBe([sooner]);
        held["waiting"]!.AsArray().Single()!["waits"]!.GetValue<string>().ShouldBe("on hold until");
        Pieces(await _shop.Put($"/api/jobs/{later}/hold", new { until = (string?)null })).Count.ShouldBe(2);
        // The owner's appointment is no hold, but the job waits for it all the same.
        held = await _shop.Put($"/api/jobs/{later}/hold", new { until = "2026-11-26", why = "tryOn" });
        held["waiting"]!.AsArray().Single()!["waits"]!.GetValue<string>().ShouldBe("its owner comes for the try-on");
    }

    [Fact]
    public async Task A_promise_leaves_the_others_kept_and_another_day_says_what_it_makes_late()
    {
        await SetHours("mo-fr 9-10", Works("MK"));
        var promise = await _shop.Get("/api/day/promise?service=changeStrap");
        promise["earliest"]!.GetValue<string>().ShouldBe("2026-11-24");
        promise["first"]!.GetValue<string>().ShouldBe("2026-11-25");
        promise["whileYouWait"]!.GetValue<bool>().ShouldBeTrue();
        // Four straps of 13 minutes fill the hour; a fifth of up to 21 goes to tomorrow.
        foreach (var client in (string[])["A Moor", "B Moor", "C Moor", "D Moor"])
            await TakeIn(client, "2026-11-24");
        promise = await _shop.Get("/api/day/promise?service=changeStrap&day=2026-11-24");
        promise["earliest"]!.GetValue<string>().ShouldBe("2026-11-25");
        promise["breaks"]!.AsArray().ShouldNotBeEmpty();
        (await _shop.Get("/api/day/promise?service=changeStrap&day=2026-11-25"))["breaks"]!.AsArray().ShouldBeEmpty();
        var refused = await _shop.Send(HttpMethod.Get, "/api/day/promise?service=polish&day=soon", null, HttpStatusCode.BadRequest);
        refused["errors"]!.AsObject().Select(e => e.Key).ShouldBe(["$.service", "$.day"], ignoreOrder: true);
    }

    [Fact]
    public async Task Whoever_was_not_reached_is_rung_again_and_whoever_was_is_not()
    {
        using var shop = new Shop(demo: true);
        var ring = (await shop.Get("/api/day"))["rings"]!.AsArray()[0]!;
        var job = ring["jobId"]!.GetValue<long>();
        ring["why"]!.GetValue<string>().ShouldBe("workIsDone");
        ring["message"]!.GetValue<string>().ShouldContain($"Tag {job}");
        var after = await shop.Post($"/api/jobs/{job}/rings", new { why = "workIsDone", reached = false, by = "MK" });
        after["rings"]!.AsArray().Single(r => r!["jobId"]!.GetValue<long>() == job)!["tried"].ShouldNotBeNull();
        after = await shop.Post($"/api/jobs/{job}/rings", new { why = "workIsDone", reached = true, by = "MK" });
        after["rings"]!.AsArray().ShouldNotContain(r => r!["jobId"]!.GetValue<long>() == job);

        // What was promised to be asked after is rung too; not reached, it stays with its time.
        shop.Clock.Advance(TimeSpan.FromDays(8));
        after = await shop.Get("/api/day");
        var due = (await shop.Get("/api/observations")).AsArray().First(o => o!["due"]!.GetValue<bool>())!["jobId"]!.GetValue<long>();
        JsonNode Followed(JsonNode day) => day["rings"]!.AsArray().Single(r => r!["jobId"]!.GetValue<long>() == due && r["why"]!.GetValue<string>() == "followUp")!;
        Followed(after)["tried"].ShouldBeNull();
        Followed(await shop.Post($"/api/jobs/{due}/rings", new { why = "followUp", reached = false, by = "MK" }))["tried"].ShouldNotBeNull();
    }

    [Fact]
    public async Task A_job_is_given_to_somebody_and_an_hour_said_is_when_it_is_due()
    {
        await SetHours("mo-fr 9-17", Works("MK"), Works("TB"));
        var job = await TakeIn("Ada Moor", "2026-11-24");
        var mine = Pieces(await _shop.Get("/api/day")).Single();
        var other = mine.Hand == "MK" ? "TB" : "MK";
        Pieces(await _shop.Put($"/api/jobs/{job}/hand", new { hand = other })).Single().Hand.ShouldBe(other);
        Pieces(await _shop.Put($"/api/jobs/{job}/hand", new { hand = (string?)null })).Count.ShouldBe(1);
        (await _shop.Send(HttpMethod.Put, $"/api/jobs/{job}/hand", """{"hand":"ZZ"}""", HttpStatusCode.BadRequest))["errors"]!["$.hand"]![0]!.GetValue<string>().ShouldContain("MK, TB");

        // By closing it can be kept; by five past nine it cannot.
        (await _shop.Get("/api/day"))["feasible"]!.GetValue<bool>().ShouldBeTrue();
        var late = await _shop.Put($"/api/jobs/{job}/hour", new { hour = "09:05" });
        late["feasible"]!.GetValue<bool>().ShouldBeFalse();
        late["late"]!.AsArray().Single()!["minutes"]!.GetValue<int>().ShouldBe(8);
        (await _shop.Get($"/api/jobs/{job}"))["promisedHour"]!.GetValue<string>().ShouldBe("09:05");
        (await _shop.Put($"/api/jobs/{job}/hour", new { hour = (string?)null }))["feasible"]!.GetValue<bool>().ShouldBeTrue();
        (await _shop.Send(HttpMethod.Put, $"/api/jobs/{job}/hour", """{"hour":"soon"}""", HttpStatusCode.BadRequest))["errors"]!["$.hour"]![0]!.GetValue<string>().ShouldContain("15:30");
    }

    [Fact]
    public async Task A_message_is_in_the_house_s_words()
    {
        var usual = (await _shop.Get("/api/day/messages"))["messages"]!.AsArray();
        usual.Select(m => m!["why"]!.GetValue<string>()).ShouldBe(["workIsDone", "partsCame", "consent", "followUp"]);
        var set = await _shop.Put("/api/day/messages", new { messages = new[] { new { why = "workIsDone", text = "Dear {client}: {watch}, tag {tag}. The house of straps." } } });
        set["messages"]![0]!["text"]!.GetValue<string>().ShouldStartWith("Dear {client}");
        var refused = await _shop.Send(HttpMethod.Put, "/api/day/messages", """{"messages":[{"why":"workIsDone","text":"{name}, come."}]}""", HttpStatusCode.BadRequest);
        refused["errors"]!["$.messages[0].text"]![0]!.GetValue<string>().ShouldContain("{client}, {watch}, {tag}, {what}");
        (await _shop.Put("/api/day/messages", new { messages = new[] { new { why = "workIsDone", text = "" } } }))["messages"]![0]!["text"]!.GetValue<string>().ShouldBe(usual[0]!["text"]!.GetValue<string>());
    }

    [Fact]
    public async Task Hours_are_refused_by_field_and_nothing_is_stored()
    {
        await SetHours("mo-fr 9-18", Works("MK"));
        var refused = await _shop.Put("/api/day/hours", new { week = "mo-fr 18-9", off = Array.Empty<string>(), hands = new[] { Works("TB", "whenever") } }, HttpStatusCode.BadRequest);
        refused["errors"]!["$.week"]![0]!.GetValue<string>().ShouldContain("write it like mo-fr 9-12:30");
        refused["errors"]!["$.hands[0].week"].ShouldNotBeNull();
        (await _shop.Get("/api/day/hours"))["hands"]!.AsArray().Single()!["initials"]!.GetValue<string>().ShouldBe("MK");
    }

    [Fact]
    public async Task The_day_goes_on_paper_and_into_a_calendar()
    {
        using var shop = new Shop(demo: true);
        var day = await shop.Get("/api/day");
        var pdf = await shop.Client.GetByteArrayAsync("/api/day.pdf");
        System.Text.Encoding.ASCII.GetString(pdf, 0, 5).ShouldBe("%PDF-");
        var calendar = await shop.Client.GetStringAsync("/api/day.ics");
        var piece = day["lists"]!.AsArray().SelectMany(l => l!["pieces"]!.AsArray()).First()!;
        calendar.ShouldContain($"UID:tag-{piece["jobId"]}-");
        calendar.ShouldContain("-due@iron-loop");
        calendar.ShouldContain($"tag-{day["rings"]![0]!["jobId"]}-ring-");
    }

    private const string Asked =
        """
        {"now":"2026-03-02T09:00","hands":[{"id":"a","hours":[{"from":"2026-03-02T09:00","to":"2026-03-02T12:00"}],"not":["slot"]}],
         "jobs":[{"id":"j1","minutes":35,"notBefore":"2026-03-02T10:00","due":"2026-03-02T18:00","needs":["mesh"]}],"one":{"minutes":40,"needs":[]},"reserve":0}
        """;

    [Fact]
    public async Task From_outside_it_says_what_can_be_kept_and_promised()
    {
        (await _shop.Post("/api/day/plan", Asked)).ToJsonString().ShouldBe(
            """{"feasible":true,"allowanceMinutes":0,"late":[],"today":[{"hand":"a","jobs":[{"id":"j1","from":"2026-03-02T10:00","to":"2026-03-02T10:35"}]}],"promise":"2026-03-02T09:40"}""");
        // What may be left out may be.
        var bare = await _shop.Post("/api/day/plan", """{"now":"2026-03-02T09:00","hands":[{"id":"a","hours":[{"from":"2026-03-02T09:00","to":"2026-03-02T12:00"}]}],"jobs":[{"id":"j1","minutes":100,"due":"2026-03-02T10:00"}]}""");
        bare["allowanceMinutes"]!.GetValue<int>().ShouldBe(40);
        bare["late"]!.ToJsonString().ShouldBe("""[{"id":"j1","minutes":40}]""");
        bare["promise"].ShouldBeNull();
        // Nobody does it, ever.
        var never = await _shop.Post("/api/day/plan", Asked.Replace("\"slot\"", "\"mesh\"", StringComparison.Ordinal));
        never["feasible"]!.GetValue<bool>().ShouldBeFalse();
        never["allowanceMinutes"].ShouldBeNull();
        never["promise"]!.GetValue<string>().ShouldBe("2026-03-02T09:40");
    }

    [Theory]
    [InlineData("\"2026-03-02T09:00\",\"hands\"", "\"2026-03-02T09:00Z\",\"hands\"", "$.now")]
    [InlineData("\"minutes\":35", "\"minutes\":0", "$.jobs[0].minutes")]
    [InlineData("\"minutes\":40", "\"minutes\":2001", "$.one.minutes")]
    [InlineData("\"reserve\":0", "\"reserve\":91", "$.reserve")]
    [InlineData("T12:00", "T08:00", "$.hands[0].hours[0].to")]
    [InlineData("2026-03-02T12:00", "2026-06-02T12:00", "$.hands[0].hours[0].to")]
    [InlineData("2026-03-02T18:00", "today", "$.jobs[0].due")]
    [InlineData("\"id\":\"j1\"", "\"id\":\"\"", "$.jobs[0].id")]
    public async Task From_outside_it_is_refused_by_path(string was, string instead, string path) =>
        (await _shop.Post("/api/day/plan", Asked.Replace(was, instead, StringComparison.Ordinal), HttpStatusCode.BadRequest))["errors"]!.AsObject().Select(e => e.Key).ShouldContain(path);
}
