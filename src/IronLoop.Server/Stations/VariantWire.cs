using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Jobs;
using IronLoop.Core.Measuring;
using IronLoop.Core.Stock;
using IronLoop.Storage;

namespace IronLoop.Server.Stations;

/// <summary>What a variant was tried with, besides how its links lie: what a fitter returns to is the variant whole.</summary>
/// <param name="ClaspPartId">The clasp that goes on instead of the band's own; null where its own does.</param>
/// <param name="Links">Loose links taken from stock.</param>
/// <param name="Freed">Last links freed at the clasp's joint.</param>
/// <param name="Way">How a pull-through band is worn.</param>
internal sealed record VariantWire(long? ClaspPartId, IReadOnlyList<TakeLinkWire> Links, IReadOnlyList<FreedWire> Freed, PullThroughWay Way)
{
    public static VariantWire Of(JobSnapshot file) => new(
        file.OtherClasp?.Id,
        [.. file.Taken.Where(t => t.IsLinksToTry).Select(t => new TakeLinkWire(t.Part.Id, t.Count))],
        [.. file.Marks.Freed.Select(f => new FreedWire(f.Key, true, f.Value.ToString()))],
        file.Way);
}

/// <summary>A side's last link, freed at the clasp's joint.</summary>
/// <param name="EndPiece">What stays on and rejoins the clasp, as typed; empty when nothing does.</param>
internal sealed record FreedWire(Side Side, bool Freed, string EndPiece = "");

/// <summary>Loose links taken from stock to try.</summary>
internal sealed record TakeLinkWire(long PartId, int Count);
