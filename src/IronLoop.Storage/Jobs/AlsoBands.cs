using IronLoop.Core.Fitting;
using IronLoop.Core.Jobs;

namespace IronLoop.Storage;

/// <summary>The bands of jobs beside those that are on the watches when they leave.</summary>
public static class AlsoBands
{
    /// <summary>Those of a job, in the order they were added.</summary>
    public static IReadOnlyList<AlsoBand> Of(ShopWork work, long jobId)
    {
        var also = work.Query("SELECT band_id, way, as_what FROM also_band WHERE job_id = $job ORDER BY added_at, band_id",
            row => (Band: row.Number("band_id"), Way: row.Choice<PullThroughWay>("way"), As: row.Choice<AlsoAs>("as_what")), ("$job", jobId));
        if (also.Count == 0)
            return [];
        var bands = Bands.Find(work, also.Select(a => a.Band));
        return [.. also.Where(a => bands.ContainsKey(a.Band)).Select(a => new AlsoBand(bands[a.Band], a.Way, a.As))];
    }

    /// <summary>Adds one, or says that it is there as something else now.</summary>
    public static void Add(ShopWork work, long jobId, AlsoBand also, DateTimeOffset at) =>
        work.Execute("INSERT OR REPLACE INTO also_band (job_id, band_id, way, as_what, added_at) VALUES ($job, $band, $way, $as, $at)",
            ("$job", jobId), ("$band", also.Stock.Id), ("$way", also.Way), ("$as", also.As), ("$at", at));

    /// <summary>Takes one off the job.</summary>
    /// <returns>Whether it was on it.</returns>
    public static bool Remove(ShopWork work, long jobId, long bandId) =>
        work.Execute("DELETE FROM also_band WHERE job_id = $job AND band_id = $band", ("$job", jobId), ("$band", bandId)) == 1;
}
