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

    /// <summary>
    /// The hole that an extra one was punched after, half way to the next, 0 the tightest; null where there is none. It counts as a hole among
    /// the others.
    /// </summary>
    public int? ExtraAfter { get; private init; }

    /// <summary>How many holes it was sold with.</summary>
    public int Sold => ExtraAfter is null ? Holes : Holes - 1;

    /// <summary>The strap with an extra hole half way between two.</summary>
    /// <param name="after">The hole before it, 0 the tightest.</param>
    /// <exception cref="ArgumentOutOfRangeException">There is no hole on both sides of it, or there is an extra one already.</exception>
    public TwoPieceStrap WithExtra(int after) => after < 0 || after > Holes - 2 || ExtraAfter is not null
        ? throw new ArgumentOutOfRangeException(nameof(after), after, "An extra hole lies between two, and there is one at most.")
        : this with { Holes = Holes + 1, ExtraAfter = after };

    /// <inheritdoc />
    public override string Place => "hole";

    /// <inheritdoc />
    public override Length Tightest => BucklePiece + FirstHole + ClaspAdds;

    /// <inheritdoc />
    public override Length Looser(int hole) => ExtraAfter is not { } after || hole <= after ? Step * hole : hole == after + 1 ? Step * after + Step.Half() : Step * (hole - 1);

    /// <inheritdoc />
    public override string Said(int hole) => ExtraAfter is not { } after || hole <= after ? base.Said(hole)
        : hole == after + 1 ? $"the extra hole between the {Ordinal(after)} and the {Ordinal(after + 1)} from the tight end" : base.Said(hole - 1);

    private protected override string Named(int hole) => ExtraAfter is not { } after || hole <= after ? base.Named(hole) : hole == after + 1 ? "the extra one" : base.Named(hole - 1);

    /// <inheritdoc />
    public override StrapFit Nearest(FitTarget target) =>
        ExtraAfter is null ? base.Nearest(target) : In(Enumerable.Range(0, Holes).MinBy(h => (LengthIn(h) - target.Length).Abs()), target);

    /// <inheritdoc />
    public override Length? Reserve(Length target, Length window)
    {
        if (ExtraAfter is null)
            return base.Reserve(target, window);
        var inside = Enumerable.Range(0, Holes).Where(h => (LengthIn(h) - target).Abs() <= window).ToList();
        return inside.Count == 0 ? null : inside.Max(h => PastBuckle(h) < KeeperLength ? Length.Zero : Looser(h) < Looser(Holes - 1) - Looser(h) ? Looser(h) : Looser(Holes - 1) - Looser(h));
    }

    /// <summary>Distance of a hole from the tail's lug end; holes count from 0, the tightest.</summary>
    public Length HoleAt(int hole) => FirstHole + Looser(hole);

    /// <inheritdoc />
    public override Length PastBuckle(int hole) => Tail - HoleAt(hole);

    /// <inheritdoc />
    public override Length? TwiceOffCentre(int hole) => BucklePiece - HoleAt(hole);
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
    Length? TwiceOffCentre,
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
