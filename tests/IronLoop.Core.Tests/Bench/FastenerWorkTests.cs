using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Matching;
using static IronLoop.Core.Tests.Bench.BenchJobs;

namespace IronLoop.Core.Tests.Bench;

/// <summary>Each fastener, with each family of tools: what is said at a joint, with what, and of what to beware.</summary>
public class FastenerWorkTests
{
    public static TheoryData<Fastener, ToolFamily> Pins => new MatrixTheoryData<Fastener, ToolFamily>([Fastener.SplitPin, Fastener.PinWithTube], Enum.GetValues<ToolFamily>());

    public static TheoryData<Fastener> All => [.. Enum.GetValues<Fastener>()];

    [Theory]
    [MemberData(nameof(Pins))]
    public void A_pin_goes_out_along_the_arrow_with_a_punch_of_its_size(Fastener fastener, ToolFamily tools)
    {
        var open = FastenerWork.Open(new BenchSetup(fastener, tools, Pin: Mm(1)));
        open.Direction.ShouldBe("along the arrow; check it before the first push");
        open.Tool.ShouldContain("punch 0.8 mm for the 1 mm pin");
        open.Tool.ShouldStartWith(tools switch { ToolFamily.BlockAndHammer => "block", ToolFamily.HandPusher => "hand pusher", _ => "screw press" });
        open.Caution.ShouldNotBeNull().ShouldContain("Eye protection");
        open.Caution.ShouldContain("arrow", customMessage: "hard resistance means the arrow was misread");
    }

    [Theory]
    [MemberData(nameof(Pins))]
    public void A_pin_nobody_gauged_still_has_a_tool(Fastener fastener, ToolFamily tools)
    {
        FastenerWork.Open(new BenchSetup(fastener, tools)).Tool.ShouldContain("punch a little thinner than the pin");
        FastenerWork.Close(new BenchSetup(fastener, tools)).Tool.ShouldContain("punch a little thinner than the pin");
    }

    [Theory]
    [MemberData(nameof(Pins))]
    public void Without_an_arrow_the_edge_is_noted_and_kept(Fastener fastener, ToolFamily tools)
    {
        var setup = new BenchSetup(fastener, tools, NoArrow: true);
        FastenerWork.Open(setup).Direction.ShouldBe("nothing shows a way: note the edge it goes out of");
        FastenerWork.Close(setup).Direction.ShouldBe("in at the edge it came out of");
    }

    [Fact]
    public void A_screw_press_only_finishes_what_the_hand_began()
    {
        FastenerWork.Close(new BenchSetup(Fastener.SplitPin, ToolFamily.ScrewPress)).How.ShouldContain("started by hand, finished with the press");
        FastenerWork.Close(new BenchSetup(Fastener.SplitPin, ToolFamily.BlockAndHammer)).How.ShouldContain("the last part with a push or a soft tap");
        FastenerWork.Open(new BenchSetup(Fastener.SplitPin, ToolFamily.ScrewPress)).How.ShouldContain("misaligned, it bends");
    }

    [Fact]
    public void A_slit_end_is_at_the_arrow_s_head_again_when_it_is_home()
    {
        FastenerWork.Close(new BenchSetup(Fastener.SplitPin)).How.ShouldContain("the slit end at the arrow’s head");
        FastenerWork.Close(new BenchSetup(Fastener.SplitPin, NoArrow: true)).How.ShouldContain("the slit end at the edge it came from");
        FastenerWork.Close(new BenchSetup(Fastener.PinWithTube)).How.ShouldStartWith("Tube first, turned as it came out");
    }

    [Theory]
    [InlineData(Fastener.Screw, "screwdriver, blade 0.4 mm for the 0.42 mm slot")]
    [InlineData(Fastener.ScrewInTube, "two screwdrivers, blade 0.4 mm for the 0.42 mm slot")]
    public void A_screw_is_turned_by_the_blade_that_fills_its_slot_and_never_forced(Fastener fastener, string tool)
    {
        var setup = new BenchSetup(fastener, Slot: Mm(0.42m));
        foreach (var work in (JointWork[])[FastenerWork.Open(setup), FastenerWork.Close(setup)])
        {
            work.Tool.ShouldBe(tool);
            work.Caution.ShouldBe(FastenerWork.NeverForce);
        }
        FastenerWork.Open(new BenchSetup(fastener)).Tool.ShouldEndWith("the widest blade that drops fully into the slot");
    }

    [Fact]
    public void A_bar_between_links_is_drawn_with_a_fork_narrower_than_the_gap()
    {
        FastenerWork.Open(new BenchSetup(Fastener.SpringBar, Gap: Mm(1.4m))).Tool.ShouldBe("fine fork, 1.2 mm for the 1.4 mm gap");
        FastenerWork.Open(new BenchSetup(Fastener.SpringBar)).ShouldSatisfyAllConditions(
            w => w.Tool.ShouldBe("fine fork, narrower than the gap"), w => w.Caution.ShouldBe(PieceOfWork.Bars), w => w.FallsOut.ShouldBe("the bar, which springs"));
    }

    [Theory]
    [MemberData(nameof(All))]
    public void Each_is_told_from_the_others_by_looking_and_has_its_parts_on_the_account(Fastener fastener)
    {
        Enum.GetValues<Fastener>().Count(f => FastenerWork.KnownBy(f) == FastenerWork.KnownBy(fastener)).ShouldBe(1);
        FastenerWork.PartsOf(fastener).ShouldNotBeEmpty();
        FastenerWork.PartsOf(fastener).ShouldAllBe(p => p.Count > 0);
        // What has a part that can drop out unseen says so where the joint is opened.
        if (FastenerWork.PartsOf(fastener).Any(p => p.Part.Contains("tube", StringComparison.Ordinal)))
            FastenerWork.Open(new BenchSetup(fastener)).FallsOut.ShouldNotBeNull().ShouldContain("tube");
    }

    [Fact]
    public void What_nobody_looked_at_is_not_worked_on()
    {
        Should.Throw<ArgumentException>(() => FastenerWork.Open(new BenchSetup())).Message.ShouldContain("not known yet");
        Should.Throw<ArgumentException>(() => FastenerWork.Close(new BenchSetup()));
    }
}
