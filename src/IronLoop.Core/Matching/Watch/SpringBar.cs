using IronLoop.Core.Measuring;

namespace IronLoop.Core.Matching;

/// <summary>How a spring bar's end is held by a tool.</summary>
public enum BarStyle
{
    /// <summary>Plain.</summary>
    Plain,

    /// <summary>Flanged: a fork hooks it from behind.</summary>
    Flanged,

    /// <summary>With a lever of its own.</summary>
    QuickRelease,

    /// <summary>A screwed bar, for lugs with screwed bars; its tip is the thread.</summary>
    Screwed,
}

/// <summary>A spring bar, or a screwed one, as stocked.</summary>
/// <param name="Article">Its article number.</param>
/// <param name="Length">Nominal length.</param>
/// <param name="Body">Diameter of the body.</param>
/// <param name="Tip">Diameter of the tips.</param>
/// <param name="Curved">Whether it is curved.</param>
/// <param name="Style">How it is held.</param>
/// <param name="InStock">How many there are.</param>
public sealed record SpringBar(string Article, Length Length, Length Body, Length Tip, bool Curved, BarStyle Style, int InStock)
{
    /// <summary>What it is, in words.</summary>
    public string Says => $"{Article}: {Length} long, {Body} body, {Tip} tip{(Curved ? ", curved" : "")}{Style switch
    {
        BarStyle.Flanged => ", flanged",
        BarStyle.QuickRelease => ", with a lever",
        BarStyle.Screwed => ", screwed",
        _ => "",
    }}";
}

/// <summary>What a bar is chosen for.</summary>
/// <param name="LugWidth">Clear distance between the lugs.</param>
/// <param name="LugHole">Diameter of the lug hole.</param>
/// <param name="TubeBore">Bore of the band's tube.</param>
/// <param name="Curved">Whether the band's end or the bar gap asks for a curved one.</param>
/// <param name="ByFork">Whether a fork will be used from behind.</param>
public sealed record BarWish(Length LugWidth, Length LugHole, Length TubeBore, bool Curved, bool ByFork);

/// <summary>Chooses a spring bar from stock.</summary>
public static class SpringBarChoice
{
    /// <summary>The bars of the right length whose tips go into the lug hole.</summary>
    public static IEnumerable<SpringBar> ForLugs(IEnumerable<SpringBar> stock, Length lugWidth, Length lugHole, HouseLimits limits) =>
        OfLength(stock, lugWidth, limits).Where(b => GoesIn(b, lugHole, limits));

    /// <summary>Whether a bar's tips go into a lug hole.</summary>
    public static bool GoesIn(SpringBar bar, Length lugHole, HouseLimits limits) => bar.Tip + limits[Limit.TipRoom] <= lugHole;

    /// <summary>The bars of the right length, whatever their tips.</summary>
    public static IEnumerable<SpringBar> OfLength(IEnumerable<SpringBar> stock, Length lugWidth, HouseLimits limits) =>
        stock.Where(b => b.InStock > 0 && b.Style != BarStyle.Screwed
            && b.Length >= lugWidth - limits[Limit.BarShorter] && b.Length <= lugWidth + limits[Limit.BarLonger]);

    /// <summary>
    /// The thickest that passes the band's tube; of these one that is curved, and flanged, as wished; then the longest.
    /// </summary>
    /// <returns>Null when none passes.</returns>
    public static SpringBar? Choose(IEnumerable<SpringBar> stock, BarWish wish, HouseLimits limits) =>
        ForLugs(stock, wish.LugWidth, wish.LugHole, limits)
            .Where(b => b.Body + limits[Limit.TubeRoom] <= wish.TubeBore)
            .OrderByDescending(b => b.Curved == wish.Curved)
            .ThenByDescending(b => b.Body)
            .ThenByDescending(b => wish.ByFork == (b.Style == BarStyle.Flanged))
            .ThenBy(b => (b.Length - wish.LugWidth).Abs())
            .ThenBy(b => b.Article, StringComparer.Ordinal)
            .FirstOrDefault();
}
