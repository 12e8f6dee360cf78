using IronLoop.Core.Day;

namespace IronLoop.Core.Tests.TheDay;

/// <summary>What can be kept and promised, against every way of doing it minute by minute.</summary>
public class KeepingTests(ITestOutputHelper output)
{
    private const int MinutesADay = 24 * 60;

    private static readonly HashSet<string> Nothing = [];

    private static DayHand Hand(string id, params (int From, int To)[] hours) => new(id, [.. hours.Select(h => new WorkTime(h.From, h.To))], Nothing);

    private static DayJob Job(string id, int minutes, int due, int notBefore = 0, params string[] needs) => new(id, minutes, notBefore, due, needs.ToHashSet());

    /// <summary>
    /// Whether all can be kept, by looking at every set of jobs: what must lie within a window needs no more hands than there are. Time is in
    /// units, each unit one matching of jobs to hands: a search over what is left of each job.
    /// </summary>
    private static bool Brute(int now, List<DayHand> hands, List<DayJob> jobs, int unit)
    {
        var end = hands.SelectMany(h => h.Hours).Select(h => h.To).Append(now).Max();
        var seen = new HashSet<(int, string)>();
        return Search(now, [.. jobs.Select(j => j.Minutes / unit)]);

        bool Search(int at, int[] left)
        {
            if (left.All(l => l == 0))
                return true;
            if (at >= end || !seen.Add((at, string.Join(',', left))))
                return false;
            for (var j = 0; j < jobs.Count; j++)
                if (left[j] > 0 && left[j] * unit > jobs[j].Due - at)
                    return false;
            return Assign(0, left, 0);

            bool Assign(int h, int[] now, int used)
            {
                if (h == hands.Count)
                    return Search(at + unit, now);
                if (hands[h].Hours.Any(w => w.From <= at && at < w.To))
                    for (var j = 0; j < jobs.Count; j++)
                        if (now[j] > 0 && (used & 1 << j) == 0 && jobs[j].NotBefore <= at && jobs[j].Due >= at + unit && hands[h].Can(jobs[j]))
                        {
                            var then = now.ToArray();
                            then[j]--;
                            if (Assign(h + 1, then, used | 1 << j))
                                return true;
                        }
                return Assign(h + 1, now, used);
            }
        }
    }

    [Fact]
    public void It_says_what_looking_at_every_way_says()
    {
        const int Unit = 30;
        var random = new Random(20261130);
        var (yes, no) = (0, 0);
        for (var round = 0; round < 500; round++)
        {
            var hands = Enumerable.Range(0, random.Next(1, 3)).Select(i => new DayHand(
                $"h{i}",
                [.. Enumerable.Range(0, random.Next(1, 4)).Select(d => new WorkTime(d * 8 * Unit + random.Next(0, 3) * Unit, d * 8 * Unit + random.Next(4, 7) * Unit))],
                random.Next(3) == 0 ? new HashSet<string> { "mesh" } : Nothing)).ToList();
            var jobs = Enumerable.Range(0, random.Next(1, 6)).Select(i =>
                Job($"j{i}", random.Next(1, 4) * Unit, random.Next(2, 24) * Unit, random.Next(0, 10) * Unit, random.Next(3) == 0 ? ["mesh"] : [])).ToList();
            var keeping = new Keeping(0, hands);
            var expected = Brute(0, hands, jobs, Unit);
            keeping.Keeps(jobs).ShouldBe(expected, $"round {round}");
            (yes, no) = expected ? (yes + 1, no) : (yes, no + 1);
            // The allowance is the least that helps: it does, and a minute less does not.
            if (keeping.Allowance(jobs) is { } allowance)
            {
                keeping.Keeps(jobs, allowance).ShouldBeTrue($"round {round}");
                if (allowance > 0)
                    keeping.Keeps(jobs, allowance - 1).ShouldBeFalse($"round {round}");
                var whole = (allowance + Unit - 1) / Unit * Unit;
                Brute(0, hands, [.. jobs.Select(j => j with { Due = j.Due + whole })], Unit).ShouldBeTrue($"round {round}: allowance {allowance}");
            }
            else
            {
                Brute(0, hands, [.. jobs.Select(j => j with { Due = j.Due + 100 * Unit })], Unit).ShouldBeFalse($"round {round}");
            }
        }
        yes.ShouldBeGreaterThan(100);
        no.ShouldBeGreaterThan(100);
    }

    [Fact]
    public void A_promise_keeps_all_others_and_none_is_earlier()
    {
        const int Unit = 30;
        var random = new Random(7);
        for (var round = 0; round < 200; round++)
        {
            var hands = Enumerable.Range(0, random.Next(1, 3)).Select(i => Hand($"h{i}", (random.Next(0, 3) * Unit, random.Next(5, 9) * Unit), (10 * Unit, 16 * Unit))).ToList();
            var jobs = Enumerable.Range(0, random.Next(0, 5)).Select(i => Job($"j{i}", random.Next(1, 4) * Unit, random.Next(4, 18) * Unit, random.Next(0, 6) * Unit)).ToList();
            var keeping = new Keeping(0, hands);
            if (!keeping.Keeps(jobs))
                continue;
            var one = Job("one", random.Next(1, 4) * Unit, 0);
            var promise = keeping.Earliest(jobs, one);
            var brute = Enumerable.Range(1, 20).Select(u => (int?)(u * Unit)).FirstOrDefault(due => Brute(0, hands, [.. jobs, one with { Due = due!.Value }], Unit));
            promise.ShouldBe(brute, $"round {round}");
        }
    }

    [Fact]
    public void By_due_alone_a_promise_is_broken_that_the_list_keeps()
    {
        // a does mesh, b does not. By due: a takes the strap that is due first, and the mesh waits until it is late.
        DayHand[] hands = [Hand("a", (0, 120)), new DayHand("b", [new WorkTime(30, 120)], new HashSet<string> { "mesh" })];
        DayJob[] jobs = [Job("strap", 60, 90, 0), Job("mesh", 90, 95, 0, "mesh")];
        new Keeping(0, hands).Keeps(jobs).ShouldBeTrue();
        var lists = DayLists.Of(0, hands, jobs);
        lists.Late.ShouldBeEmpty();
        lists.Lists[0].Pieces.ShouldBe([new Piece(jobs[1], 0, 90)]);
        lists.Lists[1].Pieces.ShouldBe([new Piece(jobs[0], 30, 90)]);
    }

    [Fact]
    public void A_job_is_broken_off_where_another_must_be_begun_and_stands_twice()
    {
        DayHand[] hands = [Hand("a", (0, 100), (MinutesADay, MinutesADay + 100))];
        DayJob[] jobs = [Job("long", 80, 100), Job("short", 15, 45, 30)];
        var lists = DayLists.Of(0, hands, jobs);
        lists.Late.ShouldBeEmpty();
        lists.Lists[0].Pieces.ShouldBe([new Piece(jobs[0], 0, 30), new Piece(jobs[1], 30, 45), new Piece(jobs[0], 45, 95)]);
    }

    [Fact]
    public void What_was_promised_already_and_is_lost_does_not_stop_every_new_promise()
    {
        DayHand[] hands = [Hand("a", (0, 60), (MinutesADay, MinutesADay + 60))];
        DayJob[] jobs = [Job("lost", 50, 10)];
        var keeping = new Keeping(0, hands);
        keeping.Keeps(jobs).ShouldBeFalse();
        keeping.Allowance(jobs).ShouldBe(40);
        keeping.Earliest(jobs, Job("one", 20, 0)).ShouldBe(MinutesADay + 10);
        keeping.Earliest(jobs, Job("small", 10, 0)).ShouldBe(60);
    }

    [Fact]
    public void The_reserve_is_kept_from_a_new_promise_and_not_from_standing_ones()
    {
        DayHand[] hands = [Hand("a", (0, 100), (MinutesADay, MinutesADay + 100))];
        var keeping = new Keeping(0, hands);
        keeping.Earliest([], Job("one", 80, 0), 20).ShouldBe(80);
        keeping.Earliest([], Job("one", 81, 0), 20).ShouldBe(MinutesADay + 1);
        DayJob[] standing = [Job("standing", 90, 100)];
        keeping.Keeps(standing).ShouldBeTrue();
        // Today is full beyond its reserve already; tomorrow has eighty.
        keeping.Earliest(standing, Job("one", 10, 0)).ShouldBe(10);
        keeping.Earliest(standing, Job("one", 10, 0), 20).ShouldBe(MinutesADay + 10);
    }

    [Fact]
    public void Days_alike_are_counted_together_but_each_keeps_its_own_share()
    {
        // Five days of two halves, one of them short; 384 of 480 minutes go through, of the short one 80 of 100.
        DayHand[] hands = [Hand("a", [.. Enumerable.Range(0, 5).SelectMany(d => d == 2 ? [(d * MinutesADay + 540, d * MinutesADay + 640)] : new[] { (d * MinutesADay + 540, d * MinutesADay + 780), (d * MinutesADay + 840, d * MinutesADay + 1080) })])];
        var keeping = new Keeping(0, hands);
        keeping.Earliest([], Job("one", 384, 0), 20).ShouldBe(840 + 144);
        keeping.Earliest([], Job("one", 385, 0), 20).ShouldBe(MinutesADay + 541);
        keeping.Earliest([], Job("one", 768 + 80, 0), 20).ShouldBe(2 * MinutesADay + 620);
        keeping.Earliest([], Job("one", 768 + 81, 0), 20).ShouldBe(3 * MinutesADay + 541);
        keeping.Earliest([], Job("one", 4 * 384 + 80, 0), 20).ShouldBe(4 * MinutesADay + 840 + 144);
        keeping.Earliest([], Job("one", 4 * 384 + 81, 0), 20).ShouldBeNull();
        // What begins or is due in a day parts it from those that are like it, and takes no other's share.
        keeping.Earliest([Job("other", 60, MinutesADay + 700)], Job("one", 385, 0), 20).ShouldBe(MinutesADay + 541);
        keeping.Earliest([Job("other", 60, MinutesADay + 600, MinutesADay + 540)], Job("one", 385, 0), 20).ShouldBe(MinutesADay + 601);
    }

    [Fact]
    public void Pieces_are_not_short_lie_within_hours_and_never_in_two_hands_at_a_time()
    {
        var random = new Random(11);
        for (var round = 0; round < 300; round++)
        {
            var hands = Enumerable.Range(0, random.Next(1, 4)).Select(i => Hand($"h{i}", (random.Next(0, 60), random.Next(100, 200)), (MinutesADay, MinutesADay + random.Next(30, 200)))).ToList();
            var jobs = Enumerable.Range(0, random.Next(1, 12)).Select(i => Job($"j{i}", random.Next(1, 90), random.Next(30, 2000), random.Next(0, 150)) with { Tools = $"t{random.Next(3)}" }).ToList();
            var lists = DayLists.Of(0, hands, jobs);
            foreach (var list in lists.Lists)
            {
                list.Pieces.Zip(list.Pieces.Skip(1)).ShouldAllBe(p => p.First.To <= p.Second.From);
                foreach (var piece in list.Pieces)
                {
                    list.Hand.From(0).ShouldContain(h => h.From <= piece.From && piece.To <= h.To);
                    piece.From.ShouldBeGreaterThanOrEqualTo(piece.Job.NotBefore);
                    (piece.To - piece.From).ShouldBeGreaterThanOrEqualTo(Math.Min(DayLists.LeastPiece, piece.Job.Minutes), $"round {round}");
                }
            }
            lists.Lists.SelectMany(l => l.Pieces.Select(p => (l.Hand.Id, p.Job.Id))).Distinct().GroupBy(p => p.Item2).ShouldAllBe(g => g.Count() == 1);
            foreach (var job in jobs.Where(j => lists.Late.All(l => l.Job.Id != j.Id)))
                lists.Lists.SelectMany(l => l.Pieces).Where(p => p.Job.Id == job.Id).Sum(p => p.To - p.From).ShouldBe(job.Minutes);
        }
    }

    [Fact]
    public void With_one_fitter_what_is_late_is_within_a_twentieth_of_the_least()
    {
        var random = new Random(3);
        var (sum, least) = (0L, 0L);
        for (var round = 0; round < 200; round++)
        {
            DayHand[] hands = [Hand("a", (0, 10_000))];
            var jobs = Enumerable.Range(0, random.Next(2, 7)).Select(i => Job($"j{i}", random.Next(1, 12) * 10, random.Next(2, 30) * 10)).ToList();
            var found = DayLists.Of(0, hands, jobs).Late.Sum(l => (long)l.Minutes!.Value);
            var best = Orders(jobs).Min(order =>
            {
                var (at, late) = (0, 0L);
                foreach (var job in order)
                    late += Math.Max(0, (at += job.Minutes) - job.Due);
                return late;
            });
            ((double)found).ShouldBeLessThanOrEqualTo(best * 1.05, $"round {round}");
            (sum, least) = (sum + found, least + best);
        }
        least.ShouldBeGreaterThan(0);
        sum.ShouldBeGreaterThanOrEqualTo(least);
    }

    private static IEnumerable<IReadOnlyList<DayJob>> Orders(List<DayJob> jobs) =>
        jobs.Count <= 1 ? [jobs] : jobs.SelectMany(first => Orders([.. jobs.Where(j => j != first)]).Select(rest => (IReadOnlyList<DayJob>)[first, .. rest]));

    [Fact]
    public void No_order_of_a_list_that_keeps_its_days_and_promises_spares_more_than_one_change_of_tools()
    {
        var random = new Random(17);
        var (found, least, more) = (0, 0, 0);
        for (var round = 0; round < 1500; round++)
        {
            var hands = Enumerable.Range(0, random.Next(1, 3)).Select(i => Hand($"h{i}", (0, 2 * MinutesADay))).ToList();
            var jobs = Enumerable.Range(0, random.Next(2, 7) * hands.Count).Select(i =>
                Job($"j{i}", random.Next(1, 9) * 5, random.Next(3) == 0 ? MinutesADay + random.Next(40, 240) : random.Next(40, 240)) with { Tools = $"t{random.Next(3)}", IsInHand = i == 0 && random.Next(4) == 0 }).ToList();
            foreach (var list in DayLists.Of(0, hands, jobs).Lists.Where(l => l.Order.Count is > 1 and <= 6))
            {
                var order = list.Order;
                var fewest = Orders([.. order]).Where(o => (!order[0].IsInHand || o[0] == order[0]) && Backward(o) <= Backward(order) && Late(o) <= Late(order)).Min(Changes);
                Changes(order).ShouldBeLessThanOrEqualTo(fewest + 1, $"round {round}: {string.Join(", ", order.Select(j => $"{j.Id} {j.Tools} {j.Minutes} min, due {j.Due}"))}");
                (found, least, more) = (found + Changes(order), least + fewest, more + (Changes(order) > fewest ? 1 : 0));
            }
        }
        least.ShouldBeGreaterThan(1000);
        output.WriteLine($"changes of tools: {found}, {least} at the least; one more in {more} lists");
    }

    [Fact]
    public void Shared_out_otherwise_two_fitters_who_are_done_as_soon_seldom_spare_more_than_one()
    {
        var random = new Random(19);
        var spared = new int[4];
        for (var round = 0; round < 200; round++)
        {
            DayHand[] hands = [Hand("a", (0, 2 * MinutesADay)), Hand("b", (0, 2 * MinutesADay))];
            var jobs = Enumerable.Range(0, 6).Select(i =>
                Job($"j{i}", random.Next(1, 9) * 5, random.Next(3) == 0 ? MinutesADay + random.Next(40, 240) : random.Next(40, 240)) with { Tools = $"t{random.Next(3)}" }).ToList();
            var lists = DayLists.Of(0, hands, jobs).Lists;
            var found = Both(lists[0].Order, lists[1].Order);
            var fewest = Orders(jobs).SelectMany(o => Enumerable.Range(0, 7).Select(k => Both([.. o.Take(k)], [.. o.Skip(k)])))
                .Where(w => w.Late <= found.Late && w.End <= found.End && w.Backward <= found.Backward).Min(w => w.Changes);
            spared[found.Changes - fewest]++;
        }
        output.WriteLine($"spared 0, 1, 2, 3: {string.Join(", ", spared)}");
        (spared[2] + spared[3]).ShouldBeLessThanOrEqualTo(4);

        static (int Changes, int Late, int End, int Backward) Both(IReadOnlyList<DayJob> one, IReadOnlyList<DayJob> other) =>
            (Changes(one) + Changes(other), Late(one) + Late(other), Math.Max(one.Sum(j => j.Minutes), other.Sum(j => j.Minutes)), Backward(one) + Backward(other));
    }

    [Fact]
    public void Work_of_another_day_lets_nobody_be_idle_today_while_somebody_else_goes_on()
    {
        // All screws to one would spare a change, but then one is done with today's after half an hour, and the other after an hour and a half.
        DayHand[] hands = [Hand("a", (0, 240), (MinutesADay, MinutesADay + 240)), Hand("b", (0, 240), (MinutesADay, MinutesADay + 240))];
        DayJob[] jobs =
        [
            Job("a1", 30, 200) with { Tools = "pins" }, Job("b1", 30, 200) with { Tools = "screws" }, Job("a2", 30, 200) with { Tools = "screws" }, Job("b2", 30, 200) with { Tools = "screws" },
            Job("later", 100, MinutesADay + 240, MinutesADay) with { Tools = "mesh" },
        ];
        var lists = DayLists.Of(0, hands, jobs).Lists;
        lists.Select(l => l.Pieces.Where(p => p.To < MinutesADay).Max(p => p.To)).ShouldBe([60, 60]);
    }

    private static int Changes(IReadOnlyList<DayJob> order) => order.Zip(order.Skip(1)).Count(p => p.First.Tools != p.Second.Tools);

    private static int Backward(IReadOnlyList<DayJob> order) => order.Zip(order.Skip(1)).Count(p => p.Second.Due / MinutesADay < p.First.Due / MinutesADay);

    private static int Late(IReadOnlyList<DayJob> order)
    {
        var (at, late) = (0, 0);
        foreach (var job in order)
            late += Math.Max(0, (at += job.Minutes) - job.Due);
        return late;
    }

    [Fact]
    public void Jobs_with_the_same_tools_lie_together_where_nothing_is_later_for_it()
    {
        DayHand[] hands = [Hand("a", (0, 600))];
        DayJob[] jobs =
        [
            Job("a1", 20, 500) with { Tools = "pins" }, Job("b1", 30, 501) with { Tools = "screws" }, Job("a2", 10, 502) with { Tools = "pins" }, Job("b2", 5, 503) with { Tools = "screws" },
            Job("tomorrow", 5, MinutesADay + 100) with { Tools = "pins" },
        ];
        var order = DayLists.Of(0, hands, jobs).Lists[0].Order.Select(j => j.Id).ToList();
        order.ShouldBe(["b2", "b1", "a2", "a1", "tomorrow"]);
    }
}
