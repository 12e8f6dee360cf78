using System.Globalization;
using IronLoop.Core.Jobs;

namespace IronLoop.Storage;

/// <summary>A line of the log.</summary>
/// <param name="JobId">The job it tells of.</param>
/// <param name="At">When.</param>
/// <param name="By">Who, by initials.</param>
/// <param name="Station">At which station.</param>
/// <param name="Words">What was done.</param>
public sealed record LogEntry(long JobId, DateTimeOffset At, string By, Station Station, string Words);

/// <summary>The shop's log: what was done, by whom, when.</summary>
public static class Log
{
    /// <summary>Writes a line; whoever is signed in has done it, whoever's job it is.</summary>
    public static void Write(ShopWork work, long jobId, DateTimeOffset at, string by, Station station, string words) =>
        work.Execute("INSERT INTO log_entry (job_id, at, by, station, words) VALUES ($job, $at, $by, $station, $words)",
            ("$job", jobId), ("$at", at), ("$by", Hand.AtWork?.By ?? by), ("$station", station), ("$words", words));

    /// <summary>The lines of jobs, in the order they were written.</summary>
    public static ILookup<long, LogEntry> Of(ShopWork work, IEnumerable<long> jobs) =>
        work.Query(
            $"SELECT * FROM log_entry WHERE job_id IN ({string.Join(", ", jobs.Select(j => j.ToString(CultureInfo.InvariantCulture)))}) ORDER BY id",
            Read)
            .ToLookup(e => e.JobId);

    /// <summary>Every line, one after the other, the oldest first.</summary>
    public static IEnumerable<LogEntry> Each(ShopWork work) => work.Each("SELECT * FROM log_entry ORDER BY id", Read);

    /// <summary>The LIKE pattern that finds a word anywhere; what the word contains is never a wildcard.</summary>
    internal static string Containing(string word) => $"%{Escape(word)}%";

    private static string Escape(string word) =>
        word.Replace("\\", "\\\\", StringComparison.Ordinal).Replace("%", "\\%", StringComparison.Ordinal).Replace("_", "\\_", StringComparison.Ordinal);

    private static LogEntry Read(Microsoft.Data.Sqlite.SqliteDataReader row) =>
        new(row.Number("job_id"), row.Time("at"), row.Text("by"), row.Choice<Station>("station"), row.Text("words"));
}
