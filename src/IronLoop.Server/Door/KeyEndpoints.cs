using IronLoop.Server.Contract;
using IronLoop.Storage;

namespace IronLoop.Server.Door;

/// <summary>A key of the shop, as a lead sees it.</summary>
internal sealed record KeyWire(long Id, string Name, DateTimeOffset MadeAt, string MadeBy, DateTimeOffset? EndedAt);

/// <summary>A key to be made.</summary>
/// <param name="Name">What it is for, 1 to 60 characters.</param>
internal sealed record NewKeyWire(string Name);

/// <summary>A key just made.</summary>
/// <param name="Key">The key itself, told this once; it goes into the header X-Iron-Loop-Key.</param>
internal sealed record MadeKeyWire(string Key, IReadOnlyList<KeyWire> Keys);

/// <summary>Keys for other programs that ask this shop for figures from another machine; a lead's business.</summary>
internal static class KeyEndpoints
{
    private const int Most = 20;

    public static void MapKeys(this IEndpointRouteBuilder routes)
    {
        var keys = routes.MapGroup("/api/hands/keys").WithTags("door");
        keys.MapGet("", (OpenShop shop) =>
        {
            using var work = shop.Look();
            return Of(work);
        }).WithName("keys").WithSummary("The keys of the shop.");
        keys.MapPost("", Make).WithMetadata(new ToldOnce()).WithName("makeKey").WithSummary("Makes a key of the shop; it is told once.").ProducesValidationProblem().ProducesProblem(StatusCodes.Status409Conflict);
        keys.MapDelete("/{id:long}", End).WithName("endKey").WithSummary("Ends a key of the shop.").ProducesProblem(StatusCodes.Status404NotFound);
    }

    private static IReadOnlyList<KeyWire> Of(ShopWork work) => [.. ShopKeys.All(work).Select(k => new KeyWire(k.Id, k.Name, k.MadeAt, k.MadeBy, k.EndedAt))];

    private static MadeKeyWire Make(NewKeyWire wanted, HttpContext context, OpenShop shop, TimeProvider clock)
    {
        var refusals = new Refusals();
        var name = refusals.Text("$.name", wanted.Name, 60, required: true);
        refusals.ThrowIfAny("No key is made.");
        using var work = shop.Begin();
        if (ShopKeys.All(work).Count(k => k.EndedAt is null) >= Most)
            throw RefusedException.Conflict($"There are {Most} keys already; end one that nobody uses.");
        var by = context.Features.Get<Session>()?.Fitter.Initials ?? "";
        var key = ShopKeys.Make(work, name, by, clock.GetUtcNow());
        DoorLog.Write(work, new DoorEntry(clock.GetUtcNow(), by, $"made the key “{name}”", context.DeviceOf()));
        work.Commit();
        return new MadeKeyWire(key, Of(work));
    }

    private static IReadOnlyList<KeyWire> End(long id, HttpContext context, OpenShop shop, TimeProvider clock)
    {
        using var work = shop.Begin();
        if (!ShopKeys.End(work, id, clock.GetUtcNow()))
            throw RefusedException.NotFound($"There is no key {id} that holds.");
        DoorLog.Write(work, new DoorEntry(clock.GetUtcNow(), context.Features.Get<Session>()?.Fitter.Initials ?? "", $"ended the key “{ShopKeys.All(work).First(k => k.Id == id).Name}”", context.DeviceOf()));
        work.Commit();
        return Of(work);
    }
}
