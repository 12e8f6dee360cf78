using System.Globalization;
using System.Text;
using CsvHelper;
using IronLoop.Core.Bench;
using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Core.Stock;
using IronLoop.Server.Contract;
using IronLoop.Server.Door;
using IronLoop.Server.Paper;
using IronLoop.Storage;

namespace IronLoop.Server.Shop.OpenFiles;

/// <summary>Jobs, log and parts as CSV, days as iCalendar, a client as vCard.</summary>
internal static class OpenFileEndpoints
{
    public static void MapOpenFiles(this IEndpointRouteBuilder routes)
    {
        var open = routes.MapGroup("/api").ExcludeFromDescription();
        open.MapGet("/jobs.csv", (OpenShop shop) => Csv(shop, "jobs.csv",
            ["tag", "client", "contact", "watch", "asked for", "owner's words", "promised", "taken in", "by", "band", "price", "referred", "handed over"],
            work =>
            {
                var articles = Bands.ArticlesById(work);
                return Storage.Jobs.Each(work).Select(job => (string[])
                [
                    Whole(job.Id), job.Client.Name, job.Client.Contact, job.WatchName, RequestWords.Of(job.Request), job.Words, Day(job.Promised), At(job.TakenInAt), job.TakenInBy,
                    job.BandId is { } band ? articles.GetValueOrDefault(band, "") : "", job.PriceCents is { } cents ? Paper.JobSheet.Money(cents) : "", At(job.ReferredAt), At(job.ClosedAt),
                ]);
            })).GivesOut(Role.Lead, "all jobs as CSV");
        open.MapGet("/log.csv", (OpenShop shop) => Csv(shop, "log.csv", ["tag", "at", "by", "station", "words"],
            work => Log.Each(work).Select(e => (string[])[Whole(e.JobId), At(e.At), e.By, Paper.JobSheet.Spaced(e.Station.ToString()), e.Words]))).GivesOut(Role.Lead, "the log as CSV");
        open.MapGet("/parts.csv", (OpenShop shop) => Csv(shop, "parts.csv",
            ["article", "name", "kind", "place", "on hand", "free", "price", "supplier", "supplier's article", "measured"],
            work => Parts.All(work, null).Select(p => (string[])
            [
                p.Part.Article, p.Part.Name, Paper.JobSheet.Spaced(p.Part.Kind.ToString()), p.Place, Whole(p.Count.OnHand), Whole(p.Count.Free),
                Paper.JobSheet.Money(p.Part.PriceCents), p.Part.Supplier, p.Part.SupplierArticle, p.Part.Measured,
            ]))).GivesOut(Role.Fitter, "the parts as CSV");
        open.MapGet("/days.ics", (OpenShop shop, TimeProvider clock) =>
        {
            using var work = shop.Look();
            return Results.File(Encoding.UTF8.GetBytes(DateBook.Of(work, clock.Today())), "text/calendar; charset=utf-8", "days.ics");
        }).GivesOut(Role.Fitter, "the promised days as a calendar");
        open.MapGet("/clients/{id:long}.vcf", (long id, OpenShop shop) =>
        {
            using var work = shop.Look();
            var client = Clients.Find(work, id) ?? throw RefusedException.NotFound($"There is no client {id}.");
            return Results.File(Encoding.UTF8.GetBytes(VCard.Of(client)), "text/vcard; charset=utf-8", $"client-{id}.vcf");
        }).GivesOut(Role.Fitter, "a client as vCard");
    }

    // Written line by line: a log of many years does not have to go into memory as one text. A cell that a spreadsheet would take
    // for a formula is defused.
    private static IResult Csv(OpenShop shop, string name, string[] head, Func<ShopWork, IEnumerable<string[]>> rows) => Results.Stream(
        async stream =>
        {
            using var work = shop.Look();
            await using var csv = CsvWriter.Create(stream, new CsvWriterOptions { WriteByteOrderMark = true, Injection = CsvInjection.Escape });
            await csv.WriteRecordAsync(head);
            foreach (var row in rows(work))
                await csv.WriteRecordAsync(row);
        },
        "text/csv; charset=utf-8", name);

    private static string Whole(long number) => number.ToString(CultureInfo.InvariantCulture);

    private static string Day(DateOnly day) => day.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);

    private static string At(DateTimeOffset? at) => at is { } known ? known.UtcDateTime.ToString("yyyy-MM-dd'T'HH:mm:ss'Z'", CultureInfo.InvariantCulture) : "";
}
