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
/// <param name="Pitch">Pivot-to-pivot length, not the length of what is seen of it: 2 to 40 mm, the ends inclusive.</param>
/// <param name="Removable">Whether it comes out.</param>
/// <exception cref="OutOfRangeException">The pitch is none of a link's.</exception>
public readonly record struct Link(Length Pitch, bool Removable)
{
    /// <summary>Pivot-to-pivot length.</summary>
    public Length Pitch { get; init => field = FitRanges.Pitch.Checked("pitch", value); } = FitRanges.Pitch.Checked("pitch", Pitch);

    /// <summary>
    /// A letter that tells links of one pitch apart where width, fastener or end profile differ; '\0' where nothing does.
    /// </summary>
    public char Mark { get; init; }

    /// <summary>Whether it goes on its own side only.</summary>
    public bool OneSided { get; init; }

    /// <summary>Its kind, on the side it lies on.</summary>
    public LinkKind KindOn(Side side) => new(Pitch, Mark, OneSided ? side : null);
}

/// <summary>Links that are alike (fit model, section 5): they may change places.</summary>
/// <param name="Pitch">Pivot-to-pivot length.</param>
/// <param name="Mark">The letter that tells them from others of that pitch; '\0' where nothing does.</param>
/// <param name="Only">The one side they go on; null when they go on either.</param>
public readonly record struct LinkKind(Length Pitch, char Mark = '\0', Side? Only = null)
{
    /// <summary>What tells it apart, after its pitch: "kind b", or nothing.</summary>
    public string MarkText => Mark == '\0' ? "" : $" kind {Mark}";

    /// <summary>In the trade's words: "8.2 mm kind b".</summary>
    public override string ToString() => $"{Pitch}{MarkText}";

    /// <summary>By pitch, then by letter, then those for either side before those for 12 and for 6.</summary>
    public static Comparer<LinkKind> Order { get; } = Comparer<LinkKind>.Create(static (a, b) =>
    {
        var byPitch = a.Pitch.CompareTo(b.Pitch);
        if (byPitch != 0)
            return byPitch;
        var byMark = a.Mark.CompareTo(b.Mark);
        return byMark != 0 ? byMark : Nullable.Compare(a.Only, b.Only);
    });
}

/// <summary>Loose links at hand.</summary>
/// <param name="Pitch">Pivot-to-pivot length, 2 to 40 mm, the ends inclusive.</param>
/// <param name="Count">How many, 0 to 60.</param>
/// <exception cref="OutOfRangeException">The pitch is none of a link's, or there are less than none or more than 60.</exception>
public readonly record struct SpareLinks(Length Pitch, int Count)
{
    /// <summary>Pivot-to-pivot length.</summary>
    public Length Pitch { get; init => field = FitRanges.Pitch.Checked("pitch", value); } = FitRanges.Pitch.Checked("pitch", Pitch);

    /// <summary>How many.</summary>
    public int Count { get; init => field = FitRanges.Spares.Checked("count", value); } = FitRanges.Spares.Checked("count", Count);

    /// <summary>The letter that tells them from others of that pitch.</summary>
    public char Mark { get; init; }

    /// <summary>The one side they may go on; null for either.</summary>
    public Side? Only { get; init; }

    /// <summary>Their kind.</summary>
    public LinkKind Kind => new(Pitch, Mark, Only);
}

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
/// <param name="Positions">How many micro positions there are, 1 to 400, the one it stands in with them.</param>
/// <param name="Step">What each position adds.</param>
/// <param name="Position">The position it stands in now, 0 the tightest.</param>
/// <exception cref="OutOfRangeException">There are no positions, or more than 400.</exception>
public sealed record BraceletClasp(Length Twelve, Length Six, Side MicroSide, int Positions, Length Step, int Position)
{
    /// <summary>How many micro positions there are.</summary>
    public int Positions { get; init => field = FitRanges.Positions.Checked("positions", value); } = FitRanges.Positions.Checked("positions", Positions);

    /// <summary>A side's half of the closed loop: its links, its part of the clasp, and the micro-adjust where that side carries it.</summary>
    /// <param name="side">The side.</param>
    /// <param name="links">Sum of the pitches of its links in the loop.</param>
    /// <param name="position">Micro position, 0 the tightest.</param>
    public Length Half(Side side, Length links, int position) =>
        links + (side == Side.Twelve ? Twelve : Six) + (side == MicroSide ? Tighter(position) : Length.Zero);

    /// <summary>A loop's lengths in every position, the tightest first.</summary>
    /// <param name="length">Its length where it is closed now.</param>
    /// <param name="position">That position.</param>
    public IReadOnlyList<Length> InEveryPosition(Length length, int position) =>
        [.. Enumerable.Range(0, Positions).Select(p => length - Tighter(position) + Tighter(p))];

    /// <summary>What is left to tighten at a position.</summary>
    public Length Tighter(int position) => Positions == 1 ? Length.Zero : Step * position;

    /// <summary>What is left to loosen at a position.</summary>
    public Length Looser(int position) => Positions == 1 ? Length.Zero : Step * (Positions - 1 - position);
}
