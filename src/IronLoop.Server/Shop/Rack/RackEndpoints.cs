using IronLoop.Core.Measuring;
using IronLoop.Server.Contract;
using IronLoop.Server.Door;
using IronLoop.Server.Stations;
using IronLoop.Storage;

namespace IronLoop.Server.Shop.Rack;

/// <summary>The rack of open jobs, and one job whole.</summary>
internal static class RackEndpoints
{
    private static readonly AllowedNumber MostTags = new(0, 50);

    public static void MapRack(this IEndpointRouteBuilder routes)
    {
        routes.MapGet("/api/jobs", List).WithName("rack").WithTags("rack").WithSummary("The open jobs, by the day they are promised for; found by words in client, watch and tag number, or by fitter.");
        routes.MapGet("/api/fitters", (OpenShop shop) =>
        {
            using var work = shop.Look();
            return Storage.Jobs.Fitters(work);
        }).WithName("fitters").WithTags("rack").WithSummary("The fitters who have open jobs, by initials.");
        routes.MapGet("/api/tags", Tags).WithName("tags").WithTags("rack").WithSummary("The tags of some jobs; one that is no longer on the rack is left out.")
            .ProducesValidationProblem();
        routes.MapGet("/api/jobs/{id:long}", One).WithName("job").WithTags("rack").WithSummary("One job, whole.")
            .ProducesProblem(StatusCodes.Status404NotFound);
    }

    private static List<TagWire> List(OpenShop shop, RackTags tags, TimeProvider clock, string? words = null, string? by = null)
    {
        var sought = (words ?? "").Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries).Take(8).ToArray();
        return tags.Of(shop, work => Storage.Jobs.Tags(work, sought, string.IsNullOrEmpty(by) ? null : by), clock.Today());
    }

    private static List<TagWire> Tags(long[] of, OpenShop shop, RackTags tags, TimeProvider clock)
    {
        var refusals = new Refusals();
        refusals.Check("$.of", MostTags, of.Length);
        refusals.ThrowIfAny("Too many tags are asked for; ask for the rack.");
        return tags.Of(shop, work => [.. of.Distinct().Select(id => Storage.Jobs.Tag(work, id)).OfType<JobTag>()], clock.Today());
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
