using System.Net;
using System.Net.Sockets;
using System.Text;

namespace IronLoop.StandIns.Calipers;

/// <summary>The caliper's line: whoever connects over TCP on loopback is sent every reading, one a line.</summary>
internal sealed class CaliperLine(int port, TextWriter told) : BackgroundService
{
    private readonly Lock _lock = new();
    private readonly List<TcpClient> _listeners = [];

    /// <summary>How many listen.</summary>
    public int Listeners
    {
        get
        {
            lock (_lock)
            {
                // A listener that went away is seen by its closed end: nothing to read, though it is ready to be read.
                foreach (var gone in _listeners.Where(l => l.Client.Poll(0, SelectMode.SelectRead) && l.Available == 0).ToList())
                    Forget(gone);
                return _listeners.Count;
            }
        }
    }

    /// <summary>Sends a line to all who listen.</summary>
    public void Send(string line)
    {
        var bytes = Encoding.Latin1.GetBytes(line + "\r\n");
        lock (_lock)
        {
            foreach (var listener in _listeners.ToList())
            {
                try
                {
                    listener.GetStream().Write(bytes);
                }
                catch (Exception gone) when (gone is IOException or InvalidOperationException)
                {
                    Forget(listener);
                }
            }
        }
    }

    /// <summary>Drops the line, as a pulled plug does.</summary>
    public void Drop()
    {
        lock (_lock)
        {
            foreach (var listener in _listeners.ToList())
                Forget(listener);
        }
    }

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        using var door = new TcpListener(IPAddress.Loopback, port);
        door.Start();
        await told.WriteLineAsync($"The stand-in caliper’s line is at 127.0.0.1:{((IPEndPoint)door.LocalEndpoint).Port}.");
        while (!stoppingToken.IsCancellationRequested)
        {
            var listener = await door.AcceptTcpClientAsync(stoppingToken);
            listener.NoDelay = true;
            lock (_lock)
                _listeners.Add(listener);
        }
    }

    private void Forget(TcpClient listener)
    {
        _listeners.Remove(listener);
        listener.Dispose();
    }
}
