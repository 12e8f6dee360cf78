using IronLoop.Core.Jobs;
using IronLoop.Core.Stock;
using IronLoop.Core.Tray;
using IronLoop.Server.Contract;

namespace IronLoop.Server.Stations.Clasp;

/// <summary>What a supplier is asked for on a job.</summary>
internal static class Wanted
{
    /// <summary>A clasp for the band's end as measured.</summary>
    /// <exception cref="RefusedException">Something has to be said or measured before.</exception>
    public static PartWish Clasp(JobSnapshot job)
    {
        var wish = ClaspSheetWire.WishOf(job) ?? throw RefusedException.Conflict("Say what kind of clasp it is first.");
        return wish.Missing is { } missing ? throw RefusedException.Conflict($"Measure {missing} first; it is never taken from the lug width.") : wish;
    }

    /// <summary>A part in place of an own one.</summary>
    /// <exception cref="RefusedException">Something has to be measured before.</exception>
    public static PartWish Part(JobSnapshot job, OwnPartKind kind) =>
        ClaspSheetWire.WishOf(job, kind) is { Missing: null } wish
            ? wish
            : throw RefusedException.Conflict($"Measure {ClaspSheetWire.WishOf(job, kind)?.Missing ?? "its diameter and length, or the bore and the band’s width"} first.");
}
