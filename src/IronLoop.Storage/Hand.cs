namespace IronLoop.Storage;

/// <summary>
/// Whose hand a request is, and which job it is laid on. It goes with the request through every piece of work begun
/// for it, so that what is written carries the name of whoever did it, and no change is made on an older sight of the job.
/// </summary>
/// <param name="by">Initials of whoever is signed in; null where nobody has to be.</param>
/// <param name="jobId">The job that is changed; null when the change is to no job.</param>
/// <param name="at">When.</param>
/// <param name="what">What is done, in words.</param>
public sealed class Hand(string? by, long? jobId, DateTimeOffset at, string what)
{
    private static readonly AsyncLocal<Hand?> Now = new();

    /// <summary>The hand of the request that runs; null when nobody's does.</summary>
    public static Hand? AtWork
    {
        get => Now.Value;
        set => Now.Value = value;
    }

    /// <summary>Initials of whoever is signed in; null where nobody has to be.</summary>
    public string? By { get; } = by;

    /// <summary>The job's version that was seen before the change; null when that was not said.</summary>
    public long? Seen { get; init; }

    /// <summary>The job's version after the change; null before one was kept.</summary>
    public long? Version { get; private set; }

    /// <summary>Counts the job up in a piece of work that writes, and notes whose hand it was.</summary>
    /// <exception cref="StaleException">The job was changed since it was seen.</exception>
    internal void LayOn(ShopWork work)
    {
        var stands = jobId is { } job ? Jobs.VersionOf(work, job) : null;
        if (stands is not null)
        {
            // A request that works in several pieces is stale by what others did, not by its own first piece.
            if ((Version ?? Seen) is { } seen && seen != stands.Version)
                throw new StaleException(jobId!.Value, stands);
            work.Execute("UPDATE job SET version = version + 1, changed_by = $by, changed_at = $at WHERE id = $id", ("$by", By ?? ""), ("$at", at), ("$id", jobId));
            work.OnKept(() => Version = stands.Version + 1);
        }
        if (By is not null)
        {
            work.Execute("INSERT INTO change_entry (at, by, job_id, version, what) VALUES ($at, $by, $job, $version, $what)",
                ("$at", at), ("$by", By), ("$job", stands is null ? null : jobId), ("$version", stands?.Version + 1), ("$what", what));
        }
    }
}

/// <summary>A change somebody made.</summary>
/// <param name="At">When.</param>
/// <param name="By">Who, by initials.</param>
/// <param name="JobId">The job it was to; null when it was to none.</param>
/// <param name="What">What was done, in words.</param>
public sealed record ChangeEntry(DateTimeOffset At, string By, long? JobId, string What);

/// <summary>Every change by whoever was signed in.</summary>
public static class ChangeEntries
{
    /// <summary>The last ones, the newest first.</summary>
    public static IReadOnlyList<ChangeEntry> Last(ShopWork work, int count) =>
        work.Query("SELECT * FROM change_entry ORDER BY id DESC LIMIT $count",
            row => new ChangeEntry(row.Time("at"), row.Text("by"), row.Maybe("job_id", Columns.Number), row.Text("what")), ("$count", count));
}

/// <summary>The version a job is at, and who made it that.</summary>
/// <param name="Version">Counted up by every change.</param>
/// <param name="by">Initials of whoever changed it last; empty where nobody has to sign in.</param>
/// <param name="At">When; null when it was not changed since it was taken in.</param>
public sealed record JobVersion(long Version, string By, DateTimeOffset? At);

/// <summary>A change was made on an older sight of a job than it is at.</summary>
public sealed class StaleException(long jobId, JobVersion stands) : Exception($"Job {jobId} was changed since it was seen.")
{
    /// <summary>The job.</summary>
    public long JobId { get; } = jobId;

    /// <summary>What it is at.</summary>
    public JobVersion Stands { get; } = stands;
}
