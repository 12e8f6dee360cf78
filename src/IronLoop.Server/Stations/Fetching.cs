using IronLoop.Core.Jobs;
using IronLoop.Server.Contract;
using IronLoop.Storage;

namespace IronLoop.Server.Stations;

/// <summary>What the bench takes out of the shop's drawers.</summary>
internal static class Fetching
{
    /// <summary>What a step takes out of its drawer is the job's from then on, if it was not before.</summary>
    public static void Fetch(ShopWork work, JobSnapshot file, IReadOnlyDictionary<string, int> fetched)
    {
        foreach (var (article, count) in fetched)
        {
            var more = count - file.Taken.Where(t => t.Part.Part.Article == article && t is { IsReserved: true, BookedAt: null }).Sum(t => t.Count);
            if (more <= 0 || Parts.Find(work, article) is not { } part)
                continue;
            if (!PartsTaken.Take(work, file.Job.Id, PartTaken.Fetched(article), part.Id, more))
                throw RefusedException.Conflict($"{part.Part.Name}, {article}: {more} wanted, {part.Count.Free} free. Count the stock, or take others.");
        }
    }

    /// <summary>Takes parts of the shop's for the job, or gives them back; they are booked out when it is handed over.</summary>
    public static string Book(ShopWork work, JobSnapshot file, long partId, int change)
    {
        var part = Parts.Find(work, partId) ?? throw RefusedException.NotFound($"There is no part {partId}.");
        var use = $"tray {part.Part.Article}";
        var count = change + file.Taken.Where(t => t.Use == use && t.BookedAt is null).Sum(t => t.Count);
        if (count < 0)
            throw RefusedException.Conflict($"This job has no {-change} of {part.Part.Article} to give back.");
        if (count == 0)
            PartsTaken.Leave(work, file.Job.Id, use);
        else if (!PartsTaken.Take(work, file.Job.Id, use, partId, count))
            throw RefusedException.Conflict($"{part.Part.Name}, {part.Part.Article}: {part.Count.Free} free, {change} wanted.");
        return part.Part.Article;
    }
}
