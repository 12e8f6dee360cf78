using IronLoop.Core.Matching;

namespace IronLoop.Core.Tests.Matching;

public class ClaspKeyTests
{
    // What a fitter sees of each kind.
    public static TheoryData<ClaspKind?, ClaspQuestion[]> Seen => new()
    {
        { ClaspKind.PinBuckle, [ClaspQuestion.Tongue] },
        { ClaspKind.StrapFolding, [ClaspQuestion.Folds, ClaspQuestion.StrapEnd] },
        { ClaspKind.Butterfly, [ClaspQuestion.Folds, ClaspQuestion.Buttons] },
        { ClaspKind.FoldOver, [ClaspQuestion.Folds] },
        { ClaspKind.Extending, [ClaspQuestion.Folds, ClaspQuestion.SecondFold] },
        { ClaspKind.Slide, [ClaspQuestion.Folds, ClaspQuestion.Flap] },
        { null, [] },
    };

    [Theory]
    [MemberData(nameof(Seen))]
    public void What_is_seen_leads_to_the_kind(ClaspKind? kind, ClaspQuestion[] yes) => ClaspKey.Follow(yes.Contains).ShouldBe(kind);

    [Fact]
    public void Every_question_is_reached_and_every_answer_ends()
    {
        var reached = new HashSet<ClaspQuestion> { ClaspKey.Steps[0].Question };
        foreach (var step in ClaspKey.Steps)
        {
            reached.ShouldContain(step.Question, "a question comes after the one that leads to it");
            foreach (var lead in (ClaspLead[])[step.Yes, step.No])
                if (lead.Ask is { } next)
                    reached.Add(next).ShouldBeTrue("no question is asked twice");
        }
        reached.Count.ShouldBe(ClaspKey.Steps.Count);
        ClaspKey.Steps.SelectMany(s => (ClaspKind?[])[s.Yes.Kind, s.No.Kind]).OfType<ClaspKind>().Order().ShouldBe(Enum.GetValues<ClaspKind>());
    }

    [Theory]
    [InlineData("fold-over with safety flap", ClaspKind.FoldOver)]
    [InlineData("Butterfly with push buttons", ClaspKind.Butterfly)]
    [InlineData("pin buckle", ClaspKind.PinBuckle)]
    [InlineData("extending fold-over", ClaspKind.Extending)]
    [InlineData("folding clasp", ClaspKind.StrapFolding)]
    [InlineData("slide clasp", ClaspKind.Slide)]
    [InlineData("a hook", null)]
    public void A_clasp_s_name_speaks_of_its_kind(string name, ClaspKind? kind) => ClaspWords.KindOf(name).ShouldBe(kind);
}
