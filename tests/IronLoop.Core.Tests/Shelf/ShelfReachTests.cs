using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;
using IronLoop.Core.Shelf;
using IronLoop.Core.Tests.Bench;

namespace IronLoop.Core.Tests.Shelf;

/// <summary>Bracelets that can be made into the same lengths share what was worked out; others never do.</summary>
public class ShelfReachTests
{
    private static readonly LinkBracelet Band = BenchJobs.Bracelet(spares: 2);

    public static TheoryData<string> Changes => [.. Others.Keys];

    private static Dictionary<string, LinkBracelet> Others => new()
    {
        ["a link of the 12 side is half a link"] = Twelve(new Link(Mm(8), true) { OneSided = true }),
        ["a link of the 12 side stays"] = Twelve(new Link(Mm(8), false)),
        ["a link of the 12 side is longer"] = Twelve(new Link(Mm(8.1m), true)),
        ["the sides change places"] = Band with { Rows = new Bracelet(BenchJobs.Row(5), BenchJobs.Row(7)) },
        ["one spare more"] = BenchJobs.Bracelet(spares: 3),
        ["spares of another pitch"] = Band with { Loose = [new SpareLinks(Mm(7), 2)] },
        ["a longer 12 half of the clasp"] = Clasp(c => c with { Twelve = Mm(19) }),
        ["a longer 6 half of the clasp"] = Clasp(c => c with { Six = Mm(19) }),
        ["micro-adjust on the other side"] = Clasp(c => c with { MicroSide = Side.Six }),
        ["more positions"] = Clasp(c => c with { Positions = 5 }),
        ["another step"] = Clasp(c => c with { Step = Mm(2.6m) }),
    };

    [Theory]
    [MemberData(nameof(Changes))]
    public void What_changes_the_lengths_is_told_apart(string change) => ShelfReach.MadeOf(Others[change]).ShouldNotBe(ShelfReach.MadeOf(Band));

    [Fact]
    public void What_does_not_is_shared()
    {
        ShelfReach.MadeOf(Clasp(c => c with { Position = 3 })).ShouldBe(ShelfReach.MadeOf(Band), "where the clasp stands now");
        ShelfReach.MadeOf(Band with { Facts = Band.Facts with { Width = Mm(22) } }).ShouldBe(ShelfReach.MadeOf(Band), "its width");
        ShelfReach.MadeOf(Band with { Loose = [new SpareLinks(Mm(8), 1), new SpareLinks(Mm(7), 2)] })
            .ShouldBe(ShelfReach.MadeOf(Band with { Loose = [new SpareLinks(Mm(7), 2), new SpareLinks(Mm(8), 1)] }), "the order in which spares were counted");
        Should.Throw<InvalidOperationException>(() => ShelfReach.MadeOf(BenchJobs.Strap()));
    }

    [Fact]
    public void A_length_on_the_edge_of_the_window_is_inside_it()
    {
        var one = ShelfReach.Unpack(new ShelfReachOf(100_000, 300).Packed);
        one.Reserve(Mm(97.5m), Mm(2.5m)).ShouldBe(Mm(0.3m));
        one.Reserve(Mm(102.5m), Mm(2.5m)).ShouldBe(Mm(0.3m));
        one.Reserve(Mm(97.499m), Mm(2.5m)).ShouldBeNull();
        one.Reserve(Mm(102.501m), Mm(2.5m)).ShouldBeNull();
        one.Missing(Mm(97.5m), Mm(2.5m)).ShouldBe(Length.Zero);
        one.Missing(Mm(103), Mm(2.5m)).ShouldBe(Mm(0.5m));
        one.Missing(Mm(96), Mm(2.5m)).ShouldBe(Mm(1.5m));
        var two = ShelfReach.Unpack([.. new ShelfReachOf(100_000, 300).Packed, .. new ShelfReachOf(110_000, 0).Packed]);
        two.Missing(Mm(104), Mm(1)).ShouldBe(Mm(3), "the nearer of the two");
        two.Missing(Mm(107), Mm(1)).ShouldBe(Mm(2));
        two.Missing(Mm(110), Length.Zero).ShouldBe(Length.Zero);
    }

    private readonly record struct ShelfReachOf(int Length, int Left)
    {
        public byte[] Packed => [.. BitConverter.GetBytes(Length), .. BitConverter.GetBytes(Left)];
    }

    private static LinkBracelet Twelve(Link last) => Band with { Rows = new Bracelet([.. BenchJobs.Row(5), last], BenchJobs.Row(6)) };

    private static LinkBracelet Clasp(Func<BraceletClasp, BraceletClasp> change) => Band with { Closes = change(BenchJobs.Clasp) };

    private static Length Mm(decimal mm) => Length.FromMillimetres(mm);
}
