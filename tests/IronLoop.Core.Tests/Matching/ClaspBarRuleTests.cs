using CsCheck;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Tests.Matching;

/// <summary>The clasp's bar in the bores of the band's end, and what has to be drilled or pierced for it.</summary>
public class ClaspBarRuleTests
{
    private static readonly BandEndFacts Links = new(BandKind.LinkBracelet, BandMaterial.Metal, Mm(18));
    private static readonly BandEndFacts Strap = new(BandKind.TwoPiece, BandMaterial.Leather, Mm(18));

    private static HouseLimits Usual => HouseLimits.Usual;

    private static ClaspFacts FoldOver(decimal? bar) => new(ClaspKind.FoldOver, Bar: bar is { } mm ? Mm(mm) : null);

    [Fact]
    public void It_is_not_asked_where_nothing_was_gauged_and_of_clasps_without_a_bar()
    {
        ClaspBarRule.Judge(Links, FoldOver(null), Usual).ShouldBeNull();
        ClaspBarRule.Judge(Links with { Bore = Mm(1) }, new ClaspFacts(ClaspKind.Butterfly, Bar: Mm(1.5m)), Usual).ShouldBeNull("its pins have a rule of their own");
        ClaspBarRule.Judge(Links with { Bore = Mm(1) }, new ClaspFacts(ClaspKind.Slide, Bar: Mm(1.5m)), Usual).ShouldBeNull();
    }

    [Fact]
    public void One_of_the_two_gauged_asks_for_the_other()
    {
        ClaspBarRule.Judge(Links, FoldOver(1.5m), Usual)!.ShouldSatisfyAllConditions(
            r => r.Verdict.ShouldBe(Verdict.Work), r => r.Certainty.ShouldBe(Certainty.Likely), r => new Judgement([r]).SureWork.ShouldBeEmpty("nobody consents to what is only likely"),
            r => r.Says.ShouldBe("Bore at the clasp 1.6 mm or more: a 1.5 mm bar goes through; less: it has to be opened for a 1.5 mm bar."));
        ClaspBarRule.Judge(Links, FoldOver(0.8m), Usual)!.ShouldSatisfyAllConditions(
            r => r.Verdict.ShouldBe(Verdict.Fits), r => r.Certainty.ShouldBe(Certainty.Certain), r => r.Says.ShouldStartWith("Not checked: bore at the clasp."));
        ClaspBarRule.Judge(Links with { Bore = Mm(1.6m) }, FoldOver(null), Usual)!.Says.ShouldBe("Measure the clasp’s bar; at both joints, for they may differ.");
    }

    [Theory]
    [InlineData(1.6, 1.6, "A 1.5 mm bar goes through a 1.6 mm bore.")]
    [InlineData(1.6, 1.8, "A 1.5 mm bar goes through both bores, 1.6 mm and 1.8 mm.")]
    public void A_bar_goes_through_what_leaves_it_room(double bore, double other, string says) =>
        ClaspBarRule.Judge(Links with { Bore = Length.Nearest(bore), OtherBore = Length.Nearest(other) }, FoldOver(1.5m), Usual)!.ShouldSatisfyAllConditions(
            r => r.Verdict.ShouldBe(Verdict.Fits), r => r.Says.ShouldBe(says));

    [Theory]
    [InlineData(1.2, 1.6, "A 1.5 mm bar goes through one joint, but not through the other’s 1.2 mm bore.")]
    [InlineData(1.6, 1.2, "A 1.5 mm bar goes through one joint, but not through the other’s 1.2 mm bore.")]
    [InlineData(1.2, 1.3, "A 1.5 mm bar does not go through a 1.2 mm or a 1.3 mm bore.")]
    [InlineData(1.2, 1.2, "A 1.5 mm bar does not go through a 1.2 mm bore.")]
    [InlineData(1.599, 1.599, "A 1.5 mm bar does not go through a 1.599 mm bore.")]
    public void A_joint_that_is_tighter_than_the_other_is_told_apart(double bore, double other, string says)
    {
        var judged = ClaspBarRule.Judge(Links with { Bore = Length.Nearest(bore), OtherBore = Length.Nearest(other) }, FoldOver(1.5m), Usual)!;
        judged.Verdict.ShouldBe(Verdict.Work);
        judged.Says.ShouldBe(says);
    }

    [Fact]
    public void An_opened_hole_is_the_bar_s_own_size_when_snug_and_a_little_more_when_free()
    {
        var end = Links with { Bore = Mm(1.2m) };
        Opened(null).Minutes.ShouldBe(30);
        PieceOfWork Opened(BarFit? fit) => ClaspBarRule.Judge(end, FoldOver(1.5m), Usual, fit)!.Work.ShouldHaveSingleItem();
        Opened(null).What.ShouldBe("Open the bore to 1.6 mm for a free bar, or to 1.5 mm for a snug one");
        Opened(BarFit.Free).What.ShouldStartWith("Open the bore by hand to 1.6 mm, for a free bar");
        Opened(BarFit.Snug).What.ShouldStartWith("Open the bore by hand to 1.5 mm, for a snug bar");
        Opened(BarFit.Snug).Tools.ShouldBe("hand drill, gauged at 1.5 mm");
        Opened(BarFit.Free).What.ShouldEndWith("see that it breaks through on both sides");
        Opened(null).Reversible.ShouldBeFalse("metal that is gone stays gone");
        Opened(null).Caution.ShouldBe(PieceOfWork.Filing);
    }

    [Fact]
    public void The_drill_never_leaves_a_free_bar_tight() =>
        Gen.Int[500, 3_000].Sample(micrometres =>
        {
            var bar = new Length(micrometres);
            var free = ClaspBarRule.Drill(bar, BarFit.Free, Usual);
            ClaspBarRule.Drill(bar, BarFit.Snug, Usual).ShouldBe(bar);
            // What was drilled for a bar is judged as fitting it.
            ClaspBarRule.Judge(Links with { Bore = free }, new ClaspFacts(ClaspKind.FoldOver, Bar: bar), Usual)!.Verdict.ShouldBe(Verdict.Fits);
        });

    [Fact]
    public void A_strap_is_pierced_not_drilled_and_one_without_a_hole_whatever_goes_on()
    {
        var wider = ClaspBarRule.Judge(Strap with { Bore = Mm(1.2m) }, new ClaspFacts(ClaspKind.PinBuckle, Bar: Mm(1.5m)), Usual)!.Work.ShouldHaveSingleItem();
        wider.Minutes.ShouldBe(10);
        wider.What.ShouldBe("Pierce the strap’s end wider for a 1.5 mm bar");
        wider.Tools.ShouldBe("awl, punch");
        wider.Caution.ShouldBe(PieceOfWork.Blades);
        var bare = Strap with { Pierced = false };
        ClaspBarRule.Judge(bare, new ClaspFacts(ClaspKind.PinBuckle, Bar: Mm(1.5m)), Usual)!.Work.Single().What
            .ShouldBe("Pierce the strap’s end for a 1.5 mm bar, clean through both sides");
        ClaspBarRule.Judge(bare, new ClaspFacts(ClaspKind.PinBuckle), Usual)!.Says.ShouldBe("The strap’s end has no hole for the clasp’s bar yet; gauge the bar first.");
    }

    private static Length Mm(decimal millimetres) => Length.FromMillimetres(millimetres);

    [Fact]
    public void A_slim_bar_that_is_kept_leaves_the_bore_as_it_is() =>
        ClaspBarRule.Judge(Links with { Bore = Mm(1.55m), KeepsItsBars = true }, FoldOver(1.8m), Usual)!.ShouldSatisfyAllConditions(
            r => r.Verdict.ShouldBe(Verdict.Fits),
            r => r.Work.ShouldBeEmpty(),
            r => r.Says.ShouldBe("The band’s own bars are kept for it: a 1.8 mm one would not go through a 1.55 mm bore. See that they sit in the clasp’s holes."));
}
