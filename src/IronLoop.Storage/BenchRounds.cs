using IronLoop.Core.Fitting;

namespace IronLoop.Storage;

/// <summary>A round after a try-on that changed the plan.</summary>
/// <param name="Round">Which time round, 2 or more.</param>
/// <param name="FirstSide">The side that was worked first.</param>
/// <param name="Before">The links as they lay when it began.</param>
public sealed record BenchRound(int Round, Side FirstSide, Arrangement Before);

/// <summary>The rounds of jobs on the bench.</summary>
public static class BenchRounds
{
    /// <summary>The round a job is in; null in the first.</summary>
    public static BenchRound? Of(ShopWork work, long jobId)
    {
        var links = work.Query(
                "SELECT * FROM bench_round_link WHERE job_id = $id ORDER BY side, ordinal",
                row => (
                    Side: row.Choice<Side>("side"),
                    Link: new PlacedLink(row.Length("pitch_um"), row.Choice<LinkFate>("fate")) { Mark = row.Mark("mark"), OneSided = row.Yes("one_sided") }),
                ("$id", jobId))
            .ToLookup(l => l.Side, l => l.Link);
        return work.Query("SELECT * FROM bench_round WHERE job_id = $id",
            row => new BenchRound(row.Count("round"), row.Choice<Side>("first_side"), new Arrangement([.. links[Side.Twelve]], [.. links[Side.Six]], row.Count("position"))),
            ("$id", jobId)).SingleOrDefault();
    }

    /// <summary>Begins a round.</summary>
    public static void Begin(ShopWork work, long jobId, BenchRound round)
    {
        Forget(work, jobId);
        work.Execute("INSERT INTO bench_round (job_id, round, first_side, position) VALUES ($id, $round, $side, $position)",
            ("$id", jobId), ("$round", round.Round), ("$side", round.FirstSide), ("$position", round.Before.Position));
        foreach (var side in (Side[])[Side.Twelve, Side.Six])
        {
            var row = round.Before.On(side);
            for (var i = 0; i < row.Count; i++)
                work.Execute(
                    "INSERT INTO bench_round_link (job_id, side, ordinal, pitch_um, fate, mark, one_sided) VALUES ($id, $side, $ordinal, $pitch, $fate, $mark, $one)",
                    ("$id", jobId), ("$side", side), ("$ordinal", i), ("$pitch", row[i].Pitch), ("$fate", row[i].Fate),
                    ("$mark", Columns.Mark(row[i].Mark)), ("$one", row[i].OneSided));
        }
    }

    /// <summary>Back to the first round.</summary>
    public static void Forget(ShopWork work, long jobId) => work.Execute("DELETE FROM bench_round WHERE job_id = $id", ("$id", jobId));
}
