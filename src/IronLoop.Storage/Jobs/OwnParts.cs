using IronLoop.Core.Tray;

namespace IronLoop.Storage;

/// <summary>The owners' own parts as inspected.</summary>
public static class OwnParts
{
    /// <summary>Those of a job.</summary>
    public static IReadOnlyList<OwnPart> Of(ShopWork work, long jobId) =>
        work.Query("SELECT * FROM own_part WHERE job_id = $job ORDER BY kind",
            row => new OwnPart(row.Choice<OwnPartKind>("kind"), row.Yes("straight"), row.Yes("springy"), row.Yes("unworn")) { Came = row.Yes("came") }, ("$job", jobId));

    /// <summary>Records an inspection in place of the one before.</summary>
    public static void Set(ShopWork work, long jobId, OwnPart part) =>
        work.Execute("INSERT OR REPLACE INTO own_part (job_id, kind, came, straight, springy, unworn) VALUES ($job, $kind, $came, $straight, $springy, $unworn)",
            ("$job", jobId), ("$kind", part.Kind), ("$came", part.Came), ("$straight", part.Straight), ("$springy", part.Springy), ("$unworn", part.Unworn));

    /// <summary>Forgets an inspection.</summary>
    public static void Drop(ShopWork work, long jobId, OwnPartKind kind) =>
        work.Execute("DELETE FROM own_part WHERE job_id = $job AND kind = $kind", ("$job", jobId), ("$kind", kind));
}
