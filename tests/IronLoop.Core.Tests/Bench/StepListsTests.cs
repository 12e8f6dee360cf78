using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Joints;

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
        var steps = BenchSteps.Left(facts, ToTheWatch.Plan(facts, from, from), []);
        var half = After(from, steps.Take(steps.Count / 2));
        var to = After(from, steps);
        Kept.Agree(name, $"""
            {Kept.Read(steps.Select(s => new KeptStep(s.Row.ToString(), s.Round, s.Says, s.Tool, s.Direction, s.FallsOut, s.Caution, Where(s.Where))))}
            Half way: {OrNothing(TrayLine.Of(from, half, to).Select(l => $"{l.What} of {l.Fits ?? "nothing"}: {string.Join(", ", l.Count.OrderBy(c => c.Key).Select(c => $"{c.Value} {c.Key}"))}{(l.FromStock > 0 ? $", {l.FromStock} from stock" : "")}"))}
            In the tray then: {Lies(from, half, Place.Tray)}
            In the bag: {Lies(from, to, Place.Bag)}

            """);
    }

    [Fact]
    public void A_step_s_name_tells_the_round_from_the_second_on_and_is_no_other_s()
    {
        var rounds = 0;
        foreach (var (name, facts) in BenchJobs.All)
        {
            var from = FromTheWatch.Of(facts);
            var steps = BenchSteps.Left(facts, ToTheWatch.Plan(facts, from, from), []);
            steps.Select(s => s.Key).ShouldBeUnique(name);
            foreach (var step in steps)
                step.Key.StartsWith($"r{step.Round}-", StringComparison.Ordinal).ShouldBe(step.Round > 1, $"{name}: {step.Key}");
            rounds = Math.Max(rounds, steps.Max(s => s.Round));
        }
        rounds.ShouldBeGreaterThan(1);
    }

    private static string? Where(BenchPlace? place) => place is null ? null : string.Join(", ", ((string?[])
    [
        place.Side is { } side ? $"{PlanWords.Name(side)} side" : null,
        place.AtLugs ? "at the lugs" : null,
        place.AtClasp ? "at the clasp" : null,
        place.Joints is { Count: > 0 } joints ? $"joints {string.Join(' ', joints)}" : null,
        place.Links is { Count: > 0 } links ? $"links {string.Join(' ', links.Select(l => l + 1))}" : null,
    ]).OfType<string>());

    private static Stand After(Stand from, IEnumerable<BenchStep> steps) => Worked.After(from, steps.SelectMany(s => s.Acts)).Stand;

    private static string Lies(Stand from, Stand stand, Place place) =>
        OrNothing(TrayLine.In(from, stand, place).Select(l => $"{l.Count} {l.What}{(l.Fits.Length > 0 ? $" ({l.Fits})" : "")}"));

    private static string OrNothing(IEnumerable<string> said) => string.Join("; ", said.DefaultIfEmpty("nothing"));
}
