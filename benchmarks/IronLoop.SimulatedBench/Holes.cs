using IronLoop.Core.Fitting;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;

namespace IronLoop.SimulatedBench;

/// <summary>What straps of some hole pitch are on drawn wrists: by half the wear window alone, and as they are judged.</summary>
internal static class Holes
{
    private static readonly Length Pivot = Length.FromMillimetres(1.4m);

    public static void Run(int wrists, int seed)
    {
        Console.WriteLine($"{wrists} wrists, seed {seed}: 170 ± 12, regular, taped; straps of seven holes, one pair of lengths, and the best of three 12 mm apart.");
        Console.WriteLine();
        Console.WriteLine("| pitch | by half the window alone: no | fits | compromise | no | best of three, by half the window alone: no | fits | compromise | no |");
        Console.WriteLine("|---|---|---|---|---|---|---|---|---|");
        foreach (var pitch in (decimal[])[5, 5.5m, 6, 6.5m, 7, 7.5m, 8])
        {
            var random = new Random(seed);
            var (alone, one, aloneOfThree, three) = (0, new int[5], 0, new int[5]);
            for (var i = 0; i < wrists; i++)
            {
                var target = Draw(random);
                var straps = (from longer in (int[])[-12, 0, 12] select Strap(pitch, longer)).ToList();
                var verdicts = straps.ConvertAll(s => WearerRule.VerdictOf(s, target));
                bool Misses(TwoPieceStrap strap) => Enumerable.Range(0, strap.Holes).All(h => (strap.LengthIn(h) - target.Length).Abs() > target.Window);
                one[(int)verdicts[1]]++;
                three[(int)verdicts.Min()]++;
                alone += Misses(straps[1]) ? 1 : 0;
                aloneOfThree += straps.TrueForAll(Misses) ? 1 : 0;
            }
            string Share(int of) => $"{100.0 * of / wrists:0.0} %";
            string Of(int[] verdicts) => $"{Share(verdicts[(int)Verdict.Fits])} | {Share(verdicts[(int)Verdict.Compromise])} | {Share(verdicts[(int)Verdict.No])}";
            Console.WriteLine($"| {pitch} mm | {Share(alone)} | {Of(one)} | {Share(aloneOfThree)} | {Of(three)} |");
        }
    }

    // Its middle hole is for a wrist of 170 on a usual head.
    private static TwoPieceStrap Strap(decimal pitch, int longer)
    {
        var middle = NeededLength.Of(Length.FromMillimetres(170), NeededLength.AssumedAspect, new Head(Length.FromMillimetres(44), Length.FromMillimetres(3)), Pivot)!.Value + 7.5 + longer;
        return new TwoPieceStrap(Length.FromMillimetres(75), Length.FromMillimetres(160), Length.Nearest(middle - 75) - 3 * Length.FromMillimetres(pitch), Length.FromMillimetres(pitch), 7);
    }

    private static FitTarget Draw(Random random)
    {
        while (true)
        {
            var wrist = Length.Nearest(Math.Round(170 + 12 * Customer.Normal(random), 1));
            var head = new Head(Length.FromMillimetres(random.Next(38, 50)), Length.FromMillimetres(random.Next(2, 5)));
            if (!FitRanges.Wrist.Holds(wrist) || NeededLength.WithUncertainty(wrist, NeededLength.AssumedAspect, head, Pivot, new Assumed(true, true, true)) is not { } need)
                continue;
            var wear = Wear.Of(WearPreference.Regular);
            return new FitTarget(Length.Nearest(need.Needed) + wear.Aim, wear.Window, PlanRequest.HouseTolerance) { Sigma = Length.Nearest(need.Sigma) };
        }
    }
}
