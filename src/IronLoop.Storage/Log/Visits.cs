using System.Text.Json;
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

/// <summary>The log's index: every job, found by words and figures, the newest first. Closed jobs stand in the file's index, open ones in <see cref="OpenVisits"/>.</summary>
public static class Visits
{
    private const int MostWords = 12;

    // A closed job whose words are not in the file's index as they stand, or an open one that was closed once.
    private const string Behind =
        """
        FROM visit_due WHERE job_id NOT IN (SELECT id FROM job WHERE closed_at IS NULL) OR job_id IN (SELECT job_id FROM visit)
        """;

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
        if (words.Length == 0 && question.Width is null)
            return Find(work, "FROM job", "job.id", "TRUE", [], question, before, most);
        var values = new List<(string, object?)> { ("$open", JsonSerializer.Serialize(work.OpenVisits.Find(work, words, question.Width))) };
        var closed = "TRUE";
        if (question.Width is { } width)
        {
            closed = "job.id IN (SELECT job_id FROM visit WHERE width_um = $width)";
            values.Add(("$width", width));
        }
        const string Open = "job.id IN (SELECT value FROM json_each($open))";
        if (words.Length == 0)
            return Find(work, "FROM job", "job.id", $"({closed} OR {Open})", values, question, before, most);
        // The words' index answers from the newest on, so that it can stop after a page.
        var ofClosed = Find(work, "FROM visit_words CROSS JOIN job ON job.id = visit_words.rowid", "visit_words.rowid", $"visit_words MATCH $words AND {closed}", [.. values, ("$words", words)], question, before, most);
        return [.. Find(work, "FROM job", "job.id", Open, values, question, before, most).Concat(ofClosed).DistinctBy(v => v.JobId).OrderByDescending(v => v.JobId).Take(most)];
    }

    private static List<Visit> Find(ShopWork work, string from, string job, string found, List<(string, object?)> with, LogQuestion question, long before, int most)
    {
        var values = new List<(string, object?)>(with) { ("$before", before), ("$most", most) };
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
        return work.Query($"{Select} {from} {Whose} WHERE {found} AND {job} < $before ORDER BY {job} DESC LIMIT $most", Read, [.. values]);
    }

    /// <summary>All visits of a client, the newest first.</summary>
    public static IReadOnlyList<Visit> OfClient(ShopWork work, long clientId) =>
        work.Query($"{Select} FROM job {Whose} WHERE job.client_id = $client ORDER BY job.id DESC", Read, ("$client", clientId));

    /// <summary>Whether the file's index is behind what is stored.</summary>
    public static bool IsBehind(ShopWork work) => work.Query($"SELECT EXISTS (SELECT 1 {Behind}) AS behind", row => row.Yes("behind")).Single();

    /// <summary>Brings the file's index up to what is stored, in this piece of work.</summary>
    public static void CatchUp(ShopWork work)
    {
        foreach (var job in Due(work))
            CatchUp(work, job);
    }

    /// <summary>Brings the file's index up to what is stored, a few jobs at a time, so that nobody waits for all of them. Where nothing can be written it stays as it is.</summary>
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

    private static List<long> Due(ShopWork work) => work.Query($"SELECT job_id {Behind}", row => row.Number("job_id"));

    private static void CatchUp(ShopWork work, long job)
    {
        Forget(work, job);
        // As long as it is open its words change with every step: they are kept in memory.
        if (work.Query("SELECT closed_at IS NULL AS open FROM job WHERE id = $id", row => row.Yes("open"), ("$id", job)).Single())
            return;
        Index(work, job);
        work.Execute("DELETE FROM visit_due WHERE job_id = $job", ("$job", job));
    }

    private static void Index(ShopWork work, long job)
    {
        var told = VisitWords.Of(work, job);
        work.Execute("INSERT INTO visit (job_id, width_um) VALUES ($id, $width)", ("$id", job), ("$width", told.Width));
        work.Execute(VisitWords.Insert, [.. told.Values(job)]);
    }

    /// <summary>Makes the whole index anew, in this piece of work.</summary>
    /// <param name="work">The piece of work.</param>
    /// <param name="progress">Told how many jobs are done, of how many; it may throw to stop, and nothing is changed then.</param>
    public static void IndexAll(ShopWork work, Action<long, long> progress)
    {
        var jobs = work.Query("SELECT id FROM job WHERE closed_at IS NOT NULL ORDER BY id", row => row.Number("id"));
        // Emptied word by word it would take minutes without a sign, and could not be stopped; so the table itself is made anew.
        var words = work.Query("SELECT sql FROM sqlite_master WHERE name = 'visit_words'", row => row.Text("sql")).Single();
        work.Execute("DROP TABLE visit_words");
        work.Execute(words);
        work.Execute("INSERT INTO visit_words (visit_words, rank) VALUES ('secure-delete', 1)");
        work.Execute("DELETE FROM visit");
        work.Execute("DELETE FROM visit_due WHERE job_id NOT IN (SELECT id FROM job WHERE closed_at IS NULL)");
        work.Execute("INSERT INTO visit_due (job_id, times) SELECT id, 1 FROM job WHERE closed_at IS NULL ON CONFLICT (job_id) DO UPDATE SET times = times + 1");
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
        work.Execute("DELETE FROM visit_words WHERE rowid = $id", ("$id", jobId));
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
