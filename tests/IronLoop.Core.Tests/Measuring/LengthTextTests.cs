using IronLoop.Core.Measuring;

namespace IronLoop.Core.Tests.Measuring;

public class LengthTextTests
{
    [Theory]
    [InlineData("19", 19_000)]
    [InlineData("19.4 mm", 19_400)]
    [InlineData(" 19,4mm ", 19_400)]
    [InlineData("0,85in", 21_590)]
    [InlineData("6 5/8\"", 168_275)]
    [InlineData("6⅝ in", 168_275)]
    [InlineData("6 ⅝ in", 168_275)]
    [InlineData("⅞in", 22_225)]
    [InlineData("5/8 in", 15_875)]
    [InlineData("17,2 cm", 172_000)]
    [InlineData("-1.5", -1_500)]
    [InlineData("−1.5 mm", -1_500)]
    [InlineData(".5", 500)]
    [InlineData("6.5 inches", 165_100)]
    public void Reads_what_fitters_type(string typed, long micrometres)
    {
        LengthText.TryParse(typed, out var length, out var why).ShouldBeTrue(why);
        length.Micrometres.ShouldBe(micrometres);
    }

    [Theory]
    [InlineData("", "Nothing was typed")]
    [InlineData("   ", "Nothing was typed")]
    [InlineData("nineteen", "is not a length")]
    [InlineData("19..4", "is not a length")]
    [InlineData("1,234.5", "is not a length")]
    [InlineData("19 mm 4", "is not a length")]
    [InlineData("NaN", "is not a length")]
    [InlineData("1e3", "is not a length")]
    [InlineData("6 5/8", "fractions are read in inches only")]
    [InlineData("6 5/8 mm", "fractions are read in inches only")]
    [InlineData("6 5/0 in", "divides by nought")]
    [InlineData("900000 mm", "longer than ten metres")]
    [InlineData("10000.001", "longer than ten metres")]
    [InlineData("-1000.1 cm", "longer than ten metres")]
    [InlineData("1111111111111111111111111111111111111111111111111111", "is not a length")]
    public void Refuses_what_is_no_length_and_says_why(string typed, string why)
    {
        LengthText.TryParse(typed, out _, out var said).ShouldBeFalse();
        said.ShouldContain(why);
    }

    [Fact]
    public void Prints_millimetres_and_inches()
    {
        var length = Length.FromMillimetres(168.275m);
        length.ToString().ShouldBe("168.275 mm");
        length.ToTenths().ShouldBe("168.3 mm");
        length.ToInches().ShouldBe("6.63 in");
        Length.FromMillimetres(19.50m).ToString().ShouldBe("19.5 mm");
    }

    [Fact]
    public void Takes_three_decimals_exactly_and_no_more()
    {
        Length.FromMillimetres(0.001m).Micrometres.ShouldBe(1);
        Should.Throw<ArgumentOutOfRangeException>(() => Length.FromMillimetres(0.0001m));
    }
}
