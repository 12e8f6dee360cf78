using System.Diagnostics.Metrics;
using System.Net;
using OpenTelemetry.Metrics;

namespace IronLoop.Server.Live;

/// <summary>
/// What is counted for whoever watches over the program: calls and their times, memory, and the shop's own counts, by OpenTelemetry's
/// names, for this machine only.
/// </summary>
internal sealed class Metrics : IDisposable
{
    private const string Name = "IronLoop";

    private readonly Meter _meter;
    private readonly Counter<long> _changes;
    private readonly Counter<long> _stale;
    private readonly Counter<long> _refused;

    public Metrics(IMeterFactory meters, Changes changes)
    {
        _meter = meters.Create(Name);
        _changes = _meter.CreateCounter<long>("iron_loop.changes", "{change}", "Changes that were stored.");
        _stale = _meter.CreateCounter<long>("iron_loop.changes.stale", "{change}", "Changes refused since the job was changed on another screen.");
        _refused = _meter.CreateCounter<long>("iron_loop.door.refused", "{try}", "Sign-ins refused.");
        _meter.CreateObservableGauge("iron_loop.screens", () => changes.Listening, "{screen}", "Screens that listen.");
    }

    public void Changed() => _changes.Add(1);

    public void Stale() => _stale.Add(1);

    public void Refused() => _refused.Add(1);

    public void Dispose() => _meter.Dispose();

    /// <summary>Counts what the host counts, and the shop's own.</summary>
    public static void Add(IServiceCollection services)
    {
        services.AddSingleton<Metrics>();
        services.AddOpenTelemetry().WithMetrics(metrics => metrics
            .AddMeter(Name, "Microsoft.AspNetCore.Hosting", "Microsoft.AspNetCore.Server.Kestrel", "System.Runtime")
            .AddPrometheusExporter());
    }

    /// <summary>Whether a call asks for the counts from this machine itself, not passed on for another.</summary>
    public static bool IsAsked(HttpContext context) =>
        context.Request.Path.Equals("/api/metrics", StringComparison.Ordinal)
        && (context.Connection.RemoteIpAddress is null || IPAddress.IsLoopback(context.Connection.RemoteIpAddress))
        && !context.Request.Headers.ContainsKey("X-Forwarded-For") && !context.Request.Headers.ContainsKey("Forwarded");
}
