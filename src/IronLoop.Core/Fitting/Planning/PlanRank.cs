namespace IronLoop.Core.Fitting;

/// <summary>
/// The order in which plans are preferred (fit model, section 5): wearable first; then as little amiss as possible;
/// then the least work; then the closest. All figures in whole micrometres, centres twice over.
/// </summary>
internal readonly record struct PlanRank(
    long Misfit,
    long TwiceTrouble,
    int LinksMoved,
    long LengthMiss,
    long TwiceCentreMiss,
    bool PositionChanges,
    int TwiceFromMiddle,
    int Position,
    long MinusLength,
    long Shortfall)
{
    /// <summary>Negative when this plan comes first; nought when only the lists of counts can tell.</summary>
    public int CompareTo(in PlanRank other)
    {
        if (Misfit != other.Misfit) return Misfit < other.Misfit ? -1 : 1;
        if (TwiceTrouble != other.TwiceTrouble) return TwiceTrouble < other.TwiceTrouble ? -1 : 1;
        if (LinksMoved != other.LinksMoved) return LinksMoved < other.LinksMoved ? -1 : 1;
        if (LengthMiss != other.LengthMiss) return LengthMiss < other.LengthMiss ? -1 : 1;
        if (TwiceCentreMiss != other.TwiceCentreMiss) return TwiceCentreMiss < other.TwiceCentreMiss ? -1 : 1;
        if (PositionChanges != other.PositionChanges) return PositionChanges ? 1 : -1;
        if (TwiceFromMiddle != other.TwiceFromMiddle) return TwiceFromMiddle < other.TwiceFromMiddle ? -1 : 1;
        if (Position != other.Position) return Position < other.Position ? -1 : 1;
        return MinusLength.CompareTo(other.MinusLength);
    }

    /// <summary>
    /// Whether this plan is at least as good on length, centre, reserve and work, and better on one of them.
    /// A plan that dominates another also ranks before it, since everything in the rank follows from these four.
    /// </summary>
    public bool Dominates(in PlanRank other) =>
        LengthMiss <= other.LengthMiss && TwiceCentreMiss <= other.TwiceCentreMiss
        && Shortfall <= other.Shortfall && LinksMoved <= other.LinksMoved
        && (LengthMiss < other.LengthMiss || TwiceCentreMiss < other.TwiceCentreMiss
            || Shortfall < other.Shortfall || LinksMoved < other.LinksMoved);
}
