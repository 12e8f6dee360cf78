namespace IronLoop.Core.Day;

/// <summary>
/// Which promises can be kept, exactly, in whole minutes. Time is cut wherever somebody comes or goes, a job may begin or is due; a job fills
/// stretches between its first minute and its due, each at most for its length; all is kept exactly when everything flows.
/// </summary>
public sealed class Keeping
{
    /// <summary>The furthest all dues are moved, in minutes: seventy days.</summary>
    public const int Furthest = 70 * MinutesADay;

    private const int MinutesADay = 24 * 60;

    private readonly int _now;
    private readonly IReadOnlyList<(IReadOnlySet<string> Not, string? Only, IReadOnlyList<IReadOnlyList<WorkTime>> Each)> _alike;
    private readonly int[] _edges;
    private (IReadOnlyList<DayJob> Of, IReadOnlyList<DayJob> Kept)? _kept;

    /// <summary>Takes who works when.</summary>
    /// <param name="now">The minute it is.</param>
    /// <param name="hands">Who works when.</param>
    /// <param name="owned">Who has jobs of their own: they are not alike to anybody.</param>
    public Keeping(int now, IReadOnlyList<DayHand> hands, IReadOnlySet<string>? owned = null)
    {
        _now = now;
        _alike =
        [
            .. hands.GroupBy(h => (string.Join('\n', h.Not.Order(StringComparer.Ordinal)), owned?.Contains(h.Id) == true ? h.Id : null))
                .Select(g => (g.First().Not, g.Key.Item2, (IReadOnlyList<IReadOnlyList<WorkTime>>)[.. g.Select(h => h.From(now))])),
        ];
        _edges = [.. _alike.SelectMany(a => a.Each).SelectMany(h => h).SelectMany(h => new[] { h.From, h.To }).Distinct().Order()];
    }

    /// <summary>The last minute somebody works; the moment it is where nobody does.</summary>
    public int End => _edges.Length > 0 ? _edges[^1] : _now;

    /// <summary>How many ways the network has that some jobs need, about: what it costs.</summary>
    public long Cost(IReadOnlyList<DayJob> jobs) => (long)jobs.Count * Cuts(jobs, byDay: false).Count;

    /// <summary>Whether all can be kept.</summary>
    /// <param name="jobs">The work that is left.</param>
    /// <param name="later">By how many minutes all dues are moved.</param>
    public bool Keeps(IReadOnlyList<DayJob> jobs, int later = 0) => Most(later == 0 ? jobs : [.. jobs.Select(j => j with { Due = j.Due + later })], 0, 0) == jobs.Sum(j => j.Minutes);

    /// <summary>By how many whole minutes all dues move at least until everything can be kept; null where the hours never suffice.</summary>
    /// <param name="jobs">The work that is left.</param>
    public int? Allowance(IReadOnlyList<DayJob> jobs)
    {
        if (Keeps(jobs))
            return 0;
        if (!Keeps(jobs, Furthest))
            return null;
        var (not, yes) = (0, Furthest);
        while (yes - not > 1)
        {
            var middle = not + (yes - not) / 2;
            if (Keeps(jobs, middle))
                yes = middle;
            else
                not = middle;
        }
        return yes;
    }

    /// <summary>
    /// The earliest minute for one more job by which it and all that can be kept are; null where there is none. A promise that is lost already
    /// takes its own earliest minute first.
    /// </summary>
    /// <param name="jobs">The work that is left.</param>
    /// <param name="one">The new one; its due plays no part.</param>
    /// <param name="reserve">Percent of each day's minutes that is kept from it, 0 to 90; of today, of what is left.</param>
    public int? Earliest(IReadOnlyList<DayJob> jobs, DayJob one, int reserve = 0)
    {
        var kept = Kept(jobs);
        // What standing promises take of the reserve they may; the new one may not.
        var standing = reserve == 0 ? 0 : kept.Sum(j => j.Minutes) - Most(kept, reserve, 0);
        return First(Math.Max(_now, one.NotBefore) + one.Minutes, due =>
        {
            List<DayJob> all = [.. kept, one with { Due = due }];
            return Most(all, reserve, standing) == all.Sum(j => j.Minutes);
        });
    }

    /// <summary>The work as it can be kept: what is lost already is due as early as it can be without breaking another; what can never be done is left out.</summary>
    /// <param name="jobs">The work that is left.</param>
    public IReadOnlyList<DayJob> Kept(IReadOnlyList<DayJob> jobs)
    {
        if (_kept is { } known && ReferenceEquals(known.Of, jobs))
            return known.Kept;
        var kept = new List<DayJob>();
        List<DayJob> rest = [.. jobs.OrderBy(j => j.Due).ThenBy(j => j.NotBefore)];
        while (rest.Count > 0)
        {
            // The most of them, by due, that can be kept with those before; the next cannot.
            var (yes, no) = (0, rest.Count + 1);
            if (Keeps([.. kept, .. rest]))
                yes = rest.Count;
            while (no - yes > 1)
            {
                var middle = (yes + no) / 2;
                if (Keeps([.. kept, .. rest.Take(middle)]))
                    yes = middle;
                else
                    no = middle;
            }
            kept.AddRange(rest.Take(yes));
            if (yes == rest.Count)
                break;
            var job = rest[yes];
            rest = rest[(yes + 1)..];
            if (First(Math.Max(job.Due, Math.Max(_now, job.NotBefore) + job.Minutes), due => Keeps([.. kept, job with { Due = due }])) is { } due)
                kept.Add(job with { Due = due });
        }
        _kept = (jobs, kept);
        return kept;
    }

    private int? First(int earliest, Func<int, bool> holds)
    {
        if (earliest > End || !holds(End))
            return null;
        var (not, yes) = (earliest - 1, End);
        while (yes - not > 1)
        {
            var middle = not + (yes - not) / 2;
            if (holds(middle))
                yes = middle;
            else
                not = middle;
        }
        return yes;
    }

    private List<int> Cuts(IReadOnlyList<DayJob> jobs, bool byDay)
    {
        var cuts = new SortedSet<int>(_edges);
        foreach (var job in jobs)
        {
            if (job.NotBefore > _now && job.NotBefore < End)
                cuts.Add(job.NotBefore);
            if (job.Due > _now && job.Due < End)
                cuts.Add(job.Due);
        }
        if (byDay)
            for (var midnight = (_now / MinutesADay + 1) * MinutesADay; midnight < End; midnight += MinutesADay)
                cuts.Add(midnight);
        return [.. cuts];
    }

    /// <summary>Time that is all the same to the work: within it nothing may begin or is due, and the same hands are there throughout.</summary>
    /// <param name="From">Its first minute.</param>
    /// <param name="To">Its last.</param>
    /// <param name="Minutes">How many are worked between them.</param>
    /// <param name="Working">How many are there of those who are alike.</param>
    /// <param name="Day">Whose day's reserve it counts with, from 0.</param>
    /// <param name="Times">How many days alike it stands for, where a reserve is kept.</param>
    private readonly record struct Stretch(int From, int To, int Minutes, int[] Working, int Day, int Times);

    /// <summary>
    /// Pieces with the same hands and no beginning or due between them count as one, as long as all of them: what is done in the whole without
    /// anybody in two places can be cut to the pieces. With a reserve only days that are worked alike are put together, for their shares are alike too.
    /// </summary>
    private List<Stretch> Alike(IReadOnlyList<DayJob> jobs, bool byDay)
    {
        var pieces = new List<(int Between, int Day, int From, int To, int[] Working)>();
        var marks = new SortedSet<int>(jobs.SelectMany(j => new[] { j.NotBefore, j.Due }).Where(m => m > _now && m < End));
        var cuts = Cuts(jobs, byDay);
        var between = 0;
        for (var i = 0; i + 1 < cuts.Count; i++)
        {
            if (marks.Contains(cuts[i]))
                between++;
            var working = new int[_alike.Count];
            for (var g = 0; g < working.Length; g++)
                working[g] = _alike[g].Each.Count(h => Works(h, cuts[i]));
            if (working.Any(w => w > 0))
                pieces.Add((between, cuts[i] / MinutesADay, cuts[i], cuts[i + 1], working));
        }
        static string Hands(int[] working) => string.Join(',', working);
        static string Worked(IEnumerable<(int Between, int Day, int From, int To, int[] Working)> day) =>
            string.Join(' ', day.GroupBy(p => Hands(p.Working)).Select(g => $"{g.Key}:{g.Sum(p => p.To - p.From)}").Order(StringComparer.Ordinal));
        if (!byDay)
            return [.. pieces.GroupBy(p => (p.Between, Hands(p.Working))).Select(g => Together(g, 0, 1))];
        // A day that a beginning or a due cuts stands alone.
        var groups = pieces.GroupBy(p => p.Day).GroupBy(d => d.Select(p => p.Between).Distinct().Count() == 1 ? $"{d.First().Between} {Worked(d)}" : $"day {d.Key}");
        return [.. groups.SelectMany((days, number) => days.SelectMany(d => d).GroupBy(p => (p.Between, Hands(p.Working))).Select(g => Together(g, number, days.Count())))];

        static Stretch Together(IEnumerable<(int Between, int Day, int From, int To, int[] Working)> alike, int day, int times)
        {
            List<(int Between, int Day, int From, int To, int[] Working)> all = [.. alike];
            return new Stretch(all[0].From, all[^1].To, all.Sum(p => p.To - p.From), all[0].Working, day, times);
        }
    }

    /// <summary>The most minutes of the work that can be done in time.</summary>
    private int Most(IReadOnlyList<DayJob> jobs, int reserve, int ofTheReserve)
    {
        var stretches = Alike(jobs, reserve > 0);
        // Nodes: source, sink, pool of the reserve, jobs, stretches by those who are alike, days.
        const int Source = 0, Sink = 1, Pool = 2;
        var days = stretches.Count == 0 ? 0 : stretches.Max(s => s.Day) + 1;
        var stretchAt = 3 + jobs.Count;
        var dayAt = stretchAt + stretches.Count * _alike.Count;
        var between = dayAt + days;
        var can = jobs.Select(j => Enumerable.Range(0, _alike.Count).Where(g => (j.Of is null || _alike[g].Only == j.Of) && !j.Needs.Overlaps(_alike[g].Not)).ToArray()).ToArray();
        var extra = jobs.Select((j, i) => can[i].Length > 1 ? stretches.Count : 0).Sum();
        var flow = new Flow(between + extra);
        for (var s = 0; s < stretches.Count; s++)
            for (var g = 0; g < _alike.Count; g++)
                if (stretches[s].Working[g] > 0)
                    flow.Way(stretchAt + s * _alike.Count + g, reserve > 0 ? dayAt + stretches[s].Day : Sink, stretches[s].Minutes * stretches[s].Working[g]);
        for (var d = 0; reserve > 0 && d < days; d++)
        {
            var (minutes, times) = (stretches.Where(s => s.Day == d).Sum(s => s.Minutes * s.Working.Sum()), stretches.First(s => s.Day == d).Times);
            // Rounded for each day of those that are alike.
            var through = (int)((long)minutes / times * (100 - reserve) / 100) * times;
            flow.Way(dayAt + d, Sink, through);
            if (ofTheReserve > 0)
                flow.Way(dayAt + d, Pool, minutes - through);
        }
        if (ofTheReserve > 0)
            flow.Way(Pool, Sink, ofTheReserve);
        foreach (var (job, i) in jobs.Select((j, i) => (j, i)).OrderBy(j => j.j.Due))
        {
            flow.Way(Source, 3 + i, job.Minutes);
            for (var s = 0; s < stretches.Count; s++)
            {
                var stretch = stretches[s];
                if (stretch.From < job.NotBefore || stretch.To > job.Due)
                    continue;
                var length = stretch.Minutes;
                var groups = can[i].Where(g => stretch.Working[g] > 0).ToArray();
                if (groups.Length == 1)
                {
                    flow.Way(3 + i, stretchAt + s * _alike.Count + groups[0], length);
                }
                else if (groups.Length > 1)
                {
                    flow.Way(3 + i, between, length);
                    foreach (var g in groups)
                        flow.Way(between, stretchAt + s * _alike.Count + g, length);
                    between++;
                }
            }
        }
        return flow.Most(Source, Sink);
    }

    private static bool Works(IReadOnlyList<WorkTime> hours, int at)
    {
        var (low, high) = (0, hours.Count);
        while (low < high)
        {
            var middle = (low + high) / 2;
            if (hours[middle].To <= at)
                low = middle + 1;
            else
                high = middle;
        }
        return low < hours.Count && hours[low].From <= at;
    }
}
