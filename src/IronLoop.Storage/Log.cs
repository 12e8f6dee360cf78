using IronLoop.Core.Jobs;

namespace IronLoop.Storage;

/// <summary>A line of the log.</summary>
/// <param name="JobId">The job it tells of.</param>
/// <param name="At">When.</param>
/// <param name="By">Who, by initials.</param>
/// <param name="Station">At which station.</param>
/// <param name="Words">What was done.</param>
/// <param name="Client">Whose watch.</param>
/// <param name="Watch">Which watch.</param>
public sealed record LogEntry(long JobId, DateTimeOffset At, string By, Station Station, string Words, string Client, string Watch);

/// <summary>The shop's log: what was done, by whom, when.</summary>
public static class Log
{
    /// <summary>Lines answered at most.</summary>
    public const int MostEntries = 200;

    /// <summary>Writes a line.</summary>
    public static void Write(ShopWork work, long jobId, DateTimeOffset at, string by, Station station, string words) =>
        work.Execute("INSERT INTO log_entry (job_id, at, by, station, words) VALUES ($job, $at, $by, $station, $words)",
            ("$job", jobId), ("$at", at), ("$by", by), ("$station", station), ("$words", words));

    /// <summary>Lines in which every word sought is found, in client, watch, words or initials; newest first.</summary>
    public static IReadOnlyList<LogEntry> Search(ShopWork work, IReadOnlyList<string> words)
    {
        // Each word is a parameter of its own; what the words contain never becomes part of the question.
        var where = string.Join(" AND ", words.Select((_, i) =>
            $"(client.name || ' ' || watch.name || ' ' || log_entry.words || ' ' || log_entry.by || ' tag ' || log_entry.job_id) LIKE $w{i} ESCAPE '\\'"));
        return work.Query(
            $"""
            SELECT log_entry.*, client.name AS client_name, watch.name AS watch_name
            FROM log_entry
            JOIN job ON job.id = log_entry.job_id
            JOIN client ON client.id = job.client_id
            JOIN watch ON watch.id = job.watch_id
            {(words.Count > 0 ? "WHERE " + where : "")}
            ORDER BY log_entry.at DESC, log_entry.id DESC LIMIT {MostEntries}
            """,
            row => new LogEntry(
                row.Number("job_id"), row.Time("at"), row.Text("by"), row.Choice<Station>("station"), row.Text("words"),
                row.Text("client_name"), row.Text("watch_name")),
            [.. words.Select((w, i) => ($"$w{i}", (object?)Containing(w)))]);
    }

    /// <summary>The LIKE pattern that finds a word anywhere; what the word contains is never a wildcard.</summary>
    internal static string Containing(string word) => $"%{Escape(word)}%";

    private static string Escape(string word) =>
        word.Replace("\\", "\\\\", StringComparison.Ordinal).Replace("%", "\\%", StringComparison.Ordinal).Replace("_", "\\_", StringComparison.Ordinal);
}
