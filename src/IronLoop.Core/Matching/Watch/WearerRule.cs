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
    /// <param name="target">The length wanted, or null when wrist or head was not measured.</param>
    /// <param name="window">Half the wear window.</param>
    /// <param name="places">What the band adjusts by, for the sentence: "position" or "hole".</param>
    public static RuleVerdict Judge(Reach reach, Length? target, Length window, string places)
    {
        var judged = Find(reach, target, window, places);
        return target is { } wanted && reach.Lengths.Count > 0
            ? judged with { Figure = $"{reach.Lengths.MinBy(l => (l.Length - wanted).Abs()).Length.ToTenths()}" }
            : judged;
    }

    /// <summary>What a band is on this wearer.</summary>
    /// <param name="isMade">Whether it makes a length that can be worn.</param>
    /// <param name="withRoom">Whether it makes one with a position or hole left each way.</param>
    public static Verdict VerdictOf(bool isMade, bool withRoom) => withRoom ? Verdict.Fits : isMade ? Verdict.Compromise : Verdict.No;

    private static RuleVerdict Find(Reach reach, Length? target, Length window, string places)
    {
        if (target is not { } wanted)
            return new RuleVerdict(Name, Verdict.Unknown, "Measure the wrist and the lug-to-lug first.");
        if (reach.Shortest is not { } shortest || reach.Longest is not { } longest)
            return new RuleVerdict(Name, Verdict.No, "Its clasp cannot be brought to the middle, whatever is taken out.");
        var verdict = VerdictOf(reach.Holds(wanted, window), reach.HoldsWithRoom(wanted, window));
        if (verdict != Verdict.No)
            return new RuleVerdict(Name, verdict, $"Makes the {wanted.ToTenths()} wanted{(verdict == Verdict.Fits ? $" with a {places} left each way" : $", but with no {places} left one way")}.");
        var miss = reach.Lengths.Min(l => (l.Length - wanted).Abs()) - window;
        var missing = miss < Length.FromMillimetres(0.05m) ? "less than 0.1 mm" : miss.ToTenths();
        if (wanted < shortest)
            return new RuleVerdict(Name, Verdict.No, $"Shortest it makes is {shortest.ToTenths()}: {missing} too loose.");
        if (wanted > longest)
            return new RuleVerdict(Name, Verdict.No, $"Longest it makes is {longest.ToTenths()}: {missing} too tight.");
        var (below, above) = reach.GapAt(wanted, window)!.Value;
        return new RuleVerdict(Name, Verdict.No,
            $"Makes {below!.Value.ToTenths()} or {above!.Value.ToTenths()} and nothing between: misses by {missing}.");
    }
}
