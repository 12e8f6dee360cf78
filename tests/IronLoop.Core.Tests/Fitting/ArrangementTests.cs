using CsCheck;
using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Tests.Fitting;

/// <summary>Which links leave, and which joints are opened for it.</summary>
public class ArrangementTests
{
    private static readonly Length Full = Mm(8);
    private static readonly Length Half = Mm(5);

    [Fact]
    public void Links_leave_as_one_run_beside_the_clasp()
    {
        var arrangement = Twelve("FFffff", full: 2);
        Leaving(arrangement).ShouldBe([4, 5]);
        arrangement.JointsOpened(Side.Twelve).ShouldBe([4, 6], "the joint before the run, and the one at the clasp");
        arrangement.JointsOpened(Side.Six).ShouldBeEmpty();
    }

    [Fact]
    public void A_half_link_at_the_clasp_stays_where_the_run_beside_it_leaves()
    {
        var arrangement = Twelve("FFffffh", full: 2, half: 1);
        Leaving(arrangement).ShouldBe([4, 5]);
        arrangement.JointsOpened(Side.Twelve).ShouldBe([4, 6]);
    }

    [Fact]
    public void A_half_link_in_the_middle_is_not_a_reason_to_open_four_joints()
    {
        // Two full links leave: beside the clasp stands only one of them, beside the last fixed link two.
        var arrangement = Twelve("FFffhf", full: 1, half: 1);
        Leaving(arrangement).ShouldBe([2, 3]);
        arrangement.JointsOpened(Side.Twelve).ShouldBe([2, 4]);
        Leaving(Twelve("FFffhf", full: 2, half: 0)).ShouldBe([4, 5], "a full one and the half beside it go together");
    }

    [Fact]
    public void What_joins_opens_the_joint_at_the_clasp_once()
    {
        var arrangement = Twelve("FFff", full: 4);
        arrangement.Twelve.Count(l => l.Fate == LinkFate.Joins).ShouldBe(2);
        arrangement.JointsOpened(Side.Twelve).ShouldBe([4]);
        var swapped = Twelve("FFffh", full: 4, half: 0);
        swapped.JointsOpened(Side.Twelve).ShouldBe([4, 5], "the half link leaves at the clasp, where the others go in");
    }

    [Fact]
    public void Where_one_run_can_do_it_never_more_than_two_joints_are_opened() =>
        Gen.Select(Gen.Bool.Array[1, 10], Gen.Int[0, 10], Gen.Int[0, 10]).Sample((halves, from, count) =>
        {
            var links = halves.Select(h => h ? 'h' : 'f').ToArray();
            from = Math.Min(from, links.Length);
            var run = links.Skip(from).Take(count).ToList();
            var row = new string(links);
            var arrangement = Twelve("F" + row, row.Count(c => c == 'f') - run.Count(c => c == 'f'), row.Count(c => c == 'h') - run.Count(c => c == 'h'));
            arrangement.JointsOpened(Side.Twelve).Count.ShouldBe(run.Count == 0 ? 0 : 2, row);
            Leaving(arrangement).Count.ShouldBe(run.Count);
        });

    /// <summary>A 12 side from case to clasp: F never comes out, f and h do; so many stay or join.</summary>
    private static Arrangement Twelve(string row, int full, int half = 0)
    {
        Link[] links = [.. row.Select(c => new Link(c == 'h' ? Half : Full, c != 'F'))];
        LinkCount[] counts = row.Contains('h', StringComparison.Ordinal) ? [new(Half, half), new(Full, full)] : [new(Full, full)];
        return Arrangement.Of(new Bracelet(links, []), new Plan(counts, [], 0, default));
    }

    private static List<int> Leaving(Arrangement arrangement) =>
        [.. Enumerable.Range(0, arrangement.Twelve.Count).Where(i => arrangement.Twelve[i].Fate == LinkFate.Leaves)];

    private static Length Mm(decimal millimetres) => Length.FromMillimetres(millimetres);
}
