using IronLoop.Core.Bands;
using IronLoop.Core.Fitting;
using IronLoop.Core.Joints;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Shelf;
using IronLoop.Storage;

namespace IronLoop.Server.Host.Demo;

/// <summary>The bands of the demo: stock of the bench on the landing, and owners' own.</summary>
internal static class DemoBands
{
    public static IReadOnlyList<StockBand> Stock =>
    [
        Bracelet("SK-2011", "Three-row bracelet", 20, "brushed", solid: true, Row(9.0m, 2, 8.2m, 7), Row(9.0m, 2, 8.2m, 6),
            new BraceletClasp(Mm(18.4m), Mm(19.6m), Side.Twelve, 5, Mm(2.4m), 2), "fold-over with safety flap", 3.4m, 8_900, 3),
        Bracelet("SK-2012", "Flat-link bracelet with half links", 20, "polished", solid: true,
            [.. Row(8.6m, 2, 8.6m, 6), new Link(Mm(5.0m), true)], Row(8.6m, 2, 8.6m, 6),
            new BraceletClasp(Mm(17.0m), Mm(21.5m), Side.Six, 6, Mm(2.0m), 2), "fold-over", 3.2m, 11_500, 2),
        Bracelet("SK-2014", "Broad-link bracelet", 20, "brushed", solid: true, Row(10.8m, 1, 10.8m, 6), Row(10.8m, 1, 10.8m, 5),
            new BraceletClasp(Mm(15.0m), Mm(15.0m), Side.Twelve, 1, Length.Zero, 0), "butterfly with push buttons", 3.6m, 9_400, 2),
        Bracelet("SK-1821", "Fine-link bracelet", 18, "polished", solid: false, Row(5.4m, 3, 5.4m, 10), Row(5.4m, 3, 5.4m, 10),
            new BraceletClasp(Mm(16.5m), Mm(17.5m), Side.Twelve, 4, Mm(2.5m), 1), "fold-over", 2.6m, 6_200, 2),
        Bracelet("SK-2231", "Harbour bracelet", 22, "brushed", solid: true, Row(10.0m, 2, 9.0m, 7), Row(10.0m, 2, 9.0m, 6),
            new BraceletClasp(Mm(20.0m), Mm(22.5m), Side.Six, 8, Mm(1.8m), 3), "fold-over with slide", 3.8m, 13_900, 2),
        Strap("SK-L18", "Calf strap", 18, BandMaterial.Leather, "brown", BandAttachment.LooseBar, 2.4m, 68, 108, 52, 7, 3_400, 6),
        Strap("SK-L20", "Calf strap", 20, BandMaterial.Leather, "brown", BandAttachment.LooseBar, 2.8m, 75, 118, 58, 7, 3_600, 5),
        Strap("SK-L20X", "Calf strap, long", 20, BandMaterial.Leather, "black", BandAttachment.QuickRelease, 2.8m, 80, 130, 66, 7, 3_900, 2),
        Strap("SK-L22", "Saddle strap", 22, BandMaterial.Leather, "tan", BandAttachment.LooseBar, 3.4m, 78, 122, 62, 7, 4_400, 3),
        Strap("SK-L21", "Goat strap", 21, BandMaterial.Leather, "black", BandAttachment.LooseBar, 2.0m, 74, 116, 58, 7, 3_800, 1),
        Strap("SK-T20", "Woven strap", 20, BandMaterial.Textile, "grey", BandAttachment.QuickRelease, 1.8m, 76, 120, 56, 8, 2_200, 8),
        Strap("SK-T18", "Woven strap", 18, BandMaterial.Textile, "navy", BandAttachment.QuickRelease, 1.6m, 70, 112, 52, 8, 2_100, 4),
        Strap("SK-R22", "Rubber strap", 22, BandMaterial.Rubber, "black", BandAttachment.LooseBar, 4.0m, 80, 128, 60, 9, 2_900, 4),
        Strap("SK-E20", "Open-end strap", 20, BandMaterial.Textile, "olive", BandAttachment.OpenEnd, 2.0m, 76, 120, 58, 7, 2_600, 2),
        Strap("SK-S20", "Slot strap, last of its make", 20, BandMaterial.Leather, "black", BandAttachment.ScrewThrough, 2.2m, 74, 118, 58, 7, 7_800, 0),
        OnePiece("SK-P20", "Ribbed pull-through", 20, "grey and red", 1.2m, 168, 12, 2_400, 5),
        OnePiece("SK-P22", "Ribbed pull-through", 22, "black", 1.4m, 172, 12, 2_500, 3),
        OnePiece("SK-P18", "Fine pull-through", 18, "sand", 1.0m, 160, 12, 2_300, 2),
        Mesh("SK-M20", "Fine mesh", 20, "polished", 1.6m, 126, 186, 0, true, 5_900, 2),
        Mesh("SK-M18", "Fine mesh", 18, "polished", 1.4m, 118, 172, 28, false, 5_500, 2),
        Mesh("SK-M22", "Broad mesh", 22, "brushed", 2.2m, 132, 196, 33, null, 6_400, 1),
        Curved(Strap("SK-C20", "Curved-end strap", 20, BandMaterial.Leather, "brown", BandAttachment.LooseBar, 3.2m, 75, 118, 58, 7, 4_600, 2)),
        Curved(Strap("SK-CR22", "Curved-end rubber", 22, BandMaterial.Rubber, "black", BandAttachment.LooseBar, 4.2m, 80, 128, 60, 9, 4_900, 2)),
        Strap("SK-N18", "Notched strap, family TS7", 18, BandMaterial.Rubber, "white", BandAttachment.ScrewThrough, 3.0m, 70, 112, 54, 7, 5_600, 1, "TS7"),
    ];

    /// <summary>The spring bars of the bench.</summary>
    public static IReadOnlyList<SpringBar> Bars =>
    [
        .. ((decimal[])[18, 20, 21, 22]).SelectMany(length => (SpringBar[])
        [
            new($"SB-{length}-15", Mm(length), Mm(1.5m), Mm(0.8m), false, BarStyle.Plain, 20),
            new($"SB-{length}-18F", Mm(length), Mm(1.8m), Mm(0.9m), false, BarStyle.Flanged, 24),
            new($"SB-{length}-15C", Mm(length), Mm(1.5m), Mm(0.8m), true, BarStyle.Plain, 8),
            new($"SB-{length}-13", Mm(length), Mm(1.3m), Mm(0.7m), false, BarStyle.Flanged, 12),
        ]),
        new("SCB-20-16", Mm(20), Mm(1.6m), Mm(1.2m), false, BarStyle.Screwed, 4),
    ];

    /// <summary>An owner's bracelet with long links and two micro positions: it never closes right, whatever is taken out.</summary>
    public static StockBand BetweenSizes(long owner) =>
        Bracelet("OWN-ORREL", "Own broad-link bracelet", 22, "brushed", solid: true, Row(11.2m, 2, 11.2m, 6), Row(11.2m, 2, 11.2m, 5),
            new BraceletClasp(Mm(19.0m), Mm(18.0m), Side.Twelve, 2, Mm(1.5m), 0), "fold-over, two holes", 4.0m, 0, 1) with
        { OwnerClientId = owner };

    /// <summary>A returning owner's bracelet, sized down once; its two links wait in the bag.</summary>
    public static StockBand WithBag(long owner)
    {
        var own = Bracelet("OWN-FENWICK", "Own three-row bracelet, bag of two links", 20, "polished", solid: true,
            Row(8.2m, 2, 8.2m, 5), Row(8.2m, 2, 8.2m, 4),
            new BraceletClasp(Mm(18.4m), Mm(19.6m), Side.Twelve, 5, Mm(2.4m), 4), "fold-over with safety flap", 3.4m, 0, 1);
        return own with { OwnerClientId = owner, Band = (LinkBracelet)own.Band with { Loose = [new SpareLinks(Mm(8.2m), 2)] } };
    }

    /// <summary>A small wrist's bracelet: only two links come out on the 12 side, so the clasp drifts.</summary>
    public static StockBand SmallWrist(long owner) =>
        Bracelet("OWN-LINNET", "Own bracelet, few links come out", 18, "brushed", solid: true,
            // The link beside the clasp looks fixed; it comes free at the clasp's joint, where an end piece of 1.6 mm stays.
            [.. Row(7.6m, 6, 7.6m, 1), new Link(Mm(9.2m), false)], Row(7.6m, 3, 7.6m, 5),
            new BraceletClasp(Mm(18.0m), Mm(18.0m), Side.Six, 4, Mm(2.2m), 1), "fold-over", 3.0m, 0, 1) with
        { OwnerClientId = owner };

    /// <summary>An owner's bracelet of a usual make.</summary>
    public static Func<long, StockBand> Own(string name) => owner => Bracelet(
        "OWN-BRACELET", name, 20, "brushed", solid: true, Row(8.6m, 2, 8.2m, 8), Row(8.6m, 2, 8.2m, 7),
        new BraceletClasp(Mm(18.4m), Mm(19.6m), Side.Twelve, 5, Mm(2.4m), 4), "fold-over with safety flap", 3.4m, 0, 1) with
    { OwnerClientId = owner };

    /// <summary>An owner's bracelet that narrows to 18 mm, so that a half link of that width goes in at the clasp.</summary>
    public static StockBand OneSizeShort(long owner)
    {
        var own = Own("Own bracelet, one size short")(owner);
        return own with { Band = (LinkBracelet)own.Band with { ClaspEnd = Mm(18), Rows = new Bracelet(Row(8.6m, 2, 8.2m, 4), Row(8.6m, 2, 8.2m, 3)) } };
    }

    /// <summary>An owner's strap.</summary>
    public static Func<long, StockBand> OwnStrap(string name) => owner =>
        Strap("OWN-STRAP", name, 20, BandMaterial.Leather, "tan", BandAttachment.LooseBar, 2.6m, 75, 118, 58, 7, 0, 1) with { OwnerClientId = owner };

    private static StockBand Bracelet(
        string article, string name, decimal width, string finish, bool solid, Link[] twelve, Link[] six, BraceletClasp clasp, string claspName,
        decimal thickness, long price, int inStock) =>
        new(0, article, name, null, finish, "steel", price, inStock, new LinkBracelet(
            new BandFacts(BandKind.LinkBracelet, BandMaterial.Metal, Mm(width), BandAttachment.LooseBar, solid, null)
            {
                EndThickness = Mm(thickness - 0.6m),
                TubeBore = Mm(solid ? 1.9m : 1.6m),
                NickelSafe = article is "SK-2012" or "SK-2231" ? true : null,
                Finish = finish,
                Colour = "steel",
            },
            Mm(thickness), claspName, new Bracelet(twelve, six), clasp)
        {
            JoinedBy = Joins(article).Fastener,
            Across = Joins(article).Pin,
        });

    /// <summary>What joins the links: one bracelet for each fastener.</summary>
    private static (Fastener Fastener, Length? Pin) Joins(string article) => article switch
    {
        "SK-2012" => (Fastener.Screw, null),
        "SK-2014" => (Fastener.ScrewInTube, null),
        "SK-1821" or "OWN-ORREL" => (Fastener.PinWithTube, Mm(0.9m)),
        "OWN-LINNET" => (Fastener.SpringBar, null),
        _ => (Fastener.SplitPin, Mm(1.0m)),
    };

    private static StockBand Strap(
        string article, string name, decimal width, BandMaterial material, string colour, BandAttachment attaches, decimal thickness,
        decimal bucklePiece, decimal tail, decimal firstHole, int holes, long price, int inStock, string? family = null) =>
        new(0, article, name, null, material == BandMaterial.Leather ? "smooth" : "plain", colour, price, inStock, new TwoPieceBand(
            new BandFacts(BandKind.TwoPiece, material, Mm(width), attaches, null, family)
            {
                EndThickness = Mm(thickness + 0.4m),
                TubeBore = attaches == BandAttachment.LooseBar ? Mm(1.9m) : null,
                Finish = material == BandMaterial.Leather ? "smooth" : "plain",
                Colour = colour,
            },
            Mm(thickness), "pin buckle", new TwoPieceStrap(Mm(bucklePiece), Mm(tail), Mm(firstHole), Mm(6.5m), holes))
        { ClaspEnd = Mm(width - 2) });

    private static StockBand Curved(StockBand strap) =>
        strap with { Band = strap.Band with { Facts = strap.Band.Facts with { End = BandEnd.Curved } } };

    private static StockBand OnePiece(
        string article, string name, decimal width, string colour, decimal layer, decimal firstHole, int holes, long price, int inStock) =>
        new(0, article, name, null, "plain", colour, price, inStock, new PulledThroughBand(
            new BandFacts(BandKind.OnePiece, BandMaterial.Textile, Mm(width), BandAttachment.PullThrough, null, null)
            {
                EndThickness = Mm(layer),
                Finish = "plain",
                Colour = colour,
            },
            Mm(layer), "pin buckle", new OnePieceBand(Mm(firstHole), Mm(7), holes, Mm(layer), null)));

    private static StockBand Mesh(
        string article, string name, decimal width, string finish, decimal thickness, decimal shortest, decimal longest, int notches, bool? nickelSafe,
        long price, int inStock) =>
        new(0, article, name, null, finish, "steel", price, inStock, new MeshBracelet(
            new BandFacts(BandKind.Mesh, BandMaterial.Metal, Mm(width), BandAttachment.LooseBar, null, null)
            {
                EndThickness = Mm(thickness + 0.8m),
                TubeBore = Mm(1.8m),
                NickelSafe = nickelSafe,
                Finish = finish,
                Colour = "steel",
            },
            Mm(thickness), "slide clasp", new MeshBand(Mm(shortest), Mm(longest), notches)));

    private static Link[] Row(decimal fixedPitch, int fixedCount, decimal pitch, int count) =>
        [.. Enumerable.Repeat(new Link(Mm(fixedPitch), false), fixedCount), .. Enumerable.Repeat(new Link(Mm(pitch), true), count)];

    private static Length Mm(decimal millimetres) => Length.FromMillimetres(millimetres);
}
