using CsCheck;
using IronLoop.Core.Fitting;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Tests.Fitting;

namespace IronLoop.Core.Tests.Matching;

public class WearerRuleTests
{
    private static readonly Length Window = Mm(2.5m);

    // Holes at 58, 64.5 … 97 from the lug end with a 75 mm buckle piece: loops of 133, 139.5 … 172.
    private static readonly TwoPieceStrap Strap = new(Mm(75), Mm(130), Mm(58), Mm(6.5m), 7);

    [Theory]
    [InlineData(146, Verdict.Fits, "a hole left each way")]
    [InlineData(133, Verdict.Compromise, "no hole left one way")]
    [InlineData(172, Verdict.Compromise, "no hole left one way")]
    [InlineData(130, Verdict.No, "0.5 mm too loose")]
    [InlineData(178, Verdict.No, "3.5 mm too tight")]
    [InlineData(149.2, Verdict.Compromise, "lies between two holes: the third 3.2 mm tight, the fourth 3.3 mm loose")]
    public void A_strap_by_its_holes(double target, Verdict verdict, string said)
    {
        var judged = WearerRule.Judge(Strap.Reach(), new FitTarget(Mm((decimal)target), Window, Mm(1.5m)), Strap);
        judged.Verdict.ShouldBe(verdict);
        judged.Says.ShouldContain(said);
    }

    [Fact]
    public void A_hole_whose_tail_the_keepers_cannot_hold_is_no_room()
    {
        var shortTail = Strap with { Tail = Mm(85) };
        var judged = WearerRule.Judge(shortTail.Reach(), new FitTarget(Mm(146), Window, Mm(1.5m)), shortTail);
        judged.Verdict.ShouldBe(Verdict.Compromise);
        judged.Says.ShouldContain("14.0 mm, too little for both keepers");
    }

    [Fact]
    public void A_bracelet_whose_clasp_cannot_be_centred_does_not_fit()
    {
        var bracelet = new Bracelet([new Link(Mm(8), false), new Link(Mm(8), false), new Link(Mm(8), false)], [new Link(Mm(8), false)]);
        var clasp = new BraceletClasp(Mm(20), Mm(20), Side.Twelve, 3, Mm(2), 1);
        var request = new PlanRequest(bracelet, [], clasp, new FitTarget(Mm(74), Window, Mm(1.5m)), PlanRequest.HouseCentring, PlanRequest.HouseReserve);
        WearerRule.Judge(Reach.Of(request), new FitTarget(Mm(74), Window, Mm(1.5m))).Verdict.ShouldBe(Verdict.No);
    }

    [Fact]
    public void A_miss_that_is_smaller_than_the_length_is_known_is_tried_on_and_a_larger_one_is_no()
    {
        RuleVerdict At(double target, decimal sigma) => WearerRule.Judge(Strap.Reach(), new FitTarget(Mm((decimal)target), Window, Mm(1.5m)) { Sigma = Mm(sigma) }, Strap);
        At(130, 1.6m).ShouldSatisfyAllConditions(v => v.Verdict.ShouldBe(Verdict.Compromise), v => v.Says.ShouldBe("Shortest it makes is 133.0 mm; by this reading 0.5 mm too loose: try it on."));
        At(178, 1.6m).Verdict.ShouldBe(Verdict.No, "3.5 mm is more than 1.6");
        var rows = new Bracelet([new Link(Mm(9), true), new Link(Mm(9), true)], [new Link(Mm(9), true), new Link(Mm(9), true)]);
        var request = new PlanRequest(rows, [], new BraceletClasp(Mm(20), Mm(20), Side.Twelve, 1, Length.Zero, 0), new FitTarget(Mm(80), Window, Mm(1.5m)), PlanRequest.HouseCentring, PlanRequest.HouseReserve);
        var longest = Reach.Of(request).Longest!.Value;
        WearerRule.Judge(Reach.Of(request), new FitTarget(longest + Mm(3), Window, Mm(1.5m)) { Sigma = Mm(1) }).Says.ShouldContain("by this reading 0.5 mm too tight: try it on");
        WearerRule.Judge(Reach.Of(request), new FitTarget(longest + Mm(4), Window, Mm(1.5m)) { Sigma = Mm(1) }).Verdict.ShouldBe(Verdict.No);
    }

    /// <summary>Every length a strap is asked for between its first hole and its last can be worn, and what the planner says of it agrees.</summary>
    [Fact]
    public void Between_the_first_hole_and_the_last_no_wrist_is_refused_and_the_rule_agrees_with_the_hole_that_is_planned() =>
        Gen.Select(Gen.Int[20, 90], Gen.Int[2, 9], Gen.Int[0, 400], Gen.Int[0, 30]).Sample((step, holes, at, sigma) =>
        {
            var strap = new TwoPieceStrap(Mm(75), Mm(200), Mm(50), Mm(step / 10m), holes);
            var target = new FitTarget(Mm(115 + at / 5m), Window, Mm(1.5m)) { Sigma = Mm(sigma / 10m) };
            var (judged, planned) = (WearerRule.Judge(strap.Reach(), target, strap).Verdict, strap.Nearest(target));
            var isBetween = target.Length >= strap.LengthIn(0) && target.Length <= strap.LengthIn(holes - 1);
            if (isBetween)
                judged.ShouldNotBe(Verdict.No);
            (judged == Verdict.No).ShouldBe(planned.Misfit > target.Sigma);
            if (judged == Verdict.Fits)
                (planned.Length - target.Length).Abs().ShouldBeLessThanOrEqualTo(Window);
            // What was no beyond the holes stays no.
            if (!isBetween && (planned.Length - target.Length).Abs() > Window + target.Sigma)
                judged.ShouldBe(Verdict.No);
        });

    /// <summary>What the planner can make is never refused, and what it cannot is, beyond what the length is known to.</summary>
    [Fact]
    public void A_bracelet_is_refused_where_the_planner_has_nothing_to_wear_and_nowhere_else() =>
        Gen.Select(RandomRequests.Small, Gen.Int[0, 30]).Sample((request, sigma) =>
        {
            var target = request.Target with { Sigma = Mm(sigma / 10m) };
            var planned = Planner.Recommend(request with { Target = target with { Sigma = Length.Zero }, Odd = OddLink.AsComputed }).Figures;
            var judged = WearerRule.Judge(Reach.WithOffCentre(request), target);
            (judged.Verdict == Verdict.No).ShouldBe(planned.Misfit > target.Sigma, judged.Says);
        }, iter: Often.Asked(500));

    [Fact]
    public void The_nearest_hole_is_chosen_and_tells_what_it_leaves()
    {
        var fit = Strap.Nearest(new FitTarget(Mm(151), Window, Mm(1.5m)));
        fit.Hole.ShouldBe(3);
        fit.Length.ShouldBe(Mm(152.5m));
        (fit.HolesTighter, fit.HolesLooser).ShouldBe((3, 3));
        (fit.Tighter, fit.Looser).ShouldBe((Mm(19.5m), Mm(19.5m)));
        fit.TwiceOffCentre.ShouldBe(Mm(75 - 77.5m));
        fit.PastBuckle.ShouldBe(Mm(52.5m));
        fit.KeepersHold.ShouldBeTrue();
    }

    private static Length Mm(decimal millimetres) => Length.FromMillimetres(millimetres);
}
