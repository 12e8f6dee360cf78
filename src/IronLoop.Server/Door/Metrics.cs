using IronLoop.Server.Host;
using Prometheus;

namespace IronLoop.Server.Door;

/// <summary>
/// What is counted for whoever watches over the program: calls and their times, memory, and the shop's own counts. In the demo at this
/// machine for everybody; else for who is signed in, and for programs with a key of the shop.
/// </summary>
internal sealed class Metrics
{
    private readonly CollectorRegistry _registry = Prometheus.Metrics.NewCustomRegistry();
    private readonly Counter _changes;
    private readonly Counter _stale;
    private readonly Counter _refused;
    private readonly Histogram _held;

    public Metrics(Changes changes)
    {
        var counts = Prometheus.Metrics.WithCustomRegistry(_registry);
        DotNetStats.Register(_registry);
        _changes = counts.CreateCounter("iron_loop_changes_total", "Changes that were stored.");
        _stale = counts.CreateCounter("iron_loop_changes_stale_total", "Changes refused since the job was changed on another screen.");
        _refused = counts.CreateCounter("iron_loop_door_refused_total", "Sign-ins refused.");
        _held = counts.CreateHistogram(
            "iron_loop_write_held_seconds", "How long a piece of work had the shop's file to write in.",
            new HistogramConfiguration { Buckets = [0.0005, 0.001, 0.002, 0.005, 0.01, 0.02, 0.05, 0.1, 0.25, 1] });
        var screens = counts.CreateGauge("iron_loop_screens", "Screens that listen.");
        _registry.AddBeforeCollectCallback(() => screens.Set(changes.Listening));
    }

    public void Changed() => _changes.Inc();

    public void Stale() => _stale.Inc();

    public void Refused() => _refused.Inc();

    public void Wrote(TimeSpan held) => _held.Observe(held.TotalSeconds);

    /// <summary>Counts each call and its time.</summary>
    public void Count(IApplicationBuilder app) => app.UseHttpMetrics(calls =>
    {
        (calls.InProgress.Registry, calls.RequestCount.Registry, calls.RequestDuration.Registry) = (_registry, _registry, _registry);
        calls.ReduceStatusCodeCardinality();
    });

    /// <summary>Tells the counts.</summary>
    public void Map(IEndpointRouteBuilder routes) =>
        routes.MapMetrics("/api/metrics", _registry).WithMetadata(new NeedsKeyFromElsewhere(EvenHere: true)).ExcludeFromDescription();
}
