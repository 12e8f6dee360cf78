using System.Globalization;

namespace IronLoop.Storage.Archive;

/// <summary>What may stand in a field of a row that comes from outside: what this program could have stored there itself.</summary>
internal static class ArrivedField
{
    // No shop comes to so many rows, nor to so large an amount; what is larger would leave no number for the next.
    private const long LargestNumber = 1_000_000_000_000;

    // Ten metres: the greatest length anything here has is a wrist's.
    private const long LongestUm = 10_000_000;

    private const int LongestText = 8_000;

    // A plan, the acts of a step, a signature as it was drawn.
    private const int LongestTold = 1 << 20;

    private static readonly HashSet<(string, string)> Told = [("bench_plan", "plan"), ("bench_step", "acts"), ("consent", "signature"), ("setting", "value")];

    /// <summary>Why a field cannot hold a value; null when it can.</summary>
    public static string? WhyNot(ArchivedTable table, int column, object? value)
    {
        var (name, (type, isNeeded)) = (table.Columns[column], table.Types[column]);
        return value switch
        {
            null => isNeeded ? "is missing" : null,
            long number => type != "INTEGER" ? "is a number, not a text" : WhyNotNumber(name, number),
            string text => type != "TEXT" ? "is a text, not a number" : WhyNotText(table.Name, name, text),
            _ => "is no whole number",
        };
    }

    private static string? WhyNotNumber(string name, long number)
    {
        var (least, most) = name == "id" ? (1, LargestNumber)
            : name.EndsWith("_um", StringComparison.Ordinal) || name == "um" ? (-LongestUm, LongestUm)
            : (-LargestNumber, LargestNumber);
        return number < least || number > most ? $"is {number}; allowed is {least} to {most}" : null;
    }

    private static string? WhyNotText(string table, string name, string text)
    {
        var longest = Told.Contains((table, name)) ? LongestTold : LongestText;
        if (text.Length > longest)
            return $"is {text.Length} characters long; allowed are {longest}";
        if (StoredChoices.All.TryGetValue((table, name), out var choice) && !Enum.GetNames(choice).Contains(text))
            return $"is “{Short(text)}”; allowed is one of {string.Join(", ", Enum.GetNames(choice))}";
        if ((name == "at" || name.EndsWith("_at", StringComparison.Ordinal)) && !DateTimeOffset.TryParse(text, CultureInfo.InvariantCulture, DateTimeStyles.AssumeUniversal, out _))
            return $"is “{Short(text)}”; allowed is a moment like 2026-11-24T09:00:00.000Z";
        if (name is "promised" or "observe_on" && !DateOnly.TryParseExact(text, "yyyy-MM-dd", out _))
            return $"is “{Short(text)}”; allowed is a day like 2026-11-24";
        return null;
    }

    private static string Short(string text) => text.Length <= 40 ? text : text[..40] + "…";
}

/// <summary>What whoever takes an archive in knows of it beyond single fields.</summary>
/// <param name="WhyNotSetting">Why a setting of that name cannot have that value; null when it can.</param>
/// <param name="WhyNotPhoto">Why something is no photo that can be kept; null when it is one.</param>
/// <param name="LookOver">Reads the arrived shop as the screens will; throws where they could not.</param>
public sealed record ArrivalChecks(Func<string, string, string?> WhyNotSetting, Func<byte[], string?> WhyNotPhoto, Action<ShopFile> LookOver);
