using IronLoop.Core.Bench;
using IronLoop.Core.Jobs;
using IronLoop.Core.Joints;
using IronLoop.Server.Contract;
using IronLoop.Server.Door;
using IronLoop.Storage;

namespace IronLoop.Server.Stations;

/// <summary>Changes of a bench that is begun: done steps stay, the rest is planned from how they leave it.</summary>
internal static class BenchChange
{
    /// <summary>Writes down what the work goes by before its first step.</summary>
    public static void Begin(ShopWork work, JobSnapshot file)
    {
        if (!file.Bench.IsBegun && file.Bench.Plan is { } plan)
            BenchWork.Set(work, file.Job.Id, new AgreedBench(plan, plan.IsToGauge || !file.Bench.IsOpened ? 0 : file.Bench.Done.Count));
    }

    /// <summary>Plans anew with what was found or chosen: how it stood is told finer, never differently.</summary>
    /// <param name="work">The piece of work; what was found is stored in it already.</param>
    /// <param name="id">The job.</param>
    /// <exception cref="RefusedException">What is done was done on something else.</exception>
    public static void Again(ShopWork work, long id)
    {
        var file = TheJob.Read(work, id);
        if (file.Account.Plan is not { } stored)
            return;
        var facts = BenchFactsOf.Of(file);
        var done = file.Bench.Steps;
        try
        {
            var from = JobBench.From(facts, stored.Plan);
            // What was opened or closed was held by what it was held by.
            foreach (var joint in done.SelectMany(d => d.Acts).Select(a => a switch { Act.Open open => open.Joint, Act.Close close => close.Joint, _ => null }).OfType<string>())
                if (from.Joint(joint)?.Fastener != stored.Plan.From.Joint(joint)?.Fastener)
                    throw new BenchException($"{joint} was worked already.");
            var lies = Worked.After(from, done.Take(stored.AtSeq).SelectMany(d => d.Acts));
            var plan = stored.Plan.IsToGauge ? OpenedToGauge.Plan(facts, from) : ToTheWatch.Plan(facts, from, lies.Stand, stored.Plan.Before);
            _ = BenchSteps.Left(facts, plan, done);
            BenchWork.Set(work, id, stored with { Plan = plan });
            if (TheJob.Read(work, id).Bench.Trouble is { } trouble)
                throw new BenchException(trouble);
        }
        catch (Exception refused) when (refused is InvalidOperationException or BenchException)
        {
            throw RefusedException.Conflict("Bench work has begun with what was known before, and this would make another job of it; take the steps back first.");
        }
    }

    /// <summary>Plans the rest toward what is agreed now, from how it lies.</summary>
    public static void Agreed(ShopWork work, long id)
    {
        var file = TheJob.Read(work, id);
        var bench = file.Bench;
        if (bench is not { Facts: { } facts, Plan: { } plan, Now: { } now })
            return;
        var anew = ToTheWatch.Plan(facts, plan.From, now.Stand, bench.SoFar);
        BenchWork.Set(work, id, new AgreedBench(anew, bench.Done.Count));
    }
}
