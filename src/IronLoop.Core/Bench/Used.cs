using IronLoop.Core.Joints;

namespace IronLoop.Core.Bench;

/// <summary>What a job used of the shop's stock, by its acts alone.</summary>
public static class Used
{
    /// <summary>How many of each article have left their drawer.</summary>
    /// <param name="from">How it stood at take-in.</param>
    /// <param name="now">How it stands.</param>
    public static IReadOnlyDictionary<string, int> Of(Stand from, Stand now) => now.Things
        .Where(t => t.Article.Length > 0 && t.Place is not (Place.Drawer or Place.Loan) && (from.Find(t.Id)?.Place ?? Place.Drawer) == Place.Drawer)
        .GroupBy(t => t.Article, StringComparer.Ordinal).ToDictionary(g => g.Key, g => g.Count(), StringComparer.Ordinal);

    /// <summary>How many of each article acts take out of their drawers.</summary>
    /// <param name="stand">How it stands before them.</param>
    /// <param name="acts">The acts.</param>
    public static IReadOnlyDictionary<string, int> Fetched(Stand stand, IEnumerable<Act> acts) => acts.OfType<Act.Move>()
        .SelectMany(m => (string[])[m.Thing, .. m.With]).Select(id => stand[id]).Where(t => t is { Place: Place.Drawer, Article.Length: > 0 })
        .GroupBy(t => t.Article, StringComparer.Ordinal).ToDictionary(g => g.Key, g => g.Count(), StringComparer.Ordinal);
}
