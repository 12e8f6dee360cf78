namespace IronLoop.Core.Fitting;

/// <summary>What can be read to know the needed length better. Sent by name.</summary>
public enum Readable
{
    /// <summary>The tape, once more.</summary>
    Wrist,

    /// <summary>The wrist's width and depth.</summary>
    Aspect,

    /// <summary>The height of the bars.</summary>
    BarRise,

    /// <summary>The distance of the bars.</summary>
    BarToBar,

    /// <summary>The band tried on as it is.</summary>
    TryOn,

    /// <summary>A loop that fits already.</summary>
    Copy,
}

/// <summary>What a reading is expected to give.</summary>
/// <param name="Figure">What is read.</param>
/// <param name="ChanceAfter">The chance to be right the first time that is to be expected after it, 0 to 1.</param>
/// <param name="Gain">How much more that is than now.</param>
public readonly record struct ReadingGain(Readable Figure, double ChanceAfter, double Gain);

/// <summary>What to read next, as far as the length goes.</summary>
/// <param name="ChanceNow">The greatest chance of any arrangement now, 0 to 1.</param>
/// <param name="Readings">What each reading is expected to give, the one that gives most first.</param>
/// <param name="Together">What all that is assumed gives when it is read, and which figures those are.</param>
public sealed record NextReading(double ChanceNow, IReadOnlyList<ReadingGain> Readings, (IReadOnlyList<Readable> Figures, double ChanceAfter) Together)
{
    // Worth saying from so much on: of one reading, and of all that is assumed together.
    private const double Worth = 0.02;
    private const double WorthTogether = 0.05;

    // Below this what is wanted can hardly be made, whatever is known of it.
    private const double Hopeless = 0.05;

    // The middles of nine equal shares of a standard normal number.
    private static readonly double[] Middles = [-1.59322, -0.96742, -0.58946, -0.28222, 0, 0.28222, 0.58946, 0.96742, 1.59322];

    /// <summary>
    /// What each reading is expected to give. After it the mean is normal about the present one, with what the reading takes off the variance; the
    /// expectation goes over the middles of nine equal shares.
    /// </summary>
    /// <param name="best">The greatest chance for lengths known better or worse.</param>
    /// <param name="wanted">The length wanted now, in millimetres.</param>
    /// <param name="spread">How well the needed length is known, and by what.</param>
    /// <param name="readable">What can be read.</param>
    public static NextReading Of(BestChance best, double wanted, NeedSpread spread, IReadOnlyList<Readable> readable)
    {
        var now = best.At(wanted, spread.Sigma);
        double After(IReadOnlyList<Readable> figures)
        {
            var after = spread.After(figures);
            var moves = Math.Sqrt(Math.Max(0, spread.Sigma * spread.Sigma - after * after));
            return Middles.Average(z => best.At(wanted + z * moves, after));
        }
        var gains = readable.Select(f => (f, After([f]))).Select(r => new ReadingGain(r.f, r.Item2, r.Item2 - now));
        Readable[] assumed = [.. readable.Where(spread.IsAssumed)];
        return new NextReading(now, [.. gains.OrderByDescending(g => g.Gain).ThenBy(g => g.Figure)], (assumed, assumed.Length == 0 ? now : After(assumed)));
    }

    /// <summary>Whether a reading, or all that is assumed together, is worth taking.</summary>
    public bool IsWorth => Readings.Count > 0 && Readings[0].Gain >= Worth || Together.Figures.Count > 1 && Together.ChanceAfter - ChanceNow >= WorthTogether;

    /// <summary>What to read next, or that enough is known.</summary>
    public string Says =>
        Readings.Count > 0 && Readings[0] is { Gain: >= Worth } first
            ? $"{Name(first.Figure)}: {(first.Figure is Readable.TryOn or Readable.Copy ? "it" : "one reading")} lifts the first-time chance from {Percent(ChanceNow)} to {FirstTimeChance.Says(first.ChanceAfter)}."
            : Together.Figures.Count > 1 && Together.ChanceAfter - ChanceNow >= WorthTogether
                ? $"{Joined()} together lift the first-time chance from {Percent(ChanceNow)} to {FirstTimeChance.Says(Together.ChanceAfter)}."
                : ChanceNow < Hopeless ? "No reading cures that: it cannot be made in its place." : "Enough is known.";

    private string Joined()
    {
        var names = Together.Figures.Select(Name).Select((n, i) => i == 0 ? n : char.ToLowerInvariant(n[0]) + n[1..]).ToList();
        return $"{string.Join(", ", names.SkipLast(1))} and {names[^1]}";
    }

    private static string Percent(double chance) => FirstTimeChance.Says(chance) is var said && said.EndsWith(" %", StringComparison.Ordinal) && char.IsAsciiDigit(said[0])
        ? said[..^2] : FirstTimeChance.Says(chance);

    private static string Name(Readable figure) => figure switch
    {
        Readable.Wrist => "Wrist, a second time",
        Readable.Aspect => "Wrist width and depth",
        Readable.BarRise => "Bar rise",
        Readable.BarToBar => "Bar to bar",
        Readable.TryOn => "Trying it on as it is",
        Readable.Copy => "Copying a loop that fits",
        _ => throw new ArgumentOutOfRangeException(nameof(figure), figure, "Not to be read."),
    };
}
