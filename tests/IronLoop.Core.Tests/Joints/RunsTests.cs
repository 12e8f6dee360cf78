using CsCheck;
using IronLoop.Core.Joints;

namespace IronLoop.Core.Tests.Joints;

public class RunsTests
{
    private static readonly Gen<(RowLink[] Row, RowJoint[] Joints, Dictionary<string, int> Leave, string[] Join, bool AtClasp)> Sides =
        from likes in Gen.OneOf(Gen.Const("a"), Gen.Const("a"), Gen.Const("a"), Gen.Const("b"), Gen.Const("half")).Array[2, 7]
        from may in Gen.Int[0, 4].Array[7]
        from opens in Gen.Int[0, 12].Array[8]
        from anyway in Gen.Int[0, 3]
        from fasteners in Gen.Select(Gen.OneOf(Gen.Const(Fastener.SplitPin), Gen.Const(Fastener.Screw), Gen.Const(Fastener.NotLookedAt)), Gen.OneOf(Gen.Const(Fastener.SplitPin), Gen.Const(Fastener.SpringBar), Gen.Const(Fastener.NotLookedAt)))
        from leave in Gen.Select(Gen.Int[0, 3], Gen.Int[0, 2])
        from goesIn in Gen.OneOf(Gen.Const("a"), Gen.Const("b")).Array[0, 2]
        from atClasp in Gen.Bool
        select (
            likes.Select((l, i) => new RowLink(l, may[i] > 0)).ToArray(),
            Enumerable.Range(0, likes.Length + 1).Select(i => new RowJoint(opens[i] > 0, i == likes.Length && anyway == 0, i == likes.Length ? fasteners.Item2 : fasteners.Item1)).ToArray(),
            new Dictionary<string, int> { ["a"] = leave.Item1, ["b"] = leave.Item2 }.Where(l => l.Value > 0).ToDictionary(l => l.Key, l => l.Value),
            goesIn, atClasp);

    [Fact]
    public void The_choice_is_as_good_as_the_best_of_all_choices() =>
        Sides.Sample(
            side =>
            {
                var (row, joints, leave, join, atClasp) = side;
                var chosen = Runs.Choose(row, joints, leave, join, atClasp);
                var best = All(side).Order().Cast<(int, int, int, int, int)?>().FirstOrDefault();
                if (best is null)
                {
                    chosen.ShouldBeNull();
                    return;
                }
                chosen.ShouldNotBeNull();
                var leaving = chosen.Out.SelectMany(r => Enumerable.Range(r.From, r.To - r.From + 1)).ToHashSet();
                Judge(side, leaving, chosen.InAt).ShouldBe(best);
                chosen.Joints.ShouldBe(best.Value.Item5);
                leaving.Select(i => row[i]).ShouldAllBe(l => l.MayLeave);
            },
            iter: Often.Asked(5000));

    [Fact]
    public void Of_two_places_alike_the_one_whose_worst_joint_is_the_easier_is_opened()
    {
        RowJoint Opens(Fastener fastener) => new(true, false, fastener);
        var chosen = Runs.Choose(
            [.. Enumerable.Repeat(new RowLink("a", true), 5)],
            [new RowJoint(false, false, Fastener.NotLookedAt), Opens(Fastener.Screw), Opens(Fastener.PinWithTube), Opens(Fastener.ScrewInTube), Opens(Fastener.SplitPin), Opens(Fastener.SpringBar)],
            new Dictionary<string, int> { ["a"] = 1 }, [], false);
        chosen.ShouldNotBeNull().Out.Single().From.ShouldBe(3, "a screw beside a pin with its tube is no easier than the pin");
    }

    /// <summary>Every choice there is: any links of the right kinds, any place to go in.</summary>
    private static IEnumerable<(int, int, int, int, int)> All((RowLink[] Row, RowJoint[] Joints, Dictionary<string, int> Leave, string[] Join, bool AtClasp) side)
    {
        for (var bits = 0; bits < 1 << side.Row.Length; bits++)
        {
            var leaving = Enumerable.Range(0, side.Row.Length).Where(i => (bits >> i & 1) == 1).ToHashSet();
            if (leaving.Any(i => !side.Row[i].MayLeave) || !leaving.GroupBy(i => side.Row[i].Like).ToDictionary(g => g.Key, g => g.Count()).OrderBy(g => g.Key, StringComparer.Ordinal).SequenceEqual(side.Leave.OrderBy(l => l.Key, StringComparer.Ordinal)))
                continue;
            foreach (var at in side.Join.Length == 0 ? [null] : Enumerable.Range(1, side.Row.Length).Select(i => (int?)i))
                if (Judge(side, leaving, at) is { } cost)
                    yield return cost;
        }
    }

    /// <summary>What a choice costs, told anew from the rule: strange ends, runs, the clasp opened for it, joints opened.</summary>
    private static (int, int, int, int, int)? Judge((RowLink[] Row, RowJoint[] Joints, Dictionary<string, int> Leave, string[] Join, bool AtClasp) side, HashSet<int> leaving, int? inAt)
    {
        var n = side.Row.Length;
        // Others go in before a link that stays or a run, never in the middle of one, and after something that stays.
        if (inAt is { } at && (leaving.Contains(at - 1) || at == 0))
            return null;
        var mates = side.Row.Zip(side.Row.Skip(1), (a, b) => (a.Like, b.Like)).Concat(side.Row.Where(l => l.MayLeave).Select(l => (l.Like, l.Like))).Concat(side.Join.Select(l => (l, l))).ToHashSet();
        var (strange, runs, clasp, elsewhere, joints) = (0, 0, 0, 0, new HashSet<int>());
        bool AtTheClasp(string like, int own) => like == side.Row[^1].Like && side.Joints[own].Fastener == side.Joints[n].Fastener && side.Joints[n].Fastener != Fastener.NotLookedAt;
        for (var left = 0; left < n; left++)
        {
            if (leaving.Contains(left))
            {
                if (left == 0)
                    return null;
                continue;
            }
            var next = left + 1;
            while (next < n && leaving.Contains(next))
                next++;
            var goesIn = inAt == left + 1;
            if (next == left + 1 && !goesIn)
                continue;
            var opened = new HashSet<int> { left + 1, next };
            if (opened.Any(j => !side.Joints[j].Opens))
                return null;
            joints.UnionWith(opened);
            runs += next > left + 1 ? 1 : 0;
            elsewhere += side.AtClasp && next != n ? 1 : 0;
            clasp += !side.AtClasp && next == n && !side.Joints[n].IsOpenAnyway ? 1 : 0;
            var ends = goesIn
                ? new[] { (L: side.Row[left].Like, R: (string?)side.Join[0]), (L: side.Join[^1], R: next < n ? side.Row[next].Like : null) }
                : [(side.Row[left].Like, next < n ? side.Row[next].Like : null)];
            foreach (var (l, r) in ends)
                strange += (r is null ? AtTheClasp(l, left + 1 < n ? left + 1 : Math.Max(left, 0)) : mates.Contains((l, r))) ? 0 : 1;
        }
        return (elsewhere, strange, runs, clasp, joints.Count(j => !side.Joints[j].IsOpenAnyway));
    }

    [Theory]
    [InlineData(false, 3, 4)]
    [InlineData(true, 5, 6)]
    public void Links_leave_inside_the_links_unless_the_house_says_at_the_clasp(bool atClasp, int from, int to)
    {
        RowLink[] row = [new("fixed", false), .. Enumerable.Repeat(new RowLink("a", true), 5), new("a", true)];
        RowJoint[] joints = [.. Enumerable.Repeat(new RowJoint(true, false, Fastener.Screw), 7), new(true, false, Fastener.SpringBar)];
        var choice = Runs.Choose(row, joints, new Dictionary<string, int> { ["a"] = 2 }, [], atClasp).ShouldNotBeNull();
        choice.Out.ShouldBe([new Run(from + (atClasp ? 0 : 1), to + (atClasp ? 0 : 1))]);
        choice.Joints.ShouldBe(2);
        choice.AreMates.ShouldBe(!atClasp, "the last link was screwed, the clasp is on a bar");
    }

    [Fact]
    public void The_only_run_that_will_do_lies_at_the_clasp()
    {
        RowLink[] row = [new("fixed", false), new("a", true), new("a", true)];
        RowJoint[] joints = [.. Enumerable.Repeat(new RowJoint(true, false, Fastener.SplitPin), 3), new(true, false, Fastener.SpringBar)];
        var choice = Runs.Choose(row, joints, new Dictionary<string, int> { ["a"] = 2 }, [], atClasp: false).ShouldNotBeNull();
        choice.Out.ShouldBe([new Run(1, 2)]);
        choice.AreMates.ShouldBeFalse("it is offered up before the pin goes in");
    }
}
