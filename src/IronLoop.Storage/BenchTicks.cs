using IronLoop.Core.Bench;

namespace IronLoop.Storage;

/// <summary>A bench step that is done, or left out with a reason.</summary>
/// <param name="Key">Its key.</param>
/// <param name="Round">The round it was worked in.</param>
/// <param name="Part">The part of the work.</param>
/// <param name="What">What was done.</param>
/// <param name="Skipped">Why it was left out; null when it was done.</param>
/// <param name="DoneAt">When.</param>
public sealed record BenchTick(string Key, int Round, BenchPart Part, string What, string? Skipped, DateTimeOffset DoneAt);

/// <summary>Which bench steps are done.</summary>
public static class BenchTicks
{
    /// <summary>The steps done on a job, in the order they were.</summary>
    public static IReadOnlyList<BenchTick> Of(ShopWork work, long jobId) =>
        work.Query("SELECT * FROM bench_step WHERE job_id = $id ORDER BY done_at, round, key",
            row => new BenchTick(
                row.Text("key"), row.Count("round"), row.Choice<BenchPart>("part"), row.Text("what"), row.MaybeText("skipped"), row.Time("done_at")), ("$id", jobId));

    /// <summary>Ticks a step.</summary>
    /// <param name="work">The piece of work.</param>
    /// <param name="jobId">The job.</param>
    /// <param name="round">The round.</param>
    /// <param name="step">The step.</param>
    /// <param name="skipped">Why it is left out; null when it is done.</param>
    /// <param name="at">When.</param>
    /// <param name="seconds">How long it took; null where that is not known.</param>
    public static void Set(ShopWork work, long jobId, int round, BenchStep step, string? skipped, DateTimeOffset at, int? seconds) =>
        work.Execute(
            """
            INSERT OR REPLACE INTO bench_step (job_id, key, done_at, round, part, kind, what, skipped, seconds)
            VALUES ($id, $key, $at, $round, $part, $kind, $what, $skipped, $seconds)
            """,
            ("$id", jobId), ("$key", step.Key), ("$at", at), ("$round", round), ("$part", step.Part), ("$kind", step.Kind), ("$what", step.What),
            ("$skipped", skipped), ("$seconds", seconds));

    /// <summary>Takes a tick away.</summary>
    public static void Drop(ShopWork work, long jobId, string key) =>
        work.Execute("DELETE FROM bench_step WHERE job_id = $id AND key = $key", ("$id", jobId), ("$key", key));

    /// <summary>Minutes a step of each kind takes here: the middle of the shop's own times, where it has enough of them.</summary>
    /// <param name="work">The piece of work.</param>
    /// <param name="least">How many times it takes.</param>
    public static IReadOnlyDictionary<StepKind, double> Minutes(ShopWork work, int least = 5) =>
        work.Query("SELECT kind, seconds FROM bench_step WHERE seconds IS NOT NULL AND skipped IS NULL ORDER BY done_at DESC LIMIT 2000",
                row => (Kind: row.Choice<StepKind>("kind"), Seconds: row.Count("seconds")))
            .GroupBy(s => s.Kind)
            .Where(g => g.Count() >= least)
            .ToDictionary(g => g.Key, g => Math.Round(g.Select(s => s.Seconds).Order().ElementAt(g.Count() / 2) / 60.0, 1));
}
