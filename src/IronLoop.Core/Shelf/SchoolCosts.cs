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
            var (does, chance) = Plan(alone, band, target, ways.Together, Wear.Of(preference));
            costs.Add(new WayCost(way, target, need, does, chance));
        }
        return costs;
    }

    private static OddCost Cost(PlanRequest request, Plan computed)
    {
        var plan = Planner.Recommend(request);
        var same = plan.Position == computed.Position && plan.Twelve.SequenceEqual(computed.Twelve) && plan.Six.SequenceEqual(computed.Six);
        return new OddCost(request.Odd, PlanWords.WhatToDo(request, plan) + ".", same ? null : PlanWords.Trade(request, computed.Figures, plan.Figures));
    }

    /// <summary>What a plan for one way does, and its chance by everything that is known.</summary>
    private static (string Does, double Chance) Plan(Figures figures, Band band, FitTarget target, Need known, Wear wear)
    {
        if (band is { Links: not null, Clasp: not null })
        {
            var request = Sizing.Request(band, target, figures.Habits);
            var plan = Planner.Recommend(request);
            var byAll = request with { Target = target with { Length = Measuring.Length.Nearest(known.Needed) + wear.Aim, Sigma = Measuring.Length.Nearest(known.Sigma) } };
            return (PlanWords.WhatToDo(request, plan) + ".", Planner.Judge(byAll, Arrangement.Of(request.Bracelet, plan)).Chance ?? 0);
        }
        return band.Holed(figures.BareHead) is not { } holed ? ("", 0)
            : ($"Close it in {holed.Place} {holed.Nearest(target).Hole + 1} of {holed.Holes}.", FirstTimeChance.Of(known, Enumerable.Range(0, holed.Holes).Select(holed.LengthIn), wear));
    }
}
