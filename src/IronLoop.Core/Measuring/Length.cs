using System.Globalization;

namespace IronLoop.Core.Measuring;

/// <summary>
/// A length held as whole micrometres, so that sums and comparisons are exact. It may be negative: an off-centre
/// or a shortfall has a sign.
/// </summary>
/// <param name="Micrometres">The length in micrometres.</param>
public readonly record struct Length(long Micrometres) : IComparable<Length>
{
    /// <summary>One inch is 25.4 mm by definition.</summary>
    public const decimal MillimetresPerInch = 25.4m;

    /// <summary>No length at all.</summary>
    public static Length Zero => default;

    /// <summary>The length in millimetres, exact.</summary>
    public decimal Millimetres => Micrometres / 1000m;

    /// <summary>The length in millimetres for computing with trigonometry.</summary>
    public double ApproximateMillimetres => Micrometres / 1000.0;

    /// <summary>The length in inches.</summary>
    public decimal Inches => Millimetres / MillimetresPerInch;

    /// <summary>Reads millimetres exactly.</summary>
    /// <param name="millimetres">Millimetres with at most three decimals.</param>
    /// <exception cref="ArgumentOutOfRangeException">There are more than three decimals, or the length is beyond ±1000 km.</exception>
    public static Length FromMillimetres(decimal millimetres)
    {
        if (Math.Abs(millimetres) > 1_000_000_000m)
            throw new ArgumentOutOfRangeException(nameof(millimetres), millimetres, "No band is that long.");
        var micrometres = millimetres * 1000m;
        if (micrometres != decimal.Truncate(micrometres))
            throw new ArgumentOutOfRangeException(nameof(millimetres), millimetres, "At most three decimals of a millimetre.");
        return new Length((long)micrometres);
    }

    /// <summary>Rounds a computed number of millimetres to the nearest micrometre.</summary>
    public static Length Nearest(double millimetres) =>
        new((long)Math.Round(millimetres * 1000.0, MidpointRounding.AwayFromZero));

    /// <summary>The larger of two lengths.</summary>
    public static Length Max(Length a, Length b) => a >= b ? a : b;

    /// <summary>The length without its sign.</summary>
    public Length Abs() => new(Math.Abs(Micrometres));

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
