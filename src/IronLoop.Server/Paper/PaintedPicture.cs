using IronLoop.Core.Fitting;
using SkiaSharp;

namespace IronLoop.Server.Paper;

/// <summary>The picture that the screen shows, painted for paper: the same shapes at the same places, in inks a printer without colour has.</summary>
internal sealed class PaintedPicture(Picture picture) : IPicture
{
    public SKSize Size => new((float)picture.Width, (float)picture.Height);

    public void Draw(SKCanvas canvas)
    {
        canvas.Save();
        canvas.Translate(-(float)picture.Left, -(float)picture.Top);
        foreach (var shape in picture.Shapes)
            Paint(canvas, shape);
        foreach (var word in picture.Words)
        {
            var anchor = word.Anchor switch { Anchor.Start => SKTextAlign.Left, Anchor.End => SKTextAlign.Right, _ => SKTextAlign.Center };
            Ink.Words(canvas, word.Text, (float)word.X, (float)word.Y, (float)word.High, anchor, word.Strong, word.Role == PaintRole.Number ? Ink.Ground : Ink.Black);
        }
        canvas.Restore();
    }

    private static void Paint(SKCanvas canvas, Shape shape)
    {
        using var path = SKPath.ParseSvgPathData(shape.Path);
        var (area, line) = InkOf(shape.Role);
        if (shape.Thick is { } thick)
        {
            // A piece of the band is a line as thick as itself, in the ink of its area.
            using var piece = Ink.Line((float)thick, shape.Role == PaintRole.Edge ? Ink.Black : area ?? Ink.Steel, shape.Dashed);
            canvas.DrawPath(path, piece);
            return;
        }
        if (area is { } ink)
        {
            using var fill = Ink.Fill(ink);
            canvas.DrawPath(path, fill);
        }
        if (line is { } width)
        {
            using var stroke = Ink.Line(width, dashed: shape.Dashed);
            canvas.DrawPath(path, stroke);
        }
    }

    /// <summary>The ink of a role's area, and how wide its line is; null where it has none.</summary>
    private static (SKColor? Area, float? Line) InkOf(PaintRole role) => role switch
    {
        PaintRole.Wrist => (null, 0.25f),
        PaintRole.Fixed => (Ink.Held, 0.35f),
        PaintRole.Stays or PaintRole.Joins or PaintRole.Strap => (Ink.Steel, 0.35f),
        PaintRole.Leaves or PaintRole.Hole => (Ink.Ground, 0.35f),
        PaintRole.Clasp => (Ink.Iron, null),
        PaintRole.HoleNow or PaintRole.Bar or PaintRole.Out or PaintRole.Joint or PaintRole.Lowest or PaintRole.Dot => (Ink.Black, null),
        PaintRole.Keeper or PaintRole.KeeperMissed => (null, 0.5f),
        PaintRole.Head => (Ink.Ground, 0.5f),
        PaintRole.Pinned => (null, 0.8f),
        PaintRole.Centre => (null, 0.8f),
        PaintRole.Scale => (null, 0.3f),
        PaintRole.Fine => (null, 0.2f),
        _ => (null, 0.35f),
    };
}
