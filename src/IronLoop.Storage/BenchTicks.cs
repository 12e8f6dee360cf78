namespace IronLoop.Storage;

/// <summary>Which bench steps are done.</summary>
public static class BenchTicks
{
    /// <summary>The keys of the steps done on a job.</summary>
    public static IReadOnlySet<string> Of(ShopWork work, long jobId) =>
        work.Query("SELECT key FROM bench_step WHERE job_id = $id", row => row.Text("key"), ("$id", jobId)).ToHashSet();

    /// <summary>Ticks a step or takes the tick away.</summary>
    public static void Set(ShopWork work, long jobId, string key, bool done, DateTimeOffset at)
    {
        if (done)
            work.Execute("INSERT INTO bench_step (job_id, key, done_at) VALUES ($id, $key, $at) ON CONFLICT DO NOTHING",
                ("$id", jobId), ("$key", key), ("$at", at));
        else
            work.Execute("DELETE FROM bench_step WHERE job_id = $id AND key = $key", ("$id", jobId), ("$key", key));
    }
}
