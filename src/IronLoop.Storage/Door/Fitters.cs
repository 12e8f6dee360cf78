namespace IronLoop.Storage;

/// <summary>What somebody may do here.</summary>
public enum Role
{
    /// <summary>Takes in, gauges, hands over, orders; sees everything.</summary>
    Counter,

    /// <summary>Works on jobs and on the stock besides.</summary>
    Fitter,

    /// <summary>Settles the house besides: who works here, its limits and school, archive and backups, and forgetting a client.</summary>
    Lead,
}

/// <summary>Somebody who works here.</summary>
/// <param name="Id">Its number.</param>
/// <param name="Initials">1 to 4 letters, which stand on every record.</param>
/// <param name="Role">What they may do.</param>
/// <param name="Hash">The passphrase as hashed; never the passphrase.</param>
/// <param name="Since">Since when.</param>
/// <param name="GoneAt">When they left; null while they work here.</param>
public sealed record Fitter(long Id, string Initials, Role Role, string Hash, DateTimeOffset Since, DateTimeOffset? GoneAt);

/// <summary>Who works here.</summary>
public static class Fitters
{
    /// <summary>Everybody, those who left too, by initials.</summary>
    public static IReadOnlyList<Fitter> All(ShopWork work) => work.Query("SELECT * FROM fitter ORDER BY initials", Read);

    /// <summary>Whether anybody was ever entered.</summary>
    public static bool Any(ShopWork work) => work.Query("SELECT 1 AS one FROM fitter LIMIT 1", row => row.Number("one")).Count > 0;

    /// <summary>Somebody by initials, who may have left; null when there never was one.</summary>
    public static Fitter? Find(ShopWork work, string initials) => work.Query("SELECT * FROM fitter WHERE initials = $initials", Read, ("$initials", initials)).SingleOrDefault();

    /// <summary>Enters somebody.</summary>
    public static long Add(ShopWork work, string initials, Role role, string hash, DateTimeOffset at) =>
        work.Insert("INSERT INTO fitter (initials, role, hash, since) VALUES ($initials, $role, $hash, $at)",
            ("$initials", initials), ("$role", role), ("$hash", hash), ("$at", at));

    /// <summary>Stores how somebody stands now.</summary>
    public static void Change(ShopWork work, Fitter fitter) =>
        work.Execute("UPDATE fitter SET role = $role, hash = $hash, gone_at = $gone WHERE id = $id",
            ("$role", fitter.Role), ("$hash", fitter.Hash), ("$gone", fitter.GoneAt), ("$id", fitter.Id));

    private static Fitter Read(Microsoft.Data.Sqlite.SqliteDataReader row) => new(
        row.Number("id"), row.Text("initials"), row.Choice<Role>("role"), row.Text("hash"), row.Time("since"), row.Maybe("gone_at", Columns.Time));
}
