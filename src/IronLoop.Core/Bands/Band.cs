using IronLoop.Core.Fitting;
using IronLoop.Core.Joints;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Bands;

/// <summary>
/// A band the shop can fit: from stock, or the owner's own. It is a <see cref="LinkBracelet"/>, a <see cref="TwoPieceBand"/>, a
/// <see cref="PulledThroughBand"/> or a <see cref="MeshBracelet"/>, and nothing else. What only one of them has is null on the others.
/// </summary>
/// <param name="Facts">What matching looks at.</param>
/// <param name="Thickness">Its thickness where it lies on the wrist.</param>
/// <param name="ClaspName">What it closes with, in the trade's words.</param>
public abstract record Band(BandFacts Facts, Length Thickness, string ClaspName)
{
    /// <summary>What kind of clasp that is; where nobody says, as its name speaks of it. Null when it speaks of none.</summary>
    public ClaspKind? ClaspKind { get; init; } = ClaspWords.KindOf(ClaspName);

    /// <summary>Whether it has a safety flap.</summary>
    public bool HasFlap { get; init; } = ClaspWords.HasFlap(ClaspName);

    /// <summary>Its width where the clasp begins, if it was measured: bands taper.</summary>
    public Length? ClaspEnd { get; init; }

    /// <summary>The links, of a bracelet.</summary>
    public virtual Bracelet? Links => null;

    /// <summary>The clasp, of a bracelet.</summary>
    public virtual BraceletClasp? Clasp => null;

    /// <summary>Loose links that came with a bracelet.</summary>
    public virtual IReadOnlyList<SpareLinks> Spares => [];

    /// <summary>End pieces that stay with the clasp where a link was freed at its joint; their length counts with the clasp's.</summary>
    public virtual (Length Twelve, Length Six) EndPieces => default;

    /// <summary>What joins a bracelet's links; null while nobody looked.</summary>
    public virtual Fastener? Fastener => null;

    /// <summary>Diameter of what joins them; null while nobody measured.</summary>
    public virtual Length? Pin => null;

    /// <summary>The lengths, of a strap of two pieces.</summary>
    public virtual TwoPieceStrap? Strap => null;

    /// <summary>The lengths, of a one-piece band.</summary>
    public virtual OnePieceBand? OnePiece => null;

    /// <summary>The lengths, of mesh.</summary>
    public virtual MeshBand? Mesh => null;

    /// <summary>What the head is raised by: the layers of a pull-through band lie under it.</summary>
    public virtual Length Raise(PullThroughWay way) => Length.Zero;

    /// <summary>What it closes in, of a band that is no link bracelet.</summary>
    /// <param name="head">The head as it is, not raised; only a pull-through band needs it.</param>
    /// <returns>Null for a link bracelet, and for a pull-through band while the head is unknown.</returns>
    public virtual HoledBand? Holed(Head? head) => null;

    /// <summary>What matching looks at, worn in a way: the layers under the case with it.</summary>
    public virtual BandFacts FactsWorn(PullThroughWay way) => Facts;

    /// <summary>The band with another clasp in place of its own.</summary>
    /// <param name="name">What the other is called.</param>
    /// <param name="kind">What it is.</param>
    /// <param name="loop">What it adds to a bracelet's loop; null where that was not measured.</param>
    /// <param name="adds">What it adds to a strap.</param>
    /// <returns>A link bracelet keeps its own half lengths while the other's were not measured.</returns>
    public Band ClosedWith(string name, ClaspKind kind, BraceletClasp? loop, Length adds) =>
        Closed(loop, adds) with { ClaspName = name, ClaspKind = kind, HasFlap = ClaspWords.HasFlap(name) };

    /// <summary>Height of the band's pivots above the skin: half its thickness.</summary>
    public Length PivotHeight => Thickness.Half();

    // Nobody outside adds a fifth kind.
    private protected abstract Band Closed(BraceletClasp? loop, Length adds);
}
