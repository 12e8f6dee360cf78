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
}
