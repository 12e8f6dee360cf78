using IronLoop.Core.Matching;

namespace IronLoop.Core.Shelf;

/// <summary>Puts a few bands in the order they suit a watch, of which nothing is known but what matching looks at.</summary>
public static class BandOrder
{
    /// <summary>The bands with what the rules say of each, the best first; those that stand alike stay in the order they came.</summary>
    /// <param name="bands">The bands.</param>
    /// <param name="facts">What matching looks at of one.</param>
    /// <param name="isHere">Whether it is in stock.</param>
    /// <param name="priceCents">Its price; null where nobody said.</param>
    /// <param name="watch">The watch.</param>
    /// <param name="wearer">The wearer.</param>
    /// <param name="house">What the shop has.</param>
    public static IReadOnlyList<(TBand Band, Judgement Judgement)> Of<TBand>(
        IEnumerable<TBand> bands, Func<TBand, BandFacts> facts, Func<TBand, bool> isHere, Func<TBand, long?> priceCents, WatchFacts watch, WearerFacts wearer, House house)
    {
        var judged = bands.Select(band =>
        {
            var of = facts(band);
            var rules = BandToWatch.Judge(watch, of, wearer, house.Bars, house.Limits);
            var standing = Standing.Of(rules, watch, of, house.Bars, house.Limits) with { Looks = FinishRule.LikenessOf(watch, of, wearer) };
            return (Band: band, Judgement: new Judgement(rules), Standing: standing);
        });
        return [.. judged.Order(Comparer<(TBand Band, Judgement Judgement, Standing Standing)>.Create((a, b) =>
        {
            var order = Standing.Compare(a.Standing, b.Standing);
            if (order == 0) order = isHere(b.Band).CompareTo(isHere(a.Band));
            return order != 0 ? order : (priceCents(a.Band) ?? long.MaxValue).CompareTo(priceCents(b.Band) ?? long.MaxValue);
        })).Select(j => (j.Band, j.Judgement))];
    }
}
