using System.Net.ServerSentEvents;
using IronLoop.Server.Contract;
using IronLoop.Server.Door;
using IronLoop.Server.Host;
using IronLoop.Storage;

namespace IronLoop.Server.Devices;

/// <summary>The caliper's line as settled, and how it stands.</summary>
/// <param name="StandInPage">Where the stand-in's panel is, when the program was started with one.</param>
internal sealed record CaliperWire(CaliperSource Source, bool Connected, string Says, string? StandInPage);

/// <summary>The caliper: its line, and its readings as they come.</summary>
internal static class CaliperEndpoints
{
    public static void MapCaliper(this IEndpointRouteBuilder routes)
    {
        var caliper = routes.MapGroup("/api/caliper").WithTags("devices");
        caliper.MapGet("", (OpenShop shop, CaliperFeed feed, Switches switches) =>
        {
            using var work = shop.Look();
            return Wire(CaliperSource.Find(work), feed, switches);
        }).WithName("caliper").WithSummary("The caliper’s line as set, and how it stands.");
        caliper.MapPut("", Settle).WithName("settleCaliper").WithSummary("Sets where the caliper’s lines come from.").ProducesValidationProblem();
        caliper.MapGet("/stream", (CaliperFeed feed, OpenLine line, HttpContext context) => TypedResults.ServerSentEvents(Stream(feed, line.Until(context))))
            .WithName("caliperStream").WithSummary("Readings as they come, as server-sent events.").ExcludeFromDescription();
    }

    private static CaliperWire Settle(CaliperSource source, OpenShop shop, CaliperFeed feed, CaliperListener listener, Switches switches)
    {
        using (var work = shop.Begin())
        {
            source.Checked().Settle(work);
            work.Commit();
        }
        listener.SettledAnew();
        return Wire(source, feed, switches);
    }

    private static async IAsyncEnumerable<SseItem<CaliperWord>> Stream(CaliperFeed feed, CancellationTokenSource until)
    {
        using (until)
        {
            await foreach (var word in feed.Listen(until.Token))
                yield return new SseItem<CaliperWord>(word);
        }
    }

    private static CaliperWire Wire(CaliperSource source, CaliperFeed feed, Switches switches) =>
        new(source, feed.Line.Connected, feed.Line.Says, switches.StandIns > 0 ? $"http://127.0.0.1:{switches.StandIns}/" : null);
}
