using IronLoop.Core.Measuring;

namespace IronLoop.Core.Tests.Measuring;

public class CaliperLineTests
{
    [Theory]
    [InlineData("19.42 mm", 19_420, false)]
    [InlineData("+0019.42", 19_420, false)]
    [InlineData("  19,42mm ", 19_420, false)]
    [InlineData("0.7645 in", 19_418, true)]
    [InlineData("-0.01 mm", -10, false)]
    [InlineData("\019.42 mm", 19_420, false)]
    public void A_reading_is_taken_in_either_unit(string line, long micrometres, bool inches)
    {
        CaliperLine.TryParse(line, out var reading, out _).ShouldBeTrue();
        reading.ShouldBe(new CaliperReading(new Length(micrometres), inches));
    }

    [Theory]
    [InlineData("Err", "3 characters, which is no reading; nothing was taken.")]
    [InlineData("#~ \u0001\u0007 Err", "9 characters, which is no reading")]
    [InlineData("19.4 19.5", "no reading")]
    [InlineData("6 5/8 in and more", "no reading")]
    [InlineData("", "no reading")]
    [InlineData("4000 mm", "allowed is -10 to 300 mm")]
    [InlineData("19.42 cm", "no reading")]
    public void Garbage_is_said_and_not_guessed_at(string line, string said)
    {
        CaliperLine.TryParse(line, out _, out var why).ShouldBeFalse();
        why.ShouldNotBeNull().ShouldContain(said);
    }
}
