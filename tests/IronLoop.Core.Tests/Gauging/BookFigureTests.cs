using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Measuring;
using IronLoop.Core.Models;

namespace IronLoop.Core.Tests.Gauging;

public class BookFigureTests
{
    private static Length Mm(decimal mm) => Length.FromMillimetres(mm);

    private static BookFigure Of(params decimal[] mm) =>
        BookFigure.Of(mm.Length, mm.Sum(v => Mm(v).Micrometres), mm.Sum(v => (decimal)Mm(v).Micrometres * Mm(v).Micrometres), HowHad.Read);

    [Fact]
    public void Mean_and_spread_are_those_of_the_pieces()
    {
        var known = Of(20.0m, 20.1m, 19.9m, 20.2m);
        known.Mean.ShouldBe(Mm(20.05m));
        // By hand: deviations .05, .05, .15, .15; squares sum to 0.05; over three, the root of 0.01667.
        known.SpreadMm.ShouldBe(0.1291m, 0.0001m);
        Of(20.0m).SpreadMm.ShouldBe(0);
    }

    [Theory]
    [InlineData(1, 0, 0.9, false)]
    [InlineData(1, 0, 0.91, true)]
    [InlineData(7, 0.01, 0.15, false)]
    [InlineData(7, 0.01, 0.16, true)]
    [InlineData(7, 0.2, 0.6, false)]
    public void A_reading_disagrees_beyond_three_spreads_and_no_spread_is_under_a_twentieth(int pieces, double spread, double off, bool disagrees)
    {
        var known = new BookFigure(Mm(20), (decimal)spread, pieces);
        known.Disagrees(Mm(20 + (decimal)off)).ShouldBe(disagrees);
        known.Disagrees(Mm(20 - (decimal)off)).ShouldBe(disagrees);
    }

    [Fact]
    public void A_piece_is_odd_against_the_others_from_three_on()
    {
        static IReadOnlyList<OddPiece> Among(params decimal[] mm) =>
            [.. mm.Select((v, i) => new OddPiece(i + 1, Mm(v))).Where(p => p.IsOdd(mm.Length, mm.Sum(v => Mm(v).Micrometres), mm.Sum(v => (decimal)Mm(v).Micrometres * Mm(v).Micrometres)))];
        Among(20, 21).ShouldBeEmpty();
        Among(20, 20, 20.1m).ShouldBeEmpty();
        Among(20, 20.02m, 19.98m, 21).Select(o => o.WatchId).ShouldBe([4]);
    }

    [Fact]
    public void What_the_book_has_stands_in_until_it_is_read_and_its_spread_takes_the_place_of_the_assumed_one()
    {
        var bare = Figures.None.With(GaugedFigure.LugToLug, Mm(48)).With(GaugedFigure.Wrist, Mm(172));
        var known = bare with { Book = new Dictionary<GaugedFigure, BookFigure> { [GaugedFigure.BarRise] = new(Mm(3), 0.1m, 8), [GaugedFigure.BarToBar] = new(Mm(44), 0.1m, 8) } };
        known[GaugedFigure.BarRise].ShouldBe(Mm(3));
        known.IsUnconfirmed(GaugedFigure.BarRise).ShouldBeTrue();
        // The same head, known better: 0.106 mm in place of 1 and 2.
        known.Need(Mm(1.75m))!.Value.Needed.ShouldBe(bare.Need(Mm(1.75m))!.Value.Needed, 1e-9);
        known.Need(Mm(1.75m))!.Value.Sigma.ShouldBeLessThan(bare.Need(Mm(1.75m))!.Value.Sigma);
        known.Need(Mm(1.75m))!.Value.Spread!.By.Single(b => b.Figure == Readable.BarRise).AsAssumed!.Value.ShouldBe(0.1 * Math.Sqrt(1 + 1.0 / 8), 1e-9);

        var read = known.With(GaugedFigure.BarRise, Mm(3.2m));
        read[GaugedFigure.BarRise].ShouldBe(Mm(3.2m));
        read.FromTheBook(GaugedFigure.BarRise).ShouldBeNull();
        GaugeSheet.Question(read, GaugedFigure.BarRise).ShouldBeNull();
        GaugeSheet.Question(known.With(GaugedFigure.BarRise, Mm(4)), GaugedFigure.BarRise).ShouldNotBeNull().ShouldContain("The model book has 3 mm here, from the model book, 8 watches");
    }

    [Theory]
    [InlineData("pell sound", "Pellmarsh sounder", true)]
    [InlineData("sounder pell", "Pellmarsh sounder", true)]
    [InlineData("pelmarsh", "Pellmarsh sounder", true)]
    [InlineData("sonder", "Pellmarsh sounder", true)]
    [InlineData("pellmrash", "Pellmarsh sounder", true)]
    [InlineData("regatta", "Pellmarsh sounder", false)]
    [InlineData("pell regatta", "Pellmarsh sounder", false)]
    [InlineData("so", "Pellmarsh sounder", true)]
    [InlineData("", "Pellmarsh sounder", false)]
    public void Words_in_any_order_and_small_slips_find_a_model(string typed, string name, bool found) =>
        (ModelName.Nearness(typed, name) > 0).ShouldBe(found);
}
