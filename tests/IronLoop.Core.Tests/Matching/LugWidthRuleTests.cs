using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Tests.Matching;

public class LugWidthRuleTests
{
    // g, the gap, is lug width − band width; limits belong to the better verdict.
    [Theory]
    [InlineData(0, Verdict.Fits)]
    [InlineData(0.5, Verdict.Fits)]
    [InlineData(0.501, Verdict.Compromise)]
    [InlineData(2.0, Verdict.Compromise)]
    [InlineData(2.001, Verdict.No)]
    [InlineData(-0.001, Verdict.Compromise)]
    [InlineData(-0.5, Verdict.Compromise)]
    [InlineData(-0.501, Verdict.Work)]
    [InlineData(-1.0, Verdict.Work)]
    [InlineData(-1.001, Verdict.No)]
    public void Leather_and_textile(double g, Verdict verdict)
    {
        foreach (var material in (BandMaterial[])[BandMaterial.Leather, BandMaterial.Textile])
            Judge(g, material).Verdict.ShouldBe(verdict);
    }

    [Theory]
    [InlineData(0.5, Verdict.Fits)]
    [InlineData(2.0, Verdict.Compromise)]
    [InlineData(-0.3, Verdict.Compromise)]
    [InlineData(-0.301, Verdict.No)]
    [InlineData(-0.8, Verdict.No)]
    public void Rubber_squeezes_less_and_is_never_trimmed(double g, Verdict verdict) =>
        Judge(g, BandMaterial.Rubber).Verdict.ShouldBe(verdict);

    [Theory]
    [InlineData(0, true, Verdict.Fits)]
    [InlineData(0.3, true, Verdict.Fits)]
    [InlineData(0.301, true, Verdict.Compromise)]
    [InlineData(1.0, true, Verdict.Compromise)]
    [InlineData(1.001, true, Verdict.No)]
    [InlineData(-0.1, true, Verdict.Compromise)]
    [InlineData(-0.101, true, Verdict.Work)]
    [InlineData(-1.0, true, Verdict.Work)]
    [InlineData(-1.001, true, Verdict.No)]
    [InlineData(-0.1, false, Verdict.Compromise)]
    [InlineData(-0.101, false, Verdict.No)]
    [InlineData(-0.101, null, Verdict.Unknown)]
    [InlineData(-1.001, null, Verdict.No)]
    public void Link_bracelets(double g, bool? solidEnd, Verdict verdict) =>
        Judge(g, BandMaterial.Metal, BandKind.LinkBracelet, solidEnd).Verdict.ShouldBe(verdict);

    [Fact]
    public void Mesh_is_never_filed() =>
        Judge(-0.5, BandMaterial.Metal, BandKind.Mesh).Verdict.ShouldBe(Verdict.No);

    [Fact]
    public void Filing_takes_the_same_little_off_each_side_and_cannot_be_undone()
    {
        var work = Judge(-0.6, BandMaterial.Metal, BandKind.LinkBracelet, solidEnd: true).Work.ShouldHaveSingleItem();
        work.What.ShouldContain("0.3 mm off each side");
        (work.Reversible, work.Minutes).ShouldBe((false, 40));
        var trimmed = Judge(-0.6, BandMaterial.Leather).Work.ShouldHaveSingleItem();
        (trimmed.What, trimmed.Reversible, trimmed.Minutes).ShouldBe(("Trim 0.3 mm off each edge at the lugs", false, 15));
    }

    [Fact]
    public void Without_a_lug_width_it_names_the_measurement_to_take()
    {
        var verdict = LugWidthRule.Judge(new WatchFacts(null, null, null), Band(BandMaterial.Leather, BandKind.TwoPiece, null));
        verdict.Verdict.ShouldBe(Verdict.Unknown);
        verdict.Says.ShouldContain("lug width");
    }

    private static RuleVerdict Judge(double g, BandMaterial material, BandKind kind = BandKind.TwoPiece, bool? solidEnd = null) =>
        LugWidthRule.Judge(new WatchFacts(Length.FromMillimetres(20 + (decimal)g), null, null), Band(material, kind, solidEnd));

    private static BandFacts Band(BandMaterial material, BandKind kind, bool? solidEnd) =>
        new(kind, material, Length.FromMillimetres(20), BandAttachment.LooseBar, solidEnd, null);
}
