using IronLoop.Core.Measuring;
using Microsoft.Data.Sqlite;

namespace IronLoop.Storage;

/// <summary>
/// The words of the jobs that are open. They change with every step, so they are kept in memory, where nobody has to wait for the file to be
/// written and nothing stays of whoever is forgotten. Before it is asked it is brought up to what the piece of work sees: triggers count in
/// the file how often each job's words were changed.
/// </summary>
internal sealed class OpenVisits : IDisposable
{
    private readonly Lock _lock = new();
    private readonly Dictionary<long, (long Times, long? Width)> _known = [];
    private SqliteConnection? _words;

    /// <summary>The open jobs that answer a question.</summary>
    /// <param name="work">The piece of work.</param>
    /// <param name="words">The words, as the index is asked for them; empty where none are.</param>
    /// <param name="width">The width; null where it is not asked for.</param>
    public IReadOnlyList<long> Find(ShopWork work, string words, Length? width)
    {
        lock (_lock)
        {
            var index = CatchUp(work);
            IEnumerable<long> found = words.Length == 0 ? _known.Keys : Matching(index, words);
            return [.. found.Where(job => width is not { } wide || _known[job].Width == wide.Micrometres)];
        }
    }

    /// <summary>The width of each open job of which one is known.</summary>
    public IReadOnlyDictionary<long, Length> Widths(ShopWork work)
    {
        lock (_lock)
        {
            CatchUp(work);
            return _known.Where(k => k.Value.Width is not null).ToDictionary(k => k.Key, k => new Length(k.Value.Width!.Value));
        }
    }

    /// <summary>Forgets all of it: another shop may stand in the file's place.</summary>
    public void Forget()
    {
        lock (_lock)
        {
            _known.Clear();
            _words?.Dispose();
            _words = null;
        }
    }

    /// <inheritdoc />
    public void Dispose() => Forget();

    private SqliteConnection CatchUp(ShopWork work)
    {
        // What is not stored yet may never be, and the count would be the same when something else is.
        if (!work.IsLooking)
            throw new InvalidOperationException("Open jobs are looked for in what is stored; this piece of work writes.");
        var index = _words ??= Empty(work);
        var open = work.Query("SELECT job_id, times FROM visit_due WHERE job_id IN (SELECT id FROM job WHERE closed_at IS NULL)", row => (Job: row.Number("job_id"), Times: row.Number("times")));
        var gone = _known.Keys.Except(open.Select(o => o.Job)).ToList();
        var changed = open.Where(o => !_known.TryGetValue(o.Job, out var known) || known.Times != o.Times).ToList();
        if (gone.Count + changed.Count == 0)
            return index;
        try
        {
            using var together = index.BeginTransaction();
            foreach (var job in gone.Concat(changed.Select(c => c.Job)))
            {
                Execute(index, together, "DELETE FROM visit_words WHERE rowid = $id", [("$id", job)]);
                _known.Remove(job);
            }
            foreach (var (job, times) in changed)
            {
                var told = VisitWords.Of(work, job);
                Execute(index, together, VisitWords.Insert, told.Values(job));
                _known[job] = (times, told.Width);
            }
            together.Commit();
            return index;
        }
        catch
        {
            // What is half in must not be taken for whole.
            Forget();
            throw;
        }
    }

    /// <summary>An index as the file's is made, with nothing in it.</summary>
    private static SqliteConnection Empty(ShopWork work)
    {
        var index = new SqliteConnection("Data Source=:memory:;Pooling=False");
        index.Open();
        Execute(index, null, work.Query("SELECT sql FROM sqlite_schema WHERE name = 'visit_words'", row => row.Text("sql")).Single(), []);
        return index;
    }

    private static List<long> Matching(SqliteConnection index, string words)
    {
        using var command = index.CreateCommand();
        command.CommandText = "SELECT rowid FROM visit_words WHERE visit_words MATCH $words";
        command.Parameters.AddWithValue("$words", words);
        using var rows = command.ExecuteReader();
        var found = new List<long>();
        while (rows.Read())
            found.Add(rows.GetInt64(0));
        return found;
    }

    private static void Execute(SqliteConnection index, SqliteTransaction? together, string sql, IEnumerable<(string Name, object? Value)> values)
    {
        using var command = index.CreateCommand();
        command.Transaction = together;
        command.CommandText = sql;
        foreach (var (name, value) in values)
            command.Parameters.AddWithValue(name, value);
        command.ExecuteNonQuery();
    }
}
