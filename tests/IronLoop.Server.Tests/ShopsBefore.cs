using System.IO.Compression;
using System.Runtime.CompilerServices;

namespace IronLoop.Server.Tests;

/// <summary>Shops that versions before made, kept as they left them.</summary>
internal static class ShopsBefore
{
    /// <summary>Lays the file of one somewhere.</summary>
    /// <param name="migration">The last migration it had.</param>
    /// <param name="to">Where.</param>
    public static void Unpack(int migration, string to, [CallerFilePath] string here = "")
    {
        using var packed = new GZipStream(File.OpenRead(Path.Combine(Path.GetDirectoryName(here)!, "shops", $"demo-of-migration-{migration}.db.gz")), CompressionMode.Decompress);
        using var file = File.Create(to);
        packed.CopyTo(file);
    }
}
