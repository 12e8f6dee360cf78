using IronLoop.Core.Day;
using IronLoop.Core.Gauging;
using IronLoop.Core.Joints;

namespace IronLoop.Core.Tests.TheDay;

public class UsualTimesTests
{
    [Fact]
    public void Times_of_a_shop_are_gone_by_from_five_on_by_what_joins_the_links_before_the_request_alone()
    {
        var pins = new double[] { 8, 10, 12, 14, 30 }.Select(m => (Request.TakeLinksOut, (Fastener?)Fastener.PinWithTube, m));
        var screws = new double[] { 4, 5, 6, 7 }.Select(m => (Request.TakeLinksOut, (Fastener?)Fastener.Screw, m));
        var times = new UsualTimes([.. pins, .. screws]);
        times.Of(Request.TakeLinksOut, Fastener.PinWithTube).ShouldBe(new UsualTime(5, 10, 12, 14));
        // Four screwed ones are too few; all nine together tell the request.
        times.Of(Request.TakeLinksOut, Fastener.Screw).ShouldBe(new UsualTime(9, 6, 8, 12));
        times.Of(Request.ChangeStrap, null).ShouldBeNull();
        new UsualTimes([.. screws]).Of(Request.TakeLinksOut, Fastener.Screw).ShouldBeNull();
    }

    [Fact]
    public void A_promise_counts_with_what_three_quarters_stay_under()
    {
        // Eight at the bench, four to gauge, three to hand over; six tenths on top until the shop knows better.
        WorkLeft.Of(Request.TakeLinksOut, UsualTimes.None).ShouldBe(new WorkLeft(15, 24));
        var times = new UsualTimes([.. new double[] { 10, 18, 20, 30, 31 }.Select(m => (Request.TakeLinksOut, (Fastener?)null, m))]);
        WorkLeft.Of(Request.TakeLinksOut, times).ShouldBe(new WorkLeft(27, 42), "twenty and seven; thirty, and seven by six tenths more");
    }

    [Theory]
    [InlineData(new[] { 2, 2, 2, 2 }, 5)]
    [InlineData(new[] { 2, 2, 3, 3, 8 }, 3)]
    [InlineData(new[] { 1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 90 }, 8)]
    [InlineData(new[] { 0, 0, 0, 0, 0 }, 1)]
    public void Parts_come_as_the_last_ten_did_once_five_are_known(int[] took, int days) => Arrivals.Days(took, 5).ShouldBe(days);
}
