using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Jobs;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using static IronLoop.Core.Tests.Bench.BenchJobs;

namespace IronLoop.Core.Tests.Bench;

public class BenchStepsTests
{
    /// <summary>What the demo holds, each to be read aloud.</summary>
    private static readonly Dictionary<string, BenchFacts> Read = new()
    {
        ["split pins, drilled lugs, from stock"] = Sized(Fastener.SplitPin, own: false),
        ["pins with tubes, blind lugs, screw press"] = Sized(Fastener.PinWithTube, Attachment.SpringBarBlind, ToolFamily.ScrewPress),
        ["screws, blind lugs, from stock"] = Sized(Fastener.Screw, Attachment.SpringBarBlind, own: false),
        ["screws in tubes, screwed bars, butterfly"] = Sized(Fastener.ScrewInTube, Attachment.ScrewBar, own: false) with { ClaspKind = ClaspKind.Butterfly },
        ["bars between links, hand pusher"] = Sized(Fastener.SpringBar, tools: ToolFamily.HandPusher),
        ["links from the bag and from stock go in"] = Sized(Fastener.SplitPin) with
        {
            Band = Bracelet(spares: 3),
            Plan = new Arrangement(Lie(6, 0, 1), Lie(6, 0, 2), 1),
            FromStock = [(new LinkKind(Mm(8)), 1, "LK-80-20")],
        },
        ["freed at the clasp"] = Sized(Fastener.SplitPin, Attachment.SpringBarBlind) with
        {
            Marks = LinkMarks.None with { Freed = new Dictionary<Side, Length> { [Side.Twelve] = Mm(1.6m) } },
        },
        ["another clasp, ends filed, consent"] = Sized(Fastener.SplitPin, own: false) with
        {
            Work = [new PieceOfWork("File 0.2 mm off each side of both end links", Reversible: false) { Tools = "fine flat file, vice with soft jaws", Minutes = 40, Caution = PieceOfWork.Filing }],
            ClaspWork = OtherClasp(ClaspKind.FoldOver),
            OtherClasp = ("fold-over", "another clasp"),
            OtherClaspAdds = Mm(3.2m),
            Condition = ["scratch on the bezel 3"],
        },
        ["loose hollow ends"] = Sized(Fastener.SplitPin, Attachment.SpringBarBlind, own: false) with { Band = Bracelet(solid: false) },
        ["strap, drilled lugs"] = Closed(Attachment.SpringBarDrilled, Strap()),
        ["strap, blind lugs without room for a fork"] = Closed(Attachment.SpringBarBlind, Strap()) with { BarGap = Mm(0.8m) },
        ["strap, quick release"] = Closed(Attachment.SpringBarBlind, Strap(BandAttachment.QuickRelease)),
        ["strap, open ends on fixed bars"] = Closed(Attachment.FixedBar, Strap(BandAttachment.OpenEnd)),
        ["strap, screwed bars"] = Closed(Attachment.ScrewBar, Strap()) with { OwnBar = Mm(1.6m) },
        ["strap, slot, ends pressed"] = Closed(Attachment.ScrewSlot, Strap(BandAttachment.ScrewThrough)) with
        {
            Work = [new PieceOfWork("Press the strap’s ends flat to 2.2 mm", Reversible: false) { Tools = "smooth-jawed pliers", Minutes = 15 }],
        },
        ["strap, the maker’s own shape"] = Closed(Attachment.OwnShape, Strap(BandAttachment.ScrewThrough)),
        ["pull-through, fixed bars, double"] = Closed(Attachment.FixedBar, PullThrough),
        ["pull-through, spring bars, reversed single"] = Closed(Attachment.SpringBarBlind, PullThrough, PullThroughWay.ReversedSingle),
        ["mesh with notches"] = Closed(Attachment.SpringBarBlind, Mesh(20)),
        ["mesh that locks anywhere"] = Closed(Attachment.SpringBarDrilled, Mesh(0)),
    };

    public static TheoryData<string> Names => [.. Read.Keys];

    [Theory]
    [MemberData(nameof(Names))]
    public void A_fitter_can_read_the_steps_aloud_and_do_the_work(string name) => Kept.Agree(name, AsText(BenchSteps.Of(Read[name])));

    [Fact]
    public void Every_combination_has_a_list_of_its_own_in_the_right_order()
    {
        var lists = new HashSet<string>();
        foreach (var facts in Grid())
        {
            var steps = BenchSteps.Of(facts);
            steps.Select(s => s.Key).ShouldBeUnique();
            steps.ShouldAllBe(s => s.What.Length > 0 && s.Minutes > 0);
            lists.Add(AsText(steps));
            steps[0].Part.ShouldBe(BenchPart.Protect);
            steps[^1].Part.ShouldBe(BenchPart.Check);
            if (facts.Band.Links is not null)
                steps.Select(s => s.Part).Distinct().ShouldBeInOrder();
            var tried = steps.ToList().FindIndex(s => s.Kind == StepKind.TryOn);
            steps.Take(tried).ShouldAllBe(s => s.Part != BenchPart.SecondSide, "the second side is never opened before the try-on");
        }
        // 6 attachments × 5 fasteners × 3 tool families × 4 clasps × own or from stock, and what has no links; some differ in nothing.
        lists.Count.ShouldBe(371);
    }

    [Fact]
    public void The_parts_of_a_bracelet_are_all_on_the_account_and_back_in_or_loose_at_the_end()
    {
        foreach (var facts in Grid())
        {
            var opening = Core.Tray.TrayLedger.Open(BenchSteps.Opening(facts));
            var end = BenchSteps.Of(facts).Aggregate(opening, (ledger, step) => ledger.With(step.Moves));
            foreach (var bars in (string[])["spring bars at the lugs", "screwed bars of the watch", "slot screws"])
                end[bars, Core.Tray.TrayPlace.Tray].ShouldBe(facts.Band.Facts.Attaches == BandAttachment.QuickRelease ? opening[bars, Core.Tray.TrayPlace.Watch] : 0,
                    "what held the old band holds the new one, or lies loose where it brings bars of its own");
            if (facts.Band.Links is null)
                continue;
            end["links of 8 mm", Core.Tray.TrayPlace.Tray].ShouldBe(3, "three links came out");
            end["links of 8 mm", Core.Tray.TrayPlace.Watch].ShouldBe(9);
            foreach (var (part, count) in FastenerWork.PartsOf(facts.Setup.Fastener!.Value))
                end[part, Core.Tray.TrayPlace.Tray].ShouldBe(3 * count, "a run of n links leaves n fasteners over");
            (end["bars at the clasp", Core.Tray.TrayPlace.Watch] + end["pins at the clasp", Core.Tray.TrayPlace.Watch]).ShouldBe(2);
        }
    }

    [Theory]
    [InlineData(1.0, "0.8")]
    [InlineData(0.9, "0.7")]
    [InlineData(1.25, "1.1")]
    public void The_punch_is_a_little_thinner_than_the_pin(double pin, string punch) =>
        new BenchSetup(Fastener.SplitPin, Pin: Mm((decimal)pin)).Punch.ToString().ShouldBe($"{punch} mm");

    [Fact]
    public void The_blade_fills_the_slot_and_the_fork_is_narrower_than_the_gap()
    {
        new BenchSetup(Slot: Mm(0.42m)).Blade.ShouldBe(Mm(0.4m));
        new BenchSetup(Gap: Mm(1.4m)).Fork.ShouldBe(Mm(1.2m));
        new BenchSetup().Blade.ShouldBeNull();
    }

    [Fact]
    public void Pins_go_back_against_the_arrow_but_where_a_house_follows_it_with_plain_ones()
    {
        string? Way(Fastener fastener, Insertion insertion) => FastenerWork.Close(new BenchSetup(fastener, Insertion: insertion)).Direction;
        Way(Fastener.PinWithTube, Insertion.AgainstTheArrow).ShouldBe("against the arrow");
        Way(Fastener.PinWithTube, Insertion.AlongTheArrow).ShouldNotBeNull().ShouldStartWith("along the arrow");
        Way(Fastener.SplitPin, Insertion.AlongTheArrow).ShouldBe("against the arrow", "a slit end finishes at the arrow’s head");
        FastenerWork.Open(new BenchSetup(Fastener.SplitPin, NoArrow: true)).Direction.ShouldNotBeNull().ShouldContain("note the edge");
    }

    [Fact]
    public void What_joins_the_links_is_asked_before_there_are_steps() =>
        BenchSteps.Of(Sized(Fastener.SplitPin) with { Setup = new BenchSetup() }).ShouldBeEmpty();

    [Fact]
    public void Steps_are_worked_in_order_and_taken_back_from_the_end()
    {
        var steps = BenchSteps.Of(Sized(Fastener.SplitPin));
        var done = new HashSet<string>();
        foreach (var step in steps)
        {
            foreach (var later in steps.SkipWhile(s => s != step).Skip(1))
                BenchSteps.WhyNot(steps, done, later.Key, tick: true).ShouldNotBeNull();
            BenchSteps.WhyNot(steps, done, step.Key, tick: false).ShouldNotBeNull("it is not done yet");
            BenchSteps.WhyNot(steps, done, step.Key, tick: true).ShouldBeNull();
            done.Add(step.Key);
            BenchSteps.WhyNot(steps, done, step.Key, tick: true).ShouldNotBeNull("it is done already");
        }
        foreach (var step in steps.Reverse())
        {
            BenchSteps.WhyNot(steps, done, step.Key, tick: false).ShouldBeNull();
            done.Remove(step.Key);
        }
        BenchSteps.WhyNot(steps, done, "dance", tick: true).ShouldBe("There is no such step in this plan.");
    }

    [Fact]
    public void Only_looking_trying_on_and_checks_may_be_left_out() =>
        BenchSteps.Of(Sized(Fastener.PinWithTube, own: false)).Where(s => s.MayBeSkipped).ShouldAllBe(s => s.Moves.Count == 0 && s.Kind != StepKind.Bars && s.Kind != StepKind.Consent);

    private static string AsText(IReadOnlyList<BenchStep> steps) => Kept.Read(steps.Select(s => new KeptStep(
        s.Part.ToString(), s.What, s.Tool, s.Direction, s.FallsOut, s.Caution, string.Join("; ", s.Moves.Select(m => m.Says)))));
}
