using System.Globalization;
using IronLoop.Core.Day;
using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Core.Measuring;
using IronLoop.Server.Contract;
using IronLoop.Server.Door;
using IronLoop.Server.Paper;
using IronLoop.Server.Stations;
using IronLoop.Storage;

namespace IronLoop.Server.Shop.Day;

/// <summary>The day: what to do next, whom to ring, what is late, and what can be promised.</summary>
internal static class DayEndpoints
{
    private const int StripDays = 10;
    private const int WhileTheyWait = 30;
    private const int AdvisedFrom = 20, WellKept = 95, Looked = 60;
    private const int MinutesADay = 24 * 60;

    private static readonly AllowedNumber HowMany = new(0, 20), DaysOff = new(0, 400);

    public static void MapDay(this IEndpointRouteBuilder routes)
    {
        var day = routes.MapGroup("/api/day").WithTags("day");
        day.MapGet("", (OpenShop shop, TimeProvider clock) =>
        {
            using var work = shop.Look();
            return Of(work, DayPlan.Of(work, clock));
        }).WithName("day").WithSummary("Today’s lists, whom to ring, what is late, what waits, and the next ten working days.");
        day.MapGet("/promise", Promise).WithName("promise").WithSummary("What can be promised for a service, and what another day would make late.").ProducesValidationProblem();
        day.MapGet("/front/{id:long}", Front).WithName("front").WithSummary("What pulling a job to the front makes late; nothing is stored.").ProducesProblem(StatusCodes.Status404NotFound);
        day.MapGet("/hours", (OpenShop shop) =>
        {
            using var work = shop.Look();
            return HoursOf(work);
        }).WithName("workHours").WithSummary("The hours of the shop and of each fitter, days off, and what somebody does not do.");
        day.MapGet("/messages", (OpenShop shop) =>
        {
            using var work = shop.Look();
            return Messages.Of(work);
        }).WithName("messages").WithSummary("The house’s words for who is rung; the program sends nothing.");
        routes.MapGet("/api/day.pdf", (OpenShop shop, TimeProvider clock, string paper = "a4") =>
        {
            var refusals = new Refusals();
            var size = refusals.Choice<PaperSize>("$.paper", paper) ?? PaperSize.A4;
            refusals.ThrowIfAny();
            using var work = shop.Look();
            return Results.File(DaySheet.Draw(Of(work, DayPlan.Of(work, clock)), size), "application/pdf", "day.pdf");
        }).ExcludeFromDescription().GivesOut(Role.Fitter, "the day on paper");
        routes.MapGet("/api/day.ics", (OpenShop shop, TimeProvider clock) =>
        {
            using var work = shop.Look();
            var plan = DayPlan.Of(work, clock);
            var text = DaySheet.Calendar(
                Of(work, plan), ListsOf(work, plan, DayLists.Of(plan.Now, plan.Hands, plan.Work), MinutesADay),
                plan.Jobs.Select(j => (j.File.Job.Id, $"{j.File.Job.Client.Name}, {j.File.Job.WatchName}", j.File.Job.Promised)));
            return Results.File(System.Text.Encoding.UTF8.GetBytes(text), "text/calendar; charset=utf-8", "day.ics");
        }).ExcludeFromDescription().GivesOut(Role.Fitter, "the day as a calendar");
        var job = routes.MapGroup("/api/jobs/{id:long}").WithTags("day");
        job.MapPost("/rings", Rang).WithName("rang").WithSummary("Notes that the owner was rung, reached or not.").ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound);
        job.MapPut("/hold", Hold).WithName("hold").WithSummary("Holds a job until a day, or no longer.").ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound);
        job.MapPut("/hand", Give).WithName("giveJob").WithSummary("Gives a job to a fitter, or to whoever comes to it; a begun one too.").ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound);
        job.MapPut("/hour", SetHour).WithName("setHour").WithSummary("Says the hour of its day a job is promised for, or none.").ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound);
        job.MapPut("/front", Pull).WithName("pull").WithSummary("Pulls a job to the front of its list, or lets it go back.").ProducesProblem(StatusCodes.Status404NotFound);
    }

    /// <summary>Hours and the house's words are a manager's.</summary>
    public static void MapHours(this IEndpointRouteBuilder routes)
    {
        routes.MapPut("/api/day/hours", SetHours).WithName("setWorkHours").WithTags("day").WithSummary("Sets who works when.").ProducesValidationProblem();
        routes.MapPut("/api/day/messages", SetMessages).WithName("setMessages").WithTags("day").WithSummary("Sets the house’s words for who is rung; one left empty is the usual one again.").ProducesValidationProblem();
    }

    private static MessagesWire SetMessages(MessagesWire messages, OpenShop shop)
    {
        var refusals = new Refusals();
        using var work = shop.Begin();
        Messages.Set(work, messages, refusals);
        refusals.ThrowIfAny();
        work.Commit();
        return Messages.Of(work);
    }

    private static TheDayWire Of(ShopWork work, DayPlan plan)
    {
        var feasible = plan.Keeping.Keeps(plan.Work);
        var lists = DayLists.Of(plan.Now, plan.Hands, plan.Work);
        var byId = plan.Jobs.ToDictionary(j => j.Work.Id, StringComparer.Ordinal);
        var late = lists.Late.Select(l => Late(byId[l.Job.Id], l.Minutes)).ToList();
        var today = DateOnly.FromDateTime(plan.Start);
        var held = DayBook.Held(work).Where(h => h.Value.Until > today).ToDictionary();
        List<WaitingWire> waiting =
        [
            .. plan.Jobs.Where(j => j.Waits.Length > 0).Select(j => Waits(j.File, j.Waits, DateOnly.FromDateTime(plan.At(j.Work.NotBefore))) with { Held = held.ContainsKey(j.File.Job.Id) }),
            .. plan.Jobs.Select(j => j.File).Concat(plan.Others).Where(f => f.Progress.TrayKept).Select(f => Waits(f, "its tray is kept: open, to be gauged", today)),
            // Each look at a watch under observation is a line of its day.
            .. plan.Jobs.Select(j => j.File).Concat(plan.Others).Where(f => f.Job.ObservedUntil is not null)
                .SelectMany(f => Observed.Of(work, f.Job.Id) is { EndedAt: null } watched ? watched.Looks.Where(l => l.At is null).Select(l => Waits(f, $"to be looked at: {watched.Set}", l.Due)) : []),
        ];
        return new TheDayWire(
            Say(plan, plan.Now), feasible, Says(plan, feasible, late.Count) + Advice(work, plan),
            ListsOf(work, plan, lists, 0), Rings(work, plan), late, waiting, Strip(plan, lists));
    }

    private static string Says(DayPlan plan, bool feasible, int late) => plan.Jobs.Count == 0 ? "Nothing is left at the bench."
        : feasible ? late == 0 ? "Every promise can be kept." : $"Every promise could be kept with work handed over; as whole jobs {late} would be late."
        : plan.Keeping.Allowance(plan.Work) is { } by ? $"Not every promise can be kept: the shop is {Long(by)} late." : "Some work finds no hands within six weeks: look at who does what, and at the hours.";

    /// <summary>A larger reserve is advised where too few of the last promises were kept.</summary>
    private static string Advice(ShopWork work, DayPlan plan)
    {
        var (kept, of, _) = DayBook.Promises(work, DateOnly.FromDateTime(plan.Start).AddDays(-Looked), TimeZoneInfo.Local);
        return of < AdvisedFrom || kept * 100 >= of * WellKept ? ""
            : $" Of the last {Looked} days’ promises {100 * kept / of} % were kept: let new ones take less of each day (Shop, Rules: {plan.Reserve} percent is kept from them).";
    }

    private static string Long(int minutes) => minutes < 90 ? $"{minutes} minutes"
        : minutes < 20 * 60 ? string.Create(CultureInfo.InvariantCulture, $"{Math.Round(minutes / 60.0)} hours")
        : Math.Round(minutes / (double)MinutesADay * 2) / 2 is var days && days <= 1 ? "a day" : string.Create(CultureInfo.InvariantCulture, $"{days:0.#} days");

    private static WaitingWire Waits(JobSnapshot file, string waits, DateOnly until) => new(file.Job.Id, file.Job.Client.Name, file.Job.WatchName, waits, until);

    private static LateJobWire Late(DayWork job, int? minutes) => new(job.File.Job.Id, job.File.Job.Client.Name, job.File.Job.WatchName, minutes,
        minutes is { } by ? $"{Long(by)} late{(job.Waits.Length > 0 ? "; it waits" : "")}" : "nobody here does it within six weeks");

    private static List<DayListWire> ListsOf(ShopWork work, DayPlan plan, DayLists lists, int from)
    {
        var byId = plan.Jobs.ToDictionary(j => j.Work.Id, StringComparer.Ordinal);
        return [.. lists.Lists.Select(l => ListOf(work, plan, l, byId, from))];
    }

    private static DayListWire ListOf(ShopWork work, DayPlan plan, HandList list, Dictionary<string, DayWork> byId, int from)
    {
        var seen = new HashSet<string>(StringComparer.Ordinal);
        return new DayListWire(
            list.Hand.Id,
            [.. list.Hand.Hours.Where(h => h.From >= from && h.From < from + MinutesADay).Select(h => new HoursWire(Say(plan, h.From), Say(plan, h.To)))],
            [.. list.Pieces.Where(p => p.From >= from && p.From < from + MinutesADay).Select(p =>
            {
                var job = byId[p.Job.Id];
                var again = !seen.Add(p.Job.Id);
                return new DayPieceWire(
                    job.File.Job.Id, job.File.Job.Client.Name, job.File.Job.WatchName, Say(plan, p.From), Say(plan, p.To), p.Job.Minutes, job.File.Progress.Next,
                    job.File.Progress.Says(job.File.Progress.Next), again ? [] : Fetch(work, job.File), p.Job.IsInHand, again);
            })]);
    }

    private static string[] Fetch(ShopWork work, JobSnapshot file) =>
        [.. file.Taken.Where(t => t is { IsReserved: true, BookedAt: null }).Select(t => $"{t.Count} × {t.Part.Part.Article}{(Parts.Find(work, t.Part.Part.Article)?.Place is { Length: > 0 } place ? $", {place}" : "")}")];

    private static List<RingWire> Rings(ShopWork work, DayPlan plan)
    {
        var rung = DayBook.Rings(work).ToDictionary(r => (r.JobId, r.Why));
        var rings = new List<RingWire>();
        void Add(JobSnapshot file, RingWhy why, string says, string message) =>
            Ring(new RingWire(file.Job.Id, file.Job.Client.Name, file.Job.Client.Contact, file.Job.WatchName, why, says, null, message));
        void Ring(RingWire ring)
        {
            var last = rung.GetValueOrDefault((ring.JobId, ring.Why));
            if (last is not { Reached: true })
                rings.Add(ring with { Tried = last?.At.LocalDateTime.ToString("ddd d MMM, HH:mm", CultureInfo.InvariantCulture) });
        }
        foreach (var file in plan.Others.Where(f => !f.Progress.Referred && f.Progress.Next == Station.HandOver && f.Job.ObservedUntil is null))
            Add(file, RingWhy.WorkIsDone, "The work is done; it can be collected.", Messages.For(work, RingWhy.WorkIsDone, file));
        foreach (var job in plan.Jobs)
        {
            var file = job.File;
            if (file.Progress.Awaited.Count == 0 && file.Taken.Any(t => t is { CameAt: not null, BookedAt: null }) && file.Job.HasWearer && !file.Bench.IsBegun)
                Add(file, RingWhy.PartsCame, "What it waited for is here.", Messages.For(work, RingWhy.PartsCame, file));
            if (file.Lasting.Length > 0 && Consents.Of(work, file.Job.Id) is null && file.Stock?.OwnerClientId is null)
                Add(file, RingWhy.Consent, $"A consent is awaited: {file.Lasting}.", Messages.For(work, RingWhy.Consent, file, file.Lasting));
        }
        // Asked after: the reply is recorded where it is followed up.
        foreach (var after in HandOvers.Promised(work, DateOnly.FromDateTime(plan.Start)))
            Ring(new RingWire(
                after.JobId, after.Client, after.Contact, after.Watch, RingWhy.FollowUp, $"To be followed up{(after.For.Length > 0 ? $": {after.For}" : "")}.", null,
                Messages.For(work, RingWhy.FollowUp, after.JobId, after.Client, after.Watch)));
        return rings;
    }

    private static List<StripDayWire> Strip(DayPlan plan, DayLists lists)
    {
        var strip = new List<StripDayWire>();
        for (var d = 0; d < DayPlan.DaysAhead && strip.Count < StripDays; d++)
        {
            var (from, to) = (d * MinutesADay, (d + 1) * MinutesADay);
            var minutes = plan.Hands.SelectMany(h => h.From(plan.Now)).Where(h => h.From >= from && h.From < to).Sum(h => h.Minutes);
            if (minutes == 0)
                continue;
            var taken = lists.Lists.SelectMany(l => l.Pieces).Where(p => p.From >= from && p.From < to).Sum(p => p.To - p.From);
            var over = lists.Late.Any(l => l.Job.Due >= from && l.Job.Due < to);
            strip.Add(new StripDayWire(DateOnly.FromDateTime(plan.At(from)), minutes, taken, over));
        }
        return strip;
    }

    private static PromiseWire Promise(OpenShop shop, TimeProvider clock, string? service = null, string? day = null)
    {
        var refusals = new Refusals();
        var request = Request.ChangeStrap;
        if (service is not null && (!Enum.TryParse(service, ignoreCase: true, out request) || !Enum.IsDefined(request) || int.TryParse(service, CultureInfo.InvariantCulture, out _)))
            refusals.Add("$.service", $"service is “{service}”; allowed is one of {string.Join(", ", Enum.GetNames<Request>().Select(n => char.ToLowerInvariant(n[0]) + n[1..]))}.");
        DateOnly? due = null;
        if (!string.IsNullOrEmpty(day))
        {
            if (DateOnly.TryParseExact(day, "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out var read))
                due = read;
            else
                refusals.Add("$.day", $"day is “{day}”; allowed is a day such as {clock.Today():yyyy-MM-dd}.");
        }
        refusals.ThrowIfAny();
        using var work = shop.Look();
        var plan = DayPlan.Of(work, clock);
        var usual = WorkLeft.Of(request, plan.Times);
        var one = new DayJob("one", usual.Most, plan.Now, plan.Now, new HashSet<string> { request.ToString() });
        var today = clock.Today();
        DateOnly? Day(int? minute) => minute is { } at ? DateOnly.FromDateTime(plan.At(at - 1)) : null;
        var earliest = Day(plan.Keeping.Earliest(plan.Work, one, plan.Reserve));
        // Somebody is free within half an hour, and every promise still holds.
        var waits = usual.Most <= WhileTheyWait && plan.Keeping.Keeps([.. plan.Keeping.Kept(plan.Work), one with { Due = plan.Now + WhileTheyWait + usual.Most }]);
        var here = today;
        for (var i = 0; i < plan.LeadDays; i++)
            here = plan.WorkedAfter(here) ?? here.AddDays(1);
        var ordered = Day(plan.Keeping.Earliest(plan.Work, one with { NotBefore = (here.DayNumber - today.DayNumber) * MinutesADay }, plan.Reserve));
        IReadOnlyList<LateJobWire> breaks = [];
        if (due is { } asked && asked >= today && asked < today.AddDays(DayPlan.DaysAhead))
        {
            var kept = plan.Keeping.Kept(plan.Work);
            var with = one with { Due = plan.ClosingOf(asked) };
            if (!plan.Keeping.Keeps([.. kept, with]))
            {
                var byId = plan.Jobs.ToDictionary(j => j.Work.Id, StringComparer.Ordinal);
                var late = DayLists.Of(plan.Now, plan.Hands, [.. kept, with]).Late.Where(l => byId.ContainsKey(l.Job.Id)).Select(l => Late(byId[l.Job.Id], l.Minutes)).ToList();
                breaks = late.Count > 0 ? late : [new LateJobWire(0, "", "", null, "This one itself would be late.")];
            }
        }
        return new PromiseWire(earliest is { } first ? plan.WorkedAfter(first) ?? first : null, earliest, waits, ordered, usual.Minutes, usual.Most, breaks);
    }

    private static List<LateJobWire> Front(long id, OpenShop shop, TimeProvider clock)
    {
        using var work = shop.Look();
        TheJob.Read(work, id);
        var plan = DayPlan.Of(work, clock);
        return MadeLate(plan, id);
    }

    private static List<LateJobWire> MadeLate(DayPlan plan, long id)
    {
        var key = id.ToString(CultureInfo.InvariantCulture);
        var byId = plan.Jobs.ToDictionary(j => j.Work.Id, StringComparer.Ordinal);
        var before = DayLists.Of(plan.Now, plan.Hands, plan.Work).Late.ToDictionary(l => l.Job.Id, l => l.Minutes);
        var after = DayLists.Of(plan.Now, plan.Hands, [.. plan.Work.Select(j => j.Id == key ? j with { IsInHand = true } : j)]);
        return [.. after.Late.Where(l => !before.TryGetValue(l.Job.Id, out var was) || l.Minutes > was).Select(l => Late(byId[l.Job.Id], l.Minutes))];
    }

    private static TheDayWire Rang(long id, RangWire rang, OpenShop shop, TimeProvider clock)
    {
        var refusals = new Refusals();
        var by = refusals.Initials("$.by", rang.By, shop.By);
        refusals.ThrowIfAny();
        using var work = shop.Begin();
        TheJob.Read(work, id);
        DayBook.Rang(work, id, rang.Why, rang.Reached, clock.GetUtcNow(), by);
        work.Commit();
        return Of(work, DayPlan.Of(work, clock));
    }

    private static TheDayWire Hold(long id, HoldWire hold, OpenShop shop, TimeProvider clock)
    {
        var (refusals, today) = (new Refusals(), clock.Today());
        if (hold.Until is { } until && (until < today || until > today.AddYears(1)))
            refusals.Add("$.until", $"until is {until:yyyy-MM-dd}; allowed is {today:yyyy-MM-dd} to {today.AddYears(1):yyyy-MM-dd}.");
        refusals.ThrowIfAny();
        using var work = shop.Begin();
        TheJob.Read(work, id);
        DayBook.Hold(work, id, hold.Until, hold.Why);
        work.Commit();
        return Of(work, DayPlan.Of(work, clock));
    }

    private static TheDayWire Give(long id, GivenWire given, OpenShop shop, TimeProvider clock)
    {
        var refusals = new Refusals();
        using var work = shop.Begin();
        TheJob.Read(work, id);
        var hands = DayBook.Hours(work).Select(h => h.Initials).Where(i => i.Length > 0).ToList();
        if (given.Hand is { } hand && !hands.Contains(hand))
            refusals.Add("$.hand", $"hand is “{hand}”; allowed is {(hands.Count == 0 ? "nobody: no hours are entered yet" : string.Join(", ", hands))}.");
        refusals.ThrowIfAny();
        DayBook.Give(work, id, given.Hand);
        work.Commit();
        return Of(work, DayPlan.Of(work, clock));
    }

    private static TheDayWire SetHour(long id, HourWire set, OpenShop shop, TimeProvider clock)
    {
        var refusals = new Refusals();
        var hour = default(TimeOnly);
        if (!string.IsNullOrEmpty(set.Hour) && !TimeOnly.TryParseExact(set.Hour, "HH:mm", CultureInfo.InvariantCulture, DateTimeStyles.None, out hour))
            refusals.Add("$.hour", $"hour is “{set.Hour}”; allowed is one such as 15:30, or none.");
        refusals.ThrowIfAny();
        using var work = shop.Begin();
        TheJob.For(work, id, JobAct.PutRight);
        Storage.Jobs.PromisedFor(work, id, string.IsNullOrEmpty(set.Hour) ? null : hour);
        work.Commit();
        return Of(work, DayPlan.Of(work, clock));
    }

    private static TheDayWire Pull(long id, FrontWire front, OpenShop shop, TimeProvider clock)
    {
        using var work = shop.Begin();
        TheJob.Read(work, id);
        DayBook.Pull(work, id, front.InFront);
        work.Commit();
        return Of(work, DayPlan.Of(work, clock));
    }

    private static WorkHoursWire HoursOf(ShopWork work)
    {
        var (stored, off) = (DayBook.Hours(work), DayBook.Off(work).ToLookup(o => o.Initials, o => o.Day));
        return new WorkHoursWire(
            stored.FirstOrDefault(h => h.Initials.Length == 0)?.Week ?? WeekText.Usual, [.. off[""]],
            [.. stored.Where(h => h.Initials.Length > 0).Select(h => new WorksWire(h.Initials, h.Week, [.. off[h.Initials]],
                [.. h.DoesNot.Split(',', StringSplitOptions.RemoveEmptyEntries).Where(n => Enum.TryParse<Request>(n, out _)).Select(Enum.Parse<Request>)]))]);
    }

    private static WorkHoursWire SetHours(WorkHoursWire hours, OpenShop shop)
    {
        var refusals = new Refusals();
        refusals.Check("$.hands", HowMany, hours.Hands.Count);
        string Week(string path, string? week)
        {
            var text = refusals.Text(path, week, WeekText.Longest, required: false);
            if (!WeekText.TryParse(text, out _, out var why))
                refusals.Add(path, why);
            return text;
        }
        var shops = Week("$.week", hours.Week);
        refusals.Check("$.off", DaysOff, hours.Off.Count);
        var hands = hours.Hands.Select((h, i) =>
        {
            refusals.Check($"$.hands[{i}].off", DaysOff, h.Off.Count);
            return new StoredHours(refusals.Initials($"$.hands[{i}].initials", h.Initials, null), Week($"$.hands[{i}].week", h.Week), string.Join(',', h.Not.Distinct().Order()));
        }).ToList();
        foreach (var twice in hands.GroupBy(h => h.Initials, StringComparer.Ordinal).Where(g => g.Count() > 1 && g.Key.Length > 0))
            refusals.Add("$.hands", $"{twice.Key} stands here {twice.Count()} times; allowed is once.");
        refusals.ThrowIfAny();
        using var work = shop.Begin();
        DayBook.Set(work, [new StoredHours("", shops, ""), .. hands], [.. hours.Off.Select(d => ("", d)), .. hours.Hands.SelectMany((h, i) => h.Off.Select(d => (hands[i].Initials, d)))]);
        work.Commit();
        return HoursOf(work);
    }

    private static string Say(DayPlan plan, int minute) => plan.At(minute).ToString("yyyy-MM-dd'T'HH:mm", CultureInfo.InvariantCulture);
}
