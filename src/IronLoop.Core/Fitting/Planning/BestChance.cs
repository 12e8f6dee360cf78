namespace IronLoop.Core.Fitting;

/// <summary>
/// The greatest chance to be right at the first opening that any arrangement of a bracelet has, for lengths that are known better or worse. What
/// each arrangement serves is worked out once; one that serves no more than another is left out.
/// </summary>
public sealed class BestChance
{
    // Lengths are asked for up to 1.6 standard deviations away: what is left out lies at least 3.9 from there, a chance of less than 0.0001.
    private const double Far = 5.5;

    // As many as some twenty milliseconds go through.
    private const long Most = 1_000_000;

    private readonly List<(long From, long To)[]> _served = [];

    /// <summary>Goes through the arrangements.</summary>
    /// <param name="request">The bracelet and what is wanted; the standard deviation is the greatest that will be asked for.</param>
    /// <exception cref="PlanTooLargeException">There are too many.</exception>
    public BestChance(PlanRequest request)
    {
        var near = new NearArrangements(request, request.Effort.Part(Most));
        var whole = new HashSet<(long From, long To)>();
        near.Go(request.Target.Window.Micrometres + (long)Math.Ceiling(Far * request.Target.Sigma.Micrometres), (half12, half6, _) =>
        {
            var served = FirstTimeChance.Served(request, half12, half6);
            if (served.Count == 1)
                whole.Add(served[0]);
            else if (served.Count > 1)
                _served.Add([.. served]);
        });
        var last = long.MinValue;
        foreach (var (from, to) in whole.OrderBy(s => s.From).ThenByDescending(s => s.To))
        {
            if (to > last)
                _served.Add([(from, to)]);
            last = Math.Max(last, to);
        }
    }

    /// <summary>The chance, 0 to 1.</summary>
    /// <param name="wanted">The length wanted, in millimetres.</param>
    /// <param name="sigma">How well it is known, one standard deviation in millimetres, above nought.</param>
    public double At(double wanted, double sigma)
    {
        var best = 0.0;
        foreach (var stretches in _served)
        {
            var chance = 0.0;
            foreach (var (from, to) in stretches)
                chance += FirstTimeChance.Between((from / 1000.0 - wanted) / sigma, (to / 1000.0 - wanted) / sigma);
            best = Math.Max(best, chance);
        }
        return Math.Clamp(best, 0, 1);
    }
}
