using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Jobs;
using IronLoop.Core.Joints;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Tests.Bench;

/// <summary>Jobs for the bench: one of every kind of work, by name.</summary>
internal static class BenchJobs
{
    public static Length Mm(decimal mm) => Length.FromMillimetres(mm);

    public static readonly BraceletClasp Clasp = new(Mm(18), Mm(18), Side.Twelve, 4, Mm(2.5m), 1);

    public static Link[] Row(int links) => [new(Mm(9), false), .. Enumerable.Repeat(new Link(Mm(8), true), links)];

    public static LinkBracelet Bracelet(bool? solid = true, int spares = 0) => new(
        new BandFacts(BandKind.LinkBracelet, BandMaterial.Metal, Mm(20), BandAttachment.LooseBar, solid, null), Mm(3.4m), "fold-over",
        new Bracelet(Row(6), Row(6)), Clasp)
    {
        Loose = spares > 0 ? [new SpareLinks(Mm(8), spares)] : [],
    };

    public static Band Strap(BandAttachment attaches = BandAttachment.LooseBar, BandEnd end = BandEnd.Straight) => new TwoPieceBand(
        new BandFacts(BandKind.TwoPiece, BandMaterial.Leather, Mm(20), attaches, null, null) { End = end }, Mm(2.4m), "pin buckle",
        new TwoPieceStrap(Mm(75), Mm(118), Mm(58), Mm(6.5m), 7));

    public static Band PullThrough { get; } = new PulledThroughBand(
        new BandFacts(BandKind.OnePiece, BandMaterial.Textile, Mm(20), BandAttachment.PullThrough, null, null), Mm(1.2m), "pin buckle",
        new OnePieceBand(Mm(168), Mm(7), 12, Mm(1.2m), null));

    public static Band HookAndLoop { get; } = new PulledThroughBand(
        new BandFacts(BandKind.OnePiece, BandMaterial.Textile, Mm(20), BandAttachment.PullThrough, null, null), Mm(1.2m), "hook and loop",
        OnePieceBand.Anywhere(OnePieceClosure.HookAndLoop, Mm(160), Mm(230), Mm(1.2m), null) with { Whole = Mm(250) });

    public static Band Mesh(int notches) => new MeshBracelet(
        new BandFacts(BandKind.Mesh, BandMaterial.Metal, Mm(20), BandAttachment.LooseBar, null, null), Mm(1.6m), "slide clasp",
        new MeshBand(Mm(120), Mm(180), notches));

    public static PlacedLink[] Lie(int stay, int leave, int join = 0) =>
    [
        new(Mm(9), LinkFate.Fixed), .. Enumerable.Repeat(new PlacedLink(Mm(8), LinkFate.Stays), stay),
        .. Enumerable.Repeat(new PlacedLink(Mm(8), LinkFate.Leaves), leave), .. Enumerable.Repeat(new PlacedLink(Mm(8), LinkFate.Joins), join),
    ];

    /// <summary>What was seen of a bracelet's joints: pins between the links, sprung bars at the clasp.</summary>
    public static IReadOnlyDictionary<JointGroup, JointLook> Looked(Fastener links, Fastener fold = Fastener.SpringBar, Fastener micro = Fastener.SpringBar) =>
        new Dictionary<JointGroup, JointLook>
        {
            [JointGroup.Links] = new(links) { Across = links.IsTurned() ? null : Mm(1), Slot = links.IsTurned() ? Mm(0.42m) : null, Gap = Mm(1.4m) },
            [JointGroup.ClaspTwelve] = new(micro) { Across = Mm(1.5m) },
            [JointGroup.ClaspSix] = new(fold) { Across = Mm(1.5m) },
        };

    /// <summary>An owner's bracelet on the watch, two links out of the 12 side and one out of the 6 side.</summary>
    public static BenchFacts Own(Fastener fastener = Fastener.SplitPin, Arrangement? plan = null, Band? band = null) =>
        new(Attachment.SpringBarDrilled, new AsItCame(OnTheWatch.Bracelet, HeldBy.LooseBars, true), band ?? Bracelet(), "steel bracelet", Owner.Client, new BenchSetup())
        {
            ClaspKind = ClaspKind.FoldOver,
            Looks = Looked(fastener),
            Plan = plan ?? new Arrangement(Lie(4, 2), Lie(5, 1), 2),
        };

    /// <summary>Another band goes on in place of what is on the watch.</summary>
    public static BenchFacts Change(Band band, OnTheWatch on = OnTheWatch.Soft, HeldBy held = HeldBy.LooseBars, Attachment attachment = Attachment.SpringBarBlind, Owner owner = Owner.Shop)
    {
        var holed = band.Links is null ? band.Holed(new Head(Mm(44), Mm(3))) : null;
        return new(attachment, new AsItCame(on, held, false), band, "new band", owner, new BenchSetup())
        {
            Plan = band.Links is null ? new Arrangement([], [], 3) : new Arrangement(Lie(5, 1), Lie(6, 0), 1),
            Holed = holed,
            ClaspKind = band.Links is not null ? ClaspKind.FoldOver : band.Mesh is not null ? ClaspKind.Slide : ClaspKind.PinBuckle,
            Looks = Looked(Fastener.SplitPin),
        };
    }

    /// <summary>A strap that stays on the watch.</summary>
    public static BenchFacts Kept(Band? band = null) => Change(band ?? Strap(), owner: Owner.Client) with
    {
        Came = new AsItCame(AsItCame.KindOf(band ?? Strap()), HeldBy.LooseBars, true) { Position = 3 },
        Name = "strap",
    };

    public static PieceToPrepare Piece(Shaping what, PreparedAt at) => new(what, what switch
    {
        Shaping.Bore => "open the bore by hand to 1.6 mm, for a free bar; see that it breaks through on both sides",
        Shaping.Pierce => "pierce the end for the clasp’s bar, clean through both sides",
        Shaping.Press => "press the end flat to 2.8 mm",
        Shaping.File => "file 0.2 mm off each side",
        _ => "make it ready",
    }, what != Shaping.Pierce, at)
    { Tools = "hand tools" };

    /// <summary>One job of every kind of work.</summary>
    public static IReadOnlyList<(string Name, BenchFacts Facts)> All { get; } =
    [
        ("soft strap for a soft strap", Change(Strap()) with { Bars = new StockBars("spring bar 20 × 1.8", "SB-20", "bar case") }),
        ("soft strap, its own levered bars", Change(Strap(BandAttachment.QuickRelease))),
        ("levered old band comes off, loose bars from stock", Change(Strap(), held: HeldBy.LeveredBars) with { Bars = new StockBars("spring bar 20 × 1.8", "SB-20", "bar case") }),
        ("what holds the old strap was not looked at", Change(Strap(), held: HeldBy.NotLookedAt)),
        ("curved ends, curved bars from the drawer", Change(Strap(end: BandEnd.Curved)) with { CurvedBars = true, Bars = new StockBars("curved spring bar 20 × 1.5", "SB-20C", "bar case", true) }),
        ("curved ends, the straight bars bent", Change(Strap(end: BandEnd.Curved)) with { CurvedBars = true, Setup = new BenchSetup { BendsBars = true } }),
        ("a bar is missing", Change(Strap()) with { Came = new AsItCame(OnTheWatch.Soft, HeldBy.LooseBars, false) { MissingBars = new HashSet<Side> { Side.Six } } }),
        ("bare head", Change(Strap(), OnTheWatch.Nothing)),
        ("pulled through, on", Change(PullThrough)),
        ("pulled through, off", Change(Strap(), OnTheWatch.PulledThrough)),
        ("pulled through, fixed bars", Change(PullThrough, OnTheWatch.PulledThrough, attachment: Attachment.FixedBar)),
        ("open ends on fixed bars", Change(Strap(BandAttachment.OpenEnd), attachment: Attachment.FixedBar)),
        ("screwed bars", Change(Strap(), attachment: Attachment.ScrewBar)),
        ("screwed slot, ends pressed", Change(Strap(BandAttachment.ScrewThrough), attachment: Attachment.ScrewSlot) with { Prepare = [Piece(Shaping.Press, PreparedAt.LugEnds)] }),
        ("the maker’s own shape", Change(Strap(BandAttachment.ScrewThrough), attachment: Attachment.OwnShape)),
        ("mesh in two pieces, for an old bracelet", Change(Mesh(20), OnTheWatch.Bracelet)),
        ("old mesh comes off", Change(Strap(), OnTheWatch.Mesh)),
        ("mesh, another notch", Kept(Mesh(20)) with { Plan = new Arrangement([], [], 9) }),
        ("mesh that locks anywhere", Change(Mesh(0)) with { Plan = new Arrangement([], [], 123) }),
        ("links out of both sides", Own()),
        ("links out, screws", Own(Fastener.Screw)),
        ("links out of one side", Own(plan: new Arrangement(Lie(4, 2), Lie(6, 0), 1))),
        ("links out, run at the clasp", Own() with { Setup = new BenchSetup { Runs = RunSchool.AtTheClasp } }),
        ("links out, one by one", Own() with { Setup = new BenchSetup { OneByOne = true } }),
        ("links out, nothing looked at", Own() with { Looks = new Dictionary<JointGroup, JointLook>() }),
        ("links out, hollow ends", Own(band: Bracelet(solid: false))),
        ("links out, parted to lie flat", Own() with { Setup = new BenchSetup { PartedToLieFlat = true } }),
        ("links out, head off the band", Own() with { Setup = new BenchSetup { HeadOff = true } }),
        ("links out, nobody to try it on", Own() with { HasWearer = false }),
        ("links out, bar right out", Own() with { Setup = new BenchSetup(Micro: MicroSchool.BarRightOut) }),
        ("links in from the bag", Own(plan: new Arrangement(Lie(6, 0, 1), Lie(6, 0, 1), 1), band: Bracelet(spares: 3))),
        ("links in from stock", Own(plan: new Arrangement(Lie(6, 0, 2), Lie(6, 0), 1)) with { FromStock = [new StockLinks(new LinkKind(Mm(8)), 2, "LK-80", "drawer D")] }),
        ("a link moved across", Own(plan: new Arrangement(Lie(4, 2), Lie(6, 0, 1), 1))),
        ("a link moved across to 12", Own(plan: new Arrangement(Lie(6, 0, 1), Lie(4, 2), 1))),
        ("three links out, two of them moved across", Own(plan: new Arrangement(Lie(3, 3), Lie(6, 0, 2), 1))),
        ("a link moved across, and one from the bag", Own(plan: new Arrangement(Lie(5, 1), Lie(6, 0, 2), 1), band: Bracelet(spares: 1))),
        ("micro-adjust only", Own(plan: new Arrangement(Lie(6, 0), Lie(6, 0), 3))),
        ("bracelet from stock, sized", Change(Bracelet())),
        ("the owner’s bracelet, brought loose", Change(Bracelet(), OnTheWatch.Nothing, owner: Owner.Client)),
        ("fold-over changed", Own() with { Other = new OtherClosure("eight-hole fold-over", ClaspKind.FoldOver) { Article = "CL-8", Drawer = "drawer B1" } }),
        ("fold-over changed, ends swapped", Own(plan: new Arrangement(Lie(6, 0), Lie(6, 0), 2)) with { SwapEnds = true, Other = new OtherClosure("eight-hole fold-over", ClaspKind.FoldOver) { Article = "CL-8", Drawer = "drawer B1" } }),
        ("fold-over changed, a bore opened", Own(plan: new Arrangement(Lie(6, 0), Lie(6, 0), 2)) with
        {
            Other = new OtherClosure("eight-hole fold-over", ClaspKind.FoldOver) { Article = "CL-8", Drawer = "drawer B1" },
            Prepare = [Piece(Shaping.Bore, PreparedAt.ClaspEnds)],
        }),
        ("fold-over changed, the slim bars kept", Own(plan: new Arrangement(Lie(6, 0), Lie(6, 0), 2)) with { Other = new OtherClosure("eight-hole fold-over", ClaspKind.FoldOver) { Article = "CL-8", Drawer = "drawer B1", KeepsFasteners = true } }),
        ("butterfly changed", Own(Fastener.ScrewInTube, new Arrangement(Lie(6, 0), Lie(6, 0), 0), Bracelet() with { Closes = Clasp with { Positions = 1, Position = 0 } }) with
        {
            ClaspKind = ClaspKind.Butterfly,
            Looks = Looked(Fastener.ScrewInTube, Fastener.FrictionPin, Fastener.FrictionPin),
            Other = new OtherClosure("butterfly with push buttons", ClaspKind.Butterfly) { Article = "CL-Y18", Drawer = "drawer C1", Pins = ("PN-10", "pin box", Mm(1)) },
        }),
        ("pins at the clasp replaced", Own(plan: new Arrangement(Lie(6, 0), Lie(6, 0), 1)) with { NewPins = ("PN-10", "pin box", Mm(1)), Looks = Looked(Fastener.Screw, Fastener.FrictionPin, Fastener.FrictionPin) }),
        ("buckle moved from the old strap", Change(Strap()) with { Other = new OtherClosure("pin buckle", ClaspKind.PinBuckle) { FromOldBand = true } }),
        ("buckle changed on a kept strap", Kept() with { Other = new OtherClosure("pin buckle", ClaspKind.PinBuckle) { Article = "CL-B18", Drawer = "drawer A1" } }),
        ("folding clasp on a kept strap", Kept() with { Other = new OtherClosure("folding clasp", ClaspKind.StrapFolding) { Article = "CL-F18", Drawer = "drawer A2" } }),
        ("a butterfly gives way to a buckle", Kept() with { ClaspKind = ClaspKind.Butterfly, Other = new OtherClosure("pin buckle", ClaspKind.PinBuckle) { Article = "CL-B18", Drawer = "drawer A1" } }),
        ("buckle on a kept strap, end pierced", Kept() with
        {
            Pierced = false,
            Other = new OtherClosure("pin buckle", ClaspKind.PinBuckle) { Article = "CL-B18", Drawer = "drawer A1" },
            Prepare = [Piece(Shaping.Pierce, PreparedAt.ClaspEnds)],
        }),
        ("a strap sold without its hole", Change(Strap()) with { Pierced = false, Prepare = [Piece(Shaping.Pierce, PreparedAt.ClaspEnds)] }),
        ("a strap sold without its hole, with a butterfly", Change(Strap()) with { Pierced = false, ClaspKind = ClaspKind.Butterfly, Prepare = [Piece(Shaping.Pierce, PreparedAt.ClaspEnds)] }),
        ("an extra hole in a kept strap", Kept() with { Plan = new Arrangement([], [], 4), Prepare = [.. PrepareFrom.Work([ExtraHole.Work(3)], PreparedAt.LugEnds)] }),
        ("an extra hole in a strap from stock", Change(Strap()) with { Prepare = [.. PrepareFrom.Work([ExtraHole.Work(3)], PreparedAt.LugEnds)] }),
        ("hook and loop, pulled through", Change(HookAndLoop) with { Plan = new Arrangement([], [], 123) }),
        ("hole only", Kept() with { Plan = new Arrangement([], [], 4) }),
        ("bars replaced on a kept strap", Kept() with { ReuseBars = false, Bars = new StockBars("spring bar 20 × 1.8", "SB-20", "bar case") }),
        ("a freed link, safety flap", Freed(Length.Zero)),
        ("a freed link, its end piece stays", Freed(Mm(1.6m))),
        ("links out by count", new Counted(2, 1).Of(Own() with { Looks = new Dictionary<JointGroup, JointLook>() })),
        ("links in by count", new Counted(-1, 0).Of(Own())),
        ("by hand: two links out of 12, one out of 6", ByHand(new HandWork.ByCount(new Counted(2, 1)))),
        ("by hand: strap, third hole to fourth", ByHand(new HandWork.AtPlace(OnTheWatch.Soft, 2, 3))),
        ("by hand: mesh, a notch tighter", ByHand(new HandWork.AtPlace(OnTheWatch.Mesh, 8, 7))),
        ("by hand: micro-adjust, two looser", ByHand(new HandWork.AtPlace(OnTheWatch.Bracelet, 1, 3))),
        ("by hand: a lost bar on 6", ByHand(new HandWork.Part(WornPart.LugBar, OnTheWatch.Soft, Side.Six, IsLost: true))),
        ("by hand: both bars worn", ByHand(new HandWork.Part(WornPart.LugBar, OnTheWatch.Bracelet, null, IsLost: false))),
        ("by hand: a worn bar on 6, nothing looked at", ByHand(new HandWork.Part(WornPart.LugBar, OnTheWatch.Soft, Side.Six, IsLost: false), HeldBy.NotLookedAt)),
        ("by hand: both bars of a pull-through worn", ByHand(new HandWork.Part(WornPart.LugBar, OnTheWatch.PulledThrough, null, IsLost: false))),
        ("by hand: a pin between links lost", ByHand(new HandWork.Part(WornPart.LinkPin, OnTheWatch.Bracelet, Side.Six, IsLost: true))),
        ("by hand: a pin at the clasp worn", ByHand(new HandWork.Part(WornPart.ClaspPin, OnTheWatch.Bracelet, Side.Twelve, IsLost: false))),
        ("by hand: a buckle’s bar worn", ByHand(new HandWork.Part(WornPart.ClaspPin, OnTheWatch.Soft, Side.Twelve, IsLost: false))),
        ("by hand: a keeper", ByHand(new HandWork.Part(WornPart.Keeper, OnTheWatch.Soft, null, IsLost: true))),
        ("by hand: strap off and on", ByHand(new HandWork.OffAndOn(OnTheWatch.Soft))),
        ("by hand: bracelet off and on, nothing looked at", ByHand(new HandWork.OffAndOn(OnTheWatch.Bracelet), HeldBy.NotLookedAt)),
        ("by hand: mesh off and on, screws", ByHand(new HandWork.OffAndOn(OnTheWatch.Mesh), HeldBy.Screws)),
        ("by hand: pull-through off and on", ByHand(new HandWork.OffAndOn(OnTheWatch.PulledThrough))),
        ("by hand: the owner’s strap on", ByHand(new HandWork.OwnBandOn(OnTheWatch.Soft, BandAttachment.QuickRelease))),
        ("by hand: the owner’s bracelet on", ByHand(new HandWork.OwnBandOn(OnTheWatch.Bracelet, BandAttachment.LooseBar))),
        ("links out, fitting pins lent", Own() with { Lent = [new Lent("fitting pin", 2, "pin box")] }),
        ("filed ends", Change(Bracelet()) with { Prepare = [Piece(Shaping.File, PreparedAt.LugEnds)] }),
        ("butterfly opened to be gauged", Own(plan: new Arrangement(Lie(6, 0), Lie(6, 0), 1)) with
        {
            OpenToGauge = new HashSet<JointGroup> { JointGroup.ClaspTwelve, JointGroup.ClaspSix },
            Other = new OtherClosure("eight-hole fold-over", ClaspKind.FoldOver) { Article = "CL-8", Drawer = "drawer B1" },
        }),
    ];

    /// <summary>Work told by hand, on a watch of which nothing is known but what is on it.</summary>
    public static BenchFacts ByHand(HandWork work, HeldBy held = HeldBy.LooseBars, Attachment attachment = Attachment.SpringBarBlind)
    {
        var band = work.Outline(Mm(20))!;
        var came = work is HandWork.OwnBandOn ? new AsItCame(OnTheWatch.Nothing, HeldBy.NotLookedAt, false) : new AsItCame(work.Of, held, true);
        return work.On(new BenchFacts(attachment, came, band, "own band", Owner.Client, new BenchSetup()) { Plan = work.Plan, Holed = band.Holed(new Head(Mm(44), Mm(3))) });
    }

    /// <summary>The link beside the clasp on 12 looks fixed and is freed at the fold; the row of holes is on 6.</summary>
    public static BenchFacts Freed(Length endPiece)
    {
        Link[] twelve = [.. Row(5), new Link(Mm(9.6m), false)];
        var band = Bracelet() with { Rows = new Bracelet(twelve, Row(6)), Closes = Clasp with { MicroSide = Side.Six } };
        return Own(band: band) with
        {
            HasFlap = true,
            Marks = new LinkMarks(new HashSet<(Side, int)>(), new Dictionary<Side, Length> { [Side.Twelve] = endPiece }),
            Plan = new Arrangement(
                [new(Mm(9), LinkFate.Fixed), .. Enumerable.Repeat(new PlacedLink(Mm(8), LinkFate.Stays), 5), new PlacedLink(Mm(9.6m) - endPiece, LinkFate.Leaves) { OneSided = true }],
                Lie(6, 0), 2),
        };
    }
}
