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
            chance += Normal((to - need.Needed) / need.Sigma) - Normal((from - need.Needed) / need.Sigma);
            covered = to;
        }
        return Math.Clamp(chance, 0, 1);
    }

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
