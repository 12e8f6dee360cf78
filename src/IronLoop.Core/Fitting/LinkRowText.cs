using System.Diagnostics.CodeAnalysis;
using System.Globalization;
using System.Text.RegularExpressions;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Fitting;

/// <summary>
/// Reads a side of a bracelet as a fitter says it, from case to clasp: <c>2 fixed of 9; 7 of 8,2; 1 of 5</c>.
/// Groups are parted by a semicolon, a plus, or a comma and a space; a comma within a number is a decimal comma.
/// </summary>
public static partial class LinkRowText
{
    /// <summary>Reads a row.</summary>
    /// <param name="text">What was typed; nothing is a side without links.</param>
    /// <param name="row">The links from case to clasp, when the answer is true.</param>
    /// <param name="why">What is wrong and how to mend it, when the answer is false.</param>
    public static bool TryParse(string? text, [NotNullWhen(true)] out IReadOnlyList<Link>? row, [NotNullWhen(false)] out string? why)
    {
        (row, why) = (null, null);
        var links = new List<Link>();
        var groups = Separators().Split((text ?? "").Trim()).Where(g => !string.IsNullOrWhiteSpace(g)).Take((int)FitRanges.LinksASide.Highest + 1);
        foreach (var group in groups.Select(g => g.Trim()))
        {
            var match = group.Length <= 60 ? Group().Match(group) : Match.Empty;
            if (!match.Success)
            {
                why = $"“{(group.Length <= 60 ? group : group[..60] + "…")}” is no group of links; write the row from case to clasp like 2 fixed of 9; 7 of 8.2.";
                return false;
            }
            var count = int.Parse(match.Groups["count"].Value, CultureInfo.InvariantCulture);
            if (!LengthText.TryParse(match.Groups["pitch"].Value, out var pitch, out why))
                return false;
            if (!FitRanges.Pitch.Holds(pitch))
            {
                why = FitRanges.Pitch.Refuse("The pitch", pitch);
                return false;
            }
            if (!FitRanges.LinksASide.Holds(links.Count + count))
            {
                why = FitRanges.LinksASide.Refuse("The number of links on this side", links.Count + count);
                return false;
            }
            links.AddRange(Enumerable.Repeat(new Link(pitch, !match.Groups["fixed"].Success), count));
        }
        row = links;
        return true;
    }

    [GeneratedRegex("[;+]|,\\s", RegexOptions.CultureInvariant, 200)]
    private static partial Regex Separators();

    [GeneratedRegex(
        "^(?<count>\\d{1,3})\\s*(?<fixed>fixed)?(\\s+links?)?\\s*(of|x|×)\\s*(?<pitch>\\S.*)$",
        RegexOptions.IgnoreCase | RegexOptions.ExplicitCapture | RegexOptions.CultureInvariant, 200)]
    private static partial Regex Group();
}
