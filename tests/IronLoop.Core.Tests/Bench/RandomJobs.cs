using CsCheck;
using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Jobs;
using IronLoop.Core.Joints;
using IronLoop.Core.Matching;
using static IronLoop.Core.Tests.Bench.BenchJobs;

namespace IronLoop.Core.Tests.Bench;

/// <summary>Jobs drawn at random: every kind of band on every kind of watch, links out, in and across, other clasps, every school.</summary>
internal static class RandomJobs
{
    private static readonly Fastener[] AtTheClasp = [Fastener.SpringBar, Fastener.SplitPin, Fastener.Screw, Fastener.FrictionPin, Fastener.NotLookedAt];

    private static readonly Gen<Fastener> BetweenLinks = Gen.OneOf(Gen.Const(Fastener.SplitPin), Gen.Const(Fastener.PinWithTube), Gen.Const(Fastener.Screw), Gen.Const(Fastener.ScrewInTube), Gen.Const(Fastener.SpringBar), Gen.Const(Fastener.NotLookedAt));

    private static readonly Gen<BenchSetup> Setups =
        from families in Gen.Select(Gen.Enum<ToolFamily>(), Gen.Enum<Insertion>(), Gen.Enum<MicroSchool>())
        from schools in Gen.Select(Gen.Int[0, 3], Gen.Bool, Gen.Int[0, 3], Gen.Enum<TryOnSchool>(), Gen.Int[0, 4], Gen.Bool)
        select new BenchSetup(families.Item1, families.Item2, families.Item3)
        {
            Runs = schools.Item1 == 0 ? RunSchool.AtTheClasp : RunSchool.InsideTheLinks,
            OneByOne = schools.Item2,
            PartedToLieFlat = schools.Item3 == 0,
            TryOn = schools.Item4,
            HeadOff = schools.Item5 == 0,
            BendsBars = schools.Item6,
        };

    private static readonly Gen<Link[]> Rows =
        from permanent in Gen.Int[0, 2]
        from full in Gen.Int[1, 8]
        from half in Gen.Int[0, 1]
        from halfAt in Gen.Int[0, 8]
        from odd in Gen.Int[0, 5]
        select Row(permanent, full, half == 1 ? Math.Min(halfAt, full) : -1, odd == 0);

    private static Link[] Row(int permanent, int full, int halfAt, bool odd)
    {
        var row = Enumerable.Repeat(new Link(Mm(9), false), permanent).Concat(Enumerable.Repeat(new Link(Mm(8), true), full)).ToList();
        if (halfAt >= 0)
            row.Insert(permanent + halfAt, new Link(Mm(5), true));
        if (odd)
            row.Add(new Link(Mm(9.6m), false));
        return [.. row];
    }

    /// <summary>What an arrangement asks of one side.</summary>
    private static IEnumerable<PlacedLink> Side_(IReadOnlyList<Link> row, int leaveFrom, int leave, IEnumerable<LinkKind> join) =>
    [
        .. row.Select((l, i) => PlacedLink.AsItIs(l) with { Fate = !l.Removable ? LinkFate.Fixed : i >= leaveFrom && i < leaveFrom + leave ? LinkFate.Leaves : LinkFate.Stays }),
        .. join.Select(PlacedLink.Joining),
    ];

    public static Gen<BenchFacts> Bracelets { get; } =
        from rows in Gen.Select(Rows, Rows)
        from fasteners in Gen.Select(BetweenLinks, Gen.OneOf([.. AtTheClasp.Select(f => Gen.Const(f))]), Gen.OneOf([.. AtTheClasp.Select(f => Gen.Const(f))]))
        from clasp in Gen.Select(Gen.Int[1, 6], Gen.Bool, Gen.Int[0, 5], Gen.Int[0, 5])
        from outs in Gen.Select(Gen.Int[0, 8], Gen.Int[0, 3], Gen.Int[0, 8], Gen.Int[0, 3])
        from ins in Gen.Select(Gen.Int[0, 2], Gen.Int[0, 2], Gen.Int[0, 2], Gen.Int[0, 3])
        from how in Gen.Select(Gen.Int[0, 9], Gen.Int[0, 6], Gen.Int[0, 5], Gen.Int[0, 9], Gen.Int[0, 5], Gen.Int[0, 9], Gen.Int[0, 7])
        from setup in Setups
        from attachment in Gen.OneOf(Gen.Const(Attachment.SpringBarDrilled), Gen.Const(Attachment.SpringBarBlind), Gen.Const(Attachment.ScrewBar), Gen.Const(Attachment.OwnShape))
        select Of(rows, fasteners, clasp, outs, ins, how, setup, attachment);

    private static BenchFacts Of(
        (Link[] Twelve, Link[] Six) rows, (Fastener Links, Fastener Twelve, Fastener Six) fasteners, (int Positions, bool OnSix, int Now, int Then) clasp,
        (int From12, int Of12, int From6, int Of6) outs, (int In12, int In6, int Stock, int Across) ins,
        (int Came, int Other, int Solid, int Freed, int Wearer, int Swap, int Flap) how, BenchSetup setup, Attachment attachment)
    {
        var full = new LinkKind(Mm(8));
        var positions = clasp.Positions == 6 ? 20 : clasp.Positions;
        // What goes across is what leaves one side and joins the other.
        var leaving = rows.Twelve.Skip(outs.From12).Take(outs.Of12).Where(l => l.Removable).ToList();
        var across = (ins.Across switch { 0 => leaving.Take(1), 1 => leaving.TakeLast(1), _ => [] }).Select(l => l.KindOn(Side.Twelve)).ToList();
        LinkKind[] in12 = [.. Enumerable.Repeat(full, ins.In12)];
        LinkKind[] in6 = [.. across, .. Enumerable.Repeat(full, across.Count > 0 ? 0 : ins.In6)];
        var band = Bracelet() with
        {
            Facts = Bracelet().Facts with { SolidEnd = how.Solid switch { 0 => null, 1 => false, _ => true } },
            Rows = new Bracelet(rows.Twelve, rows.Six),
            Loose = ins.Stock == 2 ? [] : [new SpareLinks(Mm(8), in12.Length + ins.In6)],
            Closes = Clasp with { Positions = positions, Position = Math.Min(clasp.Now, positions - 1), MicroSide = clasp.OnSix ? Side.Six : Side.Twelve },
        };
        var isFreed = how.Freed == 0 && rows.Twelve[^1] is { Removable: false } && rows.Twelve.Length > 2;
        var marks = isFreed ? new LinkMarks(new HashSet<(Side, int)>(), new Dictionary<Side, Core.Measuring.Length> { [Side.Twelve] = how.Wearer % 2 == 0 ? Mm(1.6m) : Mm(0) }) : LinkMarks.None;
        var marked = marks.On(band).Links!;
        var twelve = Side_(marked.Twelve, outs.From12, outs.Of12, in12).ToArray();
        if (isFreed)
            twelve[rows.Twelve.Length - 1] = twelve[rows.Twelve.Length - 1] with { Fate = LinkFate.Leaves };
        var isWanted = how.Came > 2;
        var looks = new Dictionary<JointGroup, JointLook>
        {
            [JointGroup.Links] = new(fasteners.Links),
            [JointGroup.ClaspTwelve] = new(fasteners.Twelve),
            [JointGroup.ClaspSix] = new(fasteners.Six),
        };
        return new BenchFacts(
            attachment, new AsItCame(isWanted ? OnTheWatch.Bracelet : (OnTheWatch)how.Came, how.Came % 2 == 0 ? HeldBy.LooseBars : HeldBy.NotLookedAt, isWanted), band, "bracelet",
            isWanted || how.Came == 0 ? Owner.Client : Owner.Shop, setup with { HeadOff = setup.HeadOff && isWanted })
        {
            ClaspKind = ClaspKind.FoldOver,
            HasFlap = how.Flap < 3,
            Looks = looks,
            Marks = marks,
            Plan = new Arrangement(twelve, [.. Side_(marked.Six, outs.From6, outs.Of6, in6)], Math.Min(clasp.Then, positions - 1)),
            FromStock = ins.Stock == 2 && in12.Length + ins.In6 > 0 ? [new StockLinks(full, in12.Length + ins.In6, "LK-80", "drawer D")] : [],
            HasWearer = how.Wearer > 0,
            SwapEnds = how.Swap == 0 && !isFreed && marked.Twelve.Count > 2 && marked.Six.Count > 2,
            Other = how.Other switch
            {
                0 => new OtherClosure("another fold-over", ClaspKind.FoldOver) { Article = "CL-8", Drawer = "drawer B1" },
                1 => new OtherClosure("another fold-over", ClaspKind.FoldOver) { Article = "CL-8", Drawer = "drawer B1", KeepsFasteners = true },
                2 => new OtherClosure("butterfly", ClaspKind.Butterfly) { Article = "CL-Y", Drawer = "drawer C1", Pins = ("PN-10", "pin box", Mm(1)) },
                _ => null,
            },
            Prepare = how.Other == 0 && how.Flap == 4 ? [Piece(Shaping.Bore, PreparedAt.ClaspEnds)] : [],
            OpenToGauge = how.Other == 0 && how.Flap == 5 ? new HashSet<JointGroup> { JointGroup.ClaspTwelve } : new HashSet<JointGroup>(),
        };
    }

    /// <summary>Nothing known of the bracelet but how many links leave or come.</summary>
    public static Gen<BenchFacts> ByCount { get; } =
        from facts in Bracelets
        from counts in Gen.Select(Gen.Int[-2, 5], Gen.Int[-2, 5])
        from lent in Gen.Int[0, 3]
        select new Counted(counts.Item1, counts.Item2).Of(facts with
        {
            SwapEnds = false,
            Marks = LinkMarks.None,
            Prepare = [],
            FromStock = [],
            Lent = lent == 0 ? [new Lent("fitting pin", 2, "pin box"), new Lent("trial bar", 1, "bar case")] : [],
        });

    /// <summary>Told by hand, of every kind of band and however it is held.</summary>
    public static Gen<BenchFacts> ByHand { get; } =
        from how in Gen.Select(Gen.Int[0, 4], Gen.Int[1, 4], Gen.Enum<HeldBy>(), Gen.Int[0, 2])
        from places in Gen.Select(Gen.Int[0, 6], Gen.Int[0, 6])
        from part in Gen.Select(Gen.Enum<WornPart>(), Gen.Int[0, 2], Gen.Bool)
        select Hand(how.Item1, (OnTheWatch)how.Item2, how.Item3, ((Attachment[])[Attachment.SpringBarBlind, Attachment.SpringBarDrilled, Attachment.ScrewBar])[how.Item4], places, part);

    private static BenchFacts Hand(int kind, OnTheWatch of, HeldBy held, Attachment attachment, (int From, int To) places, (WornPart What, int Side, bool IsLost) part)
    {
        Side? side = part.Side switch { 0 => Side.Twelve, 1 => Side.Six, _ => null };
        return BenchJobs.ByHand(kind switch
        {
            0 => new HandWork.AtPlace(of, places.From, places.To),
            // A strap has one joint with a part at its buckle.
            1 => new HandWork.Part(part.What, part.What == WornPart.LugBar ? of : OnTheWatch.Bracelet, side, part.IsLost),
            2 => new HandWork.OffAndOn(of),
            3 => new HandWork.OwnBandOn(of, of == OnTheWatch.PulledThrough ? BandAttachment.PullThrough : places.From > 3 ? BandAttachment.QuickRelease : BandAttachment.LooseBar),
            _ => new HandWork.ByCount(new Counted(places.From - 2, places.To - 2)),
        }, held, attachment);
    }

    public static Gen<BenchFacts> Others { get; } =
        from kind in Gen.Int[0, 5]
        from came in Gen.Select(Gen.Enum<OnTheWatch>(), Gen.Enum<HeldBy>(), Gen.Int[0, 5], Gen.Int[-1, 6])
        from attachment in Gen.Enum<Attachment>()
        from how in Gen.Select(Gen.Int[0, 6], Gen.Bool, Gen.Bool, Gen.Int[0, 6], Gen.Bool, Gen.Int[0, 5], Gen.Bool)
        from setup in Setups
        select OfAnother(kind, came, attachment, how, setup);

    private static BenchFacts OfAnother(
        int kind, (OnTheWatch On, HeldBy Held, int Kept, int Position) came, Attachment attachment,
        (int Other, bool Reuse, bool Curved, int Position, bool Wearer, int Missing, bool Owned) how, BenchSetup setup)
    {
        var isFixed = attachment == Attachment.FixedBar;
        var band = kind switch
        {
            0 => Mesh(20),
            1 => Mesh(0),
            2 => PullThrough,
            3 => Strap(BandAttachment.OpenEnd),
            4 => Strap(BandAttachment.QuickRelease),
            _ => Strap(attachment == Attachment.ScrewSlot ? BandAttachment.ScrewThrough : BandAttachment.LooseBar),
        };
        if (isFixed && band.Facts.Attaches is not (BandAttachment.PullThrough or BandAttachment.OpenEnd))
            band = how.Reuse ? PullThrough : Strap(BandAttachment.OpenEnd);
        // Slots and maker's own shapes take no band that goes round a bar.
        if (attachment is Attachment.ScrewSlot or Attachment.OwnShape && band.Facts.Attaches is BandAttachment.PullThrough or BandAttachment.OpenEnd)
            band = Strap(BandAttachment.ScrewThrough);
        var isWanted = came.Kept == 0;
        var isStrap = band.Strap is not null;
        // On soldered bars lies what was drawn or bent round them.
        var on = isFixed && came.On is OnTheWatch.Bracelet or OnTheWatch.Mesh ? OnTheWatch.PulledThrough : came.On;
        return new BenchFacts(attachment, new AsItCame(isWanted ? AsItCame.KindOf(band) : on, came.Held, isWanted)
        {
            Position = came.Position < 0 ? null : came.Position,
            MissingBars = how.Missing == 0 && attachment is Attachment.SpringBarBlind or Attachment.SpringBarDrilled && !isWanted && on is OnTheWatch.Soft ? new HashSet<Side> { Side.Twelve } : new HashSet<Side>(),
        }, band, "new band", isWanted || how.Owned ? Owner.Client : Owner.Shop, setup with { HeadOff = false })
        {
            Plan = new Arrangement([], [], how.Position),
            Holed = band.Holed(new Head(Mm(44), Mm(3))),
            ClaspKind = isStrap || band.OnePiece is not null ? ClaspKind.PinBuckle : ClaspKind.Slide,
            Way = (PullThroughWay)(how.Other % 4),
            Other = !isStrap ? null : how.Other switch
            {
                0 => new OtherClosure("pin buckle", ClaspKind.PinBuckle) { Article = "CL-B18", Drawer = "drawer A1" },
                1 => new OtherClosure("folding clasp", ClaspKind.StrapFolding) { Article = "CL-F18", Drawer = "drawer A2" },
                2 when !isWanted && on == OnTheWatch.Soft => new OtherClosure("pin buckle", ClaspKind.PinBuckle) { FromOldBand = true },
                3 => new OtherClosure("butterfly", ClaspKind.Butterfly) { Article = "CL-Y18", Drawer = "drawer C1" },
                _ => null,
            },
            Pierced = isStrap && how.Other == 0 && how.Curved ? false : null,
            Prepare = isStrap && how.Other == 0 && how.Curved ? [Piece(Shaping.Pierce, PreparedAt.ClaspEnds)]
                : isStrap && attachment == Attachment.ScrewSlot ? [Piece(Shaping.Press, PreparedAt.LugEnds)] : [],
            ReuseBars = how.Reuse,
            CurvedBars = how.Curved && attachment is Attachment.SpringBarBlind or Attachment.SpringBarDrilled,
            HasWearer = how.Wearer,
        };
    }

    public static Gen<BenchFacts> Any { get; } = Gen.OneOf(Bracelets, Bracelets, ByCount, ByHand, Others, Others);

    /// <summary>The plan of a job; null where its things do not give what is asked.</summary>
    public static BenchPlan? PlanOf(BenchFacts facts)
    {
        var from = FromTheWatch.Of(facts);
        try
        {
            return ToTheWatch.Plan(facts, from, from);
        }
        catch (BenchException)
        {
            return null;
        }
    }
}
