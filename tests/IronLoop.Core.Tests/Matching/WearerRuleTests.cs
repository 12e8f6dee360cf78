using IronLoop.Core.Fitting;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;

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
    [InlineData(149.2, Verdict.No, "146.0 mm or 152.5 mm and nothing between: misses by 0.7 mm")]
    public void A_strap_by_its_holes(double target, Verdict verdict, string said)
    {
        var judged = WearerRule.Judge(Strap.Reach(), Mm((decimal)target), Window, "hole");
        judged.Verdict.ShouldBe(verdict);
        judged.Says.ShouldContain(said);
    }

    [Fact]
    public void A_hole_whose_tail_the_keepers_cannot_hold_is_no_room()
    {
        var shortTail = Strap with { Tail = Mm(85) };
        WearerRule.Judge(shortTail.Reach(), Mm(146), Window, "hole").Verdict.ShouldBe(Verdict.Compromise);
    }

    [Fact]
    public void Without_wrist_or_head_it_names_what_to_measure() =>
        WearerRule.Judge(Strap.Reach(), null, Window, "hole").Says.ShouldContain("Measure the wrist");

    [Fact]
    public void A_bracelet_whose_clasp_cannot_be_centred_does_not_fit()
    {
        var bracelet = new Bracelet([new Link(Mm(8), false), new Link(Mm(8), false), new Link(Mm(8), false)], [new Link(Mm(8), false)]);
        var clasp = new BraceletClasp(Mm(20), Mm(20), Side.Twelve, 3, Mm(2), 1);
        var request = new PlanRequest(bracelet, [], clasp, new FitTarget(Mm(74), Window, Mm(1.5m)), PlanRequest.HouseCentring, PlanRequest.HouseReserve);
        WearerRule.Judge(Reach.Of(request), Mm(74), Window, "position").Verdict.ShouldBe(Verdict.No);
    }

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
