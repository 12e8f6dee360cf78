using IronLoop.Core.Bands;
using IronLoop.Core.Fitting;
using IronLoop.Core.HandOver;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using static IronLoop.Core.Tests.Bench.BenchJobs;

namespace IronLoop.Core.Tests.HandOver;

public class AdviceTests
{
    private static HotAndCold Days(int hot, int cold, bool hotCovered = true, bool coldCovered = true) => new(
        new Core.Fitting.Day(Mm(150), hot - 1, Mm(150), hotCovered), new Core.Fitting.Day(Mm(145), cold - 1, Mm(145), coldCovered));

    private static string First(HotAndCold days, int position) => Advice.For(new AdviceFacts(Bracelet(), true, position) { Days = days })[0];

    [Fact]
    public void The_micro_adjust_is_moved_for_hot_and_cold_days_where_it_serves_them()
    {
        First(Days(3, 1), 2).ShouldBe("Come by and we move the clasp’s bar to position 3 from the tight end on hot days and to position 1 from the tight end on cold ones; it leaves in position 2 from the tight end.");
        First(Days(3, 2), 2).ShouldBe("Come by and we move the clasp’s bar to position 3 from the tight end on hot days; it leaves in position 2 from the tight end.");
        First(Days(4, 1, hotCovered: false), 2).ShouldBe("Come by and we move the clasp’s bar to position 1 from the tight end on cold days; it leaves in position 2 from the tight end.");
        First(Days(2, 2), 2).ShouldBe("It leaves in position 2 from the tight end.");
    }

    [Fact]
    public void A_bracelet_s_owner_is_asked_how_it_felt_and_told_to_keep_the_bag()
    {
        var advice = Advice.For(new AdviceFacts(Bracelet(), true, 2) { HasBag = true, OnSpringBars = true });
        advice.ShouldContain("Some loops are right at the counter and tight after a day: tell us how it felt that evening.");
        advice.ShouldContain("Once a year, or after a hard knock, let us look at the bars that hold the watch.");
        advice[^1].ShouldStartWith("Keep the bag with the parts that came out");
        Advice.For(new AdviceFacts(Bracelet(), true, 2)).ShouldNotContain(a => a.StartsWith("Keep the bag", StringComparison.Ordinal));
    }

    [Fact]
    public void A_strap_is_closed_in_another_hole()
    {
        var strap = new TwoPieceBand(Bracelet().Facts with { Material = BandMaterial.Leather }, Mm(2.8m), "pin buckle", new TwoPieceStrap(Mm(75), Mm(118), Mm(58), Mm(6.5m), 7));
        var advice = Advice.For(new AdviceFacts(strap, true, 4) { Days = Days(5, 3), Holed = new TwoPieceStrap(Mm(75), Mm(118), Mm(58), Mm(6.5m), 7), InWater = true });
        advice[0].ShouldStartWith("Close it in the fifth hole from the tight end on hot days and in the third hole from the tight end on cold ones; it leaves in the fourth hole from the tight end.");
        advice.ShouldContain(a => a.StartsWith("Leather and water do not go together", StringComparison.Ordinal));
        advice.ShouldNotContain(a => a.Contains("links", StringComparison.Ordinal));
    }

    [Fact]
    public void A_mesh_is_told_by_notches_or_by_how_far_it_is_from_its_tightest()
    {
        string Said(int notches) => Advice.For(new AdviceFacts(new MeshBracelet(Bracelet().Facts, Mm(1.6m), "slide clasp", new MeshBand(Mm(120), Mm(180), notches)), true, 46)
        {
            Days = Days(46, 46),
            Holed = new MeshBand(Mm(120), Mm(180), notches),
        })[0];
        Said(60).ShouldBe("It leaves at notch 46 from the tight end.");
        Said(0).ShouldBe("It leaves at 4.5 mm looser than its tightest.");
        Advice.For(new AdviceFacts(new MeshBracelet(Bracelet().Facts, Mm(1.6m), "slide clasp", new MeshBand(Mm(120), Mm(180), 0)), true, 1))
            .ShouldNotContain(a => a.Contains("between the links", StringComparison.Ordinal));
    }

    [Fact]
    public void Only_new_textile_gives_and_only_a_full_bag_is_kept()
    {
        var textile = new TwoPieceBand(Bracelet().Facts with { Material = BandMaterial.Textile }, Mm(2.8m), "pin buckle", new TwoPieceStrap(Mm(75), Mm(118), Mm(58), Mm(6.5m), 7));
        bool Gives(bool isNew) => Advice.For(new AdviceFacts(textile, isNew, 1)).Any(a => a.StartsWith("New textile gives", StringComparison.Ordinal));
        Gives(true).ShouldBeTrue();
        Gives(false).ShouldBeFalse();
        bool Keeps(bool hasBag) => Advice.For(new AdviceFacts(Bracelet(), true, 1) { HasBag = hasBag }).Any(a => a.StartsWith("Keep the bag", StringComparison.Ordinal));
        Keeps(true).ShouldBeTrue();
        Keeps(false).ShouldBeFalse();
    }
}
