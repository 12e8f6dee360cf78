namespace IronLoop.Core.Day;

/// <summary>Time somebody works, in whole minutes from the beginning of the first day.</summary>
/// <param name="From">Its first minute.</param>
/// <param name="To">The minute after its last; later than <paramref name="From"/>.</param>
public readonly record struct WorkTime(int From, int To)
{
    /// <summary>Its minutes.</summary>
    public int Minutes => To - From;
}

/// <summary>Somebody who works at the bench.</summary>
/// <param name="Id">Who.</param>
/// <param name="Hours">When; what overlaps counts once.</param>
/// <param name="Not">What they do not do.</param>
public sealed record DayHand(string Id, IReadOnlyList<WorkTime> Hours, IReadOnlySet<string> Not)
{
    /// <summary>Whether they can do a job.</summary>
    public bool Can(DayJob job) => (job.Of is null || job.Of == Id) && !job.Needs.Overlaps(Not);

    /// <summary>The hours from a moment on, in their order, none overlapping and none touching.</summary>
    /// <param name="now">The moment.</param>
    public IReadOnlyList<WorkTime> From(int now)
    {
        var hours = new List<WorkTime>();
        foreach (var hour in Hours.Select(h => h with { From = Math.Max(h.From, now) }).Where(h => h.Minutes > 0).OrderBy(h => h.From))
        {
            if (hours.Count > 0 && hour.From <= hours[^1].To)
                hours[^1] = hours[^1] with { To = Math.Max(hours[^1].To, hour.To) };
            else
                hours.Add(hour);
        }
        return hours;
    }
}

/// <summary>Work that is left.</summary>
/// <param name="Id">Which job.</param>
/// <param name="Minutes">Minutes at the bench, 1 or more.</param>
/// <param name="NotBefore">The first minute it can be worked on.</param>
/// <param name="Due">The minute it is promised for.</param>
/// <param name="Needs">What it asks of whoever does it.</param>
public sealed record DayJob(string Id, int Minutes, int NotBefore, int Due, IReadOnlySet<string> Needs)
{
    /// <summary>Whose it is; null where anybody does it.</summary>
    public string? Of { get; init; }

    /// <summary>What lies out for it: the family of its tools and its fastener. Jobs with the same lie together.</summary>
    public string Tools { get; init; } = "";

    /// <summary>Whether it is in hand now: then it stays first with whose it is.</summary>
    public bool IsInHand { get; init; }
}
