using System.Globalization;

namespace IronLoop.Core.Measuring;

/// <summary>
/// A length held as whole micrometres, so that sums and comparisons are exact. It may be negative: an off-centre or a shortfall has a sign.
/// It is always within ± 1000 km, the ends inclusive: far beyond any wrist, and so near nought that millions of them add up without
/// overflowing. It is a length along something, never a place: how far apart two things lie, not where.
/// </summary>
public readonly record struct Length : IComparable<Length>, IParsable<Length>, IFormattable
{
    private const long Longest = 1_000_000_000_000;

    /// <summary>A length of whole micrometres.</summary>
    /// <param name="micrometres">Micrometres, -10¹² to 10¹².</param>
    /// <exception cref="OutOfRangeException">It is beyond ± 1000 km.</exception>
    public Length(long micrometres)
    {
        if (micrometres is < -Longest or > Longest)
            throw new OutOfRangeException(nameof(micrometres), micrometres, $"A length is {micrometres} µm; allowed is -1000 to 1000 km.");
        Micrometres = micrometres;
    }

    /// <summary>The whole length in micrometres; not what is left of it beside its millimetres.</summary>
    public long Micrometres { get; }

    /// <summary>One inch is 25.4 mm by definition.</summary>
    public const decimal MillimetresPerInch = 25.4m;

    /// <summary>No length at all.</summary>
    public static Length Zero => default;

    /// <summary>The whole length in millimetres, exact: 1500 µm are 1.5, not 1.</summary>
    public decimal Millimetres => Micrometres / 1000m;

    /// <summary>The length in millimetres for computing with trigonometry; what comes of that is no longer exact.</summary>
    public double ApproximateMillimetres => Micrometres / 1000.0;

    /// <summary>The length in inches.</summary>
    public decimal Inches => Millimetres / MillimetresPerInch;

    /// <summary>Reads millimetres exactly.</summary>
    /// <param name="millimetres">Millimetres with at most three decimals.</param>
    /// <exception cref="OutOfRangeException">There are more than three decimals, or the length is beyond ± 1000 km.</exception>
    public static Length FromMillimetres(decimal millimetres)
    {
        if (Math.Abs(millimetres) > Longest / 1000)
            throw new OutOfRangeException(nameof(millimetres), millimetres, $"A length is {millimetres} mm; allowed is -1000 to 1000 km.");
        var micrometres = millimetres * 1000m;
        if (micrometres != decimal.Truncate(micrometres))
            throw new OutOfRangeException(nameof(millimetres), millimetres, $"A length is {millimetres} mm; allowed are at most three decimals.");
        return new Length((long)micrometres);
    }

    /// <summary>Rounds a computed number of millimetres to the nearest micrometre.</summary>
    public static Length Nearest(double millimetres) =>
        new((long)Math.Round(millimetres * 1000.0, MidpointRounding.AwayFromZero));

    /// <summary>The larger of two lengths.</summary>
    public static Length Max(Length a, Length b) => a >= b ? a : b;

    /// <summary>The length without its sign.</summary>
    public Length Abs() => new(Math.Abs(Micrometres));

    /// <summary>Half of it, to the whole micrometre nearer nought: of 3 µm it is 1 µm.</summary>
    public Length Half() => new(Micrometres / 2);

    /// <inheritdoc />
    public int CompareTo(Length other) => Micrometres.CompareTo(other.Micrometres);

    /// <summary>Adds two lengths.</summary>
    public static Length operator +(Length a, Length b) => new(a.Micrometres + b.Micrometres);

    /// <summary>Takes one length from another.</summary>
    public static Length operator -(Length a, Length b) => new(a.Micrometres - b.Micrometres);

    /// <summary>Turns the sign round.</summary>
    public static Length operator -(Length a) => new(-a.Micrometres);

    /// <summary>A length laid down several times.</summary>
    public static Length operator *(Length a, int times) => new(a.Micrometres * times);

    /// <summary>A length laid down several times.</summary>
    public static Length operator *(int times, Length a) => a * times;

    /// <summary>Whether the first is shorter.</summary>
    public static bool operator <(Length a, Length b) => a.Micrometres < b.Micrometres;

    /// <summary>Whether the first is longer.</summary>
    public static bool operator >(Length a, Length b) => a.Micrometres > b.Micrometres;

    /// <summary>Whether the first is shorter or equal.</summary>
    public static bool operator <=(Length a, Length b) => a.Micrometres <= b.Micrometres;

    /// <summary>Whether the first is longer or equal.</summary>
    public static bool operator >=(Length a, Length b) => a.Micrometres >= b.Micrometres;

    /// <summary>Reads a length as fitters type it; <see cref="LengthText"/> says how.</summary>
    /// <param name="s">What was typed.</param>
    /// <param name="provider">Not looked at: point and comma are both read.</param>
    /// <exception cref="FormatException">It is none; the message says what is wrong and how to mend it.</exception>
    public static Length Parse(string s, IFormatProvider? provider) => LengthText.TryParse(s, out var length, out var why) ? length : throw new FormatException(why);

    /// <summary>Reads a length as fitters type it, if it is one.</summary>
    /// <param name="s">What was typed.</param>
    /// <param name="provider">Not looked at: point and comma are both read.</param>
    /// <param name="result">The length, when the answer is true.</param>
    public static bool TryParse(string? s, IFormatProvider? provider, out Length result) => LengthText.TryParse(s, out result, out _);

    /// <summary>Writes it as <see cref="ToString()"/> for <c>G</c> or nothing, to tenths for <c>T</c>, to hundredths for <c>H</c>, in inches for <c>I</c>.</summary>
    /// <param name="format">One of these letters.</param>
    /// <param name="formatProvider">Not looked at: a shop writes lengths in one way.</param>
    /// <exception cref="FormatException">It is another letter.</exception>
    public string ToString(string? format, IFormatProvider? formatProvider) => format switch
    {
        null or "" or "G" => ToString(),
        "T" => ToTenths(),
        "H" => ToHundredths(),
        "I" => ToInches(),
        _ => throw new FormatException($"A length is not written as {format}; allowed are G, T, H and I."),
    };

    /// <summary>Millimetres as a fitter says them: at most three decimals, no trailing noughts, with the unit.</summary>
    public override string ToString() => Millimetres.ToString("0.###", CultureInfo.InvariantCulture) + " mm";

    /// <summary>Millimetres to a tenth, for sentences: "161.5 mm".</summary>
    public string ToTenths() =>
        Math.Round(Millimetres, 1, MidpointRounding.AwayFromZero).ToString("0.0", CultureInfo.InvariantCulture) + " mm";

    /// <summary>Millimetres as a caliper shows them: at most two decimals, no trailing noughts: "43.41 mm".</summary>
    public string ToHundredths() =>
        Math.Round(Millimetres, 2, MidpointRounding.AwayFromZero).ToString("0.##", CultureInfo.InvariantCulture) + " mm";

    /// <summary>Inches to a hundredth: "6.63 in".</summary>
    public string ToInches() =>
        Math.Round(Inches, 2, MidpointRounding.AwayFromZero).ToString("0.00", CultureInfo.InvariantCulture) + " in";
}
