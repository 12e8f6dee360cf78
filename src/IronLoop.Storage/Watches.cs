using IronLoop.Core.Fitting;
using IronLoop.Core.Jobs;
using IronLoop.Core.Matching;
using Microsoft.Data.Sqlite;

namespace IronLoop.Storage;

/// <summary>The clients' watches, and what was gauged of them and of the wrist they are worn on.</summary>
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

    /// <summary>Puts right what was heard wrong.</summary>
    public static void Rename(ShopWork work, long id, string name) =>
        work.Execute("UPDATE watch SET name = $name WHERE id = $id", ("$id", id), ("$name", name));

    /// <summary>What was gauged for a job: the watch's figures stay with the watch, the wrist's with the job.</summary>
    public static Figures FiguresOf(ShopWork work, long jobId) =>
        work.Query(
            """
            SELECT watch.*, wrist.round_um, wrist.wear
            FROM job JOIN watch ON watch.id = job.watch_id JOIN wrist ON wrist.job_id = job.id
            WHERE job.id = $id
            """,
            Read, ("$id", jobId)).Single();

    /// <summary>Stores what was gauged.</summary>
    public static void Gauge(ShopWork work, long jobId, Figures figures)
    {
        work.Execute(
            """
            UPDATE watch SET lug_width_um = $lug_width, attachment = $attachment, lug_to_lug_um = $lug_to_lug,
              bar_to_bar_um = $bar_to_bar, bar_rise_um = $bar_rise, family = $family
            WHERE id = (SELECT watch_id FROM job WHERE id = $id)
            """,
            ("$id", jobId), ("$lug_width", figures.LugWidth), ("$attachment", figures.Attachment),
            ("$lug_to_lug", figures.LugToLug), ("$bar_to_bar", figures.BarToBar), ("$bar_rise", figures.BarRise),
            ("$family", figures.Family));
        work.Execute("UPDATE wrist SET round_um = $round, wear = $wear WHERE job_id = $id",
            ("$id", jobId), ("$round", figures.Wrist), ("$wear", figures.Wear));
    }

    private static Figures Read(SqliteDataReader row) => new(
        row.Maybe("lug_width_um", Columns.Length),
        row.Maybe("attachment", Columns.Choice<Attachment>),
        row.Maybe("lug_to_lug_um", Columns.Length),
        row.Maybe("bar_to_bar_um", Columns.Length),
        row.Maybe("bar_rise_um", Columns.Length),
        row.Maybe("round_um", Columns.Length),
        row.Maybe("wear", Columns.Choice<WearPreference>),
        row.MaybeText("family"));
}
