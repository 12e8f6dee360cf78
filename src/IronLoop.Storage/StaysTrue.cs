namespace IronLoop.Storage;

/// <summary>
/// What stays true of a shop when an older file is put in its place: whoever was forgotten stays forgotten, and a photo's number is not
/// given a second time.
/// </summary>
internal sealed class StaysTrue
{
    private readonly List<(long Client, DateTimeOffset At, long FirstJob, DateTimeOffset TakenIn)> _forgotten;
    private readonly long _lastPhoto;

    /// <summary>Reads it from the shop as it is.</summary>
    public StaysTrue(ShopFile shop)
    {
        using var work = shop.Look();
        // A client's number alone would not do: an older file may have given it to another since.
        _forgotten = work.Query(
            """
            SELECT client.id, client.erased_at, MIN(job.id) AS first_job, job.taken_in_at FROM client JOIN job ON job.client_id = client.id
            WHERE client.erased_at IS NOT NULL GROUP BY client.id
            """,
            row => (row.Number("id"), row.Time("erased_at"), row.Number("first_job"), row.Time("taken_in_at")));
        _lastPhoto = LastPhoto(work);
    }

    /// <summary>Makes it true of the file that stands in its place now.</summary>
    public void In(ShopFile shop)
    {
        var photos = new List<long>();
        using (var work = shop.Begin())
        {
            foreach (var (client, at, job, takenIn) in _forgotten)
            {
                var known = work.Query(
                    "SELECT 1 FROM client JOIN job ON job.client_id = client.id WHERE client.id = $client AND erased_at IS NULL AND job.id = $job AND job.taken_in_at = $in",
                    _ => true, ("$client", client), ("$job", job), ("$in", takenIn));
                if (known.Count > 0)
                    photos.AddRange(Erasure.Erase(work, client, at));
            }
            if (LastPhoto(work) < _lastPhoto)
            {
                work.Execute("DELETE FROM sqlite_sequence WHERE name = 'photo'");
                work.Execute("INSERT INTO sqlite_sequence (name, seq) VALUES ('photo', $last)", ("$last", _lastPhoto));
            }
            work.Keep();
        }
        shop.Settle();
        foreach (var photo in photos)
            PhotoFolder.Beside(shop).Drop(photo);
    }

    private static long LastPhoto(ShopWork work) =>
        work.Query("SELECT seq FROM sqlite_sequence WHERE name = 'photo'", row => row.Number("seq")).SingleOrDefault();
}
