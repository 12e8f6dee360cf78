using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;

namespace IronLoop.SimulatedBench;

/// <summary>Whether a reading gives what was promised of it: wrists, heads and bracelets are drawn, read, and read once more.</summary>
internal static class Readings
{
    private static readonly Readable[] All = Enum.GetValues<Readable>();

    /// <summary>Prints what was promised and what was met, for each reading.</summary>
    public static void Run(int count, int seed)
    {
        var random = new Random(seed);
        var promised = new double[All.Length];
        var met = new double[All.Length];
        var (asked, rightNow) = (0, 0.0);
        var took = TimeSpan.Zero;
        while (asked < count)
        {
            var customer = Customer.Draw(random);
            var truth = Figures.Draw(random);
            var assumed = new Assumed(random.Next(2) == 0, random.Next(2) == 0, random.Next(2) == 0);
            var seen = truth.Read(random, assumed);
            if (truth.Need is not { } need || seen.WithUncertainty(assumed) is not { Spread: { } spread } known)
                continue;
            // How loose it is worn is the customer's; what the wrist needs is that of the figures drawn.
            var request = new PlanRequest(
                customer.Bracelet, customer.Spares, customer.Clasp,
                new FitTarget(Length.Nearest(known.Needed) + customer.Wear.Aim, customer.Wear.Window, PlanRequest.HouseTolerance) { Sigma = Length.Nearest(known.Sigma) },
                PlanRequest.HouseCentring, PlanRequest.HouseReserve);
            if (!FitRanges.Target.Holds(request.Target.Length))
                continue;
            var started = System.Diagnostics.Stopwatch.GetTimestamp();
            var best = new BestChance(request);
            var next = NextReading.Of(best, request.Target.Length.ApproximateMillimetres, spread, All);
            took += System.Diagnostics.Stopwatch.GetElapsedTime(started);
            if (next.ChanceNow < 0.05)
                continue;
            asked++;
            rightNow += next.ChanceNow;
            foreach (var gain in next.Readings)
            {
                var after = spread.After([gain.Figure]);
                // What was read tells the length anew: the two together are the mean by how well each is known.
                var read = 1 / (after * after) - 1 / (spread.Sigma * spread.Sigma);
                var told = need + Customer.Normal(random) / Math.Sqrt(read);
                var mean = (known.Needed / (spread.Sigma * spread.Sigma) + told * read) * after * after;
                promised[(int)gain.Figure] += gain.Gain;
                met[(int)gain.Figure] += best.At(mean + customer.Wear.Aim.ApproximateMillimetres, after) - next.ChanceNow;
            }
        }
        Console.WriteLine($"{count} bracelets, seed {seed}; the best chance is {100 * rightNow / count:0.0} % on average before, {took.TotalMilliseconds / count:0.00} ms each.");
        Console.WriteLine();
        Console.WriteLine("| reading | promised | met |");
        Console.WriteLine("|---|---|---|");
        foreach (var figure in All)
            Console.WriteLine($"| {figure} | {100 * promised[(int)figure] / count:0.00} points | {100 * met[(int)figure] / count:0.00} points |");
    }

    /// <summary>A wrist and a head as they truly are, or as they were read.</summary>
    private sealed record Figures(double Wrist, double Aspect, double BarToBar, double BarRise, double Pivot)
    {
        public static Figures Draw(Random random) => new(
            140 + 65 * random.NextDouble(), Math.Clamp(1.35 + 0.10 * Customer.Normal(random), 1.05, 1.75), 34 + 16 * random.NextDouble(), 3 + Customer.Normal(random), 1.2 + random.NextDouble());

        public double? Need => NeededLength.Of(Length.Nearest(Wrist), (decimal)Math.Round(Aspect, 4), new Head(Length.Nearest(BarToBar), Length.Nearest(BarRise)), Length.Nearest(Pivot));

        // What is assumed is the usual one; the bars of this watch lie about where they are taken to.
        public Figures Read(Random random, Assumed assumed) => new(
            Wrist + 1.5 * Customer.Normal(random),
            assumed.Aspect ? 1.35 : Aspect + 0.03 * Customer.Normal(random),
            BarToBar + (assumed.BarToBar ? 2 : 0.3) * Customer.Normal(random),
            assumed.BarRise ? 3 : BarRise + 0.3 * Customer.Normal(random),
            Pivot);

        public Need? WithUncertainty(Assumed assumed) => !FitRanges.Wrist.Holds(Length.Nearest(Wrist)) || !FitRanges.Aspect.Holds((decimal)Aspect) ? null
            : NeededLength.WithUncertainty(Length.Nearest(Wrist), (decimal)Math.Round(Aspect, 4), new Head(Length.Nearest(BarToBar), Length.Nearest(BarRise)), Length.Nearest(Pivot), assumed);
    }
}
