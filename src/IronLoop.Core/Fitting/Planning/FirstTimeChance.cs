using IronLoop.Core.Measuring;

namespace IronLoop.Core.Fitting;

/// <summary>
/// The chance that links need to be touched only once: that some micro position puts the ease inside the wear window,
/// with the needed length taken as normally distributed (fit model, section 4).
/// </summary>
public static class FirstTimeChance
{
    /// <summary>The probability, 0 to 1.</summary>
    /// <param name="need">Needed length and its uncertainty.</param>
    /// <param name="lengths">Length of the loop at each position, in any order.</param>
    /// <param name="wear">The wear window.</param>
    public static double Of(Need need, IEnumerable<Length> lengths, Wear wear)
    {
        // A length L is right when N lies in [L − most, L − least]; such stretches may overlap.
        var chance = 0.0;
        var covered = double.NegativeInfinity;
        foreach (var length in lengths.Order())
        {
            var from = Math.Max(covered, (length - wear.Most).ApproximateMillimetres);
            var to = (length - wear.Least).ApproximateMillimetres;
            if (to <= from)
                continue;
            chance += Between((from - need.Needed) / need.Sigma, (to - need.Needed) / need.Sigma);
            covered = to;
        }
        return Math.Clamp(chance, 0, 1);
    }

    /// <summary>The probability that some place of a band that closes in places is right, 0 to 1.</summary>
    /// <param name="holed">The band.</param>
    /// <param name="wanted">The length wanted, and how well it is known.</param>
    /// <returns>Null while that is not known.</returns>
    public static double? Of(HoledBand holed, FitTarget wanted)
    {
        if (wanted.Sigma <= Length.Zero)
            return null;
        var (target, sigma, window) = (wanted.Length.Micrometres, (double)wanted.Sigma.Micrometres, wanted.Window.Micrometres);
        double Between(long from, long to) => FirstTimeChance.Between((from - window - target) / sigma, (to + window - target) / sigma);
        // Places that are near one another leave no wrist between them.
        if (holed.Step.Micrometres <= 2 * window)
            return Between(holed.LengthIn(0).Micrometres, holed.LengthIn(holed.Holes - 1).Micrometres);
        var chance = 0.0;
        var covered = long.MinValue;
        foreach (var length in Enumerable.Range(0, holed.Holes).Select(h => holed.LengthIn(h).Micrometres).Order())
        {
            var from = Math.Max(covered, length - window);
            chance += FirstTimeChance.Between((from - target) / sigma, (length + window - target) / sigma);
            covered = length + window;
        }
        return Math.Clamp(chance, 0, 1);
    }

    /// <summary>The probability that some micro position of links as they lie is right and has its centre within the tolerance, 0 to 1.</summary>
    /// <param name="request">What is wanted; how well the length is known is told with it.</param>
    /// <param name="half12">The 12 side's half loop at the tightest position, its part of the clasp with it, in micrometres.</param>
    /// <param name="half6">The 6 side's.</param>
    internal static double Of(PlanRequest request, long half12, long half6)
    {
        var (wanted, sigma) = (request.Target.Length.Micrometres, (double)request.Target.Sigma.Micrometres);
        var chance = 0.0;
        foreach (var (from, to) in Served(request, half12, half6))
            chance += Between((from - wanted) / sigma, (to - wanted) / sigma);
        return Math.Clamp(chance, 0, 1);
    }

    /// <summary>The wanted lengths that links as they lie serve in some position whose centre is within the tolerance: stretches in micrometres that do not overlap.</summary>
    internal static List<(long From, long To)> Served(PlanRequest request, long half12, long half6)
    {
        var (clasp, window) = (request.Clasp, request.Target.Window.Micrometres);
        var served = new List<(long From, long To)>();
        for (var position = 0; position < clasp.Positions; position++)
        {
            var micro = clasp.Tighter(position).Micrometres;
            var off = half12 - half6 + (clasp.MicroSide == Side.Twelve ? micro : -micro);
            if (Math.Abs(off - 2 * request.Centring.Desired.Micrometres) > 2 * request.Centring.Tolerance.Micrometres)
                continue;
            // Positions come tightest first, so what they serve overlaps only with the one before.
            var length = half12 + half6 + micro;
            if (served.Count > 0 && length - window <= served[^1].To)
                served[^1] = (served[^1].From, length + window);
            else if (window > 0)
                served.Add((length - window, length + window));
        }
        return served;
    }

    /// <summary>The chance of a standard normal number to lie between two.</summary>
    internal static double Between(double from, double to) => Normal(to) - Normal(from);

    /// <summary>The whole steps of five points in a chance: what plans are ordered by.</summary>
    /// <param name="chance">The chance, 0 to 1.</param>
    internal static int StepOf(double chance) => (int)Math.Floor(chance * 20 + 1e-6);

    /// <summary>A chance as it is told: whole percents, and no nought and no certainty.</summary>
    /// <param name="chance">The chance, 0 to 1.</param>
    public static string Says(double chance) => chance < 0.01 ? "under 1 %" : chance > 0.99 ? "over 99 %" : $"{100 * chance:0} %";

    /// <summary>
    /// Standard normal distribution function. The error function follows the rational form 7.1.26 of a standard
    /// handbook of mathematical functions; its error is below 2·10⁻⁷, while the chance is shown in whole percents.
    /// </summary>
    private static double Normal(double x)
    {
        var z = Math.Abs(x) / Math.Sqrt(2);
        var t = 1 / (1 + 0.3275911 * z);
        var tail = t * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429)))) * Math.Exp(-z * z);
        return x >= 0 ? 1 - tail / 2 : tail / 2;
    }
}
