using IronLoop.Core.Day;
using IronLoop.Core.Jobs;
using IronLoop.Core.Matching;
using IronLoop.Server.Contract;
using IronLoop.Server.Stations;
using IronLoop.Storage;

namespace IronLoop.Server.Shop.Day;

/// <summary>A job as the day looks at it.</summary>
/// <param name="File">The job.</param>
/// <param name="Work">What is left at the bench.</param>
/// <param name="Waits">What it waits for, in words; empty where it does not.</param>
internal sealed record DayWork(JobSnapshot File, DayJob Work, string Waits);

/// <summary>The shop's day: who works when, what is left of each job, and what it waits for.</summary>
internal sealed class DayPlan
{
    public const int DaysAhead = 42;
    private const int MinutesADay = 24 * 60;

    private DayPlan(DateTime start, int now, IReadOnlyList<DayHand> hands, IReadOnlyList<DayWork> jobs, IReadOnlyList<JobSnapshot> others, int lead)
    {
        (Start, Now, Hands, Jobs, Others, LeadDays) = (start, now, hands, jobs, others, lead);
        Keeping = new Keeping(now, hands, jobs.Select(j => j.Work.Of).OfType<string>().ToHashSet(StringComparer.Ordinal));
    }

    /// <summary>The beginning of today; minutes count from it.</summary>
    public DateTime Start { get; }

    public int Now { get; }

    public IReadOnlyList<DayHand> Hands { get; }

    /// <summary>Jobs with work at the bench.</summary>
    public IReadOnlyList<DayWork> Jobs { get; }

    /// <summary>Open jobs with none: done, or referred.</summary>
    public IReadOnlyList<JobSnapshot> Others { get; }

    /// <summary>Working days until what is ordered now is here.</summary>
    public int LeadDays { get; }

    /// <summary>Percent of each day that no new promise takes.</summary>
    public required int Reserve { get; init; }

    /// <summary>What jobs usually take here.</summary>
    public required UsualTimes Times { get; init; }

    public Keeping Keeping { get; }

    public IReadOnlyList<DayJob> Work => field ??= [.. Jobs.Select(j => j.Work)];

    public DateTime At(int minute) => Start.AddMinutes(minute);

    public static DayPlan Of(ShopWork work, TimeProvider clock)
    {
        var local = clock.GetLocalNow().DateTime;
        var start = local.Date;
        var now = (int)(local - start).TotalMinutes;
        var today = DateOnly.FromDateTime(start);
        var stored = DayBook.Hours(work);
        var off = DayBook.Off(work).ToLookup(o => o.Initials, o => o.Day);
        var shop = Read(stored.FirstOrDefault(h => h.Initials.Length == 0)?.Week ?? WeekText.Usual);
        List<DayHand> hands =
        [
            .. stored.Where(h => h.Initials.Length > 0).Select(h => new DayHand(
                h.Initials, Hours(today, h.Week.Length > 0 ? Read(h.Week) : shop, [.. off[h.Initials], .. off[""]]), h.DoesNot.Split(',', StringSplitOptions.RemoveEmptyEntries).ToHashSet(StringComparer.Ordinal))),
        ];
        // Until somebody says who works here, the bench is one.
        if (hands.Count == 0)
            hands.Add(new DayHand("", Hours(today, shop, [.. off[""]]), new HashSet<string>()));

        var limits = JobReader.HouseOf(work).Limits;
        var took = DayBook.LastArrivals(work).Select(a => WorkedBetween(DateOnly.FromDateTime(a.Ordered.LocalDateTime), DateOnly.FromDateTime(a.Came.LocalDateTime), shop)).ToList();
        var lead = Arrivals.Days(took, (int)(limits.Thousandths(Limit.LeadDays) / 1000));
        var times = DayBook.UsualTimes(work);
        var (held, ordered, whose) = (DayBook.Held(work), DayBook.OrderedAt(work), DayBook.InWhoseHands(work));
        var (jobs, others) = (new List<DayWork>(), new List<JobSnapshot>());
        foreach (var open in Storage.Jobs.Open(work))
        {
            var file = TheJob.Read(work, open.Id);
            if (file.Progress.Referred || WorkLeft.Of(file, times) is not { } left)
            {
                others.Add(file);
                continue;
            }
            var (waits, from) = ("", today);
            void Until(DateOnly day, string why)
            {
                if (day > from)
                    (from, waits) = (day, why);
            }
            if (file.Progress.Awaited.Count > 0)
                Until(WorkingDay(ordered.TryGetValue(open.Id, out var at) ? DateOnly.FromDateTime(at.LocalDateTime) : today, lead, shop), $"waits for {string.Join(", ", file.Progress.Awaited)}, expected");
            if (open.ObservedUntil is { } observed)
                Until(observed, "under observation until");
            var (until, why, inFront, given) = held.GetValueOrDefault(open.Id);
            if (until is { } hold)
                Until(hold, why == HoldWhy.TryOn ? "its owner comes for the try-on" : "on hold until");
            // A begun job stays with the same hands unless it was given to others on purpose.
            var begun = file.Bench.IsBegun;
            var hand = given is not null && hands.Exists(h => h.Id == given) ? given : begun && whose.TryGetValue(open.Id, out var by) && hands.Exists(h => h.Id == by) ? by : null;
            jobs.Add(new DayWork(file, new DayJob(
                open.Id.ToString(System.Globalization.CultureInfo.InvariantCulture), left.Minutes,
                from == today ? now : Minute(today, from), Minute(today, open.Promised) + (open.PromisedHour is { } hour ? hour.Hour * 60 + hour.Minute : Closing(open.Promised, shop)), new HashSet<string> { open.Request.ToString() })
            {
                Of = hand,
                Tools = file.Band?.Fastener?.ToString() ?? open.Request.ToString(),
                IsInHand = inFront || (hand is not null && begun && from == today),
            }, waits));
        }
        return new DayPlan(start, now, hands, jobs, others, lead) { Reserve = (int)(limits.Thousandths(Limit.DayReserve) / 1000), Times = times };
    }

    /// <summary>The first hour somebody works on a day; null where nobody does.</summary>
    public bool IsWorked(DateOnly day) => Hands.Any(h => h.Hours.Any(w => At(w.From).Date == day.ToDateTime(TimeOnly.MinValue)));

    /// <summary>The day after which nobody works sooner.</summary>
    public DateOnly? WorkedAfter(DateOnly day) => Enumerable.Range(1, DaysAhead).Select(d => (DateOnly?)day.AddDays(d)).FirstOrDefault(d => IsWorked(d!.Value));

    public int ClosingOf(DateOnly day)
    {
        var start = (int)(day.ToDateTime(TimeOnly.MinValue) - Start).TotalMinutes;
        return Hands.SelectMany(h => h.Hours).Where(w => w.From >= start && w.From < start + MinutesADay).Select(w => w.To).DefaultIfEmpty(start + 18 * 60).Max();
    }

    private static int Minute(DateOnly today, DateOnly day) => (day.DayNumber - today.DayNumber) * MinutesADay;

    private static IReadOnlyList<IReadOnlyList<WorkTime>> Read(string week) => WeekText.TryParse(week, out var hours, out _) ? hours : Read(WeekText.Usual);

    private static int Closing(DateOnly day, IReadOnlyList<IReadOnlyList<WorkTime>> week) => week[Weekday(day)].Select(h => h.To).DefaultIfEmpty(18 * 60).Max();

    private static int Weekday(DateOnly day) => ((int)day.DayOfWeek + 6) % 7;

    private static int WorkedBetween(DateOnly from, DateOnly to, IReadOnlyList<IReadOnlyList<WorkTime>> week) =>
        Enumerable.Range(1, Math.Clamp(to.DayNumber - from.DayNumber, 0, 400)).Count(d => week[Weekday(from.AddDays(d))].Count > 0);

    private static DateOnly WorkingDay(DateOnly from, int days, IReadOnlyList<IReadOnlyList<WorkTime>> week)
    {
        var day = from;
        for (var left = days; left > 0 && day < from.AddDays(400);)
        {
            day = day.AddDays(1);
            if (week[Weekday(day)].Count > 0 || week.All(w => w.Count == 0))
                left--;
        }
        return day;
    }

    private static List<WorkTime> Hours(DateOnly today, IReadOnlyList<IReadOnlyList<WorkTime>> week, HashSet<DateOnly> off) =>
    [
        .. Enumerable.Range(0, DaysAhead).Where(d => !off.Contains(today.AddDays(d)))
            .SelectMany(d => week[Weekday(today.AddDays(d))].Select(h => new WorkTime(d * MinutesADay + h.From, d * MinutesADay + h.To))),
    ];
}
