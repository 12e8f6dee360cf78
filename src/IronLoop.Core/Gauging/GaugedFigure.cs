using IronLoop.Core.Bands;
using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Gauging;

/// <summary>A figure that is gauged, in the order the tool is moved.</summary>
public enum GaugedFigure
{
    /// <summary>Clear distance between a pair of lugs.</summary>
    LugWidth,

    /// <summary>From lug tip to lug tip.</summary>
    LugToLug,

    /// <summary>Straight distance between the two bars.</summary>
    BarToBar,

    /// <summary>Height of the bars above the plane the case back rests on.</summary>
    BarRise,

    /// <summary>Height of the head, back to crystal.</summary>
    CaseHeight,

    /// <summary>Clear room between the bar's centre line and the case.</summary>
    BarGap,

    /// <summary>Diameter of the hole in the lug.</summary>
    LugHole,

    /// <summary>Diameter of the watch's own screwed bar.</summary>
    OwnBar,

    /// <summary>Clear height of a screwed slot.</summary>
    SlotHeight,

    /// <summary>Width of the band at the lugs.</summary>
    BandWidth,

    /// <summary>Thickness of the band's end, where it lies at the bar.</summary>
    BandEnd,

    /// <summary>Thickness of the band where it lies on the wrist.</summary>
    BandThickness,

    /// <summary>Width of the band where the clasp begins.</summary>
    ClaspEnd,

    /// <summary>Pivot-to-pivot length of a full link.</summary>
    LinkPitch,

    /// <summary>The wrist's circumference by tape.</summary>
    Wrist,

    /// <summary>The wrist's width.</summary>
    WristWidth,

    /// <summary>The wrist's depth.</summary>
    WristDepth,

    /// <summary>The clasp's inner width.</summary>
    ClaspInner,

    /// <summary>Clear height of the clasp for a strap.</summary>
    ClaspThroat,

    /// <summary>Length of a butterfly's end tube.</summary>
    ClaspTube,

    /// <summary>Width over a butterfly's buttons, not pressed.</summary>
    OverButtons,

    /// <summary>Diameter of the clasp's bar.</summary>
    ClaspBar,

    /// <summary>Length of the clasp's bar.</summary>
    ClaspBarLength,

    /// <summary>From one micro-adjust hole to the next.</summary>
    MicroPitch,

    /// <summary>What the second fold adds.</summary>
    Extension,

    /// <summary>Width of the notch in the band's end.</summary>
    EndNotch,

    /// <summary>Bore of the band's end, at the fold.</summary>
    EndBore,

    /// <summary>Bore of the band's other end, at the micro-adjust.</summary>
    OtherEndBore,

    /// <summary>Diameter of a pin at the clasp.</summary>
    PinDiameter,

    /// <summary>Length of a pin at the clasp.</summary>
    PinLength,
}

/// <summary>What a figure belongs to: a watch's figures stay with the watch over its visits, the others with the job.</summary>
public enum GaugedOf
{
    /// <summary>The watch.</summary>
    Watch,

    /// <summary>The band it came with.</summary>
    Band,

    /// <summary>The wrist it is worn on.</summary>
    Wrist,

    /// <summary>The clasp, and the band's end at it.</summary>
    Clasp,
}

/// <summary>What is known of a figure before it is read.</summary>
/// <param name="Figure">The figure.</param>
/// <param name="Name">Its name in the trade's words.</param>
/// <param name="Of">What it belongs to.</param>
/// <param name="Allowed">Outside it a reading is impossible and refused.</param>
/// <param name="Usual">Outside it a figure is questioned (house rule).</param>
/// <param name="Jaws">Where the tool goes.</param>
public sealed record FigureKind(GaugedFigure Figure, string Name, GaugedOf Of, AllowedLength Allowed, AllowedLength Usual, string Jaws)
{
    /// <summary>All figures, in the order the tool is moved.</summary>
    public static IReadOnlyList<FigureKind> All { get; } =
    [
        new(GaugedFigure.LugWidth, "lug width", GaugedOf.Watch, Mm(6, 40), Mm(8, 26),
            "Inside jaws between one pair of lugs, at the bar, not at the tips."),
        new(GaugedFigure.LugToLug, "lug-to-lug", GaugedOf.Watch, Mm(24, 74), Mm(28, 58),
            "Outside jaws from the lug tips at 12 to those at 6."),
        new(GaugedFigure.BarToBar, "bar-to-bar", GaugedOf.Watch, FitRanges.BarToBar, Mm(24, 54),
            "Straight from bar to bar, centre to centre; with fitted end links, between the first pivots that move."),
        new(GaugedFigure.BarRise, "bar rise", GaugedOf.Watch, FitRanges.BarRise, Mm(0, 8),
            "Head on the flat, depth rod from the bar’s centre down to the plane of the case back."),
        new(GaugedFigure.CaseHeight, "case height", GaugedOf.Watch, Mm(2, 30), Mm(5, 17),
            "Outside jaws from the case back to the top of the crystal; gently, glass first."),
        new(GaugedFigure.BarGap, "bar gap", GaugedOf.Watch, Mm(0, 10), Mm(0.8m, 5),
            "Clear room from the bar’s centre line to the case: feel it with pin gauges or the jaws’ tips."),
        new(GaugedFigure.LugHole, "lug hole", GaugedOf.Watch, Mm(0.3m, 4), Mm(0.7m, 1.6m),
            "Diameter of the hole in the lug: the largest pin that drops in."),
        new(GaugedFigure.OwnBar, "own bar", GaugedOf.Watch, Mm(0.5m, 5), Mm(1, 2.6m),
            "Outside jaws across the watch’s own screwed bar, in its middle."),
        new(GaugedFigure.SlotHeight, "slot height", GaugedOf.Watch, Mm(0.5m, 8), Mm(1, 4),
            "Clear height of the slot the strap’s end slides into."),
        new(GaugedFigure.BandWidth, "band width", GaugedOf.Band, Mm(6, 40), Mm(8, 26),
            "Outside jaws across the band, at the lugs."),
        new(GaugedFigure.BandEnd, "band end", GaugedOf.Band, Mm(0.5m, 12), Mm(1, 6),
            "Outside jaws over the band’s end, where it lies at the bar."),
        new(GaugedFigure.BandThickness, "band thickness", GaugedOf.Band, Mm(0.6m, 12), Mm(1, 6),
            "Outside jaws over the band where it lies on the wrist, a hand’s width from the lugs."),
        new(GaugedFigure.ClaspEnd, "clasp end", GaugedOf.Band, Mm(4, 40), Mm(6, 26),
            "Outside jaws across the band where the clasp begins; never taken from the lug width."),
        new(GaugedFigure.LinkPitch, "link pitch", GaugedOf.Band, FitRanges.Pitch, Mm(3.5m, 14),
            "From one pin’s centre to the next; best over five links, divided by five."),
        new(GaugedFigure.Wrist, "wrist", GaugedOf.Wrist, Mm(60, 320), Mm(130, 220),
            "Tape snug round the wrist, where the watch is worn, hand open and flat."),
        new(GaugedFigure.WristWidth, "wrist width", GaugedOf.Wrist, Mm(25, 110), Mm(42, 80),
            "Outside jaws across the wrist, touching, not pressing."),
        new(GaugedFigure.WristDepth, "wrist depth", GaugedOf.Wrist, Mm(20, 90), Mm(30, 64),
            "Outside jaws through the wrist from back to palm side, touching, not pressing."),
        new(GaugedFigure.ClaspInner, "clasp inside", GaugedOf.Clasp, Mm(4, 40), Mm(6, 26),
            "Inside jaws between the clasp’s walls, where the band’s end goes in."),
        new(GaugedFigure.ClaspThroat, "throat", GaugedOf.Clasp, Mm(0.5m, 12), Mm(1, 7),
            "Clear height for the strap, between the bar and the cover."),
        new(GaugedFigure.ClaspTube, "end tube", GaugedOf.Clasp, Mm(1, 30), Mm(2, 14),
            "Outside jaws along the tube that enters the band: its length alone."),
        new(GaugedFigure.OverButtons, "over buttons", GaugedOf.Clasp, Mm(4, 46), Mm(8, 30),
            "Outside jaws over both buttons, touching; the buttons not pressed."),
        new(GaugedFigure.ClaspBar, "clasp bar", GaugedOf.Clasp, Mm(0.4m, 4), Mm(0.8m, 2),
            "Outside jaws across the bar, in its middle; at both joints, for they may differ."),
        new(GaugedFigure.ClaspBarLength, "bar length", GaugedOf.Clasp, Mm(4, 40), Mm(6, 26),
            "Outside jaws from tip to tip of the bar, out of the clasp."),
        new(GaugedFigure.MicroPitch, "hole pitch", GaugedOf.Clasp, Mm(0.05m, 10), Mm(1, 4),
            "From one hole in the cover’s side to the next; best over all of them, divided."),
        new(GaugedFigure.Extension, "extension", GaugedOf.Clasp, Mm(1, 60), Mm(8, 40),
            "What the loop gains with the second fold out, along the curve."),
        new(GaugedFigure.EndNotch, "end notch", GaugedOf.Clasp, Mm(1, 30), Mm(2, 15),
            "Inside jaws in the notch of the band’s end, where the tube goes."),
        new(GaugedFigure.EndBore, "end bore", GaugedOf.Clasp, Mm(0.3m, 4), Mm(0.7m, 2.2m),
            "The largest pin gauge that drops through the band’s end, at the fold."),
        new(GaugedFigure.OtherEndBore, "other end bore", GaugedOf.Clasp, Mm(0.3m, 4), Mm(0.7m, 2.2m),
            "The same at the clasp’s other joint, by the micro-adjust."),
        new(GaugedFigure.PinDiameter, "pin diameter", GaugedOf.Clasp, Mm(0.3m, 4), Mm(0.7m, 2),
            "Outside jaws across a pin of the clasp; when it is lost, leave it and gauge the bore."),
        new(GaugedFigure.PinLength, "pin length", GaugedOf.Clasp, Mm(3, 40), Mm(6, 26),
            "Outside jaws along the pin; when it is lost, the band’s width at the clasp tells it."),
    ];

    /// <summary>The kind of a figure.</summary>
    public static FigureKind For(GaugedFigure figure) => All[(int)figure];

    private static AllowedLength Mm(decimal lowest, decimal highest) => AllowedLength.Mm(lowest, highest);
}
