using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Shelf;
using IronLoop.Core.Stock;

namespace IronLoop.Core.Tests.Bands;

public class LinkMarksTests
{
    private static Length Mm(decimal mm) => Length.FromMillimetres(mm);

    /// <summary>A small wrist's bracelet: the 12 side has one link that comes out, then one beside the clasp that looks fixed.</summary>
    private static LinkBracelet SmallWrist { get; } = new(
        new BandFacts(BandKind.LinkBracelet, BandMaterial.Metal, Mm(18), BandAttachment.LooseBar, true, null),
        Mm(3), "fold-over",
        new Bracelet(
            [.. Enumerable.Repeat(new Link(Mm(7.6m), false), 6), new Link(Mm(7.6m), true), new Link(Mm(9.2m), false)],
            [.. Enumerable.Repeat(new Link(Mm(7.6m), false), 3), .. Enumerable.Repeat(new Link(Mm(7.6m), true), 5)]),
        new BraceletClasp(Mm(18), Mm(18), Side.Six, 4, Mm(2.2m), 1));

    private static LinkMarks Freed(decimal endPiece) => LinkMarks.None with { Freed = new Dictionary<Side, Length> { [Side.Twelve] = Mm(endPiece) } };

    private static LinkMarks Pinned(Side side, int ordinal) => LinkMarks.None with { Pinned = new HashSet<(Side, int)> { (side, ordinal) } };

    private static readonly FitTarget Target = new(Mm(131.9m), Mm(2.5m), PlanRequest.HouseTolerance);

    [Fact]
    public void Freeing_a_link_at_the_clasp_leaves_the_loop_as_long_as_it_was()
    {
        var freed = Freed(1.6m).On(SmallWrist);
        Arrangement.AsItIs(freed.Links!, freed.Clasp!).Sum(Side.Twelve).ShouldBe(Mm(7 * 7.6m + 7.6m));
        freed.Clasp!.Twelve.ShouldBe(Mm(19.6m), "the end piece belongs to the clasp’s side now");
        BenchLength.Of(freed.Links!, freed.Clasp).ShouldBe(BenchLength.Of(SmallWrist.Links!, SmallWrist.Clasp!));
        freed.Links!.Twelve[^1].Removable.ShouldBeTrue();
    }

    [Fact]
    public void The_clasp_of_a_small_wrist_drifts_until_its_link_is_freed_at_the_clasp()
    {
        var drifting = Planner.Answer(Sizing.Request(SmallWrist, Target));
        drifting.Recommended.Figures.OffCentreMillimetres.ShouldBeGreaterThan(5);
        drifting.Says.ShouldContain("Look at the clasp’s joint on the 12 side before its last link is called fixed: freed there, it would sit in the middle.");
        var freed = Planner.Answer(Sizing.Request(Freed(1.6m).On(SmallWrist), Target));
        Math.Abs(freed.Recommended.Figures.OffCentreMillimetres).ShouldBeLessThan(1);
        freed.Says.ShouldNotContain("clasp’s joint");
    }

    [Fact]
    public void Another_clasp_keeps_the_end_piece_that_stays()
    {
        var other = new StockedClasp(new ClaspFacts(ClaspKind.FoldOver, Mm(18)), new BraceletClasp(Mm(20), Mm(20), Side.Six, 8, Mm(1.5m), 0), Length.Zero);
        ClaspOnBand.With(Freed(1.6m).On(SmallWrist), "eight holes", other).Clasp!.Twelve.ShouldBe(Mm(21.6m));
    }

    [Theory]
    [InlineData(Side.Six, 0, "comes out already")]
    [InlineData(Side.Twelve, 8, "allowed is 0 to 7.2 mm")]
    [InlineData(Side.Twelve, 7.2, null)]
    public void Only_a_last_link_that_looks_fixed_is_freed_and_its_end_piece_is_shorter_than_it(Side side, double endPiece, string? why)
    {
        var said = LinkMarks.WhyNotFreed(SmallWrist.Links!.On(side), side, Mm((decimal)endPiece));
        if (why is null)
            said.ShouldBeNull();
        else
            said.ShouldNotBeNull().ShouldContain(why);
    }

    [Fact]
    public void A_pinned_link_is_never_in_the_plan()
    {
        for (var ordinal = 3; ordinal < 8; ordinal++)
        {
            var band = Pinned(Side.Six, ordinal).On(SmallWrist);
            var plan = Arrangement.Of(band.Links!, Planner.Recommend(Sizing.Request(band, Target)));
            plan.Six[ordinal].Fate.ShouldBe(LinkFate.Fixed);
        }
    }

    [Fact]
    public void A_pinned_link_that_was_out_is_back_and_one_no_longer_pinned_stays()
    {
        var out7 = new PlacedLink(Mm(7.6m), LinkFate.Leaves);
        var arrangement = new Arrangement([], [out7, out7], 0);
        var pinned = arrangement.Pinned(Side.Six, 1, pinned: true);
        pinned.Six.Select(l => l.Fate).ShouldBe([LinkFate.Leaves, LinkFate.Fixed]);
        pinned.Pinned(Side.Six, 1, pinned: false).Six[1].Fate.ShouldBe(LinkFate.Stays);
    }

    [Theory]
    [InlineData(22, null, 22, true)]
    [InlineData(22, null, 18, false)]
    [InlineData(22, 18, 18, true)]
    [InlineData(22, 18, 20, true)]
    [InlineData(22, 18, 17.5, false)]
    [InlineData(22, 18, 22.2, false)]
    public void A_link_from_stock_is_as_wide_as_the_bracelet_is_somewhere(double width, int? claspEnd, double link, bool suits)
    {
        var band = SmallWrist with { Facts = SmallWrist.Facts with { Width = Mm((decimal)width) }, ClaspEnd = claspEnd is { } end ? Mm(end) : null };
        LinkFromStock.Suits(new StockedLink(Mm(5), Mm((decimal)link)), band, HouseLimits.Usual).ShouldBe(suits);
    }

    [Fact]
    public void Links_from_stock_are_needed_only_beyond_the_owner_s_own()
    {
        var half = PlacedLink.Joining(new LinkKind(Mm(5)));
        var arrangement = new Arrangement([half, half], [half, new PlacedLink(Mm(5), LinkFate.Leaves)], 0);
        LinkFromStock.Needed(arrangement, [], Mm(5)).ShouldBe(2, "three go in, one comes out");
        LinkFromStock.Needed(arrangement, [new SpareLinks(Mm(5), 1)], Mm(5)).ShouldBe(1);
        LinkFromStock.Needed(arrangement, [new SpareLinks(Mm(5), 3)], Mm(5)).ShouldBe(0);
        LinkFromStock.Needed(arrangement, [], Mm(6)).ShouldBe(0);
    }
}
