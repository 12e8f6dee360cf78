namespace IronLoop.Storage;

/// <summary>What the shop has settled for itself, by name.</summary>
public static class Settings
{
    /// <summary>A setting, or null when the shop has not settled it.</summary>
    public static string? Find(ShopWork work, string name) =>
        work.Query("SELECT value FROM setting WHERE name = $name", row => row.Text("value"), ("$name", name)).SingleOrDefault();

    /// <summary>Settles it.</summary>
    public static void Set(ShopWork work, string name, string value) =>
        work.Execute("INSERT OR REPLACE INTO setting (name, value) VALUES ($name, $value)", ("$name", name), ("$value", value));
}
