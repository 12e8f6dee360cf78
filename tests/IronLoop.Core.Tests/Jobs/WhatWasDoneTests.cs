using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Stock;
using IronLoop.Core.Tests.Bench;
using static IronLoop.Core.Tests.Bench.BenchJobs;

namespace IronLoop.Core.Tests.Jobs;

/// <summary>What card and log say was done.</summary>
public class WhatWasDoneTests
{
    [Fact]
    public void Links_are_counted_by_side_and_where_the_clasp_is_set_is_said()
    {
        WhatWasDone.Say(Snapshots.Of(null)).ShouldBe("Nothing was done yet.");
        WhatWasDone.Say(Snapshots.Of(Snapshots.Stock(Bracelet()))).ShouldBe("Own band, steel bracelet.");
        WhatWasDone.Say(Snapshots.Of(Snapshots.Stock(Bracelet()), new Arrangement(Lie(4, 2), Lie(6, 0, 1), 2)))
            .ShouldBe("Own band, steel bracelet. 2 links taken out of the 12 side. 1 link put into the 6 side. Micro-adjust in position 3 of 4.");
        WhatWasDone.Say(Snapshots.Of(Snapshots.Stock(Bracelet() with { Closes = BenchJobs.Clasp with { Positions = 1, Position = 0 } }), new Arrangement(Lie(6, 0), Lie(6, 0), 0)))
            .ShouldBe("Own band, steel bracelet.");
    }

    [Fact]
    public void A_strap_is_told_by_its_hole_and_whether_it_was_tried_on()
    {
        var strap = Snapshots.Stock(Strap(), isOwn: false);
        var third = new Arrangement([], [], 2);
        WhatWasDone.Say(Snapshots.Of(strap, third, Request.ChangeStrap)).ShouldBe("calf strap fitted. Closed in the third hole from the tight end.");
        WhatWasDone.Say(Snapshots.Of(strap, third, Request.ChangeStrap, with: j => j with { HasWearer = false }))
            .ShouldBe("calf strap fitted. Closed in the third hole from the tight end. Not tried on: its wearer was not here.");
    }

    [Fact]
    public void Another_clasp_and_swapped_ends_are_told()
    {
        var fold = new StockPart(9, new Part("CL-8", "Eight-hole fold-over") { Clasp = new StockedClasp(new ClaspFacts(ClaspKind.FoldOver, Mm(18)), BenchJobs.Clasp, Length.Zero) }, "drawer B1", new PartCount(2, 0, 0, 0, 0));
        var job = Snapshots.Of(
            Snapshots.Stock(Bracelet()), clasp: new JobClasp(SwapEnds: true, PartId: 9), taken: [new PartTaken(7, fold, PartTaken.ForClasp, 1, true, null, null)]);
        WhatWasDone.Say(job).ShouldBe("Own band, steel bracelet. Eight-hole fold-over put on instead of the fold-over. The band’s ends swapped.");
    }

    [Fact]
    public void Links_from_stock_lie_beside_the_band_as_soon_as_one_kind_is_taken()
    {
        var link = new StockPart(8, new Part("LK-80", "Link") { Link = new StockedLink(Mm(8), Mm(20)) }, "drawer D", new PartCount(4, 0, 0, 0, 0));
        var taken = new PartTaken(7, link, PartTaken.AsLinks("LK-80"), 2, true, null, null);
        Snapshots.Of(Snapshots.Stock(Bracelet()), taken: [taken]).Band!.Spares.ShouldBe([new SpareLinks(Mm(8), 2)]);
        Snapshots.Of(Snapshots.Stock(Bracelet()), taken: [taken with { BookedAt = Snapshots.Noon }]).Band!.Spares.ShouldBeEmpty("they are in the band by now");
    }
}
