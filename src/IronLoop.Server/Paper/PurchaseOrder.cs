using System.Globalization;
using IronLoop.Server.Contract;
using IronLoop.Storage;

namespace IronLoop.Server.Paper;

/// <summary>A purchase order on paper: for a supplier who takes no orders by wire.</summary>
internal static class PurchaseOrder
{
    private const float Step = 5.4f;

    public static byte[] Draw(StoredOrder order, PaperSize size)
    {
        using var sheet = new Sheet(size, $"Order {order.Id}, {order.Supplier}", further =>
        {
            further.Write($"Order {order.Id}, {order.Supplier}, page {further.Page}", Sheet.Left, 9);
            further.Down += Step * 1.5f;
            Head(further);
        });
        sheet.Write("Purchase order", Sheet.Left, 20, strong: true);
        sheet.Write($"No. {order.Id}", sheet.Right, 20, strong: true, toRight: true);
        sheet.Down += 9;
        sheet.Write($"To {order.Supplier}", Sheet.Left, 12);
        sheet.Write(order.MadeAt.ToString("d MMMM yyyy", CultureInfo.InvariantCulture), sheet.Right, 12, toRight: true);
        sheet.Down += Step;
        sheet.Write(order.Number.Length > 0 ? $"Your number {order.Number}" : "Not confirmed yet", Sheet.Left);
        sheet.Write($"Made by {order.MadeBy}", sheet.Right, toRight: true);
        sheet.Down += Step * 2;
        Head(sheet);
        foreach (var line in order.Lines)
            Line(sheet, line);
        sheet.Need(Step * 6);
        sheet.Rule(0.4f);
        sheet.Down += Step;
        sheet.Write("Together", Sheet.Left, 11, strong: true);
        sheet.Write(Money(order.Lines.Sum(l => l.Part.Part.PriceCents * l.Line.Count)), sheet.Right, 11, strong: true, toRight: true);
        sheet.Down += Step * 2;
        foreach (var text in Sheet.Lines("Sizes are measured on the band and clasp, in millimetres. Please send nothing in their place without asking.", sheet.Right - Sheet.Left))
        {
            sheet.Write(text, Sheet.Left);
            sheet.Down += Step;
        }
        return sheet.Finish();
    }

    private static void Head(Sheet sheet)
    {
        sheet.Write("Article", Sheet.Left, 9, strong: true);
        sheet.Write("What, by its measured figures", Sheet.Left + 30, 9, strong: true);
        sheet.Write("Count", sheet.Right - 42, 9, strong: true, toRight: true);
        sheet.Write("Each", sheet.Right - 20, 9, strong: true, toRight: true);
        sheet.Write("Sum", sheet.Right, 9, strong: true, toRight: true);
        sheet.Down += 2;
        sheet.Rule(0.4f);
        sheet.Down += Step;
    }

    private static void Line(Sheet sheet, StoredOrderLine line)
    {
        var part = line.Part.Part;
        var words = Sheet.Lines($"{part.Name}: {line.Line.Measured}{(line.JobId is { } job ? $" (tag {job})" : "")}", sheet.Right - 60 - Sheet.Left - 30);
        sheet.Need(words.Count * Step + 4);
        sheet.Write(part.OrderedAs, Sheet.Left);
        sheet.Write(line.Line.Count.ToString(CultureInfo.InvariantCulture), sheet.Right - 42, toRight: true);
        sheet.Write(Money(part.PriceCents), sheet.Right - 20, toRight: true);
        sheet.Write(Money(part.PriceCents * line.Line.Count), sheet.Right, toRight: true);
        foreach (var text in words)
        {
            sheet.Write(text, Sheet.Left + 30);
            sheet.Down += Step;
        }
        sheet.Down -= 2.6f;
        sheet.Rule();
        sheet.Down += Step - 0.6f;
    }

    private static string Money(long cents) => (cents / 100m).ToString("0.00", CultureInfo.InvariantCulture);
}
