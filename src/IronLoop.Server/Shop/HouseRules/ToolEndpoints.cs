using IronLoop.Core.Bench;
using IronLoop.Core.Measuring;
using IronLoop.Core.Shelf;
using IronLoop.Core.Tools;
using IronLoop.Server.Contract;
using IronLoop.Server.Devices;
using IronLoop.Server.Door;
using IronLoop.Server.Stations;
using IronLoop.Storage;

namespace IronLoop.Server.Shop.HouseRules;

/// <summary>A tool on the wall, or on the list.</summary>
/// <param name="Says">Its name with its sizes.</param>
/// <param name="Wanted">Whether it is on the list and does not hang there.</param>
internal sealed record ToolWire(long Id, ToolKind Kind, string Name, string Across, string Width, int Spares, bool Wanted, string Says)
{
    public static ToolWire Of(StoredTool stored) => new(
        stored.Id, stored.Tool.Kind, stored.Tool.Name, stored.Tool.Across?.ToString() ?? "", stored.Tool.Width?.ToString() ?? "", stored.Tool.Spares, stored.IsWanted, stored.Tool.Says);
}

/// <summary>A tool that is hung up, or put on the list.</summary>
/// <param name="Name">What it is called, up to 60 characters.</param>
/// <param name="Across">Diameter of a punch, thickness of a blade or a fork, as typed.</param>
/// <param name="Width">Width of a blade, mouth of a fork, as typed.</param>
/// <param name="Spares">How many spares lie in the drawer.</param>
/// <param name="Wanted">Whether it goes on the list.</param>
internal sealed record NewToolWire(ToolKind Kind, string Name, string Across = "", string Width = "", int Spares = 0, bool Wanted = false);

/// <summary>What changes of a tool.</summary>
internal sealed record ToolChangeWire(int Spares, bool Wanted = false);

/// <summary>The tool wall, and how the house works at the bench.</summary>
internal static class ToolEndpoints
{
    private static readonly AllowedNumber SpareRange = new(0, 99);

    public static void MapTools(this IEndpointRouteBuilder routes)
    {
        routes.MapGet("/api/tools", (OpenShop shop) =>
        {
            using var work = shop.Look();
            return All(work);
        }).WithName("tools").WithTags("settings").WithSummary("The tools on the wall, and those on the list.");
        routes.MapPost("/api/tools", Add).WithName("hangUp").WithTags("settings").WithSummary("Puts a tool on the wall, or puts it on the list.").ProducesValidationProblem();
        routes.MapPut("/api/tools/{id:long}", Change).WithName("changeTool").WithTags("settings").WithSummary("How many spares it has; from the list to the wall.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound);
        routes.MapDelete("/api/tools/{id:long}", Remove).WithName("takeDown").WithTags("settings").WithSummary("Takes a tool down, or off the list.").ProducesProblem(StatusCodes.Status404NotFound);
    }

    /// <summary>How the house works at the bench, which its lead settles.</summary>
    public static void MapBenchWay(this IEndpointRouteBuilder routes) =>
        routes.MapPut("/api/bench/setup", Settle).WithName("settleBench").WithTags("settings").WithSummary("How this shop works at the bench, where a job says nothing else.")
            .ProducesValidationProblem();

    private static List<ToolWire> All(ShopWork work) => [.. ToolWalls.All(work).OrderBy(t => t.Tool.Kind).ThenBy(t => t.Tool.Across).ThenBy(t => t.Tool.Name, StringComparer.Ordinal).Select(ToolWire.Of)];

    private static List<ToolWire> Add(NewToolWire typed, OpenShop shop)
    {
        var refusals = new Refusals();
        var name = refusals.Text("$.name", typed.Name, 60, required: true);
        refusals.Check("$.spares", SpareRange, typed.Spares);
        var across = refusals.Typed("$.across", typed.Across, WallTool.Allowed);
        var width = refusals.Typed("$.width", typed.Width, WallTool.Allowed);
        if (WallTool.IsSized(typed.Kind) && across is null && !refusals.Any)
            refusals.Add("$.across", $"across is missing: a {name} is chosen by it; allowed is {WallTool.Allowed}.");
        if (typed.Kind is ToolKind.Blade or ToolKind.Fork && width is null && !refusals.Any)
            refusals.Add("$.width", $"width is missing: a {name} is chosen by it; allowed is {WallTool.Allowed}.");
        refusals.ThrowIfAny("The tool cannot be put on the wall.");
        using var work = shop.Begin();
        ToolWalls.Add(work, new WallTool(typed.Kind, name, across, width) { Spares = typed.Spares }, typed.Wanted);
        return Kept(work);
    }

    private static List<ToolWire> Change(long id, ToolChangeWire change, OpenShop shop)
    {
        var refusals = new Refusals();
        refusals.Check("$.spares", SpareRange, change.Spares);
        refusals.ThrowIfAny();
        using var work = shop.Begin();
        _ = Found(work, id);
        ToolWalls.Set(work, id, change.Spares, change.Wanted);
        return Kept(work);
    }

    private static List<ToolWire> Remove(long id, OpenShop shop)
    {
        using var work = shop.Begin();
        ToolWalls.Remove(work, Found(work, id).Id);
        return Kept(work);
    }

    private static StoredTool Found(ShopWork work, long id) =>
        ToolWalls.All(work).FirstOrDefault(t => t.Id == id) ?? throw RefusedException.NotFound($"There is no tool {id}.");

    private static SetupWire Settle(SetupWire typed, OpenShop shop)
    {
        using var work = shop.Begin();
        BenchSetups.Settle(work, typed.Read());
        work.Commit();
        return typed;
    }

    private static List<ToolWire> Kept(ShopWork work)
    {
        work.Commit();
        return All(work);
    }
}
