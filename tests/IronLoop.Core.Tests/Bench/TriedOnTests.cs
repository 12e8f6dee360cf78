using CsCheck;
using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Measuring;
using IronLoop.Core.Shelf;
using static IronLoop.Core.Tests.Bench.BenchJobs;

namespace IronLoop.Core.Tests.Bench;

public class TriedOnTests
{
    private static readonly Band Own = Bracelet();

    private static FitTarget Target(decimal mm) => new(Mm(mm), Mm(2.5m), PlanRequest.HouseTolerance);

    private static Arrangement Agreed(decimal target) => Agreed(Own, target);

    private static Arrangement Agreed(Band band, decimal target) => Arrangement.Of(band.Links!, Planner.Recommend(Sizing.Request(band, Target(target))));

    private static Arrangement Between(Arrangement agreed) => Between(Own, agreed, Side.Twelve);

    /// <summary>The first side done, the second as it was.</summary>
    private static Arrangement Between(Band band, Arrangement agreed, Side first)
    {
        var came = Arrangement.AsItIs(band.Links!, Clasp);
        return first == Side.Twelve ? new Arrangement(agreed.Twelve, came.Six, Clasp.Position) : new Arrangement(came.Twelve, agreed.Six, Clasp.Position);
    }

    [Fact]
    public void A_try_on_that_agrees_changes_nothing()
    {
        var agreed = Agreed(122);
        var tried = TriedOn.Of(Own, Between(agreed), agreed, Side.Twelve, Target(122), null);
        tried.Same.ShouldBeTrue();
        tried.Says.ShouldBe("It agrees with the plan; go on as planned.");
    }

    [Fact]
    public void A_little_more_or_less_is_the_micro_adjust_s()
    {
        var agreed = Agreed(122);
        var tried = TriedOn.Of(Own, Between(agreed), agreed, Side.Twelve, Target(125), null);
        tried.OnlyMicro.ShouldBeTrue();
        tried.Says.ShouldStartWith("Only the micro-adjust changes: the micro-adjust to position ");
        tried.FirstSideAgain.ShouldBeFalse();
    }

    [Fact]
    public void The_new_plan_is_never_worse_than_the_old_and_leaves_the_side_done_alone_unless_it_pays() =>
        Gen.Select(Gen.Int[100, 150], Gen.Int[-14, 14], Gen.Bool, Gen.Int[2, 9], Gen.Int[2, 9]).Sample(
            (wanted, felt, isSix, twelve, six) =>
            {
                var first = isSix ? Side.Six : Side.Twelve;
                // Where one side is much the longer, links go across, and the side done may hold some that were the other's.
                var own = Bracelet() with { Rows = new Bracelet(Row(twelve), Row(six)) };
                var agreed = Agreed(own, wanted);
                var now = Between(own, agreed, first);
                var target = Target(wanted + felt);
                var tried = TriedOn.Of(own, now, agreed, first, target, null);
                var request = Sizing.Request(own, target);
                var (before, after) = (Planner.Judge(request, agreed), Planner.Judge(request, tried.Plan));
                (after.Misfit < before.Misfit || after.Misfit == before.Misfit && after.TwiceTrouble <= before.TwiceTrouble).ShouldBeTrue();
                after.Misfit.ShouldBe(Planner.Recommend(request).Figures.Misfit, "what can be worn is found, with the side done or by opening it once more");
                if (!tried.FirstSideAgain)
                    tried.Plan.On(first).ShouldBe(now.On(first));
                if (tried.Plan.On(first).Count(l => l.InLoop) == now.On(first).Count(l => l.InLoop))
                    tried.Plan.On(first).ShouldBe(now.On(first), "as many links stay on the side done: those that do");
                tried.Plan.LooseLinks(own.Spares).ShouldAllBe(l => l.Count >= 0);
            },
            iter: Often.Asked(1_000));
}
