using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Jobs;
using IronLoop.Core.Measuring;
using IronLoop.Core.Stock;
using IronLoop.Server.Contract;
using IronLoop.Server.Door;
using IronLoop.Storage;

namespace IronLoop.Server.Stations.Size;

/// <summary>A variant to return to, and how its links lie, or its hole.</summary>
internal sealed record ReturnWire(VariantWire With, ByHand Lies);

/// <summary>The way back to a variant that was tried.</summary>
internal static class VariantEndpoints
{
    public static void MapVariants(this IEndpointRouteBuilder routes) =>
        routes.MapGroup("/api/jobs/{id:long}/size").WithTags("size").MapPut("/variant", Return).WithName("returnTo")
            .WithSummary("Returns to a variant that was tried: its clasp, its links from stock, its freed links and how they lie. Links never to be taken stay so.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);

    private static LoopSheet Return(long id, ReturnWire to, OpenShop shop, TimeProvider clock)
    {
        using var work = shop.Begin();
        var file = TheJob.For(work, id, JobAct.ChooseBand);
        PutClasp(work, file, to.With.ClaspPartId, clock.GetUtcNow());
        if (to.With.Way != file.Way)
        {
            file.May(JobAct.WearAnotherWay).OrRefuse();
            Storage.Jobs.WearAs(work, id, to.With.Way);
        }
        if (file.Chosen?.Unmarked.Links is { } links)
        {
            PutLinks(work, file, to.With.Links);
            PutFreed(work, file, links, to.With.Freed);
        }
        file = TheJob.For(work, id, JobAct.Arrange);
        Plans.Set(work, id, new JobPlan(to.Lies.Read(file.Band!, file.Holed), file.Target!.Value.Length, null));
        work.Commit();
        return LoopSheet.Of(TheJob.Read(work, id));
    }

    private static void PutClasp(ShopWork work, JobSnapshot file, long? part, DateTimeOffset at)
    {
        if (part == file.OtherClasp?.Id)
            return;
        if (part is { } other)
            ClaspChoice.Replace(work, file, other, signedBy: "", at);
        else
            ClaspChoice.Keep(work, file, signedBy: "", at);
    }

    /// <summary>What is taken already as it is to be is left alone: another job may wait for what is given back.</summary>
    private static void PutLinks(ShopWork work, JobSnapshot file, IReadOnlyList<TakeLinkWire> wanted)
    {
        var refusals = new Refusals();
        for (var i = 0; i < wanted.Count; i++)
            refusals.Check($"$.with.links[{i}].count", FitRanges.Spares, wanted[i].Count);
        refusals.ThrowIfAny();
        foreach (var taken in file.Taken.Where(t => t.IsLinksToTry).Where(t => wanted.All(w => w.PartId != t.Part.Id)).ToList())
            LinksToTry.SetTaken(work, file.Job.Id, taken.Part, 0);
        foreach (var link in wanted.Where(w => file.Taken.Where(t => t.IsLinksToTry).All(t => t.Part.Id != w.PartId || t.Count != w.Count)))
            LinksToTry.SetTaken(work, file.Job.Id, LinksToTry.LinkFor(work, file, link.PartId), link.Count);
    }

    private static void PutFreed(ShopWork work, JobSnapshot file, Bracelet links, IReadOnlyList<FreedWire> wanted)
    {
        var refusals = new Refusals();
        foreach (var side in (Side[])[Side.Twelve, Side.Six])
        {
            var at = wanted.ToList().FindLastIndex(f => f.Side == side && f.Freed);
            Length? endPiece = at < 0 ? null : refusals.Typed($"$.with.freed[{at}].endPiece", wanted[at].EndPiece, new AllowedLength(Length.Zero, FitRanges.Pitch.Highest)) ?? Length.Zero;
            if (endPiece is { } stays && LinkMarks.WhyNotFreed(links.On(side), side, stays) is { } why)
                refusals.Add($"$.with.freed[{at}].endPiece", why);
            refusals.ThrowIfAny("The variant cannot be returned to.");
            MarkedLinks.Free(work, file.Job.Id, side, endPiece);
        }
    }
}
