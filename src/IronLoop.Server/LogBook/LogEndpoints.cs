using IronLoop.Core.Jobs;
using IronLoop.Storage;

namespace IronLoop.Server.LogBook;

internal sealed record LogEntryWire(long JobId, DateTimeOffset At, string By, Station Station, string Words, string Client, string Watch);

/// <summary>The log, searched by words.</summary>
internal static class LogEndpoints
{
    private const int MostWords = 12;

    public static void MapLog(this IEndpointRouteBuilder routes) =>
        routes.MapGet("/api/log", Search).WithName("log").WithTags("log")
            .WithSummary("Lines in which every word is found, newest first: client, watch, words, initials, tag number.");

    private static List<LogEntryWire> Search(ShopFile shop, string? words = null)
    {
        var sought = string.Concat((words ?? "").Where(c => !char.IsControl(c))).Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries).Take(MostWords).ToArray();
        using var work = shop.Look();
        return [.. Log.Search(work, sought).Select(e => new LogEntryWire(e.JobId, e.At, e.By, e.Station, e.Words, e.Client, e.Watch))];
    }
}
