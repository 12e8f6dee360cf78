using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Jobs;
using IronLoop.Core.Joints;
using IronLoop.Storage;

namespace IronLoop.Server.Stations;

/// <summary>
/// Brings benches over that were begun under the version before: its steps stay as history, and what they left is told thing by
/// thing, so that the rest is planned from how it stands.
/// </summary>
internal static class ComeOver
{
    /// <summary>Brings over what has not come over yet; costs next to nothing where all has.</summary>
    public static void Run(ShopFile shop)
    {
        using (var look = shop.Look())
            if (OldBenches.Begun(look).Count == 0)
                return;
        using var work = shop.Begin();
        foreach (var id in OldBenches.Begun(work))
            Bring(work, id);
        work.Commit();
    }

    private static void Bring(ShopWork work, long id)
    {
        var file = TheJob.Read(work, id);
        if (file.Bench is not { Plan: { } plan, History: { Count: > 0 } history, Left: { } left })
            return;
        BenchWork.Set(work, id, new AgreedBench(plan, 0));
        var done = history.Where(d => d.Skipped is null).Select(d => d.Key).ToHashSet(StringComparer.Ordinal);
        var rounds = history.Where(d => d.Row != StepRow.Tray).Select(d => d.Round).DefaultIfEmpty(1).Max();
        var worked = Worked.Of(plan.From);
        var acts = new List<Act>();
        // The order was another one: of each step that was done in substance the acts that find what they ask for are taken.
        foreach (var step in left.Where(s => WasDone(s, done, rounds)))
        {
            foreach (var told in step.Acts)
            {
                foreach (var act in AsItHangs(told, worked.Stand).Where(a => worked.WhyNot(a) is null))
                {
                    worked.Do(act);
                    acts.Add(act);
                }
            }
        }
        // Of what was lost or thrown away there were as many as the round of its line says.
        foreach (var (part, place) in history.Where(d => d.Row == StepRow.Tray).SelectMany(d => Enumerable.Repeat((d.Says, d.Skipped == "Lost" ? Place.Lost : Place.Thrown), d.Round)))
        {
            // An account of that version names a part by what it was called.
            if (worked.Stand.Things.FirstOrDefault(t => TrayLine.NameOf(t) == part) is not { } like || GoneParts.Pick(plan, worked.Stand, like, Place.Tray) is not { } thing)
                continue;
            worked.Do(new Act.Move(thing.Id, [], place));
            acts.Add(new Act.Move(thing.Id, [], place));
            plan = plan.Gone(thing.Id, place);
        }
        if (acts.Count == 0)
            return;
        var round = worked.TryOns + 1;
        var before = new BenchStep("before", StepRow.Before, 1, acts) { Says = $"{history.Count} steps were done under the version before this one." };
        // What was done before is a round of its own.
        BenchWork.Set(work, id, new AgreedBench(plan with { Before = new SoFar(0, 1) }, 0));
        BenchWork.Do(work, id, before, null, history[^1].DoneAt, file.Job.TakenInBy, null);
        try
        {
            // A plan that a try-on had changed, or a half-done side, is planned anew from how it stands.
            var anew = ToTheWatch.Plan(file.Bench.Facts!, plan.From, worked.Stand, new SoFar(worked.TryOns, round));
            if (rounds > 1)
                BenchWork.Set(work, id, new AgreedBench(anew, 1));
        }
        catch (BenchException)
        {
            // As it lies no row ends at a clasp; the first plan holds.
        }
    }

    /// <summary>An act that moves what hangs together, for what hangs together now: half a side may be open.</summary>
    private static List<Act> AsItHangs(Act act, Stand stand)
    {
        (IReadOnlyList<string> Whole, Func<string, IReadOnlyList<string>, Act> Again)? moves = act switch
        {
            Act.Remove remove => ([remove.Thing, .. remove.With], (thing, with) => new Act.Remove(thing, with)),
            Act.Lay lay => ([lay.Thing, .. lay.With], (thing, with) => new Act.Lay(thing, with)),
            Act.Move move => ([move.Thing, .. move.With], (thing, with) => new Act.Move(thing, with, move.To)),
            _ => null,
        };
        if (moves is not var (whole, again))
            return [act];
        var acts = new List<Act>();
        var moved = new HashSet<string>(StringComparer.Ordinal);
        // Loose parts of joints that are open stay where they lie.
        foreach (var thing in whole.Where(t => act is Act.Move || !stand[t].IsPart || stand.Holding(t).Count > 0))
        {
            if (moved.Contains(thing))
                continue;
            var hangs = stand.Hanging(thing);
            moved.UnionWith(hangs);
            acts.Add(again(thing, [.. hangs.Skip(1)]));
        }
        return acts;
    }

    /// <summary>Whether what a step does was done by the old steps, told by their names.</summary>
    private static bool WasDone(BenchStep step, IReadOnlySet<string> done, int round)
    {
        bool Any(string start) => done.Any(k => k.StartsWith(start, StringComparison.Ordinal) || round > 1 && k.StartsWith($"r{round}-{start}", StringComparison.Ordinal));
        var sides = step.Acts.Select(SideOf).OfType<string>().Distinct().ToList();
        bool OnEach(params string[] starts) => sides.Count > 0 && sides.TrueForAll(s => starts.Any(start => Any($"{start}-{s}")));
        return step.Row switch
        {
            StepRow.Protect => Any("protect"),
            StepRow.Look => Any("look") || Any("old-off"),
            StepRow.Fetch => Any("on-") || Any("thread") || Any("bars") || Any("stock-") || Any("old-off") || Any("clasp-"),
            StepRow.Consent => Any("consent"),
            StepRow.Unbuckle or StepRow.OldBandOff or StepRow.Clean => Any("old-off"),
            StepRow.Prepare => Any("work-") || Any("clasp-"),
            StepRow.Lay => Any("on-") || Any("thread"),
            StepRow.Bars => Any("bars"),
            StepRow.Thread => Any("close") || Any("on-6"),
            StepRow.Lugs => OnEach("on"),
            StepRow.Open => OnEach("out", "in", "back", "aside"),
            StepRow.Join => OnEach("close", "in", "back"),
            StepRow.ClaspOff => Any("clasp-1"),
            StepRow.ClaspOn => Any("clasp-2") || Any("clasp-3"),
            StepRow.Set => Any("micro") || Any("set"),
            StepRow.Shut or StepRow.TryOn => Any("try-on"),
            StepRow.Wipe => Any("check-"),
            StepRow.Check => Any("check-flush") || Any("check-clicked") || Any("check-pull") || Any("check-clasp"),
            // What was left over lay in the tray until it was handed over.
            _ => false,
        };
    }

    private static string? SideOf(Act act) => act switch
    {
        Act.Open open => SideIn(open.Joint),
        Act.Close close => close.Side is { } side ? PlanWords.Name(side) : null,
        _ => null,
    };

    private static string? SideIn(string joint) => joint.Contains("-12", StringComparison.Ordinal) ? "12" : joint.Contains("-6", StringComparison.Ordinal) ? "6" : null;
}
