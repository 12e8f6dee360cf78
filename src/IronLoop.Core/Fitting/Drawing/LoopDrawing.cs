using IronLoop.Core.Measuring;

namespace IronLoop.Core.Fitting;

/// <summary>What a piece of the loop is.</summary>
public enum PieceKind
{
    /// <summary>A link.</summary>
    Link,

    /// <summary>The closed clasp or buckle.</summary>
    Clasp,

    /// <summary>A piece of a strap.</summary>
    Strap,
}

/// <summary>A piece of the band, in the order of the closed loop from the 12-side bar to the 6-side bar.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="Side">Its side; of a clasp, the side that carries the micro-adjust.</param>
/// <param name="Ordinal">Its place in its side's row, counted from the case, 0 first.</param>
/// <param name="Length">How much of the loop it makes.</param>
public readonly record struct LoopPiece(PieceKind Kind, Side Side, int Ordinal, Length Length);

/// <summary>A piece of the band as it lies round the wrist.</summary>
/// <param name="Piece">The piece.</param>
/// <param name="Points">Its pivot line, in millimetres.</param>
public sealed record DrawnPiece(LoopPiece Piece, IReadOnlyList<DrawnPoint> Points);

/// <summary>Neighbouring links that leave, and the pivot where the loop closes without them.</summary>
/// <param name="Side">Their side.</param>
/// <param name="First">The one nearest the case, by its place counted from there, 0 first.</param>
/// <param name="Count">How many.</param>
/// <param name="At">Where the loop closes over them.</param>
public sealed record LeavingRun(Side Side, int First, int Count, DrawnPoint At);

/// <summary>
/// The closed loop on the wrist, to scale. The head rests on top; the band hangs under the wrist, so that what is too
/// long is seen as room below, and what is too short cuts into the wrist.
/// </summary>
/// <param name="Wrist">The wrist section.</param>
/// <param name="Pieces">The band.</param>
/// <param name="Lowest">Lowest point of the hanging loop, where the clasp's centre should sit.</param>
/// <param name="ClaspCentre">Where the clasp's centre does sit.</param>
/// <param name="Hang">How far the loop hangs below where it would just touch; negative when it is too short to close.</param>
public sealed record LoopDrawing(
    WristSection Wrist,
    IReadOnlyList<DrawnPiece> Pieces,
    DrawnPoint Lowest,
    DrawnPoint ClaspCentre,
    double Hang)
{
    /// <summary>Draws a loop.</summary>
    /// <param name="wrist">The wrist section.</param>
    /// <param name="head">The head.</param>
    /// <param name="pivotHeight">Height of the pivots above the skin.</param>
    /// <param name="pieces">The band from the 12-side bar to the 6-side bar.</param>
    /// <param name="beforeCentre">Length of the 12 side's half loop: all before the clasp's centre.</param>
    /// <returns>The drawing, or null when the model does not hold for this head and wrist.</returns>
    public static LoopDrawing? Of(WristSection wrist, Head head, Length pivotHeight, IReadOnlyList<LoopPiece> pieces, Length beforeCentre)
    {
        var barToBar = head.BarToBar.ApproximateMillimetres;
        var barRise = head.BarRise.ApproximateMillimetres;
        var offset = pivotHeight.ApproximateMillimetres;
        var total = pieces.Sum(p => p.Length.ApproximateMillimetres);
        HalfLoop? At(double hang) => NeededLength.Path(wrist, barToBar, barRise + hang, offset);

        // A longer loop hangs lower: the same path as with bars that much higher. It grows steadily with the hang.
        if (At(0) is not { } path)
            return null;
        var (low, high) = (-(barRise + wrist.HalfDepth), 200.0);
        for (var i = 0; i < 40; i++)
        {
            var middle = (low + high) / 2;
            if (At(middle) is not { } tried || 2 * tried.Length < total)
                low = middle;
            else
                high = middle;
        }
        var hang = high;
        path = At(hang) ?? path;

        // The path is the 6 side; going down it from the bar, the 12 side is its mirror image, everything lower by the hang.
        var half = path.Length;
        DrawnPoint On(double distance)
        {
            var point = distance <= half ? path.At(distance) : path.At(2 * half - distance);
            return new DrawnPoint(distance <= half ? -point.X : point.X, point.Y - hang);
        }

        // Where the loop is too short even for the deepest cut, the pieces are drawn along what there is.
        var scale = total > 0 ? 2 * half / total : 1;
        var drawn = new List<DrawnPiece>(pieces.Count);
        var start = 0.0;
        foreach (var piece in pieces)
        {
            var end = start + piece.Length.ApproximateMillimetres * scale;
            var steps = Math.Max(2, (int)Math.Ceiling((end - start) / 3));
            var points = new DrawnPoint[steps + 1];
            for (var i = 0; i <= steps; i++)
                points[i] = On(start + (end - start) * i / steps);
            drawn.Add(new DrawnPiece(piece, points));
            start = end;
        }
        return new LoopDrawing(wrist, drawn, On(half), On(beforeCentre.ApproximateMillimetres * scale), hang);
    }

    /// <summary>Where links leave the loop: a closed loop no longer holds them, so only their place can be shown.</summary>
    public IReadOnlyList<LeavingRun> WhereLinksLeave(Arrangement arrangement)
    {
        var runs = new List<LeavingRun>();
        foreach (var side in new[] { Side.Twelve, Side.Six })
        {
            var row = arrangement.On(side);
            // The loop is told from the 12-side bar round to the 6-side bar, so a 6-side piece ends toward the case.
            DrawnPoint TowardClasp(DrawnPiece piece) => side == Side.Twelve ? piece.Points[^1] : piece.Points[0];
            var at = side == Side.Twelve ? Pieces[0].Points[0] : Pieces[^1].Points[^1];
            for (var i = 0; i < row.Count; i++)
            {
                var fate = row[i].Fate;
                if (fate != LinkFate.Leaves)
                    at = TowardClasp(Pieces.First(p => p.Piece.Kind == PieceKind.Link && p.Piece.Side == side && p.Piece.Ordinal == i));
                else if (i > 0 && row[i - 1].Fate == LinkFate.Leaves)
                    runs[^1] = runs[^1] with { Count = runs[^1].Count + 1 };
                else
                    runs.Add(new LeavingRun(side, i, 1, at));
            }
        }
        return runs;
    }
}
