using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;

namespace IronLoop.Storage;

/// <summary>How the house decides a size where practitioners differ.</summary>
public static class Schools
{
    private const string Way = "school.way";
    private const string Odd = "school.odd";

    /// <summary>The house's school; as computed where nothing was settled.</summary>
    public static School Of(ShopWork work) => new(
        Enum.TryParse<Way>(Settings.Find(work, Way), out var way) ? way : null,
        Enum.TryParse<OddLink>(Settings.Find(work, Odd), out var odd) ? odd : OddLink.AsComputed);

    /// <summary>Whether a setting is part of it.</summary>
    public static bool IsOne(string name) => name is Way or Odd;

    /// <summary>Whether such a setting can be read.</summary>
    public static bool IsReadable(string name, string value) =>
        name == Way ? value.Length == 0 || (Enum.TryParse<Way>(value, out var way) && Enum.IsDefined(way)) : Enum.TryParse<OddLink>(value, out var odd) && Enum.IsDefined(odd);

    /// <summary>Settles it.</summary>
    public static void Set(ShopWork work, School school)
    {
        Settings.Set(work, Way, school.Way?.ToString() ?? "");
        Settings.Set(work, Odd, school.Odd.ToString());
    }
}
