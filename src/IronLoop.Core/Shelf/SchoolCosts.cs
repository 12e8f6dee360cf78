using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;

namespace IronLoop.Core.Shelf;

/// <summary>What the odd link's place comes to on one bracelet.</summary>
/// <param name="Odd">The place.</param>
/// <param name="Does">The plan it leads to.</param>
/// <param name="Costs">What that trades against the computed plan; null when it is the same.</param>
public sealed record OddCost(OddLink Odd, string Does, string? Costs);

/// <summary>What going by one way of knowing the needed length comes to.</summary>
/// <param name="Way">The way; null for all that are known, together.</param>
/// <param name="Target">The length it wants.</param>
/// <param name="Need">The needed length and its uncertainty by this way.</param>
/// <param name="Does">The plan it leads to.</param>
/// <param name="Chance">The chance, 0 to 1, that its plan is right the first time, by everything that is known.</param>
public sealed record WayCost(Way? Way, FitTarget Target, Need Need, string Does, double Chance);

/// <summary>What each school would come to on a job, so that its cost is seen before it is chosen.</summary>
public static class SchoolCosts
{
    /// <summary>The three places of the odd link on a bracelet.</summary>
    /// <param name="request">The bracelet and what is wanted.</param>
    public static IReadOnlyList<OddCost> OfOddLink(PlanRequest request)
    {
        var computed = Planner.Recommend(request with { Odd = OddLink.AsComputed });
        return [.. Enum.GetValues<OddLink>().Select(odd => Cost(request with { Odd = odd }, computed))];
    }

    /// <summary>Each way that is known, and all together first.</summary>
    /// <param name="figures">What was gauged.</param>
    /// <param name="band">The band.</param>
    /// <returns>Nothing while the length wanted is unknown.</returns>
    public static IReadOnlyList<WayCost> OfWays(Figures figures, Band band)
    {
        var all = figures with { School = figures.School with { Way = null } };
        if (all.Ways(band.PivotHeight) is not { } ways || figures.Wear is not { } preference)
            return [];
        var costs = new List<WayCost>();
        foreach (var way in ways.Ways.Select(w => (Way?)w.Way).Prepend(null))
        {
            var alone = figures with { School = figures.School with { Way = way } };
            if (alone.Target(band.PivotHeight) is not { } target || alone.Need(band.PivotHeight) is not { } need)
                continue;
            var (does, lengths) = Plan(alone, band, target);
            costs.Add(new WayCost(way, target, need, does, FirstTimeChance.Of(ways.Together, lengths, Wear.Of(preference))));
        }
        return costs;
    }

    private static OddCost Cost(PlanRequest request, Plan computed)
    {
        var plan = Planner.Recommend(request);
        var same = plan.Position == computed.Position && plan.Twelve.SequenceEqual(computed.Twelve) && plan.Six.SequenceEqual(computed.Six);
        return new OddCost(request.Odd, PlanWords.WhatToDo(request, plan) + ".", same ? null : PlanWords.Trade(request, computed.Figures, plan.Figures));
    }

    private static (string Does, IReadOnlyList<Measuring.Length> Lengths) Plan(Figures figures, Band band, FitTarget target)
    {
        if (band is { Links: not null, Clasp: { } clasp })
        {
            var request = Sizing.Request(band, target, figures.Habits);
            var plan = Planner.Recommend(request);
            return (PlanWords.WhatToDo(request, plan) + ".",
                clasp.InEveryPosition(plan.Figures.Length, plan.Position));
        }
        if (band.Holed(figures.BareHead) is not { } holed)
            return ("", []);
        return ($"Close it in {holed.Place} {holed.Nearest(target).Hole + 1} of {holed.Holes}.", [.. Enumerable.Range(0, holed.Holes).Select(holed.LengthIn)]);
    }
}
