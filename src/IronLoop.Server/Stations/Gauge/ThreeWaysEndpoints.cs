using System.Globalization;
using IronLoop.Core.Fitting;
using IronLoop.Core.Jobs;
using IronLoop.Core.Measuring;
using IronLoop.Server.Contract;
using IronLoop.Server.Door;
using IronLoop.Storage;

namespace IronLoop.Server.Stations.Gauge;

/// <summary>A copied loop, field by field.</summary>
/// <param name="By">How its length is known; as before when left out.</param>
internal sealed record CopyWire(string? Loop = null, string? BarToBar = null, string? BarRise = null, string? Thickness = null, LoopBy? By = null)
{
    public CopiedLoop Into(CopiedLoop before, Refusals refusals) => new(
        refusals.Changed("$.loop", Loop, TryOnWire.Loops, before.Loop),
        refusals.Changed("$.barToBar", BarToBar, FitRanges.BarToBar, before.BarToBar),
        refusals.Changed("$.barRise", BarRise, FitRanges.BarRise, before.BarRise),
        refusals.Changed("$.thickness", Thickness, TryOnWire.Thicknesses, before.Thickness))
    {
        By = By ?? before.By,
    };
}

/// <summary>The other two ways to know the needed length: a try-on, and a loop that fits already.</summary>
internal static class ThreeWaysEndpoints
{
    public static void MapThreeWays(this IEndpointRouteBuilder routes)
    {
        var gauge = routes.MapGroup("/api/jobs/{id:long}/gauge").WithTags("gauge");
        gauge.MapPatch("/try-on", (long id, TryOnWire typed, OpenShop shop, TimeProvider clock) => GaugeChange.Make(id, shop, clock, JobAct.Gauge, (work, file) =>
        {
            var refusals = new Refusals();
            var tried = typed.Into(file.Figures.TryOn ?? new TryOn(), refusals);
            refusals.ThrowIfAny();
            Gaugings.TryOn(work, id, tried == new TryOn() ? null : tried);
        })).WithName("tryOn").WithSummary("The band on the wrist and its surplus.").ProducesValidationProblem();
        gauge.MapPatch("/copy", (long id, CopyWire typed, OpenShop shop, TimeProvider clock) => GaugeChange.Make(id, shop, clock, JobAct.Gauge, (work, file) =>
        {
            var refusals = new Refusals();
            var copy = typed.Into(file.Figures.Copy ?? new CopiedLoop(), refusals);
            refusals.ThrowIfAny();
            Gaugings.Copy(work, id, copy == new CopiedLoop() ? null : copy);
        })).WithName("copy").WithSummary("A loop that already fits the same wrist.").ProducesValidationProblem();
    }
}
