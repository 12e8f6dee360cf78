using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Core.Joints;
using IronLoop.Core.Matching;
using IronLoop.Core.Shelf;
using IronLoop.Core.Tray;
using static IronLoop.Core.Tests.Bench.BenchJobs;

namespace IronLoop.Core.Tests.Jobs;

/// <summary>What may be done, and why not.</summary>
public class JobActsTests
{
    private static readonly StockBand Band = new(7, "SK-1", "Calf strap", null, "", "tan", 2_000, 1, Strap());

    [Fact]
    public void A_band_may_be_chosen_that_goes_on_and_is_there_though_it_does_not_close_right_on_this_wearer()
    {
        static Judgement Rules(params RuleVerdict[] rules) => new(rules);
        var (fits, wearer) = (new RuleVerdict("finish", Verdict.Fits, "Same finish."), new RuleVerdict(WearerRule.Name, Verdict.No, "Too short for this wrist."));
        Band.MayBeChosen(Rules(fits, wearer), 1).Ok.ShouldBeTrue();
        Band.MayBeChosen(Rules(fits, wearer, new RuleVerdict("lug-width", Verdict.No, "2 mm too wide.")), 1).Why.ShouldBe("Calf strap does not go on this watch. 2 mm too wide.");
        Band.MayBeChosen(Rules(fits), 0).Why.ShouldBe("Calf strap is not in stock, or all are chosen for other jobs.");
        Band.MayBeChosen(Rules(new RuleVerdict("bar", Verdict.Work, "Needs a bar.")), 1).Ok.ShouldBeTrue("work is agreed later");
    }

    [Fact]
    public void A_band_keeps_its_bars_at_the_clasp_where_they_are_used_again_whatever_becomes_of_the_other_parts()
    {
        static OwnPart Part(OwnPartKind kind, bool worn) => new(kind, Straight: true, Springy: true, Unworn: !worn);
        static bool Keeps(params OwnPart[] own) =>
            ChosenBand.Of(Band, LinkMarks.None, new JobClasp(), []).ClaspEnd(Figures.None, new JobClasp(), Snapshots.Account(own)).KeepsItsBars;
        Keeps(Part(OwnPartKind.ClaspPins, worn: false), Part(OwnPartKind.SpringBars, worn: true)).ShouldBe(true);
        Keeps(Part(OwnPartKind.ClaspPins, worn: true), Part(OwnPartKind.SpringBars, worn: false)).ShouldBe(false);
        Keeps().ShouldBe(false, "nobody looked at any");
    }

    [Fact]
    public void Steps_are_done_in_order_and_taken_back_from_the_last()
    {
        var facts = Own();
        var from = FromTheWatch.Of(facts);
        var all = BenchSteps.Left(facts, ToTheWatch.Plan(facts, from, from), []);
        DoneStep[] done = [.. all.Take(2).Select(s => new DoneStep(s.Key, s.Row, s.Round, s.Acts))];
        IReadOnlyList<BenchStep> left = [.. all.Skip(2)];
        BenchSteps.WhyNot(left, done, all[2].Key, tick: true).ShouldBeNull();
        BenchSteps.WhyNot(left, done, all[3].Key, tick: true).ShouldBe($"First: {all[2].Says}");
        BenchSteps.WhyNot(left, done, all[0].Key, tick: true).ShouldBe("That step is done already.");
        BenchSteps.WhyNot(left, done, "polish", tick: true).ShouldBe("There is no such step in this plan.");
        BenchSteps.WhyNot(left, done, all[1].Key, tick: false).ShouldBeNull();
        BenchSteps.WhyNot(left, done, all[0].Key, tick: false).ShouldBe("Take back first what was done after it.");
        BenchSteps.WhyNot(left, done, all[2].Key, tick: false).ShouldBe("That step is not done yet.");
        BenchSteps.WhyNot(all, [], all[0].Key, tick: false).ShouldBe("That step is not done yet.");
        BenchSteps.WhyNot([], done, all[2].Key, tick: true).ShouldBe("There is no such step in this plan.");
    }

    [Fact]
    public void What_may_be_done_follows_the_job()
    {
        var own = Snapshots.Stock(Bracelet());
        var agreed = Snapshots.Of(own, new Arrangement(Lie(4, 2), Lie(5, 1), 2));
        Why(agreed, JobAct.ChooseBand).ShouldBeNull("no step is done yet");
        Why(agreed, JobAct.MarkLinks).ShouldBeNull();
        Why(agreed, JobAct.WearAnotherWay).ShouldBe("Only a band that is pulled through is worn in different ways.");
        Why(agreed, JobAct.HandOver).ShouldNotBeNull().ShouldStartWith("Not ready to hand over.");
        Why(agreed, JobAct.TakeInAgain).ShouldBe("Job 7 is still open: go on with it.");
        Why(agreed, JobAct.WriteReferral).ShouldBe("This job is not referred to anybody.");
        Why(Snapshots.Of(null), JobAct.KeepClasp).ShouldBe("Choose a band first; its clasp is looked at then.");
        Why(Snapshots.Of(null), JobAct.Arrange).ShouldBe("Choose a band first.");
        Why(Snapshots.Of(Snapshots.Stock(Strap()), request: Request.ChangeStrap), JobAct.MarkLinks).ShouldBe("Only a link bracelet is sized link by link.");

        Why(agreed, JobAct.UseTray).ShouldBeNull();
        Why(Snapshots.Of(null), JobAct.UseTray).ShouldBe("There is no tray before a plan is approved.");

        var referred = Snapshots.Of(own, with: j => j with { ReferredAt = Snapshots.Noon });
        foreach (var act in (JobAct[])[JobAct.ChooseBand, JobAct.Arrange, JobAct.Work, JobAct.SetUpBench, JobAct.HandOver])
            Why(referred, act).ShouldNotBeNull(act.ToString()).ShouldStartWith("This job is referred to a watchmaker");
        Why(referred, JobAct.Gauge).ShouldBeNull("what is found is still noted");
        Why(referred, JobAct.WriteReferral).ShouldBeNull();

        var closed = Snapshots.Of(own, with: j => j with { ClosedAt = Snapshots.Noon });
        foreach (var act in Enum.GetValues<JobAct>().Except([JobAct.WriteReferral, JobAct.TakeInAgain]))
            Why(closed, act).ShouldBe("Job 7 is handed over and in the log; it cannot be changed.", act.ToString());
        Why(closed, JobAct.TakeInAgain).ShouldBeNull();
        Why(Snapshots.Of(own, with: j => j with { ClosedAt = Snapshots.Noon, Client = j.Client with { ErasedAt = Snapshots.Noon } }), JobAct.TakeInAgain)
            .ShouldBe("This client asked to be forgotten; take the watch in as a new one.");
    }

    private static string? Why(JobSnapshot job, JobAct act) => job.May(act).Why;

    [Fact]
    public void Bars_at_the_lugs_that_are_worn_are_replaced_whatever_else_of_the_owner_s_is()
    {
        static OwnPart Part(OwnPartKind kind, bool worn) => new(kind, Straight: true, Springy: true, Unworn: !worn);
        static bool Reuses(params OwnPart[] own) => BenchFactsOf.Of(Snapshots.Of(Snapshots.Stock(Bracelet()), account: Snapshots.Account(own)))!.ReuseBars;
        Reuses(Part(OwnPartKind.ClaspPins, worn: true), Part(OwnPartKind.SpringBars, worn: false)).ShouldBeTrue();
        Reuses(Part(OwnPartKind.ClaspPins, worn: false), Part(OwnPartKind.SpringBars, worn: true)).ShouldBeFalse();
        Reuses().ShouldBeTrue("nobody looked at any");
    }

    [Fact]
    public void The_last_step_is_the_only_one_that_is_left()
    {
        var job = Snapshots.Of(Snapshots.Stock(Bracelet()), new Arrangement(Lie(6, 0), Lie(6, 0), 3), account: Snapshots.Account() with { Looks = Looked(Fastener.SplitPin) });
        var left = job.Bench.Left;
        left.Count.ShouldBeGreaterThan(1);
        job.IsLast(left[0]).ShouldBeFalse();
        job.IsLast(left[^1]).ShouldBeFalse("there are others before it");
        var last = Worked(Worked(0).Bench.Left.Count - 1);
        last.IsLast(last.Bench.Left.Single()).ShouldBeTrue();
        last.IsLast(left[0]).ShouldBeFalse("another step than the one that is left");
    }

    private static JobSnapshot Worked(int steps, Figures? figures = null)
    {
        var plan = new Arrangement(Lie(4, 2), Lie(5, 1), 2);
        var looked = Snapshots.Account() with { Looks = Looked(Fastener.SplitPin) };
        var account = Snapshots.Done(Snapshots.Of(Snapshots.Stock(Bracelet()), plan, account: looked), steps);
        return Snapshots.Of(Snapshots.Stock(Bracelet()), plan, account: account, figures: figures);
    }

    [Fact]
    public void Once_work_has_begun_nothing_may_make_another_job_of_it()
    {
        var other = Snapshots.Known with { Attachment = Attachment.FixedBar };
        JobSnapshot Never() => throw new InvalidOperationException("It is asked only where work has begun.");
        Worked(0).MayStay(Never).Ok.ShouldBeTrue();
        Worked(2).MayStay(() => Worked(2)).Ok.ShouldBeTrue();
        Worked(2).MayStay(() => Worked(2, other)).Why.ShouldNotBeNull().ShouldStartWith("Bench work has begun, and the account of its parts depends on how the watch takes its band.");
        Why(Worked(2), JobAct.ChooseBand).ShouldBe("Bench work has begun; take back the steps that are done first.");
    }

    [Fact]
    public void The_last_step_done_is_the_one_that_may_be_taken_back()
    {
        var job = Worked(3);
        var done = job.Bench.Done;
        job.MayTakeBack(done[2].Key).Ok.ShouldBeTrue();
        job.MayTakeBack(done[1].Key).Why.ShouldBe("Take back first what was done after it.");
        job.MayTakeBack("polish").Why.ShouldBe("That step is not done yet.");
        Worked(0).MayTakeBack(done[0].Key).Ok.ShouldBeFalse();
    }

    [Fact]
    public void When_all_is_done_the_bag_holds_what_came_out_and_says_which_band_it_fits()
    {
        var done = Worked(int.MaxValue);
        done.Bench.Left.ShouldBeEmpty();
        done.Bench.Trouble.ShouldBeNull();
        done.Progress.Done(Station.Bench).ShouldBeTrue();
        var bag = OwnersBag.Of(done, []);
        bag.ShouldContain(l => l.Count == 3 && l.What.Contains("link", StringComparison.Ordinal));
        bag.ShouldAllBe(l => l.Fits == "steel bracelet");
    }
}
