using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Shelf;

namespace IronLoop.Core.Tests.Shelf;

public class SchoolCostsTests
{
    private static Length Mm(decimal mm) => Length.FromMillimetres(mm);

    private static Link[] Row(int count) => [new(Mm(9), false), .. Enumerable.Repeat(new Link(Mm(8), true), count)];

    /// <summary>A lopsided clasp: what centres is one link less on the 6 side, not an even share.</summary>
    private static PlanRequest Lopsided { get; } = new(
        new Bracelet(Row(8), Row(8)), [], new BraceletClasp(Mm(12), Mm(28), Side.Twelve, 1, Length.Zero, 0),
        new FitTarget(Mm(154), Mm(2.5m), PlanRequest.HouseTolerance), PlanRequest.HouseCentring, PlanRequest.HouseReserve);

    [Theory]
    [InlineData(OddLink.OnTwelve, -1, 0, true)]
    [InlineData(OddLink.OnTwelve, 0, -1, false)]
    [InlineData(OddLink.OnTwelve, -2, -2, true)]
    [InlineData(OddLink.OnTwelve, 2, 1, true)]
    [InlineData(OddLink.OnTwelve, 1, -1, false)]
    [InlineData(OddLink.OnSix, 0, -1, true)]
    [InlineData(OddLink.OnSix, -2, 0, false)]
    [InlineData(OddLink.AsComputed, 3, -4, true)]
    public void The_odd_link_goes_where_the_house_says(OddLink odd, int twelve, int six, bool keeps) => odd.Keeps(twelve, six).ShouldBe(keeps);

    [Fact]
    public void An_even_share_costs_centre_where_the_clasp_is_lopsided()
    {
        var costs = SchoolCosts.OfOddLink(Lopsided);
        costs.Select(c => c.Odd).ShouldBe([OddLink.AsComputed, OddLink.OnTwelve, OddLink.OnSix]);
        costs[0].Costs.ShouldBeNull();
        costs[1].Costs.ShouldNotBeNull().ShouldContain("off the middle");
        costs[1].Does.ShouldContain("out of the 12 side");
        costs[2].Costs.ShouldNotBeNull().ShouldContain("off the middle");
    }

    [Fact]
    public void What_is_the_same_costs_nothing()
    {
        var request = Lopsided with { Clasp = Lopsided.Clasp with { Twelve = Mm(20), Six = Mm(20) }, Target = Lopsided.Target with { Length = Mm(154) } };
        SchoolCosts.OfOddLink(request).ShouldAllBe(c => c.Costs == null, "an even number leaves, shared evenly");
    }

    private static Figures Known { get; } = Figures.None with
    {
        Read = new Dictionary<GaugedFigure, Readings>
        {
            [GaugedFigure.Wrist] = new([Mm(165)]),
            [GaugedFigure.BarToBar] = new([Mm(44)]),
            [GaugedFigure.BarRise] = new([Mm(3)]),
        },
        Wear = WearPreference.Regular,
        TryOn = new TryOn(SurplusBy.Millimetres, SurplusOver.ZeroEase, 23, Mm(168), Mm(3.5m)),
    };

    private static LinkBracelet Bracelet { get; } = new(
        new BandFacts(BandKind.LinkBracelet, BandMaterial.Metal, Mm(20), BandAttachment.LooseBar, true, null),
        Mm(3.5m), "fold-over", Lopsided.Bracelet, new BraceletClasp(Mm(20), Mm(20), Side.Twelve, 4, Mm(2.5m), 1));

    [Fact]
    public void Each_way_alone_shows_what_it_wants_and_how_often_it_would_be_right()
    {
        var costs = SchoolCosts.OfWays(Known, Bracelet);
        costs.Select(c => c.Way).ShouldBe([null, Way.Measured, Way.TryOn]);
        var (together, tape, tried) = (costs[0], costs[1], costs[2]);
        together.Need.Sigma.ShouldBeLessThan(tape.Need.Sigma);
        together.Need.Sigma.ShouldBeLessThan(tried.Need.Sigma);
        tried.Target.Length.ShouldBe(Mm(145 + 7.5m), "168 less 23 over zero ease, and the ease to aim at");
        together.Target.Length.ShouldBeInRange(tape.Target.Length, tried.Target.Length);
        costs.ShouldAllBe(c => c.Chance >= 0 && c.Chance <= 1);
        together.Does.ShouldStartWith("Take ");
    }

    [Fact]
    public void For_a_strap_each_way_names_its_hole()
    {
        var strap = Tests.Bench.BenchJobs.Strap();
        var holed = strap.Holed(null)!;
        var each = Enumerable.Range(0, holed.Holes).Select(holed.LengthIn).ToList();
        foreach (var wrist in Enumerable.Range(140, 50))
        {
            // At either end of its holes another one more or less would be seen in the chance.
            var figures = Known.With(GaugedFigure.Wrist, Mm(wrist)) with { TryOn = null };
            var together = figures.Ways(strap.PivotHeight).ShouldNotBeNull().Together;
            foreach (var way in SchoolCosts.OfWays(figures, strap))
                way.Chance.ShouldBe(FirstTimeChance.Of(together, each, Wear.Of(WearPreference.Regular)), 1e-9);
        }
        foreach (var way in SchoolCosts.OfWays(Known, strap))
            way.Does.ShouldBe($"Close it in hole {1 + Enumerable.Range(0, holed.Holes).MinBy(h => (holed.LengthIn(h) - way.Target.Length).Abs())} of 7.");
    }

    [Fact]
    public void A_house_that_goes_by_the_try_on_wants_the_try_on_s_length()
    {
        var all = Known.Target(Bracelet.PivotHeight)!.Value.Length;
        var byTryOn = (Known with { School = new School(Way.TryOn, OddLink.AsComputed) }).Target(Bracelet.PivotHeight)!.Value.Length;
        byTryOn.ShouldBe(Mm(152.5m));
        byTryOn.ShouldNotBe(all);
        (Known with { School = new School(Way.Copy, OddLink.AsComputed) }).Target(Bracelet.PivotHeight)!.Value.Length.ShouldBe(all, "no loop was copied, so all that is known counts");
    }

    [Theory]
    [InlineData(140, 2, 3)]
    [InlineData(143, 2, 0)]
    [InlineData(139, 2, 4)]
    public void A_strap_s_length_is_told_by_its_middle_hole(decimal wanted, int middle, decimal miss)
    {
        var strap = new TwoPieceStrap(Mm(75), Mm(120), Mm(55), Mm(6.5m), 5);
        var length = StrapLength.Of(strap, new FitTarget(Mm(wanted), Mm(2.5m), PlanRequest.HouseTolerance));
        length.MiddleHole.ShouldBe(middle);
        length.Miss.ShouldBe(Mm(miss));
    }

    [Fact]
    public void Of_two_middle_holes_the_nearer_one_counts()
    {
        var strap = new TwoPieceStrap(Mm(75), Mm(120), Mm(55), Mm(6), 4);
        FitTarget At(decimal mm) => new(Mm(mm), Mm(2.5m), PlanRequest.HouseTolerance);
        StrapLength.Of(strap, At(137)).MiddleHole.ShouldBe(1);
        StrapLength.Of(strap, At(141)).MiddleHole.ShouldBe(2);
    }
}
