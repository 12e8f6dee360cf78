using System.Globalization;
using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Tests.Measuring;

public class LengthTests
{
    private static readonly CultureInfo WithCommas = new("") { NumberFormat = { NumberDecimalSeparator = ",", NumberGroupSeparator = "." } };

    [Fact]
    public void A_length_beyond_a_thousand_kilometres_cannot_be_made_and_says_what_can()
    {
        new Length(1_000_000_000_000).Millimetres.ShouldBe(1_000_000_000m);
        new Length(-1_000_000_000_000).Millimetres.ShouldBe(-1_000_000_000m);
        Should.Throw<OutOfRangeException>(() => new Length(1_000_000_000_001)).Says.ShouldBe("A length is 1000000000001 µm; allowed is -1000 to 1000 km.");
        Should.Throw<OutOfRangeException>(() => new Length(long.MinValue));
        Should.Throw<OutOfRangeException>(() => Length.FromMillimetres(decimal.MaxValue)).Says.ShouldContain("allowed is -1000 to 1000 km");
        Should.Throw<OutOfRangeException>(() => Length.FromMillimetres(1.0005m)).Says.ShouldBe("A length is 1.0005 mm; allowed are at most three decimals.");
        Should.Throw<OutOfRangeException>(() => new Length(600_000_000_000) + new Length(600_000_000_000));
    }

    [Theory]
    [InlineData(3, 1)]
    [InlineData(-3, -1)]
    [InlineData(8200, 4100)]
    [InlineData(0, 0)]
    public void Half_a_length_is_the_whole_micrometre_nearer_nought(long whole, long half) => new Length(whole).Half().Micrometres.ShouldBe(half);

    [Theory]
    [InlineData("19.4 mm", 19_400)]
    [InlineData("17,2 cm", 172_000)]
    [InlineData("6 5/8 in", 168_275)]
    public void A_length_is_read_as_a_fitter_types_it_whatever_the_culture(string typed, long micrometres)
    {
        foreach (var culture in (CultureInfo[])[CultureInfo.InvariantCulture, WithCommas])
            Length.Parse(typed, culture).Micrometres.ShouldBe(micrometres);
        Length.TryParse(typed, null, out var length).ShouldBeTrue();
        length.Micrometres.ShouldBe(micrometres);
    }

    [Fact]
    public void What_is_no_length_says_why()
    {
        Should.Throw<FormatException>(() => Length.Parse("seven", null)).Message.ShouldContain("is not a length");
        Length.TryParse("5/8", null, out _).ShouldBeFalse();
        Should.Throw<FormatException>(() => Length.Zero.ToString("X", null)).Message.ShouldContain("allowed are G, T, H and I");
    }

    [Theory]
    [InlineData("G", "168.275 mm")]
    [InlineData("T", "168.3 mm")]
    [InlineData("H", "168.28 mm")]
    [InlineData("I", "6.63 in")]
    public void A_length_is_written_in_one_way_whatever_the_culture(string format, string text) =>
        string.Format(WithCommas, $"{{0:{format}}}", Length.FromMillimetres(168.275m)).ShouldBe(text);

    [Fact]
    public void A_link_a_heap_of_spares_and_a_clasp_that_cannot_be_are_not_made()
    {
        var (least, most) = (FitRanges.Pitch.Lowest, FitRanges.Pitch.Highest);
        new Link(least, true).Pitch.ShouldBe(least);
        new Link(most, true).Pitch.ShouldBe(most);
        Should.Throw<OutOfRangeException>(() => new Link(least - new Length(1), true)).Says.ShouldBe("pitch is 1.999 mm; allowed is 2 to 40 mm.");
        Should.Throw<OutOfRangeException>(() => new Link(most + new Length(1), true));
        Should.Throw<OutOfRangeException>(() => new SpareLinks(least, -1)).Says.ShouldBe("count is -1; allowed is 0 to 60.");
        Should.Throw<OutOfRangeException>(() => new SpareLinks(Length.Zero, 1));
        Should.Throw<OutOfRangeException>(() => new BraceletClasp(most, most, Side.Twelve, 0, Length.Zero, 0)).Says.ShouldBe("positions is 0; allowed is 1 to 400.");
    }
}
