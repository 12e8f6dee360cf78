using IronLoop.Core.Shelf;
using IronLoop.Server.Contract;
using IronLoop.Server.Door;
using IronLoop.Server.Host;
using IronLoop.Server.Stations;
using IronLoop.Storage;
using Microsoft.AspNetCore.Mvc;

namespace IronLoop.Server.Shop.Catalogue;

/// <summary>A header of the file, and the column it is taken for.</summary>
internal sealed record ColumnWire(string Header, string? Column);

/// <summary>A row as it would be stored, in a line.</summary>
internal sealed record CatalogueSample(int Line, string Says);

/// <summary>A catalogue, looked at or on its way in.</summary>
/// <param name="Of">What it is of: bands, or models.</param>
internal sealed record CatalogueWire(
    string Id, string Of, ImportState State, string Delimiter, string Decimal, IReadOnlyList<ColumnWire> Columns, IReadOnlyList<string> Missing,
    IReadOnlyList<string> Known, IReadOnlyList<CatalogueSample> Samples, int Rows, int BadRows, int Added, int Updated, IReadOnlyList<BadCell> Bad, string Says);

/// <summary>Which column each header is taken for; one left out is not taken.</summary>
internal sealed record MappingWire(IReadOnlyList<ColumnWire> Columns);

/// <summary>How bad rows are dealt with.</summary>
internal sealed record BeginImport(bool SkipBad);

/// <summary>The catalogue: read, looked over, taken in, written.</summary>
internal static class CatalogueEndpoints
{
    private const long MostBytes = 128L << 20;

    public static void MapCatalogue(this IEndpointRouteBuilder routes)
    {
        var catalogue = routes.MapGroup("/api/catalogue").WithTags("catalogue");
        catalogue.MapPost("", Upload).WithName("readCatalogue").WithSummary("Reads a catalogue and looks it over; nothing is stored yet.")
            .Produces<CatalogueWire>().WithMetadata(new RequestSizeLimitAttribute(MostBytes)).ProducesValidationProblem();
        catalogue.MapPut("/{id}/columns", Map).WithName("mapCatalogue").WithSummary("Says which column each header is, and looks it over again.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound);
        catalogue.MapPost("/{id}/import", Begin).WithMetadata(new OverwritesWhatStands()).WithName("importCatalogue").WithSummary("Takes it in: bands into the stock, models into the model book.")
            .ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
        catalogue.MapGet("/{id}", (string id, CatalogueDesk desk) => desk.Find(id).Wire()).WithName("catalogueProgress").WithSummary("How far an import has come.")
            .ProducesProblem(StatusCodes.Status404NotFound);
        catalogue.MapDelete("/{id}", (string id, CatalogueDesk desk) =>
        {
            desk.Find(id).Cancel();
            return desk.Find(id).Wire();
        }).WithName("cancelCatalogue").WithSummary("Cancels an import that is running; nothing of it is stored.").ProducesProblem(StatusCodes.Status404NotFound);
        routes.MapGet("/api/catalogue.csv", Write).WithName("writeCatalogue").WithTags("catalogue").WithSummary("The stock as a catalogue.").ExcludeFromDescription();
    }

    private static async Task<CatalogueWire> Upload(HttpRequest request, OpenShop shop, CatalogueDesk desk, string of = "bands")
    {
        var refusals = new Refusals();
        if (CatalogueKind.Named(of) is not { } kind)
        {
            refusals.Add("$.of", $"of is “{of}”; allowed is one of {string.Join(", ", CatalogueKind.Words)}.");
            refusals.ThrowIfAny();
            throw new InvalidOperationException("A refusal does not go on.");
        }
        var path = Path.Combine(Path.GetTempPath(), $"iron-loop-catalogue-{Guid.NewGuid():N}.csv");
        try
        {
            await using (var file = new FileStream(path, FileMode.CreateNew, FileAccess.Write, FileShare.None))
                await request.Body.CopyToAsync(file, request.HttpContext.RequestAborted);
            return desk.LayDown(CatalogueFile.Open(path, kind)).Look(shop.File);
        }
        catch
        {
            File.Delete(path);
            throw;
        }
    }

    private static CatalogueWire Map(string id, MappingWire mapping, OpenShop shop, CatalogueDesk desk)
    {
        var import = desk.Find(id);
        var refusals = new Refusals();
        for (var i = 0; i < mapping.Columns.Count; i++)
        {
            var (header, column) = (mapping.Columns[i].Header, mapping.Columns[i].Column);
            if (!import.File.Headers.Contains(header))
                refusals.Add($"$.columns[{i}].header", $"The file has no column {header}.");
            if (column is not null && !import.File.Kind.All.Contains(column))
                refusals.Add($"$.columns[{i}].column", $"{column} is none of {string.Join(", ", import.File.Kind.All)}.");
        }
        refusals.ThrowIfAny("The columns cannot be taken like this.");
        import.Mapping = mapping.Columns.Where(c => c.Column is not null).DistinctBy(c => c.Header).ToDictionary(c => c.Header, c => c.Column!);
        return import.Look(shop.File);
    }

    private static CatalogueWire Begin(string id, BeginImport begin, OpenShop shop, MatchShelf shelf, CatalogueDesk desk, BackgroundWork background, TimeProvider clock)
    {
        var import = desk.Find(id);
        if (import.Wire().Missing is { Count: > 0 } missing)
            throw RefusedException.Conflict($"No column is taken for {string.Join(", ", missing)}.");
        if (!import.TryBegin())
            throw RefusedException.Conflict("This catalogue is being taken in, or has been.");
        background.Begin(ending =>
        {
            using (ending.Register(import.Cancel))
                import.Run(shop.File, begin.SkipBad, clock.GetUtcNow());
            // The next question should not have to wait for the shelf.
            if (!ending.IsCancellationRequested && import.File.Kind is BandCatalogue)
                shelf.Now(shop.File);
        });
        return import.Wire();
    }

    private static IResult Write(OpenShop shop, string delimiter = "comma")
    {
        IReadOnlyList<StockBand> bands;
        using (var work = shop.Look())
            bands = Bands.InStock(work);
        return Results.Stream(to => CatalogueFile.Write(to, bands, delimiter == "semicolon" ? ';' : ','), "text/csv; charset=utf-8", "catalogue.csv");
    }
}
