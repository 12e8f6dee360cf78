using CsCheck;
using IronLoop.Core.Bench;
using IronLoop.Core.Joints;
using IronLoop.Core.Measuring;
using IronLoop.Core.Tests.Bench;
using IronLoop.Core.Tools;
using static IronLoop.Core.Tests.Bench.BenchJobs;

namespace IronLoop.Core.Tests.Tools;

/// <summary>A step names the tool that is on the wall, or says that none fits and which comes nearest.</summary>
public class ToolWallTests
{
    [Theory]
    [InlineData(1.0, "punch 0.9 for the 1 mm pin")]
    [InlineData(0.85, "punch 0.8 for the 0.85 mm pin")]
    [InlineData(0.84, "punch 0.7 for the 0.84 mm pin")]
    [InlineData(3.0, "punch 1.5 for the 3 mm pin")]
    public void The_punch_is_the_thickest_that_is_thinner_than_its_pin(double pin, string says)
    {
        var pick = ToolWall.Usual.Punch(Mm((decimal)pin));
        pick.ShouldBe(new Pick(says));
    }

    [Fact]
    public void Where_none_fits_the_nearest_is_named_and_the_right_one_can_be_wanted()
    {
        var pick = ToolWall.Usual.Punch(Mm(0.5m));
        pick.Says.ShouldBe("no punch on the wall fits for the 0.5 mm pin; the nearest is punch 0.5");
        pick.Wanted!.Says.ShouldBe("punch 0.45");
        new ToolWall([]).Any(ToolKind.Pliers, "needle-nose").Says.ShouldBe("no needle-nose is on the wall");
        var wanting = new ToolWall([]).Any(ToolKind.Tweezers);
        (wanting.Says, wanting.Wanted!.Name).ShouldBe(("no tweezers is on the wall", "tweezers"), "of a kind that needs no other name, by its own");
        ToolWall.Usual.Fork(Mm(0.5m)).Wanted.ShouldNotBeNull();
    }

    [Fact]
    public void A_house_begins_with_the_usual_sizes_and_with_spares_of_what_breaks()
    {
        decimal?[] Across(ToolKind kind) => [.. ToolWall.Usual.Tools.Where(t => t.Kind == kind).Select(t => t.Across?.Millimetres)];
        decimal?[] Wide(ToolKind kind) => [.. ToolWall.Usual.Tools.Where(t => t.Kind == kind).Select(t => t.Width?.Millimetres)];
        int[] Spares(ToolKind kind) => [.. ToolWall.Usual.Tools.Where(t => t.Kind == kind).Select(t => t.Spares)];
        Across(ToolKind.Punch).ShouldBe([0.5m, 0.6m, 0.7m, 0.8m, 0.9m, 1.0m, 1.2m, 1.5m]);
        Spares(ToolKind.Punch).ShouldBe([3, 3, 3, 3, 3, 1, 1, 1], "a thin punch breaks");
        Across(ToolKind.Blade).ShouldBe([0.14m, 0.16m, 0.2m, 0.25m, 0.3m, 0.35m, 0.4m, 0.5m]);
        Wide(ToolKind.Blade).ShouldBe([0.6m, 0.8m, 1.0m, 1.2m, 1.4m, 1.6m, 2.0m, 2.5m]);
        Spares(ToolKind.Blade).ShouldAllBe(s => s == 1);
        Across(ToolKind.Fork).ShouldBe([0.6m, 0.8m, 1.1m, 1.5m]);
        Wide(ToolKind.Fork).ShouldBe([0.9m, 1.1m, 1.3m, 1.6m]);
    }

    [Theory]
    [InlineData(0.3, 1.5, "blade 0.3 × 1.4 for the 0.3 mm slot, 1.5 mm long")]
    [InlineData(0.3, 1.0, "blade 0.2 × 1 for the 0.3 mm slot, 1 mm long")]
    public void The_blade_fills_the_slot_in_length_and_enters_it(double slot, double length, string says) =>
        ToolWall.Usual.Blade(Mm((decimal)slot), Mm((decimal)length)).Says.ShouldBe(says);

    [Fact]
    public void The_fork_passes_the_neck_and_not_the_shoulder()
    {
        ToolWall.Usual.Fork(Mm(2), Mm(0.8m), Mm(1.5m)).Says.ShouldBe("fork 1.1, mouth 1.3 for the 2 mm gap");
        ToolWall.Usual.Fork(Mm(1), Mm(0.8m), Mm(1.5m)).Says.ShouldBe("fine fork 0.8, mouth 1.1 for the 1 mm gap");
        ToolWall.Usual.Fork(null).Says.ShouldBe("fine fork 0.6, mouth 0.9", "not gauged: the thinnest goes in anywhere");
    }

    [Fact]
    public void No_better_tool_hangs_on_any_wall()
    {
        var walls = Gen.Select(Gen.Int[2, 30], Gen.Int[4, 40]).Array[0, 8];
        Gen.Select(walls, Gen.Int[2, 40], Gen.Int[4, 50]).Sample((hung, slot, length) =>
        {
            var wall = new ToolWall([.. hung.Select(h => new WallTool(ToolKind.Blade, "blade", Mm(h.Item1 / 20m), Mm(h.Item2 / 20m))), .. hung.Select(h => new WallTool(ToolKind.Punch, "punch", Mm(h.Item1 / 20m)))]);
            var (s, l) = (Mm(slot / 20m), Mm(length / 20m));
            var fitting = wall.Tools.Where(t => t.Kind == ToolKind.Blade && t.Across <= s && t.Width <= l).ToList();
            var pick = wall.Blade(s, l);
            (pick.Wanted is null).ShouldBe(fitting.Count > 0);
            if (fitting.Count > 0)
                fitting.Where(t => t.Width == fitting.Max(f => f.Width)).ShouldContain(t => pick.Says.StartsWith($"{t.Says} ", StringComparison.Ordinal));
            var thin = wall.Tools.Where(t => t.Kind == ToolKind.Punch && t.Across <= s - Mm(0.05m)).ToList();
            var punch = wall.Punch(s);
            (punch.Wanted is null).ShouldBe(thin.Count > 0);
            if (thin.Count > 0)
                punch.Says.ShouldStartWith($"{thin.MaxBy(t => t.Across)!.Says} ");
        });
    }

    [Fact]
    public void Every_step_that_needs_a_size_has_one_from_the_wall_and_says_how_the_hands_go()
    {
        foreach (var (name, job) in BenchJobs.All)
        {
            if (name.Contains("not looked", StringComparison.Ordinal) || name.Contains("nothing looked", StringComparison.Ordinal) || name.Contains("by count", StringComparison.Ordinal))
                continue;
            foreach (var family in Enum.GetValues<ToolFamily>())
            {
                JointLook Sized(JointGroup group) => job.Look(group) with { Across = Mm(1), Slot = Mm(0.3m), SlotLength = Mm(1.5m), Gap = Mm(1.2m) };
                var facts = job with { Looks = Enum.GetValues<JointGroup>().ToDictionary(g => g, Sized), BarGap = Mm(1.6m), Setup = job.Setup with { Tools = family } };
                var from = FromTheWatch.Of(facts);
                foreach (var step in BenchSteps.Left(facts, ToTheWatch.Plan(facts, from, from), []))
                {
                    var held = step.Acts.Select(a => a switch { Act.Open open => from.Joint(open.Joint)?.Fastener, Act.Close close => close.Fastener, _ => null }).OfType<Fastener>().ToList();
                    if (held.Any(f => f.IsPin() || f is Fastener.Screw or Fastener.ScrewInTube))
                        step.Tool.Any(char.IsDigit).ShouldBeTrue($"{name}: {step.Says} with {step.Tool}");
                    if (held.Exists(f => !f.IsByHand() && f is not Fastener.FixedBar))
                        step.How.Length.ShouldBeGreaterThan(20, $"{name}: {step.Says}");
                    step.Wants.ShouldBeEmpty($"{name}: {step.Tool}");
                }
            }
        }
    }

    [Fact]
    public void Pins_may_go_in_with_another_family_than_they_come_out_with()
    {
        var facts = Own() with { Setup = new BenchSetup(ToolFamily.ScrewPress) { ToolsIn = ToolFamily.BlockAndHammer } };
        var from = FromTheWatch.Of(facts);
        var steps = BenchSteps.Left(facts, ToTheWatch.Plan(facts, from, from), []);
        steps.Where(s => s.Row == StepRow.Open).ShouldAllBe(s => s.Tool.StartsWith("screw press", StringComparison.Ordinal));
        steps.Where(s => s.Row == StepRow.Join).ShouldAllBe(s => s.Tool.StartsWith("block", StringComparison.Ordinal));
    }

    [Fact]
    public void A_left_handed_fitter_is_told_the_other_hand()
    {
        HandWords.OnTheLugs(Fastener.SpringBar, false, new Hands(Grip.InTheHand)).ShouldStartWith("Head in the left hand");
        HandWords.OnTheLugs(Fastener.SpringBar, false, new Hands(Grip.InTheHand, LeftHanded: true)).ShouldStartWith("Head in the right hand");
    }

    private static Length Mm(decimal mm) => Length.FromMillimetres(mm);
}
