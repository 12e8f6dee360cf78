using IronLoop.Server.Stations.TakeIn;
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

    /// <summary>Sets a paragraph, broken into lines, and goes below it.</summary>
    public void Say(string text, float at, float width, float points = 10.5f, float step = 5.2f)
    {
        foreach (var paragraph in text.Split('\n'))
        {
            foreach (var line in Lines(paragraph, width, points))
            {
                Need(step);
                Write(line, at, points);
                Down += step;
            }
        }
    }

    /// <summary>A heading with its words, as the parts of a sheet have it.</summary>
    public void Part(string head, string words)
    {
        Need(16);
        Write(head, Left, 9, strong: true);
        Down += 5.2f;
        Say(words, Left, Right - Left);
        Down += 2.6f;
    }

    /// <summary>Draws a picture, made smaller where it must, and goes below it.</summary>
    public void Picture(IPicture picture, float at, float width, float? height = null)
    {
        var scale = Math.Min(Math.Min(1, width / picture.Size.Width), height is { } high ? high / picture.Size.Height : 1);
        Need(picture.Size.Height * scale);
        _canvas.Save();
        _canvas.Translate(at + (width - picture.Size.Width * scale) / 2, Down);
        _canvas.Scale(scale);
        picture.Draw(_canvas);
        _canvas.Restore();
        Down += picture.Size.Height * scale;
    }

    /// <summary>Draws what is drawn by hand, at Down.</summary>
    public void Draw(Action<SKCanvas> draw, float at)
    {
        _canvas.Save();
        _canvas.Translate(at, Down);
        draw(_canvas);
        _canvas.Restore();
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

    private static SKFont Font(float points, bool strong) => Paper.Ink.Font(points / PointsPerMm, strong);

    private static SKPaint Ink() => Paper.Ink.Fill(Paper.Ink.Black);
}
