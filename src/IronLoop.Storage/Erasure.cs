namespace IronLoop.Storage;

/// <summary>
/// Forgetting a client: name, contact, words, notes, signatures, wrist figures and photos go; jobs, bands and what was done to them stay,
/// without a name, since stock and accounts hang on them.
/// </summary>
public static class Erasure
{
    /// <summary>What stands where a name was.</summary>
    public const string Nobody = "Erased client";

    /// <summary>Forgets a client.</summary>
    /// <returns>The photos whose pictures are to be taken away once this is kept.</returns>
    public static IReadOnlyList<long> Erase(ShopWork work, long clientId, DateTimeOffset at)
    {
        var name = Clients.Get(work, clientId).Name;
        var jobs = work.Query("SELECT id, words, close_note, refer_note, observe_for FROM job WHERE client_id = $client",
            row => (Id: row.Number("id"), Said: new[] { row.Text("words"), row.Text("close_note"), row.Text("refer_note"), row.Text("observe_for") }), ("$client", clientId));
        var photos = new List<long>();
        foreach (var (job, said) in jobs)
        {
            photos.AddRange(work.Query("SELECT id FROM photo WHERE job_id = $job", row => row.Number("id"), ("$job", job)));
            string[] noted = [.. StepNotes.Of(work, job).SelectMany(n => (string[])[n.Text, n.Answer])];
            work.Execute("DELETE FROM step_note WHERE job_id = $job", ("$job", job));
            work.Execute("DELETE FROM tried_on WHERE job_id = $job", ("$job", job));
            work.Execute("DELETE FROM photo WHERE job_id = $job", ("$job", job));
            work.Execute("DELETE FROM reading WHERE job_id = $job AND figure IN ('Wrist', 'WristWidth', 'WristDepth')", ("$job", job));
            work.Execute("DELETE FROM try_on WHERE job_id = $job", ("$job", job));
            work.Execute("DELETE FROM copied_loop WHERE job_id = $job", ("$job", job));
            work.Execute("UPDATE wrist SET wear = NULL, worn_at = NULL, season = NULL WHERE job_id = $job", ("$job", job));
            work.Execute(
                """
                UPDATE job SET words = '', close_note = '', refer_note = '', observe_for = '', observe_on = NULL, water = NULL, nickel_sensitive = NULL, hair_pull = NULL, wished_colour = NULL
                WHERE id = $job
                """,
                ("$job", job));
            work.Execute("UPDATE consent SET signed_by = 'erased', signature = '' WHERE job_id = $job", ("$job", job));
            work.Execute("UPDATE condition_mark SET note = '' WHERE job_id = $job", ("$job", job));
            foreach (var entry in work.Query("SELECT id, words FROM log_entry WHERE job_id = $job", row => (Id: row.Number("id"), Words: row.Text("words")), ("$job", job)))
                work.Execute("UPDATE log_entry SET words = $words WHERE id = $id", ("$id", entry.Id), ("$words", Without(entry.Words, name, [.. said, .. noted])));
            work.Execute("UPDATE bench_step SET skipped = 'erased' WHERE job_id = $job AND skipped IS NOT NULL", ("$job", job));
            work.Execute("UPDATE bench_step SET says = '' WHERE job_id = $job AND row = 'Tray'", ("$job", job));
        }
        work.Execute("UPDATE client SET name = $nobody, contact = '', off_centre_um = 0, hot_um = NULL, cold_um = NULL, erased_at = $at WHERE id = $client",
            ("$client", clientId), ("$nobody", Nobody), ("$at", at));
        Presses.Forget(work);
        Visits.CatchUp(work);
        return photos;
    }

    /// <summary>A line of the log without a name and without what was said.</summary>
    private static string Without(string words, string name, IEnumerable<string> said)
    {
        // What was said after an owner was asked is theirs as well.
        if (words.StartsWith("Asked after:", StringComparison.Ordinal))
            return "Asked after.";
        foreach (var gone in said.Where(s => s.Length > 0))
            words = words.Replace($": {gone}", "", StringComparison.Ordinal).Replace(gone, "", StringComparison.Ordinal);
        words = words.Replace(name, "the client", StringComparison.OrdinalIgnoreCase);
        foreach (var part in name.Split(' ', StringSplitOptions.RemoveEmptyEntries).Where(p => p.Length > 2))
            words = System.Text.RegularExpressions.Regex.Replace(
                words, $@"\b{System.Text.RegularExpressions.Regex.Escape(part)}\b", "the client", System.Text.RegularExpressions.RegexOptions.IgnoreCase, TimeSpan.FromSeconds(1));
        return words.TrimEnd();
    }
}
