using System.Text.Json;
using System.Text.Json.Nodes;
using CsCheck;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Joints;
using IronLoop.Replay;

namespace IronLoop.Core.Tests.Bench;

/// <summary>What must hold for every job, whatever its band, its watch and its house.</summary>
public class BenchPropertiesTests
{
    /// <summary>The steps that are left; where none can be planned, it is said of which job.</summary>
    private static IReadOnlyList<BenchStep> Left(BenchFacts facts, BenchPlan plan, IReadOnlyList<DoneStep> done)
    {
        try
        {
            return BenchSteps.Left(facts, plan, done);
        }
        catch (InvalidOperationException impossible)
        {
            throw new InvalidOperationException($"{impossible.Message}\nfrom\n{Lies(plan.From)}\nto\n{string.Join("\nthen\n", plan.Targets.Select(t => $"{Lies(t.To)} first {t.First}, parted at {t.PartFirst}"))}\ndone {string.Join(' ', done.Select(d => d.Key))}", impossible);
        }
    }

    private static string Lies(Stand stand) => string.Join('\n', stand.Joints.Where(j => j.Closed).Select(j => $"  {j.Id}: {j.A}–{j.B} {j.Fastener} [{string.Join(' ', j.Parts)}] {j.Position}"));

    private static string Say(BenchPlan plan, IEnumerable<BenchStep> steps) =>
        $"{string.Join('\n', steps.Select(s => $"{s.Key}: {s.Says} <{string.Join(' ', s.Acts.Select(a => ToldAct.Tell(a).Do))}>"))}\n{string.Join('\n', plan.From.Joints.Select(j => $"{j.Id} {j.A}–{j.B} {j.Fastener} {j.Closed}"))}";

    [Fact]
    public void Every_job_can_be_worked_as_it_is_said_and_ends_as_agreed()
    {
        var (worked, refused) = (0, 0);
        RandomJobs.Any.Sample(facts =>
        {
            if (RandomJobs.PlanOf(facts) is not { } plan)
            {
                Interlocked.Increment(ref refused);
                return;
            }
            Interlocked.Increment(ref worked);
            var steps = Left(facts, plan, []);
            Replayed.FaultsOf(Told.Bench(plan, steps)).ShouldBeEmpty(Say(plan, steps));
            steps.Select(s => s.Key).ShouldBeUnique();
            steps.ShouldAllBe(s => s.Says.Length > 0 && s.Minutes > 0);
            var bag = TrayLine.In(plan.From, Worked.After(plan.From, steps.SelectMany(s => s.Acts)).Stand, Place.Bag);
            foreach (var old in steps.Where(s => s.Says.Contains("as a set: the old", StringComparison.Ordinal)))
                bag.ShouldContain(l => old.Says.Contains($"as a set: the {l.What}. ", StringComparison.Ordinal), $"{old.Says} and the bag tell of the same");
        }, iter: Often.Asked(1000));
        worked.ShouldBeGreaterThan(3 * refused, "most of what is drawn can be worked");
    }

    /// <summary>Which side, which band, however it is held, looked at or not.</summary>
    [Fact]
    public void A_bar_that_is_worn_makes_room_for_one_from_stock_and_the_other_stays()
    {
        foreach (var of in Enum.GetValues<OnTheWatch>().Where(o => o != OnTheWatch.Nothing))
            foreach (var held in (HeldBy[])[HeldBy.NotLookedAt, HeldBy.LooseBars, HeldBy.LeveredBars])
                foreach (var side in (Side?[])[Side.Twelve, Side.Six, null])
                {
                    var facts = BenchJobs.ByHand(new HandWork.Part(WornPart.LugBar, of, side, IsLost: false), held);
                    var plan = RandomJobs.PlanOf(facts)!;
                    var steps = Left(facts, plan, []);
                    var after = Worked.After(plan.From, steps.SelectMany(s => s.Acts)).Stand;
                    foreach (var one in (Side[])[Side.Twelve, Side.Six])
                        (after.Lug(one) is { Closed: true } lug && (lug.Parts.Contains($"stock-bar-{Laid.On(one)}") || lug.B == $"stock-bar-{Laid.On(one)}"))
                            .ShouldBe(side is null || side == one, $"{of}, {held}, {side}: {one}\n{Say(plan, steps)}");
                }
    }

    [Fact]
    public void Planned_again_after_any_step_the_same_steps_are_left() =>
        Gen.Select(RandomJobs.Any, Gen.Double[0, 1]).Sample(
            (facts, part) =>
            {
                if (RandomJobs.PlanOf(facts) is not { } plan)
                    return;
                var all = Left(facts, plan, []);
                var at = (int)(part * all.Count);
                var left = Left(facts, plan, [.. all.Take(at).Select(Told.Done)]);
                left.Select(s => s.Key).ShouldBe(all.Skip(at).Select(s => s.Key), Say(plan, all));
                left.Select(Whole).ShouldBe(all.Skip(at).Select(Whole));
            },
            iter: Often.Asked(500));

    [Fact]
    public void Left_off_after_any_step_everything_can_be_put_back_as_it_was() =>
        Gen.Select(RandomJobs.Any, Gen.Double[0, 1]).Sample(
            (facts, part) =>
            {
                if (RandomJobs.PlanOf(facts) is not { } plan)
                    return;
                var all = Left(facts, plan, []);
                var done = all.Take((int)(part * all.Count)).Select(Told.Done).ToList();
                // What was bored, filed or pressed stays so.
                if (done.SelectMany(d => d.Acts).Any(a => a is Act.Prepare))
                    return;
                var now = Worked.After(plan.From, done.SelectMany(d => d.Acts));
                var rounds = done.Count == 0 ? 0 : done.Max(d => d.Round);
                var back = ToTheWatch.Cancel(plan.From, now.Stand, new SoFar(now.TryOns, rounds));
                var left = Left(facts, back, done);
                Replayed.FaultsOf(Told.Bench(back, done.Concat(left.Select(Told.Done)))).ShouldBeEmpty($"{Say(plan, all)}\n--- {done.Count} done ---\n{Say(back, left)}");
            },
            iter: Often.Asked(500));

    [Fact]
    public void A_plan_that_a_try_on_changed_is_worked_from_how_it_lies() =>
        Gen.Select(RandomJobs.Bracelets, RandomJobs.Bracelets, Gen.Bool).Sample(
            (facts, felt, atTheEnd) =>
            {
                if (!facts.HasWearer || RandomJobs.PlanOf(facts) is not { } plan)
                    return;
                var all = Left(facts, plan, []);
                var tried = all.ToList().FindIndex(s => s.Row == StepRow.TryOn && (!atTheEnd || s == all.Last(l => l.Row == StepRow.TryOn)));
                if (tried < 0)
                    return;
                var done = all.Take(tried + 1).Select(Told.Done).ToList();
                var now = Worked.After(plan.From, done.SelectMany(d => d.Acts));
                // What was felt asks for other links: as many of each name as the rows and the tray can give.
                var changed = facts with { Plan = Lying.Of(facts, now.Stand) is { } lies ? Felt(lies, felt.Plan!) : facts.Plan, SwapEnds = false };
                BenchPlan anew;
                try
                {
                    anew = ToTheWatch.Plan(changed, plan.From, now.Stand, new SoFar(now.TryOns, done[^1].Round));
                }
                catch (BenchException)
                {
                    return;
                }
                var left = Left(changed, anew, done);
                Replayed.FaultsOf(Told.Bench(anew, done.Concat(left.Select(Told.Done)))).ShouldBeEmpty($"{Say(anew, left)}\n{Lies(now.Stand)}\nto\n{Lies(anew.To)}");
                // And planned again after any step, the same are left.
                var at = left.Count / 2;
                Left(changed, anew, [.. done, .. left.Take(at).Select(Told.Done)]).Select(Whole).ShouldBe(left.Skip(at).Select(Whole));
            },
            iter: Often.Asked(750));

    /// <summary>All that is said of a step, and what a hand does in it.</summary>
    private static string Whole(BenchStep step) =>
        $"{JsonSerializer.Serialize(step with { Acts = [] })}{JsonSerializer.Serialize(step.Acts.Select(ToldAct.Tell))}";

    [Fact]
    public void What_is_opened_to_be_gauged_before_anything_is_chosen_is_gone_on_with_from_there()
    {
        var opened = 0;
        Gen.Select(RandomJobs.Any, Gen.Int[1, 7], Gen.Double[0, 1]).Sample(
            (facts, which, part) =>
            {
                var groups = ((JointGroup[])[JointGroup.ClaspTwelve, JointGroup.ClaspSix, JointGroup.Lugs]).Where((_, i) => (which >> i & 1) == 1);
                facts = facts with { OpenToGauge = groups.Intersect(OpenedToGauge.Groups(facts)).ToHashSet() };
                var atFirst = facts with { IsChosen = facts.Came.IsWanted, Other = null, NewPins = null, FromStock = [], Plan = null, Prepare = [] };
                if (atFirst.OpenToGauge.Count == 0 || facts.Other is { FromOldBand: true })
                    return;
                var first = OpenedToGauge.Plan(atFirst, FromTheWatch.Of(atFirst));
                var done = Left(atFirst, first, []).Select(Told.Done).ToList();
                done.ShouldNotBeEmpty();
                done.ShouldAllBe(d => d.Row == StepRow.Protect || d.Row == StepRow.Look || d.Row == StepRow.Unbuckle || d.Row == StepRow.OpenToGauge);
                Left(atFirst, first, done).ShouldBeEmpty("it waits, open, until the rest is approved");
                var from = FromTheWatch.Of(facts);
                BenchPlan plan;
                try
                {
                    plan = ToTheWatch.Plan(facts, from, Worked.After(from, done.SelectMany(d => d.Acts)).Stand, new SoFar(0, 1));
                }
                catch (BenchException)
                {
                    return;
                }
                Interlocked.Increment(ref opened);
                var left = Left(facts, plan, done);
                Replayed.FaultsOf(Told.Bench(plan, done.Concat(left.Select(Told.Done)))).ShouldBeEmpty($"{Say(plan, left)}\nfrom\n{Lies(from)}\nto\n{Lies(plan.To)}\ndone {string.Join(' ', done.Select(d => d.Key))}");
                var at = (int)(part * left.Count);
                Left(facts, plan, [.. done, .. left.Take(at).Select(Told.Done)]).Select(s => s.Key).ShouldBe(left.Skip(at).Select(s => s.Key));
            },
            iter: Often.Asked(500));
        opened.ShouldBeGreaterThan(Often.Asked(150));
    }

    /// <summary>An arrangement of the same rows in which some that are out are in again, and some that stay leave.</summary>
    private static Arrangement Felt(Arrangement lies, Arrangement other)
    {
        List<PlacedLink> Row(IReadOnlyList<PlacedLink> row, IReadOnlyList<PlacedLink> model) =>
        [
            .. row.Select((l, i) => l.Fate is LinkFate.Fixed or LinkFate.Joins || i >= model.Count || model[i].Fate is LinkFate.Fixed or LinkFate.Joins
                ? l : l with { Fate = model[i].Fate == LinkFate.Leaves ? LinkFate.Stays : l.Fate == LinkFate.Stays && i % 3 == 0 ? LinkFate.Leaves : l.Fate }),
        ];
        return new Arrangement(Row(lies.Twelve, other.Twelve), Row(lies.Six, other.Six), lies.Position);
    }

    [Fact]
    public void A_bench_that_is_wrong_is_caught()
    {
        var caught = new Dictionary<string, int>(StringComparer.Ordinal);
        Gen.Select(RandomJobs.Any, Gen.Int[0, 1_000_000], Gen.Int[0, 7]).Sample(
            (facts, seed, how) =>
            {
                if (RandomJobs.PlanOf(facts) is not { } plan)
                    return;
                var bench = Told.Bench(plan, Left(facts, plan, []));
                if (Spoil(bench, how, new Random(seed)) is not { } spoiled)
                    return;
                Replayed.FaultsOf(bench).ShouldNotBeEmpty(spoiled);
                lock (caught)
                    caught[spoiled] = caught.GetValueOrDefault(spoiled) + 1;
            },
            // Often enough that each of the eight ways comes up, however short the run.
            iter: 500);
        caught.Count.ShouldBe(8, string.Join(", ", caught));
    }

    /// <summary>Makes a right bench wrong in one way; null where it has nothing to spoil so.</summary>
    private static string? Spoil(JsonNode bench, int how, Random random)
    {
        var acts = bench["steps"]!.AsArray().SelectMany(s => s!["acts"]!.AsArray().Select(a => (Step: s!, Act: a!))).ToList();
        (JsonNode Step, JsonNode Act)? Pick(Func<JsonNode, bool> wanted) =>
            acts.Where(a => wanted(a.Act)).ToList() is { Count: > 0 } found ? found[random.Next(found.Count)] : null;
        string Do(JsonNode act) => act["do"]!.GetValue<string>();
        void Without((JsonNode Step, JsonNode Act) picked) => picked.Step["acts"]!.AsArray().Remove(picked.Act);
        var things = bench["from"]!["things"]!.AsArray().ToDictionary(t => t!["id"]!.GetValue<string>(), t => t!);
        switch (how)
        {
            case 0 when Pick(a => Do(a) == "close" && a["parts"] is not null) is { } close:
                close.Act.AsObject().Remove("parts");
                return "a joint is closed without its parts";
            case 1 when Pick(a => Do(a) == "close" && a["position"] is not null) is { } hole && bench["to"]!["joints"]!.AsArray().Any(j => j!["id"]!.GetValue<string>() == hole.Act["joint"]!.GetValue<string>()) && hole == acts.Last(a => a.Act["joint"]?.GetValue<string>() == hole.Act["joint"]!.GetValue<string>() && Do(a.Act) is "close" or "adjust"):
                hole.Act["position"] = hole.Act["position"]!.GetValue<int>() + 1;
                return "another hole";
            case 2 when Pick(a => Do(a) == "check" && acts.Count(c => Do(c.Act) == "check" && c.Act["joint"]!.GetValue<string>() == a["joint"]!.GetValue<string>()) == 2) is { } check && acts.Any(a => Do(a.Act) == "tryOn"):
                Without(acts.First(a => Do(a.Act) == "check" && a.Act["joint"]!.GetValue<string>() == check.Act["joint"]!.GetValue<string>()));
                return "a check before the try-on is left out";
            case 3 when Pick(a => Do(a) == "move" && a["to"]!.GetValue<string>() == "bag") is { } bagged:
                Without(bagged);
                return "a part is left behind in the tray";
            case 4 when Pick(a => Do(a) == "open" && acts.Any(c => Do(c.Act) == "close" && c.Act["joint"]!.GetValue<string>() == a["joint"]!.GetValue<string>())) is { } open:
                Without(open);
                return "a joint is not opened that is closed later";
            case 5 when Pick(a => Do(a) == "remove" && Kind(things, a) == "link") is { } run && things.Values.FirstOrDefault(t => t["kind"]!.GetValue<string>() == "link" && t["id"]!.GetValue<string>() != run.Act["thing"]!.GetValue<string>() && !Many(run.Act).Contains(t["id"]!.GetValue<string>())) is { } other:
                run.Act["with"] = new JsonArray([.. Many(run.Act).Append(other["id"]!.GetValue<string>()).Select(x => JsonValue.Create(x))]);
                return "a link too many";
            case 6 when Pick(a => Do(a) == "close" && Kind(things, a, "a") == "link" && Kind(things, a, "b") == "link") is { } joined && things.Values.FirstOrDefault(t => t["kind"]!.GetValue<string>() == "link" && t["like"]!.GetValue<string>() != things[joined.Act["b"]!.GetValue<string>()]["like"]!.GetValue<string>()) is { } half:
                joined.Act["b"] = half["id"]!.GetValue<string>();
                return "a half for a whole";
            case 7 when Pick(a => Do(a) == "close" && a["parts"] is not null) is { } first && acts.Select(a => a.Act).FirstOrDefault(a => Do(a) == "close" && a != first.Act && a["parts"] is not null && Likes(things, a) != Likes(things, first.Act)) is { } second:
                (first.Act["parts"], second["parts"]) = (second["parts"]!.DeepClone(), first.Act["parts"]!.DeepClone());
                return "bars exchanged";
            default:
                return null;
        }
    }

    private static string Kind(Dictionary<string, JsonNode> things, JsonNode act, string field = "thing") => things[act[field]!.GetValue<string>()]["kind"]!.GetValue<string>();

    private static IEnumerable<string> Many(JsonNode act) => act["with"] is JsonArray with ? with.Select(w => w!.GetValue<string>()) : [];

    private static string Likes(Dictionary<string, JsonNode> things, JsonNode act) => string.Join(",", act["parts"]!.AsArray().Select(p => things[p!.GetValue<string>()]["like"]!.GetValue<string>()).Order(StringComparer.Ordinal));
}
