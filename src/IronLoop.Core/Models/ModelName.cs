namespace IronLoop.Core.Models;

/// <summary>How near what is typed comes to a model's name: words in any order, begun or with a small slip.</summary>
public static class ModelName
{
    /// <summary>How near, 0 to 1: 1 where every word typed begins one of the name; 0 where one is not in it at all.</summary>
    /// <param name="typed">What was typed so far.</param>
    /// <param name="name">The model's name.</param>
    public static double Nearness(string typed, string name)
    {
        var words = Words(name);
        var sum = 0.0;
        var sought = Words(typed);
        foreach (var word in sought)
        {
            var best = words.Length == 0 ? 0 : words.Max(w => Nearness(word.AsSpan(), w.AsSpan()));
            if (best == 0)
                return 0;
            sum += best;
        }
        return sought.Length == 0 ? 0 : sum / sought.Length;
    }

    /// <summary>
    /// The runs of three letters at both ends of a word: a slip spoils those at one end only, so a word meant has the others.
    /// </summary>
    /// <param name="word">A word of three letters or more.</param>
    public static (IReadOnlyList<string> First, IReadOnlyList<string> Last) Ends(string word)
    {
        var threes = Enumerable.Range(0, word.Length - 2).Select(i => word.Substring(i, 3)).ToList();
        var third = (threes.Count + 2) / 3;
        return (threes[..third], threes[^third..]);
    }

    /// <summary>Its words, in small letters.</summary>
    public static string[] Words(string text) =>
        [.. text.ToLowerInvariant().Split(text.Where(c => !char.IsLetterOrDigit(c)).Distinct().ToArray(), StringSplitOptions.RemoveEmptyEntries).Take(12)];

    private static double Nearness(ReadOnlySpan<char> typed, ReadOnlySpan<char> word)
    {
        if (word.StartsWith(typed))
            return 1;
        if (typed.Length > 3 && word.IndexOf(typed) >= 0)
            return 0.9;
        // A slip in four letters or more, two in eight; what is typed may be only the beginning of a word.
        var allowed = typed.Length >= 8 ? 2 : typed.Length >= 4 ? 1 : 0;
        if (allowed == 0)
            return 0;
        for (var length = Math.Max(1, typed.Length - allowed); length <= Math.Min(word.Length, typed.Length + allowed); length++)
            if (Slips(typed, word[..length]) <= allowed)
                return 0.7;
        return 0;
    }

    /// <summary>How many letters are wrong, missing, too many or changed with their neighbour.</summary>
    private static int Slips(ReadOnlySpan<char> a, ReadOnlySpan<char> b)
    {
        var rows = new int[3][];
        for (var r = 0; r < 3; r++)
            rows[r] = new int[b.Length + 1];
        for (var j = 0; j <= b.Length; j++)
            rows[0][j] = j;
        for (var i = 1; i <= a.Length; i++)
        {
            var (now, before, twoBefore) = (rows[i % 3], rows[(i - 1) % 3], rows[(i + 1) % 3]);
            now[0] = i;
            for (var j = 1; j <= b.Length; j++)
            {
                now[j] = Math.Min(Math.Min(now[j - 1], before[j]) + 1, before[j - 1] + (a[i - 1] == b[j - 1] ? 0 : 1));
                if (i > 1 && j > 1 && a[i - 1] == b[j - 2] && a[i - 2] == b[j - 1])
                    now[j] = Math.Min(now[j], twoBefore[j - 2] + 1);
            }
        }
        return rows[a.Length % 3][b.Length];
    }
}
