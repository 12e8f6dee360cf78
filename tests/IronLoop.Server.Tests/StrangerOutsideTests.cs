using System.Net;
using System.Net.Sockets;
using System.Text;
using System.Text.Json.Nodes;
using IronLoop.Server.Contract;
using IronLoop.Server.Devices;
using IronLoop.Server.Host;
using Microsoft.AspNetCore.Builder;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Hosting.Server;
using Microsoft.AspNetCore.Hosting.Server.Features;
using Microsoft.AspNetCore.Http;
using Microsoft.Extensions.DependencyInjection;
using Microsoft.Extensions.Logging;

namespace IronLoop.Server.Tests;

/// <summary>What answers outside is a stranger: endless bodies, redirects, words of any kind, and devices that are none.</summary>
public sealed class StrangerOutsideTests : IAsyncLifetime
{
    private WebApplication _supplier = null!;
    private Shop _shop = null!;
    private RequestDelegate _answer = _ => Task.CompletedTask;
    private readonly List<string> _asked = [];

    public async ValueTask InitializeAsync()
    {
        var builder = WebApplication.CreateSlimBuilder();
        builder.Logging.ClearProviders();
        builder.WebHost.UseUrls("http://127.0.0.1:0");
        _supplier = builder.Build();
        _supplier.Run(context =>
        {
            lock (_asked)
                _asked.Add(context.Request.Path);
            return _answer(context);
        });
        await _supplier.StartAsync();
        _shop = new Shop(demo: true, suppliers: Address);
    }

    public async ValueTask DisposeAsync()
    {
        _shop.Dispose();
        await _supplier.DisposeAsync();
    }

    private string Address => _supplier.Services.GetRequiredService<IServer>().Features.Get<IServerAddressesFeature>()!.Addresses.Single() + "/";

    private async Task<JsonNode> Offers()
    {
        var job = (await _shop.Get("/api/jobs")).AsArray().Single(j => j!["client"]!.GetValue<string>() == "Ketil Orrel")!["id"]!.GetValue<long>();
        return await _shop.Get($"/api/jobs/{job}/clasp/offers");
    }

    private static Task Json(HttpContext context, string json)
    {
        context.Response.ContentType = "application/json";
        return context.Response.WriteAsync(json);
    }

    [Fact]
    public async Task A_body_without_an_end_is_read_no_further_than_a_megabyte()
    {
        _answer = async context =>
        {
            context.Response.ContentType = "application/json";
            var some = Encoding.ASCII.GetBytes("[" + new string(' ', 65_535));
            while (!context.RequestAborted.IsCancellationRequested)
                await context.Response.Body.WriteAsync(some, context.RequestAborted);
        };
        (await Offers())["trouble"]!.GetValue<string>().ShouldContain("longer than 1 MB");
    }

    [Fact]
    public async Task Who_answers_at_the_address_sends_nobody_on()
    {
        _answer = context =>
        {
            context.Response.Redirect(context.Request.Path == "/elsewhere" ? "/" : "/elsewhere");
            return Task.CompletedTask;
        };
        (await Offers())["trouble"]!.GetValue<string>().ShouldContain("302");
        lock (_asked)
            _asked.ShouldNotContain("/elsewhere");
    }

    [Theory]
    [InlineData("169.254.169.254", true)]
    [InlineData("::ffff:169.254.169.254", true)]
    [InlineData("fe80::1", true)]
    [InlineData("127.0.0.1", false)]
    [InlineData("192.168.1.20", false)]
    public void Link_local_addresses_are_told_apart(string address, bool isLinkLocal) => OutsideLine.IsLinkLocal(IPAddress.Parse(address)).ShouldBe(isLinkLocal);

    [Fact]
    public async Task Nothing_is_called_at_a_link_local_address()
    {
        await Should.ThrowAsync<LinkLocalException>(() => OutsideLine.Open("169.254.169.254", 80, CancellationToken.None));
        foreach (var address in (string[])["http://169.254.169.254/latest/", "http://[fe80::1]/", "http://[::ffff:169.254.169.254]/", "file:///etc/passwd"])
            await _shop.Put("/api/orders/suppliers", new { address }, HttpStatusCode.BadRequest);
        await _shop.Put("/api/label-printer", new { kind = "tcp", host = "169.254.169.254", port = 80 }, HttpStatusCode.BadRequest);
        await _shop.Put("/api/caliper", new { kind = "tcp", host = "fe80::1", port = 80 }, HttpStatusCode.BadRequest);
    }

    [Fact]
    public async Task Offers_whose_words_or_figures_cannot_be_are_left_out_and_the_others_are_cleaned()
    {
        const string pin = "\"kind\":\"clasp\",\"clasp\":\"foldOver\",\"priceCents\":100,\"available\":3,\"innerMm\":18.1";
        _answer = context => Json(context, $$"""
            [null,
             {"article":"{{new string('A', 41)}}","name":"Clasp","supplier":"Nobody",{{pin}}},
             {"article":"A-1","name":"{{new string('n', 9_000)}}","supplier":"Nobody",{{pin}}},
             {"article":"A-2","name":"Line\nbreak \u202Eevil","supplier":"Nobody",{{pin}}},
             {"article":"A-3","name":"Clasp","supplier":"Nobody","kind":"clasp","clasp":"foldOver","priceCents":-1,"available":3,"innerMm":18.1}]
            """);
        var offers = (await Offers())["offers"]!.AsArray();
        offers.Select(o => (o!["article"]!.GetValue<string>(), o["name"]!.GetValue<string>())).ShouldBe([("A-2", "Linebreak evil")]);
    }

    [Theory]
    [InlineData("""{"number":null,"lines":[]}""")]
    [InlineData("""{"number":"N-1","lines":null}""")]
    [InlineData("""{"number":"N-1","lines":[null]}""")]
    [InlineData("""{"number":"N-1","lines":[{"article":null,"count":1,"shipped":0}]}""")]
    [InlineData("""{"number":"N-1","lines":[{"article":"A-1","count":1,"shipped":2147483647}]}""")]
    public void An_answer_that_could_be_no_order_is_none(string json) =>
        System.Text.Json.JsonSerializer.Deserialize<SupplierOrderSaid>(json, System.Text.Json.JsonSerializerOptions.Web)!.Read().ShouldBeNull();

    [Fact]
    public async Task One_bad_order_does_not_stop_the_others()
    {
        var number = 0;
        _answer = async context =>
        {
            if (context.Request.Path != "/orders")
            {
                await Json(context, context.Request.Path == "/orders/N-1" ? """{"number":"N-1","lines":[{"article":"A","count":1,"shipped":"many"}]}""" : """{"number":"N-2","lines":[]}""");
                return;
            }
            var lines = (await JsonNode.ParseAsync(context.Request.Body))!["lines"]!.AsArray().Select(l => new { article = l!["article"]!.GetValue<string>(), count = 1, shipped = 0 });
            await context.Response.WriteAsJsonAsync(new { number = $"N-{Interlocked.Increment(ref number)}", lines });
        };
        var parts = (await _shop.Get("/api/parts")).AsArray();
        foreach (var supplier in parts.Select(p => p!["supplier"]!.GetValue<string>()).Where(s => s.Length > 0).Distinct().Take(2))
        {
            await _shop.Post("/api/orders/lines", new { partId = parts.First(p => p!["supplier"]!.GetValue<string>() == supplier)!["id"]!.GetValue<long>(), count = 1 });
            await _shop.Post("/api/orders", new { supplier, by = "mk" });
        }
        var book = await _shop.Post("/api/orders/ask", null);
        lock (_asked)
            _asked.ShouldContain("/orders/N-2", "though the one before it cannot be read");
        book["orders"]!.AsArray().Select(o => o!["says"]!.GetValue<string>()).ShouldContain("The supplier’s answer cannot be read.");
    }

    [Fact]
    public async Task What_answers_at_a_printer_s_address_is_not_repeated()
    {
        using var door = new TcpListener(IPAddress.Loopback, 0);
        door.Start();
        var port = ((IPEndPoint)door.LocalEndpoint).Port;
        var served = Task.Run(async () =>
        {
            using var caller = await door.AcceptTcpClientAsync();
            await caller.GetStream().WriteAsync(Encoding.ASCII.GetBytes("SSH-2.0-secret-keeper admin:hunter2 " + new string('x', 100_000)));
            await Task.Delay(Timeout.Infinite, new CancellationTokenSource(TimeSpan.FromSeconds(2)).Token).ContinueWith(_ => { }, TaskScheduler.Default);
        });
        await _shop.Put("/api/label-printer", new { kind = "tcp", host = "127.0.0.1", port });
        var job = (await _shop.Get("/api/jobs")).AsArray()[0]!["id"]!.GetValue<long>();
        var refused = await _shop.Post($"/api/jobs/{job}/label/print", new { what = "tag" }, HttpStatusCode.ServiceUnavailable);
        refused.ToJsonString().ShouldNotContain("secret");
        refused["title"]!.GetValue<string>().ShouldContain("nothing was printed");
        await served;
    }
}
