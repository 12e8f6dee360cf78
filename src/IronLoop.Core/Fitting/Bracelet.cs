using IronLoop.Core.Measuring;

namespace IronLoop.Core.Fitting;

/// <summary>A side of the band, as the dial reads: above it, 12; below it, 6.</summary>
public enum Side
{
    /// <summary>The half above the dial.</summary>
    Twelve,

    /// <summary>The half below the dial.</summary>
    Six,
}

/// <summary>One link of a bracelet.</summary>
/// <param name="Pitch">Pivot-to-pivot length, 2 to 40 mm.</param>
/// <param name="Removable">Whether it comes out.</param>
public readonly record struct Link(Length Pitch, bool Removable);

/// <summary>Loose links at hand.</summary>
/// <param name="Pitch">Pivot-to-pivot length, 2 to 40 mm.</param>
/// <param name="Count">How many, 0 or more.</param>
public readonly record struct SpareLinks(Length Pitch, int Count);

/// <summary>A link bracelet as it is now: each side a row of links from case to clasp.</summary>
/// <param name="Twelve">The 12 side.</param>
/// <param name="Six">The 6 side.</param>
public sealed record Bracelet(IReadOnlyList<Link> Twelve, IReadOnlyList<Link> Six)
{
    /// <summary>The row of one side.</summary>
    public IReadOnlyList<Link> On(Side side) => side == Side.Twelve ? Twelve : Six;
}

/// <summary>
/// A closed clasp (fit model, section 3). A slide clasp is the same with many small steps.
/// </summary>
/// <param name="Twelve">From the last 12-side pivot to the clasp's visual centre, along its curve, at the tightest position.</param>
/// <param name="Six">From the visual centre to the last 6-side pivot.</param>
/// <param name="MicroSide">The side that carries the micro-adjust.</param>
/// <param name="Positions">How many micro positions there are, 1 to 400.</param>
/// <param name="Step">What each position adds.</param>
/// <param name="Position">The position it stands in now, 0 the tightest.</param>
public sealed record BraceletClasp(Length Twelve, Length Six, Side MicroSide, int Positions, Length Step, int Position)
{
    /// <summary>What is left to tighten at a position.</summary>
    public Length Tighter(int position) => Positions == 1 ? Length.Zero : Step * position;

    /// <summary>What is left to loosen at a position.</summary>
    public Length Looser(int position) => Positions == 1 ? Length.Zero : Step * (Positions - 1 - position);
}
