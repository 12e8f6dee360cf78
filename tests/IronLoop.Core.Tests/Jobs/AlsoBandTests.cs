using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using static IronLoop.Core.Tests.Bench.BenchJobs;

namespace IronLoop.Core.Tests.Jobs;

/// <summary>Bands of one job beside the one that is on the watch when it leaves.</summary>
public class AlsoBandTests
{
    private static readonly JobSnapshot Job = Snapshots.Of(Snapshots.Stock(Strap(), isOwn: false), request: Request.ChangeStrap);

    [Fact]
    public void Each_has_its_hole_notch_or_plan_written_on_it()
    {
        string Written(Core.Bands.Band band) => new AlsoBand(Snapshots.Stock(band, isOwn: false) with { Id = 9 }, PullThroughWay.Double, AlsoAs.ForTheBag).Written(Job);
        Written(Strap()).ShouldBe($"close it {Job.Holed!.Closed(Job.Holed.Nearest(Job.Target!.Value).Hole)}");
        Written(Mesh(20)).ShouldStartWith("close it at notch");
        Written(Bracelet()).ShouldContain("micro-adjust");
        Written(PullThrough).ShouldStartWith("close it in the");
        new AlsoBand(Snapshots.Stock(Strap()), PullThroughWay.Double, AlsoAs.ForTheBag).Written(Snapshots.Of(null, figures: Figures.None.With(GaugedFigure.LugWidth, Length.FromMillimetres(20)), request: Request.ChangeStrap))
            .ShouldBe("not sized: its wearer picks the place");
    }

    [Fact]
    public void What_goes_along_is_in_the_bag_and_what_was_shown_is_not()
    {
        AlsoBand[] also =
        [
            new(Snapshots.Stock(Mesh(20), isOwn: false) with { Id = 9, Name = "fine mesh", Article = "MS-20" }, PullThroughWay.Double, AlsoAs.ForTheBag),
            new(Snapshots.Stock(Bracelet(), isOwn: false) with { Id = 10 }, PullThroughWay.Double, AlsoAs.ForLooks),
        ];
        var line = OwnersBag.Of(Job, also).ShouldHaveSingleItem();
        line.What.ShouldStartWith("fine mesh MS-20, close it at notch");
        (line.Count, line.Key).ShouldBe((1, "also-9"));
    }

    [Fact]
    public void One_that_asks_for_work_that_cannot_be_undone_does_not_merely_go_along()
    {
        var stock = Snapshots.Stock(Strap(), isOwn: false);
        AlsoBand.MayGoAlong(stock, new Judgement([new RuleVerdict("lug-width", Verdict.Work, "Too wide.", [new PieceOfWork(WorkKind.Trim, "Trim the ends", Reversible: false)])]), 1)
            .Why.ShouldBe("calf strap asks for work that cannot be undone (Trim the ends): choose it for a job of its own.");
        AlsoBand.MayGoAlong(stock, new Judgement([new RuleVerdict("lug-width", Verdict.No, "2 mm too wide.")]), 1).Ok.ShouldBeFalse("it is shown for looks at most");
        AlsoBand.MayGoAlong(stock, new Judgement([]), 0).Ok.ShouldBeFalse("none is free");
    }
}
