using IronLoop.Core.Bands;
using IronLoop.Core.Fitting;
using IronLoop.Core.Jobs;
using IronLoop.Core.Measuring;
using IronLoop.Server.Clasp;
using IronLoop.Server.Contract;
using IronLoop.Server.Loop;
using IronLoop.Server.Rack;
using IronLoop.Storage;

namespace IronLoop.Server.Size;

/// <summary>What a variant was tried with, besides how its links lie: what a fitter returns to is the variant whole.</summary>
/// <param name="ClaspPartId">The clasp that goes on instead of the band's own; null where its own does.</param>
/// <param name="Links">Loose links taken from stock.</param>
/// <param name="Freed">Last links freed at the clasp's joint.</param>
/// <param name="Way">How a pull-through band is worn.</param>
internal sealed record VariantWire(long? ClaspPartId, IReadOnlyList<TakeLinkWire> Links, IReadOnlyList<FreedWire> Freed, PullThroughWay Way)
{
    public static VariantWire Of(JobFile file) => new(
        file.OtherClasp?.Id,
        [.. file.LinksTaken.Select(t => new TakeLinkWire(t.Part.Id, t.Count))],
        [.. file.Marks.Freed.Select(f => new FreedWire(f.Key, true, f.Value.ToString()))],
        file.Way);
}

/// <summary>A variant to return to, and how its links lie, or its hole.</summary>
internal sealed record ReturnWire(VariantWire With, ByHand Lies);

/// <summary>The way back to a variant that was tried.</summary>
internal static class VariantEndpoints
{
    public static void MapVariants(this IEndpointRouteBuilder routes) =>
        routes.MapGroup("/api/jobs/{id:long}/size").WithTags("size").MapPut("/variant", Return).WithName("returnTo")
            .WithSummary("Returns to a variant that was tried: its clasp, its links from stock, its freed links and how they lie. Links never to be taken stay so.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);

    private static LoopSheet Return(long id, ReturnWire to, ShopFile shop, TimeProvider clock)
    {
        using var work = shop.Begin();
        var file = JobFile.Read(work, id);
        file.MustNotBeOnTheBench();
        PutClasp(work, file, to.With.ClaspPartId, clock.GetUtcNow());
        if (to.With.Way != file.Way)
        {
            if (file.Band is not { OnePiece: not null })
                throw RefusedException.Conflict("Only a band that is pulled through is worn in different ways.");
            Storage.Jobs.WearAs(work, id, to.With.Way);
        }
        if (file.Unmarked?.Links is { } links)
        {
            PutLinks(work, file, to.With.Links);
            PutFreed(work, file, links, to.With.Freed);
        }
        file = JobFile.Read(work, id);
        if (file.Band is not { } band || file.Target is not { } target)
            throw RefusedException.Conflict(file.Progress.Says(Station.Size));
        Plans.Set(work, id, new StoredPlan(to.Lies.Read(band, file.Holed), target.Length, null));
        var sheet = LoopSheet.Of(JobFile.Read(work, id));
        work.Keep();
        return sheet;
    }

    private static void PutClasp(ShopWork work, JobFile file, long? part, DateTimeOffset at)
    {
        if (part == file.OtherClasp?.Id)
            return;
        if (part is { } other)
            ClaspChoice.Replace(work, file, other, signedBy: "", at);
        else
            ClaspChoice.Keep(work, file, signedBy: "", at);
    }

    /// <summary>What is taken already as it is to be is left alone: another job may wait for what is given back.</summary>
    private static void PutLinks(ShopWork work, JobFile file, IReadOnlyList<TakeLinkWire> wanted)
    {
        var refusals = new Refusals();
        for (var i = 0; i < wanted.Count; i++)
            refusals.Check($"$.with.links[{i}].count", FitRanges.Spares, wanted[i].Count);
        refusals.ThrowIfAny();
        foreach (var taken in file.LinksTaken.Where(t => wanted.All(w => w.PartId != t.Part.Id)).ToList())
            WhatIfEndpoints.SetTaken(work, file.Job.Id, taken.Part, 0);
        foreach (var link in wanted.Where(w => file.LinksTaken.All(t => t.Part.Id != w.PartId || t.Count != w.Count)))
            WhatIfEndpoints.SetTaken(work, file.Job.Id, WhatIfEndpoints.LinkFor(work, file, link.PartId), link.Count);
    }

    private static void PutFreed(ShopWork work, JobFile file, Bracelet links, IReadOnlyList<FreedWire> wanted)
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
