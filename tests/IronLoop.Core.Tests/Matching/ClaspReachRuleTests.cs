using IronLoop.Core.Fitting;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Tests.Matching;

/// <summary>What is said of a clasp by what it does to the fit.</summary>
public class ClaspReachRuleTests
{
    private static readonly FitTarget Wanted = new(Mm(156), Mm(2.5m), Mm(1.5m));

    /// <summary>A clasp that makes these lengths, the best of which is the one nearest the target.</summary>
    private static ClaspEffect Effect(decimal[] lengths, decimal offCentre = 0, decimal wander = 0, decimal shortfall = 0, bool adjusts = true)
    {
        var best = lengths.Select(Mm).MinBy(l => (l - Wanted.Length).Abs());
        var misfit = Length.Max((best - Wanted.Length).Abs() - Wanted.Window, Length.Zero);
        return new ClaspEffect(best, offCentre, wander, misfit, Mm(shortfall), Mm(3), Mm(4.5m), 1, adjusts, Reach.Of(lengths.Select(l => new ReachedLength(Mm(l), true))));
    }

    [Fact]
    public void A_length_near_what_is_wanted_with_room_both_ways_fits()
    {
        var judged = ClaspReachRule.Judge(Effect([150, 155.5m, 161]), null, Wanted);
        judged.Verdict.ShouldBe(Verdict.Fits);
        judged.Says.ShouldBe("Makes 155.5 mm, 3.0 mm left to tighten and 4.5 mm to loosen. Largest gap between sizes: 5.5 mm.");
        judged.Figure.ShouldBe("155.5 mm");
    }

    [Fact]
    public void Each_thing_amiss_makes_a_compromise_and_is_named()
    {
        ClaspReachRule.Judge(Effect([158]), null, Wanted).ShouldSatisfyAllConditions(
            r => r.Verdict.ShouldBe(Verdict.Compromise), r => r.Says.ShouldStartWith("Makes 158.0 mm, 2.0 mm from what is wanted; it can be worn."));
        ClaspReachRule.Judge(Effect([156], offCentre: -3.6m, wander: 1.6m), null, Wanted).ShouldSatisfyAllConditions(
            r => r.Verdict.ShouldBe(Verdict.Compromise), r => r.Says.ShouldStartWith("Makes 156.0 mm, but its centre sits 3.6 mm off."));
        ClaspReachRule.Judge(Effect([156], shortfall: 1), null, Wanted).ShouldSatisfyAllConditions(
            r => r.Verdict.ShouldBe(Verdict.Compromise), r => r.Says.ShouldStartWith("Makes 156.0 mm, but leaves only 3.0 mm to tighten and 4.5 mm to loosen."));
    }

    [Fact]
    public void A_clasp_without_micro_adjust_fits_and_leaves_nothing_for_hot_days() =>
        ClaspReachRule.Judge(Effect([156], adjusts: false, shortfall: 4), null, Wanted).ShouldSatisfyAllConditions(
            r => r.Verdict.ShouldBe(Verdict.Fits), r => r.Says.ShouldContain("no micro-adjust, so nothing is left for hot or cold days"));

    [Fact]
    public void A_target_between_two_sizes_is_told_from_one_beyond_the_last()
    {
        ClaspReachRule.Judge(Effect([150, 162]), null, Wanted).ShouldSatisfyAllConditions(
            r => r.Verdict.ShouldBe(Verdict.No), r => r.Says.ShouldBe("Still between sizes: the nearest, 150.0 mm, misses what can be worn by 3.5 mm. Largest gap between sizes: 12.0 mm."));
        ClaspReachRule.Judge(Effect([140, 145]), null, Wanted).Says
            .ShouldBe("The nearest it makes, 145.0 mm, misses what can be worn by 8.5 mm. Largest gap between sizes: 5.0 mm.");
    }

    [Fact]
    public void Its_largest_gap_stands_beside_the_present_clasp_s() =>
        ClaspReachRule.Judge(Effect([150, 156, 162]), Effect([150, 162]), Wanted).Says.ShouldEndWith("Largest gap between sizes: 6.0 mm, with the present clasp 12.0 mm.");

    [Fact]
    public void It_cures_only_what_was_between_sizes_and_only_by_a_length_that_can_be_worn()
    {
        var stuck = Effect([150, 162]);
        ClaspReachRule.Cures(Effect([156]), stuck, Wanted).ShouldBeTrue();
        ClaspReachRule.Cures(Effect([158.5m]), stuck, Wanted).ShouldBeTrue("just inside the window");
        ClaspReachRule.Cures(Effect([158.6m]), stuck, Wanted).ShouldBeFalse();
        ClaspReachRule.Cures(Effect([156]), Effect([140, 145]), Wanted).ShouldBeFalse("too short is not between sizes");
        ClaspReachRule.Cures(Effect([156]), Effect([155, 162]), Wanted).ShouldBeFalse("there was nothing to cure");
        ClaspReachRule.Cures(null, stuck, Wanted).ShouldBeFalse();
        ClaspReachRule.Cures(Effect([156]), null, Wanted).ShouldBeFalse();
    }

    private static Length Mm(decimal millimetres) => Length.FromMillimetres(millimetres);
}
