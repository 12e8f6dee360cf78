using System.Globalization;
using System.Text.RegularExpressions;

namespace IronLoop.Core.Day;

/// <summary>The hours of a usual week, typed in few keys: <c>mo-fr 9-12:30 13-18, sa 9-13</c>.</summary>
public static partial class WeekText
{
    /// <summary>The week that is gone by until somebody says another.</summary>
    public const string Usual = "mo-fr 9-18";

    /// <summary>An example, for messages.</summary>
    public const string Example = "mo-fr 9-12:30 13-18, sa 9-13";

    /// <summary>How long it may be.</summary>
    public const int Longest = 120;

    private static readonly string[] Days = ["mo", "tu", "we", "th", "fr", "sa", "su"];

    /// <summary>Reads a week.</summary>
    /// <param name="text">As typed.</param>
    /// <param name="week">The hours by weekday, Monday first, in minutes of the day.</param>
    /// <param name="why">Why it cannot be read; empty when it can.</param>
    public static bool TryParse(string text, out IReadOnlyList<IReadOnlyList<WorkTime>> week, out string why)
    {
        var hours = Days.Select(_ => new List<WorkTime>()).ToArray();
        week = hours;
        why = "";
        if (text.Trim().Length == 0)
            return true;
        IReadOnlyList<int> on = [];
        foreach (var word in text.ToLowerInvariant().Split([' ', ',', ';'], StringSplitOptions.RemoveEmptyEntries))
        {
            if (DayWord().Match(word) is { Success: true } days)
            {
                var from = Array.IndexOf(Days, days.Groups["from"].Value);
                var to = days.Groups["to"].Success ? Array.IndexOf(Days, days.Groups["to"].Value) : from;
                on = [.. Enumerable.Range(0, (to - from + 7) % 7 + 1).Select(d => (from + d) % 7)];
            }
            else if (TimeWord().Match(word) is { Success: true } time && Minute(time.Groups["h"].Value, time.Groups["m"].Value) is { } from && Minute(time.Groups["toh"].Value, time.Groups["tom"].Value) is { } to && from < to)
            {
                if (on.Count == 0)
                    on = [0, 1, 2, 3, 4];
                foreach (var day in on)
                    hours[day].Add(new WorkTime(from, to));
            }
            else
            {
                why = $"“{word}” is neither days nor hours; write it like {Example}.";
                return false;
            }
        }
        return true;
    }

    private static int? Minute(string hour, string minute) =>
        int.Parse(hour, CultureInfo.InvariantCulture) * 60 + (minute.Length > 0 ? int.Parse(minute, CultureInfo.InvariantCulture) : 0) is var at and <= 24 * 60 && (minute.Length == 0 || int.Parse(minute, CultureInfo.InvariantCulture) < 60) ? at : null;

    [GeneratedRegex("^(?<from>mo|tu|we|th|fr|sa|su)[a-z]*([-–](?<to>mo|tu|we|th|fr|sa|su)[a-z]*)?$", RegexOptions.ExplicitCapture, 1000)]
    private static partial Regex DayWord();

    [GeneratedRegex(@"^(?<h>[0-9]{1,2})(:(?<m>[0-9]{2}))?[-–](?<toh>[0-9]{1,2})(:(?<tom>[0-9]{2}))?$", RegexOptions.ExplicitCapture, 1000)]
    private static partial Regex TimeWord();
}
