using IronLoop.Core.Gauging;

namespace IronLoop.Core.Jobs;

/// <summary>What the work cannot go on without, and where it is said.</summary>
/// <param name="At">The station it is said at.</param>
/// <param name="Field">The field, figure or list that takes it, by the name it is sent by.</param>
/// <param name="Words">In words, as they stand in a sentence.</param>
public sealed record Wanted(Station At, string Field, string Words)
{
    /// <summary>The words.</summary>
    public override string ToString() => Words;

    /// <summary>A figure of the gauge.</summary>
    internal static Wanted Gauged(GaugedFigure figure, string words) => Gauged($"{char.ToLowerInvariant($"{figure}"[0])}{$"{figure}"[1..]}", words);

    /// <summary>An answer of the gauge.</summary>
    internal static Wanted Gauged(string field, string words) => new(Station.Gauge, field, words);
}
