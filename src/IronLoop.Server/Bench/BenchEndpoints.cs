using IronLoop.Core.Bench;
using IronLoop.Core.Jobs;
using IronLoop.Server.Contract;
using IronLoop.Server.Rack;
using IronLoop.Storage;

namespace IronLoop.Server.Bench;

internal sealed record StepWire(string Key, string Part, string What, string? Caution, bool Done, bool Next);

internal sealed record TickWire(bool Done);

/// <summary>Bench: the agreed plan as steps to tick.</summary>
internal static class BenchEndpoints
{
    public static void MapBench(this IEndpointRouteBuilder routes)
    {
        var bench = routes.MapGroup("/api/jobs/{id:long}/bench").WithTags("bench");
        bench.MapGet("", List).WithName("bench").WithSummary("The steps of the agreed plan.").ProducesProblem(StatusCodes.Status404NotFound);
        bench.MapPut("/{key}", Tick).WithName("tickStep").WithSummary("Ticks the next step, or takes the last tick back.")
            .ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
    }

    private static List<StepWire> List(long id, ShopFile shop)
    {
        using var work = shop.Look();
        return Steps(JobFile.Read(work, id));
    }

    private static List<StepWire> Tick(long id, string key, TickWire tick, ShopFile shop, TimeProvider clock)
    {
        using var work = shop.Begin();
        var file = JobFile.Read(work, id);
        file.MustBeOpen();
        file.MustNotBeReferred();
        if (BenchSteps.WhyNot(file.Steps, file.Ticks, key, tick.Done) is { } why)
            throw RefusedException.Conflict(why);
        BenchTicks.Set(work, id, key, tick.Done, clock.GetUtcNow());
        file = JobFile.Read(work, id);
        if (tick.Done && file.Progress.Done(Station.Bench))
            Log.Write(work, id, clock.GetUtcNow(), file.Job.TakenInBy, Station.Bench, $"Bench work done, {file.Steps.Count} steps.");
        work.Keep();
        return Steps(file);
    }

    private static List<StepWire> Steps(JobFile file)
    {
        var next = file.Steps.FirstOrDefault(s => !file.Ticks.Contains(s.Key));
        return [.. file.Steps.Select(s => new StepWire(s.Key, s.Part, s.What, s.Caution, file.Ticks.Contains(s.Key), s == next))];
    }
}
