using IronLoop.Core.Bench;
using IronLoop.Core.Gauging;

namespace IronLoop.Core.Tests.Bench;

/// <summary>What is on the watch before anybody says so: asked once, and answered beforehand as a fitter would guess.</summary>
public class AsItCameTests
{
    [Theory]
    [InlineData(Request.TakeLinksOut, OnTheWatch.Bracelet, true)]
    [InlineData(Request.PutLinksIn, OnTheWatch.Bracelet, true)]
    [InlineData(Request.ReplaceClasp, OnTheWatch.Soft, true)]
    [InlineData(Request.ChangeStrap, OnTheWatch.Soft, false)]
    public void Before_a_band_is_chosen_the_request_tells(Request request, OnTheWatch on, bool isWanted)
    {
        var came = AsItCame.Usual(request, null, isOwn: false, before: null);
        (came.On, came.IsWanted, came.Held).ShouldBe((on, isWanted, HeldBy.NotLookedAt));
    }

    [Fact]
    public void A_former_visits_band_is_on_it_still_and_goes_when_another_is_chosen()
    {
        var (left, other) = (BenchJobs.Bracelet(), BenchJobs.Strap());
        AsItCame.Usual(Request.ChangeStrap, other, isOwn: false, left).ShouldSatisfyAllConditions(
            c => c.On.ShouldBe(OnTheWatch.Bracelet), c => c.IsWanted.ShouldBeFalse());
        AsItCame.Usual(Request.Refit, null, isOwn: false, left).IsWanted.ShouldBeTrue("a refit is of the band it left with");
        AsItCame.Usual(Request.TakeLinksOut, other, isOwn: false, before: null).IsWanted.ShouldBeFalse("a band from the shelf is not on the watch");
    }

    [Fact]
    public void What_was_said_of_one_band_is_not_said_of_the_next_that_is_chosen()
    {
        var (bracelet, strap) = (BenchJobs.Bracelet(), BenchJobs.Strap());
        var said = new AsItCame(OnTheWatch.Bracelet, HeldBy.LooseBars, IsWanted: true) { BandId = 7 };
        said.With(7, bracelet, isOwn: false).IsWanted.ShouldBeTrue();
        said.With(null, null, isOwn: false).IsWanted.ShouldBeTrue("none is chosen now");
        said.With(8, bracelet, isOwn: false).ShouldSatisfyAllConditions(c => c.IsWanted.ShouldBeFalse(), c => c.On.ShouldBe(OnTheWatch.Bracelet, "it is on the watch all the same"));
        said.With(8, bracelet, isOwn: true).IsWanted.ShouldBeTrue("the client’s own, entered anew");
        said.With(8, strap, isOwn: true).IsWanted.ShouldBeFalse("a strap is not the bracelet on the watch");
        (said with { BandId = null }).With(8, bracelet, isOwn: false).IsWanted.ShouldBeTrue("said before any was chosen");
        (said with { BandId = null }).With(8, strap, isOwn: false).IsWanted.ShouldBeFalse();
        (said with { IsWanted = false }).With(7, bracelet, isOwn: true).IsWanted.ShouldBeFalse();
    }
}
