using CsCheck;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Jobs;
using IronLoop.Core.Matching;
using IronLoop.Core.Tests.Fitting;
using IronLoop.Core.Tray;
using static IronLoop.Core.Tests.Bench.BenchJobs;

namespace IronLoop.Core.Tests.Bench;

/// <summary>One side may give the other a link: whatever is planned, every link is loose before it is to go in.</summary>
public class GivenLinksTests
{
    private static BenchFacts Facts(PlanRequest request, Arrangement plan, Fastener fastener = Fastener.SplitPin)
    {
        var band = Bracelet() with { Links = request.Bracelet, Spares = request.Spares, Clasp = request.Clasp };
        return new BenchFacts(Attachment.SpringBarDrilled, band, plan, new BenchSetup(fastener));
    }

    /// <summary>Works the steps; a part that is not where it is taken from ends the test.</summary>
    private static TrayLedger Work(BenchFacts facts, TrayLedger? ledger = null) =>
        BenchSteps.Of(facts).Aggregate(ledger ?? TrayLedger.Open(BenchSteps.Opening(facts)), (now, step) => now.With(step.Moves));

    [Fact]
    public void Every_plan_of_any_bracelet_can_be_worked_step_by_step() =>
        RandomRequests.Tied.Sample(
            request =>
            {
                var plan = Arrangement.Of(request.Bracelet, Planner.Recommend(request));
                var facts = Facts(request, plan);
                var opening = TrayLedger.Open(BenchSteps.Opening(facts));
                var end = Work(facts);
                foreach (var part in end.Parts)
                    end.Total(part).ShouldBe(opening.Total(part));
                // A link that fits its own side alone is called as the others of its length are.
                foreach (var loose in plan.LooseLinks(request.Spares).GroupBy(l => $"links of {l.Kind}"))
                    end[loose.Key, TrayPlace.Tray].ShouldBe(loose.Sum(l => l.Count));
            },
            iter: 2_000);

    [Fact]
    public void A_side_that_gives_the_other_a_link_is_worked_first()
    {
        // The 6 side has more to do, but its new link comes out of the 12 side.
        var request = Request();
        var plan = new Arrangement([.. Row(LinkFate.Leaves), Half(LinkFate.Stays)], [.. Row(LinkFate.Stays), Half(LinkFate.Leaves), Full(LinkFate.Joins)], 1);
        BenchSteps.FirstSide(plan).ShouldBe(Side.Six);
        var facts = Facts(request, plan);
        BenchSteps.First(facts).ShouldBe(Side.Twelve);
        Work(facts)["links of 4 mm", TrayPlace.Tray].ShouldBe(1);
        BenchSteps.First(facts with { Band = facts.Band with { Spares = [new SpareLinks(Mm(8), 1)] } }).ShouldBe(Side.Six, "with a loose link in the bag it need not wait for the other side");
    }

    [Fact]
    public void Where_each_gives_the_other_a_link_both_are_done_before_the_try_on()
    {
        var request = Request();
        var plan = new Arrangement([.. Row(LinkFate.Leaves), Half(LinkFate.Stays), Half(LinkFate.Joins)], [.. Row(LinkFate.Stays), Half(LinkFate.Leaves), Full(LinkFate.Joins)], 1);
        var facts = Facts(request, plan);
        BenchSteps.First(facts).ShouldBeNull();
        var end = Work(facts);
        end.In(TrayPlace.Tray).ShouldBeEmpty("the links changed sides, nothing is left over");
        var steps = BenchSteps.Of(facts);
        steps.Select(s => s.Key).ShouldBeUnique();
        steps.Select(s => s.Part).Distinct().ShouldBeInOrder();
        steps.ShouldNotContain(s => s.Part == BenchPart.SecondSide);
        steps.Single(s => s.Kind == StepKind.TryOn).What.ShouldContain("Both sides had to be opened");
    }

    [Fact]
    public void Over_a_try_on_that_changes_the_plan_every_link_is_still_loose_before_it_goes_in() =>
        Gen.Select(RandomRequests.Tied, Gen.Int[-12, 12]).Sample(
            (request, felt) =>
            {
                var plan = Arrangement.Of(request.Bracelet, Planner.Recommend(request));
                var facts = Facts(request, plan);
                var ledger = BenchSteps.Of(facts).TakeWhile(s => s.Kind != StepKind.TryOn).Aggregate(TrayLedger.Open(BenchSteps.Opening(facts)), (now, step) => now.With(step.Moves));
                var (worked, came) = (BenchSteps.First(facts), Arrangement.AsItIs(request.Bracelet, request.Clasp));
                var lies = new Arrangement(worked == Side.Six ? came.Twelve : plan.Twelve, worked == Side.Twelve ? came.Six : plan.Six, request.Clasp.Position);
                var first = worked ?? BenchSteps.FirstSide(plan);
                var target = request.Target with { Length = request.Target.Length + Mm(felt) };
                var tried = TriedOn.Of(facts.Band, lies, plan, first, target, null);
                Work(facts with { Plan = tried.Plan, Before = lies, Round = 2, FirstSide = first }, ledger);
            },
            iter: 2_000);

    private static PlanRequest Request() => new(
        new Bracelet([.. Row(LinkFate.Stays).Select(Came), Came(Half(LinkFate.Stays))], [.. Row(LinkFate.Stays).Select(Came), Came(Half(LinkFate.Stays))]), [], Clasp,
        new FitTarget(Mm(120), Mm(2.5m), PlanRequest.HouseTolerance), PlanRequest.HouseCentring, PlanRequest.HouseReserve);

    private static Link Came(PlacedLink link) => new(link.Pitch, link.Fate != LinkFate.Fixed);

    private static PlacedLink[] Row(LinkFate last) => [new(Mm(9), LinkFate.Fixed), .. Enumerable.Repeat(Full(LinkFate.Stays), 4), Full(last)];

    private static PlacedLink Full(LinkFate fate) => new(Mm(8), fate);

    private static PlacedLink Half(LinkFate fate) => new(Mm(4), fate);
}
