using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Measuring;

namespace IronLoop.Storage;

/// <summary>What was noted of a wrist beside its figures.</summary>
/// <param name="WornAt">Where on the arm the watch is worn.</param>
/// <param name="Season">Season of the reading; null when it is the season of the visit.</param>
public sealed record WristNote(WornAt? WornAt, Season? Season);

/// <summary>A client's wrist as it was on one visit.</summary>
/// <param name="JobId">The visit.</param>
/// <param name="Day">Its day.</param>
/// <param name="Round">Mean of the tape readings.</param>
/// <param name="Season">Season of the reading.</param>
/// <param name="Wear">How loose it was wanted.</param>
public sealed record WristVisit(long JobId, DateOnly Day, Length Round, Season Season, WearPreference? Wear);

/// <summary>The clients' wrists over their visits.</summary>
public static class Wrists
{
    /// <summary>What was noted on one visit.</summary>
    public static WristNote NoteOf(ShopWork work, long jobId) =>
        work.Query("SELECT worn_at, season FROM wrist WHERE job_id = $job",
            row => new WristNote(row.Maybe("worn_at", Columns.Choice<WornAt>), row.Maybe("season", Columns.Choice<Season>)),
            ("$job", jobId)).Single();

    /// <summary>Notes where the watch is worn and the season of the reading.</summary>
    public static void Note(ShopWork work, long jobId, WristNote note) =>
        work.Execute("UPDATE wrist SET worn_at = $worn, season = $season WHERE job_id = $job",
            ("$job", jobId), ("$worn", note.WornAt), ("$season", note.Season));

    /// <summary>A client's wrist over all visits on which it was taped, oldest first.</summary>
    public static IReadOnlyList<WristVisit> HistoryOf(ShopWork work, long clientId) =>
        work.Query(
            """
            SELECT job.id, job.taken_in_at, wrist.season, wrist.wear, CAST(ROUND(AVG(reading.um)) AS INTEGER) AS round_um
            FROM job JOIN wrist ON wrist.job_id = job.id JOIN reading ON reading.job_id = job.id AND reading.figure = 'Wrist'
            WHERE job.client_id = $client
            GROUP BY job.id
            ORDER BY job.taken_in_at, job.id
            """,
            row =>
            {
                var day = DateOnly.FromDateTime(row.Time("taken_in_at").LocalDateTime);
                return new WristVisit(
                    row.Number("id"), day, row.Length("round_um"), row.Maybe("season", Columns.Choice<Season>) ?? Seasons.Of(day),
                    row.Maybe("wear", Columns.Choice<WearPreference>));
            },
            ("$client", clientId));
}
