using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;
using IronLoop.Server.Stations;
using SkiaSharp;

namespace IronLoop.Server.Paper;

/// <summary>The closed loop on the wrist, from the figures the screen draws it with; places in millimetres.</summary>
internal sealed class LoopPicture(DrawingWire drawing) : IPicture
{
    private const float HeadHeight = 10;
    private const float Around = 9;

    private readonly float _half = Mm(drawing.ThicknessMm) / 2;

    public SKSize Size => new(2 * Reach, Bottom - Top);

    private float Reach => drawing.Pieces.SelectMany(p => p.Points.Where((_, i) => i % 2 == 0)).Select(x => Math.Abs((float)x) + _half)
        .Append((float)drawing.HalfWidthMm).Append(Mm(drawing.BarToBarMm) / 2 + 4).Max() + Around;

    private float Top => -(float)drawing.HalfDepthMm - Math.Max(HeadHeight, Mm(drawing.BarRiseMm) + _half) - 3;

    private float Bottom => drawing.Pieces.SelectMany(p => p.Points.Where((_, i) => i % 2 == 1)).Select(y => -(float)y + _half).Append((float)drawing.HalfDepthMm).Max() + 8;

    public void Draw(SKCanvas canvas)
    {
        canvas.Save();
        canvas.Translate(Reach, -Top);
        using var dashed = Ink.Line(0.25f, dashed: true);
        canvas.DrawOval(0, 0, (float)drawing.HalfWidthMm, (float)drawing.HalfDepthMm, dashed);
        Ink.Words(canvas, "wrist", 0, 1, 3.2f, SKTextAlign.Center);
        foreach (var piece in drawing.Pieces)
            Piece(canvas, piece);
        foreach (var piece in drawing.Pieces.Skip(1))
            Gap(canvas, piece);
        Head(canvas);
        foreach (var run in drawing.Leaving)
            Leaving(canvas, run);
        if (drawing.BandChosen)
            Centre(canvas);
        Ink.Words(canvas, "12", -Reach + 3, 2, 4, SKTextAlign.Center, strong: true);
        Ink.Words(canvas, "6", Reach - 3, 2, 4, SKTextAlign.Center, strong: true);
        Scale(canvas);
        canvas.Restore();
    }

    private void Piece(SKCanvas canvas, PieceWire piece)
    {
        var points = piece.Points;
        using var path = Ink.Shape(closed: false, [.. Enumerable.Range(0, points.Count / 2).Select(p => ((float)points[2 * p], -(float)points[2 * p + 1]))]);
        var thick = Mm(drawing.ThicknessMm);
        using var edge = Ink.Line(thick);
        using var body = Ink.Line(Math.Max(0.4f, thick - 0.7f), piece.Kind == PieceKind.Clasp ? Ink.Iron : piece.Fate == LinkFate.Fixed ? Ink.Held : Ink.Steel);
        canvas.DrawPath(path, edge);
        canvas.DrawPath(path, body);
    }

    /// <summary>A gap where a piece meets the one before it, across the band.</summary>
    private void Gap(SKCanvas canvas, PieceWire piece)
    {
        var points = piece.Points;
        var (x, y) = ((float)points[0], -(float)points[1]);
        var (dx, dy) = ((float)points[2] - x, -(float)points[3] - y);
        var far = Math.Max(0.01f, MathF.Sqrt(dx * dx + dy * dy));
        var (ax, ay) = (-dy / far * (_half + 0.3f), dx / far * (_half + 0.3f));
        using var gap = Ink.Line(0.6f, Ink.Ground);
        canvas.DrawLine(x - ax, y - ay, x + ax, y + ay, gap);
    }

    private void Head(SKCanvas canvas)
    {
        var back = -(float)drawing.HalfDepthMm;
        var pivot = back - Mm(drawing.BarRiseMm);
        var half = Mm(drawing.BarToBarMm) / 2 - 2;
        using var path = Ink.Shape(closed: true, (-half, back), (-half - 1, pivot - 3.4f), (-half + 2.5f, back - HeadHeight), (half - 2.5f, back - HeadHeight), (half + 1, pivot - 3.4f), (half, back));
        using var ground = Ink.Fill(Ink.Ground);
        using var line = Ink.Line(0.5f, dashed: drawing.HeadAssumed);
        canvas.DrawPath(path, ground);
        canvas.DrawPath(path, line);
        using var bar = Ink.Fill(Ink.Black);
        foreach (var sign in (int[])[-1, 1])
            canvas.DrawCircle(sign * Mm(drawing.BarToBarMm) / 2, pivot, 0.8f, bar);
    }

    private void Leaving(SKCanvas canvas, LeavingWire run)
    {
        var (x, y) = ((float)run.At.X, -(float)run.At.Y);
        var far = Math.Max(1, MathF.Sqrt(x * x + y * y));
        var (ux, uy) = (x / far, y / far);
        var (tx, ty) = (x + ux * (_half + 0.6f), y + uy * (_half + 0.6f));
        var (bx, by) = (tx + ux * 2.6f, ty + uy * 2.6f);
        using var path = Ink.Shape(closed: true, (tx, ty), (bx - uy * 1.4f, by + ux * 1.4f), (bx + uy * 1.4f, by - ux * 1.4f));
        using var ink = Ink.Fill(Ink.Black);
        canvas.DrawPath(path, ink);
        Ink.Words(canvas, $"{run.Count} out", bx + ux * 2, by + uy * 2 + 1.1f, 3.2f, ux > 0.2f ? SKTextAlign.Left : ux < -0.2f ? SKTextAlign.Right : SKTextAlign.Center);
    }

    private void Centre(SKCanvas canvas)
    {
        var low = -(float)drawing.Lowest.Y + _half + 0.8f;
        var middle = (float)drawing.Lowest.X;
        using var path = Ink.Shape(closed: true, (middle, low), (middle - 1.7f, low + 3), (middle + 1.7f, low + 3));
        using var mark = Ink.Fill(Ink.Black);
        canvas.DrawPath(path, mark);
        using var line = Ink.Line(0.8f);
        var (x, y) = ((float)drawing.ClaspCentre.X, -(float)drawing.ClaspCentre.Y);
        canvas.DrawLine(x, y - _half - 1.2f, x, y + _half + 1.2f, line);
    }

    private void Scale(SKCanvas canvas)
    {
        var (x, y) = (-Reach + 2, Bottom - 2.6f);
        using var line = Ink.Line(0.3f);
        canvas.DrawLine(x, y, x + 10, y, line);
        canvas.DrawLine(x, y - 1.2f, x, y, line);
        canvas.DrawLine(x + 10, y - 1.2f, x + 10, y, line);
        Ink.Words(canvas, $"10 mm{(drawing.HeadAssumed || !drawing.BandChosen ? ", dashed: assumed" : "")}", x + 11.5f, y + 0.5f, 3, SKTextAlign.Left);
    }

    private static float Mm(Length length) => (float)length.ApproximateMillimetres;
}
