using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Matching;
using IronLoop.Core.Tray;
using static IronLoop.Core.Tests.Bench.BenchJobs;

namespace IronLoop.Core.Tests.Bench;

/// <summary>What holds for every step of every list: a fitter reads it aloud and does the work, with both hands busy.</summary>
public class StepsReadAloudTests
{
    private static readonly List<(BenchFacts Facts, IReadOnlyList<BenchStep> Steps)> All = [.. Grid().Select(facts => (facts, BenchSteps.Of(facts)))];

    private static IEnumerable<BenchStep> Steps => All.SelectMany(l => l.Steps);

    [Fact]
    public void Every_sentence_begins_and_ends_as_one_and_holds_no_leftover_of_the_program()
    {
        foreach (var step in Steps)
        {
            foreach (var said in ((string?[])[step.What, step.Caution]).OfType<string>())
            {
                said.ShouldEndWith(".", customMessage: said);
                said.ShouldNotContain("  ", customMessage: said);
                said.ShouldNotContain("..", customMessage: said);
                said.ShouldNotContain("{", customMessage: said);
                said.ShouldNotContain("SplitPin", customMessage: said);
                char.IsLower(said[0]).ShouldBe(said.StartsWith("another clasp", StringComparison.Ordinal), said);
            }
        }
    }

    [Fact]
    public void Whatever_leaves_its_place_goes_into_the_tray_first()
    {
        foreach (var move in Steps.SelectMany(s => s.Moves))
        {
            move.Count.ShouldBePositive();
            (move.From == TrayPlace.Watch && move.To == TrayPlace.Watch).ShouldBeFalse();
            move.Back.Back.ShouldBe(move, "taking back twice is doing");
        }
    }

    [Fact]
    public void A_joint_that_is_opened_is_closed_again_before_the_band_is_tried_on_or_checked()
    {
        foreach (var (facts, steps) in All.Where(l => l.Facts.Band.Links is not null))
        {
            var open = 0;
            foreach (var step in steps)
            {
                if (step.Kind == StepKind.OpenJoint) open++;
                if (step.Kind == StepKind.CloseJoint) open--;
                open.ShouldBeInRange(0, 1, "one gap at a time");
                if (step.Kind is StepKind.TryOn or StepKind.Check or StepKind.Set)
                    open.ShouldBe(0, step.What);
            }
        }
    }

    [Fact]
    public void What_is_worked_on_the_links_is_marked_on_the_lay_out_and_what_is_not_is_not()
    {
        foreach (var (facts, steps) in All.Where(l => l.Facts.Band.Links is not null))
        {
            foreach (var step in steps.Where(s => s.Kind is StepKind.OpenJoint or StepKind.CloseJoint))
            {
                var side = step.Where.ShouldNotBeNull().Side.ShouldNotBeNull();
                step.Where.Joints.ShouldNotBeNull().ShouldAllBe(j => j >= 0 && j <= facts.Plan.On(side).Count);
            }
            steps.Where(s => s.Kind is StepKind.Consent or StepKind.TryOn).ShouldAllBe(s => s.Where == null || s.Where.Joints == null);
        }
    }

    [Fact]
    public void Only_what_flies_cuts_or_is_struck_is_cautioned_about()
    {
        foreach (var step in Steps.Where(s => s.Kind is StepKind.TryOn or StepKind.Check))
            step.Caution.ShouldBeNull(step.What);
        foreach (var step in Steps.Where(s => s.Direction is not null))
            step.Caution.ShouldNotBeNull(step.What);
        foreach (var step in Steps.Where(s => s.FallsOut?.Contains("springs", StringComparison.Ordinal) == true))
            step.Caution.ShouldNotBeNull(step.What).ShouldContain("Spring bars fly");
    }

    [Fact]
    public void A_hammer_is_named_only_where_that_family_of_tools_was_picked()
    {
        foreach (var (facts, steps) in All.Where(l => l.Facts.Setup.Fastener is Fastener.SplitPin or Fastener.PinWithTube))
        {
            var joints = steps.Where(s => s.Kind is StepKind.OpenJoint or StepKind.CloseJoint && s.Where?.AtClasp != true).ToList();
            joints.Any(s => s.Tool.Contains("hammer", StringComparison.Ordinal)).ShouldBe(
                joints.Count > 0 && facts.Setup.Tools == ToolFamily.BlockAndHammer, string.Join("; ", joints.Select(s => s.Tool)));
        }
    }

    [Fact]
    public void The_list_ends_with_what_was_done_being_looked_at()
    {
        foreach (var (facts, steps) in All)
        {
            var checks = steps.Where(s => s.Part == BenchPart.Check).ToList();
            checks.ShouldNotBeEmpty();
            checks.ShouldAllBe(s => s.MayBeSkipped && s.Moves.Count == 0);
            checks.ShouldContain(s => s.What.Contains("scratch", StringComparison.OrdinalIgnoreCase), "against what was noted at take-in");
            if (facts.Band.Links is not null && facts.Setup.Fastener is Fastener.SplitPin or Fastener.PinWithTube)
                checks.ShouldContain(s => s.What.Contains("flush", StringComparison.Ordinal));
        }
    }

    [Fact]
    public void A_list_takes_as_long_as_its_steps_and_none_is_for_nothing()
    {
        foreach (var (_, steps) in All)
        {
            steps.ShouldAllBe(s => s.Minutes >= 0.5 && s.Minutes <= 60);
            steps.Sum(s => s.Minutes).ShouldBeInRange(5, 180);
        }
        Enum.GetValues<StepKind>().ShouldAllBe(kind => BenchStep.UsualMinutes(kind) > 0);
    }
}
