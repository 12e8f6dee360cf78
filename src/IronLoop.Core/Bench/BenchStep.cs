using System.Globalization;
using IronLoop.Core.Fitting;
using IronLoop.Core.Jobs;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Bench;

/// <summary>One step of the bench work.</summary>
/// <param name="Key">A name that stays the same while the plan does, so that a tick finds its step again.</param>
/// <param name="Part">What part of the work it belongs to: prepare, first side, try on, second side, finish.</param>
/// <param name="What">What is done.</param>
/// <param name="Caution">The caution that belongs to this step, or null.</param>
public sealed record BenchStep(string Key, string Part, string What, string? Caution);

/// <summary>The steps of a job, in the order they are worked: one side, then try on, then the other side.</summary>
public static class BenchSteps
{
    /// <summary>Spring bars fly.</summary>
    public const string BarsFly = "Spring bars fly: eye protection, a finger over the end, work low over the tray. Keep small parts away from children.";

    /// <summary>Punch and hammer.</summary>
    public const string LightTaps = "Eye protection; light taps, soft hammer face on the band. Hard resistance: stop and look at the arrow.";

    /// <summary>The steps for a bracelet sized to an arrangement.</summary>
    /// <param name="attachment">How the watch takes it.</param>
    /// <param name="clasp">The clasp it closes with.</param>
    /// <param name="arrangement">The links and the micro position agreed.</param>
    /// <param name="isFromStock">Whether it has to be put on the watch; an owner's own comes on it.</param>
    /// <param name="work">What matching listed as work before the band goes on.</param>
    public static IReadOnlyList<BenchStep> Of(
        Attachment attachment, BraceletClasp clasp, Arrangement arrangement, bool isFromStock, IReadOnlyList<PieceOfWork> work)
    {
        var steps = new List<BenchStep>
        {
            new("protect", "prepare", "Lay the watch on the soft mat, case back toward you. Tape the lugs and the clasp.", null),
        };
        steps.AddRange(WorkFirst(work));
        if (isFromStock)
            steps.Add(new("mount", "prepare", $"Put the bracelet on, 12 side first, so that the clasp opens the owner's way. {Mount(attachment)}", BarsFly));
        steps.Add(new("open", "prepare", "Open the clasp so that the band lies flat.", null));

        // The side with more to do first: the try-on then tells most about what is left.
        var sides = Changed(arrangement, Side.Six) > Changed(arrangement, Side.Twelve)
            ? (First: Side.Six, Second: Side.Twelve)
            : (First: Side.Twelve, Second: Side.Six);
        AddSide(steps, arrangement, sides.First, "first side");
        steps.Add(new("try-on", "try on",
            "Close the clasp and try it on the owner's wrist. Judge the surplus, look where the clasp sits, and go on only when it agrees with the plan.", null));
        AddSide(steps, arrangement, sides.Second, "second side");

        if (clasp.Positions > 1)
        {
            steps.Add(new("micro", "finish", arrangement.Position == clasp.Position
                ? $"Leave the micro-adjust in position {Position(arrangement)} of {clasp.Positions}, counted from the tight end."
                : $"Move the micro-adjust from position {clasp.Position + 1} to {Position(arrangement)} of {clasp.Positions}, counted from the tight end.",
                arrangement.Position == clasp.Position ? null : BarsFly));
        }
        steps.Add(new("check", "finish",
            "Check every joint: pins flush or just below, all arrows on one edge, turn and pull. The clasp closes and stays closed.", null));
        return steps;
    }

    /// <summary>The steps for a two-piece strap closed in a hole.</summary>
    /// <param name="attachment">How the watch takes it.</param>
    /// <param name="fit">The hole agreed.</param>
    /// <param name="holes">How many holes there are.</param>
    /// <param name="work">What matching listed as work before the strap goes on.</param>
    public static IReadOnlyList<BenchStep> Of(Attachment attachment, StrapFit fit, int holes, IReadOnlyList<PieceOfWork> work) =>
    [
        new("protect", "prepare", "Lay the watch on the soft mat, case back toward you. Tape the lugs.", null),
        .. WorkFirst(work),
        new("buckle-side", "first side", $"The buckle piece goes on the 12 side. {Mount(attachment)}", BarsFly),
        new("tail-side", "second side", $"The tail piece goes on the 6 side. {Mount(attachment)}", BarsFly),
        new("try-on", "try on",
            $"Close it in hole {Position(fit)} of {holes}, counted from the tight end, on the owner's wrist, and judge the ease.", null),
        new("check", "finish", "Turn and pull at both bars; both keepers hold the tail; nothing scratches or pinches.", null),
    ];

    /// <summary>The steps for a band pulled through under the case, worn in a way.</summary>
    /// <param name="way">How it is worn.</param>
    /// <param name="isOnBars">Whether bars have to go into the bare head first.</param>
    /// <param name="fit">The hole agreed.</param>
    /// <param name="holes">How many holes there are.</param>
    /// <param name="work">What matching listed as work before the band goes on.</param>
    public static IReadOnlyList<BenchStep> Of(PullThroughWay way, bool isOnBars, StrapFit fit, int holes, IReadOnlyList<PieceOfWork> work)
    {
        var isReversed = way is PullThroughWay.ReversedDouble or PullThroughWay.ReversedSingle;
        var (first, second) = isReversed ? ("6", "12") : ("12", "6");
        return
        [
            new("protect", "prepare", "Lay the watch on the soft mat, case back toward you.", null),
            .. WorkFirst(work),
            .. isOnBars ? (BenchStep[])[new("bars", "prepare", "Put both bars into the bare head and listen for each click; pull at both.", BarsFly)] : [],
            new("thread", "first side", $"The buckle end lies on the {first} side. Thread the band down past the bar there and under the case.", null),
            new("close", "second side", OnePieceBand.Layers(way) == 2
                ? $"Up past the bar on the {second} side and back through the loop of the under-flap: two layers lie under the case."
                : $"Up past the bar on the {second} side; the under-flap stays beside it, and the hand goes between: one layer lies under the case.", null),
            new("try-on", "try on",
                $"Slide the head to its middle and close it in hole {Position(fit)} of {holes}, counted from the tight end. New textile gives: start snug.", null),
            new("check", "finish", "The band passes under both bars, so that one failing bar does not drop the head. Nothing scratches or pinches.", null),
        ];
    }

    /// <summary>The steps for mesh with a slide clasp.</summary>
    /// <param name="attachment">How the watch takes it.</param>
    /// <param name="fit">The notch or place agreed.</param>
    /// <param name="mesh">The mesh.</param>
    /// <param name="work">What matching listed as work before it goes on.</param>
    public static IReadOnlyList<BenchStep> Of(Attachment attachment, StrapFit fit, MeshBand mesh, IReadOnlyList<PieceOfWork> work) =>
    [
        new("protect", "prepare", "Lay the watch on the soft mat, case back toward you. Tape the lugs.", null),
        .. WorkFirst(work),
        new("lengthen", "prepare", "Lift the clasp's flap near one end, never in its middle, and let the mesh out wide for the try-on.", null),
        new("clasp-side", "first side", $"The plain clasp piece goes on the 12 side. {Mount(attachment)}", BarsFly),
        new("long-side", "second side", $"The long piece goes on the 6 side. {Mount(attachment)}", BarsFly),
        new("try-on", "try on", mesh.Notches > 0
            ? $"Set the clasp to notch {Position(fit)} of {mesh.Notches}, counted from the tight end; close the flap with something blunt until it snaps, and judge the ease."
            : $"Set the clasp so that the loop measures {fit.Length.ToTenths()}; close the flap with something blunt until it snaps, and judge the ease.", null),
        new("check", "finish", "The flap's lock resists; inner catch on its bar, then the cover. Turn and pull at both bars.", null),
    ];

    /// <summary>
    /// Whether a step may be ticked or taken back: steps are worked in order, so that the second side is never opened
    /// before the try-on.
    /// </summary>
    /// <returns>Null when it may; else why not.</returns>
    public static string? WhyNot(IReadOnlyList<BenchStep> steps, IReadOnlySet<string> done, string key, bool tick)
    {
        var at = steps.ToList().FindIndex(s => s.Key == key);
        if (at < 0)
            return "There is no such step in this plan.";
        if (tick && steps.Take(at).FirstOrDefault(s => !done.Contains(s.Key)) is { } earlier)
            return $"First: {earlier.What}";
        if (!tick && steps.Skip(at + 1).FirstOrDefault(s => done.Contains(s.Key)) is { } later)
            return $"Take back first: {later.What}";
        return null;
    }

    /// <summary>Work before the band goes on; what cannot be undone waits for the owner's written consent.</summary>
    private static IEnumerable<BenchStep> WorkFirst(IReadOnlyList<PieceOfWork> work)
    {
        if (work.Any(w => !w.Reversible))
        {
            yield return new("consent", "prepare",
                "See that the owner's written consent to the work that cannot be undone lies with the job.", "Without it, stop here.");
        }
        for (var i = 0; i < work.Count; i++)
        {
            var tools = work[i].Tools.Length > 0 ? $" With {work[i].Tools}; about {work[i].Minutes.ToString(CultureInfo.InvariantCulture)} minutes." : "";
            yield return new($"work-{(i + 1).ToString(CultureInfo.InvariantCulture)}", "prepare", $"{work[i].What}.{tools}",
                work[i].Caution ?? (work[i].Reversible ? BarsFly : "Move the head away first; hold the work, cut and push away from the hand; eye protection for metal."));
        }
    }

    private static string Position(Arrangement arrangement) => (arrangement.Position + 1).ToString(CultureInfo.InvariantCulture);

    private static string Position(StrapFit fit) => (fit.Hole + 1).ToString(CultureInfo.InvariantCulture);

    private static int Changed(Arrangement arrangement, Side side) =>
        arrangement.On(side).Count(l => l.Fate is LinkFate.Leaves or LinkFate.Joins);

    private static void AddSide(List<BenchStep> steps, Arrangement arrangement, Side side, string part)
    {
        var name = PlanWords.Name(side);
        var row = arrangement.On(side);
        var before = steps.Count;
        foreach (var group in row.Where(l => l.Fate == LinkFate.Leaves).GroupBy(l => l.Pitch))
        {
            steps.Add(new($"out-{name}-{group.Key.Micrometres}", part,
                $"{name} side: take out {Count(group.Count())} of {group.Key} beside the clasp. Push the pin along the arrow; put links and pins in the tray.",
                LightTaps));
        }
        foreach (var group in row.Where(l => l.Fate == LinkFate.Joins).GroupBy(l => l.Pitch))
        {
            steps.Add(new($"in-{name}-{group.Key.Micrometres}", part,
                $"{name} side: put in {Count(group.Count())} of {group.Key} beside the clasp, arrows on one edge.", LightTaps));
        }
        if (steps.Count > before)
        {
            steps.Add(new($"close-{name}", part,
                $"{name} side: close the joint, pin against the arrow, last push until just below flush.", LightTaps));
        }
        else
        {
            steps.Add(new($"leave-{name}", part, $"{name} side: nothing to take out or put in; leave it closed.", null));
        }
    }

    private static string Count(int count) => count == 1 ? "1 link" : $"{count.ToString(CultureInfo.InvariantCulture)} links";

    private static string Mount(Attachment attachment) => attachment switch
    {
        Attachment.SpringBarDrilled => "Seat one tip of the spring bar, press the other in from outside, and see both tips in their holes.",
        Attachment.SpringBarBlind => "Seat one tip of the spring bar, press the other in with a fine fork from behind, and listen for the click.",
        Attachment.FixedBar => "Close it round the fixed bar; never lever against the bar.",
        Attachment.ScrewBar => "Put the watch's own screwed bar through with two drivers that fit, and keep the pair together.",
        Attachment.ScrewSlot => "Slide the end into the slot, turn the screws home, and pull hard to test.",
        Attachment.OwnShape => "Set the shaped end into the case as the maker made it, and pull to test.",
        _ => throw new ArgumentOutOfRangeException(nameof(attachment), attachment, "Not an attachment."),
    };
}
