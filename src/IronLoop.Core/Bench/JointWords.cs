using IronLoop.Core.Joints;
using IronLoop.Core.Matching;
using IronLoop.Core.Tools;

namespace IronLoop.Core.Bench;

/// <summary>What one joint's opening or closing asks for.</summary>
/// <param name="How">What is done.</param>
/// <param name="Tool">With what, sizes from what was gauged.</param>
/// <param name="Direction">Which way the pin travels; null where none does.</param>
/// <param name="FallsOut">What can fall out unseen; null where nothing can.</param>
/// <param name="Caution">The caution that belongs to it.</param>
public sealed record JointWork(string How, string Tool, string? Direction = null, string? FallsOut = null, string? Caution = null)
{
    /// <summary>Tools that would fit where none on the wall does.</summary>
    public IReadOnlyList<WallTool> Wanted { get; init; } = [];

    /// <summary>The same with tools from the wall.</summary>
    /// <param name="picks">What is taken from the wall.</param>
    internal JointWork With(params ReadOnlySpan<Pick> picks) => this with { Tool = string.Join(", ", picks.ToArray().Select(p => p.Says)), Wanted = [.. picks.ToArray().Select(p => p.Wanted).OfType<WallTool>()] };
}

/// <summary>How each fastener of a band is known, taken out and put in.</summary>
public static class JointWords
{
    /// <summary>A screw that will not start.</summary>
    public const string NeverForce = "Never force a stiff screw: it may hold thread-lock. If it will not start, stop and refer.";

    /// <summary>What a fastener is called, where several of it join a row.</summary>
    public static string Name(Fastener fastener) => fastener switch
    {
        Fastener.SplitPin => "split pins",
        Fastener.PinWithTube => "plain pins, each in a tube",
        Fastener.Screw => "screws",
        Fastener.ScrewInTube => "screws from both edges into a threaded tube",
        Fastener.SpringBar => "spring bars",
        Fastener.FrictionPin => "friction pins",
        Fastener.NotLookedAt => "not looked at yet",
        _ => fastener.ToString(),
    };

    /// <summary>How a fitter knows it.</summary>
    public static string KnownBy(Fastener fastener) => fastener switch
    {
        Fastener.SplitPin => "Arrow inside the link; one mouth shows a hair-thin slit, not a driver’s deep slot.",
        Fastener.PinWithTube => "Arrow inside the link; both mouths alike, the shaft unsplit.",
        Fastener.Screw => "One edge of the link blank, the other with a sunk slotted head.",
        Fastener.ScrewInTube => "Slots on both edges.",
        Fastener.SpringBar => "No arrow, no slot; a bar is seen in the gap.",
        Fastener.FrictionPin => "At a butterfly: a plain pin through the end tube, no slit.",
        _ => throw new ArgumentOutOfRangeException(nameof(fastener), fastener, "Nothing that joins links."),
    };

    /// <summary>Opening a joint.</summary>
    /// <param name="fastener">What holds it.</param>
    /// <param name="look">Its sizes as gauged.</param>
    /// <param name="setup">How it is worked.</param>
    /// <param name="wall">What hangs on the wall.</param>
    public static JointWork Open(Fastener fastener, JointLook look, BenchSetup setup, ToolWall wall) => fastener switch
    {
        Fastener.SplitPin => Pin(look, setup, wall, "If arrow and slit disagree, stop and look.", null),
        Fastener.PinWithTube => Pin(look, setup, wall, "See how the tube sat: a grooved end goes back the same way.", "the tube, often shorter than the link, drops out unseen"),
        Fastener.FrictionPin => Pin(look, setup, wall, "Drive it right through.", "the pin"),
        Fastener.Screw => new JointWork("Turn the screw out counter-clockwise under steady pressure; once loose, a punch may have to push it.", "", "out of the edge with the head", "the screw", NeverForce).With(wall.Blade(look.Slot, look.SlotLength)),
        Fastener.ScrewInTube => new JointWork("One driver holds, the other turns counter-clockwise; then the tube.", "", null, "the tube, once both screws are out", NeverForce).With(wall.Blades(look.Slot, look.SlotLength)),
        Fastener.SpringBar => new JointWork("Draw the bar’s tip back and ease the two apart.", "", null, "the bar, which springs", PieceOfWork.Bars).With(wall.Fork(look.Gap, null, look.Across)),
        _ => new JointWork("As the look showed: along the arrow, at the slot, or at the bar’s tip.", "as the look showed", null, "whatever holds it", PieceOfWork.Bars),
    };

    /// <summary>Closing a joint.</summary>
    /// <param name="fastener">What holds it.</param>
    /// <param name="look">Its sizes as gauged.</param>
    /// <param name="setup">How it is worked.</param>
    /// <param name="wall">What hangs on the wall.</param>
    public static JointWork Close(Fastener fastener, JointLook look, BenchSetup setup, ToolWall wall) => fastener switch
    {
        Fastener.SplitPin => new JointWork(
            $"Narrow end leads; {Last(setup)} until just below flush, the slit end at the {(look.NoArrow ? "edge it came from" : "arrow’s head")}.", "", InWay(look, setup, canGoAlong: false), null, Taps(setup.In)).With(InTools(look, setup, wall)),
        Fastener.PinWithTube => new JointWork(
            $"Tube first, turned as it came out; then the pin, {Last(setup)} until just below flush.", "", InWay(look, setup, canGoAlong: true), "the tube, while the pin is started", Taps(setup.In)).With(InTools(look, setup, wall)),
        Fastener.FrictionPin => new JointWork("Start the pin, stop short of the notch, seat the clasp’s tube, line up, and drive the pin home flush.", "", null, "the pin", Taps(setup.In)).With(InTools(look, setup, wall)),
        Fastener.Screw => new JointWork("Thread end first, clockwise until it stops.", "", "in at the edge with the sunk mouth", null, NeverForce).With(wall.Blade(look.Slot, look.SlotLength)),
        Fastener.ScrewInTube => new JointWork("Tube in, then a screw from each edge; one driver holds, the other turns clockwise until it stops.", "", null, "the tube", NeverForce).With(wall.Blades(look.Slot, look.SlotLength)),
        Fastener.SpringBar => new JointWork("One tip in, press the other, wiggle until it seats.", "", null, "the bar, which springs", PieceOfWork.Bars).With(wall.Fork(look.Gap, null, look.Across)),
        _ => new JointWork("As it was found, the same way round.", "as the look showed", null, "whatever holds it", PieceOfWork.Bars),
    };

    /// <summary>What is looked at once more when a joint of a fastener was worked.</summary>
    public static string Checked(Fastener fastener) => fastener switch
    {
        Fastener.Screw or Fastener.ScrewInTube => "every screw is home and no slot is torn, all heads on one edge",
        Fastener.SpringBar => "every bar is seated at both tips",
        Fastener.SplitPin or Fastener.PinWithTube => "every pin is flush or just below, all arrows on one edge; a fingernail finds no edge",
        Fastener.FrictionPin => "both pins are flush",
        _ => "what holds it is home",
    };

    private static JointWork Pin(JointLook look, BenchSetup setup, ToolWall wall, string also, string? fallsOut)
    {
        var (how, tools) = setup.Tools switch
        {
            ToolFamily.BlockAndHammer => ("In the block; raise the band until tip and hole are in line, the pin’s way out open. Start gently.",
                (Pick[])[wall.Any(ToolKind.Block), wall.Punch(look.Across), wall.Any(ToolKind.Hammer)]),
            ToolFamily.HandPusher => ("Tip on the pin, square to the link; push until it shows on the other edge.", [wall.Any(ToolKind.Pusher), wall.Punch(look.Across)]),
            ToolFamily.ScrewPress => ("Line the press’s tip up with the pin before it is turned: misaligned, it bends. Turn until the pin shows on the other edge.",
                [wall.Any(ToolKind.Press), wall.Punch(look.Across)]),
            _ => throw new ArgumentOutOfRangeException(nameof(setup), setup.Tools, "Not a tool family."),
        };
        return new JointWork(
            $"{how} {also} Draw what stands out.", "", look.NoArrow ? "nothing shows a way: note the edge it goes out of" : "along the arrow; check it before the first push", fallsOut, Taps(setup.Tools))
            .With([.. tools, wall.Any(ToolKind.Pliers, "needle-nose")]);
    }

    private static string InWay(JointLook look, BenchSetup setup, bool canGoAlong) =>
        look.NoArrow ? "in at the edge it came out of"
        : canGoAlong && setup.Insertion == Insertion.AlongTheArrow ? "along the arrow, as this shop does with plain pins"
        : "against the arrow";

    private static string Last(BenchSetup setup) => setup.In == ToolFamily.ScrewPress ? "started by hand, finished with the press" : "the last part with a push or a soft tap";

    /// <summary>What a pin goes in with: by hand at first, the punch for the last of it.</summary>
    private static Pick[] InTools(JointLook look, BenchSetup setup, ToolWall wall) => setup.In switch
    {
        ToolFamily.BlockAndHammer => [wall.Any(ToolKind.Block), wall.Any(ToolKind.Hammer), wall.Punch(look.Across)],
        ToolFamily.HandPusher => [wall.Any(ToolKind.Pusher), wall.Punch(look.Across)],
        _ => [wall.Any(ToolKind.Press), wall.Punch(look.Across)],
    };

    private static string Taps(ToolFamily family) =>
        family == ToolFamily.BlockAndHammer ? PieceOfWork.Taps : "Eye protection. Hard resistance or a bending tip: stop, check the arrow and the line.";
}
