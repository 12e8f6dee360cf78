using IronLoop.Core.Measuring;

namespace IronLoop.Core.Fitting;

/// <summary>
/// The wrist where the watch is worn, as an ellipse lying on its wide side (fit model, section 1).
/// All figures in millimetres; angles in radians, measured as the direction of the outward normal.
/// </summary>
/// <param name="HalfWidth">Half axis across the wrist, a.</param>
/// <param name="HalfDepth">Half axis through the wrist, b.</param>
public readonly record struct WristSection(double HalfWidth, double HalfDepth)
{
    /// <summary>The wrist of a tape reading: half axes with a = k·b and a perimeter of exactly the reading.</summary>
    /// <param name="circumference">Tape reading in millimetres, snug; above 0.</param>
    /// <param name="aspect">Width over depth, k; at least a little above 0.</param>
    public static WristSection FromTape(double circumference, double aspect)
    {
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(circumference);
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(aspect);
        var halfDepth = circumference / Perimeter(aspect, 1.0);
        return new WristSection(aspect * halfDepth, halfDepth);
    }

    /// <summary>
    /// Perimeter of an ellipse by the arithmetic-geometric mean, which converges quadratically: six rounds
    /// reach the last bit. Formulas that merely approximate are not precise enough for flat wrists.
    /// </summary>
    public static double Perimeter(double halfWidth, double halfDepth)
    {
        var (x, y) = (halfWidth, halfDepth);
        var sum = (halfWidth * halfWidth + halfDepth * halfDepth) / 2;
        for (var weight = 0.25; Math.Abs(x - y) > 1e-15 * x && weight < 1e3; weight *= 2)
        {
            sum -= weight * (x - y) * (x - y);
            (x, y) = ((x + y) / 2, Math.Sqrt(x * y));
        }
        return 2 * Math.PI * sum / ((x + y) / 2);
    }

    /// <summary>Distance from the centre to the tangent whose outward normal points along the angle.</summary>
    public double Support(double angle)
    {
        var (sin, cos) = Math.SinCos(angle);
        return Support(sin, cos);
    }

    internal double Support(double sin, double cos) =>
        Math.Sqrt(HalfWidth * HalfWidth * cos * cos + HalfDepth * HalfDepth * sin * sin);

    /// <summary>The point, offset outward, where the outward normal points along the angle.</summary>
    public DrawnPoint OffsetPoint(double angle, double offset)
    {
        var (sin, cos) = Math.SinCos(angle);
        var support = Support(sin, cos);
        return new DrawnPoint(
            HalfWidth * HalfWidth * cos / support + offset * cos,
            HalfDepth * HalfDepth * sin / support + offset * sin);
    }

    /// <summary>
    /// Length of the offset ellipse between two normal directions: the ellipse's own arc plus offset × turn.
    /// The radius of curvature at a normal direction is a²b²/support³, integrated by Gauss's rule with 20 points for each
    /// quarter turn at most, whose error on this smooth curve is far below a nanometre.
    /// </summary>
    public double OffsetArc(double from, double to, double offset)
    {
        var square = HalfWidth * HalfWidth * HalfDepth * HalfDepth;
        var pieces = Math.Max(1, (int)Math.Ceiling((to - from) / (Math.PI / 2)));
        var half = (to - from) / pieces / 2;
        var sum = 0.0;
        for (var piece = 0; piece < pieces; piece++)
        {
            var middle = from + (2 * piece + 1) * half;
            foreach (var (at, weight) in GaussPoints)
            {
                var (below, above) = (Support(middle - half * at), Support(middle + half * at));
                sum += weight * (square / (below * below * below) + square / (above * above * above));
            }
        }
        return sum * half + offset * (to - from);
    }

    // Zeroes of the Legendre polynomial of degree 20 above nought, and their weights: found by Newton's rule from where they nearly lie.
    private static readonly (double At, double Weight)[] GaussPoints = [.. Enumerable.Range(1, 10).Select(i =>
    {
        const int degree = 20;
        var x = Math.Cos(Math.PI * (i - 0.25) / (degree + 0.5));
        var slope = 0.0;
        for (var round = 0; round < 8; round++)
        {
            var (before, value) = (1.0, x);
            for (var n = 2; n <= degree; n++)
                (before, value) = (value, ((2 * n - 1) * x * value - (n - 1) * before) / n);
            slope = degree * (x * value - before) / (x * x - 1);
            x -= value / slope;
        }
        return (x, 2 / ((1 - x * x) * slope * slope));
    })];
}

/// <summary>A point of the drawing in millimetres: x to the 6 side, y upward, the wrist's centre at nought.</summary>
/// <param name="X">Across the wrist, positive toward the 6 side.</param>
/// <param name="Y">Upward, toward the head.</param>
public readonly record struct DrawnPoint(double X, double Y)
{
    /// <summary>Straight distance to another point.</summary>
    public double To(DrawnPoint other) => Math.Sqrt((X - other.X) * (X - other.X) + (Y - other.Y) * (Y - other.Y));
}
