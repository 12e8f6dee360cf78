using IronLoop.Core.Fitting;
using IronLoop.Core.Joints;

namespace IronLoop.Core.Bench;

/// <summary>How it shall stand when a round ends.</summary>
/// <param name="To">How it shall stand.</param>
/// <param name="TryOn">Whether it is tried on then: false between the sides, true for good; null not at all.</param>
/// <param name="First">The side worked first in this round.</param>
/// <param name="Order">The joints of both rows in the order they lie, from case to clasp.</param>
/// <param name="PartFirst">A joint at which the band is parted before anything else, though it is closed again as it was; null where it is not.</param>
public sealed record Target(Stand To, bool? TryOn, Side First, IReadOnlyList<string> Order, string? PartFirst);

/// <summary>Something made to fit, with where it is done.</summary>
/// <param name="Thing">What it is done to.</param>
/// <param name="Joint">The joint whose end it is; null for a loose thing.</param>
/// <param name="Piece">What is done.</param>
public sealed record Preparation(string Thing, string? Joint, PieceToPrepare Piece);

/// <summary>What the bench works from: how it stood, and one target a round.</summary>
/// <param name="From">How it stood when the job was taken in.</param>
/// <param name="Targets">The targets, the last one for good.</param>
/// <param name="Prepare">What is made to fit on the way.</param>
/// <param name="OpenFirst">Joints that are opened to be gauged before anything is fetched.</param>
/// <param name="Before">How far the work was when this was agreed: how many try-ons there had been, how many rounds were begun.</param>
public sealed record BenchPlan(
    Stand From, IReadOnlyList<Target> Targets, IReadOnlyList<Preparation> Prepare, IReadOnlyList<string> OpenFirst, SoFar Before = default)
{
    /// <summary>How it shall stand after the last step.</summary>
    public Stand To => Targets[^1].To;

    /// <summary>Whether nothing but opening and gauging is agreed yet.</summary>
    public bool IsToGauge { get; init; }
}

/// <summary>How far the work was when something was agreed.</summary>
/// <param name="TryOns">How many try-ons there had been.</param>
/// <param name="Rounds">How many rounds had been begun.</param>
public readonly record struct SoFar(int TryOns, int Rounds);
