using System.Globalization;
using IronLoop.Core.Fitting;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Tray;

namespace IronLoop.Core.Bench;

/// <summary>
/// The steps of a job, in the order they are worked: protect, take apart, one side, try on, the other side, clasp,
/// micro-adjust, mount, check.
/// </summary>
public static class BenchSteps
{
    /// <summary>The key of the step that waits for the owner's written consent.</summary>
    public const string Consent = "consent";

    /// <summary>The key of the try-on.</summary>
    public const string TryOn = "try-on";

    /// <summary>The steps of a job.</summary>
    /// <returns>None for a bracelet while what joins its links is not known.</returns>
    public static IReadOnlyList<BenchStep> Of(BenchFacts facts)
    {
        var steps = facts.Band switch
        {
            { Links: not null } => facts.Setup.Fastener is null ? [] : facts.Round > 1 ? AgainBracelet(facts) : Bracelet(facts),
            { OnePiece: not null } => PullThrough(facts),
            { Mesh: { } mesh } => Mesh(facts, mesh),
            _ => Strap(facts),
        };
        return facts.Round == 1 ? [.. steps] : [.. steps.Select(s => s with { Key = $"r{facts.Round}-{s.Key}" })];
    }

    /// <summary>The small parts as the work begins: what is in the watch and its band, and what came loose.</summary>
    public static IReadOnlyList<(string Part, TrayPlace Place, int Count)> Opening(BenchFacts facts)
    {
        var opening = new List<(string, TrayPlace, int)>();
        if (LugSteps.Holders(facts) is { } holders)
            opening.Add((holders.Part, TrayPlace.Watch, holders.Count));
        if (facts.Band is not { Links: { } links } band || facts.Setup.Fastener is not { } fastener)
            return opening;
        foreach (var side in (Side[])[Side.Twelve, Side.Six])
        {
            foreach (var kind in links.On(side).GroupBy(l => l.KindOn(side)))
                opening.Add((SideSteps.LinksOf(kind.Key), TrayPlace.Watch, kind.Count()));
            opening.AddRange(FastenerWork.PartsOf(fastener).Select(p => (p.Part, TrayPlace.Watch, links.On(side).Count * p.Count)));
        }
        opening.Add((SideSteps.ClaspHolders(facts), TrayPlace.Watch, 2));
        if (facts.OtherClasp is { } clasps)
            opening.Add((OldClasp(clasps.Old), TrayPlace.Watch, 1));
        // A loose link comes with what joins it; those taken from stock come in with their step.
        foreach (var spare in band.Spares.GroupBy(s => s.Kind))
        {
            var count = spare.Sum(s => s.Count) - facts.FromStock.Where(s => s.Kind == spare.Key).Sum(s => s.Count);
            if (count <= 0)
                continue;
            opening.Add((SideSteps.LinksOf(spare.Key), TrayPlace.Tray, count));
            opening.AddRange(FastenerWork.PartsOf(fastener).Select(p => (p.Part, TrayPlace.Tray, count * p.Count)));
        }
        return opening;
    }

    /// <summary>
    /// Whether a step may be done or taken back: steps are worked in order, so that the second side is never opened
    /// before the try-on.
    /// </summary>
    /// <returns>Null when it may; else why not.</returns>
    public static string? WhyNot(IReadOnlyList<BenchStep> steps, IReadOnlySet<string> done, string key, bool tick)
    {
        var at = steps.ToList().FindIndex(s => s.Key == key);
        if (at < 0)
            return "There is no such step in this plan.";
        if (tick && done.Contains(key))
            return "That step is done already.";
        if (!tick && !done.Contains(key))
            return "That step is not done yet.";
        if (tick && steps.Take(at).FirstOrDefault(s => !done.Contains(s.Key)) is { } earlier)
            return $"First: {earlier.What}";
        if (!tick && steps.Skip(at + 1).FirstOrDefault(s => done.Contains(s.Key)) is { } later)
            return $"Take back first: {later.What}";
        return null;
    }

    /// <summary>
    /// The side worked first in this round: the usual one where what goes into it is loose by then, else the other, which gives it a link.
    /// </summary>
    /// <returns>Null where each gives the other a link, so that both are done before the try-on.</returns>
    public static Side? First(BenchFacts facts)
    {
        var usual = Usual(facts);
        return SideSteps.HasItsLinks(facts, usual) ? usual : SideSteps.HasItsLinks(facts, Other(usual)) ? Other(usual) : null;
    }

    /// <summary>The side usually worked first: the one with more to do, so that the try-on tells most about what is left.</summary>
    public static Side FirstSide(Arrangement plan) => Changed(plan, Side.Six) > Changed(plan, Side.Twelve) ? Side.Six : Side.Twelve;

    private static IEnumerable<BenchStep> Bracelet(BenchFacts facts)
    {
        yield return Protect("Lay the watch on the soft mat, case back toward you. Tape the lugs and the clasp.");
        yield return Look(facts);
        foreach (var step in WorkFirst(facts))
            yield return step;
        foreach (var step in FromStock(facts))
            yield return step;
        if (facts.GoesOn)
        {
            yield return LugSteps.Off(facts);
            foreach (var step in WorkAsItGoesOn(facts))
                yield return step;
            yield return LugSteps.On(facts, Side.Twelve, "the bracelet’s end, the clasp opening the owner’s way,", BenchPart.TakeApart);
            yield return LugSteps.On(facts, Side.Six, "the other end", BenchPart.TakeApart);
        }
        yield return new BenchStep("open", BenchPart.TakeApart, StepKind.Clasp, facts.ClaspKind == ClaspKind.Butterfly
            ? "Press both buttons and open the clasp, so that the band lies flat."
            : "Open the clasp, so that the band lies flat.")
        {
            Where = new BenchPlace { AtClasp = true },
            Minutes = 0.5,
        };
        foreach (var step in Sides(facts))
            yield return step;
        foreach (var step in Finish(facts))
            yield return step;
    }

    /// <summary>One more round after a try-on that changed the plan: what the first side still wants, and the rest.</summary>
    private static IEnumerable<BenchStep> AgainBracelet(BenchFacts facts)
    {
        var steps = First(facts) is { } first && !SideSteps.HasWork(facts, first) ? SideSteps.Of(facts, Other(first), BenchPart.SecondSide) : Sides(facts);
        return steps.Concat(Finish(facts));
    }

    private static IEnumerable<BenchStep> Sides(BenchFacts facts)
    {
        if (First(facts) is not { } first)
            return BothSides(facts, Usual(facts));
        return SideSteps.Of(facts, first, BenchPart.FirstSide).Append(TryOnStep(facts, bothDone: false)).Concat(SideSteps.Of(facts, Other(first), BenchPart.SecondSide));
    }

    /// <summary>Each side gives the other a link: what the one gives comes out, the other is done, then the one.</summary>
    private static IEnumerable<BenchStep> BothSides(BenchFacts facts, Side one) =>
        SideSteps.Outs(facts, one, BenchPart.FirstSide)
            .Concat(SideSteps.Of(facts, Other(one), BenchPart.FirstSide))
            .Concat(SideSteps.Ins(facts, one, BenchPart.FirstSide))
            .Append(TryOnStep(facts, bothDone: true));

    private static Side Usual(BenchFacts facts) => facts.FirstSide ?? FirstSide(facts.Plan);

    private static BenchStep TryOnStep(BenchFacts facts, bool bothDone)
    {
        var clasp = facts.OtherClaspAdds == Length.Zero ? ""
            : $" The old clasp is still on it; with the other the loop is {facts.OtherClaspAdds.Abs().ToTenths()} {(facts.OtherClaspAdds > Length.Zero ? "longer" : "shorter")}.";
        return new BenchStep(TryOn, BenchPart.TryOn, StepKind.TryOn,
            $"Close the clasp and try it on the owner’s wrist. Judge the surplus, look where the clasp sits.{clasp} {(bothDone ? "Both sides had to be opened, since each gives the other a link." : "The second side stays closed until this is done.")}")
        {
            Where = new BenchPlace { AtClasp = true },
            Minutes = BenchStep.UsualMinutes(StepKind.TryOn),
        };
    }

    private static IEnumerable<BenchStep> Finish(BenchFacts facts)
    {
        foreach (var step in ClaspSteps(facts))
            yield return step;
        if (facts.Band.Clasp is { Positions: > 1 } clasp)
            yield return Micro(facts, clasp);
        yield return new BenchStep("seat", BenchPart.Mount, StepKind.Bars,
            $"Clean between the lugs. {(LugSteps.Holders(facts) is null ? "Pull at both ends" : "See that both bars are home, then pull at both ends")}; the bracelet is the right way up, the clasp opens the owner’s way.")
        {
            Where = new BenchPlace { AtLugs = true },
            Minutes = BenchStep.UsualMinutes(StepKind.Bars),
        };
        foreach (var step in Checks(facts))
            yield return step;
    }

    private static BenchStep Micro(BenchFacts facts, BraceletClasp clasp)
    {
        var (to, now) = (facts.Plan.Position, facts.Before?.Position ?? clasp.Position);
        if (to == now)
        {
            return new BenchStep("micro", BenchPart.MicroAdjust, StepKind.Set, $"Leave the micro-adjust in position {Number(to + 1)} of {Number(clasp.Positions)}, counted from the tight end.")
            {
                Where = new BenchPlace { AtClasp = true },
                Minutes = 0.2,
            };
        }
        var holes = Math.Abs(to - now);
        var how = clasp.Positions > 16
            ? "Slide it there and let it lock."
            : facts.Setup.Micro == MicroSchool.TipByTip
                ? $"Press one tip of its bar with a fine point and shift it, then the other: {(holes == 1 ? "one hole" : $"{Number(holes)} holes, hole by hole")}; the bar never leaves."
                : "Take its bar right out, a finger over the end, and seat it anew; both tips click.";
        return new BenchStep("micro", BenchPart.MicroAdjust, StepKind.Set,
            $"Move the micro-adjust from position {Number(now + 1)} to {Number(to + 1)} of {Number(clasp.Positions)}, counted from the tight end. {how}")
        {
            Where = new BenchPlace { AtClasp = true },
            Tool = clasp.Positions > 16 ? "" : "fine point",
            FallsOut = clasp.Positions > 16 ? null : "the bar, which springs",
            Caution = clasp.Positions > 16 ? null : PieceOfWork.Bars,
            Minutes = BenchStep.UsualMinutes(StepKind.Set),
        };
    }

    private static IEnumerable<BenchStep> Strap(BenchFacts facts)
    {
        yield return Protect("Lay the watch on the soft mat, case back toward you. Tape the lugs.");
        foreach (var step in WorkFirst(facts))
            yield return step;
        yield return LugSteps.Off(facts);
        foreach (var step in Works(facts.ClaspWork, "clasp", BenchPart.Clasp, new BenchPlace { AtClasp = true }))
            yield return step;
        foreach (var step in WorkAsItGoesOn(facts))
            yield return step;
        yield return LugSteps.On(facts, Side.Twelve, "the buckle piece, obeying any 12 on its back,", BenchPart.Mount);
        yield return LugSteps.On(facts, Side.Six, "the tail piece", BenchPart.Mount);
        yield return new BenchStep(TryOn, BenchPart.TryOn, StepKind.TryOn,
            $"Close it in hole {Hole(facts)} of {Number(facts.Holed!.Holes)}, counted from the tight end, on the owner’s wrist, and judge the ease.")
        {
            Where = new BenchPlace { AtClasp = true },
            Minutes = BenchStep.UsualMinutes(StepKind.TryOn),
        };
        foreach (var step in Checks(facts))
            yield return step;
    }

    private static IEnumerable<BenchStep> PullThrough(BenchFacts facts)
    {
        var isReversed = facts.Way is PullThroughWay.ReversedDouble or PullThroughWay.ReversedSingle;
        var (first, second) = isReversed ? (Side.Six, Side.Twelve) : (Side.Twelve, Side.Six);
        yield return Protect("Lay the watch on the soft mat, case back toward you. Tape the lugs.");
        foreach (var step in WorkFirst(facts))
            yield return step;
        yield return LugSteps.Off(facts);
        if (LugSteps.Holders(facts) is { } bars)
        {
            yield return new BenchStep("bars", BenchPart.Mount, StepKind.Bars,
                facts.Attachment == Attachment.ScrewBar
                    ? "Both of the watch’s own bars into the bare head, screws home; pull at both."
                    : "Both bars into the bare head; listen for each click and pull at both. If the old bars left with the old band, take two from stock.")
            {
                Tool = facts.Attachment == Attachment.ScrewBar ? "two fitting screwdrivers" : facts.Attachment == Attachment.SpringBarDrilled ? "fine point" : "fine fork",
                FallsOut = $"the {bars.Part}",
                Moves = LugSteps.BackIn(facts, 1),
                Caution = facts.Attachment == Attachment.ScrewBar ? FastenerWork.NeverForce : PieceOfWork.Bars,
                Where = new BenchPlace { AtLugs = true },
                Minutes = 2 * BenchStep.UsualMinutes(StepKind.Bars),
            };
        }
        yield return new BenchStep("thread", BenchPart.Mount, StepKind.Bars, $"The buckle end lies on the {PlanWords.Name(first)} side. Thread the band down past the bar there and under the case.")
        {
            Where = new BenchPlace(first) { AtLugs = true },
            Minutes = 1,
        };
        yield return new BenchStep("close", BenchPart.Mount, StepKind.Bars, OnePieceBand.Layers(facts.Way) == 2
            ? $"Up past the bar on the {PlanWords.Name(second)} side and back through the loop of the under-flap: two layers lie under the case."
            : $"Up past the bar on the {PlanWords.Name(second)} side; the under-flap stays beside it, and the hand goes between: one layer lies under the case.")
        {
            Where = new BenchPlace(second) { AtLugs = true },
            Minutes = 1,
        };
        yield return new BenchStep(TryOn, BenchPart.TryOn, StepKind.TryOn,
            $"Slide the head to its middle, then close it in hole {Hole(facts)} of {Number(facts.Holed!.Holes)}, counted from the tight end. New textile gives: start snug, one tighter left.")
        {
            Where = new BenchPlace { AtClasp = true },
            Minutes = BenchStep.UsualMinutes(StepKind.TryOn),
        };
        foreach (var step in Checks(facts))
            yield return step;
    }

    private static IEnumerable<BenchStep> Mesh(BenchFacts facts, MeshBand mesh)
    {
        yield return Protect("Lay the watch on the soft mat, case back toward you. Tape the lugs.");
        foreach (var step in WorkFirst(facts))
            yield return step;
        yield return LugSteps.Off(facts);
        foreach (var step in Works(facts.ClaspWork, "clasp", BenchPart.Clasp, new BenchPlace { AtClasp = true }))
            yield return step;
        yield return new BenchStep("lengthen", BenchPart.TakeApart, StepKind.Clasp, "Lift the clasp’s flap near one end, never in its middle, and let the mesh out wide for the try-on.")
        {
            Tool = "flat blade",
            Where = new BenchPlace { AtClasp = true },
            Minutes = 1,
        };
        foreach (var step in WorkAsItGoesOn(facts))
            yield return step;
        yield return LugSteps.On(facts, Side.Twelve, "the plain clasp piece", BenchPart.Mount);
        yield return LugSteps.On(facts, Side.Six, "the long piece", BenchPart.Mount);
        yield return new BenchStep("set", BenchPart.MicroAdjust, StepKind.Set, mesh.Notches > 0
            ? $"Set the clasp to notch {Hole(facts)} of {Number(mesh.Notches)}, counted from the tight end; close the flap with something blunt until it snaps."
            : $"Set the clasp so that the loop measures {facts.Fit!.Length.ToTenths()}; close the flap with something blunt until it snaps.")
        {
            Tool = "blunt tool",
            Where = new BenchPlace { AtClasp = true },
            Minutes = BenchStep.UsualMinutes(StepKind.Set),
        };
        yield return new BenchStep(TryOn, BenchPart.TryOn, StepKind.TryOn, "Inner catch on its bar, press, then the safety cover; judge the ease on the owner’s wrist.")
        {
            Where = new BenchPlace { AtClasp = true },
            Minutes = BenchStep.UsualMinutes(StepKind.TryOn),
        };
        foreach (var step in Checks(facts))
            yield return step;
    }

    /// <summary>The check list, built from what was done: each point is ticked or left with a note.</summary>
    private static IEnumerable<BenchStep> Checks(BenchFacts facts)
    {
        var isBracelet = facts.Band.Links is not null;
        if (isBracelet && (SideSteps.HasWork(facts with { Before = null }, Side.Twelve) || SideSteps.HasWork(facts with { Before = null }, Side.Six)))
        {
            yield return Check("flush", facts.Setup.Fastener switch
            {
                Fastener.Screw or Fastener.ScrewInTube => "Every screw is home and no slot is torn; all heads on one edge.",
                Fastener.SpringBar => "Every bar between links is seated at both tips.",
                _ => "Every pin is flush or just below, all arrows on one edge; a fingernail finds no edge.",
            });
        }
        if (LugSteps.Holders(facts) is not null)
        {
            yield return Check("clicked", facts.Attachment switch
            {
                Attachment.ScrewBar => "Both screwed bars are home.",
                Attachment.ScrewSlot => "All screws of the slots are home.",
                Attachment.SpringBarDrilled => "Both tips of each bar are seen in their holes.",
                _ => "Each bar clicked home; it does not turn out under a thumb.",
            });
        }
        if (facts.Attachment == Attachment.FixedBar)
            yield return Check("fixed", facts.Band.OnePiece is null ? "Both ends are closed round the fixed bars." : "The band passes under both bars, so that one failing bar does not drop the head.");
        else if (facts.Band.OnePiece is not null)
            yield return Check("under", "The band passes under both bars, so that one failing bar does not drop the head.");
        yield return Check("pull", isBracelet ? "Turn and pull at every joint that was opened, and at both lugs." : "Turn and pull at both ends and at the buckle or clasp.");
        yield return Check("clasp", facts.Band.Mesh is not null
            ? "The clasp’s lock resists; catch and cover close and stay closed."
            : facts.Band.Strap is not null && facts.Fit is { KeepersHold: false }
                ? "It closes and stays closed; the tail is too short for both keepers: the owner knows."
                : facts.Band.Strap is not null ? "It closes and stays closed; both keepers hold the tail." : "The clasp closes and stays closed, opened and closed ten times.");
        yield return Check("centred", isBracelet ? "On the wrist the head sits on top and the clasp below." : "On the wrist the head sits on top.");
        yield return Check("scratches", facts.Condition.Count == 0
            ? "No scratch or dent that was not there: none was noted at take-in. Nothing scratches or pinches."
            : $"No scratch or dent but those noted at take-in: {string.Join("; ", facts.Condition)}. Nothing scratches or pinches.");
    }

    private static IEnumerable<BenchStep> FromStock(BenchFacts facts)
    {
        for (var i = 0; i < facts.FromStock.Count; i++)
        {
            var (kind, count, article) = facts.FromStock[i];
            yield return new BenchStep($"stock-{Number(i + 1)}", BenchPart.TakeApart, StepKind.Protect,
                $"Take {Number(count)} {(count == 1 ? "link" : "links")} of {kind} from stock, {article}, with what joins {(count == 1 ? "it" : "them")}; into the tray.")
            {
                Moves =
                [
                    new TrayMove(SideSteps.LinksOf(kind), count, TrayPlace.Stock, TrayPlace.Tray),
                    .. FastenerWork.PartsOf(facts.Setup.Fastener!.Value).Select(p => new TrayMove(p.Part, count * p.Count, TrayPlace.Stock, TrayPlace.Tray)),
                ],
                Minutes = 1,
            };
        }
    }

    /// <summary>The work on the clasp; the old one goes into the tray, or back to stock with a band from stock, the other comes from stock.</summary>
    private static List<BenchStep> ClaspSteps(BenchFacts facts)
    {
        var steps = Works(facts.ClaspWork, "clasp", BenchPart.Clasp, new BenchPlace { AtClasp = true }).ToList();
        if (facts.OtherClasp is { } clasps && facts.Band.Links is not null && steps.Count > 1)
        {
            steps[0] = steps[0] with { Moves = [new TrayMove(OldClasp(clasps.Old), 1, TrayPlace.Watch, facts.GoesOn ? TrayPlace.Stock : TrayPlace.Tray)] };
            steps[^1] = steps[^1] with { Moves = [new TrayMove($"clasp: {clasps.New}", 1, TrayPlace.Stock, TrayPlace.Watch)] };
        }
        return steps;
    }

    private static string OldClasp(string name) => $"old clasp: {name}";

    private static BenchStep Look(BenchFacts facts)
    {
        var fastener = facts.Setup.Fastener!.Value;
        var edge = facts.Setup.NoArrow ? " Nothing shows a way: note for each joint from which edge the pin went in, crown up or crown down." : "";
        return new BenchStep("look", BenchPart.Protect, StepKind.Protect, $"Look at the joints, both clasp joints too: {Said(fastener)} here.{edge}")
        {
            Minutes = 1,
        };
    }

    private static string Said(Fastener fastener) => fastener switch
    {
        Fastener.SplitPin => "split pins",
        Fastener.PinWithTube => "plain pins, each in a tube,",
        Fastener.Screw => "screws",
        Fastener.ScrewInTube => "screws from both edges into a threaded tube",
        Fastener.SpringBar => "spring bars between the links",
        _ => throw new ArgumentOutOfRangeException(nameof(fastener), fastener, "Not a fastener."),
    };

    private static BenchStep Protect(string what) => new("protect", BenchPart.Protect, StepKind.Protect, what) { Tool = "soft mat, tape", Minutes = BenchStep.UsualMinutes(StepKind.Protect) };

    private static BenchStep Check(string key, string what) =>
        new($"check-{key}", BenchPart.Check, StepKind.Check, what) { Minutes = BenchStep.UsualMinutes(StepKind.Check) };

    /// <summary>Work before the band goes on; what cannot be undone waits for the owner's written consent.</summary>
    private static IEnumerable<BenchStep> WorkFirst(BenchFacts facts)
    {
        if (facts.Lasting.Length > 0)
        {
            yield return new BenchStep(Consent, BenchPart.Protect, StepKind.Consent, $"The owner’s written consent to what cannot be undone: {facts.Lasting}.")
            {
                Caution = "Without it, stop here.",
                Minutes = BenchStep.UsualMinutes(StepKind.Consent),
            };
        }
        foreach (var step in Works(facts.Work, "work", BenchPart.TakeApart, new BenchPlace { AtLugs = true }))
            yield return step;
    }

    /// <summary>Work that needs the old band off and the lugs free.</summary>
    private static IEnumerable<BenchStep> WorkAsItGoesOn(BenchFacts facts) =>
        Works(facts.Work, "work", BenchPart.Mount, new BenchPlace { AtLugs = true }, asItGoesOn: true);

    private static IEnumerable<BenchStep> Works(IReadOnlyList<PieceOfWork> work, string key, BenchPart part, BenchPlace where, bool asItGoesOn = false)
    {
        for (var i = 0; i < work.Count; i++)
        {
            if (work[i].AsItGoesOn != asItGoesOn)
                continue;
            yield return new BenchStep($"{key}-{Number(i + 1)}", part, StepKind.Extra, $"{work[i].What}.")
            {
                Tool = work[i].Tools,
                Caution = work[i].Caution ?? (work[i].Reversible ? null : $"{PieceOfWork.Blades} {PieceOfWork.Filing}"),
                Where = where,
                Minutes = work[i].Minutes,
            };
        }
    }

    private static Side Other(Side side) => side == Side.Twelve ? Side.Six : Side.Twelve;

    private static string Hole(BenchFacts facts) => Number(facts.Fit!.Hole + 1);

    private static string Number(int number) => number.ToString(CultureInfo.InvariantCulture);

    private static int Changed(Arrangement arrangement, Side side) =>
        arrangement.On(side).Count(l => l.Fate is LinkFate.Leaves or LinkFate.Joins);
}
