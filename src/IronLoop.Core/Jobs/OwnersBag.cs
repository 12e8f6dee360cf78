using IronLoop.Core.Bench;
using IronLoop.Core.Joints;
using IronLoop.Core.Tray;

namespace IronLoop.Core.Jobs;

/// <summary>What goes into the owner's bag.</summary>
public static class OwnersBag
{
    /// <summary>What the bag of a job must hold: everything that was put into it, by the band it fits, and the bands that go along.</summary>
    /// <param name="job">The job.</param>
    /// <param name="also">The bands beside the one on the watch.</param>
    public static IReadOnlyList<BagLine> Of(JobSnapshot job, IReadOnlyList<AlsoBand> also) =>
        [.. PutIn(job), .. also.Where(a => a.As == AlsoAs.ForTheBag).Select(a => a.InTheBag(job))];

    private static IReadOnlyList<BagLine> PutIn(JobSnapshot job) => job.Bench is { Plan: { } plan, Now: { } now }
        ?
        [
            .. TrayLine.In(plan.From, now.Stand, Place.Bag).GroupBy(l => l.What)
                .Select(g => new BagLine(g.Key, g.Sum(l => l.Count)) { Key = g.First().Key, Fits = FitsSaid(job, g.First().Fits) }).OrderBy(l => l.Fits.Length == 0),
        ]
        : [];

    /// <summary>The band of the job as the owner knows it; what is of the old band says so by itself.</summary>
    private static string FitsSaid(JobSnapshot job, string fits) =>
        fits is FromTheWatch.Wanted or FromTheWatch.Other && job.Stock is { } stock ? char.ToLowerInvariant(stock.Name[0]) + stock.Name[1..] : "";
}
