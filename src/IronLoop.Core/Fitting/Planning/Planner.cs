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

    /// <summary>The recommended plan alone.</summary>
    /// <exception cref="PlanTooLargeException">More arrangements than are searched.</exception>
    public static Plan Recommend(PlanRequest request) =>
        // Every request has at least the plan that leaves no links but the fixed ones.
        new PlanSearch(request).First(1)[0];

    /// <summary>The whole answer.</summary>
    /// <exception cref="PlanTooLargeException">More arrangements than are searched.</exception>
    public static PlanAnswer Answer(PlanRequest request)
    {
        var plans = new PlanSearch(request).First(1 + MostAlternatives);
        var reach = Reach.Of(request);
        return new PlanAnswer(plans[0], [.. plans.Skip(1)], reach, PlanWords.Say(request, plans[0], reach));
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
