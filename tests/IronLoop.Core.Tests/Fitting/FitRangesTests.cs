using IronLoop.Core.Fitting;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Tests.Fitting;

/// <summary>What the model takes, the ends inclusive: whoever types beyond them is told these figures.</summary>
public class FitRangesTests
{
    public static TheoryData<AllowedLength, decimal, decimal> Lengths => new()
    {
        { FitRanges.Wrist, 120, 240 },
        { FitRanges.BarToBar, 20, 70 },
        { FitRanges.BarRise, -2, 15 },
        { FitRanges.PivotHeight, 0.3m, 6 },
        { FitRanges.Pitch, 2, 40 },
        { FitRanges.ClaspSide, 0, 80 },
        { FitRanges.Step, 0.05m, 10 },
        { FitRanges.Target, 60, 400 },
        { FitRanges.Tolerance, 0, 15 },
        { FitRanges.DesiredOffCentre, -60, 60 },
        { FitRanges.Reserve, 0, 20 },
        { FitRanges.Gap, 0, 40 },
        { FitRanges.WedgeWidth, 0, 40 },
        { BandFacts.Bores, 0.3m, 6 },
    };

    [Theory]
    [MemberData(nameof(Lengths))]
    public void A_length_is_taken_up_to_the_ends_and_not_beyond(AllowedLength allowed, decimal lowest, decimal highest)
    {
        var (low, high, hair) = (Length.FromMillimetres(lowest), Length.FromMillimetres(highest), new Length(1));
        allowed.Holds(low).ShouldBeTrue();
        allowed.Holds(high).ShouldBeTrue();
        allowed.Holds(low - hair).ShouldBeFalse();
        allowed.Holds(high + hair).ShouldBeFalse();
    }

    [Fact]
    public void A_number_is_taken_up_to_the_ends_and_not_beyond()
    {
        foreach (var (allowed, lowest, highest) in ((AllowedNumber, decimal, decimal)[])
            [(FitRanges.Aspect, 1, 1.8m), (FitRanges.LinksASide, 0, 40), (FitRanges.Spares, 0, 60), (FitRanges.Positions, 1, 400)])
        {
            (allowed.Holds(lowest), allowed.Holds(highest)).ShouldBe((true, true));
            (allowed.Holds(lowest - 0.01m), allowed.Holds(highest + 0.01m)).ShouldBe((false, false));
        }
    }
}
