using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Core.Measuring;
using IronLoop.Server.Contract;
using IronLoop.Server.Door;
using IronLoop.Server.Paper;
using IronLoop.Server.Safekeeping;
using IronLoop.Server.Stations;
using IronLoop.Storage;

namespace IronLoop.Server.Shop.Clientele;

/// <summary>A visit on a watch's line: what was done and what it came to.</summary>
internal sealed record LifeVisitWire(VisitWire Visit, string Done, string Figures, IReadOnlyList<BagLineWire> Bag, Length? WristMm);

/// <summary>A watch's life in the shop, the newest visit first.</summary>
internal sealed record WatchLifeWire(long WatchId, string Watch, IReadOnlyList<LifeVisitWire> Visits);

/// <summary>A client with all their visits.</summary>
internal sealed record ClientLifeWire(long Id, string Name, string Contact, ForgottenWire? Forgotten, IReadOnlyList<WatchLifeWire> Watches, string KeptAndWhy);

/// <summary>Everything the shop holds of a client, to be given to them.</summary>
internal sealed record ClientDataWire(
    ClientLifeWire Client, Length OffCentreMm, Length? HotMm, Length? ColdMm, IReadOnlyList<JobDataWire> Jobs);

/// <summary>What is held of one job.</summary>
internal sealed record JobDataWire(
    JobWire Job, IReadOnlyList<SaidWire> Said, IReadOnlyList<StepNote> Notes, IReadOnlyList<HeldReadingWire> Readings, IReadOnlyList<string> Condition, IReadOnlyList<string> Photos,
    IReadOnlyList<SignedWire> Consents);

/// <summary>Something said freely, with every former wording.</summary>
internal sealed record SaidWire(Wording Wording, string Words, DateTimeOffset At, string By);

/// <summary>A reading.</summary>
internal sealed record HeldReadingWire(GaugedFigure Figure, Length Mm);

/// <summary>A consent that was given.</summary>
internal sealed record SignedWire(string Work, string SignedBy, DateTimeOffset At, bool OnPaper, string Signature);

/// <summary>A client: their watches' lives, all that is held of them, and forgetting them.</summary>
internal static class ClientEndpoints
{
    private const string KeptAndWhy =
        "Kept: name and how to reach you, to tell you that a job is ready; the figures of watch, band and wrist, to fit it again without measuring all of it anew; "
        + "photos and marks of the condition on arrival, since the shop answers for what it is given; signatures, since work that cannot be undone was agreed to. "
        + "When it is erased, jobs, bands, prices and counts of parts stay, without a name: stock and accounts depend on them. Backups made before are written anew without it.";

    public static void MapClients(this IEndpointRouteBuilder routes)
    {
        var client = routes.MapGroup("/api/clients/{id:long}").WithTags("clients");
        client.MapGet("", (long id, OpenShop shop) =>
        {
            using var work = shop.Look();
            return Read(work, id);
        }).WithName("client").WithSummary("A client with the life of each watch.").ProducesProblem(StatusCodes.Status404NotFound);
        client.MapGet("/data", Data).WithName("clientData").WithSummary("Everything held of a client, to be given to them.").ProducesProblem(StatusCodes.Status404NotFound)
            .GivesOut(Role.Lead, "all that is held of a client");
        client.MapGet("/forgotten.pdf", Receipt).ExcludeFromDescription();
        client.MapDelete("", Erase).WithName("eraseClient").WithSummary("Forgets a client; the jobs stay, without a name.")
            .ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
    }

    private static ClientLifeWire Read(ShopWork work, long id)
    {
        var client = Clients.Find(work, id) ?? throw RefusedException.NotFound($"There is no client {id}.");
        var visits = VisitWire.Of(work, Visits.OfClient(work, id));
        return new ClientLifeWire(id, client.Name, client.Contact, Forgettings.Of(work, id) is { } forgotten ? ForgottenWire.Of(forgotten) : null,
            [.. visits.OrderByDescending(v => v.TakenInAt).GroupBy(v => (v.WatchId, v.Watch)).Select(w => new WatchLifeWire(w.Key.WatchId, w.Key.Watch, [.. w.Select(v => Life(work, v))]))],
            KeptAndWhy);
    }

    private static LifeVisitWire Life(ShopWork work, VisitWire visit)
    {
        var file = TheJob.Read(work, visit.JobId);
        var done = HandOverSheet.Of(work, file);
        return new LifeVisitWire(visit, file.Plan?.AgreedAt is null ? "" : done.Done, file.Plan?.AgreedAt is null ? "" : done.Figures, done.Closed ? done.Bag : [], file.Figures[GaugedFigure.Wrist]);
    }

    private static ClientDataWire Data(long id, OpenShop shop, TimeProvider clock)
    {
        using var work = shop.Look();
        var client = Read(work, id);
        var jobs = Visits.OfClient(work, id).Select(v => TheJob.Read(work, v.JobId)).ToList();
        var habits = jobs.Count > 0 ? jobs[0].Figures.Habits : new Habits(Length.Zero, null, null);
        return new ClientDataWire(client, habits.OffCentre, habits.Hot, habits.Cold,
        [
            .. jobs.Select(file => new JobDataWire(
                JobWire.Of(file, clock.Today()),
                [.. Wordings.Of(work, file.Job.Id).Select(s => new SaidWire(s.Wording, s.Words, s.At, s.By))], StepNotes.Of(work, file.Job.Id),
                [.. Gaugings.ReadingsOf(work, file.Job.Id).Where(r => r.JobId == file.Job.Id).Select(r => new HeldReadingWire(r.Figure, r.Length))],
                file.Account.Condition,
                [.. TakeIns.PhotosOf(work, file.Job.Id).Select(p => $"/api/photos/{p.Id}")],
                [.. ((Consent?[])[Consents.Of(work, file.Job.Id), Consents.Of(work, file.Job.Id, ConsentTopic.Clasp)]).OfType<Consent>()
                    .Select(c => new SignedWire(c.Work, c.SignedBy, c.SignedAt, c.OnPaper, c.Signature))])),
        ]);
    }

    private static IResult Receipt(long id, OpenShop shop, string paper = "a4")
    {
        var refusals = new Refusals();
        var size = refusals.Choice<Paper.PaperSize>("$.paper", paper) ?? Paper.PaperSize.A4;
        refusals.ThrowIfAny();
        using var work = shop.Look();
        var forgotten = Forgettings.Of(work, id) ?? throw RefusedException.NotFound($"No client {id} was forgotten.");
        return Results.File(ForgottenReceipt.Draw(id, ForgottenWire.Of(forgotten), size), "application/pdf", $"forgotten-{id}.pdf");
    }

    private static ClientLifeWire Erase(long id, OpenShop shop, TimeProvider clock, BackupRunner backups)
    {
        IReadOnlyList<long> photos;
        using (var work = shop.Begin())
        {
            var client = Clients.Find(work, id) ?? throw RefusedException.NotFound($"There is no client {id}.");
            if (client.ErasedAt is not null)
                throw RefusedException.Conflict("This client is forgotten already.");
            if (Visits.OfClient(work, id).FirstOrDefault(v => v.ClosedAt is null) is { } open)
                throw RefusedException.Conflict($"Job {open.JobId} of {client.Name} is still open; hand it over first.");
            photos = Erasure.Erase(work, id, clock.GetUtcNow(), shop.By ?? "");
            work.Commit();
        }
        ArchiveFile.Drop(shop.File);
        // The pictures go once nothing names them any more.
        foreach (var photo in photos)
            PhotoFolder.Beside(shop.File).Drop(photo);
        backups.Forget();
        shop.File.Checkpoint();
        using var look = shop.Look();
        return Read(look, id);
    }
}
