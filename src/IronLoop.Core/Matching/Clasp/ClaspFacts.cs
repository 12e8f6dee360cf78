using IronLoop.Core.Measuring;

namespace IronLoop.Core.Matching;

/// <summary>What closes a band.</summary>
public enum ClaspKind
{
    /// <summary>Frame and tongue.</summary>
    PinBuckle,

    /// <summary>A folding clasp for straps.</summary>
    StrapFolding,

    /// <summary>Two wings, push buttons at the band's edges.</summary>
    Butterfly,

    /// <summary>A cover that folds over, with micro-adjust holes.</summary>
    FoldOver,

    /// <summary>A fold-over with a second fold.</summary>
    Extending,

    /// <summary>A flap that locks on mesh.</summary>
    Slide,
}

/// <summary>A clasp as matching sees it; null where nobody measured.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="InnerWidth">Its inner width.</param>
/// <param name="Tube">Length of the end tube that enters the band, of a butterfly.</param>
/// <param name="OverButtons">Width across the buttons, not pressed, of a butterfly.</param>
/// <param name="Throat">Clear height for a strap.</param>
/// <param name="Bar">Diameter of its bar or pin.</param>
public sealed record ClaspFacts(
    ClaspKind Kind, Length? InnerWidth = null, Length? Tube = null, Length? OverButtons = null, Length? Throat = null, Length? Bar = null)
{
    /// <summary>Finish; null when nobody said.</summary>
    public string? Finish { get; init; }

    /// <summary>Colour; null when nobody said.</summary>
    public string? Colour { get; init; }
}

/// <summary>How an opened hole holds its bar, as the fitter chooses.</summary>
public enum BarFit
{
    /// <summary>The bar turns in it.</summary>
    Free,

    /// <summary>The bar is held.</summary>
    Snug,
}

/// <summary>A band's clasp end; null where nobody measured.</summary>
/// <param name="Kind">What the band is.</param>
/// <param name="Material">What it is made of.</param>
/// <param name="Width">Width at the clasp end.</param>
/// <param name="Notch">Width of the notch in its end.</param>
/// <param name="Bore">Bore of its end.</param>
/// <param name="Thickness">Thickness of its end.</param>
/// <param name="NotchedEnd">Whether the end that shows when the clasp is open is notched.</param>
/// <param name="OtherEndPlain">Whether the other end is plain and otherwise alike.</param>
public sealed record BandEndFacts(
    BandKind Kind, BandMaterial Material, Length? Width, Length? Notch = null, Length? Bore = null, Length? Thickness = null,
    bool? NotchedEnd = null, bool? OtherEndPlain = null)
{
    /// <summary>Whether the bars that hold its present clasp are kept for another one: the slim one in its bore stays.</summary>
    public bool KeepsItsBars { get; init; }

    /// <summary>Bore at the clasp's other joint, where it was gauged: the two may differ.</summary>
    public Length? OtherBore { get; init; }

    /// <summary>Whether a strap's end has its hole for the bar yet; null when nobody looked.</summary>
    public bool? Pierced { get; init; }

    /// <summary>Finish; null when nobody said.</summary>
    public string? Finish { get; init; }

    /// <summary>Colour; null when nobody said.</summary>
    public string? Colour { get; init; }
}
