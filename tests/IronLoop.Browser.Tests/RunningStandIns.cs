using System.Diagnostics;
using System.Globalization;
using System.Net;
using System.Net.Http.Json;
using System.Net.Sockets;

namespace IronLoop.Browser.Tests;

/// <summary>The stand-ins as their own process, worked by their panel's calls.</summary>
public sealed class RunningStandIns : IDisposable
{
    private readonly HttpClient _panel;
    private Process _process;

    public RunningStandIns()
    {
        Port = FreePorts();
        _panel = new HttpClient { BaseAddress = new Uri($"http://127.0.0.1:{Port}") };
        _process = Start();
    }

    /// <summary>Port of the panel; the caliper's line is one above, the suppliers are two, the label printer is three.</summary>
    public int Port { get; }

    /// <summary>Puts the jaw somewhere and sends a reading.</summary>
    public void Read(double mm)
    {
        Do("jaw", new { mm });
        Do("send", new { });
    }

    public void Do(string act, object? body = null) =>
        _panel.PostAsJsonAsync($"/caliper/{act}", body ?? new { }).GetAwaiter().GetResult().EnsureSuccessStatusCode();

    /// <summary>Plays a mood of the suppliers; answers how many orders they have taken.</summary>
    public int Play(object? mood = null)
    {
        var answer = _panel.PostAsJsonAsync("/suppliers/play", mood ?? new { }).GetAwaiter().GetResult().EnsureSuccessStatusCode();
        return answer.Content.ReadFromJsonAsync<System.Text.Json.Nodes.JsonNode>().GetAwaiter().GetResult()!["orders"]!.GetValue<int>();
    }

    /// <summary>Plays the label printer: its roll, its switch; answers how many labels came out.</summary>
    public int Printer(object? play = null)
    {
        var answer = _panel.PostAsJsonAsync("/labels/play", play ?? new { }).GetAwaiter().GetResult().EnsureSuccessStatusCode();
        return answer.Content.ReadFromJsonAsync<System.Text.Json.Nodes.JsonNode>().GetAwaiter().GetResult()!["printed"]!.GetValue<int>();
    }

    public void End() => RunningProgram.Stop(_process);

    public void StartAgain() => _process = Start();

    public void Dispose()
    {
        End();
        _panel.Dispose();
    }

    private Process Start() =>
        RunningProgram.Start(House.StandIns, ["--port", Port.ToString(CultureInfo.InvariantCulture)], "The stand-in caliper’s line is at").Process;

    private static int FreePorts()
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
                using var third = new TcpListener(IPAddress.Loopback, port + 2);
                third.Start();
                using var fourth = new TcpListener(IPAddress.Loopback, port + 3);
                fourth.Start();
                return port;
            }
            catch (SocketException)
            {
                // One above is taken; look elsewhere.
            }
        }
    }
}
