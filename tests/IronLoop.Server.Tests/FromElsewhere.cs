using System.Net;
using Microsoft.AspNetCore.Builder;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Http;

namespace IronLoop.Server.Tests;

/// <summary>Lets a call of the tests come from another machine: from the address it gives in a header.</summary>
public sealed class FromElsewhere : IStartupFilter
{
    public const string Header = "X-Test-From";

    public Action<IApplicationBuilder> Configure(Action<IApplicationBuilder> next) => app =>
    {
        app.Use((context, rest) =>
        {
            if (context.Request.Headers[Header] is [{ } address])
                context.Connection.RemoteIpAddress = IPAddress.Parse(address);
            return rest(context);
        });
        next(app);
    };
}
