using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Tests.Fitting;

public class DaysAndLeanTests
{
    private static readonly FitTarget Wanted = new(Mm(160), Mm(2.5m), Mm(1.5m));

    [Fact]
    public void A_micro_adjust_long_enough_serves_hot_and_cold_days()
    {
        Length[] lengths = [Mm(154), Mm(156.5m), Mm(159), Mm(161.5m), Mm(164)];
        var days = HotAndCold.Of(lengths, Wanted, Mm(3), Mm(2));
        days.BothCovered.ShouldBeTrue();
        (days.Hot.Position, days.Cold.Position).ShouldBe((4, 2));
        days.Hot.Wanted.ShouldBe(Mm(163));
        days.Says(p => $"position {p + 1}").ShouldBe("Position 5 on hot days, position 3 on cold ones.");
    }

    [Fact]
    public void A_clasp_without_one_serves_neither_or_both_at_once()
    {
        HotAndCold.Of([Mm(160)], Wanted, Mm(3), Mm(3)).Says(p => $"position {p + 1}").ShouldStartWith("Neither");
        HotAndCold.Of([Mm(160)], Wanted, Mm(2), Mm(2)).Says(p => $"position {p + 1}").ShouldBe("Hot and cold days are both served by position 1.");
        HotAndCold.Of([Mm(158), Mm(159)], Wanted, Mm(5), Mm(2)).Says(p => $"hole {p + 1}").ShouldBe("Hole 1 on cold days; on a hot day it is too tight by 6.0 mm at the nearest.");
        // The only place is looser than even a hot day wants: no sign, but the word for it.
        HotAndCold.Of([Mm(166)], Wanted, Mm(3), Mm(3)).Says(p => $"position {p + 1}").ShouldBe("Neither a hot nor a cold day is served: at the nearest it is too loose by 3.0 mm on a hot one, too loose by 9.0 mm on a cold one.");
    }

    [Theory]
    [InlineData(0, null, 0)]
    [InlineData(0.2, null, 0.225)]
    [InlineData(9, Side.Six, 10.1)]
    [InlineData(-9, Side.Twelve, 10.1)]
    public void The_head_leans_as_far_round_as_the_clasp_hangs_off(double twiceMm, Side? toward, double degrees)
    {
        var lean = Lean.Of(Length.Nearest(twiceMm), Mm(160));
        lean.Toward.ShouldBe(toward);
        lean.Degrees.ShouldBe(degrees, 0.1);
        lean.Says.ShouldContain(toward is null ? "upright" : "will lean toward");
    }

    [Fact]
    public void A_trade_says_what_is_better_and_what_it_costs()
    {
        var request = new PlanRequest(new Bracelet([], []), [], new BraceletClasp(Mm(20), Mm(20), Side.Twelve, 3, Mm(2), 1), Wanted, PlanRequest.HouseCentring, PlanRequest.HouseReserve);
        PlanFigures Figures(decimal length, decimal twiceOff, decimal shortfall, int moved, decimal misfit = 0) =>
            new(Mm(length), Mm(twiceOff), Mm(misfit), Length.Zero, Length.Zero, Mm(shortfall), moved, Length.Zero, Length.Zero);
        var recommended = Figures(161, 2, 0, 4);
        PlanWords.Trade(request, recommended, Figures(160, 5, 0, 4)).ShouldBe("1.0 mm nearer the length wanted; but 1.5 mm further off the middle.");
        PlanWords.Trade(request, recommended, Figures(161, 2, 2, 3)).ShouldBe("1 fewer link moved; but 2.0 mm less reserve.");
        PlanWords.Trade(request, recommended, Figures(163, 2, 0, 4, misfit: 0.5m)).ShouldBe("Only 0.5 mm outside what can be worn, 2.0 mm further from the length wanted.");
        PlanWords.Trade(request, recommended, recommended).ShouldBe("As good.");
    }

    private static Length Mm(decimal millimetres) => Length.FromMillimetres(millimetres);
}
