using IronLoop.Core.Gauging;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Tests.Gauging;

/// <summary>What is impossible and what is unusual of each figure, as it is read aloud: a wrong bound here would be taken for a wrong reading there.</summary>
public class FigureKindTests
{
    [Theory]
    [InlineData(GaugedFigure.LugWidth, 6, 40, 8, 26)]
    [InlineData(GaugedFigure.LugToLug, 24, 74, 28, 58)]
    [InlineData(GaugedFigure.BarToBar, 20, 70, 24, 54)]
    [InlineData(GaugedFigure.BarRise, -2, 15, 0, 8)]
    [InlineData(GaugedFigure.CaseHeight, 2, 30, 5, 17)]
    [InlineData(GaugedFigure.BarGap, 0, 10, 0.8, 5)]
    [InlineData(GaugedFigure.LugHole, 0.3, 4, 0.7, 1.6)]
    [InlineData(GaugedFigure.OwnBar, 0.5, 5, 1, 2.6)]
    [InlineData(GaugedFigure.SlotHeight, 0.5, 8, 1, 4)]
    [InlineData(GaugedFigure.BandWidth, 6, 40, 8, 26)]
    [InlineData(GaugedFigure.BandEnd, 0.5, 12, 1, 6)]
    [InlineData(GaugedFigure.BandThickness, 0.6, 12, 1, 6)]
    [InlineData(GaugedFigure.ClaspEnd, 4, 40, 6, 26)]
    [InlineData(GaugedFigure.LinkPitch, 2, 40, 3.5, 14)]
    [InlineData(GaugedFigure.Wrist, 60, 320, 130, 220)]
    [InlineData(GaugedFigure.WristWidth, 25, 110, 42, 80)]
    [InlineData(GaugedFigure.WristDepth, 20, 90, 30, 64)]
    [InlineData(GaugedFigure.ClaspInner, 4, 40, 6, 26)]
    [InlineData(GaugedFigure.ClaspThroat, 0.5, 12, 1, 7)]
    [InlineData(GaugedFigure.ClaspTube, 1, 30, 2, 14)]
    [InlineData(GaugedFigure.OverButtons, 4, 46, 8, 30)]
    [InlineData(GaugedFigure.ClaspBar, 0.4, 4, 0.8, 2)]
    [InlineData(GaugedFigure.ClaspBarLength, 4, 40, 6, 26)]
    [InlineData(GaugedFigure.MicroPitch, 0.05, 10, 1, 4)]
    [InlineData(GaugedFigure.Extension, 1, 60, 8, 40)]
    [InlineData(GaugedFigure.EndNotch, 1, 30, 2, 15)]
    [InlineData(GaugedFigure.EndBore, 0.3, 4, 0.7, 2.2)]
    [InlineData(GaugedFigure.OtherEndBore, 0.3, 4, 0.7, 2.2)]
    [InlineData(GaugedFigure.PinDiameter, 0.3, 4, 0.7, 2)]
    [InlineData(GaugedFigure.PinLength, 3, 40, 6, 26)]
    public void A_reading_is_refused_outside_what_can_be_and_questioned_outside_what_is_usual(GaugedFigure figure, double least, double most, double usualLeast, double usualMost)
    {
        var kind = FigureKind.For(figure);
        kind.Figure.ShouldBe(figure);
        (kind.Allowed.Lowest, kind.Allowed.Highest).ShouldBe((Mm(least), Mm(most)));
        (kind.Usual.Lowest, kind.Usual.Highest).ShouldBe((Mm(usualLeast), Mm(usualMost)));
    }

    [Fact]
    public void Every_figure_has_its_own_name_and_its_own_place_for_the_tool()
    {
        FigureKind.All.Select(k => k.Figure).ShouldBe(Enum.GetValues<GaugedFigure>(), "in the order the tool is moved");
        FigureKind.All.Select(k => k.Name).ShouldBeUnique();
        FigureKind.All.Select(k => k.Jaws).ShouldBeUnique();
    }

    private static Length Mm(double mm) => Length.FromMillimetres((decimal)mm);
}
