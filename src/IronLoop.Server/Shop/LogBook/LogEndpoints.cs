using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Gauging;
using IronLoop.Core.Measuring;
using IronLoop.Server.Contract;
using IronLoop.Server.Door;
using IronLoop.Storage;

namespace IronLoop.Server.Shop.LogBook;

/// <summary>A page of the log.</summary>
/// <param name="Next">The number to ask for the next page with; null on the last.</param>
internal sealed record LogPageWire(IReadOnlyList<VisitWire> Visits, long? Next);

internal sealed record LogWeekWire(DateOnly Monday, int Closed, int TriedOn, int RightFirst);

/// <param name="Joined">What joins its links, in words; empty where none are, or nobody looked.</param>
/// <param name="Expected">What was expected; null where nothing was.</param>
internal sealed record LogMinutesWire(Request Request, string Joined, int Jobs, double Minutes, double? Expected);

/// <summary>Promises of the time.</summary>
/// <param name="Kept">Done at the bench by the promised day.</param>
/// <param name="DaysLate">Of the others, how many days late on average.</param>
internal sealed record LogPromisesWire(int Kept, int Of, double DaysLate);

internal sealed record LogWidthWire(Length WidthMm, int Jobs);

/// <summary>The log in figures.</summary>
internal sealed record LogFiguresWire(IReadOnlyList<LogWeekWire> Weeks, IReadOnlyList<LogMinutesWire> Minutes, IReadOnlyList<LogWidthWire> Widths, LogPromisesWire Promises);

/// <summary>The log: every job, found by words and figures, and figures over time.</summary>
internal static class LogEndpoints
{
    private const int PageSize = 20;
    private const int MostWeeks = 260;
    private static readonly AllowedNumber Weeks = new(4, MostWeeks);

    public static void MapLog(this IEndpointRouteBuilder routes)
    {
        routes.MapGet("/api/log", Search).WithName("log").WithTags("log").ProducesValidationProblem()
            .WithSummary("Jobs in which every word is found, newest first; also by client, watch, part, fitter, width in millimetres and days.");
        routes.MapGet("/api/log/figures", Figures).WithName("logFigures").WithTags("log").WithSummary("Jobs a week, right the first time, promises kept, minutes expected and taken by kind of job, widths.")
            .ProducesValidationProblem();
    }

    private static LogPageWire Search(
        OpenShop shop, string? words = null, string? client = null, string? watch = null, string? part = null, string? fitter = null, string? width = null,
        DateOnly? from = null, DateOnly? to = null, long? before = null)
    {
        var refusals = new Refusals();
        var wide = refusals.Typed("$.width", width, AllowedLength.Mm(2, 40));
        refusals.ThrowIfAny("The log cannot be asked like this.");
        var question = new LogQuestion(
            words ?? "", client ?? "", watch ?? "", part ?? "", fitter ?? "", wide is { } w ? new Length((long)Math.Round(w.Micrometres / 500m) * 500) : null, from, to);
        using var work = UpToDate(shop);
        var visits = Visits.Find(work, question, before ?? long.MaxValue, PageSize + 1);
        return new LogPageWire(VisitWire.Of(work, [.. visits.Take(PageSize)]), visits.Count > PageSize ? visits[PageSize - 1].JobId : null);
    }

    private static LogFiguresWire Figures(OpenShop shop, TimeProvider clock, int weeks = 26)
    {
        var refusals = new Refusals();
        refusals.Check("$.weeks", Weeks, weeks);
        refusals.ThrowIfAny("The log cannot be asked like this.");
        using var work = UpToDate(shop);
        var today = clock.Today();
        var from = today.AddDays(-7 * weeks);
        var promises = DayBook.Promises(work, from, clock.LocalTimeZone);
        return new LogFiguresWire(
            [.. LogFigures.Weeks(work, today, weeks, clock.LocalTimeZone).Select(w => new LogWeekWire(w.Monday, w.Closed, w.TriedOn, w.RightFirst))],
            [.. LogFigures.Minutes(work, from).Select(m => new LogMinutesWire(m.Request, m.Fastener is { } joined ? JointWords.Name(joined) : "", m.Jobs, m.Minutes, m.Expected))],
            [.. LogFigures.Widths(work, from, 8).Select(w => new LogWidthWire(w.Width, w.Jobs))],
            new LogPromisesWire(promises.Kept, promises.Of, Math.Round(promises.DaysLate, 1)));
    }

    /// <summary>The shop with an index that knows what was stored until now.</summary>
    private static ShopWork UpToDate(OpenShop shop)
    {
        var look = shop.Look();
        if (!Visits.IsBehind(look))
            return look;
        look.Dispose();
        // Where nothing can be written the log is found by the index as it was.
        Visits.CatchUp(shop.File);
        return shop.Look();
    }
}
