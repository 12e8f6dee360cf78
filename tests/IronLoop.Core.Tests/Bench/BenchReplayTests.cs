using IronLoop.Core.Bench;
using IronLoop.Core.Joints;
using IronLoop.Replay;

namespace IronLoop.Core.Tests.Bench;

public class BenchReplayTests
{
    public static TheoryData<string> Names => [.. BenchJobs.All.Select(j => j.Name)];

    [Theory]
    [MemberData(nameof(Names))]
    public void Every_kind_of_work_can_be_worked_and_ends_as_agreed(string name)
    {
        var facts = BenchJobs.All.Single(j => j.Name == name).Facts;
        var from = FromTheWatch.Of(facts);
        var plan = ToTheWatch.Plan(facts, from, from);
        var steps = BenchSteps.Left(facts, plan, []);
        Replayed.FaultsOf(Told.Bench(plan, steps)).ShouldBeEmpty(string.Join('\n', steps.Select(s => $"{s.Key}: {s.Says} {string.Join(' ', s.Acts.Select(a => ToldAct.Tell(a)))}")));
    }
}
