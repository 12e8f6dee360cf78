using IronLoop.Core.Bench;
using IronLoop.Core.Joints;

namespace IronLoop.Core.Tests.Bench;

/// <summary>The picture shows the way round that the words tell.</summary>
public class HandPictureTests
{
    [Fact]
    public void Where_a_picture_shows_an_arrow_the_words_say_the_same_way()
    {
        var shown = 0;
        foreach (var (name, facts) in BenchJobs.All)
        {
            if (RandomJobs.PlanOf(facts) is not { } plan)
                continue;
            foreach (var step in BenchSteps.Left(facts, plan, []).Where(s => s.Picture is not null))
            {
                shown++;
                var said = step.Picture switch
                {
                    HandPicture.OutInTheBlock or HandPicture.InAlongTheArrow => "arrow down",
                    HandPicture.InAgainstTheArrow => "arrow up",
                    HandPicture.ForkFromBehind => "ork",
                    HandPicture.PointFromOutside => "p",
                    HandPicture.Lever => "lever",
                    _ => "",
                };
                step.How.ShouldContain(said, Case.Insensitive, $"{name}: {step.Says}");
            }
        }
        shown.ShouldBeGreaterThan(40);
    }

    [Theory]
    [InlineData(ToolFamily.HandPusher)]
    [InlineData(ToolFamily.ScrewPress)]
    public void No_block_is_drawn_where_none_is_used(ToolFamily family) =>
        HandPictures.Of(true, Fastener.SplitPin, false, false, family, true).ShouldBeNull();
}
