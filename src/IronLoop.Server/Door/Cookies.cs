using IronLoop.Server.Contract;
using IronLoop.Storage;
using Microsoft.AspNetCore.Antiforgery;
using Microsoft.AspNetCore.Authentication.Cookies;
using Microsoft.AspNetCore.HttpOverrides;

namespace IronLoop.Server.Door;

/// <summary>
/// The cookies of session and page: for this site's own pages, out of reach of scripts, and, where the shop is reached by HTTPS, sent over
/// that alone and set by this host alone. A proxy that is told of says by which a call came, and from where.
/// </summary>
internal static class Cookies
{
    public static void Add(IServiceCollection services)
    {
        services.AddOptions<CookieAuthenticationOptions>(CookieAuthenticationDefaults.AuthenticationScheme).Configure<Switches>((session, switches) =>
        {
            Narrow(session.Cookie, "iron-loop", switches);
            // How long it lasts is kept by the shop, which can end it.
            (session.ExpireTimeSpan, session.SlidingExpiration) = (Sessions.Longest, false);
        });
        services.AddOptions<AntiforgeryOptions>().Configure<Switches>((page, switches) =>
        {
            Narrow(page.Cookie, "iron-loop-page", switches);
            page.HeaderName = Doorkeeper.Token;
        });
        services.AddOptions<ForwardedHeadersOptions>().Configure<Switches>((forwarded, switches) =>
        {
            if (switches.Behind is not { } proxy)
                return;
            (forwarded.ForwardedHeaders, forwarded.ForwardLimit) = (ForwardedHeaders.XForwardedFor | ForwardedHeaders.XForwardedProto, 1);
            forwarded.KnownIPNetworks.Clear();
            forwarded.KnownProxies.Clear();
            forwarded.KnownProxies.Add(proxy);
        });
    }

    private static void Narrow(CookieBuilder cookie, string name, Switches switches)
    {
        (cookie.Name, cookie.Path, cookie.HttpOnly, cookie.SameSite) = (switches.Cookie(name), "/", true, SameSiteMode.Strict);
        cookie.SecurePolicy = CookieSecurePolicy.SameAsRequest;
    }
}
