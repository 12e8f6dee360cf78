using IronLoop.Core.Fitting;
using IronLoop.Core.Jobs;

namespace IronLoop.Storage;

/// <summary>The sheets of owners' own bracelets, as far as they are filled in.</summary>
public static class OwnBracelets
{
    /// <summary>The sheet of a job; an empty one when nothing was entered.</summary>
    public static OwnBracelet Of(ShopWork work, long jobId) =>
        work.Query("SELECT * FROM own_bracelet WHERE job_id = $job",
            row => new OwnBracelet(
                row.Text("twelve"), row.Text("six"), row.Text("spares"), row.Maybe("half_pitch_um", Columns.Length), row.Text("clasp_name"),
                row.Maybe("clasp_twelve_um", Columns.Length), row.Maybe("clasp_six_um", Columns.Length), row.Choice<Side>("micro_side"),
                row.Count("positions"), row.Maybe("step_um", Columns.Length), row.Count("position"),
                row.Maybe("fastener", Columns.Choice<Fastener>), row.Maybe("bench_length_um", Columns.Length)),
            ("$job", jobId)).SingleOrDefault() ?? new OwnBracelet();

    /// <summary>The band that the sheet was made into; null before it was whole.</summary>
    public static long? BandOf(ShopWork work, long jobId) =>
        work.Query("SELECT band_id FROM own_bracelet WHERE job_id = $job", row => row.Maybe("band_id", Columns.Number), ("$job", jobId)).SingleOrDefault();

    /// <summary>Stores the sheet, and the band it was made into.</summary>
    public static void Set(ShopWork work, long jobId, OwnBracelet sheet, long? bandId) =>
        work.Execute(
            """
            INSERT OR REPLACE INTO own_bracelet (job_id, twelve, six, spares, half_pitch_um, clasp_name, clasp_twelve_um, clasp_six_um,
              micro_side, positions, step_um, position, fastener, bench_length_um, band_id)
            VALUES ($job, $twelve, $six, $spares, $half, $name, $clasp_twelve, $clasp_six, $side, $positions, $step, $position, $fastener, $length, $band)
            """,
            ("$job", jobId), ("$twelve", sheet.Twelve), ("$six", sheet.Six), ("$spares", sheet.Spares), ("$half", sheet.HalfPitch),
            ("$name", sheet.ClaspName), ("$clasp_twelve", sheet.ClaspTwelve), ("$clasp_six", sheet.ClaspSix), ("$side", sheet.MicroSide),
            ("$positions", sheet.Positions), ("$step", sheet.Step), ("$position", sheet.Position), ("$fastener", sheet.Fastener),
            ("$length", sheet.BenchLength), ("$band", bandId));
}
