using System.Globalization;
using System.Text.Json.Serialization;
using IronLoop.Core.Day;
using IronLoop.Core.Measuring;
using IronLoop.Server.Contract;

namespace IronLoop.Server.Shop.Day;

/// <param name="From">A local time such as <c>2026-03-02T09:00</c>, whole minutes, without a zone.</param>
/// <param name="To">Later than <paramref name="From"/>.</param>
internal sealed record HoursWire(string From, string To);

/// <param name="Not">What they do not do.</param>
internal sealed record PlannedHand(string Id, IReadOnlyList<HoursWire> Hours, IReadOnlyList<string>? Not = null);

/// <param name="Minutes">Work left, 1 to 2000 minutes.</param>
/// <param name="NotBefore">When it can be begun; now when left out.</param>
/// <param name="Due">When it is promised for.</param>
/// <param name="Needs">What it asks of whoever does it.</param>
internal sealed record PlannedJob(string Id, int Minutes, string Due, string? NotBefore = null, IReadOnlyList<string>? Needs = null);

internal sealed record PlannedOne(int Minutes, IReadOnlyList<string>? Needs = null);

/// <param name="One">One more, to be promised.</param>
/// <param name="Reserve">Percent of each day kept from it, 0 to 90.</param>
internal sealed record DayPlanRequest(string Now, IReadOnlyList<PlannedHand> Hands, IReadOnlyList<PlannedJob> Jobs, PlannedOne? One = null, int Reserve = 0);

/// <param name="Minutes">By how much it is late; null where the hours never suffice for it.</param>
internal sealed record DayPlanLate(string Id, int? Minutes);

internal sealed record DayPlanPiece(string Id, string From, string To);

internal sealed record DayPlanToday(string Hand, IReadOnlyList<DayPlanPiece> Jobs);

/// <param name="Feasible">Whether every promise can be kept, work broken off and handed over at will.</param>
/// <param name="AllowanceMinutes">The fewest whole minutes by which all dues move until everything can be kept; null when hours never suffice.</param>
/// <param name="Late">What is late, one way; empty when all can be kept.</param>
/// <param name="Today">What each does today.</param>
/// <param name="Promise">The earliest minute for the one more that keeps all others that can be kept; null when there is none, or none was asked.</param>
internal sealed record DayPlanAnswer(bool Feasible, int? AllowanceMinutes, IReadOnlyList<DayPlanLate> Late, IReadOnlyList<DayPlanToday> Today, string? Promise);

/// <summary>How what this call takes and answers is read and written, worked out by the compiler.</summary>
[JsonSourceGenerationOptions(GenerationMode = JsonSourceGenerationMode.Metadata)]
[JsonSerializable(typeof(DayPlanRequest))]
[JsonSerializable(typeof(DayPlanAnswer))]
[JsonSerializable(typeof(GivenWire))]
[JsonSerializable(typeof(HourWire))]
[JsonSerializable(typeof(MessagesWire))]
[JsonSerializable(typeof(TheDayWire))]
[JsonSerializable(typeof(PromiseWire))]
[JsonSerializable(typeof(List<LateJobWire>))]
[JsonSerializable(typeof(WorkHoursWire))]
[JsonSerializable(typeof(RangWire))]
[JsonSerializable(typeof(HoldWire))]
[JsonSerializable(typeof(FrontWire))]
internal sealed partial class DayJson : JsonSerializerContext;

/// <summary>What can be kept and promised, asked without a shop.</summary>
internal static class PlanEndpoints
{
    private const int MostDays = 60;

    // What a network of that many ways takes is more than one call may.
    private const long MostWays = 400_000;
    private const int LongestName = 80;

    private static readonly AllowedNumber Minutes = new(1, 2000), HowManyJobs = new(0, 500), HowManyHands = new(0, 20), HowManyHours = new(0, 400), Names = new(0, 40), Percent = new(0, 90);

    public static void MapPlan(this IEndpointRouteBuilder routes) =>
        routes.MapPost("/api/day/plan", Plan).WithName("dayPlan").WithTags("day")
            .WithSummary("Whether all promises can be kept, by how much not, today’s lists, and the earliest promise for one more; local times without a zone.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status422UnprocessableEntity);

    private static DayPlanAnswer Plan(DayPlanRequest request)
    {
        var refusals = new Refusals();
        refusals.Check("$.jobs", HowManyJobs, request.Jobs.Count);
        refusals.Check("$.hands", HowManyHands, request.Hands.Count);
        refusals.Check("$.reserve", Percent, request.Reserve);
        var start = Time(refusals, "$.now", request.Now, null);
        refusals.ThrowIfAny("The day cannot be planned like this.");
        var origin = start!.Value.Date;
        var now = (int)(start.Value - origin).TotalMinutes;
        int Read(string path, string? text) => Time(refusals, path, text, origin) is { } time ? (int)Math.Clamp((time - origin).TotalMinutes, -20_000_000, 20_000_000) : now;

        var hands = request.Hands.Select((h, i) => new DayHand(
            Name(refusals, $"$.hands[{i}].id", h.Id),
            Hours(refusals, $"$.hands[{i}].hours", h.Hours, Read, now),
            Set(refusals, $"$.hands[{i}].not", h.Not))).ToList();
        var jobs = request.Jobs.Select((j, i) =>
        {
            refusals.Check($"$.jobs[{i}].minutes", Minutes, j.Minutes);
            var due = Read($"$.jobs[{i}].due", j.Due);
            return new DayJob(Name(refusals, $"$.jobs[{i}].id", j.Id), j.Minutes, j.NotBefore is null ? now : Math.Max(now, Read($"$.jobs[{i}].notBefore", j.NotBefore)), due, Set(refusals, $"$.jobs[{i}].needs", j.Needs));
        }).ToList();
        if (request.One is { } asked)
            refusals.Check("$.one.minutes", Minutes, asked.Minutes);
        var one = request.One is { } more ? new DayJob("one", more.Minutes, now, now, Set(refusals, "$.one.needs", more.Needs)) : null;
        Twice(refusals, "$.hands", hands.Select(h => h.Id));
        Twice(refusals, "$.jobs", jobs.Select(j => j.Id));
        refusals.ThrowIfAny("The day cannot be planned like this.");

        var keeping = new Keeping(now, hands);
        if (keeping.Cost(jobs) is > MostWays and var ways)
            throw new RefusedException(StatusCodes.Status422UnprocessableEntity, string.Create(CultureInfo.InvariantCulture, $"This is more than one call may cost: {ways} places to put work; allowed is {MostWays}. Ask with fewer jobs, or fewer days."), new Dictionary<string, string[]>());
        var allowance = keeping.Allowance(jobs);
        var lists = DayLists.Of(now, hands, jobs);
        return new DayPlanAnswer(
            allowance == 0,
            allowance,
            allowance == 0 ? [] : [.. lists.Late.Select(l => new DayPlanLate(l.Job.Id, l.Minutes))],
            [.. lists.Lists.Select(l => new DayPlanToday(l.Hand.Id, [.. l.Pieces.Where(p => p.From < 24 * 60).Select(p => new DayPlanPiece(p.Job.Id, Say(p.From), Say(p.To)))]))],
            one is not null && keeping.Earliest(jobs, one, request.Reserve) is { } promise ? Say(promise) : null);

        string Say(int minute) => origin.AddMinutes(minute).ToString("yyyy-MM-dd'T'HH:mm", CultureInfo.InvariantCulture);
    }

    private static DateTime? Time(Refusals refusals, string path, string? text, DateTime? origin)
    {
        if (text is not null && DateTime.TryParseExact(text, (string[])["yyyy-MM-dd'T'HH:mm", "yyyy-MM-dd'T'HH:mm:ss"], CultureInfo.InvariantCulture, DateTimeStyles.None, out var time) && time.Second == 0 && time.Year is >= 1900 and <= 9000)
            return time;
        refusals.Add(path, $"{path.Split('.')[^1]} is {(text is null ? "missing" : $"“{text}”")}; allowed is a local time such as {(origin ?? new DateTime(2026, 3, 2)).ToString("yyyy-MM-dd", CultureInfo.InvariantCulture)}T09:00, in whole minutes and without a zone.");
        return null;
    }

    private static List<WorkTime> Hours(Refusals refusals, string path, IReadOnlyList<HoursWire>? hours, Func<string, string?, int> read, int now)
    {
        if (hours is null)
        {
            refusals.Add(path, "hours is missing; allowed is a list, which may be empty.");
            return [];
        }
        refusals.Check(path, HowManyHours, hours.Count);
        return
        [
            .. hours.Select((h, i) =>
            {
                var time = new WorkTime(read($"{path}[{i}].from", h.From), read($"{path}[{i}].to", h.To));
                if (time.Minutes <= 0)
                    refusals.Add($"{path}[{i}].to", $"to is “{h.To}”; allowed is a time later than {h.From}.");
                else if (time.To > now + MostDays * 24 * 60)
                    refusals.Add($"{path}[{i}].to", $"to is “{h.To}”; allowed is up to {MostDays} days from now.");
                return time;
            }),
        ];
    }

    private static string Name(Refusals refusals, string path, string? id) => refusals.Text(path, id, LongestName, required: true);

    private static HashSet<string> Set(Refusals refusals, string path, IReadOnlyList<string>? names)
    {
        refusals.Check(path, Names, names?.Count ?? 0);
        return [.. (names ?? []).Select((n, i) => refusals.Text($"{path}[{i}]", n, LongestName, required: true))];
    }

    private static void Twice(Refusals refusals, string path, IEnumerable<string> ids)
    {
        foreach (var twice in ids.Where(i => i.Length > 0).GroupBy(i => i, StringComparer.Ordinal).Where(g => g.Count() > 1).Take(5))
            refusals.Add(path, $"id “{twice.Key}” stands here {twice.Count()} times; allowed is once.");
    }
}
