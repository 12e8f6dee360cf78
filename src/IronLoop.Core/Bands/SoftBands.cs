using IronLoop.Core.Fitting;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Bands;

/// <summary>A strap of two pieces, with its holes.</summary>
/// <param name="Facts">What matching looks at.</param>
/// <param name="Thickness">Its thickness where it lies on the wrist.</param>
/// <param name="ClaspName">What it closes with, in the trade's words.</param>
/// <param name="Lengths">Its lengths.</param>
public sealed record TwoPieceBand(BandFacts Facts, Length Thickness, string ClaspName, TwoPieceStrap Lengths) : Band(Facts, Thickness, ClaspName)
{
    /// <inheritdoc />
    public override TwoPieceStrap Strap => Lengths;

    /// <inheritdoc />
    public override HoledBand Holed(Head? head) => Lengths;

    private protected override Band Closed(BraceletClasp? loop, Length adds) => this with { Lengths = Lengths with { ClaspAdds = adds } };
}

/// <summary>A band in one piece, pulled through under the head.</summary>
/// <param name="Facts">What matching looks at.</param>
/// <param name="Thickness">Its thickness where it lies on the wrist.</param>
/// <param name="ClaspName">What it closes with, in the trade's words.</param>
/// <param name="Lengths">Its lengths.</param>
public sealed record PulledThroughBand(BandFacts Facts, Length Thickness, string ClaspName, OnePieceBand Lengths) : Band(Facts, Thickness, ClaspName)
{
    /// <inheritdoc />
    public override OnePieceBand OnePiece => Lengths;

    /// <inheritdoc />
    public override Length Raise(PullThroughWay way) => Lengths.Raise(way);

    /// <inheritdoc />
    public override HoledBand? Holed(Head? head) => head is { } known ? Lengths.On(known) : null;

    /// <inheritdoc />
    public override BandFacts FactsWorn(PullThroughWay way) => Facts with { Layers = OnePieceBand.Layers(way), LayerThickness = Lengths.Layer };

    private protected override Band Closed(BraceletClasp? loop, Length adds) => this;
}

/// <summary>Mesh with its slide clasp.</summary>
/// <param name="Facts">What matching looks at.</param>
/// <param name="Thickness">Its thickness where it lies on the wrist.</param>
/// <param name="ClaspName">What it closes with, in the trade's words.</param>
/// <param name="Lengths">Its lengths.</param>
public sealed record MeshBracelet(BandFacts Facts, Length Thickness, string ClaspName, MeshBand Lengths) : Band(Facts, Thickness, ClaspName)
{
    /// <inheritdoc />
    public override MeshBand Mesh => Lengths;

    /// <inheritdoc />
    public override HoledBand Holed(Head? head) => Lengths;

    private protected override Band Closed(BraceletClasp? loop, Length adds) => this;
}
