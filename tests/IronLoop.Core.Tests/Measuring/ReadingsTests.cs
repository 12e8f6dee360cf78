using CsCheck;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Tests.Measuring;

/// <summary>Several readings of one figure.</summary>
public class ReadingsTests
{
    private static Readings Of(params decimal[] mm) => new([.. mm.Select(Length.FromMillimetres)]);

    [Fact]
    public void One_reading_is_itself_and_has_no_spread()
    {
        Of(20.12m).Mean.ShouldBe(Length.FromMillimetres(20.12m));
        Of(20.12m).Spread.ShouldBe(Length.Zero);
    }

    [Fact]
    public void Several_come_to_their_mean_to_the_nearest_micrometre()
    {
        Of(20, 20.1m, 20.1m).Mean.ShouldBe(Length.FromMillimetres(20.067m));
        Of(20, 20.001m).Mean.ShouldBe(Length.FromMillimetres(20.001m), "half a micrometre goes up");
        Of(20, 20.3m, 20.1m).Spread.ShouldBe(Length.FromMillimetres(0.3m));
    }

    [Fact]
    public void The_mean_lies_among_the_readings_whatever_their_order() =>
        Gen.Int[15_000, 25_000].Array[1, 12].Sample(micrometres =>
        {
            var readings = new Readings([.. micrometres.Select(m => new Length(m))]);
            readings.Mean.ShouldBeInRange(readings.Each.Min(), readings.Each.Max());
            new Readings([.. readings.Each.Reverse()]).Mean.ShouldBe(readings.Mean);
            new Readings([.. readings.Each, readings.Mean]).Spread.ShouldBe(readings.Spread, "one more in the middle widens nothing");
        });
}
