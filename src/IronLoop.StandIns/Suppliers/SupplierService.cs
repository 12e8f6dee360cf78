using System.Globalization;

namespace IronLoop.StandIns.Suppliers;

/// <summary>An order as sent.</summary>
internal sealed record NewOrder(string Supplier, string Reference, IReadOnlyList<AskedLine> Lines);

/// <summary>How the suppliers are, and how many orders they have taken.</summary>
/// <param name="Failures">How many calls failed because it was played.</param>
internal sealed record PlayedWire(PlayWire Now, int Orders, int Failures);

/// <summary>A quote asked for.</summary>
internal sealed record AskQuote(string Supplier, IReadOnlyList<AskedLine> Lines);

/// <summary>A line quoted.</summary>
internal sealed record QuotedLine(string Article, int Count, long PriceCents, int Available);

/// <summary>A quote.</summary>
internal sealed record Quote(string Supplier, IReadOnlyList<QuotedLine> Lines, long TotalCents, int Days);

/// <summary>
/// The suppliers as a service of their own over HTTP: parts are searched by measured size, quoted, ordered under a key
/// that makes a repeated order one, and followed until they are shipped. Its moods can be played.
/// </summary>
internal static class SupplierService
{
    public const string KeyHeader = "Idempotency-Key";

    /// <summary>Makes the service.</summary>
    /// <param name="port">Port on the loopback address; 0 lets the system choose.</param>
    /// <param name="clock">The real clock behind the made-up one.</param>
    /// <param name="unsteady">Whether every seventh call fails by itself.</param>
    public static WebApplication Build(int port, TimeProvider clock, bool unsteady = false)
    {
        var builder = WebApplication.CreateSlimBuilder();
        builder.Logging.ClearProviders();
        builder.WebHost.UseUrls(string.Create(CultureInfo.InvariantCulture, $"http://127.0.0.1:{port}"));
        builder.Services.Configure<HostOptions>(host => host.ShutdownTimeout = TimeSpan.FromMilliseconds(200));
        builder.Services.AddOpenApi();
        builder.Services.AddSingleton(new OrderBook(clock));
        builder.Services.AddSingleton(new Moods(unsteady));
        var app = builder.Build();
        app.Use(Moody);
        app.MapOpenApi();
        app.MapGet("/suppliers", () => Offers.Suppliers).WithSummary("Who supplies here.");
        app.MapGet("/parts", Search).WithSummary("Parts by measured size, the nearest first.");
        app.MapGet("/parts/{article}", (string article, OrderBook book) => Offers.All.FirstOrDefault(o => o.Article == article) is { } offer
            ? Results.Ok(offer with { Available = book.OnShelf(article) })
            : Results.NotFound()).WithSummary("One part.").Produces<Offer>();
        app.MapPost("/quotes", Quoted).WithSummary("What parts cost, and how many lie on the shelf.");
        app.MapPost("/orders", Order).WithSummary("Orders parts. The same Idempotency-Key is the same order.");
        app.MapGet("/orders/{number}", (string number, OrderBook book) => book.Find(number) is { } order ? Results.Ok(order) : Results.NotFound())
            .WithSummary("How far an order has come.").Produces<StandingOrder>();
        app.MapGet("/play", () => app.Play()).ExcludeFromDescription();
        app.MapPost("/play", (PlayWire play) => app.Play(play)).ExcludeFromDescription();
        return app;
    }

    /// <summary>Plays a mood, and says how the suppliers are and how many orders they have.</summary>
    public static PlayedWire Play(this WebApplication service, PlayWire? play = null)
    {
        var (moods, book) = (service.Services.GetRequiredService<Moods>(), service.Services.GetRequiredService<OrderBook>());
        if (play is not null)
        {
            moods.Play(play);
            book.Forward(play.ForwardHours ?? 0);
        }
        return new PlayedWire(moods.Now, book.Count, moods.Played);
    }

    private static async Task Moody(HttpContext context, RequestDelegate next)
    {
        var moods = context.RequestServices.GetRequiredService<Moods>();
        if (context.Request.Path.StartsWithSegments("/play", StringComparison.Ordinal))
            await next(context);
        else if (moods.Down)
            context.Response.StatusCode = StatusCodes.Status503ServiceUnavailable;
        else if (moods.Fails())
            context.Response.StatusCode = StatusCodes.Status500InternalServerError;
        else
            await next(context);
    }

    private static IEnumerable<Offer> Search(
        OrderBook book, string kind, string? clasp = null, decimal? widthMm = null, decimal? diameterMm = null, decimal? lengthMm = null)
    {
        return Offers.All
            .Where(o => o.Kind == kind && (clasp is null || o.Clasp == clasp))
            .Select(o => (Offer: o, Off: Off(widthMm, o.InnerMm ?? o.WidthMm ?? (o.OverButtonsMm - 1.6m)) + Off(diameterMm, o.DiameterMm) + Off(lengthMm, o.LengthMm ?? o.PitchMm)))
            .Where(o => o.Off <= 1.2m)
            .OrderBy(o => o.Off).ThenBy(o => o.Offer.PriceCents)
            .Take(12)
            .Select(o => o.Offer with { Available = book.OnShelf(o.Offer.Article) });
    }

    private static decimal Off(decimal? wanted, decimal? has) => wanted is { } w && has is { } h ? Math.Abs(w - h) : 0;

    private static Quote Quoted(AskQuote asked, OrderBook book)
    {
        var lines = asked.Lines.Select(l =>
        {
            var offer = Offers.All.FirstOrDefault(o => o.Article == l.Article && o.Supplier == asked.Supplier);
            return new QuotedLine(l.Article, l.Count, offer?.PriceCents ?? 0, book.OnShelf(l.Article));
        }).ToList();
        return new Quote(asked.Supplier, lines, lines.Sum(l => l.PriceCents * l.Count), lines.All(l => l.Available >= l.Count) ? 2 : 5);
    }

    private static async Task<IResult> Order(NewOrder order, HttpContext context, OrderBook book, Moods moods)
    {
        if (context.Request.Headers[KeyHeader].ToString() is not { Length: > 0 } key)
            return Results.Problem(statusCode: StatusCodes.Status400BadRequest, title: $"An order needs the header {KeyHeader}.");
        if (!Offers.Suppliers.Contains(order.Supplier))
            return Results.Problem(statusCode: StatusCodes.Status400BadRequest, title: $"{order.Supplier} does not supply here.");
        if (order.Lines.Count is 0 or > 200 || order.Lines.Any(l => l.Count is < 1 or > 999))
            return Results.Problem(statusCode: StatusCodes.Status400BadRequest, title: "An order has 1 to 200 lines of 1 to 999 pieces.");
        var (taken, isNew) = book.Take(key, order.Supplier, order.Reference, order.Lines, moods.Partly, moods.Refuse);
        if (moods.Loses())
        {
            // Taken, but whoever sent it never hears of it.
            context.Abort();
            return Results.Empty;
        }
        if (moods.IsSlow())
            await Task.Delay(Timeout.Infinite, context.RequestAborted).ContinueWith(_ => { }, TaskScheduler.Default);
        return isNew ? Results.Created($"/orders/{taken.Number}", taken) : Results.Ok(taken);
    }
}
