using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Tests.Matching;

/// <summary>What a clasp looks like on a band, what is not measured yet, and how a clasp is told by its name.</summary>
public class ClaspLooksTests
{
    private static readonly BandEndFacts Strap = new(BandKind.TwoPiece, BandMaterial.Leather, Mm(18));
    private static readonly BandEndFacts Links = new(BandKind.LinkBracelet, BandMaterial.Metal, Mm(18), Notch: Mm(8));

    private static HouseLimits Usual => HouseLimits.Usual;

    [Fact]
    public void Finish_and_colour_are_compared_where_both_are_known()
    {
        ClaspFacts Clasp(string? finish, string? colour) => new(ClaspKind.FoldOver) { Finish = finish, Colour = colour };
        var end = Links with { Finish = "brushed", Colour = "steel" };
        ClaspFinishRule.Judge(Links, Clasp("brushed", "steel")).ShouldBeNull("nobody looked at the band");
        ClaspFinishRule.Judge(end, Clasp(null, " ")).ShouldBeNull();
        ClaspFinishRule.Judge(end, Clasp("Brushed ", "STEEL"))!.Verdict.ShouldBe(Verdict.Fits);
        ClaspFinishRule.Judge(end, Clasp("polished", null))!.Says.ShouldBe("Looks different: polished beside brushed.");
        ClaspFinishRule.Judge(end, Clasp("polished", "gold"))!.Says.ShouldBe("Looks different: polished beside brushed, gold beside steel.");
        ClaspFinishRule.Judge(end, Clasp("polished", "gold"))!.Verdict.ShouldBe(Verdict.Compromise, "looks never keep a clasp off");
    }

    [Fact]
    public void What_is_not_measured_is_asked_for_by_name()
    {
        ClaspWidthRule.Judge(Strap with { Width = null }, new ClaspFacts(ClaspKind.PinBuckle, Mm(18)), Usual)!.Says
            .ShouldBe("Measure the band at its clasp end; the lug width says nothing about it.");
        ClaspWidthRule.Judge(Strap, new ClaspFacts(ClaspKind.PinBuckle), Usual)!.Says.ShouldBe("Measure the clasp’s inner width.");
        EndTubeRule.Judge(Links with { Notch = null }, new ClaspFacts(ClaspKind.Butterfly, Tube: Mm(8)), Usual)!.Says.ShouldBe("Measure the notch in the band’s end.");
        EndTubeRule.Judge(Links, new ClaspFacts(ClaspKind.Butterfly), Usual)!.Says.ShouldBe("Measure the clasp’s end tube.");
        ButtonSpanRule.Judge(Links, new ClaspFacts(ClaspKind.Butterfly), Usual)!.Says.ShouldBe("Measure over the clasp’s buttons, not pressed.");
        ButtonSpanRule.Judge(Links with { Width = null }, new ClaspFacts(ClaspKind.Butterfly, OverButtons: Mm(19)), Usual)!.Verdict.ShouldBe(Verdict.Unknown);
        StrapThicknessRule.Judge(Strap with { Thickness = Mm(2) }, new ClaspFacts(ClaspKind.PinBuckle), Usual)!.Says.ShouldBe("Measure the clasp’s throat.");
        StrapThicknessRule.Judge(Links with { Thickness = Mm(2) }, new ClaspFacts(ClaspKind.FoldOver, Throat: Mm(1)), Usual).ShouldBeNull("a bracelet has no throat to go through");
    }

    [Fact]
    public void Buttons_that_vanish_stand_out_little_or_too_far_are_said_so()
    {
        string Says(decimal over) => ButtonSpanRule.Judge(Links, new ClaspFacts(ClaspKind.Butterfly, OverButtons: Mm(over)), Usual)!.Says;
        Says(17.5m).ShouldBe("The buttons, 17.5 mm over all, would vanish inside a 18 mm band.");
        Says(18.2m).ShouldBe("The buttons stand out by 0.2 mm only: hard to press.");
        Says(19m).ShouldBe("The buttons stand out by 1 mm.");
        Says(22m).ShouldBe("The buttons stand out by 4 mm, too far.");
    }

    [Fact]
    public void A_width_says_what_is_to_spare_or_lacking()
    {
        string Says(BandEndFacts end, ClaspKind kind, decimal inner) => ClaspWidthRule.Judge(end, new ClaspFacts(kind, Mm(inner)), Usual)!.Says;
        Says(Strap, ClaspKind.PinBuckle, 18).ShouldBe("18 mm clasp on a 18 mm end: just right.");
        Says(Strap, ClaspKind.PinBuckle, 18.8m).ShouldBe("18.8 mm clasp on a 18 mm end: 0.8 mm of gap shows.");
        Says(Strap, ClaspKind.PinBuckle, 17.6m).ShouldBe("17.6 mm clasp on a 18 mm end: 0.4 mm too narrow, it goes in with a squeeze.");
        Says(Links, ClaspKind.FoldOver, 18.5m).ShouldBe("18.5 mm clasp on a 18 mm end: 0.5 mm of side play.");
        Says(Links, ClaspKind.FoldOver, 17.9m).ShouldContain("inside the reading error; gauge again");
        Says(Links, ClaspKind.FoldOver, 20).ShouldBe("20 mm clasp on a 18 mm end: 2 mm too wide.");
        Says(Links, ClaspKind.FoldOver, 16).ShouldBe("16 mm clasp on a 18 mm end: 2 mm too narrow.");
    }

    [Theory]
    [InlineData("fold-over with safety flap", ClaspKind.FoldOver)]
    [InlineData("Extending fold-over", ClaspKind.Extending)]
    [InlineData("BUTTERFLY with push buttons", ClaspKind.Butterfly)]
    [InlineData("steel pin buckle, 18", ClaspKind.PinBuckle)]
    [InlineData("folding clasp for straps", ClaspKind.StrapFolding)]
    [InlineData("slide clasp", ClaspKind.Slide)]
    [InlineData("hook and eye", null)]
    [InlineData("", null)]
    public void A_clasp_s_name_speaks_of_its_kind(string name, ClaspKind? kind) => ClaspWords.KindOf(name).ShouldBe(kind);

    [Fact]
    public void Every_kind_is_known_again_by_what_it_is_called() =>
        Enum.GetValues<ClaspKind>().ShouldAllBe(kind => ClaspWords.KindOf(ClaspWords.Of(kind)) == kind);

    private static Length Mm(decimal millimetres) => Length.FromMillimetres(millimetres);
}
