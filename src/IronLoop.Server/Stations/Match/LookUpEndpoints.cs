using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Core.Matching;
using IronLoop.Core.Shelf;
using IronLoop.Server.Contract;
using IronLoop.Server.Door;
using IronLoop.Storage;

namespace IronLoop.Server.Stations.Match;

/// <summary>A watch that a band in the hand was held against.</summary>
internal sealed record HeldAgainst(long JobId, string Client, string Watch, bool Closed, Verdict Verdict, Certainty Certainty, string Says);

/// <summary>From a band in the hand: which of the shop's open jobs, or of a client's watches, it would fit.</summary>
internal static class LookUpEndpoints
{
    public static void MapLookUp(this IEndpointRouteBuilder routes) =>
        routes.MapGet("/api/bands/{id:long}/fits", Fits).WithName("fits").WithTags("match")
            .WithSummary("The open jobs a band would fit, best first; with a client’s name, that client’s watches.")
            .ProducesProblem(StatusCodes.Status404NotFound);

    private static List<HeldAgainst> Fits(long id, OpenShop shop, string? client = null)
    {
        using var work = shop.Look();
        var stock = Bands.Find(work, id) ?? throw RefusedException.NotFound($"There is no band {id}.");
        var words = (client ?? "").Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries).Take(8).ToArray();
        var jobs = words.Length == 0
            ? Storage.Jobs.Open(work)
            : [.. Storage.Jobs.OfClient(work, words).GroupBy(j => j.WatchId).Select(g => g.MaxBy(j => j.Id)!)];
        return [.. jobs
            .Where(j => stock.OwnerClientId is null || stock.OwnerClientId == j.Client.Id)
            .Select(job =>
            {
                var file = TheJob.Read(work, job.Id);
                var judgement = MatchBand.Judge(file.Figures with { Raise = default }, stock.Band, house: file.House);
                var worst = judgement.Rules.First(r => r.Verdict == judgement.Verdict);
                return new HeldAgainst(
                    job.Id, job.Client.Name, job.WatchName, job.ClosedAt is not null, judgement.Verdict, judgement.Certainty,
                    judgement.Verdict == Verdict.Fits ? judgement.Rules[^1].Says : worst.Says);
            })
            .OrderBy(h => h.Verdict).ThenBy(h => h.JobId)];
    }
}
