namespace IronLoop.Core.Tray;

/// <summary>A part of the owner's that could be used again.</summary>
public enum OwnPartKind
{
    /// <summary>The buckle or clasp.</summary>
    Clasp,

    /// <summary>The two spring bars at the lugs.</summary>
    SpringBars,

    /// <summary>The pins or bars at the clasp.</summary>
    ClaspPins,
}

/// <summary>
/// A part of the owner's own, inspected: it is used again only when it is straight, springy and unworn; else it is
/// replaced, and goes back in the owner's bag.
/// </summary>
/// <param name="Kind">What it is.</param>
/// <param name="Straight">Not bent.</param>
/// <param name="Springy">Its spring pushes back, or it still sits tight.</param>
/// <param name="Unworn">No worn tip, edge or thread.</param>
public sealed record OwnPart(OwnPartKind Kind, bool Straight, bool Springy, bool Unworn)
{
    /// <summary>Whether it came along at all; what did not is taken from stock.</summary>
    public bool Came { get; init; } = true;

    /// <summary>Whether it is used again.</summary>
    public bool IsReused => Came && Straight && Springy && Unworn;

    /// <summary>A part that did not come along.</summary>
    public static OwnPart Missing(OwnPartKind kind) => new(kind, false, false, false) { Came = false };

    /// <summary>How many pieces it is.</summary>
    public int Pieces => Kind == OwnPartKind.Clasp ? 1 : 2;

    /// <summary>What it is called.</summary>
    public string Name => Kind switch
    {
        OwnPartKind.Clasp => "own clasp",
        OwnPartKind.SpringBars => "own spring bars",
        OwnPartKind.ClaspPins => "own pins at the clasp",
        _ => throw new InvalidOperationException($"{Kind} is no part."),
    };

    /// <summary>The decision and its reason.</summary>
    public string Says
    {
        get
        {
            if (!Came)
                return "None came along; it is taken from stock.";
            if (IsReused)
                return "Used again: straight, springy and unworn.";
            var faults = new List<string>();
            if (!Straight) faults.Add("bent");
            if (!Springy) faults.Add("lost its spring");
            if (!Unworn) faults.Add("worn");
            return $"Replaced: {string.Join(", ", faults)}. It goes back in the owner’s bag.";
        }
    }
}
