using System.Diagnostics.CodeAnalysis;
using System.Globalization;
using System.Net;
using System.Net.NetworkInformation;
using System.Net.Sockets;

namespace IronLoop.Server.Contract;

/// <summary>
/// The program's own switches. They are taken out before the configuration parser sees the rest, since that one takes
/// a bare switch for a name and swallows the next word as its value.
/// </summary>
/// <param name="Port">Port on the loopback address; 0 lets the system choose one.</param>
/// <param name="Data">Folder of the shop's file.</param>
/// <param name="Demo">Whether an empty shop is filled with the demo.</param>
/// <param name="Web">Folder of the built client; null for wwwroot beside the program.</param>
/// <param name="StandIns">Port of the stand-ins' panel, the caliper's line being one above; 0 when they were not started.</param>
/// <param name="Rest">Everything else.</param>
internal sealed record Switches(int Port, string Data, bool Demo, string? Web, int StandIns, string[] Rest)
{
    /// <summary>A backup that is put in the shop's place before anything else; null where the shop stays.</summary>
    public string? Restore { get; init; }

    /// <summary>An address beyond this machine to listen at, such as 192.168.1.20 or 0.0.0.0; null for this machine alone.</summary>
    public string? Listen { get; init; }

    /// <summary>Names other machines may call it by, besides the address.</summary>
    public IReadOnlyList<string> Names { get; init; } = [];

    /// <summary>The certificate and its key, as PEM files, that others are answered with.</summary>
    public (string Certificate, string Key)? Secured { get; init; }

    /// <summary>The proxy it stands behind, which speaks HTTPS with the others and passes their addresses on; null where it stands alone.</summary>
    public IPAddress? Behind { get; init; }

    /// <summary>Whether it is reached by HTTPS: then cookies are for that alone.</summary>
    public bool IsSecure => Listen is not null || Behind is not null;

    /// <summary>A cookie's name: one that only this host can set, where it is reached by HTTPS.</summary>
    public string Cookie(string name) => IsSecure ? $"__Host-{name}" : name;

    /// <summary>
    /// The names it answers to. An address that stands for all of them is none of these: the host's filter would take it for any name.
    /// </summary>
    public IReadOnlyList<string> Hosts =>
    [
        "localhost", "127.0.0.1",
        .. Listen is not { } listen ? []
            : IPAddress.Parse(listen) is var address && (address.Equals(IPAddress.Any) || address.Equals(IPAddress.IPv6Any)) ? OwnAddresses()
            : (string[])[NameOf(address)],
        .. Names,
    ];

    private static string[] OwnAddresses() =>
        [.. NetworkInterface.GetAllNetworkInterfaces().SelectMany(card => card.GetIPProperties().UnicastAddresses).Select(own => NameOf(own.Address)).Distinct(StringComparer.Ordinal)];

    private static string NameOf(IPAddress address) => address.AddressFamily == AddressFamily.InterNetworkV6 ? $"[{new IPAddress(address.GetAddressBytes())}]" : address.ToString();

    public const int UsualPort = 5180;

    public static bool TryRead(string[] args, [NotNullWhen(true)] out Switches? switches, [NotNullWhen(false)] out string? why)
    {
        var (port, data, demo, web, standIns, restore) = (UsualPort, (string?)null, false, (string?)null, 0, (string?)null);
        var (listen, certificate, key, behind) = ((string?)null, (string?)null, (string?)null, (IPAddress?)null);
        var (rest, names) = (new List<string>(), new List<string>());
        (switches, why) = (null, null);
        for (var i = 0; i < args.Length; i++)
        {
            switch (args[i])
            {
                case "--demo":
                    demo = true;
                    break;
                case "--port" or "--data" or "--web" or "--stand-ins" or "--restore" or "--listen" or "--name" or "--certificate" or "--key" or "--behind" when i + 1 >= args.Length:
                    why = $"{args[i]} needs a value.";
                    return false;
                case "--port" or "--stand-ins":
                    var name = args[i];
                    if (!int.TryParse(args[++i], NumberStyles.None, CultureInfo.InvariantCulture, out var number) || number > 65_535)
                    {
                        why = $"{name} is {args[i]}; allowed is 0 to 65535.";
                        return false;
                    }
                    (port, standIns) = name == "--port" ? (number, standIns) : (port, number);
                    break;
                case "--data":
                    data = args[++i];
                    break;
                case "--restore":
                    restore = args[++i];
                    break;
                case "--listen":
                    listen = args[++i];
                    if (!IPAddress.TryParse(listen, out _))
                    {
                        why = $"--listen is {listen}; allowed is an address of this machine such as 192.168.1.20, or 0.0.0.0 for all of them.";
                        return false;
                    }
                    break;
                case "--behind":
                    if (!IPAddress.TryParse(args[++i], out behind))
                    {
                        why = $"--behind is {args[i]}; allowed is the address the proxy calls from, such as 127.0.0.1.";
                        return false;
                    }
                    break;
                case "--name":
                    if (args[++i].Contains('*', StringComparison.Ordinal) || IPAddress.TryParse(args[i], out _))
                    {
                        why = $"--name is {args[i]}; allowed is a name such as bench.shop.lan, without an asterisk.";
                        return false;
                    }
                    names.Add(args[i]);
                    break;
                case "--certificate":
                    certificate = args[++i];
                    break;
                case "--key":
                    key = args[++i];
                    break;
                case "--web":
                    web = Path.GetFullPath(args[++i]);
                    break;
                default:
                    rest.Add(args[i]);
                    break;
            }
        }
        if ((listen is not null || behind is not null) && demo)
        {
            why = $"The demo opens without a password, so it is served to this machine alone. Leave out {(listen is not null ? "--listen" : "--behind")}, or --demo.";
            return false;
        }
        if (((string?[])[certificate, key]).FirstOrDefault(f => f is not null && !File.Exists(f)) is { } missing)
        {
            why = $"There is no file {missing}.";
            return false;
        }
        if (listen is not null && (certificate is null || key is null))
        {
            why = "--listen needs --certificate FILE and --key FILE (PEM): passphrases must not cross the network in clear. docs/operations.md says how to make them.";
            return false;
        }
        switches = new Switches(port, data ?? (demo ? "data/demo" : "data/shop"), demo, web, standIns, [.. rest])
        {
            Restore = restore,
            Listen = listen,
            Behind = behind,
            Names = names,
            Secured = certificate is not null && key is not null ? (certificate, key) : null,
        };
        return true;
    }
}
