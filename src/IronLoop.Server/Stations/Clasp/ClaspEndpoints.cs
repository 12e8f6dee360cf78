using IronLoop.Core.Bench;
using IronLoop.Core.Jobs;
using IronLoop.Core.Matching;
using IronLoop.Core.Shelf;
using IronLoop.Core.Stock;
using IronLoop.Core.Tray;
using IronLoop.Server.Contract;
using IronLoop.Server.Devices;
using IronLoop.Server.Door;
using IronLoop.Server.Paper;
using IronLoop.Storage;

namespace IronLoop.Server.Stations.Clasp;

/// <summary>Another clasp is chosen.</summary>
/// <param name="ConsentSignedBy">Who signed the consent to work that cannot be undone.</param>
internal sealed record OtherClaspWire(long PartId, string? ConsentSignedBy = null);

/// <summary>An offer of a supplier.</summary>
internal sealed record OfferChoiceWire(string Article);

/// <summary>An own part as inspected.</summary>
/// <param name="Came">Whether it came along; with no, the rest is not looked at.</param>
internal sealed record InspectedWire(OwnPartKind Kind, bool Straight = false, bool Springy = false, bool Unworn = false, bool Came = true);

/// <summary>What replaces an own part.</summary>
internal sealed record ReplacementWire(OwnPartKind Kind, long PartId);

/// <summary>What the suppliers offer for a job's clasp, judged; or why nobody answered.</summary>
internal sealed record ClaspOffersWire(IReadOnlyList<ClaspCandidateWire> Offers, string? Trouble);

/// <summary>A part as a supplier offers it.</summary>
internal sealed record PartOfferWire(string Article, string Name, string Measured, string Supplier, long PriceCents, int Available);

/// <summary>What the suppliers offer in place of an own part; or why nobody answered.</summary>
internal sealed record PartOffersWire(string Wish, IReadOnlyList<PartOfferWire> Offers, string? Trouble);

/// <summary>Clasp: what closes the band is recognised, measured, kept, used again or replaced.</summary>
internal static class ClaspEndpoints
{
    public static void MapClasp(this IEndpointRouteBuilder routes)
    {
        routes.MapGet("/api/clasp-key", Key).WithName("claspKey").WithTags("clasp").WithSummary("The visual key: from what is seen to the kind of clasp.");
        var clasp = routes.MapGroup("/api/jobs/{id:long}/clasp").WithTags("clasp");
        clasp.MapGet("", Sheet).WithName("claspSheet").WithSummary("What is known of the clasp, and what could replace it.")
            .ProducesProblem(StatusCodes.Status404NotFound);
        clasp.MapPut("/seen", See).WithName("seeClasp").WithSummary("What is seen of the clasp.").ProducesProblem(StatusCodes.Status409Conflict);
        clasp.MapPut("/keep", Keep).WithName("keepClasp").WithSummary("Keeps the band’s own clasp.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
        clasp.MapPut("/other", Replace).WithName("replaceClasp").WithSummary("Another clasp goes on; it is reserved, or put on the list to be ordered.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
        clasp.MapGet("/offers", Offers).WithName("claspOffers").WithSummary("What suppliers offer for the band’s end as measured.")
            .ProducesProblem(StatusCodes.Status409Conflict);
        clasp.MapPost("/offers", TakeOffer).WithName("takeOffer").WithSummary("Puts an offer on the shop’s list, so that it can be chosen.")
            .ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status502BadGateway);
        clasp.MapGet("/own-parts/{kind}/offers", OwnPartOffers).WithName("ownPartOffers").WithSummary("What suppliers offer in place of an own part, by its measured size.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status409Conflict);
        clasp.MapPut("/own-parts", Inspect).WithName("inspectOwnPart").WithSummary("An own part, inspected: used again or replaced.")
            .ProducesProblem(StatusCodes.Status409Conflict);
        clasp.MapDelete("/own-parts/{kind}", Forget).WithName("forgetOwnPart").WithSummary("Takes an inspection back.").ProducesValidationProblem();
        clasp.MapPut("/own-parts/replacement", TakeInstead).WithName("replaceOwnPart").WithSummary("What replaces an own part: reserved, or to be ordered.")
            .ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
    }

    private static ClaspKeyWire Key() => new(
        [.. ClaspKey.Steps.Select(s => new KeyStepWire(s.Question, s.Asks, s.Yes.Ask, s.Yes.Kind, s.No.Ask, s.No.Kind))],
        [.. Enum.GetValues<ClaspKind>().Select(k => new ClaspKindWire(k, ClaspWords.Of(k)))]);

    private static ClaspSheetWire Sheet(long id, OpenShop shop)
    {
        using var work = shop.Look();
        return ClaspSheetWire.Read(work, TheJob.Read(work, id));
    }

    private static ClaspSheetWire See(long id, ClaspSeenWire seen, OpenShop shop)
    {
        using var work = shop.Begin();
        var file = TheJob.For(work, id, JobAct.LookAtClasp);
        var before = Said(file);
        JobClasps.Set(work, id, file.Clasp with
        {
            Kind = seen.Kind,
            Pierced = seen.Pierced,
            Notched = seen.Notched,
            OtherPlain = seen.OtherPlain,
            Fit = seen.Fit,
            SwapEnds = seen.SwapEnds && seen is { Notched: true, OtherPlain: true },
        });
        // What was decided, and perhaps signed, was decided about other work.
        if (file.Job.ClaspKeptAt is not null && Said(TheJob.Read(work, id)) != before)
        {
            Storage.Jobs.LookAtClaspAgain(work, id);
            Plans.Drop(work, id);
        }
        work.Commit();
        return ClaspSheetWire.Read(work, TheJob.Read(work, id));
    }

    private static string Said(JobSnapshot file) => string.Join("; ", file.ClaspWork().Select(w => w.What));

    private static JobWire Keep(long id, OpenShop shop, TimeProvider clock, string? consentSignedBy = null)
    {
        var refusals = new Refusals();
        var signedBy = refusals.Text("$.consentSignedBy", consentSignedBy, 80, required: false);
        refusals.ThrowIfAny();
        using var work = shop.Begin();
        ClaspChoice.Keep(work, TheJob.Read(work, id), signedBy, clock.GetUtcNow());
        return Answer(work, id, clock);
    }

    private static JobWire Replace(long id, OtherClaspWire choice, OpenShop shop, TimeProvider clock)
    {
        var refusals = new Refusals();
        var signedBy = refusals.Text("$.consentSignedBy", choice.ConsentSignedBy, 80, required: false);
        refusals.ThrowIfAny();
        using var work = shop.Begin();
        ClaspChoice.Replace(work, TheJob.Read(work, id), choice.PartId, signedBy, clock.GetUtcNow());
        return Answer(work, id, clock);
    }

    private static async Task<ClaspOffersWire> Offers(long id, OpenShop shop, SupplierCalls suppliers, CancellationToken cancellation)
    {
        PartWish wish;
        using (var work = shop.Look())
            wish = Wanted.Clasp(TheJob.Read(work, id));
        var answer = await suppliers.Search(wish, cancellation);
        using var look = shop.Look();
        var bench = TheJob.Read(look, id).ClaspBench(Parts.PinsAtHand(look))!;
        return new ClaspOffersWire(
            [
                .. bench.Rank(answer.Parts.Select(p => p.Part)).Select(c => ClaspCandidateWire.Of(
                    c, Parts.Find(look, c.Part.Article), bench.Target, isChosen: false, answer.Parts.First(p => p.Part.Article == c.Part.Article).Available)),
            ],
            answer.Trouble);
    }

    private static async Task<PartOffersWire> OwnPartOffers(long id, string kind, OpenShop shop, SupplierCalls suppliers, CancellationToken cancellation)
    {
        var refusals = new Refusals();
        var which = refusals.Chosen<OwnPartKind>("$.kind", kind);
        refusals.ThrowIfAny();
        PartWish wish;
        using (var work = shop.Look())
            wish = Wanted.Part(TheJob.Read(work, id), which);
        var found = await suppliers.Search(wish, cancellation);
        return new PartOffersWire(
            wish.Says,
            [.. found.Parts.Select(p => new PartOfferWire(p.Part.Article, p.Part.Name, p.Part.Measured, p.Part.Supplier, p.Part.PriceCents, p.Available))],
            found.Trouble);
    }

    private static async Task<ClaspSheetWire> TakeOffer(long id, OfferChoiceWire choice, OpenShop shop, SupplierCalls suppliers, CancellationToken cancellation)
    {
        using (var look = shop.Look())
            TheJob.For(look, id, JobAct.Gauge);
        var part = await suppliers.Find(choice.Article, cancellation);
        using var work = shop.Begin();
        Parts.Set(work, part);
        work.Commit();
        return ClaspSheetWire.Read(work, TheJob.Read(work, id));
    }

    private static ClaspSheetWire Inspect(long id, InspectedWire inspected, OpenShop shop, TimeProvider clock)
    {
        using var work = shop.Begin();
        var file = TheJob.For(work, id, JobAct.LookAtClasp);
        var part = inspected.Came ? new OwnPart(inspected.Kind, inspected.Straight, inspected.Springy, inspected.Unworn) : OwnPart.Missing(inspected.Kind);
        OwnParts.Set(work, id, part);
        if (part.IsReused)
            PartsTaken.Leave(work, id, PartTaken.InsteadOf(part.Kind));
        Log.Write(work, id, clock.GetUtcNow(), file.Job.TakenInBy, Station.Clasp, LogLine.Of(LogKind.OwnPartSeen, part.Name, part.Says));
        work.Commit();
        return ClaspSheetWire.Read(work, TheJob.Read(work, id));
    }

    private static ClaspSheetWire Forget(long id, string kind, OpenShop shop)
    {
        var refusals = new Refusals();
        var which = refusals.Chosen<OwnPartKind>("$.kind", kind);
        refusals.ThrowIfAny();
        using var work = shop.Begin();
        TheJob.For(work, id, JobAct.LookAtClasp);
        OwnParts.Drop(work, id, which);
        PartsTaken.Leave(work, id, PartTaken.InsteadOf(which));
        work.Commit();
        return ClaspSheetWire.Read(work, TheJob.Read(work, id));
    }

    private static ClaspSheetWire TakeInstead(long id, ReplacementWire choice, OpenShop shop, TimeProvider clock)
    {
        using var work = shop.Begin();
        var file = TheJob.For(work, id, JobAct.LookAtClasp);
        if (OwnParts.Of(work, id).FirstOrDefault(p => p.Kind == choice.Kind) is not { IsReused: false } own)
        {
            throw new RefusedException(StatusCodes.Status400BadRequest, "Nothing is replaced.", new Dictionary<string, string[]>
            {
                ["$.kind"] = ["Only an own part that is not used again is replaced; inspect it first."],
            });
        }
        if (Parts.Find(work, choice.PartId) is not { } part)
            throw RefusedException.NotFound($"There is no part with number {choice.PartId} on the list.");
        var isReserved = ClaspChoice.Take(work, file, PartTaken.InsteadOf(choice.Kind), part, own.Pieces);
        Log.Write(work, id, clock.GetUtcNow(), file.Job.TakenInBy, Station.Clasp,
            LogLine.Of(LogKind.Instead, own.Name, $"{own.Pieces}", part.Part.Name, part.Part.Article, isReserved ? "reserved" : "to be ordered"));
        work.Commit();
        return ClaspSheetWire.Read(work, TheJob.Read(work, id));
    }

    private static JobWire Answer(ShopWork work, long id, TimeProvider clock)
    {
        work.Commit();
        return JobWire.Of(TheJob.Read(work, id), clock.Today());
    }
}
