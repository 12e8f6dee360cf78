using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Core.Measuring;
using IronLoop.Storage;

namespace IronLoop.Server.Shop;

/// <summary>A line of the log.</summary>
internal sealed record LogEntryWire(DateTimeOffset At, string By, Station Station, string Words)
{
    public static LogEntryWire Of(LogEntry entry) => new(entry.At, entry.By, entry.Station, entry.Words);
}

/// <summary>A visit: one job with its lines.</summary>
internal sealed record VisitWire(
    long JobId, long ClientId, string Client, long WatchId, string Watch, Request Request, DateTimeOffset TakenInAt, DateTimeOffset? ClosedAt, string By, string? Band,
    IReadOnlyList<LogEntryWire> Entries)
{
    public static IReadOnlyList<VisitWire> Of(ShopWork work, IReadOnlyList<Visit> visits)
    {
        var entries = Log.Of(work, visits.Select(v => v.JobId));
        return [.. visits.Select(v => new VisitWire(
            v.JobId, v.ClientId, v.Client, v.WatchId, v.Watch, v.Request, v.TakenInAt, v.ClosedAt, v.By, v.Band, [.. entries[v.JobId].Select(LogEntryWire.Of)]))];
    }
}
