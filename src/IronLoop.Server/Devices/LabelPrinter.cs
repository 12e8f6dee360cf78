using System.Globalization;
using System.Net.Sockets;
using System.Text;
using IronLoop.Core.Measuring;
using IronLoop.Server.Contract;
using IronLoop.Storage;

namespace IronLoop.Server.Devices;

/// <summary>Which label printer there is.</summary>
internal enum PrinterKind
{
    /// <summary>None: labels are printed as PDF.</summary>
    None,

    /// <summary>The stand-in that ships with the program.</summary>
    StandIn,

    /// <summary>A printer on the network.</summary>
    Tcp,
}

/// <summary>The label printer as set.</summary>
/// <param name="Kind">Which one.</param>
/// <param name="Host">Its host.</param>
/// <param name="Port">Its port.</param>
internal sealed record LabelPrinter(PrinterKind Kind, string Host = "127.0.0.1", int Port = 9100)
{
    public const string Setting = "label printer";
    private static readonly AllowedNumber Ports = new(1, 65_535);
    private static readonly TimeSpan Patience = TimeSpan.FromSeconds(5);

    /// <summary>As settled; none where what is stored cannot be a printer.</summary>
    public static LabelPrinter Find(ShopWork work) => Read(Settings.Find(work, Setting)) ?? new LabelPrinter(PrinterKind.None);

    /// <summary>What is stored of it; null where that cannot be a printer.</summary>
    public static LabelPrinter? Read(string? stored)
    {
        if (stored?.Split('\t') is not [var kind, var host, var port] || !Enum.TryParse<PrinterKind>(kind, out var known) || !Enum.IsDefined(known)
            || !int.TryParse(port, NumberStyles.None, CultureInfo.InvariantCulture, out var at))
            return null;
        try
        {
            return new LabelPrinter(known, host, at).Checked();
        }
        catch (RefusedException)
        {
            return null;
        }
    }

    public void Settle(ShopWork work) => Settings.Set(work, Setting, string.Create(CultureInfo.InvariantCulture, $"{Kind}\t{Host}\t{Port}"));

    /// <summary>The same, refused where it cannot be a printer.</summary>
    public LabelPrinter Checked()
    {
        var refusals = new Refusals();
        var host = refusals.Host("$.host", Host, required: Kind == PrinterKind.Tcp);
        refusals.Check("$.port", Ports, Port);
        refusals.ThrowIfAny("The label printer cannot be set like this.");
        return this with { Host = host };
    }

    /// <summary>
    /// Sends a label over TCP: one line with width and height in millimetres and how many bytes follow, then the picture as PNG.
    /// The printer answers one line: PRINTED, or what is wrong.
    /// </summary>
    /// <exception cref="RefusedException">It is offline, out of paper, or says what is wrong; nothing was printed.</exception>
    public async Task Print(byte[] png, float width, float height, CancellationToken stop)
    {
        if (Kind == PrinterKind.None)
            throw RefusedException.Conflict("No label printer is set; print the label as PDF, or set one under Shop.");
        using var patience = CancellationTokenSource.CreateLinkedTokenSource(stop);
        patience.CancelAfter(Patience);
        string answer;
        try
        {
            await using var stream = await OutsideLine.Open(Host, Port, patience.Token);
            await stream.WriteAsync(Encoding.ASCII.GetBytes(string.Create(CultureInfo.InvariantCulture, $"LABEL {width:0.#} {height:0.#} {png.Length}\n")), patience.Token);
            await stream.WriteAsync(png, patience.Token);
            await stream.FlushAsync(patience.Token);
            answer = await Line(stream, patience.Token);
        }
        catch (Exception gone) when (gone is SocketException or IOException or ArgumentException || (gone is OperationCanceledException && !stop.IsCancellationRequested))
        {
            throw Gone();
        }
        // A printer that is switched off may take the call and hang up.
        if (answer.Length == 0)
            throw Gone();
        if (answer.Trim() != "PRINTED")
        {
            // What else it says is not passed on: whatever answers at that address may be no printer.
            var why = answer.Trim() switch
            {
                "OUT OF PAPER" => "is out of paper",
                "HEAD TOO HOT" => "has too hot a head",
                "COVER OPEN" => "has its cover open",
                _ => "says something that no label printer says",
            };
            throw new RefusedException(StatusCodes.Status503ServiceUnavailable, $"The label printer {why}; nothing was printed.", new Dictionary<string, string[]>());
        }
    }

    /// <summary>The line it answers; of more than a line of a printer, its beginning.</summary>
    private static async Task<string> Line(Stream stream, CancellationToken stop)
    {
        const int longest = 200;
        var (bytes, count) = (new byte[longest], 0);
        while (count < longest && await stream.ReadAsync(bytes.AsMemory(count), stop) is > 0 and var read)
        {
            count += read;
            if (bytes.AsSpan(0, count).Contains((byte)'\n'))
                break;
        }
        return Encoding.ASCII.GetString(bytes, 0, count).Split('\n')[0].TrimEnd('\r');
    }

    private RefusedException Gone() => new(StatusCodes.Status503ServiceUnavailable,
        $"The label printer at {Host}, port {Port} does not answer; nothing was printed. Switch it on, or print the label as PDF.", new Dictionary<string, string[]>());
}
