using IronLoop.Core.Fitting;
using IronLoop.Core.Jobs;
using IronLoop.Core.Stock;
using IronLoop.Server.Contract;
using IronLoop.Storage;

namespace IronLoop.Server.Stations;

/// <summary>Loose links taken from stock to try.</summary>
internal static class LinksToTry
{
    /// <summary>A loose link in stock that goes into a job's bracelet.</summary>
    public static StockPart LinkFor(ShopWork work, JobSnapshot file, long partId) =>
        Parts.Find(work, partId) is { Part.Link: { } link } part && LinkFromStock.Suits(link, file.Chosen!.Unmarked, file.House.Limits)
            ? part
            : throw RefusedException.NotFound($"There is no loose link {partId} that goes into this bracelet.");

    /// <summary>Takes so many of them, or gives them back.</summary>
    public static void SetTaken(ShopWork work, long id, StockPart part, int count)
    {
        if (count > 0)
            PartsTaken.Take(work, id, PartTaken.AsLinks(part.Part.Article), part.Id, count);
        else
            PartsTaken.Leave(work, id, PartTaken.AsLinks(part.Part.Article));
    }
}
