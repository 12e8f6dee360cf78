using IronLoop.Core.Measuring;

namespace IronLoop.Core.Matching;

/// <summary>How the watch takes a band.</summary>
public enum Attachment
{
    /// <summary>Spring bars in lug holes that go right through.</summary>
    SpringBarDrilled,

    /// <summary>Spring bars in holes on the inside of the lugs only.</summary>
    SpringBarBlind,

    /// <summary>Bars soldered into the lugs.</summary>
    FixedBar,

    /// <summary>Bars screwed through the lugs.</summary>
    ScrewBar,

    /// <summary>A slot in which the strap's end is clamped and screwed.</summary>
    ScrewSlot,

    /// <summary>The maker's own shape: notched or integrated.</summary>
    OwnShape,
}

/// <summary>What the case is like where the band's end meets it.</summary>
public enum CaseShape
{
    /// <summary>Round, as most cases are.</summary>
    Round,

    /// <summary>Straight between the lugs.</summary>
    FlatSided,
}

/// <summary>What matching looks at of a watch. A figure nobody measured is null.</summary>
/// <param name="LugWidth">Clear distance between a pair of lugs, inside, at the bar.</param>
/// <param name="Attachment">How it takes a band.</param>
/// <param name="Family">The maker's family code of its own shape.</param>
public sealed record WatchFacts(Length? LugWidth, Attachment? Attachment, string? Family)
{
    /// <summary>The smallest and the largest reading of the lug width, when it was read more than once.</summary>
    public (Length Smallest, Length Largest)? LugWidthReadings { get; init; }

    /// <summary>Clear room between the bar's centre line and the case.</summary>
    public Length? BarGap { get; init; }

    /// <summary>Diameter of the lug hole.</summary>
    public Length? LugHole { get; init; }

    /// <summary>Diameter of the watch's own bar.</summary>
    public Length? OwnBar { get; init; }

    /// <summary>Clear height of a screwed slot.</summary>
    public Length? SlotHeight { get; init; }

    /// <summary>What the case is like where the band's end meets it.</summary>
    public CaseShape? CaseShape { get; init; }

    /// <summary>Height of the head.</summary>
    public Length? Height { get; init; }

    /// <summary>Finish of the case's metal; null when nobody said.</summary>
    public string? Finish { get; init; }

    /// <summary>Colour of the case's metal; null when nobody said.</summary>
    public string? Colour { get; init; }

    /// <summary>Whether it takes its band on spring bars.</summary>
    public bool HasSpringBars => Attachment is Matching.Attachment.SpringBarDrilled or Matching.Attachment.SpringBarBlind;

    /// <summary>Whether it does, or nobody looked, and it is taken to.</summary>
    public bool MayHaveSpringBars => Attachment is null || HasSpringBars;
}

/// <summary>What matching looks at of the wearer. Null where nobody asked.</summary>
/// <param name="Water">It is worn in water.</param>
/// <param name="NickelSensitive">Nickel makes the skin react.</param>
/// <param name="HairPull">Pulled hair is disliked.</param>
/// <param name="Wrist">Circumference of the wrist.</param>
/// <param name="WishedColour">The colour the owner wishes for.</param>
public sealed record WearerFacts(
    bool? Water = null, bool? NickelSensitive = null, bool? HairPull = null, Length? Wrist = null, string? WishedColour = null)
{
    /// <summary>The finish the owner wishes for.</summary>
    public string? WishedFinish { get; init; }

    /// <summary>Nothing asked.</summary>
    public static WearerFacts Unasked { get; } = new();
}
