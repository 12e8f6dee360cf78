using System.Reflection;
using SkiaSharp;

namespace IronLoop.Server.Paper;

/// <summary>The size of a sheet.</summary>
internal enum PaperSize
{
    /// <summary>210 by 297 mm.</summary>
    A4,

    /// <summary>8½ by 11 inches.</summary>
    Letter,
}

/// <summary>
/// A document that is set line by line from the top, with fonts that go with it. Places are millimetres from the sheet's
/// upper left corner.
/// </summary>
internal sealed class Sheet : IDisposable
{
    private const float Margin = 18;
    private const float PointsPerMm = 72 / 25.4f;

    private static readonly Lazy<SKTypeface> Regular = new(() => Load("400"));
    private static readonly Lazy<SKTypeface> Semibold = new(() => Load("600"));

    private readonly MemoryStream _bytes = new();
    private readonly SKDocument _document;
    private readonly SKSize _size;
    private readonly Action<Sheet>? _head;
    private SKCanvas _canvas;

    /// <summary>Begins a document with its first page.</summary>
    /// <param name="size">Size of the sheet.</param>
    /// <param name="title">The document's title.</param>
    /// <param name="head">What stands at the top of every further page.</param>
    public Sheet(PaperSize size, string title, Action<Sheet>? head = null)
    {
        _size = size == PaperSize.A4 ? new SKSize(210, 297) : new SKSize(215.9f, 279.4f);
        _head = head;
        _document = SKDocument.CreatePdf(_bytes, new SKDocumentPdfMetadata { Title = title, Creator = "Iron Loop" });
        _canvas = Begin();
    }

    /// <summary>The page, from 1.</summary>
    public int Page { get; private set; }

    /// <summary>How far down the page has been set.</summary>
    public float Down { get; set; }

    public static float Left => Margin;

    public float Right => _size.Width - Margin;

    /// <summary>Begins a new page when a block of a height does not go on this one.</summary>
    public void Need(float height)
    {
        if (Down + height <= _size.Height - Margin)
            return;
        _document.EndPage();
        _canvas = Begin();
        _head?.Invoke(this);
    }

    /// <summary>Sets text on the line that is Down, its baseline there.</summary>
    /// <param name="text">The text.</param>
    /// <param name="at">From the left; for text set to the right, where it ends.</param>
    /// <param name="points">Its size.</param>
    /// <param name="strong">Whether it stands out.</param>
    /// <param name="toRight">Whether it ends there.</param>
    public void Write(string text, float at, float points = 10.5f, bool strong = false, bool toRight = false)
    {
        using var font = Font(points, strong);
        using var ink = Ink();
        _canvas.DrawText(text, at, Down, toRight ? SKTextAlign.Right : SKTextAlign.Left, font, ink);
    }

    /// <summary>Breaks text into lines that fit a width.</summary>
    public static IReadOnlyList<string> Lines(string text, float width, float points = 10.5f)
    {
        using var font = Font(points, strong: false);
        var lines = new List<string> { "" };
        foreach (var word in text.Split(' ', StringSplitOptions.RemoveEmptyEntries))
        {
            var longer = lines[^1].Length == 0 ? word : $"{lines[^1]} {word}";
            if (lines[^1].Length == 0 || font.MeasureText(longer) <= width)
                lines[^1] = longer;
            else
                lines.Add(word);
        }
        return lines;
    }

    /// <summary>Draws a hairline across the sheet at Down.</summary>
    public void Rule(float thickness = 0.2f)
    {
        using var ink = Ink();
        ink.Style = SKPaintStyle.Stroke;
        ink.StrokeWidth = thickness;
        _canvas.DrawLine(Left, Down, Right, Down, ink);
    }

    /// <summary>The finished document.</summary>
    public byte[] Finish()
    {
        _document.EndPage();
        _document.Close();
        return _bytes.ToArray();
    }

    public void Dispose()
    {
        _document.Dispose();
        _bytes.Dispose();
    }

    private SKCanvas Begin()
    {
        var canvas = _document.BeginPage(_size.Width * PointsPerMm, _size.Height * PointsPerMm);
        canvas.Scale(PointsPerMm);
        Page++;
        Down = Margin + 6;
        return canvas;
    }

    // A sheet is set in millimetres, so letters are a few units high: their widths must not be rounded to whole ones.
    private static SKFont Font(float points, bool strong) => new((strong ? Semibold : Regular).Value, points / PointsPerMm)
    {
        Subpixel = true,
        LinearMetrics = true,
        Hinting = SKFontHinting.None,
    };

    private static SKPaint Ink() => new() { Color = new SKColor(0x22, 0x26, 0x2B), IsAntialias = true };

    private static SKTypeface Load(string weight)
    {
        using var stream = Assembly.GetExecutingAssembly().GetManifestResourceStream($"barlow-semi-condensed-latin-{weight}-normal.woff")!;
        using var data = SKData.Create(stream);
        return SKTypeface.FromData(data);
    }
}
