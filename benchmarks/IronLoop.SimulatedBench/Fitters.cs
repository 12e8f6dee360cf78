using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;

namespace IronLoop.SimulatedBench;

/// <summary>The two ways to decide which links come out, given the same judgement of what the wrist needs.</summary>
internal static class Fitters
{
    /// <summary>
    /// By hand: the surplus counted in links by eye, at the position the clasp stands in; shared evenly, an odd one from the 6
    /// side; what one side cannot give comes from the other.
    /// </summary>
    public static (IReadOnlyList<Length> Twelve, IReadOnlyList<Length> Six) ByHand(Customer customer, double judged)
    {
        var surplus = customer.LengthNow - judged - customer.Wear.Aim.ApproximateMillimetres;
        var links = (int)Math.Max(0, Math.Round(surplus / customer.Pitch.ApproximateMillimetres));
        var twelve = customer.Bracelet.Twelve.ToList();
        var six = customer.Bracelet.Six.ToList();
        var (from12, from6) = (links / 2, links - links / 2);
        var short12 = from12 - TakeOut(twelve, from12);
        var short6 = from6 - TakeOut(six, from6);
        TakeOut(six, short12);
        TakeOut(twelve, short6);
        return ([.. twelve.Select(l => l.Pitch)], [.. six.Select(l => l.Pitch)]);
    }

    /// <summary>The planner, with the house's tolerances.</summary>
    /// <param name="customer">The customer.</param>
    /// <param name="judged">What was judged to be needed, in millimetres.</param>
    /// <param name="sigma">The judging error the planner is told, in millimetres; nought where it is not.</param>
    public static (IReadOnlyList<Length> Twelve, IReadOnlyList<Length> Six) Planned(Customer customer, double judged, double sigma)
    {
        var target = new FitTarget(Length.Nearest(judged) + customer.Wear.Aim, customer.Wear.Window, PlanRequest.HouseTolerance) { Sigma = Length.Nearest(sigma) };
        var request = new PlanRequest(customer.Bracelet, customer.Spares, customer.Clasp, target, PlanRequest.HouseCentring, PlanRequest.HouseReserve);
        var arrangement = Arrangement.Of(customer.Bracelet, Planner.Recommend(request));
        return ([.. arrangement.Twelve.Where(l => l.InLoop).Select(l => l.Pitch)], [.. arrangement.Six.Where(l => l.InLoop).Select(l => l.Pitch)]);
    }

    /// <summary>The best single decision there is: every arrangement weighed by its probability, the judging error known.</summary>
    /// <param name="customer">The customer.</param>
    /// <param name="judged">What was judged to be needed, in millimetres.</param>
    /// <param name="error">The judging error, one standard deviation in millimetres.</param>
    public static (IReadOnlyList<Length> Twelve, IReadOnlyList<Length> Six) Best(Customer customer, double judged, double error)
    {
        var (best, most) = ((IReadOnlyList<Length>)[], -1.0);
        IReadOnlyList<Length> other = [];
        foreach (var (twelve, six) in customer.Arrangements())
        {
            var chance = customer.Chance(twelve, six, judged, error);
            if (chance > most)
                (most, best, other) = (chance, twelve, six);
        }
        return (best, other);
    }

    /// <summary>Takes links out beside the clasp.</summary>
    /// <returns>How many came out.</returns>
    private static int TakeOut(List<Link> row, int count)
    {
        var taken = 0;
        for (var i = row.Count - 1; i >= 0 && taken < count; i--)
        {
            if (!row[i].Removable)
                continue;
            row.RemoveAt(i);
            taken++;
        }
        return taken;
    }
}
