using CsCheck;
using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Tests.Fitting;

/// <summary>Which reading is worth taking.</summary>
public class NextReadingTests
{
    private static readonly Readable[] All = Enum.GetValues<Readable>();

    [Fact]
    public void What_is_assumed_is_known_better_once_it_is_read_and_what_was_read_a_little_better_once_more()
    {
        var spread = Spread(new Assumed(Aspect: true, BarRise: true, BarToBar: false));
        spread.Sigma.ShouldBe(NeededLength.WithUncertainty(Mm(168), 1.35m, new Head(Mm(44), Mm(3)), Mm(1.75m), new Assumed(true, true, false))!.Value.Sigma, 1e-9);
        foreach (var figure in All)
            spread.After([figure]).ShouldBeLessThan(spread.Sigma, $"{figure}");
        (spread.IsAssumed(Readable.BarRise), spread.IsAssumed(Readable.BarToBar), spread.IsAssumed(Readable.Wrist)).ShouldBe((true, false, false));
        // A figure that was assumed is known as one that was read, and a trifle better for what was assumed of it.
        var read = Spread(new Assumed(Aspect: true, BarRise: false, BarToBar: false)).Sigma;
        spread.After([Readable.BarRise]).ShouldBeInRange(read - 0.05, read);
        // A second tape reading counts as the mean of two.
        var tape = spread.By.Single(b => b.Figure == Readable.Wrist);
        tape.After.ShouldBe(tape.Now / Math.Sqrt(2), 1e-9);
    }

    [Fact]
    public void The_ways_that_are_known_together_are_known_as_well_as_their_mean()
    {
        var measured = NeededLength.WithUncertainty(Mm(168), 1.35m, new Head(Mm(44), Mm(3)), Mm(1.75m), new Assumed(true, true, true))!.Value;
        var ways = ThreeWays.Combine([new KnownNeed(Way.Measured, measured), new KnownNeed(Way.TryOn, new Need(measured.Needed, 1)), new KnownNeed(Way.Copy, new Need(measured.Needed, 1.2))])!;
        ways.Together.Spread!.Sigma.ShouldBe(ways.Together.Sigma, 1e-9);
        ThreeWays.Combine(ways.Ways, Way.TryOn)!.Together.Spread!.Sigma.ShouldBe(1, 1e-9);
    }

    [Fact]
    public void The_best_chance_is_that_of_the_likeliest_of_all_arrangements() =>
        Gen.Select(Gen.OneOf(RandomRequests.Small, RandomRequests.Tied), Gen.Int[500, 3_000], Gen.Double[-1, 1]).Sample(
            (request, sigma, aside) =>
            {
                var asked = request with { Target = request.Target with { Sigma = new Length(sigma) } };
                var (wanted, by) = ((double)request.Target.Length.Millimetres + aside * sigma / 1000, sigma / 1000.0);
                var moved = request with { Target = request.Target with { Length = Length.Nearest(wanted) } };
                var every = EveryArrangement.InOrder(moved).GroupBy(t => string.Join(',', t.Twelve.Concat(t.Six))).Max(g => EveryArrangement.Chance(moved, [.. g], by));
                new BestChance(asked).At((double)moved.Target.Length.Millimetres, by).ShouldBe(every, 1e-4);
            },
            iter: Often.Asked(300));

    [Fact]
    public void No_reading_is_expected_to_make_it_worse_and_the_best_is_told_first() =>
        Gen.Select(Bracelets, Gen.Bool, Gen.Bool, Gen.Bool).Sample(
            (request, aspect, rise, bars) =>
            {
                var next = Ask(request, new Assumed(aspect, rise, bars));
                next.ChanceNow.ShouldBeInRange(0, 1);
                next.Readings.Select(r => r.Figure).Order().ShouldBe(All);
                next.Readings.ShouldAllBe(r => r.Gain > -0.02 && r.ChanceAfter <= 1);
                next.Readings.Select(r => r.Gain).ShouldBe(next.Readings.Select(r => r.Gain).OrderDescending());
                (next.Says == "Enough is known." || next.Says.StartsWith("No reading", StringComparison.Ordinal)).ShouldBe(next.Readings[0].Gain < 0.02 && !(next.Together.Figures.Count > 1 && next.Together.ChanceAfter - next.ChanceNow >= 0.05));
            },
            iter: Often.Asked(200));

    [Fact]
    public void It_is_told_in_a_fitter_s_words()
    {
        new NextReading(0.62, [new(Readable.BarRise, 0.78, 0.16), new(Readable.Wrist, 0.63, 0.01)], ([], 0.62)).Says.ShouldBe("Bar rise: one reading lifts the first-time chance from 62 to 78 %.");
        new NextReading(0.7, [new(Readable.BarRise, 0.71, 0.01)], ([Readable.BarRise, Readable.BarToBar], 0.76)).Says.ShouldBe("Bar rise and bar to bar together lift the first-time chance from 70 to 76 %.");
        new NextReading(0.99, [new(Readable.TryOn, 0.995, 0.005)], ([Readable.BarRise], 0.995)).Says.ShouldBe("Enough is known.");
        new NextReading(0.004, [new(Readable.TryOn, 0.005, 0.001)], ([], 0.004)).Says.ShouldBe("No reading cures that: it cannot be made in its place.");
        new NextReading(0.5, [new(Readable.TryOn, 0.997, 0.497)], ([], 0.5)).Says.ShouldBe("Trying it on as it is: it lifts the first-time chance from 50 to over 99 %.");
    }

    private static readonly Gen<PlanRequest> Bracelets = Gen.Select(Gen.Int[6_000, 11_500], Gen.Int[2, 8], Gen.Int[3, 8], Gen.Int[3, 8], Gen.Bool, (pitch, positions, twelve, six, half) => new PlanRequest(
        new Bracelet([new(new(pitch), false), .. Enumerable.Repeat(new Link(new(pitch), true), twelve), .. half ? [new Link(new(pitch * 6 / 10), true)] : Array.Empty<Link>()], [new(new(pitch), false), .. Enumerable.Repeat(new Link(new(pitch), true), six)]),
        [], new BraceletClasp(Mm(18), Mm(20), Side.Twelve, positions, Mm(1.8m), 0), new FitTarget(Mm(150), Mm(2.5m), PlanRequest.HouseTolerance), PlanRequest.HouseCentring, PlanRequest.HouseReserve));

    private static NextReading Ask(PlanRequest request, Assumed assumed)
    {
        var need = NeededLength.WithUncertainty(Mm(168), 1.35m, new Head(Mm(44), Mm(3)), Mm(1.75m), assumed)!.Value;
        var target = new FitTarget(Length.Nearest(need.Needed) + Mm(7.5m), Mm(2.5m), PlanRequest.HouseTolerance) { Sigma = Length.Nearest(need.Sigma) };
        return NextReading.Of(new BestChance(request with { Target = target, Effort = new Effort() }), target.Length.ApproximateMillimetres, need.Spread!, All);
    }

    private static NeedSpread Spread(Assumed assumed) => NeededLength.WithUncertainty(Mm(168), 1.35m, new Head(Mm(44), Mm(3)), Mm(1.75m), assumed)!.Value.Spread!;

    private static Length Mm(decimal millimetres) => Length.FromMillimetres(millimetres);
}
