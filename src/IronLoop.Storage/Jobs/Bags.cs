using IronLoop.Core.Tray;

namespace IronLoop.Storage;

/// <summary>What went back to the owners in bags.</summary>
public static class Bags
{
    /// <summary>Stores what a job's bag holds.</summary>
    public static void Fill(ShopWork work, long jobId, IEnumerable<BagLine> lines)
    {
        foreach (var line in lines)
            work.Execute("INSERT INTO bag_line (job_id, what, count, fits) VALUES ($id, $what, $count, $fits)",
                ("$id", jobId), ("$what", line.What), ("$count", line.Count), ("$fits", line.Fits));
    }

    /// <summary>What a job's bag holds.</summary>
    public static IReadOnlyList<BagLine> Of(ShopWork work, long jobId) =>
        work.Query("SELECT what, count, fits FROM bag_line WHERE job_id = $id ORDER BY rowid",
            row => new BagLine(row.Text("what"), row.Count("count")) { Fits = row.Text("fits") }, ("$id", jobId));
}
