using IronLoop.Core.Jobs;

namespace IronLoop.Storage;

/// <summary>What a job is found by in the log.</summary>
/// <param name="Client">The client's name.</param>
/// <param name="Watch">Its maker, its name, its family code.</param>
/// <param name="Part">Names and article numbers of its band and parts.</param>
/// <param name="Words">Its tag, and everything the log tells of it.</param>
/// <param name="Fitter">Whoever did anything, by initials.</param>
/// <param name="Width">Micrometres of its lug or band width, in whole and half millimetres, as it is asked for; null where none is known.</param>
internal sealed record VisitWords(string Client, string Watch, string Part, string Words, string Fitter, long? Width)
{
    /// <summary>Puts a job's words into an index.</summary>
    public const string Insert = "INSERT INTO visit_words (rowid, client, watch, part, words, fitter) VALUES ($id, $client, $watch, $part, $words, $fitter)";

    /// <summary>The values of that statement.</summary>
    public IEnumerable<(string Name, object? Value)> Values(long job) =>
        [("$id", job), ("$client", Client), ("$watch", Watch), ("$part", Part), ("$words", Words), ("$fitter", Fitter)];

    /// <summary>What a job is found by, as it stands.</summary>
    public static VisitWords Of(ShopWork work, long job)
    {
        var width = work.Query(
            """
            SELECT COALESCE(
              (SELECT reading.um FROM reading JOIN job ON job.id = reading.job_id JOIN job AS here ON here.id = $id
                WHERE job.watch_id = here.watch_id AND job.id <= here.id AND reading.figure = 'LugWidth' ORDER BY reading.job_id DESC, reading.id DESC LIMIT 1),
              (SELECT band.width_um FROM band JOIN job ON job.band_id = band.id WHERE job.id = $id)) AS um
            """,
            row => row.Maybe("um", Columns.Number), ("$id", job)).Single();
        var told = string.Join(' ', Log.Of(work, [job])[job].Select(e => e.Words));
        return work.Query(
            $"""
            SELECT client.name AS client, watch.name || ' ' || COALESCE(watch.family, '') AS watch,
              COALESCE(band.article || ' ' || band.name || ' ' || band.clasp_name, '') || ' ' ||
                COALESCE((SELECT group_concat(part.article || ' ' || part.name, ' ') FROM part_taken JOIN part ON part.id = part_taken.part_id WHERE part_taken.job_id = job.id), '') AS part,
              'tag ' || job.id || ' ' || {Wordings.Standing(Wording.Words)} AS words,
              job.taken_in_by || ' ' || COALESCE(job.closed_by, '') || ' ' || COALESCE((SELECT group_concat(DISTINCT by) FROM log_entry WHERE log_entry.job_id = job.id), '') AS fitter
            FROM job JOIN client ON client.id = job.client_id JOIN watch ON watch.id = job.watch_id LEFT JOIN band ON band.id = job.band_id
            WHERE job.id = $id
            """,
            row => new VisitWords(
                row.Text("client"), row.Text("watch"), row.Text("part"), $"{row.Text("words")} {told}", row.Text("fitter"), width is { } um ? (long)(Math.Round(um / 500m) * 500) : null),
            ("$id", job)).Single();
    }
}
