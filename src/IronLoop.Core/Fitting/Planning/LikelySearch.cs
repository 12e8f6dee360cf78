namespace IronLoop.Core.Fitting;

/// <summary>
/// Finds the plan that ranks first where it is known how well the length is known: the arrangement of links with the greatest chance to be
/// right at the first opening, in whole steps of five points; among those that share the step, the order without a chance decides. An
/// arrangement none of whose positions comes near what is wanted reaches no step, so only those that come near are gone through.
/// </summary>
/// <param name="request">What is wanted; how well the length is known is told with it.</param>
/// <param name="plans">Ranks and tells plans.</param>
internal sealed class LikelySearch(PlanRequest request, PlanSearch plans)
{
    // Beyond so many standard deviations both ways together there is too little left for half a step.
    private const double Far = 2.5;

    // A usual bracelet takes some thousands; this many take some twenty milliseconds.
    private const long Most = 1_000_000;

    private int _step = 1;

    /// <summary>Whether there were too many arrangements to weigh by their chance.</summary>
    public bool IsTooLarge { get; private set; }

    /// <summary>The plan; null where none reaches a step, or where there are too many to weigh.</summary>
    public Plan? First()
    {
        var effort = request.Effort.Part(Most);
        var near = new NearArrangements(request, effort);
        var candidates = new Candidates(near.Kinds, effort);
        var (clasp, target) = (request.Clasp, request.Target);
        try
        {
            near.Go(target.Window.Micrometres + (long)Math.Ceiling(Far * target.Sigma.Micrometres), Weigh);
        }
        catch (PlanTooLargeException)
        {
            IsTooLarge = true;
            return null;
        }
        return candidates.TakeFirst([]) is { } first ? plans.ToPlan(first.Rank, first.Twelve, first.Six) : null;

        void Weigh(long half12, long half6, int moved)
        {
            var step = FirstTimeChance.StepOf(FirstTimeChance.Of(request, half12, half6));
            if (step < _step)
                return;
            if (step > _step)
            {
                _step = step;
                candidates.Clear();
            }
            for (var position = 0; position < clasp.Positions; position++)
            {
                var at = clasp.Tighter(position).Micrometres;
                var rank = clasp.MicroSide == Side.Twelve ? plans.Rank(half12 + at, half6, position, moved) : plans.Rank(half12, half6 + at, position, moved);
                if (candidates.HasBefore(rank, near.Twelve, near.Six))
                    continue;
                candidates.Clear();
                candidates.Add(rank, near.Twelve, near.Six);
            }
        }
    }
}
