using IronLoop.Core.Measuring;

namespace IronLoop.Core.Fitting;

/// <summary>The lengths of a two-piece strap (fit model, section 7).</summary>
/// <param name="BucklePiece">From the lug end to the buckle's bar, S.</param>
/// <param name="Tail">From the lug end to the tail's tip.</param>
/// <param name="FirstHole">From the tail's lug end to its first hole, the tightest.</param>
/// <param name="HolePitch">From one hole to the next.</param>
/// <param name="Holes">How many holes.</param>
public sealed record TwoPieceStrap(Length BucklePiece, Length Tail, Length FirstHole, Length HolePitch, int Holes) : HoledBand(Holes, HolePitch)
{
    /// <summary>The tail must pass the buckle by this much, or both keepers cannot hold it.</summary>
    public static readonly Length KeeperLength = Length.FromMillimetres(25);

    /// <summary>Where the two keepers lie on the tail, from the buckle's bar to each one's edges: the fixed one beside the buckle, the loose one before the tail's end.</summary>
    public static IReadOnlyList<(Length From, Length To)> Keepers { get; } =
        [(Length.FromMillimetres(7), Length.FromMillimetres(11)), (KeeperLength - Length.FromMillimetres(4), KeeperLength)];

    /// <summary>What a folding clasp adds to the loop; nought for a buckle (fit model, section 7).</summary>
    public Length ClaspAdds { get; init; }

    /// <inheritdoc />
    public override string Place => "hole";

    /// <inheritdoc />
    public override Length Tightest => BucklePiece + FirstHole + ClaspAdds;

    /// <summary>Distance of a hole from the tail's lug end; holes count from 0, the tightest.</summary>
    public Length HoleAt(int hole) => FirstHole + HolePitch * hole;

    /// <inheritdoc />
    public override Length PastBuckle(int hole) => Tail - HoleAt(hole);

    /// <inheritdoc />
    public override Length TwiceOffCentre(int hole) => BucklePiece - HoleAt(hole);
}

/// <summary>A band closed in one of its places.</summary>
/// <param name="Hole">The hole or notch, 0 the tightest.</param>
/// <param name="Length">Length of the loop.</param>
/// <param name="TwiceOffCentre">Twice where the buckle sits past the lowest point, positive toward the 6 side; shown, not judged.</param>
/// <param name="Misfit">What it misses the wear window by.</param>
/// <param name="HolesTighter">Holes left to tighten.</param>
/// <param name="HolesLooser">Holes left to loosen.</param>
/// <param name="Tighter">Left to tighten.</param>
/// <param name="Looser">Left to loosen.</param>
/// <param name="PastBuckle">What the tail's tip passes the buckle by.</param>
public sealed record StrapFit(
    int Hole,
    Length Length,
    Length TwiceOffCentre,
    Length Misfit,
    int HolesTighter,
    int HolesLooser,
    Length Tighter,
    Length Looser,
    Length PastBuckle)
{
    /// <summary>Whether both keepers hold the tail.</summary>
    public bool KeepersHold => PastBuckle >= TwoPieceStrap.KeeperLength;
}
