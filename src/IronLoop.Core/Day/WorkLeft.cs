using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;

namespace IronLoop.Core.Day;

/// <summary>Minutes of work that are left of a job: its bench steps as they usually take here, and what comes before and after them.</summary>
/// <param name="Minutes">The usual minutes, 1 or more.</param>
/// <param name="Most">Those of a slow one: three quarters take less.</param>
public readonly record struct WorkLeft(int Minutes, int Most)
{
    private const int Gauging = 4, HandingOver = 3;

    /// <summary>What is left of a job; null where nothing is but to hand it over.</summary>
    public static WorkLeft? Of(JobSnapshot job)
    {
        if (job.Progress.Next == Station.HandOver)
            return null;
        var bench = job.Bench.Left.Count > 0 ? (int)Math.Ceiling(job.Bench.Left.Sum(s => s.Minutes)) : AtTheBench(job.Job.Request);
        return Around(bench + (job.Progress.Done(Station.Gauge) ? 0 : Gauging) + HandingOver);
    }

    /// <summary>What a request usually is before anything of it is known.</summary>
    public static WorkLeft Of(Request request) => Around(AtTheBench(request) + Gauging + HandingOver);

    private static WorkLeft Around(int minutes) => new(minutes, (int)Math.Ceiling(minutes * 1.6));

    /// <summary>Usual minutes at the bench (house rule).</summary>
    private static int AtTheBench(Request request) => request switch
    {
        Request.ChangeStrap or Request.OffAndOn or Request.PutOwnBandOn => 6,
        Request.FitMesh => 4,
        Request.ReplaceClasp => 15,
        Request.TakeLinksOut or Request.PutLinksIn or Request.Refit => 8,
        Request.PositionOnly => 2,
        _ => 10,
    };
}
