using System.Globalization;
using QRCoder;
using SkiaSharp;

namespace IronLoop.Server.Paper;

/// <summary>A square code a camera reads.</summary>
internal sealed class QrPicture(string text, float side) : IPicture
{
    /// <summary>What stands in the code of a job: what is typed at the rack to find it.</summary>
    public static string Tag(long job) => string.Create(CultureInfo.InvariantCulture, $"tag {job}");

    public SKSize Size => new(side, side);

    public void Draw(SKCanvas canvas)
    {
        using var code = QRCodeGenerator.GenerateQrCode(text, QRCodeGenerator.ECCLevel.M);
        var rows = code.ModuleMatrix;
        var module = side / rows.Count;
        using var ink = new SKPaint { Color = SKColors.Black, IsAntialias = false };
        for (var y = 0; y < rows.Count; y++)
            for (var x = 0; x < rows.Count; x++)
                if (rows[y][x])
                    canvas.DrawRect(x * module, y * module, module, module, ink);
    }
}
