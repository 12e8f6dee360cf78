using IronLoop.Storage;

namespace IronLoop.Server.Host;

internal sealed record HealthWire(string Status);

/// <summary>Whether the shop's file can be read.</summary>
internal static class Health
{
    public static void MapHealth(this IEndpointRouteBuilder routes) =>
        routes.MapGet("/api/health", (ShopFile shop) =>
        {
            using var work = shop.Look();
            _ = Settings.Find(work, ToolWalls.IsSettled);
            return new HealthWire("ready");
        }).WithName("health").WithTags("health").WithSummary("Answers 200 once the database is ready.");
}
