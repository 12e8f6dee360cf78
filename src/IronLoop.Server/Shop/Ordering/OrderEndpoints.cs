using System.Globalization;
using CsvHelper;
using IronLoop.Core.Measuring;
using IronLoop.Core.Stock;
using IronLoop.Server.Contract;
using IronLoop.Server.Devices;
using IronLoop.Server.Door;
using IronLoop.Server.Paper;
using IronLoop.Storage;

namespace IronLoop.Server.Shop.Ordering;

/// <summary>A line of an order, or of what is to be ordered.</summary>
internal sealed record OrderLineWire(
    long Id, string Article, string Name, string Measured, int Count, int Shipped, int Received, int Outstanding, string Refused, long PriceCents, long? JobId)
{
    public static OrderLineWire Of(StoredOrderLine stored) => new(
        stored.Id, stored.Part.Part.Article, stored.Part.Part.Name, stored.Line.Measured, stored.Line.Count, stored.Line.Shipped, stored.Line.Received,
        stored.Line.Outstanding, stored.Line.Refused, stored.Part.Part.PriceCents, stored.JobId);
}

/// <summary>What is to be ordered from one supplier.</summary>
internal sealed record ToOrderWire(string Supplier, IReadOnlyList<OrderLineWire> Lines, long TotalCents);

/// <summary>An order.</summary>
/// <param name="IsAsked">Whether the supplier may still have news of it.</param>
/// <param name="CanCome">Whether some of it can still come.</param>
internal sealed record OrderWire(
    long Id, string Supplier, OrderState State, string Number, DateTimeOffset MadeAt, string MadeBy, DateTimeOffset? SentAt, int Tries, string Says,
    IReadOnlyList<OrderLineWire> Lines, long TotalCents, bool IsAsked, bool CanCome);

/// <summary>What is to be ordered, what is ordered, and who is asked.</summary>
/// <param name="Suppliers">Address of the suppliers' service; null when there is none.</param>
/// <param name="IsStandIn">Whether it is the stand-in.</param>
internal sealed record OrderBookWire(IReadOnlyList<ToOrderWire> ToOrder, IReadOnlyList<OrderWire> Orders, string? Suppliers, bool IsStandIn)
{
    public static OrderBookWire Read(ShopWork work, SupplierSource source)
    {
        var address = source.Address(work)?.AbsoluteUri;
        return new OrderBookWire(
            [
                .. Storage.Orders.ToOrder(work).GroupBy(l => l.Part.Part.Supplier, StringComparer.Ordinal)
                    .Select(g => new ToOrderWire(g.Key, [.. g.Select(OrderLineWire.Of)], g.Sum(l => l.Part.Part.PriceCents * l.Line.Count))),
            ],
            [
                .. Storage.Orders.All(work).Select(o => new OrderWire(
                    o.Id, o.Supplier, o.State, o.Number, o.MadeAt, o.MadeBy, o.SentAt, o.Tries, o.Says, [.. o.Lines.Select(OrderLineWire.Of)],
                    o.Lines.Sum(l => l.Part.Part.PriceCents * l.Line.Count), o.State.IsAsked(), o.State.CanCome())),
            ],
            address,
            address is not null && address == source.StandIn);
    }
}

/// <summary>A part to be ordered.</summary>
internal sealed record NewOrderLineWire(long PartId, int Count, long? JobId = null);

/// <summary>An order is made of all lines for a supplier.</summary>
internal sealed record MakeOrderWire(string Supplier, string By);

/// <summary>A supplier is asked what its lines on the list would cost.</summary>
internal sealed record AskQuoteWire(string Supplier);

/// <summary>A line as quoted.</summary>
internal sealed record QuoteLineWire(string Article, int Count, long PriceCents, int Available);

/// <summary>A quote, or why nobody answered.</summary>
/// <param name="Says">The whole in a sentence.</param>
internal sealed record QuoteWire(string Supplier, long TotalCents, int Days, IReadOnlyList<QuoteLineWire> Lines, string Says);

/// <summary>How many of a line came.</summary>
internal sealed record CameLineWire(long LineId, int Count);

/// <summary>A delivery.</summary>
internal sealed record DeliveryWire(IReadOnlyList<CameLineWire> Lines, string By);

/// <summary>The suppliers' address.</summary>
internal sealed record SuppliersWire(string Address);

/// <summary>Ordering: what is missing is grouped by supplier, sent, followed, received, and the jobs that waited go on.</summary>
internal static class OrderEndpoints
{
    private static readonly AllowedNumber Counts = new(1, 999);

    public static void MapOrders(this IEndpointRouteBuilder routes)
    {
        var orders = routes.MapGroup("/api/orders").WithTags("orders");
        orders.MapGet("", (OpenShop shop, SupplierSource source) =>
        {
            using var work = shop.Look();
            return OrderBookWire.Read(work, source);
        }).WithName("orders").WithSummary("What is to be ordered, by supplier, and all orders.");
        orders.MapPost("", Make).WithName("makeOrder").WithSummary("Makes an order of all lines for a supplier and sends it.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status409Conflict);
        orders.MapPost("/quote", Quote).WithName("quoteOrder").WithSummary("Asks a supplier what its lines on the list would cost, and when they would come.")
            .ProducesProblem(StatusCodes.Status409Conflict).ProducesProblem(StatusCodes.Status502BadGateway);
        orders.MapPost("/lines", AddLine).WithName("addOrderLine").WithSummary("Puts a part on the list to be ordered.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound);
        orders.MapDelete("/lines/{id:long}", DropLine).WithName("dropOrderLine").WithSummary("Takes a line off the list.")
            .ProducesProblem(StatusCodes.Status404NotFound);
        orders.MapPost("/fill-up", FillUp).WithName("fillUp").WithSummary("Puts on the list what the minimum levels and the waiting jobs ask for.");
        orders.MapPost("/ask", Ask).WithName("askAfterOrders").WithSummary("Sends what is not sent yet and asks after what is on its way.");
        orders.MapPost("/{id:long}/received", Receive).WithMetadata(new OverwritesWhatStands()).WithName("receiveOrder").WithSummary("Books a delivery into stock; jobs that waited have their parts.")
            .ProducesValidationProblem().ProducesProblem(StatusCodes.Status404NotFound);
        orders.MapPut("/suppliers", Settle).WithName("settleSuppliers").WithSummary("Sets the address of the suppliers’ service; empty is the stand-in.")
            .ProducesValidationProblem().WithMetadata(new Needs(Role.Lead));
        orders.MapGet("/{id:long}.csv", Csv).ExcludeFromDescription();
        orders.MapGet("/{id:long}.pdf", Pdf).ExcludeFromDescription();
    }

    private static async Task<OrderBookWire> Make(MakeOrderWire make, OpenShop shop, OrderDesk desk, SupplierSource source, CancellationToken cancellation)
    {
        var refusals = new Refusals();
        var by = refusals.Initials("$.by", make.By, shop.By);
        refusals.ThrowIfAny("The order cannot be made like this.");
        bool canSend;
        using (var look = shop.Look())
            canSend = source.Address(look) is not null;
        var id = desk.Make(make.Supplier, by);
        if (canSend)
            await desk.Send(id, cancellation);
        using var work = shop.Look();
        return OrderBookWire.Read(work, source);
    }

    private static async Task<QuoteWire> Quote(AskQuoteWire ask, OpenShop shop, SupplierCalls suppliers, CancellationToken cancellation)
    {
        List<StoredOrderLine> lines;
        using (var work = shop.Look())
            lines = [.. Storage.Orders.ToOrder(work).Where(l => l.Part.Part.Supplier == ask.Supplier)];
        if (lines.Count == 0)
            throw RefusedException.Conflict($"Nothing is to be ordered from {ask.Supplier}.");
        var asked = lines.GroupBy(l => l.Part.Part.OrderedAs, StringComparer.Ordinal).Select(g => new SupplierLine(g.Key, g.Sum(l => l.Line.Count)));
        var (quote, trouble) = await suppliers.Quote(ask.Supplier, asked, cancellation);
        if (quote is null)
            throw new RefusedException(StatusCodes.Status502BadGateway, trouble!, new Dictionary<string, string[]>());
        var scarce = quote.Lines.Where(l => l.Available < l.Count).Select(l => $"{l.Article}: {l.Available} of {l.Count}").ToList();
        return new QuoteWire(
            ask.Supplier, quote.TotalCents, quote.Days, [.. quote.Lines.Select(l => new QuoteLineWire(l.Article, l.Count, l.PriceCents, l.Available))],
            string.Create(CultureInfo.InvariantCulture, $"{quote.TotalCents / 100m:0.00} together, in {quote.Days} days{(scarce.Count > 0 ? $"; on the shelf are {string.Join(", ", scarce)}" : ", all on the shelf")}."));
    }

    private static OrderBookWire AddLine(NewOrderLineWire line, OpenShop shop, SupplierSource source)
    {
        var refusals = new Refusals();
        refusals.Check("$.count", Counts, line.Count);
        refusals.ThrowIfAny("The line cannot be taken like this.");
        using var work = shop.Begin();
        if (Parts.Find(work, line.PartId) is not { } part)
            throw RefusedException.NotFound($"There is no part with number {line.PartId}.");
        if (line.JobId is { } job && Storage.Jobs.Find(work, job) is null)
            throw RefusedException.NotFound($"There is no job with tag {job}.");
        Storage.Orders.AddLine(work, part.Id, line.Count, part.Part.Measured, line.JobId);
        return Keep(work, source);
    }

    private static OrderBookWire DropLine(long id, OpenShop shop, SupplierSource source)
    {
        using var work = shop.Begin();
        if (!Storage.Orders.DropLine(work, id))
            throw RefusedException.NotFound("There is no such line on the list; what is ordered stays ordered.");
        return Keep(work, source);
    }

    private static OrderBookWire FillUp(OpenShop shop, SupplierSource source)
    {
        using var work = shop.Begin();
        foreach (var part in Parts.All(work).Where(p => p.Count.ToOrder > 0))
            Storage.Orders.AddLine(work, part.Id, part.Count.ToOrder, part.Part.Measured, null);
        return Keep(work, source);
    }

    private static async Task<OrderBookWire> Ask(OpenShop shop, OrderDesk desk, SupplierSource source, CancellationToken cancellation)
    {
        await desk.Catch(cancellation);
        using var work = shop.Look();
        return OrderBookWire.Read(work, source);
    }

    private static OrderBookWire Receive(long id, DeliveryWire delivery, OpenShop shop, OrderDesk desk, SupplierSource source)
    {
        var refusals = new Refusals();
        var by = refusals.Initials("$.by", delivery.By, shop.By);
        using var work = shop.Begin();
        var order = Storage.Orders.Find(work, id) ?? throw RefusedException.NotFound($"There is no order {id}.");
        if (order.State == OrderState.Refused)
            refusals.Add("$", "This order was refused; nothing comes of it.");
        var lines = order.Lines.ToDictionary(l => l.Id);
        for (var i = 0; i < delivery.Lines.Count; i++)
        {
            var (path, came) = ($"$.lines[{i}].count", delivery.Lines[i]);
            if (!lines.TryGetValue(came.LineId, out var line))
                refusals.Add($"$.lines[{i}].lineId", $"Order {id} has no line {came.LineId}.");
            else if (came.Count < 0 || came.Count > line.Line.Count - line.Line.Received)
                refusals.Add(path, $"{line.Part.Part.Article}: {came.Count} came; allowed is 0 to {line.Line.Count - line.Line.Received}, what was ordered and has not come.");
        }
        if (delivery.Lines.DistinctBy(l => l.LineId).Count() != delivery.Lines.Count)
            refusals.Add("$.lines", "A line is given twice.");
        if (delivery.Lines.All(l => l.Count == 0))
            refusals.Add("$.lines", "Nothing came.");
        refusals.ThrowIfAny("The delivery cannot be booked like this.");
        desk.Receive(work, order, delivery.Lines.ToDictionary(l => l.LineId, l => l.Count), by);
        return Keep(work, source);
    }

    private static OrderBookWire Settle(SuppliersWire typed, OpenShop shop, SupplierSource source)
    {
        var refusals = new Refusals();
        var text = refusals.Text("$.address", typed.Address, 200, required: false);
        var address = text.Length == 0 ? "" : SupplierSource.Read(text);
        if (address is null)
            refusals.Add("$.address", $"address is “{text}”; allowed is one that begins with http:// or https://, without a password, and is not link-local.");
        refusals.ThrowIfAny();
        using var work = shop.Begin();
        SupplierSource.Settle(work, address!);
        return Keep(work, source);
    }

    private static IResult Csv(long id, OpenShop shop)
    {
        StoredOrder order;
        using (var work = shop.Look())
            order = Storage.Orders.Find(work, id) ?? throw RefusedException.NotFound($"There is no order {id}.");
        return Results.Stream(to => WriteCsv(to, order), "text/csv; charset=utf-8", $"order-{id}.csv");
    }

    /// <summary>Writes an order's lines; a cell that a spreadsheet would take for a formula is defused.</summary>
    private static async Task WriteCsv(Stream to, StoredOrder order)
    {
        await using var csv = CsvWriter.Create(to, new CsvWriterOptions { WriteByteOrderMark = true, Injection = CsvInjection.Escape });
        await csv.WriteRecordAsync(["order", "supplier", "article", "name", "measured", "count", "price", "job"]);
        foreach (var (part, line) in order.Lines.Select(l => (l.Part.Part, l)))
        {
            await csv.WriteRecordAsync(
            [
                order.Id.ToString(CultureInfo.InvariantCulture), order.Supplier, part.OrderedAs, part.Name, line.Line.Measured,
                line.Line.Count.ToString(CultureInfo.InvariantCulture), (part.PriceCents / 100m).ToString("0.00", CultureInfo.InvariantCulture),
                line.JobId?.ToString(CultureInfo.InvariantCulture) ?? "",
            ]);
        }
    }

    private static IResult Pdf(long id, OpenShop shop, string paper = "a4")
    {
        var refusals = new Refusals();
        var size = refusals.Choice<PaperSize>("$.paper", paper) ?? PaperSize.A4;
        refusals.ThrowIfAny();
        using var work = shop.Look();
        var order = Storage.Orders.Find(work, id) ?? throw RefusedException.NotFound($"There is no order {id}.");
        return Results.File(PurchaseOrder.Draw(order, size), "application/pdf", $"order-{id}.pdf");
    }

    private static OrderBookWire Keep(ShopWork work, SupplierSource source)
    {
        work.Commit();
        return OrderBookWire.Read(work, source);
    }
}
