using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Core.Measuring;
using IronLoop.Core.Stock;
using Microsoft.Data.Sqlite;

namespace IronLoop.Storage;

/// <summary>What the log is asked for; what is null or empty is not asked.</summary>
/// <param name="Words">Words anywhere, each found by how it begins.</param>
/// <param name="Client">Words of the client's name.</param>
/// <param name="Watch">Words of the watch: its maker, its name, its family code.</param>
/// <param name="Part">Words of a band or part: name or article number.</param>
/// <param name="Fitter">A fitter's initials.</param>
/// <param name="Width">Lug width, or the band's width where that was not gauged.</param>
/// <param name="From">Taken in on this day or later.</param>
/// <param name="To">Taken in on this day or earlier.</param>
public sealed record LogQuestion(
    string Words = "", string Client = "", string Watch = "", string Part = "", string Fitter = "", Length? Width = null, DateOnly? From = null, DateOnly? To = null);

/// <summary>A visit in the log: one job.</summary>
/// <param name="JobId">Its tag.</param>
/// <param name="ClientId">Whose.</param>
/// <param name="Client">Their name.</param>
/// <param name="WatchId">Which watch.</param>
/// <param name="Watch">In words.</param>
/// <param name="Request">What was asked for.</param>
/// <param name="TakenInAt">When it was taken in.</param>
/// <param name="ClosedAt">When it was handed over; null while it is open.</param>
/// <param name="By">Who took it in.</param>
/// <param name="Band">The band it left with, in words.</param>
public sealed record Visit(
    long JobId, long ClientId, string Client, long WatchId, string Watch, Request Request, DateTimeOffset TakenInAt, DateTimeOffset? ClosedAt, string By, string? Band);

/// <summary>The log's index: every job, found by words and figures, the newest first.</summary>
public static class Visits
{
    private const int MostWords = 12;

    // The words of the many that are closed, and of the few on the rack, which change with every step.
    private const string Closed = "visit_words";
    private const string Open = "visit_words_open";

    // Jobs that are brought up to date in one turn.
    private const int AtOnce = 8;

    private const string Select =
        """
        SELECT job.id, job.client_id, client.name AS client_name, job.watch_id, watch.name AS watch_name, job.request, job.taken_in_at, job.closed_at,
          job.taken_in_by, band.name AS band_name
        """;

    private const string Whose = "JOIN client ON client.id = job.client_id JOIN watch ON watch.id = job.watch_id LEFT JOIN band ON band.id = job.band_id";

    /// <summary>The visits that answer a question, the newest first.</summary>
    /// <param name="work">The piece of work.</param>
    /// <param name="question">The question.</param>
    /// <param name="before">Only jobs with a lower number: the last of the page before.</param>
    /// <param name="most">How many at most.</param>
    public static IReadOnlyList<Visit> Find(ShopWork work, LogQuestion question, long before, int most)
    {
        var asked = ((string?[])
        [
            Match(null, question.Words), Match("client", question.Client), Match("watch", question.Watch), Match("part", question.Part), Match("fitter", question.Fitter),
        ]).OfType<string>().ToList();
        // Signs alone are no word that any job could hold.
        if (asked.Contains(""))
            return [];
        var words = string.Join(" AND ", asked);
        return words.Length == 0 ? Find(work, null, words, question, before, most)
            : [.. Find(work, Open, words, question, before, most).Concat(Find(work, Closed, words, question, before, most)).OrderByDescending(v => v.JobId).Take(most)];
    }

    private static List<Visit> Find(ShopWork work, string? index, string words, LogQuestion question, long before, int most)
    {
        // The words' index answers from the newest on, so that it can stop after a page.
        var from = index is null ? "FROM job" : $"FROM {index} CROSS JOIN job ON job.id = {index}.rowid";
        var found = index is null ? "job.id < $before" : $"{index} MATCH $words AND {index}.rowid < $before";
        var values = new List<(string, object?)> { ("$before", before), ("$most", most) };
        if (index is not null)
            values.Add(("$words", words));
        if (question.Width is { } width)
        {
            found += " AND job.id IN (SELECT job_id FROM visit WHERE width_um = $width)";
            values.Add(("$width", width));
        }
        if (question.From is { } first)
        {
            found += " AND job.taken_in_at >= $from";
            values.Add(("$from", first));
        }
        if (question.To is { } last)
        {
            found += " AND job.taken_in_at < $to";
            values.Add(("$to", last.AddDays(1)));
        }
        return work.Query($"{Select} {from} {Whose} WHERE {found} ORDER BY {(index is null ? "job.id" : $"{index}.rowid")} DESC LIMIT $most", Read, [.. values]);
    }

    /// <summary>All visits of a client, the newest first.</summary>
    public static IReadOnlyList<Visit> OfClient(ShopWork work, long clientId) =>
        work.Query($"{Select} FROM job {Whose} WHERE job.client_id = $client ORDER BY job.id DESC", Read, ("$client", clientId));

    /// <summary>Whether the index is behind what is stored.</summary>
    public static bool IsBehind(ShopWork work) => work.Query("SELECT EXISTS (SELECT 1 FROM visit_due) AS behind", row => row.Yes("behind")).Single();

    /// <summary>Brings the index up to what is stored, in this piece of work.</summary>
    public static void CatchUp(ShopWork work)
    {
        foreach (var job in Due(work))
            CatchUp(work, job);
    }

    /// <summary>Brings the index up to what is stored, a few jobs at a time, so that nobody waits for all of them. Where nothing can be written it stays as it is.</summary>
    public static void CatchUp(ShopFile shop)
    {
        // Who asks meanwhile waits for this one, instead of doing the same beside it; and one that began after they asked does for them too.
        var begun = shop.IndexBegun;
        using var _ = shop.IndexAtWork.EnterScope();
        if (shop.IndexBegun != begun)
            return;
        shop.IndexBegun++;
        IReadOnlyList<long> due;
        using (var look = shop.Look())
            due = Due(look);
        foreach (var few in due.Chunk(AtOnce))
            if (!shop.TryLightly(work =>
            {
                foreach (var job in few)
                    CatchUp(work, job);
            }))
                return;
    }

    private static List<long> Due(ShopWork work) => work.Query("SELECT job_id FROM visit_due", row => row.Number("job_id"));

    private static void CatchUp(ShopWork work, long job)
    {
        Index(work, job);
        work.Execute("DELETE FROM visit_due WHERE job_id = $job", ("$job", job));
    }

    private static void Index(ShopWork work, long jobId)
    {
        Forget(work, jobId);
        var isOpen = work.Query("SELECT closed_at IS NULL AS open FROM job WHERE id = $id", row => row.Yes("open"), ("$id", jobId)).Single();
        var width = work.Query(
            """
            SELECT COALESCE(
              (SELECT reading.um FROM reading JOIN job ON job.id = reading.job_id JOIN job AS here ON here.id = $id
                WHERE job.watch_id = here.watch_id AND job.id <= here.id AND reading.figure = 'LugWidth' ORDER BY reading.job_id DESC, reading.id DESC LIMIT 1),
              (SELECT band.width_um FROM band JOIN job ON job.band_id = band.id WHERE job.id = $id)) AS um
            """,
            row => row.Maybe("um", Columns.Number), ("$id", jobId)).Single();
        // A lug width is asked for in whole and half millimetres.
        var asked = width is { } um ? (long?)(Math.Round(um / 500m) * 500) : null;
        work.Execute("INSERT INTO visit (job_id, width_um) VALUES ($id, $width)", ("$id", jobId), ("$width", asked));
        var told = string.Join(' ', Log.Of(work, [jobId])[jobId].Select(e => e.Words));
        work.Execute(
            $"""
            INSERT INTO {(isOpen ? Open : Closed)} (rowid, client, watch, part, words, fitter)
            SELECT job.id, client.name, watch.name || ' ' || COALESCE(watch.family, ''),
              COALESCE(band.article || ' ' || band.name || ' ' || band.clasp_name, '') || ' ' ||
                COALESCE((SELECT group_concat(part.article || ' ' || part.name, ' ') FROM part_taken JOIN part ON part.id = part_taken.part_id WHERE part_taken.job_id = job.id), ''),
              'tag ' || job.id || ' ' || {Wordings.Standing(Wording.Words)} || ' ' || $told,
              job.taken_in_by || ' ' || COALESCE(job.closed_by, '') || ' ' || COALESCE((SELECT group_concat(DISTINCT by) FROM log_entry WHERE log_entry.job_id = job.id), '')
            FROM job JOIN client ON client.id = job.client_id JOIN watch ON watch.id = job.watch_id LEFT JOIN band ON band.id = job.band_id
            WHERE job.id = $id
            """,
            ("$id", jobId), ("$told", told));
    }

    /// <summary>Makes the whole index anew, in this piece of work.</summary>
    /// <param name="work">The piece of work.</param>
    /// <param name="progress">Told how many jobs are done, of how many; it may throw to stop, and nothing is changed then.</param>
    public static void IndexAll(ShopWork work, Action<long, long> progress)
    {
        var jobs = work.Query("SELECT id FROM job ORDER BY id", row => row.Number("id"));
        // Emptied word by word it would take minutes without a sign, and could not be stopped; so the table itself is made anew.
        foreach (var index in (string[])[Open, Closed])
        {
            var words = work.Query("SELECT sql FROM sqlite_master WHERE name = $name", row => row.Text("sql"), ("$name", index)).Single();
            work.Execute($"DROP TABLE {index}");
            work.Execute(words);
            work.Execute($"INSERT INTO {index} ({index}, rank) VALUES ('secure-delete', 1)");
        }
        work.Execute("DELETE FROM visit");
        work.Execute("DELETE FROM visit_due");
        for (var i = 0; i < jobs.Count; i++)
        {
            if (i % 100 == 0)
                progress(i, jobs.Count);
            Index(work, jobs[i]);
        }
        progress(jobs.Count, jobs.Count);
    }

    private static void Forget(ShopWork work, long jobId)
    {
        work.Execute("DELETE FROM visit WHERE job_id = $id", ("$id", jobId));
        work.Execute($"DELETE FROM {Open} WHERE rowid = $id", ("$id", jobId));
        work.Execute($"DELETE FROM {Closed} WHERE rowid = $id", ("$id", jobId));
    }

    /// <summary>
    /// The words as the index is asked: each in quotes, so that nothing in it is taken for a sign, and found by its beginning. A number is
    /// meant whole, and after "tag" it is that tag's.
    /// </summary>
    private static string? Match(string? column, string words)
    {
        var sought = new List<string>();
        var isTag = false;
        foreach (var word in string.Concat(words.Where(c => !char.IsControl(c))).Replace("\"", " ", StringComparison.Ordinal)
            .Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries).Where(w => w.Any(char.IsLetterOrDigit)).Take(MostWords))
        {
            var isNumber = word.All(char.IsAsciiDigit);
            if (isTag && isNumber)
                sought[^1] = $"\"tag {word}\"";
            else
                sought.Add(isNumber ? $"\"{word}\"" : $"\"{word}\"*");
            isTag = word.Equals("tag", StringComparison.OrdinalIgnoreCase);
        }
        if (sought.Count == 0)
            return string.IsNullOrWhiteSpace(words) ? null : "";
        return string.Join(" AND ", sought.Select(w => column is null ? w : $"{column} : {w}"));
    }

    private static Visit Read(SqliteDataReader row) => new(
        row.Number("id"), row.Number("client_id"), row.Text("client_name"), row.Number("watch_id"), row.Text("watch_name"), row.Choice<Request>("request"),
        row.Time("taken_in_at"), row.Maybe("closed_at", Columns.Time), row.Text("taken_in_by"), row.MaybeText("band_name"));
}
