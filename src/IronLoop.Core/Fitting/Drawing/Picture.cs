namespace IronLoop.Core.Fitting;

/// <summary>What a shape or a word of a picture stands for. Screen and paper each say once how it is painted.</summary>
public enum PaintRole
{
    /// <summary>The wrist.</summary>
    Wrist,

    /// <summary>The edge of a piece of the band.</summary>
    Edge,

    /// <summary>A link that could come out and stays.</summary>
    Stays,

    /// <summary>A link that never comes out.</summary>
    Fixed,

    /// <summary>A link that comes out.</summary>
    Leaves,

    /// <summary>A link that is put in.</summary>
    Joins,

    /// <summary>The clasp or buckle.</summary>
    Clasp,

    /// <summary>A piece of a strap.</summary>
    Strap,

    /// <summary>A hole of a strap, or a position of a clasp.</summary>
    Hole,

    /// <summary>The hole or position it is closed in.</summary>
    HoleNow,

    /// <summary>A keeper that holds the tail.</summary>
    Keeper,

    /// <summary>A keeper that the tail does not reach.</summary>
    KeeperMissed,

    /// <summary>The watch head, and what is drawn on it.</summary>
    Head,

    /// <summary>A bar, seen from its end.</summary>
    Bar,

    /// <summary>The cross on a link that is never to be taken.</summary>
    Pinned,

    /// <summary>A pointer to links that come out.</summary>
    Out,

    /// <summary>A pointer to a joint that is opened.</summary>
    Joint,

    /// <summary>A pointer to the lowest point of the loop.</summary>
    Lowest,

    /// <summary>The middle of the clasp.</summary>
    Centre,

    /// <summary>The scale.</summary>
    Scale,

    /// <summary>An outline.</summary>
    Outline,

    /// <summary>A line finer than an outline.</summary>
    Fine,

    /// <summary>The dot under a number.</summary>
    Dot,

    /// <summary>A word that names something.</summary>
    Name,

    /// <summary>A number on a dot.</summary>
    Number,
}

/// <summary>Which side of its place a word stands on.</summary>
public enum Anchor
{
    /// <summary>It begins there.</summary>
    Start,

    /// <summary>It stands about it.</summary>
    Middle,

    /// <summary>It ends there.</summary>
    End,
}

/// <summary>The piece of the band that a shape is drawn for, or neighbouring ones.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="Side">Its side.</param>
/// <param name="Ordinal">Its place from the case, 0 first; of several, the one nearest the case.</param>
/// <param name="Count">How many there are, 1 or more.</param>
public sealed record ShapeOf(PieceKind Kind, Side Side, int Ordinal, int Count = 1);

/// <summary>A line or an area.</summary>
/// <param name="Role">What it stands for.</param>
/// <param name="Path">Its way as the path data of SVG has it, in millimetres, y downward.</param>
public sealed record Shape(PaintRole Role, string Path)
{
    /// <summary>How thick it is, in millimetres, where the thing itself is that thick; else null, and its role says.</summary>
    public decimal? Thick { get; init; }

    /// <summary>Whether it is assumed, tried or on its way out, so that its lines are dashed.</summary>
    public bool Dashed { get; init; }

    /// <summary>The piece it is drawn for; null where it is none.</summary>
    public ShapeOf? Of { get; init; }
}

/// <summary>A word of a picture.</summary>
/// <param name="Role">What it stands for.</param>
/// <param name="Text">What it says.</param>
/// <param name="X">Where it stands, in millimetres.</param>
/// <param name="Y">Its base line, in millimetres, downward.</param>
/// <param name="High">Height of its letters, in millimetres.</param>
public sealed record Word(PaintRole Role, string Text, decimal X, decimal Y, decimal High)
{
    /// <summary>Which side of its place it stands on.</summary>
    public Anchor Anchor { get; init; } = Anchor.Middle;

    /// <summary>Whether it is told strongly.</summary>
    public bool Strong { get; init; }

    /// <summary>The piece it is said of; null where it is none.</summary>
    public ShapeOf? Of { get; init; }
}

/// <summary>
/// A drawing to scale, as shapes and words in the order they are painted. Screen and paper paint the same one; places are
/// millimetres, y downward, to hundredths.
/// </summary>
/// <param name="Left">Left edge of what is seen.</param>
/// <param name="Top">Its upper edge.</param>
/// <param name="Width">Its width, more than 0.</param>
/// <param name="Height">Its height, more than 0.</param>
/// <param name="Shapes">Lines and areas, those below first.</param>
/// <param name="Words">Words, over all shapes.</param>
public sealed record Picture(decimal Left, decimal Top, decimal Width, decimal Height, IReadOnlyList<Shape> Shapes, IReadOnlyList<Word> Words);
