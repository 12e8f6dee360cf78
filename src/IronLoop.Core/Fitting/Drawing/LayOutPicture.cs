using IronLoop.Core.Measuring;

namespace IronLoop.Core.Fitting;

/// <summary>The band opened flat as a picture: which links leave, which go in, which joints are opened. The band's upper edge is at nought.</summary>
public static class LayOutPicture
{
    /// <summary>How wide the band is drawn, in millimetres.</summary>
    public const double BandHigh = 15;

    private const double Middle = BandHigh / 2;

    // Room above for a word or a pointer, below for a joint's.
    private const double Above = 7;
    private const double Below = 8;
    private const double Beside = 2;

    // More positions than that run together.
    private const int MostPositionsDrawn = 16;

    /// <summary>How a link's fate is painted.</summary>
    public static PaintRole RoleOf(LinkFate fate) => fate switch
    {
        LinkFate.Fixed => PaintRole.Fixed,
        LinkFate.Stays => PaintRole.Stays,
        LinkFate.Leaves => PaintRole.Leaves,
        LinkFate.Joins => PaintRole.Joins,
        _ => throw new ArgumentOutOfRangeException(nameof(fate), fate, "What happens to a link is one of four."),
    };

    /// <summary>Paints a lay-out, its left end at nought.</summary>
    public static Picture Of(LayOut layOut)
    {
        List<Shape> shapes = [];
        List<Word> words = [];
        var (left, bars) = (Mm(layOut.LeftOfHead), Mm(layOut.BarToBar));
        var wide = left + bars + Mm(layOut.RightOfHead);
        if (layOut.Clasp is { } clasp)
            Clasp(clasp, wide, shapes);
        if (layOut.Strap is { } strap)
            Strap(strap, left, left + bars, shapes);
        Head(left, bars, shapes, words);
        foreach (var side in (Side[])[Side.Twelve, Side.Six])
        {
            var along = layOut.JointsAlong(side).Select(Mm).ToList();
            for (var i = 0; i < layOut.On(side).Count; i++)
                Link(layOut, side, i, Math.Min(along[i], along[i + 1]), shapes, words);
            foreach (var joint in side == Side.Twelve ? layOut.TwelveJoints : layOut.SixJoints)
                shapes.Add(new Shape(PaintRole.Joint, PathData.Area((along[joint], BandHigh + 1.2), (along[joint] - 1.9, BandHigh + 4.8), (along[joint] + 1.9, BandHigh + 4.8))));
        }
        return new Picture(
            PathData.Rounded(-Beside), PathData.Rounded(-Above), PathData.Rounded(wide + 2 * Beside), PathData.Rounded(Above + BandHigh + Below), shapes, words);
    }

    private static void Clasp(LaidClasp clasp, double wide, List<Shape> shapes)
    {
        var (twelve, six) = (Mm(clasp.On(Side.Twelve)), Mm(clasp.On(Side.Six)));
        shapes.Add(new Shape(PaintRole.Clasp, PathData.Box(0, 1, twelve, BandHigh - 2, 1.5)));
        shapes.Add(new Shape(PaintRole.Clasp, PathData.Box(wide - six, 1, six, BandHigh - 2, 1.5)));
        if (clasp.Positions is < 2 or > MostPositionsDrawn)
            return;
        // The tightest lies deepest in the cover.
        var on12 = clasp.MicroSide == Side.Twelve;
        var apart = Math.Min(3.4, ((on12 ? twelve : six) - 5) / (clasp.Positions - 1));
        var row = apart * (clasp.Positions - 1);
        for (var i = 0; i < clasp.Positions; i++)
        {
            var x = on12 ? twelve - 2.5 - row + i * apart : wide - six + 2.5 + row - i * apart;
            shapes.Add(new Shape(i == clasp.Position ? PaintRole.HoleNow : PaintRole.Hole, PathData.Circle(x, Middle, Math.Max(0.1, Math.Min(1.1, apart / 2.4)))));
        }
    }

    private static void Strap(LaidStrap strap, double headFrom, double headTo, List<Shape> shapes)
    {
        shapes.Add(new Shape(PaintRole.Strap, PathData.Box(headFrom - Mm(strap.BucklePiece), 1, Mm(strap.BucklePiece), BandHigh - 2, 1)));
        shapes.Add(new Shape(PaintRole.Strap, PathData.Box(headTo, 1, Mm(strap.Tail), BandHigh - 2, 4)));
        for (var i = 0; i < strap.Holes.Count; i++)
            shapes.Add(new Shape(i == strap.Hole ? PaintRole.HoleNow : PaintRole.Hole, PathData.Circle(headTo + Mm(strap.Holes[i]), Middle, 1.1)));
        for (var i = 0; i < strap.Keepers.Count; i++)
        {
            var (from, to) = strap.Keepers[i];
            var missed = !strap.KeepersHold && i == strap.Keepers.Count - 1;
            shapes.Add(new Shape(missed ? PaintRole.KeeperMissed : PaintRole.Keeper, PathData.Box(headTo + Mm(from), -1, Mm(to - from), BandHigh + 2, 0.8)) { Dashed = missed });
        }
    }

    private static void Head(double from, double bars, List<Shape> shapes, List<Word> words)
    {
        shapes.Add(new Shape(PaintRole.Head, PathData.Box(from, -4, bars, BandHigh + 8, 2)));
        shapes.Add(new Shape(PaintRole.Head, PathData.Circle(from + bars / 2, Middle, Math.Min(bars, BandHigh + 4) / 2.3)));
        words.Add(new Word(PaintRole.Head, "12", PathData.Rounded(from + 3.5), PathData.Rounded(Middle + 1.6), 4) { Strong = true });
        words.Add(new Word(PaintRole.Head, "6", PathData.Rounded(from + bars - 3.5), PathData.Rounded(Middle + 1.6), 4) { Strong = true });
    }

    private static void Link(LayOut layOut, Side side, int ordinal, double x, List<Shape> shapes, List<Word> words)
    {
        var link = layOut.On(side)[ordinal];
        var (wide, leaves) = (Mm(link.Pitch), link.Fate == LinkFate.Leaves);
        var of = new ShapeOf(PieceKind.Link, side, ordinal);
        shapes.Add(new Shape(RoleOf(link.Fate), PathData.Box(x + 0.3, leaves ? 4 : 0, wide - 0.6, BandHigh, 0.9)) { Dashed = leaves, Of = of });
        var middle = PathData.Rounded(x + wide / 2);
        if (layOut.IsPinned(side, ordinal))
        {
            // A cross, as one way that goes back on itself.
            var centre = x + wide / 2;
            shapes.Add(new Shape(PaintRole.Pinned, PathData.Line((centre, Middle - 2.4), (centre, Middle + 2.4), (centre, Middle), (centre - 2.4, Middle), (centre + 2.4, Middle))) { Of = of });
        }
        else if (link.Mark != '\0')
        {
            words.Add(new Word(PaintRole.Name, link.Mark.ToString(), middle, PathData.Rounded(Middle + 1.5), 4) { Strong = true, Of = of });
        }
        if (leaves || link.Fate == LinkFate.Joins)
            words.Add(new Word(RoleOf(link.Fate), leaves ? "out" : "in", middle, -1.5m, 4) { Strong = true, Of = of });
    }

    private static double Mm(Length length) => length.ApproximateMillimetres;
}
