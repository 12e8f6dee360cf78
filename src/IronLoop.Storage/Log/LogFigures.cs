using IronLoop.Core.Day;
using IronLoop.Core.Gauging;
using IronLoop.Core.Joints;
using IronLoop.Core.Measuring;

namespace IronLoop.Storage;

/// <summary>A week of the log.</summary>
/// <param name="Monday">Its first day.</param>
/// <param name="Closed">Jobs handed over in it.</param>
/// <param name="TriedOn">Of those, bracelets that were tried on between the sides.</param>
/// <param name="RightFirst">Of those, the ones whose plan held at the first try-on.</param>
public sealed record LogWeek(DateOnly Monday, int Closed, int TriedOn, int RightFirst);

/// <summary>How long a kind of job takes at the bench.</summary>
/// <param name="Request">What was asked for.</param>
/// <param name="Fastener">What joins its links; null where none are, or nobody looked.</param>
/// <param name="Jobs">How many were timed.</param>
/// <param name="Minutes">The middle one of their times.</param>
/// <param name="Expected">The middle one of what was expected of them; null where nothing was.</param>
public sealed record LogMinutes(Request Request, Fastener? Fastener, int Jobs, double Minutes, double? Expected);

/// <summary>How often a width came.</summary>
/// <param name="Width">Lug or band width, in whole and half millimetres.</param>
/// <param name="Jobs">How many jobs.</param>
public sealed record LogWidth(Length Width, int Jobs);

/// <summary>The log in figures over time.</summary>
public static class LogFigures
{
    /// <summary>The weeks from one day's on, each, also those in which nothing was closed.</summary>
    /// <param name="work">The piece of work.</param>
    /// <param name="today">Today.</param>
    /// <param name="weeks">How many weeks back, this one with them.</param>
    /// <param name="zone">The shop's clock: a week ends at its midnight.</param>
    public static IReadOnlyList<LogWeek> Weeks(ShopWork work, DateOnly today, int weeks, TimeZoneInfo zone)
    {
        var first = Monday(today).AddDays(-7 * (weeks - 1));
        var found = new Dictionary<DateOnly, (int Closed, int Tried, int Right)>();
        foreach (var (at, isTried, again) in work.Each(
            """
            SELECT job.closed_at,
              EXISTS (SELECT 1 FROM bench_step WHERE bench_step.job_id = job.id AND bench_step.row = 'TryOn' AND bench_step.skipped IS NULL) AS tried,
              EXISTS (SELECT 1 FROM bench_plan WHERE bench_plan.job_id = job.id AND bench_plan.changed > 0) AS again,
              EXISTS (SELECT 1 FROM plan_link WHERE plan_link.job_id = job.id) AS linked
            FROM job WHERE job.closed_at >= $from
            """,
            row => (row.Time("closed_at"), row.Yes("tried") && row.Yes("linked"), row.Yes("again")), ("$from", first.AddDays(-1))))
        {
            var monday = Monday(DateOnly.FromDateTime(TimeZoneInfo.ConvertTime(at, zone).DateTime));
            var (closed, tried, right) = found.GetValueOrDefault(monday);
            found[monday] = (closed + 1, tried + (isTried ? 1 : 0), right + (isTried && !again ? 1 : 0));
        }
        return [.. Enumerable.Range(0, weeks).Select(w => first.AddDays(7 * w)).Select(monday =>
        {
            var (closed, tried, right) = found.GetValueOrDefault(monday);
            return new LogWeek(monday, closed, tried, right);
        })];
    }

    /// <summary>How long each kind of job took at the bench, of those whose steps were timed, and what was expected.</summary>
    public static IReadOnlyList<LogMinutes> Minutes(ShopWork work, DateOnly from) =>
        [.. work.Query(
            """
            SELECT job.request, job.expected_minutes AS expected, joint_look.fastener, SUM(bench_step.seconds) / 60.0 AS minutes
            FROM job JOIN bench_step ON bench_step.job_id = job.id
            LEFT JOIN joint_look ON joint_look.job_id = job.id AND joint_look.joints = 'Links' AND joint_look.fastener <> 'NotLookedAt'
            WHERE job.closed_at >= $from AND bench_step.seconds IS NOT NULL
            GROUP BY job.id
            """,
            row => (Request: row.Choice<Request>("request"), Fastener: row.Maybe("fastener", Columns.Choice<Fastener>), Expected: row.Maybe("expected", Columns.Number), Minutes: row.GetDouble(row.GetOrdinal("minutes"))), ("$from", from))
            .GroupBy(m => (m.Request, m.Fastener))
            .Select(g =>
            {
                var expected = g.Where(m => m.Expected is not null).Select(m => (double)m.Expected!.Value).ToList();
                return new LogMinutes(g.Key.Request, g.Key.Fastener, g.Count(), Math.Round(UsualTime.Of(g.Select(m => m.Minutes)).Middle, 1), expected.Count == 0 ? null : Math.Round(UsualTime.Of(expected).Middle, 1));
            })
            .OrderByDescending(m => m.Jobs).ThenBy(m => m.Request).ThenBy(m => m.Fastener)];

    /// <summary>The widths that came most.</summary>
    public static IReadOnlyList<LogWidth> Widths(ShopWork work, DateOnly from, int most)
    {
        var jobs = new Dictionary<Length, int>();
        foreach (var (width, count) in work.Query(
            "SELECT visit.width_um, COUNT(*) AS jobs FROM visit JOIN job ON job.id = visit.job_id WHERE visit.width_um IS NOT NULL AND job.taken_in_at >= $from GROUP BY visit.width_um",
            row => (row.Length("width_um"), row.Count("jobs")), ("$from", from)))
            jobs[width] = count;
        var open = work.OpenVisits.Widths(work);
        foreach (var job in work.Query("SELECT id FROM job WHERE closed_at IS NULL AND taken_in_at >= $from", row => row.Number("id"), ("$from", from)))
            if (open.TryGetValue(job, out var width))
                jobs[width] = jobs.GetValueOrDefault(width) + 1;
        return [.. jobs.Select(j => new LogWidth(j.Key, j.Value)).OrderByDescending(w => w.Jobs).ThenBy(w => w.Width).Take(most)];
    }

    private static DateOnly Monday(DateOnly day) => day.AddDays(-(((int)day.DayOfWeek + 6) % 7));
}
