using IronLoop.Core.Tray;

namespace IronLoop.Storage;

/// <summary>What went back to the owners in bags.</summary>
public static class Bags
{
    /// <summary>Stores what a job's bag holds.</summary>
    public static void Fill(ShopWork work, long jobId, IEnumerable<BagLine> lines)
    {
        foreach (var (place, line) in lines.Index())
            work.Execute("INSERT INTO bag_line (job_id, what, count, fits, place) VALUES ($id, $what, $count, $fits, $place)",
                ("$id", jobId), ("$what", line.What), ("$count", line.Count), ("$fits", line.Fits), ("$place", place));
    }

    /// <summary>What a job's bag holds.</summary>
    public static IReadOnlyList<BagLine> Of(ShopWork work, long jobId) =>
        work.Query("SELECT what, count, fits FROM bag_line WHERE job_id = $id ORDER BY place",
            row => new BagLine(row.Text("what"), row.Count("count")) { Fits = row.Text("fits") }, ("$id", jobId));
}
