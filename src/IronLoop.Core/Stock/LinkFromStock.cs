using IronLoop.Core.Bands;
using IronLoop.Core.Fitting;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Stock;

/// <summary>Loose links from stock that go into a bracelet.</summary>
public static class LinkFromStock
{
    /// <summary>
    /// Whether a link is as wide as a bracelet is somewhere between its lugs and its clasp, within what the house lets metal miss.
    /// </summary>
    public static bool Suits(StockedLink link, Band band, HouseLimits limits)
    {
        var (wide, end) = (band.Facts.Width, band.ClaspEnd ?? band.Facts.Width);
        return link.Width >= (end < wide ? end : wide) - limits[Limit.MetalFits] && link.Width <= Length.Max(end, wide) + limits[Limit.MetalReading];
    }

    /// <summary>How many links of a pitch an arrangement needs beyond those the owner has.</summary>
    /// <param name="arrangement">The links as they lie.</param>
    /// <param name="own">The owner's own loose links.</param>
    /// <param name="pitch">The pitch of the link from stock.</param>
    public static int Needed(Arrangement arrangement, IReadOnlyList<SpareLinks> own, Length pitch) =>
        Math.Max(0, -arrangement.LooseLinks(own).Where(l => l.Kind == new LinkKind(pitch)).Sum(l => l.Count));
}
