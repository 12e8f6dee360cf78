using IronLoop.Core.Bands;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Tests.Gauging;

public class OwnBraceletTests
{
    private static readonly Figures Gauged = Figures.None
        .With(GaugedFigure.LinkPitch, Mm(8.2m)).With(GaugedFigure.BandWidth, Mm(20)).With(GaugedFigure.BandThickness, Mm(3.4m));

    private static readonly OwnBracelet Whole = new(
        "7 full, 1 half, first 2 fixed", "7 full, first 2 fixed", HalfPitch: Mm(5), ClaspTwelve: Mm(18), ClaspSix: Mm(19), Positions: 4, Step: Mm(2.5m), Position: 2);

    [Fact]
    public void A_whole_sheet_is_a_band_that_can_be_planned_with()
    {
        Whole.Missing(Gauged).ShouldBeEmpty();
        var band = Whole.Band(Gauged).ShouldNotBeNull();
        band.Links!.Twelve.Count(l => !l.Removable).ShouldBe(2);
        band.Links.Twelve[^1].ShouldBe(new Link(Mm(5), true));
        band.PivotHeight.ShouldBe(Mm(1.7m));
        band.Clasp!.Position.ShouldBe(1);
        // 7 × 8.2 + 5, 7 × 8.2, 18 + 19, one step of 2.5.
        Whole.LengthNow(Gauged).ShouldBe(Mm(159.3m));
    }

    [Fact]
    public void What_is_missing_is_said_one_by_one()
    {
        new OwnBracelet().Missing(Figures.None).ShouldBe(["the links", "the clasp’s two lengths", "band width"]);
        Whole.Missing(Gauged.With(GaugedFigure.LinkPitch, null)).ShouldBe(["a link pitch"]);
        (Whole with { Step = null }).Missing(Gauged).ShouldBe(["the micro-adjust’s step"]);
        (Whole with { Step = null }).Band(Gauged).ShouldBeNull();
        Whole.Band(Gauged.With(GaugedFigure.LinkPitch, null)).ShouldBeNull("rows that cannot be read are not rows without links");
        (Whole with { Step = null, Positions = 1, Position = 1 }).Missing(Gauged).ShouldBeEmpty("one that cannot be set has no step");
        (Whole with { Step = null, Positions = 1, Position = 1 }).Clasp.ShouldBe(new BraceletClasp(Mm(18), Mm(19), Side.Twelve, 1, Length.Zero, 0));
    }

    [Theory]
    [InlineData(4)]
    [InlineData(1)]
    public void A_bracelet_that_is_known_already_fills_its_sheet(int positions)
    {
        var band = Tests.Bench.BenchJobs.Bracelet(spares: 2) with { Closes = new BraceletClasp(Mm(18), Mm(19), Side.Six, positions, Mm(2.5m), positions - 1) };
        var sheet = OwnBracelet.Of(band);
        sheet.Step.ShouldBe(positions > 1 ? Mm(2.5m) : null);
        sheet.Spares.ShouldBe("2 of 8");
        sheet.Clasp!.Twelve.ShouldBe(Mm(18));
        (sheet.Clasp.MicroSide, sheet.Clasp.Positions, sheet.Clasp.Position).ShouldBe((Side.Six, positions, positions - 1));
        Should.Throw<ArgumentException>(() => OwnBracelet.Of(Tests.Bench.BenchJobs.Strap()));
    }

    [Theory]
    [InlineData(159.3, null)]
    [InlineData(160.8, null)]
    [InlineData(151.1, "8.2 mm more: most likely a link of 8.2 mm was counted too much")]
    [InlineData(164.2, "4.9 mm less: most likely a link of 5 mm was left out")]
    [InlineData(161.8, "2.5 mm less: most likely the micro-adjust stands in position 3, not 2")]
    [InlineData(156.1, "3.2 mm more: most likely a link of 5 mm was entered as one of 8.2 mm")]
    [InlineData(119.8, "most likely the clasp was not measured along")]
    [InlineData(162.9, "most likely the link pitch is 0.24 mm too small on each of 15 links")]
    [InlineData(143.1, "most likely two links of 8.2 mm were counted too much")]
    [InlineData(131.0, "no single slip explains it")]
    public void The_length_along_the_bench_finds_the_likeliest_slip(double measured, string? said)
    {
        var question = (Whole with { BenchLength = Length.Nearest(measured) }).Question(Gauged);
        if (said is null)
            question.ShouldBeNull();
        else
            question.ShouldNotBeNull().ShouldContain(said);
    }

    private static Length Mm(decimal millimetres) => Length.FromMillimetres(millimetres);
}
