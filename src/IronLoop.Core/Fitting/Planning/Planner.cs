using IronLoop.Core.Measuring;

namespace IronLoop.Core.Fitting;

/// <summary>The planner's whole answer.</summary>
/// <param name="Recommended">The plan that ranks first.</param>
/// <param name="Alternatives">Up to five plans that trade something: none is beaten on length, centre, reserve and work at once.</param>
/// <param name="Reach">All lengths the bracelet can make while centred.</param>
/// <param name="Says">Why, in a fitter's words.</param>
public sealed record PlanAnswer(Plan Recommended, IReadOnlyList<Plan> Alternatives, Reach Reach, string Says);

/// <summary>
/// Works out which links to take out or put in on each side, and where the micro-adjust sits (fit model, section 5).
/// </summary>
public static class Planner
{
    /// <summary>Alternatives shown at most.</summary>
    public const int MostAlternatives = 5;

    /// <summary>Said where the chance could not be weighed in.</summary>
    private const string TooMany = "There are too many arrangements to weigh by their chance: this is the order without it.";

    // Of so many unbeaten plans the likeliest are shown.
    private const int Unbeaten = 24;

    /// <summary>The recommended plan alone.</summary>
    /// <exception cref="PlanTooLargeException">More arrangements than are searched.</exception>
    public static Plan Recommend(PlanRequest request)
    {
        var search = new PlanSearch(request);
        // Every request has at least the plan that leaves no links but the fixed ones.
        return (request.Target.Sigma > Length.Zero ? new LikelySearch(request, search).First() : null) ?? search.First(1)[0];
    }

    /// <summary>
    /// The whole answer. With a standard deviation of the length told, the chance of each arrangement comes first, in whole steps of five
    /// points; the alternatives are then the likeliest of the first two dozen that no plan beats.
    /// </summary>
    /// <exception cref="PlanTooLargeException">More arrangements than are searched.</exception>
    public static PlanAnswer Answer(PlanRequest request)
    {
        var search = new PlanSearch(request);
        var reach = Reach.Of(request);
        if (request.Target.Sigma == Length.Zero)
        {
            var plans = search.First(1 + MostAlternatives);
            return new PlanAnswer(plans[0], [.. plans.Skip(1)], reach, PlanWords.Say(request, plans[0], reach));
        }
        var likely = new LikelySearch(request, search);
        var first = likely.First();
        var unbeaten = search.First(Unbeaten, 1 + MostAlternatives);
        var recommended = first ?? unbeaten[0];
        var others = unbeaten.Where(p => !p.IsLike(recommended));
        if (!likely.IsTooLarge)
            others = others.OrderByDescending(p => FirstTimeChance.StepOf(p.Figures.Chance ?? 0));
        var says = PlanWords.Say(request, recommended, reach);
        return new PlanAnswer(recommended, [.. others.Take(MostAlternatives)], reach, likely.IsTooLarge ? $"{says} {TooMany}" : says);
    }

    /// <summary>Judges an arrangement chosen by hand by the same measure as the planner's own.</summary>
    /// <param name="request">The bracelet and what is wanted.</param>
    /// <param name="arrangement">The links as they lie.</param>
    public static PlanFigures Judge(PlanRequest request, Arrangement arrangement) =>
        PlanFigures.Judge(
            request,
            arrangement.Sum(Side.Twelve),
            arrangement.Sum(Side.Six),
            arrangement.Position,
            arrangement.LinksMoved());
}
