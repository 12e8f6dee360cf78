using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Tests.Matching;

public class ClaspRulesTests
{
    private static readonly BandEndFacts Strap = new(BandKind.TwoPiece, BandMaterial.Leather, Mm(18));
    private static readonly BandEndFacts Links = new(BandKind.LinkBracelet, BandMaterial.Metal, Mm(18), Notch: Mm(8));

    private static HouseLimits Usual => HouseLimits.Usual;

    [Theory]
    [InlineData(ClaspKind.PinBuckle, BandKind.TwoPiece, Verdict.Fits)]
    [InlineData(ClaspKind.PinBuckle, BandKind.LinkBracelet, Verdict.No)]
    [InlineData(ClaspKind.StrapFolding, BandKind.TwoPiece, Verdict.Fits)]
    [InlineData(ClaspKind.Butterfly, BandKind.LinkBracelet, Verdict.Fits)]
    [InlineData(ClaspKind.Butterfly, BandKind.Mesh, Verdict.No)]
    [InlineData(ClaspKind.FoldOver, BandKind.LinkBracelet, Verdict.Fits)]
    [InlineData(ClaspKind.Extending, BandKind.TwoPiece, Verdict.No)]
    [InlineData(ClaspKind.Slide, BandKind.Mesh, Verdict.Fits)]
    [InlineData(ClaspKind.Slide, BandKind.LinkBracelet, Verdict.No)]
    public void A_clasp_is_made_for_its_kind_of_band(ClaspKind clasp, BandKind band, Verdict verdict) =>
        ClaspKindRule.Judge(new BandEndFacts(band, BandMaterial.Metal, Mm(18)), new ClaspFacts(clasp)).Verdict.ShouldBe(verdict);

    [Fact]
    public void A_butterfly_goes_on_a_strap_that_is_made_for_it()
    {
        ClaspKindRule.Judge(Strap, new ClaspFacts(ClaspKind.Butterfly)).Verdict.ShouldBe(Verdict.No);
        ClaspKindRule.Judge(Strap with { Notch = Mm(8) }, new ClaspFacts(ClaspKind.Butterfly)).Verdict.ShouldBe(Verdict.Fits);
    }

    [Theory]
    [InlineData(true, 0.5, Verdict.Fits)]
    [InlineData(true, 1.0, Verdict.Compromise)]
    [InlineData(true, 1.001, Verdict.No)]
    [InlineData(true, -0.5, Verdict.Compromise)]
    [InlineData(true, -0.501, Verdict.No)]
    [InlineData(false, 0.3, Verdict.Fits)]
    [InlineData(false, 0.6, Verdict.Compromise)]
    [InlineData(false, 0.601, Verdict.No)]
    [InlineData(false, -0.1, Verdict.Compromise)]
    [InlineData(false, -0.101, Verdict.No)]
    public void The_clasp_s_width_is_compared_with_the_clasp_end(bool soft, double c, Verdict verdict)
    {
        var clasp = new ClaspFacts(soft ? ClaspKind.PinBuckle : ClaspKind.FoldOver, Mm(18) + Length.Nearest(c));
        ClaspWidthRule.Judge(soft ? Strap : Links, clasp, Usual)!.Verdict.ShouldBe(verdict);
    }

    [Theory]
    [InlineData(8.0, 18.6, Verdict.Fits, Verdict.Fits)]
    [InlineData(7.8, 21.0, Verdict.Fits, Verdict.Fits)]
    [InlineData(7.5, 18.599, Verdict.Compromise, Verdict.Compromise)]
    [InlineData(7.499, 21.001, Verdict.No, Verdict.No)]
    [InlineData(8.001, 17.999, Verdict.No, Verdict.No)]
    public void A_butterfly_is_judged_by_tube_and_buttons(double tube, double over, Verdict tubeVerdict, Verdict buttons)
    {
        var clasp = new ClaspFacts(ClaspKind.Butterfly, Tube: Length.Nearest(tube), OverButtons: Length.Nearest(over));
        EndTubeRule.Judge(Links, clasp, Usual)!.Verdict.ShouldBe(tubeVerdict);
        ButtonSpanRule.Judge(Links, clasp, Usual)!.Verdict.ShouldBe(buttons);
        ClaspWidthRule.Judge(Links, clasp, Usual).ShouldBeNull();
    }

    [Fact]
    public void A_bar_too_thick_for_the_bore_is_work_and_a_strap_too_thick_for_the_throat_is_not()
    {
        var open = ClaspBarRule.Judge(Links with { Bore = Mm(1.2m) }, new ClaspFacts(ClaspKind.FoldOver, Bar: Mm(1.5m)), Usual)!;
        open.Work.ShouldHaveSingleItem().Reversible.ShouldBeFalse();
        ClaspBarRule.Judge(Links with { Bore = Mm(1.6m) }, new ClaspFacts(ClaspKind.FoldOver, Bar: Mm(1.5m)), Usual)!.Verdict.ShouldBe(Verdict.Fits);
        StrapThicknessRule.Judge(Strap with { Thickness = Mm(2.5m) }, new ClaspFacts(ClaspKind.PinBuckle, Throat: Mm(2.5m)), Usual)!.Verdict.ShouldBe(Verdict.Fits);
        StrapThicknessRule.Judge(Strap with { Thickness = Mm(2.501m) }, new ClaspFacts(ClaspKind.PinBuckle, Throat: Mm(2.5m)), Usual)!.Verdict.ShouldBe(Verdict.No);
    }

    [Fact]
    public void A_notched_end_that_shows_is_swapped_or_told()
    {
        OpenLookRule.Judge(Links).ShouldBeNull();
        var swap = OpenLookRule.Judge(Links with { NotchedEnd = true, OtherEndPlain = true })!.Work.ShouldHaveSingleItem();
        (swap.Reversible, swap.Minutes).ShouldBe((true, 20));
        OpenLookRule.Judge(Links with { NotchedEnd = true })!.Verdict.ShouldBe(Verdict.Compromise);
    }

    [Fact]
    public void The_worst_rule_is_the_verdict()
    {
        var rules = ClaspToBand.Judge(Links, new ClaspFacts(ClaspKind.FoldOver, Mm(18.5m)), Usual);
        rules.Select(r => r.Rule).ShouldBe(["clasp-kind", "clasp-width"]);
        new Judgement(rules).Verdict.ShouldBe(Verdict.Compromise);
    }

    private static Length Mm(decimal millimetres) => Length.FromMillimetres(millimetres);
}
