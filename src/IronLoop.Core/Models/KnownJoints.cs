using IronLoop.Core.Bench;
using IronLoop.Core.Joints;

namespace IronLoop.Core.Models;

/// <summary>What the pieces of an edition say of a group of joints.</summary>
/// <param name="Group">Which joints.</param>
/// <param name="Look">What most of them are held by, with the sizes as those had them.</param>
/// <param name="Pieces">How many say so; 0 where only a file does.</param>
/// <param name="Others">What others are held by, with how many: another edition, or a changed piece.</param>
public sealed record KnownJoints(JointGroup Group, JointLook Look, int Pieces, IReadOnlyList<(Fastener Fastener, int Pieces)> Others)
{
    /// <summary>Which joints, in words.</summary>
    public string Where => Group switch
    {
        JointGroup.Links => "between the links",
        JointGroup.ClaspTwelve => "12 side to the clasp",
        JointGroup.ClaspSix => "6 side to the clasp",
        _ => "at the lugs",
    };

    /// <summary>Their sizes and the way in, in words; empty where nobody gauged them.</summary>
    public string Sizes => string.Join(", ", ((string?[])
    [
        Look.Across is { } across ? $"{across.ToHundredths()} across" : null, Look.Slot is { } slot ? $"slot {slot.ToHundredths()} wide" : null, Look.SlotLength is { } length ? $"slot {length.ToHundredths()} long" : null,
        Look.Gap is { } gap ? $"gap {gap.ToHundredths()}" : null, Look.Fastener.IsPin() ? Look.NoArrow ? "no arrow shows the way in" : "in by the arrow" : null,
    ]).Where(w => w is not null));

    /// <summary>What they are held by, with the sizes.</summary>
    public string Says => $"{Where}: {JointWords.Name(Look.Fastener)}{(Sizes.Length > 0 ? $" ({Sizes})" : "")}";
}

/// <summary>Whether a side's last link, that looks fixed, comes free at the clasp.</summary>
public enum FreedLink
{
    /// <summary>It was freed at a bench.</summary>
    Tried,

    /// <summary>It is said to come free; nobody here did it.</summary>
    Hearsay,

    /// <summary>It was tried and does not.</summary>
    TriedFixed,

    /// <summary>It is said to be fixed; nobody here tried.</summary>
    SaidFixed,
}

/// <summary>What is known of a last link that looks fixed, in words.</summary>
public static class FreedWords
{
    /// <summary>What is known of the last link of a side.</summary>
    /// <param name="side">The side.</param>
    /// <param name="link">How it is.</param>
    /// <param name="pieces">On how many watches that was seen; 0 where only somebody said so.</param>
    public static string Of(Fitting.Side side, FreedLink link, int pieces) => $"The last link of the {Fitting.PlanWords.Name(side)} side " + link switch
    {
        FreedLink.Tried => pieces > 0 ? $"came free at the clasp here, on {pieces} {(pieces == 1 ? "watch" : "watches")}." : "comes free at the clasp: it was tried.",
        FreedLink.Hearsay => "is said to come free at the clasp; nobody here tried.",
        FreedLink.TriedFixed => "does not come free at the clasp: it was tried.",
        _ => "was said to be fixed; nobody here tried.",
    };
}
