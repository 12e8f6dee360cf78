using IronLoop.Core.Fitting;
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
        paper.MapGet("/loop.svg", (long id, OpenShop shop) => Drawn(id, shop, "loop", loop => loop.Drawing));
        paper.MapGet("/lay-out.svg", (long id, OpenShop shop) => Drawn(id, shop, "lay-out", loop => loop.LayOut?.Drawn));
    }

    private static IResult Of(long id, OpenShop shop, string paper, Func<ShopWork, JobSnapshot, PaperSize, byte[]> draw, string name)
    {
        var refusals = new Refusals();
        var size = refusals.Choice<PaperSize>("$.paper", paper) ?? PaperSize.A4;
        refusals.ThrowIfAny();
        using var work = shop.Look();
        return Results.File(draw(work, TheJob.Read(work, id), size), "application/pdf", $"{name}-{id}.pdf");
    }

    private static IResult Drawn(long id, OpenShop shop, string name, Func<LoopSheet, Picture?> pictureOf)
    {
        using var work = shop.Look();
        var loop = LoopSheet.Of(TheJob.Read(work, id));
        var picture = pictureOf(loop) ?? throw RefusedException.Conflict($"There is no drawing of job {id} yet. {loop.Says}");
        return Results.File(Pictures.Svg(new PaintedPicture(picture)), "image/svg+xml", $"{name}-{id}.svg");
    }
}
