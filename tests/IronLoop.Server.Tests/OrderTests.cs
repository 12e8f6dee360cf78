using System.Net;
using System.Text.Json.Nodes;
using IronLoop.Core.Jobs;
using UglyToad.PdfPig;

namespace IronLoop.Server.Tests;

/// <summary>Ordering from the stand-in suppliers over HTTP, in all their moods.</summary>
public sealed class OrderTests : IAsyncLifetime
{
    private StandInSuppliers _suppliers = null!;
    private Shop _shop = null!;

    public async ValueTask InitializeAsync()
    {
        _suppliers = await StandInSuppliers.Open();
        _shop = new Shop(demo: true, suppliers: _suppliers.Address);
    }

    public async ValueTask DisposeAsync()
    {
        _shop.Dispose();
        await _suppliers.DisposeAsync();
    }

    private const string Findings = "Fennick & Loe Findings";
    private const string SmallParts = "Quarrel Street Small Parts";

    private async Task<JsonNode> Job(string client) =>
        (await _shop.Get("/api/jobs")).AsArray().Single(j => j!["client"]!.GetValue<string>() == client)!;

    private async Task<long> JobId(string client) => (await Job(client))["id"]!.GetValue<long>();

    private async Task<JsonNode> Part(string article) =>
        (await _shop.Get("/api/parts")).AsArray().Single(p => p!["article"]!.GetValue<string>() == article)!;

    private async Task<long> PartId(string article) => (await Part(article))["id"]!.GetValue<long>();

    /// <summary>The between-sizes job waits for a clasp that a supplier has.</summary>
    private async Task<long> WaitForClasp(string article = "QS-S18")
    {
        // Another job of the demo waits for a clasp too; it is left out of what is ordered here.
        foreach (var line in (await _shop.Get("/api/orders"))["toOrder"]!.AsArray().SelectMany(s => s!["lines"]!.AsArray()))
            await _shop.Send(HttpMethod.Delete, $"/api/orders/lines/{line!["id"]}", null);
        var job = await JobId("Ketil Orrel");
        await _shop.Post($"/api/jobs/{job}/clasp/offers", new { article });
        await _shop.Put($"/api/jobs/{job}/clasp/other", new { partId = await PartId(article) });
        return job;
    }

    private static JsonNode Only(JsonNode book) => book["orders"]!.AsArray().Single()!;

    private static string State(JsonNode order) => order["state"]!.GetValue<string>();

    private async Task<JsonNode> Order(string supplier = SmallParts) => await _shop.Post("/api/orders", new { supplier, by = "mk" });

    [Fact]
    public async Task A_missing_clasp_is_found_by_the_band_s_end_ordered_received_and_the_job_wakes()
    {
        var job = await JobId("Ketil Orrel");
        var offers = await _shop.Get($"/api/jobs/{job}/clasp/offers");
        offers["trouble"].ShouldBeNull();
        offers["offers"]!.AsArray().ShouldAllBe(o => Math.Abs(o!["measured"]!.GetValue<string>().Contains("18", StringComparison.Ordinal) ? 0 : 1) <= 1);
        var best = offers["offers"]![0]!;
        best["cures"]!.GetValue<bool>().ShouldBeTrue();
        best["partId"].ShouldBeNull("it is not on the shop’s list yet");

        await WaitForClasp();
        (await Job("Ketil Orrel"))["waits"]!.GetValue<bool>().ShouldBeTrue();
        (await _shop.Get($"/api/jobs/{job}"))["awaited"]![0]!.GetValue<string>().ShouldContain("QS-S18");
        var wanted = await Part("QS-S18");
        (wanted["listed"]!.GetValue<int>(), wanted["ordered"]!.GetValue<int>()).ShouldBe((1, 0), "it stands on the list; nobody was asked for it yet");
        var toOrder = (await _shop.Get("/api/orders"))["toOrder"]!.AsArray().Single()!;
        toOrder["supplier"]!.GetValue<string>().ShouldBe(SmallParts);
        toOrder["lines"]![0]!["measured"]!.GetValue<string>().ShouldContain("18.1 mm inside");
        toOrder["lines"]![0]!["jobId"]!.GetValue<long>().ShouldBe(job);
        (await _shop.Post("/api/orders/quote", new { supplier = SmallParts }))["says"]!.GetValue<string>().ShouldContain("78.00 together, in 2 days");

        var order = Only(await Order());
        State(order).ShouldBe("accepted");
        _suppliers.Play(forwardHours: 60);
        order = Only(await _shop.Post("/api/orders/ask", null));
        State(order).ShouldBe("shipped");
        var sentFor = await Part("QS-S18");
        (sentFor["listed"]!.GetValue<int>(), sentFor["ordered"]!.GetValue<int>()).ShouldBe((0, 1));
        var line = order["lines"]![0]!["id"]!.GetValue<long>();
        order = Only(await _shop.Post($"/api/orders/{order["id"]}/received", new { by = "tb", lines = new[] { new { lineId = line, count = 1 } } }));
        State(order).ShouldBe("done");

        var tag = await Job("Ketil Orrel");
        tag["waits"]!.GetValue<bool>().ShouldBeFalse();
        tag["partsIn"]!.GetValue<bool>().ShouldBeTrue("the waiting job wakes on the rack");
        var part = await Part("QS-S18");
        (part["onHand"]!.GetValue<int>(), part["reserved"]!.GetValue<int>(), part["free"]!.GetValue<int>()).ShouldBe((1, 1, 0));
        (await _shop.Get($"/api/parts/{part["id"]}/entries"))[0]!["reason"]!.GetValue<string>().ShouldStartWith("order 1");
        (await _shop.Get("/api/log?words=QS-S18")).ToJsonString().ShouldContain("Came in");
    }

    [Fact]
    public async Task An_order_whose_answer_is_lost_is_not_doubled()
    {
        await WaitForClasp();
        _suppliers.Play(loseNext: 2);
        var order = Only(await Order());
        State(order).ShouldBe("accepted");
        _suppliers.Orders.ShouldBe(1);
        await _shop.Post("/api/orders/ask", null);
        _suppliers.Orders.ShouldBe(1);
    }

    [Fact]
    public async Task A_supplier_that_is_down_is_said_and_the_order_goes_later()
    {
        await WaitForClasp();
        _suppliers.Play(down: true);
        var job = await JobId("Ketil Orrel");
        (await _shop.Get($"/api/jobs/{job}/clasp/offers"))["trouble"]!.GetValue<string>().ShouldContain("503");
        await _shop.Post("/api/orders/quote", new { supplier = SmallParts }, HttpStatusCode.BadGateway);
        var order = Only(await Order());
        State(order).ShouldBe("sending");
        order["says"]!.GetValue<string>().ShouldContain("503");
        (await _shop.Get("/api/orders"))["toOrder"]!.AsArray().ShouldBeEmpty("it is one order, not two");

        _suppliers.Play(down: false);
        State(Only(await _shop.Post("/api/orders/ask", null))).ShouldBe("accepted");
        _suppliers.Orders.ShouldBe(1);
    }

    [Fact]
    public async Task A_partial_delivery_is_booked_and_the_rest_awaited()
    {
        var pins = await PartId("PN-10-16");
        await _shop.Post($"/api/jobs/{await JobId("Ketil Orrel")}/clasp/offers", new { article = "FL-P1-18" });
        await _shop.Post("/api/orders/lines", new { partId = await PartId("FL-P1-18"), count = 8 });
        (await _shop.Post("/api/orders/lines", new { partId = pins, count = 1_000 }, HttpStatusCode.BadRequest))["errors"]!["$.count"]![0]!.GetValue<string>()
            .ShouldContain("1 to 999");
        _suppliers.Play(partly: true);
        await Order(Findings);
        _suppliers.Play(forwardHours: 60);
        var order = Only(await _shop.Post("/api/orders/ask", null));
        State(order).ShouldBe("partly");
        order["lines"]![0]!["shipped"]!.GetValue<int>().ShouldBe(4);
        var line = order["lines"]![0]!["id"]!.GetValue<long>();
        async Task<JsonNode> Came(int count, HttpStatusCode expected = HttpStatusCode.OK) =>
            await _shop.Post($"/api/orders/{order["id"]}/received", new { by = "mk", lines = new[] { new { lineId = line, count } } }, expected);
        order = Only(await Came(4));
        State(order).ShouldBe("partly");
        (await Part("FL-P1-18"))["onHand"]!.GetValue<int>().ShouldBe(4);
        (await Came(5, HttpStatusCode.BadRequest))["errors"]!["$.lines[0].count"]![0]!.GetValue<string>().ShouldContain("allowed is 0 to 4");
        _suppliers.Play(forwardHours: 120);
        await _shop.Post("/api/orders/ask", null);
        State(Only(await Came(4))).ShouldBe("done");
        (await Part("FL-P1-18"))["onHand"]!.GetValue<int>().ShouldBe(8);
    }

    [Fact]
    public async Task What_a_supplier_refuses_is_said_and_can_be_ordered_elsewhere()
    {
        await WaitForClasp();
        _suppliers.Play(refuse: true);
        var order = Only(await Order());
        State(order).ShouldBe("refused");
        order["lines"]![0]!["refused"]!.GetValue<string>().ShouldContain("on hold");
        (await Part("QS-S18"))["toOrder"]!.GetValue<int>().ShouldBe(1, "what was refused is wanted still");
        await _shop.Post($"/api/orders/{order["id"]}/received", new { by = "mk", lines = new[] { new { lineId = order["lines"]![0]!["id"]!.GetValue<long>(), count = 1 } } },
            HttpStatusCode.BadRequest);
        _suppliers.Play(refuse: false);
        (await _shop.Post("/api/orders/fill-up", null))["toOrder"]!.AsArray().SelectMany(s => s!["lines"]!.AsArray()).Select(l => l!["article"]!.GetValue<string>()).ShouldContain("QS-S18");
    }

    [Fact]
    public async Task Through_two_hundred_failures_no_order_is_lost_and_none_is_doubled()
    {
        var part = await PartId("PN-10-18");
        var random = new Random(7);
        var made = 0;
        while (_suppliers.Failures < 200)
        {
            await _shop.Post("/api/orders/lines", new { partId = part, count = 1 + random.Next(3) });
            // Some calls fail before anything is done, some after the order is taken.
            var (fail, lose) = (random.Next(4), random.Next(4));
            _suppliers.Play(failNext: fail, loseNext: lose);
            await Order(Findings);
            made++;
        }
        _suppliers.Play(failNext: 0, loseNext: 0);
        await _shop.Post("/api/orders/ask", null);
        var orders = (await _shop.Get("/api/orders"))["orders"]!.AsArray();
        orders.Count.ShouldBe(made);
        orders.ShouldAllBe(o => State(o!) == "accepted" || State(o!) == "shipped" || State(o!) == "partly", "none is lost");
        orders.Select(o => o!["number"]!.GetValue<string>()).ShouldBeUnique();
        _suppliers.Orders.ShouldBe(made, "none is doubled");
    }

    [Fact]
    public async Task An_order_goes_out_as_paper_and_as_csv_too()
    {
        await WaitForClasp();
        await _shop.Put("/api/orders/suppliers", new { address = "ftp://nowhere" }, HttpStatusCode.BadRequest);
        await Order();
        foreach (var (paper, width) in ((string, double)[])[("a4", 595), ("letter", 612)])
        {
            var response = await _shop.Client.GetAsync($"/api/orders/1.pdf?paper={paper}");
            response.Content.Headers.ContentType!.MediaType.ShouldBe("application/pdf");
            using var pdf = PdfDocument.Open(await response.Content.ReadAsByteArrayAsync());
            pdf.NumberOfPages.ShouldBe(1);
            pdf.GetPage(1).Width.ShouldBe(width, 1);
            // A reader of text may or may not see the spaces.
            var text = pdf.GetPage(1).Text.Replace(" ", "", StringComparison.Ordinal);
            text.ShouldContain("QuarrelStreetSmallParts");
            text.ShouldContain("18.1mminside");
            text.ShouldContain("78.00");
        }
        var csv = await _shop.Client.GetStringAsync("/api/orders/1.csv");
        csv.ShouldContain("QS-S18,Fold-over with slide,\"18.1 mm inside, bar 1.5 mm, 12 positions of 1 mm\",1,78.00,");
        await _shop.Send(HttpMethod.Get, "/api/orders/9.pdf", null, HttpStatusCode.NotFound);
        await _shop.Send(HttpMethod.Get, "/api/orders/1.pdf?paper=a5", null, HttpStatusCode.BadRequest);
    }

    [Fact]
    public async Task The_suppliers_speak_for_themselves_in_a_document_of_their_own()
    {
        using var http = new HttpClient { BaseAddress = new Uri(_suppliers.Address) };
        var document = JsonNode.Parse(await http.GetStringAsync("openapi/v1.json"))!;
        document["paths"]!.AsObject().Select(p => p.Key).ShouldBe(["/suppliers", "/parts", "/parts/{article}", "/quotes", "/orders", "/orders/{number}"], ignoreOrder: true);
        (await http.PostAsync("orders", new StringContent("""{"supplier":"Fennick & Loe Findings","reference":"x","lines":[]}""", System.Text.Encoding.UTF8, "application/json")))
            .StatusCode.ShouldBe(HttpStatusCode.BadRequest, "an order without a key is none");
    }

    [Fact]
    public async Task Without_an_address_orders_are_made_and_printed_all_the_same()
    {
        using var alone = new Shop(demo: true);
        var pin = (await alone.Get("/api/parts?kind=pin")).AsArray().Single(p => p!["article"]!.GetValue<string>() == "PN-10-18")!;
        await alone.Post("/api/orders/lines", new { partId = pin["id"]!.GetValue<long>(), count = 10 });
        State(Only(await alone.Post("/api/orders", new { supplier = Findings, by = "mk" }))).ShouldBe("sending");
        (await alone.Client.GetAsync("/api/orders/1.pdf")).StatusCode.ShouldBe(HttpStatusCode.OK);
        var job = (await alone.Get("/api/jobs")).AsArray().Single(j => j!["client"]!.GetValue<string>() == "Ketil Orrel")!["id"];
        await alone.Send(HttpMethod.Get, $"/api/jobs/{job}/clasp/offers", null, HttpStatusCode.Conflict);
    }
}
