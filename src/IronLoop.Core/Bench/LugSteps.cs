using IronLoop.Core.Fitting;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Tray;

namespace IronLoop.Core.Bench;

/// <summary>How a band comes off and goes on at the lugs, for each way a watch takes one.</summary>
internal static class LugSteps
{
    /// <summary>The bars at the lugs, by the name the tray knows them by.</summary>
    public const string SprungBars = "spring bars at the lugs";

    /// <summary>The watch's own screwed bars.</summary>
    public const string ScrewedBars = "screwed bars of the watch";

    /// <summary>The screws of a slot.</summary>
    public const string SlotScrews = "slot screws";

    /// <summary>What holds the band at both lugs: its name and how many; null where nothing loose does.</summary>
    public static (string Part, int Count)? Holders(BenchFacts facts) => facts.Attachment switch
    {
        Attachment.SpringBarDrilled or Attachment.SpringBarBlind => (SprungBars, 2),
        Attachment.ScrewBar => (ScrewedBars, 2),
        Attachment.ScrewSlot => (SlotScrews, 4),
        _ => null,
    };

    /// <summary>Below this a fork does not go in beside the bar (house rule).</summary>
    private static readonly Length ForkRoom = Length.FromMillimetres(1);

    private static bool HasNoRoom(BenchFacts facts) => facts.BarGap is { } gap && gap < ForkRoom;

    /// <summary>Taking the old band off, both ends.</summary>
    public static BenchStep Off(BenchFacts facts)
    {
        var (how, tool, fallsOut, caution) = facts.Attachment switch
        {
            Attachment.SpringBarDrilled => ("Press each bar’s tip inward from outside the lug and ease the old band’s end out.", "fine point", "the bars, which spring", PieceOfWork.Bars),
            Attachment.SpringBarBlind when HasNoRoom(facts) =>
                ("There is no room for a fork: slide a blunt thin blade along the lug, never a sharp one, and draw the tip; the last resort.", "blunt thin blade", "the bars, which spring", PieceOfWork.Bars),
            Attachment.SpringBarBlind =>
                ("From behind: hook the bar’s flange between band and lug, draw it away from the lug, ease the end out; keep light pressure so that the first tip stays released.",
                    "fine fork", "the bars, which spring", PieceOfWork.Bars),
            Attachment.FixedBar => ("Draw the old band out over the fixed bars, or open its ends; never lever against a fixed bar.", "", null, null),
            Attachment.ScrewBar => ("Two drivers that fit, one holding: turn the watch’s own bars out and keep each pair together.", "two fitting screwdrivers", "the bars and their screws", FastenerWork.NeverForce),
            Attachment.ScrewSlot => ("Turn the slot’s screws out and draw the old ends from it; screws into the tray at once.", "fitting screwdriver, tweezers, not magnetic", "the screws", FastenerWork.NeverForce),
            Attachment.OwnShape => ("Release the old band as its maker made it, and look how it sits before it is out.", "as the maker asks", null, null),
            _ => throw new ArgumentOutOfRangeException(nameof(facts), facts.Attachment, "Not an attachment."),
        };
        var holders = Holders(facts);
        var bars = holders is { } held ? $" The {held.Part} go into the tray{(held.Part == SprungBars ? "; where no band was on, say there that they are missing and take two from stock" : "")}." : "";
        return new BenchStep("old-off", BenchPart.TakeApart, StepKind.Bars, $"Old band off. {how}{bars}")
        {
            Moves = holders is { } parts ? [new TrayMove(parts.Part, parts.Count, TrayPlace.Watch, TrayPlace.Tray)] : [],
            Tool = tool,
            FallsOut = fallsOut,
            Caution = caution,
            Where = new BenchPlace { AtLugs = true },
            Minutes = BenchStep.UsualMinutes(StepKind.Bars),
        };
    }

    /// <summary>Putting one end of a band on.</summary>
    /// <param name="facts">The job.</param>
    /// <param name="side">Which end.</param>
    /// <param name="piece">What goes there: "the buckle piece".</param>
    /// <param name="part">The part of the work.</param>
    public static BenchStep On(BenchFacts facts, Side side, string piece, BenchPart part)
    {
        var hollow = facts.Band is { Links: not null, Facts.SolidEnd: false } && facts.Attachment is Attachment.SpringBarBlind or Attachment.SpringBarDrilled
            ? " Lay the loose shaped end over the last link, line it up, and pass the bar through both."
            : "";
        var curved = facts.Band.Facts.End == BandEnd.Curved && facts.Attachment is Attachment.SpringBarBlind or Attachment.SpringBarDrilled
            ? " The curved end wants a curved bar; a straight one is bent slightly by hand until it passes."
            : facts.Work.Any(w => w.What == BarGapRule.CurvedBar) ? " Its bar is a curved one, the bow away from the case." : "";
        var (how, tool, fallsOut, caution) = (facts.Attachment, facts.Band.Facts.Attaches) switch
        {
            (Attachment.SpringBarDrilled or Attachment.SpringBarBlind, BandAttachment.QuickRelease) =>
                ("one tip in, draw the lever, second tip in, and let it click.", "", "nothing: the bar is the band’s own", null),
            (Attachment.SpringBarDrilled, _) => ("seat one tip, press the other in from outside, and see both tips in their holes.", "fine point", "the bar, which springs", PieceOfWork.Bars),
            (Attachment.SpringBarBlind, _) when HasNoRoom(facts) =>
                ("seat one tip, press the other in with the blunt blade along the lug, and listen for the click.", "blunt thin blade", "the bar, which springs", PieceOfWork.Bars),
            (Attachment.SpringBarBlind, _) => ("seat one tip, press the other in with the fork from behind, and listen for the click.", "fine fork", "the bar, which springs", (string?)PieceOfWork.Bars),
            (Attachment.FixedBar, BandAttachment.OpenEnd) => ("close the open end round the fixed bar and press it shut; never lever against the bar.", "smooth-jawed pliers", null, null),
            (Attachment.FixedBar, _) => ("pass it under the fixed bar; never lever against the bar.", "", null, null),
            (Attachment.ScrewBar, _) => (
                $"the watch’s own bar{(facts.OwnBar is { } bar ? $" of {bar}" : "")} through lug and tube, both screws home, one driver holding.", "two fitting screwdrivers", "the screws", FastenerWork.NeverForce),
            (Attachment.ScrewSlot, _) => ("slide the end into the slot, the screws straight through it and home; then pull hard.", "fitting screwdriver, tweezers, not magnetic", "the screws", FastenerWork.NeverForce),
            (Attachment.OwnShape, _) => ("set the shaped end into the case as its maker made it, and pull.", "as the maker asks", null, null),
            _ => throw new ArgumentOutOfRangeException(nameof(facts), facts.Attachment, "Not an attachment."),
        };
        return new BenchStep($"on-{PlanWords.Name(side)}", part, StepKind.Bars, $"{char.ToUpperInvariant(piece[0])}{piece[1..]} on the {PlanWords.Name(side)} side: {how}{hollow}{curved}")
        {
            Tool = tool,
            FallsOut = fallsOut is null || fallsOut.StartsWith("nothing", StringComparison.Ordinal) ? null : fallsOut,
            Caution = caution,
            Moves = BackIn(facts, 2),
            Where = new BenchPlace(side) { AtLugs = true },
            Minutes = BenchStep.UsualMinutes(StepKind.Bars),
        };
    }

    /// <summary>The holders that go back in: all, or those of one of two ends; none with a band that has bars of its own.</summary>
    public static IReadOnlyList<TrayMove> BackIn(BenchFacts facts, int ends) =>
        Holders(facts) is { } holders && facts.Band.Facts.Attaches != BandAttachment.QuickRelease
            ? [new TrayMove(holders.Part, holders.Count / ends, TrayPlace.Tray, TrayPlace.Watch)]
            : [];
}
