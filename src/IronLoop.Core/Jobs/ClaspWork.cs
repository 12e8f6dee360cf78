using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Jobs;

/// <summary>The work of putting another clasp on a band.</summary>
public static class ClaspWork
{
    /// <summary>The pieces of work, in the order they are done.</summary>
    /// <param name="present">The clasp that comes off; null when its kind is not known.</param>
    /// <param name="other">The clasp that goes on.</param>
    /// <param name="name">What it is called.</param>
    /// <param name="rules">What the rules said of it: holes opened or pierced come before it goes on.</param>
    /// <param name="swapEnds">Whether the band's two ends are swapped.</param>
    public static IReadOnlyList<PieceOfWork> Replace(ClaspKind? present, ClaspKind other, string name, IReadOnlyList<RuleVerdict> rules, bool swapEnds) =>
    [
        Off(present ?? other),
        .. rules.Where(r => r.Rule != OpenLookRule.Name).SelectMany(r => r.Work),
        .. rules.Where(r => r.Rule == OpenLookRule.Name && swapEnds).SelectMany(r => r.Work),
        On(other, name),
    ];

    /// <summary>The work where the band's own clasp is kept: a strap's end is pierced for it, ends are swapped.</summary>
    /// <param name="end">The band's clasp end.</param>
    /// <param name="bar">Its bar; null when nobody measured.</param>
    /// <param name="swapEnds">Whether the band's two ends are swapped.</param>
    public static IReadOnlyList<PieceOfWork> Keep(BandEndFacts end, Length? bar, bool swapEnds) =>
    [
        .. end.Pierced == false ? ClaspBarRule.NotPierced(bar).Work : [],
        .. swapEnds && OpenLookRule.Judge(end) is { } look ? look.Work : [],
    ];

    /// <summary>What of it cannot be undone, in the words a consent is given to; empty when all can.</summary>
    public static string Lasting(IEnumerable<PieceOfWork> work) => string.Join("; ", work.Where(w => !w.Reversible).Select(w => w.What));

    private static PieceOfWork Off(ClaspKind kind) => kind switch
    {
        ClaspKind.PinBuckle => Piece("Slide the strap aside to bare the bar’s lip, and release the old buckle", "fork", 3, PieceOfWork.Bars),
        ClaspKind.StrapFolding => Piece("Press the bar through the hole in the old clasp’s side, and lift the strap’s end out", "fine point", 3, PieceOfWork.Bars),
        ClaspKind.Butterfly => Piece("Drive the old clasp’s pins out with a punch thinner than the pin; count both", "block, punch", 6, PieceOfWork.Taps),
        ClaspKind.FoldOver or ClaspKind.Extending =>
            Piece("Press the bar’s tip at the fold, then at the micro-adjust, and lift the old clasp off", "fine point", 4, PieceOfWork.Bars),
        ClaspKind.Slide => Piece("Lift the old clasp’s flap near one end, never in its middle, and slide it off the mesh", "flat blade", 3, null),
        _ => throw new ArgumentOutOfRangeException(nameof(kind), kind, "Not a clasp."),
    };

    private static PieceOfWork On(ClaspKind kind, string name) => kind switch
    {
        ClaspKind.PinBuckle => Piece(
            $"{name}: bar half through, tongue on the right way up, bar on until both ends show alike; frame on with the tongue lifted; turn and pull",
            "fork", 5, PieceOfWork.Bars),
        ClaspKind.StrapFolding => Piece(
            $"{name}: bar in the strap, lower tip in the clasp, fork on the upper tip, wiggle until it seats; see that the fold hides inside the strap and closes",
            "fork", 6, PieceOfWork.Bars),
        ClaspKind.Butterfly => Piece(
            $"{name}: start the pin, stop short of the notch, seat the tube, line up, and drive it home flush; the same on the other side",
            "block, punch, soft hammer", 10, PieceOfWork.Taps),
        ClaspKind.FoldOver or ClaspKind.Extending => Piece(
            $"{name}: one tip of the bar in at the fold, press the other, wiggle until it clicks; then the bar at the micro-adjust", "fine fork", 6, PieceOfWork.Bars),
        ClaspKind.Slide => Piece($"{name}: on the mesh, set where it was; close the flap with something blunt until it snaps; the lock resists", "blunt tool", 4, null),
        _ => throw new ArgumentOutOfRangeException(nameof(kind), kind, "Not a clasp."),
    };

    private static PieceOfWork Piece(string what, string tools, int minutes, string? caution) =>
        new(what, Reversible: true) { Tools = tools, Minutes = minutes, Caution = caution };
}
