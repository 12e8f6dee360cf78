namespace IronLoop.Core.Jobs;

/// <summary>What a question is after; sent by name, it is the field of the sheet that its answer fills.</summary>
public enum Ask
{
    /// <summary>The lug width.</summary>
    LugWidth,

    /// <summary>What is on the watch.</summary>
    On,

    /// <summary>How that is held.</summary>
    Held,

    /// <summary>What its length is found by.</summary>
    Sized,

    /// <summary>Of the old strap: lug end to the buckle's bar.</summary>
    BucklePiece,

    /// <summary>Of the old strap: lug end to the worn hole.</summary>
    ToHole,

    /// <summary>A loop that was sent.</summary>
    Sent,

    /// <summary>The band that goes on.</summary>
    BandId,

    /// <summary>What closes the band.</summary>
    ClaspKind,

    /// <summary>The band's width at the clasp.</summary>
    ClaspEnd,

    /// <summary>The clasp or buckle that goes on.</summary>
    ClaspId,

    /// <summary>What joins the links.</summary>
    Links,

    /// <summary>What the band is that is worked by hand.</summary>
    Of,

    /// <summary>Links of the 12 side.</summary>
    Twelve,

    /// <summary>Links of the 6 side.</summary>
    Six,

    /// <summary>The place it is closed in.</summary>
    From,

    /// <summary>The place it shall be closed in.</summary>
    To,

    /// <summary>The part.</summary>
    Part,

    /// <summary>The side it belongs to.</summary>
    Side,

    /// <summary>Why it is replaced.</summary>
    Why,

    /// <summary>How the owner's band attaches.</summary>
    Attaches,
}
