using System.Globalization;
using System.Net;
using System.Net.Sockets;
using System.Text;

namespace IronLoop.StandIns.Printers;

/// <summary>A label that came out.</summary>
/// <param name="Width">Its width in millimetres.</param>
/// <param name="Height">Its length.</param>
/// <param name="Png">Its picture.</param>
internal sealed record PrintedLabel(decimal Width, decimal Height, byte[] Png);

/// <summary>
/// A label printer with a roll of 62 mm on a TCP line: takes one line <c>LABEL width height bytes</c> and the picture, and answers
/// <c>PRINTED</c> or what is wrong. Whoever connects while it is offline is turned away.
/// </summary>
internal sealed class LabelMachine(int port) : BackgroundService
{
    private const int Roll = 62;
    private const int LargestPicture = 4 << 20;
    private const int Kept = 50;

    private readonly Lock _lock = new();
    private readonly List<PrintedLabel> _printed = [];

    /// <summary>Whether there is paper on the roll.</summary>
    public bool HasPaper { get; set; } = true;

    /// <summary>Whether it is switched on.</summary>
    public bool IsOn { get; set; } = true;

    /// <summary>What came out, the newest last.</summary>
    public IReadOnlyList<PrintedLabel> Printed
    {
        get
        {
            lock (_lock)
                return [.. _printed];
        }
    }

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        using var door = new TcpListener(IPAddress.Loopback, port);
        door.Start();
        while (!stoppingToken.IsCancellationRequested)
        {
            using var line = await door.AcceptTcpClientAsync(stoppingToken);
            if (!IsOn)
                continue;
            using var patience = CancellationTokenSource.CreateLinkedTokenSource(stoppingToken);
            patience.CancelAfter(TimeSpan.FromSeconds(5));
            try
            {
                await using var stream = line.GetStream();
                var answer = await Take(stream, patience.Token);
                await stream.WriteAsync(Encoding.ASCII.GetBytes(answer + "\n"), patience.Token);
            }
            catch (Exception gone) when (gone is IOException or OperationCanceledException)
            {
                // Whoever sent it went away; half a label is no label.
            }
        }
    }

    private async Task<string> Take(NetworkStream stream, CancellationToken stop)
    {
        var head = new StringBuilder();
        var one = new byte[1];
        while (head.Length < 100)
        {
            await stream.ReadExactlyAsync(one, stop);
            if (one[0] == '\n')
                break;
            head.Append((char)one[0]);
        }
        if (head.ToString().Split(' ') is not ["LABEL", var width, var height, var bytes]
            || !decimal.TryParse(width, NumberStyles.Number, CultureInfo.InvariantCulture, out var wide)
            || !decimal.TryParse(height, NumberStyles.Number, CultureInfo.InvariantCulture, out var high)
            || !int.TryParse(bytes, NumberStyles.None, CultureInfo.InvariantCulture, out var length) || length is < 1 or > LargestPicture)
            return "NOT A LABEL";
        var png = new byte[length];
        await stream.ReadExactlyAsync(png, stop);
        if (wide != Roll)
            return $"WRONG WIDTH, {Roll} MM IS LOADED";
        if (!HasPaper)
            return "OUT OF PAPER";
        if (!png.AsSpan().StartsWith((byte[])[0x89, 0x50, 0x4E, 0x47]))
            return "NOT A PICTURE";
        lock (_lock)
        {
            _printed.Add(new PrintedLabel(wide, high, png));
            if (_printed.Count > Kept)
                _printed.RemoveAt(0);
        }
        return "PRINTED";
    }
}
