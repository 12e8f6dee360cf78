using IronLoop.Core.Jobs;

namespace IronLoop.Storage;

/// <summary>Watches that are observed before they go back.</summary>
public static class Observed
{
    /// <summary>The observation of a job; null where none was ever set.</summary>
    public static UnderObservation? Of(ShopWork work, long jobId)
    {
        var looks = work.Query("SELECT id, due, shows, looked_at, by FROM observation_look WHERE job_id = $job ORDER BY due, id",
            row => new ObservedLook(row.Number("id"), row.Day("due"), row.Text("shows"), row.Maybe("looked_at", Columns.Time), row.Text("by")), ("$job", jobId));
        return work.Query("SELECT until, set_what, set_at, by, ended_at FROM observation WHERE job_id = $job",
            row => new UnderObservation(row.Day("until"), row.Text("set_what"), row.Time("set_at"), row.Text("by"), row.Maybe("ended_at", Columns.Time), looks), ("$job", jobId)).SingleOrDefault();
    }

    /// <summary>Sets one, or sets it anew; looks that were taken stay.</summary>
    public static void Set(ShopWork work, long jobId, UnderObservation observation)
    {
        work.Execute("INSERT OR REPLACE INTO observation (job_id, until, set_what, set_at, by) VALUES ($job, $until, $set, $at, $by)",
            ("$job", jobId), ("$until", observation.Until), ("$set", observation.Set), ("$at", observation.SetAt), ("$by", observation.By));
        work.Execute("DELETE FROM observation_look WHERE looked_at IS NULL AND job_id = $job", ("$job", jobId));
        foreach (var look in observation.Looks.Where(l => l.At is null))
            work.Execute("INSERT INTO observation_look (job_id, due) VALUES ($job, $due)", ("$job", jobId), ("$due", look.Due));
    }

    /// <summary>Notes what a look showed: at the first that is due, else as one more of that day.</summary>
    public static void Look(ShopWork work, long jobId, DateOnly day, string shows, DateTimeOffset at, string by)
    {
        var due = work.Query("SELECT id FROM observation_look WHERE job_id = $job AND looked_at IS NULL AND due <= $day ORDER BY due, id LIMIT 1",
            row => row.Number("id"), ("$job", jobId), ("$day", day));
        if (due is [var id])
            work.Execute("UPDATE observation_look SET shows = $shows, looked_at = $at, by = $by WHERE id = $id AND job_id = $job",
                ("$id", id), ("$job", jobId), ("$shows", shows), ("$at", at), ("$by", by));
        else
            work.Execute("INSERT INTO observation_look (job_id, due, shows, looked_at, by) VALUES ($job, $day, $shows, $at, $by)",
                ("$job", jobId), ("$day", day), ("$shows", shows), ("$at", at), ("$by", by));
    }

    /// <summary>Ends it; looks that were not taken are not due any more.</summary>
    public static void End(ShopWork work, long jobId, DateTimeOffset at)
    {
        work.Execute("UPDATE observation SET ended_at = $at WHERE job_id = $job", ("$job", jobId), ("$at", at));
        work.Execute("DELETE FROM observation_look WHERE looked_at IS NULL AND job_id = $job", ("$job", jobId));
    }
}
