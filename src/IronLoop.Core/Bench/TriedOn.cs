using IronLoop.Core.Bands;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Measuring;
using IronLoop.Core.Shelf;

namespace IronLoop.Core.Bench;

/// <summary>The rest of the plan, from what the try-on between the sides made known.</summary>
/// <param name="Target">The length wanted now.</param>
/// <param name="Plan">The arrangement to go on with.</param>
/// <param name="Same">Whether nothing changes.</param>
/// <param name="OnlyMicro">Whether only the micro-adjust changes.</param>
/// <param name="FirstSideAgain">Whether the side done already has to be opened again.</param>
/// <param name="Says">What changes, in words.</param>
public sealed record TriedOn(FitTarget Target, Arrangement Plan, bool Same, bool OnlyMicro, bool FirstSideAgain, string Says)
{
    /// <summary>
    /// Plans the rest anew. The side done is left as it is where the rest can be made good with it; it is opened again only where
    /// leaving it costs more than the tolerance of a loop.
    /// </summary>
    /// <param name="band">The bracelet as it came, with the clasp that goes on it.</param>
    /// <param name="now">The links as they lie: the first side done, the second as it was.</param>
    /// <param name="agreed">The plan so far.</param>
    /// <param name="first">The side done.</param>
    /// <param name="target">The length wanted by everything that is known now.</param>
    /// <param name="habits">How the client wears it.</param>
    public static TriedOn Of(Band band, Arrangement now, Arrangement agreed, Side first, FitTarget target, Habits? habits)
    {
        var request = Sizing.Request(band, target, habits) with { Odd = OddLink.AsComputed };
        // Only the second side is free: the first lies as it is, what left it is loose for the second alone, and nothing crosses over to it.
        var rest = request with { Bracelet = Kept(request.Bracelet, now, first), Spares = Loose(now, first, band.Spares) };
        var free = Planner.Recommend(request);
        // Where the side done holds links that were the other's, that one is no longer as it came: only the whole can be planned anew.
        var holdsOthers = Alone(now, first).LooseLinks(band.Spares).Any(l => l.Count < 0);
        var kept = holdsOthers ? free : Planner.Recommend(rest);
        var judgedAgreed = Planner.Judge(request, agreed);
        var again = holdsOthers || kept.Figures.Misfit > free.Figures.Misfit || (kept.Figures.TwiceTrouble - free.Figures.TwiceTrouble) > 2 * target.Tolerance;
        var plan = again ? WithLeast(request, free, now, first) : Join(request.Bracelet, rest, kept, now, first);
        // What was agreed stays where nothing better is gained by leaving it.
        var judged = Planner.Judge(request, plan);
        if (judgedAgreed.Misfit < judged.Misfit || judgedAgreed.Misfit == judged.Misfit && judgedAgreed.TwiceTrouble <= judged.TwiceTrouble)
            plan = agreed;
        var (same12, same6) = (plan.Twelve.SequenceEqual(agreed.Twelve), plan.Six.SequenceEqual(agreed.Six));
        var links = same12 && same6;
        var firstAgain = !(first == Side.Twelve ? plan.Twelve : plan.Six).SequenceEqual(now.On(first));
        return new TriedOn(target, plan, links && plan.Position == agreed.Position, links && plan.Position != agreed.Position, firstAgain, Say(agreed, plan, band, firstAgain, first));
    }

    private static Bracelet Kept(Bracelet bracelet, Arrangement now, Side first)
    {
        Link[] lies = [.. now.On(first).Where(l => l.InLoop).Select(l => new Link(l.Pitch, Removable: false) { Mark = l.Mark, OneSided = l.OneSided })];
        Link[] Own(IReadOnlyList<Link> row) => [.. row.Select(l => l with { OneSided = true })];
        return first == Side.Twelve ? new Bracelet(lies, Own(bracelet.Six)) : new Bracelet(Own(bracelet.Twelve), lies);
    }

    private static Arrangement Alone(Arrangement now, Side side) => side == Side.Twelve ? new Arrangement(now.Twelve, [], 0) : new Arrangement([], now.Six, 0);

    private static IReadOnlyList<SpareLinks> Loose(Arrangement now, Side first, IReadOnlyList<SpareLinks> spares)
    {
        return [.. Alone(now, first).LooseLinks(spares).Where(l => l.Count > 0 && l.Kind.Only is null)
            .Select(l => new SpareLinks(l.Pitch, l.Count) { Mark = l.Kind.Mark, Only = first == Side.Twelve ? Side.Six : Side.Twelve })];
    }

    private static Arrangement Join(Bracelet bracelet, PlanRequest rest, Plan kept, Arrangement now, Side first)
    {
        var told = Arrangement.Of(rest.Bracelet, kept);
        // That nothing crosses over now says nothing about the links themselves.
        PlacedLink[] Own(Side side) => [.. told.On(side).Select((l, i) => l with { OneSided = l.Fate != LinkFate.Joins && bracelet.On(side)[i].OneSided })];
        return first == Side.Twelve ? new Arrangement(now.Twelve, Own(Side.Six), told.Position) : new Arrangement(Own(Side.Twelve), now.Six, told.Position);
    }

    /// <summary>The free plan, told so that the first side keeps its links as they lie when its counts allow.</summary>
    private static Arrangement WithLeast(PlanRequest request, Plan free, Arrangement now, Side first)
    {
        var told = Arrangement.Of(request.Bracelet, free);
        var counts = now.On(first).Where(l => l.InLoop).GroupBy(l => l.KindOn(first)).ToDictionary(g => g.Key, g => g.Count());
        var wanted = told.On(first).Where(l => l.InLoop).GroupBy(l => l.KindOn(first)).ToDictionary(g => g.Key, g => g.Count());
        if (counts.Count != wanted.Count || wanted.Any(w => counts.GetValueOrDefault(w.Key) != w.Value))
            return told;
        return first == Side.Twelve ? told with { Twelve = now.Twelve } : told with { Six = now.Six };
    }

    private static string Say(Arrangement agreed, Arrangement plan, Band band, bool firstAgain, Side first)
    {
        var changes = new List<string>();
        foreach (var side in (Side[])[Side.Twelve, Side.Six])
        {
            var (before, after) = (agreed.On(side).Count(l => l.InLoop), plan.On(side).Count(l => l.InLoop));
            if (before != after)
            {
                changes.Add($"{Math.Abs(after - before)} {(Math.Abs(after - before) == 1 ? "link" : "links")} {(after < before ? "fewer" : "more")} on the {PlanWords.Name(side)} side than was planned");
            }
            else if (!agreed.On(side).SequenceEqual(plan.On(side)))
            {
                changes.Add($"other links on the {PlanWords.Name(side)} side than were planned");
            }
        }
        var onlyMicro = changes.Count == 0;
        if (plan.Position != agreed.Position && band.Clasp is { } clasp)
            changes.Add($"the micro-adjust to position {plan.Position + 1} of {clasp.Positions} instead of {agreed.Position + 1}");
        if (changes.Count == 0)
            return "It agrees with the plan; go on as planned.";
        var said = $"{(onlyMicro ? "Only the micro-adjust changes: " : "The rest changes: ")}{string.Join("; ", changes)}.";
        return firstAgain ? $"{said} The {PlanWords.Name(first)} side is opened once more." : said;
    }
}
