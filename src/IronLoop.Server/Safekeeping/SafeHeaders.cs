namespace IronLoop.Server.Safekeeping;

/// <summary>What a browser is told about every answer: nothing from elsewhere, no script that stands in a page, no frame around it.</summary>
internal sealed class SafeHeaders(RequestDelegate next)
{
    // The interface's library writes its colours into a style element, so styles may stand in the page; scripts may not.
    private const string Policy =
        "default-src 'self'; script-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:; font-src 'self'; connect-src 'self'; "
        + "object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

    // A picture is looked at: it loads nothing, runs nothing, and is nobody's page.
    private const string OfPictures = "default-src 'none'; style-src 'unsafe-inline'; font-src data:; sandbox";

    public Task Invoke(HttpContext context)
    {
        context.Response.OnStarting(static state =>
        {
            var (request, response) = (((HttpContext)state).Request, ((HttpContext)state).Response);
            var (headers, isOfTheShop) = (response.Headers, request.Path.StartsWithSegments("/api", StringComparison.OrdinalIgnoreCase));
            headers.ContentSecurityPolicy = isOfTheShop && response.ContentType?.StartsWith("image/", StringComparison.OrdinalIgnoreCase) == true ? OfPictures : Policy;
            // What the shop answers is nobody's to keep: not a browser's on a shared machine, nor a proxy's.
            if (isOfTheShop)
                headers.CacheControl = "no-store";
            headers.XContentTypeOptions = "nosniff";
            headers["Referrer-Policy"] = "no-referrer";
            headers["Cross-Origin-Opener-Policy"] = "same-origin";
            headers["Cross-Origin-Resource-Policy"] = "same-origin";
            return Task.CompletedTask;
        }, context);
        return next(context);
    }
}
