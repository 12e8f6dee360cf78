using IronLoop.Core.Bands;
using IronLoop.Core.Fitting;
using IronLoop.Core.Jobs;
using IronLoop.Core.Measuring;
using IronLoop.Core.Stock;
using IronLoop.Server.Contract;
using IronLoop.Server.Loop;
using IronLoop.Server.Rack;
using IronLoop.Storage;

namespace IronLoop.Server.Size;

/// <summary>A link never to take, or no longer so.</summary>
/// <param name="Ordinal">Its place from the case, 0 first.</param>
internal sealed record PinWire(Side Side, int Ordinal, bool Pinned);

/// <summary>A side's last link, freed at the clasp's joint.</summary>
/// <param name="EndPiece">What stays on and rejoins the clasp, as typed; empty when nothing does.</param>
internal sealed record FreedWire(Side Side, bool Freed, string EndPiece = "");

/// <summary>A loose link in stock that would go in.</summary>
/// <param name="Free">How many more could be taken.</param>
/// <param name="Taken">How many this job takes.</param>
internal sealed record StockLinkWire(long PartId, string Article, string Name, Length PitchMm, Length WidthMm, int Free, int Taken);

/// <summary>Loose links taken from stock to try.</summary>
internal sealed record TakeLinkWire(long PartId, int Count);

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

    private static string UseOf(StoredPart part) => $"link {part.Part.Article}";

    private static LoopSheet Pin(long id, PinWire pin, ShopFile shop)
    {
        using var work = shop.Begin();
        var (file, links) = Bracelet(work, id);
        var refusals = new Refusals();
        refusals.Check("$.ordinal", new AllowedNumber(0, Math.Max(0, links.On(pin.Side).Count - 1)), pin.Ordinal);
        refusals.ThrowIfAny();
        if (pin.Pinned && file.Band!.Links!.On(pin.Side) is var row && (pin.Ordinal >= row.Count || !row[pin.Ordinal].Removable))
            throw RefusedException.Conflict($"Link {pin.Ordinal + 1} from the case on the {PlanWords.Name(pin.Side)} side never comes out anyway.");
        MarkedLinks.Pin(work, id, pin.Side, pin.Ordinal, pin.Pinned);
        if (file.Plan is { } plan)
            Plans.Set(work, id, new StoredPlan(plan.Arrangement.Pinned(pin.Side, pin.Ordinal, pin.Pinned), plan.Target, null));
        return Kept(work, id);
    }

    private static LoopSheet Free(long id, FreedWire freed, ShopFile shop)
    {
        var refusals = new Refusals();
        var typed = refusals.Typed("$.endPiece", freed.EndPiece, new AllowedLength(Length.Zero, FitRanges.Pitch.Highest)) ?? Length.Zero;
        refusals.ThrowIfAny();
        using var work = shop.Begin();
        var (_, links) = Bracelet(work, id);
        if (freed.Freed && LinkMarks.WhyNotFreed(links.On(freed.Side), freed.Side, typed) is { } why)
        {
            refusals.Add("$.endPiece", why);
            refusals.ThrowIfAny("The link is not freed.");
        }
        MarkedLinks.Free(work, id, freed.Side, freed.Freed ? typed : null);
        Plans.Drop(work, id);
        return Kept(work, id);
    }

    private static IReadOnlyList<StockLinkWire> Links(long id, ShopFile shop)
    {
        using var work = shop.Look();
        var file = JobFile.Read(work, id);
        return file.Unmarked is not { Links: not null } band ? [] :
        [
            .. Parts.All(work, PartKind.Link).Where(p => LinkFromStock.Suits(p.Part.Link!, band, file.House.Limits)).Select(p => new StockLinkWire(
                p.Id, p.Part.Article, p.Part.Name, p.Part.Link!.Pitch, p.Part.Link.Width, p.Count.Free, file.LinksTaken.Where(t => t.Part.Id == p.Id).Sum(t => t.Count))),
        ];
    }

    private static LoopSheet Take(long id, TakeLinkWire wanted, ShopFile shop)
    {
        var refusals = new Refusals();
        refusals.Check("$.count", FitRanges.Spares, wanted.Count);
        refusals.ThrowIfAny();
        using var work = shop.Begin();
        var (file, _) = Bracelet(work, id);
        SetTaken(work, id, LinkFor(work, file, wanted.PartId), wanted.Count);
        // What was laid with links that went back cannot lie so any more.
        if (file.Plan is { } plan && JobFile.Read(work, id) is { Band: { } band } && plan.Arrangement.LooseLinks(band.Spares).Any(l => l.Count < 0))
            Plans.Drop(work, id);
        return Kept(work, id);
    }

    /// <summary>Gives back the links from stock that an arrangement does not use: nothing is borrowed for nothing.</summary>
    internal static void GiveBackUnused(ShopWork work, JobFile file, Arrangement arrangement)
    {
        var own = file.OwnClaspBand?.Spares ?? [];
        foreach (var taken in file.LinksTaken.ToList())
            SetTaken(work, file.Job.Id, taken.Part, Math.Min(taken.Count, LinkFromStock.Needed(arrangement, own, taken.Part.Part.Link!.Pitch)));
    }

    /// <summary>A loose link in stock that goes into a job's bracelet.</summary>
    internal static StoredPart LinkFor(ShopWork work, JobFile file, long partId) =>
        Parts.Find(work, partId) is { Part.Link: { } link } part && LinkFromStock.Suits(link, file.Unmarked!, file.House.Limits)
            ? part
            : throw RefusedException.NotFound($"There is no loose link {partId} that goes into this bracelet.");

    internal static void SetTaken(ShopWork work, long id, StoredPart part, int count)
    {
        if (count > 0)
            PartsTaken.Take(work, id, UseOf(part), part.Id, count);
        else
            PartsTaken.Leave(work, id, UseOf(part));
    }

    private static (JobFile File, Bracelet Links) Bracelet(ShopWork work, long id)
    {
        var file = JobFile.Read(work, id);
        file.MustNotBeOnTheBench();
        return (file, file.Unmarked?.Links ?? throw RefusedException.Conflict("Only a link bracelet is sized link by link."));
    }

    private static LoopSheet Kept(ShopWork work, long id)
    {
        var sheet = LoopSheet.Of(JobFile.Read(work, id));
        work.Keep();
        return sheet;
    }
}
