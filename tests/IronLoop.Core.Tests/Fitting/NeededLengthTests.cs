using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Tests.Fitting;

public class NeededLengthTests
{
    private static readonly Length Round = Length.FromMillimetres(170);
    private static readonly Head Head = new(Length.FromMillimetres(44), Length.FromMillimetres(3));
    private static readonly Length Pivot = Length.FromMillimetres(1.75m);

    public static TheoryData<string> NeedCases => [.. Cases.Open("need.json").GetProperty("need").EnumerateArray().Select(c => c.GetRawText())];

    public static TheoryData<string> GapCases => [.. Cases.Open("need.json").GetProperty("easeFromGap").EnumerateArray().Select(c => c.GetRawText())];

    [Theory]
    [MemberData(nameof(NeedCases))]
    public void Agrees_with_the_worked_figures(string json)
    {
        var worked = System.Text.Json.JsonDocument.Parse(json).RootElement;
        var request = worked.GetProperty("request");
        var head = request.GetProperty("head");
        var needed = NeededLength.Of(
            request.Mm("wristMm"), request.GetProperty("aspect").GetDecimal(),
            new Head(head.Mm("barToBarMm"), head.Mm("barRiseMm")), request.Mm("pivotHeightMm"));
        needed.ShouldNotBeNull().ShouldBe(worked.GetProperty("expected").GetProperty("neededMm").GetDouble(), 0.002);
    }

    [Theory]
    [MemberData(nameof(GapCases))]
    public void Ease_from_a_gap_agrees_with_the_worked_figures(string json)
    {
        var worked = System.Text.Json.JsonDocument.Parse(json).RootElement;
        var request = worked.GetProperty("request");
        var wedge = request.TryGetProperty("wedgeWidthMm", out _) ? request.Mm("wedgeWidthMm") : Length.Zero;
        EaseFromGap.Of(request.Mm("wristMm"), request.GetProperty("aspect").GetDecimal(), request.Mm("gapMm"), wedge)
            .ShouldBe(worked.GetProperty("expected").GetProperty("easeMm").GetDouble(), 0.002);
    }

    [Fact]
    public void No_gap_is_no_ease() =>
        EaseFromGap.Of(Round, 1.35m, Length.Zero, Length.Zero).ShouldBe(0, 1e-6);

    [Fact]
    public void A_round_wrist_agrees_with_plain_circle_geometry()
    {
        // On a circle of radius r with the bar at (x, y): tangent length √(x²+y²−R²), then the arc of the rest, R = r + d.
        var r = 170 / (2 * Math.PI);
        var outer = r + 1.75;
        var (x, y) = (22.0, r + 3);
        var away = Math.Sqrt(x * x + y * y);
        var expected = 2 * (Math.Sqrt(away * away - outer * outer)
            + outer * (Math.PI / 2 + Math.Atan2(y, x) - Math.Acos(outer / away)));
        NeededLength.Of(Round, 1.00m, Head, Pivot).ShouldNotBeNull().ShouldBe(expected, 1e-6);
    }

    [Fact]
    public void Links_laid_flat_measure_longer_than_the_wrist_they_fit()
    {
        var thin = NeededLength.Of(Round, 1.35m, Head, Length.FromMillimetres(1.75m))!.Value;
        var thick = NeededLength.Of(Round, 1.35m, Head, Length.FromMillimetres(2.75m))!.Value;
        (thick - thin).ShouldBe(4, 0.6);
    }

    [Fact]
    public void A_head_sunk_into_the_wrist_has_no_needed_length() =>
        NeededLength.Of(Length.FromMillimetres(240), 1.00m, new Head(Length.FromMillimetres(20), Length.FromMillimetres(-2)), Length.FromMillimetres(6))
            .ShouldBeNull();

    [Fact]
    public void Assumed_figures_make_the_answer_less_certain()
    {
        var measured = NeededLength.WithUncertainty(Round, 1.35m, Head, Pivot, default)!.Value;
        var assumed = NeededLength.WithUncertainty(Round, 1.35m, Head, Pivot, new Assumed(Aspect: true, BarRise: true, BarToBar: true))!.Value;
        measured.Needed.ShouldBe(assumed.Needed);
        // The tape alone, read to 1.5 mm, moves N by about 0.9 mm per mm.
        measured.Sigma.ShouldBeInRange(1.2, 2.0);
        assumed.Sigma.ShouldBeGreaterThan(measured.Sigma + 0.5);
    }

    [Fact]
    public void Chance_counts_each_needed_length_once_however_many_positions_serve_it()
    {
        var need = new Need(150, 1.5);
        var wear = Wear.Of(WearPreference.Regular);
        var one = FirstTimeChance.Of(need, [Length.FromMillimetres(157.5m)], wear);
        // Half the window is 2.5 mm = 1.667 σ: the normal distribution holds 90.4 % within.
        one.ShouldBe(0.9044, 0.001);
        FirstTimeChance.Of(need, [Length.FromMillimetres(157.5m), Length.FromMillimetres(157.5m)], wear).ShouldBe(one, 1e-12);
        FirstTimeChance.Of(need, [Length.FromMillimetres(155), Length.FromMillimetres(157.5m), Length.FromMillimetres(160)], wear)
            .ShouldBeGreaterThan(0.99);
        FirstTimeChance.Of(need, [Length.FromMillimetres(190)], wear).ShouldBe(0, 1e-9);
    }

    [Theory]
    [InlineData(1.00)]
    [InlineData(1.35)]
    [InlineData(1.80)]
    public void The_ellipse_of_a_tape_reading_is_as_long_as_the_tape(double aspect)
    {
        var wrist = WristSection.FromTape(170, aspect);
        wrist.HalfWidth.ShouldBe(aspect * wrist.HalfDepth, 1e-12);
        wrist.OffsetArc(-Math.PI / 2, 3 * Math.PI / 2, 0).ShouldBe(170, 1e-9);
        wrist.OffsetArc(-Math.PI / 2, 0, 2).ShouldBe(170 / 4.0 + Math.PI, 1e-9);
    }
}
