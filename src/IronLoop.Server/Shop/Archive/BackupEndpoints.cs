using IronLoop.Server.Contract;
using IronLoop.Server.Door;
using IronLoop.Server.Host;
using IronLoop.Server.Stations;
using IronLoop.Storage;

namespace IronLoop.Server.Shop.Archive;

/// <summary>A backup as the screen lists it.</summary>
internal sealed record BackupWire(string Name, DateTimeOffset At, long Bytes);

/// <summary>Backups: the list, one more, and going back to one.</summary>
internal static class BackupEndpoints
{
    public static void MapBackups(this IEndpointRouteBuilder routes)
    {
        var backups = routes.MapGroup("/api/backups").WithTags("archive");
        backups.MapGet("", (OpenShop shop) => new Backups(shop.File).All.Select(b => new BackupWire(b.Name, b.At, b.Bytes)).ToList())
            .WithName("backups").WithSummary("The backups there are, the newest first.");
        backups.MapPost("", (OpenShop shop, LongWorks works, TimeProvider clock) => works.Begin("backup", _ =>
        {
            var (all, now) = (new Backups(shop.File), clock.GetUtcNow());
            var made = all.Make(now);
            all.Thin(now);
            return ($"{made.Name}, {made.Bytes / 1024.0 / 1024.0:0.0} MB, opened and whole.", null);
        }).Wire).WithName("makeBackup").WithSummary("Makes a backup now.").ProducesProblem(StatusCodes.Status409Conflict);
        backups.MapPost("/{name}/restore", (string name, OpenShop shop, LongWorks works, TimeProvider clock) =>
        {
            if (new Backups(shop.File).All.All(b => b.Name != name))
                throw RefusedException.NotFound("There is no such backup.");
            return works.Begin("back to a backup", _ =>
            {
                var before = new Backups(shop.File).Restore(name, clock.GetUtcNow());
                // A backup can be of the version before.
                ComeOver.Run(shop.File);
                return ($"The shop is as {name} had it. What was here before is kept as {before.Name}.", null);
            }).Wire;
        }).WithName("restoreBackup").WithSummary("Puts a backup in the shop’s place; what was there is backed up first.")
            .ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
    }
}
