using IronLoop.Core.Jobs;
using IronLoop.Server.Contract;
using IronLoop.Storage;

namespace IronLoop.Server.Stations;

/// <summary>The job that a call is about.</summary>
internal static class TheJob
{
    /// <summary>Reads it.</summary>
    /// <exception cref="RefusedException">There is none of that number.</exception>
    public static JobSnapshot Read(ShopWork work, long id) => JobReader.Find(work, id) ?? throw RefusedException.NotFound($"There is no job with tag {id}.");

    /// <summary>Reads it for something that is to be done on it.</summary>
    /// <exception cref="RefusedException">There is none of that number, or that may not be done now.</exception>
    public static JobSnapshot For(ShopWork work, long id, JobAct act)
    {
        var job = Read(work, id);
        job.May(act).OrRefuse();
        return job;
    }

    /// <summary>Refuses what may not be done now.</summary>
    public static void OrRefuse(this Permission may)
    {
        if (may.Why is { } why)
            throw RefusedException.Conflict(why);
    }
}
