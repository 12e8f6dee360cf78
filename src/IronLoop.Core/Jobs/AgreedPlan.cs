using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Stock;

namespace IronLoop.Core.Jobs;

/// <summary>What a job becomes when its arrangement is taken to the bench.</summary>
/// <param name="Job">The job with it.</param>
/// <param name="Links">Loose links taken from stock to try that it does not need, or not so many of: how many stay with it, the rest goes back.</param>
/// <param name="Plan">The plan that is stored.</param>
public sealed record AgreedPlan(JobSnapshot Job, IReadOnlyList<(StockPart Part, int Count)> Links, JobPlan Plan)
{
    /// <summary>Takes the arrangement that a job stands in to the bench. What lies open to be gauged stays so; the steps go on from there.</summary>
    /// <param name="job">The job; it has a band, or work that needs none.</param>
    /// <param name="at">When it is agreed.</param>
    public static AgreedPlan Of(JobSnapshot job, DateTimeOffset at)
    {
        var arrangement = job.ToBeAgreed!;
        var plan = new JobPlan(arrangement, job.Target?.Length, at);
        var own = job.Chosen?.WithOwnClasp.Spares ?? [];
        int Kept(PartTaken t) => t.IsLinksToTry ? Math.Min(t.Count, LinkFromStock.Needed(arrangement, own, t.Part.Part.Link!.Pitch)) : t.Count;
        var links = job.Taken.Where(t => Kept(t) < t.Count).Select(t => (t.Part, Kept(t))).ToList();
        IReadOnlyList<PartTaken> taken = [.. job.Taken.Select(t => t with { Count = Kept(t) }).Where(t => t.Count > 0)];
        var account = job.Bench.IsOpened ? job.Account : job.Account with
        {
            Plan = null,
            Tried = null,
            Done = [.. job.Account.Done.Where(d => d.Acts is null)],
            ToGauge = new HashSet<JointGroup>(),
        };
        var agreed = job.Planned(plan, account, taken);
        // The links that leave are those a hand takes out: what is drawn and what is worked are the same.
        if (agreed.Bench is { Facts: { } facts, Plan: { } bench } && Lying.Of(facts, bench.To) is { } told && !told.IsLike(plan.Arrangement))
            agreed = agreed.Planned(plan = plan with { Arrangement = told }, account, taken);
        return new AgreedPlan(agreed, links, plan);
    }
}
