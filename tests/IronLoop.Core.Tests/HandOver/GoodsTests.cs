using IronLoop.Core.Bands;
using IronLoop.Core.HandOver;
using IronLoop.Core.Jobs;
using IronLoop.Core.Stock;
using IronLoop.Core.Tests.Bench;
using IronLoop.Core.Tests.Jobs;

namespace IronLoop.Core.Tests.HandOver;

public sealed class GoodsTests
{
    private static PartTaken Taken(string article, string name, int count, long cents) =>
        new(7, new StockPart(9, new Part(article, name) { PriceCents = cents }, "", new PartCount(4, 0, 0, 0, 0)), article, count, true, null, null);

    [Fact]
    public void The_price_begins_with_the_band_and_every_part_that_goes_home_with_it()
    {
        var goods = Goods.Of(Snapshots.Of(Snapshots.Stock(BenchJobs.Strap(), isOwn: false), taken: [Taken("SB-20", "spring bar", 2, 120), Taken("CL-1", "pin buckle", 1, 900), Taken("X", "what costs nothing", 3, 0)]));
        goods.Cents.ShouldBe(2_000 + 240 + 900);
        goods.Lines.ShouldBe(["calf strap 20.00", "2 spring bar 2.40", "pin buckle 9.00"]);
    }

    [Fact]
    public void The_owner_s_own_band_is_not_sold_to_them()
    {
        var goods = Goods.Of(Snapshots.Of(Snapshots.Stock(BenchJobs.Strap())));
        (goods.Cents, goods.Lines.Count).ShouldBe((0, 0));
    }
}
