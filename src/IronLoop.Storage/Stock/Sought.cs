namespace IronLoop.Storage;

/// <summary>A band or a part that was looked for.</summary>
/// <param name="Id">Its number.</param>
/// <param name="Name">Its name.</param>
/// <param name="Article">Its article number.</param>
public sealed record SoughtArticle(long Id, string Name, string Article);

/// <summary>Bands and parts looked for by how the words of their name and article number begin, in any order.</summary>
public static class Sought
{
    /// <summary>Bands in stock.</summary>
    /// <param name="work">The piece of work.</param>
    /// <param name="words">The words; each must be found.</param>
    /// <param name="most">How many at most.</param>
    public static IReadOnlyList<SoughtArticle> Bands(ShopWork work, IReadOnlyList<string> words, int most) => In(work, "band WHERE owner_client_id IS NULL", words, most);

    /// <summary>Small parts.</summary>
    /// <param name="work">The piece of work.</param>
    /// <param name="words">The words; each must be found.</param>
    /// <param name="most">How many at most.</param>
    public static IReadOnlyList<SoughtArticle> Parts(ShopWork work, IReadOnlyList<string> words, int most) => In(work, "part WHERE TRUE", words, most);

    private static List<SoughtArticle> In(ShopWork work, string from, IReadOnlyList<string> words, int most) =>
        work.Query(
            $"""
            SELECT id, name, article FROM {from}
              {string.Concat(words.Select((_, i) => $"AND replace(' ' || name || ' ' || article, '-', ' ') LIKE $w{i} ESCAPE '\\' "))}
            ORDER BY article = $all COLLATE NOCASE DESC, name, article LIMIT $most
            """,
            row => new SoughtArticle(row.Number("id"), row.Text("name"), row.Text("article")),
            [("$all", string.Join(' ', words)), ("$most", most), .. words.Select((w, i) => ($"$w{i}", (object?)Log.Containing($" {w.Replace('-', ' ')}")))]);
}
