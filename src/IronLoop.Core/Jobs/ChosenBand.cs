using IronLoop.Core.Bands;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Shelf;
using IronLoop.Core.Stock;

namespace IronLoop.Core.Jobs;

/// <summary>The band chosen for a job: as it came, with what was marked on its links, and with what is fitted to it.</summary>
/// <param name="Stock">With the clasp that goes on it, and loose links from stock beside it: what is planned and worked.</param>
/// <param name="Unmarked">As it came, without what was marked on its links.</param>
/// <param name="WithOwnClasp">With what was marked, and its own clasp.</param>
/// <param name="OtherClasp">The clasp that goes on instead of its own; null when that is kept.</param>
public sealed record ChosenBand(StockBand Stock, Band Unmarked, Band WithOwnClasp, StockPart? OtherClasp)
{
    /// <summary>The band of a job.</summary>
    /// <param name="chosen">The band as it lies in stock, or the owner's own.</param>
    /// <param name="marks">Links never to take, and links freed at the clasp.</param>
    /// <param name="clasp">What was decided about its clasp.</param>
    /// <param name="taken">What the job takes of the parts in stock.</param>
    public static ChosenBand Of(StockBand chosen, LinkMarks marks, JobClasp clasp, IReadOnlyList<PartTaken> taken)
    {
        var own = marks.On(chosen.Band);
        var other = clasp.PartId is { } id ? taken.FirstOrDefault(t => t.Use == PartTaken.ForClasp && t.Part.Id == id)?.Part : null;
        var band = other is { Part.Clasp: { } replacing } ? ClaspOnBand.With(own, other.Part.Name, replacing) : own;
        var links = taken.Where(t => t.IsLinksToTry).Select(t => new SpareLinks(t.Part.Part.Link!.Pitch, t.Count)).ToList();
        return new ChosenBand(chosen with { Band = band is LinkBracelet bracelet && links.Count > 0 ? bracelet with { Loose = [.. bracelet.Loose, .. links] } : band }, chosen.Band, own, other);
    }

    /// <summary>Its end at the clasp: as gauged, and as it was seen.</summary>
    public BandEndFacts ClaspEnd(Gauging.Figures figures, JobClasp clasp, BenchAccount account) => ClaspSheet.End(WithOwnClasp, figures, Stock.Finish, Stock.Colour) with
    {
        Pierced = clasp.Pierced,
        NotchedEnd = clasp.Notched,
        OtherEndPlain = clasp.OtherPlain,
        KeepsItsBars = account.Own.Any(p => p is { Kind: Tray.OwnPartKind.ClaspPins, IsReused: true }),
    };
}
