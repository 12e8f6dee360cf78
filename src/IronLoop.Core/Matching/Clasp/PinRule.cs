using IronLoop.Core.Measuring;

namespace IronLoop.Core.Matching;

/// <summary>A friction pin.</summary>
/// <param name="Diameter">Its diameter.</param>
/// <param name="Length">Its length.</param>
public sealed record FrictionPin(Length Diameter, Length Length);

/// <summary>
/// The rule <c>pin</c>: a pin that holds by friction in a band's bore, and whose ends lie just below the band's edges.
/// </summary>
public static class PinRule
{
    /// <summary>The rule's name.</summary>
    public const string Name = "pin";

    /// <summary>Whether a pin holds: not thicker than the bore, not too thin to hold, not longer than the band is wide nor much shorter.</summary>
    public static bool Holds(FrictionPin pin, Length bore, Length bandWidth, HouseLimits limits)
    {
        var play = bore - pin.Diameter;
        var under = bandWidth - pin.Length;
        return play >= Length.Zero && play <= limits[Limit.PinPlay] && under >= Length.Zero && under <= limits[Limit.PinShorter];
    }

    /// <summary>
    /// The size to look for: by a pin of its own when one is left, else from the bore and the band's width at the clasp.
    /// </summary>
    /// <returns>Null when neither is known.</returns>
    public static FrictionPin? Wanted(FrictionPin? own, Length? bore, Length? bandWidth) =>
        own ?? (bore is { } hole && bandWidth is { } width ? new FrictionPin(hole, width) : null);

    /// <summary>The one that holds tightest among several, and of these the longest.</summary>
    /// <returns>Null when none holds.</returns>
    public static TPin? Choose<TPin>(IEnumerable<TPin> stock, Func<TPin, FrictionPin> of, Length bore, Length bandWidth, HouseLimits limits)
        where TPin : class =>
        stock.Where(p => Holds(of(p), bore, bandWidth, limits)).OrderByDescending(p => of(p).Diameter).ThenByDescending(p => of(p).Length).FirstOrDefault();

    /// <summary>Judges what is at hand.</summary>
    /// <param name="bore">Bore of the tube or of the band's end.</param>
    /// <param name="bandWidth">Width of the band at the clasp.</param>
    /// <param name="stock">The pins at hand.</param>
    /// <param name="limits">The house's limits.</param>
    public static RuleVerdict Judge(Length? bore, Length? bandWidth, IEnumerable<FrictionPin> stock, HouseLimits limits)
    {
        if (bandWidth is not { } width)
            return new RuleVerdict(Name, Verdict.Unknown, "Measure the band at its clasp end.");
        if (bore is not { } hole)
            return OfUsualBores(width, [.. stock], limits);
        return Choose(stock, p => p, hole, width, limits) is { } pin
            ? new RuleVerdict(Name, Verdict.Fits, $"A pin of {pin.Diameter} by {pin.Length} holds in a {hole} bore, {width} wide.")
            : new RuleVerdict(Name, Verdict.No, $"No pin at hand holds in a {hole} bore, {width} wide: wanted are {hole} across and {width} long.");
    }

    /// <summary>
    /// Pins come in steps and hold in a narrow one of them each, so the middle of what is usual says nothing: where some pin at hand is for a usual
    /// bore, one that holds is likely to be found.
    /// </summary>
    private static RuleVerdict OfUsualBores(Length width, IReadOnlyList<FrictionPin> stock, HouseLimits limits)
    {
        var usual = UsualRange.ClaspBore(isSoft: false, limits);
        var held = stock.Where(p => p.Diameter + limits[Limit.PinPlay] >= usual.From && p.Diameter <= usual.To && Holds(p, p.Diameter, width, limits)).ToList();
        return held.Count == 0
            ? new RuleVerdict(Name, Verdict.No, $"No pin at hand is {width} long and of a usual bore, {usual}.")
            : new RuleVerdict(Name, Verdict.Fits, $"Pins of {held.Min(p => p.Diameter)} to {held.Max(p => p.Diameter)} are at hand, {width} wide: gauge the bore for the one that holds.") with
            {
                Open = Openness.Looked(OpenFigure.ClaspBore, Verdict.Fits, Verdict.No),
            };
    }
}
