using CsCheck;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Shelf;

namespace IronLoop.Core.Tests.Matching;

/// <summary>The order a fitter would look through bands in.</summary>
public class StandingTests
{
    [Fact]
    public void All_else_alike_the_exact_width_never_stands_below_one_two_millimetres_too_narrow_whatever_is_unread() =>
        Gen.Select(Gen.Int[-1, 3], Gen.Int[0, 2], Gen.Bool.Array[5], Gen.Int[0, 60].Array[5], Gen.Bool).Sample(
            (attachment, material, read, lengths, isFirst) =>
            {
                var watch = new WatchFacts(Mm(20), attachment < 0 ? null : (Attachment)attachment, null)
                {
                    BarGap = read[0] ? Mm(1.2m + lengths[0] / 20m) : null,
                    LugHole = read[1] ? Mm(0.7m + lengths[1] / 100m) : null,
                    OwnBar = read[2] ? Mm(1 + lengths[2] / 60m) : null,
                };
                var exact = new BandFacts(BandKind.TwoPiece, (BandMaterial)material, Mm(20), BandAttachment.LooseBar, null, null)
                {
                    EndThickness = read[3] ? Mm(1.5m + lengths[3] / 15m) : null,
                    TubeBore = read[4] ? Mm(1 + lengths[4] / 50m) : null,
                };
                BandFacts[] bands = isFirst ? [exact, exact with { Width = Mm(18) }] : [exact with { Width = Mm(18) }, exact];
                var order = Order(watch, bands);
                var exactly = order.Single(o => o.Band == exact).Judgement;
                // A reading that makes it lasting work or no does so to both: they stand alike then, and the width decides all the same.
                order[0].Band.ShouldBe(exact, string.Join(' ', exactly.Rules.Select(r => r.Says)));
            },
            iter: Often.Asked(2_000));

    [Fact]
    public void Work_that_can_be_undone_counts_as_a_drawback_where_its_part_is_at_hand()
    {
        var watch = new WatchFacts(Mm(20), Attachment.SpringBarDrilled, null) { BarGap = Mm(1.5m) };
        BandFacts thick = Strap(20) with { EndThickness = Mm(3) }, narrow = Strap(18) with { EndThickness = Mm(2) };
        Order(watch, [narrow, thick])[0].Band.ShouldBe(thick, "nothing is known of the bars");
        SpringBar Bar(bool curved) => new("b", Mm(20), Mm(1.5m), Mm(0.8m), curved, BarStyle.Plain, 1);
        Order(watch with { LugHole = Mm(1.1m) }, [narrow, thick], Bar(true))[0].Band.ShouldBe(thick);
        Order(watch with { LugHole = Mm(1.1m) }, [narrow, thick], Bar(false))[0].Band.ShouldBe(narrow, "no curved bar is in stock");
    }

    [Fact]
    public void Then_what_goes_on_wherever_the_unread_lies_then_looks_then_the_rest_of_the_width_then_stock_then_price()
    {
        var watch = new WatchFacts(Mm(20), Attachment.SpringBarDrilled, null);
        BandFacts thin = Strap(20) with { EndThickness = Mm(2.4m) }, thick = Strap(20) with { EndThickness = Mm(4.4m) };
        Order(watch, [thick, thin])[0].Band.ShouldBe(thin);
        var wish = new WearerFacts(WishedColour: "brown");
        BandFacts black = thin with { Colour = "black" }, dark = thin with { Colour = "dark brown" }, brown = thin with { Colour = "Brown" };
        BandOrder.Of([black, dark, brown], b => b, _ => true, _ => null, watch, wish, House.Usual).Select(o => o.Band).ShouldBe([brown, dark, black]);
        BandOrder.Of([thin with { Width = Mm(19.6m) }, thin], b => b, _ => true, _ => null, watch, WearerFacts.Unasked, House.Usual)[0].Band.ShouldBe(thin);
        BandOrder.Of([(Here: false, Price: 100L), (Here: true, Price: 900L), (Here: true, Price: 800L)], _ => thin, b => b.Here, b => b.Price, watch, WearerFacts.Unasked, House.Usual)
            .Select(o => o.Band.Price).ShouldBe([800L, 900, 100]);
    }

    [Fact]
    public void What_does_not_go_on_as_most_watches_take_a_band_comes_last_though_nobody_looked()
    {
        BandFacts bar = Strap(20), screwed = Strap(20) with { Attaches = BandAttachment.ScrewThrough };
        foreach (var lugs in (Length?[])[null, Mm(20)])
            Order(new WatchFacts(lugs, null, null), [screwed, bar])[0].Band.ShouldBe(bar);
    }

    [Theory]
    [InlineData("brown", "Brown", Likeness.Equal)]
    [InlineData("dark brown", "brown", Likeness.Near)]
    [InlineData("light-brown", "dark brown", Likeness.Near)]
    [InlineData("black", "brown", Likeness.Other)]
    [InlineData(null, "brown", Likeness.Equal)]
    public void Shades_of_a_colour_are_near(string? wanted, string has, Likeness likeness)
    {
        Looks.Compare(wanted, has).ShouldBe(likeness);
        var judged = FinishRule.Judge(new WatchFacts(Mm(20), null, null), Strap(20) with { Colour = has }, new WearerFacts(WishedColour: wanted));
        judged?.Verdict.ShouldBe(likeness == Likeness.Other ? Verdict.Compromise : Verdict.Fits);
    }

    [Fact]
    public void A_slot_wants_soft_leather()
    {
        var watch = new WatchFacts(Mm(20), Attachment.ScrewSlot, null) { SlotHeight = Mm(2) };
        AttachmentRule.Judge(watch, Strap(20)).Verdict.ShouldBe(Verdict.Work);
        AttachmentRule.Judge(watch, Strap(20) with { IsFirm = true }).Says.ShouldBe("The slot wants soft leather; this is firm.");
    }

    private static IReadOnlyList<(BandFacts Band, Judgement Judgement)> Order(WatchFacts watch, IEnumerable<BandFacts> bands, params SpringBar[] bars) =>
        BandOrder.Of(bands, b => b, _ => true, _ => null, watch, WearerFacts.Unasked, new House(bars.Length == 0 ? null : bars, HouseLimits.Usual));

    private static BandFacts Strap(decimal width) => new(BandKind.TwoPiece, BandMaterial.Leather, Mm(width), BandAttachment.LooseBar, null, null);

    private static Length Mm(decimal millimetres) => Length.FromMillimetres(decimal.Round(millimetres, 3));
}
