using IronLoop.Server.Devices;
using IronLoop.Server.Door;
using IronLoop.Server.Paper;
using IronLoop.Server.Safekeeping;
using IronLoop.Server.Shop.Archive;
using IronLoop.Server.Shop.Catalogue;
using IronLoop.Server.Shop.Clientele;
using IronLoop.Server.Shop.Day;
using IronLoop.Server.Shop.Finding;
using IronLoop.Server.Shop.HouseRules;
using IronLoop.Server.Shop.LogBook;
using IronLoop.Server.Shop.ModelBook;
using IronLoop.Server.Shop.OpenFiles;
using IronLoop.Server.Shop.Ordering;
using IronLoop.Server.Shop.PartStock;
using IronLoop.Server.Shop.Rack;
using IronLoop.Server.Stations.Bench;
using IronLoop.Server.Stations.Clasp;
using IronLoop.Server.Stations.Counter;
using IronLoop.Server.Stations.Gauge;
using IronLoop.Server.Stations.HandOver;
using IronLoop.Server.Stations.Match;
using IronLoop.Server.Stations.Size;
using IronLoop.Server.Stations.TakeIn;
using IronLoop.Storage;

namespace IronLoop.Server.Host;

/// <summary>What a call goes through, and the calls there are.</summary>
internal static class Calls
{
    /// <summary>What every call goes through, in this order.</summary>
    public static void Prepare(WebApplication app)
    {
        app.UseForwardedHeaders();
        app.UseMiddleware<SafeHeaders>();
        app.UseExceptionHandler();
        app.UseStatusCodePages();
        app.Use(static (context, rest) =>
        {
            // What could not be read is looked at again, to say why.
            if (context.Request.HasJsonContentType())
                context.Request.EnableBuffering(bufferThreshold: 1 << 20);
            return rest(context);
        });
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
        if (StartedBy.IsReal)
            app.Services.GetRequiredService<Metrics>().Count(app);
        app.UseAuthentication();
        app.UseMiddleware<Doorkeeper>();
        app.UseMiddleware<OnceOnly>();
        app.UseRateLimiter();
    }

    /// <summary>The calls there are, by who may make them.</summary>
    public static void Map(WebApplication app)
    {
        app.NeedNobody().MapHealth();
        // Figures in, figures out: nothing of the shop is told or changed.
        var figures = app.WorkOutFigures();
        figures.MapFit();
        figures.MapJudge();
        figures.MapRank();
        figures.MapPlan();
        if (StartedBy.IsReal)
            app.Services.GetRequiredService<Metrics>().Map(app);
        app.MapDoor();
        app.MapChanges();
        // Over the counter.
        app.MapRack();
        app.MapFind();
        app.MapTakeIn();
        app.MapTakeInSheet();
        app.MapGauge();
        app.MapThreeWays();
        app.MapByHand();
        app.MapOwnBracelet();
        app.MapJobModel();
        app.MapMatch();
        app.MapLookUp();
        app.MapOrders();
        app.MapHandOver();
        app.MapObservation();
        app.MapPaper();
        app.MapLabels();
        app.MapDay();
        app.MapLog();
        app.MapOpenFiles();
        // At the bench, and on the shelves.
        var bench = app.ChangesNeed(Role.Fitter);
        // What goes to the bench in one press is a fitter's.
        bench.MapCounter();
        bench.MapSpringBars();
        bench.MapCatalogue();
        bench.MapBands();
        bench.MapClasp();
        bench.MapParts();
        bench.MapSize();
        bench.MapWhatIf();
        bench.MapVariants();
        bench.MapStraps();
        bench.MapCures();
        bench.MapBench();
        bench.MapTools();
        bench.MapModelBook();
        bench.MapNotes();
        // The house.
        var house = app.ChangesNeed(Role.Lead);
        house.MapHands();
        house.MapKeys();
        house.MapLimits();
        house.MapHours();
        house.MapBenchWay();
        house.MapSchool();
        house.MapCaliper();
        house.MapLongWork();
        house.MapBackups();
        house.MapClients();
        app.MapFallback("/api/{**rest}", static context => Results.Problem(statusCode: StatusCodes.Status404NotFound, title: "There is no such call.").ExecuteAsync(context));
        app.MapFallbackToFile("index.html").WithMetadata(new NeedsNobody());
    }
}
