using IronLoop.Core.Bench;
using IronLoop.Core.Jobs;
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
        routes.MapGet("/api/jobs/{id:long}", One).WithName("job").WithTags("rack").WithSummary("One job, whole.")
            .ProducesProblem(StatusCodes.Status404NotFound);
    }

    private static List<TagWire> List(OpenShop shop, TimeProvider clock, string? words = null, string? by = null)
    {
        var sought = (words ?? "").Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries).Take(8).ToArray();
        using var work = shop.Look();
        var today = clock.Today();
        var (waiting, come) = PartsTaken.OnTheRack(work);
        return [.. JobReader.Each(work, Storage.Jobs.Open(work, sought, string.IsNullOrEmpty(by) ? null : by)).Select(file =>
        {
            var (job, progress) = (file.Job, file.Progress);
            return new TagWire(
                job.Id, job.Client.Name, job.WatchName, job.Promised, job.Promised < today, job.Promised == today,
                progress.Next, Enum.GetValues<Station>().Count(progress.Done), job.ReferredAt is not null, job.TakenInBy,
                waiting.Contains(job.Id), come.Contains(job.Id) && progress.StepsDone == 0, progress.TrayKept);
        })];
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
