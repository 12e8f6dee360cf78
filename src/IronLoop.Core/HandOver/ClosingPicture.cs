using IronLoop.Core.Bands;
using IronLoop.Core.Fitting;
using IronLoop.Core.Matching;

namespace IronLoop.Core.HandOver;

/// <summary>
/// How what closes a band is closed and opened, as its owner sees it from the side or from above; of a pull-through band first how it is
/// threaded. It stands beside the lines of <see cref="ClaspInUse"/>, and is no drawing to scale.
/// </summary>
public static class ClosingPicture
{
    private const double Wide = 40, High = 19, Gap = 8;

    /// <summary>The picture; null where nobody knows what closes it.</summary>
    /// <param name="band">The band.</param>
    /// <param name="kind">What closes it.</param>
    /// <param name="way">How it is worn, where it is pulled through.</param>
    public static Picture? Of(Band band, ClaspKind? kind, PullThroughWay way)
    {
        var drawn = new Drawn();
        if (band.OnePiece is { } through)
        {
            Threaded(drawn, way);
            drawn.Down = High + 3;
            Frames(drawn, through.Closure switch { OnePieceClosure.HookAndLoop => HookAndLoop, OnePieceClosure.SideRelease => SideRelease, _ => PinBuckle });
        }
        else if (kind is { } closes)
        {
            Frames(drawn, closes switch
            {
                ClaspKind.PinBuckle => PinBuckle,
                ClaspKind.Butterfly => Butterfly,
                ClaspKind.Slide => Slide,
                _ => (d, opens) => Folding(d, opens, closes == ClaspKind.StrapFolding),
            });
        }
        else
        {
            return null;
        }
        return new Picture(-1, -1, PathData.Rounded(2 * Wide + Gap + 2), PathData.Rounded(drawn.Down + High + 2), drawn.Shapes, drawn.Words);
    }

    /// <summary>Two frames side by side: closed, and opened.</summary>
    private static void Frames(Drawn drawn, Action<Drawn, bool> frame)
    {
        drawn.Across = 0;
        frame(drawn, false);
        drawn.Say("close", Wide / 2, High);
        drawn.Across = Wide + Gap;
        frame(drawn, true);
        drawn.Say("open", Wide / 2, High);
    }

    /// <summary>From above: the tail comes from the right through the frame, its tongue in a hole, under both keepers.</summary>
    private static void PinBuckle(Drawn d, bool opens)
    {
        d.Box(PaintRole.Strap, 0, 5, 13, 8);
        d.Box(PaintRole.Outline, 12, 3.5, 8, 11);
        var left = opens ? 18 : 2;
        d.Box(PaintRole.Strap, left, 6, 38 - left, 6);
        foreach (var hole in (double[])[24, 28, 32])
            d.Dot(PaintRole.Hole, hole, 9, 0.8);
        if (opens)
        {
            d.Line(PaintRole.Centre, (12.5, 9), (18, 4.5));
            d.Arrow(30, 2.5, 36, 2.5);
        }
        else
        {
            d.Dot(PaintRole.HoleNow, 19.4, 9, 0.9);
            d.Line(PaintRole.Centre, (12.5, 9), (19.4, 9));
            d.Box(PaintRole.Keeper, 8, 4.5, 2, 9);
            d.Box(PaintRole.Keeper, 3.5, 4.5, 2, 9);
            d.Arrow(36, 2.5, 30, 2.5);
        }
    }

    /// <summary>From the side: the lower blade, the blade hinged to it, and the cover over it.</summary>
    private static void Folding(Drawn d, bool opens, bool hasButtons)
    {
        d.Line(PaintRole.Centre, (4, 14), (36, 14));
        if (opens)
        {
            d.Line(PaintRole.Centre, (4, 14), (28, 6));
            d.Line(PaintRole.Centre, (28, 6), (12, 1));
            d.Dot(PaintRole.Bar, 28, 6, 0.9);
            d.Arrow(33, 10, 33, 4);
        }
        else
        {
            d.Line(PaintRole.Centre, (4, 14), (34, 12));
            d.Line(PaintRole.Centre, (34, 12), (9, 9));
            d.Dot(PaintRole.Bar, 34, 12, 0.9);
            d.Arrow(14, 2, 14, 7.4);
        }
        d.Dot(PaintRole.Bar, 4, 14, 0.9);
        if (hasButtons && opens)
        {
            d.Arrow(12, 18, 12, 15.4);
            d.Arrow(20, 18, 20, 15.4);
        }
    }

    /// <summary>From the side: two wings on a plate, both buttons pressed at once.</summary>
    private static void Butterfly(Drawn d, bool opens)
    {
        d.Line(PaintRole.Centre, (10, 14), (30, 14));
        var (high, reach) = opens ? (3.0, 3.0) : (10.5, 12.0);
        d.Line(PaintRole.Centre, (10, 14), (opens ? 2 : 10 + reach - 4, high));
        d.Line(PaintRole.Centre, (30, 14), (opens ? 38 : 30 - reach + 4, high));
        d.Dot(PaintRole.Bar, 10, 14, 0.9);
        d.Dot(PaintRole.Bar, 30, 14, 0.9);
        if (opens)
        {
            d.Arrow(14, 8, 19, 8);
            d.Arrow(26, 8, 21, 8);
        }
        else
        {
            d.Arrow(12, 3, 15, 8.5);
            d.Arrow(28, 3, 25, 8.5);
        }
    }

    /// <summary>From the side: the flap over the mesh.</summary>
    private static void Slide(Drawn d, bool opens)
    {
        d.Box(PaintRole.Strap, 0, 12.5, 38, 2.5);
        d.Box(PaintRole.Outline, 10, 9.5, 18, 3);
        d.Dot(PaintRole.Bar, 10, 11, 0.9);
        d.Line(PaintRole.Centre, (10, 9.5), opens ? (26, 2.5) : (28, 8.6));
        if (opens)
            d.Arrow(31, 9, 31, 3);
        else
            d.Arrow(22, 2, 22, 7);
    }

    /// <summary>From the side: the tail through the ring and back on itself.</summary>
    private static void HookAndLoop(Drawn d, bool opens)
    {
        d.Box(PaintRole.Strap, 0, 11, 30, 2.5);
        d.Dot(PaintRole.Outline, 33, 11, 3.2);
        if (opens)
        {
            d.Line(PaintRole.Edge, (33, 8), (24, 7.6));
            d.Line(PaintRole.Edge, (24, 7.6), (13, 2));
            d.Arrow(9, 8, 9, 2.5);
        }
        else
        {
            d.Line(PaintRole.Edge, (33, 8), (6, 8.6));
            d.Arrow(28, 4, 18, 4);
        }
    }

    /// <summary>From above: the prongs go into the body; both sides are pressed to let them go.</summary>
    private static void SideRelease(Drawn d, bool opens)
    {
        d.Box(PaintRole.Clasp, 4, 4, 14, 10);
        var from = opens ? 26 : 18;
        d.Box(PaintRole.Outline, from, 5.5, 8, 7);
        d.Line(PaintRole.Centre, (from, 6.5), (from - 5, 6.5));
        d.Line(PaintRole.Centre, (from, 11.5), (from - 5, 11.5));
        if (opens)
        {
            d.Arrow(11, 0, 11, 3.4);
            d.Arrow(11, 18, 11, 14.6);
        }
        else
        {
            d.Arrow(36, 9, 29, 9);
        }
    }

    /// <summary>From the side: down past one bar, under the case, up past the other.</summary>
    private static void Threaded(Drawn d, PullThroughWay way)
    {
        d.Across = 0;
        var isReversed = way is PullThroughWay.ReversedDouble or PullThroughWay.ReversedSingle;
        var isDouble = OnePieceBand.Layers(way) == 2;
        d.Box(PaintRole.Head, 29, 1, 30, 8.5);
        // Over each bar, and down between it and the case.
        d.Line(PaintRole.Edge, (2, 6), (19, 3), (24, 3.6), (26, 11.5), (62, 11.5), (64, 3.6), (69, 3), (86, 6));
        if (isDouble)
            d.Line(PaintRole.Edge, (12, 14), (25, 14.2), (63, 14.2), (70, 12.5));
        else
            d.Line(PaintRole.Edge, (16, 4.4), (14, 11), (6, 14));
        d.Dot(PaintRole.Bar, 22, 6.6, 1.5);
        d.Dot(PaintRole.Bar, 66, 6.6, 1.5);
        d.Arrow(77, 7.5, 85, 9);
        d.Say(isReversed ? "6" : "12", 18.5, 10);
        d.Say(isReversed ? "12" : "6", 69.5, 10);
        d.Say(isDouble ? "two layers under the case" : "one layer under the case, the flap beside it", Wide + Gap / 2, High);
    }

    private sealed class Drawn
    {
        public List<Shape> Shapes { get; } = [];

        public List<Word> Words { get; } = [];

        public double Across { get; set; }

        public double Down { get; set; }

        public void Box(PaintRole role, double x, double y, double width, double height) => Shapes.Add(new Shape(role, PathData.Box(Across + x, Down + y, width, height, 0.8)));

        public void Dot(PaintRole role, double x, double y, double radius) => Shapes.Add(new Shape(role, PathData.Circle(Across + x, Down + y, radius)));

        public void Line(PaintRole role, params ReadOnlySpan<(double X, double Y)> points)
        {
            (double, double)[] moved = [.. points.ToArray().Select(p => (Across + p.X, Down + p.Y))];
            Shapes.Add(new Shape(role, PathData.Line(moved)) { Thick = role == PaintRole.Edge ? 1.4m : null });
        }

        public void Arrow(double x, double y, double toX, double toY)
        {
            var (dx, dy) = (toX - x, toY - y);
            var long1 = Math.Sqrt(dx * dx + dy * dy);
            (dx, dy) = (dx / long1, dy / long1);
            var (backX, backY) = (toX - 2.2 * dx, toY - 2.2 * dy);
            Line(PaintRole.Fine, (x, y), (backX, backY));
            Shapes.Add(new Shape(PaintRole.Out, PathData.Area(
                (Across + toX, Down + toY), (Across + backX - 1.1 * dy, Down + backY + 1.1 * dx), (Across + backX + 1.1 * dy, Down + backY - 1.1 * dx))));
        }

        public void Say(string text, double x, double y) => Words.Add(new Word(PaintRole.Name, text, PathData.Rounded(Across + x), PathData.Rounded(Down + y), 2.8m));
    }
}
