namespace IronLoop.Storage;

/// <summary>The benches that were begun under the version before and have not come over yet.</summary>
public static class OldBenches
{
    /// <summary>The open jobs of which there are steps, and nothing that says what the work goes by.</summary>
    public static IReadOnlyList<long> Begun(ShopWork work) => work.Query(
        """
        SELECT id FROM job
        WHERE closed_at IS NULL AND NOT EXISTS (SELECT 1 FROM bench_plan WHERE bench_plan.job_id = job.id)
          AND EXISTS (SELECT 1 FROM bench_step WHERE bench_step.job_id = job.id AND bench_step.acts IS NULL)
        """,
        row => row.Number("id"));
}
