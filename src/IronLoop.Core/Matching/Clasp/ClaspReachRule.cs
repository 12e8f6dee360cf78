using System.Globalization;
using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Matching;

/// <summary>What a clasp does to the fit: the best that can be made with it.</summary>
/// <param name="Length">Length of the best loop.</param>
/// <param name="OffCentre">Where its centre sits past the lowest point, positive toward the 6 side; nought where it is not judged.</param>
/// <param name="Wander">What its centre misses the centre's tolerance by, in millimetres; nought where it is not judged.</param>
/// <param name="Misfit">What it misses the wear window by.</param>
/// <param name="Shortfall">What the reserve lacks, both ways together.</param>
/// <param name="Tighter">Left to tighten.</param>
/// <param name="Looser">Left to loosen.</param>
/// <param name="Moved">Links moved to get there.</param>
/// <param name="Adjusts">Whether it can be adjusted without tools for links.</param>
/// <param name="Reach">All lengths that can be made with it.</param>
public sealed record ClaspEffect(
    Length Length, decimal OffCentre, decimal Wander, Length Misfit, Length Shortfall, Length Tighter, Length Looser, int Moved, bool Adjusts, Reach Reach)
{
    /// <summary>Whether a target lies between two lengths that can be made, and none can be worn.</summary>
    public bool IsBetweenSizes(FitTarget target) => Reach.GapAt(target.Length, target.Window) is { Below: not null, Above: not null };
}

/// <summary>
/// The rule <c>reach</c>: whether the best plan with a clasp makes the length wanted, with something left each way (fit
/// model, sections 5 and 6).
/// </summary>
public static class ClaspReachRule
{
    /// <summary>The rule's name.</summary>
    public const string Name = "reach";

    /// <summary>Judges what a clasp does to the fit.</summary>
    /// <param name="with">With the clasp.</param>
    /// <param name="present">With the present clasp; null when it is not known, or is the one that is judged.</param>
    /// <param name="target">The length wanted.</param>
    public static RuleVerdict Judge(ClaspEffect with, ClaspEffect? present, FitTarget target)
    {
        var gaps = Gaps(with, present);
        var figure = with.Length.ToTenths();
        if (with.Misfit > Length.Zero && with.Misfit <= target.Sigma)
            return new RuleVerdict(Name, Verdict.Compromise, $"The nearest it makes, {with.Length.ToTenths()}, is by this reading {with.Misfit.ToTenths()} too {(with.Length > target.Length ? "loose" : "tight")}: try it on.{gaps}") { Figure = figure };
        if (with.Misfit > Length.Zero)
        {
            return new RuleVerdict(Name, Verdict.No, with.IsBetweenSizes(target)
                ? $"Still between sizes: the nearest, {with.Length.ToTenths()}, misses what can be worn by {with.Misfit.ToTenths()}.{gaps}"
                : $"The nearest it makes, {with.Length.ToTenths()}, misses what can be worn by {with.Misfit.ToTenths()}.{gaps}")
            { Figure = figure };
        }
        var off = (with.Length - target.Length).Abs();
        if (off > target.Tolerance)
            return new RuleVerdict(Name, Verdict.Compromise, $"Makes {with.Length.ToTenths()}, {off.ToTenths()} from what is wanted; it can be worn.{gaps}") { Figure = figure };
        if (with.Wander > 0)
            return new RuleVerdict(Name, Verdict.Compromise, string.Create(CultureInfo.InvariantCulture, $"Makes {with.Length.ToTenths()}, but its centre sits {Math.Abs(with.OffCentre):0.0} mm off.{gaps}")) { Figure = figure };
        if (!with.Adjusts)
            return new RuleVerdict(Name, Verdict.Fits, $"Makes {with.Length.ToTenths()}; it has no micro-adjust, so nothing is left for hot or cold days.{gaps}") { Figure = figure };
        return with.Shortfall > Length.Zero
            ? new RuleVerdict(Name, Verdict.Compromise,
                $"Makes {with.Length.ToTenths()}, but leaves only {with.Tighter.ToTenths()} to tighten and {with.Looser.ToTenths()} to loosen.{gaps}")
            { Figure = figure }
            : new RuleVerdict(Name, Verdict.Fits,
                $"Makes {with.Length.ToTenths()}, {with.Tighter.ToTenths()} left to tighten and {with.Looser.ToTenths()} to loosen.{gaps}")
            { Figure = figure };
    }

    /// <summary>
    /// Whether the clasp closes a gap that the present one leaves: between two sizes with that; with this a length that can be
    /// worn, its centre where it should be.
    /// </summary>
    public static bool Cures(ClaspEffect? with, ClaspEffect? present, FitTarget target) =>
        with is { } cured && cured.Reach.Holds(target.Length, target.Window) && present is { } before && before.IsBetweenSizes(target);

    private static string Gaps(ClaspEffect with, ClaspEffect? present) => (with.Reach.LargestGap, present?.Reach.LargestGap) switch
    {
        ({ } gap, { } before) => $" Largest gap between sizes: {gap.ToTenths()}, with the present clasp {before.ToTenths()}.",
        ({ } gap, null) => $" Largest gap between sizes: {gap.ToTenths()}.",
        _ => "",
    };
}
