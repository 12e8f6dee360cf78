using IronLoop.Core.Tray;

namespace IronLoop.Storage;

/// <summary>What went back to the owners in bags.</summary>
public static class Bags
{
    /// <summary>Stores what a job's bag holds.</summary>
    public static void Fill(ShopWork work, long jobId, IEnumerable<BagLine> lines)
    {
        foreach (var line in lines)
            work.Execute("INSERT INTO bag_line (job_id, what, count) VALUES ($id, $what, $count)",
                ("$id", jobId), ("$what", line.What), ("$count", line.Count));
    }

    /// <summary>What a job's bag holds.</summary>
    public static IReadOnlyList<BagLine> Of(ShopWork work, long jobId) =>
        work.Query("SELECT what, count FROM bag_line WHERE job_id = $id ORDER BY (what LIKE 'links%') DESC, what",
            row => new BagLine(row.Text("what"), row.Count("count")), ("$id", jobId));
}
