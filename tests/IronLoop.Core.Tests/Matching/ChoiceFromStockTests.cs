using CsCheck;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Tests.Matching;

/// <summary>Bars and pins from stock: what is chosen goes on, and nothing better was left lying.</summary>
public class ChoiceFromStockTests
{
    private static readonly Gen<SpringBar[]> Bars = Gen.Select(
        Gen.Int[170, 220], Gen.Int[10, 22], Gen.Int[6, 12], Gen.Bool, Gen.Int[0, 3], Gen.Int[0, 2],
        (length, body, tip, curved, style, count) => new SpringBar("", Mm(length / 10m), Mm(body / 10m), Mm(tip / 10m), curved, (BarStyle)style, count))
        .Array[0, 24].Select(bars => bars.Select((b, i) => b with { Article = $"SB-{i:00}" }).ToArray());

    private static readonly Gen<BarWish> Wishes = Gen.Select(
        Gen.Int[16, 22], Gen.Int[7, 13], Gen.Int[10, 24], Gen.Bool, Gen.Bool,
        (lugs, hole, bore, curved, fork) => new BarWish(Mm(lugs), Mm(hole / 10m), Mm(bore / 10m), curved, fork));

    private static HouseLimits Usual => HouseLimits.Usual;

    private static bool GoesIn(SpringBar bar, BarWish wish) =>
        bar.InStock > 0 && bar.Style != BarStyle.Screwed && bar.Length >= wish.LugWidth - Mm(0.5m) && bar.Length <= wish.LugWidth + Mm(0.3m)
        && bar.Tip + Mm(0.05m) <= wish.LugHole && bar.Body + Mm(0.1m) <= wish.TubeBore;

    [Fact]
    public void The_bar_that_is_named_goes_through_tube_and_lug_and_none_is_named_only_where_none_does() =>
        Gen.Select(Bars, Wishes).Sample((bars, wish) =>
        {
            var chosen = SpringBarChoice.Choose(bars, wish, Usual);
            if (chosen is null)
                bars.ShouldAllBe(b => !GoesIn(b, wish));
            else
                GoesIn(chosen, wish).ShouldBeTrue(chosen.Says);
        });

    [Fact]
    public void Of_bars_as_curved_as_wished_the_thickest_is_named() =>
        Gen.Select(Bars, Wishes).Sample((bars, wish) =>
        {
            if (SpringBarChoice.Choose(bars, wish, Usual) is not { } chosen)
                return;
            var asWished = bars.Where(b => GoesIn(b, wish) && b.Curved == wish.Curved).ToList();
            (chosen.Curved == wish.Curved).ShouldBe(asWished.Count > 0);
            if (asWished.Count > 0)
                chosen.Body.ShouldBe(asWished.Max(b => b.Body));
        });

    [Fact]
    public void The_order_of_the_shelf_does_not_matter() =>
        Gen.Select(Bars, Wishes).Sample((bars, wish) =>
            SpringBarChoice.Choose(bars.Reverse(), wish, Usual).ShouldBe(SpringBarChoice.Choose(bars, wish, Usual)));

    [Fact]
    public void A_pin_that_is_chosen_holds_and_no_tighter_one_was_left_lying() =>
        Gen.Select(
            Gen.Select(Gen.Int[900, 1_200], Gen.Int[17_000, 19_000], (d, l) => new FrictionPin(new Length(d), new Length(l))).Array[0, 20],
            Gen.Int[950, 1_150], Gen.Int[17_300, 18_700]).Sample((stock, bore, width) =>
            {
                var holding = stock.Where(p => PinRule.Holds(p, new Length(bore), new Length(width), Usual)).ToList();
                var chosen = PinRule.Choose(stock, p => p, new Length(bore), new Length(width), Usual);
                (chosen is null).ShouldBe(holding.Count == 0);
                if (chosen is not null)
                {
                    chosen.Diameter.ShouldBe(holding.Max(p => p.Diameter));
                    chosen.Length.ShouldBe(holding.Where(p => p.Diameter == chosen.Diameter).Max(p => p.Length));
                }
            });

    [Fact]
    public void A_bar_says_all_that_it_is_told_apart_by() =>
        new SpringBar("SB-20-15", Mm(20), Mm(1.5m), Mm(0.8m), true, BarStyle.Flanged, 4).Says.ShouldBe("SB-20-15: 20 mm long, 1.5 mm body, 0.8 mm tip, curved, flanged");

    private static Length Mm(decimal millimetres) => Length.FromMillimetres(millimetres);
}
