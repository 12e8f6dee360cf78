using IronLoop.Core.Fitting;
using IronLoop.Core.Jobs;

namespace IronLoop.Core.Tests.Jobs;

public class ConditionPictureTests
{
    [Fact]
    public void Every_place_is_on_the_drawing_once_has_a_word_and_lies_over_no_other()
    {
        var places = ConditionPicture.Places;
        places.Select(p => p.Place).Order().ShouldBe(Enum.GetValues<DamagePlace>().Order());
        places.Select(p => p.Says).Distinct().Count().ShouldBe(places.Count);
        foreach (var a in places)
            foreach (var b in places.Where(b => b != a))
                (a.X + a.Width <= b.X || b.X + b.Width <= a.X || a.Y + a.Height <= b.Y || b.Y + b.Height <= a.Y).ShouldBeTrue($"{a.Says} and {b.Says}");
    }

    [Fact]
    public void Marks_bear_the_number_they_are_listed_under_and_those_on_one_place_stand_apart()
    {
        var picture = ConditionPicture.Of([DamagePlace.Crown, DamagePlace.Crystal, DamagePlace.Crown]);
        var numbers = picture.Words.Where(w => w.Role == PaintRole.Number).ToDictionary(w => w.Text);
        numbers.Keys.Order().ShouldBe(["1", "2", "3"]);
        numbers["2"].X.ShouldBe(20, "in the middle of the crystal");
        (numbers["3"].X - numbers["1"].X).ShouldBeGreaterThanOrEqualTo(4.2m, "two dots of 4.2 mm do not cover one another");
        picture.Shapes.Count(s => s.Role == PaintRole.Dot).ShouldBe(3);
    }
}
