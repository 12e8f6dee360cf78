using IronLoop.Core.Matching;
using IronLoop.Core.Stock;

namespace IronLoop.Storage;

/// <summary>The spring bars in stock: parts like the others, asked for by matching.</summary>
public static class SpringBars
{
    /// <summary>All of them, by length and body, with how many are free.</summary>
    public static IReadOnlyList<SpringBar> All(ShopWork work) =>
    [
        .. Parts.All(work, PartKind.Bar).Select(p => p.Part.Bar! with { InStock = p.Count.Free })
            .OrderBy(b => b.Length).ThenBy(b => b.Body).ThenBy(b => b.Article, StringComparer.Ordinal),
    ];

    /// <summary>Puts a bar in stock, in place of what was known under its article number.</summary>
    public static void Set(ShopWork work, SpringBar bar, DateTimeOffset at)
    {
        var known = Parts.Find(work, bar.Article);
        var id = Parts.Set(work, (known?.Part ?? new Part(bar.Article, bar.Style == BarStyle.Screwed ? "Screwed bar" : "Spring bar")) with { Bar = bar });
        Parts.Change(work, id, bar.InStock - (known?.Count.OnHand ?? 0), known is null ? "put in stock" : "entered anew", at, "");
    }
}
