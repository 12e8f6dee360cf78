using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;

namespace IronLoop.Storage;

/// <summary>The shop's clients.</summary>
public static class Clients
{
    /// <summary>Takes a client in.</summary>
    public static long Add(ShopWork work, string name, string contact) =>
        work.Insert("INSERT INTO client (name, contact) VALUES ($name, $contact)", ("$name", name), ("$contact", contact));

    /// <summary>How many clients there are.</summary>
    public static long Count(ShopWork work) => work.Query("SELECT COUNT(*) AS clients FROM client", row => row.Number("clients")).Single();

    /// <summary>A client, or null when there is none of that number.</summary>
    public static Client? Find(ShopWork work, long id) =>
        work.Query("SELECT * FROM client WHERE id = $id", row => new Client(row.Number("id"), row.Text("name"), row.Text("contact")) { ErasedAt = row.Maybe("erased_at", Columns.Time) }, ("$id", id))
            .SingleOrDefault();

    /// <summary>A client that a job names.</summary>
    public static Client Get(ShopWork work, long id) => Find(work, id)!;

    /// <summary>Clients found as their name is typed, those seen last first.</summary>
    /// <param name="work">The piece of work.</param>
    /// <param name="typed">The beginning of any word of the name.</param>
    /// <param name="most">How many at most.</param>
    public static IReadOnlyList<Client> Find(ShopWork work, string typed, int most) =>
        work.Query(
            """
            SELECT client.* FROM client
            WHERE client.erased_at IS NULL AND (' ' || client.name) LIKE $typed ESCAPE '\'
            ORDER BY (SELECT MAX(job.id) FROM job WHERE job.client_id = client.id) DESC LIMIT $most
            """,
            row => new Client(row.Number("id"), row.Text("name"), row.Text("contact")),
            ("$typed", Log.Containing(" " + typed)), ("$most", most));

    /// <summary>The client of that name who is reached that way, or a new one. Without a contact the name alone tells.</summary>
    public static long FindOrAdd(ShopWork work, string name, string contact)
    {
        var known = work.Query(
            "SELECT id FROM client WHERE erased_at IS NULL AND name = $name COLLATE NOCASE AND ($contact = '' OR contact = $contact COLLATE NOCASE) ORDER BY id LIMIT 1",
            row => row.Number("id"), ("$name", name), ("$contact", contact));
        return known.Count > 0 ? known[0] : Add(work, name, contact);
    }

    /// <summary>Corrects what was noted wrong.</summary>
    public static void Correct(ShopWork work, Client client) =>
        work.Execute("UPDATE client SET name = $name, contact = $contact WHERE id = $id",
            ("$id", client.Id), ("$name", client.Name), ("$contact", client.Contact));

    /// <summary>Stores how a client wears it.</summary>
    public static void Wears(ShopWork work, long id, Habits habits) =>
        work.Execute("UPDATE client SET off_centre_um = $off, hot_um = $hot, cold_um = $cold WHERE id = $id",
            ("$id", id), ("$off", habits.OffCentre), ("$hot", habits.Hot), ("$cold", habits.Cold));
}
