namespace IronLoop.Core.Joints;

/// <summary>What holds two things together at a joint. Stored and sent by name.</summary>
public enum Fastener
{
    /// <summary>A sprung, doubled or slit pin.</summary>
    SplitPin,

    /// <summary>A plain pin in a tube.</summary>
    PinWithTube,

    /// <summary>A screw.</summary>
    Screw,

    /// <summary>A screw in a threaded tube, with heads on both sides.</summary>
    ScrewInTube,

    /// <summary>A spring bar.</summary>
    SpringBar,

    /// <summary>A sprung bar with a lever of its own, which belongs to the band.</summary>
    LeveredBar,

    /// <summary>A bar soldered into the lugs; never opened.</summary>
    FixedBar,

    /// <summary>A bar of the watch's own, screwed through the lugs.</summary>
    ScrewedBar,

    /// <summary>The screws of a slot.</summary>
    SlotScrews,

    /// <summary>A plain pin held by friction, as at a butterfly.</summary>
    FrictionPin,

    /// <summary>A one-piece band passed under a bar: nothing holds it, it is drawn out.</summary>
    Threaded,

    /// <summary>What the wearer opens and shuts: a tongue in a hole, a catch, a slide on its mesh.</summary>
    ByHand,

    /// <summary>Sewn; never opened.</summary>
    Sewn,

    /// <summary>Riveted; never opened.</summary>
    Riveted,

    /// <summary>An end bent round a bar and pressed shut.</summary>
    OpenEnd,

    /// <summary>Held as the maker of the case made it.</summary>
    MakersOwn,

    /// <summary>Nobody has looked yet; it is opened only after a look.</summary>
    NotLookedAt,
}

/// <summary>What is true of a kind of fastener, whatever joint it is at.</summary>
public static class FastenerFacts
{
    /// <summary>The fasteners that join links, in the order they are shown.</summary>
    public static IReadOnlyList<Fastener> BetweenLinks { get; } =
        [Fastener.SplitPin, Fastener.PinWithTube, Fastener.Screw, Fastener.ScrewInTube, Fastener.SpringBar];

    /// <summary>Whether a joint held like this is ever opened.</summary>
    public static bool Opens(this Fastener fastener) => fastener is not (Fastener.FixedBar or Fastener.Sewn or Fastener.Riveted);

    /// <summary>Whether it is the wearer's to open and shut, or only passed through: such a joint has no parts and is never checked.</summary>
    public static bool IsByHand(this Fastener fastener) => fastener is Fastener.ByHand or Fastener.Threaded;

    /// <summary>Whether its bar is sprung and can fly.</summary>
    public static bool IsSprung(this Fastener fastener) => fastener is Fastener.SpringBar or Fastener.LeveredBar;

    /// <summary>Whether it is turned with a driver.</summary>
    public static bool IsTurned(this Fastener fastener) => fastener is Fastener.Screw or Fastener.ScrewInTube or Fastener.ScrewedBar or Fastener.SlotScrews;

    /// <summary>Whether it is a pin that is pushed or driven.</summary>
    public static bool IsPin(this Fastener fastener) => fastener is Fastener.SplitPin or Fastener.PinWithTube or Fastener.FrictionPin;

    /// <summary>How easily it is opened and closed, the easiest 0.</summary>
    public static int Trouble(this Fastener fastener) => fastener switch
    {
        Fastener.ByHand or Fastener.Threaded or Fastener.LeveredBar => 0,
        Fastener.Screw or Fastener.ScrewedBar or Fastener.SlotScrews => 1,
        Fastener.ScrewInTube => 2,
        Fastener.SpringBar => 3,
        Fastener.SplitPin or Fastener.FrictionPin => 4,
        Fastener.PinWithTube => 5,
        _ => 6,
    };
}
