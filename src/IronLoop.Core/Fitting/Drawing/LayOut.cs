using IronLoop.Core.Measuring;

namespace IronLoop.Core.Fitting;

/// <summary>The closed clasp beside the links.</summary>
/// <param name="Twelve">What it makes of the loop on the 12 side.</param>
/// <param name="Six">What it makes on the 6 side.</param>
/// <param name="Micro">What the micro-adjust adds in the position it is in.</param>
/// <param name="MicroSide">The side that carries the micro-adjust.</param>
/// <param name="Positions">How many positions there are, 1 or more.</param>
/// <param name="Position">The one it is in, 0 the tightest.</param>
public sealed record LaidClasp(Length Twelve, Length Six, Length Micro, Side MicroSide, int Positions, int Position)
{
    /// <summary>What lies on a side, the micro-adjust with it.</summary>
    public Length On(Side side) => (side == Side.Twelve ? Twelve : Six) + (side == MicroSide ? Micro : Length.Zero);
}

/// <summary>A strap's pieces, opened.</summary>
/// <param name="BucklePiece">The piece with the buckle.</param>
/// <param name="Tail">The piece with the holes.</param>
/// <param name="Holes">Places of the holes from the tail's lug end.</param>
/// <param name="Hole">The one it is closed in.</param>
/// <param name="Keepers">The keepers' edges on the tail, from its lug end.</param>
/// <param name="KeepersHold">Whether the last keeper reaches the tail.</param>
public sealed record LaidStrap(
    Length BucklePiece, Length Tail, IReadOnlyList<Length> Holes, int Hole, IReadOnlyList<(Length From, Length To)> Keepers, bool KeepersHold);

/// <summary>A band opened flat with its head between: the 12 side left of it, the 6 side right.</summary>
/// <param name="Twelve">The 12 side's links from case to clasp.</param>
/// <param name="Six">The 6 side's.</param>
/// <param name="BarToBar">From bar to bar.</param>
public sealed record LayOut(IReadOnlyList<PlacedLink> Twelve, IReadOnlyList<PlacedLink> Six, Length BarToBar)
{
    /// <summary>Links said never to be taken, by side and place.</summary>
    public IReadOnlySet<(Side Side, int Ordinal)> Pinned { get; init; } = new HashSet<(Side, int)>();

    /// <summary>Its clasp; null of a strap.</summary>
    public LaidClasp? Clasp { get; init; }

    /// <summary>Its pieces; null of a bracelet.</summary>
    public LaidStrap? Strap { get; init; }

    /// <summary>Joints opened on the 12 side, numbered from the case.</summary>
    public IReadOnlyList<int> TwelveJoints { get; init; } = [];

    /// <summary>The same on the 6 side.</summary>
    public IReadOnlyList<int> SixJoints { get; init; } = [];

    /// <summary>The row of a side.</summary>
    public IReadOnlyList<PlacedLink> On(Side side) => side == Side.Twelve ? Twelve : Six;

    /// <summary>Whether a link is said never to be taken. One that joins has no place of its own yet.</summary>
    public bool IsPinned(Side side, int ordinal) => On(side)[ordinal].Fate != LinkFate.Joins && Pinned.Contains((side, ordinal));

    /// <summary>Where the left end lies from the head's left bar.</summary>
    public Length LeftOfHead => Sum(Twelve) + (Clasp?.On(Side.Twelve) ?? Length.Zero) + (Strap?.BucklePiece ?? Length.Zero);

    /// <summary>Where the right end lies from the head's right bar.</summary>
    public Length RightOfHead => Sum(Six) + (Clasp?.On(Side.Six) ?? Length.Zero) + (Strap?.Tail ?? Length.Zero);

    /// <summary>
    /// Where the joints of a side lie along it, from the left end: joint 0 is at the case, joint n follows link n. A strap has joint 0
    /// alone, at the lug.
    /// </summary>
    public IReadOnlyList<Length> JointsAlong(Side side)
    {
        var at = side == Side.Twelve ? LeftOfHead : LeftOfHead + BarToBar;
        List<Length> joints = [at];
        foreach (var link in On(side))
            joints.Add(at = side == Side.Twelve ? at - link.Pitch : at + link.Pitch);
        return joints;
    }

    /// <summary>Where it is closed, from the left end: the middle of the clasp's part that carries the micro-adjust, or the hole.</summary>
    public Length? ClosedAt => (Clasp, Strap) switch
    {
        ({ } clasp, _) => clasp.MicroSide == Side.Twelve
            ? clasp.On(Side.Twelve).Half() : LeftOfHead + BarToBar + Sum(Six) + clasp.On(Side.Six).Half(),
        (_, { } strap) when strap.Hole < strap.Holes.Count => LeftOfHead + BarToBar + strap.Holes[strap.Hole],
        _ => null,
    };

    private static Length Sum(IReadOnlyList<PlacedLink> row) => row.Aggregate(Length.Zero, (sum, link) => sum + link.Pitch);
}
