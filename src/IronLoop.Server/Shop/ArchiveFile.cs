using IronLoop.Storage;

namespace IronLoop.Server.Shop;

/// <summary>Where an archive lies until it is saved elsewhere, and what else comes and goes there.</summary>
internal static class ArchiveFile
{
    /// <summary>Takes away what lies there of works that were broken off: archives half sent, half written, or not saved any more.</summary>
    public static void Sweep(string folder)
    {
        foreach (var left in (string[])["archive", "incoming", "going-back"])
        {
            if (Directory.Exists(Path.Combine(folder, left)))
                Directory.Delete(Path.Combine(folder, left), recursive: true);
        }
    }

    /// <summary>Takes away the archive that was written last and lies there to be saved.</summary>
    public static void Drop(ShopFile shop) => File.Delete(Of(shop));

    /// <summary>The archive written last.</summary>
    public static string Of(ShopFile shop) => Path.Combine(FolderOf(shop), "archive.json");

    /// <summary>Where archives come and go.</summary>
    public static string FolderOf(ShopFile shop)
    {
        var folder = Path.Combine(Path.GetDirectoryName(shop.Path)!, "archive");
        Directory.CreateDirectory(folder);
        return folder;
    }
}
