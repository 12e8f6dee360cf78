using CsCheck;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Tests.Fitting;

public class ThreeWaysTests
{
    private static readonly Length Pivot = Length.FromMillimetres(1.75m);

    private static readonly Figures Known = (Figures.None with { Attachment = Attachment.SpringBarDrilled, Wear = WearPreference.Regular })
        .With(GaugedFigure.BarToBar, Mm(44)).With(GaugedFigure.BarRise, Mm(3)).With(GaugedFigure.Wrist, Mm(170));

    [Fact]
    public void Millimetres_over_zero_ease_come_off_the_loop_and_over_comfort_the_aim_as_well()
    {
        var tried = new TryOn(Amount: 9, Loop: Mm(160));
        tried.Need(null, 1.35m, null).ShouldBe(new Need(151, 1.0));
        (tried with { Over = SurplusOver.Comfort }).Need(null, 1.35m, Mm(7.5m)).ShouldBe(new Need(143.5, 1.0));
        (tried with { Over = SurplusOver.Comfort }).Need(null, 1.35m, null).ShouldBeNull("without a wear preference comfort has no ease");
    }

    [Fact]
    public void Links_pinched_count_their_pitch()
    {
        var need = new TryOn(SurplusBy.LinksPinched, Amount: 1.5m, Loop: Mm(160), Pitch: Mm(8)).Need(null, 1.35m, null).ShouldNotBeNull();
        need.Needed.ShouldBe(148, 1e-9);
        need.Sigma.ShouldBe(1.6, 1e-9);
    }

    [Fact]
    public void A_gap_under_the_clasp_is_ease_by_the_fit_model()
    {
        var tried = new TryOn(SurplusBy.Gap, Amount: 6, Loop: Mm(160));
        tried.Need(null, 1.35m, null).ShouldBeNull("a gap needs the wrist’s own shape");
        var need = tried.Need(Mm(170), 1.35m, null).ShouldNotBeNull();
        need.Needed.ShouldBe(160 - EaseFromGap.Of(Mm(170), 1.35m, Mm(6), Length.Zero), 1e-9);
        need.Sigma.ShouldBe(1.5);
    }

    [Fact]
    public void A_loop_copied_from_the_same_head_and_thickness_is_the_target_itself()
    {
        var copy = new CopiedLoop(Mm(154.5m), Mm(44), Mm(3), Mm(3.5m));
        copy.Need(Mm(170), 1.35m, new Head(Mm(44), Mm(3)), Pivot, Mm(7.5m)).ShouldNotBeNull().Needed.ShouldBe(147.0, 1e-9);
        // A head with bars further apart takes up more of the way round, so the other band is shorter.
        copy.Need(Mm(170), 1.35m, new Head(Mm(48), Mm(3)), Pivot, Mm(7.5m)).ShouldNotBeNull().Needed.ShouldBeLessThan(147.0);
    }

    [Fact]
    public void Ways_are_weighed_by_their_certainty()
    {
        var ways = ThreeWays.Combine([new(Way.Measured, new Need(150, 2)), new(Way.TryOn, new Need(152, 1))]).ShouldNotBeNull();
        ways.Together.Needed.ShouldBe((150 / 4.0 + 152) / 1.25, 1e-9);
        ways.Together.Sigma.ShouldBe(1 / Math.Sqrt(1.25), 1e-9);
        ways.Says.ShouldBeNull();
        ThreeWays.Combine([]).ShouldBeNull();
    }

    [Theory]
    [InlineData(4.4, false)]
    [InlineData(4.5, true)]
    public void Two_ways_disagree_beyond_twice_their_common_uncertainty(double apart, bool disagree)
    {
        // 2·√(2² + 1²) = 4.472.
        var ways = ThreeWays.Combine([new(Way.Measured, new Need(150, 2)), new(Way.TryOn, new Need(150 + apart, 1))])!;
        ways.Disagreements.Count.ShouldBe(disagree ? 1 : 0);
        if (disagree)
            ways.Says.ShouldBe("The tape and the try-on disagree by 4.5 mm; do the one you trust least again.");
    }

    [Fact]
    public void Answers_that_disagree_are_not_averaged()
    {
        KnownNeed tape = new(Way.Measured, new Need(140, 1)), tried = new(Way.TryOn, new Need(150, 1)), copied = new(Way.Copy, new Need(150.5, 1.2));
        var ways = ThreeWays.Combine([tape, tried])!;
        (ways.Together.Needed, ways.Together.Sigma, ways.Stands).ShouldBe((150, 10, Way.TryOn));
        ways.RestsOn.ShouldBe("The tape and the try-on disagree by 10.0 mm; do the one you trust least again. Until then the try-on’s answer is taken, with their distance as its spread.");
        ThreeWays.Combine([tape, copied])!.Together.Needed.ShouldBe(150.5);
        // A house that goes by one way alone has settled it, and so has whoever leaves one out.
        ThreeWays.Combine([tape, tried], Way.Measured)!.RestsOn.ShouldBeNull();
        ThreeWays.Combine([tape, tried], Way.Measured)!.Together.Needed.ShouldBe(140);
        ThreeWays.Combine([tried, copied])!.RestsOn.ShouldBeNull();
    }

    [Fact]
    public void The_one_that_stands_alone_is_named()
    {
        var ways = ThreeWays.Combine([new(Way.Measured, new Need(140, 1)), new(Way.TryOn, new Need(150, 1)), new(Way.Copy, new Need(150.5, 1))])!;
        ways.OddOneOut.ShouldBe(Way.Measured);
        ways.Says.ShouldBe("The tape stands alone, 10.5 mm from the others; do that one again.");
    }

    [Fact]
    public void The_mean_lies_among_the_ways_and_is_never_less_certain_than_the_best() =>
        Gen.Select(Gen.Double[120, 200], Gen.Double[0.5, 4]).Array[1, 3].Sample(drawn =>
        {
            var ways = ThreeWays.Combine([.. drawn.Select((d, i) => new KnownNeed((Way)i, new Need(d.Item1, d.Item2)))])!;
            if (ways.Disagreements.Count > 0)
            {
                ways.Together.Needed.ShouldBe(drawn[1].Item1);
                ways.Together.Sigma.ShouldBe(ways.Disagreements.Max(d => d.Apart), 1e-9);
                return;
            }
            ways.Together.Needed.ShouldBeInRange(drawn.Min(d => d.Item1) - 1e-9, drawn.Max(d => d.Item1) + 1e-9);
            ways.Together.Sigma.ShouldBeLessThanOrEqualTo(drawn.Min(d => d.Item2) + 1e-12);
        });

    [Fact]
    public void A_client_who_was_only_tried_on_has_a_target_and_a_wrist_to_draw()
    {
        var figures = Known.With(GaugedFigure.Wrist, null) with { TryOn = new TryOn(Amount: 13.01m, Loop: Mm(160)) };
        figures.WristIsKnown.ShouldBeTrue();
        figures.Target(Pivot).ShouldNotBeNull().Length.ShouldBe(Mm(154.49m));
        // N of 146.99 belongs to the 170 mm wrist of the reference table.
        var wrist = figures.WristToDraw(Pivot).ShouldNotBeNull();
        WristSection.Perimeter(wrist.HalfWidth, wrist.HalfDepth).ShouldBe(170, 0.01);
    }

    [Fact]
    public void A_try_on_of_another_band_is_moved_onto_this_one_s_thickness()
    {
        var thick = Known with { TryOn = new TryOn(Amount: 5, Loop: Mm(160), Thickness: Mm(5.5m)) };
        var here = thick.Ways(Pivot)!.Ways.Single(w => w.Way == Way.TryOn).Need.Needed;
        // About 4 mm for each mm of pivot height, which is half the 2 mm between the bands.
        (155 - here).ShouldBe(4, 0.3);
    }

    [Fact]
    public void A_needed_length_finds_the_wrist_it_belongs_to() =>
        Gen.Int[125, 235].Sample(round =>
        {
            var head = new Head(Mm(44), Mm(3));
            var needed = NeededLength.Of(Mm(round), 1.35m, head, Pivot)!.Value;
            (WristServed.By(needed, 1.35m, head, Pivot)!.Value - Mm(round)).Abs().ShouldBeLessThanOrEqualTo(new Length(2));
            WristServed.By(20, 1.35m, head, Pivot).ShouldBeNull();
        });

    private static Length Mm(decimal millimetres) => Length.FromMillimetres(millimetres);
}
