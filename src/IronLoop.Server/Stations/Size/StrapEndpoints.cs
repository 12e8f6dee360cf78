using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Shelf;
using IronLoop.Server.Door;
using IronLoop.Server.Host;
using IronLoop.Storage;

namespace IronLoop.Server.Stations.Size;

/// <summary>A strap's length for this wrist.</summary>
/// <param name="MissMm">What its middle hole misses the length wanted by.</param>
/// <param name="Hole">The hole it would be closed in, from 1, the tightest.</param>
/// <param name="Here">Whether it is the one chosen.</param>
internal sealed record StrapLengthWire(
    long BandId, string Article, string Name, Length BucklePieceMm, Length TailMm, int MiddleHole, Length MissMm, int Hole, int Holes, int HolesTighter, int HolesLooser,
    Length PastBuckleMm, bool KeepersHold, Verdict Verdict, bool Here);

/// <summary>One of the four ways to wear a pull-through band, as it comes out at Size.</summary>
/// <param name="HeadHeightMm">From the wrist to the crystal, the layers under the case with it; null while the case's height is not gauged.</param>
/// <param name="Hole">From 1, the tightest.</param>
/// <param name="WhyNot">Why it does not go on this watch so; null where it does.</param>
internal sealed record WornWire(
    PullThroughWay Way, string Feels, Length RaiseMm, Length? HeadHeightMm, Length TargetMm, Length LengthMm, int Hole, int Holes, int HolesTighter, int HolesLooser,
    bool CanBeWorn, bool Chosen, string? WhyNot);

/// <summary>A way chosen at Size.</summary>
internal sealed record WearItWire(PullThroughWay Way);

/// <summary>Size for what closes in holes: the best strap length from stock, the four ways of a pull-through band.</summary>
internal static class StrapEndpoints
{
    private const int MostShown = 6;

    public static void MapStraps(this IEndpointRouteBuilder routes)
    {
        var size = routes.MapGroup("/api/jobs/{id:long}/size").WithTags("size");
        size.MapGet("/straps", Lengths).WithName("strapLengths").WithSummary("The shop’s straps for this watch, the one whose middle hole is nearest first.")
            .ProducesProblem(StatusCodes.Status404NotFound);
        size.MapGet("/ways", Ways).WithName("waysToWear").WithSummary("Hole and head height for each way of wearing a pull-through band.")
            .ProducesProblem(StatusCodes.Status404NotFound);
        size.MapPut("/way", Wear).WithName("wearIt").WithSummary("Wears the pull-through band another way.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
    }

    private static List<StrapLengthWire> Lengths(long id, OpenShop shop, MatchShelf shelf)
    {
        using var work = shop.Look();
        var file = TheJob.Read(work, id);
        if (file is not { Band: { Strap: { } strap } band, Stock: { } chosen })
            return [];
        var nearest = shelf.Now(shop.File).Shelf.Straps(file.Figures, file.House, MostShown, Bands.SpokenFor(work, id));
        var stock = Bands.Find(work, nearest.Select(s => s.Id));
        var shown = nearest.Where(s => stock.ContainsKey(s.Id)).Select(s => Wire(stock[s.Id], s.Length, s.Verdict, s.Id == chosen.Id)).ToList();
        if (chosen.OwnerClientId is null && !shown.Exists(s => s.Here) && new WantedLengths(file.Figures).Of(band, PullThroughWay.Double) is { } target)
            shown.Add(Wire(chosen, StrapLength.Of(strap, target), MatchBand.Judge(file.Figures, band, PullThroughWay.Double, file.House).Verdict, here: true));
        return shown;
    }

    private static StrapLengthWire Wire(StockBand stock, StrapLength length, Verdict verdict, bool here)
    {
        var (strap, fit) = (stock.Band.Strap!, length.Fit);
        return new StrapLengthWire(
            stock.Id, stock.Article, stock.Name, strap.BucklePiece, strap.Tail, length.MiddleHole + 1, length.Miss, fit.Hole + 1, strap.Holes, fit.HolesTighter,
            fit.HolesLooser, fit.PastBuckle, fit.KeepersHold, verdict, here);
    }

    private static List<WornWire> Ways(long id, OpenShop shop)
    {
        using var work = shop.Look();
        return Worn(TheJob.Read(work, id));
    }

    private static List<WornWire> Worn(JobSnapshot file)
    {
        if (file.Band is not { OnePiece: { } onePiece } band)
            return [];
        var figures = file.Figures with { Raise = Length.Zero };
        var worn = new List<WornWire>();
        foreach (var way in OnePieceBand.Ways)
        {
            var raised = figures with { Raise = onePiece.Raise(way) };
            if (raised.Target(band.PivotHeight) is not { } target || band.Holed(figures.BareHead) is not { } holed)
                return [];
            var fit = holed.Nearest(target);
            worn.Add(new WornWire(
                way, OnePieceBand.Feels(way), onePiece.Raise(way), figures[GaugedFigure.CaseHeight] is { } height ? height + onePiece.Raise(way) : null, target.Length,
                fit.Length, fit.Hole + 1, holed.Holes, fit.HolesTighter, fit.HolesLooser, fit.Misfit == Length.Zero, way == file.Way, file.MayBeWorn(way).Why));
        }
        return worn;
    }

    private static LoopSheet Wear(long id, WearItWire chosen, OpenShop shop)
    {
        using var work = shop.Begin();
        var file = TheJob.For(work, id, JobAct.WearAnotherWay);
        if (chosen.Way != file.Way)
        {
            file.MayBeWorn(chosen.Way).OrRefuse();
            Storage.Jobs.WearAs(work, id, chosen.Way);
            Plans.Drop(work, id);
        }
        work.Commit();
        return LoopSheet.Of(TheJob.Read(work, id));
    }
}
