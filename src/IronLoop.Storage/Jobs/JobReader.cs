using IronLoop.Core.Bench;
using IronLoop.Core.Jobs;
using IronLoop.Core.Shelf;

namespace IronLoop.Storage;

/// <summary>Reads jobs with everything that is stored of them.</summary>
public static class JobReader
{
    /// <summary>A job; null when there is none of that number. What is known of it and still stands is not read again.</summary>
    public static JobSnapshot? Find(ShopWork work, long id)
    {
        if (Jobs.VersionOf(work, id) is not { } stands)
            return null;
        // Whose hand it is is laid on before anything is changed: what was known before that is how it stands.
        var version = stands.Version - (work.Hand?.JobId == id && !work.IsLooking ? 1 : 0);
        if (work.IsUntouched && work.Known.Find(id, work.By ?? "", version)?.Whole is { } known)
            return known;
        var job = Jobs.Find(work, id)!;
        return Read(work, work.IsUntouched ? job with { Version = version } : job);
    }

    /// <summary>What is worked out of a job hangs on.</summary>
    public static KeptOf KeptOf(JobSnapshot job) =>
        new(job.Job.Id, job.Job.Version, job.Job.WatchId, job.Job.Client.Id, job.Job.BandId, job.Account.BandBefore?.Id);

    /// <summary>Several jobs, one after the other. What is known of them and still stands is not read again.</summary>
    public static IEnumerable<JobSnapshot> Each(ShopWork work, IEnumerable<Job> jobs)
    {
        foreach (var job in jobs)
            yield return work is { IsUntouched: true, IsLooking: true } && work.Known.Find(job.Id, work.By ?? "", job.Version)?.Whole is { } known ? known : Read(work, job);
    }

    /// <summary>The shop's spring bars and limits.</summary>
    public static House HouseOf(ShopWork work) => work.House.Of(work, () => new House(SpringBars.All(work) is { Count: > 0 } bars ? bars : null, Limits.Of(work)));

    private static JobSnapshot Read(ShopWork work, Job job)
    {
        var whose = work.By ?? "";
        var (pieces, before) = (work.Known.PiecesOf(job.Id, whose, work.Written), work.Known.Before(job.Id, whose));
        var read = Of(work, job, pieces, before);
        // Others took of the same parts, say, and it is as it was: then what was worked out of it stands.
        if (before is not null && work.IsUntouched && read.IsStill(before))
            read = before;
        if (work.IsLooking)
            work.Known.Keep(read, pieces, whose, work.ReadFrom);
        return read;
    }

    private static JobSnapshot Of(ShopWork work, Job job, JobPieces pieces, JobSnapshot? before) => new(
        job,
        pieces.Of(work, "gauged", () => Gaugings.Of(work, job.Id)),
        job.BandId is { } band ? pieces.Band(work, "band", band) : null,
        pieces.Of(work, "plan", () => Plans.Find(work, job.Id)),
        BenchAccounts.Of(work, job, work.By, pieces),
        pieces.OfShop(work, "house", () => HouseOf(work)),
        pieces.Of(work, "clasp", () => JobClasps.Of(work, job.Id)),
        pieces.OfShop(work, "taken", () => PartsTaken.Of(work, job.Id)),
        pieces.Of(work, "marked", () => MarkedLinks.Of(work, job.Id)),
        before);
}
