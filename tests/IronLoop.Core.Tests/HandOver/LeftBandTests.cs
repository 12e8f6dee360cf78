using CsCheck;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.HandOver;
using IronLoop.Core.Joints;
using IronLoop.Core.Measuring;
using IronLoop.Core.Shelf;
using static IronLoop.Core.Tests.Bench.BenchJobs;

namespace IronLoop.Core.Tests.HandOver;

public class LeftBandTests
{
    private static readonly JointLook Look = new(Fastener.SplitPin);

    private static Arrangement Plan(decimal target) =>
        Arrangement.Of(Bracelet().Links!, Planner.Recommend(Sizing.Request(Bracelet(), new FitTarget(Mm(target), Mm(2.5m), PlanRequest.HouseTolerance))));

    private static Func<LinkKind, int> Bag(Arrangement plan) => kind => plan.LooseLinks(Bracelet().Spares).Where(l => l.Kind == kind).Sum(l => l.Count);

    [Fact]
    public void What_leaves_and_what_is_in_the_bag_make_what_came() =>
        Gen.Int[95, 150].Sample(target =>
        {
            var (band, plan) = (Bracelet(), Plan(target));
            var left = LeftBand.Of(band, band, plan, Bag(plan), Look);
            left.Links!.Twelve.Count.ShouldBe(plan.Twelve.Count(l => l.InLoop));
            left.Links.Six.Count.ShouldBe(plan.Six.Count(l => l.InLoop));
            left.Clasp!.Position.ShouldBe(plan.Position);
            (left.Links.Twelve.Count + left.Links.Six.Count + left.Spares.Sum(s => s.Count))
                .ShouldBe(band.Links!.Twelve.Count + band.Links.Six.Count + band.Spares.Sum(s => s.Count));
            // The next visit begins with the loop that left: nothing moved, it is as long as it was.
            var now = Arrangement.AsItIs(left.Links, left.Clasp);
            (now.Sum(Side.Twelve), now.Sum(Side.Six), now.Position).ShouldBe((plan.Sum(Side.Twelve), plan.Sum(Side.Six), plan.Position));
        }, iter: Often.Asked(300));

    [Fact]
    public void A_link_that_was_lost_is_not_in_the_next_visits_bag()
    {
        var (band, plan) = (Bracelet(), Plan(110));
        var whole = LeftBand.Of(band, band, plan, Bag(plan), Look).Spares.Sum(s => s.Count);
        whole.ShouldBeGreaterThan(1);
        var all = Bag(plan);
        LeftBand.Of(band, band, plan, kind => all(kind) - 1, Look).Spares.Sum(s => s.Count).ShouldBe(whole - 1);
    }

    [Fact]
    public void A_link_a_fitter_would_not_take_this_time_is_loose_again_next_time()
    {
        var band = Bracelet();
        var ordinal = band.Links!.Twelve.ToList().FindIndex(l => l.Removable);
        var plan = Arrangement.AsItIs(band.Links, band.Clasp!).Pinned(Side.Twelve, ordinal, true);
        plan.Twelve[ordinal].Fate.ShouldBe(LinkFate.Fixed);
        LeftBand.Of(band, band, plan, _ => 0, Look).Links!.Twelve[ordinal].Removable.ShouldBeTrue();
    }

    [Fact]
    public void What_joins_the_links_is_known_from_then_on() =>
        LeftBand.Of(Bracelet() with { JoinedBy = null }, Bracelet(), Plan(120), _ => 0, Look).Fastener.ShouldBe(Fastener.SplitPin);
}
