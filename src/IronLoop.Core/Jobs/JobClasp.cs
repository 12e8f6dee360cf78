using IronLoop.Core.Matching;

namespace IronLoop.Core.Jobs;

/// <summary>What was seen of a job's clasp and decided about it.</summary>
/// <param name="Kind">What it is by the key; null when nobody looked.</param>
/// <param name="Pierced">Whether a strap's end has its hole.</param>
/// <param name="Notched">Whether the end that shows when it is open is notched.</param>
/// <param name="OtherPlain">Whether the other end is plain and otherwise alike.</param>
/// <param name="Fit">How an opened hole is to hold its bar.</param>
/// <param name="SwapEnds">Whether the two ends are swapped.</param>
/// <param name="PartId">The clasp that goes on instead; null when the band's own is kept.</param>
public sealed record JobClasp(
    ClaspKind? Kind = null, bool? Pierced = null, bool? Notched = null, bool? OtherPlain = null, BarFit? Fit = null, bool SwapEnds = false, long? PartId = null);
