using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using Microsoft.Data.Sqlite;

namespace IronLoop.Storage;

/// <summary>What of a job stands on its tag, as it was taken in.</summary>
/// <param name="Id">The job.</param>
/// <param name="Version">The version it is at.</param>
/// <param name="Client">Who brought it.</param>
/// <param name="Watch">The watch.</param>
/// <param name="Promised">The day it is promised for.</param>
/// <param name="IsReferred">Whether it lies with a watchmaker.</param>
/// <param name="By">Who took it in, by initials.</param>
public sealed record JobTag(long Id, long Version, string Client, string Watch, DateOnly Promised, bool IsReferred, string By);

/// <summary>The shop's jobs.</summary>
public static class Jobs
{
    private static readonly string Select =
        $"""
        SELECT job.*, {Wordings.Standing(Wording.Words)} AS words, {Wordings.Standing(Wording.ReferNote)} AS refer_note,
          client.name AS client_name, client.contact, client.erased_at, watch.name AS watch_name,
          (SELECT until FROM observation WHERE job_id = job.id AND ended_at IS NULL) AS observed_until
        FROM job JOIN client ON client.id = job.client_id JOIN watch ON watch.id = job.watch_id
        """;

    /// <summary>Takes a job in.</summary>
    public static long Add(
        ShopWork work, long clientId, long watchId, Request request, string words, DateOnly promised, long? priceCents, DateTimeOffset at, string by)
    {
        var id = work.Insert(
            """
            INSERT INTO job (client_id, watch_id, request, promised, price_cents, taken_in_at, taken_in_by)
            VALUES ($client, $watch, $request, $promised, $price, $at, $by)
            """,
            ("$client", clientId), ("$watch", watchId), ("$request", request), ("$promised", promised), ("$price", priceCents), ("$at", at), ("$by", by));
        Wordings.Say(work, id, Wording.Words, words, at, by);
        work.Execute("INSERT INTO wrist (job_id) VALUES ($id)", ("$id", id));
        return id;
    }

    /// <summary>A job, or null when there is none of that number.</summary>
    public static Job? Find(ShopWork work, long id) =>
        work.Query($"{Select} WHERE job.id = $id", Read, ("$id", id)).SingleOrDefault();

    /// <summary>The version a job is at; null when there is none of that number.</summary>
    public static SheetVersion? VersionOf(ShopWork work, long id) =>
        work.Query("SELECT version, changed_by, changed_at FROM job WHERE id = $id",
            row => new SheetVersion(row.Number("version"), row.Text("changed_by"), row.Maybe("changed_at", Columns.Time)), ("$id", id)).SingleOrDefault();

    /// <summary>The open jobs, by the day they are promised for.</summary>
    public static IReadOnlyList<Job> Open(ShopWork work) => work.Query($"{Select} WHERE job.closed_at IS NULL ORDER BY job.promised, job.id", Read);

    /// <summary>What of the open jobs stands on their tags, by the day they are promised for.</summary>
    /// <param name="work">The piece of work.</param>
    /// <param name="words">Words sought in client, watch and tag number; none finds all. What stands in a tag's code means that tag alone.</param>
    /// <param name="by">Initials of the fitter who took it in, or null for all.</param>
    public static IReadOnlyList<JobTag> Tags(ShopWork work, IReadOnlyList<string> words, string? by) =>
        words is [var tag, var number] && tag.Equals("tag", StringComparison.OrdinalIgnoreCase) && long.TryParse(number, out var id)
            ? Tags(work, [], by, id) : Tags(work, words, by, null);

    /// <summary>What stands on one job's tag; null when it hangs on the rack no more.</summary>
    public static JobTag? Tag(ShopWork work, long id) => Tags(work, [], null, id).SingleOrDefault();

    private static List<JobTag> Tags(ShopWork work, IReadOnlyList<string> words, string? by, long? only) =>
        work.Query(
            $"""
            SELECT job.id, job.version, client.name AS client_name, watch.name AS watch_name, job.promised, job.referred_at IS NOT NULL AND NOT job.fitted_meanwhile AS referred, job.taken_in_by
            FROM job JOIN client ON client.id = job.client_id JOIN watch ON watch.id = job.watch_id
            WHERE job.closed_at IS NULL AND ($by IS NULL OR job.taken_in_by = $by) AND ($only IS NULL OR job.id = $only)
              {string.Concat(words.Select((_, i) => $"AND (client.name || ' ' || watch.name || ' ' || job.id) LIKE $w{i} ESCAPE '\\' "))}
            ORDER BY job.promised, job.id
            """,
            row => new JobTag(
                row.Number("id"), row.Number("version"), row.Text("client_name"), row.Text("watch_name"), row.Day("promised"), row.Yes("referred"), row.Text("taken_in_by")),
            [("$by", by), ("$only", only), .. words.Select((w, i) => ($"$w{i}", (object?)Log.Containing(w)))]);

    /// <summary>All jobs, closed ones too, of clients in whose name every word is found.</summary>
    public static IReadOnlyList<Job> OfClient(ShopWork work, IReadOnlyList<string> words) =>
        work.Query(
            $"{Select} WHERE {string.Join(" AND ", words.Select((_, i) => $"client.name LIKE $w{i} ESCAPE '\\'"))} ORDER BY job.id LIMIT 200",
            Read,
            [.. words.Select((w, i) => ($"$w{i}", (object?)Log.Containing(w)))]);

    /// <summary>The numbers of all jobs.</summary>
    public static IReadOnlyList<long> Ids(ShopWork work) => work.Query("SELECT id FROM job ORDER BY id", row => row.Number("id"));

    /// <summary>Every job, one after the other, the oldest first.</summary>
    public static IEnumerable<Job> Each(ShopWork work) => work.Each($"{Select} ORDER BY job.id", Read);

    /// <summary>The fitters who have open jobs, by initials.</summary>
    public static IReadOnlyList<string> Fitters(ShopWork work) =>
        work.Query("SELECT DISTINCT taken_in_by FROM job WHERE closed_at IS NULL ORDER BY taken_in_by", row => row.Text("taken_in_by"));

    /// <summary>Corrects what was noted wrong at take-in.</summary>
    public static void Correct(ShopWork work, long id, Request request, string words, DateOnly promised, long? priceCents, DateTimeOffset at, string by)
    {
        work.Execute("UPDATE job SET request = $request, promised = $promised, price_cents = $price WHERE id = $id",
            ("$id", id), ("$request", request), ("$promised", promised), ("$price", priceCents));
        Wordings.Say(work, id, Wording.Words, words, at, by);
    }

    /// <summary>Says the hour it is promised for; null where none is.</summary>
    public static void PromisedFor(ShopWork work, long id, TimeOnly? hour) =>
        work.Execute("UPDATE job SET promised_hour = $hour WHERE id = $id", ("$id", id), ("$hour", hour?.ToString("HH:mm", System.Globalization.CultureInfo.InvariantCulture)));

    /// <summary>Says whether the wearer is here to try it on.</summary>
    public static void Wears(ShopWork work, long id, bool hasWearer) =>
        work.Execute("UPDATE job SET has_wearer = $wearer WHERE id = $id", ("$id", id), ("$wearer", hasWearer));

    /// <summary>Chooses a band; the clasp has to be looked at again, and one that was to go on the band before is left.</summary>
    public static void ChooseBand(ShopWork work, long id, long bandId, PullThroughWay way = PullThroughWay.Double)
    {
        LookAtClaspAgain(work, id);
        work.Execute("UPDATE job SET band_id = $band, worn_way = $way, clasp_kept_at = NULL, extra_hole = NULL WHERE id = $id", ("$id", id), ("$band", bandId), ("$way", way));
        AlsoBands.Remove(work, id, bandId);
    }

    /// <summary>Says after which hole one more is to be punched; null for none.</summary>
    public static void Punch(ShopWork work, long id, int? after) =>
        work.Execute("UPDATE job SET extra_hole = $after WHERE id = $id", ("$id", id), ("$after", after));

    /// <summary>Says whose work it is, and how it goes back, as was agreed at take-in.</summary>
    public static void Agree(ShopWork work, long id, Craft? craft, ReturnTerms? returns, bool postagePaid) =>
        work.Execute("UPDATE job SET craft = $craft, returns = $returns, postage_paid = $paid WHERE id = $id",
            ("$id", id), ("$craft", craft), ("$returns", returns), ("$paid", postagePaid));

    /// <summary>Wears a pull-through band another way.</summary>
    public static void WearAs(ShopWork work, long id, PullThroughWay way) =>
        work.Execute("UPDATE job SET worn_way = $way WHERE id = $id", ("$id", id), ("$way", way));

    /// <summary>Takes back what was decided about the clasp; one that was to go on is left, with its pins.</summary>
    public static void LookAtClaspAgain(ShopWork work, long id)
    {
        PartsTaken.LeaveClasp(work, id);
        work.Execute("UPDATE job_clasp SET part_id = NULL WHERE job_id = $id", ("$id", id));
        work.Execute("UPDATE job SET clasp_kept_at = NULL WHERE id = $id", ("$id", id));
    }

    /// <summary>Keeps the band's clasp.</summary>
    public static void KeepClasp(ShopWork work, long id, DateTimeOffset at) =>
        work.Execute("UPDATE job SET clasp_kept_at = $at WHERE id = $id", ("$id", id), ("$at", at));

    private static Job Read(SqliteDataReader row) => new(
        row.Number("id"),
        new Client(row.Number("client_id"), row.Text("client_name"), row.Text("contact")) { ErasedAt = row.Maybe("erased_at", Columns.Time) },
        row.Number("watch_id"),
        row.Text("watch_name"),
        row.Choice<Request>("request"),
        row.Text("words"),
        row.Day("promised"),
        row.Time("taken_in_at"),
        row.Text("taken_in_by"),
        row.Maybe("band_id", Columns.Number),
        row.Maybe("clasp_kept_at", Columns.Time),
        row.Maybe("closed_at", Columns.Time),
        row.Maybe("price_cents", Columns.Number),
        row.Maybe("referred_at", Columns.Time),
        row.Text("refer_note"),
        row.Choice<PullThroughWay>("worn_way"))
    {
        Version = row.Number("version"),
        HasWearer = row.Yes("has_wearer"),
        PromisedHour = row.MaybeText("promised_hour") is { } hour ? TimeOnly.ParseExact(hour, "HH:mm", System.Globalization.CultureInfo.InvariantCulture) : null,
        IsUnworked = row.Yes("unworked"),
        ExtraHole = row.Maybe("extra_hole", Columns.Count),
        IsFittedMeanwhile = row.Yes("fitted_meanwhile"),
        ObservedUntil = row.Maybe("observed_until", Columns.Day),
        Craft = row.Maybe("craft", Columns.Choice<Craft>),
        Returns = row.Maybe("returns", Columns.Choice<ReturnTerms>),
        IsPostagePaid = row.Yes("postage_paid"),
    };
}
