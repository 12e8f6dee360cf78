using System.Diagnostics;
using System.Globalization;
using System.Net;
using System.Net.Http.Json;
using System.Net.Sockets;

namespace IronLoop.Browser.Tests;

/// <summary>The stand-in caliper as its own process, worked by its panel's calls.</summary>
public sealed class StandInCaliper : IDisposable
{
    private readonly HttpClient _panel;
    private Process _process;

    public StandInCaliper()
    {
        Port = TwoFreePorts();
        _panel = new HttpClient { BaseAddress = new Uri($"http://127.0.0.1:{Port}") };
        _process = Start();
    }

    /// <summary>Port of the panel; the line is one above.</summary>
    public int Port { get; }

    /// <summary>Puts the jaw somewhere and sends a reading.</summary>
    public void Read(double mm)
    {
        Do("jaw", new { mm });
        Do("send", new { });
    }

    public void Do(string act, object? body = null) =>
        _panel.PostAsJsonAsync($"/caliper/{act}", body ?? new { }).GetAwaiter().GetResult().EnsureSuccessStatusCode();

    public void End() => RunningProgram.Stop(_process);

    public void StartAgain() => _process = Start();

    public void Dispose()
    {
        End();
        _panel.Dispose();
    }

    private Process Start() =>
        RunningProgram.Start([House.StandIns, "--port", Port.ToString(CultureInfo.InvariantCulture)], "The stand-in caliper’s line is at").Process;

    private static int TwoFreePorts()
    {
        while (true)
        {
            using var one = new TcpListener(IPAddress.Loopback, 0);
            one.Start();
            var port = ((IPEndPoint)one.LocalEndpoint).Port;
            try
            {
                using var other = new TcpListener(IPAddress.Loopback, port + 1);
                other.Start();
                return port;
            }
            catch (SocketException)
            {
                // The one above is taken; look elsewhere.
            }
        }
    }
}
