using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;
using IronLoop.Core.Stock;

namespace IronLoop.Core.Shelf;

/// <summary>Loose links of the shop's that bring a bracelet to a length it cannot make.</summary>
/// <param name="Part">The link.</param>
/// <param name="Count">How many it takes.</param>
/// <param name="Figures">What the loop comes to with them.</param>
public sealed record LinkCure(Part Part, int Count, PlanFigures Figures);

/// <summary>Which loose links close a gap, and how many of them.</summary>
public static class LinkCures
{
    private const int Most = 8;

    // A link as wide as the bracelet, or nearly: a link end does not taper within one link.
    private static readonly Length Narrower = Length.FromMillimetres(1);

    /// <summary>The cures, those that take the fewest links first; each kind of link with the least count that does it.</summary>
    /// <param name="request">What is wanted; nothing is looked for where the bracelet makes it.</param>
    /// <param name="width">The bracelet's width.</param>
    /// <param name="parts">The parts of the shop's.</param>
    public static IReadOnlyList<LinkCure> Of(PlanRequest request, Length width, IEnumerable<Part> parts)
    {
        if (Planner.Recommend(request).Figures.Misfit == Length.Zero)
            return [];
        var cures = new List<LinkCure>();
        foreach (var part in parts.Where(p => p.Link is { } link && (link.Width - width).Abs() <= Narrower))
        {
            for (var count = 1; count <= Most; count++)
            {
                var with = Planner.Recommend(request with { Spares = [.. request.Spares, new SpareLinks(part.Link!.Pitch, count)] }).Figures;
                if (with.Misfit > Length.Zero)
                    continue;
                cures.Add(new LinkCure(part, count, with));
                break;
            }
        }
        return [.. cures.OrderBy(c => c.Count).ThenBy(c => c.Part.PriceCents * c.Count).ThenBy(c => c.Part.Article, StringComparer.Ordinal)];
    }
}
