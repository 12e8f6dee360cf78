namespace IronLoop.Core.Jobs;

/// <summary>What is seen on a watch when it arrives.</summary>
public enum DamageKind
{
    /// <summary>A scratch.</summary>
    Scratch,

    /// <summary>A dent.</summary>
    Dent,

    /// <summary>A bent lug.</summary>
    BentLug,

    /// <summary>A bar that is missing.</summary>
    MissingBar,

    /// <summary>A worn strap.</summary>
    WornStrap,

    /// <summary>Dirt.</summary>
    Dirt,

    /// <summary>A clasp that opens or closes stiffly.</summary>
    StiffClasp,
}

/// <summary>Where on the watch it is seen, dial up with 12 at the top.</summary>
public enum DamagePlace
{
    /// <summary>The crystal.</summary>
    Crystal,

    /// <summary>The bezel at 12.</summary>
    BezelTwelve,

    /// <summary>The bezel at 3.</summary>
    BezelThree,

    /// <summary>The bezel at 6.</summary>
    BezelSix,

    /// <summary>The bezel at 9.</summary>
    BezelNine,

    /// <summary>The crown.</summary>
    Crown,

    /// <summary>The case back.</summary>
    CaseBack,

    /// <summary>The left lug on the 12 side.</summary>
    LugTwelveLeft,

    /// <summary>The right lug on the 12 side.</summary>
    LugTwelveRight,

    /// <summary>The left lug on the 6 side.</summary>
    LugSixLeft,

    /// <summary>The right lug on the 6 side.</summary>
    LugSixRight,

    /// <summary>The band on the 12 side.</summary>
    BandTwelve,

    /// <summary>The band on the 6 side.</summary>
    BandSix,

    /// <summary>The clasp or buckle.</summary>
    Clasp,
}

/// <summary>What a watch came with, besides itself.</summary>
public enum CameWith
{
    /// <summary>Its box.</summary>
    Box,

    /// <summary>Papers or manual.</summary>
    Papers,

    /// <summary>Its old band.</summary>
    OldBand,

    /// <summary>Loose links.</summary>
    LooseLinks,

    /// <summary>Spare bars or pins.</summary>
    SpareBars,

    /// <summary>Parts of a clasp.</summary>
    ClaspParts,
}
