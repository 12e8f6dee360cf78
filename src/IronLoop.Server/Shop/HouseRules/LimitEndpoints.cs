using IronLoop.Core.Matching;
using IronLoop.Server.Contract;
using IronLoop.Server.Door;
using IronLoop.Storage;

namespace IronLoop.Server.Shop.HouseRules;

/// <summary>A limit as it is and as it usually is.</summary>
internal sealed record LimitWire(Limit Limit, string Rule, string Says, decimal Value, decimal Usual, decimal Lowest, decimal Highest, bool IsLength);

/// <summary>A limit set; no value goes back to the default.</summary>
internal sealed record SetLimit(Limit Limit, decimal? Value = null);

/// <summary>The house's limits: shown with their defaults, set, and set back.</summary>
internal static class LimitEndpoints
{
    public static void MapLimits(this IEndpointRouteBuilder routes)
    {
        routes.MapGet("/api/limits", (OpenShop shop) =>
        {
            using var work = shop.Look();
            return All(Limits.Of(work));
        }).WithName("limits").WithTags("settings").WithSummary("The figures of the shop’s rules, with their defaults.");
        routes.MapPut("/api/limits", Set).WithName("setLimit").WithTags("settings").WithSummary("Sets a limit, or goes back to its default.")
            .ProducesValidationProblem();
    }

    private static List<LimitWire> Set(SetLimit set, OpenShop shop)
    {
        var kind = LimitKind.All[(int)set.Limit];
        if (set.Value is { } value)
        {
            var refusals = new Refusals();
            if (!kind.Allowed.Holds(value))
                refusals.Add("$.value", kind.Allowed.Refuse(kind.Says, value));
            if (decimal.Round(value, 3) != value)
                refusals.Add("$.value", "value has more than three decimals.");
            refusals.ThrowIfAny();
        }
        using var work = shop.Begin();
        Limits.Set(work, set.Limit, set.Value);
        var limits = Limits.Of(work);
        work.Commit();
        return All(limits);
    }

    private static List<LimitWire> All(HouseLimits limits) =>
        [.. LimitKind.All.Select(k => new LimitWire(
            k.Limit, k.Rule, k.Says, limits.Thousandths(k.Limit) / 1000m, k.Usual, k.Allowed.Lowest, k.Allowed.Highest, k.IsLength))];
}
