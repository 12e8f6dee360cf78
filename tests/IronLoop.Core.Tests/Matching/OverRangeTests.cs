using CsCheck;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Tests.Matching;

/// <summary>What nobody read is asked over what it usually is: the answer is that of every point of it.</summary>
public class OverRangeTests
{
    private static readonly SpringBar[] Bars =
    [
        Bar("a", 1.3m, 0.8m), Bar("b", 1.5m, 0.8m), Bar("c", 1.8m, 0.9m), Bar("d", 2.0m, 1.1m), Bar("e", 1.1m, 1.2m),
    ];

    private static readonly Gen<(WatchFacts Watch, BandFacts Band)> Pairs = Gen.Select(
        Gen.Int[-1, 4], Gen.Int[0, 4], Gen.Int[0, 3], Gen.Int[5, 60].Array[6], Gen.Bool.Array[6],
        (attachment, attaches, material, lengths, read) => (
            new WatchFacts(Mm(20), attachment < 0 ? null : (Attachment)attachment, null)
            {
                BarGap = read[0] ? Mm(1.2m + lengths[0] / 20m) : null,
                LugHole = read[1] ? Mm(0.7m + lengths[1] / 100m) : null,
                OwnBar = Mm(1 + lengths[2] / 60m),
                SlotHeight = Mm(0.6m + lengths[3] / 40m),
                Height = Mm(6 + lengths[5] / 10m),
            },
            new BandFacts(
                material == 3 ? BandKind.LinkBracelet : attaches == 2 ? BandKind.OnePiece : BandKind.TwoPiece, (BandMaterial)material, Mm(20), (BandAttachment)attaches, true, null)
            {
                EndThickness = read[2] ? Mm(0.5m + lengths[4] / 10m) : null,
                TubeBore = read[3] ? Mm(1 + lengths[5] / 50m) : null,
            }));

    [Fact]
    public void A_verdict_over_a_range_is_that_of_two_hundred_points_of_it_and_of_its_limits() =>
        Pairs.Sample(
            pair =>
            {
                foreach (var rule in BandToWatch.Judge(pair.Watch, pair.Band, WearerFacts.Unasked, Bars, HouseLimits.Usual).Where(r => r.Open is { } open && Measured(open)))
                    Check(rule, pair.Watch, pair.Band);
            },
            iter: Often.Asked(500));

    [Theory]
    [InlineData(null, Verdict.Fits, Certainty.Likely)]
    [InlineData(Attachment.FixedBar, Verdict.No, Certainty.Certain)]
    public void An_attachment_nobody_looked_at_is_taken_as_sprung_bars_and_is_never_sure(Attachment? attachment, Verdict verdict, Certainty certainty)
    {
        var judged = AttachmentRule.Judge(new WatchFacts(Mm(20), attachment, null), Leather);
        (judged.Verdict, judged.Certainty).ShouldBe((verdict, certainty));
        if (attachment is null)
            judged.Says.ShouldEndWith("look at how it is held.");
    }

    [Fact]
    public void A_certain_no_is_certain_whatever_is_unread()
    {
        var judgement = new Judgement(BandToWatch.Judge(new WatchFacts(Mm(20), null, null), Leather with { Width = Mm(24) }, WearerFacts.Unasked, Bars, HouseLimits.Usual));
        (judgement.Verdict, judgement.Certainty).ShouldBe((Verdict.No, Certainty.Certain));
        new Judgement(BandToWatch.Judge(new WatchFacts(null, null, null), Leather, WearerFacts.Unasked, Bars, HouseLimits.Usual)).Certainty.ShouldBe(Certainty.Unknown, "the lug width has nothing usual");
    }

    [Fact]
    public void A_low_head_has_its_bars_near_the_case()
    {
        RuleVerdict Judge(decimal? height) =>
            BarGapRule.Judge(new WatchFacts(Mm(20), Attachment.SpringBarDrilled, null) { Height = height is { } mm ? Mm(mm) : null }, Leather with { EndThickness = Mm(3) }, HouseLimits.Usual)!;
        Judge(null).Verdict.ShouldBe(Verdict.Fits, "2.35 in the middle");
        Judge(8).Verdict.ShouldBe(Verdict.Fits);
        Judge(7.9m).Verdict.ShouldBe(Verdict.Work, "1.6 in the middle, and 1.7 is wanted");
    }

    [Fact]
    public void A_range_is_a_rule_of_the_shop()
    {
        var limits = HouseLimits.Usual.With(Limit.BarGapFrom, 1.8m);
        var watch = new WatchFacts(Mm(20), Attachment.SpringBarDrilled, null);
        BarGapRule.Judge(watch, Leather with { EndThickness = Mm(3) }, HouseLimits.Usual)!.Certainty.ShouldBe(Certainty.Likely);
        BarGapRule.Judge(watch, Leather with { EndThickness = Mm(3) }, limits)!.Certainty.ShouldBe(Certainty.Certain);
        // Set the wrong way round, it is what lies between.
        BarGapRule.Judge(watch, Leather with { EndThickness = Mm(3) }, limits.With(Limit.BarGapTo, 1))!.Certainty.ShouldBe(Certainty.Likely);
    }

    [Fact]
    public void A_straight_end_of_a_bracelet_whose_bore_was_gauged_says_itself_how_near_the_case_it_comes()
    {
        var end = new BandFacts(BandKind.LinkBracelet, BandMaterial.Metal, Mm(20), BandAttachment.LooseBar, true, null) { EndThickness = Mm(6), BoreToFace = Mm(1.8m) };
        Verdict At(decimal gap, BandFacts band) => BarGapRule.Judge(new WatchFacts(Mm(20), Attachment.SpringBarDrilled, null) { BarGap = Mm(gap) }, band, HouseLimits.Usual)!.Verdict;
        At(2, end).ShouldBe(Verdict.Fits);
        At(1.999m, end).ShouldBe(Verdict.No, "a curved bar does not help metal");
        At(2, end with { BoreToFace = null }).ShouldBe(Verdict.No);
    }

    [Fact]
    public void What_to_look_at_next_is_what_most_words_hang_on()
    {
        Judgement Judge(WatchFacts watch) => new(BandToWatch.Judge(watch, Leather with { EndThickness = Mm(3) }, WearerFacts.Unasked, null, HouseLimits.Usual));
        NextLook.Says([Judge(new WatchFacts(Mm(20), Attachment.SpringBarDrilled, null))]).ShouldBe("Read the bar gap: the word on this band depends on it.");
        NextLook.Says([Judge(new WatchFacts(Mm(20), null, null) { BarGap = Mm(2) }), Judge(new WatchFacts(Mm(20), null, null) { BarGap = Mm(2.2m) })])
            .ShouldBe("Look at how it is held: the word on 2 of these 2 depends on it.");
        NextLook.Says([Judge(new WatchFacts(Mm(20), Attachment.SpringBarDrilled, null) { BarGap = Mm(2) })]).ShouldBeNull();
    }

    private static readonly BandFacts Leather = new(BandKind.TwoPiece, BandMaterial.Leather, Mm(20), BandAttachment.LooseBar, null, null) { TubeBore = Mm(1.9m) };

    private static bool Measured(Openness open) => open.Figures.All(f => f is not (OpenFigure.Attachment or OpenFigure.CaseShape));

    private static void Check(RuleVerdict rule, WatchFacts watch, BandFacts band)
    {
        var (open, limits) = (rule.Open!, HouseLimits.Usual);
        UsualRange RangeOf(OpenFigure figure) => figure switch
        {
            OpenFigure.BarGap => UsualRange.BarGap(watch.Height, limits),
            OpenFigure.LugHole => UsualRange.LugHole(limits),
            OpenFigure.TubeBore => UsualRange.TubeBore(band.IsSoft, limits),
            OpenFigure.LayerThickness => UsualRange.Layer(band.Material, limits),
            OpenFigure.EndThickness => rule.Rule == SlotRule.Name ? UsualRange.SlotEnd(limits) : UsualRange.EndThickness(band.IsSoft, limits),
            _ => throw new ArgumentOutOfRangeException(nameof(figure)),
        };
        Verdict With(params (OpenFigure Figure, Length At)[] read)
        {
            var (w, b) = (watch, band);
            foreach (var (figure, at) in read)
                (w, b) = figure switch
                {
                    OpenFigure.BarGap => (w with { BarGap = at }, b),
                    OpenFigure.LugHole => (w with { LugHole = at }, b),
                    OpenFigure.TubeBore => (w, b with { TubeBore = at }),
                    OpenFigure.LayerThickness => (w, b with { LayerThickness = at }),
                    _ => (w, b with { EndThickness = at }),
                };
            var judged = BandToWatch.Judge(w, b, WearerFacts.Unasked, Bars, limits).Single(r => r.Rule == rule.Rule);
            judged.Open.ShouldBeNull(judged.Says);
            return judged.Verdict;
        }
        var figures = open.Figures;
        rule.Verdict.ShouldBe(With([.. figures.Select(f => (f, RangeOf(f).Middle))]));
        // Two hundred points: along one figure, or a grid over two.
        var side = figures.Count == 1 ? 200 : 15;
        Length Point(OpenFigure figure, int i) => new(RangeOf(figure).From.Micrometres + (RangeOf(figure).To - RangeOf(figure).From).Micrometres * i / (side - 1));
        var points = (from i in Enumerable.Range(0, side)
                      from j in Enumerable.Range(0, figures.Count == 1 ? 1 : side)
                      select With(figures.Count == 1 ? [(figures[0], Point(figures[0], i))] : [(figures[0], Point(figures[0], i)), (figures[1], Point(figures[1], j))])).ToList();
        (points.Min(), points.Max()).ShouldBe((open.Best, open.Worst), rule.Says);
        (rule.Certainty == Certainty.Certain).ShouldBe(points.Distinct().Count() == 1);
        open.Off.ShouldBe(points.Average(v => v switch { Verdict.No => 1, Verdict.Work => 0.25, _ => 0 }), 0.06);
        if (open.Decides is not { At: { } limit } decides)
            return;
        // What decides is a limit of the rule: a micrometre further there is another word, and the better one is here.
        var range = RangeOf(decides.Figure);
        limit.ShouldBeInRange(range.From, range.To);
        var others = figures.Where(f => f != decides.Figure).Select(f => ((Length[])[RangeOf(f).Middle, RangeOf(f).From, RangeOf(f).To]).Select(at => (f, at)).ToArray()).ToArray();
        var beyond = decides.Figure is OpenFigure.EndThickness or OpenFigure.LayerThickness ? limit + new Length(1) : limit - new Length(1);
        var cases = others.Length == 0 ? [Array.Empty<(OpenFigure, Length)>()] : others[0].Select(o => new[] { o }).ToArray();
        cases.Any(o => With([.. o, (decides.Figure, limit)]) < With([.. o, (decides.Figure, beyond)])).ShouldBeTrue(rule.Says);
    }

    private static SpringBar Bar(string article, decimal body, decimal tip) => new(article, Mm(20), Mm(body), Mm(tip), false, BarStyle.Plain, 3);

    private static Length Mm(decimal millimetres) => Length.FromMillimetres(decimal.Round(millimetres, 3));
}
