namespace IronLoop.Core.Fitting;

/// <summary>What a figure of tape and head adds to the spread of the needed length.</summary>
/// <param name="Figure">The figure.</param>
/// <param name="Slope">What a change of one in it changes the needed length by.</param>
/// <param name="AsRead">How well it is known by one reading, one standard deviation.</param>
/// <param name="AsAssumed">How well it is known before it is read; null where it was read.</param>
public readonly record struct SpreadBy(Readable Figure, double Slope, double AsRead, double? AsAssumed)
{
    /// <summary>The spread it makes now, in millimetres.</summary>
    public double Now => Math.Abs(Slope) * (AsAssumed ?? AsRead);

    /// <summary>The spread it makes once it was read, or read again.</summary>
    public double After
    {
        get
        {
            var before = AsAssumed ?? AsRead;
            return Math.Abs(Slope) / Math.Sqrt(1 / (before * before) + 1 / (AsRead * AsRead));
        }
    }
}

/// <summary>How well the needed length is known, and by what.</summary>
/// <param name="By">By the tape and the head; empty where they do not count.</param>
/// <param name="Else">What the other ways know of it: the sum of one over their squared standard deviations.</param>
public sealed record NeedSpread(IReadOnlyList<SpreadBy> By, double Else)
{
    /// <summary>How well a try-on tells it, and a copied loop, in millimetres (fit model, section 4).</summary>
    private const double TriedOn = 1.0, Copied = 1.2;

    /// <summary>One standard deviation, in millimetres.</summary>
    public double Sigma => Together(By.Sum(b => b.Now * b.Now), Else);

    /// <summary>Whether a figure is assumed.</summary>
    public bool IsAssumed(Readable figure) => By.Any(b => b.Figure == figure && b.AsAssumed is not null);

    /// <summary>One standard deviation after some readings.</summary>
    public double After(IReadOnlyList<Readable> read) => Together(
        By.Sum(b => Math.Pow(read.Contains(b.Figure) ? b.After : b.Now, 2)),
        Else + (read.Contains(Readable.TryOn) ? 1 / (TriedOn * TriedOn) : 0) + (read.Contains(Readable.Copy) ? 1 / (Copied * Copied) : 0));

    private static double Together(double variance, double others) => 1 / Math.Sqrt((variance > 0 ? 1 / variance : 0) + others);
}
