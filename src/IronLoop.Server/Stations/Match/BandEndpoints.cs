using IronLoop.Core.Bands;
using IronLoop.Core.Fitting;
using IronLoop.Core.Jobs;
using IronLoop.Core.Measuring;
using IronLoop.Core.Shelf;
using IronLoop.Server.Door;
using IronLoop.Storage;

namespace IronLoop.Server.Stations.Match;

/// <summary>Bands are put in stock, or entered as the owner's own.</summary>
internal static class BandEndpoints
{
    public static void MapBands(this IEndpointRouteBuilder routes)
    {
        routes.MapGet("/api/bands", List).WithName("bands").WithTags("match").WithSummary("The bands in stock.");
        routes.MapPost("/api/bands", AddToStock).WithName("addBand").WithTags("match").WithSummary("Puts a band in stock.")
            .Produces<BandWire>(StatusCodes.Status201Created).ProducesValidationProblem();
        routes.MapPost("/api/jobs/{id:long}/bands", AddOwn).WithName("addOwnBand").WithTags("match").WithSummary("Enters the owner’s own band.")
            .Produces<BandWire>(StatusCodes.Status201Created).ProducesValidationProblem()
            .ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
    }

    private static List<BandWire> List(OpenShop shop)
    {
        using var work = shop.Look();
        return [.. Bands.InStock(work).Select(BandWire.Of)];
    }

    private static IResult AddToStock(BandSheet sheet, OpenShop shop)
    {
        using var work = shop.Begin();
        var added = Add(work, sheet.Read(Bands.NextArticle(work, "B"), owner: null));
        work.Commit();
        return Results.Created("/api/bands", added);
    }

    private static IResult AddOwn(long id, BandSheet sheet, OpenShop shop)
    {
        using var work = shop.Begin();
        var file = TheJob.For(work, id, JobAct.Gauge);
        var added = Add(work, sheet.Read(Bands.NextArticle(work, "OWN"), file.Job.Client.Id));
        work.Commit();
        return Results.Created("/api/bands", added);
    }

    private static BandWire Add(ShopWork work, StockBand band) => BandWire.Of(Bands.Find(work, Bands.Add(work, band))!);
}
