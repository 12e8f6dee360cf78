using System.Globalization;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Fitting;

/// <summary>What is drawn of a loop besides its geometry.</summary>
/// <param name="Head">The head.</param>
/// <param name="LugToLug">From lug tip to lug tip; null where it is not known, and the bars' distance and a little is drawn.</param>
/// <param name="Thickness">How thick the band is.</param>
public sealed record LoopLook(Head Head, Length? LugToLug, Length Thickness)
{
    /// <summary>Whether the head's figures are assumed.</summary>
    public bool HeadAssumed { get; init; }

    /// <summary>Whether a band is chosen; else its place alone is drawn.</summary>
    public bool BandChosen { get; init; }

    /// <summary>Whether the band is looked at before it is taken.</summary>
    public bool Tried { get; init; }

    /// <summary>How its links lie; null of a band without links.</summary>
    public Arrangement? Arrangement { get; init; }
}

/// <summary>The closed loop on the wrist as a picture, the wrist's centre at nought.</summary>
public static class LoopPicture
{
    // A head's height above its back is for the eye alone; it is not gauged.
    private const double HeadHeight = 10;

    // Links are drawn short of their pivots at both ends, so that neighbours are told apart.
    private const double Parted = 0.35;

    /// <summary>Paints a loop.</summary>
    /// <param name="loop">Its geometry.</param>
    /// <param name="look">What else is seen.</param>
    public static Picture Of(LoopDrawing loop, LoopLook look)
    {
        var half = Mm(look.Thickness) / 2;
        var points = loop.Pieces.SelectMany(p => p.Points).ToList();
        var right = points.Select(p => Math.Abs(p.X) + half).Append(loop.Wrist.HalfWidth).Append(Mm(look.Head.BarToBar) / 2 + 4).Max() + 9;
        var top = -loop.Wrist.HalfDepth - Math.Max(HeadHeight, Mm(look.Head.BarRise) + half) - 3;
        var bottom = points.Select(p => half - p.Y).Append(loop.Wrist.HalfDepth).Max() + 7;
        var leaving = look.Arrangement is { } lies ? loop.WhereLinksLeave(lies) : [];
        List<Shape> shapes = [new(PaintRole.Wrist, PathData.Ellipse(0, 0, loop.Wrist.HalfWidth, loop.Wrist.HalfDepth)) { Dashed = true }];
        List<Word> words =
        [
            new(PaintRole.Wrist, "wrist", 0, 1, 3.2m),
            new(PaintRole.Head, "12", PathData.Rounded(3 - right), 2, 4.4m) { Strong = true },
            new(PaintRole.Head, "6", PathData.Rounded(right - 3), 2, 4.4m) { Strong = true },
        ];
        foreach (var piece in loop.Pieces)
            shapes.AddRange(Piece(piece, look));
        shapes.AddRange(HeadOf(loop, look));
        foreach (var run in leaving)
            Leaving(run, half, shapes, words);
        if (look.BandChosen)
            Middle(loop, half, shapes, words);
        // The scale lies below whatever is said at the lower left.
        if (words.Exists(w => w.Role == PaintRole.Out && (double)w.Y > bottom - 9 && (double)w.X < 45 - right))
            bottom += 5;
        Scale(3 - right, bottom - 2.6, look, shapes, words);
        return new Picture(PathData.Rounded(-right), PathData.Rounded(top), PathData.Rounded(2 * right), PathData.Rounded(bottom - top), shapes, words);
    }

    private static IEnumerable<Shape> Piece(DrawnPiece drawn, LoopLook look)
    {
        var (piece, thick) = (drawn.Piece, Mm(look.Thickness));
        var path = PathData.Line([.. Shortened(drawn.Points).Select(p => (p.X, -p.Y))]);
        var of = new ShapeOf(piece.Kind, piece.Side, piece.Ordinal);
        if (!look.BandChosen)
        {
            yield return new Shape(PaintRole.Edge, path) { Thick = 0.4m, Dashed = true, Of = of };
            yield break;
        }
        yield return new Shape(PaintRole.Edge, path) { Thick = PathData.Rounded(thick), Dashed = look.Tried, Of = of };
        yield return new Shape(RoleOf(piece, look), path) { Thick = PathData.Rounded(Math.Max(0.4, thick - 0.9)), Of = of };
    }

    private static PaintRole RoleOf(LoopPiece piece, LoopLook look) => piece.Kind switch
    {
        PieceKind.Clasp => PaintRole.Clasp,
        PieceKind.Link when look.Arrangement is { } lies => LayOutPicture.RoleOf(lies.On(piece.Side)[piece.Ordinal].Fate),
        PieceKind.Link => PaintRole.Stays,
        _ => PaintRole.Strap,
    };

    private static List<DrawnPoint> Shortened(IReadOnlyList<DrawnPoint> points)
    {
        var cut = points.ToList();
        (cut[0], cut[^1]) = (Pulled(cut[0], cut[1]), Pulled(cut[^1], cut[^2]));
        return cut;

        static DrawnPoint Pulled(DrawnPoint end, DrawnPoint toward)
        {
            var far = end.To(toward);
            return far <= Parted ? end : new DrawnPoint(end.X + (toward.X - end.X) / far * Parted, end.Y + (toward.Y - end.Y) / far * Parted);
        }
    }

    /// <summary>Lugs, case and bars.</summary>
    private static IEnumerable<Shape> HeadOf(LoopDrawing loop, LoopLook look)
    {
        var back = -loop.Wrist.HalfDepth;
        var pivot = back - Mm(look.Head.BarRise);
        var bars = Mm(look.Head.BarToBar);
        var half = bars / 2 - 2;
        var tip = Mm(look.LugToLug ?? look.Head.BarToBar + Length.FromMillimetres(4)) / 2;
        foreach (var sign in (double[])[-1, 1])
        {
            // From the case's shoulder out to the lug's tip and back in under it.
            yield return new Shape(PaintRole.Head, PathData.Line(
                (half * sign, pivot - 3.4), ((tip - 1.2) * sign, pivot - 1.2), (tip * sign, pivot + 1.6), ((tip - 1.6) * sign, pivot + 1.8), (half * sign, pivot + 1.4)))
            { Dashed = look.HeadAssumed };
        }
        yield return new Shape(PaintRole.Head, PathData.Area(
            (-half, back), (-half - 1, pivot - 3.4), (-half + 2.5, back - HeadHeight), (half - 2.5, back - HeadHeight), (half + 1, pivot - 3.4), (half, back)))
        { Dashed = look.HeadAssumed };
        foreach (var sign in (double[])[-1, 1])
            yield return new Shape(PaintRole.Bar, PathData.Circle(sign * bars / 2, pivot, 0.8));
    }

    /// <summary>Outside the band where links leave: a wedge that points at the joint, and how many.</summary>
    private static void Leaving(LeavingRun run, double half, List<Shape> shapes, List<Word> words)
    {
        var (x, y) = (run.At.X, -run.At.Y);
        var far = Math.Max(1, Math.Sqrt(x * x + y * y));
        var (ux, uy) = (x / far, y / far);
        var (tx, ty) = (x + ux * (half + 0.6), y + uy * (half + 0.6));
        var (bx, by) = (tx + ux * 2.6, ty + uy * 2.6);
        var of = new ShapeOf(PieceKind.Link, run.Side, run.First, run.Count);
        shapes.Add(new Shape(PaintRole.Out, PathData.Area((tx, ty), (bx - uy * 1.4, by + ux * 1.4), (bx + uy * 1.4, by - ux * 1.4))) { Of = of });
        words.Add(new Word(PaintRole.Out, string.Create(CultureInfo.InvariantCulture, $"{run.Count} out"), PathData.Rounded(bx + ux * 2), PathData.Rounded(by + uy * 2 + 1.1), 3.2m)
        {
            Anchor = ux > 0.2 ? Anchor.Start : ux < -0.2 ? Anchor.End : Anchor.Middle,
            Of = of,
        });
    }

    /// <summary>Where the clasp's middle should sit, and where it does.</summary>
    private static void Middle(LoopDrawing loop, double half, List<Shape> shapes, List<Word> words)
    {
        var (low, centre) = (loop.Lowest, loop.ClaspCentre);
        var under = half - low.Y + 0.8;
        shapes.Add(new Shape(PaintRole.Lowest, PathData.Area((low.X, under), (low.X - 1.7, under + 3), (low.X + 1.7, under + 3))));
        shapes.Add(new Shape(PaintRole.Centre, PathData.Line((centre.X, -centre.Y - half - 1.2), (centre.X, -centre.Y + half + 1.2))));
        if (Math.Abs(centre.X - low.X) <= 0.5)
            return;
        var toSix = centre.X > low.X;
        words.Add(new Word(PaintRole.Clasp, "clasp", PathData.Rounded(centre.X + (toSix ? 2.4 : -2.4)), PathData.Rounded(half - centre.Y + 4.2), 3.2m)
        {
            Anchor = toSix ? Anchor.Start : Anchor.End,
        });
    }

    private static void Scale(double x, double y, LoopLook look, List<Shape> shapes, List<Word> words)
    {
        shapes.Add(new Shape(PaintRole.Scale, PathData.Line((x, y - 1.2), (x, y), (x + 10, y), (x + 10, y - 1.2))));
        words.Add(new Word(PaintRole.Scale, look.HeadAssumed || !look.BandChosen ? "10 mm, dashed: assumed" : "10 mm", PathData.Rounded(x + 11.5), PathData.Rounded(y + 0.5), 3.2m)
        {
            Anchor = Anchor.Start,
        });
    }

    private static double Mm(Length length) => length.ApproximateMillimetres;
}
