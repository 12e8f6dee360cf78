using System.Text.Json.Serialization;
using IronLoop.Core.Fitting;
using IronLoop.Core.Jobs;
using IronLoop.Core.Measuring;
using IronLoop.Server.Contract;
using IronLoop.Server.Door;
using IronLoop.Storage;
using Microsoft.AspNetCore.Mvc;

namespace IronLoop.Server.Stations.TakeIn;

internal sealed record MarkWire(long Id, DamagePlace Place, DamageKind Kind, string Note);

internal sealed record NewMark(DamagePlace Place, DamageKind Kind, string? Note = null);

/// <summary>What came along, counted.</summary>
/// <param name="Note">What was noted of it, up to 200 characters.</param>
[method: JsonConstructor]
internal readonly record struct CameWithWire(CameWith What, int Count, string? Note = null);

/// <summary>Whose work it is, and how it goes back.</summary>
/// <param name="Craft">Whether the bench is enough; null while nobody said.</param>
/// <param name="Returns">How it goes back; null while nobody asked.</param>
/// <param name="PostagePaid">Whether the owner paid the postage for the way back.</param>
internal sealed record TermsWire(Craft? Craft = null, ReturnTerms? Returns = null, bool PostagePaid = false);

internal sealed record PhotoWire(long Id, string Type, long Bytes, string Href, string ThumbnailHref);

/// <summary>What is outside the craft.</summary>
/// <param name="Reasons">What was ticked.</param>
/// <param name="Referred">Whether the job is referred to a watchmaker.</param>
/// <param name="Note">What the owner is told; without one the program proposes it.</param>
/// <param name="Meanwhile">Whether the band is fitted all the same.</param>
internal sealed record ReferralWire(IReadOnlyList<OutsideCraft> Reasons, bool Referred, string? Note = null, bool Meanwhile = false);

/// <summary>All that was seen and brought along.</summary>
/// <param name="Marks">Their numbers in the drawing are their places here, from 1.</param>
/// <param name="Watch">The watch drawn with its marks.</param>
/// <param name="ProposedNote">What the owner could be told, from what was ticked.</param>
internal sealed record TakeInSheet(
    IReadOnlyList<MarkWire> Marks,
    Picture Watch,
    IReadOnlyList<CameWithWire> CameWith,
    IReadOnlyList<PhotoWire> Photos,
    IReadOnlyList<OutsideCraft> OutsideCraft,
    bool Referred,
    bool Meanwhile,
    string Note,
    string ProposedNote,
    TermsWire Terms)
{
    public static TakeInSheet Read(ShopWork work, Job job)
    {
        var cameWith = TakeIns.CameWithOf(work, job.Id);
        var outside = TakeIns.OutsideCraftOf(work, job.Id);
        var marks = TakeIns.MarksOf(work, job.Id);
        return new TakeInSheet(
            [.. marks.Select(m => new MarkWire(m.Id, m.Place, m.Kind, m.Note))],
            ConditionPicture.Of([.. marks.Select(m => m.Place)]),
            [.. Enum.GetValues<CameWith>().Select(w => new CameWithWire(w, cameWith.GetValueOrDefault(w).Count, cameWith.GetValueOrDefault(w).Note ?? ""))],
            [.. TakeIns.PhotosOf(work, job.Id).Select(p => new PhotoWire(p.Id, p.Type, p.Bytes, $"/api/photos/{p.Id}", $"/api/photos/{p.Id}/thumbnail"))],
            outside,
            job.ReferredAt is not null,
            job.IsFittedMeanwhile,
            job.ReferNote,
            Referral.Note(outside),
            new TermsWire(job.Craft, job.Returns, job.IsPostagePaid));
    }

    /// <summary>Where a mark can be put.</summary>
    public IReadOnlyList<ConditionPlace> Places { get; } = ConditionPicture.Places;
}

/// <summary>Condition on arrival, what came with it, photos, and what is outside the craft.</summary>
internal static class TakeInSheetEndpoints
{
    private static readonly AllowedNumber Counts = new(0, 99);

    public static void MapTakeInSheet(this IEndpointRouteBuilder routes)
    {
        var sheet = routes.MapGroup("/api/jobs/{id:long}/take-in").WithTags("take-in");
        sheet.MapGet("", (long id, OpenShop shop) =>
        {
            using var work = shop.Look();
            return TakeInSheet.Read(work, TheJob.Read(work, id).Job);
        }).WithName("takeInSheet").WithSummary("What was seen and brought along.").ProducesProblem(StatusCodes.Status404NotFound);

        sheet.MapPost("/marks", Mark).WithName("mark").WithSummary("Puts a mark on the drawn head.").ProducesValidationProblem();
        sheet.MapDelete("/marks/{mark:long}", Unmark).WithName("unmark").WithSummary("Takes a mark away.").ProducesProblem(StatusCodes.Status404NotFound);
        sheet.MapPut("/came-with", Count).WithName("cameWith").WithSummary("Counts what came with the watch.").ProducesValidationProblem();
        sheet.MapPut("/terms", Agree).WithName("agreeTerms").WithSummary("Whose work it is, and how it goes back.");
        sheet.MapPut("/referral", Refer).WithName("refer").WithSummary("Notes what is outside the craft, and refers the job or takes it back.")
            .ProducesValidationProblem();
        sheet.MapPost("/photos", AddPhoto).WithName("addPhoto").WithSummary("Adds a photo: PNG or JPEG by content, up to 10 MB.")
            .Produces<TakeInSheet>()
            .WithMetadata(new RequestSizeLimitAttribute(KeptPhoto.MostBytes + 64 * 1024))
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status413PayloadTooLarge);
        sheet.MapDelete("/photos/{photo:long}", DropPhoto).WithName("dropPhoto").WithSummary("Takes a photo away.")
            .ProducesProblem(StatusCodes.Status404NotFound);
        routes.MapGet("/api/photos/{photo:long}", (long photo, OpenShop shop) => File(photo, shop, thumbnail: false))
            .WithName("photo").WithTags("take-in").WithSummary("A photo.").ProducesProblem(StatusCodes.Status404NotFound);
        routes.MapGet("/api/photos/{photo:long}/thumbnail", (long photo, OpenShop shop) => File(photo, shop, thumbnail: true))
            .WithName("thumbnail").WithTags("take-in").WithSummary("A photo, small and upright.").ProducesProblem(StatusCodes.Status404NotFound);
        routes.MapGet("/api/clients", FindClients).WithName("clients").WithTags("take-in").WithSummary("Clients found as their name is typed, with their watches.");
    }

    private static TakeInSheet Mark(long id, NewMark mark, OpenShop shop) => Change(id, shop, work =>
    {
        var refusals = new Refusals();
        var note = refusals.Text("$.note", mark.Note, 200, required: false);
        refusals.ThrowIfAny();
        TakeIns.Mark(work, id, mark.Place, mark.Kind, note);
    });

    private static TakeInSheet Unmark(long id, long mark, OpenShop shop) => Change(id, shop, work =>
    {
        if (!TakeIns.Unmark(work, id, mark))
            throw RefusedException.NotFound($"There is no mark {mark} on job {id}.");
    });

    private static TakeInSheet Count(long id, CameWithWire line, OpenShop shop) => Change(id, shop, work =>
    {
        var refusals = new Refusals();
        refusals.Check("$.count", Counts, line.Count);
        var note = refusals.Text("$.note", line.Note, 200, required: false);
        refusals.ThrowIfAny();
        TakeIns.Count(work, id, line.What, line.Count, note);
    });

    private static TakeInSheet Agree(long id, TermsWire terms, OpenShop shop) =>
        Change(id, shop, work => Storage.Jobs.Agree(work, id, terms.Craft, terms.Returns, terms.PostagePaid));

    private static TakeInSheet Refer(long id, ReferralWire referral, OpenShop shop, TimeProvider clock) => Change(id, shop, work =>
    {
        var refusals = new Refusals();
        var note = refusals.Text("$.note", referral.Note, Job.LongestWords, required: false);
        refusals.ThrowIfAny();
        var job = TheJob.Read(work, id).Job;
        if (referral.Referred && note.Length == 0)
            note = Referral.Note(referral.Reasons);
        TakeIns.Refer(work, id, referral.Reasons, note, referral.Referred ? job.ReferredAt ?? clock.GetUtcNow() : null, referral.Meanwhile, clock.GetUtcNow(), job.TakenInBy);
        if (referral.Referred != job.ReferredAt is not null)
        {
            Log.Write(work, id, clock.GetUtcNow(), job.TakenInBy, Station.TakeIn,
                referral.Referred ? LogLine.Of(LogKind.Referred).Saying(Wording.ReferNote, note) : LogLine.Of(LogKind.TakenBack));
        }
    });

    private static async Task<TakeInSheet> AddPhoto(long id, HttpRequest request, OpenShop shop, TimeProvider clock)
    {
        var picture = await KeptPhoto.Read(request.Body, request.HttpContext.RequestAborted);
        return Change(id, shop, work =>
        {
            var photo = TakeIns.AddPhoto(work, id, picture.Type, picture.Bytes.Length, clock.GetUtcNow());
            // On disk before it is acknowledged; a file without its line is harmless, a line without its file is not.
            PhotoFolder.Beside(shop.File).Put(photo, picture.Bytes, picture.Thumbnail);
        });
    }

    private static TakeInSheet DropPhoto(long id, long photo, OpenShop shop)
    {
        var sheet = Change(id, shop, work =>
        {
            if (!TakeIns.DropPhoto(work, id, photo))
                throw RefusedException.NotFound($"There is no photo {photo} of job {id}.");
        });
        PhotoFolder.Beside(shop.File).Drop(photo);
        return sheet;
    }

    private static IResult File(long id, OpenShop shop, bool thumbnail)
    {
        using var work = shop.Look();
        var photo = TakeIns.FindPhoto(work, id) ?? throw RefusedException.NotFound($"There is no photo {id}.");
        var path = PhotoFolder.Beside(shop.File).Whole(id, photo.Bytes, thumbnail)
            ?? throw RefusedException.NotFound($"The file of photo {id} is damaged or missing from the folder photos, and no backup has it.");
        // It is what its content says, whatever is stored of it.
        if (KeptPhoto.TypeOf(path) is not { } type)
            throw RefusedException.NotFound($"The file of photo {id} is no picture.");
        return Results.File(path, type);
    }

    private static List<ClientWire> FindClients(OpenShop shop, string? typed = null)
    {
        using var work = shop.Look();
        return [.. Clients.Find(work, (typed ?? "").Trim(), 8).Select(c => new ClientWire(c.Name, c.Contact, Watches.NamesOf(work, c.Id)))];
    }

    private static TakeInSheet Change(long id, OpenShop shop, Action<ShopWork> change)
    {
        using var work = shop.Begin();
        TheJob.For(work, id, JobAct.PutRight);
        change(work);
        work.Commit();
        return TakeInSheet.Read(work, TheJob.Read(work, id).Job);
    }
}

/// <summary>A client from earlier visits, with the watches that were here.</summary>
internal sealed record ClientWire(string Name, string Contact, IReadOnlyList<string> Watches);
