using System.Text.Json.Serialization.Metadata;
using IronLoop.Server.Contract;
using IronLoop.Server.Devices;
using IronLoop.Server.Door;
using IronLoop.Server.Paper;
using IronLoop.Server.Safekeeping;
using IronLoop.Server.Shop;
using IronLoop.Server.Shop.Archive;
using IronLoop.Server.Shop.Catalogue;
using IronLoop.Server.Shop.Clientele;
using IronLoop.Server.Shop.Day;
using IronLoop.Server.Shop.Finding;
using IronLoop.Server.Shop.ModelBook;
using IronLoop.Server.Shop.HouseRules;
using IronLoop.Server.Shop.LogBook;
using IronLoop.Server.Shop.Ordering;
using IronLoop.Server.Shop.PartStock;
using IronLoop.Server.Shop.Rack;
using IronLoop.Server.Stations;
using IronLoop.Server.Stations.Bench;
using IronLoop.Server.Stations.Clasp;
using IronLoop.Server.Stations.Counter;
using IronLoop.Server.Stations.Gauge;
using IronLoop.Server.Stations.HandOver;
using IronLoop.Server.Stations.Match;
using IronLoop.Server.Stations.Size;
using IronLoop.Server.Stations.TakeIn;
using IronLoop.Storage;
using Microsoft.AspNetCore.Authentication.Cookies;
using Microsoft.AspNetCore.DataProtection.KeyManagement;
using Microsoft.AspNetCore.DataProtection.Repositories;
using Microsoft.AspNetCore.ResponseCompression;
using Microsoft.Extensions.Logging.Abstractions;

namespace IronLoop.Server.Host;

/// <summary>What the calls are given to work with.</summary>
internal static class Services
{
    public static void Add(WebApplicationBuilder builder, Switches switches)
    {
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
        builder.Services.AddScoped<OpenShop>();
        builder.Services.AddSingleton<Metrics>();
        builder.Services.AddExceptionHandler<Problems>();
        Arithmetic.Add(builder.Services);
        // Screens of a shop are on its own net, without a certificate, where a browser takes nothing newer.
        builder.Services.AddResponseCompression(compression =>
        {
            compression.EnableForHttps = false;
            compression.Providers.Add<GzipCompressionProvider>();
        });
        builder.Services.Configure<GzipCompressionProviderOptions>(gzip => gzip.Level = System.IO.Compression.CompressionLevel.Optimal);
        builder.Services.AddSingleton(TimeProvider.System);
        builder.Services.AddSingleton(switches);
        // A piece of work beside the requests that fails ends itself, not the program.
        builder.Services.Configure<HostOptions>(host => host.BackgroundServiceExceptionBehavior = BackgroundServiceExceptionBehavior.Ignore);
        builder.Services.AddSingleton<BackgroundWork>();
        builder.Services.AddHostedService(services => services.GetRequiredService<BackgroundWork>());
        builder.Services.AddSingleton<LongWorks>();
        builder.Services.AddSingleton(Arrivals.Checks);
        builder.Services.AddSingleton<CatalogueDesk>();
        builder.Services.AddSingleton<CaliperFeed>();
        builder.Services.AddSingleton<MatchShelf>();
        builder.Services.AddSingleton<RackTags>();
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

        builder.Services.ConfigureHttpJsonOptions(json =>
        {
            Wire.Configure(json.SerializerOptions);
            if (StartedBy.IsReal)
            {
                // Worked out at the start it took longer than all else; a type that is in none of these is worked out then all the same.
                foreach (var known in (IJsonTypeInfoResolver[])[DevicesJson.Default, DoorJson.Default, HostJson.Default, PaperJson.Default, ShopJson.Default, ArchiveJson.Default, CatalogueJson.Default, ClienteleJson.Default, HouseRulesJson.Default, LogBookJson.Default, OrderingJson.Default, PartStockJson.Default, RackJson.Default, FindingJson.Default, DayJson.Default, ModelBookJson.Default, StationsJson.Default, BenchJson.Default, ClaspJson.Default, CounterJson.Default, GaugeJson.Default, HandOverJson.Default, MatchJson.Default, SizeJson.Default, TakeInJson.Default])
                    json.SerializerOptions.TypeInfoResolverChain.Insert(0, known);
            }
            json.SerializerOptions.TypeInfoResolver = json.SerializerOptions.TypeInfoResolver?.WithAddedModifier(Wire.RefuseNullInLists);
        });
        if (StartedBy.IsReal)
        {
            builder.Services.AddSingleton(services => ShopHeld.Take(services.GetRequiredService<IConfiguration>()["data"] ?? switches.Data));
            builder.Services.AddSingleton(services =>
            {
                // Let go of after the file, since it is taken before it.
                var held = services.GetRequiredService<ShopHeld>();
                var shop = ShopFile.Open(services.GetRequiredService<IConfiguration>()["data"] ?? switches.Data);
                held.Opened();
                return shop;
            });
            builder.Services.AddHostedService(services => services.GetRequiredService<CaliperListener>());
            // Under a test host orders are looked after when the test says so.
            if (StartedBy.Itself)
            {
                builder.Services.AddHostedService<OrderRunner>();
                builder.Services.AddHostedService(services => services.GetRequiredService<BackupRunner>());
            }
        }
        else
        {
            builder.Services.AddSingleton<ShopFile>(_ => throw new InvalidOperationException("No shop while the document is written."));
        }
    }
}
