using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Jobs;
using IronLoop.Core.Joints;
using IronLoop.Core.Matching;
using IronLoop.Core.Stock;
using static IronLoop.Core.Tests.Bench.BenchJobs;

namespace IronLoop.Core.Tests.Bench;

/// <summary>What may take the place of a part that is bent, worn or lost.</summary>
public class InItsPlaceTests
{
    private static readonly Thing Pin = new("p", ThingKind.Pin, "split pin", Owner.Client, "band", Place.Thrown);

    private static Part PinOf(decimal across) => new("PN", "Friction pin") { Pin = new FrictionPin(Mm(across), Mm(18)) };

    [Theory]
    [InlineData(1.0, 1.0, true)]
    [InlineData(1.05, 1.0, true)]
    [InlineData(1.06, 1.0, false)]
    [InlineData(0.94, 1.0, false)]
    public void A_pin_is_taken_by_what_was_gauged(double stocked, double gauged, bool fits) =>
        InItsPlace.Fits(Pin, PinOf((decimal)stocked), Mm((decimal)gauged)).ShouldBe(fits);

    [Fact]
    public void Where_nobody_gauged_it_is_not_said_to_fit() => InItsPlace.Fits(Pin, PinOf(1), null).ShouldBeNull();

    [Fact]
    public void A_thing_of_another_kind_never_takes_its_place()
    {
        InItsPlace.Fits(Pin with { Kind = ThingKind.Screw }, PinOf(1), Mm(1)).ShouldBe(false);
        InItsPlace.Fits(Pin with { Kind = ThingKind.Bar }, PinOf(1), Mm(1)).ShouldBe(false);
    }

    [Fact]
    public void A_link_is_taken_by_its_pitch_and_what_has_the_same_article_always()
    {
        var link = new Thing("l", ThingKind.Link, "link of 8 mm", Owner.Client, "band", Place.Lost);
        InItsPlace.Fits(link, new Part("LK-80", "Link") { Link = new StockedLink(Mm(8), Mm(20)) }, null).ShouldBe(true);
        InItsPlace.Fits(link, new Part("LK-50", "Half link") { Link = new StockedLink(Mm(5), Mm(20)) }, null).ShouldBe(false);
        var bar = new Thing("b", ThingKind.Bar, "spring bar", Owner.Shop, "band", Place.Lost) { Article = "SB-20-18F" };
        InItsPlace.Fits(bar, new Part("SB-20-18F", "Spring bar") { Bar = new SpringBar("SB-20-18F", Mm(20), Mm(1.8m), Mm(0.9m), false, BarStyle.Flanged, 4) }, null).ShouldBe(true);
    }
}
