using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Tests.Fitting;

public class FitRulersTests
{
    private static readonly Wear Regular = Wear.Of(WearPreference.Regular);

    [Theory]
    [InlineData(154.9, Temper.Tight, false)]
    [InlineData(155, Temper.Right, true)]
    [InlineData(160, Temper.Right, true)]
    [InlineData(160.1, Temper.Loose, false)]
    public void Ease_is_tight_right_or_loose_with_its_window_ends_still_right(double length, Temper temper, bool inside)
    {
        var rulers = Of(new TwoPieceStrap(Mm(75), Mm(120), Mm((decimal)length - 75), Mm(6), 1));
        rulers.Temper.ShouldBe(temper);
        rulers.Ease.Inside.ShouldBe(inside);
    }

    [Fact]
    public void Where_a_straps_buckle_sits_is_shown_and_not_judged()
    {
        var ruler = Of(new TwoPieceStrap(Mm(60), Mm(130), Mm(97), Mm(6), 1)).OffCentre.ShouldNotBeNull();
        ruler.Text.ShouldBe("18.5 mm to 12");
        ruler.From.ShouldBeNull();
        ruler.Inside.ShouldBeTrue();
    }

    [Theory]
    [InlineData(4, "2.0 mm to 6", true)]
    [InlineData(4.002, "2.0 mm to 6", false)]
    [InlineData(-5, "2.5 mm to 12", false)]
    [InlineData(0.02, "0.0 mm", true)]
    [InlineData(1, "0.5 mm to 6", true)]
    public void A_bracelets_off_centre_names_its_side_and_is_judged(double twice, string text, bool inside)
    {
        var request = new PlanRequest(
            new Bracelet([], []), [], new BraceletClasp(Mm(20), Mm(20), Side.Six, 4, Mm(2), 1),
            new FitTarget(Mm(157.5m), Mm(2.5m), Mm(1.5m)), PlanRequest.HouseCentring, PlanRequest.HouseReserve);
        var half = (157.5m + (decimal)twice) / 2;
        var rulers = FitRulers.Of(
            PlanFigures.Judge(request, Mm(half - 20), Mm(157.5m - half - 22), 1, 0), request, 150, Regular);
        rulers.Ease.Millimetres.ShouldBe(7.5m, "157.5 over the 150 that are needed");
        rulers.OffCentre!.Text.ShouldBe(text);
        rulers.OffCentre.Inside.ShouldBe(inside);
        (rulers.Tighter.Millimetres, rulers.Looser.Millimetres).ShouldBe((2m, 4m));
        rulers.Tighter.Inside.ShouldBeTrue();
    }

    [Fact]
    public void The_middle_of_a_mesh_whose_pieces_nobody_measured_is_not_known()
    {
        var mesh = new MeshBand(Mm(140), Mm(170), 8);
        FitRulers.Of(mesh.In(3, new FitTarget(Mm(157.5m), Mm(2.5m), Mm(1.5m))), mesh, 150, Regular).OffCentre.ShouldBeNull();
    }

    private static FitRulers Of(TwoPieceStrap strap) =>
        FitRulers.Of(strap.In(0, new FitTarget(Mm(157.5m), Mm(2.5m), Mm(1.5m))), strap, 150, Regular);

    private static Length Mm(decimal millimetres) => Length.FromMillimetres(millimetres);
}
