using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Tray;

namespace IronLoop.Core.Tests.Bench;

public class BenchStepsTests
{
    private static readonly BraceletClasp Clasp = new(Mm(18), Mm(18), Side.Twelve, 4, Mm(2.5m), 1);

    // Two links leave the 12 side, one joins the 6 side.
    private static readonly Arrangement Arrangement = new(
        [new(Mm(8), LinkFate.Fixed), new(Mm(8), LinkFate.Stays), new(Mm(8), LinkFate.Leaves), new(Mm(8), LinkFate.Leaves)],
        [new(Mm(8), LinkFate.Fixed), new(Mm(8), LinkFate.Stays), new(Mm(5), LinkFate.Joins)],
        2);

    [Fact]
    public void A_fitter_can_read_the_steps_aloud_and_do_the_work()
    {
        var steps = BenchSteps.Of(Attachment.SpringBarDrilled, Clasp, Arrangement, isFromStock: true,
            [new PieceOfWork("File 0.2 mm off each side of both end links", Reversible: false)]);
        string.Join('\n', steps.Select(s => $"{s.Part}: {s.What}")).ShouldBe(
            """
            prepare: Lay the watch on the soft mat, case back toward you. Tape the lugs and the clasp.
            prepare: See that the owner's written consent to the work that cannot be undone lies with the job.
            prepare: File 0.2 mm off each side of both end links.
            prepare: Put the bracelet on, 12 side first, so that the clasp opens the owner's way. Seat one tip of the spring bar, press the other in from outside, and see both tips in their holes.
            prepare: Open the clasp so that the band lies flat.
            first side: 12 side: take out 2 links of 8 mm beside the clasp. Push the pin along the arrow; put links and pins in the tray.
            first side: 12 side: close the joint, pin against the arrow, last push until just below flush.
            try on: Close the clasp and try it on the owner's wrist. Judge the surplus, look where the clasp sits, and go on only when it agrees with the plan.
            second side: 6 side: put in 1 link of 5 mm beside the clasp, arrows on one edge.
            second side: 6 side: close the joint, pin against the arrow, last push until just below flush.
            finish: Move the micro-adjust from position 2 to 3 of 4, counted from the tight end.
            finish: Check every joint: pins flush or just below, all arrows on one edge, turn and pull. The clasp closes and stays closed.
            """);
    }

    [Fact]
    public void Every_step_with_a_bar_or_a_punch_carries_its_caution()
    {
        var steps = BenchSteps.Of(Attachment.SpringBarBlind, Clasp, Arrangement, isFromStock: true, []);
        steps.Single(s => s.Key == "mount").Caution.ShouldBe(BenchSteps.BarsFly);
        steps.Where(s => s.Key.StartsWith("out-", StringComparison.Ordinal)).ShouldAllBe(s => s.Caution == BenchSteps.LightTaps);
        steps.Single(s => s.Key == "try-on").Caution.ShouldBeNull();
    }

    [Fact]
    public void Steps_are_worked_in_order_and_taken_back_from_the_end()
    {
        var steps = BenchSteps.Of(Attachment.SpringBarBlind, Clasp, Arrangement, isFromStock: false, []);
        var done = new HashSet<string>();
        foreach (var step in steps)
        {
            foreach (var later in steps.SkipWhile(s => s != step).Skip(1))
                BenchSteps.WhyNot(steps, done, later.Key, tick: true).ShouldNotBeNull();
            BenchSteps.WhyNot(steps, done, step.Key, tick: true).ShouldBeNull();
            done.Add(step.Key);
        }
        BenchSteps.WhyNot(steps, done, steps[0].Key, tick: false).ShouldNotBeNull();
        BenchSteps.WhyNot(steps, done, steps[^1].Key, tick: false).ShouldBeNull();
    }

    [Fact]
    public void Each_step_has_a_key_of_its_own_for_every_attachment()
    {
        foreach (var attachment in Enum.GetValues<Attachment>())
        {
            var keys = BenchSteps.Of(attachment, Clasp, Arrangement, isFromStock: true, []).Select(s => s.Key).ToList();
            keys.ShouldBeUnique();
        }
    }

    [Fact]
    public void The_bag_holds_every_link_out_and_a_fastener_for_each_link_fewer()
    {
        Bag.Of(Arrangement, [new SpareLinks(Mm(5), 2)]).ShouldBe(
            [new BagLine("links of 8 mm", 2), new BagLine("links of 5 mm", 1), new BagLine("fasteners from removed links", 1)]);
    }

    [Theory]
    [InlineData(PullThroughWay.Double, "buckle end lies on the 12 side", "two layers lie under the case")]
    [InlineData(PullThroughWay.ReversedSingle, "buckle end lies on the 6 side", "one layer lies under the case")]
    public void A_band_is_pulled_through_in_the_way_it_is_worn(PullThroughWay way, string side, string layers)
    {
        var fit = new OnePieceBand(Length.FromMillimetres(168), Length.FromMillimetres(7), 12, Length.FromMillimetres(1.2m), null)
            .On(new Head(Length.FromMillimetres(44), Length.FromMillimetres(3)))
            .In(5, new FitTarget(Length.FromMillimetres(157), Length.Zero, Length.Zero));
        var steps = BenchSteps.Of(way, isOnBars: true, fit, 12, []);
        steps.ShouldContain(s => s.What.Contains(side));
        steps.ShouldContain(s => s.What.Contains(layers));
        steps.ShouldContain(s => s.What.Contains("hole 6 of 12"));
        // Both bars first, with their caution; a watch with bars of its own needs none.
        steps.Single(s => s.Key == "bars").Caution.ShouldBe(BenchSteps.BarsFly);
        BenchSteps.Of(way, isOnBars: false, fit, 12, []).ShouldNotContain(s => s.Key == "bars");
    }

    [Fact]
    public void Mesh_is_let_out_wide_before_it_is_set_to_its_notch()
    {
        var mesh = new MeshBand(Length.FromMillimetres(120), Length.FromMillimetres(180), 31);
        var fit = mesh.Nearest(new FitTarget(Length.FromMillimetres(150), Length.Zero, Length.Zero));
        var keys = BenchSteps.Of(Attachment.SpringBarBlind, fit, mesh, []).Select(s => s.Key).ToList();
        keys.IndexOf("lengthen").ShouldBeLessThan(keys.IndexOf("try-on"));
        BenchSteps.Of(Attachment.SpringBarBlind, fit, mesh, []).Single(s => s.Key == "try-on").What.ShouldContain("notch 16 of 31");
    }

    [Fact]
    public void Work_brings_its_tools_its_minutes_and_its_own_caution_to_the_bench()
    {
        var mesh = new MeshBand(Length.FromMillimetres(120), Length.FromMillimetres(180), 0);
        var fit = mesh.Nearest(new FitTarget(Length.FromMillimetres(150), Length.Zero, Length.Zero));
        var work = new PieceOfWork("File the ends", Reversible: false) { Tools = "flat file", Minutes = 40, Caution = PieceOfWork.Filing };
        var step = BenchSteps.Of(Attachment.SpringBarBlind, fit, mesh, [work]).Single(s => s.Key == "work-1");
        step.What.ShouldBe("File the ends. With flat file; about 40 minutes.");
        step.Caution.ShouldBe(PieceOfWork.Filing);
    }

    private static Length Mm(decimal millimetres) => Length.FromMillimetres(millimetres);
}
