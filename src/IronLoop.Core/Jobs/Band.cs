using IronLoop.Core.Fitting;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Jobs;

/// <summary>
/// A band the shop can fit: from stock, or the owner's own. It is either a link bracelet with its clasp or a two-piece
/// strap with its holes.
/// </summary>
/// <param name="Facts">What matching looks at.</param>
/// <param name="Thickness">Its thickness where it lies on the wrist.</param>
/// <param name="ClaspName">What it closes with, in the trade's words.</param>
/// <param name="Links">The links, of a bracelet.</param>
/// <param name="Spares">Loose links that came with it.</param>
/// <param name="Clasp">The clasp, of a bracelet.</param>
/// <param name="Strap">The lengths, of a strap.</param>
public sealed record Band(
    BandFacts Facts,
    Length Thickness,
    string ClaspName,
    Bracelet? Links,
    IReadOnlyList<SpareLinks> Spares,
    BraceletClasp? Clasp,
    TwoPieceStrap? Strap)
{
    /// <summary>Height of the band's pivots above the skin: half its thickness.</summary>
    public Length PivotHeight => new(Thickness.Micrometres / 2);
}
