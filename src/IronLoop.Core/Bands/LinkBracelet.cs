using IronLoop.Core.Fitting;
using IronLoop.Core.Joints;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Bands;

/// <summary>A bracelet of links with its clasp.</summary>
/// <param name="Facts">What matching looks at.</param>
/// <param name="Thickness">Its thickness where it lies on the wrist.</param>
/// <param name="ClaspName">What it closes with, in the trade's words.</param>
/// <param name="Rows">Its links as they lie.</param>
/// <param name="Closes">Its clasp.</param>
public sealed record LinkBracelet(BandFacts Facts, Length Thickness, string ClaspName, Bracelet Rows, BraceletClasp Closes) : Band(Facts, Thickness, ClaspName)
{
    /// <summary>Loose links that came with it.</summary>
    public IReadOnlyList<SpareLinks> Loose { get; init; } = [];

    /// <summary>What joins its links; null while nobody looked.</summary>
    public Fastener? JoinedBy { get; init; }

    /// <summary>Diameter of what joins them; null while nobody measured.</summary>
    public Length? Across { get; init; }

    /// <summary>End pieces that stay with the clasp.</summary>
    public (Length Twelve, Length Six) WithTheClasp { get; init; }

    /// <inheritdoc />
    public override Bracelet Links => Rows;

    /// <inheritdoc />
    public override BraceletClasp Clasp => Closes;

    /// <inheritdoc />
    public override IReadOnlyList<SpareLinks> Spares => Loose;

    /// <inheritdoc />
    public override (Length Twelve, Length Six) EndPieces => WithTheClasp;

    /// <inheritdoc />
    public override Fastener? Fastener => JoinedBy;

    /// <inheritdoc />
    public override Length? Pin => Across;

    private protected override Band Closed(BraceletClasp? loop, Length adds) =>
        loop is null ? this : this with { Closes = loop with { Twelve = loop.Twelve + WithTheClasp.Twelve, Six = loop.Six + WithTheClasp.Six } };
}
