using System.Globalization;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Matching;
using IronLoop.Core.Shelf;

namespace IronLoop.Core.Jobs;

/// <summary>What can be done on a job.</summary>
public enum JobAct
{
    /// <summary>The reply at take-in is put right; condition, photos, referral.</summary>
    PutRight,

    /// <summary>Something is gauged, or said of how it is worn.</summary>
    Gauge,

    /// <summary>The work is told by hand: a count, a place, a part.</summary>
    TellByHand,

    /// <summary>The owner's own bracelet is gauged, link by link.</summary>
    GaugeBracelet,

    /// <summary>A band is chosen.</summary>
    ChooseBand,

    /// <summary>A band is added beside the one on the watch, or taken off the job.</summary>
    AddBand,

    /// <summary>A hole is to be punched between two, or not any more.</summary>
    PunchHole,

    /// <summary>The watch is observed before it goes back.</summary>
    Observe,

    /// <summary>What a look at a watch under observation showed is noted.</summary>
    NoteLook,

    /// <summary>What is seen of its clasp and of the owner's own parts is noted.</summary>
    LookAtClasp,

    /// <summary>The band's own clasp is kept.</summary>
    KeepClasp,

    /// <summary>Another clasp is chosen.</summary>
    ChooseClasp,

    /// <summary>Links are marked, freed, or taken from stock to try.</summary>
    MarkLinks,

    /// <summary>A band pulled through is worn in another way.</summary>
    WearAnotherWay,

    /// <summary>The arrangement is changed.</summary>
    Arrange,

    /// <summary>The arrangement is taken to the bench.</summary>
    Agree,

    /// <summary>Joints are opened to be gauged before the rest is approved.</summary>
    OpenToGauge,

    /// <summary>How it is worked is set up: tools, joints, what is lent.</summary>
    SetUpBench,

    /// <summary>A step is done, or taken back; a try-on is noted.</summary>
    Work,

    /// <summary>Something happens to a part outside the steps.</summary>
    UseTray,

    /// <summary>A note is made or answered, or how the watch came is said.</summary>
    Note,

    /// <summary>The owner signs to what cannot be undone.</summary>
    Sign,

    /// <summary>The watchmaker is written to.</summary>
    WriteReferral,

    /// <summary>The watch goes back.</summary>
    HandOver,

    /// <summary>The watch goes back as it came.</summary>
    GoBackUnworked,

    /// <summary>The watch is taken in again.</summary>
    TakeInAgain,
}

/// <summary>Whether something may be done now.</summary>
/// <param name="Why">Why not, in words; null when it may.</param>
public readonly record struct Permission(string? Why)
{
    /// <summary>It may.</summary>
    public static Permission Granted { get; }

    /// <summary>Whether it may.</summary>
    public bool Ok => Why is null;

    /// <summary>The first of several reasons why not.</summary>
    public static Permission Unless(params ReadOnlySpan<string?> reasons)
    {
        foreach (var why in reasons)
            if (why is not null)
                return new Permission(why);
        return Granted;
    }
}

/// <summary>What may be done on a job as it stands, and why not. Every rule about that stands here, and nowhere else.</summary>
public static class JobActs
{
    /// <summary>Whether something may be done now.</summary>
    public static Permission May(this JobSnapshot job, JobAct act) => act switch
    {
        JobAct.PutRight or JobAct.Gauge or JobAct.Note or JobAct.AddBand or JobAct.Observe => Permission.Unless(Closed(job)),
        JobAct.NoteLook => Permission.Unless(Closed(job), job.Job.ObservedUntil is null ? "This watch is not under observation." : null),
        JobAct.PunchHole => Permission.Unless(Begun(job).Why, job.Job.ExtraHole is null ? ExtraHole.Forbids(job) : null),
        JobAct.TellByHand or JobAct.GaugeBracelet or JobAct.ChooseBand or JobAct.LookAtClasp => Begun(job),
        JobAct.KeepClasp => Permission.Unless(job.OtherClasp is null ? Closed(job) : Begun(job).Why, NoBandYet(job)),
        JobAct.ChooseClasp => Permission.Unless(Begun(job).Why, NoBandYet(job)),
        JobAct.MarkLinks => Permission.Unless(Begun(job).Why, job.Chosen?.Unmarked.Links is null ? "Only a link bracelet is sized link by link." : null),
        JobAct.WearAnotherWay => Permission.Unless(Begun(job).Why, job.Band?.OnePiece is null ? "Only a band that is pulled through is worn in different ways." : null),
        JobAct.Arrange => Permission.Unless(Begun(job).Why, job.Band is null ? "Choose a band first." : null, job.Target is null ? job.Progress.Says(Station.Size) : null),
        JobAct.Agree => Permission.Unless(
            Begun(job).Why, Asking.Missing(job) is { Count: > 0 } missing ? $"The plan waits for: {string.Join(", ", missing)}." : null,
            job.Band is null && job.Work is null ? "Choose a band first." : null,
            job.Uses.Contains(Station.Size) && job.Target is null ? job.Progress.Says(Station.Size) : null,
            DoesNotGoOn(job)),
        JobAct.OpenToGauge => Permission.Unless(Begun(job).Why, job.Bench is { IsOpened: false, Plan.IsToGauge: false } ? "The plan is approved; its steps open what they need." : null),
        JobAct.SetUpBench => Permission.Unless(Referred(job), Closed(job)),
        // What was gauged after the plan was agreed may keep the band off; once work on it has begun, the bench sees that for itself.
        JobAct.Work => Permission.Unless(Closed(job), Referred(job), job.Bench.Trouble, job.Bench.IsBegun || job.Bench.Plan is null ? null : DoesNotGoOn(job)),
        JobAct.UseTray => Permission.Unless(Closed(job), job.Bench is { Plan: not null, Now: not null } ? null : "There is no tray before a plan is approved."),
        JobAct.Sign => Permission.Unless(Closed(job), job.Lasting.Length == 0 || job.Job.BandId is null ? "Nothing on this job asks for a consent." : null),
        JobAct.WriteReferral => Permission.Unless(job.Job.ReferredAt is null ? "This job is not referred to anybody." : null),
        JobAct.HandOver => Permission.Unless(Closed(job), Referred(job), Waits(job), Observed(job), NotReady(job)),
        JobAct.GoBackUnworked => Permission.Unless(
            Closed(job), job.Bench.IsBegun || job.Bench.IsOpened ? "Work on it has begun: take the steps back first, so that it goes back as it came." : null),
        JobAct.TakeInAgain => Permission.Unless(
            job.Job.ClosedAt is null ? $"Job {job.Job.Id} is still open: go on with it." : null,
            job.Job.Client.ErasedAt is not null ? "This client asked to be forgotten; take the watch in as a new one." : null),
        _ => throw new ArgumentOutOfRangeException(nameof(act), act, "Not an act."),
    };

    /// <summary>Whether a step is the last that is left.</summary>
    public static bool IsLast(this JobSnapshot job, BenchStep step) => job.Bench.Left is [var only] && only.Key == step.Key;

    /// <summary>Whether a change may stay: where bench work is begun, it must not make another job of it.</summary>
    /// <param name="before">The job as it was.</param>
    /// <param name="change">Tells the job with the change; it is asked only where bench work is begun.</param>
    public static Permission MayStay(this JobSnapshot before, Func<JobSnapshot> change)
    {
        if (!before.Bench.IsBegun && !before.Bench.IsOpened)
            return Permission.Granted;
        var job = change();
        return Permission.Unless(
            !GoesWith(before.Figures.Attachment, job.Figures.Attachment)
                ? "Bench work has begun, and the account of its parts depends on how the watch takes its band. Take the steps back first." : null,
            before.Bench is { IsOpened: true, Trouble: null } && job.Bench.Trouble is not null
                ? "Something of this watch lies open to be gauged, and this would make another job of it; take those steps back first." : null);
    }

    // Nobody had looked, and it was taken to be by sprung bars: that it is so is no change.
    private static bool GoesWith(Attachment? before, Attachment? now) =>
        before == now || (before is null && now is Attachment.SpringBarBlind or Attachment.SpringBarDrilled);

    /// <summary>Whether what happened to a part may stay: the work has to go on with it.</summary>
    /// <param name="job">The job, with it.</param>
    /// <param name="part">The part's name.</param>
    public static Permission MayStayInTheTray(this JobSnapshot job, string part) => Permission.Unless(
        job.Bench.Trouble is { } trouble ? $"{part}: this does not go with what was done since; take back the steps after it first. {trouble}" : null);

    /// <summary>
    /// Whether a band may be chosen for a watch. One that merely does not close right on this wearer may be: at Size the fitter sees what would
    /// cure it.
    /// </summary>
    /// <param name="stock">The band.</param>
    /// <param name="judgement">What the rules say of it on this watch.</param>
    /// <param name="free">How many of it are free.</param>
    public static Permission MayBeChosen(this StockBand stock, Judgement judgement, int free) => Permission.Unless(
        judgement.Rules.FirstOrDefault(r => r.Refuses && r.Rule != WearerRule.Name) is { } no ? $"{stock.Name} does not go on this watch. {no.Says}" : null,
        free > 0 ? null : $"{stock.Name} is not in stock, or all are chosen for other jobs.");

    /// <summary>Whether the band may be worn in a way.</summary>
    /// <param name="job">The job.</param>
    /// <param name="way">The way.</param>
    public static Permission MayBeWorn(this JobSnapshot job, PullThroughWay way) =>
        Permission.Unless(job.KeptOffWorn(way) is { } no ? $"Worn this way it does not go on this watch. {no.Says}" : null);

    private static string? Closed(JobSnapshot job) => job.Job.ClosedAt is null ? null : $"Job {job.Job.Id} is handed over and in the log; it cannot be changed.";

    private static string? Referred(JobSnapshot job) =>
        job.Job.ReferredAt is null || job.Job.IsFittedMeanwhile ? null : "This job is referred to a watchmaker; take it back at Take-in before working on it.";

    private static Permission Begun(JobSnapshot job) => Permission.Unless(
        Closed(job), Referred(job), job.Bench.IsBegun ? "Bench work has begun; take back the steps that are done first." : null);

    private static string? DoesNotGoOn(JobSnapshot job) => job.KeptOff is { } no
        ? $"As this watch is gauged now, the band does not go on it{(job.Band?.OnePiece is null ? "" : " worn this way")}. {no.Says}" : null;

    private static string? NoBandYet(JobSnapshot job) => job.Chosen is null ? "Choose a band first; its clasp is looked at then." : null;

    private static string? Observed(JobSnapshot job) => job.Job.ObservedUntil is not { } until ? null
        : $"Under observation until {until.ToString("d MMMM", CultureInfo.InvariantCulture)}: note what it shows and end the observation first.";

    private static string? Waits(JobSnapshot job) => job.Progress.Awaited is { Count: > 0 } awaited ? $"Still awaited: {string.Join(", ", awaited)}." : null;

    private static string? NotReady(JobSnapshot job) => job.Progress.KeepsOpen is { } open ? $"Not ready to hand over. {open}" : null;
}
