using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Tests.Matching;

public class RankingTests
{
    private static readonly MatchRank Plain = new(Verdict.Fits, Length.FromMillimetres(2), true, 5_000);

    [Fact]
    public void Verdict_comes_before_wearer_before_stock_before_price()
    {
        var best = Plain with { ReserveEachWay = Length.FromMillimetres(4), PriceCents = 9_000 };
        MatchRank[] inOrder =
        [
            best,
            Plain with { PriceCents = 1_000 },
            Plain,
            Plain with { InStock = false, PriceCents = 100 },
            Plain with { Verdict = Verdict.Compromise, ReserveEachWay = Length.FromMillimetres(9) },
            Plain with { Verdict = Verdict.Unknown },
            Plain with { Verdict = Verdict.Work },
            Plain with { Verdict = Verdict.No, PriceCents = 0 },
        ];
        inOrder.Reverse().Order().ShouldBe(inOrder);
        (inOrder[0] < inOrder[1]).ShouldBeTrue();
    }

    [Fact]
    public void A_judgement_is_as_good_as_its_worst_rule()
    {
        new Judgement([new("a", Verdict.Fits, "."), new("b", Verdict.Work, "."), new("c", Verdict.Unknown, ".")]).Verdict.ShouldBe(Verdict.Work);
        new Judgement([]).Verdict.ShouldBe(Verdict.Unknown);
    }
}
