using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Joints;

namespace IronLoop.Core.HandOver;

/// <summary>The band as it leaves the shop: what the next visit begins with.</summary>
public static class LeftBand
{
    /// <summary>The band as it leaves.</summary>
    /// <param name="band">The band with the clasp it leaves with, as marked for this job.</param>
    /// <param name="unmarked">The same before anything was marked on it: what a fitter would not take is loose again next time.</param>
    /// <param name="arrangement">How its links lie when it leaves.</param>
    /// <param name="bag">How many links of a kind went into the owner's bag.</param>
    /// <param name="links">What was found to join its links.</param>
    public static Band Of(Band band, Band unmarked, Arrangement arrangement, Func<LinkKind, int> bag, JointLook links)
    {
        if (band is not LinkBracelet { Closes: var clasp } bracelet)
            return band;
        return bracelet with
        {
            Rows = new Bracelet(Row(unmarked, arrangement, Side.Twelve), Row(unmarked, arrangement, Side.Six)),
            Closes = clasp with { Position = Math.Min(arrangement.Position, clasp.Positions - 1) },
            Loose = Bagged(band, arrangement, bag),
            WithTheClasp = default,
            JoinedBy = links.Fastener == Fastener.NotLookedAt ? band.Fastener : links.Fastener,
            Across = links.Across ?? band.Pin,
        };
    }

    private static List<Link> Row(Band unmarked, Arrangement arrangement, Side side)
    {
        var (row, came) = (arrangement.On(side), unmarked.Links!.On(side));
        return
        [
            .. row.Select((link, i) => (link, i)).Where(l => l.link.InLoop).Select(l => new Link(
                l.link.Pitch, l.link.Fate != LinkFate.Fixed || (l.i < came.Count && came[l.i].Removable))
            {
                Mark = l.link.Mark,
                OneSided = l.link.OneSided,
            }),
        ];
    }

    // The bag was counted: what was lost or laid back in stock is not in it.
    private static List<SpareLinks> Bagged(Band band, Arrangement arrangement, Func<LinkKind, int> bag) =>
    [
        .. arrangement.LooseLinks(band.Spares)
            .Select(l => new SpareLinks(l.Kind.Pitch, Math.Min(l.Count, bag(l.Kind))) { Mark = l.Kind.Mark })
            .Where(s => s.Count > 0)
            .GroupBy(s => s.Kind)
            .Select(g => new SpareLinks(g.Key.Pitch, g.Sum(s => s.Count)) { Mark = g.Key.Mark }),
    ];
}
