using IronLoop.Core.Bench;
using IronLoop.Core.Joints;

namespace IronLoop.Core.Tests.Bench;

/// <summary>What is lost in the middle of the work, and found again or replaced.</summary>
public class GonePartsTests
{
    private static readonly BenchFacts Facts = BenchJobs.Own();
    private static readonly Stand From = FromTheWatch.Of(Facts);
    private static readonly BenchPlan Plan = ToTheWatch.Plan(Facts, From, From);

    /// <summary>A pin that comes out, and holds two links when all is done.</summary>
    private static string Needed => BenchSteps.Left(Facts, Plan, []).SelectMany(s => s.Acts).OfType<Act.Close>().SelectMany(c => c.Parts).First();

    /// <summary>A pin that comes out, and goes into the bag with the links that leave.</summary>
    private static string Spare => Plan.To.Things.First(t => t is { IsPart: true, Place: Place.Bag } && Plan.To.Holding(t.Id).Count == 0).Id;

    /// <summary>A pin that stays between two links that leave.</summary>
    private static string InTheRun => Plan.To.Joints.First(j => j is { Closed: true, Parts.Count: > 0 } && Plan.To.Is(j.A, Place.Bag)).Parts[0];

    [Fact]
    public void What_is_found_again_goes_where_it_was_to_go()
    {
        foreach (var (part, to) in ((string, Place)[])[(Needed, Place.Watch), (Spare, Place.Bag), (InTheRun, Place.Bag)])
        {
            var gone = Plan.Gone(part, Place.Lost);
            gone.To[part].Place.ShouldBe(Place.Lost);
            gone.Found(part).To[part].Place.ShouldBe(to, part);
            gone.Found(part).To.Joints.ShouldBe(Plan.To.Joints, ignoreOrder: true);
        }
    }

    [Fact]
    public void One_from_stock_takes_the_place_of_one_that_is_gone_in_its_joint_and_goes_back_when_that_is_found()
    {
        var part = Needed;
        var fresh = Plan.From[part] with { Id = "fresh", Place = Place.Drawer, Owner = Owner.Shop, Article = "PN-10", Instead = part };
        var with = Plan.Gone(part, Place.Thrown).Instead(part, fresh);
        with.To["fresh"].Place.ShouldBe(Place.Watch);
        with.To.Joints.ShouldContain(j => j.Parts.Contains("fresh") && j.Closed);
        with.To.Joints.ShouldNotContain(j => j.Parts.Contains(part));
        var back = with.GivenBack(fresh);
        back.To["fresh"].Place.ShouldBe(Place.Drawer);
        back.To.Joints.ShouldContain(j => j.Parts.Contains(part) && j.Closed);
        Plan.Gone(Spare, Place.Lost).Instead(Spare, fresh with { Instead = Spare }).To["fresh"].Place.ShouldBe(Place.Bag, "nothing in the watch needs it");
    }

    [Fact]
    public void The_work_waits_at_the_step_that_needs_what_is_gone_and_says_nothing_beyond_it()
    {
        var all = BenchSteps.Left(Facts, Plan, []);
        // Everything lies in the tray before the first joint is closed again.
        var done = all.TakeWhile(s => !s.Acts.Any(a => a is Act.Close close && close.Parts.Contains(Needed))).Select(Told.Done).ToList();
        var lost = new DoneStep("tray-1", StepRow.Tray, 1, [new Act.Move(Needed, [], Place.Lost)]);
        var left = BenchSteps.Left(Facts, Plan.Gone(Needed, Place.Lost), [.. done, lost]);
        left.Count(s => s.Waits is not null).ShouldBe(1);
        left[^1].Waits.ShouldNotBeNull().ShouldEndWith("gone: look for it, or take one from stock at the Tray.");
        left.ShouldAllBe(s => s.Acts.Count > 0);
    }

    [Fact]
    public void Of_a_heap_one_that_is_left_over_is_gone_before_one_that_is_needed_and_one_that_is_needed_is_missed_first()
    {
        // Half way everything that comes out lies in the tray.
        var now = Worked.After(From, BenchSteps.Left(Facts, Plan, []).TakeWhile(s => s.Row != StepRow.Join).SelectMany(s => s.Acts)).Stand;
        var pins = now.Things.Where(t => t is { IsPart: true, Place: Place.Tray }).ToList();
        var left = GoneParts.Pick(Plan, now, pins[0], Place.Tray).ShouldNotBeNull();
        Plan.To.Is(left.Id, Place.Bag).ShouldBeTrue();
        GoneParts.Pick(Plan, now, pins[0], Place.Lost).ShouldBeNull("none of them is lost");
        now.Put([.. pins.Select(p => p.Id)], Place.Lost);
        var missed = GoneParts.Missing(Plan, now, pins[0]).ShouldNotBeNull();
        Plan.To.Is(missed.Id, Place.Watch).ShouldBeTrue();
    }
}
