using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Core.Joints;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Tests.Bench;

namespace IronLoop.Core.Tests.Jobs;

/// <summary>How far a bench is: untouched, opened to be gauged, begun.</summary>
public class JobBenchTests
{
    private static readonly BenchFacts Facts = BenchJobs.Own();
    private static readonly Stand From = FromTheWatch.Of(Facts);
    private static readonly BenchPlan Plan = ToTheWatch.Plan(Facts, From, From);

    [Fact]
    public void A_tray_is_kept_when_it_was_opened_to_be_gauged_and_some_of_it_lies_there()
    {
        Opened(With(0)).IsTrayKept.ShouldBeFalse("nothing lies in it yet");
        var lying = With(int.MaxValue);
        Opened(lying).IsTrayKept.ShouldBeTrue("some things, not all, lie in it");
        (Opened(lying) with { IsOpened = false }).IsTrayKept.ShouldBeFalse("the work itself goes on with what lies there");
        (Opened(lying) with { Now = null }).IsTrayKept.ShouldBeFalse();
    }

    [Fact]
    public void It_is_begun_once_anything_of_what_is_agreed_was_done_or_lies_elsewhere_than_it_came()
    {
        var untouched = Opened(With(0)) with { IsOpened = false };
        untouched.IsBegun.ShouldBeFalse();
        (untouched with { Done = [Step(StepRow.Tray)] }).IsBegun.ShouldBeFalse("what happens in the tray is no work");
        (untouched with { Done = [Step(StepRow.Tray), Step(StepRow.Protect)] }).IsBegun.ShouldBeTrue();
        (untouched with { Now = With(int.MaxValue) }).IsBegun.ShouldBeTrue("a part lies elsewhere than it came");
        Opened(With(int.MaxValue)).IsBegun.ShouldBeFalse("opened to be gauged, and nothing beyond that");
    }

    [Fact]
    public void It_is_as_far_as_the_last_round_that_was_done()
    {
        var untouched = Opened(With(0));
        untouched.SoFar.ShouldBe(new SoFar(0, 0));
        (untouched with { Done = [Step(StepRow.Open, 1), Step(StepRow.Open, 2), Step(StepRow.Tray, 1)] }).SoFar.ShouldBe(new SoFar(0, 2));
    }

    [Fact]
    public void What_came_from_stock_in_the_place_of_a_lost_part_is_told_with_how_it_stood_and_nothing_else_is()
    {
        var pin = From.Things.First(t => t.IsPart);
        var stored = Plan with { From = Plan.From.With(pin with { Id = "fresh", Instead = pin.Id, Owner = Owner.Shop, Place = Place.Drawer }).With(pin with { Id = "stray" }) };
        var told = JobBench.From(Facts, stored);
        told.Find("fresh").ShouldNotBeNull();
        told.Find("stray").ShouldBeNull("what is known of the watch now is told by what is known now");
        told.Things.Count.ShouldBe(From.Things.Count + 1);
        JobBench.From(Facts, null).Things.ShouldBe(From.Things);
    }

    [Fact]
    public void What_is_left_after_a_step_that_was_done_as_planned_is_not_planned_anew_and_is_the_same()
    {
        var agreed = Snapshots.Of(Snapshots.Stock(BenchJobs.Bracelet(spares: 1)), new Arrangement(BenchJobs.Lie(6, 0, 1), BenchJobs.Lie(6, 0), 2));
        var whole = Snapshots.Done(agreed, int.MaxValue);
        var anew = 0;
        var known = After(agreed, whole, 1, null);
        for (var done = 2; done < whole.Done.Count; done++)
        {
            var (next, fresh) = (After(agreed, whole, done, known), After(agreed, whole, done, null));
            next.Bench.Left.Select(Same).ShouldBe(fresh.Bench.Left.Select(Same));
            next.Bench.Done.ShouldBe(fresh.Bench.Done);
            ToldStand.Tell(next.Bench.Now!.Stand).Things.Select(t => $"{t}").ShouldBe(ToldStand.Tell(fresh.Bench.Now!.Stand).Things.Select(t => $"{t}"));
            anew += ReferenceEquals(next.Bench.Left[0], known.Bench.Left[1]) ? 0 : 1;
            known = next;
        }
        anew.ShouldBe(0);
        whole.Done.Count.ShouldBeGreaterThan(8);

        static string Same(BenchStep step) => $"{step with { Acts = [], Wants = [] }} {string.Join(' ', step.Acts.Select(ToldAct.Tell))}";
    }

    [Fact]
    public void Where_anything_but_the_next_step_is_another_it_is_planned_anew()
    {
        var agreed = Snapshots.Of(Snapshots.Stock(BenchJobs.Bracelet(spares: 1)), new Arrangement(BenchJobs.Lie(6, 0, 1), BenchJobs.Lie(6, 0), 2));
        var whole = Snapshots.Done(agreed, int.MaxValue);
        var known = After(agreed, whole, 3, null);
        _ = known.Bench;
        bool GoesOn(Func<JobSnapshot, JobSnapshot> change) => change(After(agreed, whole, 4, known)).Bench.Left.Intersect(known.Bench.Left, ReferenceEqualityComparer.Instance).Any();
        GoesOn(j => j).ShouldBeTrue();
        GoesOn(j => Again(j, account: j.Account with { Looks = new Dictionary<JointGroup, JointLook>(j.Account.Looks) })).ShouldBeFalse("somebody looked");
        GoesOn(j => Again(j, figures: Snapshots.Known.With(GaugedFigure.LugWidth, Length.FromMillimetres(20)))).ShouldBeFalse("something was gauged");
        GoesOn(j => Again(j, account: j.Account with { Done = [.. j.Account.Done.Take(3), j.Account.Done[3] with { Skipped = "not needed" }] })).ShouldBeFalse("it was left out");
        GoesOn(j => Again(j, account: j.Account with { Done = [j.Account.Done[0] with { Seq = 9 }, .. j.Account.Done.Skip(1)] })).ShouldBeFalse("what was done before is another");
        GoesOn(j => Again(j, account: j.Account with { Done = [.. j.Account.Done.Take(3), whole.Done[4]] })).ShouldBeFalse("another step was done");
        GoesOn(j => Again(j, job: j.Job with { Way = PullThroughWay.Single })).ShouldBeFalse("the job is another");

        JobSnapshot Again(JobSnapshot j, Job? job = null, Figures? figures = null, BenchAccount? account = null) =>
            new(job ?? j.Job, figures ?? Snapshots.Known, agreed.Stock, agreed.Plan, account ?? j.Account, agreed.House, agreed.Clasp, agreed.Taken, agreed.Marks, known);
    }

    private static JobSnapshot After(JobSnapshot agreed, BenchAccount whole, int done, JobSnapshot? before)
    {
        var next = new JobSnapshot(
            agreed.Job with { Version = done }, Snapshots.Known, agreed.Stock, agreed.Plan, whole with { Done = [.. whole.Done.Take(done)] }, agreed.House, agreed.Clasp, agreed.Taken, agreed.Marks,
            before);
        _ = next.Bench;
        return next;
    }

    [Fact]
    public void What_was_opened_to_be_gauged_was_a_round_of_its_own_and_what_is_agreed_then_is_fetched_in_the_next()
    {
        var account = Snapshots.Account() with { ToGauge = new HashSet<JointGroup> { JointGroup.ClaspSix } };
        var own = Snapshots.Stock(BenchJobs.Bracelet(spares: 1));
        var opening = Snapshots.Of(own, account: account);
        opening.Bench.Left.ShouldContain(s => s.Row == StepRow.OpenToGauge);
        var opened = Snapshots.Done(opening, opening.Bench.Left.Count);
        var agreed = Snapshots.Of(own, new Arrangement(BenchJobs.Lie(6, 0, 1), BenchJobs.Lie(6, 0), 2), account: opened);
        agreed.Bench.Trouble.ShouldBeNull();
        agreed.Bench.Left.ShouldContain(s => s.Row == StepRow.Fetch);
        agreed.Bench.Left[0].Round.ShouldBe(2);
        agreed.Bench.Left.Select(s => s.Key).Intersect(opened.Done.Select(d => d.Key)).ShouldBeEmpty();
    }

    private static JobBench Opened(Worked now) => new(Facts, Plan, [], [], now) { IsOpened = true };

    /// <summary>How it stands once the first thing that comes out lies in the tray; as it came for nought.</summary>
    private static Worked With(int steps)
    {
        var worked = Worked.Of(Plan.From);
        foreach (var act in BenchSteps.Left(Facts, Plan, []).Take(steps).SelectMany(s => s.Acts))
        {
            if (worked.Stand.Things.Any(t => t.Place == Place.Tray))
                break;
            worked.Do(act);
        }
        return worked;
    }

    private static WorkedStep Step(StepRow row, int round = 1) => new(1, $"{row}-{round}", row, round, "", [], null, DateTimeOffset.UnixEpoch);
}
