using IronLoop.Core.Tools;

namespace IronLoop.Storage;

/// <summary>A tool of the house.</summary>
/// <param name="Id">Its number.</param>
/// <param name="Tool">What it is.</param>
/// <param name="IsWanted">Whether it is on the list and does not hang there yet.</param>
public sealed record StoredTool(long Id, WallTool Tool, bool IsWanted);

/// <summary>The house's tools: what hangs on the wall, and what is wanted there.</summary>
public static class ToolWalls
{
    /// <summary>The setting that says that the wall is the house's own.</summary>
    public const string IsSettled = "tools.settled";

    /// <summary>What hangs there.</summary>
    public static ToolWall Of(ShopWork work) => new([.. All(work).Where(t => !t.IsWanted).Select(t => t.Tool)]);

    /// <summary>Everything, in the order it was hung up; the usual set until the house changes it.</summary>
    public static IReadOnlyList<StoredTool> All(ShopWork work) => Settings.Find(work, IsSettled) is null
        ? [.. ToolWall.Usual.Tools.Select((t, i) => new StoredTool(i + 1, t, false))]
        : work.Query("SELECT * FROM tool ORDER BY id",
            row => new StoredTool(
                row.Number("id"),
                new WallTool(row.Choice<ToolKind>("kind"), row.Text("name"), row.Maybe("across_um", Columns.Length), row.Maybe("width_um", Columns.Length)) { Spares = row.Count("spares") },
                row.Yes("wanted")));

    /// <summary>Hangs a tool up, or puts it on the list.</summary>
    public static void Add(ShopWork work, WallTool tool, bool isWanted)
    {
        Settle(work);
        Insert(work, tool, isWanted);
    }

    private static void Insert(ShopWork work, WallTool tool, bool isWanted) =>
        work.Execute("INSERT INTO tool (kind, name, across_um, width_um, spares, wanted) VALUES ($kind, $name, $across, $width, $spares, $wanted)",
            ("$kind", tool.Kind), ("$name", tool.Name), ("$across", tool.Across), ("$width", tool.Width), ("$spares", tool.Spares), ("$wanted", isWanted));

    /// <summary>Says how many spares of it there are, and whether it hangs there.</summary>
    public static void Set(ShopWork work, long id, int spares, bool isWanted)
    {
        Settle(work);
        work.Execute("UPDATE tool SET spares = $spares, wanted = $wanted WHERE id = $id", ("$id", id), ("$spares", spares), ("$wanted", isWanted));
    }

    /// <summary>Takes it off the wall, or off the list.</summary>
    public static void Remove(ShopWork work, long id)
    {
        Settle(work);
        work.Execute("DELETE FROM tool WHERE id = $id", ("$id", id));
    }

    /// <summary>From the first change on the wall is the house's own, begun with the usual set under the numbers it was shown with.</summary>
    private static void Settle(ShopWork work)
    {
        if (Settings.Find(work, IsSettled) is not null)
            return;
        foreach (var tool in ToolWall.Usual.Tools)
            Insert(work, tool, isWanted: false);
        Settings.Set(work, IsSettled, "yes");
    }
}
