using System.Diagnostics;
using System.Globalization;
using System.Net;
using System.Net.Sockets;
using IronLoop.StandIns.Calipers;
using IronLoop.StandIns.Printers;
using IronLoop.StandIns.Suppliers;

// Usage: IronLoop.StandIns --port N [--while PID]
//   --port N     the panel is on port N of the loopback address, the caliper's line on port N + 1,
//                the suppliers on N + 2, the label printer on N + 3
//   --while PID  ends when that process ends
var port = Option("--port", 5181);
var parent = Option("--while", 0);

await UntilFree(port);
var builder = WebApplication.CreateBuilder();
builder.Logging.ClearProviders();
builder.WebHost.UseUrls(string.Create(CultureInfo.InvariantCulture, $"http://127.0.0.1:{port}"));
builder.Services.AddSingleton(new Caliper(new Random()));
// A panel left open in a browser must not hold up the port for the next start.
builder.Services.Configure<HostOptions>(host => host.ShutdownTimeout = TimeSpan.FromMilliseconds(200));
builder.Services.AddSingleton(new CaliperLine(port + 1, Console.Out));
builder.Services.AddHostedService(services => services.GetRequiredService<CaliperLine>());
builder.Services.AddSingleton(new LabelMachine(port + 3));
builder.Services.AddHostedService(services => services.GetRequiredService<LabelMachine>());
var app = builder.Build();
app.MapCaliperPanel();
app.MapLabelPanel();
var suppliers = SupplierService.Build(port + 2, TimeProvider.System, unsteady: true);
app.MapGet("/suppliers/play", () => suppliers.Play());
app.MapPost("/suppliers/play", (PlayWire play) => suppliers.Play(play));
if (parent > 0)
    _ = EndWith(parent, app.Lifetime);
try
{
    await suppliers.StartAsync();
    await app.RunAsync();
    await suppliers.StopAsync();
    return 0;
}
catch (Exception taken) when (taken is IOException or SocketException)
{
    await Console.Error.WriteLineAsync($"The stand-ins cannot start: {taken.Message}");
    return 1;
}

int Option(string name, int usual)
{
    var at = Array.IndexOf(args, name);
    return at >= 0 && at + 1 < args.Length && int.TryParse(args[at + 1], NumberStyles.None, CultureInfo.InvariantCulture, out var number) ? number : usual;
}

// After a quick restart the stand-in of the start before may still be on its way out.
static async Task UntilFree(int port)
{
    for (var tries = 0; tries < 20; tries++)
    {
        try
        {
            using var door = new TcpListener(IPAddress.Loopback, port);
            door.Start();
            return;
        }
        catch (SocketException)
        {
            await Task.Delay(500);
        }
    }
}

static async Task EndWith(int process, IHostApplicationLifetime life)
{
    try
    {
        using var other = Process.GetProcessById(process);
        await other.WaitForExitAsync(life.ApplicationStopping);
    }
    catch (ArgumentException)
    {
        // It has ended already.
    }
    life.StopApplication();
}
