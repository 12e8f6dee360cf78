using System.Globalization;
using System.Text;

namespace IronLoop.Core.Fitting;

/// <summary>Writes a way as the path data of SVG, in millimetres to hundredths, y downward.</summary>
internal sealed class PathData
{
    private readonly StringBuilder _data = new();

    /// <summary>A line through points.</summary>
    public static string Line(params ReadOnlySpan<(double X, double Y)> points) => new PathData().Through(points).ToString();

    /// <summary>An area bounded by a line through points.</summary>
    public static string Area(params ReadOnlySpan<(double X, double Y)> points) => new PathData().Through(points).Close().ToString();

    /// <summary>A box with round corners.</summary>
    public static string Box(double x, double y, double width, double height, double round)
    {
        var r = Math.Max(0, Math.Min(round, Math.Min(width, height) / 2));
        return new PathData()
            .Move(x + r, y).To(x + width - r, y).Corner(r, x + width, y + r)
            .To(x + width, y + height - r).Corner(r, x + width - r, y + height)
            .To(x + r, y + height).Corner(r, x, y + height - r)
            .To(x, y + r).Corner(r, x + r, y).Close().ToString();
    }

    /// <summary>An ellipse, or a circle where both radii are alike.</summary>
    public static string Ellipse(double x, double y, double halfWidth, double halfHeight) => new PathData()
        .Move(x - halfWidth, y).Arc(halfWidth, halfHeight, x + halfWidth, y).Arc(halfWidth, halfHeight, x - halfWidth, y).Close().ToString();

    /// <summary>A circle.</summary>
    public static string Circle(double x, double y, double radius) => Ellipse(x, y, radius, radius);

    /// <summary>To hundredths, and nought without a sign.</summary>
    public static decimal Rounded(double mm) => Math.Round((decimal)mm, 2) + 0m;

    public override string ToString() => _data.ToString();

    private PathData Through(ReadOnlySpan<(double X, double Y)> points)
    {
        for (var i = 0; i < points.Length; i++)
            _ = i == 0 ? Move(points[i].X, points[i].Y) : To(points[i].X, points[i].Y);
        return this;
    }

    private PathData Move(double x, double y) => Add('M', x, y);

    private PathData To(double x, double y) => Add('L', x, y);

    private PathData Corner(double radius, double x, double y) => radius > 0 ? Arc(radius, radius, x, y) : this;

    private PathData Arc(double halfWidth, double halfHeight, double x, double y)
    {
        _data.Append(CultureInfo.InvariantCulture, $"A{Rounded(halfWidth):0.##} {Rounded(halfHeight):0.##} 0 0 1 {Rounded(x):0.##} {Rounded(y):0.##}");
        return this;
    }

    private PathData Close()
    {
        _data.Append('Z');
        return this;
    }

    private PathData Add(char command, double x, double y)
    {
        _data.Append(CultureInfo.InvariantCulture, $"{command}{Rounded(x):0.##} {Rounded(y):0.##}");
        return this;
    }
}
