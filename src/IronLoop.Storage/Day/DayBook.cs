using IronLoop.Core.Day;
using IronLoop.Core.Gauging;
using IronLoop.Core.Joints;

namespace IronLoop.Storage;

/// <summary>Who works when.</summary>
/// <param name="Initials">Who; empty for the shop itself.</param>
/// <param name="Week">The usual week, as typed.</param>
/// <param name="DoesNot">Services they do not do, by name, with commas between.</param>
public sealed record StoredHours(string Initials, string Week, string DoesNot);

/// <summary>Why somebody is rung. Stored by name.</summary>
public enum RingWhy
{
    /// <summary>The work is done: it can be collected.</summary>
    WorkIsDone,

    /// <summary>What the job waited for is here.</summary>
    PartsCame,

    /// <summary>The owner's consent is awaited.</summary>
    Consent,

    /// <summary>It was promised to ask after the work.</summary>
    FollowUp,
}

/// <summary>Why a job is held until a day. Stored by name.</summary>
public enum HoldWhy
{
    /// <summary>Somebody put it on hold.</summary>
    OnHold,

    /// <summary>The owner comes that day for the try-on.</summary>
    TryOn,
}

/// <summary>What holds an open job up.</summary>
/// <param name="Until">The day it may go on; null where nothing holds it.</param>
/// <param name="Why">Why it is held.</param>
/// <param name="InFront">Whether it is pulled to the front.</param>
/// <param name="Hand">To whom it was given, by initials; null where to nobody.</param>
public readonly record struct StoredHold(DateOnly? Until, HoldWhy Why, bool InFront, string? Hand);

/// <summary>A ring.</summary>
public sealed record StoredRing(long JobId, RingWhy Why, DateTimeOffset At, string By, bool Reached);

/// <summary>The hours of the shop and of each fitter, days off, rings, and what holds jobs up.</summary>
public static class DayBook
{
    private const int LastJobs = 400;

    /// <summary>Who works when, the shop first.</summary>
    public static IReadOnlyList<StoredHours> Hours(ShopWork work) =>
        work.Query("SELECT * FROM work_hours ORDER BY initials", row => new StoredHours(row.Text("initials"), row.Text("week"), row.Text("does_not")));

    /// <summary>Days off.</summary>
    public static IReadOnlyList<(string Initials, DateOnly Day)> Off(ShopWork work) =>
        work.Query("SELECT initials, day FROM day_off ORDER BY day, initials", row => (row.Text("initials"), row.Day("day")));

    /// <summary>Stores who works when, in place of what stood.</summary>
    public static void Set(ShopWork work, IEnumerable<StoredHours> hours, IEnumerable<(string Initials, DateOnly Day)> off)
    {
        work.Execute("DELETE FROM work_hours");
        foreach (var one in hours)
            work.Execute("INSERT INTO work_hours (initials, week, does_not) VALUES ($initials, $week, $not)", ("$initials", one.Initials), ("$week", one.Week), ("$not", one.DoesNot));
        work.Execute("DELETE FROM day_off");
        foreach (var (initials, day) in off)
            work.Execute("INSERT OR IGNORE INTO day_off (initials, day) VALUES ($initials, $day)", ("$initials", initials), ("$day", day));
    }

    /// <summary>What holds open jobs up, and which are pulled to the front.</summary>
    public static IReadOnlyDictionary<long, StoredHold> Held(ShopWork work) =>
        work.Query("SELECT id, hold_until, hold_why, in_front, hand FROM job WHERE closed_at IS NULL AND (hold_until IS NOT NULL OR in_front = 1 OR hand IS NOT NULL)",
            row => (Id: row.Number("id"), Hold: new StoredHold(row.Maybe("hold_until", Columns.Day), row.Choice<HoldWhy>("hold_why"), row.Yes("in_front"), row.MaybeText("hand")))).ToDictionary(h => h.Id, h => h.Hold);

    /// <summary>Holds a job until a day, or no more.</summary>
    public static void Hold(ShopWork work, long jobId, DateOnly? until, HoldWhy why) =>
        work.Execute("UPDATE job SET hold_until = $until, hold_why = $why WHERE id = $id", ("$id", jobId), ("$until", until), ("$why", why));

    /// <summary>Gives a job to somebody, by initials; null to whoever comes to it.</summary>
    public static void Give(ShopWork work, long jobId, string? hand) => work.Execute("UPDATE job SET hand = $hand WHERE id = $id", ("$id", jobId), ("$hand", hand));

    /// <summary>Pulls a job to the front, or lets it go back.</summary>
    public static void Pull(ShopWork work, long jobId, bool toTheFront) => work.Execute("UPDATE job SET in_front = $front WHERE id = $id", ("$id", jobId), ("$front", toTheFront));

    /// <summary>When what jobs wait for was ordered; a job none of whose parts is ordered is not in it.</summary>
    public static IReadOnlyDictionary<long, DateTimeOffset> OrderedAt(ShopWork work) =>
        work.Query(
            """
            SELECT order_line.job_id AS job, MAX(supply_order.made_at) AS made FROM order_line JOIN supply_order ON supply_order.id = order_line.order_id
            WHERE order_line.job_id IS NOT NULL AND order_line.received < order_line.count GROUP BY order_line.job_id
            """,
            row => (Job: row.Number("job"), Made: row.Time("made"))).ToDictionary(o => o.Job, o => o.Made);

    /// <summary>What was expected of the bench when the plan was approved.</summary>
    public static void Expect(ShopWork work, long jobId, int minutes) => work.Execute("UPDATE job SET expected_minutes = $minutes WHERE id = $id", ("$id", jobId), ("$minutes", minutes));

    /// <summary>What the last jobs took at the bench.</summary>
    public static UsualTimes UsualTimes(ShopWork work) => new([.. work.Query(
        """
        SELECT request, fastener, seconds FROM (
          SELECT job.request, joint_look.fastener, (SELECT SUM(seconds) FROM bench_step WHERE bench_step.job_id = job.id) AS seconds
          FROM (SELECT id, request FROM job WHERE closed_at IS NOT NULL ORDER BY closed_at DESC LIMIT $most) AS job
          LEFT JOIN joint_look ON joint_look.job_id = job.id AND joint_look.joints = 'Links' AND joint_look.fastener <> 'NotLookedAt')
        WHERE seconds > 0
        """,
        row => (row.Choice<Request>("request"), row.Maybe("fastener", Columns.Choice<Fastener>), row.Number("seconds") / 60.0), ("$most", LastJobs))]);

    /// <summary>When the last parts were ordered for a job, and when they came, the newest first.</summary>
    public static IReadOnlyList<(DateTimeOffset Ordered, DateTimeOffset Came)> LastArrivals(ShopWork work) =>
        work.Query(
            """
            SELECT supply_order.made_at AS made, part_taken.came_at AS came FROM part_taken
            JOIN order_line ON order_line.job_id = part_taken.job_id AND order_line.part_id = part_taken.part_id JOIN supply_order ON supply_order.id = order_line.order_id
            WHERE part_taken.came_at IS NOT NULL AND part_taken.came_at >= supply_order.made_at ORDER BY part_taken.came_at DESC LIMIT $most
            """,
            row => (row.Time("made"), row.Time("came")), ("$most", Arrivals.Looked));

    /// <summary>How many promises of a time were kept: the last step at the bench was done by the promised day.</summary>
    public static (int Kept, int Of, double DaysLate) Promises(ShopWork work, DateOnly from, TimeZoneInfo zone)
    {
        var (kept, of, late) = (0, 0, 0);
        foreach (var (promised, done) in work.Each(
            """
            SELECT job.promised, COALESCE((SELECT MAX(done_at) FROM bench_step WHERE bench_step.job_id = job.id AND bench_step.skipped IS NULL), job.closed_at) AS done
            FROM job WHERE job.closed_at >= $from
            """,
            row => (row.Day("promised"), row.Time("done")), ("$from", from.AddDays(-1))))
        {
            var day = DateOnly.FromDateTime(TimeZoneInfo.ConvertTime(done, zone).DateTime);
            of++;
            if (day <= promised)
                kept++;
            else
                late += day.DayNumber - promised.DayNumber;
        }
        return (kept, of, of > kept ? (double)late / (of - kept) : 0);
    }

    /// <summary>Who did the last step at the bench, of open jobs that are begun.</summary>
    public static IReadOnlyDictionary<long, string> InWhoseHands(ShopWork work) =>
        work.Query(
            """
            SELECT log_entry.job_id AS job, log_entry.by FROM log_entry
            WHERE log_entry.id IN (SELECT MAX(log_entry.id) FROM log_entry JOIN job ON job.id = log_entry.job_id WHERE job.closed_at IS NULL AND log_entry.station = 'Bench' GROUP BY log_entry.job_id)
            """,
            row => (Job: row.Number("job"), By: row.Text("by"))).ToDictionary(o => o.Job, o => o.By);

    /// <summary>The last ring of each job and reason, of open jobs and of those that are to be followed up.</summary>
    public static IReadOnlyList<StoredRing> Rings(ShopWork work) =>
        work.Query(
            "SELECT ring.* FROM ring JOIN job ON job.id = ring.job_id WHERE (job.closed_at IS NULL OR job.observe_on IS NOT NULL AND job.observed_at IS NULL) AND ring.id IN (SELECT MAX(id) FROM ring GROUP BY job_id, why)",
            row => new StoredRing(row.Number("job_id"), row.Choice<RingWhy>("why"), row.Time("at"), row.Text("by"), row.Yes("reached")));

    /// <summary>Notes a ring.</summary>
    public static void Rang(ShopWork work, long jobId, RingWhy why, bool reached, DateTimeOffset at, string by) =>
        work.Execute("INSERT INTO ring (job_id, why, at, by, reached) VALUES ($job, $why, $at, $by, $reached)", ("$job", jobId), ("$why", why), ("$at", at), ("$by", by), ("$reached", reached));
}
