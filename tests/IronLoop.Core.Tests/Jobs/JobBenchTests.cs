using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Core.Joints;
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
