using IronLoop.Core.Fitting;
using IronLoop.Core.HandOver;
using IronLoop.Core.Jobs;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using static IronLoop.Core.Tests.Bench.BenchJobs;

namespace IronLoop.Core.Tests.HandOver;

public class AdviceTests
{
    private static HotAndCold Days(int hot, int cold, bool hotCovered = true, bool coldCovered = true) => new(
        new Day(Mm(150), hot - 1, Mm(150), hotCovered), new Day(Mm(145), cold - 1, Mm(145), coldCovered));

    private static string First(HotAndCold days, int position) => Advice.For(new AdviceFacts(Bracelet(), true, position) { Days = days })[0];

    [Fact]
    public void The_micro_adjust_is_moved_for_hot_and_cold_days_where_it_serves_them()
    {
        First(Days(3, 1), 2).ShouldBe("Move the small bar in the clasp to position 3 on hot days and to position 1 on cold ones; it leaves in 2, counted from the tight end.");
        First(Days(3, 2), 2).ShouldBe("Move the small bar in the clasp to position 3 on hot days; it leaves in position 2, counted from the tight end.");
        First(Days(4, 1, hotCovered: false), 2).ShouldBe("Move the small bar in the clasp to position 1 on cold days; it leaves in position 2, counted from the tight end.");
        First(Days(2, 2), 2).ShouldBe("It leaves in position 2, counted from the tight end.");
    }

    [Fact]
    public void A_strap_is_closed_in_another_hole()
    {
        var strap = Bracelet() with { Links = null, Clasp = null, Facts = Bracelet().Facts with { Material = BandMaterial.Leather } };
        var advice = Advice.For(new AdviceFacts(strap, true, 4) { Days = Days(5, 3), Place = "hole", InWater = true });
        advice[0].ShouldStartWith("Close it to hole 5 on hot days");
        advice.ShouldContain(a => a.StartsWith("Leather and water do not go together", StringComparison.Ordinal));
        advice.ShouldNotContain(a => a.Contains("links", StringComparison.Ordinal));
    }

    [Fact]
    public void Only_new_textile_gives_and_only_a_full_bag_is_kept()
    {
        var textile = Bracelet() with { Links = null, Clasp = null, Facts = Bracelet().Facts with { Material = BandMaterial.Textile } };
        bool Gives(bool isNew) => Advice.For(new AdviceFacts(textile, isNew, 1)).Any(a => a.StartsWith("New textile gives", StringComparison.Ordinal));
        Gives(true).ShouldBeTrue();
        Gives(false).ShouldBeFalse();
        bool Keeps(bool hasBag) => Advice.For(new AdviceFacts(Bracelet(), true, 1) { HasBag = hasBag }).Any(a => a.StartsWith("Keep the bag", StringComparison.Ordinal));
        Keeps(true).ShouldBeTrue();
        Keeps(false).ShouldBeFalse();
    }
}
