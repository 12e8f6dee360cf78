using System.Security.Cryptography;
using System.Text;

namespace IronLoop.Storage;

/// <summary>A key of the shop, with which another program may ask it for figures.</summary>
/// <param name="Name">What it is for.</param>
/// <param name="EndedAt">When it was ended; null while it holds.</param>
public sealed record ShopKey(long Id, string Name, DateTimeOffset MadeAt, string MadeBy, DateTimeOffset? EndedAt);

/// <summary>The keys of the shop. Each is told once, when it is made; what is kept is its digest.</summary>
public static class ShopKeys
{
    /// <summary>Makes a key and answers it.</summary>
    public static string Make(ShopWork work, string name, string by, DateTimeOffset at)
    {
        var key = Convert.ToHexStringLower(RandomNumberGenerator.GetBytes(24));
        work.Execute("INSERT INTO shop_key (name, digest, made_at, made_by) VALUES ($name, $digest, $at, $by)", ("$name", name), ("$digest", DigestOf(key)), ("$at", at), ("$by", by));
        return key;
    }

    /// <summary>Whether a key holds.</summary>
    public static bool Holds(ShopWork work, string key) =>
        work.Query("SELECT id FROM shop_key WHERE digest = $digest AND ended_at IS NULL", row => row.Number("id"), ("$digest", DigestOf(key))).Count > 0;

    /// <summary>All keys, those that hold first.</summary>
    public static IReadOnlyList<ShopKey> All(ShopWork work) =>
        work.Query("SELECT * FROM shop_key ORDER BY ended_at IS NOT NULL, made_at DESC",
            row => new ShopKey(row.Number("id"), row.Text("name"), row.Time("made_at"), row.Text("made_by"), row.Maybe("ended_at", Columns.Time)));

    /// <summary>Ends a key.</summary>
    /// <returns>Whether there was one that held.</returns>
    public static bool End(ShopWork work, long id, DateTimeOffset at) =>
        work.Execute("UPDATE shop_key SET ended_at = $at WHERE id = $id AND ended_at IS NULL", ("$id", id), ("$at", at)) > 0;

    // A key is long and random: a plain digest of it tells nothing.
    private static string DigestOf(string key) => Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(key)));
}
