using IronLoop.Core.Jobs;
using IronLoop.Server.Contract;
using IronLoop.Server.Door;
using IronLoop.Server.Host.Demo;
using IronLoop.Server.Safekeeping;
using IronLoop.Server.Shop;
using IronLoop.Server.Shop.Rack;
using IronLoop.Server.Stations;
using IronLoop.Server.Stations.Bench;
using IronLoop.Storage;

namespace IronLoop.Server.Host;

/// <summary>Opens the shop before the first call, and says in one line why it cannot.</summary>
internal static class Opening
{
    /// <returns>What the program ends with; null when the shop is open.</returns>
    public static async Task<int?> Open(WebApplication app, Switches switches)
    {
        ShopFile shop;
        try
        {
            shop = app.Services.GetRequiredService<ShopFile>();
            shop.Written = app.Services.GetRequiredService<Metrics>().Wrote;
            OnlyOurs.MakeSo(Path.GetDirectoryName(shop.Path)!);
            ArchiveFile.Sweep(Path.GetDirectoryName(shop.Path)!);
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
        Reloaded.Watch(shop);
        if (switches.Demo || app.Configuration["demo"] == "yes")
            DemoShop.FillWhenEmpty(shop, app.Services.GetRequiredService<TimeProvider>());
        return null;
    }

    /// <summary>Puts a backup in the place of the shop in the folder, with no server running.</summary>
    /// <returns>What the program ends with.</returns>
    public static async Task<int> Restore(Switches switches, string kept)
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

    /// <summary>
    /// How each call is read and answered takes the runtime a second to work out, all calls before the first is answered: it is begun beside
    /// the opening of the file, not after it. What was worked out once is known when the routes are asked for.
    /// </summary>
    public static void Foresee(IEndpointRouteBuilder routes)
    {
        if (!StartedBy.IsReal)
            return;
        var sources = routes.DataSources.ToList();
        _ = Task.Run(() => Parallel.ForEach(sources, static source => _ = source.Endpoints.Count));
    }

    /// <summary>What is done once it answers.</summary>
    public static void Started(WebApplication app, Switches switches)
    {
        app.Lifetime.ApplicationStarted.Register(() =>
        {
            // Under a test host nobody reads the console.
            if (!StartedBy.Itself)
                return;
            // The first question of the day should not have to wait for the routes, nor the first list of bands for the shelf.
            app.Services.GetRequiredService<BackgroundWork>().Begin(ending =>
            {
                _ = app.Services.GetRequiredService<EndpointDataSource>().Endpoints;
                LookRound(app);
                app.Services.GetRequiredService<MatchShelf>().Now(app.Services.GetRequiredService<ShopFile>());
            });
            Console.WriteLine($"Iron Loop is at {string.Join(' ', app.Urls)}{(switches.Demo ? ", with the demo" : "")}. Ctrl+C stops it.");
        });
    }

    // As many as are likely to be of several kinds, links and straps, at several stations.
    private const int JobsLookedAt = 6;

    /// <summary>
    /// Looks at the rack and at its first jobs as a screen would, and takes each to the bench in thought, so that what that asks for is known,
    /// and compiled, before somebody does.
    /// </summary>
    private static void LookRound(WebApplication app)
    {
        var clock = app.Services.GetRequiredService<TimeProvider>();
        var shop = new OpenShop(app.Services.GetRequiredService<ShopFile>());
        var tags = app.Services.GetRequiredService<RackTags>().Of(shop, work => Storage.Jobs.Tags(work, [], null), clock.Today());
        foreach (var tag in tags.Take(JobsLookedAt))
        {
            using var look = shop.Look();
            var job = TheJob.Read(look, tag.Id);
            _ = (LoopSheet.Of(job), BenchSheet.Of(look, job));
            if (job.May(JobAct.Arrange).Ok)
                _ = LoopSheet.Of(AgreedPlan.Of(job, clock.GetUtcNow()).Job);
        }
        // The words of the open jobs are gathered when the log is first asked.
        using var log = shop.Look();
        _ = Visits.Find(log, new LogQuestion(Words: "tag"), long.MaxValue, 1);
    }
}
