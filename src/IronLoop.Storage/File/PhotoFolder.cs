using System.Globalization;

namespace IronLoop.Storage;

/// <summary>
/// The folder of photos beside the database. A picture is written whole under another name first, so that a crash
/// leaves a stray file, never half a photo under its number.
/// </summary>
/// <param name="folder">The folder.</param>
public sealed class PhotoFolder(string folder)
{
    /// <summary>The folder beside a shop's file.</summary>
    public static PhotoFolder Beside(ShopFile shop) => new(Path.Combine(Path.GetDirectoryName(shop.Path)!, "photos"));

    /// <summary>Where it is.</summary>
    public string Folder => folder;

    /// <summary>Stores a photo and its thumbnail.</summary>
    public void Put(long id, byte[] picture, byte[] thumbnail)
    {
        Directory.CreateDirectory(folder);
        Write(FileOf(id), picture);
        Write(ThumbnailOf(id), thumbnail);
    }

    /// <summary>Where a photo lies.</summary>
    public string FileOf(long id) => Path.Combine(folder, id.ToString(CultureInfo.InvariantCulture));

    /// <summary>Where its thumbnail lies.</summary>
    public string ThumbnailOf(long id) => FileOf(id) + ".thumb";

    /// <summary>
    /// Where a photo lies whole: of the length that was stored, or, a thumbnail, a JPEG from its first bytes to its last. A damaged or
    /// missing one is brought back from beside the backups, where it lies whole there.
    /// </summary>
    /// <param name="id">The photo.</param>
    /// <param name="bytes">The length that was stored.</param>
    /// <param name="thumbnail">Whether its thumbnail is asked for.</param>
    /// <returns>Null when it lies whole nowhere.</returns>
    public string? Whole(long id, long bytes, bool thumbnail)
    {
        var here = thumbnail ? ThumbnailOf(id) : FileOf(id);
        if (IsWhole(here, bytes, thumbnail))
            return here;
        var kept = Path.Combine(Path.GetDirectoryName(folder)!, "backups", "photos", Path.GetFileName(here));
        if (!IsWhole(kept, bytes, thumbnail))
            return null;
        Directory.CreateDirectory(folder);
        Write(here, File.ReadAllBytes(kept));
        return here;
    }

    private static bool IsWhole(string path, long bytes, bool thumbnail)
    {
        var file = new FileInfo(path);
        if (!thumbnail || !file.Exists || file.Length < 4)
            return !thumbnail && file.Exists && file.Length == bytes;
        var all = File.ReadAllBytes(path);
        return all is [0xFF, 0xD8, .., 0xFF, 0xD9];
    }

    /// <summary>Takes a photo and its thumbnail away.</summary>
    public void Drop(long id)
    {
        if (!Directory.Exists(folder))
            return;
        File.Delete(FileOf(id));
        File.Delete(ThumbnailOf(id));
    }

    private static void Write(string path, byte[] bytes)
    {
        using (var file = new FileStream(path + ".new", FileMode.Create))
        {
            file.Write(bytes);
            file.Flush(flushToDisk: true);
        }
        File.Move(path + ".new", path, overwrite: true);
    }
}
