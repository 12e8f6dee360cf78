namespace IronLoop.Core.Stock;

/// <summary>How many of a part there are.</summary>
/// <param name="OnHand">How many lie in their place, 0 or more.</param>
/// <param name="Reserved">How many of these are reserved for jobs.</param>
/// <param name="Awaited">How many jobs wait for beyond what is on hand.</param>
/// <param name="Ordered">How many are ordered, or on a list to be ordered, and have not come.</param>
/// <param name="Minimum">How many the shop wants to keep.</param>
public readonly record struct PartCount(int OnHand, int Reserved, int Awaited, int Ordered, int Minimum)
{
    /// <summary>How many of the ordered stand on the list still and were not sent for.</summary>
    public int Listed { get; init; }

    /// <summary>How many were sent for and have not come.</summary>
    public int OnTheirWay => Ordered - Listed;

    /// <summary>How many another job can have.</summary>
    public int Free => OnHand - Reserved;

    /// <summary>How many to order so that every job has its own and the minimum is kept; nought when enough are there or on their way.</summary>
    public int ToOrder => Math.Max(0, Minimum + Awaited - Free - Ordered);

    /// <summary>Why fewer than counted cannot be: what is reserved for jobs lies in the place too.</summary>
    /// <param name="counted">How many were counted.</param>
    /// <returns>Null when it can be.</returns>
    public string? WhyNotCounted(int counted) => counted >= Reserved
        ? null
        : $"{counted} counted, but {Reserved} are reserved for jobs; free those jobs’ parts first.";
}
