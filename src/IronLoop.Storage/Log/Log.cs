using System.Globalization;
using System.Text.Json;
using IronLoop.Core.Bench;
using IronLoop.Core.Jobs;
using Microsoft.Data.Sqlite;

namespace IronLoop.Storage;

/// <summary>A line of the log.</summary>
/// <param name="JobId">The job it tells of.</param>
/// <param name="At">When.</param>
/// <param name="By">Who, by initials.</param>
/// <param name="Station">At which station.</param>
/// <param name="Line">What was done.</param>
public sealed record LogEntry(long JobId, DateTimeOffset At, string By, Station Station, LogLine Line)
{
    /// <summary>What was done, in words.</summary>
    public string Words => Line.Words;
}

/// <summary>The shop's log: what was done, by whom, when. What was said freely is kept apart from it, each wording once.</summary>
public static class Log
{
    private const string Select =
        """
        SELECT log_entry.*, step_note.step, step_note.note, step_note.answer, step_note.settled,
          (SELECT json_group_object(field, words) FROM wording WHERE wording.log_id = log_entry.id) AS said,
          CASE log_entry.kind WHEN 'BenchDone' THEN
            (SELECT json_group_array(says || ' Left out: ' || skipped || '.') FROM bench_step WHERE bench_step.job_id = log_entry.job_id AND skipped IS NOT NULL)
          END AS left_out
        FROM log_entry LEFT JOIN step_note ON step_note.id = log_entry.note_id
        """;

    /// <summary>Writes a line; whoever is signed in has done it, whoever's job it is.</summary>
    /// <param name="work">The piece of work.</param>
    /// <param name="jobId">The job.</param>
    /// <param name="at">When.</param>
    /// <param name="by">Who, by initials.</param>
    /// <param name="station">At which station.</param>
    /// <param name="line">What was done.</param>
    /// <param name="noteId">The note it refers to.</param>
    public static void Write(ShopWork work, long jobId, DateTimeOffset at, string by, Station station, LogLine line, long? noteId = null)
    {
        var id = work.Insert("INSERT INTO log_entry (job_id, at, by, station, kind, facts, note_id) VALUES ($job, $at, $by, $station, $kind, $facts, $note)",
            ("$job", jobId), ("$at", at), ("$by", work.By ?? by), ("$station", station), ("$kind", line.Kind), ("$facts", JsonSerializer.Serialize(line.Facts)), ("$note", noteId));
        foreach (var (wording, words) in line.Said)
            Wordings.SaidWith(work, id, jobId, wording, words, at, by);
    }

    /// <summary>The lines of jobs, in the order they were written.</summary>
    public static ILookup<long, LogEntry> Of(ShopWork work, IEnumerable<long> jobs) =>
        work.Query(
            $"{Select} WHERE log_entry.job_id IN ({string.Join(", ", jobs.Select(j => j.ToString(CultureInfo.InvariantCulture)))}) ORDER BY log_entry.id",
            Read)
            .ToLookup(e => e.JobId);

    /// <summary>Every line, one after the other, the oldest first.</summary>
    public static IEnumerable<LogEntry> Each(ShopWork work) => work.Each($"{Select} ORDER BY log_entry.id", Read);

    /// <summary>The LIKE pattern that finds a word anywhere; what the word contains is never a wildcard.</summary>
    internal static string Containing(string word) => $"%{Escape(word)}%";

    private static string Escape(string word) =>
        word.Replace("\\", "\\\\", StringComparison.Ordinal).Replace("%", "\\%", StringComparison.Ordinal).Replace("_", "\\_", StringComparison.Ordinal);

    private static LogEntry Read(SqliteDataReader row) => new(
        row.Number("job_id"), row.Time("at"), row.Text("by"), row.Choice<Station>("station"),
        new LogLine(row.Choice<LogKind>("kind"), Strings(row.Text("facts")))
        {
            Said = JsonSerializer.Deserialize<Dictionary<string, string>>(row.Text("said"))!.ToDictionary(s => Enum.Parse<Wording>(s.Key), s => s.Value),
            Note = row.MaybeText("step") is { } step ? new LoggedNote(step, row.Text("note"), row.Text("answer"), row.Yes("settled")) : null,
            LeftOut = row.MaybeText("left_out") is { } left ? Strings(left) : [],
        });

    private static List<string> Strings(string json) => JsonSerializer.Deserialize<List<string>>(json)!;
}
