using IronLoop.Core.Fitting;
using IronLoop.Core.Joints;

namespace IronLoop.Core.Bench;

/// <summary>The links of a bracelet as they lie in a stand, told as an arrangement of the rows they came in.</summary>
public static class Lying
{
    /// <summary>Tells the rows.</summary>
    /// <param name="facts">The job.</param>
    /// <param name="stand">How it stands.</param>
    /// <returns>Null for a band without links, or one whose clasp is off.</returns>
    public static Arrangement? Of(BenchFacts facts, Stand stand)
    {
        if (facts.Band.Clasp is not { } clasp || LinkWork.ClosureOf(stand) is not { } closure)
            return null;
        var marked = facts.Marks.On(facts.Band).Links!;
        var kinds = new Dictionary<string, LinkKind>(StringComparer.Ordinal);
        foreach (var side in (Side[])[Side.Twelve, Side.Six])
            foreach (var link in marked.On(side))
                kinds[Laid.LikeOf(link, side)] = link.KindOn(side);
        foreach (var kind in facts.Band.Spares.Select(s => s.Kind).Concat(facts.FromStock.Select(s => s.Kind)))
            kinds[Laid.LikeOf(kind)] = kind;
        List<PlacedLink> Row(Side side)
        {
            var lies = stand.RowTo(closure, side).Row;
            var came = marked.On(side);
            return
            [
                .. came.Select((l, i) => PlacedLink.AsItIs(l) is var placed && lies.Contains(IdOf(side, i)) ? placed : placed with { Fate = LinkFate.Leaves }),
                .. lies.Where(id => stand[id].Kind == ThingKind.Link && !Enumerable.Range(0, came.Count).Any(i => IdOf(side, i) == id)).Select(id => PlacedLink.Joining(kinds[stand[id].Like])),
            ];
        }
        var position = stand.Joints.FirstOrDefault(j => j is { Closed: true, Position: not null } && j.Joins(closure))?.Position ?? clasp.Position;
        return new Arrangement(Row(Side.Twelve), Row(Side.Six), position);
    }

    /// <summary>Whether a link is of a kind.</summary>
    public static bool IsOf(Thing link, LinkKind kind) => link.Like == Laid.LikeOf(kind);

    private static string IdOf(Side side, int ordinal) => $"{FromTheWatch.Wanted}.link-{Laid.On(side)}-{ordinal + 1}";
}
