using System.Globalization;
using IronLoop.Core.Matching;

namespace IronLoop.Storage;

/// <summary>The limits that the shop set for itself.</summary>
public static class Limits
{
    private const string Prefix = "limit.";

    /// <summary>The limits the shop works with.</summary>
    public static HouseLimits Of(ShopWork work)
    {
        var stored = work.Query("SELECT name, value FROM setting WHERE name LIKE 'limit.%'", row => (Name: row.Text("name"), Value: row.Text("value")));
        var limits = HouseLimits.Usual;
        foreach (var (name, value) in stored)
            if (Read(name, value) is { } set)
                limits = limits.With(set.Limit, set.Value);
        return limits;
    }

    /// <summary>A limit as a setting has it; null where the setting is none, or no limit could be that.</summary>
    public static (Limit Limit, decimal Value)? Read(string name, string value) =>
        name.StartsWith(Prefix, StringComparison.Ordinal) && Enum.TryParse<Limit>(name[Prefix.Length..], out var limit) && Enum.IsDefined(limit)
        && decimal.TryParse(value, NumberStyles.Number, CultureInfo.InvariantCulture, out var number) && LimitKind.All[(int)limit].Allowed.Holds(number)
            ? (limit, number) : null;

    /// <summary>Sets a limit, or goes back to its default.</summary>
    public static void Set(ShopWork work, Limit limit, decimal? value)
    {
        if (value is { } number)
            Settings.Set(work, Prefix + limit, number.ToString(CultureInfo.InvariantCulture));
        else
            work.Execute("DELETE FROM setting WHERE name = $name", ("$name", Prefix + limit));
    }
}
