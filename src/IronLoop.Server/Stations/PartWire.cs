using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;
using IronLoop.Core.Stock;
using IronLoop.Storage;

namespace IronLoop.Server.Stations;

/// <summary>A part in stock.</summary>
/// <param name="Ordered">How many were sent for and have not come.</param>
/// <param name="Listed">How many stand on the list to be ordered.</param>
internal sealed record PartWire(
    long Id, string Article, string Name, PartKind Kind, string Measured, string Supplier, string Place, long PriceCents, int OnHand, int Reserved, int Free,
    int Awaited, int Ordered, int Listed, int Minimum, int ToOrder)
{
    public static PartWire Of(StockPart stored)
    {
        var (part, count) = (stored.Part, stored.Count);
        return new PartWire(
            stored.Id, part.Article, part.Name, part.Kind, part.Measured, part.Supplier, stored.Place, part.PriceCents, count.OnHand, count.Reserved, count.Free,
            count.Awaited, count.OnTheirWay, count.Listed, count.Minimum, count.ToOrder);
    }
}
