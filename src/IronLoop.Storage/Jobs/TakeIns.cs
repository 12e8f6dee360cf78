using IronLoop.Core.Jobs;

namespace IronLoop.Storage;

/// <summary>A mark on the drawn head: what is seen where.</summary>
/// <param name="Id">Its number.</param>
/// <param name="Place">Where.</param>
/// <param name="Kind">What.</param>
/// <param name="Note">More about it.</param>
public sealed record ConditionMark(long Id, DamagePlace Place, DamageKind Kind, string Note);

/// <summary>A photo as stored; the picture itself lies beside the database.</summary>
/// <param name="Id">Its number, which names its file.</param>
/// <param name="Type">Its media type.</param>
/// <param name="Bytes">Its size.</param>
public sealed record Photo(long Id, string Type, long Bytes);

/// <summary>What is seen, brought along and found outside the craft when a job is taken in.</summary>
public static class TakeIns
{
    /// <summary>Puts a mark on the drawn head.</summary>
    public static void Mark(ShopWork work, long jobId, DamagePlace place, DamageKind kind, string note) =>
        work.Execute("INSERT INTO condition_mark (job_id, place, kind, note) VALUES ($job, $place, $kind, $note)",
            ("$job", jobId), ("$place", place), ("$kind", kind), ("$note", note));

    /// <summary>Takes a mark away.</summary>
    /// <returns>Whether there was such a mark on this job.</returns>
    public static bool Unmark(ShopWork work, long jobId, long markId) =>
        work.Execute("DELETE FROM condition_mark WHERE id = $id AND job_id = $job", ("$id", markId), ("$job", jobId)) == 1;

    /// <summary>The marks of a job, in the order they were put.</summary>
    public static IReadOnlyList<ConditionMark> MarksOf(ShopWork work, long jobId) =>
        work.Query("SELECT * FROM condition_mark WHERE job_id = $job ORDER BY id",
            row => new ConditionMark(row.Number("id"), row.Choice<DamagePlace>("place"), row.Choice<DamageKind>("kind"), row.Text("note")),
            ("$job", jobId));

    /// <summary>Counts what came with the watch, with a note to it; nought takes the line away.</summary>
    public static void Count(ShopWork work, long jobId, CameWith what, int count, string note = "")
    {
        work.Execute("DELETE FROM came_with WHERE job_id = $job AND what = $what", ("$job", jobId), ("$what", what));
        if (count > 0)
            work.Execute("INSERT INTO came_with (job_id, what, count, note) VALUES ($job, $what, $count, $note)", ("$job", jobId), ("$what", what), ("$count", count), ("$note", note));
    }

    /// <summary>What came with the watch: how many of each, and what was noted of it.</summary>
    public static IReadOnlyDictionary<CameWith, (int Count, string Note)> CameWithOf(ShopWork work, long jobId) =>
        work.Query("SELECT what, count, note FROM came_with WHERE job_id = $job", row => (What: row.Choice<CameWith>("what"), Count: row.Count("count"), Note: row.Text("note")), ("$job", jobId))
            .ToDictionary(l => l.What, l => (l.Count, l.Note));

    /// <summary>What was found outside the craft.</summary>
    public static IReadOnlyList<OutsideCraft> OutsideCraftOf(ShopWork work, long jobId) =>
        [.. work.Query("SELECT reason FROM outside_craft WHERE job_id = $job", row => row.Choice<OutsideCraft>("reason"), ("$job", jobId)).Order()];

    /// <summary>Notes what is outside the craft, whether the job is referred for it, and whether the band is fitted all the same.</summary>
    public static void Refer(ShopWork work, long jobId, IReadOnlyCollection<OutsideCraft> reasons, string note, DateTimeOffset? referredAt, bool meanwhile, DateTimeOffset at, string by)
    {
        work.Execute("DELETE FROM outside_craft WHERE job_id = $job", ("$job", jobId));
        foreach (var reason in reasons.Distinct())
            work.Execute("INSERT INTO outside_craft (job_id, reason) VALUES ($job, $reason)", ("$job", jobId), ("$reason", reason));
        work.Execute("UPDATE job SET referred_at = $at, fitted_meanwhile = $meanwhile WHERE id = $job",
            ("$job", jobId), ("$at", referredAt), ("$meanwhile", meanwhile && referredAt is not null));
        Wordings.Say(work, jobId, Wording.ReferNote, note, at, by);
    }

    /// <summary>Enters a photo and answers the number its file is named for.</summary>
    public static long AddPhoto(ShopWork work, long jobId, string type, long bytes, DateTimeOffset at) =>
        work.Insert("INSERT INTO photo (job_id, type, bytes, taken_at) VALUES ($job, $type, $bytes, $at)",
            ("$job", jobId), ("$type", type), ("$bytes", bytes), ("$at", at));

    /// <summary>Takes a photo away.</summary>
    /// <returns>Whether there was such a photo of this job.</returns>
    public static bool DropPhoto(ShopWork work, long jobId, long photoId) =>
        work.Execute("DELETE FROM photo WHERE id = $id AND job_id = $job", ("$id", photoId), ("$job", jobId)) == 1;

    /// <summary>The photos of a job.</summary>
    public static IReadOnlyList<Photo> PhotosOf(ShopWork work, long jobId) =>
        work.Query("SELECT * FROM photo WHERE job_id = $job ORDER BY id", ReadPhoto, ("$job", jobId));

    /// <summary>A photo, or null when there is none of that number.</summary>
    public static Photo? FindPhoto(ShopWork work, long id) =>
        work.Query("SELECT * FROM photo WHERE id = $id", ReadPhoto, ("$id", id)).SingleOrDefault();

    private static Photo ReadPhoto(Microsoft.Data.Sqlite.SqliteDataReader row) => new(row.Number("id"), row.Text("type"), row.Number("bytes"));
}
