using IronLoop.Core.Fitting;
using IronLoop.Core.Jobs;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Server.Contract;
using IronLoop.Server.Rack;
using IronLoop.Storage;

namespace IronLoop.Server.Gauge;

/// <summary>
/// Figures as typed, such as <c>19.4 mm</c> or <c>6 5/8 in</c>. A field left out stays as it was; an empty one is
/// forgotten, so that it is assumed or missing again.
/// </summary>
internal sealed record GaugeWire(
    string? LugWidth = null,
    Attachment? Attachment = null,
    string? LugToLug = null,
    string? BarToBar = null,
    string? BarRise = null,
    string? Wrist = null,
    WearPreference? Wear = null,
    string? Family = null)
{
    /// <summary>The figures with what was typed put in.</summary>
    public Figures Into(Figures figures)
    {
        var refusals = new Refusals();
        Length? Read(string path, string? typed, AllowedLength allowed, Length? before) =>
            typed is null ? before : refusals.Typed(path, typed, allowed);
        var gauged = figures with
        {
            LugWidth = Read("$.lugWidth", LugWidth, Figures.AllowedLugWidth, figures.LugWidth),
            Attachment = Attachment ?? figures.Attachment,
            LugToLug = Read("$.lugToLug", LugToLug, Figures.AllowedLugToLug, figures.LugToLug),
            BarToBar = Read("$.barToBar", BarToBar, FitRanges.BarToBar, figures.BarToBar),
            BarRise = Read("$.barRise", BarRise, FitRanges.BarRise, figures.BarRise),
            Wrist = Read("$.wrist", Wrist, FitRanges.Wrist, figures.Wrist),
            Wear = Wear ?? figures.Wear,
            Family = Family is null ? figures.Family : refusals.Text("$.family", Family, 20, required: false) is { Length: > 0 } code ? code : null,
        };
        refusals.ThrowIfAny();
        return gauged;
    }
}

/// <summary>Gauge: watch and wrist.</summary>
internal static class GaugeEndpoints
{
    public static void MapGauge(this IEndpointRouteBuilder routes) =>
        routes.MapPatch("/api/jobs/{id:long}/gauge", Gauge).WithName("gauge").WithTags("gauge").WithSummary("Takes figures as typed.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);

    private static JobWire Gauge(long id, GaugeWire typed, ShopFile shop, TimeProvider clock)
    {
        using var work = shop.Begin();
        var file = JobFile.Read(work, id);
        file.MustBeOpen();
        Watches.Gauge(work, id, typed.Into(file.Figures));
        var job = JobWire.Of(JobFile.Read(work, id), clock.Today());
        work.Keep();
        return job;
    }
}
