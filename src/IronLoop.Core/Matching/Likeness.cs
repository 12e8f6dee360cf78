namespace IronLoop.Core.Matching;

/// <summary>How like two looks are, the likest first.</summary>
public enum Likeness
{
    /// <summary>The same, or nobody said.</summary>
    Equal,

    /// <summary>Shades of one colour: brown and dark brown.</summary>
    Near,

    /// <summary>Different.</summary>
    Other,
}

/// <summary>Compares colours and finishes by the words they are told in.</summary>
public static class Looks
{
    private static readonly string[] Shades = ["dark", "deep", "mid", "medium", "light", "pale", "warm", "cold", "cool", "soft"];

    /// <summary>How like two looks are; equal where one of them is not told.</summary>
    public static Likeness Compare(string? wanted, string? has)
    {
        if (string.IsNullOrWhiteSpace(wanted) || string.IsNullOrWhiteSpace(has) || string.Equals(wanted.Trim(), has.Trim(), StringComparison.OrdinalIgnoreCase))
            return Likeness.Equal;
        return string.Equals(Bare(wanted), Bare(has), StringComparison.OrdinalIgnoreCase) ? Likeness.Near : Likeness.Other;
    }

    /// <summary>The word without its shade: "dark brown" and "light-brown" are both brown.</summary>
    private static string Bare(string told) =>
        string.Join(' ', told.Split([' ', '-'], StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries)
            .Where(w => !Shades.Contains(w, StringComparer.OrdinalIgnoreCase)));
}
