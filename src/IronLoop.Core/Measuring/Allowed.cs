using System.Globalization;

namespace IronLoop.Core.Measuring;

/// <summary>A closed range that a figure must lie in; outside it the figure is refused with the range named.</summary>
/// <param name="Lowest">The least that is taken.</param>
/// <param name="Highest">The most that is taken.</param>
public readonly record struct AllowedLength(Length Lowest, Length Highest)
{
    /// <summary>A range given in millimetres.</summary>
    public static AllowedLength Mm(decimal lowest, decimal highest) =>
        new(Length.FromMillimetres(lowest), Length.FromMillimetres(highest));

    /// <summary>Whether the length lies in the range, its ends included.</summary>
    public bool Holds(Length length) => length >= Lowest && length <= Highest;

    /// <summary>The length, if it lies in the range, its ends included.</summary>
    /// <exception cref="OutOfRangeException">It does not.</exception>
    public Length Checked(string what, Length value) => Holds(value) ? value : throw new OutOfRangeException(what, value, Refuse(what, value));

    /// <summary>The sentence that refuses a length outside the range.</summary>
    public string Refuse(string what, Length value) => $"{what} is {value}; allowed is {this}.";

    /// <inheritdoc />
    public override string ToString() =>
        $"{Lowest.Millimetres.ToString("0.###", CultureInfo.InvariantCulture)} to {Highest}";
}

/// <summary>A closed range for a plain number or a count.</summary>
/// <param name="Lowest">The least that is taken.</param>
/// <param name="Highest">The most that is taken.</param>
public readonly record struct AllowedNumber(decimal Lowest, decimal Highest)
{
    /// <summary>Whether the number lies in the range, its ends included.</summary>
    public bool Holds(decimal number) => number >= Lowest && number <= Highest;

    /// <summary>The count, if it lies in the range, its ends included.</summary>
    /// <exception cref="OutOfRangeException">It does not.</exception>
    public int Checked(string what, int count) => Holds(count) ? count : throw new OutOfRangeException(what, count, Refuse(what, count));

    /// <summary>The sentence that refuses a number outside the range.</summary>
    public string Refuse(string what, decimal value) =>
        string.Create(CultureInfo.InvariantCulture, $"{what} is {value:0.######}; allowed is {this}.");

    /// <inheritdoc />
    public override string ToString() => string.Create(CultureInfo.InvariantCulture, $"{Lowest:0.###} to {Highest:0.###}");
}
