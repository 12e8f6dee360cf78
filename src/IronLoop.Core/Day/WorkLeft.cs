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
    /// <param name="job">The job.</param>
    /// <param name="times">What jobs usually take here.</param>
    public static WorkLeft? Of(JobSnapshot job, UsualTimes times)
    {
        if (job.Progress.Next == Station.HandOver)
            return null;
        var usual = times.Of(job.Job.Request, FastenerOf(job));
        var bench = job.Bench.Left.Count > 0 ? job.Bench.Left.Sum(s => s.Minutes) : usual?.Middle ?? AtTheBench(job.Job.Request);
        return Around(bench, (job.Progress.Done(Station.Gauge) ? 0 : Gauging) + HandingOver, usual);
    }

    /// <summary>What a request usually is before anything of it is known.</summary>
    /// <param name="request">What is asked for.</param>
    /// <param name="times">What jobs usually take here.</param>
    public static WorkLeft Of(Request request, UsualTimes times) =>
        Around(times.Of(request, null)?.Middle ?? AtTheBench(request), Gauging + HandingOver, times.Of(request, null));

    /// <summary>What joins the links of a job, by which its times are told apart; null where none are, or nobody looked.</summary>
    public static Joints.Fastener? FastenerOf(JobSnapshot job) =>
        job.Account.Looks.TryGetValue(Bench.JointGroup.Links, out var look) && look.Fastener != Joints.Fastener.NotLookedAt ? look.Fastener : null;

    /// <summary>A slow one takes as much longer as three quarters of the timed ones stayed under; until enough are timed, six tenths.</summary>
    private static WorkLeft Around(double bench, int around, UsualTime? usual)
    {
        var slow = usual is { Middle: > 0 } ? usual.ThreeQuarters / usual.Middle : 1.6;
        return new WorkLeft((int)Math.Ceiling(bench) + around, (int)Math.Ceiling(bench * slow + around * 1.6));
    }

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
