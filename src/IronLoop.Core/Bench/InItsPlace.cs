using IronLoop.Core.Fitting;
using IronLoop.Core.Joints;
using IronLoop.Core.Measuring;
using IronLoop.Core.Stock;

namespace IronLoop.Core.Bench;

/// <summary>Which part from the drawer takes the place of one that is bent, worn or lost: by what it is, and by its size where that was gauged.</summary>
public static class InItsPlace
{
    private static readonly Length Spread = Length.FromMillimetres(0.05m);

    /// <summary>Whether a stocked part can stand in for a thing.</summary>
    /// <param name="thing">What is gone.</param>
    /// <param name="part">What lies in the drawer.</param>
    /// <param name="across">What was gauged of the gone one's joint: pin or bar across; null where nobody did.</param>
    /// <returns>True where it is of the size, within 0.05 mm; null where the size is not known; false where it is another thing or size.</returns>
    public static bool? Fits(Thing thing, Part part, Length? across)
    {
        if (part.Article.Length > 0 && part.Article == thing.Article)
            return true;
        return (thing.Kind, part) switch
        {
            (ThingKind.Pin, { Pin: { } pin }) => IsOf(pin.Diameter, across),
            (ThingKind.Bar, { Bar: { } bar }) => IsOf(bar.Body, across),
            (ThingKind.Link, { Link: { } link }) => Laid.LikeOf(new LinkKind(link.Pitch)) == thing.Like,
            _ => false,
        };
    }

    private static bool? IsOf(Length size, Length? gauged) => gauged is { } across ? (size - across).Abs() <= Spread : null;
}
