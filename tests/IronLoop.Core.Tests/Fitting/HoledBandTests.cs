using CsCheck;
using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Tests.Fitting;

public class HoledBandTests
{
    private static readonly Gen<HoledBand> Bands = Gen.Select(
        Gen.Int[0, 4], Gen.Int[60, 90], Gen.Int[1, 14], Gen.Int[20, 90],
        (kind, length, holes, tenths) => kind switch
        {
            0 => (HoledBand)new TwoPieceStrap(Mm(length), Mm(length + 40), Mm(length - 10), Mm(tenths / 10m), holes),
            1 => new PulledThrough(new OnePieceBand(Mm(length * 2), Mm(tenths / 10m), holes, Mm(1.2m), null), Mm(45.662m)),
            2 => OnePieceBand.Anywhere(OnePieceClosure.SideRelease, Mm(length * 2), Mm(length * 2 + tenths), Mm(1.2m), Mm(40)).On(new Head(Mm(44), Mm(3))),
            3 when holes > 1 => new TwoPieceStrap(Mm(length), Mm(length + 40), Mm(length - 10), Mm(tenths / 10m), holes).WithExtra(tenths % (holes - 1)),
            _ => new MeshBand(Mm(length * 2), Mm(length * 2 + tenths / 2m), holes % 3 == 0 ? 0 : holes),
        });

    [Fact]
    public void The_nearest_place_is_the_one_that_trying_all_finds() =>
        Gen.Select(Bands, Gen.Int[90_000, 240_000]).Sample((band, micrometres) =>
        {
            var target = new FitTarget(new Length(micrometres), Mm(2.5m), Mm(1.5m));
            var all = Enumerable.Range(0, band.Holes).Select(h => band.In(h, target)).ToList();
            var nearest = all.Min(f => (f.Length - target.Length).Abs());
            var found = band.Nearest(target);
            (found.Length - target.Length).Abs().ShouldBe(nearest);
            found.Hole.ShouldBe(all.First(f => (f.Length - target.Length).Abs() == nearest).Hole, "of two as near, the tighter");
        });

    [Fact]
    public void The_two_keepers_lie_beside_the_buckle_and_before_the_tail_s_end() =>
        TwoPieceStrap.Keepers.ShouldBe([(Mm(7), Mm(11)), (Mm(21), Mm(25))]);

    [Fact]
    public void What_is_left_each_way_is_the_most_that_any_place_in_the_window_leaves() =>
        Gen.Select(Bands, Gen.Int[90_000, 240_000], Gen.Int[0, 3_000]).Sample((band, micrometres, window) =>
        {
            var target = new FitTarget(new Length(micrometres), new Length(window), Length.Zero);
            var inside = Enumerable.Range(0, band.Holes).Select(h => band.In(h, target)).Where(f => (f.Length - target.Length).Abs() <= target.Window).ToList();
            var best = inside.Where(f => f.KeepersHold).Select(f => f.Tighter < f.Looser ? f.Tighter : f.Looser).DefaultIfEmpty(Length.Zero).Max();
            band.Reserve(target.Length, target.Window).ShouldBe(inside.Count == 0 ? null : best);
        });

    [Theory]
    [InlineData(0, "the first hole from the tight end")]
    [InlineData(11, "the twelfth hole from the tight end")]
    [InlineData(12, "the 13th hole from the tight end")]
    public void Holes_are_counted_in_words_up_to_twelve(int hole, string says) =>
        new TwoPieceStrap(Mm(75), Mm(120), Mm(50), Mm(5), 14).Said(hole).ShouldBe(says);

    [Fact]
    public void A_tail_too_short_for_both_keepers_leaves_nothing()
    {
        var strap = new TwoPieceStrap(Mm(75), Mm(80), Mm(58), Mm(6.5m), 7);
        strap.In(2, new FitTarget(Mm(146), Mm(2.5m), Mm(1.5m))).KeepersHold.ShouldBeFalse();
        strap.Reserve(Mm(146), Mm(2.5m)).ShouldBe(Length.Zero);
        strap.Reach().HoldsWithRoom(Mm(146), Mm(2.5m)).ShouldBeFalse();
    }

    [Fact]
    public void An_extra_hole_lies_half_way_between_two_and_the_others_keep_their_names()
    {
        var strap = new TwoPieceStrap(Mm(75), Mm(120), Mm(50), Mm(6), 5).WithExtra(1);
        (strap.Holes, strap.Sold).ShouldBe((6, 5));
        Enumerable.Range(0, 6).Select(h => strap.LengthIn(h)).ShouldBe([Mm(125), Mm(131), Mm(134), Mm(137), Mm(143), Mm(149)]);
        strap.Said(2).ShouldBe("the extra hole between the second and the third from the tight end");
        strap.Said(3).ShouldBe("the third hole from the tight end");
        strap.HoleAt(2).ShouldBe(Mm(59));
        Should.Throw<ArgumentOutOfRangeException>(() => strap.WithExtra(0)).Message.ShouldContain("one at most");
        Should.Throw<ArgumentOutOfRangeException>(() => new TwoPieceStrap(Mm(75), Mm(120), Mm(50), Mm(6), 5).WithExtra(4));
    }

    [Fact]
    public void What_closes_anywhere_is_said_in_millimetres_and_what_has_holes_in_holes()
    {
        var loop = OnePieceBand.Anywhere(OnePieceClosure.HookAndLoop, Mm(160), Mm(230), Mm(1.2m), Mm(40)).On(new Head(Mm(44), Mm(3)));
        (loop.LengthIn(0), loop.LengthIn(loop.Holes - 1)).ShouldBe((Mm(120), Mm(190)));
        loop.Closed(255).ShouldBe("at 25.5 mm looser than its tightest");
        loop.Leaves(255).ShouldBe("25.5 mm tighter and 44.5 mm looser");
        new TwoPieceStrap(Mm(75), Mm(120), Mm(50), Mm(6), 7).Leaves(1).ShouldBe("one hole tighter and 5 holes looser");
        new MeshBand(Mm(120), Mm(180), 20).Leaves(0).ShouldBe("no notch tighter and 19 notches looser");
    }

    [Fact]
    public void The_tail_of_a_one_piece_band_is_judged_once_it_is_measured()
    {
        var band = new OnePieceBand(Mm(168), Mm(7), 12, Mm(1.2m), Mm(40));
        var head = new Head(Mm(44), Mm(3));
        band.On(head).PastBuckle(11).ShouldBe(TwoPieceStrap.KeeperLength, "nobody measured it");
        var measured = (band with { Whole = Mm(250) }).On(head);
        measured.PastBuckle(3).ShouldBe(Mm(61));
        measured.In(9, new FitTarget(Mm(191), Mm(2.5m), Mm(1.5m))).KeepersHold.ShouldBeFalse("19 mm pass the buckle");
    }

    [Fact]
    public void A_measured_under_run_counts_before_the_reckoned_one()
    {
        var band = new OnePieceBand(Mm(168), Mm(7), 12, Mm(1.2m), Mm(40));
        band.On(new Head(Mm(44), Mm(3))).LengthIn(0).ShouldBe(Mm(128));
        OnePieceBand.Ways.Select(OnePieceBand.Feels).Distinct().Count().ShouldBe(4, "each way feels different");
    }

    private static Length Mm(decimal millimetres) => Length.FromMillimetres(millimetres);
}
