using IronLoop.Core.Bands;
using IronLoop.Core.Jobs;

namespace IronLoop.Storage;

/// <summary>What a consent is about.</summary>
public enum ConsentTopic
{
    /// <summary>Work to mount the band.</summary>
    Band,

    /// <summary>Work to put another clasp on it.</summary>
    Clasp,
}

/// <summary>The owner's written consent to work that cannot be undone.</summary>
/// <param name="BandId">The band the work is done on.</param>
/// <param name="Work">What was consented to, in words.</param>
/// <param name="SignedBy">Who signed.</param>
/// <param name="SignedAt">When.</param>
public sealed record Consent(long BandId, string Work, string SignedBy, DateTimeOffset SignedAt)
{
    /// <summary>The signature as drawn on the screen, an SVG path; empty when none was.</summary>
    public string Signature { get; init; } = "";

    /// <summary>Whether it is signed on the printed sheet, which lies with the job.</summary>
    public bool OnPaper { get; init; }

    /// <summary>Whether there is a signature, drawn or on paper.</summary>
    public bool IsSigned => Signature.Length > 0 || OnPaper;
}

/// <summary>The jobs' consents.</summary>
public static class Consents
{
    /// <summary>The consent of a job, or null when none was given.</summary>
    public static Consent? Of(ShopWork work, long jobId, ConsentTopic topic = ConsentTopic.Band) =>
        work.Query("SELECT consent.*, COALESCE(wording.words, '') AS signed_by FROM consent LEFT JOIN wording ON wording.id = signed_id WHERE consent.job_id = $job AND topic = $topic",
            row => new Consent(row.Number("band_id"), row.Text("work"), row.Text("signed_by"), row.Time("signed_at"))
            {
                Signature = row.Text("signature"),
                OnPaper = row.Yes("on_paper"),
            },
            ("$job", jobId), ("$topic", topic)).SingleOrDefault();

    /// <summary>Records a consent in place of the one before.</summary>
    public static void Set(ShopWork work, long jobId, Consent consent, string by, ConsentTopic topic = ConsentTopic.Band) =>
        work.Execute(
            "INSERT OR REPLACE INTO consent (job_id, topic, band_id, work, signed_id, signed_at, signature, on_paper) VALUES ($job, $topic, $band, $work, $by, $at, $signature, $paper)",
            ("$job", jobId), ("$topic", topic), ("$band", consent.BandId), ("$work", consent.Work),
            ("$by", Wordings.Say(work, jobId, Wording.SignedBy, consent.SignedBy, consent.SignedAt, by)), ("$at", consent.SignedAt),
            ("$signature", consent.Signature), ("$paper", consent.OnPaper));
}
