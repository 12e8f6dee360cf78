using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Jobs;
using IronLoop.Core.Measuring;
using IronLoop.Core.Shelf;
using IronLoop.Core.Stock;
using IronLoop.Server.Contract;
using IronLoop.Server.Door;
using IronLoop.Storage;

namespace IronLoop.Server.Stations.Size;

/// <summary>A link never to take, or no longer so.</summary>
/// <param name="Ordinal">Its place from the case, 0 first.</param>
internal sealed record PinWire(Side Side, int Ordinal, bool Pinned);

/// <summary>A loose link in stock that would go in.</summary>
/// <param name="Free">How many more could be taken.</param>
/// <param name="Taken">How many this job takes.</param>
internal sealed record StockLinkWire(long PartId, string Article, string Name, Length PitchMm, Length WidthMm, int Free, int Taken);

/// <summary>What a fitter tries on the bracelet: pins, links freed at the clasp, links from stock.</summary>
internal static class WhatIfEndpoints
{
    public static void MapWhatIf(this IEndpointRouteBuilder routes)
    {
        var size = routes.MapGroup("/api/jobs/{id:long}/size").WithTags("size");
        size.MapPut("/pinned", Pin).WithName("pinLink").WithSummary("Never take this link, or no longer so.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
        size.MapPut("/freed", Free).WithName("freeLink").WithSummary("A link that looks fixed is freed at the clasp’s joint, or not.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
        size.MapGet("/links", Links).WithName("stockLinks").WithSummary("Loose links in stock that would go in.").ProducesProblem(StatusCodes.Status404NotFound);
        size.MapPut("/links", Take).WithName("takeLinks").WithSummary("Takes loose links from stock to try, or gives them back.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
    }

    private static LoopSheet Pin(long id, PinWire pin, OpenShop shop)
    {
        using var work = shop.Begin();
        var file = TheJob.For(work, id, JobAct.MarkLinks);
        var links = file.Chosen!.Unmarked.Links!;
        var refusals = new Refusals();
        refusals.Check("$.ordinal", new AllowedNumber(0, Math.Max(0, links.On(pin.Side).Count - 1)), pin.Ordinal);
        refusals.ThrowIfAny();
        if (pin.Pinned && file.Band!.Links!.On(pin.Side) is var row && (pin.Ordinal >= row.Count || !row[pin.Ordinal].Removable))
            refusals.Add("$.ordinal", $"Link {pin.Ordinal + 1} from the case on the {PlanWords.Name(pin.Side)} side never comes out anyway.");
        refusals.ThrowIfAny("The link is not pinned.");
        MarkedLinks.Pin(work, id, pin.Side, pin.Ordinal, pin.Pinned);
        if (file.Plan is { } plan)
            Plans.Set(work, id, new JobPlan(plan.Arrangement.Pinned(pin.Side, pin.Ordinal, pin.Pinned), plan.Target, null));
        return Kept(work, id);
    }

    private static LoopSheet Free(long id, FreedWire freed, OpenShop shop)
    {
        var refusals = new Refusals();
        var typed = refusals.Typed("$.endPiece", freed.EndPiece, new AllowedLength(Length.Zero, FitRanges.Pitch.Highest)) ?? Length.Zero;
        refusals.ThrowIfAny();
        using var work = shop.Begin();
        var links = TheJob.For(work, id, JobAct.MarkLinks).Chosen!.Unmarked.Links!;
        if (freed.Freed && LinkMarks.WhyNotFreed(links.On(freed.Side), freed.Side, typed) is { } why)
        {
            refusals.Add("$.endPiece", why);
            refusals.ThrowIfAny("The link is not freed.");
        }
        MarkedLinks.Free(work, id, freed.Side, freed.Freed ? typed : null);
        Plans.Drop(work, id);
        return Kept(work, id);
    }

    private static IReadOnlyList<StockLinkWire> Links(long id, OpenShop shop)
    {
        using var work = shop.Look();
        var file = TheJob.Read(work, id);
        return file.Chosen?.Unmarked is not { Links: not null } band ? [] :
        [
            .. Parts.All(work, PartKind.Link).Where(p => LinkFromStock.Suits(p.Part.Link!, band, file.House.Limits)).Select(p => new StockLinkWire(
                p.Id, p.Part.Article, p.Part.Name, p.Part.Link!.Pitch, p.Part.Link.Width, p.Count.Free, file.Taken.Where(t => t.IsLinksToTry && t.Part.Id == p.Id).Sum(t => t.Count))),
        ];
    }

    private static LoopSheet Take(long id, TakeLinkWire wanted, OpenShop shop)
    {
        var refusals = new Refusals();
        refusals.Check("$.count", FitRanges.Spares, wanted.Count);
        refusals.ThrowIfAny();
        using var work = shop.Begin();
        var file = TheJob.For(work, id, JobAct.MarkLinks);
        LinksToTry.SetTaken(work, id, LinksToTry.LinkFor(work, file, wanted.PartId), wanted.Count);
        // What was laid with links that went back cannot lie so any more.
        if (file.Plan is { } plan && TheJob.Read(work, id) is { Band: { } band } && plan.Arrangement.LooseLinks(band.Spares).Any(l => l.Count < 0))
            Plans.Drop(work, id);
        return Kept(work, id);
    }

    private static LoopSheet Kept(ShopWork work, long id)
    {
        work.Commit();
        return LoopSheet.Of(TheJob.Read(work, id));
    }
}
