using System.IO.Compression;
using System.Text.Json;

namespace IronLoop.Storage;

/// <summary>A call that named itself, so that it is done once however often it comes.</summary>
/// <param name="Key">The name it gave itself.</param>
/// <param name="Digest">What it asks for and who asks, digested.</param>
public sealed record Press(string Key, string Digest);

/// <summary>What a call was answered.</summary>
/// <param name="Status">The status.</param>
/// <param name="Head">The headers that belong to the answer.</param>
/// <param name="Body">The answer itself.</param>
public sealed record PressAnswer(int Status, IReadOnlyDictionary<string, string> Head, byte[] Body);

/// <summary>A call that was done already.</summary>
/// <param name="Digest">What it asked for and who asked.</param>
/// <param name="Answer">What it was answered; null where the program ended before that was kept.</param>
public sealed record PressDone(string Digest, PressAnswer? Answer);

/// <summary>Calls that named themselves, kept a day. What one does is stored together with its name, or neither is.</summary>
public static class Presses
{
    /// <summary>How long a name is remembered.</summary>
    public static readonly TimeSpan Kept = TimeSpan.FromDays(1);

    /// <summary>The call of a name, if it was done.</summary>
    public static PressDone? Find(ShopWork work, string key, DateTimeOffset now) =>
        work.Query("SELECT digest, status, head, body FROM press WHERE key = $key AND at > $since",
            row => new PressDone(row.Text("digest"), row.MaybeText("head") is { } head
                ? new PressAnswer(row.Count("status"), JsonSerializer.Deserialize<Dictionary<string, string>>(head)!, Opened(row.GetFieldValue<byte[]>(row.GetOrdinal("body")))) : null),
            ("$key", key), ("$since", now - Kept)).SingleOrDefault();

    /// <summary>Notes a call in the piece of work that does it.</summary>
    public static void Note(ShopWork work, Press press, DateTimeOffset now)
    {
        work.Execute("DELETE FROM press WHERE at <= $since", ("$since", now - Kept));
        work.Execute("INSERT OR IGNORE INTO press (key, digest, at) VALUES ($key, $digest, $at)", ("$key", press.Key), ("$digest", press.Digest), ("$at", now));
    }

    /// <summary>Keeps what a call was answered; null where that is not to be told again. Should the machine lose its power right after, the call is still known as done.</summary>
    public static void Answered(ShopFile shop, Press press, PressAnswer? answer, DateTimeOffset now)
    {
        using var work = shop.BeginLightly();
        Note(work, press, now);
        if (answer is not null)
            work.Execute("UPDATE press SET status = $status, head = $head, body = $body WHERE key = $key",
                ("$key", press.Key), ("$status", answer.Status), ("$head", JsonSerializer.Serialize(answer.Head)), ("$body", Packed(answer.Body)));
        work.Commit();
    }

    /// <summary>Forgets what calls were answered: names stand in it.</summary>
    internal static void Forget(ShopWork work) => work.Execute("UPDATE press SET status = NULL, head = NULL, body = NULL");

    private static byte[] Packed(byte[] body)
    {
        using var packed = new MemoryStream();
        using (var gzip = new GZipStream(packed, CompressionLevel.Fastest))
            gzip.Write(body);
        return packed.ToArray();
    }

    private static byte[] Opened(byte[] packed)
    {
        using var opened = new MemoryStream();
        using (var gzip = new GZipStream(new MemoryStream(packed), CompressionMode.Decompress))
            gzip.CopyTo(opened);
        return opened.ToArray();
    }
}
