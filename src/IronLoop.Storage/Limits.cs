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
        var set = work.Query("SELECT name, value FROM setting WHERE name LIKE 'limit.%'", row => (Name: row.Text("name"), Value: row.Text("value")));
        var limits = HouseLimits.Usual;
        foreach (var (name, value) in set)
            if (Enum.TryParse<Limit>(name[Prefix.Length..], out var limit))
                limits = limits.With(limit, decimal.Parse(value, CultureInfo.InvariantCulture));
        return limits;
    }

    /// <summary>Sets a limit, or goes back to its default.</summary>
    public static void Set(ShopWork work, Limit limit, decimal? value)
    {
        if (value is { } number)
            Settings.Set(work, Prefix + limit, number.ToString(CultureInfo.InvariantCulture));
        else
            work.Execute("DELETE FROM setting WHERE name = $name", ("$name", Prefix + limit));
    }
}
