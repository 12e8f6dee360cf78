using IronLoop.Core.Jobs;
using IronLoop.Core.Stock;
using IronLoop.Server.Contract;
using IronLoop.Server.Devices;
using IronLoop.Server.Door;
using IronLoop.Storage;

namespace IronLoop.Server.Shop.Ordering;

/// <summary>
/// Sends orders and follows them. An order is stored with its key before it is sent; until the supplier has said that it
/// has it, it is sent again with the same key.
/// </summary>
internal sealed class OrderDesk(OpenShop shop, SupplierCalls suppliers, TimeProvider clock)
{
    /// <summary>Makes an order of all that is to be ordered from a supplier, and stores it.</summary>
    /// <exception cref="RefusedException">Nothing is to be ordered from it.</exception>
    public long Make(string supplier, string by)
    {
        using var work = shop.Begin();
        if (Orders.ToOrder(work).All(l => l.Part.Part.Supplier != supplier))
            throw RefusedException.Conflict($"Nothing is to be ordered from {supplier}.");
        var id = Orders.Make(work, supplier, Guid.NewGuid().ToString("N"), clock.GetUtcNow(), by);
        work.Commit();
        return id;
    }

    /// <summary>Sends an order that the supplier has not said it has.</summary>
    public async Task Send(long id, CancellationToken cancellation)
    {
        if (Find(id) is not { State: OrderState.Sending } order)
            return;
        var answer = await suppliers.Send(order, cancellation);
        using var work = shop.Begin();
        // Another try may have been answered meanwhile.
        if (Orders.Find(work, id) is not { State: OrderState.Sending } now)
            return;
        if (answer.Order is { } taken)
        {
            Orders.Tried(work, id, OrderState.Accepted, taken.Number, "", clock.GetUtcNow());
            Stand(work, now, taken);
        }
        else if (answer.Refused is { } why)
            Orders.Tried(work, id, OrderState.Refused, "", why, null);
        else
            Orders.Tried(work, id, OrderState.Sending, "", answer.Trouble ?? "", null);
        work.Commit();
    }

    /// <summary>Asks how far an order has come.</summary>
    public async Task Follow(long id, CancellationToken cancellation)
    {
        if (Find(id) is not { State: OrderState.Accepted or OrderState.Partly } order)
            return;
        var answer = await suppliers.Follow(order, cancellation);
        using var work = shop.Begin();
        if (Orders.Find(work, id) is not { } now)
            return;
        if (answer.Order is { } stands)
            Stand(work, now, stands);
        else
            Orders.Stands(work, id, now.State, answer.Refused ?? answer.Trouble ?? "");
        work.Commit();
    }

    /// <summary>Sends what is not sent yet and asks after what is on its way.</summary>
    /// <returns>How many orders were open.</returns>
    public async Task<int> Catch(CancellationToken cancellation)
    {
        IReadOnlyList<StoredOrder> open;
        using (var work = shop.Look())
            open = [.. Orders.All(work).Where(o => o.State.IsAsked())];
        var troubles = new List<Exception>();
        foreach (var order in open)
        {
            try
            {
                await Send(order.Id, cancellation);
                await Follow(order.Id, cancellation);
            }
            catch (Exception trouble) when (trouble is not OperationCanceledException)
            {
                // What is wrong with one keeps none of the others from going on; it is told when they have.
                troubles.Add(trouble);
            }
        }
        return troubles.Count == 0 ? open.Count : throw new AggregateException($"{troubles.Count} of {open.Count} orders could not be looked after: {troubles[0].Message}", troubles);
    }

    /// <summary>Books what has come into stock, and gives it to the jobs that wait for it.</summary>
    /// <returns>The jobs that have their parts now.</returns>
    public IReadOnlyList<long> Receive(ShopWork work, StoredOrder order, IReadOnlyDictionary<long, int> came, string by)
    {
        var now = clock.GetUtcNow();
        var woken = new HashSet<long>();
        foreach (var line in order.Lines)
        {
            var count = came.GetValueOrDefault(line.Id);
            if (count == 0)
                continue;
            Orders.LineStands(work, line.Id, line.Line with { Received = line.Line.Received + count, Shipped = Math.Max(line.Line.Shipped, line.Line.Received + count) });
            Parts.Change(work, line.Part.Id, count, $"order {order.Id}, {order.Supplier}", now, by, line.JobId);
            foreach (var job in PartsTaken.GiveToWaiting(work, line.Part.Id, now))
            {
                woken.Add(job);
                Log.Write(work, job, now, by, Station.Clasp, LogLine.Of(LogKind.CameIn, line.Part.Part.Name, line.Part.Part.Article));
            }
        }
        var after = Orders.Find(work, order.Id)!;
        Orders.Stands(work, order.Id, OrderProgress.Of([.. after.Lines.Select(l => l.Line)]), after.Says);
        return [.. woken];
    }

    private StoredOrder? Find(long id)
    {
        using var work = shop.Look();
        return Orders.Find(work, id);
    }

    /// <summary>What the supplier says of each article is shared among the lines that asked for it, in their order.</summary>
    private static void Stand(ShopWork work, StoredOrder order, SupplierOrderStands stands)
    {
        var said = stands.Lines.GroupBy(l => l.Article, StringComparer.Ordinal).ToDictionary(g => g.Key, g => g.First(), StringComparer.Ordinal);
        var lines = new List<OrderLine>();
        foreach (var group in order.Lines.GroupBy(l => l.Part.Part.OrderedAs, StringComparer.Ordinal))
        {
            var line = said.GetValueOrDefault(group.Key);
            var left = Math.Max(0, line?.Shipped ?? 0);
            foreach (var own in group)
            {
                var shipped = Math.Max(own.Line.Received, Math.Min(left, own.Line.Count));
                left -= Math.Min(left, shipped);
                var now = own.Line with { Shipped = shipped, Refused = line is null ? "left out by the supplier" : line.Refused ?? "" };
                Orders.LineStands(work, own.Id, now);
                lines.Add(now);
            }
        }
        Orders.Stands(work, order.Id, OrderProgress.Of(lines), "");
    }
}
