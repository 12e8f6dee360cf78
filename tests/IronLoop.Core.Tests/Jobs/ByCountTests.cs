using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Shelf;

namespace IronLoop.Core.Tests.Jobs;

public class ByCountTests
{
    private static Length Mm(decimal mm) => Length.FromMillimetres(mm);

    [Fact]
    public void Without_a_figure_nothing_is_claimed() =>
        ByCount.Of(JobOf(new Counted(2, 1), Figures.None)).ShouldBe(new ByCount(null, null, null, null, null, null));

    [Fact]
    public void With_the_pitch_the_loop_s_loss_and_the_clasp_s_way_are_known()
    {
        var known = ByCount.Of(JobOf(new Counted(2, 1), Figures.None.With(GaugedFigure.LinkPitch, Mm(8.4m)))).ShouldNotBeNull();
        known.Says.ShouldBe("The loop loses 25.2 mm; the clasp goes 4.2 mm toward 12.");
        ByCount.Of(JobOf(new Counted(-1, -1), Figures.None.With(GaugedFigure.LinkPitch, Mm(8))))!.Says.ShouldBe("The loop gains 16.0 mm; the clasp stays where it is.");
    }

    [Fact]
    public void With_a_try_on_the_ease_and_with_a_wish_the_chance()
    {
        // 30 mm over touching, of which three links of 8 mm take 24: 6 are left, in the middle of what is regular.
        var figures = Figures.None.With(GaugedFigure.LinkPitch, Mm(8)).With(GaugedFigure.LugToLug, Mm(48)) with { TryOn = new TryOn(Amount: 30, Loop: Mm(190)), Wear = WearPreference.Regular };
        var known = ByCount.Of(JobOf(new Counted(2, 1), figures)).ShouldNotBeNull();
        known.Ease.ShouldNotBeNull().ShouldBe(6, 0.01);
        known.Chance.ShouldNotBeNull().ShouldBeInRange(0.75, 0.95);
        known.Says.ShouldContain("It is 6.0 mm longer then than the wrist needs. The chance");
        ByCount.Of(JobOf(new Counted(3, 1), figures))!.Says.ShouldContain("2.0 mm too short for the wrist then.");
    }

    [Fact]
    public void With_the_rows_and_both_clasp_halves_the_centre_and_the_reserve()
    {
        // 7 · 8 − 2 · 8 + 14 + 2 · 2 against 6 · 8 − 8 + 16: 58 and 56, so the centre is 1.0 past the lowest point.
        var own = new OwnBracelet("7 full", "6 full", ClaspTwelve: Mm(14), ClaspSix: Mm(16), Positions: 4, Step: Mm(2), Position: 3);
        var figures = Figures.None.With(GaugedFigure.LinkPitch, Mm(8)) with { Bracelet = own };
        ByCount.Of(JobOf(new Counted(2, 1), figures))!.Says
            .ShouldBe("The loop loses 24.0 mm; the clasp goes 4.0 mm toward 12. Its centre sits 1.0 mm toward 6 then. Its micro-adjust leaves 4.0 mm to tighten and 2.0 mm to loosen.");
        ByCount.Of(JobOf(new Counted(3, 2), figures with { Bracelet = own with { ClaspSix = Mm(18) } }))!.Says.ShouldContain("sits in the middle then");
    }

    private static JobSnapshot JobOf(Counted links, Figures figures) => new(
        new Job(1, new Client(1, "Petra Hask", ""), 1, "Gannet", Request.TakeLinksOut, "", new DateOnly(2026, 12, 1), default, "MK", null, null, null, null, null, "", default),
        figures, null, null,
        new BenchAccount(new BenchSetup(), new Dictionary<JointGroup, JointLook>(), null, null, [], [], []) { ByHand = new HandWork.ByCount(links) },
        new House(null, HouseLimits.Usual), new JobClasp(), [], LinkMarks.None);
}
