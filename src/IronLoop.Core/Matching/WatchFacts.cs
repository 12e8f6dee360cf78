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

/// <summary>What matching looks at of a watch. A figure nobody measured is null and makes its rule answer unknown.</summary>
/// <param name="LugWidth">Clear distance between a pair of lugs, inside, at the bar.</param>
/// <param name="Attachment">How it takes a band.</param>
/// <param name="Family">The maker's family code of its own shape.</param>
public sealed record WatchFacts(Length? LugWidth, Attachment? Attachment, string? Family);
