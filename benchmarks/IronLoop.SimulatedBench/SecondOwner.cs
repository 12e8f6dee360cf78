using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Measuring;

namespace IronLoop.SimulatedBench;

/// <summary>What the model book is worth: the same watches, their bars assumed, taken from so many others of the model, or read.</summary>
internal static class SecondOwner
{
    private const double ReadingMm = 0.3;
    private const double PieceMm = 0.08;

    /// <summary>Prints the share right at the first opening for each way of knowing the head.</summary>
    public static void Run(int count, int seed)
    {
        Console.WriteLine($"{count} second owners, seed {seed}: wrist read once, width and depth read; watches of a model differ by {PieceMm} mm, a reading by {ReadingMm} mm.");
        Console.WriteLine();
        Console.WriteLine("| bar to bar and rise | loop needed known to | right first |");
        Console.WriteLine("|---|---|---|");
        foreach (var pieces in (int?[])[0, 1, 3, 7, 20, null])
        {
            var random = new Random(seed);
            var (served, tally, sigmas) = (0, new Tally(), 0.0);
            while (served < count)
            {
                var customer = Customer.Draw(random);
                var (wrist, aspect) = (140 + 65 * random.NextDouble(), Math.Clamp(1.35 + 0.10 * Customer.Normal(random), 1.05, 1.75));
                var (modelBars, modelRise) = (34 + 16 * random.NextDouble(), 3 + Customer.Normal(random));
                var (bars, rise) = (modelBars + PieceMm * Customer.Normal(random), modelRise + PieceMm * Customer.Normal(random));
                var (seenBars, barsSigma) = Seen(random, pieces, modelBars, bars, assumed: bars + 2 * Customer.Normal(random));
                var (seenRise, riseSigma) = Seen(random, pieces, modelRise, rise, assumed: 3);
                var seenWrist = Length.Nearest(wrist + 1.5 * Customer.Normal(random));
                var seenAspect = (decimal)Math.Round(aspect + 0.03 * Customer.Normal(random), 4);
                if (!customer.AnyCould() || !FitRanges.Wrist.Holds(seenWrist) || !FitRanges.Aspect.Holds(seenAspect))
                    continue;
                var pivot = Length.FromMillimetres(1.7m);
                var assumed = new Assumed(false, pieces is 0, pieces is 0) { BarsByTheBook = barsSigma, RiseByTheBook = riseSigma };
                if (NeededLength.Of(Length.Nearest(wrist), (decimal)Math.Round(aspect, 4), new Head(Length.Nearest(bars), Length.Nearest(rise)), pivot) is not { } need
                    || NeededLength.WithUncertainty(seenWrist, seenAspect, new Head(Length.Nearest(seenBars), Length.Nearest(seenRise)), pivot, assumed) is not { } known)
                    continue;
                served++;
                sigmas += known.Sigma;
                tally.Add(customer, Fitters.Best(customer, customer.TrueNeed + known.Needed - need, known.Sigma));
            }
            Console.WriteLine($"| {(pieces switch { null => "read on this watch", 0 => "assumed", 1 => "of 1 watch", _ => $"of {pieces} watches" })} | ± {sigmas / served:0.00} mm | {100.0 * tally.Both / served:0.0} % |");
        }
    }

    /// <summary>A figure as it is gone by, and how well the book knows it; null where it is not the book's.</summary>
    private static (double Seen, double? Sigma) Seen(Random random, int? pieces, double model, double piece, double assumed)
    {
        if (pieces is not { } n)
            return (piece + ReadingMm * Customer.Normal(random), null);
        if (n == 0)
            return (assumed, null);
        var (sum, squares) = (0L, 0m);
        for (var i = 0; i < n; i++)
        {
            var um = Length.Nearest(model + PieceMm * Customer.Normal(random) + ReadingMm * Customer.Normal(random)).Micrometres;
            (sum, squares) = (sum + um, squares + (decimal)um * um);
        }
        var known = BookFigure.Of(n, sum, squares, HowHad.Read);
        return ((double)known.Mean.Millimetres, known.SigmaMm);
    }
}
