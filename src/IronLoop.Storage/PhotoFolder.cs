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

    /// <summary>Takes a photo and its thumbnail away.</summary>
    public void Drop(long id)
    {
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
