using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Tests.Fitting;

public class LinkRowTextTests
{
    [Theory]
    [InlineData("2 fixed of 9; 7 of 8.2; 1 of 5", 10, 2, 75.4 + 5)]
    [InlineData("2 fixed of 9, 7 of 8,2", 9, 2, 75.4)]
    [InlineData("3x8.2mm + 1 x 5", 4, 0, 29.6)]
    [InlineData("1 link of 0,5 in", 1, 0, 12.7)]
    [InlineData("2 of 9 fixed; 7 of 8.2; 1 of 5", 10, 2, 75.4 + 5)]
    [InlineData("two of 9 fixed, Seven links of 8,2", 9, 2, 75.4)]
    [InlineData("", 0, 0, 0)]
    [InlineData("7 links                                               of 8.2", 7, 0, 57.4)]
    public void Reads_a_side_from_case_to_clasp(string typed, int links, int stay, double length)
    {
        LinkRowText.TryParse(typed, out var row, out var why).ShouldBeTrue(why);
        row!.Count.ShouldBe(links);
        row.Count(l => !l.Removable).ShouldBe(stay);
        row.TakeWhile(l => !l.Removable).Count().ShouldBe(stay, "the ones that stay lie at the case");
        row.Aggregate(Length.Zero, (sum, l) => sum + l.Pitch).Millimetres.ShouldBe((decimal)length);
    }

    [Theory]
    [InlineData("seven", "is no group of links")]
    [InlineData("7", "is no group of links")]
    [InlineData("7 of eight", "is not a length")]
    [InlineData("7 of 1.9", "allowed is 2 to 40 mm")]
    [InlineData("30 of 8; 11 of 8", "allowed is 0 to 40")]
    public void Refuses_what_it_cannot_read(string typed, string said)
    {
        LinkRowText.TryParse(typed, out _, out var why).ShouldBeFalse();
        why.ShouldContain(said);
    }

    [Theory]
    [InlineData("7 full, 1 half, first 2 fixed", "2 fixed of 8.2; 5 of 8.2; 1 of 5")]
    [InlineData("first 1 fixed; 3 full; 2 halves; last 1 fixed", "1 fixed of 8.2; 2 of 8.2; 1 of 5; 1 fixed of 5")]
    [InlineData("2 fixed of 9; 6 full links", "2 fixed of 9; 6 of 8.2")]
    [InlineData("2 fixed, 5 full", "2 fixed of 8.2; 5 of 8.2")]
    [InlineData("2 full fixed, 5 full", "2 fixed of 8.2; 5 of 8.2")]
    [InlineData("7 full, first two fixed", "2 fixed of 8.2; 5 of 8.2")]
    [InlineData("seven full, one half, last fixed", "7 of 8.2; 1 fixed of 5")]
    [InlineData("Three full, the first link is fixed", "1 fixed of 8.2; 2 of 8.2")]
    [InlineData("twelve full, last two links fixed", "10 of 8.2; 2 fixed of 8.2")]
    [InlineData("2full", "2 of 8.2")]
    public void Full_and_half_stand_for_the_pitches_gauged(string typed, string printed)
    {
        LinkRowText.TryParse(typed, new NamedPitches(Length.FromMillimetres(8.2m), Length.FromMillimetres(5)), out var row, out var why).ShouldBeTrue(why);
        LinkRowText.Print(row!).ShouldBe(printed);
        LinkRowText.TryParse(printed, out var again, out _).ShouldBeTrue();
        again.ShouldBe(row);
    }

    [Theory]
    [InlineData("2 fixed of 9; 3 of 8.2 kind B; 4 of 8.2", "2 fixed of 9; 3 of 8.2 kind b; 4 of 8.2")]
    [InlineData("3 full kind a this side only, 2 full", "3 of 8.2 kind a this side only; 2 of 8.2")]
    [InlineData("1 of 8,2 this side only", "1 of 8.2 this side only")]
    public void Links_of_one_pitch_that_are_not_alike_have_a_letter(string typed, string printed)
    {
        LinkRowText.TryParse(typed, new NamedPitches(Length.FromMillimetres(8.2m), null), out var row, out var why).ShouldBeTrue(why);
        LinkRowText.Print(row!).ShouldBe(printed);
        LinkRowText.TryParse(printed, out var again, out _).ShouldBeTrue();
        again.ShouldBe(row);
    }

    [Theory]
    [InlineData("7 full, 1 half", "Gauge the pitch of a half link first")]
    [InlineData("3 full, first 4 fixed", "4 of this side’s links should be fixed, but it has 3.")]
    [InlineData("sevenfull", "is no group of links")]
    [InlineData("umpteen full", "is no group of links")]
    [InlineData("first umpteen fixed", "is no group of links")]
    public void A_row_that_cannot_be_is_refused(string typed, string said)
    {
        LinkRowText.TryParse(typed, new NamedPitches(Length.FromMillimetres(8.2m), null), out _, out var why).ShouldBeFalse();
        why.ShouldNotBeNull().ShouldContain(said);
    }
}
