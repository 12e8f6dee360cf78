using IronLoop.Core.Jobs;

namespace IronLoop.Storage;

/// <summary>Something said freely of a job.</summary>
/// <param name="Wording">As what.</param>
/// <param name="Words">The words.</param>
/// <param name="At">When.</param>
/// <param name="By">Who wrote it down, by initials.</param>
public sealed record SaidOfJob(Wording Wording, string Words, DateTimeOffset At, string By);

/// <summary>
/// What was said freely of a job, in the one place it has: each wording with when and by whom, those that stood before it too. The last of
/// a kind is what stands.
/// </summary>
public static class Wordings
{
    /// <summary>Everything said freely of a job, former wordings too, in the order it was said.</summary>
    public static IReadOnlyList<SaidOfJob> Of(ShopWork work, long jobId) =>
        work.Query("SELECT field, words, at, by FROM wording WHERE job_id = $job ORDER BY id",
            row => new SaidOfJob(row.Choice<Wording>("field"), row.Text("words"), row.Time("at"), row.Text("by")), ("$job", jobId));

    /// <summary>The SQL of what stands for a job's; empty where nothing was said.</summary>
    /// <param name="wording">Which.</param>
    /// <param name="job">The job's number in that statement.</param>
    internal static string Standing(Wording wording, string job = "job.id") =>
        $"COALESCE((SELECT wording.words FROM wording WHERE wording.job_id = {job} AND field = '{wording}' ORDER BY wording.id DESC LIMIT 1), '')";

    /// <summary>Says something; what stood there before is kept as what it was.</summary>
    /// <returns>Its number.</returns>
    internal static long Say(ShopWork work, long jobId, Wording wording, string words, DateTimeOffset at, string by)
    {
        var stands = work.Query("SELECT id, words FROM wording WHERE job_id = $job AND field = $field ORDER BY id DESC LIMIT 1",
            row => (Id: row.Number("id"), Words: row.Text("words")), ("$job", jobId), ("$field", wording)).FirstOrDefault();
        return stands.Id > 0 && stands.Words == words ? stands.Id : stands.Id == 0 && words.Length == 0 ? 0 : Add(work, jobId, wording, words, at, by);
    }

    /// <summary>Says something with a line of the log: what stands is referred to, not repeated.</summary>
    internal static void SaidWith(ShopWork work, long log, long jobId, Wording wording, string words, DateTimeOffset at, string by)
    {
        var fresh = work.Query(
            "SELECT id FROM wording WHERE job_id = $job AND field = $field AND words = $words AND log_id IS NULL ORDER BY id DESC LIMIT 1",
            row => row.Number("id"), ("$job", jobId), ("$field", wording), ("$words", words));
        var id = fresh.Count > 0 ? fresh[0] : Add(work, jobId, wording, words, at, by);
        work.Execute("UPDATE wording SET log_id = $log WHERE id = $id", ("$log", log), ("$id", id));
    }

    /// <summary>Says why a step of the tray was done.</summary>
    internal static void Why(ShopWork work, long jobId, int seq, string words, DateTimeOffset at, string by)
    {
        if (words.Length > 0)
            work.Execute("UPDATE wording SET seq = $seq WHERE id = $id", ("$seq", seq), ("$id", Add(work, jobId, Wording.Why, words, at, by)));
    }

    private static long Add(ShopWork work, long jobId, Wording wording, string words, DateTimeOffset at, string by) =>
        work.Insert("INSERT INTO wording (job_id, field, words, at, by) VALUES ($job, $field, $words, $at, $by)",
            ("$job", jobId), ("$field", wording), ("$words", words), ("$at", at), ("$by", work.By ?? by));
}
