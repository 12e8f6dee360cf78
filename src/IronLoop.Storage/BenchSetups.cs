using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;

namespace IronLoop.Storage;

/// <summary>How jobs are worked at the bench.</summary>
public static class BenchSetups
{
    /// <summary>That of a job, or null when nothing was said.</summary>
    public static BenchSetup? Of(ShopWork work, long jobId) =>
        work.Query("SELECT * FROM bench_setup WHERE job_id = $job",
            row => new BenchSetup(
                row.Maybe("fastener", Columns.Choice<Fastener>), row.Choice<ToolFamily>("tools"), row.Choice<Insertion>("insertion"), row.Choice<MicroSchool>("micro"),
                row.Maybe("pin_um", Columns.Length), row.Maybe("slot_um", Columns.Length), row.Maybe("gap_um", Columns.Length), row.Yes("no_arrow")),
            ("$job", jobId)).SingleOrDefault();

    /// <summary>Stores it in place of what was said before.</summary>
    public static void Set(ShopWork work, long jobId, BenchSetup setup) =>
        work.Execute(
            """
            INSERT OR REPLACE INTO bench_setup (job_id, fastener, tools, insertion, micro, pin_um, slot_um, gap_um, no_arrow)
            VALUES ($job, $fastener, $tools, $insertion, $micro, $pin, $slot, $gap, $arrow)
            """,
            ("$job", jobId), ("$fastener", setup.Fastener), ("$tools", setup.Tools), ("$insertion", setup.Insertion), ("$micro", setup.Micro),
            ("$pin", setup.Pin), ("$slot", setup.Slot), ("$gap", setup.Gap), ("$arrow", setup.NoArrow));
}
