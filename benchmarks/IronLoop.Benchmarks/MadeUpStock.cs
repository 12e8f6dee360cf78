using IronLoop.Core.Bands;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Shelf;

namespace IronLoop.Benchmarks;

/// <summary>A made-up stock of any size: every kind of band, in the widths, lengths and looks that suppliers list.</summary>
internal static class MadeUpStock
{
    private static readonly string[] Colours = ["black", "brown", "tan", "grey", "navy", "olive", "sand", "red"];

    private static readonly decimal[] Bodies = [1.3m, 1.5m, 1.8m];

    public static IEnumerable<Shelved> Of(int count)
    {
        var random = new Random(20_26);
        var known = new Dictionary<string, ShelfReach>(StringComparer.Ordinal);
        ShelfReach? ReachOf(Band band)
        {
            if (band.Links is null)
                return null;
            var madeOf = ShelfReach.MadeOf(band);
            return known.TryGetValue(madeOf, out var reach) ? reach : known[madeOf] = ShelfReach.Of(band);
        }
        for (var i = 0; i < count; i++)
        {
            var width = Length.FromMillimetres(16 + random.Next(17) * 0.5m);
            var band = Make(random, width);
            yield return new Shelved(i, band, 1_500 + random.Next(150) * 100, random.Next(6), ReachOf(band));
        }
    }

    public static Figures Watch => (Figures.None with
    {
        Attachment = Attachment.SpringBarDrilled,
        CaseShape = CaseShape.Round,
        Wear = WearPreference.Regular,
        Wishes = new Wishes(Water: true, CaseFinish: "brushed", CaseColour: "steel"),
    })
        .With(GaugedFigure.LugWidth, Mm(20)).With(GaugedFigure.BarToBar, Mm(44)).With(GaugedFigure.BarRise, Mm(3)).With(GaugedFigure.Wrist, Mm(170))
        .With(GaugedFigure.BarGap, Mm(2.2m)).With(GaugedFigure.LugHole, Mm(1.1m)).With(GaugedFigure.CaseHeight, Mm(11.5m));

    public static House House => new(
        [.. Enumerable.Range(32, 17).SelectMany(half => Bodies.Select(body =>
            new SpringBar($"SB-{half}-{body}", Mm(half * 0.5m), Mm(body), Mm(0.8m), false, BarStyle.Plain, 10)))],
        HouseLimits.Usual);

    private static Band Make(Random random, Length width)
    {
        var kind = random.Next(10);
        return kind switch
        {
            < 5 => Strap(random, width),
            < 7 => OnePiece(random, width),
            < 8 => Mesh(random, width),
            _ => Bracelet(random, width),
        };
    }

    private static TwoPieceBand Strap(Random random, Length width)
    {
        var thickness = Mm(1.8m + random.Next(12) * 0.2m);
        var material = (BandMaterial)random.Next(3);
        var size = random.Next(4) * 4;
        return new TwoPieceBand(
            new BandFacts(BandKind.TwoPiece, material, width, (BandAttachment)random.Next(2), null, null)
            {
                EndThickness = thickness + Mm(0.4m),
                TubeBore = Mm(1.9m),
                End = random.Next(6) == 0 ? BandEnd.Curved : BandEnd.Straight,
                Colour = Colours[random.Next(Colours.Length)],
            },
            thickness, "pin buckle", new TwoPieceStrap(Mm(68 + size), Mm(112 + size), Mm(52 + size), Mm(6.5m), 7));
    }

    private static PulledThroughBand OnePiece(Random random, Length width)
    {
        var layer = Mm(0.9m + random.Next(5) * 0.1m);
        return new PulledThroughBand(
            new BandFacts(BandKind.OnePiece, BandMaterial.Textile, width, BandAttachment.PullThrough, null, null)
            {
                EndThickness = layer,
                Colour = Colours[random.Next(Colours.Length)],
            },
            layer, "pin buckle", new OnePieceBand(Mm(160 + random.Next(4) * 5), Mm(7), 12, layer, null));
    }

    private static MeshBracelet Mesh(Random random, Length width)
    {
        var thickness = Mm(1.2m + random.Next(6) * 0.2m);
        return new MeshBracelet(
            new BandFacts(BandKind.Mesh, BandMaterial.Metal, width, BandAttachment.LooseBar, null, null)
            {
                EndThickness = thickness + Mm(0.8m),
                TubeBore = Mm(1.8m),
                Finish = random.Next(2) == 0 ? "brushed" : "polished",
                Colour = "steel",
            },
            thickness, "slide clasp", new MeshBand(Mm(118 + random.Next(5) * 3), Mm(176 + random.Next(5) * 4), random.Next(2) * 30));
    }

    private static LinkBracelet Bracelet(Random random, Length width)
    {
        var pitch = Mm(6 + random.Next(10) * 0.5m);
        var links = 4 + random.Next(5);
        Link[] Row(int count) => [.. Enumerable.Repeat(new Link(pitch, false), 2), .. Enumerable.Repeat(new Link(pitch, true), count)];
        return new LinkBracelet(
            new BandFacts(BandKind.LinkBracelet, BandMaterial.Metal, width, BandAttachment.LooseBar, random.Next(3) > 0, null)
            {
                EndThickness = Mm(2.4m + random.Next(5) * 0.2m),
                TubeBore = Mm(1.7m + random.Next(3) * 0.1m),
                Finish = random.Next(2) == 0 ? "brushed" : "polished",
                Colour = random.Next(4) == 0 ? "gilt" : "steel",
            },
            Mm(2.6m + random.Next(8) * 0.2m), "fold-over",
            new Bracelet([.. Row(links), new Link(Mm(5), true)], Row(links)),
            new BraceletClasp(Mm(16 + random.Next(6)), Mm(16 + random.Next(6)), Side.Twelve, 3 + random.Next(6), Mm(2 + random.Next(3) * 0.25m), 1));
    }

    private static Length Mm(decimal millimetres) => Length.FromMillimetres(millimetres);
}
