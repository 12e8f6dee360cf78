namespace IronLoop.Core.Fitting;

/// <summary>
/// Where the odd link goes when the links taken out, or put in, do not share evenly: practitioners differ (trade practice);
/// what counts is the centre, so it is computed unless the house says otherwise.
/// </summary>
public enum OddLink
{
    /// <summary>Where the planner has it: sides may differ by more than one where that centres better.</summary>
    AsComputed,

    /// <summary>Shared evenly, an odd one on the 12 side.</summary>
    OnTwelve,

    /// <summary>Shared evenly, an odd one on the 6 side.</summary>
    OnSix,
}

/// <summary>The rule of the odd link.</summary>
public static class OddLinks
{
    /// <summary>Whether so many links fewer or more on each side keep to the rule.</summary>
    /// <param name="odd">The rule.</param>
    /// <param name="twelve">Links more on the 12 side than before; fewer when below nought.</param>
    /// <param name="six">The same on the 6 side.</param>
    public static bool Keeps(this OddLink odd, int twelve, int six) => odd switch
    {
        OddLink.OnTwelve => Math.Abs(twelve) - Math.Abs(six) is 0 or 1 && (long)twelve * six >= 0,
        OddLink.OnSix => Math.Abs(six) - Math.Abs(twelve) is 0 or 1 && (long)twelve * six >= 0,
        _ => true,
    };
}
