using IronLoop.Core.Measuring;

namespace IronLoop.Core.Matching;

/// <summary>What a band is.</summary>
public enum BandKind
{
    /// <summary>A strap of a buckle piece and a tail piece.</summary>
    TwoPiece,

    /// <summary>One piece pulled through under the case.</summary>
    OnePiece,

    /// <summary>Woven metal mesh.</summary>
    Mesh,

    /// <summary>A bracelet of links.</summary>
    LinkBracelet,
}

/// <summary>What a band is made of.</summary>
public enum BandMaterial
{
    /// <summary>Leather.</summary>
    Leather,

    /// <summary>Woven textile.</summary>
    Textile,

    /// <summary>Rubber.</summary>
    Rubber,

    /// <summary>Metal: links or mesh.</summary>
    Metal,
}

/// <summary>How a band attaches.</summary>
public enum BandAttachment
{
    /// <summary>A loose bar goes through its end.</summary>
    LooseBar,

    /// <summary>Sprung bars with a lever, built in.</summary>
    QuickRelease,

    /// <summary>Pulled through over two bars.</summary>
    PullThrough,

    /// <summary>Its open end closes round a bar.</summary>
    OpenEnd,

    /// <summary>Screwed through from the case.</summary>
    ScrewThrough,
}

/// <summary>What a band's end is like where it meets the case.</summary>
public enum BandEnd
{
    /// <summary>Straight.</summary>
    Straight,

    /// <summary>Curved to a round case.</summary>
    Curved,

    /// <summary>Fitted to one case.</summary>
    Fitted,
}

/// <summary>What matching looks at of a band.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="Material">What it is made of.</param>
/// <param name="Width">Its width at the lugs.</param>
/// <param name="Attaches">How it attaches.</param>
/// <param name="SolidEnd">Whether a metal end is solid; null when nobody looked.</param>
/// <param name="Family">The maker's family code it is made for, if any.</param>
public sealed record BandFacts(BandKind Kind, BandMaterial Material, Length Width, BandAttachment Attaches, bool? SolidEnd, string? Family)
{
    /// <summary>What a tube's bore can be.</summary>
    public static readonly AllowedLength Bores = AllowedLength.Mm(0.3m, 6);

    /// <summary>What its end is like.</summary>
    public BandEnd End { get; init; }

    /// <summary>Thickness of its end, where it lies at the bar.</summary>
    public Length? EndThickness { get; init; }

    /// <summary>From the centre of its bore to its face toward the case, of a straight end of a link bracelet.</summary>
    public Length? BoreToFace { get; init; }

    /// <summary>Whether its leather is firm, not soft; null when nobody said.</summary>
    public bool? IsFirm { get; init; }

    /// <summary>Bore of the tube its bar goes through.</summary>
    public Length? TubeBore { get; init; }

    /// <summary>Layers that lie under the case, of a pull-through band.</summary>
    public int? Layers { get; init; }

    /// <summary>Thickness of one layer, of a pull-through band.</summary>
    public Length? LayerThickness { get; init; }

    /// <summary>Whether its metal is declared nickel-safe; null when nothing is declared.</summary>
    public bool? NickelSafe { get; init; }

    /// <summary>Its finish; null or empty when nobody said.</summary>
    public string? Finish { get; init; }

    /// <summary>Its colour; null or empty when nobody said.</summary>
    public string? Colour { get; init; }

    /// <summary>Whether it gives: leather, textile and rubber do, metal does not.</summary>
    public bool IsSoft => Material != BandMaterial.Metal;
}
