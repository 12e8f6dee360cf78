using IronLoop.Server.Contract;
using IronLoop.Server.Door;
using IronLoop.Server.Host;
using IronLoop.Storage;
using IronLoop.Storage.Archive;

namespace IronLoop.Server.Shop.Archive;

/// <summary>Archive, restoring and the log's index: begun, watched, cancelled.</summary>
internal static class LongWorkEndpoints
{
    private const long LargestArchive = 8L << 30;

    public static void MapLongWork(this IEndpointRouteBuilder routes)
    {
        var works = routes.MapGroup("/api/long-work").WithTags("archive");
        works.MapGet("/{id}", (string id, LongWorks all) => all.Find(id).Wire).WithName("longWork").WithSummary("How a long piece of work stands.")
            .ProducesProblem(StatusCodes.Status404NotFound);
        works.MapDelete("/{id}", (string id, LongWorks all) =>
        {
            all.Find(id).Cancel();
            return all.Find(id).Wire;
        }).WithName("cancelLongWork").WithSummary("Cancels it; nothing of it is kept.").ProducesProblem(StatusCodes.Status404NotFound);
        works.MapGet("/{id}/file", File).ExcludeFromDescription().GivesOut(Role.Lead, "the whole shop as an archive");
        routes.MapPost("/api/archive", Write).WithName("writeArchive").WithTags("archive").WithSummary("Writes the whole shop into one file.")
            .ProducesProblem(StatusCodes.Status409Conflict);
        routes.MapPost("/api/archive/restore", Restore).WithName("restoreArchive").WithTags("archive").WithSummary("Takes an archive, sent as it is, into an empty shop.")
            .Accepts<Stream>("application/octet-stream").ProducesProblem(StatusCodes.Status409Conflict)
            .WithMetadata(new Microsoft.AspNetCore.Mvc.RequestSizeLimitAttribute(LargestArchive));
        routes.MapGet("/api/archive/schema.json", (OpenShop shop) => Results.Text(ShopArchive.Schema(shop.File), "application/schema+json")).ExcludeFromDescription();
        routes.MapPost("/api/log/index", Reindex).WithName("reindexLog").WithTags("log").WithSummary("Makes the log’s index anew.").ProducesProblem(StatusCodes.Status409Conflict);
    }

    private static LongWorkWire Write(OpenShop shop, LongWorks works) => works.Begin("archive", work =>
    {
        var path = ArchiveFile.Of(shop.File);
        try
        {
            ArchiveContent content;
            using (var stream = new BufferedStream(new FileStream(path, FileMode.Create), 1 << 16))
                content = ShopArchive.Write(shop.File, PhotoFolder.Beside(shop.File), stream, work.Progress);
            return ($"{content.Jobs} jobs, {content.Rows} rows in all, {content.Photos} photos; {new FileInfo(path).Length / 1024.0 / 1024.0:0.0} MB.", path);
        }
        catch
        {
            System.IO.File.Delete(path);
            throw;
        }
    }).Wire;

    private static IResult File(string id, LongWorks all, TimeProvider clock)
    {
        return all.Find(id).File is { } path && System.IO.File.Exists(path)
            ? Results.File(path, "application/json", $"iron-loop-{clock.GetLocalNow():yyyy-MM-dd}.json")
            : throw RefusedException.NotFound("There is no such file.");
    }

    private static async Task<LongWorkWire> Restore(HttpRequest request, OpenShop shop, LongWorks works, ArrivalChecks checks, CancellationToken stop)
    {
        var path = Path.Combine(ArchiveFile.FolderOf(shop.File), $"arrived-{Guid.NewGuid():n}.json");
        await using (var file = new FileStream(path, FileMode.CreateNew))
            await request.Body.CopyToAsync(file, stop);
        try
        {
            return works.Begin("restore", work =>
            {
                try
                {
                    using var stream = System.IO.File.OpenRead(path);
                    var content = ShopArchive.Restore(shop.File, PhotoFolder.Beside(shop.File), stream, stream.Length, checks, work.Progress);
                    return ($"{content.Jobs} jobs, {content.Rows} rows in all, {content.Photos} photos are here.", null);
                }
                finally
                {
                    System.IO.File.Delete(path);
                }
            }).Wire;
        }
        catch (RefusedException)
        {
            System.IO.File.Delete(path);
            throw;
        }
    }

    private static LongWorkWire Reindex(OpenShop shop, LongWorks works) => works.Begin("reindex", work =>
    {
        using var piece = shop.Begin();
        Visits.IndexAll(piece, work.Progress);
        piece.Commit();
        return ($"{work.Wire.Total} jobs are in the index.", null);
    }).Wire;
}
