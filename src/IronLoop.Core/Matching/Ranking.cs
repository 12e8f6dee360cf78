using IronLoop.Core.Measuring;

namespace IronLoop.Core.Matching;

/// <summary>What the order of the match list looks at.</summary>
/// <param name="Verdict">The band's verdict.</param>
/// <param name="ReserveEachWay">The lesser of what is left to tighten and to loosen; more is better.</param>
/// <param name="InStock">Whether it can be had at once.</param>
/// <param name="PriceCents">Its price.</param>
public readonly record struct MatchRank(Verdict Verdict, Length ReserveEachWay, bool InStock, long PriceCents) : IComparable<MatchRank>
{
    /// <summary>Best first: verdict; then how well it fits the wearer; in stock before order; then price.</summary>
    public int CompareTo(MatchRank other)
    {
        var order = Verdict.CompareTo(other.Verdict);
        if (order == 0) order = other.ReserveEachWay.CompareTo(ReserveEachWay);
        if (order == 0) order = other.InStock.CompareTo(InStock);
        return order != 0 ? order : PriceCents.CompareTo(other.PriceCents);
    }

    /// <summary>Whether the first is listed before.</summary>
    public static bool operator <(MatchRank a, MatchRank b) => a.CompareTo(b) < 0;

    /// <summary>Whether the first is listed after.</summary>
    public static bool operator >(MatchRank a, MatchRank b) => a.CompareTo(b) > 0;

    /// <summary>Whether the first is not listed after.</summary>
    public static bool operator <=(MatchRank a, MatchRank b) => a.CompareTo(b) <= 0;

    /// <summary>Whether the first is not listed before.</summary>
    public static bool operator >=(MatchRank a, MatchRank b) => a.CompareTo(b) >= 0;
}
