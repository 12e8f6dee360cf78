using IronLoop.Core.Bands;
using IronLoop.Core.Gauging;
using IronLoop.Core.Matching;

namespace IronLoop.Core.Shelf;

/// <summary>Which figures tell a clasp of a kind, in the order the tool is moved.</summary>
public static class ClaspSheet
{
    /// <summary>The figures of a kind's measuring sheet; the width of the band's end comes first with every kind.</summary>
    public static IReadOnlyList<GaugedFigure> For(ClaspKind kind) => kind switch
    {
        ClaspKind.PinBuckle or ClaspKind.StrapFolding =>
        [
            GaugedFigure.ClaspEnd, GaugedFigure.ClaspInner, GaugedFigure.ClaspThroat, GaugedFigure.ClaspBar, GaugedFigure.ClaspBarLength, GaugedFigure.EndBore,
        ],
        ClaspKind.Butterfly =>
        [
            GaugedFigure.ClaspEnd, GaugedFigure.ClaspTube, GaugedFigure.OverButtons, GaugedFigure.EndNotch, GaugedFigure.EndBore, GaugedFigure.PinDiameter,
            GaugedFigure.PinLength,
        ],
        ClaspKind.FoldOver =>
        [
            GaugedFigure.ClaspEnd, GaugedFigure.ClaspInner, GaugedFigure.ClaspBar, GaugedFigure.ClaspBarLength, GaugedFigure.EndBore,
            GaugedFigure.OtherEndBore, GaugedFigure.MicroPitch,
        ],
        ClaspKind.Extending => [.. For(ClaspKind.FoldOver), GaugedFigure.Extension],
        ClaspKind.Slide => [GaugedFigure.ClaspEnd, GaugedFigure.BandThickness, GaugedFigure.ClaspInner],
        _ => throw new ArgumentOutOfRangeException(nameof(kind), kind, "Not a clasp."),
    };

    /// <summary>The clasp as gauged.</summary>
    public static ClaspFacts Facts(ClaspKind kind, Figures figures) => new(
        kind, figures[GaugedFigure.ClaspInner], figures[GaugedFigure.ClaspTube], figures[GaugedFigure.OverButtons], figures[GaugedFigure.ClaspThroat],
        figures[GaugedFigure.ClaspBar]);

    /// <summary>The band's clasp end as gauged; what was not gauged is as the band is known.</summary>
    /// <param name="band">The band.</param>
    /// <param name="figures">What was gauged.</param>
    /// <param name="finish">The band's finish; null when nobody said.</param>
    /// <param name="colour">The band's colour; null when nobody said.</param>
    public static BandEndFacts End(Band band, Figures figures, string? finish = null, string? colour = null) => new(
        band.Facts.Kind, band.Facts.Material, figures[GaugedFigure.ClaspEnd] ?? band.ClaspEnd, figures[GaugedFigure.EndNotch], figures[GaugedFigure.EndBore],
        figures[GaugedFigure.BandThickness] ?? band.Thickness)
    {
        OtherBore = figures[GaugedFigure.OtherEndBore],
        Finish = finish ?? band.Facts.Finish,
        Colour = colour ?? band.Facts.Colour,
    };

    /// <summary>The pin at the clasp as gauged; null while its two figures are not.</summary>
    public static FrictionPin? Pin(Figures figures) =>
        figures[GaugedFigure.PinDiameter] is { } diameter && figures[GaugedFigure.PinLength] is { } length ? new FrictionPin(diameter, length) : null;
}
