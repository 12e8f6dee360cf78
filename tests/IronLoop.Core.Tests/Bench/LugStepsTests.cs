using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Matching;
using static IronLoop.Core.Tests.Bench.BenchJobs;

namespace IronLoop.Core.Tests.Bench;

/// <summary>How a band comes off and goes on at the lugs, for each way a watch takes one.</summary>
public class LugStepsTests
{
    private static BenchStep Off(BenchFacts facts) => BenchSteps.Of(facts).Single(s => s.Key == "old-off");

    private static List<BenchStep> On(BenchFacts facts) => [.. BenchSteps.Of(facts).Where(s => s.Key.StartsWith("on-", StringComparison.Ordinal))];

    [Theory]
    [InlineData(Attachment.SpringBarDrilled, "fine point", "from outside the lug")]
    [InlineData(Attachment.SpringBarBlind, "fine fork", "hook the bar’s flange")]
    [InlineData(Attachment.FixedBar, "", "never lever against a fixed bar")]
    [InlineData(Attachment.ScrewBar, "two fitting screwdrivers", "one holding")]
    [InlineData(Attachment.ScrewSlot, "fitting screwdriver, tweezers, not magnetic", "screws into the tray at once")]
    [InlineData(Attachment.OwnShape, "as the maker asks", "look how it sits before it is out")]
    public void The_old_band_comes_off_as_its_watch_takes_it(Attachment attachment, string tool, string says)
    {
        var band = attachment == Attachment.FixedBar ? Strap(BandAttachment.OpenEnd) : attachment == Attachment.ScrewSlot ? Strap(BandAttachment.ScrewThrough) : Strap();
        var off = Off(Closed(attachment, band));
        off.Tool.ShouldBe(tool);
        off.What.ShouldContain(says);
    }

    [Fact]
    public void Where_a_fork_has_no_room_a_blunt_blade_is_the_last_resort_never_a_sharp_one()
    {
        var tight = Closed(Attachment.SpringBarBlind, Strap()) with { BarGap = Mm(0.9m) };
        Off(tight).Tool.ShouldBe("blunt thin blade");
        Off(tight).What.ShouldContain("never a sharp one");
        On(tight).ShouldAllBe(s => s.Tool == "blunt thin blade");
        Off(tight with { BarGap = Mm(1) }).Tool.ShouldBe("fine fork");
        Off(tight with { BarGap = null }).Tool.ShouldBe("fine fork", "unmeasured, the usual way is tried first");
    }

    [Fact]
    public void Sprung_bars_are_cautioned_about_wherever_they_are_touched_and_only_there()
    {
        // No slot takes a band that is pulled through, whatever the grid holds.
        foreach (var facts in Grid().Where(f => f.Band.OnePiece is null || f.Attachment != Attachment.ScrewSlot))
        {
            foreach (var step in BenchSteps.Of(facts).Where(s => s.Where?.AtLugs == true && s.Kind == StepKind.Bars))
            {
                var springs = step.FallsOut?.Contains("spring", StringComparison.Ordinal) == true;
                (step.Caution == PieceOfWork.Bars).ShouldBe(springs, step.What);
            }
        }
    }

    [Fact]
    public void A_band_with_bars_of_its_own_leaves_the_old_ones_in_the_tray()
    {
        var facts = Closed(Attachment.SpringBarBlind, Strap(BandAttachment.QuickRelease));
        Off(facts).Moves.ShouldHaveSingleItem().Count.ShouldBe(2);
        On(facts).ShouldAllBe(s => s.Moves.Count == 0 && s.FallsOut == null);
        On(facts).ShouldAllBe(s => s.What.Contains("draw the lever", StringComparison.Ordinal));
    }

    [Theory]
    [InlineData(Attachment.SpringBarDrilled, "spring bars at the lugs", 2)]
    [InlineData(Attachment.SpringBarBlind, "spring bars at the lugs", 2)]
    [InlineData(Attachment.ScrewBar, "screwed bars of the watch", 2)]
    [InlineData(Attachment.ScrewSlot, "slot screws", 4)]
    public void What_holds_the_band_goes_through_the_tray_and_back_half_at_each_end(Attachment attachment, string part, int count)
    {
        var facts = Closed(attachment, attachment == Attachment.ScrewSlot ? Strap(BandAttachment.ScrewThrough) : Strap());
        BenchSteps.Opening(facts).ShouldContain(o => o.Part == part && o.Count == count);
        Off(facts).Moves.Single().ShouldSatisfyAllConditions(m => m.Part.ShouldBe(part), m => m.Count.ShouldBe(count));
        On(facts).Select(s => s.Moves.Single().Count).ShouldBe([count / 2, count / 2]);
    }

    [Fact]
    public void The_watch_s_own_screwed_bar_is_named_with_its_size_where_it_was_gauged()
    {
        var facts = Closed(Attachment.ScrewBar, Strap());
        On(facts with { OwnBar = Mm(1.6m) }).ShouldAllBe(s => s.What.Contains("own bar of 1.6 mm through lug and tube", StringComparison.Ordinal));
        On(facts).ShouldAllBe(s => s.What.Contains("own bar through lug and tube", StringComparison.Ordinal));
    }

    [Fact]
    public void A_loose_hollow_end_and_a_curved_one_are_told_how_they_want_it()
    {
        var hollow = Sized(Fastener.SplitPin, Attachment.SpringBarBlind, own: false) with { Band = Bracelet(solid: false) };
        On(hollow).ShouldAllBe(s => s.What.Contains("Lay the loose shaped end over the last link", StringComparison.Ordinal));
        var curved = Closed(Attachment.SpringBarBlind, Strap() with { Facts = Strap().Facts with { End = BandEnd.Curved } });
        On(curved).ShouldAllBe(s => s.What.Contains("wants a curved bar", StringComparison.Ordinal));
        On(Closed(Attachment.SpringBarBlind, Strap())).ShouldAllBe(s => !s.What.Contains("curved", StringComparison.Ordinal));
    }

    [Fact]
    public void An_owner_s_own_bracelet_stays_on_its_watch() =>
        BenchSteps.Of(Sized(Fastener.SplitPin)).ShouldNotContain(s => s.Key == "old-off" || s.Key.StartsWith("on-", StringComparison.Ordinal));
}
