using System.Text.Json;
using System.Text.Json.Serialization;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Joints;

namespace IronLoop.Storage;

/// <summary>The bench work of jobs: what it works from, and every step done.</summary>
public static class BenchWork
{
    private static readonly JsonSerializerOptions Json = new(JsonSerializerDefaults.Web)
    {
        DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull,
        Converters = { new JsonStringEnumConverter(JsonNamingPolicy.CamelCase) },
    };

    private sealed record TargetText(ToldStand To, bool? TryOn, string First, IReadOnlyList<string> Order, string? PartFirst);

    private sealed record PieceText(string Thing, string? Joint, PieceToPrepare Piece);

    private sealed record PlanText(ToldStand From, IReadOnlyList<TargetText> Targets, IReadOnlyList<PieceText> Prepare, IReadOnlyList<string> OpenFirst, int TryOns, int Rounds, bool IsToGauge = false);

    /// <summary>The steps done on a job, in the order they were.</summary>
    public static IReadOnlyList<WorkedStep> Done(ShopWork work, long jobId) =>
        work.Query(
            "SELECT bench_step.*, (SELECT words FROM wording WHERE wording.job_id = bench_step.job_id AND wording.seq = bench_step.seq) AS why FROM bench_step WHERE job_id = $id ORDER BY seq",
            row =>
            {
                var (acts, damage) = row.MaybeText("acts") is { } text ? Read(text, Acts) : (null, null);
                return new WorkedStep(
                    row.Count("seq"), row.Text("key"), row.Choice<StepRow>("row"), row.Count("round"), Says(row.Text("says"), row.MaybeText("why")),
                    damage is null ? acts : [], row.MaybeText("skipped"), row.Time("done_at"))
                {
                    Damage = damage is null ? null : $"what step {row.Count("seq")} did cannot be read: {damage}",
                };
            },
            ("$id", jobId));

    private static string Says(string says, string? why) => why is null ? says : $"{says.TrimEnd('.')}: {why}.";

    /// <summary>Says why the last step of the tray was done.</summary>
    public static void Why(ShopWork work, long jobId, string words, DateTimeOffset at, string by) =>
        Wordings.Why(work, jobId, (int)work.Query("SELECT MAX(seq) AS seq FROM bench_step WHERE job_id = $id", row => row.Number("seq"), ("$id", jobId)).Single(), words, at, by);

    /// <summary>Notes a step as done, after those that are.</summary>
    /// <param name="work">The piece of work.</param>
    /// <param name="jobId">The job.</param>
    /// <param name="step">The step.</param>
    /// <param name="skipped">Why it is left out; null when it is done. A try-on left out still ends its round.</param>
    /// <param name="at">When.</param>
    /// <param name="by">Who, by initials; whoever is signed in has done it, whoever's job it is.</param>
    /// <param name="seconds">How long it took; null where that is not known.</param>
    public static void Do(ShopWork work, long jobId, BenchStep step, string? skipped, DateTimeOffset at, string by, int? seconds) =>
        work.Execute(
            """
            INSERT INTO bench_step (job_id, seq, key, row, round, says, acts, skipped, done_at, by, seconds)
            VALUES ($id, (SELECT COALESCE(MAX(seq), 0) + 1 FROM bench_step WHERE job_id = $id), $key, $row, $round, $says, $acts, $skipped, $at, $by, $seconds)
            """,
            ("$id", jobId), ("$key", step.Key), ("$row", step.Row), ("$round", step.Round), ("$says", step.Says),
            ("$acts", Text(skipped is null || step.Row == StepRow.TryOn ? step.Acts : [])), ("$skipped", skipped), ("$at", at), ("$by", work.By ?? by), ("$seconds", seconds));

    /// <summary>Takes a step back.</summary>
    public static void Undo(ShopWork work, long jobId, int seq)
    {
        work.Execute("DELETE FROM tried_on WHERE job_id = $id AND seq = $seq", ("$id", jobId), ("$seq", seq));
        work.Execute("DELETE FROM bench_step WHERE job_id = $id AND seq = $seq", ("$id", jobId), ("$seq", seq));
    }

    /// <summary>What a job works from; null before the first step, for what was done under a version before, and where it cannot be read.</summary>
    public static AgreedBench? Plan(ShopWork work, long jobId) => Plan(work, jobId, out _);

    /// <summary>What a job works from.</summary>
    /// <param name="work">The piece of work.</param>
    /// <param name="jobId">The job.</param>
    /// <param name="damage">Why what is stored cannot be read; null where it can, or nothing is.</param>
    public static AgreedBench? Plan(ShopWork work, long jobId, out string? damage)
    {
        var (plan, atSeq) = work.Query("SELECT plan, at_seq FROM bench_plan WHERE job_id = $id AND plan IS NOT NULL", row => (row.Text("plan"), row.Count("at_seq")), ("$id", jobId)).SingleOrDefault();
        damage = null;
        if (plan is null)
            return null;
        (var read, damage) = Read(plan, Read);
        return read is null ? null : new AgreedBench(read, atSeq);
    }

    /// <summary>Reads what is stored as text; what no program of this kind wrote is said, and never thrown.</summary>
    private static (T? Read, string? Damage) Read<T>(string text, Func<string, T> read)
        where T : class
    {
        try
        {
            return (read(text), null);
        }
        catch (Exception unreadable) when (unreadable is JsonException or ArgumentException or InvalidOperationException or FormatException or NullReferenceException)
        {
            return (null, unreadable is JsonException { LineNumber: not null } broken ? $"{broken.Path ?? "$"}, byte {broken.BytePositionInLine}" : unreadable.Message);
        }
    }

    /// <summary>Stores what a job works from.</summary>
    public static void Set(ShopWork work, long jobId, AgreedBench bench) =>
        work.Execute("INSERT OR REPLACE INTO bench_plan (job_id, plan, at_seq, changed) VALUES ($id, $plan, $seq, $changed)",
            ("$id", jobId), ("$plan", Text(bench.Plan)), ("$seq", bench.AtSeq), ("$changed", bench.Plan.Before.TryOns > 0));

    /// <summary>Forgets what a job works from, and what was said of its parts, as long as no step is done.</summary>
    public static void Forget(ShopWork work, long jobId)
    {
        work.Execute("DELETE FROM bench_plan WHERE job_id = $id", ("$id", jobId));
        work.Execute("DELETE FROM tried_on WHERE job_id = $id", ("$id", jobId));
        work.Execute("DELETE FROM bench_step WHERE job_id = $id AND acts IS NOT NULL", ("$id", jobId));
    }

    /// <summary>Minutes a step of each row takes here: the middle of the shop's own last times, where it has enough of them.</summary>
    public static IReadOnlyDictionary<StepRow, double> Minutes(ShopWork work) => work.Pace.Minutes(work);

    private static IReadOnlyList<Act> Acts(string text) => [.. JsonSerializer.Deserialize<List<ToldAct>>(text, Json)!.Select(a => a.Hear())];

    private static string Text(IReadOnlyList<Act> acts) => JsonSerializer.Serialize(acts.Select(ToldAct.Tell), Json);

    private static string Text(BenchPlan plan) => JsonSerializer.Serialize(
        new PlanText(
            ToldStand.Tell(plan.From),
            [.. plan.Targets.Select(t => new TargetText(ToldStand.Tell(t.To), t.TryOn, PlanWords.Name(t.First), t.Order, t.PartFirst))],
            [.. plan.Prepare.Select(p => new PieceText(p.Thing, p.Joint, p.Piece))], plan.OpenFirst, plan.Before.TryOns, plan.Before.Rounds, plan.IsToGauge),
        Json);

    private static BenchPlan Read(string text)
    {
        var plan = JsonSerializer.Deserialize<PlanText>(text, Json)!;
        return new BenchPlan(
            plan.From.Hear(),
            [.. plan.Targets.Select(t => new Target(t.To.Hear(), t.TryOn, t.First == "12" ? Side.Twelve : Side.Six, t.Order, t.PartFirst))],
            [.. plan.Prepare.Select(p => new Preparation(p.Thing, p.Joint, p.Piece))],
            plan.OpenFirst, new SoFar(plan.TryOns, plan.Rounds))
        { IsToGauge = plan.IsToGauge };
    }
}
