using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Tests.Matching;

/// <summary>Every limit belongs to the better verdict; a missing number answers unknown and names what to measure.</summary>
public class WatchRulesTests
{
    private static readonly WatchFacts Drilled = new(Mm(20), Attachment.SpringBarDrilled, null)
    {
        BarGap = Mm(2),
        LugHole = Mm(1.1m),
        CaseShape = CaseShape.Round,
        Height = Mm(11),
    };

    private static readonly BandFacts Leather = new(BandKind.TwoPiece, BandMaterial.Leather, Mm(20), BandAttachment.LooseBar, null, null)
    {
        EndThickness = Mm(3),
        TubeBore = Mm(1.9m),
    };

    private static readonly BandFacts Bracelet = new(BandKind.LinkBracelet, BandMaterial.Metal, Mm(20), BandAttachment.LooseBar, true, null);

    private static readonly SpringBar[] Bars =
    [
        Bar("thin", 20, 1.3m, 0.8m), Bar("usual", 20, 1.5m, 0.8m), Bar("thick", 20, 1.8m, 0.9m), Bar("thicker", 20, 2.0m, 0.9m), Bar("fat tips", 20, 1.5m, 1.2m),
        Bar("flanged", 20, 1.8m, 0.9m) with { Style = BarStyle.Flanged }, Bar("curved", 20, 1.5m, 0.8m) with { Curved = true },
        Bar("short", 19.4m, 1.8m, 0.8m), Bar("long", 20.4m, 1.8m, 0.8m), Bar("none left", 20, 1.8m, 0.8m) with { InStock = 0 },
    ];

    private static HouseLimits Usual => HouseLimits.Usual;

    [Theory]
    [InlineData(3.6, Verdict.Fits)]
    [InlineData(3.601, Verdict.Work)]
    [InlineData(5.2, Verdict.Work)]
    [InlineData(5.201, Verdict.No)]
    public void An_end_round_the_bar_wants_half_its_thickness_and_a_little(double end, Verdict verdict)
    {
        var judged = BarGapRule.Judge(Drilled, Leather with { EndThickness = Length.Nearest(end) }, Usual)!;
        judged.Verdict.ShouldBe(verdict);
        judged.Work.ShouldAllBe(w => w.Reversible && w.Minutes == 5);
    }

    [Theory]
    [InlineData(1.25, null, Verdict.Fits)]
    [InlineData(1.251, null, Verdict.No)]
    [InlineData(1.1, 1.8, Verdict.Fits)]
    [InlineData(1.101, 1.8, Verdict.No)]
    public void A_pulled_through_layer_passes_beside_the_bar_or_does_not(double layer, double? bar, Verdict verdict) =>
        BarGapRule.Judge(
            Drilled with { OwnBar = bar is { } d ? Length.Nearest(d) : null },
            Leather with { Attaches = BandAttachment.PullThrough, LayerThickness = Length.Nearest(layer) }, Usual)!.Verdict.ShouldBe(verdict);

    [Fact]
    public void Room_at_the_bar_is_not_asked_of_a_slot_and_what_it_hangs_on_is_told_until_measured()
    {
        BarGapRule.Judge(Drilled with { Attachment = Attachment.ScrewSlot }, Leather, Usual).ShouldBeNull();
        BarGapRule.Judge(Drilled with { BarGap = null }, Leather, Usual)!.Says.ShouldBe("Bar gap 1.7 mm or more: its end has room; less: it takes a curved bar.");
        BarGapRule.Judge(Drilled, Leather with { EndThickness = null }, Usual)!.Says.ShouldBe("Thickness of the band’s end 3.6 mm or less: its end has room; more: it takes a curved bar.");
        BarGapRule.Judge(Drilled, Leather with { End = BandEnd.Fitted }, Usual).ShouldBeNull("the shape decides");
        BarGapRule.Judge(Drilled with { Attachment = Attachment.FixedBar }, Leather, Usual)!.Verdict.ShouldBe(Verdict.Fits);
    }

    [Theory]
    [InlineData(1.9, 0.95, Attachment.SpringBarDrilled, BandEnd.Straight, "thick")]
    [InlineData(1.899, 0.95, Attachment.SpringBarDrilled, BandEnd.Straight, "usual")]
    [InlineData(2.1, 0.95, Attachment.SpringBarDrilled, BandEnd.Straight, "thicker")]
    [InlineData(1.9, 0.95, Attachment.SpringBarBlind, BandEnd.Straight, "flanged")]
    [InlineData(1.9, 0.949, Attachment.SpringBarDrilled, BandEnd.Straight, "usual")]
    [InlineData(1.9, 0.95, Attachment.SpringBarDrilled, BandEnd.Curved, "curved")]
    public void The_thickest_bar_that_passes_is_named(double bore, double hole, Attachment attachment, BandEnd end, string article)
    {
        var watch = Drilled with { LugHole = Length.Nearest(hole), Attachment = attachment };
        var judged = BarBoreRule.Judge(watch, Leather with { TubeBore = Length.Nearest(bore), End = end }, Bars, Usual)!;
        judged.Verdict.ShouldBe(Verdict.Fits);
        judged.Says.ShouldStartWith($"Bar {article}:");
    }

    [Fact]
    public void A_tube_too_narrow_is_work_and_a_hole_too_narrow_is_the_end()
    {
        var narrow = BarBoreRule.Judge(Drilled, Leather with { TubeBore = Mm(1.2m) }, Bars, Usual)!;
        narrow.Verdict.ShouldBe(Verdict.Work);
        narrow.Work.ShouldHaveSingleItem().Reversible.ShouldBeTrue("leather is pierced");
        narrow.Work[0].Minutes.ShouldBe(10);
        var metal = BarBoreRule.Judge(Drilled, Bracelet with { TubeBore = Mm(1.2m) }, Bars, Usual)!.Work.ShouldHaveSingleItem();
        metal.Minutes.ShouldBe(30, "a bore is opened by hand");
        metal.What.ShouldBe("Open the bore to 1.4 mm");
        metal.Reversible.ShouldBeFalse();
        BarBoreRule.Judge(Drilled with { LugHole = Mm(0.8m) }, Leather, Bars, Usual)!.Verdict.ShouldBe(Verdict.No);
        BarBoreRule.Judge(Drilled with { LugWidth = Mm(22) }, Leather, Bars, Usual)!.Says.ShouldContain("No bar in stock");
        BarBoreRule.Judge(Drilled, Leather, null, Usual).ShouldBeNull("nothing is known of the stock");
        BarBoreRule.Judge(Drilled, Leather with { Attaches = BandAttachment.QuickRelease }, Bars, Usual).ShouldBeNull("it brings its own");
    }

    [Theory]
    [InlineData(BandMaterial.Leather, 2.0, Verdict.Fits)]
    [InlineData(BandMaterial.Leather, 3.0, Verdict.Work)]
    [InlineData(BandMaterial.Leather, 3.001, Verdict.No)]
    [InlineData(BandMaterial.Textile, 2.001, Verdict.No)]
    public void A_slot_takes_what_is_thin_and_leather_that_is_pressed(BandMaterial material, double end, Verdict verdict)
    {
        var slot = Drilled with { Attachment = Attachment.ScrewSlot, SlotHeight = Mm(2) };
        var judged = SlotRule.Judge(slot, Leather with { Material = material, EndThickness = Length.Nearest(end) }, Usual)!;
        judged.Verdict.ShouldBe(verdict);
        judged.Work.ShouldAllBe(w => !w.Reversible && w.Minutes == 15);
        SlotRule.Judge(Drilled, Leather, Usual).ShouldBeNull();
    }

    [Theory]
    [InlineData(BandEnd.Straight, null, null, null, Verdict.Fits)]
    [InlineData(BandEnd.Curved, CaseShape.Round, null, null, Verdict.Fits)]
    [InlineData(BandEnd.Curved, CaseShape.FlatSided, null, null, Verdict.Compromise)]
    [InlineData(BandEnd.Curved, null, null, null, Verdict.Fits)]
    [InlineData(BandEnd.Fitted, CaseShape.Round, "TS7", "ts7", Verdict.Fits)]
    [InlineData(BandEnd.Fitted, CaseShape.Round, "TS7", "TS8", Verdict.No)]
    [InlineData(BandEnd.Fitted, CaseShape.Round, null, "TS7", Verdict.Unknown)]
    [InlineData(BandEnd.Fitted, CaseShape.Round, "TS7", null, Verdict.No)]
    public void Ends_follow_the_case(BandEnd end, CaseShape? shape, string? watchFamily, string? bandFamily, Verdict verdict) =>
        EndShapeRule.Judge(Drilled with { CaseShape = shape, Family = watchFamily }, Leather with { End = end, Family = bandFamily }).Verdict.ShouldBe(verdict);

    [Theory]
    [InlineData(14.0, CaseShape.Round, null, Verdict.Fits)]
    [InlineData(14.001, CaseShape.Round, null, Verdict.Compromise)]
    [InlineData(13.001, CaseShape.FlatSided, null, Verdict.Compromise)]
    [InlineData(11.0, CaseShape.Round, 2, Verdict.Fits)]
    [InlineData(11.001, CaseShape.Round, 2, Verdict.Compromise)]
    public void A_tall_head_on_a_small_wrist_sits_tall(double height, CaseShape shape, int? layers, Verdict verdict)
    {
        var wearer = new WearerFacts(Wrist: Mm(168));
        var band = Leather with { Layers = layers, LayerThickness = Mm(1.5m) };
        BuildRule.Judge(Drilled with { Height = Length.Nearest(height), CaseShape = shape }, band, wearer, Usual)!.Verdict.ShouldBe(verdict);
        BuildRule.Judge(Drilled, band, WearerFacts.Unasked, Usual).ShouldBeNull();
        BuildRule.Judge(Drilled with { Height = null }, band, wearer, Usual).ShouldBeNull("nobody asks for the height of a head for a change of strap");
    }

    [Fact]
    public void What_the_wearer_does_and_bears_is_asked_for_each_material()
    {
        UseRule.Judge(Leather, WearerFacts.Unasked).ShouldBeNull();
        UseRule.Judge(Leather, new WearerFacts(Water: true))!.Verdict.ShouldBe(Verdict.Compromise);
        UseRule.Judge(Leather with { Material = BandMaterial.Rubber }, new WearerFacts(Water: true))!.Verdict.ShouldBe(Verdict.Fits);
        UseRule.Judge(Bracelet, new WearerFacts(NickelSensitive: true))!.Verdict.ShouldBe(Verdict.No);
        UseRule.Judge(Bracelet with { NickelSafe = true }, new WearerFacts(NickelSensitive: true))!.Verdict.ShouldBe(Verdict.Fits);
        UseRule.Judge(Leather, new WearerFacts(NickelSensitive: true))!.Verdict.ShouldBe(Verdict.Fits);
        UseRule.Judge(Bracelet with { Kind = BandKind.Mesh }, new WearerFacts(HairPull: true))!.Verdict.ShouldBe(Verdict.Compromise);
        UseRule.Judge(Bracelet with { SolidEnd = false }, new WearerFacts(HairPull: true))!.Verdict.ShouldBe(Verdict.Compromise);
        UseRule.Judge(Bracelet, new WearerFacts(HairPull: true))!.Verdict.ShouldBe(Verdict.Fits);
    }

    [Fact]
    public void Metal_is_compared_with_the_case_and_any_colour_with_the_wish()
    {
        var watch = Drilled with { Finish = "brushed", Colour = "steel" };
        FinishRule.Judge(Drilled, Bracelet, WearerFacts.Unasked).ShouldBeNull();
        FinishRule.Judge(watch, Bracelet with { Finish = "Brushed", Colour = "steel" }, WearerFacts.Unasked)!.Verdict.ShouldBe(Verdict.Fits);
        FinishRule.Judge(watch, Bracelet with { Finish = "polished", Colour = "steel" }, WearerFacts.Unasked)!.Verdict.ShouldBe(Verdict.Compromise);
        FinishRule.Judge(watch, Leather with { Finish = "smooth", Colour = "brown" }, new WearerFacts(WishedColour: "black"))!.Says.ShouldContain("brown");
    }

    [Theory]
    [InlineData(1.6, 1.5, Verdict.Fits)]
    [InlineData(1.599, 1.5, Verdict.Work)]
    public void A_screwed_bar_has_to_go_through_the_tube(double bore, double bar, Verdict verdict)
    {
        var screwed = Drilled with { Attachment = Attachment.ScrewBar, OwnBar = Length.Nearest(bar) };
        AttachmentRule.Judge(screwed, Leather with { TubeBore = Length.Nearest(bore) }).Verdict.ShouldBe(verdict);
        AttachmentRule.Judge(screwed with { OwnBar = null }, Leather).Verdict.ShouldBe(Verdict.Unknown);
    }

    [Fact]
    public void Readings_that_would_not_agree_on_the_width_ask_to_gauge_again()
    {
        var wide = Leather with { Width = Mm(19.6m) };
        LugWidthRule.Judge(Drilled with { LugWidthReadings = (Mm(20), Mm(20.2m)) }, wide).Says.ShouldEndWith("gauge again.");
        LugWidthRule.Judge(Drilled with { LugWidthReadings = (Mm(19.9m), Mm(20.1m)) }, wide).Says.ShouldNotContain("gauge again");
    }

    [Fact]
    public void A_band_that_is_just_right_is_said_to_be_and_one_with_a_little_room_says_how_much()
    {
        LugWidthRule.Judge(Drilled, Leather with { Width = Mm(20) }).Says.ShouldEndWith(": just right.");
        LugWidthRule.Judge(Drilled, Leather with { Width = Mm(19.7m) }).Says.ShouldEndWith(": 0.3 mm to spare.");
    }

    [Fact]
    public void What_cannot_be_filed_is_said_and_work_takes_ten_minutes_where_nobody_says_more()
    {
        var metal = Leather with { Kind = BandKind.LinkBracelet, Material = BandMaterial.Metal, Width = Mm(20.8m) };
        LugWidthRule.Judge(Drilled, metal with { Kind = BandKind.Mesh }).Says.ShouldEndWith("too wide, and mesh cannot be filed.");
        LugWidthRule.Judge(Drilled, metal with { SolidEnd = false }).Says.ShouldEndWith("too wide, and a hollow end cannot be filed.");
        new PieceOfWork(WorkKind.Bore, "Open the bore", Reversible: false).Minutes.ShouldBe(10);
    }

    [Fact]
    public void A_limit_the_shop_sets_holds_and_has_a_way_back()
    {
        var tight = Usual.With(Limit.SoftFits, 0.2m);
        LugWidthRule.Judge(Drilled, Leather with { Width = Mm(19.7m) }, tight).Verdict.ShouldBe(Verdict.Compromise);
        LugWidthRule.Judge(Drilled, Leather with { Width = Mm(19.7m) }, tight.With(Limit.SoftFits, LimitKind.All[(int)Limit.SoftFits].Usual)).Verdict.ShouldBe(Verdict.Fits);
        Should.Throw<ArgumentOutOfRangeException>(() => Usual.With(Limit.SoftFits, 9)).Message.ShouldContain("allowed is 0 to 5");
        LimitKind.All.ShouldAllBe(k => k.Allowed.Holds(0) || !k.IsLength, "a house may have none of it");
        LimitKind.All.ShouldAllBe(k => k.Allowed.Holds(k.Usual));
        LimitKind.All.Select(k => (int)k.Limit).ShouldBe(Enumerable.Range(0, LimitKind.All.Count));
    }

    [Theory]
    [InlineData(17.5, BandMaterial.Leather, "if it were 0.5 mm wider")]
    [InlineData(21.4, BandMaterial.Leather, "if it were 0.4 mm narrower")]
    [InlineData(20.5, BandMaterial.Rubber, "if it were 0.2 mm narrower")]
    public void A_near_miss_says_what_would_make_it_go_on(double width, BandMaterial material, string cure)
    {
        var band = Leather with { Width = Length.Nearest(width), Material = material };
        NearMiss.Cure(LugWidthRule.Judge(Drilled, band), Drilled, band, Usual).ShouldBe(cure);
        // Made as it says, it does go on.
        var off = decimal.Parse(cure.Split(' ')[3], System.Globalization.CultureInfo.InvariantCulture) * (cure.EndsWith("wider", StringComparison.Ordinal) ? 1 : -1);
        LugWidthRule.Judge(Drilled, band with { Width = band.Width + Mm(off) }).Verdict.ShouldNotBe(Verdict.No);
    }

    [Fact]
    public void An_end_too_thick_is_told_how_thin_it_has_to_be()
    {
        var thick = Leather with { EndThickness = Mm(6) };
        NearMiss.Cure(BarGapRule.Judge(Drilled, thick, Usual)!, Drilled, thick, Usual).ShouldBe("with an end of at most 5.2 mm");
        BarGapRule.Judge(Drilled, thick with { EndThickness = Mm(5.2m) }, Usual)!.Verdict.ShouldBe(Verdict.Work);
    }

    private static SpringBar Bar(string article, decimal length, decimal body, decimal tip) =>
        new(article, Mm(length), Mm(body), Mm(tip), Curved: false, BarStyle.Plain, InStock: 5);

    private static Length Mm(decimal millimetres) => Length.FromMillimetres(millimetres);
}
