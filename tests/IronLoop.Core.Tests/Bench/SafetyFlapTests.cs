using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Joints;
using static IronLoop.Core.Tests.Bench.BenchJobs;

namespace IronLoop.Core.Tests.Bench;

/// <summary>A safety flap hangs on the bar of the fold: whoever opens that joint has it in the hand too.</summary>
public class SafetyFlapTests
{
    [Theory]
    [InlineData(Side.Twelve, 5, Side.Six)]
    [InlineData(Side.Six, 5, Side.Twelve)]
    [InlineData(Side.Twelve, 1, Side.Six)]
    [InlineData(Side.Six, 1, Side.Six)]
    public void It_shares_the_bar_of_one_side_the_one_without_the_micro_adjust(Side micro, int positions, Side flapOn)
    {
        var clasp = Clasp with { MicroSide = micro, Positions = positions, Position = 0 };
        var stand = FromTheWatch.Of(Own(band: Bracelet() with { Closes = clasp }) with { HasFlap = true });
        var flap = stand.Things.Where(t => t.Kind == ThingKind.SafetyFlap).ShouldHaveSingleItem();
        stand.Joints.Single(j => j.Parts.Contains(flap.Id)).Side.ShouldBe(flapOn);
    }

    [Fact]
    public void A_clasp_without_one_has_none() =>
        FromTheWatch.Of(Own()).Things.ShouldNotContain(t => t.Kind == ThingKind.SafetyFlap);
}
