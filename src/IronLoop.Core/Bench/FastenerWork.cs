using IronLoop.Core.Fitting;
using IronLoop.Core.Matching;

namespace IronLoop.Core.Bench;

/// <summary>What one joint's opening or closing asks for.</summary>
/// <param name="How">What is done.</param>
/// <param name="Tool">With what, sizes from what was gauged.</param>
/// <param name="Direction">Which way the pin travels; null where none does.</param>
/// <param name="FallsOut">What can fall out unseen; null where nothing can.</param>
/// <param name="Caution">The caution that belongs to it.</param>
public sealed record JointWork(string How, string Tool, string? Direction, string? FallsOut, string? Caution);

/// <summary>How each fastener between links is known, taken out and put in.</summary>
public static class FastenerWork
{
    /// <summary>A screw that will not start.</summary>
    public const string NeverForce = "Never force a stiff screw: it may hold thread-lock. If it will not start, stop and refer.";

    /// <summary>How a fitter knows it.</summary>
    public static string KnownBy(Fastener fastener) => fastener switch
    {
        Fastener.SplitPin => "Arrow inside the link; one mouth shows a faint slit, not a driver’s deep slot.",
        Fastener.PinWithTube => "Arrow inside the link; both mouths alike, the shaft unsplit.",
        Fastener.Screw => "One edge of the link blank, the other with a sunk slotted head.",
        Fastener.ScrewInTube => "Slots on both edges.",
        Fastener.SpringBar => "No arrow, no slot; a bar is seen in the gap.",
        _ => throw new ArgumentOutOfRangeException(nameof(fastener), fastener, "Not a fastener."),
    };

    /// <summary>The parts of one joint, by the names the tray knows them by.</summary>
    public static IReadOnlyList<(string Part, int Count)> PartsOf(Fastener fastener) => fastener switch
    {
        Fastener.SplitPin => [("split pins", 1)],
        Fastener.PinWithTube => [("pins", 1), ("tubes", 1)],
        Fastener.Screw => [("link screws", 1)],
        Fastener.ScrewInTube => [("link screws", 2), ("threaded tubes", 1)],
        Fastener.SpringBar => [("bars between links", 1)],
        _ => throw new ArgumentOutOfRangeException(nameof(fastener), fastener, "Not a fastener."),
    };

    /// <summary>Opening a joint.</summary>
    public static JointWork Open(BenchSetup setup) => Known(setup) switch
    {
        Fastener.SplitPin => Pin(setup, "If arrow and slit disagree, stop and look.", null),
        Fastener.PinWithTube => Pin(setup, "See how the tube sat: a grooved end goes back the same way.", "the tube, often shorter than the link, drops out unseen"),
        Fastener.Screw => new(
            "Turn the screw out counter-clockwise under steady pressure; once loose, a punch may have to push it.", Driver(setup, 1), "out of the edge with the head", "the screw", NeverForce),
        Fastener.ScrewInTube => new(
            "One driver holds, the other turns counter-clockwise; then the tube.", Driver(setup, 2), null, "the tube, once both screws are out", NeverForce),
        Fastener.SpringBar => new(
            "Draw the bar’s tip back and ease the links apart.", Fork(setup), null, "the bar, which springs", PieceOfWork.Bars),
        _ => throw new ArgumentOutOfRangeException(nameof(setup), setup, "Not a fastener."),
    };

    /// <summary>Closing a joint.</summary>
    public static JointWork Close(BenchSetup setup) => Known(setup) switch
    {
        Fastener.SplitPin => new(
            $"Narrow end leads; {Last(setup)} until just below flush, the slit end at the {(setup.NoArrow ? "edge it came from" : "arrow’s head")}.", InTool(setup), InWay(setup), null, Taps(setup)),
        Fastener.PinWithTube => new(
            $"Tube first, turned as it came out; then the pin, {Last(setup)} until just below flush.", InTool(setup), InWay(setup), "the tube, while the pin is started", Taps(setup)),
        Fastener.Screw => new("Thread end first, clockwise until it stops.", Driver(setup, 1), "in at the edge with the sunk mouth", null, NeverForce),
        Fastener.ScrewInTube => new("Tube in, then a screw from each edge; one driver holds, the other turns clockwise until it stops.", Driver(setup, 2), null, "the tube", NeverForce),
        Fastener.SpringBar => new("One tip in, press the other, wiggle until it seats.", Fork(setup), null, "the bar, which springs", PieceOfWork.Bars),
        _ => throw new ArgumentOutOfRangeException(nameof(setup), setup, "Not a fastener."),
    };

    private static Fastener Known(BenchSetup setup) =>
        setup.Fastener ?? throw new ArgumentException("What joins the links is not known yet.", nameof(setup));

    private static JointWork Pin(BenchSetup setup, string look, string? fallsOut)
    {
        var how = setup.Tools switch
        {
            ToolFamily.BlockAndHammer => "In the block; raise the band until tip and hole are in line, the pin’s way out open. Start gently.",
            ToolFamily.HandPusher => "Tip on the pin, square to the link; push until it shows on the other edge.",
            ToolFamily.ScrewPress => "Line the press’s tip up with the pin before it is turned: misaligned, it bends. Turn until the pin shows on the other edge.",
            _ => throw new ArgumentOutOfRangeException(nameof(setup), setup.Tools, "Not a tool family."),
        };
        var tool = setup.Tools switch
        {
            ToolFamily.BlockAndHammer => $"block, {Punch(setup)}, soft hammer",
            ToolFamily.HandPusher => $"hand pusher, {Punch(setup)}",
            _ => $"screw press, {Punch(setup)}",
        };
        return new JointWork(
            $"{how} {look}", tool, setup.NoArrow ? "nothing shows a way: note the edge it goes out of" : "along the arrow; check it before the first push", fallsOut, Taps(setup));
    }

    private static string InWay(BenchSetup setup) => setup switch
    {
        { NoArrow: true } => "in at the edge it came out of",
        { GoesBackAlong: true } => "along the arrow, as this house does with plain pins",
        _ => "against the arrow",
    };

    private static string Last(BenchSetup setup) => setup.Tools == ToolFamily.ScrewPress ? "started by hand, finished with the press" : "the last part with a push or a soft tap";

    private static string InTool(BenchSetup setup) => setup.Tools switch
    {
        ToolFamily.BlockAndHammer => $"block, soft hammer with its nylon face, {Punch(setup)} for the last millimetre",
        ToolFamily.HandPusher => $"fingers, hand pusher, {Punch(setup)}",
        _ => $"fingers, screw press, {Punch(setup)}",
    };

    private static string Punch(BenchSetup setup) => setup.Punch is { } punch ? $"punch {punch} for the {setup.Pin} pin" : "punch a little thinner than the pin";

    private static string Driver(BenchSetup setup, int count) =>
        $"{(count == 1 ? "screwdriver" : "two screwdrivers")}, {(setup.Blade is { } blade ? $"blade {blade} for the {setup.Slot} slot" : "the widest blade that drops fully into the slot")}";

    private static string Fork(BenchSetup setup) => setup.Fork is { } fork ? $"fine fork, {fork} for the {setup.Gap} gap" : "fine fork, narrower than the gap";

    private static string Taps(BenchSetup setup) => setup.Tools == ToolFamily.BlockAndHammer ? PieceOfWork.Taps : "Eye protection. Hard resistance or a bending tip: stop, check the arrow and the line.";
}
