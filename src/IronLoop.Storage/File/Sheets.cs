using IronLoop.Core.Jobs;

namespace IronLoop.Storage;

/// <summary>The version something is at that several people change, and who made it that.</summary>
/// <param name="Version">Counted up by every change.</param>
/// <param name="By">Initials of whoever changed it last; empty where nobody has to sign in.</param>
/// <param name="At">When; null when it was never changed.</param>
public sealed record SheetVersion(long Version, string By, DateTimeOffset? At);

/// <summary>A change was made on an older sight of something than it is at.</summary>
/// <param name="what">What it is: "Job 6", "The limits".</param>
/// <param name="stands">What it is at.</param>
public sealed class StaleException(string what, SheetVersion stands) : Exception($"{what} changed since.")
{
    /// <summary>What it is: "Job 6", "The limits".</summary>
    public string What { get; } = what;

    /// <summary>What it is at.</summary>
    public SheetVersion Stands { get; } = stands;
}

/// <summary>Lists that several people change, each with a version of its own: bands, parts, orders, limits, tools, bars, staff.</summary>
public static class Sheets
{
    /// <summary>The version a list is at.</summary>
    public static SheetVersion VersionOf(ShopWork work, string name) =>
        work.Query("SELECT version, changed_by, changed_at FROM sheet WHERE name = $name",
            row => new SheetVersion(row.Number("version"), row.Text("changed_by"), row.Time("changed_at")), ("$name", name)).SingleOrDefault()
        ?? new SheetVersion(1, "", null);

    /// <summary>Counts a list up.</summary>
    internal static void Set(ShopWork work, string name, SheetVersion version) =>
        work.Execute("INSERT OR REPLACE INTO sheet (name, version, changed_by, changed_at) VALUES ($name, $version, $by, $at)",
            ("$name", name), ("$version", version.Version), ("$by", version.By), ("$at", version.At));
}
