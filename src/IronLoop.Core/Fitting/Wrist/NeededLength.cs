using IronLoop.Core.Measuring;

namespace IronLoop.Core.Fitting;

/// <summary>The head as the band meets it.</summary>
/// <param name="BarToBar">Straight distance between the two bars, or between the first pivots that move; 20 to 70 mm.</param>
/// <param name="BarRise">Height of those pivots above the plane on which the case back rests; −2 to 15 mm.</param>
public readonly record struct Head(Length BarToBar, Length BarRise)
{
    /// <summary>Rise that is assumed until measured.</summary>
    public static readonly Length AssumedRise = Length.FromMillimetres(3);

    /// <summary>What the bars are assumed to lie inside the lug tips, both ends together, until measured.</summary>
    public static readonly Length AssumedInset = Length.FromMillimetres(4);

    /// <summary>The head that is assumed from a lug-to-lug reading alone (fit model, section 1).</summary>
    public static Head AssumedFrom(Length lugToLug) => new(lugToLug - AssumedInset, AssumedRise);
}

/// <summary>Which figures of the wrist and head were assumed, not measured; uncertainty grows with each.</summary>
/// <param name="Aspect">The wrist's width over depth.</param>
/// <param name="BarRise">The height of the bars.</param>
/// <param name="BarToBar">The distance of the bars.</param>
public readonly record struct Assumed(bool Aspect, bool BarRise, bool BarToBar)
{
    /// <summary>How well other pieces of the model tell the rise, one standard deviation in millimetres; null where it is not gone by.</summary>
    public double? RiseByTheBook { get; init; }

    /// <summary>How well they tell the distance of the bars; null where it is not gone by.</summary>
    public double? BarsByTheBook { get; init; }
}

/// <summary>A needed length and its one standard deviation.</summary>
/// <param name="Needed">Length at zero ease, N, in millimetres.</param>
/// <param name="Sigma">One standard deviation of N in millimetres (fit model, section 4).</param>
public readonly record struct Need(double Needed, double Sigma)
{
    /// <summary>A needed length, and by what it is known.</summary>
    public Need(double needed, NeedSpread spread)
        : this(needed, spread.Sigma) => Spread = spread;

    /// <summary>By what the length is known, where it comes from tape and head; null where it does not.</summary>
    public NeedSpread? Spread { get; init; }
}

/// <summary>
/// The band's pivot path from one head pivot round under the wrist to the other at zero ease, N (fit model, section 1).
/// </summary>
public static class NeededLength
{
    /// <summary>Width over depth of a wrist nobody measured (house rule).</summary>
    public const decimal AssumedAspect = 1.35m;

    /// <summary>Computes N in millimetres.</summary>
    /// <param name="circumference">Tape reading, 120 to 240 mm.</param>
    /// <param name="aspect">Width over depth, 1.00 to 1.80.</param>
    /// <param name="head">The head.</param>
    /// <param name="pivotHeight">Height of the links' pivots above the skin, 0.3 to 6 mm; half the band's thickness.</param>
    /// <returns>N, or null when the head's pivots lie inside the offset ellipse and the model does not hold.</returns>
    public static double? Of(Length circumference, decimal aspect, Head head, Length pivotHeight) =>
        Of(
            circumference.ApproximateMillimetres,
            (double)aspect,
            head.BarToBar.ApproximateMillimetres,
            head.BarRise.ApproximateMillimetres,
            pivotHeight.ApproximateMillimetres);

    /// <summary>N and its uncertainty, from numeric derivatives (fit model, section 4).</summary>
    /// <returns>Both in millimetres, or null when the model does not hold.</returns>
    public static Need? WithUncertainty(Length circumference, decimal aspect, Head head, Length pivotHeight, Assumed assumed)
    {
        if (Of(circumference, aspect, head, pivotHeight) is not { } needed)
            return null;
        var w = circumference.ApproximateMillimetres;
        var k = (double)aspect;
        var b = head.BarToBar.ApproximateMillimetres;
        var h = head.BarRise.ApproximateMillimetres;
        var d = pivotHeight.ApproximateMillimetres;
        // What each figure is known to, as read; and as assumed.
        return new Need(needed, new NeedSpread(
            [
                new(Readable.Wrist, Slope(x => Of(x, k, b, h, d), w), 1.5, null),
                new(Readable.Aspect, Slope(x => Of(w, x, b, h, d), k), 0.03, assumed.Aspect ? 0.10 : null),
                new(Readable.BarRise, Slope(x => Of(w, k, b, x, d), h), 0.3, assumed.RiseByTheBook ?? (assumed.BarRise ? 1.0 : null)),
                new(Readable.BarToBar, Slope(x => Of(w, k, x, h, d), b), 0.3, assumed.BarsByTheBook ?? (assumed.BarToBar ? 2.0 : null)),
            ], 0));
    }

    /// <summary>The half loop of a head on a wrist, for drawing.</summary>
    /// <returns>The path, or null when the model does not hold.</returns>
    public static HalfLoop? Path(WristSection wrist, double barToBar, double barRise, double pivotHeight) =>
        HalfLoop.Find(wrist, new DrawnPoint(barToBar / 2, wrist.HalfDepth + barRise), pivotHeight);

    private static double? Of(double circumference, double aspect, double barToBar, double barRise, double pivotHeight) =>
        2 * Path(WristSection.FromTape(circumference, aspect), barToBar, barRise, pivotHeight)?.Length;

    /// <summary>Central difference; one-sided where the model ends on one side.</summary>
    private static double Slope(Func<double, double?> f, double at)
    {
        const double reach = 1e-3;
        var (below, above) = (f(at - reach), f(at + reach));
        return (below, above) switch
        {
            ({ } low, { } high) => (high - low) / (2 * reach),
            (null, { } high) => (high - f(at)!.Value) / reach,
            ({ } low, null) => (f(at)!.Value - low) / reach,
            _ => 0,
        };
    }
}
