using IronLoop.Core.Bench;

namespace IronLoop.Storage;

/// <summary>What the shop lends for the work on jobs.</summary>
public static class LentThings
{
    /// <summary>That of a job.</summary>
    public static IReadOnlyList<Lent> Of(ShopWork work, long jobId) =>
        work.Query("SELECT * FROM lent WHERE job_id = $job ORDER BY name, drawer", row => new Lent(row.Text("name"), row.Count("count"), row.Text("drawer")), ("$job", jobId));

    /// <summary>Stores it in place of what was lent before.</summary>
    public static void Set(ShopWork work, long jobId, IEnumerable<Lent> lent)
    {
        work.Execute("DELETE FROM lent WHERE job_id = $job", ("$job", jobId));
        foreach (var line in lent)
            work.Execute("INSERT INTO lent (job_id, name, count, drawer) VALUES ($job, $name, $count, $drawer)",
                ("$job", jobId), ("$name", line.Name), ("$count", line.Count), ("$drawer", line.Drawer));
    }
}
