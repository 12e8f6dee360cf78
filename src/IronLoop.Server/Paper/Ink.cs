using System.Reflection;
using SkiaSharp;

namespace IronLoop.Server.Paper;

/// <summary>Fonts and inks of everything printed; sizes in millimetres.</summary>
internal static class Ink
{
    public static readonly SKColor Black = new(0x22, 0x26, 0x2B);
    public static readonly SKColor Iron = new(0x5B, 0x60, 0x66);
    public static readonly SKColor Steel = new(0xD3, 0xD6, 0xD9);
    public static readonly SKColor Held = new(0x96, 0x9B, 0xA1);
    public static readonly SKColor Ground = SKColors.White;

    private static readonly Lazy<SKTypeface> Regular = new(() => Load("400"));
    private static readonly Lazy<SKTypeface> Semibold = new(() => Load("600"));

    public static SKPaint Line(float width, SKColor? colour = null, bool dashed = false)
    {
        var paint = new SKPaint { Color = colour ?? Black, IsAntialias = true, Style = SKPaintStyle.Stroke, StrokeWidth = width };
        if (dashed)
            paint.PathEffect = SKPathEffect.CreateDash([1.4f, 0.9f], 0);
        return paint;
    }

    public static SKPaint Fill(SKColor colour) => new() { Color = colour, IsAntialias = true };

    // Letters here are a few units high: their widths must not be rounded to whole ones.
    public static SKFont Font(float height, bool strong) => new((strong ? Semibold : Regular).Value, height)
    {
        Subpixel = true,
        LinearMetrics = true,
        Hinting = SKFontHinting.None,
    };

    /// <summary>A line through points, or the shape they bound.</summary>
    public static SKPath Shape(bool closed, params ReadOnlySpan<(float X, float Y)> points)
    {
        using var path = new SKPathBuilder();
        for (var i = 0; i < points.Length; i++)
        {
            if (i == 0)
                path.MoveTo(points[i].X, points[i].Y);
            else
                path.LineTo(points[i].X, points[i].Y);
        }
        if (closed)
            path.Close();
        return path.Detach();
    }

    public static void Words(SKCanvas canvas, string text, float x, float y, float height, SKTextAlign align, bool strong = false, SKColor? colour = null)
    {
        using var font = Font(height, strong);
        using var ink = Fill(colour ?? Black);
        canvas.DrawText(text, x, y, align, font, ink);
    }

    private static SKTypeface Load(string weight)
    {
        using var stream = Assembly.GetExecutingAssembly().GetManifestResourceStream($"barlow-semi-condensed-latin-{weight}-normal.woff")!;
        using var data = SKData.Create(stream);
        return SKTypeface.FromData(data);
    }
}
