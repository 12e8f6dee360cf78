using IronLoop.Core.Jobs;
using IronLoop.Server.Contract;
using IronLoop.Server.Door;
using IronLoop.Storage;

namespace IronLoop.Server.Stations.Gauge;

/// <summary>Work that is told by hand: a count of links, another place, a part, a band of the owner's.</summary>
internal static class ByHandEndpoints
{
    public static void MapByHand(this IEndpointRouteBuilder routes)
    {
        var byHand = routes.MapGroup("/api/jobs/{id:long}/by-hand").WithTags("gauge");
        byHand.MapPut("", Tell).WithName("tellByHand").WithSummary("Tells the work by hand: so many links, another place, a part, a band of the owner’s.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
        byHand.MapDelete("", Forget).WithName("tellByFigures").WithSummary("Takes that back: it is told by figures.")
            .ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
    }

    private static JobWire Tell(long id, HandWorkWire told, OpenShop shop, TimeProvider clock)
    {
        var refusals = new Refusals();
        using var work = shop.Begin();
        var file = TheJob.For(work, id, JobAct.TellByHand);
        var byHand = told.Read(refusals, file.Job.Request);
        if (byHand is null)
            refusals.Add("$", "Nothing is told by this: give the links of a side, two places that differ, or a part.");
        refusals.ThrowIfAny("This is no work yet.");
        HandWorks.Set(work, id, byHand);
        Plans.Drop(work, id);
        work.Commit();
        return JobWire.Of(TheJob.Read(work, id), clock.Today());
    }

    private static JobWire Forget(long id, OpenShop shop, TimeProvider clock)
    {
        using var work = shop.Begin();
        TheJob.For(work, id, JobAct.TellByHand);
        HandWorks.Set(work, id, null);
        Plans.Drop(work, id);
        work.Commit();
        return JobWire.Of(TheJob.Read(work, id), clock.Today());
    }
}
