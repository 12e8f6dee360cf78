using IronLoop.Core.Bench;
using IronLoop.Core.Joints;

namespace IronLoop.Core.Jobs;

/// <summary>The bench of a job: what the work goes by, what is done, what is left, and how it stands.</summary>
/// <param name="Facts">What the work follows from; null before a plan is approved.</param>
/// <param name="Plan">How it stood and how it shall stand; null before a plan is approved, or where it cannot be made.</param>
/// <param name="Done">The steps done.</param>
/// <param name="Left">The steps left.</param>
/// <param name="Now">How it stands; null without a plan.</param>
public sealed record JobBench(BenchFacts? Facts, BenchPlan? Plan, IReadOnlyList<WorkedStep> Done, IReadOnlyList<BenchStep> Left, Worked? Now)
{
    /// <summary>Steps of a version before, which are history.</summary>
    public IReadOnlyList<WorkedStep> History { get; init; } = [];

    /// <summary>Why there is no list of steps, though a plan is agreed; null where there is one.</summary>
    public string? Trouble { get; init; }

    /// <summary>Whether something was opened to be gauged, and nothing done beyond that.</summary>
    public bool IsOpened { get; init; }

    /// <summary>Whether anything of what is agreed was done.</summary>
    public bool IsBegun => !IsOpened && (Done.Any(d => d.Row != StepRow.Tray) || Now is { } now && Plan!.From.Things.Any(t => now.Stand[t.Id].Place != t.Place));

    /// <summary>Whether something that was taken off lies in the tray until the work goes on.</summary>
    public bool IsTrayKept => IsOpened && Now is { } now && now.Stand.Things.Any(t => t.Place == Place.Tray);

    /// <summary>The steps that are done, as the core takes them.</summary>
    public IReadOnlyList<DoneStep> Steps => [.. Done.Select(d => d.Step)];

    /// <summary>How far the work is.</summary>
    public SoFar SoFar => new(Now?.TryOns ?? 0, Done.Count == 0 ? 0 : Done.Max(d => d.Round));

    /// <summary>
    /// The bench where nothing more was done, or one step as it stood here: what is left is what was left, without it. Planning anew would come
    /// to the same.
    /// </summary>
    /// <param name="done">All that is done.</param>
    /// <returns>Null where something else was done, or more.</returns>
    internal JobBench? After(IReadOnlyList<WorkedStep> done)
    {
        var before = History.Count + Done.Count;
        if (done.Count < before || !History.Concat(Done).Zip(done).All(was => was.First.IsAlike(was.Second)))
            return null;
        if (done.Count == before)
            return this;
        if (done.Count > before + 1 || this is not { Plan.IsToGauge: false, Now: { } now, Trouble: null, IsOpened: false } || Left is not [var next, ..])
            return null;
        var last = done[^1];
        return last is { Acts: not null, Skipped: null, Damage: null } && (last.Key, last.Row, last.Round) == (next.Key, next.Row, next.Round) && WorkedStep.AreAlike(last.Acts, next.Acts)
            ? this with { Done = [.. Done, last], Left = [.. Left.Skip(1)], Now = now.Then(last.Acts) } : null;
    }

    /// <summary>The bench of a job; what is stored never makes it fail, it is said to be damaged.</summary>
    public static JobBench Of(JobSnapshot job)
    {
        var history = job.Account.Done.Where(d => d.Acts is null).ToList();
        var done = job.Account.Done.Where(d => d.Acts is not null).ToList();
        var isAgreed = job.Plan is { AgreedAt: not null } && (job.Stock ?? (object?)job.Work) is not null;
        if (!isAgreed && job.Account.ToGauge.Count == 0)
            return new JobBench(null, null, done, [], null) { History = history };
        var facts = BenchFactsOf.Of(job);
        // What was closed under a version before has its history alone.
        if (job.Job.ClosedAt is not null && job.Account.Plan is null)
            return new JobBench(facts, null, done, [], null) { History = history };
        var stored = done.Count > 0 ? job.Account.Plan?.Plan : null;
        var none = new JobBench(facts, null, done, [], null) { History = history, IsOpened = stored is { IsToGauge: true } };
        if (job.Account.Damage is { } unread)
            return none with { Trouble = $"The account of this job is damaged: {unread}. Put the last backup back where it was whole, or work this watch on paper." };
        try
        {
            var plan = stored is { IsToGauge: false } || stored is not null && !isAgreed ? stored : PlanOf(facts, stored, done, isAgreed);
            var bench = none with { Plan = plan, Now = Worked.After(plan.From, done.SelectMany(d => d.Acts!)) };
            return job.Job.ClosedAt is not null ? bench : bench with { Left = BenchSteps.Left(facts, plan, bench.Steps) };
        }
        catch (BenchException impossible)
        {
            return none with { Trouble = impossible.Message };
        }
        catch (InvalidOperationException damaged)
        {
            return none with { Trouble = $"The account of this job is damaged: {damaged.Message}" };
        }
    }

    /// <summary>How it stood, told by what is known now, with what came from stock in the place of lost parts since.</summary>
    public static Stand From(BenchFacts facts, BenchPlan? stored)
    {
        var fresh = FromTheWatch.Of(facts);
        return stored is null ? fresh : new Stand([.. fresh.Things, .. stored.From.Things.Where(t => t.Instead is not null && fresh.Find(t.Id) is null)], fresh.Joints);
    }

    /// <summary>The plan of a job on which nothing is done, or something opened to be gauged: then from how that lies.</summary>
    private static BenchPlan PlanOf(BenchFacts facts, BenchPlan? stored, IReadOnlyList<WorkedStep> done, bool isAgreed)
    {
        var from = From(facts, stored);
        return !isAgreed ? OpenedToGauge.Plan(facts, from)
            // No band is worked on: it stays as it is.
            : facts is { IsChosen: false, Told: not null } ? ToTheWatch.Cancel(from, from, default)
            : stored is null ? ToTheWatch.Plan(facts, from, from)
            : ToTheWatch.Plan(facts, from, Worked.After(from, done.SelectMany(d => d.Acts!)).Stand, new SoFar(0, 1));
    }
}
