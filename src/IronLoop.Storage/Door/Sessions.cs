using System.Security.Cryptography;
using System.Text;

namespace IronLoop.Storage;

/// <summary>Somebody signed in somewhere.</summary>
/// <param name="Digest">The digest of its key, by which it is known.</param>
/// <param name="Fitter">Who.</param>
/// <param name="Since">When they signed in.</param>
/// <param name="SeenAt">When they were last heard of, to the minute.</param>
/// <param name="Device">Where from: the browser and the address.</param>
public sealed record Session(string Digest, Fitter Fitter, DateTimeOffset Since, DateTimeOffset SeenAt, string Device);

/// <summary>Who is signed in where. A session ends a while after it was last heard of, and after a week in any case.</summary>
public static class Sessions
{
    /// <summary>How long a session may be silent.</summary>
    public static readonly TimeSpan Silent = TimeSpan.FromHours(12);

    /// <summary>How long a session may last.</summary>
    public static readonly TimeSpan Longest = TimeSpan.FromDays(7);

    private static readonly TimeSpan Heard = TimeSpan.FromMinutes(1);

    /// <summary>Begins a session and answers its key, which is told once and stored nowhere.</summary>
    public static string Begin(ShopWork work, long fitterId, DateTimeOffset at, string device)
    {
        var key = Convert.ToBase64String(RandomNumberGenerator.GetBytes(32));
        work.Execute("DELETE FROM session WHERE seen_at < $silent OR since < $longest", ("$silent", at - Silent), ("$longest", at - Longest));
        work.Execute("INSERT INTO session (digest, fitter_id, since, seen_at, device) VALUES ($digest, $fitter, $at, $seen, $device)",
            ("$digest", DigestOf(key)), ("$fitter", fitterId), ("$at", at), ("$seen", at), ("$device", device));
        return key;
    }

    /// <summary>The session of a key, while it lasts and its fitter works here.</summary>
    public static Session? Find(ShopWork work, string key, DateTimeOffset at) =>
        work.Query($"{Select} WHERE digest = $digest AND seen_at >= $silent AND session.since >= $longest AND gone_at IS NULL", Read,
            ("$digest", DigestOf(key)), ("$silent", at - Silent), ("$longest", at - Longest)).SingleOrDefault();

    /// <summary>All that last, the last heard of first.</summary>
    public static IReadOnlyList<Session> All(ShopWork work, DateTimeOffset at) =>
        work.Query($"{Select} WHERE seen_at >= $silent AND session.since >= $longest AND gone_at IS NULL ORDER BY seen_at DESC, digest", Read, ("$silent", at - Silent), ("$longest", at - Longest));

    /// <summary>Whether a session has to be noted as heard of again; a clock that was set back is put right too.</summary>
    public static bool IsToBeNoted(Session session, DateTimeOffset at) => (at - session.SeenAt).Duration() >= Heard;

    /// <summary>Notes that a session was heard of.</summary>
    public static void Note(ShopWork work, string digest, DateTimeOffset at) =>
        work.Execute("UPDATE session SET seen_at = $at, since = min(since, $now) WHERE digest = $digest", ("$at", at), ("$now", at), ("$digest", digest));

    /// <summary>Ends a session.</summary>
    /// <returns>Whether there was one.</returns>
    public static bool End(ShopWork work, string digest) => work.Execute("DELETE FROM session WHERE digest = $digest", ("$digest", digest)) > 0;

    /// <summary>Ends all sessions of a fitter, but one where it is named.</summary>
    public static void EndAll(ShopWork work, long fitterId, string? but = null) =>
        work.Execute("DELETE FROM session WHERE fitter_id = $fitter AND digest <> $but", ("$fitter", fitterId), ("$but", but ?? ""));

    /// <summary>The digest a key is known by.</summary>
    public static string DigestOf(string key) => Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(key)));

    private const string Select =
        """
        SELECT digest, session.since AS signed_in, seen_at, device, fitter.* FROM session JOIN fitter ON fitter.id = session.fitter_id
        """;

    private static Session Read(Microsoft.Data.Sqlite.SqliteDataReader row) => new(
        row.Text("digest"),
        new Fitter(row.Number("id"), row.Text("initials"), row.Choice<Role>("role"), row.Text("hash"), row.Time("since"), row.Maybe("gone_at", Columns.Time)),
        row.Time("signed_in"), row.Time("seen_at"), row.Text("device"));
}
