using System.Diagnostics.CodeAnalysis;
using System.Globalization;
using System.Text.RegularExpressions;

namespace IronLoop.Core.Measuring;

/// <summary>
/// Reads a length as fitters type it: <c>19</c>, <c>19.4 mm</c>, <c>0,85in</c>, <c>6 5/8"</c>, <c>6⅝ in</c>, <c>17,2 cm</c>.
/// A bare number is millimetres; a fraction must say its unit, since nobody writes millimetres in eighths.
/// </summary>
public static partial class LengthText
{
    /// <summary>Longer text than this is not a length.</summary>
    public const int LongestText = 40;

    private static readonly Dictionary<char, string> VulgarFractions = new()
    {
        ['½'] = "1/2",
        ['⅓'] = "1/3",
        ['⅔'] = "2/3",
        ['¼'] = "1/4",
        ['¾'] = "3/4",
        ['⅛'] = "1/8",
        ['⅜'] = "3/8",
        ['⅝'] = "5/8",
        ['⅞'] = "7/8",
    };

    /// <summary>Reads a length, to the nearest micrometre.</summary>
    /// <param name="text">What was typed.</param>
    /// <param name="length">The length read, when the answer is true.</param>
    /// <param name="why">What is wrong and how to mend it, when the answer is false.</param>
    public static bool TryParse(string? text, out Length length, [NotNullWhen(false)] out string? why)
    {
        length = Length.Zero;
        var typed = (text ?? "").Trim();
        if (typed.Length == 0)
        {
            why = "Nothing was typed; give a length such as 19.4 mm or 6 5/8 in.";
            return false;
        }
        var match = typed.Length <= LongestText ? Shape().Match(Spread(typed)) : Match.Empty;
        if (!match.Success)
        {
            why = $"“{Shorten(typed)}” is not a length; write it like 19, 19.4 mm, 17,2 cm or 6 5/8 in.";
            return false;
        }
        var unit = match.Groups["unit"].Value.ToLowerInvariant();
        var isFraction = match.Groups["over"].Success;
        if (isFraction && unit is not ("in" or "inch" or "inches" or "\"" or "″" or "”"))
        {
            why = $"“{typed}” is a fraction; fractions are read in inches only, so write {typed.Split(' ', 'm')[0]}… in, or give millimetres as 16.5 mm.";
            return false;
        }
        var value = Number(match.Groups["whole"]);
        if (isFraction)
        {
            var under = Number(match.Groups["under"]);
            if (under == 0)
            {
                why = $"“{typed}” divides by nought.";
                return false;
            }
            value += Number(match.Groups["over"]) / under;
        }
        var millimetres = unit switch
        {
            "" or "mm" => value,
            "cm" => value * 10m,
            _ => value * Length.MillimetresPerInch,
        };
        if (match.Groups["minus"].Success)
            millimetres = -millimetres;
        if (Math.Abs(millimetres) > 10_000m)
        {
            why = $"“{typed}” is longer than ten metres; nothing on a wrist is.";
            return false;
        }
        length = new Length((long)Math.Round(millimetres * 1000m, MidpointRounding.AwayFromZero));
        why = null;
        return true;
    }

    private static decimal Number(Group group) =>
        group.Length > 0
            ? decimal.Parse(group.Value.Replace(',', '.'), NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture)
            : 0m;

    /// <summary>Writes ⅝ as 5/8, with the space that keeps it apart from a whole number before it.</summary>
    private static string Spread(string typed)
    {
        foreach (var (sign, fraction) in VulgarFractions)
            typed = typed.Replace(sign.ToString(), " " + fraction, StringComparison.Ordinal);
        return typed.Replace('−', '-').Trim();
    }

    private static string Shorten(string typed) => typed.Length <= LongestText ? typed : typed[..LongestText] + "…";

    [GeneratedRegex(
        """
        ^(?<minus>-)?\s*
        (?: (?<whole>\d{1,6}(?:[.,]\d{1,6})?|[.,]\d{1,6})
          | (?:(?<whole>\d{1,6})\s+)?(?<over>\d{1,3})\s*/\s*(?<under>\d{1,3}) )
        \s*(?<unit>mm|cm|inches|inch|in|"|″|”)?\.?$
        """,
        RegexOptions.IgnoreCase | RegexOptions.IgnorePatternWhitespace | RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture,
        matchTimeoutMilliseconds: 5_000)]
    private static partial Regex Shape();
}
