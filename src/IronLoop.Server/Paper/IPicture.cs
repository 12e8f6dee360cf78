using System.Text;
using System.Xml.Linq;
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
        using var stream = new MemoryStream();
        using (var canvas = SKSvgCanvas.Create(new SKRect(0, 0, picture.Size.Width, picture.Size.Height), stream))
            picture.Draw(canvas);
        var file = XDocument.Parse(Encoding.UTF8.GetString(stream.ToArray()));
        var svg = file.Root!;
        // The library writes the size as bare numbers; the file says that they are millimetres.
        var (width, height) = (Number(picture.Size.Width), Number(picture.Size.Height));
        svg.SetAttributeValue("width", $"{width}mm");
        svg.SetAttributeValue("height", $"{height}mm");
        svg.SetAttributeValue("viewBox", $"0 0 {width} {height}");
        // It also places every letter by the font it was drawn with; where that is not at hand, letters would lie on one another.
        foreach (var text in svg.Descendants().Where(e => e.Name.LocalName == "text"))
        {
            foreach (var place in (string[])["x", "y"])
                text.SetAttributeValue(place, text.Attribute(place)?.Value.Split(',')[0].Trim());
            text.SetAttributeValue("font-family", $"{text.Attribute("font-family")?.Value}, sans-serif");
        }
        return Encoding.UTF8.GetBytes($"{file.Declaration}{file.ToString(SaveOptions.DisableFormatting)}");
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
