using IronLoop.Core.HandOver;
using IronLoop.Core.Jobs;

namespace IronLoop.Storage;

/// <summary>How a job went back to its owner.</summary>
/// <param name="GoesBack">Collected or posted; null of jobs closed before this was asked.</param>
/// <param name="By">Who handed it over.</param>
/// <param name="Note">What was not settled.</param>
/// <param name="LeftBandId">The band as it left.</param>
/// <param name="BackFrom">The earlier job this one is a return visit of.</param>
/// <param name="ObserveOn">The day the shop promised to ask after it.</param>
/// <param name="ObserveFor">What is watched until then.</param>
/// <param name="ObservedAt">When it was asked after.</param>
public sealed record HandedOver(
    HowItGoesBack? GoesBack, string By, string Note, long? LeftBandId, long? BackFrom, DateOnly? ObserveOn, string ObserveFor, DateTimeOffset? ObservedAt)
{
    /// <summary>Whether the owner may be asked after it.</summary>
    /// <param name="jobId">The job.</param>
    public Permission MayBeAskedAfter(long jobId) => Permission.Unless(ObserveOn is null || ObservedAt is not null ? $"Job {jobId} is not waiting to be followed up." : null);
}

/// <summary>An observation the shop promised.</summary>
/// <param name="JobId">The job.</param>
/// <param name="Client">Whose watch.</param>
/// <param name="Contact">How they are reached.</param>
/// <param name="Watch">Which watch.</param>
/// <param name="On">The day.</param>
/// <param name="For">What is watched.</param>
public sealed record Observation(long JobId, string Client, string Contact, string Watch, DateOnly On, string For);

/// <summary>What is stored of hand-overs.</summary>
public static class HandOvers
{
    /// <summary>How a job went back.</summary>
    public static HandedOver Of(ShopWork work, long jobId) =>
        work.Query(
            $"""
            SELECT goes_back, closed_by, {Wordings.Standing(Wording.CloseNote)} AS close_note, left_band_id, back_from, observe_on, {Wordings.Standing(Wording.ObserveFor)} AS observe_for, observed_at
            FROM job WHERE id = $id
            """,
            row => new HandedOver(
                row.Maybe("goes_back", Columns.Choice<HowItGoesBack>), row.MaybeText("closed_by") ?? "", row.Text("close_note"),
                row.Maybe("left_band_id", Columns.Number), row.Maybe("back_from", Columns.Number), row.Maybe("observe_on", Columns.Day),
                row.Text("observe_for"), row.Maybe("observed_at", Columns.Time)),
            ("$id", jobId)).Single();

    /// <summary>The band a watch left with at its visit before a time; null where there was none.</summary>
    public static long? LeftWith(ShopWork work, long watchId, DateTimeOffset before) =>
        work.Query("SELECT left_band_id FROM job WHERE watch_id = $watch AND closed_at IS NOT NULL AND closed_at <= $before AND left_band_id IS NOT NULL ORDER BY closed_at DESC LIMIT 1",
            row => (long?)row.Number("left_band_id"), ("$watch", watchId), ("$before", before)).FirstOrDefault();

    /// <summary>Closes a job with how it went back.</summary>
    public static void Close(ShopWork work, long jobId, DateTimeOffset at, HandedOver how)
    {
        work.Execute("UPDATE job SET closed_at = $at, goes_back = $back, closed_by = $by, left_band_id = $left, observe_on = $on WHERE id = $id",
            ("$id", jobId), ("$at", at), ("$back", how.GoesBack), ("$by", how.By), ("$left", how.LeftBandId), ("$on", how.ObserveOn));
        Wordings.Say(work, jobId, Wording.CloseNote, how.Note, at, how.By);
        Wordings.Say(work, jobId, Wording.ObserveFor, how.ObserveFor, at, how.By);
    }

    /// <summary>Closes a job whose watch goes back as it came.</summary>
    public static void GoBackUnworked(ShopWork work, long jobId, DateTimeOffset at, HandedOver how)
    {
        Close(work, jobId, at, how);
        work.Execute("UPDATE job SET unworked = 1 WHERE id = $id", ("$id", jobId));
    }

    /// <summary>Stores the price at hand-over.</summary>
    public static void Price(ShopWork work, long jobId, long? cents) =>
        work.Execute("UPDATE job SET price_cents = $price WHERE id = $id", ("$id", jobId), ("$price", cents));

    /// <summary>Says which job another one is a return visit of.</summary>
    public static void CameBack(ShopWork work, long jobId, long from) =>
        work.Execute("UPDATE job SET back_from = $from WHERE id = $id", ("$id", jobId), ("$from", from));

    /// <summary>Notes that an observation was asked after.</summary>
    public static void Observed(ShopWork work, long jobId, DateTimeOffset at) =>
        work.Execute("UPDATE job SET observed_at = $at WHERE id = $id", ("$id", jobId), ("$at", at));

    /// <summary>The observations promised and not asked after yet, the earliest first.</summary>
    /// <param name="work">The piece of work.</param>
    /// <param name="until">The last day.</param>
    public static IReadOnlyList<Observation> Promised(ShopWork work, DateOnly until) =>
        work.Query(
            $"""
            SELECT job.id, job.observe_on, {Wordings.Standing(Wording.ObserveFor)} AS observe_for, client.name AS client_name, client.contact, watch.name AS watch_name
            FROM job JOIN client ON client.id = job.client_id JOIN watch ON watch.id = job.watch_id
            WHERE job.observe_on IS NOT NULL AND job.observed_at IS NULL AND job.observe_on <= $until
            ORDER BY job.observe_on, job.id
            """,
            row => new Observation(row.Number("id"), row.Text("client_name"), row.Text("contact"), row.Text("watch_name"), row.Day("observe_on"), row.Text("observe_for")),
            ("$until", until));
}
