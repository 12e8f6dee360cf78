using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Matching;

/// <summary>
/// The rule <c>wearer</c>: whether the band's reach holds the length this wrist wants. However well a band fits the
/// watch, it does not fit the wearer when it cannot be closed right.
/// </summary>
public static class WearerRule
{
    /// <summary>The rule's name.</summary>
    public const string Name = "wearer";

    /// <summary>Judges a reach against a target.</summary>
    /// <param name="reach">All lengths the band can make.</param>
    /// <param name="target">The length wanted.</param>
    /// <param name="holed">What the band closes in, where it is no link bracelet.</param>
    public static RuleVerdict Judge(Reach reach, FitTarget target, HoledBand? holed = null)
    {
        var judged = holed is null ? Find(reach, target) : Find(holed, target);
        return reach.Lengths.Count > 0 ? judged with { Figure = $"{reach.Lengths.MinBy(l => (l.Length - target.Length).Abs()).Length.ToTenths()}" } : judged;
    }

    /// <summary>What a band that closes in places is on this wearer.</summary>
    /// <param name="holed">The band.</param>
    /// <param name="target">The length wanted.</param>
    public static Verdict VerdictOf(HoledBand holed, FitTarget target)
    {
        var nearest = holed.Nearest(target);
        if (nearest.Misfit > target.Sigma)
            return Verdict.No;
        return holed.Reserve(target.Length, target.Window) > Length.Zero ? Verdict.Fits : Verdict.Compromise;
    }

    /// <summary>What a band is on this wearer.</summary>
    /// <param name="isMade">Whether it makes a length that can be worn.</param>
    /// <param name="withRoom">Whether it makes one with a position or hole left each way.</param>
    public static Verdict VerdictOf(bool isMade, bool withRoom) => withRoom ? Verdict.Fits : isMade ? Verdict.Compromise : Verdict.No;

    private static RuleVerdict Find(HoledBand holed, FitTarget target)
    {
        var (wanted, place) = (target.Length, holed.Place);
        var (verdict, nearest) = (VerdictOf(holed, target), holed.Nearest(target));
        if (verdict == Verdict.Fits)
            return new RuleVerdict(Name, verdict, $"Makes the {wanted.ToTenths()} wanted with a {place} left each way.");
        if (nearest.Misfit > Length.Zero)
            return Misses(verdict, nearest.Length, nearest.Misfit, wanted, nearest.Length > wanted ? $"Shortest it makes is {holed.LengthIn(0).ToTenths()}" : $"Longest it makes is {holed.LengthIn(holed.Holes - 1).ToTenths()}");
        if (holed.SaysBetween(target) is { } between)
            return new RuleVerdict(Name, verdict, $"The {wanted.ToTenths()} wanted lies {between}.");
        return new RuleVerdict(Name, verdict, !nearest.KeepersHold && nearest.HolesTighter > 0 && nearest.HolesLooser > 0
            ? $"Makes the {wanted.ToTenths()} wanted, but its tail passes the buckle by only {nearest.PastBuckle.ToTenths()}, too little for both keepers."
            : $"Makes the {wanted.ToTenths()} wanted, but with no {place} left one way.");
    }

    private static RuleVerdict Find(Reach reach, FitTarget target)
    {
        var (wanted, window) = (target.Length, target.Window);
        if (!reach.Holds(wanted, window) && reach.OffCentre.Any(l => (l - wanted).Abs() <= window))
            return new RuleVerdict(Name, Verdict.Compromise, $"Makes the {wanted.ToTenths()} wanted only with its clasp off its place.");
        if (target.Sigma > Length.Zero && !reach.Holds(wanted, window + target.Sigma) && reach.OffCentre.Any(l => (l - wanted).Abs() <= window + target.Sigma))
            return new RuleVerdict(Name, Verdict.Compromise, $"By this reading nearly makes the {wanted.ToTenths()} wanted, only with its clasp off its place: try it on.");
        if (reach.Shortest is not { } shortest || reach.Longest is not { } longest)
            return new RuleVerdict(Name, Verdict.No, "Its clasp cannot be brought to the middle, whatever is taken out.");
        var verdict = VerdictOf(reach.Holds(wanted, window), reach.HoldsWithRoom(wanted, window));
        if (verdict != Verdict.No)
            return new RuleVerdict(Name, verdict, $"Makes the {wanted.ToTenths()} wanted{(verdict == Verdict.Fits ? " with a position left each way" : ", but with no position left one way")}.");
        var nearest = reach.Lengths.MinBy(l => (l.Length - wanted).Abs()).Length;
        var miss = (nearest - wanted).Abs() - window;
        var within = miss <= target.Sigma ? Verdict.Compromise : Verdict.No;
        if (within == Verdict.No && wanted > shortest && wanted < longest)
        {
            var (below, above) = reach.GapAt(wanted, window)!.Value;
            return new RuleVerdict(Name, within, $"Makes {below!.Value.ToTenths()} or {above!.Value.ToTenths()} and nothing between: misses by {Tenths(miss)}.");
        }
        return Misses(within, nearest, miss, wanted, wanted < shortest ? $"Shortest it makes is {shortest.ToTenths()}" : wanted > longest ? $"Longest it makes is {longest.ToTenths()}" : $"The nearest it makes is {nearest.ToTenths()}");
    }

    /// <summary>A miss smaller than the length is known to be is no refusal: it is tried on.</summary>
    private static RuleVerdict Misses(Verdict verdict, Length nearest, Length miss, Length wanted, string makes)
    {
        var how = nearest > wanted ? "loose" : "tight";
        return new RuleVerdict(Name, verdict, verdict == Verdict.No ? $"{makes}: {Tenths(miss)} too {how}." : $"{makes}; by this reading {Tenths(miss)} too {how}: try it on.");
    }

    private static string Tenths(Length miss) => miss < Length.FromMillimetres(0.05m) ? "less than 0.1 mm" : miss.ToTenths();
}
