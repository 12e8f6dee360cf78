using System.Globalization;
using IronLoop.Core.Measuring;
using IronLoop.Server.Contract;
using IronLoop.Storage;

namespace IronLoop.Server.Devices;

/// <summary>Where a caliper's lines come from.</summary>
internal enum CaliperKind
{
    /// <summary>No line; a caliper that types as a keyboard needs none.</summary>
    None,

    /// <summary>The stand-in that ships with the program.</summary>
    StandIn,

    /// <summary>A TCP line.</summary>
    Tcp,

    /// <summary>A serial port.</summary>
    Serial,
}

/// <summary>A caliper's line as settled.</summary>
/// <param name="Kind">Where the lines come from.</param>
/// <param name="Host">Host of a TCP line.</param>
/// <param name="Port">Port of a TCP line.</param>
/// <param name="Serial">Name of a serial port.</param>
/// <param name="Baud">Its speed.</param>
internal sealed record CaliperSource(CaliperKind Kind, string Host = "127.0.0.1", int Port = 5182, string Serial = "/dev/ttyUSB0", int Baud = 9600)
{
    public const string Setting = "caliper";
    private static readonly AllowedNumber Ports = new(1, 65_535);
    private static readonly AllowedNumber Bauds = new(300, 921_600);

    /// <summary>As settled; none where what is stored cannot be a line.</summary>
    public static CaliperSource Find(ShopWork work) => Read(Settings.Find(work, Setting)) ?? new CaliperSource(CaliperKind.None);

    /// <summary>What is stored of it; null where that cannot be a line.</summary>
    public static CaliperSource? Read(string? stored)
    {
        if (stored?.Split('\t') is not [var kind, var host, var port, var serial, var baud] || !Enum.TryParse<CaliperKind>(kind, out var known) || !Enum.IsDefined(known)
            || !int.TryParse(port, NumberStyles.None, CultureInfo.InvariantCulture, out var at) || !int.TryParse(baud, NumberStyles.None, CultureInfo.InvariantCulture, out var speed))
            return null;
        try
        {
            return new CaliperSource(known, host, at, serial, speed).Checked();
        }
        catch (RefusedException)
        {
            return null;
        }
    }

    public void Settle(ShopWork work) =>
        Settings.Set(work, Setting, string.Create(CultureInfo.InvariantCulture, $"{Kind}\t{Host}\t{Port}\t{Serial}\t{Baud}"));

    /// <summary>The same, refused where it cannot be a line.</summary>
    public CaliperSource Checked()
    {
        var refusals = new Refusals();
        var host = refusals.Host("$.host", Host, required: Kind == CaliperKind.Tcp);
        var serial = refusals.Text("$.serial", Serial, 100, required: Kind == CaliperKind.Serial);
        refusals.Check("$.port", Ports, Port);
        refusals.Check("$.baud", Bauds, Baud);
        if (serial.Any(char.IsWhiteSpace))
            refusals.Add("$.serial", "A name of a port holds no spaces.");
        refusals.ThrowIfAny("The caliper’s line cannot be set like this.");
        return this with { Host = host, Serial = serial };
    }
}
