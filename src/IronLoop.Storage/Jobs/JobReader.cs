using IronLoop.Core.Bench;
using IronLoop.Core.Jobs;
using IronLoop.Core.Shelf;

namespace IronLoop.Storage;

/// <summary>Reads jobs with everything that is stored of them.</summary>
public static class JobReader
{
    /// <summary>A job; null when there is none of that number.</summary>
    public static JobSnapshot? Find(ShopWork work, long id) => Jobs.Find(work, id) is { } job ? Of(work, job, HouseOf(work)) : null;

    /// <summary>Several jobs, one after the other; what the house has is read once for all.</summary>
    public static IEnumerable<JobSnapshot> Each(ShopWork work, IEnumerable<Job> jobs)
    {
        var house = HouseOf(work);
        return jobs.Select(job => Of(work, job, house));
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
