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

    /// <summary>Judges looks side by side.</summary>
    /// <param name="rule">The rule's name.</param>
    /// <param name="pairs">What is wanted, what there is, and how the two are told: "black beside brown".</param>
    /// <param name="alike">What is said where all are alike.</param>
    /// <returns>Null when nothing is known to compare.</returns>
    internal static RuleVerdict? Judge(string rule, IEnumerable<(string? Wanted, string? Has, string Says)> pairs, string alike)
    {
        var compared = pairs.Where(c => !string.IsNullOrWhiteSpace(c.Wanted) && !string.IsNullOrWhiteSpace(c.Has)).ToList();
        if (compared.Count == 0)
            return null;
        string Those(Likeness likeness) => string.Join(", ", compared.Where(c => Compare(c.Wanted, c.Has) == likeness).Select(c => $"{c.Has} {c.Says} {c.Wanted}"));
        return Those(Likeness.Other) is { Length: > 0 } other ? new RuleVerdict(rule, Verdict.Compromise, $"Looks different: {other}.")
            : new RuleVerdict(rule, Verdict.Fits, Those(Likeness.Near) is { Length: > 0 } near ? $"Nearly alike: {near}." : alike);
    }

    /// <summary>The word without its shade: "dark brown" and "light-brown" are both brown.</summary>
    private static string Bare(string told) =>
        string.Join(' ', told.Split([' ', '-'], StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries)
            .Where(w => !Shades.Contains(w, StringComparer.OrdinalIgnoreCase)));
}
