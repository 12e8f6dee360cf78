using IronLoop.Core.Joints;

namespace IronLoop.Core.Bench;

/// <summary>How a fitter holds the watch. Stored and sent by name.</summary>
public enum Grip
{
    /// <summary>On the mat.</summary>
    OnTheMat,

    /// <summary>In the hand, its back toward the fitter.</summary>
    InTheHand,
}

/// <summary>How a fitter works; asked once of each.</summary>
/// <param name="Grip">How the watch is held.</param>
/// <param name="LeftHanded">Whether the tool is in the left hand; the steps mirror then.</param>
public sealed record Hands(Grip Grip = Grip.OnTheMat, bool LeftHanded = false)
{
    /// <summary>The hand that holds the work.</summary>
    public string Holding => LeftHanded ? "right" : "left";

    /// <summary>The hand that has the tool.</summary>
    public string Working => LeftHanded ? "left" : "right";

    /// <summary>How the head is held while something is done at its lugs.</summary>
    internal string Holds => Grip == Grip.InTheHand
        ? $"Head in the {Holding} hand, its back toward you, the thumb of that hand on the end of the band."
        : $"Head on the mat, its back up, the {Holding} hand over it, its forefinger on the end of the band.";
}

/// <summary>
/// How the hands go at an act, by what holds the joint and with which tools: the grip, which finger holds or pushes, the
/// wiggle, what is heard or felt. Folded away until it is asked for.
/// </summary>
public static class HandWords
{
    /// <summary>Opening a joint between links, or a pinned or screwed one at the clasp.</summary>
    /// <param name="fastener">What holds it.</param>
    /// <param name="family">The tools pins come out with.</param>
    /// <param name="hands">How the fitter works.</param>
    public static string Open(Fastener fastener, ToolFamily family, Hands hands) => fastener switch
    {
        Fastener.SplitPin or Fastener.PinWithTube or Fastener.FrictionPin => family switch
        {
            ToolFamily.BlockAndHammer =>
                $"Block: arrow down, the hole or groove of the block under the pin. {Cap(hands.Holding)} thumb and forefinger press the band flat; the punch stands upright between the {hands.Working} hand’s finger and thumb from the first tap. "
                + $"Short light taps, the soft face only; the sound goes from dull to bright when the pin gives.{Tube(fastener)} Draw the rest with needle-nose pliers, straight, without a twist.",
            ToolFamily.HandPusher =>
                $"The band is backed by the {hands.Holding} palm or a holder, never by fingers under the tip. Tip square on the pin; push with the heel of the {hands.Working} hand, a small give is felt first, then it runs.{Tube(fastener)} Draw the rest with needle-nose pliers.",
            _ =>
                $"Press: the tip screwed in and straight, the band held against the far wall by the {hands.Holding} hand, the way out of the pin free; raise it until tip and hole line up. Turn with two fingers: even resistance is right, a jump or a bent tip means it is out of line.{Tube(fastener)} Draw the rest with needle-nose pliers.",
        },
        Fastener.Screw => $"Band on its edge in the holder, the head up. Blade upright in the slot, the {hands.Working} forefinger on the driver’s top, pressing down while thumb and middle finger turn. A small crack is thread-lock giving; a blade that climbs is too narrow.",
        Fastener.ScrewInTube => $"A driver in each hand, both upright in their slots, in one line. The {hands.Holding} one stands still, the {hands.Working} one turns; the side that gives first is finished first.",
        Fastener.SpringBar => $"{Cap(hands.Holding)} thumb in the gap bends the two links a little apart. Fork on the bar’s shoulder, draw it toward the middle until the tip is free, and keep the pressure while the link is eased out: the first tip must not go back. A finger over the end.",
        Fastener.ByHand => "Two fingers under the flap, near one end; it lifts with a click.",
        _ => "As the look showed. Begin with the gentlest of the three; what does not move by a light hand is looked at again.",
    };

    /// <summary>Closing a joint between links, or a pinned or screwed one at the clasp.</summary>
    /// <param name="fastener">What holds it.</param>
    /// <param name="family">The tools pins go in with.</param>
    /// <param name="along">Whether this house puts plain pins in along the arrow.</param>
    /// <param name="hands">How the fitter works.</param>
    public static string Close(Fastener fastener, ToolFamily family, bool along, Hands hands) => fastener switch
    {
        Fastener.SplitPin or Fastener.PinWithTube or Fastener.FrictionPin => family switch
        {
            ToolFamily.BlockAndHammer =>
                $"Block: arrow {(along ? "down" : "up")}. The {hands.Holding} hand holds the links in line, no step felt by a fingernail; the pin by finger, then the soft face until it is nearly flush; the punch for the rest, the hard face only ever on the punch.{TubeIn(fastener)} It goes duller as it seats.",
            ToolFamily.HandPusher =>
                $"Links in line between {hands.Holding} thumb and forefinger, the pin started by finger. Push by hand, the band backed; it stops with a small thud.{TubeIn(fastener)}",
            _ =>
                $"Links in line, the pin started by finger as far as it goes: a press that begins an insertion bends pins. Turn the last of it with two fingers.{TubeIn(fastener)}",
        },
        Fastener.Screw => $"Thread end first, the first turns by finger backward until it drops into the thread, then forward. Press down with the {hands.Working} forefinger; stop where it stops.",
        Fastener.ScrewInTube => "Tube in and centred, a screw from each side by finger; then both drivers, one still. Both heads end alike, just below the edge.",
        Fastener.SpringBar => $"Far tip first: it is the one that slips on steel. {Cap(hands.Holding)} thumb keeps the two in line, the fork presses the near tip in, and the bar is wiggled along its length until it clicks.",
        Fastener.ByHand => "Slide, let go, and try to slide it back: it must not.",
        _ => "The same way it came out, the same way round.",
    };

    /// <summary>Taking a band off the lugs.</summary>
    /// <param name="fastener">What holds it.</param>
    /// <param name="fromOutside">Whether the lugs are drilled through.</param>
    /// <param name="hands">How the fitter works.</param>
    public static string OffTheLugs(Fastener fastener, bool fromOutside, Hands hands) => fastener switch
    {
        Fastener.LeveredBar => $"{hands.Holds} A nail of the {hands.Working} hand draws the lever toward the middle; lift that end first.",
        Fastener.ScrewedBar or Fastener.SlotScrews => $"{hands.Holds} Blades upright; press first, then turn.",
        Fastener.Threaded => "Open the buckle, push the tail back under the case, and draw; nothing is levered.",
        Fastener.OpenEnd => "Warm the end between two fingers, open it no further than the bar asks.",
        Fastener.SpringBar when fromOutside => $"{hands.Holds} The point goes straight into the hole, the {hands.Working} forefinger on the lug as a stop; press until the end gives, tilt it out a hair, then the other tip. A finger over the hole all the while.",
        Fastener.SpringBar => $"{hands.Holds} Fork flat between band and lug, felt for the flange, drawn toward the middle and a little up. When the first tip is out keep light pressure there and go to the other one.",
        _ => $"{hands.Holds} As the look showed.",
    };

    /// <summary>Putting a band on the lugs.</summary>
    /// <param name="fastener">What holds it.</param>
    /// <param name="fromOutside">Whether the lugs are drilled through.</param>
    /// <param name="hands">How the fitter works.</param>
    public static string OnTheLugs(Fastener fastener, bool fromOutside, Hands hands) => fastener switch
    {
        Fastener.LeveredBar => $"{hands.Holds} Far tip in its hole, lever drawn, near tip in, let go: one click, and the lever lies flat.",
        Fastener.ScrewedBar or Fastener.SlotScrews => $"{hands.Holds} Bar or screws by finger first; blades upright for the last turns.",
        Fastener.Threaded => "Fold the tip, push it from above, and pull it through from below until it lies flat.",
        Fastener.OpenEnd => "Round the bar by hand, closed with smooth jaws, a cloth between; it must turn and not come off.",
        Fastener.SpringBar when fromOutside => $"{hands.Holds} Far tip in, the near one pressed with the point and let into its hole; both are seen from outside.",
        Fastener.SpringBar => $"{hands.Holds} Far tip in its hole first. Fork on the near flange, in and a little down along the lug until it falls in: a click is heard and the end no longer turns out under a thumb. Where nothing lies between the bare lugs, a nail or the fork’s flat end does.",
        _ => $"{hands.Holds} As it was found.",
    };

    /// <summary>A sprung bar at a clasp or a buckle, out or in.</summary>
    /// <param name="opens">Whether it comes out.</param>
    /// <param name="atBuckle">Whether it is a buckle's.</param>
    /// <param name="hands">How the fitter works.</param>
    public static string AtTheClasp(bool opens, bool atBuckle, Hands hands) => (opens, atBuckle) switch
    {
        (true, true) => $"The strap’s end over the {hands.Holding} forefinger, slid back until the bar’s lip shows; fork on the lip, drawn toward the middle, frame tilted off that side first.",
        (true, false) => $"The clasp lies open on the mat, held by two {hands.Holding} fingers; the point in the hole, pressed straight, and the bar walks out under the finger that covers its end.",
        (false, true) => "Bar half in, tongue on it in its slot; the frame’s far side on its tip, the near tip pressed in and let go. The tongue falls over by its own weight.",
        _ => $"Far tip in its hole, the link eased in by the {hands.Holding} thumb, the near tip pressed and wiggled until it clicks; then try to push it out by a nail from both sides.",
    };

    private static string Tube(Fastener fastener) => fastener == Fastener.PinWithTube ? " Hold a palm under it: the tube follows a moment later." : "";

    private static string TubeIn(Fastener fastener) => fastener == Fastener.PinWithTube ? " The tube is in the middle of its three holes before the pin meets it." : "";

    private static string Cap(string word) => char.ToUpperInvariant(word[0]) + word[1..];
}
