using IronLoop.Core.Bands;
using IronLoop.Core.Fitting;
using IronLoop.Core.Jobs;
using IronLoop.Core.Joints;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Bench;

/// <summary>How the watch shall stand: what was agreed, told thing by thing and joint by joint.</summary>
public static class ToTheWatch
{
    /// <summary>The plan of the work.</summary>
    /// <param name="facts">What was agreed.</param>
    /// <param name="from">How it stood at take-in.</param>
    /// <param name="lies">How it lies now: as at take-in, or after a try-on that changed what was agreed.</param>
    /// <param name="before">How far the work is.</param>
    /// <exception cref="BenchException">What was agreed cannot be done with these things.</exception>
    public static BenchPlan Plan(BenchFacts facts, Stand from, Stand lies, SoFar before = default)
    {
        var opened = ToGauge(facts, from).Where(id => before.Rounds == 0 || lies.Joint(id) is { Closed: false }).ToList();
        var asTheyLie = lies;
        lies = AsIfShut(opened, from, lies);
        // Where a part is lost the row does not hang together, and no link is worked.
        var links = facts.Band.Links is null || facts.NewParts.Count > 0 ? null : LinkWork.Of(facts, lies, opened);
        var first = links?.First ?? Side.Twelve;
        var whole = Stand(facts, lies, links, null);
        var part = links?.PartFirst(facts, lies);
        bool? last = facts.HasWearer ? true : null;
        var targets = new List<Target>();
        if (facts is { HasWearer: true, Setup: { TryOn: TryOnSchool.BetweenTheSides, HeadOff: false }, SwapEnds: false } && links is { IsOneRound: false })
            targets.Add(new Target(Stand(facts, lies, links, first), false, first, Order(lies, whole), part));
        targets.Add(new Target(whole, last, targets.Count > 0 ? PlanWords.Other(first) : first, Order(lies, whole), part));
        return StandingIn(new BenchPlan(from, targets, [.. Preparations(facts, lies, whole)], before.Rounds == 0 ? opened : [], before), asTheyLie);
    }

    /// <summary>What came from stock and lies in the tray goes where what it stands in for would have gone, also when the plan is made anew.</summary>
    private static BenchPlan StandingIn(BenchPlan plan, Stand lies)
    {
        foreach (var part in lies.Things.Where(t => t is { Place: Place.Tray, Instead: not null }))
            plan = plan.Gone(part.Instead!, lies[part.Instead!].Place).Instead(part.Instead!, plan.From[part.Id]);
        return plan;
    }

    /// <summary>The plan of leaving off: everything goes back as it was at take-in.</summary>
    public static BenchPlan Cancel(Stand from, Stand lies, SoFar before) =>
        new(from, [new Target(from, null, Side.Twelve, Order(lies, from), null)], [], [], before);

    /// <summary>The joints of both rows as they lie and as they shall lie, from case to clasp.</summary>
    private static List<string> Order(Stand lies, Stand to)
    {
        var order = new List<string>();
        foreach (var stand in (Stand[])[lies, to])
            if (LinkWork.ClosureOf(stand) is { } closure)
                foreach (var side in (Side[])[Side.Twelve, Side.Six])
                    order.AddRange(stand.RowTo(closure, side).Joints.Select(j => j.Id).Where(id => !order.Contains(id)));
        return order;
    }

    /// <summary>A hole, notch or micro position as a joint has it: micrometres of what locks anywhere.</summary>
    public static int PositionOf(BenchFacts facts, int position) =>
        facts.Band is { Mesh.LocksAnywhere: true } or { OnePiece.Farthest: not null } ? (int)(HoledBand.Anywhere * position).Micrometres : position;

    /// <summary>Whether the plan takes a bar from stock for a side.</summary>
    internal static bool TakesBar(BenchFacts facts, Stand from, Side side)
    {
        if (facts.Attachment is not (Attachment.SpringBarDrilled or Attachment.SpringBarBlind))
            return false;
        var lug = from.Lug(side);
        if (facts.Came.IsWanted)
            return lug is { Closed: false } || lug is not null && Renews(facts, lug, side);
        return facts.Band.Facts.Attaches != BandAttachment.QuickRelease && (!facts.ReuseBars || ReusableBar(facts, from, lug) is null);
    }

    /// <summary>Whether the bar that holds the band which stays makes room for one from stock. One that nobody looked at may be worn too.</summary>
    private static bool Renews(BenchFacts facts, Joint lug, Side side) => facts.WornBars.Contains(side)
        ? lug.Fastener is Fastener.SpringBar or Fastener.LeveredBar or Fastener.NotLookedAt
        : lug.Fastener == Fastener.SpringBar && !facts.ReuseBars;

    /// <summary>The bar that holds the old band, where the new one can be held by it.</summary>
    private static string? ReusableBar(BenchFacts facts, Stand from, Joint? lug) => lug switch
    {
        null or { Closed: false } => null,
        _ when facts.CurvedBars && !facts.Setup.BendsBars => null,
        { Fastener: Fastener.SpringBar, Parts: [var bar] } => bar,
        { Fastener: Fastener.SpringBar } when from[lug.B].Kind == ThingKind.Bar => lug.B,
        _ => null,
    };

    /// <summary>How it shall stand: with both sides' links worked, or with one side's alone.</summary>
    private static Stand Stand(BenchFacts facts, Stand lies, LinkWork? links, Side? only)
    {
        var to = lies.Copy();
        foreach (var side in (Side[])[Side.Twelve, Side.Six])
            AtTheLugs(facts, to, side);
        Closes(facts, to);
        foreach (var (at, _) in facts.NewParts)
            to.Set(to.Joint(at)! with { Closed = true, Parts = [.. to.Things.Where(t => t.Id.StartsWith($"{at}.", StringComparison.Ordinal) && t.Id.EndsWith(".new", StringComparison.Ordinal)).Select(t => t.Id)] });
        links?.Work(facts, to, only);
        if (facts.SwapEnds && only is null)
            SwapEnds(to);
        Positions(facts, to, lies, only is null, links);
        Leftovers(facts, to, lies);
        return to;
    }

    private static void AtTheLugs(BenchFacts facts, Stand to, Side side)
    {
        var (on, head) = (Laid.On(side), to.Head!.Id);
        if (FromTheWatch.EndOf(to, FromTheWatch.Wanted, side) is not { } end)
            return;
        var (lugId, roundId) = ($"lug-{on}", $"round-{on}");
        var (lug, round) = (to.Lug(side), to.Joint(roundId));
        var isOn = lug is { Closed: true } && (lug.Joins(end) || round is { Closed: true } && round.Joins(end));
        var fresh = $"stock-bar-{on}";
        var renews = isOn && facts.Came.IsWanted && Renews(facts, lug!, side) && !lug!.Parts.Contains(fresh) && lug.B != fresh;
        if (isOn && !renews)
            return;
        string[] hollow = to.Find($"hollow-{on}") is null ? [] : [$"hollow-{on}"];
        if (facts.Attachment == Attachment.FixedBar || to[end].Kind == ThingKind.OnePieceBand || facts.Band.Facts.Attaches == BandAttachment.OpenEnd)
        {
            var bar = renews ? fresh : lug is { Closed: true } && to[lug.B].Kind == ThingKind.Bar ? lug.B : OwnBar(facts, to, lug, on) ?? to.Find($"stock-bar-{on}")?.Id ?? throw new BenchException($"There is no bar for the {on} side.");
            if (lug is null || !lug.Closed || lug.B != bar)
                to.Set(new Joint(lugId, head, bar, facts.Attachment == Attachment.ScrewBar ? Fastener.ScrewedBar : Fastener.SpringBar, [], true, side, null));
            to.Set(new Joint(roundId, bar, end, FromTheWatch.Round(to[end].Kind), [], true, side, null));
            return;
        }
        if (round is not null)
            to.Set(round.Opened);
        var (fastener, parts) = facts.Attachment switch
        {
            Attachment.ScrewBar => (Fastener.ScrewedBar, Own(to, lug, on)),
            Attachment.ScrewSlot => (Fastener.SlotScrews, Own(to, lug, on)),
            Attachment.OwnShape => (Fastener.MakersOwn, Own(to, lug, on)),
            _ when facts.Band.Facts.Attaches == BandAttachment.QuickRelease && to.Find($"own-bar-{on}") is not null => (Fastener.LeveredBar, [$"own-bar-{on}"]),
            _ => (Fastener.SpringBar, (IReadOnlyList<string>)[to.Find($"stock-bar-{on}")?.Id ?? ReusableBar(facts, to, lug) ?? throw new BenchException($"No bar for the {on} side.")]),
        };
        to.Set(new Joint(lugId, head, end, fastener, [.. parts, .. hollow], true, side, null));
    }

    /// <summary>The watch's own bar that goes back in, with a band that has none.</summary>
    private static string? OwnBar(BenchFacts facts, Stand to, Joint? lug, string on) =>
        facts.Attachment == Attachment.ScrewBar ? Own(to, lug, on) is [var first, ..] ? first : null
        : facts.ReuseBars && lug is { Closed: true } ? ReusableBar(facts, to, lug) : null;

    /// <summary>The watch's own parts at a lug: in their joint, in its bare bar, or come loose.</summary>
    private static IReadOnlyList<string> Own(Stand to, Joint? lug, string on) =>
        lug is { Parts.Count: > 0 } ? lug.Parts
        : lug is not null && to[lug.B].Kind == ThingKind.Bar ? [lug.B]
        : [.. ((string[])[$"lug-{on}.1", $"lug-{on}.2"]).Where(p => to.Find(p) is not null)];

    /// <summary>What closes the band: its own, another from stock, or the one of the band that comes off.</summary>
    private static void Closes(BenchFacts facts, Stand to)
    {
        const string band = FromTheWatch.Wanted;
        var own = $"{band}.closure";
        if (facts.Other is not { } other)
        {
            if (facts.NewPins is not null)
                foreach (var (side, number) in ((string, int)[])[("12", 1), ("6", 2)])
                    if (to.Find($"{band}.new-pin-{number}") is { } pin && to.Joint($"{band}.clasp-{side}") is { Closed: true } pinned)
                        to.Set(pinned with { Fastener = Fastener.FrictionPin, Parts = [pin.Id, .. pinned.Parts.Where(p => to[p].Kind == ThingKind.SafetyFlap)] });
            // A strap sold without a hole gets its own buckle once it is pierced.
            if (facts.Pierced == false && to.Joint($"{band}.clasp-12") is null)
                CloseStrap(facts, to, own, facts.ClaspKind ?? ClaspKind.PinBuckle, [$"{band}.clasp-12.1"], [$"{band}.clasp-6.1"]);
            return;
        }
        var closure = other.FromOldBand ? $"{FromTheWatch.Old}.closure" : $"{FromTheWatch.Other}.closure";
        if (to.Find(closure) is null || to.Joint($"{band}.clasp-12") is { Closed: true } joined && joined.Joins(closure))
            return;
        IReadOnlyList<string> Bar(int number) => other.FromOldBand
            ? to.Joint($"{FromTheWatch.Old}.clasp-{(number == 1 ? "12" : "6")}")?.Parts ?? []
            : [$"{FromTheWatch.Other}.bar-{number}"];
        if (facts.Band.Links is not null)
        {
            foreach (var side in (Side[])[Side.Twelve, Side.Six])
            {
                var joint = to.Joint($"{band}.clasp-{Laid.On(side)}")!;
                var isMicro = facts.Band.Clasp is { Positions: > 1 } clasp && clasp.MicroSide == side;
                var hasMicro = facts.Band.Clasp is { Positions: > 1 };
                // The new clasp's first bar is the one at its fold.
                var number = hasMicro ? (isMicro ? 2 : 1) : side == Side.Twelve ? 1 : 2;
                var keeps = other.KeepsFasteners;
                to.Set(new Joint(
                    joint.Id, joint.A, closure, keeps ? joint.Fastener : other.Kind == ClaspKind.Butterfly ? Fastener.FrictionPin : Fastener.SpringBar,
                    keeps ? [.. joint.Parts.Where(p => to[p].Kind != ThingKind.SafetyFlap)] : Bar(number), true, side, isMicro ? facts.Plan?.Position ?? 0 : null));
            }
            return;
        }
        if (facts.Band.Mesh is not null)
        {
            to.Set(to.Joint($"{band}.slide")! with { B = closure, Closed = true });
            to.Set(to.Joint($"{band}.catch")! with { B = closure, Closed = true });
            return;
        }
        var old = to.Joint($"{band}.clasp-12");
        var keptBar = other.KeepsFasteners && old is not null ? old.Parts : null;
        if (facts.Band.OnePiece is null)
            CloseStrap(facts, to, closure, other.Kind, keptBar ?? Bar(1), Bar(2));
        if (other.FromOldBand && to.Joint($"{FromTheWatch.Old}.hole") is { } oldHole)
            to.Set(oldHole with { Closed = false });
        foreach (var left in to.Joints.Where(j => j.Closed && other.FromOldBand && j.Joins(closure) && to[j.Other(closure)].Fits == FromTheWatch.Old).ToList())
            to.Set(left.Opened);
    }

    private static void CloseStrap(BenchFacts facts, Stand to, string closure, ClaspKind kind, IReadOnlyList<string> bar, IReadOnlyList<string> secondBar)
    {
        const string band = FromTheWatch.Wanted;
        var isButterfly = kind == ClaspKind.Butterfly;
        var fastener = isButterfly ? Fastener.FrictionPin : Fastener.SpringBar;
        to.Set(new Joint($"{band}.clasp-12", $"{band}.buckle-piece", closure, fastener, bar, true, Side.Twelve, null));
        if (to.Joint($"{band}.hole") is { } hole)
            to.Set(hole.Opened);
        if (isButterfly)
            to.Set(new Joint($"{band}.clasp-6", $"{band}.tail-piece", closure, fastener, secondBar, true, Side.Six, null));
        else
        {
            if (to.Joint($"{band}.clasp-6") is { } pinned)
                to.Set(pinned.Opened);
            to.Set(new Joint($"{band}.hole", $"{band}.tail-piece", closure, Fastener.ByHand, [], true, Side.Six, facts.Plan?.Position ?? 0));
        }
    }

    /// <summary>The last links of the two sides change places; each joint keeps what holds it.</summary>
    private static void SwapEnds(Stand to)
    {
        if (LinkWork.ClosureOf(to) is not { } closure)
            return;
        var (twelve, six) = (to.RowTo(closure, Side.Twelve), to.RowTo(closure, Side.Six));
        if (twelve.Row.Count < 2 || six.Row.Count < 2)
            throw new BenchException("A side of one link has no end to exchange.");
        if (!twelve.Joints[^2].Opens || !six.Joints[^2].Opens)
            throw new BenchException("The ends cannot be exchanged: a joint beside them does not open.");
        Exchange(to, twelve, six.Row[^1]);
        Exchange(to, six, twelve.Row[^1]);
    }

    private static void Exchange(Stand to, (IReadOnlyList<string> Row, IReadOnlyList<Joint> Joints) side, string other)
    {
        to.Set(side.Joints[^2] with { A = side.Row[^2], B = other });
        to.Set(side.Joints[^1] with { A = other, B = side.Joints[^1].Other(side.Row[^1]) });
    }

    /// <summary>The hole, notch or micro position.</summary>
    private static void Positions(BenchFacts facts, Stand to, Stand lies, bool isLast, LinkWork? links)
    {
        if (facts.Plan is not { } plan)
            return;
        if (facts.Band.Links is not null)
        {
            foreach (var joint in to.Joints.Where(j => j is { Closed: true, Position: not null, Fastener: not Fastener.ByHand }).ToList())
            {
                // Between the sides it is set only where its bar comes out anyway.
                var isOpened = lies.Joint(joint.Id) is not { } before || !before.IsMadeAs(joint) || links?.PartFirst(facts, lies) == joint.Id;
                to.Set(joint with { Position = isLast || isOpened ? plan.Position : lies.Joint(joint.Id)!.Position });
            }
            return;
        }
        var at = facts.Band.Mesh is null ? $"{FromTheWatch.Wanted}.hole" : $"{FromTheWatch.Wanted}.slide";
        if (to.Joint(at) is { } hand && to.Joint($"{FromTheWatch.Wanted}.clasp-6") is not { Closed: true })
            to.Set(hand with { Closed = true, Position = PositionOf(facts, plan.Position) });
        if (to.Joint($"{FromTheWatch.Wanted}.catch") is { } catches)
            to.Set(catches with { Closed = true });
    }

    /// <summary>Where everything goes that is not in the watch.</summary>
    private static void Leftovers(BenchFacts facts, Stand to, Stand lies)
    {
        var ring = to.Hanging(to.Head!.Id).ToHashSet(StringComparer.Ordinal);
        foreach (var thing in to.Things.ToList())
        {
            if (ring.Contains(thing.Id))
            {
                to.Put([thing.Id], Place.Watch);
                continue;
            }
            // The shop keeps the clasp of a band from stock that leaves with another one.
            var isKept = facts is { Owner: Owner.Shop, Other.FromOldBand: false } && thing.Fits == FromTheWatch.Wanted && IsOfItsClosure(lies, thing.Id);
            var isStock = thing.Place == Place.Drawer && (thing.Fits != FromTheWatch.Wanted || facts.Owner == Owner.Client);
            if (thing.Place is Place.Thrown or Place.Lost or Place.Loan || isStock)
                continue;
            var isShops = thing.Owner == Owner.Shop && (thing.Article.Length > 0 || thing.Of is { } its && to[its].Article.Length > 0);
            to.Put([thing.Id], isKept || isShops ? Place.Drawer : Place.Bag);
        }
        // A run that stays joined goes where its first link goes.
        foreach (var joint in to.Joints.Where(j => j.Closed && !ring.Contains(j.A) && to[j.A].Kind == ThingKind.Link))
            to.Put([joint.B, .. joint.Parts], to[joint.A].Place);
        // What is not in the watch keeps what is closed of it; what held it there is loose.
        foreach (var joint in to.Joints.Where(j => j.Closed && to[j.A].Place != to[j.B].Place).ToList())
            to.Set(joint.Opened);
    }

    private static bool IsOfItsClosure(Stand lies, string thing)
    {
        var closure = $"{FromTheWatch.Wanted}.closure";
        return thing == closure || lies.Holding(closure).Any(j => j.Parts.Contains(thing));
    }

    private static IEnumerable<Preparation> Preparations(BenchFacts facts, Stand lies, Stand to)
    {
        const string band = FromTheWatch.Wanted;
        foreach (var piece in facts.Prepare)
        {
            if (piece.At == PreparedAt.Tail)
            {
                // It is punched while the buckle is open, on the watch or off it.
                if (FromTheWatch.EndOf(to, band, Side.Six) is { } tail && !lies[tail].Made.Contains(piece.What))
                    yield return new Preparation(tail, $"{band}.hole", piece);
                continue;
            }
            foreach (var side in (Side[])[Side.Twelve, Side.Six])
            {
                var joint = piece.At == PreparedAt.LugEnds ? $"lug-{Laid.On(side)}" : $"{band}.clasp-{Laid.On(side)}";
                var end = piece.At == PreparedAt.LugEnds
                    ? to.Find($"hollow-{Laid.On(side)}")?.Id ?? FromTheWatch.EndOf(to, band, side)
                    : to.Joint(joint) is { Closed: true } at ? at.A : null;
                if (end is not null && !lies[end].Made.Contains(piece.What))
                    yield return new Preparation(end, joint, piece);
            }
        }
        if (!facts.CurvedBars || !facts.Setup.BendsBars)
            yield break;
        foreach (var side in (Side[])[Side.Twelve, Side.Six])
            if (to.Lug(side) is { Fastener: Fastener.SpringBar, Parts: [var bar, ..] } && !lies[bar].Made.Contains(Shaping.Bend) && lies.Lug(side)?.Parts.Contains(bar) != true | !facts.Came.IsWanted)
                yield return new Preparation(bar, null, new PieceToPrepare(Shaping.Bend, "bend the straight bar a little by hand, until it passes the curved end", false, PreparedAt.LugEnds) { Minutes = 3 });
    }

    /// <summary>How it lies, were what was opened to be gauged closed again: what is agreed is told from there, and that it is open costs nothing.</summary>
    private static Stand AsIfShut(IReadOnlyList<string> opened, Stand from, Stand lies)
    {
        var shut = lies.Copy();
        var joints = opened.Select(id => (Was: from.Joint(id)!, Now: lies.Joint(id))).Where(j => j.Now is { Closed: false } now && now.A == j.Was.A && now.B == j.Was.B).ToList();
        foreach (var (was, now) in joints)
            shut.Set(was with { Position = now!.Position ?? was.Position });
        shut.Put([.. joints.SelectMany(j => shut.Hanging(j.Was.A)).Distinct().Where(id => shut.Is(id, Place.Tray))], Place.Watch);
        return shut;
    }

    internal static IEnumerable<string> ToGauge(BenchFacts facts, Stand lies) => lies.Joints
        .Where(j => j.Closed && lies.Is(j.A, Place.Watch) && facts.OpenToGauge.Any(g => g switch
        {
            JointGroup.ClaspTwelve => j.Id == $"{FromTheWatch.Wanted}.clasp-12",
            JointGroup.ClaspSix => j.Id == $"{FromTheWatch.Wanted}.clasp-6",
            JointGroup.Lugs => j.Id is "lug-12" or "lug-6",
            _ => false,
        }))
        .Select(j => j.Id);
}

/// <summary>What was agreed cannot be done with the things that are there.</summary>
public sealed class BenchException(string why) : Exception(why);
