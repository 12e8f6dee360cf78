namespace IronLoop.Core.Measuring;

/// <summary>Several readings of one figure, in the order they were taken; at least one.</summary>
/// <param name="Each">The readings.</param>
public sealed record Readings(IReadOnlyList<Length> Each)
{
    /// <summary>Readings further apart than this are questioned (house rule).</summary>
    public static readonly Length UsualSpread = Length.FromMillimetres(0.3m);

    /// <summary>What they come to, to the nearest micrometre.</summary>
    public Length Mean => new((long)Math.Round(Each.Average(r => (decimal)r.Micrometres), MidpointRounding.AwayFromZero));

    /// <summary>The largest less the smallest; nought for a single reading.</summary>
    public Length Spread => Each.Max() - Each.Min();
}
