using IronLoop.Core.Jobs;
using IronLoop.Server.Contract;
using IronLoop.Server.Door;
using IronLoop.Server.Stations;
using IronLoop.Storage;

namespace IronLoop.Server.Paper;

/// <summary>A job on paper and as drawings: sheets as PDF, A4 or letter; the label; loop and lay-out as SVG.</summary>
internal static class PaperEndpoints
{
    public static void MapPaper(this IEndpointRouteBuilder routes)
    {
        var paper = routes.MapGroup("/api/jobs/{id:long}").ExcludeFromDescription();
        paper.MapGet("/job-sheet.pdf", (long id, OpenShop shop, string paper = "a4") =>
            Of(id, shop, paper, (work, file, size) => JobSheet.Draw(work, file, size), "job-sheet"));
        paper.MapGet("/owners-card.pdf", (long id, OpenShop shop, string paper = "a4") =>
            Of(id, shop, paper, (work, file, size) => OwnersCard.Draw(work, file, size), "owners-card"));
        paper.MapGet("/consent.pdf", (long id, OpenShop shop, string paper = "a4") => Of(id, shop, paper, (work, file, size) =>
            file.Lasting is { Length: > 0 } lasting
                ? ConsentSheet.Draw(work, file, lasting, size)
                : throw RefusedException.Conflict($"Nothing is planned for job {id} that cannot be undone."), "consent"));
        paper.MapGet("/bench/referral.pdf", (long id, OpenShop shop, string paper = "a4") => Of(id, shop, paper, (_, file, size) =>
        {
            file.May(JobAct.WriteReferral).OrRefuse();
            return ReferralNote.Draw(file, size);
        }, "referral"));
        paper.MapGet("/label.pdf", (long id, OpenShop shop, TimeProvider clock) =>
        {
            using var work = shop.Look();
            return Results.File(BagLabel.Of(work, TheJob.Read(work, id), clock).Pdf(), "application/pdf", $"label-{id}.pdf");
        });
        paper.MapGet("/loop.svg", (long id, OpenShop shop) => Picture(id, shop, "loop", (_, loop) => loop.Drawing is { } drawing ? new LoopPicture(drawing) : null));
        paper.MapGet("/lay-out.svg", (long id, OpenShop shop) => Picture(id, shop, "lay-out", (file, loop) =>
            loop.LayOut is { } layOut && file.Figures.Head is { } head ? new LayOutPicture(layOut, head.BarToBar) : null));
    }

    private static IResult Of(long id, OpenShop shop, string paper, Func<ShopWork, JobSnapshot, PaperSize, byte[]> draw, string name)
    {
        var refusals = new Refusals();
        var size = refusals.Choice<PaperSize>("$.paper", paper) ?? PaperSize.A4;
        refusals.ThrowIfAny();
        using var work = shop.Look();
        return Results.File(draw(work, TheJob.Read(work, id), size), "application/pdf", $"{name}-{id}.pdf");
    }

    private static IResult Picture(long id, OpenShop shop, string name, Func<JobSnapshot, LoopSheet, IPicture?> pictureOf)
    {
        using var work = shop.Look();
        var file = TheJob.Read(work, id);
        var picture = pictureOf(file, LoopSheet.Of(file)) ?? throw RefusedException.Conflict($"There is no drawing of job {id} yet. {LoopSheet.Of(file).Says}");
        return Results.File(Pictures.Svg(picture), "image/svg+xml", $"{name}-{id}.svg");
    }
}
