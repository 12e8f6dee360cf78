using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Tests.Jobs;

public class ProgressTests
{
    private static readonly Figures Nothing = Figures.None;

    private static readonly Figures Known = (Nothing with { Attachment = Attachment.SpringBarDrilled, Wear = WearPreference.Regular })
        .With(GaugedFigure.LugWidth, Mm(20)).With(GaugedFigure.LugToLug, Mm(48)).With(GaugedFigure.Wrist, Mm(170));

    private static Progress At(
        Figures figures, bool BandChosen = false, bool ClaspKept = false, bool PlanAgreed = false, int StepsDone = 0, int Steps = 0, bool Closed = false, bool Referred = false) =>
        new(figures, BandChosen, ClaspKept, PlanAgreed, StepsDone, Steps, Closed, Referred, new HashSet<Station> { Station.Match, Station.Clasp, Station.Size }, []);

    [Fact]
    public void A_job_goes_to_gauge_and_says_what_is_missing()
    {
        var progress = At(Nothing) with { Missing = [new Wanted(Station.Gauge, "lugWidth", "lug width")] };
        progress.Next.ShouldBe(Station.Gauge);
        progress.Says(Station.Gauge).ShouldBe("Still to gauge: lug width.");
    }

    [Fact]
    public void A_station_left_out_stays_the_next_even_when_later_ones_are_done()
    {
        var progress = At(Known, BandChosen: true, ClaspKept: false, PlanAgreed: true, StepsDone: 3, Steps: 3);
        progress.Next.ShouldBe(Station.Clasp);
        progress.Done(Station.Bench).ShouldBeTrue();
    }

    [Fact]
    public void A_station_that_is_not_used_is_passed_over()
    {
        var progress = At(Known, BandChosen: true) with { Uses = new HashSet<Station>() };
        progress.Next.ShouldBe(Station.Bench);
        progress.Says(Station.Bench).ShouldBe("Approve the plan; its steps follow from what was asked.");
        progress.Says(Station.Match).ShouldStartWith("A band is chosen");
        (progress with { BandChosen = false }).Says(Station.Match).ShouldBe("What is asked needs no other band; one can be chosen all the same.");
    }

    [Fact]
    public void Work_at_the_bench_is_done_when_a_plan_is_agreed_and_all_its_steps_are()
    {
        Progress On(bool agreed, int done, int of) => At(Known, BandChosen: true, ClaspKept: true, PlanAgreed: agreed, StepsDone: done, Steps: of);
        On(true, 3, 3).Done(Station.Bench).ShouldBeTrue();
        On(true, 2, 3).Done(Station.Bench).ShouldBeFalse();
        On(false, 3, 3).Done(Station.Bench).ShouldBeFalse("what was opened to be gauged is not the work");
        On(true, 0, 0).Done(Station.Bench).ShouldBeFalse("its steps are not known yet");
    }

    [Fact]
    public void A_station_that_is_not_done_says_what_it_waits_for_and_where_that_is_said()
    {
        var unread = new Wanted(Station.Gauge, "lugWidth", "lug width");
        var first = At(Nothing) with { Missing = [unread] };
        first.Wants(Station.TakeIn).ShouldBeNull();
        first.Wants(Station.Gauge).ShouldBe(unread);
        first.Wants(Station.Size)!.At.ShouldBe(Station.Match, "a band comes before its plan");
        (first with { BandChosen = true }).Wants(Station.Size).ShouldBe(unread);
        first.Wants(Station.HandOver)!.At.ShouldBe(Station.Bench);

        var known = At(Known);
        known.Wants(Station.Gauge).ShouldBeNull();
        known.Wants(Station.Match).ShouldBe(known.Wants(Station.Clasp), "without a band there is no clasp to look at");
        (known with { BandChosen = true }).Wants(Station.Clasp)!.At.ShouldBe(Station.Clasp);
        (known with { BandChosen = true, ClaspKept = true }).Wants(Station.Size).ShouldBeNull("its own act is all that is left");
        (known with { BandChosen = true, ClaspKept = true }).Wants(Station.Bench)!.At.ShouldBe(Station.Size);
        At(Known, BandChosen: true, ClaspKept: true, PlanAgreed: true, StepsDone: 3, Steps: 3).Wants(Station.HandOver).ShouldBeNull();
    }

    [Fact]
    public void A_referred_job_says_at_every_station_of_work_that_it_is_held_and_is_open_to_what_is_found()
    {
        var held = At(Known, BandChosen: true, ClaspKept: true, PlanAgreed: true, StepsDone: 3, Steps: 13, Closed: false, Referred: true);
        foreach (var station in (Station[])[Station.Match, Station.Clasp, Station.Size, Station.Bench, Station.HandOver])
            held.Says(station).ShouldStartWith("On hold", customMessage: station.ToString());
        held.Says(Station.Gauge).ShouldNotStartWith("On hold");
        (held with { Referred = false }).Says(Station.Bench).ShouldBe("Step 4 of 13 is next.");
        (held with { Closed = true }).Says(Station.HandOver).ShouldBe("Handed over.");
    }

    [Fact]
    public void Bars_are_assumed_from_lug_to_lug_until_measured()
    {
        Known.Head.ShouldBe(new Head(Mm(44), Mm(3)));
        Known.Assumed.ShouldBe(new Assumed(Aspect: true, BarRise: true, BarToBar: true));
        Known.With(GaugedFigure.BarToBar, Mm(43)).With(GaugedFigure.BarRise, Mm(2)).Head.ShouldBe(new Head(Mm(43), Mm(2)));
    }

    [Fact]
    public void The_target_is_needed_length_and_the_ease_to_aim_at()
    {
        // Needed 146.990 for this wrist and head, regular wear aims at 7.5 with a window of 5 to 10.
        var target = Known.Target(Mm(1.75m)).ShouldNotBeNull();
        target.Length.ShouldBe(Mm(154.490m));
        target.Window.ShouldBe(Mm(2.5m));
    }

    [Fact]
    public void Lugs_longer_than_the_wrist_is_wide_overhang()
    {
        Known.LugsOverhang.ShouldBeFalse();
        Known.With(GaugedFigure.Wrist, Mm(125)).LugsOverhang.ShouldBeTrue();
    }

    [Fact]
    public void A_questioned_figure_holds_the_station_open_until_it_is_looked_at_again()
    {
        var wide = Known.With(GaugedFigure.LugWidth, Mm(32));
        var progress = At(wide);
        progress.Done(Station.Gauge).ShouldBeFalse();
        progress.Says(Station.Gauge).ShouldBe("Look again at lug width.");
        (progress with { Figures = wide with { Stands = new HashSet<GaugedFigure> { GaugedFigure.LugWidth } } }).Done(Station.Gauge).ShouldBeTrue();
        // And it is said where the job would be closed, not only once that is pressed.
        var worked = progress with { BandChosen = true, ClaspKept = true, PlanAgreed = true, StepsDone = 13, Steps = 13 };
        worked.Says(Station.HandOver).ShouldBe("Not ready yet. Look again at lug width.");
    }

    private static Length Mm(decimal millimetres) => Length.FromMillimetres(millimetres);

    [Fact]
    public void What_lies_open_says_what_it_waits_for()
    {
        var opened = At(Known, BandChosen: true, ClaspKept: true, PlanAgreed: false, StepsDone: 0, Steps: 4, Closed: false) with { ToGauge = true, Opened = 4, TrayKept = true };
        (opened with { Opened = 3 }).Says(Station.Bench).ShouldBe("Open it and gauge it; the rest is approved after that.");
        (opened with { Steps = 0, Opened = 0 }).Says(Station.Bench).ShouldStartWith("Approve a plan at Size first.");
        (opened with { Steps = 1, Opened = 1 }).Says(Station.Bench).ShouldStartWith("It lies open");
        opened.Says(Station.Bench).ShouldBe("It lies open and its tray is kept: the work goes on when the rest is approved.");
        (opened with { PlanAgreed = true, Awaited = ["1 fold-over, CL-8"] }).Says(Station.HandOver).ShouldBe("Not yet: waiting for 1 fold-over, CL-8.");
        (opened with { ClaspKept = false, Awaited = ["1 fold-over, CL-8"] }).Says(Station.Clasp).ShouldBe("Waiting for 1 fold-over, CL-8.");
        (opened with { Awaited = ["1 fold-over, CL-8"] }).Says(Station.Bench).ShouldBe("It lies open and its tray is kept: waiting for 1 fold-over, CL-8.");
    }
}
