using IronLoop.Core.Bands;
using IronLoop.Core.Fitting;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Shelf;
using IronLoop.Storage;

namespace IronLoop.Server.Stations;

/// <summary>A clasp as it comes with a band.</summary>
internal sealed record BandClaspWire(
    Length TwelveMm, Length SixMm, Side MicroSide, int Positions, Length StepMm, int Position, Length AdjustsMm);

/// <summary>A band from stock, or the owner's own.</summary>
internal sealed record BandWire(
    long Id,
    string Article,
    string Name,
    bool Own,
    BandKind Kind,
    BandMaterial Material,
    string Finish,
    string Colour,
    BandAttachment Attaches,
    Length WidthMm,
    Length ThicknessMm,
    long PriceCents,
    int InStock,
    string ClaspName,
    BandClaspWire? Clasp,
    Length? BucklePieceMm,
    int? Holes,
    Length? ShortestMm,
    Length? LongestMm,
    BandEnd End,
    bool? NickelSafe,
    int Links,
    int LinksOut)
{
    public static BandWire Of(StockBand stock)
    {
        var (band, clasp) = (stock.Band, stock.Band.Clasp);
        var links = band.Links is { } rows ? rows.Twelve.Concat(rows.Six).ToList() : [];
        return new BandWire(
            stock.Id,
            stock.Article,
            stock.Name,
            stock.OwnerClientId is not null,
            band.Facts.Kind,
            band.Facts.Material,
            stock.Finish,
            stock.Colour,
            band.Facts.Attaches,
            band.Facts.Width,
            band.Thickness,
            stock.PriceCents,
            stock.InStock,
            band.ClaspName,
            clasp is null ? null : new BandClaspWire(
                clasp.Twelve, clasp.Six, clasp.MicroSide, clasp.Positions, clasp.Step, clasp.Position, clasp.Tighter(clasp.Positions - 1)),
            band.Strap?.BucklePiece,
            band.Strap?.Holes ?? (band.OnePiece is { Farthest: null } through ? through.Holes : null),
            band.Mesh?.Shortest,
            band.Mesh?.Longest,
            band.Facts.End,
            band.Facts.NickelSafe,
            links.Count,
            links.Count(l => l.Removable));
    }
}
