using IronLoop.Core.Measuring;

namespace IronLoop.Core.Fitting;

/// <summary>
/// Ease felt with a wedge or a finger slid under the clasp: the loop is then the hull of the wrist and a flat of the
/// wedge's width that lies one gap below the wrist's lowest point (fit model, section 1).
/// </summary>
public static class EaseFromGap
{
    /// <summary>The ease in millimetres. No gap and no width give none.</summary>
    /// <param name="circumference">Tape reading, 120 to 240 mm.</param>
    /// <param name="aspect">Width over depth, 1.00 to 1.80.</param>
    /// <param name="gap">Clear room under the clasp, 0 to 40 mm.</param>
    /// <param name="wedgeWidth">Width of what was slid in, 0 for a narrow wedge, about 14 mm for a finger.</param>
    /// <remarks>It is the needed-length path turned upside down: bars a wedge apart, one gap high, with a band of no thickness.</remarks>
    public static double Of(Length circumference, decimal aspect, Length gap, Length wedgeWidth)
    {
        var w = circumference.ApproximateMillimetres;
        var wedge = wedgeWidth.ApproximateMillimetres;
        var path = NeededLength.Path(WristSection.FromTape(w, (double)aspect), wedge, gap.ApproximateMillimetres, 0);
        // On or below the flat the wedge is always outside the wrist, so there always is a path.
        return 2 * path!.Length + wedge - w;
    }

    // Beyond it nobody slides a finger.
    private static readonly Length Most = Length.FromMillimetres(40);

    /// <summary>The gap under the clasp that an ease leaves for what is slid in: the same turned round.</summary>
    /// <param name="circumference">Tape reading, 120 to 240 mm.</param>
    /// <param name="aspect">Width over depth, 1.00 to 1.80.</param>
    /// <param name="ease">The ease, above nought.</param>
    /// <param name="wedgeWidth">Width of what is slid in, about 14 mm for a finger.</param>
    /// <returns>The gap to a hundredth of a millimetre; no more than 40 mm.</returns>
    public static Length GapFor(Length circumference, decimal aspect, Length ease, Length wedgeWidth)
    {
        // The ease grows with the gap, so halving finds it.
        var (low, high) = (Length.Zero, Most);
        while (high - low > new Length(10))
        {
            var middle = (low + high).Half();
            if (Of(circumference, aspect, middle, wedgeWidth) < ease.ApproximateMillimetres)
                low = middle;
            else
                high = middle;
        }
        return high;
    }
}
