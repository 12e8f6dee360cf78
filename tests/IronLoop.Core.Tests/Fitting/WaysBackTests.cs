using CsCheck;
using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Tests.Fitting;

/// <summary>Sums that can be turned round: what went in comes out again.</summary>
public class WaysBackTests
{
    private static readonly Gen<(Length Wrist, decimal Aspect, Head Head, Length Pivot)> Wrists = Gen.Select(
        Gen.Int[140_000, 230_000], Gen.Int[110, 160], Gen.Int[30, 46], Gen.Int[0, 50], Gen.Int[5, 40],
        (wrist, aspect, bars, rise, pivot) => (new Length(wrist), aspect / 100m, new Head(Mm(bars), Mm(rise / 10m)), Mm(pivot / 10m)));

    [Fact]
    public void A_wrist_s_needed_length_leads_back_to_that_wrist() =>
        Wrists.Sample(w =>
        {
            if (NeededLength.Of(w.Wrist, w.Aspect, w.Head, w.Pivot) is not { } needed
                || NeededLength.Of(FitRanges.Wrist.Lowest, w.Aspect, w.Head, w.Pivot) is null
                || NeededLength.Of(FitRanges.Wrist.Highest, w.Aspect, w.Head, w.Pivot) is null)
                return;
            // The smallest micrometre whose length reaches it: the very wrist, and a little less leads there too.
            WristServed.By(needed, w.Aspect, w.Head, w.Pivot).ShouldBe(w.Wrist);
            WristServed.By(needed - 2e-4, w.Aspect, w.Head, w.Pivot).ShouldBe(w.Wrist);
        });

    [Fact]
    public void A_larger_wrist_needs_a_longer_loop() =>
        Wrists.Sample(w =>
        {
            if (NeededLength.Of(w.Wrist, w.Aspect, w.Head, w.Pivot) is { } less && NeededLength.Of(w.Wrist + Mm(2), w.Aspect, w.Head, w.Pivot) is { } more)
                more.ShouldBeGreaterThan(less);
        });

    [Fact]
    public void A_wider_gap_under_the_clasp_is_more_ease_and_none_is_none()
    {
        EaseFromGap.Of(Mm(170), 1.3m, Length.Zero, Length.Zero).ShouldBe(0, 1e-6);
        Gen.Select(Gen.Int[150, 210], Gen.Int[0, 100], Gen.Int[1, 30], Gen.Int[0, 14]).Sample((wrist, gap, more, wedge) =>
            EaseFromGap.Of(Mm(wrist), 1.3m, Mm((gap + more) / 10m), Mm(wedge)).ShouldBeGreaterThan(EaseFromGap.Of(Mm(wrist), 1.3m, Mm(gap / 10m), Mm(wedge))));
    }

    [Fact]
    public void The_first_time_chance_is_the_share_of_needed_lengths_that_some_position_serves() =>
        Gen.Select(Gen.Int[140, 170], Gen.Int[3, 40], Gen.Int[1, 8], Gen.Int[10, 60], Gen.Int[0, 40]).Sample(
            (needed, sigma, positions, step, start) =>
            {
                var need = new Need(needed, sigma / 10.0);
                var wear = Wear.Of(WearPreference.Regular);
                Length[] lengths = [.. Enumerable.Range(0, positions).Select(i => Mm(130 + start + i * step / 10m))];
                // Counted out over the whole of the distribution, in steps of a fiftieth of its spread.
                var (hit, all) = (0.0, 0.0);
                for (var z = -6.0; z <= 6; z += 0.02)
                {
                    var density = Math.Exp(-z * z / 2);
                    all += density;
                    var n = need.Needed + z * need.Sigma;
                    if (lengths.Any(l => l.ApproximateMillimetres - n >= 5 && l.ApproximateMillimetres - n <= 10))
                        hit += density;
                }
                FirstTimeChance.Of(need, lengths, wear).ShouldBe(hit / all, 0.02);
            },
            iter: Often.Asked(300));

    [Fact]
    public void More_positions_never_make_the_first_time_less_likely() =>
        Gen.Select(Gen.Int[140, 170], Gen.Int[3, 40], Gen.Int[1_000, 200_000].Array[1, 6], Gen.Int[100_000, 200_000]).Sample((needed, sigma, lengths, another) =>
        {
            var need = new Need(needed, sigma / 10.0);
            var wear = Wear.Of(WearPreference.Snug);
            Length[] few = [.. lengths.Select(l => new Length(l))];
            FirstTimeChance.Of(need, [.. few, new Length(another)], wear).ShouldBeGreaterThanOrEqualTo(FirstTimeChance.Of(need, few, wear) - 1e-9);
        });

    [Fact]
    public void A_strap_s_middle_hole_of_an_even_row_is_the_nearer_one()
    {
        var strap = new TwoPieceStrap(Mm(75), Mm(118), Mm(58), Mm(6), 6);
        var (lower, upper) = (strap.LengthIn(2), strap.LengthIn(3));
        StrapLength.Of(strap, new FitTarget(lower + Mm(1), Mm(2.5m), Mm(1.5m))).ShouldSatisfyAllConditions(
            s => s.MiddleHole.ShouldBe(2), s => s.Miss.ShouldBe(Mm(1)), s => s.Fit.Hole.ShouldBe(2));
        StrapLength.Of(strap, new FitTarget(upper - Mm(1), Mm(2.5m), Mm(1.5m))).MiddleHole.ShouldBe(3);
        var odd = new TwoPieceStrap(Mm(75), Mm(118), Mm(58), Mm(6), 7);
        StrapLength.Of(odd, new FitTarget(odd.LengthIn(5), Mm(2.5m), Mm(1.5m))).ShouldSatisfyAllConditions(
            s => s.MiddleHole.ShouldBe(3), s => s.Miss.ShouldBe(Mm(12)), s => s.Fit.Hole.ShouldBe(5));
    }

    private static Length Mm(decimal millimetres) => Length.FromMillimetres(millimetres);
}
