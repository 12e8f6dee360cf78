using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;

namespace IronLoop.Core.Tests.Jobs;

public class QuestionsTests
{
    public static TheoryData<Request> AtTheCounter => [.. Questions.Counter.Select(r => r.Request)];

    [Theory]
    [MemberData(nameof(AtTheCounter))]
    public void A_request_is_asked_all_it_must_have_and_nothing_it_has_no_use_for(Request request)
    {
        var needs = Needs.Of(request, byHand: true);
        var about = Questions.AtTheCounter(request).Select(q => q.About).ToHashSet();
        about.ShouldBe(needs.Must.Concat(needs.Sharpens).Intersect(about), ignoreOrder: true);
        // What a place or a part is of is asked with it.
        needs.Must.Where(m => m != Asked.OnTheWatch || Needs.ToldBy(request) is null).ShouldBeSubsetOf(about);
    }

    [Fact]
    public void What_is_told_by_hand_is_told_by_a_count_a_place_a_part_or_a_band_of_the_owner_s() =>
        Enum.GetValues<Request>().Where(r => Questions.ByHand(r).Count > 0).ShouldBe([
            Request.TakeLinksOut, Request.PutLinksIn, Request.Refit, Request.PositionOnly, Request.ReplacePart, Request.PutOwnBandOn], ignoreOrder: true);

    [Theory]
    [MemberData(nameof(AtTheCounter))]
    public void A_question_hangs_only_on_an_answer_that_can_be_given_before_it(Request request)
    {
        var asked = Questions.AtTheCounter(request);
        asked.Select(q => q.Ask).ShouldBeUnique();
        foreach (var (question, i) in asked.Select((q, i) => (q, i)))
            if (question.When is { } when)
                when.Is.ShouldBeSubsetOf(asked.Take(i).Single(q => q.Ask == when.Ask).Choices.Select(c => c.Value));
    }
}
