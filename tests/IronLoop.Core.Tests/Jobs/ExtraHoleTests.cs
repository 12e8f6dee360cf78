using IronLoop.Core.Bands;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using static IronLoop.Core.Tests.Bench.BenchJobs;

namespace IronLoop.Core.Tests.Jobs;

public class ExtraHoleTests
{
    private static JobSnapshot With(BandMaterial material, decimal step, int? after = null)
    {
        var strap = new TwoPieceBand(
            new BandFacts(BandKind.TwoPiece, material, Mm(20), BandAttachment.LooseBar, null, null), Mm(2.4m), "pin buckle", new TwoPieceStrap(Mm(75), Mm(130), Mm(52), Mm(step), 4));
        return Snapshots.Of(Snapshots.Stock(strap, isOwn: false), request: Request.ChangeStrap, with: j => j with { ExtraHole = after });
    }

    [Fact]
    public void It_is_a_cure_between_two_holes_and_then_the_hole_it_is_closed_in()
    {
        // Far enough apart that the length wanted lies between two and neither can be worn.
        var job = Enumerable.Range(80, 60).Select(t => With(BandMaterial.Leather, t / 10m)).First(j => ExtraHole.Cure(j) is not null);
        var (after, off) = ExtraHole.Cure(job)!.Value;
        var strap = job.Band!.Strap!;
        strap.LengthIn(after).ShouldBeLessThan(job.Target!.Value.Length);
        strap.LengthIn(after + 1).ShouldBeGreaterThan(job.Target.Value.Length);
        off.ShouldBeLessThanOrEqualTo(job.Target.Value.Window);
        var punched = Snapshots.Of(Snapshots.Stock(job.Band, isOwn: false), request: Request.ChangeStrap, with: j => j with { ExtraHole = after });
        punched.Arrangement()!.Position.ShouldBe(after + 1);
        punched.BandWork().ShouldContain(w => w.Kind == WorkKind.ExtraHole && !w.Reversible);
        punched.ConsentsNeeded().ShouldContain(c => c.Topic == ConsentTopic.Band);
        ExtraHole.Cure(punched).ShouldBeNull("it has one");
        punched.May(JobAct.PunchHole).Ok.ShouldBeTrue("it can be taken back");
    }

    [Fact]
    public void Rubber_gets_none_and_what_is_no_strap_neither()
    {
        ExtraHole.Forbids(With(BandMaterial.Rubber, 12)).ShouldStartWith("Rubber tears");
        Enumerable.Range(80, 60).ShouldAllBe(t => ExtraHole.Cure(With(BandMaterial.Rubber, t / 10m)) == null);
        ExtraHole.Forbids(Snapshots.Of(Snapshots.Stock(Bracelet()))).ShouldStartWith("Only a strap");
        ExtraHole.Forbids(Snapshots.Of(null, request: Request.ChangeStrap)).ShouldStartWith("Only a strap");
        // A strap that was put right in stock since, with fewer holes: there is none between two any more.
        With(BandMaterial.Leather, 6, after: 7).Band!.Strap!.Holes.ShouldBe(4);
        ExtraHole.Forbids(With(BandMaterial.Leather, 6, after: 1)).ShouldBe("It has an extra hole already.");
    }

    private static Length Mm(decimal millimetres) => Length.FromMillimetres(millimetres);
}
