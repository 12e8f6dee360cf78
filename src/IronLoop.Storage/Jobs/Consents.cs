using IronLoop.Core.Bands;
using IronLoop.Core.Jobs;
using IronLoop.Core.Matching;

namespace IronLoop.Storage;

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
                Kinds = work.Query("SELECT kind FROM consent_work WHERE job_id = $job AND topic = $topic", of => of.Choice<WorkKind>("kind"), ("$job", jobId), ("$topic", topic)).ToHashSet(),
            },
            ("$job", jobId), ("$topic", topic)).SingleOrDefault();

    /// <summary>Records a consent in place of the one before.</summary>
    public static void Set(ShopWork work, long jobId, Consent consent, string by, ConsentTopic topic = ConsentTopic.Band)
    {
        work.Execute(
            "INSERT OR REPLACE INTO consent (job_id, topic, band_id, work, signed_id, signed_at, signature, on_paper) VALUES ($job, $topic, $band, $work, $by, $at, $signature, $paper)",
            ("$job", jobId), ("$topic", topic), ("$band", consent.BandId), ("$work", consent.Work),
            ("$by", Wordings.Say(work, jobId, Wording.SignedBy, consent.SignedBy, consent.SignedAt, by)), ("$at", consent.SignedAt),
            ("$signature", consent.Signature), ("$paper", consent.OnPaper));
        foreach (var kind in consent.Kinds)
            work.Execute("INSERT INTO consent_work (job_id, topic, kind) VALUES ($job, $topic, $kind)", ("$job", jobId), ("$topic", topic), ("$kind", kind));
    }
}
