using System.Globalization;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Fitting;

/// <summary>
/// What an off-centre clasp does: it hangs to the lowest point, and turns the head by as much of the loop.
/// </summary>
/// <param name="Degrees">By how much, of a whole turn's 360.</param>
/// <param name="Toward">The side the head leans toward; null when it stands upright.</param>
public readonly record struct Lean(double Degrees, Side? Toward)
{
    /// <summary>Less than this nobody sees.</summary>
    private const double Seen = 1;

    /// <summary>The lean of a loop.</summary>
    /// <param name="twiceOffCentre">Twice the off-centre, positive toward the 6 side.</param>
    /// <param name="loop">Length of the loop; more than nought.</param>
    public static Lean Of(Length twiceOffCentre, Length loop)
    {
        // The head closes the ring: a turn is the loop and the head's own stretch, which the loop's share of it stands for.
        var degrees = 360 * Math.Abs(twiceOffCentre.ApproximateMillimetres) / 2 / loop.ApproximateMillimetres;
        return new Lean(degrees, degrees < Seen ? null : twiceOffCentre > Length.Zero ? Side.Six : Side.Twelve);
    }

    /// <summary>The sentence for the fitter.</summary>
    public string Says => Toward is { } side
        ? string.Create(CultureInfo.InvariantCulture, $"The clasp hangs to the lowest point, so the head will lean toward the {PlanWords.Name(side)} side by about {Degrees:0}°.")
        : "The head stands upright.";
}
