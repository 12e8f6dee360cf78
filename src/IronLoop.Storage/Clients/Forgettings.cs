using System.Globalization;

namespace IronLoop.Storage;

/// <summary>Who was forgotten: the receipts, and whether the backups made before were gone through.</summary>
public static class Forgettings
{
    /// <summary>What was taken out when a client was forgotten; null when nobody asked for it.</summary>
    public static Forgotten? Of(ShopWork work, long clientId) =>
        work.Query("SELECT * FROM forgetting WHERE client_id = $client",
            row => new Forgotten(
                row.Time("at"), row.Text("by"), row.Count("names"), row.Count("wordings"), row.Count("notes"), row.Count("signatures"), row.Count("photos"), row.Count("figures"))
            {
                Backups = row.Count("backups"),
                Unread = row.Text("unread").Split('|', StringSplitOptions.RemoveEmptyEntries),
                SettledAt = row.Maybe("settled_at", Columns.Time),
            },
            ("$client", clientId)).SingleOrDefault();

    /// <summary>Whether backups are still to be gone through.</summary>
    public static bool ArePending(ShopWork work) => work.Query("SELECT EXISTS (SELECT 1 FROM forgetting WHERE settled_at IS NULL) AS pending", row => row.Yes("pending")).Single();

    /// <summary>Keeps a receipt; a client forgotten before keeps the first.</summary>
    internal static void Keep(ShopWork work, long clientId, Forgotten gone) =>
        work.Execute(
            """
            INSERT OR IGNORE INTO forgetting (client_id, at, by, names, wordings, notes, signatures, photos, figures)
            VALUES ($client, $at, $by, $names, $wordings, $notes, $signatures, $photos, $figures)
            """,
            ("$client", clientId), ("$at", gone.At), ("$by", gone.By), ("$names", gone.Names), ("$wordings", gone.Wordings), ("$notes", gone.Notes),
            ("$signatures", gone.Signatures), ("$photos", gone.Photos), ("$figures", gone.Figures));

    /// <summary>Notes that the backups were gone through.</summary>
    /// <param name="work">The piece of work.</param>
    /// <param name="clients">For whom.</param>
    /// <param name="rewritten">How many backups were written anew.</param>
    /// <param name="unread">The files that could not be looked into.</param>
    /// <param name="at">When.</param>
    internal static void Settle(ShopWork work, IEnumerable<long> clients, int rewritten, IEnumerable<string> unread, DateTimeOffset at) =>
        work.Execute(
            $"UPDATE forgetting SET backups = backups + $rewritten, unread = $unread, settled_at = $at WHERE settled_at IS NULL AND client_id IN ({Listed(clients)})",
            ("$rewritten", rewritten), ("$unread", string.Join('|', unread)), ("$at", at));

    /// <summary>The clients for whom the backups are still to be gone through.</summary>
    internal static IReadOnlyList<long> Pending(ShopWork work) => work.Query("SELECT client_id FROM forgetting WHERE settled_at IS NULL", row => row.Number("client_id"));

    private static string Listed(IEnumerable<long> numbers) => string.Join(", ", numbers.Select(n => n.ToString(CultureInfo.InvariantCulture)));
}
