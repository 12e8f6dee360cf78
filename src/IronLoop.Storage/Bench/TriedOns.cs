using IronLoop.Core.Bench;

namespace IronLoop.Storage;

/// <summary>What the try-ons of jobs found.</summary>
public static class TriedOns
{
    /// <summary>What the last try-on of a job found; null before there was one.</summary>
    public static Felt? Last(ShopWork work, long jobId) =>
        work.Query("SELECT * FROM tried_on WHERE job_id = $id ORDER BY seq DESC LIMIT 1",
            row => new Felt(row.Choice<TryOnOutcome>("outcome"), row.Yes("final"))
            {
                Position = row.Maybe("position", Columns.Count),
                Ease = row.Maybe("ease", Columns.Choice<EaseFelt>),
                Tail = row.Maybe("tail_um", Columns.Length),
                Surplus = row.Maybe("surplus_um", Columns.Length),
                Reason = row.Text("reason"),
            },
            ("$id", jobId)).SingleOrDefault();

    /// <summary>Keeps what was found with the step done last.</summary>
    public static void Keep(ShopWork work, long jobId, Felt felt) => work.Execute(
        """
        INSERT INTO tried_on (job_id, seq, outcome, final, position, ease, tail_um, surplus_um, reason)
        VALUES ($id, (SELECT MAX(seq) FROM bench_step WHERE job_id = $id), $outcome, $final, $position, $ease, $tail, $surplus, $reason)
        """,
        ("$id", jobId), ("$outcome", felt.Outcome), ("$final", felt.Final), ("$position", felt.Position), ("$ease", felt.Ease), ("$tail", felt.Tail), ("$surplus", felt.Surplus),
        ("$reason", felt.Reason));
}
