using IronLoop.Server.Contract;
using IronLoop.Storage;

namespace IronLoop.Server.Devices;

/// <summary>Where the suppliers' service is: as the house settled it, else the stand-in that ships with the program.</summary>
internal sealed class SupplierSource(Switches switches, IConfiguration configuration)
{
    public const string Setting = "suppliers";

    /// <summary>The stand-in's address; null when it was not started.</summary>
    public string? StandIn => configuration["suppliers"] is { Length: > 0 } elsewhere ? elsewhere
        : switches.StandIns > 0 ? $"http://127.0.0.1:{switches.StandIns + 2}/"
        : null;

    /// <summary>The address; null when there is none.</summary>
    public Uri? Address(ShopWork work) => Settings.Find(work, Setting) is { Length: > 0 } settled && Read(settled) is { } address ? new Uri(address) : StandIn is { } standIn ? new Uri(standIn) : null;

    /// <summary>Settles the address; empty goes back to the stand-in.</summary>
    public static void Settle(ShopWork work, string address) => Settings.Set(work, Setting, address);

    /// <summary>The address as typed, with a slash at its end; null when it is none.</summary>
    public static string? Read(string typed) =>
        Uri.TryCreate(typed.EndsWith('/') ? typed : typed + "/", UriKind.Absolute, out var address) && address.Scheme is "http" or "https" && address.UserInfo.Length == 0 && !OutsideLine.IsLinkLocal(address.Host)
            ? address.AbsoluteUri
            : null;
}
