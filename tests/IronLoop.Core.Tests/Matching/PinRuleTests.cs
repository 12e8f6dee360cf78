using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Tests.Matching;

public class PinRuleTests
{
    [Theory]
    [InlineData(1.05, 18, true)]
    [InlineData(1.0, 17.5, true)]
    [InlineData(1.051, 18, false)]
    [InlineData(0.999, 18, false)]
    [InlineData(1.05, 17.499, false)]
    [InlineData(1.05, 18.001, false)]
    public void A_pin_holds_by_friction_and_ends_below_the_edges(double diameter, double length, bool holds) =>
        PinRule.Holds(new FrictionPin(Length.Nearest(diameter), Length.Nearest(length)), Mm(1.05m), Mm(18), HouseLimits.Usual).ShouldBe(holds);

    [Fact]
    public void The_tightest_that_holds_is_chosen_and_of_these_the_longest()
    {
        FrictionPin[] stock = [new(Mm(1), Mm(18)), new(Mm(1.05m), Mm(17.5m)), new(Mm(1.05m), Mm(17.8m)), new(Mm(1.1m), Mm(18))];
        PinRule.Choose(stock, p => p, Mm(1.05m), Mm(18), HouseLimits.Usual).ShouldBe(stock[2]);
        PinRule.Judge(Mm(1.05m), Mm(18), stock, HouseLimits.Usual).Verdict.ShouldBe(Verdict.Fits);
        var none = PinRule.Judge(Mm(1.3m), Mm(18), stock, HouseLimits.Usual);
        none.Verdict.ShouldBe(Verdict.No);
        none.Says.ShouldContain("1.3 mm across and 18 mm long");
        PinRule.Judge(Mm(1.05m), null, stock, HouseLimits.Usual).Verdict.ShouldBe(Verdict.Unknown);
    }

    [Fact]
    public void Before_the_bore_is_open_a_pin_is_likely_where_some_are_of_its_width_and_a_usual_bore()
    {
        FrictionPin[] stock = [new(Mm(1.2m), Mm(18)), new(Mm(1.4m), Mm(17.8m)), new(Mm(1.4m), Mm(20)), new(Mm(2.4m), Mm(18))];
        var likely = PinRule.Judge(null, Mm(18), stock, HouseLimits.Usual);
        (likely.Verdict, likely.Certainty).ShouldBe((Verdict.Fits, Certainty.Likely));
        likely.Says.ShouldStartWith("Pins of 1.2 mm to 1.4 mm are at hand");
        var none = PinRule.Judge(null, Mm(24), stock, HouseLimits.Usual);
        (none.Verdict, none.Certainty).ShouldBe((Verdict.No, Certainty.Certain));
    }

    [Fact]
    public void A_lost_pin_is_looked_for_by_bore_and_width_and_a_found_one_by_itself()
    {
        PinRule.Wanted(null, Mm(1.05m), Mm(18)).ShouldBe(new FrictionPin(Mm(1.05m), Mm(18)));
        PinRule.Wanted(new FrictionPin(Mm(1), Mm(17.6m)), Mm(1.05m), Mm(18)).ShouldBe(new FrictionPin(Mm(1), Mm(17.6m)));
        PinRule.Wanted(null, Mm(1.05m), null).ShouldBeNull();
    }

    private static Length Mm(decimal millimetres) => Length.FromMillimetres(millimetres);
}
