using IronLoop.Core.Jobs;

namespace IronLoop.Storage;

/// <summary>
/// Whose hand a request is, and what it is laid on: a job, or a list that several people change. Every piece of work for the request is
/// begun with it, so that what is written carries the name of whoever did it, and no change is made on an older sight.
/// </summary>
/// <param name="by">Initials of whoever is signed in; null where nobody has to be.</param>
/// <param name="jobId">The job that is changed; null when the change is to no job.</param>
/// <param name="at">When.</param>
/// <param name="what">What is done, in words.</param>
public sealed class Hand(string? by, long? jobId, DateTimeOffset at, string what)
{
    /// <summary>Initials of whoever is signed in; null where nobody has to be.</summary>
    public string? By { get; } = by;

    /// <summary>The job that is changed; null when the change is to no job.</summary>
    public long? JobId { get; } = jobId;

    /// <summary>The list that is changed, by its name; null when it is none.</summary>
    public string? Sheet { get; init; }

    /// <summary>The version that was seen before the change; null when whatever stands is to be changed.</summary>
    public long? Seen { get; init; }

    /// <summary>The version after the change; null before one was kept.</summary>
    public long? Version { get; private set; }

    /// <summary>The jobs it touched, as far as it was kept; null when there were more than can be named.</summary>
    public IReadOnlyCollection<long>? Touched { get; private set; } = [];

    /// <summary>Notes which jobs a piece of work touched.</summary>
    internal void Note(Changed changed) => Touched = changed.All || Touched is null ? null : [.. Touched.Union(changed.Jobs)];

    /// <summary>The name the call gave itself; null where it gave none.</summary>
    public Press? Press { get; set; }

    /// <summary>Counts what it is laid on up in a piece of work that writes, and notes whose hand it was.</summary>
    /// <exception cref="StaleException">It was changed since it was seen.</exception>
    internal void LayOn(ShopWork work)
    {
        var stands = JobId is { } job ? Jobs.VersionOf(work, job) : Sheet is not null ? Sheets.VersionOf(work, Sheet) : null;
        if (stands is not null)
        {
            // A request that works in several pieces is stale by what others did, not by its own first piece.
            if ((Version ?? Seen) is { } seen && seen != stands.Version)
                throw new StaleException(JobId is null ? $"The {Sheet!.Replace('-', ' ')} were" : $"Job {JobId} was", stands);
            if (JobId is null)
                Sheets.Set(work, Sheet!, new SheetVersion(stands.Version + 1, By ?? "", at));
            else
                work.Execute("UPDATE job SET version = version + 1, changed_by = $by, changed_at = $at WHERE id = $id", ("$by", By ?? ""), ("$at", at), ("$id", JobId));
            work.OnCommitted(() => Version = stands.Version + 1);
        }
        if (By is not null)
        {
            work.Execute("INSERT INTO change_entry (at, by, job_id, version, what) VALUES ($at, $by, $job, $version, $what)",
                ("$at", at), ("$by", By), ("$job", stands is null ? null : JobId), ("$version", JobId is null ? null : stands?.Version + 1), ("$what", what));
        }
        if (Press is not null)
            Presses.Note(work, Press, at);
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
