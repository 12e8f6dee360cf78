using IronLoop.Core.Matching;

namespace IronLoop.Storage;

/// <summary>The spring bars in stock.</summary>
public static class SpringBars
{
    /// <summary>All of them, by length and body.</summary>
    public static IReadOnlyList<SpringBar> All(ShopWork work) =>
        work.Query("SELECT * FROM spring_bar ORDER BY length_um, body_um, article",
            row => new SpringBar(
                row.Text("article"), row.Length("length_um"), row.Length("body_um"), row.Length("tip_um"), row.Yes("curved"),
                row.Choice<BarStyle>("style"), row.Count("in_stock")));

    /// <summary>Puts a bar in stock, in place of what was known under its article number.</summary>
    public static void Set(ShopWork work, SpringBar bar) =>
        work.Execute(
            """
            INSERT OR REPLACE INTO spring_bar (article, length_um, body_um, tip_um, curved, style, in_stock)
            VALUES ($article, $length, $body, $tip, $curved, $style, $count)
            """,
            ("$article", bar.Article), ("$length", bar.Length), ("$body", bar.Body), ("$tip", bar.Tip), ("$curved", bar.Curved),
            ("$style", bar.Style), ("$count", bar.InStock));
}
