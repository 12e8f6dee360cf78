using IronLoop.Core.Bench;

namespace IronLoop.Core.Tests.Bench;

/// <summary>The step lists of every kind of work lie as text, so that a change of words or order is read before it is kept.</summary>
public class StepListsTests
{
    public static TheoryData<string> Names => [.. BenchJobs.All.Select(j => j.Name)];

    [Theory]
    [MemberData(nameof(Names))]
    public void The_list_is_the_one_that_was_read_aloud(string name)
    {
        var facts = BenchJobs.All.Single(j => j.Name == name).Facts;
        var from = FromTheWatch.Of(facts);
        Kept.Agree(name, Kept.Read(BenchSteps.Left(facts, ToTheWatch.Plan(facts, from, from), [])
            .Select(s => new KeptStep(s.Row.ToString(), s.Round, s.Says, s.Tool, s.Direction, s.FallsOut, s.Caution))));
    }
}
