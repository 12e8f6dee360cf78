using System.Text.Json;
using CsCheck;
using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Tests.Fitting;

public class PlannerTests
{
    public static TheoryData<string> WorkedPlans => [.. Cases.Open("plan.json").GetProperty("cases").EnumerateArray().Select(c => c.GetRawText())];

    [Theory]
    [MemberData(nameof(WorkedPlans))]
    public void Agrees_with_the_worked_plans_to_the_micrometre(string json)
    {
        var worked = JsonDocument.Parse(json).RootElement;
        var expected = worked.GetProperty("expected");
        var plan = Planner.Recommend(Cases.PlanRequest(worked.GetProperty("request")));

        Counts(expected.GetProperty("twelve")).ShouldBe(NotNought(plan.Twelve));
        Counts(expected.GetProperty("six")).ShouldBe(NotNought(plan.Six));
        (plan.On(Side.Twelve), plan.On(Side.Six)).ShouldBe((plan.Twelve, plan.Six));
        plan.Position.ShouldBe(expected.GetProperty("position").GetInt32());
        plan.Figures.Length.Millimetres.ShouldBe(expected.GetProperty("lengthMm").GetDecimal());
        plan.Figures.OffCentreMillimetres.ShouldBe(expected.GetProperty("offCentreMm").GetDecimal());
        plan.Figures.Misfit.Millimetres.ShouldBe(expected.GetProperty("misfitMm").GetDecimal());
        plan.Figures.TroubleMillimetres.ShouldBe(expected.GetProperty("troubleMm").GetDecimal());
        plan.Figures.WanderMillimetres.ShouldBe(expected.GetProperty("wanderMm").GetDecimal());
        plan.Figures.Shortfall.Millimetres.ShouldBe(expected.GetProperty("shortfallMm").GetDecimal());
        plan.Figures.LinksMoved.ShouldBe(expected.GetProperty("linksMoved").GetInt32());
        plan.Figures.Tighter.Millimetres.ShouldBe(expected.GetProperty("tighterMm").GetDecimal());
        plan.Figures.Looser.Millimetres.ShouldBe(expected.GetProperty("looserMm").GetDecimal());
    }

    [Fact]
    public void A_house_starts_with_a_millimetre_and_a_half_of_tolerance_two_off_the_middle_and_two_left_each_way()
    {
        PlanRequest.HouseTolerance.ShouldBe(Length.FromMillimetres(1.5m));
        PlanRequest.HouseCentring.ShouldBe(new Centring(Length.Zero, Length.FromMillimetres(2)));
        PlanRequest.HouseReserve.ShouldBe(new Reserve(Length.FromMillimetres(2), Length.FromMillimetres(2)));
    }

    [Fact]
    public void Answers_the_same_as_trying_every_combination() =>
        Gen.OneOf(RandomRequests.Small, RandomRequests.Tied).Sample(
            request =>
            {
                var every = EveryArrangement.InOrder(request);
                var answer = Planner.Answer(request);
                Same(answer.Recommended, every[0]);

                var unbeaten = every.Where(t => !every.Any(o => o.Beats(t))).Skip(1).Take(Planner.MostAlternatives).ToList();
                answer.Alternatives.Count.ShouldBe(unbeaten.Count);
                for (var i = 0; i < unbeaten.Count; i++)
                    Same(answer.Alternatives[i], unbeaten[i]);

                // What can be made does not ask how links are shared out.
                var lengths = EveryArrangement.InOrder(request with { Odd = OddLink.AsComputed })
                    .Where(t => t.Wander == 0).Select(t => t.Length).Distinct().Order().ToList();
                answer.Reach.Lengths.Select(l => l.Length.Millimetres).ShouldBe(lengths);
            },
            iter: Often.Asked(750));

    [Fact]
    public void With_the_need_known_so_well_the_likeliest_comes_first_and_then_the_same_order() =>
        Gen.Select(Gen.OneOf(RandomRequests.Small, RandomRequests.Tied), Gen.Int[300, 4_000]).Sample(
            (request, sigma) =>
            {
                var known = request with { Target = request.Target with { Sigma = new Length(sigma) } };
                var every = EveryArrangement.InOrder(request);
                var chances = every.GroupBy(t => string.Join(',', t.Twelve.Concat(t.Six))).ToDictionary(g => g.Key, g => EveryArrangement.Chance(request, [.. g], sigma / 1000.0));
                double Of(EveryArrangement.Tried t) => chances[string.Join(',', t.Twelve.Concat(t.Six))];
                // On the very edge of a step the last digit of the chance decides.
                if (chances.Values.Any(c => Math.Abs(20 * c - Math.Round(20 * c)) is > 1e-8 and < 1e-5))
                    return;
                static int Step(double chance) => (int)Math.Floor(20 * chance + 1e-6);
                var first = every.OrderByDescending(t => Step(Of(t))).First();
                var answer = Planner.Answer(known);
                Same(answer.Recommended, first);
                Same(Planner.Recommend(known), first);
                answer.Recommended.Figures.Chance.ShouldNotBeNull().ShouldBe(Of(first), 1e-5);
                answer.Alternatives.Zip(answer.Alternatives.Skip(1)).All(a => Step(a.First.Figures.Chance!.Value) >= Step(a.Second.Figures.Chance!.Value)).ShouldBeTrue();
                answer.Alternatives.ShouldNotContain(a => a.IsLike(answer.Recommended));
                Planner.Answer(request).Recommended.Figures.Chance.ShouldBeNull();
            },
            iter: Often.Asked(500));

    [Fact]
    public void Too_many_arrangements_to_weigh_by_chance_keep_the_order_without_it_and_say_so()
    {
        Link[] row = [.. Enumerable.Range(0, 28).Select(i => new Link(new Length(5_000 + 1_301 * (i % 4)), Removable: true))];
        var clasp = new BraceletClasp(new(20_000), new(20_000), Side.Twelve, 200, new(100), 100);
        var request = new PlanRequest(
            new Bracelet(row, row), [], clasp, new FitTarget(new(180_000), new(2_500), new(1_500)), PlanRequest.HouseCentring, PlanRequest.HouseReserve);
        var known = request with { Target = request.Target with { Sigma = new(1_500) }, Effort = new Effort() };
        var (with, without) = (Planner.Recommend(known), Planner.Recommend(request with { Effort = new Effort() }));
        with.IsLike(without).ShouldBeTrue();
    }

    [Theory]
    [InlineData(0.004, "under 1 %")]
    [InlineData(0.455, "46 %")]
    [InlineData(0.99, "99 %")]
    [InlineData(0.997, "over 99 %")]
    public void A_chance_is_told_in_whole_percents_and_never_as_nought_or_certain(double chance, string says) => FirstTimeChance.Says(chance).ShouldBe(says);

    [Fact]
    public void What_is_made_only_off_the_middle_is_told_apart() =>
        RandomRequests.Small.Sample(
            request =>
            {
                var every = EveryArrangement.InOrder(request with { Odd = OddLink.AsComputed });
                var inPlace = every.Where(t => t.Wander == 0).Select(t => t.Length).ToHashSet();
                Reach.OffItsPlace(request).Select(l => l.Millimetres)
                    .ShouldBe(every.Select(t => t.Length).Where(l => !inPlace.Contains(l)).Distinct().Order());
            },
            iter: Often.Asked(125));

    [Fact]
    public void Going_by_links_moved_one_by_one_answers_the_same() =>
        Gen.OneOf(RandomRequests.Small, RandomRequests.Tied).Sample(
            request =>
            {
                var (steps, one) = (new PlanSearch(request).First(6), new PlanSearch(request, few: 0).First(6));
                one.Count.ShouldBe(steps.Count);
                for (var i = 0; i < one.Count; i++)
                    (one[i].Position, one[i].Figures, Told(one[i])).ShouldBe((steps[i].Position, steps[i].Figures, Told(steps[i])));
                Told(new PlanSearch(request, few: 0).First(1)[0]).ShouldBe(Told(steps[0]));
            },
            iter: Often.Asked(500));

    [Fact]
    public void The_largest_bracelet_taken_is_planned()
    {
        // 30 links a side of four pitches evenly mixed, 40 spares, 400 positions: no request that is taken may be larger.
        var pitches = new[] { 6.3m, 4.7m, 5.2m, 3.9m };
        Link[] row = [.. Enumerable.Range(0, 30).Select(i => new Link(Length.FromMillimetres(pitches[i % 4]), true))];
        foreach (var target in new[] { 90m, 160m, 220m, 300m, 400m })
        {
            var plan = Planner.Recommend(new PlanRequest(
                new Bracelet(row, row), [.. pitches.Select(p => new SpareLinks(Length.FromMillimetres(p), 10))],
                new BraceletClasp(Length.FromMillimetres(20), Length.FromMillimetres(22), Side.Six, 400, Length.FromMillimetres(0.1m), 100),
                new FitTarget(Length.FromMillimetres(target), Length.FromMillimetres(2.5m), PlanRequest.HouseTolerance), PlanRequest.HouseCentring, PlanRequest.HouseReserve));
            plan.Figures.TroubleMillimetres.ShouldBe(0, $"so many links make {target} mm exactly enough");
        }
    }

    private static string Told(Plan plan) => string.Join(' ', plan.Twelve.Concat(plan.Six).Select(c => $"{c.Kind}×{c.Count}"));

    [Fact]
    public void A_plan_told_link_by_link_comes_to_the_plans_own_figures() =>
        RandomRequests.Small.Sample(
            request =>
            {
                var plan = Planner.Recommend(request);
                Planner.Judge(request, Arrangement.Of(request.Bracelet, plan)).ShouldBe(plan.Figures);
            },
            iter: Often.Asked(250));

    [Fact]
    public void Links_that_leave_one_side_are_a_run_that_ends_at_the_clasp()
    {
        var bracelet = new Bracelet(
            [.. Enumerable.Range(0, 8).Select(i => new Link(Length.FromMillimetres(8), i >= 2))],
            [.. Enumerable.Range(0, 8).Select(i => new Link(Length.FromMillimetres(8), i >= 2))]);
        var clasp = new BraceletClasp(Length.FromMillimetres(20), Length.FromMillimetres(20), Side.Twelve, 4, Length.FromMillimetres(2.5m), 1);
        var request = new PlanRequest(bracelet, [], clasp,
            new FitTarget(Length.FromMillimetres(138), Length.FromMillimetres(2.5m), PlanRequest.HouseTolerance),
            PlanRequest.HouseCentring, PlanRequest.HouseReserve);

        var arrangement = Arrangement.Of(bracelet, Planner.Recommend(request));

        arrangement.LinksMoved().ShouldBe(4);
        foreach (var side in (Side[])[Side.Twelve, Side.Six])
        {
            arrangement.On(side).SkipWhile(l => l.InLoop).ShouldAllBe(l => l.Fate == LinkFate.Leaves);
            arrangement.On(side).Take(2).ShouldAllBe(l => l.Fate == LinkFate.Fixed);
        }
    }

    [Fact]
    public void Between_two_sizes_it_names_both_and_what_closes_the_gap()
    {
        // Links of 12 mm and no micro-adjust: 112 or 124, never 118.
        Link[] row = [new(Length.FromMillimetres(12), false), .. Enumerable.Repeat(new Link(Length.FromMillimetres(12), true), 3)];
        var clasp = new BraceletClasp(Length.FromMillimetres(20), Length.FromMillimetres(20), Side.Twelve, 1, Length.Zero, 0);
        var request = new PlanRequest(new Bracelet(row, row), [], clasp,
            new FitTarget(Length.FromMillimetres(118), Length.FromMillimetres(2.5m), PlanRequest.HouseTolerance),
            new Centring(Length.Zero, Length.FromMillimetres(6)), PlanRequest.HouseReserve);

        var answer = Planner.Answer(request);

        answer.Recommended.Figures.Misfit.ShouldBe(Length.FromMillimetres(3.5m));
        answer.Reach.GapAt(request.Target.Length, request.Target.Window)
            .ShouldBe((Length.FromMillimetres(112), Length.FromMillimetres(124)));
        answer.Says.ShouldStartWith("No arrangement can be worn");
        answer.Says.ShouldContain("112.0 mm or 124.0 mm");
        answer.Says.ShouldContain("A half link of 6 mm would close the gap.");
    }

    [Fact]
    public void A_request_too_large_is_refused_and_never_hangs()
    {
        Link[] row = [.. Enumerable.Range(0, 40).Select(i => new Link(new Length(7_001 + 137 * (i % 10)), true))];
        var clasp = new BraceletClasp(Length.FromMillimetres(20), Length.FromMillimetres(20), Side.Twelve, 400, Length.FromMillimetres(0.1m), 0);
        var request = new PlanRequest(new Bracelet(row, row), [], clasp,
            new FitTarget(Length.FromMillimetres(300.003m), Length.Zero, Length.Zero),
            new Centring(Length.FromMillimetres(0.001m), Length.Zero), new Reserve(Length.FromMillimetres(20), Length.FromMillimetres(20)));
        Should.Throw<PlanTooLargeException>(() => Planner.Answer(request)).Message.ShouldContain("fixed");
    }

    private static Dictionary<decimal, int> Counts(JsonElement counts) =>
        counts.EnumerateArray().Where(c => c.GetProperty("count").GetInt32() > 0)
            .ToDictionary(c => c.GetProperty("pitchMm").GetDecimal(), c => c.GetProperty("count").GetInt32());

    private static Dictionary<decimal, int> NotNought(IReadOnlyList<LinkCount> counts) =>
        counts.Where(c => c.Count > 0).ToDictionary(c => c.Pitch.Millimetres, c => c.Count);

    private static void Same(Plan plan, EveryArrangement.Tried tried)
    {
        plan.Twelve.Select(c => c.Count).ShouldBe(tried.Twelve);
        plan.Six.Select(c => c.Count).ShouldBe(tried.Six);
        plan.Position.ShouldBe(tried.Position);
        plan.Figures.Length.Millimetres.ShouldBe(tried.Length);
        plan.Figures.OffCentreMillimetres.ShouldBe(tried.OffCentre);
        plan.Figures.Misfit.Millimetres.ShouldBe(tried.Misfit);
        plan.Figures.TroubleMillimetres.ShouldBe(tried.Trouble);
        plan.Figures.Shortfall.Millimetres.ShouldBe(tried.Shortfall);
        plan.Figures.LinksMoved.ShouldBe(tried.Moved);
    }
}
