namespace IronLoop.Storage;

/// <summary>
/// Whose hand a request is, and which job it is laid on. It goes with the request through every piece of work begun
/// for it, so that what is written carries the name of whoever did it, and no change is made on an older sight of the job.
/// </summary>
/// <param name="By">Initials of whoever is signed in; null where nobody has to be.</param>
/// <param name="JobId">The job that is changed; null when the change is to no job.</param>
/// <param name="At">When.</param>
public sealed class Hand(string? by, long? jobId, DateTimeOffset at)
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

    /// <summary>Counts the job up in a piece of work that writes.</summary>
    /// <exception cref="StaleException">The job was changed since it was seen.</exception>
    internal void LayOn(ShopWork work)
    {
        if (jobId is not { } job || Jobs.VersionOf(work, job) is not { } stands)
            return;
        // A request that works in several pieces is stale by what others did, not by its own first piece.
        if ((Version ?? Seen) is { } seen && seen != stands.Version)
            throw new StaleException(job, stands);
        work.Execute("UPDATE job SET version = version + 1, changed_by = $by, changed_at = $at WHERE id = $id", ("$id", job), ("$by", By ?? ""), ("$at", at));
        work.OnKept(() => Version = stands.Version + 1);
    }
}

/// <summary>The version a job is at, and who made it that.</summary>
/// <param name="Version">Counted up by every change.</param>
/// <param name="By">Initials of whoever changed it last; empty where nobody has to sign in.</param>
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
