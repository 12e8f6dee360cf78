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
    [InlineData("", 0, 0, 0)]
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
}
