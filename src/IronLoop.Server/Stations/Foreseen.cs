using IronLoop.Core.Jobs;
using IronLoop.Server.Door;
using IronLoop.Storage;

namespace IronLoop.Server.Stations;

/// <summary>
/// What is worked out of a job before the shop's file is held to write in, so that nobody waits for it; and again, of the job as it stands
/// then, where somebody changed it meanwhile.
/// </summary>
internal sealed class Foreseen<T>
{
    private readonly Func<JobSnapshot, T> _workOut;
    private readonly JobSnapshot? _seen;
    private readonly T? _told;

    /// <summary>Works it out of a job as it stands.</summary>
    /// <param name="shop">The shop.</param>
    /// <param name="id">The job.</param>
    /// <param name="act">What it is for; where that may not be done, nothing is worked out.</param>
    /// <param name="workOut">Works it out; it reads nothing but the job.</param>
    public Foreseen(OpenShop shop, long id, JobAct act, Func<JobSnapshot, T> workOut)
    {
        _workOut = workOut;
        using var work = shop.Look();
        if (JobReader.Find(work, id) is { } job && job.May(act).Ok)
            (_seen, _told) = (job, workOut(job));
    }

    /// <summary>What is worked out of a job.</summary>
    public T Of(JobSnapshot job) => ReferenceEquals(job, _seen) ? _told! : _workOut(job);
}
