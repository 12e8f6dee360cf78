using System.Diagnostics.CodeAnalysis;

namespace IronLoop.Core.Measuring;

/// <summary>A reading as a digital caliper sent it.</summary>
/// <param name="Length">The length, to the nearest micrometre.</param>
/// <param name="InInches">Whether the caliper stands in inches.</param>
public readonly record struct CaliperReading(Length Length, bool InInches);

/// <summary>
/// Reads a line from a digital caliper: a number with an optional sign, leading noughts, and <c>mm</c> or <c>in</c>;
/// without a unit it is millimetres. Everything else on the line is garbage and is said, not guessed at.
/// </summary>
public static class CaliperLine
{
    /// <summary>What the widest caliper at a fitter's bench opens to.</summary>
    public static readonly AllowedLength Opens = AllowedLength.Mm(-10, 300);

    /// <summary>Reads a line, without its line end.</summary>
    /// <param name="line">What came.</param>
    /// <param name="reading">The reading, when the answer is true.</param>
    /// <param name="why">What is wrong with it, when the answer is false.</param>
    public static bool TryParse(string line, out CaliperReading reading, [NotNullWhen(false)] out string? why)
    {
        reading = default;
        var text = line.Trim(' ', '\t', '\0');
        if (text.StartsWith('+'))
            text = text[1..].TrimStart();
        if (text.Length == 0 || !char.IsAsciiDigit(text[^1]) && !text.EndsWith("mm", StringComparison.OrdinalIgnoreCase)
            && !text.EndsWith("in", StringComparison.OrdinalIgnoreCase) || !LengthText.TryParse(text, out var length, out _))
        {
            // What it was is not repeated: whatever answers at that address may be no caliper.
            why = $"The caliper sent {line.Length} {(line.Length == 1 ? "character" : "characters")}, which is no reading; nothing was taken.";
            return false;
        }
        if (!Opens.Holds(length))
        {
            why = Opens.Refuse("The caliper’s reading", length);
            return false;
        }
        reading = new CaliperReading(length, text.EndsWith("in", StringComparison.OrdinalIgnoreCase));
        why = null;
        return true;
    }
}
