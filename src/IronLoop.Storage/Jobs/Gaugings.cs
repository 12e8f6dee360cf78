using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using Microsoft.Data.Sqlite;

namespace IronLoop.Storage;

/// <summary>One reading as stored.</summary>
/// <param name="Id">Its number.</param>
/// <param name="JobId">The visit it was taken on.</param>
/// <param name="Figure">What was read.</param>
/// <param name="Length">The reading.</param>
/// <param name="ByLine">Whether a caliper sent it.</param>
public sealed record StoredReading(long Id, long JobId, GaugedFigure Figure, Length Length, bool ByLine);

/// <summary>What was gauged for a job: readings, choices, try-on and copied loop.</summary>
public static class Gaugings
{
    private static readonly HashSet<GaugedFigure> OfWatch =
        FigureKind.All.Where(k => k.Of == GaugedOf.Watch).Select(k => k.Figure).ToHashSet();

    /// <summary>Everything gauged that holds for a job.</summary>
    public static Figures Of(ShopWork work, long jobId)
    {
        var read = ReadingsOf(work, jobId)
            .GroupBy(r => r.Figure)
            .ToDictionary(g => g.Key, g => new Readings([.. g.Select(r => r.Length)]));
        var school = Schools.Of(work);
        var stands = work.Query("SELECT figure FROM figure_stands WHERE job_id = $id", row => row.Choice<GaugedFigure>("figure"), ("$id", jobId)).ToHashSet();
        return work.Query(
            """
            SELECT watch.attachment, watch.case_shape, watch.family, watch.case_finish, watch.case_colour, wrist.wear,
              job.water, job.nickel_sensitive, job.hair_pull, job.wished_colour, job.must_not_be_lost, job.lettering_kept, client.off_centre_um, client.hot_um, client.cold_um
            FROM job JOIN watch ON watch.id = job.watch_id JOIN client ON client.id = job.client_id JOIN wrist ON wrist.job_id = job.id
            WHERE job.id = $id
            """,
            row => new Figures(
                read,
                row.Maybe("attachment", Columns.Choice<Attachment>),
                row.Maybe("case_shape", Columns.Choice<CaseShape>),
                row.MaybeText("family"),
                row.Maybe("wear", Columns.Choice<WearPreference>),
                TryOnOf(work, jobId),
                CopyOf(work, jobId),
                OwnBracelets.Of(work, jobId),
                stands)
            {
                Wishes = new Wishes(
                    row.Maybe("water", Columns.Yes), row.Maybe("nickel_sensitive", Columns.Yes), row.Maybe("hair_pull", Columns.Yes),
                    row.MaybeText("wished_colour"), row.MaybeText("case_finish"), row.MaybeText("case_colour"))
                {
                    MustNotBeLost = row.Maybe("must_not_be_lost", Columns.Yes),
                    LetteringKept = row.Maybe("lettering_kept", Columns.Yes),
                },
                Habits = new Habits(row.Length("off_centre_um"), row.Maybe("hot_um", Columns.Length), row.Maybe("cold_um", Columns.Length)) { Odd = school.Odd },
                School = school,
                Book = ModelBook.TakenBy(work, jobId),
            },
            ("$id", jobId)).Single();
    }

    /// <summary>
    /// The readings that hold for a job, in the order they were taken: of the watch, those of its newest visit up to
    /// this one that read the figure; of band and wrist, this visit's.
    /// </summary>
    public static IReadOnlyList<StoredReading> ReadingsOf(ShopWork work, long jobId) =>
        [.. work.Query(
            """
            SELECT reading.*
            FROM reading JOIN job ON job.id = reading.job_id JOIN job AS here ON here.id = $id
            WHERE job.watch_id = here.watch_id AND job.id <= here.id
            ORDER BY reading.id
            """,
            row => new StoredReading(row.Number("id"), row.Number("job_id"), row.Choice<GaugedFigure>("figure"), row.Length("um"), row.Yes("by_line")),
            ("$id", jobId))
            .Where(r => OfWatch.Contains(r.Figure) || r.JobId == jobId)
            .GroupBy(r => r.Figure)
            .SelectMany(g => g.Where(r => r.JobId == g.Max(o => o.JobId)))];

    /// <summary>Adds a reading. What was said of the figure before is asked again.</summary>
    public static void Read(ShopWork work, long jobId, GaugedFigure figure, Length length, bool byLine, DateTimeOffset at)
    {
        work.Execute("INSERT INTO reading (job_id, figure, um, read_at, by_line) VALUES ($job, $figure, $um, $at, $line)",
            ("$job", jobId), ("$figure", figure), ("$um", length), ("$at", at), ("$line", byLine));
        Doubt(work, jobId, figure);
    }

    /// <summary>Drops one reading of this job.</summary>
    /// <returns>Whether there was such a reading.</returns>
    public static bool Drop(ShopWork work, long jobId, long readingId) =>
        work.Execute("DELETE FROM reading WHERE id = $id AND job_id = $job", ("$id", readingId), ("$job", jobId)) == 1;

    /// <summary>Puts one reading in place of all of this visit, or forgets them; an earlier visit's then hold again.</summary>
    public static void Replace(ShopWork work, long jobId, GaugedFigure figure, Length? length, DateTimeOffset at)
    {
        work.Execute("DELETE FROM reading WHERE figure = $figure AND job_id = $job", ("$figure", figure), ("$job", jobId));
        Doubt(work, jobId, figure);
        if (length is { } read)
            Read(work, jobId, figure, read, byLine: false, at);
    }

    /// <summary>Notes that a questioned figure was looked at again and is as it is.</summary>
    public static void LetStand(ShopWork work, long jobId, GaugedFigure figure) =>
        work.Execute("INSERT OR IGNORE INTO figure_stands (job_id, figure) VALUES ($job, $figure)", ("$job", jobId), ("$figure", figure));

    /// <summary>Stores what is chosen, not measured: of the watch and of the wearer.</summary>
    public static void Choose(ShopWork work, long jobId, Figures figures)
    {
        work.Execute(
            """
            UPDATE watch SET attachment = $attachment, case_shape = $shape, family = $family
            WHERE id = (SELECT watch_id FROM job WHERE id = $id)
            """,
            ("$id", jobId), ("$attachment", figures.Attachment), ("$shape", figures.CaseShape), ("$family", figures.Family));
        work.Execute("UPDATE wrist SET wear = $wear WHERE job_id = $id", ("$id", jobId), ("$wear", figures.Wear));
    }

    /// <summary>Takes over from an earlier visit how it is worn and what the band has to suit; the wrist is read anew.</summary>
    public static void WearAsBefore(ShopWork work, long jobId, long earlier)
    {
        work.Execute("UPDATE wrist SET (wear, worn_at) = (SELECT wear, worn_at FROM wrist WHERE job_id = $earlier) WHERE job_id = $job", ("$job", jobId), ("$earlier", earlier));
        work.Execute(
            """
            UPDATE job SET (water, nickel_sensitive, hair_pull, wished_colour, must_not_be_lost, lettering_kept) =
              (SELECT water, nickel_sensitive, hair_pull, wished_colour, must_not_be_lost, lettering_kept FROM job WHERE id = $earlier)
            WHERE id = $job
            """,
            ("$job", jobId), ("$earlier", earlier));
    }

    /// <summary>Stores what the band has to suit.</summary>
    public static void Wish(ShopWork work, long jobId, Wishes wishes)
    {
        work.Execute("UPDATE job SET water = $water, nickel_sensitive = $nickel, hair_pull = $hair, wished_colour = $colour, must_not_be_lost = $lost, lettering_kept = $lettering WHERE id = $id",
            ("$id", jobId), ("$lost", wishes.MustNotBeLost), ("$lettering", wishes.LetteringKept), ("$water", wishes.Water), ("$nickel", wishes.NickelSensitive), ("$hair", wishes.HairPull), ("$colour", wishes.Colour));
        work.Execute("UPDATE watch SET case_finish = $finish, case_colour = $colour WHERE id = (SELECT watch_id FROM job WHERE id = $id)",
            ("$id", jobId), ("$finish", wishes.CaseFinish), ("$colour", wishes.CaseColour));
    }

    /// <summary>Stores a try-on in place of the one before, or forgets it.</summary>
    public static void TryOn(ShopWork work, long jobId, TryOn? tried)
    {
        work.Execute("DELETE FROM try_on WHERE job_id = $job", ("$job", jobId));
        if (tried is not null)
        {
            work.Execute(
                """
                INSERT INTO try_on (job_id, surplus_by, surplus_over, amount_thousand, loop_um, thickness_um, pitch_um, wedge_um)
                VALUES ($job, $by, $over, $amount, $loop, $thickness, $pitch, $wedge)
                """,
                ("$job", jobId), ("$by", tried.By), ("$over", tried.Over),
                ("$amount", tried.Amount is { } amount ? (long)Math.Round(amount * 1000) : null), ("$loop", tried.Loop),
                ("$thickness", tried.Thickness), ("$pitch", tried.Pitch), ("$wedge", tried.Wedge));
        }
    }

    /// <summary>Stores a copied loop in place of the one before, or forgets it.</summary>
    public static void Copy(ShopWork work, long jobId, CopiedLoop? copy)
    {
        work.Execute("DELETE FROM copied_loop WHERE job_id = $job", ("$job", jobId));
        if (copy is not null)
        {
            work.Execute(
                "INSERT INTO copied_loop (job_id, loop_um, bar_to_bar_um, bar_rise_um, thickness_um, loop_by) VALUES ($job, $loop, $bars, $rise, $thickness, $by)",
                ("$job", jobId), ("$loop", copy.Loop), ("$bars", copy.BarToBar), ("$rise", copy.BarRise), ("$thickness", copy.Thickness), ("$by", copy.By));
        }
    }

    private static void Doubt(ShopWork work, long jobId, GaugedFigure figure) =>
        work.Execute("DELETE FROM figure_stands WHERE job_id = $job AND figure = $figure", ("$job", jobId), ("$figure", figure));

    private static TryOn? TryOnOf(ShopWork work, long jobId) =>
        work.Query("SELECT * FROM try_on WHERE job_id = $job",
            row => new TryOn(
                row.Choice<SurplusBy>("surplus_by"), row.Choice<SurplusOver>("surplus_over"), row.Maybe("amount_thousand", Columns.Number) / 1000m,
                row.Maybe("loop_um", Columns.Length), row.Maybe("thickness_um", Columns.Length), row.Maybe("pitch_um", Columns.Length),
                row.Maybe("wedge_um", Columns.Length)),
            ("$job", jobId)).SingleOrDefault();

    private static CopiedLoop? CopyOf(ShopWork work, long jobId) =>
        work.Query("SELECT * FROM copied_loop WHERE job_id = $job",
            row => new CopiedLoop(
                row.Maybe("loop_um", Columns.Length), row.Maybe("bar_to_bar_um", Columns.Length), row.Maybe("bar_rise_um", Columns.Length),
                row.Maybe("thickness_um", Columns.Length))
            {
                By = row.Choice<LoopBy>("loop_by"),
            },
            ("$job", jobId)).SingleOrDefault();
}
