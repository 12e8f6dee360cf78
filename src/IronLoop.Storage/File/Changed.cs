using System.Collections.Concurrent;
using System.Collections.Frozen;
using System.Text.RegularExpressions;

namespace IronLoop.Storage;

/// <summary>
/// What a piece of work changed, as far as it matters to what is known of jobs. It is read off the statements themselves, so that none can
/// be forgotten: one that is not known to be of certain jobs counts as a change of all.
/// </summary>
internal sealed partial class Changed
{
    // Nothing of these is part of what is known of a job. Bands say themselves which of them were changed.
    private static readonly FrozenSet<string> OfNoJob = FrozenSet.Create(
        StringComparer.Ordinal,
        "change_entry", "sheet", "press", "session", "door_entry", "fitter", "shop_key", "log_entry", "visit", "visit_due", "visit_words", "forgetting",
        "reach", "band", "band_link", "band_spare", "model", "edition", "model_reading", "model_figure", "model_fact", "model_saying", "model_joint", "model_words");

    private static readonly FrozenSet<string> OfStock = FrozenSet.Create(StringComparer.Ordinal, "part", "stock_entry", "order_line", "supply_order");

    // Which value of a statement is the number of its job, client or watch; empty where none is.
    private static readonly ConcurrentDictionary<string, (string Table, string Job)> Read = new(StringComparer.Ordinal);

    /// <summary>The jobs that were changed.</summary>
    public HashSet<long> Jobs { get; } = [];

    /// <summary>The bands that were changed.</summary>
    public HashSet<long> Bands { get; } = [];

    /// <summary>The bands of which there are more or fewer.</summary>
    public HashSet<long> Counted { get; } = [];

    /// <summary>The watches of those jobs: what is known of one visit plays a part in the others.</summary>
    public HashSet<long> Watches { get; } = [];

    /// <summary>The clients that were changed themselves.</summary>
    public HashSet<long> Clients { get; } = [];

    // Jobs whose clients were.
    private readonly HashSet<long> _ofClients = [];

    // More jobs than these are not looked up one by one.
    private const int MostNamed = 50;

    // Milliseconds for reading one statement of ours.
    private const int Patience = 1_000;

    /// <summary>Whether parts in stock, or what is ordered of them, were changed.</summary>
    public bool Stock { get; private set; }

    /// <summary>Whether more may have changed than can be named.</summary>
    public bool All { get; private set; }

    /// <summary>Whether nothing was.</summary>
    public bool IsNothing => !All && !Stock && Jobs.Count == 0 && Bands.Count == 0 && Counted.Count == 0 && Clients.Count == 0 && Watches.Count == 0;

    /// <summary>The tables that were written.</summary>
    public Tables Tables { get; private set; }

    /// <summary>That everything may be another.</summary>
    public static Changed Everything => new() { All = true, Tables = Tables.All };

    /// <summary>Leaves out what was written so far: that somebody laid a hand on a job tells nothing of it but its version.</summary>
    public void OnlyTheHand() => Tables = Tables.None;

    /// <summary>Whether it plays a part in what was worked out of a job.</summary>
    /// <param name="of">What that was worked out of.</param>
    public bool Touches(KeptOf of) =>
        All || Jobs.Contains(of.Job) || Watches.Contains(of.Watch) || Clients.Contains(of.Client)
        || Holds(Bands, of);

    /// <summary>Whether there are more or fewer of a band that plays a part in it.</summary>
    /// <param name="of">What was worked out of a job.</param>
    public bool Counts(KeptOf of) => Holds(Counted, of);

    private static bool Holds(HashSet<long> bands, KeptOf of) =>
        bands.Count > 0 && (of.Band is { } band && bands.Contains(band) || of.BandBefore is { } before && bands.Contains(before));

    /// <summary>Looks up whose jobs they are, before it is stored.</summary>
    public void Complete(ShopWork work)
    {
        All |= Jobs.Count > MostNamed;
        if (All)
            return;
        foreach (var job in Jobs)
            foreach (var (watch, client) in work.Query("SELECT watch_id, client_id FROM job WHERE id = $id", row => (row.Number("watch_id"), row.Number("client_id")), ("$id", job)))
            {
                Watches.Add(watch);
                if (_ofClients.Contains(job))
                    Clients.Add(client);
            }
    }

    /// <summary>Takes a statement that writes.</summary>
    /// <param name="sql">The statement.</param>
    /// <param name="values">Its values.</param>
    /// <param name="tables">The tables it may change.</param>
    /// <param name="ofJob">The job the work is laid on; null when it is laid on none.</param>
    public void Add(string sql, ReadOnlySpan<(string Name, object? Value)> values, Tables tables, long? ofJob)
    {
        Tables |= tables;
        var (table, job) = Read.GetOrAdd(sql, static s => Look(s));
        if (OfNoJob.Contains(table))
            return;
        if (OfStock.Contains(table))
        {
            Stock = true;
            return;
        }
        foreach (var (name, value) in values)
            if (name == job && value is long id)
            {
                (table switch { "client" => Clients, "watch" => Watches, _ => Jobs }).Add(id);
                return;
            }
        // What is new is part of nothing that is known already.
        if (IsNew(table, sql))
            return;
        // A watch that is gauged, or what was said, from one of its jobs.
        if (table is "client" or "watch" or "wording" && ofJob is { } one)
        {
            Jobs.Add(one);
            if (table == "client")
                _ofClients.Add(one);
        }
        else
        {
            All = true;
        }
    }

    private static bool IsNew(string table, string sql) => table is "client" or "watch" or "job" && sql.TrimStart().StartsWith("INSERT INTO", StringComparison.Ordinal);

    private static (string Table, string Job) Look(string sql)
    {
        var table = Written().Match(sql) is { Success: true } written ? written.Groups["table"].Value : "";
        var job = table is "job" or "client" or "watch" ? Itself().Match(sql) : sql.TrimStart().StartsWith("INSERT", StringComparison.Ordinal) ? PutIn().Match(sql) : OfAJob().Match(sql);
        return (table, job.Success ? job.Groups["job"].Value : "");
    }

    [GeneratedRegex(@"^\s*(?:INSERT(?: OR \w+)? INTO|UPDATE(?: OR \w+)?|DELETE FROM)\s+(?<table>\w+)", RegexOptions.None, Patience)]
    private static partial Regex Written();

    // At its end: what is read for it stands before, and a watch may be found by its job.
    [GeneratedRegex(@"WHERE id = (?<job>\$\w+)\s*$", RegexOptions.None, Patience)]
    private static partial Regex Itself();

    // The last one: what is read for it stands before.
    [GeneratedRegex(@"\bjob_id = (?<job>\$\w+)", RegexOptions.RightToLeft, Patience)]
    private static partial Regex OfAJob();

    [GeneratedRegex(@"\(job_id\b[^)]*\)\s*(?:VALUES \(|SELECT )(?<job>\$\w+)", RegexOptions.None, Patience)]
    private static partial Regex PutIn();
}
