using IronLoop.Core.Tray;

namespace IronLoop.Core.Tests.Tray;

public class OwnPartTests
{
    [Fact]
    public void Only_what_is_straight_springy_and_unworn_is_used_again()
    {
        foreach (var straight in (bool[])[true, false])
            foreach (var springy in (bool[])[true, false])
                foreach (var unworn in (bool[])[true, false])
                {
                    var part = new OwnPart(OwnPartKind.SpringBars, straight, springy, unworn);
                    part.IsReused.ShouldBe(straight && springy && unworn);
                    part.Says.Contains("bent", StringComparison.Ordinal).ShouldBe(!straight);
                    part.Says.Contains("lost its spring", StringComparison.Ordinal).ShouldBe(!springy);
                    part.Says.Contains(": worn", StringComparison.Ordinal).ShouldBe(!unworn && straight && springy);
                }
    }

    [Fact]
    public void What_did_not_come_is_taken_from_stock()
    {
        var missing = OwnPart.Missing(OwnPartKind.SpringBars);
        missing.IsReused.ShouldBeFalse();
        missing.Says.ShouldContain("taken from stock");
    }
}
