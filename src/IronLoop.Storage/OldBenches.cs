using IronLoop.Core.Joints;

namespace IronLoop.Storage;

/// <summary>What the version before kept of its benches, until it has come over: rounds, and an account of parts by their names.</summary>
public static class OldBenches
{
    /// <summary>Whether there is anything of it.</summary>
    public static bool AreThere(ShopWork work) => work.Query("SELECT 1 FROM sqlite_schema WHERE type = 'table' AND name = 'tray_entry'", _ => true).Count > 0;

    /// <summary>The open jobs on whose bench work was begun.</summary>
    public static IReadOnlyList<long> Begun(ShopWork work) =>
        work.Query("SELECT DISTINCT job_id FROM bench_step JOIN job ON job.id = bench_step.job_id WHERE job.closed_at IS NULL AND bench_step.acts IS NULL", row => row.Number("job_id"));

    /// <summary>The round a job was in.</summary>
    public static int Round(ShopWork work, long jobId) =>
        work.Query("SELECT round FROM bench_round WHERE job_id = $id", row => row.Count("round"), ("$id", jobId)).SingleOrDefault(1);

    /// <summary>The parts that were lost or thrown away and not found since, one by one.</summary>
    public static IReadOnlyList<(string Part, Place Place)> Gone(ShopWork work, long jobId)
    {
        var moves = work.Query("SELECT part, count, from_place, to_place FROM tray_entry WHERE job_id = $id ORDER BY id",
            row => (Part: row.Text("part"), Count: row.Count("count"), From: row.Text("from_place"), To: row.Text("to_place")), ("$id", jobId));
        return
        [
            .. moves.SelectMany(m => (((string, string), int)[])[((m.Part, m.To), m.Count), ((m.Part, m.From), -m.Count)])
                .GroupBy(m => m.Item1).Where(g => g.Key.Item2 is "Lost" or "Scrapped").Select(g => (g.Key, Count: g.Sum(m => m.Item2)))
                .SelectMany(g => Enumerable.Repeat((g.Key.Item1, g.Key.Item2 == "Lost" ? Place.Lost : Place.Thrown), Math.Max(0, g.Count))),
        ];
    }

    /// <summary>Lets go of it, now that it has come over.</summary>
    public static void Drop(ShopWork work)
    {
        work.Execute("DROP TABLE bench_round_link");
        work.Execute("DROP TABLE bench_round");
        work.Execute("DROP TABLE tray_entry");
    }
}
