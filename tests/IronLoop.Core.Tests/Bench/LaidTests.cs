using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using static IronLoop.Core.Tests.Bench.BenchJobs;

namespace IronLoop.Core.Tests.Bench;

/// <summary>What a watch is told to be made of before anything is done.</summary>
public class LaidTests
{
    private static readonly Link[] Fixed = [new(Mm(9), false), new(Mm(9), false), .. Enumerable.Repeat(new Link(Mm(8), true), 4), new(Mm(8), false), new(Mm(9.6m), false)];

    [Fact]
    public void Between_links_that_never_come_out_nothing_opens_unless_the_last_is_freed_at_the_clasp()
    {
        var band = Bracelet() with { Rows = new Bracelet(Fixed, Row(6)), Closes = Clasp with { MicroSide = Side.Six } };
        var facts = Own(band: band, plan: new Arrangement(Fixed.Select(l => new PlacedLink(l.Pitch, l.Removable ? LinkFate.Stays : LinkFate.Fixed)).ToArray(), Lie(6, 0), 1));
        bool Opens(BenchFacts of, int joint) => FromTheWatch.Of(of).Joint($"band.joint-12-{joint}")!.Opens;
        Opens(facts, 1).ShouldBeFalse("between the two beside the case");
        Opens(facts, 2).ShouldBeTrue();
        Opens(facts, 6).ShouldBeTrue();
        Opens(facts, 7).ShouldBeFalse("between the two beside the clasp");
        var freed = facts with { Marks = new LinkMarks(new HashSet<(Side, int)>(), new Dictionary<Side, Length> { [Side.Twelve] = Length.Zero }) };
        Opens(freed, 7).ShouldBeTrue("the last one comes free there");
        Opens(freed, 1).ShouldBeFalse();
    }

    [Fact]
    public void A_bar_that_holds_the_band_already_is_not_bent_for_its_curved_ends()
    {
        var curved = Kept(Strap(end: BandEnd.Curved)) with { CurvedBars = true, Setup = new BenchSetup { BendsBars = true } };
        var from = FromTheWatch.Of(curved);
        ToTheWatch.Plan(curved, from, from).Prepare.ShouldBeEmpty();
        var change = Change(Strap(end: BandEnd.Curved)) with { CurvedBars = true, Setup = new BenchSetup { BendsBars = true } };
        var came = FromTheWatch.Of(change);
        ToTheWatch.Plan(change, came, came).Prepare.Count.ShouldBe(2);
    }
}
