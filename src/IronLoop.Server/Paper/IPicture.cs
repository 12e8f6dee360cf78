using SkiaSharp;

namespace IronLoop.Server.Paper;

/// <summary>A drawing to scale, its places millimetres from its upper left corner.</summary>
internal interface IPicture
{
    /// <summary>Its width and height in millimetres.</summary>
    SKSize Size { get; }

    /// <summary>Draws it.</summary>
    void Draw(SKCanvas canvas);
}

/// <summary>Pictures as files of their own.</summary>
internal static class Pictures
{
    /// <summary>As SVG, in millimetres.</summary>
    public static byte[] Svg(IPicture picture)
    {
        // The library writes the size as bare numbers; the file says that they are millimetres.
        using var stream = new MemoryStream();
        using (var canvas = SKSvgCanvas.Create(new SKRect(0, 0, picture.Size.Width, picture.Size.Height), stream))
            picture.Draw(canvas);
        var svg = System.Text.Encoding.UTF8.GetString(stream.ToArray());
        var (width, height) = (Number(picture.Size.Width), Number(picture.Size.Height));
        var begin = svg.IndexOf("<svg ", StringComparison.Ordinal);
        var end = svg.IndexOf('>', begin);
        return System.Text.Encoding.UTF8.GetBytes(
            $"{svg[..begin]}<svg xmlns=\"http://www.w3.org/2000/svg\" xmlns:xlink=\"http://www.w3.org/1999/xlink\" width=\"{width}mm\" height=\"{height}mm\" viewBox=\"0 0 {width} {height}\">{svg[(end + 1)..]}");
    }

    /// <summary>As PNG, black on white, for a printer of so many dots a millimetre.</summary>
    public static byte[] Png(IPicture picture, float dotsPerMm)
    {
        using var bitmap = new SKBitmap((int)Math.Round(picture.Size.Width * dotsPerMm), (int)Math.Round(picture.Size.Height * dotsPerMm));
        using var canvas = new SKCanvas(bitmap);
        canvas.Clear(SKColors.White);
        canvas.Scale(dotsPerMm);
        picture.Draw(canvas);
        canvas.Flush();
        using var data = bitmap.Encode(SKEncodedImageFormat.Png, 100);
        return data.ToArray();
    }

    private static string Number(float mm) => mm.ToString("0.##", System.Globalization.CultureInfo.InvariantCulture);
}
