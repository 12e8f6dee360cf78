using CsCheck;
using IronLoop.Core.Bands;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Shelf;

namespace IronLoop.Core.Tests.Shelf;

public class BandShelfTests
{
    private static readonly Figures Known = (Figures.None with
    {
        Attachment = Attachment.SpringBarDrilled,
        CaseShape = CaseShape.Round,
        Wear = WearPreference.Regular,
    })
        .With(GaugedFigure.LugWidth, Mm(20)).With(GaugedFigure.BarToBar, Mm(44)).With(GaugedFigure.BarRise, Mm(3)).With(GaugedFigure.Wrist, Mm(170))
        .With(GaugedFigure.BarGap, Mm(2.2m)).With(GaugedFigure.LugHole, Mm(1.1m)).With(GaugedFigure.CaseHeight, Mm(11));

    private static readonly House House = new(
        [new SpringBar("A", Mm(20), Mm(1.5m), Mm(0.8m), false, BarStyle.Plain, 5), new SpringBar("B", Mm(22), Mm(1.8m), Mm(0.8m), false, BarStyle.Plain, 5)],
        HouseLimits.Usual);

    private static readonly Gen<Band> Bands = Gen.Select(
        Gen.Int[0, 3], Gen.Int[36, 44], Gen.Int[16, 44], Gen.Int[50, 90], Gen.Int[1, 12], Gen.Int[0, 4], Gen.Bool,
        (kind, halfWidths, thickness, lengths, holes, looks, solid) => Make(kind, halfWidths * 500, thickness * 100, lengths, holes, looks, solid));

    [Fact]
    public void The_shelf_says_what_the_rules_say_one_by_one() =>
        Gen.Select(Bands.Array[1, 40], Gen.Int[130, 210]).Sample((bands, wrist) =>
        {
            var figures = wrist % 3 == 0 ? Known.With(GaugedFigure.Wrist, Mm(wrist)).With(GaugedFigure.BarGap, null).With(GaugedFigure.LugHole, null) : Known.With(GaugedFigure.Wrist, Mm(wrist));
            var shelf = BandShelf.Of(bands.Select((b, i) => OnShelf(i, b)));
            var found = shelf.Find(figures, House, new ShelfFilter(), 0, 100).Best;
            found.Count.ShouldBe(bands.Length);
            foreach (var one in found)
            {
                var judged = MatchBand.Judge(figures, bands[one.Id], house: House);
                (one.Verdict, one.Certainty).ShouldBe((judged.Verdict, judged.Certainty), bands[one.Id].ToString());
            }
        }, iter: Often.Asked(200));

    [Fact]
    public void The_first_few_are_the_first_of_all_though_most_are_not_asked_about_the_wearer() =>
        Gen.Select(Bands.Array[1, 60], Gen.Int[0, 6], Gen.Int[-1, 4], Gen.Int[140, 200]).Sample((bands, most, verdict, wrist) =>
        {
            var figures = Known.With(GaugedFigure.Wrist, Mm(wrist));
            var shelf = BandShelf.Of(bands.Select((b, i) => OnShelf(i, b) with { PriceCents = i * 7 % 5 }));
            var filter = new ShelfFilter(Verdict: verdict < 0 ? null : (Verdict)verdict);
            var (few, all) = (shelf.Find(figures, House, filter, 0, most), shelf.Find(figures, House, filter, 0, 100));
            few.Best.ShouldBe(all.Best.Take(most));
            few.NearestMisses.ShouldBe(shelf.Find(figures, House, new ShelfFilter(), 0, 100).NearestMisses);
            few.Counts.ShouldBe(all.Counts);
        }, iter: Often.Asked(300));

    [Fact]
    public void The_nearest_straps_are_those_that_judging_one_by_one_finds() =>
        Gen.Select(Bands.Array[1, 60], Gen.Int[1, 6], Gen.Int[130, 210]).Sample((bands, most, wrist) =>
        {
            var figures = Known.With(GaugedFigure.Wrist, Mm(wrist));
            var spokenFor = new Dictionary<long, int> { [0] = 1, [3] = 1 };
            var expected = bands.Select((band, i) => (Id: (long)i, Band: band))
                .Where(b => b.Band.Strap is not null && !spokenFor.ContainsKey(b.Id))
                .Select(b => (b.Id, MatchBand.Judge(figures, b.Band, house: House).Verdict, Length: StrapLength.Of(b.Band.Strap!, figures.Target(b.Band.PivotHeight)!.Value)))
                .Where(b => b.Verdict <= Verdict.Compromise)
                .OrderBy(b => b.Length.Miss).ThenBy(b => b.Verdict).ThenBy(b => b.Id).Take(most);
            BandShelf.Of(bands.Select((b, i) => OnShelf(i, b) with { InStock = 1 })).Straps(figures, House, most, spokenFor).ShouldBe(expected.Select(e => new StrapFound(e.Id, e.Verdict, e.Length)));
        }, iter: Often.Asked(200));

    [Fact]
    public void A_shelf_with_a_few_bands_changed_answers_like_one_made_anew() =>
        Gen.Select(Bands.Array[1, 30], Bands.Array[1, 8], Gen.Int[0, 29].Array[0, 4]).Sample((bands, others, away) =>
        {
            // Some take the place of bands there are, the rest are new; some bands are gone.
            var gone = away.Where(a => a < bands.Length && a % 7 != 3).Select(a => (long)a).ToHashSet();
            var changed = others.Select((b, i) => OnShelf(7L * i + 3, b)).Where(b => !gone.Contains(b.Id)).ToList();
            var kept = bands.Select((b, i) => OnShelf(i, b)).Where(b => !gone.Contains(b.Id)).ToList();
            var whole = kept.Select(b => changed.Find(c => c.Id == b.Id) is { Band: not null } now ? now : b)
                .Concat(changed.Where(c => kept.TrueForAll(k => k.Id != c.Id)));

            var caughtUp = BandShelf.Of(bands.Select((b, i) => OnShelf(i, b))).With(changed, gone);

            var (expected, answer) = (BandShelf.Of(whole).Find(Known, House, new ShelfFilter(), 0, 100), caughtUp.Find(Known, House, new ShelfFilter(), 0, 100));
            answer.Best.ShouldBe(expected.Best);
            answer.NearestMisses.ShouldBe(expected.NearestMisses);
            caughtUp.Count.ShouldBe(expected.Best.Count);
        }, iter: Often.Asked(300));

    [Fact]
    public void A_reach_is_packed_for_the_file_and_comes_back_the_same() =>
        Bands.Where(b => b is LinkBracelet).Select(b => (LinkBracelet)b).Sample(band =>
        {
            var reach = ShelfReach.Of(band);
            var back = ShelfReach.Unpack(reach.Pack());
            back.Whole().Lengths.ShouldBe(Reach.Of(Sizing.Request(band, new FitTarget(Length.Zero, Length.Zero, Length.Zero))).Lengths);
            back.Pack().ShouldBe(reach.Pack());
            // Its name says all that it depends on, and no more: where the clasp stands now, its width and its look are not in it.
            ShelfReach.MadeOf(band with { Closes = band.Closes with { Position = band.Closes.Positions - 1 }, Facts = band.Facts with { Finish = "polished" } })
                .ShouldBe(ShelfReach.MadeOf(band));
            ShelfReach.MadeOf(band with { Closes = band.Closes with { Six = band.Closes.Six + new Length(1) } }).ShouldNotBe(ShelfReach.MadeOf(band));
        }, iter: Often.Asked(100));

    [Fact]
    public void A_packed_reach_that_is_cut_off_is_refused() =>
        Should.Throw<FormatException>(() => ShelfReach.Unpack([1, 2, 3])).Message.ShouldContain("these are 3");

    [Fact]
    public void Pages_follow_on_one_another_and_count_what_the_filter_lets_through()
    {
        var bands = Enumerable.Range(0, 60).Select(i => new Shelved(i, Make(1, 20_000, 2_400 + i % 5 * 100, 70, 7, i % 3, true), i, 1)).ToList();
        var shelf = BandShelf.Of(bands);
        var all = shelf.Find(Known, House, new ShelfFilter(), 0, 60);
        var pages = Enumerable.Range(0, 6).SelectMany(p => shelf.Find(Known, House, new ShelfFilter(), p * 10, 10).Best);
        pages.ShouldBe(all.Best);
        var brown = shelf.Find(Known, House, new ShelfFilter(Colour: "Brown", MostCents: 31), 0, 60);
        brown.Best.ShouldAllBe(f => f.Id <= 31 && f.Id % 3 == 1);
        brown.Best.Max(f => f.Id).ShouldBe(31, "for the price itself");
        brown.Counts.Values.Sum().ShouldBe(brown.Best.Count);
    }

    [Fact]
    public void The_list_is_narrowed_to_what_is_asked_for()
    {
        var bands = Enumerable.Range(0, 4).Select(kind => new Shelved(kind, Make(kind, 20_000, 2_400, 70, 7, kind % 3, true), 100 * kind, kind % 2)).ToList();
        var shelf = BandShelf.Of(bands);
        IEnumerable<long> Found(ShelfFilter filter) => shelf.Find(Known, House, filter, 0, 9).Best.Select(f => f.Id).Order();
        foreach (var kind in bands.Select(b => b.Band.Facts.Kind).Distinct())
            Found(new ShelfFilter(Kind: kind)).ShouldBe(bands.Where(b => b.Band.Facts.Kind == kind).Select(b => b.Id));
        foreach (var material in bands.Select(b => b.Band.Facts.Material).Distinct())
            Found(new ShelfFilter(Material: material)).ShouldBe(bands.Where(b => b.Band.Facts.Material == material).Select(b => b.Id));
        Found(new ShelfFilter(InStock: true)).ShouldBe([1L, 3]);
        Found(new ShelfFilter(MostCents: 100)).ShouldBe([0L, 1]);
    }

    [Fact]
    public void A_band_that_one_rule_alone_keeps_off_is_a_near_miss_and_the_nearest_comes_first()
    {
        Shelved Strap(long id, decimal width, int buckle) => new(id, Make(1, (long)(width * 1000), 2_400, buckle, 7, 0, true), 0, 1);
        var answer = BandShelf.Of([Strap(1, 20, 66), Strap(2, 24, 66), Strap(3, 20, 40), Strap(4, 20, 44), Strap(5, 24, 40)]).Find(Known, House, new ShelfFilter(), 0, 9);
        answer.Best[0].Id.ShouldBe(1);
        answer.NearestMisses.Select(m => m.Id).ShouldBe([2L, 4, 3], "too wide alone; then too short by little and by more; not both at once");
    }

    [Fact]
    public void Of_equal_standing_the_one_that_leaves_most_comes_first_then_looks_then_stock_then_price()
    {
        // Straps of 3, 4 and 7 holes round the same middle; then brown for a wish of black, none left, and dearer.
        Shelved Strap(long id, int holes = 7, int looks = 0, int inStock = 1, long price = 100) =>
            new(id, Make(1, 20_000, 2_400, 88 - holes * 3, holes, looks, true), price, inStock, Name: $"{id}");
        var shelf = BandShelf.Of([Strap(6, price: 200), Strap(5, inStock: 0), Strap(2, looks: 1), Strap(7, holes: 3), Strap(1), Strap(4, holes: 4)]);
        var wish = Known with { Wishes = new Wishes(Colour: "black") };
        var order = shelf.Find(wish, House, new ShelfFilter(), 0, 9).Best;
        order.Select(f => f.Id).ShouldBe([1L, 6, 5, 2, 4, 7]);
    }

    [Fact]
    public void Bands_that_are_alike_in_all_are_one_line_and_one_that_is_free_stands_for_them()
    {
        Shelved Strap(long id, string name, long price = 100) => new(id, Make(1, 20_000, 2_400, 66, 7, 0, true), price, 1, Name: name);
        var answer = BandShelf.Of([Strap(1, "Dune"), Strap(2, "Dune"), Strap(3, "Dune", price: 120), Strap(4, "Mill"), Strap(5, "Dune")])
            .Find(Known, House, new ShelfFilter(), 0, 9, new Dictionary<long, int> { [1] = 1 });
        answer.Best.Select(f => (f.Id, f.Alike)).ShouldBe([(2L, 2), (4, 0), (3, 0)]);
        answer.Counts.Values.Sum().ShouldBe(3);
        answer.Sure[Certainty.Certain].ShouldBe(3);
    }

    [Fact]
    public void With_the_lug_width_alone_a_band_of_that_width_is_likely_and_stands_first()
    {
        var alone = Figures.None.With(GaugedFigure.LugWidth, Mm(20));
        var shelf = BandShelf.Of(new[] { 18_000, 19_000, 20_000, 21_000, 22_000 }.Select((width, i) => new Shelved(i, Make(1, width, 2_400, 66, 7, 0, true), 0, 1)));
        var answer = shelf.Find(alone, House, new ShelfFilter(), 0, 9);
        answer.Best.Select(f => f.Id).ShouldBe([2L, 1, 0, 3, 4]);
        (answer.Best[0].Verdict, answer.Best[0].Certainty).ShouldBe((Verdict.Fits, Certainty.Likely));
        answer.Counts[Verdict.Unknown].ShouldBe(0);
    }

    [Fact]
    public void A_length_made_only_with_the_clasp_off_its_place_is_a_compromise_as_the_planner_has_it()
    {
        // All its loose links are on one side: short of them the clasp goes off its place.
        var band = new LinkBracelet(
            new BandFacts(BandKind.LinkBracelet, BandMaterial.Metal, Mm(20), BandAttachment.LooseBar, true, null) { EndThickness = Mm(2), TubeBore = Mm(1.7m) }, Mm(3.5m), "clasp",
            new Bracelet([.. Enumerable.Repeat(new Link(Mm(9), false), 5)], [.. Enumerable.Repeat(new Link(Mm(9), false), 2), .. Enumerable.Repeat(new Link(Mm(9), true) { OneSided = true }, 3)]),
            new BraceletClasp(Mm(20), Mm(20), Side.Twelve, 1, Length.Zero, 0));
        var figures = Known.With(GaugedFigure.Wrist, Mm(133));
        var target = figures.Target(band.PivotHeight)!.Value;
        var planned = Planner.Recommend(Sizing.Request(band, target)).Figures;
        var judged = MatchBand.Judge(figures, band, house: House).Rules.Single(r => r.Rule == WearerRule.Name);
        planned.Misfit.ShouldBe(Length.Zero);
        planned.WanderMillimetres.ShouldBeGreaterThan(0);
        judged.Verdict.ShouldBe(Verdict.Compromise);
        judged.Says.ShouldEndWith("only with its clasp off its place.");
        BandShelf.Of([OnShelf(1, band)]).Find(figures, House, new ShelfFilter(), 0, 1).Best[0].Verdict.ShouldBe(Verdict.Compromise);
    }

    [Fact]
    public void What_other_jobs_have_chosen_is_not_in_stock()
    {
        var shelf = BandShelf.Of([new Shelved(1, Make(1, 20_000, 2_400, 66, 7, 0, true), 0, 1), new Shelved(2, Make(1, 20_000, 2_400, 66, 7, 0, true), 0, 1)]);
        shelf.Find(Known, House, new ShelfFilter(InStock: true), 0, 9, new Dictionary<long, int> { [1] = 1 }).Best.ShouldHaveSingleItem().Id.ShouldBe(2);
    }

    [Theory]
    [InlineData(PullThroughWay.Double, 2.4, 2)]
    [InlineData(PullThroughWay.ReversedSingle, 1.2, 1)]
    public void A_pull_through_band_raises_the_head_by_its_layers(PullThroughWay way, double raise, int layers)
    {
        var band = new OnePieceBand(Mm(168), Mm(7), 12, Mm(1.2m), null);
        OnePieceBand.Layers(way).ShouldBe(layers);
        band.Raise(way).ShouldBe(Length.Nearest(raise));
        // U = (44 − 10) + 2·√(25 + 9) = 45.662; the head's own rise counts, not the raised one.
        band.UnderRunOf(new Head(Mm(44), Mm(3))).ShouldBe(Mm(45.662m));
        band.On(new Head(Mm(44), Mm(3))).LengthIn(2).ShouldBe(Mm(168 + 14 - 45.662m));
        // Needed length grows by about 1.8 mm for each millimetre of rise.
        var grown = (Known with { Raise = band.Raise(way) }).Need(Mm(0.6m))!.Value.Needed - Known.Need(Mm(0.6m))!.Value.Needed;
        (grown / raise).ShouldBe(1.8, 0.15);
    }

    [Fact]
    public void Mesh_locks_at_notches_counted_from_the_tight_end_or_anywhere()
    {
        var notched = new MeshBand(Mm(120), Mm(180), 31);
        notched.Nearest(new FitTarget(Mm(149.2m), Mm(2.5m), Mm(1.5m))).ShouldSatisfyAllConditions(
            f => f.Hole.ShouldBe(15), f => f.Length.ShouldBe(Mm(150)), f => f.Tighter.ShouldBe(Mm(30)), f => f.Looser.ShouldBe(Mm(30)));
        var anywhere = new MeshBand(Mm(120), Mm(180), 0);
        anywhere.Nearest(new FitTarget(Mm(149.23m), Mm(2.5m), Mm(1.5m))).Length.ShouldBe(Mm(149.2m));
        anywhere.LengthIn(anywhere.Holes - 1).ShouldBe(Mm(180));
        anywhere.Nearest(new FitTarget(Mm(400), Mm(2.5m), Mm(1.5m))).HolesLooser.ShouldBe(0);
    }

    private static Shelved OnShelf(long id, Band band) => new(id, band, 100 * id, (int)(id % 3), band.Links is null ? null : ShelfReach.Of(band));

    private static Band Make(int kind, long width, long thickness, int lengths, int holes, int looks, bool solid)
    {
        var colour = looks switch { 0 => "black", 1 => "brown", _ => (string?)null };
        BandFacts Facts(BandKind of, BandMaterial material, BandAttachment attaches) => new(of, material, new Length(width), attaches, solid, null)
        {
            EndThickness = looks == 2 ? null : new Length(thickness + 400),
            TubeBore = looks == 3 ? null : Mm(1.7m),
            End = looks == 4 ? BandEnd.Curved : BandEnd.Straight,
            Colour = colour,
        };
        var thick = new Length(thickness);
        return kind switch
        {
            0 => new LinkBracelet(
                Facts(BandKind.LinkBracelet, BandMaterial.Metal, BandAttachment.LooseBar), thick, "clasp",
                new Bracelet([new Link(Mm(9), false), .. Enumerable.Repeat(new Link(Mm(8.2m), true), holes / 2)], [.. Enumerable.Repeat(new Link(Mm(8.2m), true), holes)]),
                new BraceletClasp(Mm(18), Mm(19), Side.Twelve, 1 + looks, Mm(2.5m), 0))
            {
                Loose = [new SpareLinks(Mm(5), looks)],
            },
            1 => new TwoPieceBand(
                Facts(BandKind.TwoPiece, BandMaterial.Leather, BandAttachment.LooseBar), thick, "clasp",
                new TwoPieceStrap(Mm(lengths), Mm(lengths + 52), Mm(lengths - 8), Mm(6.5m), holes)),
            2 => new PulledThroughBand(
                Facts(BandKind.OnePiece, BandMaterial.Textile, BandAttachment.PullThrough), thick, "clasp", new OnePieceBand(Mm(lengths * 2 + 20), Mm(7), holes, thick, null)),
            _ => new MeshBracelet(
                Facts(BandKind.Mesh, BandMaterial.Metal, BandAttachment.LooseBar), thick, "clasp", new MeshBand(Mm(lengths * 2), Mm(lengths * 2 + 40), solid ? 0 : holes)),
        };
    }

    private static Length Mm(decimal millimetres) => Length.FromMillimetres(millimetres);
}
