using IronLoop.Core.Jobs;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Server.Contract;
using IronLoop.Server.Rack;
using IronLoop.Storage;

namespace IronLoop.Server.Match;

/// <summary>A clasp as it comes with a band.</summary>
internal sealed record BandClaspWire(
    Length TwelveMm, Length SixMm, Core.Fitting.Side MicroSide, int Positions, Length StepMm, int Position, Length AdjustsMm);

/// <summary>A band from stock, or the owner's own.</summary>
internal sealed record BandWire(
    long Id,
    string Article,
    string Name,
    bool Own,
    BandKind Kind,
    BandMaterial Material,
    string Finish,
    string Colour,
    BandAttachment Attaches,
    Length WidthMm,
    Length ThicknessMm,
    long PriceCents,
    int InStock,
    string ClaspName,
    BandClaspWire? Clasp,
    Length? BucklePieceMm,
    int? Holes,
    int Links,
    int LinksOut)
{
    public static BandWire Of(StockBand stock)
    {
        var (band, clasp) = (stock.Band, stock.Band.Clasp);
        var links = band.Links is { } rows ? rows.Twelve.Concat(rows.Six).ToList() : [];
        return new BandWire(
            stock.Id,
            stock.Article,
            stock.Name,
            stock.OwnerClientId is not null,
            band.Facts.Kind,
            band.Facts.Material,
            stock.Finish,
            stock.Colour,
            band.Facts.Attaches,
            band.Facts.Width,
            band.Thickness,
            stock.PriceCents,
            stock.InStock,
            band.ClaspName,
            clasp is null ? null : new BandClaspWire(
                clasp.Twelve, clasp.Six, clasp.MicroSide, clasp.Positions, clasp.Step, clasp.Position, clasp.Tighter(clasp.Positions - 1)),
            band.Strap?.BucklePiece,
            band.Strap?.Holes,
            links.Count,
            links.Count(l => l.Removable));
    }
}

internal sealed record WorkWire(string What, bool Reversible);

internal sealed record RuleWire(string Rule, Verdict Verdict, string Says, IReadOnlyList<WorkWire> Work);

/// <summary>A band judged for a job.</summary>
internal sealed record MatchWire(BandWire Band, Verdict Verdict, IReadOnlyList<RuleWire> Rules, int Free, bool Chosen, string? WhyNot);

internal sealed record ChooseWire(long BandId);

/// <summary>Match: which bands fit this watch and this wearer, best first, and why not the others.</summary>
internal static class MatchEndpoints
{
    public static void MapMatch(this IEndpointRouteBuilder routes)
    {
        var match = routes.MapGroup("/api/jobs/{id:long}/match").WithTags("match");
        match.MapGet("", List).WithName("match").WithSummary("The bands, best first, each with its reasons.")
            .ProducesProblem(StatusCodes.Status404NotFound);
        match.MapPut("", Choose).WithName("chooseBand").WithSummary("Chooses a band.")
            .ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
    }

    private static List<MatchWire> List(long id, ShopFile shop)
    {
        using var work = shop.Look();
        var file = JobFile.Read(work, id);
        var spokenFor = Bands.SpokenFor(work, id);
        return [.. Bands.For(work, file.Job.Client.Id)
            .Select(stock => (stock, judgement: MatchBand.Judge(file.Figures, stock.Band), free: Free(stock, spokenFor)))
            .OrderBy(m => new MatchRank(
                m.judgement.Verdict, MatchBand.ReserveEachWay(file.Figures, m.stock.Band), m.free > 0, m.stock.PriceCents))
            .Select(m => new MatchWire(
                BandWire.Of(m.stock),
                m.judgement.Verdict,
                [.. m.judgement.Rules.Select(r => new RuleWire(r.Rule, r.Verdict, r.Says, [.. r.Work.Select(w => new WorkWire(w.What, w.Reversible))]))],
                m.free,
                m.stock.Id == file.Stock?.Id,
                WhyNot(m.stock, m.judgement, m.free)))];
    }

    private static JobWire Choose(long id, ChooseWire choice, ShopFile shop, TimeProvider clock)
    {
        using var work = shop.Begin();
        var file = JobFile.Read(work, id);
        file.MustNotBeOnTheBench();
        var stock = Bands.Find(work, choice.BandId);
        if (stock is null || stock.OwnerClientId is { } owner && owner != file.Job.Client.Id)
            throw RefusedException.NotFound($"There is no band {choice.BandId} for this job.");
        if (WhyNot(stock, MatchBand.Judge(file.Figures, stock.Band), Free(stock, Bands.SpokenFor(work, id))) is { } why)
            throw RefusedException.Conflict(why);
        if (stock.Id != file.Stock?.Id)
        {
            Storage.Jobs.ChooseBand(work, id, stock.Id);
            Plans.Drop(work, id);
            Log.Write(work, id, clock.GetUtcNow(), file.Job.TakenInBy, Station.Match, $"Band chosen: {stock.Name}, {stock.Article}.");
        }
        var job = JobWire.Of(JobFile.Read(work, id), clock.Today());
        work.Keep();
        return job;
    }

    /// <summary>An owner's own band is always there; of stock, what other jobs have chosen is spoken for.</summary>
    private static int Free(StockBand stock, IReadOnlyDictionary<long, int> spokenFor) =>
        stock.OwnerClientId is not null ? 1 : Math.Max(0, stock.InStock - spokenFor.GetValueOrDefault(stock.Id));

    /// <summary>
    /// Why a band cannot be chosen. One that merely does not close right on this wearer can be: at Size the fitter sees
    /// what would cure it.
    /// </summary>
    private static string? WhyNot(StockBand stock, Judgement judgement, int free)
    {
        if (judgement.Rules.FirstOrDefault(r => r.Verdict == Verdict.No && r.Rule != WearerRule.Name) is { } no)
            return $"{stock.Name} does not go on this watch. {no.Says}";
        return free > 0 ? null : $"{stock.Name} is not in stock, or all are chosen for other jobs.";
    }
}
