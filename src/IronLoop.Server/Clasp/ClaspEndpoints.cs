using IronLoop.Core.Jobs;
using IronLoop.Server.Contract;
using IronLoop.Server.Rack;
using IronLoop.Storage;

namespace IronLoop.Server.Clasp;

/// <summary>Clasp: the chosen band's own clasp is looked at and kept.</summary>
internal static class ClaspEndpoints
{
    public static void MapClasp(this IEndpointRouteBuilder routes) =>
        routes.MapPut("/api/jobs/{id:long}/clasp/keep", Keep).WithName("keepClasp").WithTags("clasp").WithSummary("Keeps the band's own clasp.")
            .ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);

    private static JobWire Keep(long id, ShopFile shop, TimeProvider clock)
    {
        using var work = shop.Begin();
        var file = JobFile.Read(work, id);
        file.MustBeOpen();
        if (file.Band is not { } band)
            throw RefusedException.Conflict("Choose a band first; its clasp is looked at then.");
        if (file.Job.ClaspKeptAt is null)
        {
            Storage.Jobs.KeepClasp(work, id, clock.GetUtcNow());
            Log.Write(work, id, clock.GetUtcNow(), file.Job.TakenInBy, Station.Clasp, $"Clasp kept: {band.ClaspName}.");
        }
        var job = JobWire.Of(JobFile.Read(work, id), clock.Today());
        work.Keep();
        return job;
    }
}
