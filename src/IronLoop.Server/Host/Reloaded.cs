using System.Reflection.Metadata;
using IronLoop.Storage;

[assembly: MetadataUpdateHandler(typeof(IronLoop.Server.Host.Reloaded))]

namespace IronLoop.Server.Host;

/// <summary>
/// The code was changed while the program runs, as it is by whoever works on it: what was worked out by the code before is worked out anew.
/// </summary>
internal static class Reloaded
{
    private static ShopFile? _shop;

    /// <summary>Says whose file is open.</summary>
    public static void Watch(ShopFile shop) => _shop = shop;

    /// <summary>Called by the runtime, by this name.</summary>
    public static void ClearCache(Type[]? types) => _shop?.IsAnother();
}
