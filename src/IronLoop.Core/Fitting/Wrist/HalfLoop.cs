namespace IronLoop.Core.Fitting;

/// <summary>
/// Half of the way round under the wrist: from a head pivot straight down to where its lower tangent touches the
/// offset ellipse, then along the offset ellipse to its lowest point (fit model, section 1). Everything that is
/// needed length, ease or drawing rests on this one path. Millimetres and radians.
/// </summary>
public sealed class HalfLoop
{
    private const int ArcSteps = 512;

    private double[]? _arcs;

    private HalfLoop(WristSection wrist, DrawnPoint pivot, double offset, double touch)
    {
        Wrist = wrist;
        Pivot = pivot;
        Offset = offset;
        Touch = touch;
        Straight = pivot.To(wrist.OffsetPoint(touch, offset));
        Arc = wrist.OffsetArc(-Math.PI / 2, touch, offset);
    }

    /// <summary>The wrist it runs under.</summary>
    public WristSection Wrist { get; }

    /// <summary>Where it begins: the head pivot on the 6 side; the 12 side is its mirror image.</summary>
    public DrawnPoint Pivot { get; }

    /// <summary>How far outside the skin the path runs.</summary>
    public double Offset { get; }

    /// <summary>Normal direction of the point where the straight part touches the offset ellipse.</summary>
    public double Touch { get; }

    /// <summary>Length of the straight part.</summary>
    public double Straight { get; }

    /// <summary>Length of the part that follows the offset ellipse.</summary>
    public double Arc { get; }

    /// <summary>Whole length from the pivot to the lowest point.</summary>
    public double Length => Straight + Arc;

    /// <summary>Finds the path.</summary>
    /// <param name="wrist">The wrist.</param>
    /// <param name="pivot">The head pivot; its X is 0 or above.</param>
    /// <param name="offset">How far outside the skin the path runs.</param>
    /// <returns>The path, or null when the pivot lies inside the offset ellipse and the model does not hold.</returns>
    public static HalfLoop? Find(WristSection wrist, DrawnPoint pivot, double offset)
    {
        // How far the pivot stands outside the tangent with this normal: positive exactly between the two normals
        // of the tangents through the pivot, so the lower tangent is the lower end of one interval.
        double Outside(double sin, double cos) => pivot.X * cos + pivot.Y * sin - wrist.Support(sin, cos) - offset;

        var (best, most) = (0, Outside(Looks[0].Sin, Looks[0].Cos));
        for (var i = 1; i < Looks.Length && most < 0; i++)
            if (Outside(Looks[i].Sin, Looks[i].Cos) is var outside && outside > most)
                (best, most) = (i, outside);
        if (most >= 0)
            return new HalfLoop(wrist, pivot, offset, Tangent(wrist, pivot, offset, Looks[Math.Max(0, best - 1)].Angle, Looks[best].Angle));
        // Hardly outside, if at all: the interval may lie between two looks.
        var highest = Highest(
            angle =>
            {
                var (sin, cos) = Math.SinCos(angle);
                return Outside(sin, cos);
            },
            Looks[Math.Max(0, best - 1)].Angle, Looks[Math.Min(Looks.Length - 1, best + 1)].Angle);
        var (sine, cosine) = Math.SinCos(highest);
        return Outside(sine, cosine) < -1e-9 ? null : new HalfLoop(wrist, pivot, offset, Tangent(wrist, pivot, offset, Looks[0].Angle, highest));
    }

    // From straight down to straight up.
    private static readonly (double Angle, double Sin, double Cos)[] Looks = [.. Enumerable.Range(0, 61).Select(i =>
    {
        var angle = -Math.PI / 2 + Math.PI * i / 60;
        return (angle, Math.Sin(angle), Math.Cos(angle));
    })];

    /// <summary>The normal of the tangent through the pivot, by Newton's rule; halving where that leads out of what is known to hold it.</summary>
    /// <param name="wrist">The wrist.</param>
    /// <param name="pivot">The head pivot.</param>
    /// <param name="offset">How far outside the skin the path runs.</param>
    /// <param name="below">A normal whose tangent has the pivot inside.</param>
    /// <param name="above">One, a little further up, whose tangent has it outside.</param>
    private static double Tangent(WristSection wrist, DrawnPoint pivot, double offset, double below, double above)
    {
        var at = (below + above) / 2;
        for (var i = 0; i < 60; i++)
        {
            var (sin, cos) = Math.SinCos(at);
            var support = wrist.Support(sin, cos);
            var outside = pivot.X * cos + pivot.Y * sin - support - offset;
            if (outside < 0)
                below = at;
            else
                above = at;
            var slope = pivot.Y * cos - pivot.X * sin - (wrist.HalfDepth * wrist.HalfDepth - wrist.HalfWidth * wrist.HalfWidth) * sin * cos / support;
            var next = at - outside / slope;
            if (!(next > below && next < above))
                next = (below + above) / 2;
            if (Math.Abs(next - at) < 1e-15)
                return next;
            at = next;
        }
        return above;
    }

    /// <summary>The point at a distance along the path, from the pivot at 0 to the lowest point at <see cref="Length"/>.</summary>
    public DrawnPoint At(double distance)
    {
        var touch = Wrist.OffsetPoint(Touch, Offset);
        if (distance <= Straight)
        {
            var share = Straight == 0 ? 0 : distance / Straight;
            return new DrawnPoint(Pivot.X + (touch.X - Pivot.X) * share, Pivot.Y + (touch.Y - Pivot.Y) * share);
        }
        // The arc's length grows steadily with the angle: find the step it lies in, then go the right share of it.
        var lengths = _arcs ??= ArcsFromLowest();
        var fromLowest = Math.Clamp(Length - distance, 0, Arc);
        var step = Array.BinarySearch(lengths, fromLowest);
        step = Math.Clamp(step >= 0 ? step : ~step - 1, 0, ArcSteps - 1);
        var within = lengths[step + 1] > lengths[step] ? (fromLowest - lengths[step]) / (lengths[step + 1] - lengths[step]) : 0;
        return Wrist.OffsetPoint(-Math.PI / 2 + (Touch + Math.PI / 2) * (step + within) / ArcSteps, Offset);
    }

    private double[] ArcsFromLowest()
    {
        var lengths = new double[ArcSteps + 1];
        var turn = (Touch + Math.PI / 2) / ArcSteps;
        for (var i = 0; i < ArcSteps; i++)
        {
            var from = -Math.PI / 2 + i * turn;
            lengths[i + 1] = lengths[i] + Wrist.OffsetPoint(from, Offset).To(Wrist.OffsetPoint(from + turn, Offset));
        }
        // Chords are a little short of the arc; spread what is missing so that the ends meet exactly.
        var missing = lengths[ArcSteps] > 0 ? Arc / lengths[ArcSteps] : 0;
        for (var i = 0; i <= ArcSteps; i++)
            lengths[i] *= missing;
        return lengths;
    }

    /// <summary>Golden-section search for the highest point of a function with one hump.</summary>
    private static double Highest(Func<double, double> f, double low, double high)
    {
        const double ratio = 0.6180339887498949;
        for (var i = 0; i < 40; i++)
        {
            var left = high - ratio * (high - low);
            var right = low + ratio * (high - low);
            if (f(left) < f(right))
                low = left;
            else
                high = right;
        }
        return (low + high) / 2;
    }
}
