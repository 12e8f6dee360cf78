using System.IO.Ports;
using System.Net.Sockets;
using System.Text;
using IronLoop.Core.Measuring;
using IronLoop.Server.Contract;
using IronLoop.Server.Host;
using IronLoop.Storage;

namespace IronLoop.Server.Devices;

/// <summary>Keeps the caliper's line open, and opens it again when it is lost.</summary>
internal sealed class CaliperListener(ShopFile shop, CaliperFeed feed, Switches switches, ILogger<CaliperListener> log) : BackgroundService
{
    /// <summary>No caliper sends a longer line; what comes without an end is garbage.</summary>
    private const int LongestLine = 120;

    private static readonly TimeSpan Again = TimeSpan.FromSeconds(1);

    private readonly Lock _lock = new();
    private CancellationTokenSource _settled = new();

    /// <summary>The line was settled anew: let go of the one that is open.</summary>
    public void SettledAnew()
    {
        lock (_lock)
            _settled.Cancel();
    }

    public override void Dispose()
    {
        _settled.Dispose();
        base.Dispose();
    }

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        while (!stoppingToken.IsCancellationRequested)
        {
            lock (_lock)
            {
                _settled.Dispose();
                _settled = new CancellationTokenSource();
            }
            using var until = CancellationTokenSource.CreateLinkedTokenSource(stoppingToken, _settled.Token);
            try
            {
                await Keep(Settled(), until.Token);
            }
            catch (OperationCanceledException) when (until.IsCancellationRequested)
            {
                // Stopped or settled anew; the loop sees which.
            }
            catch (Exception trouble) when (trouble is not OperationCanceledException)
            {
                // Whatever is settled, the program goes on without its caliper.
                log.LogWarning("The caliper's line cannot be kept: {Trouble}", trouble.Message);
                await Task.Delay(Again, stoppingToken).ConfigureAwait(ConfigureAwaitOptions.SuppressThrowing);
            }
        }
    }

    private CaliperSource Settled()
    {
        using var work = shop.Look();
        return CaliperSource.Find(work);
    }

    private async Task Keep(CaliperSource source, CancellationToken until)
    {
        var name = source.Kind switch
        {
            CaliperKind.StandIn => "the stand-in caliper",
            CaliperKind.Tcp => $"the caliper at {source.Host}:{source.Port}",
            CaliperKind.Serial => $"the caliper at {source.Serial}",
            _ => null,
        };
        if (name is null)
        {
            feed.Tell(new CaliperWord(CaliperNews.Line, false, "No caliper line is set."));
            await Task.Delay(Timeout.InfiniteTimeSpan, until);
        }
        while (true)
        {
            try
            {
                await Read(source, name!, until);
                feed.Tell(new CaliperWord(CaliperNews.Line, false, $"Lost {name}; looking for it again."));
            }
            catch (Exception lost) when (lost is IOException or SocketException or UnauthorizedAccessException or InvalidOperationException or ArgumentException)
            {
                if (feed.Line.Connected)
                    log.LogInformation("Caliper line lost: {Why}", lost.Message);
                feed.Tell(new CaliperWord(CaliperNews.Line, false, $"Cannot reach {name}; looking for it again."));
            }
            await Task.Delay(Again, until);
        }
    }

    private async Task Read(CaliperSource source, string name, CancellationToken until)
    {
        if (source.Kind == CaliperKind.Serial)
        {
            using var port = new SerialPort(source.Serial, source.Baud);
            port.Open();
            await Read(port.BaseStream, name, until);
            return;
        }
        var (host, at) = source.Kind == CaliperKind.StandIn ? ("127.0.0.1", switches.StandIns + 1) : (source.Host, source.Port);
        await using var stream = await OutsideLine.Open(host, at, until);
        await Read(stream, name, until);
    }

    private async Task Read(Stream stream, string name, CancellationToken until)
    {
        feed.Tell(new CaliperWord(CaliperNews.Line, true, $"Listening to {name}."));
        var buffer = new byte[256];
        var line = new StringBuilder();
        while (await stream.ReadAsync(buffer, until) is > 0 and var count)
        {
            foreach (var letter in Encoding.Latin1.GetString(buffer, 0, count))
            {
                if (letter is '\r' or '\n' || line.Length == LongestLine)
                {
                    Take(line.ToString());
                    line.Clear();
                }
                if (letter is not ('\r' or '\n'))
                    line.Append(letter);
            }
        }
    }

    private void Take(string line)
    {
        if (line.Length == 0)
            return;
        feed.Tell(CaliperLine.TryParse(line, out var reading, out var why)
            ? new CaliperWord(CaliperNews.Reading, true, reading.InInches ? $"{line.Trim()}, taken as {reading.Length}" : reading.Length.ToString(),
                reading.Length.ToString(), reading.InInches)
            : new CaliperWord(CaliperNews.Garbage, true, why));
    }
}
