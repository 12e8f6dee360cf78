using System.Globalization;
using IronLoop.Core.Measuring;
using IronLoop.Server.Contract;

namespace IronLoop.Server.Shop.Catalogue;

/// <summary>What stands in a cell of a catalogue, read and written.</summary>
internal static class CatalogueCells
{
    public static string Mm(Length? length) => length?.Millimetres.ToString("0.###", CultureInfo.InvariantCulture) ?? "";

    public static string Word<T>(T value) => value switch
    {
        null => "",
        bool yes => yes ? "yes" : "no",
        Enum choice => System.Text.Json.JsonNamingPolicy.CamelCase.ConvertName(choice.ToString()),
        IFormattable number => number.ToString(null, CultureInfo.InvariantCulture),
        _ => value.ToString() ?? "",
    };

    public static TChoice Choice<TChoice>(Refusals refusals, string column, Func<string, string> cell, TChoice? usual = null)
        where TChoice : struct, Enum
    {
        var typed = cell(column).Trim();
        if (typed.Length == 0 && usual is { } known)
            return known;
        if (typed.Length > 0 && !char.IsAsciiDigit(typed[0]) && Enum.TryParse<TChoice>(typed, ignoreCase: true, out var choice))
            return choice;
        refusals.Add($"$.{column}", $"{column} is “{typed}”; allowed is one of {string.Join(", ", Enum.GetValues<TChoice>().Select(v => Word(v)))}.");
        return default;
    }

    public static int Count(Refusals refusals, string column, Func<string, string> cell, int usual)
    {
        var typed = cell(column).Trim();
        if (typed.Length == 0)
            return usual;
        if (int.TryParse(typed, NumberStyles.None, CultureInfo.InvariantCulture, out var count))
            return count;
        refusals.Add($"$.{column}", $"{column} is “{typed}”, which is no count.");
        return usual;
    }

    public static bool? YesOrNo(Refusals refusals, string column, Func<string, string> cell)
    {
        var typed = cell(column).Trim().ToLowerInvariant();
        switch (typed)
        {
            case "": return null;
            case "yes" or "true" or "1": return true;
            case "no" or "false" or "0": return false;
            default:
                refusals.Add($"$.{column}", $"{column} is “{typed}”; write yes or no.");
                return null;
        }
    }
}
