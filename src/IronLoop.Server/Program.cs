using System.Security.Cryptography;
using System.Security.Cryptography.X509Certificates;
using IronLoop.Server.Contract;
using IronLoop.Server.Host;
using IronLoop.Server.Safekeeping;

OnlyOurs.FromNowOn();
if (!Switches.TryRead(args, out var switches, out var why))
{
    await Console.Error.WriteLineAsync(why);
    return 2;
}
if (switches.Restore is { } kept)
    return await Opening.Restore(switches, kept);

X509Certificate2? certificate = null;
try
{
    // Read before anything else is begun, so that a wrong file is said in one line.
    if (switches.Secured is { } pem)
        certificate = X509Certificate2.CreateFromPemFile(pem.Certificate, pem.Key);
}
catch (CryptographicException wrong)
{
    await Console.Error.WriteLineAsync($"The certificate and its key cannot be read as PEM: {wrong.Message}");
    return 2;
}

// A call waits for its turn at the file on a thread of its own; on two cores the pool would begin with two.
ThreadPool.SetMinThreads(64, 64);

var builder = WebApplication.CreateBuilder(new WebApplicationOptions
{
    Args = switches.Rest,
    ContentRootPath = AppContext.BaseDirectory,
    WebRootPath = switches.Web,
});
Listening.Add(builder, switches, certificate);
Services.Add(builder, switches);
var app = builder.Build();
Calls.Prepare(app);
Calls.Map(app);
Opening.Foresee(app);
if (StartedBy.IsReal && await Opening.Open(app, switches) is { } ended)
    return ended;
Opening.Started(app, switches);
try
{
    await app.RunAsync();
    return 0;
}
catch (IOException taken) when (taken.InnerException is Microsoft.AspNetCore.Connections.AddressInUseException)
{
    await Console.Error.WriteLineAsync($"Port {switches.Port} is taken by another program; choose another with --port N.");
    return 1;
}
