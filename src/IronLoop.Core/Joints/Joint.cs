using IronLoop.Core.Fitting;

namespace IronLoop.Core.Joints;

/// <summary>Where two things meet on one fastener. It keeps its name while it is open.</summary>
/// <param name="Id">Its name in this job.</param>
/// <param name="A">One of the two things: on a side, the one nearer the case.</param>
/// <param name="B">The other.</param>
/// <param name="Fastener">What holds it.</param>
/// <param name="Parts">The things that hold it, and what shares the bar with them.</param>
/// <param name="Closed">Whether it is closed.</param>
/// <param name="Side">The side it is on; null for one on neither.</param>
/// <param name="Position">Hole, notch or micro position from the tight end, 0 first; micrometres of a stepless slide; null where a joint has none.</param>
public sealed record Joint(string Id, string A, string B, Fastener Fastener, IReadOnlyList<string> Parts, bool Closed, Side? Side, int? Position)
{
    /// <summary>Whether it can be opened at all: a permanent link's joint cannot.</summary>
    public bool Opens { get; init; } = true;

    /// <summary>Whether a thing is one of its ends.</summary>
    public bool Joins(string thing) => A == thing || B == thing;

    /// <summary>Whether a thing is one of its ends or parts.</summary>
    public bool Holds(string thing) => Joins(thing) || Parts.Contains(thing);

    /// <summary>The thing at the other end.</summary>
    public string Other(string thing) => A == thing ? B : A;

    /// <summary>Whether it is closed alike, its position left out.</summary>
    public bool IsMadeAs(Joint other) =>
        Closed == other.Closed && Fastener == other.Fastener && Joins(other.A) && Joins(other.B) && Parts.Count == other.Parts.Count && Parts.All(other.Parts.Contains);

    /// <summary>The same, opened: its parts lie elsewhere.</summary>
    public Joint Opened => this with { Closed = false, Parts = [] };
}
