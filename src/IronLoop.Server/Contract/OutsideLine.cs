using System.Net;
using System.Net.Sockets;

namespace IronLoop.Server.Contract;

/// <summary>Lines to what is outside: suppliers, a label printer, a caliper on the network. Addresses that a shop's own machines have no business at are not called.</summary>
internal static class OutsideLine
{
    /// <summary>Opens a line.</summary>
    /// <exception cref="LinkLocalException">The host stands at a link-local address.</exception>
    /// <exception cref="SocketException">Nobody answers there.</exception>
    public static async Task<NetworkStream> Open(string host, int port, CancellationToken cancellation)
    {
        var addresses = await Dns.GetHostAddressesAsync(host, cancellation);
        if (addresses.Any(IsLinkLocal))
            throw new LinkLocalException(host);
        // What was looked up is what is called: a name that answers otherwise the next time leads nowhere else.
        var socket = new Socket(SocketType.Stream, ProtocolType.Tcp) { NoDelay = true };
        try
        {
            await socket.ConnectAsync(addresses, port, cancellation);
            return new NetworkStream(socket, ownsSocket: true);
        }
        catch
        {
            socket.Dispose();
            throw;
        }
    }

    /// <summary>Whether a host is written as such an address.</summary>
    public static bool IsLinkLocal(string host) => IPAddress.TryParse(host.Trim('[', ']'), out var address) && IsLinkLocal(address);

    /// <summary>Whether an address is one that a machine gives itself, where the keeper of hired machines answers with their secrets.</summary>
    public static bool IsLinkLocal(IPAddress address) => address switch
    {
        { IsIPv4MappedToIPv6: true } => IsLinkLocal(address.MapToIPv4()),
        { AddressFamily: AddressFamily.InterNetwork } => address.GetAddressBytes() is [169, 254, ..],
        _ => address.IsIPv6LinkLocal,
    };
}

/// <summary>A host that is not called, since it stands at a link-local address.</summary>
internal sealed class LinkLocalException(string host) : IOException($"{host} is at a link-local address, which is not called.");
