using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Jobs;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Tests.Bench;

/// <summary>Jobs for the bench: every combination the demo holds, and the whole grid.</summary>
internal static class BenchJobs
{
    public static Length Mm(decimal mm) => Length.FromMillimetres(mm);

    public static readonly BraceletClasp Clasp = new(Mm(18), Mm(18), Side.Twelve, 4, Mm(2.5m), 1);

    public static Link[] Row(int links) => [new(Mm(9), false), .. Enumerable.Repeat(new Link(Mm(8), true), links)];

    public static Band Bracelet(BandAttachment attaches = BandAttachment.LooseBar, bool? solid = true, int spares = 0) => new(
        new BandFacts(BandKind.LinkBracelet, BandMaterial.Metal, Mm(20), attaches, solid, null), Mm(3.4m), "fold-over",
        new Bracelet(Row(6), Row(6)), spares > 0 ? [new SpareLinks(Mm(8), spares)] : [], Clasp, null);

    public static Band Strap(BandAttachment attaches = BandAttachment.LooseBar) => new(
        new BandFacts(BandKind.TwoPiece, BandMaterial.Leather, Mm(20), attaches, null, null), Mm(2.4m), "pin buckle", null, [], null,
        new TwoPieceStrap(Mm(75), Mm(118), Mm(58), Mm(6.5m), 7));

    public static Band PullThrough { get; } = new(
        new BandFacts(BandKind.OnePiece, BandMaterial.Textile, Mm(20), BandAttachment.PullThrough, null, null), Mm(1.2m), "pin buckle", null, [], null, null)
    {
        OnePiece = new OnePieceBand(Mm(168), Mm(7), 12, Mm(1.2m), null),
    };

    public static Band Mesh(int notches) => new(
        new BandFacts(BandKind.Mesh, BandMaterial.Metal, Mm(20), BandAttachment.LooseBar, null, null), Mm(1.6m), "slide", null, [], null, null)
    {
        Mesh = new MeshBand(Mm(120), Mm(180), notches),
    };

    /// <summary>Two links leave the 12 side, one the 6 side; the micro-adjust goes one on.</summary>
    public static Arrangement TakesThree(int position = 2) => new(Lie(4, 2), Lie(5, 1), position);

    public static PlacedLink[] Lie(int stay, int leave, int join = 0) =>
    [
        new(Mm(9), LinkFate.Fixed), .. Enumerable.Repeat(new PlacedLink(Mm(8), LinkFate.Stays), stay),
        .. Enumerable.Repeat(new PlacedLink(Mm(8), LinkFate.Leaves), leave), .. Enumerable.Repeat(new PlacedLink(Mm(8), LinkFate.Joins), join),
    ];

    public static BenchFacts Sized(Fastener fastener, Attachment attachment = Attachment.SpringBarDrilled, ToolFamily tools = ToolFamily.BlockAndHammer, bool own = true) =>
        new(attachment, Bracelet(), TakesThree(), new BenchSetup(fastener, tools, Pin: Mm(1), Slot: Mm(0.42m), Gap: Mm(1.4m))) { GoesOn = !own };

    public static BenchFacts Closed(Attachment attachment, Band band, PullThroughWay way = PullThroughWay.Double)
    {
        var holed = band.Holed(new Head(Mm(44), Mm(3)))!;
        var plan = new Arrangement([], [], 3);
        return new BenchFacts(attachment, band, plan, new BenchSetup()) { GoesOn = true, Holed = holed, Fit = holed.In(3, new FitTarget(Mm(150), Mm(2.5m), Mm(1.5m))), Way = way };
    }

    public static IReadOnlyList<PieceOfWork> OtherClasp(ClaspKind kind) => ClaspWork.Replace(kind, kind, "another clasp", [], false);

    /// <summary>Every attachment with every fastener, tool family and kind of clasp work, and every band that has no links.</summary>
    public static IEnumerable<BenchFacts> Grid()
    {
        foreach (var attachment in Enum.GetValues<Attachment>())
        {
            foreach (var fastener in Enum.GetValues<Fastener>())
                foreach (var tools in Enum.GetValues<ToolFamily>())
                    foreach (var clasp in (ClaspKind?[])[null, ClaspKind.FoldOver, ClaspKind.Extending, ClaspKind.Butterfly])
                        foreach (var own in (bool[])[true, false])
                        {
                            yield return Sized(fastener, attachment, tools, own) with
                            {
                                ClaspWork = clasp is { } kind ? OtherClasp(kind) : [],
                                OtherClasp = clasp is null ? null : ("fold-over", "another clasp"),
                                ClaspKind = clasp,
                            };
                        }
            foreach (var band in (Band[])[Strap(), Strap(BandAttachment.QuickRelease), Strap(BandAttachment.OpenEnd), Mesh(20), Mesh(0)])
                yield return Closed(attachment, band);
            foreach (var way in Enum.GetValues<PullThroughWay>())
                yield return Closed(attachment, PullThrough, way);
        }
    }
}
