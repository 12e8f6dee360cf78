using IronLoop.Core.Bands;
using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Bench;

/// <summary>
/// Links out or in by their count alone: no figure is needed for the hands. The rest of each row is one thing whose joints stay
/// closed; of what is worked only the marked links and the one before the clasp are told apart.
/// </summary>
/// <param name="Twelve">How many come out of the 12 side; fewer than none where as many go in.</param>
/// <param name="Six">How many come out of the 6 side.</param>
public readonly record struct Counted(int Twelve, int Six)
{
    /// <summary>A link of a row whose pitch nobody gauged: all of them are taken to be alike, which the first look settles.</summary>
    public static readonly LinkKind Link = new(FitRanges.Pitch.Lowest);

    /// <summary>How many come out of a side.</summary>
    public int On(Side side) => side == Side.Twelve ? Twelve : Six;

    /// <summary>The bracelet as far as it is told apart.</summary>
    /// <param name="band">The band it is, with whatever is known of it.</param>
    public LinkBracelet Bracelet(Band band)
    {
        var (twelve, six) = (Row(Twelve), Row(Six));
        return new LinkBracelet(
            band.Facts with { SolidEnd = true }, band.Thickness, band.ClaspName,
            new Bracelet([.. twelve.Where(IsThere).Select(Lies)], [.. six.Where(IsThere).Select(Lies)]),
            new BraceletClasp(Length.Zero, Length.Zero, Side.Twelve, 1, Length.Zero, 0))
        {
            Loose = [new SpareLinks(Link.Pitch, Math.Max(0, -Twelve) + Math.Max(0, -Six))],
            JoinedBy = band.Fastener,
            Across = band.Pin,
            ClaspKind = band.ClaspKind,
            HasFlap = band.HasFlap,
            ClaspEnd = band.ClaspEnd,
        };
    }

    /// <summary>Its links as they shall lie.</summary>
    public Arrangement Plan => new(Row(Twelve), Row(Six), 0);

    /// <summary>A job's facts, when nothing is known of its bracelet but how many links leave or come.</summary>
    /// <param name="facts">The job, with whatever its band is called and whoever owns it.</param>
    public BenchFacts Of(BenchFacts facts) => facts with
    {
        Counted = this,
        Band = Bracelet(facts.Band),
        Plan = Plan,
        // The marked ones leave from between two that stay; where a house lets runs leave at the clasp, it has to know more.
        Setup = facts.Setup with { Runs = RunSchool.InsideTheLinks },
    };

    private static bool IsThere(PlacedLink link) => link.Fate != LinkFate.Joins;

    private static Link Lies(PlacedLink link) => new(link.Pitch, true);

    /// <summary>The end of the rest, the links that leave or come, and the one before the clasp.</summary>
    private static PlacedLink[] Row(int leave) =>
    [
        new(Link.Pitch, LinkFate.Stays),
        .. Enumerable.Repeat(new PlacedLink(Link.Pitch, LinkFate.Leaves), Math.Max(0, leave)),
        new(Link.Pitch, LinkFate.Stays),
        .. Enumerable.Repeat(PlacedLink.Joining(Link), Math.Max(0, -leave)),
    ];
}

/// <summary>Something of the shop's that is lent for the work and comes back when it is done.</summary>
/// <param name="Name">What it is, one of it: "fitting pin".</param>
/// <param name="Count">How many.</param>
/// <param name="Drawer">Which drawer they lie in.</param>
public sealed record Lent(string Name, int Count, string Drawer);
