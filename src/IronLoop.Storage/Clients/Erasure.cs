namespace IronLoop.Storage;

/// <summary>What was taken out of the shop when a client was forgotten: how many of each, nothing of what it was.</summary>
/// <param name="At">When.</param>
/// <param name="By">By whom, by initials; empty where that is not known any more.</param>
/// <param name="Names">The client's name and contact, and the names of their watches, own bands and clasps.</param>
/// <param name="Wordings">What was said freely, with every former wording.</param>
/// <param name="Notes">Notes at steps and marks, reasons, and what was noted of parts.</param>
/// <param name="Signatures">Signatures.</param>
/// <param name="Photos">Photos.</param>
/// <param name="Figures">Figures of the wrist, try-ons and habits.</param>
public sealed record Forgotten(DateTimeOffset At, string By, int Names, int Wordings, int Notes, int Signatures, int Photos, int Figures)
{
    /// <summary>How many backups were written anew without it.</summary>
    public int Backups { get; init; }

    /// <summary>The files that could not be looked into, since they are damaged.</summary>
    public IReadOnlyList<string> Unread { get; init; } = [];

    /// <summary>When the backups made before were gone through; null as long as they are not.</summary>
    public DateTimeOffset? SettledAt { get; init; }
}

/// <summary>
/// Forgetting a client: name, contact, everything said freely with each former wording, notes, signatures, wrist figures and photos go; jobs,
/// bands and what was done to them stay, without a name, since stock and accounts hang on them.
/// </summary>
public static class Erasure
{
    /// <summary>What stands where a name was.</summary>
    public const string Nobody = "Erased client";

    /// <summary>What stands where a watch’s name was: it may have been called after its owner.</summary>
    public const string AWatch = "Watch";

    private const string ABand = "own band", AClasp = "clasp";

    private const string Jobs = "(SELECT id FROM job WHERE client_id = $client)";

    /// <summary>Forgets a client.</summary>
    /// <param name="work">The piece of work.</param>
    /// <param name="clientId">The client.</param>
    /// <param name="at">When.</param>
    /// <param name="by">By whom, by initials.</param>
    /// <returns>The photos whose pictures are to be taken away once this is kept.</returns>
    public static IReadOnlyList<long> Erase(ShopWork work, long clientId, DateTimeOffset at, string by)
    {
        int Each(string sql) => work.Execute(sql, ("$client", clientId));
        var photos = work.Query($"SELECT id FROM photo WHERE job_id IN {Jobs}", row => row.Number("id"), ("$client", clientId));

        var wordings = Each($"DELETE FROM wording WHERE job_id IN {Jobs}");
        var notes = Each($"DELETE FROM step_note WHERE job_id IN {Jobs}")
            + Each($"UPDATE condition_mark SET note = '' WHERE note <> '' AND job_id IN {Jobs}")
            + Each($"UPDATE came_with SET note = '' WHERE note <> '' AND job_id IN {Jobs}")
            + Each($"UPDATE observation SET set_what = 'erased' WHERE job_id IN {Jobs}")
            + Each($"UPDATE observation_look SET shows = 'erased' WHERE shows <> '' AND job_id IN {Jobs}")
            + Each($"UPDATE bench_step SET skipped = 'erased' WHERE skipped IS NOT NULL AND job_id IN {Jobs}");
        // Before version 23 the reason stood in the step itself.
        Each($"UPDATE bench_step SET says = '' WHERE row = 'Tray' AND job_id IN {Jobs}");
        var signatures = Each($"UPDATE consent SET signature = '' WHERE signature <> '' AND job_id IN {Jobs}");
        Each($"DELETE FROM photo WHERE job_id IN {Jobs}");
        var figures = Each($"DELETE FROM tried_on WHERE job_id IN {Jobs}")
            + Each($"DELETE FROM reading WHERE figure IN ('Wrist', 'WristWidth', 'WristDepth') AND job_id IN {Jobs}")
            + Each($"DELETE FROM try_on WHERE job_id IN {Jobs}")
            + Each($"DELETE FROM copied_loop WHERE job_id IN {Jobs}")
            + Each($"UPDATE wrist SET wear = NULL, worn_at = NULL, season = NULL WHERE (wear IS NOT NULL OR worn_at IS NOT NULL OR season IS NOT NULL) AND job_id IN {Jobs}");
        Each("UPDATE job SET observe_on = NULL, water = NULL, nickel_sensitive = NULL, hair_pull = NULL, wished_colour = NULL, must_not_be_lost = NULL, lettering_kept = NULL WHERE client_id = $client");
        ModelBook.Forget(work, clientId);
        var names = 1 + Each($"UPDATE watch SET name = '{AWatch}' WHERE client_id = $client") + NameOwnThings(work, clientId);
        work.Execute("UPDATE client SET name = $nobody, contact = '', off_centre_um = 0, hot_um = NULL, cold_um = NULL, erased_at = $at WHERE id = $client",
            ("$client", clientId), ("$nobody", Nobody), ("$at", at));
        Presses.Forget(work);
        Visits.CatchUp(work);
        Forgettings.Keep(work, clientId, new Forgotten(at, by, names, wordings, notes, signatures, photos.Count, figures));
        return photos;
    }

    /// <summary>Takes the names away that somebody gave a client’s own bands and clasps, also where the bench and the log say them; what the shop calls its own so stays.</summary>
    private static int NameOwnThings(ShopWork work, long clientId)
    {
        var bands = work.Query(
            $"SELECT DISTINCT name FROM band WHERE owner_client_id = $client AND name NOT IN ('{ABand}', 'Own bracelet') AND name NOT IN (SELECT name FROM band WHERE owner_client_id IS NULL)",
            row => row.Text("name"), ("$client", clientId));
        var clasps = work.Query(
            $"""
            SELECT name FROM (SELECT clasp_name AS name FROM own_bracelet WHERE job_id IN {Jobs} UNION SELECT clasp_name FROM band WHERE owner_client_id = $client)
            WHERE name NOT IN ('', '{AClasp}') AND name NOT IN (SELECT clasp_name FROM band WHERE owner_client_id IS NULL) AND name NOT IN (SELECT name FROM part)
            """,
            row => row.Text("name"), ("$client", clientId));
        foreach (var (name, instead) in bands.Select(b => (b, ABand)).Concat(clasps.Select(c => (c, AClasp))))
        {
            // In the middle of a sentence it begins small. A name of one or two letters names nobody, and stands in every other word.
            foreach (var said in name.Length < 3 ? [] : (string[])[name, char.ToLowerInvariant(name[0]) + name[1..]])
            {
                var written = System.Text.Json.JsonEncodedText.Encode(said).ToString();
                foreach (var (table, column, text) in ((string, string, string)[])
                    [("bench_plan", "plan", written), ("bench_step", "acts", written), ("log_entry", "facts", written), ("bench_step", "says", said), ("bag_line", "what", said), ("bag_line", "fits", said)])
                {
                    work.Execute($"UPDATE OR REPLACE {table} SET {column} = replace({column}, $said, $instead) WHERE job_id IN {Jobs}",
                        ("$said", text), ("$instead", instead), ("$client", clientId));
                }
            }
            work.Execute($"UPDATE own_bracelet SET clasp_name = $instead WHERE clasp_name = $name AND job_id IN {Jobs}", ("$instead", instead), ("$name", name), ("$client", clientId));
            work.Execute("UPDATE band SET clasp_name = $instead WHERE clasp_name = $name AND owner_client_id = $client", ("$instead", instead), ("$name", name), ("$client", clientId));
            work.Execute("UPDATE band SET name = $instead WHERE name = $name AND owner_client_id = $client", ("$instead", instead), ("$name", name), ("$client", clientId));
        }
        return bands.Count + clasps.Count;
    }
}
