using IronLoop.Core.Jobs;
using IronLoop.Core.Stock;
using Microsoft.Data.Sqlite;

namespace IronLoop.Storage;

/// <summary>A line of an order, or of what is to be ordered.</summary>
/// <param name="Id">Its number.</param>
/// <param name="OrderId">Its order; null while it is on the list.</param>
/// <param name="Part">What is ordered.</param>
/// <param name="JobId">The job that waits for it; null when it fills up the stock.</param>
/// <param name="Line">How many, and how far it has come.</param>
public sealed record StoredOrderLine(long Id, long? OrderId, StockPart Part, long? JobId, OrderLine Line);

/// <summary>An order as stored.</summary>
/// <param name="Id">Its number.</param>
/// <param name="Supplier">To whom.</param>
/// <param name="Key">What tells the supplier that two tries are one order.</param>
/// <param name="State">How far it has come.</param>
/// <param name="Number">The supplier's own number for it; empty until it is taken.</param>
/// <param name="MadeAt">When it was made.</param>
/// <param name="MadeBy">By whom.</param>
/// <param name="SentAt">When the supplier took it.</param>
/// <param name="Tries">How often it was sent.</param>
/// <param name="Says">What came of the last try.</param>
/// <param name="Lines">Its lines.</param>
public sealed record StoredOrder(
    long Id, string Supplier, string Key, OrderState State, string Number, DateTimeOffset MadeAt, string MadeBy, DateTimeOffset? SentAt, int Tries, string Says,
    IReadOnlyList<StoredOrderLine> Lines);

/// <summary>Orders to suppliers, and what is to be ordered.</summary>
public static class Orders
{
    /// <summary>Puts a line on the list of what is to be ordered.</summary>
    public static long AddLine(ShopWork work, long partId, int count, string measured, long? jobId) =>
        work.Insert("INSERT INTO order_line (part_id, job_id, measured, count) VALUES ($part, $job, $measured, $count)",
            ("$part", partId), ("$job", jobId), ("$measured", measured), ("$count", count));

    /// <summary>Takes a line off the list; one that is ordered stays.</summary>
    /// <returns>Whether it was on the list.</returns>
    public static bool DropLine(ShopWork work, long id) => work.Execute("DELETE FROM order_line WHERE id = $id AND order_id IS NULL", ("$id", id)) == 1;

    /// <summary>What is to be ordered, by supplier.</summary>
    public static IReadOnlyList<StoredOrderLine> ToOrder(ShopWork work) =>
        [.. Lines(work, "order_id IS NULL").OrderBy(l => l.Part.Part.Supplier, StringComparer.Ordinal).ThenBy(l => l.Id)];

    /// <summary>Makes an order of all lines for a supplier; it is stored before it is sent.</summary>
    /// <returns>Its number.</returns>
    public static long Make(ShopWork work, string supplier, string key, DateTimeOffset at, string by)
    {
        var id = work.Insert("INSERT INTO supply_order (supplier, key, state, made_at, made_by) VALUES ($supplier, $key, $state, $at, $by)",
            ("$supplier", supplier), ("$key", key), ("$state", OrderState.Sending), ("$at", at), ("$by", by));
        work.Execute("UPDATE order_line SET order_id = $id WHERE order_id IS NULL AND part_id IN (SELECT id FROM part WHERE supplier = $supplier)",
            ("$id", id), ("$supplier", supplier));
        return id;
    }

    /// <summary>All orders, the newest first.</summary>
    public static IReadOnlyList<StoredOrder> All(ShopWork work) => Read(work, "order_id IS NOT NULL", "1 = 1");

    /// <summary>An order, or null when there is none of that number.</summary>
    public static StoredOrder? Find(ShopWork work, long id) => Read(work, "order_id = $id", "id = $id", ("$id", id)).SingleOrDefault();

    /// <summary>Stores what came of a try to send an order.</summary>
    public static void Tried(ShopWork work, long id, OrderState state, string number, string says, DateTimeOffset? sentAt) =>
        work.Execute(
            "UPDATE supply_order SET state = $state, number = $number, says = $says, tries = tries + 1, sent_at = COALESCE(sent_at, $at) WHERE id = $id",
            ("$id", id), ("$state", state), ("$number", number), ("$says", says), ("$at", sentAt));

    /// <summary>Stores how far an order has come.</summary>
    public static void Stands(ShopWork work, long id, OrderState state, string says) =>
        work.Execute("UPDATE supply_order SET state = $state, says = $says WHERE id = $id", ("$id", id), ("$state", state), ("$says", says));

    /// <summary>Stores how far a line has come.</summary>
    public static void LineStands(ShopWork work, long lineId, OrderLine line) =>
        work.Execute("UPDATE order_line SET shipped = $shipped, received = $received, refused = $refused WHERE id = $id",
            ("$id", lineId), ("$shipped", line.Shipped), ("$received", line.Received), ("$refused", line.Refused));

    private static List<StoredOrder> Read(ShopWork work, string linesWhere, string where, params ReadOnlySpan<(string Name, object? Value)> values)
    {
        var lines = Lines(work, linesWhere, values).ToLookup(l => l.OrderId);
        return work.Query($"SELECT * FROM supply_order WHERE {where} ORDER BY id DESC",
            row => new StoredOrder(
                row.Number("id"), row.Text("supplier"), row.Text("key"), row.Choice<OrderState>("state"), row.Text("number"), row.Time("made_at"),
                row.Text("made_by"), row.Maybe("sent_at", Columns.Time), row.Count("tries"), row.Text("says"), [.. lines[row.Number("id")]]),
            values);
    }

    private static IEnumerable<StoredOrderLine> Lines(ShopWork work, string where, params ReadOnlySpan<(string Name, object? Value)> values)
    {
        var lines = work.Query($"SELECT * FROM order_line WHERE {where} ORDER BY id", Line, values);
        var parts = lines.Select(l => l.Part).Distinct().ToDictionary(id => id, id => Parts.Find(work, id)!);
        return lines.Select(l => new StoredOrderLine(l.Id, l.Order, parts[l.Part], l.Job, l.Line));
    }

    private static (long Id, long? Order, long Part, long? Job, OrderLine Line) Line(SqliteDataReader row) =>
        (row.Number("id"), row.Maybe("order_id", Columns.Number), row.Number("part_id"), row.Maybe("job_id", Columns.Number),
            new OrderLine(row.Text("measured"), row.Count("count"), row.Count("shipped"), row.Count("received"), row.Text("refused")));
}
