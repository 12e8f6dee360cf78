using System.Globalization;
using IronLoop.Core.Jobs;
using Microsoft.Data.Sqlite;

namespace IronLoop.Storage;

/// <summary>A note made at a bench step.</summary>
/// <param name="Id">Its number.</param>
/// <param name="JobId">The job.</param>
/// <param name="Step">What the step said, its first sentence.</param>
/// <param name="Text">What was noted.</param>
/// <param name="IsSettled">Whether it asked for no answer.</param>
/// <param name="Answer">What was said to it at the hand-over; empty until then.</param>
/// <param name="PhotoId">The photo taken with it; null where there is none.</param>
/// <param name="At">When.</param>
/// <param name="By">Who, by initials.</param>
public sealed record StepNote(long Id, long JobId, string Step, string Text, bool IsSettled, string Answer, long? PhotoId, DateTimeOffset At, string By)
{
    /// <summary>What it is.</summary>
    public NoteKind Kind { get; init; }

    /// <summary>As it stands on card and hand-over, with who and when.</summary>
    public string Told => $"{NoteWords.Of(Kind)}: {Text.TrimEnd('.')} ({By}, {At.ToString("d MMMM", CultureInfo.InvariantCulture)}).";

    /// <summary>Whether the watch may not go back before it is answered.</summary>
    public bool IsOpen => !IsSettled && Answer.Length == 0;

    /// <summary>The first sentence of a step, by which a note is found again.</summary>
    public static string StepOf(string says) => says.IndexOf(". ", StringComparison.Ordinal) is > 0 and var end ? says[..(end + 1)] : says;
}

/// <summary>The notes made at the bench.</summary>
public static class StepNotes
{
    /// <summary>Those of a job, in the order they were made.</summary>
    public static IReadOnlyList<StepNote> Of(ShopWork work, long jobId) => work.Query("SELECT * FROM step_note WHERE job_id = $job ORDER BY id", Read, ("$job", jobId));

    /// <summary>Those of former visits of a watch, the newest first.</summary>
    public static IReadOnlyList<StepNote> Before(ShopWork work, long watchId, long jobId) =>
        work.Query("SELECT step_note.* FROM step_note JOIN job ON job.id = job_id WHERE watch_id = $watch AND job_id < $job ORDER BY step_note.id DESC LIMIT 12", Read, ("$watch", watchId), ("$job", jobId));

    /// <summary>Makes a note.</summary>
    /// <returns>Its number.</returns>
    public static long Add(ShopWork work, long jobId, string step, string note, bool isSettled, long? photoId, DateTimeOffset at, string by, NoteKind kind = NoteKind.Note) =>
        work.Insert("INSERT INTO step_note (job_id, step, note, settled, photo_id, noted_at, by, kind) VALUES ($job, $step, $note, $settled, $photo, $at, $by, $kind)",
            ("$job", jobId), ("$step", step), ("$note", note), ("$settled", isSettled), ("$photo", photoId), ("$at", at), ("$by", work.By ?? by), ("$kind", kind));

    /// <summary>Answers one.</summary>
    /// <returns>Whether there was such a note of this job.</returns>
    public static bool Answer(ShopWork work, long jobId, long id, string answer) =>
        work.Execute("UPDATE step_note SET answer = $answer WHERE id = $id AND job_id = $job", ("$answer", answer), ("$id", id), ("$job", jobId)) == 1;

    internal static StepNote Read(SqliteDataReader row) => new(
        row.Number("id"), row.Number("job_id"), row.Text("step"), row.Text("note"), row.Yes("settled"), row.Text("answer"), row.Maybe("photo_id", Columns.Number), row.Time("noted_at"), row.Text("by"))
    {
        Kind = row.Choice<NoteKind>("kind"),
    };
}
