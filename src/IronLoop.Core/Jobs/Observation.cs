namespace IronLoop.Core.Jobs;

/// <summary>How a watch goes back, as it is agreed at take-in. Stored and sent by name.</summary>
public enum ReturnTerms
{
    /// <summary>Its owner comes for it.</summary>
    Collected,

    /// <summary>Posted in the box it came in.</summary>
    OwnBox,

    /// <summary>Posted in a box of the shop's.</summary>
    OurBox,
}

/// <summary>A dated look at a watch under observation.</summary>
/// <param name="Id">Its number.</param>
/// <param name="Due">The day it is looked at.</param>
/// <param name="Shows">What it showed; empty while nobody looked.</param>
/// <param name="At">When somebody looked.</param>
/// <param name="By">Who, by initials.</param>
public sealed record ObservedLook(long Id, DateOnly Due, string Shows, DateTimeOffset? At, string By);

/// <summary>A watch that is observed before it goes back.</summary>
/// <param name="Until">The last day of it.</param>
/// <param name="Set">What was set, and is watched.</param>
/// <param name="SetAt">When it was set.</param>
/// <param name="By">Who set it, by initials.</param>
/// <param name="EndedAt">When it ended; null while it stands.</param>
/// <param name="Looks">The looks, by day.</param>
public sealed record UnderObservation(DateOnly Until, string Set, DateTimeOffset SetAt, string By, DateTimeOffset? EndedAt, IReadOnlyList<ObservedLook> Looks)
{
    /// <summary>How long what is set may be told, and what a look shows.</summary>
    public const int Longest = 200;
}
