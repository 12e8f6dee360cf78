using IronLoop.Core.Fitting;
using IronLoop.Core.HandOver;
using IronLoop.Core.Matching;
using static IronLoop.Core.Tests.Bench.BenchJobs;

namespace IronLoop.Core.Tests.HandOver;

public class ClaspInUseTests
{
    [Fact]
    public void Every_clasp_is_said_in_two_or_three_lines_that_close_and_open_it()
    {
        foreach (var kind in Enum.GetValues<ClaspKind>())
        {
            var says = ClaspInUse.Says(kind, hasFlap: true);
            says.Count.ShouldBeInRange(2, 3);
            says[0].ShouldStartWith("Close: ");
            says[1].ShouldStartWith("Open: ");
        }
        ClaspInUse.Says(null, hasFlap: false).ShouldBeEmpty("nobody knows what closes it");
    }

    [Fact]
    public void A_safety_flap_is_the_last_to_close_and_the_first_to_open()
    {
        ClaspInUse.Says(ClaspKind.FoldOver, hasFlap: true)[0].ShouldEndWith("last the safety flap.");
        ClaspInUse.Says(ClaspKind.FoldOver, hasFlap: true)[1].ShouldStartWith("Open: the safety flap up");
        ClaspInUse.Says(ClaspKind.FoldOver, hasFlap: false).ShouldAllBe(l => !l.Contains("flap"));
    }

    [Fact]
    public void A_pull_through_band_is_threaded_as_it_is_worn_and_tucked()
    {
        var says = ClaspInUse.Of(PullThrough, null, PullThroughWay.ReversedSingle);
        says[0].ShouldStartWith("Thread it down past the 6 bar");
        says[0].ShouldEndWith("tuck the tail back through the keepers.");
        says.Count.ShouldBe(3);
        var hooks = ClaspInUse.Of(HookAndLoop, null, PullThroughWay.Double);
        hooks[1].ShouldContain("through the ring, back on itself");
        hooks.ShouldAllBe(l => !l.Contains("tongue"));
    }
}
