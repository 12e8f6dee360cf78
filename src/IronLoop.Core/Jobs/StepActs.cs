using IronLoop.Core.Bench;
using IronLoop.Core.Joints;

namespace IronLoop.Core.Jobs;

/// <summary>What may be done with the steps of a job's bench work, and why not.</summary>
public static class StepActs
{
    /// <summary>Whether a step may be done or left out now.</summary>
    /// <param name="job">The job.</param>
    /// <param name="key">The step.</param>
    /// <param name="skipped">Why it is left out; empty when it is done.</param>
    /// <param name="asPlanned">Whether a try-on was as planned.</param>
    /// <param name="isSigned">Whether the owner has signed to what cannot be undone, or nobody has to.</param>
    public static Permission MayTick(this JobSnapshot job, string key, string skipped, bool asPlanned, bool isSigned)
    {
        var bench = job.Bench;
        if (BenchSteps.WhyNot(bench.Left, bench.Steps, key, tick: true) is { } why)
            return new Permission(why);
        var step = bench.Left[0];
        return Permission.Unless(
            step.Waits,
            skipped.Length > 0 && !step.MayBeSkipped
                ? "This step cannot be left out: the plan would not be true. Take the plan back to Size instead, or stop and refer." : null,
            step.Row == StepRow.Consent && !isSigned ? "The owner has not signed yet: have it signed here, or on the printed sheet." : null,
            step.Row == StepRow.TryOn && skipped.Length == 0 && !asPlanned
                ? "Say how it was on the wrist: as planned, what was found instead, or why it was not tried." : null);
    }

    /// <summary>Whether the last step may be taken back: what happened to parts since has to hold without it.</summary>
    /// <param name="job">The job.</param>
    /// <param name="key">The step.</param>
    public static Permission MayTakeBack(this JobSnapshot job, string key)
    {
        var bench = job.Bench;
        var steps = bench.Done.Where(d => d.Row != StepRow.Tray).ToList();
        if (BenchSteps.WhyNot([], [.. steps.Select(d => d.Step)], key, tick: false) is { } why)
            return new Permission(why);
        var last = steps[^1];
        return Permission.Unless(
            last.Row == StepRow.Before ? "That was done under a version before this one and cannot be taken back." : null,
            job.Account.Plan is { AtSeq: var agreed } && bench.Done.Count <= agreed ? "The plan was changed after that; what was done before it stays done." : null,
            HoldsWithout(bench, last) ? null : "Parts of it are gone or were replaced since; put that right at the Tray first.");
    }

    private static bool HoldsWithout(JobBench bench, WorkedStep step)
    {
        if (bench.Plan is not { } plan)
            return false;
        try
        {
            _ = Worked.After(plan.From, bench.Done.Where(d => d != step).SelectMany(d => d.Acts ?? []));
            return true;
        }
        catch (InvalidOperationException)
        {
            return false;
        }
    }
}
