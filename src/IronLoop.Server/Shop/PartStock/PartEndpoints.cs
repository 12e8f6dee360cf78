using IronLoop.Core.Bench;
using IronLoop.Core.Measuring;
using IronLoop.Core.Stock;
using IronLoop.Server.Contract;
using IronLoop.Server.Door;
using IronLoop.Server.Stations;
using IronLoop.Storage;

namespace IronLoop.Server.Shop.PartStock;

/// <summary>A part as counted.</summary>
internal sealed record CountedWire(long PartId, int Counted);

/// <summary>A stock-take: what was counted, why it may differ, and by whom.</summary>
internal sealed record StockTakeWire(IReadOnlyList<CountedWire> Counted, string Reason, string By);

/// <summary>The small parts in stock, with counts, places and minimum levels.</summary>
internal static class PartEndpoints
{
    private static readonly AllowedNumber Counts = new(0, 99_999);

    public static void MapParts(this IEndpointRouteBuilder routes)
    {
        var parts = routes.MapGroup("/api/parts").WithTags("parts");
        parts.MapGet("", (OpenShop shop, string? kind = null) =>
        {
            var refusals = new Refusals();
            var wanted = refusals.Choice<PartKind>("$.kind", kind);
            refusals.ThrowIfAny();
            using var work = shop.Look();
            return All(work, wanted);
        }).WithName("parts").WithSummary("The small parts in stock.").ProducesValidationProblem();
        parts.MapPut("", Set).WithName("setPart").WithSummary("Puts a part on the list, or changes the one of that article number; its count stays.").ProducesValidationProblem();
        parts.MapPost("/stock-take", Count).WithMetadata(new OverwritesWhatStands()).WithName("stockTake").WithSummary("Corrects counts by what was counted, with the reason.")
            .ProducesValidationProblem();
        parts.MapGet("/{id:long}/entries", Entries).WithName("stockEntries").WithSummary("Every change of a part’s count.")
            .ProducesProblem(StatusCodes.Status404NotFound);
    }

    private static List<PartWire> All(ShopWork work, PartKind? kind) => [.. Parts.All(work, kind).OrderBy(p => p.Part.Kind).Select(PartWire.Of)];

    private static List<PartWire> Set(PartSheet sheet, OpenShop shop)
    {
        var part = sheet.Read();
        using var work = shop.Begin();
        if (Parts.Find(work, part.Article) is { } known && known.Part.Kind != part.Kind)
        {
            throw new RefusedException(StatusCodes.Status400BadRequest, "The part cannot be taken like this.", new Dictionary<string, string[]>
            {
                ["$.article"] = [$"{part.Article} is a {known.Part.Kind.ToString().ToLowerInvariant()} already; give another article number."],
            });
        }
        Parts.Set(work, part, sheet.Place.Trim(), sheet.Minimum);
        work.Commit();
        return All(work, null);
    }

    private static List<PartWire> Count(StockTakeWire taken, OpenShop shop, TimeProvider clock)
    {
        var refusals = new Refusals();
        var reason = refusals.Text("$.reason", taken.Reason, 120, required: true);
        var by = refusals.Initials("$.by", taken.By, shop.By);
        if (taken.Counted.Count is 0 or > 2_000)
            refusals.Add("$.counted", $"{taken.Counted.Count} parts are counted; allowed are 1 to 2000 at a time.");
        using var work = shop.Begin();
        for (var i = 0; i < taken.Counted.Count && !refusals.Any; i++)
        {
            var (path, line) = ($"$.counted[{i}].counted", taken.Counted[i]);
            refusals.Check(path, Counts, line.Counted);
            if (Parts.Find(work, line.PartId) is not { } part)
                refusals.Add($"$.counted[{i}].partId", $"There is no part with number {line.PartId}.");
            else if (part.Count.WhyNotCounted(line.Counted) is { } why)
                refusals.Add(path, $"{part.Part.Article}: {why}");
            else
                Parts.Change(work, part.Id, line.Counted - part.Count.OnHand, reason, clock.GetUtcNow(), by);
        }
        refusals.ThrowIfAny("The counts cannot be taken like this.");
        foreach (var line in taken.Counted)
            PartsTaken.GiveToWaiting(work, line.PartId, clock.GetUtcNow());
        work.Commit();
        return All(work, null);
    }

    private static List<StockEntryWire> Entries(long id, OpenShop shop)
    {
        using var work = shop.Look();
        if (Parts.Find(work, id) is null)
            throw RefusedException.NotFound($"There is no part with number {id}.");
        return [.. Parts.Entries(work, id).Select(e => new StockEntryWire(e.At, e.By, e.Change, e.Reason, e.JobId))];
    }
}
