using System.Globalization;
using System.Net;
using System.Net.Http.Json;
using System.Text.Json;
using IronLoop.Core.Bench;
using IronLoop.Core.Measuring;
using IronLoop.Core.Shelf;
using IronLoop.Core.Stock;
using IronLoop.Server.Contract;
using IronLoop.Server.Host;
using IronLoop.Storage;
using Polly;
using Polly.CircuitBreaker;
using Polly.Timeout;

namespace IronLoop.Server.Devices;

/// <summary>What was found.</summary>
/// <param name="Parts">The parts, the nearest first, and how many the supplier has.</param>
/// <param name="Trouble">Why nobody answered; null when somebody did.</param>
internal sealed record Found(IReadOnlyList<(Part Part, int Available)> Parts, string? Trouble);

/// <summary>What came of sending or asking.</summary>
/// <param name="Order">The order as it stands; null when it is not known.</param>
/// <param name="Refused">Why the supplier does not take it; null when it does.</param>
/// <param name="Trouble">Why nobody answered.</param>
internal sealed record Answered(SupplierOrderStands? Order, string? Refused = null, string? Trouble = null);

/// <summary>
/// The suppliers' service over HTTP. Every call has a time-out and is tried again with growing waits; an order goes with
/// its key, so that however often it is sent it is one order.
/// </summary>
internal sealed class SupplierCalls(HttpClient http, SupplierSource source, ShopFile shop)
{
    public const string KeyHeader = "Idempotency-Key";

    private const int MostBytes = 1 << 20;

    private static readonly TimeSpan Patience = TimeSpan.FromSeconds(20);

    /// <summary>An answer ends in time, and is no longer than a catalogue's page could be.</summary>
    public static void Bound(HttpClient http) => (http.MaxResponseContentBufferSize, http.Timeout) = (MostBytes, Patience);

    /// <summary>Calls the address that was settled and no other: what answers there sends nobody on.</summary>
    public static HttpMessageHandler Line() => new SocketsHttpHandler
    {
        AllowAutoRedirect = false,
        UseCookies = false,
        MaxResponseHeadersLength = 16,
        ConnectTimeout = TimeSpan.FromSeconds(5),
        ConnectCallback = async (context, cancellation) => await OutsideLine.Open(context.DnsEndPoint.Host, context.DnsEndPoint.Port, cancellation),
    };

    private static readonly JsonSerializerOptions Json = new(JsonSerializerDefaults.Web);

    /// <summary>Looks for parts by what was measured.</summary>
    public async Task<Found> Search(PartWish wish, CancellationToken cancellation)
    {
        var query = new List<string> { $"kind={wish.Kind.ToString().ToLowerInvariant()}" };
        if (wish.Clasp is { } clasp)
            query.Add($"clasp={JsonNamingPolicy.CamelCase.ConvertName(clasp.ToString())}");
        Add("widthMm", wish.Width);
        Add("diameterMm", wish.Diameter);
        Add("lengthMm", wish.Length);
        try
        {
            using var response = await http.GetAsync(At($"parts?{string.Join('&', query)}"), cancellation);
            if (!response.IsSuccessStatusCode)
                return new Found([], Failed(response));
            var offers = await response.Content.ReadFromJsonAsync<List<SupplierOffer?>>(Json, cancellation) ?? [];
            return new Found([.. offers.OfType<SupplierOffer>().Take(100).Select(o => (Part: o.Read(), o.Available)).Where(o => o.Part is not null).Select(o => (o.Part!, Math.Clamp(o.Available, 0, 99_999)))], null);
        }
        catch (Exception trouble) when (IsTrouble(trouble, cancellation))
        {
            return new Found([], Say(trouble));
        }

        void Add(string name, Length? length)
        {
            if (length is { } known)
                query.Add($"{name}={known.Millimetres.ToString(CultureInfo.InvariantCulture)}");
        }
    }

    /// <summary>One part by its article.</summary>
    /// <exception cref="RefusedException">There is none, or nobody answers.</exception>
    public async Task<Part> Find(string article, CancellationToken cancellation)
    {
        try
        {
            using var response = await http.GetAsync(At($"parts/{Uri.EscapeDataString(article)}"), cancellation);
            if (response.StatusCode == HttpStatusCode.NotFound)
                throw RefusedException.NotFound($"No supplier has {article} any more.");
            if (!response.IsSuccessStatusCode)
                throw Bad(Failed(response));
            return (await response.Content.ReadFromJsonAsync<SupplierOffer>(Json, cancellation))?.Read() ?? throw Bad($"What is said of {article} cannot be read.");
        }
        catch (Exception trouble) when (IsTrouble(trouble, cancellation))
        {
            throw Bad(Say(trouble));
        }
    }

    /// <summary>Asks what lines would cost.</summary>
    public async Task<(SupplierQuote? Quote, string? Trouble)> Quote(string supplier, IEnumerable<SupplierLine> lines, CancellationToken cancellation)
    {
        try
        {
            using var response = await http.PostAsJsonAsync(At("quotes"), new SupplierAsk(supplier, [.. lines]), Json, cancellation);
            return !response.IsSuccessStatusCode ? (null, Failed(response))
                : await response.Content.ReadFromJsonAsync<SupplierQuoteSaid>(Json, cancellation) is { } quote && quote.Read() is { } read ? (read, null)
                : (null, "The supplier’s answer cannot be read.");
        }
        catch (Exception trouble) when (IsTrouble(trouble, cancellation))
        {
            return (null, Say(trouble));
        }
    }

    /// <summary>Sends an order.</summary>
    public Task<Answered> Send(StoredOrder order, CancellationToken cancellation) => Ask(() =>
    {
        var request = new HttpRequestMessage(HttpMethod.Post, At("orders"))
        {
            Content = JsonContent.Create(
                new SupplierOrder(
                    order.Supplier, $"Iron Loop {order.Id}",
                    [.. order.Lines.GroupBy(l => l.Part.Part.OrderedAs, StringComparer.Ordinal).Select(g => new SupplierLine(g.Key, g.Sum(l => l.Line.Count)))]),
                options: Json),
        };
        request.Headers.Add(KeyHeader, order.Key);
        return request;
    }, cancellation);

    /// <summary>Asks how far an order has come.</summary>
    public Task<Answered> Follow(StoredOrder order, CancellationToken cancellation) =>
        Ask(() => new HttpRequestMessage(HttpMethod.Get, At($"orders/{Uri.EscapeDataString(order.Number)}")), cancellation);

    private async Task<Answered> Ask(Func<HttpRequestMessage> make, CancellationToken cancellation)
    {
        try
        {
            using var request = make();
            using var response = await http.SendAsync(request, cancellation);
            if (response.IsSuccessStatusCode)
            {
                return await response.Content.ReadFromJsonAsync<SupplierOrderSaid>(Json, cancellation) is { } order && order.Read() is { } read
                    ? new Answered(read)
                    : new Answered(null, Trouble: "The supplier’s answer cannot be read.");
            }
            return (int)response.StatusCode is >= 400 and < 500 and not 408 and not 429
                ? new Answered(null, Refused: await Title(response, cancellation))
                : new Answered(null, Trouble: Failed(response));
        }
        catch (Exception trouble) when (IsTrouble(trouble, cancellation))
        {
            return new Answered(null, Trouble: Say(trouble));
        }
    }

    private Uri At(string path)
    {
        using var work = shop.Look();
        return source.Address(work) is { } address ? new Uri(address, path) : throw RefusedException.Conflict("No supplier’s address is set; set one under Shop, Orders.");
    }

    private static async Task<string> Title(HttpResponseMessage response, CancellationToken cancellation)
    {
        var text = await response.Content.ReadAsStringAsync(cancellation);
        try
        {
            using var problem = JsonDocument.Parse(text);
            if (problem.RootElement.ValueKind == JsonValueKind.Object && problem.RootElement.TryGetProperty("title", out var title) && title.ValueKind == JsonValueKind.String && SupplierText.Read(title.GetString(), 200) is { Length: > 0 } said)
                return said;
        }
        catch (JsonException)
        {
            // Not problem details; the status has to do.
        }
        return $"The supplier answered {(int)response.StatusCode}.";
    }

    private static string Failed(HttpResponseMessage response) => $"The supplier answered {(int)response.StatusCode}; it is tried again.";

    private static RefusedException Bad(string title) => new(StatusCodes.Status502BadGateway, title, new Dictionary<string, string[]>());

    private static bool IsTrouble(Exception exception, CancellationToken cancellation) => exception switch
    {
        HttpRequestException or IOException or TimeoutRejectedException or BrokenCircuitException or ExecutionRejectedException or JsonException => true,
        OperationCanceledException => !cancellation.IsCancellationRequested,
        _ => false,
    };

    private static string Say(Exception trouble) => trouble switch
    {
        JsonException => "The supplier’s answer cannot be read.",
        HttpRequestException { HttpRequestError: HttpRequestError.ConfigurationLimitExceeded } => $"The supplier’s answer is longer than {MostBytes >> 20} MB; it was not read.",
        HttpRequestException { InnerException: LinkLocalException } => "The supplier’s address is a link-local one, which is not called; set another under Shop, Orders.",
        TimeoutRejectedException or OperationCanceledException => "The supplier does not answer in time; it is tried again.",
        BrokenCircuitException => "The supplier failed too often just now; it is left alone for a moment.",
        _ => "The supplier is not reached; it is tried again.",
    };
}
