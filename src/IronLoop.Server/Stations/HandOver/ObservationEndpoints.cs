using System.Globalization;
using IronLoop.Core.Jobs;
using IronLoop.Core.Measuring;
using IronLoop.Server.Contract;
using IronLoop.Server.Door;
using IronLoop.Storage;

namespace IronLoop.Server.Stations.HandOver;

/// <summary>A watch put under observation before it goes back.</summary>
/// <param name="Until">The last day, from today to a year on.</param>
/// <param name="Set">What is set and watched, 1 to 200 characters.</param>
/// <param name="By">The fitter's initials, 1 to 4 letters.</param>
/// <param name="Looks">The days it is looked at, not after the last.</param>
internal sealed record ObserveWire(DateOnly Until, string Set, string By, IReadOnlyList<DateOnly>? Looks = null);

/// <summary>What a look showed.</summary>
/// <param name="Shows">1 to 200 characters.</param>
/// <param name="By">The fitter's initials, 1 to 4 letters.</param>
/// <param name="Ends">Whether the observation ends with it.</param>
internal sealed record LookedWire(string Shows, string By, bool Ends = false);

/// <summary>Observing a watch before it goes back: what was set when, and what it showed on which day.</summary>
internal static class ObservationEndpoints
{
    private static readonly AllowedNumber Looks = new(0, 30);

    public static void MapObservation(this IEndpointRouteBuilder routes)
    {
        var observed = routes.MapGroup("/api/jobs/{id:long}/observation").WithTags("hand-over");
        observed.MapPut("", Set).WithName("observe").WithSummary("Keeps the watch under observation until a day, with dated looks.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
        observed.MapPost("/looks", Look).WithName("lookAtIt").WithSummary("Notes what a look showed, and ends the observation where it is the last.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
    }

    private static HandOverSheet Set(long id, ObserveWire told, OpenShop shop, TimeProvider clock)
    {
        var (refusals, today) = (new Refusals(), clock.Today());
        var set = refusals.Text("$.set", told.Set, UnderObservation.Longest, required: true);
        var by = refusals.Initials("$.by", told.By, shop.By);
        if (told.Until < today || told.Until > today.AddYears(1))
            refusals.Add("$.until", $"until is {told.Until:yyyy-MM-dd}; allowed is {today:yyyy-MM-dd} to {today.AddYears(1):yyyy-MM-dd}.");
        var looks = told.Looks ?? [];
        refusals.Check("$.looks", Looks, looks.Count);
        foreach (var day in looks.Where(d => d < today || d > told.Until))
            refusals.Add("$.looks", $"looks has {day:yyyy-MM-dd}; allowed is {today:yyyy-MM-dd} to {told.Until:yyyy-MM-dd}.");
        refusals.ThrowIfAny("It cannot be observed like this.");
        using var work = shop.Begin();
        TheJob.For(work, id, JobAct.Observe);
        var now = clock.GetUtcNow();
        Observed.Set(work, id, new UnderObservation(told.Until, set, now, by, null, [.. looks.Distinct().Order().Select(d => new ObservedLook(0, d, "", null, ""))]));
        Log.Write(work, id, now, by, Station.HandOver, LogLine.Of(LogKind.ObservationSet, told.Until.ToString("d MMMM yyyy", CultureInfo.InvariantCulture)).Saying(Wording.Shown, set));
        work.Commit();
        return HandOverSheet.Of(work, TheJob.Read(work, id));
    }

    private static HandOverSheet Look(long id, LookedWire told, OpenShop shop, TimeProvider clock)
    {
        var refusals = new Refusals();
        var shows = refusals.Text("$.shows", told.Shows, UnderObservation.Longest, required: true);
        var by = refusals.Initials("$.by", told.By, shop.By);
        refusals.ThrowIfAny("The look cannot be noted like this.");
        using var work = shop.Begin();
        TheJob.For(work, id, JobAct.NoteLook);
        var now = clock.GetUtcNow();
        Observed.Look(work, id, clock.Today(), shows, now, by);
        Log.Write(work, id, now, by, Station.HandOver, LogLine.Of(LogKind.Observed).Saying(Wording.Shown, shows));
        if (told.Ends)
        {
            Observed.End(work, id, now);
            Log.Write(work, id, now, by, Station.HandOver, LogLine.Of(LogKind.ObservationEnded));
        }
        work.Commit();
        return HandOverSheet.Of(work, TheJob.Read(work, id));
    }
}
