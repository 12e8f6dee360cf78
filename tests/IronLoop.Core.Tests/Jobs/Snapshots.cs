using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Shelf;
using IronLoop.Core.Tools;
using IronLoop.Core.Tray;

namespace IronLoop.Core.Tests.Jobs;

/// <summary>Jobs as they are known at one moment, with nothing stored behind them.</summary>
internal static class Snapshots
{
    public static readonly DateTimeOffset Noon = new(2026, 5, 4, 12, 0, 0, TimeSpan.Zero);

    public static readonly Figures Known = (Figures.None with { Attachment = Attachment.SpringBarDrilled, Wear = WearPreference.Regular })
        .With(GaugedFigure.LugWidth, Length.FromMillimetres(20)).With(GaugedFigure.LugToLug, Length.FromMillimetres(48)).With(GaugedFigure.Wrist, Length.FromMillimetres(170));

    public static Job Job(Request request) =>
        new(7, new Client(3, "Marit Sandgrove", "signal cottage"), 4, "Ostwick night hand", request, "", new DateOnly(2026, 5, 9), Noon, "MK", 5, Noon, null, null, null, "", PullThroughWay.Double);

    public static BenchAccount Account(IReadOnlyList<OwnPart>? own = null) =>
        new(new BenchSetup(), new Dictionary<JointGroup, JointLook>(), null, null, [], own ?? [], []);

    public static StockBand Stock(Band band, bool isOwn = true) => new(5, "SK-1", isOwn ? "steel bracelet" : "calf strap", isOwn ? 3 : null, "", "", 2_000, 1, band);

    /// <summary>A job with a band chosen, and the plan that is agreed.</summary>
    public static JobSnapshot Of(
        StockBand? stock, Arrangement? plan = null, Request request = Request.TakeLinksOut, BenchAccount? account = null, JobClasp? clasp = null, IReadOnlyList<PartTaken>? taken = null,
        Func<Job, Job>? with = null, Figures? figures = null) => new(
        (with ?? (j => j))(Job(request)), figures ?? Known, stock, plan is null ? null : new JobPlan(plan, Length.FromMillimetres(154.5m), Noon), account ?? Account(),
        new House(null, HouseLimits.Usual), clasp ?? new JobClasp(), taken ?? [], LinkMarks.None);

    /// <summary>The account of a job of which the first so many steps are done.</summary>
    public static BenchAccount Done(JobSnapshot job, int steps) => job.Account with
    {
        Plan = new AgreedBench(job.Bench.Plan!, 0),
        Done = [.. job.Bench.Left.Take(steps).Select((s, i) => new WorkedStep(i + 1, s.Key, s.Row, s.Round, s.Says, s.Acts, null, Noon))],
    };
}
