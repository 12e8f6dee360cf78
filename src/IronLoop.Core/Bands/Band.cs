using IronLoop.Core.Fitting;
using IronLoop.Core.Joints;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Bands;

/// <summary>
/// A band the shop can fit: from stock, or the owner's own. It is one of a link bracelet with its clasp, a
/// two-piece strap with its holes, a one-piece band that is pulled through, or mesh with its slide clasp.
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
    /// <summary>The lengths, of a one-piece band.</summary>
    public OnePieceBand? OnePiece { get; init; }

    /// <summary>The lengths, of mesh.</summary>
    public MeshBand? Mesh { get; init; }

    /// <summary>End pieces that stay with the clasp where a link was freed at its joint; their length counts with the clasp's.</summary>
    public (Length Twelve, Length Six) EndPieces { get; init; }

    /// <summary>What joins its links; null while nobody looked.</summary>
    public Fastener? Fastener { get; init; }

    /// <summary>Diameter of what joins them; null while nobody measured.</summary>
    public Length? Pin { get; init; }

    /// <summary>Its width where the clasp begins, if it was measured: bands taper.</summary>
    public Length? ClaspEnd { get; init; }

    /// <summary>What the head is raised by: the layers of a pull-through band lie under it.</summary>
    public Length Raise(PullThroughWay way) => OnePiece?.Raise(way) ?? Length.Zero;

    /// <summary>What it closes in, of a band that is no link bracelet.</summary>
    /// <param name="head">The head as it is, not raised; only a pull-through band needs it.</param>
    /// <returns>Null for a link bracelet, and for a pull-through band while the head is unknown.</returns>
    public HoledBand? Holed(Head? head) =>
        Strap ?? (HoledBand?)Mesh ?? (OnePiece is { } onePiece && head is { } known ? onePiece.On(known) : null);

    /// <summary>What matching looks at, worn in a way: the layers under the case with it.</summary>
    public BandFacts FactsWorn(PullThroughWay way) => OnePiece is null ? Facts : Facts with { Layers = OnePieceBand.Layers(way), LayerThickness = OnePiece.Layer };

    /// <summary>Height of the band's pivots above the skin: half its thickness.</summary>
    public Length PivotHeight => new(Thickness.Micrometres / 2);
}
