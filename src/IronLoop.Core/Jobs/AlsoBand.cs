using IronLoop.Core.Bands;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Shelf;
using IronLoop.Core.Tray;

namespace IronLoop.Core.Jobs;

/// <summary>What a band is on a job that leaves with another on the watch. Stored and sent by name.</summary>
public enum AlsoAs
{
    /// <summary>It goes along in the bag, matched and sized.</summary>
    ForTheBag,

    /// <summary>It was held to the head to be looked at; it is not booked.</summary>
    ForLooks,
}

/// <summary>A band of a job beside the one that is on the watch when it leaves.</summary>
/// <param name="Stock">The band.</param>
/// <param name="Way">How it is worn, where it is pulled through.</param>
/// <param name="As">What it is on this job.</param>
public sealed record AlsoBand(StockBand Stock, PullThroughWay Way, AlsoAs As)
{
    /// <summary>What is written on it for its wearer: its hole, notch or plan; that it is not sized where no length is known.</summary>
    /// <param name="job">The job.</param>
    public string Written(JobSnapshot job)
    {
        var bare = job.Figures with { Raise = Length.Zero };
        var tried = new JobSnapshot(job.Job with { Way = Way }, bare, Stock, null, job.Account with { ByHand = null }, job.House, new JobClasp(), [], LinkMarks.None);
        if (tried.Target is not { } target)
            return "not sized: its wearer picks the place";
        if (tried.Holed is { } holed)
            return $"close it {holed.Closed(holed.Nearest(target).Hole)}";
        var request = Sizing.Request(Stock.Band, target, job.Figures.Habits);
        var plan = PlanWords.WhatToDo(request, Planner.Recommend(request));
        return $"{char.ToLowerInvariant(plan[0])}{plan[1..]}";
    }

    /// <summary>Its line in the bag.</summary>
    /// <param name="job">The job.</param>
    public BagLine InTheBag(JobSnapshot job) => new($"{Stock.Name} {Stock.Article}, {Written(job)}", 1) { Key = $"also-{Stock.Id}" };

    /// <summary>Whether a band may be added beside the one on the watch.</summary>
    /// <param name="job">The job.</param>
    /// <param name="stock">The band.</param>
    /// <param name="as">What it is to be there.</param>
    /// <param name="judgement">What the rules say of it on this watch.</param>
    /// <param name="free">How many of it are free.</param>
    public static Permission MayBeAdded(JobSnapshot job, StockBand stock, AlsoAs @as, Judgement judgement, int free) => Permission.Unless(
        stock.Id == job.Job.BandId ? $"{stock.Name} is the band that goes on the watch." : null, @as == AlsoAs.ForTheBag ? MayGoAlong(stock, judgement, free).Why : null);

    /// <summary>
    /// Whether a band may go along in the bag: it must go on this watch, and ask for no work that cannot be undone; for that it has to be the
    /// band of a job.
    /// </summary>
    /// <param name="stock">The band.</param>
    /// <param name="judgement">What the rules say of it on this watch.</param>
    /// <param name="free">How many of it are free.</param>
    public static Permission MayGoAlong(StockBand stock, Judgement judgement, int free) => Permission.Unless(
        stock.MayBeChosen(judgement, free).Why,
        PieceOfWork.Lasting(judgement.SureWork) is { Length: > 0 } lasting ? $"{stock.Name} asks for work that cannot be undone ({lasting}): choose it for a job of its own." : null);
}
