using System.Net;
using System.Net.Http.Json;
using System.Net.WebSockets;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using IronLoop.Server.Contract;
using IronLoop.Server.Door;
using IronLoop.Server.Host;
using IronLoop.Server.Shop;
using IronLoop.Storage;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.AspNetCore.Mvc.Testing.Handlers;
using Microsoft.AspNetCore.TestHost;
using Microsoft.Extensions.DependencyInjection;
using Microsoft.Extensions.Logging;
using Microsoft.Extensions.Time.Testing;

namespace IronLoop.Server.Tests;

/// <summary>The real host on a real file in a folder of its own.</summary>
public sealed class Shop : IDisposable
{
    private static readonly Lazy<string> DemoFolder = new(() =>
    {
        var folder = Directory.CreateTempSubdirectory("iron-loop-demo-").FullName;
        using (var shop = new Shop(demo: true, folder: folder))
            shop.File.Checkpoint();
        AppDomain.CurrentDomain.ProcessExit += (_, _) => Directory.Delete(folder, recursive: true);
        return folder;
    });

    private readonly bool _ownsFolder;
    private readonly WebApplicationFactory<Program> _factory;

    /// <param name="demo">Whether the demo is in it.</param>
    /// <param name="folder">Its folder; null for one of its own.</param>
    /// <param name="suppliers">Where the suppliers answer.</param>
    /// <param name="door">Whether one has to sign in; most of what is tested is not about that.</param>
    /// <param name="behind">The proxy it stands behind.</param>
    public Shop(bool demo = false, string? folder = null, string? suppliers = null, bool door = false, string? behind = null)
    {
        _ownsFolder = folder is null;
        Folder = folder ?? Directory.CreateTempSubdirectory("iron-loop-").FullName;
        if (demo && folder is null)
        {
            // The demo is the same for every test: it is filled once and copied.
            System.IO.File.Copy(Path.Combine(DemoFolder.Value, "iron-loop.db"), Path.Combine(Folder, "iron-loop.db"));
            demo = false;
        }
        _factory = new WebApplicationFactory<Program>().WithWebHostBuilder(host =>
        {
            host.UseSetting("data", Folder);
            host.UseWebRoot(Folder);
            host.UseSetting("demo", demo ? "yes" : "no");
            host.UseSetting("suppliers", suppliers);
            // The clock here stands still, so a wait would never end.
            host.UseSetting("suppliersRetryDelay", "0");
            // The host of the tests has no limit to a body's size, and says so at every upload.
            host.ConfigureLogging(log => log.AddFilter("Microsoft.AspNetCore.Routing.EndpointRoutingMiddleware", LogLevel.Error));
            host.ConfigureTestServices(services =>
            {
                services.AddSingleton<TimeProvider>(Clock);
                services.AddSingleton<IStartupFilter, FromElsewhere>();
                if (behind is not null)
                    services.AddSingleton(new Switches(0, Folder, false, null, 0, []) { Behind = IPAddress.Parse(behind) });
                if (!door)
                    services.AddSingleton(new Doorway(isOpen: true));
            });
        });
        Client = OpenPage().GetAwaiter().GetResult();
    }

    public string Folder { get; }

    public FakeTimeProvider Clock { get; } = new(new DateTimeOffset(2026, 11, 24, 9, 0, 0, TimeSpan.Zero));

    public HttpClient Client { get; }

    /// <summary>A browser of its own with a page of the shop open: what it changes carries the page's sign.</summary>
    public async Task<HttpClient> OpenPage(CookieContainer? cookies = null)
    {
        var client = _factory.CreateDefaultClient(new CookieContainerHandler(cookies ?? new CookieContainer()));
        // On whatever stands, unless a test says otherwise: that a version is wanted, and kept to, is VersionsTests' business.
        client.DefaultRequestHeaders.TryAddWithoutValidation("If-Match", "*");
        await Sign(client);
        return client;
    }

    /// <summary>Asks the door for the sign that a page's changes carry; it is another for whoever signs in.</summary>
    public static async Task<JsonNode> Sign(HttpClient client)
    {
        var door = JsonNode.Parse(await client.GetStringAsync("/api/door"))!;
        client.DefaultRequestHeaders.Remove(Doorkeeper.Token);
        client.DefaultRequestHeaders.Add(Doorkeeper.Token, door["token"]!.GetValue<string>());
        return door;
    }

    /// <summary>The line on which a screen is told of changes.</summary>
    public Task<WebSocket> Listen(string? origin = null, CookieContainer? cookies = null)
    {
        var line = _factory.Server.CreateWebSocketClient();
        line.ConfigureRequest = request =>
        {
            if (origin is not null)
                request.Headers.Origin = origin;
            if (cookies is not null)
                request.Headers.Cookie = cookies.GetCookieHeader(new Uri("http://localhost/api/changes"));
        };
        return line.ConnectAsync(new Uri("ws://localhost/api/changes"), CancellationToken.None);
    }

    /// <summary>The host itself, for a caller that is no browser.</summary>
    public HttpMessageHandler Handler => _factory.Server.CreateHandler();

    /// <summary>All calls the host knows.</summary>
    public IEnumerable<Microsoft.AspNetCore.Http.Endpoint> Calls => _factory.Services.GetRequiredService<Microsoft.AspNetCore.Routing.EndpointDataSource>().Endpoints;

    /// <summary>A long piece of work as it ended.</summary>
    public async Task<JsonNode> Ended(JsonNode work)
    {
        var id = work["id"]!.GetValue<string>();
        await _factory.Services.GetRequiredService<LongWorks>().Find(id).Ended;
        return await Get($"/api/long-work/{id}");
    }

    public ShopFile File => _factory.Services.GetRequiredService<ShopFile>();

    public async Task<JsonNode> Get(string path) => (await Read(await Client.GetAsync(path), HttpStatusCode.OK))!;

    public async Task<JsonNode> Send(HttpMethod method, string path, object? body, HttpStatusCode expected = HttpStatusCode.OK)
    {
        using var request = new HttpRequestMessage(method, path);
        if (body is not null)
            request.Content = body is string json ? new StringContent(json, Encoding.UTF8, "application/json") : JsonContent.Create(body);
        return (await Read(await Client.SendAsync(request), expected))!;
    }

    public Task<JsonNode> Post(string path, object? body, HttpStatusCode expected = HttpStatusCode.OK) => Send(HttpMethod.Post, path, body, expected);

    public Task<JsonNode> Put(string path, object? body, HttpStatusCode expected = HttpStatusCode.OK) => Send(HttpMethod.Put, path, body, expected);

    public Task<JsonNode> Patch(string path, object? body, HttpStatusCode expected = HttpStatusCode.OK) => Send(HttpMethod.Patch, path, body, expected);

    /// <summary>Ends the program; the shop's folder stays, for another to go on with.</summary>
    public string Stop()
    {
        Client.Dispose();
        _factory.Dispose();
        ShopFile.LetGo();
        return Folder;
    }

    public void Dispose()
    {
        Stop();
        if (_ownsFolder)
            Directory.Delete(Folder, recursive: true);
    }

    private async Task<JsonNode?> Read(HttpResponseMessage response, HttpStatusCode expected)
    {
        var text = await response.Content.ReadAsStringAsync();
        text.ShouldNotContain(Folder, customMessage: "where things lie on the machine is said in no answer");
        response.StatusCode.ShouldBe(expected, text);
        if (!response.IsSuccessStatusCode)
            response.Content.Headers.ContentType!.MediaType.ShouldBe("application/problem+json");
        return JsonNode.Parse(text);
    }
}
