using IronLoop.Core.Jobs;
using IronLoop.Core.Matching;

namespace IronLoop.Storage;

/// <summary>The jobs' clasps.</summary>
public static class JobClasps
{
    /// <summary>That of a job; nothing seen or decided when there is none.</summary>
    public static JobClasp Of(ShopWork work, long jobId) =>
        work.Query("SELECT * FROM job_clasp WHERE job_id = $job",
            row => new JobClasp(
                row.MaybeText("kind") is null ? null : row.Choice<ClaspKind>("kind"), row.Maybe("pierced", Columns.Yes), row.Maybe("notched", Columns.Yes),
                row.Maybe("other_plain", Columns.Yes), row.MaybeText("bar_fit") is null ? null : row.Choice<BarFit>("bar_fit"), row.Yes("swap_ends"),
                row.Maybe("part_id", Columns.Number)),
            ("$job", jobId)).SingleOrDefault() ?? new JobClasp();

    /// <summary>Stores it in place of what was known.</summary>
    public static void Set(ShopWork work, long jobId, JobClasp clasp) =>
        work.Execute(
            """
            INSERT OR REPLACE INTO job_clasp (job_id, kind, pierced, notched, other_plain, bar_fit, swap_ends, part_id)
            VALUES ($job, $kind, $pierced, $notched, $plain, $fit, $swap, $part)
            """,
            ("$job", jobId), ("$kind", clasp.Kind), ("$pierced", clasp.Pierced), ("$notched", clasp.Notched), ("$plain", clasp.OtherPlain),
            ("$fit", clasp.Fit), ("$swap", clasp.SwapEnds), ("$part", clasp.PartId));
}
