using IronLoop.Server.Contract;
using IronLoop.Storage;

namespace IronLoop.Server.Door;

/// <summary>How far the door stands open: the demo opens to everybody at this machine, a shop to whoever signs in.</summary>
/// <param name="isOpen">Whether nobody has to sign in. The demo is never served beyond this machine, so nobody else comes by.</param>
internal sealed class Doorway(bool isOpen)
{
    /// <summary>Whether nobody has to sign in.</summary>
    public bool IsOpen { get; } = isOpen;

    /// <summary>Refuses to serve other machines while that would not be safe; null when it may be.</summary>
    public static string? WhyNotBeyond(Switches switches, ShopFile shop)
    {
        if (!switches.IsSecure)
            return null;
        using var work = shop.Look();
        return Fitters.All(work).Any(f => f is { Role: Role.Lead, GoneAt: null })
            ? null
            : "Nobody is entered here yet, so whoever came first could take the shop. Start it without --listen and --behind, enter the first manager at this machine, then let others reach it.";
    }
}
