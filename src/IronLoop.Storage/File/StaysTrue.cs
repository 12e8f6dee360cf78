namespace IronLoop.Storage;

/// <summary>
/// What stays true of a shop when an older file is put in its place: whoever was forgotten stays forgotten, and a photo's number is not
/// given a second time.
/// </summary>
internal sealed class StaysTrue
{
    private readonly List<(long Client, DateTimeOffset At, string By, long FirstJob, DateTimeOffset TakenIn)> _forgotten;
    private readonly long _lastPhoto;

    /// <summary>Reads it from the shop as it is.</summary>
    public StaysTrue(ShopFile shop)
    {
        using var work = shop.Look();
        // A client's number alone would not do: an older file may have given it to another since.
        _forgotten = work.Query(
            """
            SELECT client.id, client.erased_at, COALESCE(forgetting.by, '') AS by, MIN(job.id) AS first_job, job.taken_in_at
            FROM client JOIN job ON job.client_id = client.id LEFT JOIN forgetting ON forgetting.client_id = client.id
            WHERE client.erased_at IS NOT NULL GROUP BY client.id
            """,
            row => (row.Number("id"), row.Time("erased_at"), row.Text("by"), row.Number("first_job"), row.Time("taken_in_at")));
        _lastPhoto = LastPhoto(work);
    }

    /// <summary>Whether somebody was forgotten who stands in an older file, which may be of a version before.</summary>
    public bool IsKnownTo(Microsoft.Data.Sqlite.SqliteConnection older)
    {
        using var look = older.CreateCommand();
        look.CommandText = "SELECT 1 FROM client JOIN job ON job.client_id = client.id WHERE client.id = $client AND job.id = $job AND job.taken_in_at = $in AND client.name <> $nobody";
        return _forgotten.Exists(f =>
        {
            look.Parameters.Clear();
            look.Parameters.AddWithValue("$client", f.Client);
            look.Parameters.AddWithValue("$job", f.FirstJob);
            look.Parameters.AddWithValue("$in", f.TakenIn.ToUniversalTime().ToString("yyyy-MM-dd'T'HH:mm:ss.fff'Z'", System.Globalization.CultureInfo.InvariantCulture));
            look.Parameters.AddWithValue("$nobody", Erasure.Nobody);
            return look.ExecuteScalar() is not null;
        });
    }

    /// <summary>Whether anybody was forgotten.</summary>
    public bool Forgot => _forgotten.Count > 0;

    /// <summary>Makes it true of the file that stands in its place now.</summary>
    public void In(ShopFile shop)
    {
        var photos = new List<long>();
        using (var work = shop.Begin())
        {
            foreach (var (client, at, by, job, takenIn) in _forgotten)
            {
                var known = work.Query(
                    "SELECT 1 FROM client JOIN job ON job.client_id = client.id WHERE client.id = $client AND erased_at IS NULL AND job.id = $job AND job.taken_in_at = $in",
                    _ => true, ("$client", client), ("$job", job), ("$in", takenIn));
                if (known.Count > 0)
                    photos.AddRange(Erasure.Erase(work, client, at, by));
            }
            if (LastPhoto(work) < _lastPhoto)
            {
                work.Execute("DELETE FROM sqlite_sequence WHERE name = 'photo'");
                work.Execute("INSERT INTO sqlite_sequence (name, seq) VALUES ('photo', $last)", ("$last", _lastPhoto));
            }
            work.Commit();
        }
        shop.Checkpoint();
        foreach (var photo in photos)
            PhotoFolder.Beside(shop).Drop(photo);
    }

    private static long LastPhoto(ShopWork work) =>
        work.Query("SELECT seq FROM sqlite_sequence WHERE name = 'photo'", row => row.Number("seq")).SingleOrDefault();
}
