using IronLoop.Core.Bands;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Joints;
using IronLoop.Core.Shelf;

namespace IronLoop.Storage;

/// <summary>The sheets of owners' own bracelets, as far as they are filled in.</summary>
public static class OwnBracelets
{
    /// <summary>
    /// The sheet of a job: as entered, else that of the owner's bracelet the job has chosen, else an empty one.
    /// </summary>
    public static OwnBracelet Of(ShopWork work, long jobId) =>
        work.Query("SELECT * FROM own_bracelet WHERE job_id = $job",
            row => new OwnBracelet(
                row.Text("twelve"), row.Text("six"), row.Text("spares"), row.Maybe("half_pitch_um", Columns.Length), row.Text("clasp_name"),
                row.Maybe("clasp_twelve_um", Columns.Length), row.Maybe("clasp_six_um", Columns.Length), row.Choice<Side>("micro_side"),
                row.Count("positions"), row.Maybe("step_um", Columns.Length), row.Count("position"),
                row.Maybe("fastener", Columns.Choice<Fastener>), row.Maybe("bench_length_um", Columns.Length),
                row.Maybe("width_um", Columns.Length), row.Maybe("thickness_um", Columns.Length), row.Maybe("solid_end", Columns.Yes)),
            ("$job", jobId)).SingleOrDefault()
        ?? (ChosenOwn(work, jobId) is { } chosen ? OwnBracelet.Of(chosen.Band) : new OwnBracelet());

    /// <summary>The band that the sheet was made into; null before it was whole.</summary>
    public static long? BandOf(ShopWork work, long jobId) =>
        work.Query("SELECT band_id FROM own_bracelet WHERE job_id = $job", row => row.Maybe("band_id", Columns.Number), ("$job", jobId)).SingleOrDefault()
        ?? ChosenOwn(work, jobId)?.Id;

    /// <summary>Stores the sheet, and the band it was made into.</summary>
    public static void Set(ShopWork work, long jobId, OwnBracelet sheet, long? bandId) =>
        work.Execute(
            """
            INSERT OR REPLACE INTO own_bracelet (job_id, twelve, six, spares, half_pitch_um, clasp_name, clasp_twelve_um, clasp_six_um,
              micro_side, positions, step_um, position, fastener, bench_length_um, width_um, thickness_um, solid_end, band_id)
            VALUES ($job, $twelve, $six, $spares, $half, $name, $clasp_twelve, $clasp_six, $side, $positions, $step, $position, $fastener, $length, $width, $thickness, $solid, $band)
            """,
            ("$job", jobId), ("$twelve", sheet.Twelve), ("$six", sheet.Six), ("$spares", sheet.Spares), ("$half", sheet.HalfPitch),
            ("$name", sheet.ClaspName), ("$clasp_twelve", sheet.ClaspTwelve), ("$clasp_six", sheet.ClaspSix), ("$side", sheet.MicroSide),
            ("$positions", sheet.Positions), ("$step", sheet.Step), ("$position", sheet.Position), ("$fastener", sheet.Fastener),
            ("$length", sheet.BenchLength), ("$width", sheet.Width), ("$thickness", sheet.Thickness), ("$solid", sheet.SolidEnd), ("$band", bandId));

    private static StockBand? ChosenOwn(ShopWork work, long jobId) =>
        work.Query("SELECT band_id FROM job WHERE id = $job", row => row.Maybe("band_id", Columns.Number), ("$job", jobId)).SingleOrDefault() is { } id
        && Bands.Find(work, id) is { OwnerClientId: not null, Band.Links: not null } own
            ? own
            : null;
}
