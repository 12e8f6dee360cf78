using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Core.Measuring;
using IronLoop.Core.Shelf;
using IronLoop.Server.Door;
using IronLoop.Server.Paper;
using IronLoop.Storage;

namespace IronLoop.Server.Stations.Size;

/// <summary>How the house decides a size.</summary>
/// <param name="Way">The way of knowing the needed length it goes by alone; null for all together.</param>
internal sealed record SchoolWire(Way? Way, OddLink Odd);

/// <summary>Where an odd link would go, and what that costs here.</summary>
/// <param name="Costs">Against the computed plan; null when it is the same.</param>
internal sealed record OddCostWire(OddLink Odd, string Does, string? Costs);

/// <summary>What going by one way comes to here.</summary>
internal sealed record WayCostWire(Way? Way, Length WantedMm, double SigmaMm, string Does, int ChancePercent);

/// <summary>The house's school and what the others would cost on this job.</summary>
internal sealed record SchoolSheet(SchoolWire House, IReadOnlyList<WayCostWire> Ways, IReadOnlyList<OddCostWire> OddLinks);

/// <summary>Where practitioners differ in deciding a size: the house says how it does, the cost of the other choice beside it.</summary>
internal static class SchoolEndpoints
{
    public static void MapSchool(this IEndpointRouteBuilder routes)
    {
        var size = routes.MapGroup("/api/jobs/{id:long}/size/school").WithTags("size");
        size.MapGet("", Look).WithName("school").WithSummary("The shop’s method and what the others would cost here.").ProducesProblem(StatusCodes.Status404NotFound);
        size.MapPut("", Settle).WithName("setSchool").WithSummary("Sets the shop’s method.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound);
    }

    private static SchoolSheet Look(long id, OpenShop shop)
    {
        using var work = shop.Look();
        return Sheet(TheJob.Read(work, id));
    }

    private static SchoolSheet Settle(long id, SchoolWire school, OpenShop shop)
    {
        using var work = shop.Begin();
        _ = TheJob.Read(work, id);
        Schools.Set(work, new School(school.Way, school.Odd));
        work.Commit();
        return Sheet(TheJob.Read(work, id));
    }

    private static SchoolSheet Sheet(JobSnapshot file)
    {
        var school = file.Figures.School;
        IReadOnlyList<WayCost> ways = file.Band is { } band ? SchoolCosts.OfWays(file.Figures, band) : [];
        IReadOnlyList<OddCost> odd = file is { Band: { Links: not null } bracelet, Target: { } target }
            ? SchoolCosts.OfOddLink(Sizing.Request(bracelet, target, file.Figures.Habits)) : [];
        return new SchoolSheet(
            new SchoolWire(school.Way, school.Odd),
            [.. ways.Select(w => new WayCostWire(w.Way, w.Target.Length, Math.Round(w.Need.Sigma, 2), w.Does, (int)Math.Round(100 * w.Chance)))],
            [.. odd.Select(o => new OddCostWire(o.Odd, o.Does, o.Costs))]);
    }
}
