namespace IronLoop.Storage;

/// <summary>The owner's written consent to work that cannot be undone.</summary>
/// <param name="BandId">The band the work is done on.</param>
/// <param name="Work">What was consented to, in words.</param>
/// <param name="SignedBy">Who signed.</param>
/// <param name="SignedAt">When.</param>
public sealed record Consent(long BandId, string Work, string SignedBy, DateTimeOffset SignedAt);

/// <summary>The jobs' consents.</summary>
public static class Consents
{
    /// <summary>The consent of a job, or null when none was given.</summary>
    public static Consent? Of(ShopWork work, long jobId) =>
        work.Query("SELECT * FROM consent WHERE job_id = $job",
            row => new Consent(row.Number("band_id"), row.Text("work"), row.Text("signed_by"), row.Time("signed_at")),
            ("$job", jobId)).SingleOrDefault();

    /// <summary>Records a consent in place of the one before.</summary>
    public static void Set(ShopWork work, long jobId, Consent consent) =>
        work.Execute(
            "INSERT OR REPLACE INTO consent (job_id, band_id, work, signed_by, signed_at) VALUES ($job, $band, $work, $by, $at)",
            ("$job", jobId), ("$band", consent.BandId), ("$work", consent.Work), ("$by", consent.SignedBy), ("$at", consent.SignedAt));
}
