using IronLoop.Core.Fitting;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Stock;

namespace IronLoop.Core.Tests.Stock;

public class PartTests
{
    [Theory]
    // On hand, reserved, awaited, ordered, least: free, to order.
    [InlineData(5, 2, 0, 0, 3, 3, 0)]
    [InlineData(5, 3, 0, 0, 3, 2, 1)]
    [InlineData(0, 0, 2, 0, 1, 0, 3)]
    [InlineData(0, 0, 2, 3, 1, 0, 0)]
    [InlineData(9, 0, 0, 0, 3, 9, 0)]
    public void What_is_to_be_ordered_serves_every_job_and_keeps_the_least(int onHand, int reserved, int awaited, int ordered, int least, int free, int toOrder)
    {
        var count = new PartCount(onHand, reserved, awaited, ordered, least);
        count.Free.ShouldBe(free);
        count.ToOrder.ShouldBe(toOrder);
    }

    [Fact]
    public void A_part_is_told_by_what_was_measured_of_it()
    {
        static string Clasp(string name, ClaspFacts facts, BraceletClasp? loop = null) => new Part("CL", name) { Clasp = new StockedClasp(facts, loop, Length.Zero) }.Measured;
        Clasp("Eight-hole fold-over", new ClaspFacts(ClaspKind.FoldOver, Mm(18.2m), Bar: Mm(1.5m)), new BraceletClasp(Mm(18), Mm(19), Side.Twelve, 8, Mm(1.5m), 0))
            .ShouldBe("18.2 mm inside, bar 1.5 mm, 8 positions of 1.5 mm");
        Clasp("Slim one", new ClaspFacts(ClaspKind.Butterfly, null) { Tube = Mm(9), OverButtons = Mm(17) }).ShouldBe("butterfly with push buttons, tube 9 mm, 17 mm over the buttons");
        Clasp("Pin buckle", new ClaspFacts(ClaspKind.PinBuckle, Mm(16))).ShouldBe("16 mm inside", "its name says what it is");
        new Part("LK", "Link") { Link = new StockedLink(Mm(8), Mm(20)) }.Measured.ShouldBe("pitch 8 mm, 20 mm wide");
        new Part("PN", "Pin") { Pin = new FrictionPin(Mm(1), Mm(16)) }.Measured.ShouldBe("1 mm across, 16 mm long");
    }

    [Fact]
    public void Fewer_than_are_reserved_cannot_be_counted()
    {
        new PartCount(5, 2, 0, 0, 0).WhyNotCounted(2).ShouldBeNull();
        new PartCount(5, 2, 0, 0, 0).WhyNotCounted(1).ShouldNotBeNull().ShouldContain("2 are reserved");
    }

    [Fact]
    public void A_clasp_is_wished_for_by_the_band_s_end_alone()
    {
        var wish = PartWish.ForEnd(ClaspKind.FoldOver, new BandEndFacts(BandKind.LinkBracelet, BandMaterial.Metal, Mm(18.05m)));
        wish.Missing.ShouldBeNull();
        wish.Says.ShouldBe("fold-over for an end of 18.05 mm");
        PartWish.ForEnd(ClaspKind.FoldOver, new BandEndFacts(BandKind.LinkBracelet, BandMaterial.Metal, null)).Missing.ShouldBe("the band’s width at its clasp end");
        PartWish.ForPins(null, new BandEndFacts(BandKind.LinkBracelet, BandMaterial.Metal, Mm(18), Bore: Mm(1)))!.Says.ShouldBe("pins 1 mm across, 18 mm long");
        PartWish.ForPins(null, new BandEndFacts(BandKind.LinkBracelet, BandMaterial.Metal, Mm(18))).ShouldBeNull();
    }

    [Fact]
    public void An_order_s_state_is_that_of_its_lines()
    {
        OrderProgress.Of([new("a", 2), new("b", 1)]).ShouldBe(OrderState.Accepted);
        OrderProgress.Of([new("a", 2, Shipped: 1), new("b", 1)]).ShouldBe(OrderState.Partly);
        OrderProgress.Of([new("a", 2, Shipped: 2), new("b", 1, Shipped: 1)]).ShouldBe(OrderState.Shipped);
        OrderProgress.Of([new("a", 2, 2, 2), new("b", 1, 1, 1)]).ShouldBe(OrderState.Done);
        OrderProgress.Of([new("a", 2, 2, 2), new("b", 1, Refused: "no longer made")]).ShouldBe(OrderState.Done);
        OrderProgress.Of([new("a", 2, Refused: "no"), new("b", 1, Refused: "no")]).ShouldBe(OrderState.Refused);
        new OrderLine("a", 5, Shipped: 3, Received: 1, Refused: "no more").Outstanding.ShouldBe(2);
        new OrderLine("a", 5, Shipped: 3, Received: 1).Outstanding.ShouldBe(4);
    }

    private static Length Mm(decimal millimetres) => Length.FromMillimetres(millimetres);
}
