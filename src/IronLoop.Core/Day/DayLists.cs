namespace IronLoop.Core.Day;

/// <summary>A piece of a job on somebody's list.</summary>
/// <param name="Job">Which job.</param>
/// <param name="From">Its first minute.</param>
/// <param name="To">The minute after its last.</param>
public readonly record struct Piece(DayJob Job, int From, int To);

/// <summary>Somebody's list: what they do in which order, and when that comes to.</summary>
/// <param name="Hand">Who.</param>
/// <param name="Order">Their jobs, those that go before others first.</param>
/// <param name="Pieces">What it comes to, in the order of time; a job that is broken off stands again.</param>
public sealed record HandList(DayHand Hand, IReadOnlyList<DayJob> Order, IReadOnlyList<Piece> Pieces);

/// <summary>
/// Lists of whole jobs: each job is one person's, who breaks it off where hours end or where one that goes before it may begin. Which are
/// late when not all can be kept: the least total lateness found from three starts by moving and swapping jobs. Within that, tools are
/// changed as seldom as moving blocks of one to three jobs finds, from one person to another too.
/// </summary>
public sealed class DayLists
{
    /// <summary>No piece of a job is shorter, in minutes, but a job that is.</summary>
    public const int LeastPiece = 5;

    private const int MostRounds = 60;
    // What looking costs: the squares of the lists that were laid.
    private const long MostSpent = 2_000_000;
    private const int MostTogether = 40;
    private const int MostInBlock = 3;
    // About a day's work: what is further off is exchanged when it comes up.
    private const int MostExchanged = 12;
    private const int AllOrders = 7;
    // More than all lists are long in minutes.
    private const long OtherTools = 10_000_000;

    private readonly int _now;
    private readonly IReadOnlyList<DayHand> _hands;
    private readonly IReadOnlyList<WorkTime>[] _hours;
    private long _spent;

    private DayLists(int now, IReadOnlyList<DayHand> hands) => (_now, _hands, _hours) = (now, hands, [.. hands.Select(h => h.From(now))]);

    /// <summary>The lists.</summary>
    public IReadOnlyList<HandList> Lists { get; private set; } = [];

    /// <summary>Jobs that are late by them, with the minutes; null where nobody ever does it.</summary>
    public IReadOnlyList<(DayJob Job, int? Minutes)> Late { get; private set; } = [];

    /// <summary>Puts work on lists.</summary>
    /// <param name="now">The minute it is.</param>
    /// <param name="hands">Who works when.</param>
    /// <param name="jobs">The work that is left.</param>
    public static DayLists Of(int now, IReadOnlyList<DayHand> hands, IReadOnlyList<DayJob> jobs)
    {
        var lists = new DayLists(now, hands);
        lists.Find(jobs);
        return lists;
    }

    private void Find(IReadOnlyList<DayJob> jobs)
    {
        var can = jobs.ToDictionary(j => j, j => Enumerable.Range(0, _hands.Count).Where(h => _hands[h].Can(j)).ToArray(), (IEqualityComparer<DayJob>)ReferenceEqualityComparer.Instance);
        var never = jobs.Where(j => can[j].Length == 0).ToList();
        var work = jobs.Where(j => can[j].Length > 0).ToList();
        List<DayJob>[]? best = null;
        var least = long.MaxValue;
        foreach (var start in (Func<DayJob, int>[])[j => j.Due, j => j.Minutes, j => j.Due - j.Minutes])
        {
            var lists = Enumerable.Range(0, _hands.Count).Select(_ => new List<DayJob>()).ToArray();
            var late = new long[_hands.Count];
            foreach (var job in work.OrderByDescending(j => j.IsInHand).ThenBy(start).ThenBy(j => j.Due).ThenBy(j => j.Minutes))
            {
                // Laid down at the end of the list on which it makes least late, and ends soonest.
                var (where, cost, ends) = (-1, long.MaxValue, int.MaxValue);
                foreach (var h in can[job])
                {
                    lists[h].Add(job);
                    var pieces = Lay(h, lists[h], out var now);
                    var end = pieces.Count == 0 ? int.MaxValue : pieces.FindLast(p => ReferenceEquals(p.Job, job)).To;
                    lists[h].RemoveAt(lists[h].Count - 1);
                    if (now - late[h] < cost || now - late[h] == cost && end < ends)
                        (where, cost, ends) = (h, now - late[h], end);
                }
                lists[where].Add(job);
                late[where] += cost;
            }
            _spent = 0;
            Mend(lists, late, can, Unavoidable(work, can));
            if (late.Sum() < least)
                (best, least) = (lists, late.Sum());
            if (least <= Unavoidable(work, can))
                break;
        }
        Together(best!, can);
        Lists = [.. best!.Select((order, h) => new HandList(_hands[h], order, Lay(h, order, out _)))];
        var ended = Lists.SelectMany(l => l.Pieces).GroupBy(p => p.Job.Id).ToDictionary(g => g.Key, g => (Last: g.Max(p => p.To), Done: g.Sum(p => p.To - p.From)));
        Late =
        [
            .. jobs.Select(j => (j, !never.Contains(j) && ended.TryGetValue(j.Id, out var end) && end.Done >= j.Minutes ? Math.Max(0, end.Last - j.Due) : (int?)null)).Where(l => l.Item2 != 0),
        ];
    }

    /// <summary>What is late however it is done: each job alone, with nobody else's work before it.</summary>
    private long Unavoidable(List<DayJob> work, Dictionary<DayJob, int[]> can) => work.Sum(job => can[job].Min(h =>
    {
        Lay(h, [job], out var late);
        return late;
    }));

    /// <summary>Moves and swaps jobs as long as that makes less late.</summary>
    private void Mend(List<DayJob>[] lists, long[] late, IReadOnlyDictionary<DayJob, int[]> can, long unavoidable)
    {
        if (late.Sum() <= unavoidable)
            return;
        for (var h = 0; h < lists.Length; h++)
            if (late[h] > 0 && lists[h].Count is > 1 and <= AllOrders && !lists[h][0].IsInHand)
                AllOrdersOf(h, lists, late);
        for (var round = 0; round < MostRounds && late.Sum() > unavoidable; round++)
        {
            var isBetter = false;
            for (var h = 0; h < lists.Length; h++)
                for (var i = lists[h].Count - 1; i >= 0 && late.Sum() > unavoidable; i--)
                    if (i < lists[h].Count && !lists[h][i].IsInHand)
                        isBetter |= Move(h, i, lists, late, can) || Swap(h, i, lists, late, can);
            if (!isBetter || _spent > MostSpent)
                return;
        }
    }

    private bool Move(int from, int at, List<DayJob>[] lists, long[] late, IReadOnlyDictionary<DayJob, int[]> can)
    {
        var job = lists[from][at];
        lists[from].RemoveAt(at);
        Lay(from, lists[from], out var without);
        foreach (var to in can[job])
        {
            var first = lists[to].Count > 0 && lists[to][0].IsInHand ? 1 : 0;
            for (var i = first; i <= lists[to].Count; i++)
            {
                if (to == from && i == at || _spent > MostSpent)
                    continue;
                lists[to].Insert(i, job);
                Lay(to, lists[to], out var with);
                if (to == from ? with < late[from] : with + without < late[from] + late[to])
                {
                    if (to != from)
                        late[from] = without;
                    late[to] = with;
                    return true;
                }
                lists[to].RemoveAt(i);
            }
        }
        lists[from].Insert(at, job);
        return false;
    }

    private bool Swap(int one, int at, List<DayJob>[] lists, long[] late, IReadOnlyDictionary<DayJob, int[]> can)
    {
        for (var other = one; other < lists.Length; other++)
            for (var i = other == one ? at + 1 : 0; i < lists[other].Count; i++)
            {
                var (a, b) = (lists[one][at], lists[other][i]);
                if (b.IsInHand || _spent > MostSpent || other != one && (!can[a].Contains(other) || !can[b].Contains(one)))
                    continue;
                (lists[one][at], lists[other][i]) = (b, a);
                Lay(one, lists[one], out var first);
                var second = 0L;
                if (other != one)
                    Lay(other, lists[other], out second);
                if (first + second < late[one] + (other == one ? 0 : late[other]))
                {
                    late[one] = first;
                    if (other != one)
                        late[other] = second;
                    return true;
                }
                (lists[one][at], lists[other][i]) = (a, b);
            }
        return false;
    }

    /// <summary>Of a few jobs every order is looked at.</summary>
    private void AllOrdersOf(int h, List<DayJob>[] lists, long[] late)
    {
        var (best, least) = (lists[h].ToList(), late[h]);
        Permute(0, lists[h].ToArray());
        (lists[h], late[h]) = (best, least);

        void Permute(int at, DayJob[] order)
        {
            if (at == order.Length)
            {
                Lay(h, order, out var now);
                if (now < least)
                    (best, least) = ([.. order], now);
                return;
            }
            for (var i = at; i < order.Length && least > 0; i++)
            {
                (order[at], order[i]) = (order[i], order[at]);
                Permute(at + 1, order);
                (order[at], order[i]) = (order[i], order[at]);
            }
        }
    }

    /// <summary>Among jobs due on one day, those with the same tools out lie together and short ones before long ones, where that makes nothing later.</summary>
    private void Together(List<DayJob>[] lists, Dictionary<DayJob, int[]> can)
    {
        for (var h = 0; h < lists.Length; h++)
            Together(h, lists, MostTogether);
        for (var (round, isBetter) = (0, true); round < MostRounds && isBetter; round++)
        {
            isBetter = false;
            for (var a = 0; a < lists.Length; a++)
                for (var b = a + 1; b < lists.Length; b++)
                    if (Exchange(a, b, lists, can))
                    {
                        isBetter = true;
                        Together(a, lists, MostExchanged);
                        Together(b, lists, MostExchanged);
                    }
        }
    }

    private void Together(int h, List<DayJob>[] lists, int most)
    {
        Lay(h, lists[h], out var late);
        var (first, last) = Movable(lists[h], most);
        for (var (round, isBetter) = (0, true); round < MostRounds && isBetter; round++)
        {
            isBetter = false;
            for (var size = 1; size <= MostInBlock; size++)
                for (var from = first; from + size <= last; from++)
                    for (var to = first; to + size <= last; to++)
                    {
                        if (to == from || Moved(lists[h], from, size, to) >= 0)
                            continue;
                        var moved = lists[h].ToList();
                        var block = moved.GetRange(from, size);
                        moved.RemoveRange(from, size);
                        moved.InsertRange(to, block);
                        if (Backward(moved) > Backward(lists[h]))
                            continue;
                        Lay(h, moved, out var then);
                        if (then > late)
                            continue;
                        (lists[h], late, isBetter) = (moved, then, true);
                    }
        }
    }

    /// <summary>A block goes to somebody else, or for one of theirs, where that spares a change of tools, makes nothing later, and neither is done later than both were.</summary>
    private bool Exchange(int a, int b, List<DayJob>[] lists, Dictionary<DayJob, int[]> can)
    {
        var (one, other) = (lists[a], lists[b]);
        var ((firstOne, lastOne), (firstOther, lastOther)) = (Movable(one, MostExchanged), Movable(other, MostExchanged));
        var (endOne, endOther) = (End(a, one, out var lateOne), End(b, other, out var lateOther));
        var (ready, all) = (Math.Max(endOne.Ready, endOther.Ready), Math.Max(endOne.All, endOther.All));
        var blocks = Block.All(other, firstOther, lastOther);
        foreach (var mine in Block.All(one, firstOne, lastOne))
            foreach (var theirs in blocks)
                if (mine.Changes + theirs.Changes > 0 && mine.For(theirs) + theirs.For(mine) < mine.Changes + theirs.Changes && Try(mine.At, mine.Size, theirs.At, theirs.Size))
                    return true;
        return false;

        bool Try(int at, int size, int from, int its)
        {
            var (mine, theirs) = (one.GetRange(at, size), other.GetRange(from, its));
            var more = mine.Sum(j => j.Minutes) - theirs.Sum(j => j.Minutes);
            // Seen without laying them: the one who gets more would be done too late.
            if (endOther.Ready + more > ready || endOne.Ready - more > ready || mine.Exists(j => !can[j].Contains(b)) || theirs.Exists(j => !can[j].Contains(a)))
                return false;
            List<DayJob> first = [.. one[..at], .. theirs, .. one[(at + size)..]], second = [.. other[..from], .. mine, .. other[(from + its)..]];
            if (Backward(first) + Backward(second) > Backward(one) + Backward(other))
                return false;
            var (afterOne, afterOther) = (End(a, first, out var thenOne), End(b, second, out var thenOther));
            if (Math.Max(afterOne.Ready, afterOther.Ready) > ready || Math.Max(afterOne.All, afterOther.All) > all || thenOne + thenOther > lateOne + lateOther)
                return false;
            (lists[a], lists[b]) = (first, second);
            return true;
        }

        // What waits for another day ends late whoever does it, so what may begin now is looked at by itself.
        (int Ready, int All) End(int h, List<DayJob> order, out long late)
        {
            var pieces = Lay(h, order, out late);
            return (pieces.FindLast(p => p.Job.NotBefore <= _now).To, pieces.Count > 0 ? pieces[^1].To : 0);
        }
    }

    private static (int First, int Last) Movable(List<DayJob> order, int most) => (order.Count > 0 && order[0].IsInHand ? 1 : 0, Math.Min(most, order.Count));

    /// <summary>The tools of a block of jobs and of those around it, as far as changing them goes.</summary>
    private readonly record struct Block(int At, int Size, string? Before, string? Head, string? Tail, string? After, int Inner)
    {
        /// <summary>Changes of tools from the one before it to the one after it.</summary>
        public int Changes { get; } = Size == 0 ? Between(Before, After) : Between(Before, Head) + Inner + Between(Tail, After);

        public static List<Block> All(List<DayJob> order, int first, int last)
        {
            var blocks = new List<Block>();
            for (var at = first; at <= last; at++)
            {
                var inner = 0;
                for (var size = 0; size <= MostInBlock && at + size <= last; size++)
                {
                    if (size > 1)
                        inner += Between(order[at + size - 2].Tools, order[at + size - 1].Tools);
                    blocks.Add(new(at, size, at > 0 ? order[at - 1].Tools : null, size > 0 ? order[at].Tools : null, size > 0 ? order[at + size - 1].Tools : null, at + size < order.Count ? order[at + size].Tools : null, inner));
                }
            }
            return blocks;
        }

        /// <summary>The changes with another block in its place.</summary>
        public int For(Block other) => other.Size == 0 ? Between(Before, After) : Between(Before, other.Head) + other.Inner + Between(other.Tail, After);

        private static int Between(string? one, string? next) => one is null || next is null || one == next ? 0 : 1;
    }

    /// <summary>What moving a block does to the changes of a list: only where it was and where it goes is another neighbour.</summary>
    private static long Moved(List<DayJob> order, int from, int size, int to)
    {
        DayJob? Rest(int i) => i < 0 || i + size >= order.Count + (i < from ? size : 0) ? null : order[i < from ? i : i + size];
        var (before, after, head, tail) = (from > 0 ? order[from - 1] : null, from + size < order.Count ? order[from + size] : null, order[from], order[from + size - 1]);
        return Change(before, after) - Change(before, head) - Change(tail, after) + Change(Rest(to - 1), head) + Change(tail, Rest(to)) - Change(Rest(to - 1), Rest(to));
    }

    /// <summary>What one job after another costs: other tools, and else how much longer the one before is than the one after.</summary>
    private static long Change(DayJob? one, DayJob? next) => one is null || next is null ? 0
        : one.Tools != next.Tools ? OtherTools
        : Day(one.Due) == Day(next.Due) && next.Minutes < one.Minutes ? one.Minutes - next.Minutes : 0;

    private static int Day(int minute) => (int)Math.Floor(minute / (24.0 * 60));

    /// <summary>How often one that may begin now stands before one that is due on an earlier day.</summary>
    private int Backward(List<DayJob> order)
    {
        var (backward, last) = (0, int.MinValue);
        foreach (var job in order)
            if (job.NotBefore <= _now)
            {
                backward += Day(job.Due) < last ? 1 : 0;
                last = Day(job.Due);
            }
        return backward;
    }

    /// <summary>When a list comes to what.</summary>
    /// <param name="h">Whose.</param>
    /// <param name="order">Their jobs, those that go before others first.</param>
    /// <param name="late">The minutes all of it is late.</param>
    private List<Piece> Lay(int h, IReadOnlyList<DayJob> order, out long late)
    {
        _spent += (long)order.Count * order.Count;
        late = 0;
        var pieces = new List<Piece>();
        // What is not done yet, each led to by the one before it, and the first by the place after the last.
        var (head, left, follows) = (order.Count, new int[order.Count], new int[order.Count + 1]);
        for (var i = 0; i < head; i++)
            (left[i], follows[i]) = (order[i].Minutes, i + 1);
        follows[head] = 0;
        foreach (var hour in _hours[h])
        {
            var at = hour.From;
            while (at < hour.To && follows[head] < head)
            {
                var (before, soonest) = (head, hour.To);
                while (follows[before] < head && order[follows[before]].NotBefore > at)
                {
                    before = follows[before];
                    soonest = Math.Min(soonest, order[before].NotBefore);
                }
                var next = follows[before];
                if (next == head)
                {
                    at = soonest;
                    continue;
                }
                var to = Math.Min(hour.To, at + left[next]);
                // One that goes before it and may begin meanwhile breaks it off, where neither piece is too short.
                for (var i = follows[head]; i != next; i = follows[i])
                    if (order[i].NotBefore < to)
                    {
                        var off = Math.Max(order[i].NotBefore, at + Math.Min(LeastPiece, left[next]));
                        if (off < to && at + left[next] - off >= LeastPiece)
                            to = off;
                    }
                var rest = at + left[next] - to;
                // What hours break off is not begun for a moment, nor left for one.
                if (rest > 0 && rest < LeastPiece)
                    to = Math.Max(at, to - (LeastPiece - rest));
                if (to - at < LeastPiece && to - at < left[next])
                {
                    // Too short a time is left before the hours end: something that fits, or nothing.
                    before = head;
                    while (follows[before] < head && (order[follows[before]].NotBefore > at || at + left[follows[before]] > hour.To))
                        before = follows[before];
                    next = follows[before];
                    if (next == head)
                    {
                        at = hour.To;
                        continue;
                    }
                    to = at + left[next];
                }
                if (pieces.Count > 0 && ReferenceEquals(pieces[^1].Job, order[next]) && pieces[^1].To == at)
                    pieces[^1] = pieces[^1] with { To = to };
                else
                    pieces.Add(new Piece(order[next], at, to));
                left[next] -= to - at;
                at = to;
                if (left[next] == 0)
                {
                    follows[before] = follows[next];
                    late += Math.Max(0, to - order[next].Due);
                }
            }
        }
        // What is never done is as late as could be.
        for (var i = follows[head]; i < head; i = follows[i])
            late += Keeping.Furthest + left[i];
        return pieces;
    }
}
