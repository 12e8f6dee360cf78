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
        if (work.IsUntouched && work.Known.Find(id, work.By ?? "", version) is { } known)
            return known;
        var job = Of(work, Jobs.Find(work, id)!, HouseOf(work));
        if (work.IsLooking)
            work.Known.Keep(KeptOf(job), work.By ?? "", job, work.ReadFrom);
        return job;
    }

    /// <summary>What is worked out of a job hangs on.</summary>
    public static KeptOf KeptOf(JobSnapshot job) =>
        new(job.Job.Id, job.Job.Version, job.Job.WatchId, job.Job.Client.Id, job.Job.BandId, job.Account.BandBefore is not null);

    /// <summary>Several jobs, one after the other. What is known of them is not read again; what the house has is read once for all.</summary>
    public static IEnumerable<JobSnapshot> Each(ShopWork work, IEnumerable<Job> jobs)
    {
        House? house = null;
        foreach (var job in jobs)
            yield return work is { IsUntouched: true, IsLooking: true } && work.Known.Find(job.Id, work.By ?? "", job.Version) is { } known ? known
                : Of(work, job, house ??= HouseOf(work));
    }

    /// <summary>The shop's spring bars and limits.</summary>
    public static House HouseOf(ShopWork work)
    {
        var bars = SpringBars.All(work);
        return new House(bars.Count > 0 ? bars : null, Limits.Of(work));
    }

    private static JobSnapshot Of(ShopWork work, Job job, House house) => new(
        job,
        Gaugings.Of(work, job.Id),
        job.BandId is { } band ? Bands.Find(work, band) : null,
        Plans.Find(work, job.Id),
        BenchAccounts.Of(work, job, work.By),
        house,
        JobClasps.Of(work, job.Id),
        PartsTaken.Of(work, job.Id),
        MarkedLinks.Of(work, job.Id));
}
