using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Server.Contract;
using IronLoop.Server.Door;
using IronLoop.Storage;

namespace IronLoop.Server.Stations.TakeIn;

/// <summary>What is heard over the counter.</summary>
/// <param name="Client">Name, 1 to 80 characters.</param>
/// <param name="Watch">The watch in words, 1 to 80 characters.</param>
/// <param name="Request">What is asked for.</param>
/// <param name="Promised">The day it is promised for.</param>
/// <param name="By">The fitter's initials, 1 to 4 letters.</param>
/// <param name="Contact">How the client is reached, up to 80 characters.</param>
/// <param name="Words">In the owner's own words, up to 2000 characters.</param>
/// <param name="Price">The price agreed, as typed; empty when none was.</param>
/// <param name="Wearer">Whether the wearer is here to try it on; no, when the watch came by post or with somebody else.</param>
internal sealed record TakeInWire(
    string Client, string Watch, Request Request, DateOnly Promised, string By, string? Contact = null, string? Words = null, string? Price = null, bool Wearer = true)
{
    /// <summary>The price in cents, once checked.</summary>
    public long? Cents => Money.TryParse(Price, out var cents) ? cents : null;

    /// <summary>The same, trimmed and checked.</summary>
    /// <param name="earliest">The earliest day that can be promised.</param>
    /// <param name="signedIn">Who is signed in; null where nobody has to be.</param>
    public TakeInWire Checked(DateOnly earliest, string? signedIn)
    {
        var refusals = new Refusals();
        var clean = this with
        {
            Client = refusals.Text("$.client", Client, Job.LongestName, required: true),
            Watch = refusals.Text("$.watch", Watch, Job.LongestName, required: true),
            Contact = refusals.Text("$.contact", Contact, Job.LongestName, required: false),
            Words = refusals.Text("$.words", Words, Job.LongestWords, required: false),
            By = refusals.Initials("$.by", By, signedIn),
        };
        if (!string.IsNullOrWhiteSpace(Price) && !Money.TryParse(Price, out _))
            refusals.Add("$.price", Money.Refuse(Price));
        if (Promised < earliest || Promised > earliest.AddYears(3))
            refusals.Add("$.promised", $"promised is {Promised:yyyy-MM-dd}; allowed is {earliest:yyyy-MM-dd} to {earliest.AddYears(3):yyyy-MM-dd}.");
        refusals.ThrowIfAny("The job cannot be taken in like this.");
        return clean;
    }
}

/// <summary>Take-in: who, which watch, what is asked for.</summary>
internal static class TakeInEndpoints
{
    public static void MapTakeIn(this IEndpointRouteBuilder routes)
    {
        routes.MapPost("/api/jobs", TakeIn).WithName("takeIn").WithTags("take-in").WithSummary("Takes a job in.")
            .Produces<JobWire>(StatusCodes.Status201Created).ProducesValidationProblem();
        routes.MapPut("/api/jobs/{id:long}/take-in", Correct).WithName("correctTakeIn").WithTags("take-in")
            .WithSummary("Corrects what was noted wrong.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
    }

    private static IResult TakeIn(TakeInWire heard, OpenShop shop, TimeProvider clock)
    {
        var taken = heard.Checked(clock.Today(), shop.By);
        var now = clock.GetUtcNow();
        using var work = shop.Begin();
        var client = Clients.FindOrAdd(work, taken.Client, taken.Contact!);
        var watch = Watches.FindOrAdd(work, client, taken.Watch);
        var id = Storage.Jobs.Add(work, client, watch, taken.Request, taken.Words!, taken.Promised, taken.Cents, now, taken.By);
        Storage.Jobs.Wears(work, id, taken.Wearer);
        Log.Write(work, id, now, taken.By, Station.TakeIn, LogLine.Of(LogKind.TakenIn, taken.Request.ToString()).Saying(Wording.Words, taken.Words!));
        work.Commit();
        return Results.Created($"/api/jobs/{id}", JobWire.Of(TheJob.Read(work, id), clock.Today()));
    }

    private static JobWire Correct(long id, TakeInWire heard, OpenShop shop, TimeProvider clock)
    {
        using var work = shop.Begin();
        var file = TheJob.For(work, id, JobAct.PutRight);
        // A promise already given may lie in the past; only a new one must not.
        var taken = heard.Checked(heard.Promised == file.Job.Promised ? file.Job.Promised : clock.Today(), shop.By);
        Clients.Correct(work, file.Job.Client with { Name = taken.Client, Contact = taken.Contact! });
        Watches.Rename(work, file.Job.WatchId, taken.Watch);
        ModelBook.Learn(work, file, work.By ?? taken.By, clock.GetUtcNow());
        // What was told by hand was told of what was asked before.
        if (taken.Request != file.Job.Request && file.May(JobAct.TellByHand).Ok)
            HandWorks.Set(work, id, null);
        Storage.Jobs.Correct(work, id, taken.Request, taken.Words!, taken.Promised, taken.Cents, clock.GetUtcNow(), taken.By);
        if (taken.Wearer != file.Job.HasWearer)
        {
            Storage.Jobs.Wears(work, id, taken.Wearer);
            // Somebody came after all, or left: the try-on goes into what is left of the work, or out of it.
            BenchChange.Again(work, id);
        }
        work.Commit();
        return JobWire.Of(TheJob.Read(work, id), clock.Today());
    }
}
