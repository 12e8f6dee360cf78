using IronLoop.Core.Jobs;
using IronLoop.Storage;

namespace IronLoop.Server.Stations;

/// <summary>A job's arrangement is taken to the bench.</summary>
internal static class Agreeing
{
    /// <summary>What it comes to, and the line of the log; it reads nothing but the job.</summary>
    public static (AgreedPlan Agreed, LogLine Line) WorkOut(JobSnapshot job, DateTimeOffset at)
    {
        var agreed = AgreedPlan.Of(job, at);
        return (agreed, LogLine.Of(LogKind.PlanAgreed, WhatWasDone.Say(agreed.Job), LoopSheet.Undrawn(agreed.Job).FinalFigures));
    }

    /// <summary>Stores it.</summary>
    public static void Store(ShopWork work, JobSnapshot file, (AgreedPlan Agreed, LogLine Line) told, DateTimeOffset at)
    {
        var (id, agreed) = (file.Job.Id, told.Agreed);
        new Permission(agreed.Job.Bench.Trouble).OrRefuse();
        if (!file.Bench.IsOpened)
        {
            BenchWork.Forget(work, id);
            ToBeGauged.Set(work, id, []);
        }
        foreach (var (part, count) in agreed.Links)
            LinksToTry.SetTaken(work, id, part, count);
        Plans.Set(work, id, agreed.Plan);
        // What is changed at the bench later was not expected then.
        if (!file.Bench.IsBegun)
            DayBook.Expect(work, id, (int)Math.Ceiling(agreed.Job.Bench.Left.Sum(s => s.Minutes)));
        Log.Write(work, id, at, file.Job.TakenInBy, Station.Size, told.Line);
    }
}
