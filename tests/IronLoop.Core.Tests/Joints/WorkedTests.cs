using IronLoop.Core.Bench;
using IronLoop.Core.Joints;
using IronLoop.Core.Tests.Bench;

namespace IronLoop.Core.Tests.Joints;

/// <summary>What hands cannot do is refused, in words that name the thing.</summary>
public class WorkedTests
{
    [Fact]
    public void What_is_in_the_watch_is_not_laid_there_again_and_what_is_not_cannot_come_out_of_it()
    {
        var from = FromTheWatch.Of(BenchJobs.Own(plan: null, band: BenchJobs.Bracelet(spares: 2)));
        var hangs = from.Things.First(t => t is { Kind: ThingKind.Link, Place: Place.Watch }).Id;
        var loose = from.Things.First(t => t is { Kind: ThingKind.Link, Place: not Place.Watch }).Id;
        Refused(from, new Act.Lay(hangs, [])).ShouldBe($"{hangs} is in the watch.");
        Refused(from, new Act.Remove(loose, [])).ShouldBe($"{loose} is not in the watch.");
        Refused(from, new Act.Remove(hangs, [])).ShouldEndWith("still holds it.");
        Refused(from, new Act.Remove("link-of-none", [])).ShouldContain("link-of-none");
    }

    [Fact]
    public void What_is_told_of_a_piece_of_work_without_a_word_on_it_can_be_undone()
    {
        var told = ToldAct.Tell(new Act.Prepare("end-12", Shaping.File, null, false));
        (told with { Irreversible = null }).Hear().ShouldBe(new Act.Prepare("end-12", Shaping.File, null, false));
        ToldAct.Tell(new Act.Prepare("end-12", Shaping.File, null, true)).Hear().ShouldBe(new Act.Prepare("end-12", Shaping.File, null, true));
    }

    private static string Refused(Stand from, Act act) => Worked.Of(from).WhyNot(act).ShouldNotBeNull();
}
