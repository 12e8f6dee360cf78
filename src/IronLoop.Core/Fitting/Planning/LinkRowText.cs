using System.Diagnostics.CodeAnalysis;
using System.Globalization;
using System.Text.RegularExpressions;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Fitting;

/// <summary>The two pitches a fitter says by word instead of by figure.</summary>
/// <param name="Full">Pitch of a full link; null when not gauged yet.</param>
/// <param name="Half">Pitch of a half link; null when there is none or it is not gauged yet.</param>
public readonly record struct NamedPitches(Length? Full, Length? Half);

/// <summary>
/// Reads a side of a bracelet as a fitter says it, from case to clasp: <c>2 of 9 fixed; 7 of 8,2; 1 of 5</c>, or, when
/// the pitches are known by name, <c>seven full, one half, first two fixed, last fixed</c>. Counts are figures or words. Links of one pitch that are not alike get a letter,
/// <c>3 of 8.2 kind b</c>, and those that do not go on the other side are <c>this side only</c>. Groups are parted by a semicolon, a plus, or a
/// comma and a space; a comma within a number is a decimal comma.
/// </summary>
public static partial class LinkRowText
{
    /// <summary>Reads a row whose pitches are all given as figures.</summary>
    /// <param name="text">What was typed; nothing is a side without links.</param>
    /// <param name="row">The links from case to clasp, when the answer is true.</param>
    /// <param name="why">What is wrong and how to mend it, when the answer is false.</param>
    public static bool TryParse(string? text, [NotNullWhen(true)] out IReadOnlyList<Link>? row, [NotNullWhen(false)] out string? why) =>
        TryParse(text, default, out row, out why);

    /// <summary>Reads a row.</summary>
    /// <param name="text">What was typed; nothing is a side without links.</param>
    /// <param name="named">The pitches of <c>full</c> and <c>half</c>.</param>
    /// <param name="row">The links from case to clasp, when the answer is true.</param>
    /// <param name="why">What is wrong and how to mend it, when the answer is false.</param>
    public static bool TryParse(
        string? text, NamedPitches named, [NotNullWhen(true)] out IReadOnlyList<Link>? row, [NotNullWhen(false)] out string? why)
    {
        (row, why) = (null, null);
        var links = new List<Link>();
        var ends = new List<(bool First, int Count)>();
        var groups = Separators().Split((text ?? "").Trim()).Where(g => !string.IsNullOrWhiteSpace(g)).Take((int)FitRanges.LinksASide.Highest + 1);
        foreach (var group in groups.Select(g => g.Trim()))
        {
            if (group.Length <= 60 && EndFixed().Match(group) is { Success: true } end)
            {
                ends.Add((end.Groups["which"].Value.StartsWith("first", StringComparison.OrdinalIgnoreCase), Count(end)));
                continue;
            }
            var tail = group.Length <= 60 ? Tail().Match(group) : Match.Empty;
            var match = tail.Success ? Group().Match(tail.Groups["rest"].Value) : Match.Empty;
            if (!match.Success)
            {
                why = $"“{(group.Length <= 60 ? group : group[..60] + "…")}” is no group of links; write the row from case to clasp like 2 of 9 fixed; 7 of 8.2, or like 7 full, 1 half, first two fixed.";
                return false;
            }
            var count = Count(match);
            if (!TryPitch(match, named, out var pitch, out why))
                return false;
            if (!FitRanges.LinksASide.Holds(links.Count + count))
            {
                why = FitRanges.LinksASide.Refuse("The number of links on this side", links.Count + count);
                return false;
            }
            links.AddRange(Enumerable.Repeat(
                new Link(pitch, !match.Groups["fixed"].Success)
                {
                    Mark = tail.Groups["mark"] is { Success: true } mark ? char.ToLowerInvariant(mark.Value[0]) : '\0',
                    OneSided = tail.Groups["one"].Success,
                },
                count));
        }
        foreach (var (first, count) in ends)
        {
            if (count > links.Count)
            {
                why = $"{count} of this side’s links should be fixed, but it has {links.Count}.";
                return false;
            }
            var from = first ? 0 : links.Count - count;
            for (var i = from; i < from + count; i++)
                links[i] = links[i] with { Removable = false };
        }
        row = links;
        return true;
    }

    /// <summary>Writes a row in the words that <see cref="TryParse(string?, out IReadOnlyList{Link}?, out string?)"/> reads.</summary>
    public static string Print(IReadOnlyList<Link> row)
    {
        var groups = new List<string>();
        for (var i = 0; i < row.Count;)
        {
            var count = row.Skip(i).TakeWhile(l => l == row[i]).Count();
            groups.Add(string.Create(CultureInfo.InvariantCulture, $"{count}{(row[i].Removable ? "" : " fixed")} of {row[i].Pitch.Millimetres:0.###}{row[i].KindOn(Side.Twelve).MarkText}{(row[i].OneSided ? " this side only" : "")}"));
            i += count;
        }
        return string.Join("; ", groups);
    }

    /// <summary>The count of a group, in figures or as a word; one where only the end of the row is named.</summary>
    private static int Count(Match match) => match.Groups["count"] is { Success: true } said
        ? int.TryParse(said.Value, NumberStyles.None, CultureInfo.InvariantCulture, out var figures) ? figures : Array.IndexOf(NumberWords, said.Value.ToLowerInvariant()) + 1
        : 1;

    private static bool TryPitch(Match match, NamedPitches named, out Length pitch, [NotNullWhen(false)] out string? why)
    {
        pitch = Length.Zero;
        if (match.Groups["pitch"] is { Success: true } given)
        {
            if (!LengthText.TryParse(given.Value, out pitch, out why))
                return false;
        }
        else
        {
            var isHalf = match.Groups["name"].Value.StartsWith("hal", StringComparison.OrdinalIgnoreCase);
            if ((isHalf ? named.Half : named.Full) is not { } known)
            {
                why = $"Gauge the pitch of a {(isHalf ? "half" : "full")} link first, so that it is known what {(isHalf ? "half" : "full")} means here.";
                return false;
            }
            pitch = known;
        }
        why = FitRanges.Pitch.Holds(pitch) ? null : FitRanges.Pitch.Refuse("The pitch", pitch);
        return why is null;
    }

    private static readonly string[] NumberWords =
    [
        "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten", "eleven", "twelve", "thirteen", "fourteen", "fifteen", "sixteen", "seventeen",
        "eighteen", "nineteen", "twenty",
    ];

    // Milliseconds. What is read is short; the bound is for a pattern gone wrong, not for a machine that is held up for a moment.
    private const int Longest = 5_000;

    private const string Counted =
        "(?<count>\\d{1,3}|(one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|thirteen|fourteen|fifteen|sixteen|seventeen|eighteen|nineteen|twenty)\\b)";

    [GeneratedRegex(
        "^(?<rest>.*?)(\\s+kind\\s+(?<mark>[a-z]))?(?<one>\\s+this\\s+side\\s+only)?$",
        RegexOptions.IgnoreCase | RegexOptions.ExplicitCapture | RegexOptions.CultureInvariant, Longest)]
    private static partial Regex Tail();

    [GeneratedRegex("[;+]|,\\s", RegexOptions.CultureInvariant, Longest)]
    private static partial Regex Separators();

    [GeneratedRegex(
        "^(the\\s+)?(?<which>first|last)(\\s+" + Counted + ")?(\\s+links?)?\\s+((are|is)\\s+)?fixed$",
        RegexOptions.IgnoreCase | RegexOptions.ExplicitCapture | RegexOptions.CultureInvariant, Longest)]
    private static partial Regex EndFixed();

    [GeneratedRegex(
        "^" + Counted + "\\s*(?<fixed>fixed)?((\\s+links?)?\\s*(of|x|×)\\s*(?<pitch>\\S.*?)(?<fixed>\\s+fixed)?|\\s*(?<name>full|half|halves)(\\s+links?)?(?<fixed>\\s+fixed)?|(?<name>(?<=fixed)))$",
        RegexOptions.IgnoreCase | RegexOptions.ExplicitCapture | RegexOptions.CultureInvariant, Longest)]
    private static partial Regex Group();
}
