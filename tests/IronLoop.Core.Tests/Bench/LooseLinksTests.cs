using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Joints;
using static IronLoop.Core.Tests.Bench.BenchJobs;

namespace IronLoop.Core.Tests.Bench;

/// <summary>Links that lie loose when the plan changes: which of them go in again, what of a run stays joined, and where the rest goes.</summary>
public class LooseLinksTests
{
    [Fact]
    public void A_run_that_goes_back_whole_stays_joined()
    {
        var (plan, done, now) = TriedOn(Own(plan: new Arrangement(Lie(4, 2), Lie(6, 0), 2)));
        Run(now).Count.ShouldBe(1, "two links came out as a run");
        var left = Again(Own(plan: new Arrangement(Lie(6, 0), Lie(6, 0), 2)), plan, done, now);
        OpenedOf(left, Run(now)).ShouldBe(0);
        left.ShouldContain(s => s.Acts.Any(a => a is Act.Close), "they go in");
    }

    [Fact]
    public void Of_a_run_of_three_one_that_goes_back_is_taken_from_its_end()
    {
        var (plan, done, now) = TriedOn(Own(plan: new Arrangement(Lie(3, 3), Lie(6, 0), 2)));
        Run(now).Count.ShouldBe(2, "three links came out as a run");
        OpenedOf(Again(Own(plan: new Arrangement(Lie(4, 2), Lie(6, 0), 2)), plan, done, now), Run(now)).ShouldBe(1, "the two others stay joined");
    }

    [Fact]
    public void A_link_from_stock_that_is_not_wanted_after_all_goes_back_to_its_drawer_with_its_pin()
    {
        var facts = Own(plan: new Arrangement(Lie(6, 0, 2), Lie(6, 0), 1)) with { FromStock = [new StockLinks(new LinkKind(Mm(8)), 2, "LK-80", "drawer D")] };
        var from = FromTheWatch.Of(facts);
        var fetched = BenchSteps.Left(facts, ToTheWatch.Plan(facts, from, from), []).TakeWhile(s => s.Row != StepRow.Open).SelectMany(s => s.Acts).ToList();
        var lies = Worked.After(from, fetched).Stand;
        var spare = lies.Things.Where(t => t.Id.StartsWith("spare.", StringComparison.Ordinal)).ToList();
        spare.ShouldAllBe(t => t.Place == Place.Tray);
        spare.ShouldContain(t => t.Of != null && t.Article.Length == 0, "a pin is no article of its own");
        var to = ToTheWatch.Plan(facts with { Plan = new Arrangement(Lie(6, 0, 1), Lie(6, 0), 1) }, from, lies).To;
        spare.GroupBy(t => to[t.Id].Place).ToDictionary(g => g.Key, g => g.Count())
            .ShouldBe(new Dictionary<Place, int> { [Place.Watch] = spare.Count / 2, [Place.Drawer] = spare.Count / 2 }, ignoreOrder: true);
    }

    /// <summary>Worked up to its first try-on, that one with it.</summary>
    private static (BenchPlan Plan, IReadOnlyList<DoneStep> Done, Worked Now) TriedOn(BenchFacts facts)
    {
        var from = FromTheWatch.Of(facts);
        var plan = ToTheWatch.Plan(facts, from, from);
        var all = BenchSteps.Left(facts, plan, []).ToList();
        IReadOnlyList<DoneStep> done = [.. all.Take(all.FindIndex(s => s.Row == StepRow.TryOn) + 1).Select(Told.Done)];
        return (plan, done, Worked.After(from, done.SelectMany(d => d.Acts)));
    }

    private static IReadOnlyList<BenchStep> Again(BenchFacts facts, BenchPlan plan, IReadOnlyList<DoneStep> done, Worked now) =>
        BenchSteps.Left(facts, ToTheWatch.Plan(facts, plan.From, now.Stand, new SoFar(now.TryOns, done[^1].Round)), done);

    /// <summary>The joints between links that are out and joined.</summary>
    private static IReadOnlyList<string> Run(Worked now) =>
        [.. now.Stand.Joints.Where(j => j.Closed && now.Stand[j.A] is { Kind: ThingKind.Link, Place: not Place.Watch } && now.Stand[j.B].Kind == ThingKind.Link).Select(j => j.Id)];

    private static int OpenedOf(IEnumerable<BenchStep> steps, IReadOnlyList<string> joints) =>
        steps.SelectMany(s => s.Acts).OfType<Act.Open>().Count(o => joints.Contains(o.Joint));
}
