using System.Security.Cryptography.X509Certificates;
using IronLoop.Server.Contract;
using IronLoop.Storage;

namespace IronLoop.Server.Host;

/// <summary>What the program logs, and where it listens.</summary>
internal static class Listening
{
    public static void Add(WebApplicationBuilder builder, Switches switches, X509Certificate2? certificate)
    {
        // One line of JSON each, so that a program can read them; the request's number stands in all that belong to it.
        builder.Logging.ClearProviders();
        builder.Logging.AddJsonConsole(json => (json.IncludeScopes, json.UseUtcTimestamp, json.TimestampFormat) = (true, true, "yyyy-MM-dd'T'HH:mm:ss.fff'Z'"));
        builder.Logging.AddFilter("Microsoft", LogLevel.Warning);
        // What comes of a call to a supplier is said by the order; its tries are not the log's business.
        builder.Logging.AddFilter("System.Net.Http", LogLevel.Warning);
        builder.Logging.AddFilter("Polly", LogLevel.Critical);
        // A start that fails is said in one line below, not as a stack of calls.
        builder.Logging.AddFilter("Microsoft.Extensions.Hosting", LogLevel.None);
        // That keys lie in the shop's folder as they are is meant: whoever reads that folder has the shop.
        builder.Logging.AddFilter("Microsoft.AspNetCore.DataProtection", LogLevel.Error);
        builder.WebHost.ConfigureKestrel(kestrel =>
        {
            kestrel.Limits.MaxRequestBodySize = 1 << 20;
            kestrel.AddServerHeader = false;
            if (switches.Listen is { } address && certificate is not null)
                kestrel.Listen(System.Net.IPAddress.Parse(address), switches.Port, listen => listen.UseHttps(certificate));
        });
        // This machine alone, unless others are asked for.
        if (switches.Listen is null)
            builder.WebHost.UseUrls($"http://127.0.0.1:{switches.Port}");
        // A page from elsewhere must not reach the shop under a name of its own.
        builder.Configuration["AllowedHosts"] = string.Join(';', switches.Hosts);
    }
}
