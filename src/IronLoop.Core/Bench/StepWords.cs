using System.Globalization;
using IronLoop.Core.Fitting;
using IronLoop.Core.Jobs;
using IronLoop.Core.Joints;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Tools;

namespace IronLoop.Core.Bench;

/// <summary>Joints that are looked at together at the end.</summary>
public enum CheckGroup
{
    /// <summary>At the lugs.</summary>
    Lugs,

    /// <summary>Between links.</summary>
    Links,

    /// <summary>At the clasp or buckle.</summary>
    Clasp,
}

/// <summary>Makes the words of a step from its acts: what is not done is not said.</summary>
public sealed class StepWords
{
    /// <summary>Below this a fork does not go in beside the bar (house rule).</summary>
    private static readonly Length ForkRoom = Length.FromMillimetres(1);

    private readonly BenchFacts _facts;
    private readonly BenchPlan _plan;
    private readonly Dictionary<string, int> _numbers = [];
    private readonly Dictionary<string, Side> _sides = [];
    private readonly Dictionary<string, string> _marks = [];
    private readonly Dictionary<Side, int> _came = [];

    internal StepWords(BenchFacts facts, BenchPlan plan)
    {
        (_facts, _plan) = (facts, plan);
        foreach (var side in (Side[])[Side.Twelve, Side.Six])
        {
            var row = LinkWork.ClosureOf(plan.From) is { } closure ? plan.From.RowTo(closure, side).Row.Where(id => plan.From[id].Kind == ThingKind.Link).ToList() : [];
            _came[side] = row.Count;
            for (var i = 0; i < row.Count; i++)
            {
                _sides[row[i]] = side;
                // By count nobody knows how many lie before it.
                if (facts.Counted is null)
                    _numbers[row[i]] = i + 1;
                else
                    _marks[row[i]] = i == 0 ? "the rest of the row" : i == row.Count - 1 ? "the link before the clasp" : row.Count == 3 ? "the marked link" : "the marked links";
            }
        }
    }

    /// <summary>Which joints are looked at together.</summary>
    public static CheckGroup GroupOf(Stand stand, Joint joint) =>
        IsAtLugs(stand, joint) ? CheckGroup.Lugs
        : stand[joint.A].IsClosure || stand[joint.B].IsClosure ? CheckGroup.Clasp
        : CheckGroup.Links;

    /// <summary>The step with its words.</summary>
    /// <param name="step">The step.</param>
    /// <param name="stand">How it stands before it.</param>
    /// <param name="target">What it is on the way to.</param>
    internal BenchStep Of(BenchStep step, Stand stand, Target target) => (step.Row switch
    {
        StepRow.Protect => step with { Says = Protects(stand), Tool = "soft mat, tape" },
        StepRow.Look => Looks(step, stand),
        StepRow.OpenToGauge when IsAtLugs(stand, stand.Joint(Joint(step))!) => Off(step, stand, null, " Gauge what is bare now; what came off stays in the tray until the rest is approved."),
        StepRow.OpenToGauge => Opens(step, stand, " Gauge what was in it, and its bore; it stays open, and the tray is kept, until the part is there."),
        StepRow.Fetch => Fetches(step, stand),
        StepRow.Consent => step with
        {
            Says = $"The owner’s written consent to what cannot be undone: {string.Join("; ", _plan.Prepare.Where(p => p.Piece.Irreversible).Select(p => p.Piece.Says).Distinct())}.",
            Caution = "Without it, stop here.",
        },
        StepRow.Unbuckle => step with { Says = $"Open the {(stand[stand.Joint(Joint(step))!.B] is { Kind: ThingKind.Buckle } own ? Laid.ClosureOf(own) : "clasp")}.", Where = new BenchPlace { AtClasp = true } },
        StepRow.HeadOff => Off(step, stand, step.Acts.Count > 1 ? "Then its 6 side, and the head goes into the tray; the band stays laid" : "The head comes off its band for this work, its 12 side first"),
        StepRow.OldBandOff => Off(step, stand, null),
        StepRow.InTheTray => Opens(step, stand, $" The {stand[stand.Joint(Joint(step))!.B].Like} is for the new band."),
        StepRow.Clean => step with { Says = $"Clean between the lugs, now that they are bare{(_facts.Condition.Count > 0 ? "; see whether what was noted at take-in is as it was" : "")}.", Tool = "soft brush", Where = new BenchPlace { AtLugs = true } },
        StepRow.Prepare => Prepares(step),
        StepRow.ClaspOff when !step.Acts.OfType<Act.Open>().Any() => step with { Says = "Lift the old clasp off and keep it beside the new one until that closes.", Where = new BenchPlace { AtClasp = true } },
        StepRow.ClaspOff => Opens(step, stand, step.Acts.OfType<Act.Remove>().Any() ? " Lift the old clasp off and keep it beside the new one until that closes." : ""),
        StepRow.Open => Opens(step, stand, ""),
        StepRow.Join or StepRow.ClaspOn => Joins(step, stand),
        StepRow.Lay => step with { Says = Lays(), Where = new BenchPlace { AtLugs = true } },
        StepRow.Bars => Bar(step, stand),
        StepRow.Thread => Threads(step, stand),
        StepRow.Lugs => AtTheLugs(step, stand),
        StepRow.Set => Sets(step, stand),
        StepRow.Shut => Shuts(step, stand),
        StepRow.AsTold => step with { Says = _facts.Told ?? "The band is off: what it came off for is done now. Go on when it is." },
        StepRow.Wipe => step with { Says = "Tape off; wipe watch and band.", Tool = "soft cloth" },
        StepRow.TryOn => step with { Says = TriesOn(step, target), Where = new BenchPlace { AtClasp = true } },
        StepRow.Check => Checks(step, stand),
        StepRow.GiveBack => step with { Says = BackSaid([.. step.Acts.OfType<Act.GiveBack>().Select(a => stand[a.Thing])]) },
        StepRow.PutAway => PutsAway(step, stand),
        _ => throw new ArgumentOutOfRangeException(nameof(step), step.Row, "Not a row."),
    }) is var said && said.Row == StepRow.Prepare ? said : said with { Minutes = step.IsWord ? 0.5 : BenchStep.UsualMinutes(step.Row), How = How(said, stand), Picture = Pictured(said, stand) };

    /// <summary>How the hands go at the joint that the step opens or closes.</summary>
    private string How(BenchStep step, Stand stand)
    {
        var (setup, hands, fromOutside) = (_facts.Setup, _facts.Hands, _facts.Attachment == Attachment.SpringBarDrilled);
        if (step.Acts.OfType<Act.Open>().FirstOrDefault() is { } open && stand.Joint(open.Joint) is { } opened)
        {
            return IsAtLugs(stand, opened) ? HandWords.OffTheLugs(opened.Fastener, fromOutside, hands)
                : IsClosure(stand, opened) && opened.Fastener.IsSprung() ? HandWords.AtTheClasp(true, IsBuckle(stand, opened), hands)
                : HandWords.Open(opened.Fastener, setup.Tools, hands);
        }
        if (step.Acts.OfType<Act.Close>().FirstOrDefault() is not { } close)
            return "";
        var closed = new Joint(close.Joint, close.A, close.B, close.Fastener, close.Parts, true, close.Side, close.Position);
        return IsAtLugs(stand, closed) ? HandWords.OnTheLugs(close.Fastener, fromOutside, hands)
            : IsClosure(stand, closed) && close.Fastener.IsSprung() ? HandWords.AtTheClasp(false, IsBuckle(stand, closed), hands)
            : HandWords.Close(close.Fastener, setup.In, setup.Insertion == Insertion.AlongTheArrow && close.Fastener != Fastener.SplitPin, hands);
    }

    /// <summary>The picture of how the hands go there.</summary>
    private HandPicture? Pictured(BenchStep step, Stand stand)
    {
        var (setup, isDrilled) = (_facts.Setup, _facts.Attachment == Attachment.SpringBarDrilled);
        if (step.Acts.OfType<Act.Open>().FirstOrDefault() is { } open && stand.Joint(open.Joint) is { } opened)
            return HandPictures.Of(true, opened.Fastener, IsAtLugs(stand, opened), isDrilled, setup.Tools, along: true);
        return step.Acts.OfType<Act.Close>().FirstOrDefault() is { } close
            ? HandPictures.Of(false, close.Fastener, close.A == stand.Head!.Id || close.B == stand.Head!.Id, isDrilled, setup.In, setup.Insertion == Insertion.AlongTheArrow && close.Fastener != Fastener.SplitPin)
            : null;
    }

    private static bool IsBuckle(Stand stand, Joint joint) => stand[joint.A].Kind == ThingKind.Buckle || stand[joint.B].Kind == ThingKind.Buckle;

    private static string Joint(BenchStep step) => step.Acts.Select(a => a switch
    {
        Act.Open open => open.Joint,
        Act.Close close => close.Joint,
        Act.Adjust adjust => adjust.Joint,
        _ => null,
    }).First(j => j is not null)!;

    private string Protects(Stand stand)
    {
        var isBracelet = _facts.Band.Links is not null;
        var flat = isBracelet && _facts.Came.IsWanted && _plan.Targets.All(t => t.PartFirst is null) && _facts.Other is null && _facts.Setup.HeadOff == false && Rows(stand)
            ? _facts.ClaspKind == ClaspKind.Butterfly ? " Press both buttons and open the clasp, so that the band lies flat." : " Open the clasp, so that the band lies flat."
            : "";
        return $"Lay the watch on the soft mat, case back toward you. Tape the lugs{(isBracelet ? " and the clasp" : "")}.{flat}";
    }

    private bool Rows(Stand stand) => stand.Joints.Any(j => j.Closed && stand[j.A].Kind == ThingKind.Link && _plan.To.Joint(j.Id) is not { Closed: true });

    private BenchStep Looks(BenchStep step, Stand stand)
    {
        var joints = step.Acts.OfType<Act.Look>().Select(l => stand.Joint(l.Joint)!).ToList();
        var where = joints.Select(j => IsAtLugs(stand, j) ? "at the lugs" : stand[j.B].IsClosure || stand[j.A].IsClosure ? $"at the clasp, {PlanWords.Name(j.Side!.Value)} side" : "between the links").Distinct();
        var isAtLugs = joints.TrueForAll(j => IsAtLugs(stand, j));
        var what = isAtLugs ? "A lever at its back, a sprung bar, or a screw?" : "A slot, an arrow with both mouths alike, an arrow and a hair-thin slit, or a bar in the gap? Each group may be held by another.";
        return step with
        {
            Says = $"Look what holds the joints {string.Join(", and ", where)}. {what}{(_facts.Counted is { } counted ? HowMany(counted) : "")}",
            Tool = "loupe",
        };
    }

    /// <summary>What the first look has to settle where links leave by count.</summary>
    private static string HowMany(Counted counted)
    {
        string[] said = [.. ((Side[])[Side.Twelve, Side.Six]).Where(s => counted.On(s) > 0)
            .Select(s => $"{PlanWords.Name(s)} side, {(counted.On(s) == 1 ? "1 marked link" : $"{Number(counted.On(s))} neighbouring marked links of one width")}, the last one before the clasp staying")];
        return said.Length == 0 ? "" : $" Then {string.Join("; ", said)}: all alike? How many are marked?";
    }

    private BenchStep Fetches(BenchStep step, Stand stand)
    {
        if (step.Acts.OfType<Act.Lend>().Select(l => stand[l.Thing]).ToList() is { Count: > 0 } lent)
            return step with { Says = $"From {lent[0].Drawer}, lent for this work: {string.Join(", ", Counted(lent))}; back there when it is done." };
        var moved = step.Acts.OfType<Act.Move>().SelectMany(m => (string[])[m.Thing, .. m.With]).Select(id => stand[id]).ToList();
        var isBand = moved.Any(t => t.Fits == FromTheWatch.Wanted && (t.IsClosure || t.Kind is ThingKind.BucklePiece or ThingKind.TailPiece or ThingKind.MeshPiece or ThingKind.OnePieceBand));
        var named = isBand ? moved.Where(t => t.Fits != FromTheWatch.Wanted || t.Kind == ThingKind.Bar && step.Acts.OfType<Act.Move>().Any(m => m.Thing == t.Id)).ToList() : moved;
        var first = moved[0];
        var where = first.Place == Place.Bag ? "the owner’s bag" : first.Drawer.Length > 0 ? first.Drawer : "stock";
        string[] said = [.. isBand ? (string[])[$"the {_facts.Name}"] : [], .. Counted(named)];
        return step with { Says = $"From {where} into the tray: {string.Join(", ", said)}." };
    }

    /// <summary>Things by their names, with how many of each and their article.</summary>
    private static IEnumerable<string> Counted(IEnumerable<Thing> things) =>
        things.GroupBy(t => (t.Like, t.Article)).Select(g => $"{g.First().Count(g.Count())}{(g.Key.Article.Length > 0 ? $", {g.Key.Article}" : "")}");

    private BenchStep Off(BenchStep step, Stand stand, string? ends, string also = "")
    {
        var joints = step.Acts.OfType<Act.Open>().Select(o => stand.Joint(o.Joint)!).ToList();
        if (joints.Count == 0)
            return step with { Says = "Old band off, into the tray.", Where = new BenchPlace { AtLugs = true } };
        var removed = step.Acts.OfType<Act.Remove>().SelectMany(r => (string[])[r.Thing, .. r.With]).Select(id => stand[id]).ToList();
        var joint = joints[0];
        var side = joint.Side is { } on ? $"{PlanWords.Name(on)} side" : "";
        if (joint.Fastener is Fastener.Threaded or Fastener.OpenEnd)
        {
            return step with
            {
                Says = joint.Fastener == Fastener.Threaded
                    ? "Old band off: draw it out from under both bars, and lay it in the tray."
                    : "Old band off: open its bent ends and draw them from the bars; never lever against a fixed bar.",
                Where = new BenchPlace { AtLugs = true },
            };
        }
        var isBareBar = stand[joint.B].Kind == ThingKind.Bar;
        var isWhole = stand[joint.B].Kind is ThingKind.Band or ThingKind.Link or ThingKind.EndPiece;
        var wide = isWhole && joint.Side == Side.Twelve ? " Open the clasp wide first." : "";
        var off = LugOff(joint.Fastener);
        var what = isBareBar ? $"The bare bar out, {side}" : ends is null ? $"{(stand[joint.B].Fits == FromTheWatch.Wanted ? "The band" : "Old band")} off, {side}" : ends;
        var hollow = joint.Parts.Any(p => stand[p].Kind == ThingKind.EndPiece) ? " Hold the loose shaped end: it drops when the bar is out." : "";
        var dirt = _facts.IsDirty ? " Brush the dirt from the bar first; never lever through it." : "";
        var kept = removed.Count > 0 && ends is null && !isBareBar ? $" Into the tray with what is its own, kept together." : "";
        return step with
        {
            Says = $"{what}.{wide}{dirt} {off.How}{hollow}{kept}{also}",
            Tool = off.Tool,
            Wants = off.Wanted,
            FallsOut = off.FallsOut,
            Caution = off.Caution,
            Where = new BenchPlace(joint.Side) { AtLugs = true },
        };
    }

    private JointWork LugOff(Fastener fastener) => fastener switch
    {
        Fastener.LeveredBar => new("Draw the lever and lift the end out.", ""),
        Fastener.ScrewedBar => new JointWork("Two drivers that fit, one holding: turn the watch’s own bar out and keep it with its screws.", "", null, "the bar and its screws", JointWords.NeverForce).With(Drivers),
        Fastener.SlotScrews => new JointWork("Turn the slot’s screws out and draw the end from it; the screws into the tray at once.", "", null, "the screws", JointWords.NeverForce)
            .With(Driver, _facts.Wall.Any(ToolKind.Tweezers, "not magnetic")),
        Fastener.MakersOwn => new("Release it as its maker made it, and look how it sits before it is out.", "as the maker asks", null, "whatever holds it"),
        Fastener.NotLookedAt => new("Release it as the look showed: by its lever, from behind, from outside, or with a driver.", "as the look showed", null, "whatever holds it", PieceOfWork.Bars),
        _ when _facts.Attachment == Attachment.SpringBarDrilled => new JointWork("Press the bar’s tip inward from outside the lug and ease the end out.", "", null, "the bar, which springs", PieceOfWork.Bars)
            .With(_facts.Wall.Any(ToolKind.Point)),
        _ when HasNoRoom => new("There is no room for a fork: slide a blunt thin blade along the lug, never a sharp one, and draw the tip; the last resort.", "blunt thin blade", null, "the bar, which springs", PieceOfWork.Bars),
        _ => new JointWork("From behind: hook the bar’s flange between band and lug, draw it away from the lug, ease the end out; hold the end down, and keep light pressure so that the first tip stays released.", "", null, "the bar, which springs", PieceOfWork.Bars)
            .With(AtTheLugsFork),
    };

    private Pick AtTheLugsFork => _facts.Wall.Fork(_facts.BarGap, null, _facts.Look(JointGroup.Lugs).Across);

    private Pick Driver => _facts.Wall.Blade(_facts.Look(JointGroup.Lugs).Slot, _facts.Look(JointGroup.Lugs).SlotLength);

    private Pick Drivers => _facts.Wall.Blades(_facts.Look(JointGroup.Lugs).Slot, _facts.Look(JointGroup.Lugs).SlotLength);

    private bool HasNoRoom => _facts.BarGap is { } gap && gap < ForkRoom;

    private BenchStep Prepares(BenchStep step)
    {
        var act = step.Acts.OfType<Act.Prepare>().First();
        var piece = _plan.Prepare.First(p => p.Thing == act.Thing && p.Piece.What == act.What).Piece;
        var thing = _plan.From[act.Thing];
        var how = piece.What == Shaping.Punch ? " Mark the place with a rule first; punch once, on wood." : piece.Irreversible ? " Offer it up first; then a little at a time, and offer it up again." : "";
        return step with
        {
            Says = $"{Capital(Named(thing))}{(SideOf(thing.Id) is { } on ? $", {PlanWords.Name(on)} side" : "")}: {piece.Says}.{how}",
            Tool = piece.Tools,
            Caution = piece.Caution,
            Minutes = piece.Minutes,
            Where = piece.At switch { PreparedAt.LugEnds => new BenchPlace { AtLugs = true }, PreparedAt.ClaspEnds => new BenchPlace { AtClasp = true }, _ => new BenchPlace(Side.Six) },
        };
    }

    /// <summary>The side on which a thing will be joined.</summary>
    private Side? SideOf(string thing) => _plan.To.Joints.FirstOrDefault(j => j.Closed && j.Side is not null && j.Holds(thing))?.Side;

    private string Named(Thing thing) => _numbers.TryGetValue(thing.Id, out var number) ? $"link {Number(number)}" : thing.Like;

    private BenchStep Opens(BenchStep step, Stand stand, string also)
    {
        var joint = stand.Joint(Joint(step))!;
        var removed = step.Acts.OfType<Act.Remove>().SelectMany(r => (string[])[r.Thing, .. r.With]).Select(id => stand[id]).Where(t => t is { IsPart: false, IsClosure: false }).ToList();
        var isClosure = IsClosure(stand, joint);
        var open = joint.Fastener == Fastener.ByHand ? new JointWork("Lift the flap near one end, never in its middle, and slide the clasp off.", "flat blade")
            : isClosure ? AtClasp(joint, stand, opens: true) : JointWords.Open(joint.Fastener, LookOf(joint), _facts.Setup, _facts.Wall);
        var asOne = removed.Count > 1 && stand.Joints.Count(j => j.Closed && j.Id != joint.Id && removed.Exists(t => t.Id == j.A) && removed.Exists(t => t.Id == j.B)) == removed.Count - 1;
        var out_ = removed.Count == 0 ? "" : $" {Capital(LinksSaid(removed))} {(removed.Count == 1 ? "comes" : "come")} out{(asOne ? " as one run" : "")}, into the tray.";
        var flap = joint.Parts.Any(p => stand[p].Kind == ThingKind.SafetyFlap) ? " The safety flap comes out with it." : "";
        var closure = stand[joint.B].IsClosure ? stand[joint.B] : stand[joint.A];
        var what = step.Row == StepRow.ClaspOff && closure.Kind == ThingKind.Buckle && stand.Is(closure.Id, Place.Tray)
            ? $"The {_facts.Name} gets another buckle: its own comes off." : $"{Capital(JointName(stand, joint))}: open it.";
        return step with
        {
            Says = $"{what} {open.How}{flap}{out_}{also}",
            Tool = open.Tool,
            Wants = open.Wanted,
            Direction = open.Direction,
            FallsOut = joint.Parts.Any(p => stand[p].Kind == ThingKind.SafetyFlap) ? $"{open.FallsOut}; the safety flap" : open.FallsOut,
            Caution = open.Caution,
            Where = WhereOf(stand, joint, removed),
        };
    }

    private BenchStep Joins(BenchStep step, Stand stand)
    {
        var close = step.Acts.OfType<Act.Close>().First();
        var joint = new Joint(close.Joint, close.A, close.B, close.Fastener, close.Parts, true, close.Side, close.Position);
        var isClosure = IsClosure(stand, joint);
        var work = close.Fastener == Fastener.ByHand ? new JointWork("Slide it on and let it lock; the lock must resist.", "")
            : isClosure ? AtClasp(joint, stand, opens: false) : JointWords.Close(close.Fastener, LookOf(joint), _facts.Setup, _facts.Wall);
        var offered = step.Acts.OfType<Act.OfferUp>().Any() ? " These ends were not joined before: offer it up before the fastener goes in." : "";
        var lays = step.Acts.OfType<Act.Lay>().SelectMany(l => (string[])[l.Thing, .. l.With]).Select(id => stand[id]).Where(t => t is { IsPart: false, IsClosure: false }).ToList();
        var flap = joint.Parts.Any(p => stand[p].Kind == ThingKind.SafetyFlap) ? " The bar goes through the safety flap too." : "";
        var edges = !isClosure && (close.Fastener.IsPin() || close.Fastener.IsTurned()) ? ", arrows or screw heads on the same edge" : "";
        var what = isClosure
            ? $"{PlanWords.Name(close.Side ?? Side.Twelve)} side: join {Named(stand, close.A, close.Side)} to the {stand[stand[close.B].IsClosure ? close.B : close.A].Like}{(close.Position is { } position && close.Fastener != Fastener.ByHand ? $" in position {Number(position + 1)}{Positions}, counted from the tight end" : "")}"
            : stand[close.A] is { Kind: ThingKind.Link } a && stand[close.B] is { Kind: ThingKind.Link } b && !_numbers.ContainsKey(a.Id) && !_numbers.ContainsKey(b.Id) && lays.Count == 0 && stand.Is(a.Id, Place.Tray)
            ? $"Join two of the loose links{edges}"
            : $"{(lays.Count > 0 ? $"Set {LinksSaid(lays, close.Side)} in: close" : "Close")} {Named(stand, close.A, close.Side)} to {Named(stand, close.B, close.Side)}{(close.Side is { } on ? $", {PlanWords.Name(on)} side" : "")}{edges}";
        return step with
        {
            Says = $"{what}.{offered} {work.How}{flap} Turn and pull.",
            Tool = work.Tool,
            Wants = work.Wanted,
            Direction = work.Direction,
            FallsOut = work.FallsOut,
            Caution = work.Caution,
            Where = WhereOf(stand, joint, []),
        };
    }

    private Pick ClaspFork(Joint joint) => _facts.Wall.Fork(LookOf(joint).Gap, null, LookOf(joint).Across);

    private JointWork AtClasp(Joint joint, Stand stand, bool opens)
    {
        if (!joint.Fastener.IsSprung())
            return opens ? JointWords.Open(joint.Fastener, LookOf(joint), _facts.Setup, _facts.Wall) : JointWords.Close(joint.Fastener, LookOf(joint), _facts.Setup, _facts.Wall);
        var closure = stand[joint.B].IsClosure ? stand[joint.B] : stand[joint.A];
        if (closure.Kind == ThingKind.Buckle)
        {
            return opens
                ? new JointWork("Slide the strap aside to bare the bar’s lip, and release it.", "", null, "the bar, which springs", PieceOfWork.Bars).With(ClaspFork(joint))
                : new JointWork("Bar half through, tongue on the right way up, bar on until both ends show alike; the frame on with the tongue lifted.", "", null, "the bar, which springs", PieceOfWork.Bars).With(ClaspFork(joint));
        }
        var where = joint.Position is not null ? "in the row of holes" : _facts.Band.Links is null ? "in the clasp’s side" : "at the fold";
        return opens
            ? new JointWork($"Press the bar’s tip {where} with a fine point, a finger over its end, and draw the bar out.{(_facts.Band.Links is null ? "" : " Lay it under its joint’s name: the two bars of a clasp may differ.")}", "", null, "the bar, which springs", PieceOfWork.Bars).With(_facts.Wall.Any(ToolKind.Point))
            : new JointWork($"Seat one tip of its bar {where}, press the other, wiggle until it clicks.", "", null, "the bar, which springs", PieceOfWork.Bars).With(ClaspFork(joint));
    }

    private BenchStep Bar(BenchStep step, Stand stand)
    {
        var close = step.Acts.OfType<Act.Close>().First();
        var bar = stand[close.B];
        var isScrewed = close.Fastener == Fastener.ScrewedBar;
        return step with
        {
            Says = $"{Capital(bar.Like)}{Article(bar)} into the bare head, {PlanWords.Name(close.Side!.Value)} side{(isScrewed ? ", its screws home" : "; listen for the click")}, and pull at it.",
            Tool = (isScrewed ? Drivers : _facts.Attachment == Attachment.SpringBarDrilled ? _facts.Wall.Any(ToolKind.Point) : AtTheLugsFork).Says,
            FallsOut = isScrewed ? "the screws" : "the bar, which springs",
            Caution = isScrewed ? JointWords.NeverForce : PieceOfWork.Bars,
            Where = new BenchPlace(close.Side) { AtLugs = true },
        };
    }

    private static string Article(Thing thing) => thing.Article.Length > 0 ? $" ({thing.Article})" : "";

    private BenchStep Threads(BenchStep step, Stand stand)
    {
        var close = step.Acts.OfType<Act.Close>().First();
        var side = PlanWords.Name(close.Side!.Value);
        if (close.Fastener == Fastener.OpenEnd)
        {
            return step with
            {
                Says = $"{Capital(stand[close.B].Like)}, {side} side: close the open end round the bar and press it shut; never lever against the bar. Pull at it.",
                Tool = _facts.Wall.Any(ToolKind.Pliers, "smooth-jawed").Says,
                Where = new BenchPlace(close.Side) { AtLugs = true },
            };
        }
        var isSecond = stand.Joints.Any(j => j is { Closed: true, Fastener: Fastener.Threaded });
        // Where a job is called off the band that goes back on is the old one.
        var threaded = stand[stand[close.A].Kind == ThingKind.OnePieceBand ? close.A : close.B];
        return step with
        {
            Says = !isSecond
                ? $"The {Laid.ClosureOf(stand.Closure(threaded.Fits!)!)} end lies on the {side} side. Thread the band down past the bar there and under the case."
                : OnePieceBand.Layers(_facts.Way) == 2
                    ? $"Up past the bar on the {side} side and back through the loop of the under-flap: two layers lie under the case. The band passes under both bars, so that one failing bar does not drop the head."
                    : $"Up past the bar on the {side} side; the under-flap stays beside it, and the hand goes between: one layer lies under the case. The band passes under both bars, so that one failing bar does not drop the head.",
            Where = new BenchPlace(close.Side) { AtLugs = true },
        };
    }

    private string Lays() => _facts.Band switch
    {
        { Links: not null } => "Lay the bracelet out face up beside the head, lettering on the clasp readable; then turn both over.",
        { Mesh: not null } => "Lay the mesh out face up, the plain clasp piece on the 12 side; then turn it over with the head.",
        { OnePiece: not null } => "Lay the band out face up, and the bare head on it.",
        _ => "Lay the strap out face up beside the head, the buckle piece on the 12 side, obeying any 12 and 6 on its back; then turn both over.",
    };

    private BenchStep AtTheLugs(BenchStep step, Stand stand)
    {
        var close = step.Acts.OfType<Act.Close>().First();
        var piece = stand[close.B];
        var bar = close.Parts.Select(p => stand[p]).FirstOrDefault(t => t.Kind == ThingKind.Bar);
        var named = bar is null ? "its bar" : $"the {bar.Like}{Article(bar)}";
        var on = close.Fastener switch
        {
            Fastener.LeveredBar => new JointWork("one tip in, draw the lever, second tip in, and let it click.", ""),
            Fastener.ScrewedBar => new JointWork("the watch’s own bar through lug and tube, both screws home, one driver holding.", "", null, "the screws", JointWords.NeverForce).With(Drivers),
            Fastener.SlotScrews => new JointWork("slide the end into the slot, the screws straight through it and home; then pull hard.", "", null, "the screws", JointWords.NeverForce)
                .With(Driver, _facts.Wall.Any(ToolKind.Tweezers, "not magnetic")),
            Fastener.MakersOwn => new JointWork("set the shaped end into the case as its maker made it, and pull.", "as the maker asks"),
            Fastener.NotLookedAt => new JointWork("as it was found, the same way round.", "as the look showed", null, "whatever holds it", PieceOfWork.Bars),
            _ when _facts.Attachment == Attachment.SpringBarDrilled => new JointWork($"seat one tip of {named}, press the other in from outside, and see both tips in their holes.", "", null, "the bar, which springs", PieceOfWork.Bars)
                .With(_facts.Wall.Any(ToolKind.Point)),
            _ when HasNoRoom => new JointWork($"seat one tip of {named}, press the other in with the blunt blade along the lug, and listen for the click.", "blunt thin blade", null, "the bar, which springs", PieceOfWork.Bars),
            _ => new JointWork($"seat one tip of {named}, press the other in with the fork from behind, and listen for the click.", "", null, "the bar, which springs", PieceOfWork.Bars).With(AtTheLugsFork),
        };
        var isBack = step.Acts.OfType<Act.Lay>().Any(l => stand[l.Thing].Kind == ThingKind.Head);
        var hollow = close.Parts.Any(p => stand[p].Kind == ThingKind.EndPiece) ? " Lay the loose shaped end over the last link, line it up, and pass the bar through both." : "";
        var bow = bar is not null && (_plan.To[bar.Id].Made.Contains(Shaping.Bend) || stand[bar.Id].Made.Contains(Shaping.Bend) || _facts.CurvedBars && bar.Owner == Owner.Shop) ? " Its bow lies away from the case." : "";
        return step with
        {
            Says = $"{(isBack ? "The head back on its band" : Capital(EndName(piece)))}, {PlanWords.Name(close.Side!.Value)} side: {on.How}{hollow}{bow} Turn and pull.",
            Tool = on.Tool,
            Wants = on.Wanted,
            FallsOut = on.FallsOut,
            Caution = on.Caution,
            Where = new BenchPlace(close.Side) { AtLugs = true },
        };
    }

    private static string EndName(Thing piece) => piece.Kind is ThingKind.Link or ThingKind.EndPiece ? "the bracelet’s end" : $"the {piece.Like}";

    private BenchStep Sets(BenchStep step, Stand stand)
    {
        var adjust = step.Acts.OfType<Act.Adjust>().First();
        var joint = stand.Joint(adjust.Joint)!;
        var at = new BenchPlace { AtClasp = true };
        if (joint.Fastener == Fastener.ByHand)
        {
            var mesh = _facts.Band.Mesh!;
            return step with
            {
                Says = mesh.Notches > 0
                    ? $"Lift the clasp’s flap near one end, never in its middle; set it to {mesh.Said(adjust.Position)}, and close the flap with something blunt until it snaps. The lock resists."
                    : $"Lift the clasp’s flap near one end, never in its middle; set it {Looser(adjust.Position)}, and close the flap with something blunt until it snaps. The lock resists.",
                Tool = "flat blade, blunt tool",
                Where = at,
            };
        }
        var positions = _facts.Band.Clasp!.Positions;
        var (from, to) = (joint.Position!.Value, adjust.Position);
        var isSlide = positions > LinkWork.SlideFrom;
        var holes = Math.Abs(to - from);
        var how = isSlide ? "Slide it there and let it lock."
            : $"Press one tip of its bar with a fine point and shift it, then the other: {(holes == 1 ? "one hole" : $"{Number(holes)} holes, hole by hole")}; the bar never leaves.";
        return step with
        {
            Says = $"Move the micro-adjust from position {Number(from + 1)} to {Number(to + 1)}{Positions}, counted from the tight end. {how}",
            Tool = isSlide ? "" : _facts.Wall.Any(ToolKind.Point).Says,
            FallsOut = isSlide ? null : "the bar, which springs",
            Caution = isSlide ? null : PieceOfWork.Bars,
            Where = at,
        };
    }

    private static string Looser(int micrometres) => micrometres == 0 ? "to its tightest" : $"{new Length(micrometres).ToTenths()} looser than its tightest";

    private BenchStep Shuts(BenchStep step, Stand stand)
    {
        var close = step.Acts.OfType<Act.Close>().First();
        var at = new BenchPlace { AtClasp = true };
        if (close.Position is not { } position)
            return step with { Says = "Inner catch on its bar, press, then the safety cover.", Where = at };
        var slid = stand[close.A].Kind == ThingKind.OnePieceBand ? "Slide the head to its middle; then close" : "Close";
        if (_facts.ShutAs is { } somewhere)
            return step with { Says = $"{slid} it {somewhere}.", Where = at };
        return step with { Says = $"{slid} it {(_facts.Holed is { } holed ? holed.Closed(holed.LocksAnywhere ? position / (int)HoledBand.Anywhere.Micrometres : position) : $"in hole {Number(position + 1)}, counted from the tight end")}.", Where = at };
    }

    /// <summary>How many positions there are, where that is known.</summary>
    private string Positions => _facts is { Counted: null, Band.Clasp.Positions: var many } ? $" of {Number(many)}" : "";

    private string TriesOn(BenchStep step, Target target)
    {
        var final = step.Acts.OfType<Act.TryOn>().First().Final;
        if (_facts.Band.Links is null)
            return $"Try it on the owner’s wrist: judge the ease, and {(_facts.Holed is { LocksAnywhere: true } ? "where it is closed" : "which hole or notch it is worn in")}.";
        return final
            ? "Close the clasp and try it on the owner’s wrist: how it leaves. Judge the surplus, look where the clasp sits."
            : $"Close the clasp and try it on the owner’s wrist. Judge the surplus, look where the clasp sits. The {PlanWords.Name(PlanWords.Other(target.First))} side stays closed until this is done.";
    }

    private BenchStep Checks(BenchStep step, Stand stand)
    {
        var joints = step.Acts.OfType<Act.Check>().Select(c => stand.Joint(c.Joint)!).ToList();
        var group = GroupOf(stand, joints[0]);
        var said = group switch
        {
            CheckGroup.Lugs => $"At the lugs: {LugCheck(joints[0].Fastener)}; turn and pull at {(joints.Count == 1 ? $"the {PlanWords.Name(joints[0].Side!.Value)} side" : "both sides")}.",
            CheckGroup.Links => $"Between the links, at {(joints.Count == 1 ? "the joint" : $"the {Number(joints.Count)} joints")} that {(joints.Count == 1 ? "was" : "were")} worked: {JointWords.Checked(joints[0].Fastener)}; turn and pull.",
            _ => $"At the clasp: {string.Join("; ", joints.Select(j => j.Fastener).Distinct().Select(JointWords.Checked))}; it closes and stays closed.",
        };
        return step with
        {
            Says = said,
            Where = group == CheckGroup.Lugs ? new BenchPlace { AtLugs = true } : group == CheckGroup.Clasp ? new BenchPlace { AtClasp = true } : Together(stand, joints),
        };
    }

    private BenchPlace? Together(Stand stand, List<Joint> joints) =>
        joints.Select(j => j.Side).Distinct().Count() == 1
            ? new BenchPlace(joints[0].Side, [.. joints.Select(j => Numbered(stand, j)).OfType<int>().Distinct()])
            : null;

    private string LugCheck(Fastener fastener) => fastener switch
    {
        Fastener.ScrewedBar => "the screwed bars are home",
        Fastener.SlotScrews => "all screws of the slots are home",
        Fastener.OpenEnd => "the ends are closed round their bars",
        Fastener.SpringBar or Fastener.LeveredBar when _facts.Attachment == Attachment.SpringBarDrilled => "both tips of each bar are seen in their holes",
        _ => "each bar clicked home and does not turn out under a thumb",
    };

    private BenchStep PutsAway(BenchStep step, Stand stand)
    {
        var moves = step.Acts.OfType<Act.Move>().ToList();
        var things = moves.SelectMany(m => (string[])[m.Thing, .. m.With]).Select(id => stand[id]).ToList();
        var fits = things[0].Fits;
        // A band of which nothing was opened is one thing to whoever bags it.
        var isSet = fits == FromTheWatch.Old || things.Any(t => t.IsClosure);
        var isWhole = fits == FromTheWatch.Old && things.Any(t => TrayLine.IsBand(t.Kind));
        var said = isWhole ? $"the {TrayLine.WholeBand(things, _plan.From)}" : string.Join(", ", Counted(things.Where(t => t.Kind != ThingKind.SafetyFlap)).Concat(Counted(things.Where(t => t.Kind == ThingKind.SafetyFlap))));
        return step with
        {
            Says = moves[0].To == Place.Bag
                ? $"Into the owner’s bag{(isSet ? ", as a set" : fits == FromTheWatch.Wanted ? ", for this band" : "")}: {said}. Label it."
                : $"Back into {PlaceWords.Of(moves[0].To)}: {said}.",
        };
    }

    private JointLook LookOf(Joint joint) => _facts.Look(
        joint.Id == $"{FromTheWatch.Wanted}.clasp-12" ? JointGroup.ClaspTwelve
        : joint.Id == $"{FromTheWatch.Wanted}.clasp-6" ? JointGroup.ClaspSix
        : JointGroup.Links);

    private static bool IsClosure(Stand stand, Joint joint) => stand[joint.A].IsClosure || stand[joint.B].IsClosure;

    private static bool IsAtLugs(Stand stand, Joint joint) => joint.Joins(stand.Head!.Id) || stand[joint.A].Kind == ThingKind.Bar || stand[joint.B].Kind == ThingKind.Bar;

    /// <summary>Where a joint is, as a person can find it.</summary>
    private string JointName(Stand stand, Joint joint)
    {
        var side = joint.Side is { } on ? $"{PlanWords.Name(on)} side" : "";
        if (IsClosure(stand, joint))
        {
            var closure = stand[joint.B].IsClosure ? stand[joint.B] : stand[joint.A];
            return closure.Kind == ThingKind.Buckle ? $"the joint at the {closure.Like}" : $"{side}, the joint at the clasp";
        }
        return $"{side}, the joint between {Named(stand, joint.A, joint.Side)} and {Named(stand, joint.B, joint.Side)}";
    }

    private string Named(Stand stand, string id, Side? on) =>
        _numbers.TryGetValue(id, out var number) ? on is null || _sides[id] == on ? $"link {Number(number)}" : $"the {PlanWords.Name(_sides[id])} side’s link {Number(number)}"
        : _marks.TryGetValue(id, out var marked) ? marked
        : stand[id].Kind == ThingKind.Link ? "the loose link"
        : $"the {stand[id].Like}";

    private static string BackSaid(IReadOnlyList<Thing> lent) =>
        lent.Count == 1 ? $"The {lent[0].Like} was lent: back into its drawer." : $"The {lent[0].Count(lent.Count)} were lent: back into their drawer.";

    private string LinksSaid(List<Thing> links, Side? on = null)
    {
        if (links.Count > 0 && links.TrueForAll(l => _marks.ContainsKey(l.Id)))
            return links.Count == 1 ? "the marked link" : $"the {Number(links.Count)} marked links";
        if (on is { } side && links.Exists(l => _sides.TryGetValue(l.Id, out var from) && from != side))
        {
            var (across, rest) = (links.Where(l => _sides.ContainsKey(l.Id)).ToList(), links.Where(l => !_sides.ContainsKey(l.Id)).ToList());
            return $"{LinksSaid(across)} of the {PlanWords.Name(PlanWords.Other(side))} side, case end toward the case,{(rest.Count > 0 ? $" and {LinksSaid(rest)}" : "")}";
        }
        var numbers = links.Where(t => _numbers.ContainsKey(t.Id)).Select(t => _numbers[t.Id]).Order().ToList();
        if (numbers.Count == links.Count && numbers.Count > 0)
            return numbers.Count == 1 ? $"link {Number(numbers[0])} from the case"
                : numbers.Count == 2 ? $"links {Number(numbers[0])} and {Number(numbers[1])} from the case"
                : numbers[^1] - numbers[0] == numbers.Count - 1 ? $"links {Number(numbers[0])} to {Number(numbers[^1])} from the case"
                : $"links {string.Join(", ", numbers.Select(Number))} from the case";
        return string.Join(" and ", links.GroupBy(l => l.Like).Select(g => g.First().Count(g.Count())));
    }

    /// <summary>The joint's number on the lay-out: it follows the link of that number; null for one that was not there.</summary>
    private int? Numbered(Stand stand, Joint joint)
    {
        if (NumberOn(joint.A, joint.Side) is { } after)
            return IsClosure(stand, joint) && joint.Side is { } side ? _came[side] : after;
        return NumberOn(joint.B, joint.Side) - 1;
    }

    // A link that comes over from the other side has its number there.
    private int? NumberOn(string link, Side? side) => _numbers.TryGetValue(link, out var number) && (side is null || _sides[link] == side) ? number : null;

    private BenchPlace? WhereOf(Stand stand, Joint joint, IReadOnlyList<Thing> removed)
    {
        if (_facts.Band.Links is null)
            return new BenchPlace { AtClasp = true };
        var numbers = removed.Where(t => _numbers.ContainsKey(t.Id)).Select(t => _numbers[t.Id] - 1).Order().ToList();
        return new BenchPlace(joint.Side, Numbered(stand, joint) is { } number ? [number] : [], numbers) { AtClasp = IsClosure(stand, joint) };
    }

    private static string Capital(string said) => said.Length == 0 ? said : $"{char.ToUpperInvariant(said[0])}{said[1..]}";

    private static string Number(int number) => number.ToString(CultureInfo.InvariantCulture);
}
