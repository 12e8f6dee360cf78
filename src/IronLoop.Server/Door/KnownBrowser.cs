using IronLoop.Server.Contract;
using Microsoft.AspNetCore.DataProtection;

namespace IronLoop.Server.Door;

/// <summary>The mark of a browser that somebody was let in with before; it opens nothing, it only counts wrong tries apart.</summary>
internal sealed class KnownBrowser(IDataProtectionProvider protection, Switches switches)
{
    private readonly string _cookie = switches.Cookie("iron-loop-known");
    private static readonly TimeSpan Kept = TimeSpan.FromDays(180);
    private readonly IDataProtector _protector = protection.CreateProtector("known browser");

    /// <summary>The browser's mark, if those initials were let in with it before; else null.</summary>
    public string? MarkOf(HttpContext context, string initials)
    {
        if (context.Request.Cookies[_cookie] is not { Length: > 0 and < 1_000 } sealed_)
            return null;
        try
        {
            return _protector.Unprotect(sealed_).Split(' ') is [var whose, var mark] && whose == initials ? mark : null;
        }
        catch (System.Security.Cryptography.CryptographicException)
        {
            return null;
        }
    }

    /// <summary>Marks a browser that somebody is let in with.</summary>
    public void Mark(HttpContext context, string initials)
    {
        if (MarkOf(context, initials) is null)
            context.Response.Cookies.Append(_cookie, _protector.Protect($"{initials} {Guid.NewGuid():n}"), new CookieOptions
            {
                HttpOnly = true,
                SameSite = SameSiteMode.Strict,
                Secure = context.Request.IsHttps,
                MaxAge = Kept,
                Path = switches.IsSecure ? "/" : "/api/door",
            });
    }
}
