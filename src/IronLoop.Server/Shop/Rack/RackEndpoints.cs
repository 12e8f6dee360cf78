using IronLoop.Server.Contract;
using IronLoop.Server.Door;
using IronLoop.Server.Stations;
using IronLoop.Storage;

namespace IronLoop.Server.Shop.Rack;

/// <summary>The rack of open jobs, and one job whole.</summary>
internal static class RackEndpoints
{
    public static void MapRack(this IEndpointRouteBuilder routes)
    {
        routes.MapGet("/api/jobs", List).WithName("rack").WithTags("rack").WithSummary("The open jobs, by the day they are promised for; found by words in client, watch and tag number, or by fitter.");
        routes.MapGet("/api/fitters", (OpenShop shop) =>
        {
            using var work = shop.Look();
            return Storage.Jobs.Fitters(work);
        }).WithName("fitters").WithTags("rack").WithSummary("The fitters who have open jobs, by initials.");
        routes.MapGet("/api/jobs/{id:long}/tag", Tag).WithName("tag").WithTags("rack").WithSummary("One job's tag, as it hangs on the rack.")
            .Produces<TagWire>().ProducesProblem(StatusCodes.Status404NotFound);
        routes.MapGet("/api/jobs/{id:long}", One).WithName("job").WithTags("rack").WithSummary("One job, whole.")
            .ProducesProblem(StatusCodes.Status404NotFound);
    }

    private static List<TagWire> List(OpenShop shop, RackTags tags, TimeProvider clock, string? words = null, string? by = null)
    {
        var sought = (words ?? "").Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries).Take(8).ToArray();
        using var work = shop.Look();
        return tags.Of(work, sought, string.IsNullOrEmpty(by) ? null : by, clock.Today());
    }

    private static TagWire Tag(long id, OpenShop shop, RackTags tags, TimeProvider clock)
    {
        using var work = shop.Look();
        return tags.Of(work, id, clock.Today()) ?? throw RefusedException.NotFound($"Tag {id} does not hang on the rack.");
    }

    private static JobWire One(long id, OpenShop shop, TimeProvider clock, HttpResponse response)
    {
        using var work = shop.Look();
        var job = JobWire.Of(TheJob.Read(work, id), clock.Today());
        // What a change of this job names in If-Match.
        response.Headers.ETag = $"\"{job.Version}\"";
        return job;
    }
}
