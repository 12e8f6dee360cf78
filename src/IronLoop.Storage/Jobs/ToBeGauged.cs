using IronLoop.Core.Bench;

namespace IronLoop.Storage;

/// <summary>The joints of jobs that are opened to be gauged before the rest is approved.</summary>
public static class ToBeGauged
{
    /// <summary>Those of a job, by group.</summary>
    public static IReadOnlySet<JointGroup> Of(ShopWork work, long jobId) =>
        work.Query("SELECT joints FROM open_to_gauge WHERE job_id = $job", row => row.Choice<JointGroup>("joints"), ("$job", jobId)).ToHashSet();

    /// <summary>Stores them in place of those before.</summary>
    public static void Set(ShopWork work, long jobId, IEnumerable<JointGroup> groups)
    {
        work.Execute("DELETE FROM open_to_gauge WHERE job_id = $job", ("$job", jobId));
        foreach (var group in groups.Distinct())
            work.Execute("INSERT INTO open_to_gauge (job_id, joints) VALUES ($job, $joints)", ("$job", jobId), ("$joints", group));
    }
}
