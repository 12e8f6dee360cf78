using System.Reflection;
using IronLoop.Server;
using IronLoop.Server.Bench;
using IronLoop.Server.Catalogue;
using IronLoop.Server.Clasp;
using IronLoop.Server.Clientele;
using IronLoop.Server.Contract;
using IronLoop.Server.Demo;
using IronLoop.Server.Devices;
using IronLoop.Server.Fit;
using IronLoop.Server.Gauge;
using IronLoop.Server.HandOver;
using IronLoop.Server.HouseRules;
using IronLoop.Server.Labels;
using IronLoop.Server.LogBook;
using IronLoop.Server.LongRunning;
using IronLoop.Server.Match;
using IronLoop.Server.OpenFiles;
using IronLoop.Server.Ordering;
using IronLoop.Server.Paper;
using IronLoop.Server.PartStock;
using IronLoop.Server.Rack;
using IronLoop.Server.Safekeeping;
using IronLoop.Server.Size;
using IronLoop.Server.TakeIn;
using IronLoop.Storage;
using Microsoft.AspNetCore.ResponseCompression;

if (!Switches.TryRead(args, out var switches, out var why))
{
    await Console.Error.WriteLineAsync(why);
    return 2;
}

if (switches.Restore is { } kept)
{
    try
    {
        Backups.PutIn(ShopFile.Open(switches.Data), kept);
        Console.WriteLine($"The shop in {switches.Data} is as {kept} has it.");
    }
    catch (Exception failed) when (failed is IOException or Microsoft.Data.Sqlite.SqliteException)
    {
        await Console.Error.WriteLineAsync($"Not restored; the shop is as it was. {failed.Message}");
        return 1;
    }
    return 0;
}

var builder = WebApplication.CreateBuilder(new WebApplicationOptions
{
    Args = switches.Rest,
    ContentRootPath = AppContext.BaseDirectory,
    WebRootPath = switches.Web,
});
builder.Logging.AddFilter("Microsoft", LogLevel.Warning);
// What comes of a call to a supplier is said by the order; its tries are not the log's business.
builder.Logging.AddFilter("System.Net.Http", LogLevel.Warning);
builder.Logging.AddFilter("Polly", LogLevel.Critical);
// A start that fails is said in one line below, not as a stack of calls.
builder.Logging.AddFilter("Microsoft.Extensions.Hosting", LogLevel.None);
builder.WebHost.ConfigureKestrel(kestrel => kestrel.Limits.MaxRequestBodySize = 1 << 20);
// Loopback only: there is no sign-in yet.
builder.WebHost.UseUrls($"http://127.0.0.1:{switches.Port}");
builder.Services.ConfigureHttpJsonOptions(json => Wire.Configure(json.SerializerOptions));
builder.Services.Configure<RouteHandlerOptions>(routes => routes.ThrowOnBadRequest = true);
builder.Services.AddOpenApi(Wire.Configure);
builder.Services.AddProblemDetails();
builder.Services.AddExceptionHandler<Problems>();
builder.Services.AddResponseCompression(compression => compression.EnableForHttps = false);
builder.Services.Configure<GzipCompressionProviderOptions>(gzip => gzip.Level = System.IO.Compression.CompressionLevel.Optimal);
builder.Services.AddSingleton(TimeProvider.System);
builder.Services.AddSingleton(switches);
builder.Services.AddSingleton<LongWorks>();
builder.Services.AddSingleton<CatalogueDesk>();
builder.Services.AddSingleton<CaliperFeed>();
builder.Services.AddSingleton<MatchShelf>();
builder.Services.AddSingleton<CaliperListener>();

builder.Services.AddSingleton<SupplierSource>();
builder.Services.AddScoped<OrderDesk>();
builder.Services.AddHttpClient<SupplierCalls>().AddStandardResilienceHandler(resilience =>
{
    resilience.AttemptTimeout.Timeout = TimeSpan.FromSeconds(2);
    resilience.TotalRequestTimeout.Timeout = TimeSpan.FromSeconds(15);
    resilience.Retry.MaxRetryAttempts = 4;
    // A shop sends few orders: what a few failures in a row say is said by the tries themselves.
    resilience.CircuitBreaker.FailureRatio = 0.95;
    resilience.Retry.Delay = TimeSpan.FromMilliseconds(builder.Configuration.GetValue("suppliersRetryDelay", 250));
});

// The document generator starts the application at build time, to read its routes; it must not touch a shop's file.
var startedBy = Assembly.GetEntryAssembly();
var isRealStart = startedBy?.GetName().Name != "GetDocument.Insider";
if (isRealStart)
{
    builder.Services.AddSingleton(services => ShopFile.Open(services.GetRequiredService<IConfiguration>()["data"] ?? switches.Data));
    builder.Services.AddHostedService(services => services.GetRequiredService<CaliperListener>());
    // Under a test host orders are looked after when the test says so.
    if (startedBy == typeof(Program).Assembly)
    {
        builder.Services.AddHostedService<OrderRunner>();
        builder.Services.AddHostedService<BackupRunner>();
    }
}
else
{
    builder.Services.AddSingleton<ShopFile>(_ => throw new InvalidOperationException("No shop while the document is written."));
}

var app = builder.Build();
app.UseMiddleware<SafeHeaders>();
app.UseExceptionHandler();
app.UseStatusCodePages();
app.UseResponseCompression();
app.UseDefaultFiles();
app.UseStaticFiles(new StaticFileOptions
{
    // Built files carry a hash in their name, so a browser may keep them for good; the page itself is asked for anew.
    OnPrepareResponse = file => file.Context.Response.Headers.CacheControl =
        file.Context.Request.Path.StartsWithSegments("/assets", StringComparison.Ordinal) ? "public, max-age=31536000, immutable" : "no-cache",
});
app.MapOpenApi("/api/openapi/{documentName}.json");
app.MapHealth();
app.MapFit();
app.MapRack();
app.MapTakeIn();
app.MapTakeInSheet();
app.MapGauge();
app.MapThreeWays();
app.MapOwnBracelet();
app.MapCaliper();
app.MapJudge();
app.MapMatch();
app.MapLookUp();
app.MapSpringBars();
app.MapCatalogue();
app.MapLimits();
app.MapBands();
app.MapClasp();
app.MapParts();
app.MapOrders();
app.MapSize();
app.MapWhatIf();
app.MapSchool();
app.MapStraps();
app.MapBench();
app.MapHandOver();
app.MapPaper();
app.MapLabels();
app.MapLog();
app.MapLongWork();
app.MapBackups();
app.MapOpenFiles();
app.MapClients();
app.MapFallback("/api/{**rest}", static context => Results.Problem(statusCode: StatusCodes.Status404NotFound, title: "There is no such call.").ExecuteAsync(context));
app.MapFallbackToFile("index.html");

if (isRealStart)
{
    var shop = app.Services.GetRequiredService<ShopFile>();
    if (switches.Demo || app.Configuration["demo"] == "yes")
        DemoShop.FillWhenEmpty(shop, app.Services.GetRequiredService<TimeProvider>());
}

app.Lifetime.ApplicationStarted.Register(() =>
{
    // Under a test host nobody reads the console.
    if (startedBy != typeof(Program).Assembly)
        return;
    // The first question of the day should not have to wait for the shelf.
    _ = Task.Run(() => app.Services.GetRequiredService<MatchShelf>().Now(app.Services.GetRequiredService<ShopFile>()));
    Console.WriteLine($"Iron Loop is at {string.Join(' ', app.Urls)}{(switches.Demo ? ", with the demo" : "")}. Ctrl+C stops it.");
});
try
{
    await app.RunAsync();
    return 0;
}
catch (IOException taken) when (taken.InnerException is Microsoft.AspNetCore.Connections.AddressInUseException)
{
    await Console.Error.WriteLineAsync($"Port {switches.Port} is taken by another program; choose another with --port N.");
    return 1;
}
