using CsCheck;
using IronLoop.Core.Bands;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Shelf;
using IronLoop.Core.Stock;

namespace IronLoop.Core.Tests.Shelf;

/// <summary>Clasps on a bracelet that is between sizes: long links, two micro positions.</summary>
public class ClaspBenchTests
{
    private static readonly FitTarget Wanted = new(Mm(156.2m), Mm(2), Mm(1.5m));
    private static readonly BandEndFacts End = new(BandKind.LinkBracelet, BandMaterial.Metal, Mm(18), Bore: Mm(1.65m)) { Finish = "brushed" };
    private static readonly ClaspBench Bench = new(BetweenSizes, End, Wanted, null, [], HouseLimits.Usual);

    private static LinkBracelet BetweenSizes => new(
        new BandFacts(BandKind.LinkBracelet, BandMaterial.Metal, Mm(22), BandAttachment.LooseBar, true, null), Mm(4), "fold-over, two holes",
        new Bracelet(Row(6), Row(5)), new BraceletClasp(Mm(19), Mm(18), Side.Twelve, 2, Mm(1.5m), 0));

    [Fact]
    public void A_clasp_with_more_positions_cures_a_bracelet_between_sizes()
    {
        Bench.Present!.IsBetweenSizes(Wanted).ShouldBeTrue();
        var cure = Bench.Judge(FoldOver("MORE", 8, 1.5m, 18.5m, 20.5m));
        cure.Cures.ShouldBeTrue();
        cure.Judgement.Verdict.ShouldBe(Verdict.Fits);
        cure.Effect!.Misfit.ShouldBe(Length.Zero);
        cure.Effect.Reach.LargestGap!.Value.ShouldBeLessThan(Bench.Present.Reach.LargestGap!.Value);
        cure.Judgement.Rules[^1].Says.ShouldContain("with the present clasp 20.9 mm");
    }

    [Theory]
    [InlineData(133, 6.5)]
    [InlineData(139.5, 0)]
    [InlineData(165.5, 0)]
    [InlineData(172, 6.5)]
    public void A_strap_lacks_a_hole_of_reserve_where_none_is_left_one_way(double wanted, double lacks) =>
        ClaspOnBand.Effect(Tests.Bench.BenchJobs.Strap(), new FitTarget(Length.Nearest(wanted), Mm(2), Mm(1.5m)), null)!.Shortfall.ShouldBe(Length.Nearest(lacks));

    [Fact]
    public void The_same_clasp_again_cures_nothing_and_one_too_wide_is_no_cure()
    {
        var same = Bench.Judge(FoldOver("SAME", 2, 1.5m, 19, 18));
        same.Cures.ShouldBeFalse();
        same.Judgement.Rules[^1].Says.ShouldStartWith("Still between sizes");
        var wide = Bench.Judge(FoldOver("WIDE", 8, 1.5m, 18.5m, 20.5m, inner: 20));
        wide.Judgement.Verdict.ShouldBe(Verdict.No);
        wide.Cures.ShouldBeFalse("what does not go on cures nothing");
    }

    [Fact]
    public void The_best_comes_first_and_a_clasp_for_straps_has_no_effect()
    {
        var buckle = new Part("BUCKLE", "Pin buckle") { Clasp = new StockedClasp(new ClaspFacts(ClaspKind.PinBuckle, Mm(18)), null, Length.Zero) };
        var ranked = Bench.Rank([buckle, FoldOver("SAME", 2, 1.5m, 19, 18), FoldOver("LOPSIDED", 8, 1.5m, 25, 14), FoldOver("MORE", 8, 1.5m, 18.5m, 20.5m)]);
        ranked[0].Part.Article.ShouldBe("MORE");
        ranked.Single(c => c.Part == buckle).Effect.ShouldBeNull();
        ranked.Select(c => c.Judgement.Verdict).ShouldBeInOrder();
    }

    [Fact]
    public void What_cannot_be_put_on_says_nothing_of_how_long_the_band_would_be()
    {
        var strap = new ClaspBench(Tests.Bench.BenchJobs.Strap(), new BandEndFacts(BandKind.TwoPiece, BandMaterial.Leather, Mm(18)), Wanted, null, [], HouseLimits.Usual);
        var bracelets = strap.Judge(FoldOver("FOLD", 8, 1.5m, 18.5m, 20.5m));
        bracelets.Judgement.Verdict.ShouldBe(Verdict.No);
        bracelets.Effect.ShouldBeNull();
        bracelets.Judgement.Rules.ShouldNotContain(r => r.Rule == ClaspReachRule.Name);
    }

    [Fact]
    public void Of_two_clasps_that_come_out_alike_the_one_that_leaves_more_to_adjust_comes_first_though_it_is_dearer()
    {
        // Both close at 150 mm in their tightest position; one loosens by a millimetre from there, the other by half of one.
        var bench = Bench with { Target = new FitTarget(Mm(150), Mm(2), Mm(1.5m)) };
        bench = new ClaspBench(bench.Band, bench.End, bench.Target, null, [], HouseLimits.Usual);
        var ranked = bench.Rank([FoldOver("HALF", 2, 0.5m, 19, 19), FoldOver("WHOLE", 2, 1, 19, 19) with { PriceCents = 900 }]);
        ranked.Select(c => c.Judgement.Verdict).Distinct().ShouldHaveSingleItem();
        ranked.Select(c => c.Effect!.Length).Distinct().ShouldHaveSingleItem();
        ranked.Select(c => c.Part.Article).ShouldBe(["WHOLE", "HALF"]);
    }

    [Fact]
    public void A_clasp_whose_half_lengths_are_unknown_is_judged_by_the_usual_ones_and_never_surely()
    {
        var part = FoldOver("BARE", 8, 1.5m, 18.5m, 20.5m);
        var bare = Bench.Judge(part with { Clasp = part.Clasp! with { Loop = null } });
        bare.Effect.ShouldBeNull();
        bare.Cures.ShouldBeFalse();
        var reach = bare.Judgement.Rules.Single(r => r.Rule == ClaspReachRule.Name);
        reach.Certainty.ShouldBe(Certainty.Likely);
        reach.Says.ShouldStartWith("With the usual half lengths: ");
    }

    [Fact]
    public void A_clasp_without_micro_adjust_says_so()
    {
        var effect = new ClaspEffect(Wanted.Length, 0, 0, Length.Zero, Mm(4), Length.Zero, Length.Zero, 2, Adjusts: false, Reach.Of([]));
        ClaspReachRule.Judge(effect, null, Wanted).ShouldSatisfyAllConditions(
            r => r.Verdict.ShouldBe(Verdict.Fits), r => r.Says.ShouldContain("no micro-adjust"));
        ClaspReachRule.Judge(effect with { Adjusts = true }, null, Wanted).Verdict.ShouldBe(Verdict.Compromise);
        ClaspReachRule.Judge(effect with { Adjusts = true, Shortfall = Length.Zero }, null, Wanted).Verdict.ShouldBe(Verdict.Fits);
        ClaspReachRule.Judge(effect with { Wander = 0.5m }, null, Wanted).Verdict.ShouldBe(Verdict.Compromise);
        ClaspReachRule.Judge(effect with { Length = Wanted.Length + Mm(1.6m) }, null, Wanted).Verdict.ShouldBe(Verdict.Compromise);
        ClaspReachRule.Judge(effect with { Misfit = Mm(0.1m) }, null, Wanted).Verdict.ShouldBe(Verdict.No);
    }

    [Fact]
    public void A_folding_clasp_adds_its_own_length_to_a_strap()
    {
        var strap = new TwoPieceBand(
            new BandFacts(BandKind.TwoPiece, BandMaterial.Leather, Mm(20), BandAttachment.LooseBar, null, null), Mm(2.8m), "pin buckle",
            new TwoPieceStrap(Mm(75), Mm(118), Mm(58), Mm(6.5m), 7));
        var folding = new Part("F18", "Folding clasp") { Clasp = new StockedClasp(new ClaspFacts(ClaspKind.StrapFolding, Mm(18)), null, Mm(7)) };
        var with = ClaspOnBand.With(strap, folding.Name, folding.Clasp);
        with.Strap!.LengthIn(2).ShouldBe(strap.Strap!.LengthIn(2) + Mm(7));
        with.ClaspName.ShouldBe("Folding clasp");
        new ClaspBench(strap, new BandEndFacts(BandKind.TwoPiece, BandMaterial.Leather, Mm(18)), Wanted, null, [], HouseLimits.Usual).Judge(folding)
            .Effect!.Length.ShouldBe(with.Strap.Nearest(Wanted).Length);
    }

    /// <summary>What is said of a candidate's fit is what the planner says of the bracelet with it; whatever the clasp.</summary>
    [Fact]
    public void The_effect_is_the_planner_s_own_and_a_cure_always_closes_the_gap() =>
        Gen.Select(Gen.Int[1, 12], Gen.Int[5, 40], Gen.Int[120, 260], Gen.Int[120, 260], Gen.Int[1_300, 1_900]).Sample((positions, step, twelve, six, wanted) =>
        {
            var target = new FitTarget(Mm(wanted / 10m), Mm(2.5m), Mm(1.5m));
            var bench = new ClaspBench(BetweenSizes, End, target, null, [], HouseLimits.Usual);
            var candidate = bench.Judge(FoldOver("ANY", positions, step / 10m, twelve / 10m, six / 10m));
            var band = ClaspOnBand.With(BetweenSizes, "any", candidate.Part.Clasp!);
            var plan = Planner.Recommend(Sizing.Request(band, target)).Figures;
            candidate.Effect!.Length.ShouldBe(plan.Length);
            candidate.Effect.Misfit.ShouldBe(plan.Misfit);
            if (candidate.Cures)
            {
                candidate.Effect.IsBetweenSizes(target).ShouldBeFalse();
                candidate.Effect.Reach.GapAt(target.Length, target.Window).ShouldBeNull();
                bench.Present!.IsBetweenSizes(target).ShouldBeTrue();
            }
        });

    [Fact]
    public void Both_joints_are_looked_at_and_a_hole_is_opened_as_chosen()
    {
        var end = End with { Bore = Mm(1.6m), OtherBore = Mm(1.4m) };
        var clasp = new ClaspFacts(ClaspKind.FoldOver, Mm(18.2m), Bar: Mm(1.5m));
        ClaspBarRule.Judge(end with { OtherBore = Mm(1.6m) }, clasp, HouseLimits.Usual)!.Verdict.ShouldBe(Verdict.Fits);
        var work = ClaspBarRule.Judge(end, clasp, HouseLimits.Usual, BarFit.Free)!;
        work.Verdict.ShouldBe(Verdict.Work);
        work.Says.ShouldContain("one joint");
        work.Work[0].Reversible.ShouldBeFalse();
        work.Work[0].What.ShouldContain("1.6 mm, for a free bar");
        work.Work[0].Caution.ShouldNotBeNull();
        ClaspBarRule.Judge(end, clasp, HouseLimits.Usual, BarFit.Snug)!.Work[0].Tools.ShouldContain("gauged at 1.5 mm");
        ClaspBarRule.Judge(new BandEndFacts(BandKind.TwoPiece, BandMaterial.Leather, Mm(18)) { Pierced = false }, clasp with { Kind = ClaspKind.PinBuckle }, HouseLimits.Usual)!
            .ShouldSatisfyAllConditions(r => r.Verdict.ShouldBe(Verdict.Work), r => r.Work[0].What.ShouldContain("clean through both sides"));
    }

    [Fact]
    public void An_end_pierced_for_the_first_time_is_as_it_is_sold_and_one_pierced_wider_is_not_what_it_was()
    {
        ClaspBarRule.NotPierced(Mm(1.5m)).Work[0].Reversible.ShouldBeTrue();
        var strap = new BandEndFacts(BandKind.TwoPiece, BandMaterial.Leather, Mm(18), Bore: Mm(1.2m)) { Pierced = true };
        var wider = ClaspBarRule.Judge(strap, new ClaspFacts(ClaspKind.PinBuckle, Mm(18), Bar: Mm(1.8m)), HouseLimits.Usual).ShouldNotBeNull();
        wider.Work[0].What.ShouldStartWith("Pierce the strap’s end wider");
        wider.Work[0].Reversible.ShouldBeFalse();
    }

    [Fact]
    public void Each_kind_has_a_measuring_sheet_that_begins_at_the_band_s_end()
    {
        foreach (var kind in Enum.GetValues<ClaspKind>())
        {
            ClaspSheet.For(kind)[0].ShouldBe(GaugedFigure.ClaspEnd);
            ClaspSheet.For(kind).ShouldBeUnique();
            // Nothing about a clasp is taken from the lugs.
            ClaspSheet.For(kind).ShouldNotContain(GaugedFigure.LugWidth);
        }
        FigureKind.For(GaugedFigure.OverButtons).Jaws.ShouldContain("not pressed");
    }

    private static Link[] Row(int removable) => [.. Enumerable.Repeat(new Link(Mm(11.2m), false), 2), .. Enumerable.Repeat(new Link(Mm(11.2m), true), removable)];

    private static Part FoldOver(string article, int positions, decimal step, decimal twelve, decimal six, decimal inner = 18.2m) => new(article, "Fold-over")
    {
        Clasp = new StockedClasp(
            new ClaspFacts(ClaspKind.FoldOver, Mm(inner), Bar: Mm(1.5m)) { Finish = "brushed" },
            new BraceletClasp(Mm(twelve), Mm(six), Side.Twelve, positions, Mm(step), 0), Length.Zero),
    };

    private static Length Mm(decimal millimetres) => Length.FromMillimetres(millimetres);
}
