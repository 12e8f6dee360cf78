using IronLoop.Core.Bench;

namespace IronLoop.Storage;

/// <summary>
/// Minutes a step of each row takes here: the middle of the shop's own last times, where it has enough of them. One more time among
/// thousands does not move the middle, so it is worked out anew once a hundredth of them may be others.
/// </summary>
/// <param name="changes">What is stored in the shop.</param>
internal sealed class Pace(JobChanges changes)
{
    private const int Looked = 2_000;
    private const int Enough = 5;

    private readonly Lock _lock = new();
    private volatile IReadOnlyDictionary<StepRow, double>? _minutes;
    private long _asOf;
    private int _counted;
    private Tables _from;

    /// <summary>The minutes by row; rows with too few times have none.</summary>
    public IReadOnlyDictionary<StepRow, double> Minutes(ShopWork work)
    {
        // While somebody works it out anew the others go by what it was.
        if (!_lock.TryEnter())
        {
            if (_minutes is { } were)
                return were;
            _lock.Enter();
        }
        try
        {
            if (_minutes is null || changes.Since(_asOf) is not { } since || since.Where(c => c.Tables.Meets(_from)).Distinct().Count() > _counted / 100 || since.Any(c => c.Tables == Tables.All))
            {
                _asOf = work.ReadFrom;
                var times = work.Noting(
                    () => work.Query(
                        $"SELECT row, seconds FROM bench_step WHERE seconds IS NOT NULL AND skipped IS NULL ORDER BY done_at DESC LIMIT {Looked}",
                        row => (Row: row.Choice<StepRow>("row"), Seconds: row.Count("seconds"))),
                    out _from);
                _counted = times.Count;
                _minutes = times.GroupBy(s => s.Row).Where(g => g.Count() >= Enough)
                    .ToDictionary(g => g.Key, g => Math.Round(g.Select(s => s.Seconds).Order().ElementAt(g.Count() / 2) / 60.0, 1));
            }
            return _minutes;
        }
        finally
        {
            _lock.Exit();
        }
    }
}
