namespace IronLoop.Storage;

/// <summary>The clients' watches.</summary>
public static class Watches
{
    /// <summary>Takes a watch in.</summary>
    public static long Add(ShopWork work, long clientId, string name) =>
        work.Insert("INSERT INTO watch (client_id, name) VALUES ($client, $name)", ("$client", clientId), ("$name", name));

    /// <summary>The client's watch of that name, or a new one.</summary>
    public static long FindOrAdd(ShopWork work, long clientId, string name)
    {
        var known = work.Query(
            "SELECT id FROM watch WHERE client_id = $client AND name = $name COLLATE NOCASE ORDER BY id LIMIT 1",
            row => row.Number("id"), ("$client", clientId), ("$name", name));
        return known.Count > 0 ? known[0] : Add(work, clientId, name);
    }

    /// <summary>The names of a client's watches, those seen last first.</summary>
    public static IReadOnlyList<string> NamesOf(ShopWork work, long clientId) =>
        work.Query("SELECT name FROM watch WHERE client_id = $client ORDER BY id DESC", row => row.Text("name"), ("$client", clientId));

    /// <summary>Corrects what was noted wrong. What a watch of that other name told the model book, it tells no more.</summary>
    public static void Rename(ShopWork work, long id, string name)
    {
        if (work.Query("SELECT 1 FROM watch WHERE id = $id AND name <> $name COLLATE NOCASE", _ => true, ("$id", id), ("$name", name)).Count > 0)
            ModelBook.TakeOut(work, id);
        work.Execute("UPDATE watch SET name = $name WHERE id = $id", ("$id", id), ("$name", name));
    }
}
