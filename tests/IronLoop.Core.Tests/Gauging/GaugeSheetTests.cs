using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Tests.Gauging;

public class GaugeSheetTests
{
    [Theory]
    [InlineData(GaugedFigure.LugWidth, 32, "32 mm is unusual for a lug width; usual is 8 to 26 mm.")]
    [InlineData(GaugedFigure.Wrist, 90, "90 mm is unusual for a wrist")]
    [InlineData(GaugedFigure.BarToBar, 52, "further apart than the lug tips, 48 mm")]
    public void What_is_implausible_is_questioned(GaugedFigure figure, decimal mm, string question)
    {
        var figures = Figures.None.With(GaugedFigure.LugToLug, Mm(48)).With(figure, Mm(mm));
        GaugeSheet.Question(figures, figure).ShouldNotBeNull().ShouldContain(question);
        GaugeSheet.Questioned(figures).ShouldBe([figure]);
        GaugeSheet.Question(figures with { Stands = new HashSet<GaugedFigure> { figure } }, figure).ShouldBeNull();
    }

    [Theory]
    [InlineData(19.8, 20.1, false)]
    [InlineData(19.7, 20.1, true)]
    public void Readings_too_far_apart_are_questioned(double one, double other, bool questioned)
    {
        var readings = new Readings([Length.Nearest(one), Length.Nearest(other)]);
        var figures = Figures.None with { Read = new Dictionary<GaugedFigure, Readings> { [GaugedFigure.LugWidth] = readings } };
        (GaugeSheet.Question(figures, GaugedFigure.LugWidth) is not null).ShouldBe(questioned);
        // A wrist's depth, by the same caliper, is questioned by the same spread.
        var depth = new Readings([readings.Each[0] + Length.FromMillimetres(25), readings.Each[1] + Length.FromMillimetres(25)]);
        var wrist = Figures.None with { Read = new Dictionary<GaugedFigure, Readings> { [GaugedFigure.WristDepth] = depth } };
        (GaugeSheet.Question(wrist, GaugedFigure.WristDepth) is not null).ShouldBe(questioned);
    }

    [Fact]
    public void A_figure_is_the_mean_of_its_readings_to_the_micrometre()
    {
        var readings = new Readings([Mm(19.8m), Mm(20.1m), Mm(20.0m)]);
        readings.Mean.ShouldBe(new Length(19_967));
        readings.Spread.ShouldBe(Mm(0.3m));
    }

    [Fact]
    public void A_wrist_that_is_deeper_than_wide_is_questioned_and_the_usual_shape_assumed()
    {
        var odd = Figures.None.With(GaugedFigure.WristWidth, Mm(50)).With(GaugedFigure.WristDepth, Mm(60));
        GaugeSheet.Question(odd, GaugedFigure.WristDepth).ShouldNotBeNull().ShouldContain("0.83");
        odd.Aspect.ShouldBe(1.35m);
        odd.With(GaugedFigure.WristDepth, Mm(40)).Aspect.ShouldBe(1.25m);
    }

    [Theory]
    [InlineData(1, Season.Winter)]
    [InlineData(3, Season.Spring)]
    [InlineData(8, Season.Summer)]
    [InlineData(11, Season.Autumn)]
    [InlineData(12, Season.Winter)]
    public void A_month_has_its_season(int month, Season season) => Seasons.Of(new DateOnly(2026, month, 15)).ShouldBe(season);

    private static Length Mm(decimal millimetres) => Length.FromMillimetres(millimetres);
}
