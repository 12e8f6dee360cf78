namespace IronLoop.Server.Safekeeping;

/// <summary>What a browser is told about every answer: nothing from elsewhere, no script that stands in a page, no frame around it.</summary>
internal sealed class SafeHeaders(RequestDelegate next)
{
    // The interface's library writes its colours into a style element, so styles may stand in the page; scripts may not.
    private const string Policy =
        "default-src 'self'; script-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:; font-src 'self'; connect-src 'self'; "
        + "object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

    public Task Invoke(HttpContext context)
    {
        context.Response.OnStarting(static state =>
        {
            var headers = ((HttpContext)state).Response.Headers;
            headers.ContentSecurityPolicy = Policy;
            headers.XContentTypeOptions = "nosniff";
            headers["Referrer-Policy"] = "no-referrer";
            headers["Cross-Origin-Opener-Policy"] = "same-origin";
            headers["Cross-Origin-Resource-Policy"] = "same-origin";
            return Task.CompletedTask;
        }, context);
        return next(context);
    }
}
