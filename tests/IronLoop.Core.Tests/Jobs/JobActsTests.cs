using IronLoop.Core.Bench;
using IronLoop.Core.Jobs;
using IronLoop.Core.Joints;
using IronLoop.Core.Matching;
using IronLoop.Core.Shelf;
using static IronLoop.Core.Tests.Bench.BenchJobs;

namespace IronLoop.Core.Tests.Jobs;

/// <summary>What may be done, and why not.</summary>
public class JobActsTests
{
    private static readonly StockBand Band = new(7, "SK-1", "Calf strap", null, "", "tan", 2_000, 1, Strap());

    [Fact]
    public void A_band_may_be_chosen_that_goes_on_and_is_there_though_it_does_not_close_right_on_this_wearer()
    {
        static Judgement Rules(params RuleVerdict[] rules) => new(rules);
        var (fits, wearer) = (new RuleVerdict("finish", Verdict.Fits, "Same finish."), new RuleVerdict(WearerRule.Name, Verdict.No, "Too short for this wrist."));
        Band.MayBeChosen(Rules(fits, wearer), 1).Ok.ShouldBeTrue();
        Band.MayBeChosen(Rules(fits, wearer, new RuleVerdict("lug-width", Verdict.No, "2 mm too wide.")), 1).Why.ShouldBe("Calf strap does not go on this watch. 2 mm too wide.");
        Band.MayBeChosen(Rules(fits), 0).Why.ShouldBe("Calf strap is not in stock, or all are chosen for other jobs.");
        Band.MayBeChosen(Rules(new RuleVerdict("bar", Verdict.Work, "Needs a bar.")), 1).Ok.ShouldBeTrue("work is agreed later");
    }

    [Fact]
    public void Steps_are_done_in_order_and_taken_back_from_the_last()
    {
        var facts = Own();
        var from = FromTheWatch.Of(facts);
        var all = BenchSteps.Left(facts, ToTheWatch.Plan(facts, from, from), []);
        DoneStep[] done = [.. all.Take(2).Select(s => new DoneStep(s.Key, s.Row, s.Round, s.Acts))];
        IReadOnlyList<BenchStep> left = [.. all.Skip(2)];
        BenchSteps.WhyNot(left, done, all[2].Key, tick: true).ShouldBeNull();
        BenchSteps.WhyNot(left, done, all[3].Key, tick: true).ShouldBe($"First: {all[2].Says}");
        BenchSteps.WhyNot(left, done, all[0].Key, tick: true).ShouldBe("That step is done already.");
        BenchSteps.WhyNot(left, done, "polish", tick: true).ShouldBe("There is no such step in this plan.");
        BenchSteps.WhyNot(left, done, all[1].Key, tick: false).ShouldBeNull();
        BenchSteps.WhyNot(left, done, all[0].Key, tick: false).ShouldBe("Take back first what was done after it.");
        BenchSteps.WhyNot(left, done, all[2].Key, tick: false).ShouldBe("That step is not done yet.");
        BenchSteps.WhyNot(all, [], all[0].Key, tick: false).ShouldBe("That step is not done yet.");
        BenchSteps.WhyNot([], done, all[2].Key, tick: true).ShouldBe("There is no such step in this plan.");
    }
}
