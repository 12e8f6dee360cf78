using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Core.Models;
using IronLoop.Server.Contract;
using IronLoop.Server.Door;
using IronLoop.Storage;

namespace IronLoop.Server.Stations.Gauge;

/// <summary>Which edition of a model is taken.</summary>
internal sealed record TakeModelWire(long Edition);

/// <summary>What the model book has for a job.</summary>
/// <param name="Pieces">How many watches tell of it.</param>
/// <param name="Offered">Figures the book has, and the job not yet.</param>
/// <param name="Taken">Figures of the job that are the book's until they are read.</param>
/// <param name="Unconfirmed">Of those, the ones nobody confirmed.</param>
/// <param name="Joints">What holds its joints, group by group, in words.</param>
/// <param name="Freed">What is known of last links that look fixed.</param>
internal sealed record JobModelWire(long ModelId, string Name, long Edition, string EditionName, int Pieces, IReadOnlyList<string> Offered, IReadOnlyList<string> Taken, IReadOnlyList<string> Unconfirmed, string Note,
    IReadOnlyList<string> Joints, IReadOnlyList<SaidOfLinkWire> Freed)
{
    public static JobModelWire? Of(ShopWork work, JobSnapshot file)
    {
        if (ModelBook.EditionOfJob(work, file.Job.Id) is not { } id || ModelBook.Edition(work, id) is not { } edition || ModelBook.Named(work, id) is not { } model)
            return null;
        var figures = file.Figures;
        var withBand = GaugeSheet.KeepsBand(file.Job.Request);
        string[] Names(Func<GaugedFigure, bool> which) => [.. FigureKind.All.Where(k => which(k.Figure)).Select(k => k.Name)];
        return new JobModelWire(
            model.Id, model.Name, id, edition.Name, edition.Pieces,
            Names(f => edition.Figures.Any(e => e.Figure == f) && figures[f] is null && (withBand || FigureKind.For(f).Of == GaugedOf.Watch)),
            Names(f => figures.FromTheBook(f) is not null),
            Names(f => figures.FromTheBook(f) is { Confirmed: false }),
            model.Note,
            withBand ? [.. edition.Joints.Select(j => j.Says)] : [],
            [.. edition.Freed.Select(f => new SaidOfLinkWire(f.Side, FreedWords.Of(f.Side, f.Link, f.Pieces)))]);
    }
}

/// <summary>What the model book says of the last link of a side.</summary>
internal sealed record SaidOfLinkWire(Side Side, string Says);

/// <summary>What a job takes from the model book.</summary>
internal static class ModelEndpoints
{
    public static void MapJobModel(this IEndpointRouteBuilder routes)
    {
        var model = routes.MapGroup("/api/jobs/{id:long}/gauge/model").WithTags("gauge");
        model.MapPut("", Take).WithName("takeModel").WithSummary("Fills the job with what the model book has of an edition; each figure is dashed until it is read or confirmed.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
        model.MapPut("/confirmed", (long id, OpenShop shop, TimeProvider clock) => GaugeChange.Make(id, shop, clock, JobAct.Gauge, (work, _) => ModelBook.Confirm(work, id)))
            .WithName("confirmModel").WithSummary("Says of all that was taken from the model book that it is so.").ProducesProblem(StatusCodes.Status404NotFound);
        model.MapDelete("", (long id, OpenShop shop, TimeProvider clock) => GaugeChange.Make(id, shop, clock, JobAct.Gauge, (work, _) => ModelBook.Leave(work, id)))
            .WithName("leaveModel").WithSummary("Leaves what was taken from the model book; what was read stays.").ProducesProblem(StatusCodes.Status404NotFound);
    }

    private static GaugeSheetWire Take(long id, TakeModelWire taken, OpenShop shop, TimeProvider clock)
    {
        EditionSheet Edition(ShopWork work)
        {
            if (ModelBook.Edition(work, taken.Edition) is { } found)
                return found;
            var refusals = new Refusals();
            refusals.Add("$.edition", $"edition is {taken.Edition}; the model book has none of that number.");
            refusals.ThrowIfAny();
            throw new InvalidOperationException("A refusal does not go on.");
        }
        // A bracelet is filled in only where one is gauged: its act says whether it may be changed.
        return GaugeChange.Make(id, shop, clock, JobAct.GaugeBracelet, (work, file) => ModelBook.Take(work, id, Edition(work), file.Figures, GaugeSheet.KeepsBand(file.Job.Request)));
    }
}
