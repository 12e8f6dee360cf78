using System.Text.Json.Serialization;
using IronLoop.Core.Bench;
using IronLoop.Core.Gauging;
using IronLoop.Core.HandOver;
using IronLoop.Core.Jobs;
using IronLoop.Core.Joints;
using IronLoop.Core.Tray;
using IronLoop.Server.Contract;
using IronLoop.Server.Door;
using IronLoop.Server.Paper;
using IronLoop.Storage;

namespace IronLoop.Server.Stations.HandOver;

/// <summary>What was counted into the bag of one kind.</summary>
/// <param name="Key">As the hand-over’s sheet has it.</param>
/// <param name="What">What it is called; it is counted by its key.</param>
/// <param name="Fits">As the bag names it.</param>
internal readonly record struct BagCountWire(string Key, int Count, string? What = null, string? Fits = null);

/// <summary>What was counted into the bag, and how the watch goes back.</summary>
/// <param name="Counted">Each kind of part and how many were counted.</param>
/// <param name="By">The fitter's initials, 1 to 4 letters.</param>
/// <param name="Note">What is not settled gets a note.</param>
/// <param name="GoesBack">Collected or posted; collected when nothing is said.</param>
/// <param name="Packed">The keys of the lines of the packed list that were ticked; all of them when it is posted.</param>
/// <param name="Price">The price, as typed; null leaves what was agreed.</param>
/// <param name="ObserveOn">The day the shop promises to ask after it, from tomorrow to a year on.</param>
/// <param name="ObserveFor">What is watched until then, up to 200 characters.</param>
internal sealed record HandOverWire(
    IReadOnlyList<BagCountWire> Counted, string By, string? Note = null, HowItGoesBack? GoesBack = null, IReadOnlyList<string>? Packed = null, string? Price = null,
    DateOnly? ObserveOn = null, string? ObserveFor = null);

/// <summary>Why a watch goes back as it came.</summary>
/// <param name="By">The fitter's initials, 1 to 4 letters.</param>
/// <param name="Why">The reason, 1 to 2000 characters.</param>
/// <param name="GoesBack">Collected or posted; collected when nothing is said.</param>
internal sealed record UnworkedWire(string By, string Why, HowItGoesBack? GoesBack = null);

/// <summary>Who takes a job in again.</summary>
/// <param name="By">The fitter's initials, 1 to 4 letters.</param>
/// <param name="Promised">The day it is promised for; tomorrow when nothing is said.</param>
/// <param name="Words">In the owner's own words, up to 2000 characters.</param>
/// <param name="Request">What is asked for; a refit when nothing is said.</param>
internal sealed record AgainWire(string By, DateOnly? Promised = null, string? Words = null, Request? Request = null);

/// <summary>An observation that is due or coming.</summary>
internal sealed record ObservationWire(long JobId, string Client, string Contact, string Watch, DateOnly On, string For, bool Due);

/// <summary>The reply when a job was asked after.</summary>
/// <param name="By">The fitter's initials, 1 to 4 letters.</param>
/// <param name="Heard">The reply, 1 to 200 characters.</param>
internal sealed record ObservedWire(string By, string Heard);

/// <summary>Hand-over: what was removed goes into the bag, counted; the job is closed and in the log.</summary>
internal static class HandOverEndpoints
{
    private const int LongestObservation = 200;

    public static void MapHandOver(this IEndpointRouteBuilder routes)
    {
        var handOver = routes.MapGroup("/api/jobs/{id:long}/hand-over").WithTags("hand-over");
        handOver.MapGet("", Sheet).WithName("handOverSheet").WithSummary("What was done, what the owner is told, what the bag must hold.")
            .ProducesProblem(StatusCodes.Status404NotFound);
        handOver.MapPost("", HandOver).WithMetadata(new OverwritesWhatStands()).WithName("handOver").WithSummary("Counts the bag and closes the job.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
        handOver.MapPost("/unworked", GoBackUnworked).WithMetadata(new OverwritesWhatStands()).WithName("goBackUnworked").WithSummary("Gives the watch back as it came, with the reason.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
        routes.MapPost("/api/jobs/{id:long}/again", Again).WithName("again").WithTags("hand-over")
            .WithSummary("Takes a return visit in: the band as it left, the bag, the watch and its client are known.")
            .Produces<JobWire>(StatusCodes.Status201Created).ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
        routes.MapGet("/api/observations", Observations).WithName("observations").WithTags("hand-over").WithSummary("Observations promised, due in the next week.");
        routes.MapPost("/api/jobs/{id:long}/observed", Observed).WithName("observed").WithTags("hand-over").WithSummary("Records the reply when a job was followed up.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
    }

    private static HandOverSheet Sheet(long id, OpenShop shop)
    {
        using var work = shop.Look();
        return HandOverSheet.Of(work, TheJob.Read(work, id));
    }

    private static JobWire HandOver(long id, HandOverWire counted, OpenShop shop, TimeProvider clock)
    {
        using var work = shop.Begin();
        var file = TheJob.For(work, id, JobAct.HandOver);
        var expected = OwnersBag.Of(file, AlsoBands.Of(work, id));
        var how = Checked(work, file, counted, expected, clock.Today(), out var cents);
        var now = clock.GetUtcNow();
        Closing.BookOut(work, file);
        PartsTaken.BookOut(work, id, file.Bench is { Plan: { } plan, Now: { } stands } ? Used.Of(plan.From, stands.Stand) : null, now, how.By);
        if (!string.IsNullOrWhiteSpace(counted.Price))
            HandOvers.Price(work, id, cents);
        Closing.Close(work, file, expected, how, now);
        ModelBook.Learn(work, file, work.By ?? file.Job.TakenInBy, now);
        work.Commit();
        return JobWire.Of(TheJob.Read(work, id), clock.Today());
    }

    private static JobWire GoBackUnworked(long id, UnworkedWire told, OpenShop shop, TimeProvider clock)
    {
        var refusals = new Refusals();
        var by = refusals.Initials("$.by", told.By, shop.By);
        var why = refusals.Text("$.why", told.Why, Job.LongestWords, required: true);
        refusals.ThrowIfAny("It cannot go back like this.");
        using var work = shop.Begin();
        var file = TheJob.For(work, id, JobAct.GoBackUnworked);
        var now = clock.GetUtcNow();
        var back = told.GoesBack ?? HowItGoesBack.Collected;
        // What was kept for it is free again.
        foreach (var taken in file.Taken.Where(t => t.BookedAt is null))
            PartsTaken.Leave(work, id, taken.Use);
        HandOvers.GoBackUnworked(work, id, now, new HandedOver(back, by, why, null, null, null, "", null));
        Log.Write(work, id, now, by, Station.HandOver, LogLine.Of(LogKind.WentBack, back == HowItGoesBack.Posted ? "Posted." : "Collected.").Saying(Wording.CloseNote, why));
        work.Commit();
        return JobWire.Of(TheJob.Read(work, id), clock.Today());
    }

    /// <summary>What is handed over, checked: every count, every line packed, a day that can be kept.</summary>
    private static HandedOver Checked(ShopWork work, JobSnapshot file, HandOverWire counted, IReadOnlyList<BagLine> expected, DateOnly today, out long? cents)
    {
        var refusals = new Refusals();
        var note = refusals.Text("$.note", counted.Note, Job.LongestWords, required: false);
        var by = refusals.Initials("$.by", counted.By, work.By);
        var observe = refusals.Text("$.observeFor", counted.ObserveFor, LongestObservation, required: false);
        cents = Money.TryParse(counted.Price, out var typed) ? typed : null;
        if (!string.IsNullOrWhiteSpace(counted.Price) && cents is null)
            refusals.Add("$.price", Money.Refuse(counted.Price));
        if (counted.ObserveOn is { } day && (day <= today || day > today.AddYears(1)))
            refusals.Add("$.observeOn", $"observeOn is {day:yyyy-MM-dd}; allowed is {today.AddDays(1):yyyy-MM-dd} to {today.AddYears(1):yyyy-MM-dd}.");
        if (counted.ObserveOn is null && observe.Length > 0)
            refusals.Add("$.observeOn", "What is watched needs the day it is followed up.");
        foreach (var line in expected)
        {
            var found = counted.Counted.Where(c => c.Key == line.Key).Sum(c => (long)c.Count);
            if (found != line.Count)
                refusals.Add("$.counted", $"{line.What}: {found} counted, {line.Count} must be in the bag.");
        }
        foreach (var stray in counted.Counted.Where(c => expected.All(e => e.Key != c.Key)))
            refusals.Add("$.counted", $"{stray.What ?? stray.Key}: nothing of this kind came out.");
        if (file.Bench.Now is { } now && note.Length == 0)
            foreach (var lost in now.Stand.Things.Where(t => t.Place == Place.Lost && !now.Stand.Things.Any(o => o.Instead == t.Id && o.Place != Place.Drawer)).GroupBy(t => t.Plural))
                refusals.Add("$.note", $"{lost.Key}: {lost.Count()} lost and not replaced; say in the note what the owner is told.");
        foreach (var open in StepNotes.Of(work, file.Job.Id).Where(n => n.IsOpen))
            refusals.Add("$.notes", $"Still open: {open.Text}. Answer it first.");
        if (counted.GoesBack == HowItGoesBack.Posted)
            foreach (var line in Closing.Packed(work, file, expected).Where(l => counted.Packed?.Contains(l.Key) != true))
                refusals.Add("$.packed", $"Not packed yet: {line.Says}.");
        refusals.ThrowIfAny("The watch cannot go back like this. Look in the tray before closing.");
        return new HandedOver(counted.GoesBack ?? HowItGoesBack.Collected, by, note, null, null, counted.ObserveOn, observe, null);
    }

    private static IResult Again(long id, AgainWire heard, OpenShop shop, TimeProvider clock)
    {
        using var work = shop.Begin();
        var (before, today) = (TheJob.For(work, id, JobAct.TakeInAgain).Job, clock.Today());
        var refusals = new Refusals();
        var by = refusals.Initials("$.by", heard.By, shop.By);
        var words = refusals.Text("$.words", heard.Words, Job.LongestWords, required: false);
        var promised = heard.Promised ?? today.AddDays(1);
        if (promised < today || promised > today.AddYears(3))
            refusals.Add("$.promised", $"promised is {promised:yyyy-MM-dd}; allowed is {today:yyyy-MM-dd} to {today.AddYears(3):yyyy-MM-dd}.");
        refusals.ThrowIfAny("The return visit cannot be taken in like this.");
        var now = clock.GetUtcNow();
        var request = heard.Request ?? Request.Refit;
        var job = Storage.Jobs.Add(work, before.Client.Id, before.WatchId, request, words, promised, null, now, by);
        HandOvers.CameBack(work, job, id);
        Gaugings.WearAsBefore(work, job, id);
        if (HandOvers.Of(work, id).LeftBandId is { } left && GaugeSheet.KeepsBand(request))
        {
            Storage.Jobs.ChooseBand(work, job, left, before.Way);
            Storage.Jobs.KeepClasp(work, job, now);
        }
        Log.Write(work, job, now, by, Station.TakeIn, LogLine.Of(LogKind.CameBack, $"{id}", request.ToString()).Saying(Wording.Words, words));
        work.Commit();
        return Results.Created($"/api/jobs/{job}", JobWire.Of(TheJob.Read(work, job), today));
    }

    private static List<ObservationWire> Observations(OpenShop shop, TimeProvider clock)
    {
        using var work = shop.Look();
        var today = clock.Today();
        return [.. HandOvers.Promised(work, today.AddDays(7)).Select(o => new ObservationWire(o.JobId, o.Client, o.Contact, o.Watch, o.On, o.For, o.On <= today))];
    }

    private static HandOverSheet Observed(long id, ObservedWire heard, OpenShop shop, TimeProvider clock)
    {
        using var work = shop.Begin();
        var file = TheJob.Read(work, id);
        var how = HandOvers.Of(work, id);
        how.MayBeAskedAfter(id).OrRefuse();
        var refusals = new Refusals();
        var by = refusals.Initials("$.by", heard.By, shop.By);
        var said = refusals.Text("$.heard", heard.Heard, LongestObservation, required: true);
        refusals.ThrowIfAny("This cannot be noted like this.");
        var now = clock.GetUtcNow();
        HandOvers.Observed(work, id, now);
        Log.Write(work, id, now, by, Station.HandOver, LogLine.Of(LogKind.AskedAfter).Saying(Wording.Heard, said));
        work.Commit();
        return HandOverSheet.Of(work, TheJob.Read(work, id));
    }
}
