using IronLoop.Core.Fitting;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Stock;
using Microsoft.Data.Sqlite;

namespace IronLoop.Storage;

/// <summary>A change of a part's count.</summary>
/// <param name="At">When.</param>
/// <param name="By">The fitter's initials; empty for the program.</param>
/// <param name="Change">By how many.</param>
/// <param name="Reason">Why.</param>
/// <param name="JobId">The job it was for.</param>
public sealed record StockEntry(DateTimeOffset At, string By, int Change, string Reason, long? JobId);

/// <summary>The small parts in stock.</summary>
public static class Parts
{
    private const string Select =
        """
        SELECT part.*,
          (SELECT COALESCE(SUM(count), 0) FROM part_taken WHERE part_id = part.id AND booked_at IS NULL AND reserved = 1) AS reserved,
          (SELECT COALESCE(SUM(count), 0) FROM part_taken WHERE part_id = part.id AND booked_at IS NULL AND reserved = 0) AS awaited,
          (SELECT COALESCE(SUM(order_line.count - received), 0) FROM order_line LEFT JOIN supply_order ON supply_order.id = order_id
           WHERE part_id = part.id AND refused = '' AND COALESCE(supply_order.state, '') NOT IN ('Refused', 'Done')) AS ordered,
          (SELECT COALESCE(SUM(count), 0) FROM order_line WHERE part_id = part.id AND order_id IS NULL) AS listed
        FROM part
        """;

    /// <summary>All parts, or those of one kind, by article.</summary>
    public static IReadOnlyList<StockPart> All(ShopWork work, PartKind? kind = null) =>
        work.Query($"{Select} WHERE $kind IS NULL OR part.kind = $kind ORDER BY part.kind, part.article", Read, ("$kind", kind));

    /// <summary>The pins that lie free.</summary>
    public static IReadOnlyList<FrictionPin> PinsAtHand(ShopWork work) => [.. All(work, PartKind.Pin).Where(p => p.Count.Free > 0).Select(p => p.Part.Pin!)];

    /// <summary>A part, or null when there is none of that number.</summary>
    public static StockPart? Find(ShopWork work, long id) => work.Query($"{Select} WHERE part.id = $id", Read, ("$id", id)).SingleOrDefault();

    /// <summary>A part by its article number, or null.</summary>
    public static StockPart? Find(ShopWork work, string article) =>
        work.Query($"{Select} WHERE part.article = $article", Read, ("$article", article)).SingleOrDefault();

    /// <summary>Puts a part on the list, or changes what is known under its article number; its count stays.</summary>
    /// <returns>Its number.</returns>
    public static long Set(ShopWork work, Part part, string? place = null, int? minimum = null)
    {
        var (clasp, bar) = (part.Clasp, part.Bar);
        return work.Insert(
            """
            INSERT INTO part (article, name, kind, supplier, supplier_article, place, minimum, price_cents, finish, colour, clasp_kind, inner_um, tube_um, buttons_um,
              throat_um, bar_um, adds_um, twelve_um, six_um, micro_side, positions, step_um, length_um, diameter_um, tip_um, curved, style, pitch_um, width_um)
            VALUES ($article, $name, $kind, $supplier, $their, COALESCE($place, ''), COALESCE($minimum, 0), $price, $finish, $colour, $clasp, $inner, $tube, $buttons,
              $throat, $bar, $adds, $twelve, $six, $micro, $positions, $step, $length, $diameter, $tip, $curved, $style, $pitch, $width)
            ON CONFLICT (article) DO UPDATE SET name = excluded.name, kind = excluded.kind, supplier = excluded.supplier, supplier_article = excluded.supplier_article,
              place = COALESCE($place, place), minimum = COALESCE($minimum, minimum), price_cents = excluded.price_cents, finish = excluded.finish,
              colour = excluded.colour, clasp_kind = excluded.clasp_kind, inner_um = excluded.inner_um, tube_um = excluded.tube_um,
              buttons_um = excluded.buttons_um, throat_um = excluded.throat_um, bar_um = excluded.bar_um, adds_um = excluded.adds_um,
              twelve_um = excluded.twelve_um, six_um = excluded.six_um, micro_side = excluded.micro_side, positions = excluded.positions,
              step_um = excluded.step_um, length_um = excluded.length_um, diameter_um = excluded.diameter_um, tip_um = excluded.tip_um,
              curved = excluded.curved, style = excluded.style, pitch_um = excluded.pitch_um, width_um = excluded.width_um
            """,
            ("$article", part.Article), ("$name", part.Name), ("$kind", part.Kind), ("$supplier", part.Supplier), ("$their", part.SupplierArticle), ("$place", place), ("$minimum", minimum),
            ("$price", part.PriceCents), ("$finish", clasp?.Facts.Finish), ("$colour", clasp?.Facts.Colour), ("$clasp", clasp?.Facts.Kind),
            ("$inner", clasp?.Facts.InnerWidth), ("$tube", clasp?.Facts.Tube), ("$buttons", clasp?.Facts.OverButtons), ("$throat", clasp?.Facts.Throat),
            ("$bar", clasp?.Facts.Bar), ("$adds", clasp?.Adds), ("$twelve", clasp?.Loop?.Twelve), ("$six", clasp?.Loop?.Six),
            ("$micro", clasp?.Loop?.MicroSide), ("$positions", clasp?.Loop?.Positions), ("$step", clasp?.Loop?.Step),
            ("$length", bar?.Length ?? part.Pin?.Length), ("$diameter", bar?.Body ?? part.Pin?.Diameter), ("$tip", bar?.Tip), ("$curved", bar?.Curved),
            ("$style", bar?.Style), ("$pitch", part.Link?.Pitch), ("$width", part.Link?.Width));
    }

    /// <summary>Changes a count and keeps the reason.</summary>
    /// <exception cref="SqliteException">It would go below nought.</exception>
    public static void Change(ShopWork work, long id, int change, string reason, DateTimeOffset at, string by, long? jobId = null)
    {
        if (change == 0)
            return;
        work.Execute("UPDATE part SET on_hand = on_hand + $change WHERE id = $id", ("$id", id), ("$change", change));
        work.Insert("INSERT INTO stock_entry (part_id, at, by, change, reason, job_id) VALUES ($id, $at, $by, $change, $reason, $job)",
            ("$id", id), ("$at", at), ("$by", by), ("$change", change), ("$reason", reason), ("$job", jobId));
    }

    /// <summary>The changes of a part's count, the newest first.</summary>
    public static IReadOnlyList<StockEntry> Entries(ShopWork work, long id) =>
        work.Query("SELECT * FROM stock_entry WHERE part_id = $id ORDER BY id DESC",
            row => new StockEntry(row.Time("at"), row.Text("by"), row.Count("change"), row.Text("reason"), row.Maybe("job_id", Columns.Number)), ("$id", id));

    private static StockPart Read(SqliteDataReader row)
    {
        var kind = row.Choice<PartKind>("kind");
        var part = new Part(row.Text("article"), row.Text("name"))
        {
            Supplier = row.Text("supplier"),
            SupplierArticle = row.Text("supplier_article"),
            PriceCents = row.Number("price_cents"),
            Clasp = kind == PartKind.Clasp ? ReadClasp(row) : null,
            Bar = kind == PartKind.Bar
                ? new SpringBar(
                    row.Text("article"), row.Length("length_um"), row.Length("diameter_um"), row.Length("tip_um"), row.Yes("curved"),
                    row.Choice<BarStyle>("style"), row.Count("on_hand"))
                : null,
            Pin = kind == PartKind.Pin ? new FrictionPin(row.Length("diameter_um"), row.Length("length_um")) : null,
            Link = kind == PartKind.Link ? new StockedLink(row.Length("pitch_um"), row.Length("width_um")) : null,
        };
        return new StockPart(
            row.Number("id"), part, row.Text("place"),
            new PartCount(row.Count("on_hand"), row.Count("reserved"), row.Count("awaited"), row.Count("ordered"), row.Count("minimum")) { Listed = row.Count("listed") });
    }

    private static StockedClasp ReadClasp(SqliteDataReader row)
    {
        var facts = new ClaspFacts(
            row.Choice<ClaspKind>("clasp_kind"), row.Maybe("inner_um", Columns.Length), row.Maybe("tube_um", Columns.Length),
            row.Maybe("buttons_um", Columns.Length), row.Maybe("throat_um", Columns.Length), row.Maybe("bar_um", Columns.Length))
        {
            Finish = row.MaybeText("finish"),
            Colour = row.MaybeText("colour"),
        };
        var positions = row.Maybe("positions", Columns.Count) ?? 1;
        // A clasp on the shelf stands in the middle of its row.
        var loop = row.Maybe("twelve_um", Columns.Length) is { } twelve && row.Maybe("six_um", Columns.Length) is { } six
            ? new BraceletClasp(
                twelve, six, row.MaybeText("micro_side") is null ? Side.Twelve : row.Choice<Side>("micro_side"), positions,
                row.Maybe("step_um", Columns.Length) ?? Length.Zero, (positions - 1) / 2)
            : null;
        return new StockedClasp(facts, loop, row.Maybe("adds_um", Columns.Length) ?? Length.Zero);
    }
}
