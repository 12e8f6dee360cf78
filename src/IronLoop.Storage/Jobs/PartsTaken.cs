using IronLoop.Core.Jobs;
using IronLoop.Core.Stock;

namespace IronLoop.Storage;

/// <summary>What jobs take from the stock of parts: reserved at once when there are enough, else awaited, and booked out in the end.</summary>
public static class PartsTaken
{
    /// <summary>Gives back the clasp that was to go on, with its pins.</summary>
    public static void LeaveClasp(ShopWork work, long jobId)
    {
        Leave(work, jobId, PartTaken.ForClasp);
        Leave(work, jobId, PartTaken.ForClaspPins);
    }

    /// <summary>What a job takes.</summary>
    public static IReadOnlyList<PartTaken> Of(ShopWork work, long jobId) =>
        [.. work.Query("SELECT * FROM part_taken WHERE job_id = $job ORDER BY use",
            row => (Part: row.Number("part_id"), Use: row.Text("use"), Count: row.Count("count"), Reserved: row.Yes("reserved"),
                Came: row.Maybe("came_at", Columns.Time), Booked: row.Maybe("booked_at", Columns.Time)), ("$job", jobId))
            .Select(r => new PartTaken(jobId, Parts.Find(work, r.Part)!, r.Use, r.Count, r.Reserved, r.Came, r.Booked))];

    /// <summary>Takes a part for a use, in place of what was taken for it before.</summary>
    /// <returns>Whether there were enough, so that it is reserved; else the job waits.</returns>
    public static bool Take(ShopWork work, long jobId, string use, long partId, int count)
    {
        Leave(work, jobId, use);
        var isReserved = Parts.Find(work, partId)!.Count.Free >= count;
        work.Execute("INSERT INTO part_taken (job_id, part_id, use, count, reserved) VALUES ($job, $part, $use, $count, $reserved)",
            ("$job", jobId), ("$part", partId), ("$use", use), ("$count", count), ("$reserved", isReserved));
        return isReserved;
    }

    /// <summary>Gives back what was taken for a use, unless it is booked out; a line not ordered yet for it falls away.</summary>
    public static void Leave(ShopWork work, long jobId, string use)
    {
        var before = Of(work, jobId).SingleOrDefault(t => t.Use == use && t.BookedAt is null);
        if (before is null)
            return;
        work.Execute("DELETE FROM part_taken WHERE job_id = $job AND use = $use", ("$job", jobId), ("$use", use));
        work.Execute("DELETE FROM order_line WHERE order_id IS NULL AND job_id = $job AND part_id = $part", ("$job", jobId), ("$part", before.Part.Id));
        if (before.IsReserved)
            GiveToWaiting(work, before.Part.Id, at: null);
    }

    /// <summary>Books out what a job used; what was reserved and not used is another job's again.</summary>
    /// <param name="work">The piece of work.</param>
    /// <param name="jobId">The job.</param>
    /// <param name="used">How many of each article were used; null where nobody kept account, so that all that was taken was.</param>
    /// <param name="at">When.</param>
    /// <param name="by">Who, by initials.</param>
    public static void BookOut(ShopWork work, long jobId, IReadOnlyDictionary<string, int>? used, DateTimeOffset at, string by)
    {
        var left = used?.ToDictionary(StringComparer.Ordinal);
        foreach (var taken in Of(work, jobId).Where(t => t is { BookedAt: null, IsReserved: true }))
        {
            var count = left is null ? taken.Count : Math.Min(taken.Count, left.GetValueOrDefault(taken.Part.Part.Article));
            if (count == 0)
            {
                Leave(work, jobId, taken.Use);
                continue;
            }
            left?[taken.Part.Part.Article] -= count;
            work.Execute("UPDATE part_taken SET booked_at = $at, count = $count WHERE job_id = $job AND use = $use", ("$job", jobId), ("$use", taken.Use), ("$at", at), ("$count", count));
            Parts.Change(work, taken.Part.Id, -count, $"job {jobId}", at, by, jobId);
            if (count < taken.Count)
                GiveToWaiting(work, taken.Part.Id, at: null);
        }
    }

    /// <summary>Gives parts that lie free to the jobs that wait for them, those promised first before the others.</summary>
    /// <param name="work">The piece of work.</param>
    /// <param name="partId">The part.</param>
    /// <param name="at">When they came; null when another job left them.</param>
    /// <returns>The jobs that have theirs now.</returns>
    public static IReadOnlyList<long> GiveToWaiting(ShopWork work, long partId, DateTimeOffset? at)
    {
        var free = Parts.Find(work, partId)!.Count.Free;
        var waiting = work.Query(
            """
            SELECT job_id, use, count FROM part_taken JOIN job ON job.id = job_id
            WHERE part_id = $part AND reserved = 0 AND booked_at IS NULL ORDER BY job.promised, job.id
            """,
            row => (Job: row.Number("job_id"), Use: row.Text("use"), Count: row.Count("count")), ("$part", partId));
        var served = new List<long>();
        foreach (var (job, use, count) in waiting)
        {
            if (count > free)
                continue;
            free -= count;
            work.Execute("UPDATE part_taken SET reserved = 1, came_at = $at WHERE job_id = $job AND use = $use", ("$job", job), ("$use", use), ("$at", at));
            served.Add(job);
        }
        return served;
    }

    /// <summary>The open jobs that wait for parts, and those whose parts have come.</summary>
    public static (IReadOnlySet<long> Waiting, IReadOnlySet<long> Come) OnTheRack(ShopWork work)
    {
        var rows = work.Query(
            "SELECT job_id, reserved, came_at FROM part_taken WHERE booked_at IS NULL",
            row => (Job: row.Number("job_id"), Reserved: row.Yes("reserved"), Came: row.Maybe("came_at", Columns.Time)));
        var waiting = rows.Where(r => !r.Reserved).Select(r => r.Job).ToHashSet();
        return (waiting, rows.Where(r => r.Came is not null && !waiting.Contains(r.Job)).Select(r => r.Job).ToHashSet());
    }
}
