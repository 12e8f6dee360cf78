using IronLoop.Core.Bands;
using IronLoop.Core.Fitting;
using IronLoop.Core.Jobs;
using IronLoop.Core.Joints;
using IronLoop.Core.Matching;

namespace IronLoop.Core.Bench;

/// <summary>How the watch stood when the job was taken in, and what of stock and bag the work will touch.</summary>
public static class FromTheWatch
{
    /// <summary>The band the job is about.</summary>
    public const string Wanted = "band";

    /// <summary>The band that comes off.</summary>
    public const string Old = "old";

    /// <summary>The clasp that goes on in place of the band's own.</summary>
    public const string Other = "other";

    /// <summary>The stand that the work begins from.</summary>
    public static Stand Of(BenchFacts facts)
    {
        var laid = new Laid();
        laid.Thing(Laid.Head, ThingKind.Head, "head", Owner.Client, null, Place.Watch);
        var place = facts.Came.IsWanted ? Place.Watch : facts.Owner == Owner.Shop ? Place.Drawer : Place.Bag;
        if (facts.IsChosen)
            Band(laid, facts, place);
        if (!facts.Came.IsWanted)
            OldBand(laid, facts);
        foreach (var side in (Side[])[Side.Twelve, Side.Six])
            AtTheLugs(laid, facts, side);
        NewParts(laid, facts);
        if (!facts.IsChosen)
            return laid.Stand;
        OwnBars(laid, facts, place);
        OtherClasp(laid, facts);
        Spares(laid, facts);
        Bars(laid, facts);
        Lent(laid, facts);
        return laid.Stand;
    }

    /// <summary>What holds the band at the lugs as the watch came.</summary>
    public static Fastener LugFastener(Attachment attachment, HeldBy held) => attachment switch
    {
        Attachment.FixedBar => Fastener.FixedBar,
        Attachment.ScrewBar => Fastener.ScrewedBar,
        Attachment.ScrewSlot => Fastener.SlotScrews,
        Attachment.OwnShape => Fastener.MakersOwn,
        _ => held switch
        {
            HeldBy.LooseBars => Fastener.SpringBar,
            HeldBy.LeveredBars => Fastener.LeveredBar,
            HeldBy.Screws => Fastener.ScrewedBar,
            _ => Fastener.NotLookedAt,
        },
    };

    private static void Band(Laid laid, BenchFacts facts, Place place)
    {
        var position = facts.Came.IsWanted ? facts.Came.Position : null;
        switch (facts.Band)
        {
            case { Links: not null, Clasp: not null }:
                laid.Bracelet(facts, Wanted, place);
                break;
            case { OnePiece: not null }:
                laid.OnePiece(Wanted, facts.Name, facts.Owner, place, position is { } through ? ToTheWatch.PositionOf(facts, through) : null, facts.Band.OnePiece!.Closure);
                break;
            case { Mesh: not null }:
                laid.Mesh(Wanted, facts.Name, facts.Owner, place, position is { } at ? ToTheWatch.PositionOf(facts, at) : null);
                break;
            default:
                laid.Strap(Wanted, facts.Name, facts.Owner, place, facts.Pierced == false ? null : facts.ClaspKind ?? Matching.ClaspKind.PinBuckle, position);
                if (facts is { Pierced: false, Other: null })
                    Unpierced(laid, facts, place == Place.Watch ? Place.Bag : place);
                break;
        }
    }

    /// <summary>Parts from stock for joints whose own are lost, or worn; what is lost is in no place.</summary>
    private static void NewParts(Laid laid, BenchFacts facts)
    {
        foreach (var (at, isLost) in facts.NewParts)
        {
            var joint = laid.Stand.Joint(at)!;
            foreach (var part in joint.Parts.Select(id => laid.Stand[id]).ToList())
                laid.Thing($"{part.Id}.new", part.Kind, part.Like, Owner.Shop, Wanted, Place.Drawer);
            if (!isLost)
                continue;
            laid.Set(joint with { Closed = false, Parts = [] });
            laid.Lose(joint.Parts);
        }
    }

    /// <summary>A strap sold without a hole brings its closure loose.</summary>
    private static void Unpierced(Laid laid, BenchFacts facts, Place place)
    {
        var kind = facts.ClaspKind ?? Matching.ClaspKind.PinBuckle;
        laid.Closure($"{Wanted}.closure", kind, ClaspWords.Of(kind), facts.Owner, Wanted, place);
        var isButterfly = kind == Matching.ClaspKind.Butterfly;
        foreach (var on in isButterfly ? (string[])["12", "6"] : ["12"])
            foreach (var (part, like) in HeldParts.Of(isButterfly ? Fastener.FrictionPin : Fastener.SpringBar, isButterfly ? JointAt.Fold : JointAt.Buckle))
                laid.Thing($"{Wanted}.clasp-{on}.1", part, like, facts.Owner, Wanted, place);
    }

    private static void OldBand(Laid laid, BenchFacts facts)
    {
        var place = Place.Watch;
        switch (facts.Came.On)
        {
            case OnTheWatch.Soft:
                laid.Strap(Old, "old strap", Owner.Client, place, facts.Other is { FromOldBand: true } moved ? moved.Kind : Matching.ClaspKind.PinBuckle, facts.Came.Position);
                break;
            case OnTheWatch.Mesh:
                laid.Mesh(Old, "old mesh", Owner.Client, place, facts.Came.Position ?? 0);
                break;
            case OnTheWatch.PulledThrough:
                laid.OnePiece(Old, "old pull-through band", Owner.Client, place, facts.Came.Position);
                break;
            case OnTheWatch.Bracelet:
                laid.Thing($"{Old}.whole", ThingKind.Band, "old bracelet", Owner.Client, Old, place);
                break;
        }
    }

    /// <summary>The end of a band on a side.</summary>
    public static string? EndOf(Stand stand, string band, Side side)
    {
        var on = Laid.On(side);
        // Where a row is one freed link, the narrow piece that stays lies at the case.
        var narrow = $"{band}.narrow-{on}";
        var isAtTheCase = !stand.Joints.Any(j => j.B == narrow);
        string[] ends =
        [
            $"{band}.whole", side == Side.Twelve ? $"{band}.buckle-piece" : $"{band}.tail-piece", $"{band}.piece-{on}", $"{band}.end-{on}",
            .. isAtTheCase ? (string[])[narrow] : [], $"{band}.link-{on}-1", $"{band}.closure",
        ];
        return ends.FirstOrDefault(e => stand.Find(e) is not null);
    }

    private static void AtTheLugs(Laid laid, BenchFacts facts, Side side)
    {
        var on = facts.Came.IsWanted ? Wanted : facts.Came.On == OnTheWatch.Nothing ? null : Old;
        var end = on is null ? null : EndOf(laid.Stand, on, side);
        var fastener = LugFastener(facts.Attachment, facts.Came.Held);
        // Whose own bars they are known by: a band with levered bars that is on the watch is held by them.
        if (facts.Came.IsWanted && facts.Attachment is Attachment.SpringBarBlind or Attachment.SpringBarDrilled && fastener == Fastener.NotLookedAt)
            fastener = facts.Band.Facts.Attaches == BandAttachment.QuickRelease ? Fastener.LeveredBar : fastener;
        var (lug, missing) = ($"lug-{Laid.On(side)}", facts.Came.MissingBars.Contains(side));
        if (facts.Attachment == Attachment.FixedBar)
        {
            // The bars are the watch's own; a band is drawn under them, or bent round them.
            laid.Thing($"bar-{Laid.On(side)}", ThingKind.Bar, "fixed bar", Owner.Client, null, Place.Watch);
            laid.Joint(lug, Laid.Head, $"bar-{Laid.On(side)}", Fastener.FixedBar, JointAt.Lugs, side);
            if (end is not null)
                laid.Joint($"round-{Laid.On(side)}", $"bar-{Laid.On(side)}", end, Round(laid.Stand[end].Kind), JointAt.Lugs, side);
            return;
        }
        if (end is null)
        {
            // What holds a band there came loose, with nothing to hold.
            if (fastener is Fastener.ScrewedBar or Fastener.SlotScrews or Fastener.MakersOwn)
                foreach (var (kind, like) in HeldParts.Of(fastener, JointAt.Lugs))
                    laid.Thing($"{lug}.{laid.Stand.Things.Count(t => t.Id.StartsWith(lug, StringComparison.Ordinal)) + 1}", kind, like, Owner.Client, null, Place.Bag);
            return;
        }
        if (laid.Stand[end].Kind == ThingKind.OnePieceBand)
        {
            var bar = fastener == Fastener.ScrewedBar ? "screwed bar" : "spring bar";
            laid.Thing($"bar-{Laid.On(side)}", ThingKind.Bar, bar, Owner.Client, null, Place.Watch);
            laid.Joint(lug, Laid.Head, $"bar-{Laid.On(side)}", Fastener.Threaded, JointAt.Lugs, side);
            laid.Set(new Joint(lug, Laid.Head, $"bar-{Laid.On(side)}", fastener == Fastener.ScrewedBar ? Fastener.ScrewedBar : Fastener.SpringBar, [], true, side, null));
            laid.Joint($"round-{Laid.On(side)}", $"bar-{Laid.On(side)}", end, Fastener.Threaded, JointAt.Lugs, side);
            return;
        }
        var joint = laid.Joint(lug, Laid.Head, end, missing ? Fastener.Threaded : fastener, JointAt.Lugs, side);
        if (missing)
            laid.Set(joint with { Fastener = fastener, Closed = false });
        else if (facts is { Came.IsWanted: true, Band: { Links: not null, Facts.SolidEnd: false } } && fastener != Fastener.MakersOwn)
            laid.Set(joint with { Parts = [.. joint.Parts, laid.Thing($"hollow-{Laid.On(side)}", ThingKind.EndPiece, "hollow end piece", facts.Owner, Wanted, Place.Watch).Id] });
    }

    internal static Fastener Round(ThingKind end) => end == ThingKind.OnePieceBand ? Fastener.Threaded : Fastener.OpenEnd;

    /// <summary>The bars that a band brings, and the hollow ends of one that is not on the watch.</summary>
    private static void OwnBars(Laid laid, BenchFacts facts, Place place)
    {
        if (facts.Came.IsWanted)
            return;
        foreach (var side in (Side[])[Side.Twelve, Side.Six])
        {
            if (facts.Band.Facts.Attaches == BandAttachment.QuickRelease)
                laid.Thing($"own-bar-{Laid.On(side)}", ThingKind.Bar, "levered bar", facts.Owner, Wanted, place);
            if (facts.Band is { Links: not null, Facts.SolidEnd: false })
                laid.Thing($"hollow-{Laid.On(side)}", ThingKind.EndPiece, "hollow end piece", facts.Owner, Wanted, place);
        }
    }

    private static void OtherClasp(Laid laid, BenchFacts facts)
    {
        if (facts is { Other: null, NewPins: { } instead, Band.Links: not null })
            foreach (var number in (int[])[1, 2])
                laid.Add(new Thing($"{Wanted}.new-pin-{number}", ThingKind.Pin, $"friction pin of {instead.Diameter}", Owner.Shop, Wanted, Place.Drawer) { Article = instead.Article, Drawer = instead.Drawer });
        if (facts.Other is not { FromOldBand: false } other)
            return;
        var from = new Thing($"{Other}.closure", other.Kind == Matching.ClaspKind.PinBuckle ? ThingKind.Buckle : ThingKind.Clasp, other.Name, Owner.Shop, Other, Place.Drawer)
        {
            Article = other.Article,
            Drawer = other.Drawer,
        };
        laid.Add(from);
        if (other.KeepsFasteners || other.Kind == Matching.ClaspKind.Slide)
            return;
        var bars = facts.Band.Links is null ? (other.Kind == Matching.ClaspKind.Butterfly ? 2 : 1) : 2;
        for (var i = 1; i <= bars; i++)
        {
            laid.Add(other.Pins is { } pins
                ? new Thing($"{Other}.bar-{i}", ThingKind.Pin, $"friction pin of {pins.Diameter}", Owner.Shop, Other, Place.Drawer) { Article = pins.Article, Drawer = pins.Drawer }
                : other.Kind == Matching.ClaspKind.Butterfly
                    ? new Thing($"{Other}.bar-{i}", ThingKind.Pin, "friction pin", Owner.Shop, Other, Place.Drawer) { Drawer = other.Drawer }
                    : new Thing($"{Other}.bar-{i}", ThingKind.Bar, BarLike(facts, i), Owner.Shop, Other, Place.Drawer) { Drawer = other.Drawer });
        }
    }

    /// <summary>The second of a bracelet's clasp is the one for its row of holes.</summary>
    private static string BarLike(BenchFacts facts, int i) =>
        HeldParts.Of(Fastener.SpringBar, facts.Band.Links is null ? JointAt.Buckle : i == 2 && facts.Band.Clasp is { Positions: > 1 } ? JointAt.Micro : JointAt.Fold)[0].Like;

    /// <summary>Loose links in the owner's bag and from stock, each with what joins it.</summary>
    private static void Spares(Laid laid, BenchFacts facts)
    {
        var fastener = facts.Look(JointGroup.Links).Fastener;
        var number = 0;
        void Link(LinkKind kind, Owner owner, Place place, string article, string drawer)
        {
            number++;
            laid.Add(new Thing($"spare.link-{number}", ThingKind.Link, Laid.LikeOf(kind), owner, Wanted, place) { Article = article, Drawer = drawer });
            var part = 0;
            foreach (var (what, like) in HeldParts.Of(fastener, JointAt.Links))
                laid.Add(new Thing($"spare.link-{number}.{++part}", what, like, owner, Wanted, place) { Drawer = drawer, Of = $"spare.link-{number}" });
        }
        if (facts.Band.Links is null)
            return;
        foreach (var spare in facts.Band.Spares.GroupBy(s => s.Kind))
            for (var i = 0; i < spare.Sum(s => s.Count); i++)
                Link(spare.Key, facts.Owner, facts.Owner == Owner.Shop ? Place.Drawer : Place.Bag, "", "");
        foreach (var stock in facts.FromStock)
            for (var i = 0; i < stock.Count; i++)
                Link(stock.Kind, Owner.Shop, Place.Drawer, stock.Article, stock.Drawer);
    }

    private static void Lent(Laid laid, BenchFacts facts)
    {
        var number = 0;
        foreach (var lent in facts.Lent)
            for (var i = 0; i < lent.Count; i++)
                laid.Add(new Thing($"lent-{++number}", ThingKind.Pin, lent.Name, Owner.Shop, null, Place.Drawer) { Drawer = lent.Drawer });
    }

    /// <summary>Bars from stock for the lugs, where the plan takes any.</summary>
    private static void Bars(Laid laid, BenchFacts facts)
    {
        foreach (var side in (Side[])[Side.Twelve, Side.Six])
            if (ToTheWatch.TakesBar(facts, laid.Stand, side))
                laid.Add(new Thing($"stock-bar-{Laid.On(side)}", ThingKind.Bar, facts.Bars?.Name ?? (facts.CurvedBars && !facts.Setup.BendsBars ? "curved spring bar" : "spring bar"), Owner.Shop, Wanted, Place.Drawer)
                {
                    Article = facts.Bars?.Article ?? "",
                    Drawer = facts.Bars?.Drawer ?? "",
                });
    }
}
