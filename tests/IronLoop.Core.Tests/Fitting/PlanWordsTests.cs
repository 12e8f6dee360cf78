using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Tests.Fitting;

public class PlanWordsTests
{
    [Fact]
    public void It_says_what_to_do_on_each_side_and_with_the_micro_adjust() =>
        Say(target: 141).ShouldStartWith("Take 1 link of 8 mm out of the 12 side, take 1 link of 8 mm out of the 6 side, leave the micro-adjust in position 2 of 4.");

    [Fact]
    public void It_says_that_nothing_needs_doing() =>
        Say(target: 157).ShouldStartWith("Leave the micro-adjust in position 2 of 4.");

    [Fact]
    public void It_says_what_is_put_in_from_the_spares() =>
        Say(target: 173, spares: 2).ShouldStartWith("Put 1 link of 8 mm into the 12 side, put 1 link of 8 mm into the 6 side");

    [Fact]
    public void It_says_why_not_one_link_more() =>
        Say(target: 141).ShouldContain("One link more out of the");

    [Fact]
    public void Where_a_link_is_put_in_it_says_what_would_be_without_it()
    {
        Say(target: 165, spares: 1).ShouldContain("Without it the loop would");
        var more = Say(target: 181, spares: 4);
        more.ShouldContain("With one link fewer put into the");
        more.ShouldNotContain("more out of the");
    }

    [Fact]
    public void A_clasp_without_micro_adjust_is_said_to_leave_nothing() =>
        Say(target: 155, positions: 1).ShouldContain("no micro-adjust, so nothing is left for hot or cold days");

    [Fact]
    public void A_longest_loop_that_is_too_short_counts_the_spare_links_that_would_do()
    {
        var said = Say(target: 190);
        said.ShouldStartWith("No arrangement can be worn: the nearest is");
        said.ShouldContain("too tight");
        // All links in and the micro-adjust out come to 162, but then the clasp wanders 3.5 mm; centred it is 157.
        said.ShouldContain("the longest is 157.0 mm; 190.0 mm is wanted");
        said.ShouldContain("links of 8 mm more would close the gap");
    }

    [Fact]
    public void Up_to_eight_more_links_are_counted_beyond_that_none_are_promised()
    {
        Say(target: 221).ShouldContain("8 links of 8 mm more would close the gap");
        Say(target: 237).ShouldNotContain("more would close the gap");
    }

    [Fact]
    public void Why_not_one_link_more_says_what_would_be_left_to_loosen()
    {
        var said = Enumerable.Range(0, 350).Select(tenths => Say(target: 140 + tenths / 10m)).ToList();
        said.ShouldContain(s => s.Contains("would leave no room to loosen.", StringComparison.Ordinal));
        said.ShouldNotContain(s => s.Contains("only 0.0 mm", StringComparison.Ordinal));
    }

    [Fact]
    public void A_clasp_that_drifts_is_said_with_its_side()
    {
        // The 12 side has no link that comes out, so every link leaves the 6 side.
        var bracelet = new Bracelet(Row(8, stay: 8), Row(8, stay: 2));
        Say(bracelet, target: 150).ShouldContain("toward the 6 side.");
    }

    private static string Say(decimal target, int spares = 0, int positions = 4) =>
        Say(new Bracelet(Row(7, stay: 2), Row(7, stay: 2)), target, spares, positions);

    private static string Say(Bracelet bracelet, decimal target, int spares = 0, int positions = 4)
    {
        var clasp = new BraceletClasp(Mm(21), Mm(21.5m), Side.Twelve, positions, Mm(2.5m), positions > 1 ? 1 : 0);
        return Planner.Answer(new PlanRequest(
            bracelet, spares > 0 ? [new SpareLinks(Mm(8), spares)] : [], clasp, new FitTarget(Mm(target), Mm(2.5m), PlanRequest.HouseTolerance),
            PlanRequest.HouseCentring, PlanRequest.HouseReserve)).Says;
    }

    private static Link[] Row(int count, int stay) => [.. Enumerable.Range(0, count).Select(i => new Link(Mm(8), i >= stay))];

    private static Length Mm(decimal millimetres) => Length.FromMillimetres(millimetres);
}
