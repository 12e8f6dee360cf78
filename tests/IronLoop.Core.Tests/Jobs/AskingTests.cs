using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Shelf;
using static IronLoop.Core.Tests.Bench.BenchJobs;

namespace IronLoop.Core.Tests.Jobs;

public class AskingTests
{
    private static readonly Figures Wrist = (Figures.None with { Wear = WearPreference.Regular }).With(GaugedFigure.LugToLug, Mm(48)).With(GaugedFigure.Wrist, Mm(170));

    [Fact]
    public void A_strap_waits_for_its_lug_width_alone_and_passes_size_once_a_length_is_known()
    {
        Asking.Missing(JobOf(Request.ChangeStrap, Figures.None)).Select(m => m.Words).ShouldBe(["lug width"]);
        var lugs = Figures.None.With(GaugedFigure.LugWidth, Mm(20));
        Asking.Missing(JobOf(Request.ChangeStrap, lugs)).ShouldBeEmpty();
        Asking.Uses(JobOf(Request.ChangeStrap, lugs)).ShouldBe([Station.Match]);
        Asking.Uses(JobOf(Request.ChangeStrap, Wrist)).ShouldBe([Station.Match, Station.Size], ignoreOrder: true);
        Asking.Uses(JobOf(Request.ChangeStrap, lugs with { Copy = new CopiedLoop(Mm(160)) { By = LoopBy.Sent } })).ShouldContain(Station.Size);
    }

    [Fact]
    public void Links_are_told_by_figures_until_they_are_told_by_count()
    {
        Asking.Missing(JobOf(Request.TakeLinksOut, Wrist)).Select(m => m.Words).ShouldBe(["the links", "the clasp’s two lengths", "band width"]);
        var counted = JobOf(Request.TakeLinksOut, Figures.None, new HandWork.ByCount(new Counted(1, 0)));
        Asking.Missing(counted).ShouldBeEmpty();
        Asking.Uses(counted).ShouldBeEmpty();
        counted.ToBeAgreed.ShouldNotBeNull().Twelve.Count(l => l.Fate == LinkFate.Leaves).ShouldBe(1);
    }

    [Fact]
    public void What_is_told_in_words_waits_for_nothing_and_a_band_that_is_chosen_all_the_same_is_looked_over()
    {
        Asking.Missing(JobOf(Request.SomethingElse, Figures.None)).ShouldBeEmpty();
        Asking.Uses(JobOf(Request.SomethingElse, Figures.None)).ShouldBeEmpty();
        Asking.Uses(JobOf(Request.SomethingElse, Wrist, null, new StockBand(7, "SK-7", "Calf strap", null, "", "", 3_000, 2, Strap()))).ShouldBe([Station.Match, Station.Size], ignoreOrder: true);
    }

    [Fact]
    public void A_strap_that_nobody_sized_goes_on_as_it_is_and_one_by_the_old_strap_in_the_nearest_hole()
    {
        var strap = new StockBand(7, "SK-7", "Calf strap", null, "", "", 3_000, 2, Strap());
        var bare = JobOf(Request.ChangeStrap, Figures.None.With(GaugedFigure.LugWidth, Mm(20)), null, strap);
        bare.Target.ShouldBeNull();
        AgreedPlan.Of(bare, default).Plan.Target.ShouldBeNull();
        var holed = bare.Holed.ShouldNotBeNull();
        var asBefore = JobOf(Request.ChangeStrap, Figures.None with { Copy = new CopiedLoop(holed.LengthIn(2)) { By = LoopBy.OldStrap } }, null, strap);
        AgreedPlan.Of(asBefore, default).Plan.ShouldSatisfyAllConditions(
            plan => plan.Arrangement.Position.ShouldBe(2),
            plan => plan.Target.ShouldBe(holed.LengthIn(2)));
    }

    [Fact]
    public void That_it_is_held_by_sprung_bars_as_was_taken_is_no_change_of_the_work()
    {
        var begun = JobOf(Request.OffAndOn, Figures.None, done: true);
        JobSnapshot Now(Attachment attachment) => JobOf(Request.OffAndOn, Figures.None with { Attachment = attachment }, done: true);
        begun.MayStay(() => Now(Attachment.SpringBarDrilled)).Ok.ShouldBeTrue();
        begun.MayStay(() => Now(Attachment.FixedBar)).Ok.ShouldBeFalse();
    }

    private static JobSnapshot JobOf(Request request, Figures figures, HandWork? byHand = null, StockBand? stock = null, bool done = false)
    {
        var account = new BenchAccount(new BenchSetup(), new Dictionary<JointGroup, JointLook>(), null, null, [], [], []) { ByHand = byHand };
        JobSnapshot With(JobPlan? plan, BenchAccount of) => new(
            new Job(1, new Client(1, "Petra Hask", ""), 1, "Gannet", request, "", new DateOnly(2026, 12, 1), default, "MK", stock?.Id, null, null, null, null, "", default),
            figures, stock, plan, of, new House(null, HouseLimits.Usual), new JobClasp(), [], LinkMarks.None);
        if (!done)
            return With(null, account);
        var agreed = With(new JobPlan(new Arrangement([], [], 0), null, default(DateTimeOffset)), account);
        var first = agreed.Bench.Left[0];
        return With(agreed.Plan, account with
        {
            Plan = new AgreedBench(agreed.Bench.Plan!, 0),
            Done = [new WorkedStep(1, first.Key, first.Row, 1, first.Says, first.Acts, null, default)],
        });
    }
}
