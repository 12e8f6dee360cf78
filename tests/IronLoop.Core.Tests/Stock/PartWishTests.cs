using IronLoop.Core.Fitting;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Stock;
using IronLoop.Core.Tests.Bench;

namespace IronLoop.Core.Tests.Stock;

/// <summary>What is looked for on the shelves, by what was measured.</summary>
public class PartWishTests
{
    [Fact]
    public void A_wish_says_what_it_is_or_what_is_missing()
    {
        new PartWish(PartKind.Pin) { Diameter = Mm(1), Length = Mm(18.5m) }.Says.ShouldBe("pins 1 mm across, 18.5 mm long");
        new PartWish(PartKind.Bar) { Diameter = Mm(1.5m), Length = Mm(20) }.Says.ShouldBe("bars 1.5 mm across, 20 mm long");
        new PartWish(PartKind.Link) { Length = Mm(8) }.Says.ShouldBe("links of 8 mm");
        new PartWish(PartKind.Link) { Length = Mm(8), Width = Mm(20) }.Says.ShouldBe("links of 8 mm, 20 mm wide");
        new PartWish(PartKind.Clasp) { Width = Mm(18) }.Says.ShouldBe("clasp for an end of 18 mm");
        new PartWish(PartKind.Pin) { Diameter = Mm(1) }.Missing.ShouldNotBeNull();
        new PartWish(PartKind.Pin) { Diameter = Mm(1), Length = Mm(18) }.Missing.ShouldBeNull();
    }

    [Fact]
    public void A_pin_of_its_own_comes_before_one_reckoned_from_the_bore()
    {
        var end = new BandEndFacts(BandKind.LinkBracelet, BandMaterial.Metal, Mm(18), Bore: Mm(1.1m));
        PartWish.ForPins(new FrictionPin(Mm(1), Mm(17.8m)), end)!.Says.ShouldBe("pins 1 mm across, 17.8 mm long");
        PartWish.ForPins(null, end)!.Says.ShouldBe("pins 1.1 mm across, 18 mm long");
    }

    [Theory]
    // A bracelet 20 wide that tapers to 16 at the clasp: a link may be as wide as it is anywhere between.
    [InlineData(20, true)]
    [InlineData(18, true)]
    [InlineData(16, true)]
    [InlineData(15.7, true)]
    [InlineData(15.699, false)]
    [InlineData(20.1, true)]
    [InlineData(20.101, false)]
    public void A_loose_link_is_as_wide_as_the_bracelet_is_somewhere(double width, bool suits)
    {
        var band = BenchJobs.Bracelet() with { ClaspEnd = Mm(16) };
        LinkFromStock.Suits(new StockedLink(Mm(8), Length.Nearest(width)), band, HouseLimits.Usual).ShouldBe(suits);
    }

    [Fact]
    public void Only_what_the_owner_has_not_got_is_taken_from_stock()
    {
        var plan = new Arrangement(BenchJobs.Lie(6, 0, 2), BenchJobs.Lie(6, 0, 1), 1);
        LinkFromStock.Needed(plan, [], Mm(8)).ShouldBe(3);
        LinkFromStock.Needed(plan, [new SpareLinks(Mm(8), 2)], Mm(8)).ShouldBe(1);
        LinkFromStock.Needed(plan, [new SpareLinks(Mm(8), 5)], Mm(8)).ShouldBe(0);
        LinkFromStock.Needed(plan, [], Mm(4)).ShouldBe(0, "no half link goes in");
    }

    private static Length Mm(decimal millimetres) => Length.FromMillimetres(millimetres);
}
