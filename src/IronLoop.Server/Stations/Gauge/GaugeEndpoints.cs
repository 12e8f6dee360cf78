using IronLoop.Core.Bands;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Server.Contract;
using IronLoop.Server.Door;
using IronLoop.Storage;

namespace IronLoop.Server.Stations.Gauge;

/// <summary>
/// What is chosen, and figures as typed, such as <c>19.4 mm</c> or <c>6 5/8 in</c>. A field left out stays as it was; a
/// figure given here takes the place of its readings, an empty one is forgotten, so that it is assumed or missing again.
/// </summary>
internal sealed record GaugeWire(
    string? LugWidth = null,
    Attachment? Attachment = null,
    string? LugToLug = null,
    string? BarToBar = null,
    string? BarRise = null,
    string? Wrist = null,
    WearPreference? Wear = null,
    string? Family = null,
    CaseShape? CaseShape = null,
    WornAt? WornAt = null,
    Season? Season = null)
{
    /// <summary>The figures that are given, read; a length of null forgets.</summary>
    public IReadOnlyList<(GaugedFigure Figure, Length? Length)> Lengths(Refusals refusals)
    {
        (GaugedFigure Figure, string Path, string? Typed)[] given =
        [
            (GaugedFigure.LugWidth, "$.lugWidth", LugWidth), (GaugedFigure.LugToLug, "$.lugToLug", LugToLug),
            (GaugedFigure.BarToBar, "$.barToBar", BarToBar), (GaugedFigure.BarRise, "$.barRise", BarRise), (GaugedFigure.Wrist, "$.wrist", Wrist),
        ];
        return [.. given.Where(g => g.Typed is not null).Select(g => (g.Figure, refusals.Typed(g.Path, g.Typed, FigureKind.For(g.Figure).Allowed)))];
    }
}

/// <summary>A reading as typed, or as a caliper's line brought it.</summary>
/// <param name="Figure">What was read.</param>
/// <param name="Typed">The reading.</param>
/// <param name="ByLine">Whether a caliper's line brought it.</param>
internal sealed record NewReading(GaugedFigure Figure, string Typed, bool ByLine = false);

/// <summary>Gauge: watch, band and wrist.</summary>
internal static class GaugeEndpoints
{
    public static void MapGauge(this IEndpointRouteBuilder routes)
    {
        var gauge = routes.MapGroup("/api/jobs/{id:long}/gauge").WithTags("gauge");
        gauge.MapGet("", (long id, OpenShop shop) =>
        {
            using var work = shop.Look();
            return GaugeSheetWire.Read(work, TheJob.Read(work, id));
        }).WithName("gaugeSheet").WithSummary("The gauging sheet: what this job needs, its readings, and what is questioned.")
            .ProducesProblem(StatusCodes.Status404NotFound);
        gauge.MapPatch("", Gauge).WithName("gauge").WithSummary("Takes what is chosen, and figures as typed.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
        gauge.MapPost("/readings", Read).WithName("read").WithSummary("Adds a reading of one figure.").ProducesValidationProblem();
        gauge.MapDelete("/readings/{reading:long}", Drop).WithName("dropReading").WithSummary("Drops a reading.")
            .ProducesProblem(StatusCodes.Status404NotFound);
        gauge.MapPut("/{figure}/stands", LetStand).WithName("letStand").WithSummary("Says of a questioned figure that it is so.")
            .ProducesValidationProblem();
    }

    private static JobWire Gauge(long id, GaugeWire typed, OpenShop shop, TimeProvider clock)
    {
        using var work = shop.Begin();
        var file = TheJob.For(work, id, JobAct.Gauge);
        var refusals = new Refusals();
        var lengths = typed.Lengths(refusals);
        var family = typed.Family is null ? file.Figures.Family : refusals.Text("$.family", typed.Family, 20, required: false) is { Length: > 0 } code ? code : null;
        refusals.ThrowIfAny();
        foreach (var (figure, length) in lengths)
            Gaugings.Replace(work, id, figure, length, clock.GetUtcNow());
        Gaugings.Choose(work, id, file.Figures with
        {
            Attachment = typed.Attachment ?? file.Figures.Attachment,
            CaseShape = typed.CaseShape ?? file.Figures.CaseShape,
            Wear = typed.Wear ?? file.Figures.Wear,
            Family = family,
        });
        var note = Wrists.NoteOf(work, id);
        Wrists.Note(work, id, new WristNote(typed.WornAt ?? note.WornAt, typed.Season ?? note.Season));
        OwnBraceletBand.Refresh(work, file, JobAct.Gauge, clock);
        var after = TheJob.Read(work, id);
        file.MayStay(() => after).OrRefuse();
        GaugeChange.Learn(work, after, clock);
        work.Commit();
        return JobWire.Of(TheJob.Read(work, id), clock.Today());
    }

    private static GaugeSheetWire Read(long id, NewReading reading, OpenShop shop, TimeProvider clock)
    {
        var refusals = new Refusals();
        var kind = FigureKind.For(reading.Figure);
        if (refusals.Typed("$.typed", reading.Typed, kind.Allowed, kind.Name) is not { } length)
        {
            refusals.Add("$.typed", $"Nothing was read for the {kind.Name}; allowed is {kind.Allowed}.");
            length = kind.Allowed.Lowest;
        }
        refusals.ThrowIfAny();
        return GaugeChange.Make(id, shop, clock, kind.Of == GaugedOf.Band ? JobAct.GaugeBracelet : JobAct.Gauge,
            (work, _) => Gaugings.Read(work, id, reading.Figure, length, reading.ByLine, clock.GetUtcNow()));
    }

    private static GaugeSheetWire Drop(long id, long reading, OpenShop shop, TimeProvider clock) => GaugeChange.Make(id, shop, clock, JobAct.Gauge, (work, _) =>
    {
        if (!Gaugings.Drop(work, id, reading))
            throw RefusedException.NotFound($"There is no reading {reading} of this visit.");
    });

    private static GaugeSheetWire LetStand(long id, string figure, OpenShop shop, TimeProvider clock)
    {
        if (!Enum.TryParse<GaugedFigure>(figure, ignoreCase: true, out var known) || !Enum.IsDefined(known))
            throw RefusedException.NotFound($"There is no figure {figure}.");
        return GaugeChange.Make(id, shop, clock, JobAct.Gauge, (work, _) => Gaugings.LetStand(work, id, known));
    }
}
