using IronLoop.Core.Bands;
using IronLoop.Core.Jobs;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Shelf;
using IronLoop.Core.Stock;
using IronLoop.Server.Contract;
using IronLoop.Server.Door;
using IronLoop.Server.Host;
using IronLoop.Storage;

namespace IronLoop.Server.Stations.Size;

/// <summary>What a cure is.</summary>
internal enum CureKind
{
    ExtraHole,
    Links,
    Clasp,
    Band,
}

/// <summary>Something that brings the band to a length that can be worn.</summary>
/// <param name="Says">What it is, and what it comes to.</param>
/// <param name="PriceCents">What it costs; null where it costs only the work.</param>
/// <param name="Days">How many days until it is here; nought when it is.</param>
/// <param name="Lasting">Whether it cannot be undone.</param>
/// <param name="Count">How many of it.</param>
/// <param name="Id">The band, or the part, by its number in stock; the hole before it, of an extra hole.</param>
internal sealed record CureWire(CureKind Kind, string Says, long? PriceCents, int Days, bool Lasting, long Id, int Count = 1);

/// <summary>A hole to be punched.</summary>
/// <param name="After">The hole before it, 0 the tightest; left out for none.</param>
internal sealed record PunchWire(int? After = null);

/// <summary>What cures a length that cannot be made, with price and days.</summary>
internal static class CureEndpoints
{
    private const int MostOfAKind = 2;

    public static void MapCures(this IEndpointRouteBuilder routes)
    {
        var size = routes.MapGroup("/api/jobs/{id:long}/size").WithTags("size");
        size.MapGet("/cures", Cures).WithName("cures").WithSummary("What would bring the band to a length that can be worn, with price and days.")
            .ProducesProblem(StatusCodes.Status404NotFound);
        size.MapPut("/extra-hole", Punch).WithName("punchHole").WithSummary("Says after which hole one more is to be punched, or that none is.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
    }

    private static List<CureWire> Cures(long id, OpenShop shop, MatchShelf shelf)
    {
        // Filled before anybody waits for the turn.
        var (bands, _, _) = shelf.Now(shop.File);
        using var work = shop.Look();
        var file = TheJob.Read(work, id);
        if (file is not { Work: null, Band: { } band, Target: { } target } || !IsNeeded(file))
            return [];
        var lead = (int)(file.House.Limits.Thousandths(Limit.LeadDays) / 1000);
        int Days(bool isHere) => isHere ? 0 : lead;
        var cures = new List<CureWire>();
        if (ExtraHole.Cure(file) is var (after, off))
            cures.Add(new CureWire(CureKind.ExtraHole, $"{ExtraHole.Work(after).What}: {off.ToTenths()} off what is wanted. It cannot be undone.", null, 0, Lasting: true, after));
        if (band.Links is not null)
        {
            var stored = Parts.All(work, PartKind.Link).ToDictionary(p => p.Part.Article);
            cures.AddRange(LinkCures.Of(Sizing.Request(band, target, file.Figures.Habits), band.Facts.Width, stored.Values.Select(p => p.Part)).Take(MostOfAKind).Select(c => new CureWire(
                CureKind.Links, $"{c.Count} {(c.Count == 1 ? "link" : "links")} of {c.Part.Link!.Pitch} more, {c.Part.Name} {c.Part.Article}: the loop comes to {c.Figures.Length.ToTenths()}.",
                c.Count * c.Part.PriceCents, Days(stored[c.Part.Article].Count.Free >= c.Count), Lasting: false, stored[c.Part.Article].Id, c.Count)));
        }
        if (file.ClaspBench(Parts.PinsAtHand(work)) is { } bench)
        {
            var stored = Parts.All(work, PartKind.Clasp).ToDictionary(p => p.Part.Article);
            cures.AddRange(bench.Rank(stored.Values.Select(p => p.Part)).Where(c => c.Judgement.Verdict != Verdict.No && c.Effect is { } effect && effect.Misfit == Length.Zero).Take(MostOfAKind).Select(c => new CureWire(
                CureKind.Clasp, $"{c.Part.Name} {c.Part.Article} instead of the {file.Chosen!.WithOwnClasp.ClaspName}: the loop comes to {c.Effect!.Length.ToTenths()}.",
                c.Part.PriceCents, Days(stored[c.Part.Article].Count.Free > 0), c.Judgement.SureWork.Any(w => !w.Reversible), stored[c.Part.Article].Id)));
        }
        cures.AddRange(Others(work, file, bands).Select(s => new CureWire(CureKind.Band, $"{s.Name} {s.Article} instead.", s.PriceCents, Days(s.InStock > 0), Lasting: false, s.Id)));
        return cures;
    }

    private static bool IsNeeded(JobSnapshot file) => LoopSheet.Undrawn(file).Figures is { MisfitMm: var misfit } && misfit > Length.Zero || ExtraHole.Cure(file) is not null;

    /// <summary>Bands of the same kind that can be worn as they are.</summary>
    private static IEnumerable<StockBand> Others(ShopWork work, JobSnapshot file, BandShelf shelf)
    {
        var bare = BandChoice.Bare(file);
        var kind = file.Band!.Facts.Kind;
        var found = shelf.Find(bare, file.House, new ShelfFilter(kind, null, null, null, null, false, null), 0, 2 * MostOfAKind, Bands.SpokenFor(work, file.Job.Id)).Best
            .Where(f => f.Verdict is Verdict.Fits or Verdict.Compromise && f.Id != file.Stock!.Id).Take(MostOfAKind).ToList();
        var stock = Bands.Find(work, found.Select(f => f.Id));
        return found.Where(f => stock.ContainsKey(f.Id)).Select(f => stock[f.Id]);
    }

    private static LoopSheet Punch(long id, PunchWire punch, OpenShop shop)
    {
        using var work = shop.Begin();
        var file = TheJob.For(work, id, punch.After is null ? JobAct.Arrange : JobAct.PunchHole);
        if (punch.After is { } after && file.Band?.Strap is { } strap)
        {
            var refusals = new Refusals();
            refusals.Check("$.after", new AllowedNumber(0, strap.Holes - 2), after);
            refusals.ThrowIfAny("There is no room for a hole there.");
        }
        Storage.Jobs.Punch(work, id, punch.After);
        Plans.Drop(work, id);
        work.Commit();
        return LoopSheet.Of(TheJob.Read(work, id));
    }
}
