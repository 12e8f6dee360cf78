using System.Reflection;
using System.Security.Cryptography;
using System.Security.Cryptography.X509Certificates;
using System.Text.Json.Serialization.Metadata;
using IronLoop.Server;
using IronLoop.Server.Bench;
using IronLoop.Server.Catalogue;
using IronLoop.Server.Clasp;
using IronLoop.Server.Clientele;
using IronLoop.Server.Contract;
using IronLoop.Server.Demo;
using IronLoop.Server.Devices;
using IronLoop.Server.Door;
using IronLoop.Server.Fit;
using IronLoop.Server.Gauge;
using IronLoop.Server.HandOver;
using IronLoop.Server.HouseRules;
using IronLoop.Server.Labels;
using IronLoop.Server.Live;
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
using Microsoft.AspNetCore.Authentication.Cookies;
using Microsoft.AspNetCore.DataProtection.KeyManagement;
using Microsoft.AspNetCore.DataProtection.Repositories;
using Microsoft.AspNetCore.ResponseCompression;
using Microsoft.Extensions.Logging.Abstractions;

OnlyOurs.FromNowOn();
if (!Switches.TryRead(args, out var switches, out var why))
{
    await Console.Error.WriteLineAsync(why);
    return 2;
}

if (switches.Restore is { } kept)
{
    try
    {
        using var held = ShopHeld.Take(switches.Data);
        var aside = Backups.PutIn(switches.Data, kept, DateTimeOffset.UtcNow);
        Console.WriteLine($"The shop in {switches.Data} is as {kept} has it.{(aside is null ? "" : $" The damaged one is kept as {aside}.")}");
    }
    catch (Exception failed) when (failed is IOException or Microsoft.Data.Sqlite.SqliteException)
    {
        await Console.Error.WriteLineAsync($"Not restored; the shop is as it was. {failed.Message}");
        return 1;
    }
    return 0;
}

X509Certificate2? certificate = null;
try
{
    // Read before anything else is begun, so that a wrong file is said in one line.
    if (switches.Secured is { } pem)
        certificate = X509Certificate2.CreateFromPemFile(pem.Certificate, pem.Key);
}
catch (CryptographicException wrong)
{
    await Console.Error.WriteLineAsync($"The certificate and its key cannot be read as PEM: {wrong.Message}");
    return 2;
}

// A call waits for its turn at the file on a thread of its own; on two cores the pool would begin with two.
ThreadPool.SetMinThreads(64, 64);

var builder = WebApplication.CreateBuilder(new WebApplicationOptions
{
    Args = switches.Rest,
    ContentRootPath = AppContext.BaseDirectory,
    WebRootPath = switches.Web,
});
// One line of JSON each, so that a program can read them; the request's number stands in all that belong to it.
builder.Logging.ClearProviders();
builder.Logging.AddJsonConsole(json => (json.IncludeScopes, json.UseUtcTimestamp, json.TimestampFormat) = (true, true, "yyyy-MM-dd'T'HH:mm:ss.fff'Z'"));
builder.Logging.AddFilter("Microsoft", LogLevel.Warning);
// What comes of a call to a supplier is said by the order; its tries are not the log's business.
builder.Logging.AddFilter("System.Net.Http", LogLevel.Warning);
builder.Logging.AddFilter("Polly", LogLevel.Critical);
// A start that fails is said in one line below, not as a stack of calls.
builder.Logging.AddFilter("Microsoft.Extensions.Hosting", LogLevel.None);
// That keys lie in the shop's folder as they are is meant: whoever reads that folder has the shop.
builder.Logging.AddFilter("Microsoft.AspNetCore.DataProtection", LogLevel.Error);
builder.WebHost.ConfigureKestrel(kestrel =>
{
    kestrel.Limits.MaxRequestBodySize = 1 << 20;
    kestrel.AddServerHeader = false;
    if (switches.Listen is { } address && certificate is not null)
        kestrel.Listen(System.Net.IPAddress.Parse(address), switches.Port, listen => listen.UseHttps(certificate));
});
// This machine alone, unless others are asked for.
if (switches.Listen is null)
    builder.WebHost.UseUrls($"http://127.0.0.1:{switches.Port}");
// A page from elsewhere must not reach the shop under a name of its own.
builder.Configuration["AllowedHosts"] = string.Join(';', switches.Hosts);
builder.Services.Configure<RouteHandlerOptions>(routes => routes.ThrowOnBadRequest = true);
builder.Services.AddOpenApi(Wire.Configure);
builder.Services.AddProblemDetails(problems => problems.CustomizeProblemDetails = about => about.ProblemDetails.Extensions["requestId"] = about.HttpContext.TraceIdentifier);
builder.Services.AddAuthentication(CookieAuthenticationDefaults.AuthenticationScheme).AddCookie();
builder.Services.AddAntiforgery();
Cookies.Add(builder.Services);
builder.Services.AddOptions<KeyManagementOptions>().Configure<IConfiguration>((keys, configuration) =>
    keys.XmlRepository = new FileSystemXmlRepository(new DirectoryInfo(Path.Combine(configuration["data"] ?? switches.Data, "keys")), NullLoggerFactory.Instance));
builder.Services.AddSingleton(new Doorway(isOpen: switches.Demo));
builder.Services.AddSingleton<Knocks>();
builder.Services.AddSingleton<KnownBrowser>();
builder.Services.AddSingleton<Changes>();
builder.Services.AddSingleton<OpenLine>();
builder.Services.AddSingleton<Metrics>();
builder.Services.AddExceptionHandler<Problems>();
Arithmetic.Add(builder.Services);
builder.Services.AddResponseCompression(compression => compression.EnableForHttps = false);
builder.Services.Configure<GzipCompressionProviderOptions>(gzip => gzip.Level = System.IO.Compression.CompressionLevel.Optimal);
builder.Services.AddSingleton(TimeProvider.System);
builder.Services.AddSingleton(switches);
// A piece of work beside the requests that fails ends itself, not the program.
builder.Services.Configure<HostOptions>(host => host.BackgroundServiceExceptionBehavior = BackgroundServiceExceptionBehavior.Ignore);
builder.Services.AddSingleton<BackgroundWork>();
builder.Services.AddHostedService(services => services.GetRequiredService<BackgroundWork>());
builder.Services.AddSingleton<LongWorks>();
builder.Services.AddSingleton<CatalogueDesk>();
builder.Services.AddSingleton<CaliperFeed>();
builder.Services.AddSingleton<MatchShelf>();
builder.Services.AddSingleton<CaliperListener>();

builder.Services.AddSingleton<SupplierSource>();
builder.Services.AddScoped<OrderDesk>();
builder.Services.AddSingleton<BackupRunner>();
builder.Services.AddHttpClient<SupplierCalls>(SupplierCalls.Bound).ConfigurePrimaryHttpMessageHandler(SupplierCalls.Line).AddStandardResilienceHandler(resilience =>
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
builder.Services.ConfigureHttpJsonOptions(json =>
{
    Wire.Configure(json.SerializerOptions);
    if (isRealStart)
        json.SerializerOptions.TypeInfoResolverChain.Insert(0, WireContext.Default);
    json.SerializerOptions.TypeInfoResolver = json.SerializerOptions.TypeInfoResolver?.WithAddedModifier(Wire.RefuseNullInLists);
});
if (isRealStart)
{
    builder.Services.AddSingleton(services => ShopHeld.Take(services.GetRequiredService<IConfiguration>()["data"] ?? switches.Data));
    builder.Services.AddSingleton(services =>
    {
        // Let go of after the file, since it is taken before it.
        _ = services.GetRequiredService<ShopHeld>();
        return ShopFile.Open(services.GetRequiredService<IConfiguration>()["data"] ?? switches.Data);
    });
    builder.Services.AddHostedService(services => services.GetRequiredService<CaliperListener>());
    // Under a test host orders are looked after when the test says so.
    if (startedBy == typeof(Program).Assembly)
    {
        builder.Services.AddHostedService<OrderRunner>();
        builder.Services.AddHostedService(services => services.GetRequiredService<BackupRunner>());
    }
}
else
{
    builder.Services.AddSingleton<ShopFile>(_ => throw new InvalidOperationException("No shop while the document is written."));
}

var app = builder.Build();
app.UseForwardedHeaders();
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
// The page itself does not wait for the calls' routes.
app.UseRouting();
app.UseWebSockets(new WebSocketOptions { KeepAliveInterval = TimeSpan.FromSeconds(15), KeepAliveTimeout = TimeSpan.FromSeconds(30) });
app.MapOpenApi("/api/openapi/{documentName}.json").WithMetadata(new NeedsNobody());
if (isRealStart)
    app.Services.GetRequiredService<Metrics>().Count(app);
app.UseAuthentication();
app.UseMiddleware<Doorkeeper>();
app.UseMiddleware<OnceOnly>();
app.UseRateLimiter();
app.NeedNobody().MapHealth();
// Figures in, figures out: nothing of the shop is told or changed.
var figures = app.WorkOutFigures();
figures.MapFit();
figures.MapJudge();
if (isRealStart)
    app.Services.GetRequiredService<Metrics>().Map(app);
app.MapDoor();
app.MapChanges();
// Over the counter.
app.MapRack();
app.MapTakeIn();
app.MapTakeInSheet();
app.MapGauge();
app.MapThreeWays();
app.MapOwnBracelet();
app.MapMatch();
app.MapLookUp();
app.MapOrders();
app.MapHandOver();
app.MapPaper();
app.MapLabels();
app.MapLog();
app.MapOpenFiles();
// At the bench, and on the shelves.
var bench = app.ChangesNeed(Role.Fitter);
bench.MapSpringBars();
bench.MapCatalogue();
bench.MapBands();
bench.MapClasp();
bench.MapParts();
bench.MapSize();
bench.MapWhatIf();
bench.MapVariants();
bench.MapStraps();
bench.MapBench();
bench.MapTools();
bench.MapNotes();
// The house.
var house = app.ChangesNeed(Role.Lead);
house.MapHands();
house.MapKeys();
house.MapLimits();
house.MapBenchWay();
house.MapSchool();
house.MapCaliper();
house.MapLongWork();
house.MapBackups();
house.MapClients();
app.MapFallback("/api/{**rest}", static context => Results.Problem(statusCode: StatusCodes.Status404NotFound, title: "There is no such call.").ExecuteAsync(context));
app.MapFallbackToFile("index.html").WithMetadata(new NeedsNobody());

if (isRealStart)
{
    ShopFile shop;
    try
    {
        shop = app.Services.GetRequiredService<ShopFile>();
        OnlyOurs.MakeSo(Path.GetDirectoryName(shop.Path)!);
        LongWorkEndpoints.Sweep(Path.GetDirectoryName(shop.Path)!);
        new Backups(shop).Sweep();
        if (app.Services.GetRequiredService<ShopHeld>().LostAhead)
            app.Logger.LogError("{Lost}", ShopHeld.Lost);
    }
    catch (Exception failed) when (StartTrouble.Explain(failed, switches.Data) is { } trouble)
    {
        await Console.Error.WriteLineAsync(trouble);
        return 3;
    }
    if (Doorway.WhyNotBeyond(switches, shop) is { } refused)
    {
        await Console.Error.WriteLineAsync(refused);
        return 2;
    }
    ComeOver.Run(shop);
    if (switches.Demo || app.Configuration["demo"] == "yes")
        DemoShop.FillWhenEmpty(shop, app.Services.GetRequiredService<TimeProvider>());
}

app.Lifetime.ApplicationStarted.Register(() =>
{
    // Under a test host nobody reads the console.
    if (startedBy != typeof(Program).Assembly)
        return;
    // The first question of the day should not have to wait for the routes, nor the first list of bands for the shelf.
    app.Services.GetRequiredService<BackgroundWork>().Begin(ending =>
    {
        _ = app.Services.GetRequiredService<EndpointDataSource>().Endpoints;
        app.Services.GetRequiredService<MatchShelf>().Now(app.Services.GetRequiredService<ShopFile>());
    });
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
