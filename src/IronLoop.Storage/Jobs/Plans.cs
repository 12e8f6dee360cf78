using IronLoop.Core.Fitting;
using IronLoop.Core.Jobs;
using IronLoop.Core.Measuring;

namespace IronLoop.Storage;

/// <summary>The jobs' plans.</summary>
public static class Plans
{
    /// <summary>The plan of a job, or null when none was stored.</summary>
    public static JobPlan? Find(ShopWork work, long jobId)
    {
        var links = work.Query(
                "SELECT side, pitch_um, fate, mark, one_sided FROM plan_link WHERE job_id = $id ORDER BY side, ordinal",
                row => (
                    Side: row.Choice<Side>("side"),
                    Link: new PlacedLink(row.Length("pitch_um"), row.Choice<LinkFate>("fate")) { Mark = row.Mark("mark"), OneSided = row.Yes("one_sided") }),
                ("$id", jobId))
            .ToLookup(l => l.Side, l => l.Link);
        return work.Query(
            "SELECT position, target_um, agreed_at FROM plan WHERE job_id = $id",
            row => new JobPlan(
                new Arrangement([.. links[Side.Twelve]], [.. links[Side.Six]], row.Count("position")),
                row.Maybe("target_um", Columns.Length),
                row.Maybe("agreed_at", Columns.Time)),
            ("$id", jobId)).SingleOrDefault();
    }

    /// <summary>Stores a job's plan in place of the one before.</summary>
    public static void Set(ShopWork work, long jobId, JobPlan plan)
    {
        Drop(work, jobId);
        work.Execute("INSERT INTO plan (job_id, position, target_um, agreed_at) VALUES ($id, $position, $target, $agreed)",
            ("$id", jobId), ("$position", plan.Arrangement.Position), ("$target", plan.Target), ("$agreed", plan.AgreedAt));
        foreach (var side in (Side[])[Side.Twelve, Side.Six])
        {
            var row = plan.Arrangement.On(side);
            for (var i = 0; i < row.Count; i++)
                work.Execute(
                    "INSERT INTO plan_link (job_id, side, ordinal, pitch_um, fate, mark, one_sided) VALUES ($id, $side, $ordinal, $pitch, $fate, $mark, $one)",
                    ("$id", jobId), ("$side", side), ("$ordinal", i), ("$pitch", row[i].Pitch), ("$fate", row[i].Fate),
                    ("$mark", Columns.Mark(row[i].Mark)), ("$one", row[i].OneSided));
        }
    }

    /// <summary>Forgets a job's plan.</summary>
    public static void Drop(ShopWork work, long jobId) => work.Execute("DELETE FROM plan WHERE job_id = $id", ("$id", jobId));
}
