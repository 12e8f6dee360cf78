using System.Globalization;
using IronLoop.Core.Fitting;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Tray;

namespace IronLoop.Core.Bench;

/// <summary>The links of one side, from how they lie to how they shall lie: runs out, links back, links in.</summary>
internal static class SideSteps
{
    /// <summary>What holds the clasp to a side, by the name the tray knows it by: bars, and pins at a butterfly.</summary>
    public static string ClaspHolders(BenchFacts facts) => IsPinned(facts) ? "pins at the clasp" : "bars at the clasp";

    private static bool IsPinned(BenchFacts facts) => facts.ClaspKind == ClaspKind.Butterfly && facts.OtherClasp is null;

    /// <summary>Links of a kind, by the name the tray knows them by.</summary>
    public static string LinksOf(LinkKind kind) => $"links of {kind}";

    /// <summary>Whether anything is to be done on a side.</summary>
    public static bool HasWork(BenchFacts facts, Side side) => Changes(facts, side).Any;

    /// <summary>The steps of a side.</summary>
    public static IEnumerable<BenchStep> Of(BenchFacts facts, Side side, BenchPart part)
    {
        var name = PlanWords.Name(side);
        if (!HasWork(facts, side))
        {
            yield return new BenchStep($"leave-{name}", part, StepKind.Protect, $"{name} side: nothing comes out or goes in; leave it closed.") { Where = new BenchPlace(side), Minutes = 0.2 };
            yield break;
        }
        foreach (var step in Outs(facts, side, part).Concat(Ins(facts, side, part)))
            yield return step;
    }

    /// <summary>What leaves a side: first what went in before, beside the clasp.</summary>
    public static IEnumerable<BenchStep> Outs(BenchFacts facts, Side side, BenchPart part)
    {
        var changes = Changes(facts, side);
        var aside = changes.Aside.Count > 0 ? Aside(facts, side, part, changes.Aside, Came(facts, side)) : [];
        // Runs leave from the case on: those nearer the clasp are still in.
        return aside.Concat(changes.Out.SelectMany(run => Out(facts, side, part, run.From, run.To, IsAtClasp(facts, side, changes, run.To, i => WasIn(facts, side, i)))));
    }

    /// <summary>What goes back or in on a side.</summary>
    public static IEnumerable<BenchStep> Ins(BenchFacts facts, Side side, BenchPart part)
    {
        var (row, changes, came, name) = (facts.Plan.On(side), Changes(facts, side), Came(facts, side), PlanWords.Name(side));
        foreach (var (from, to) in changes.Back)
            foreach (var step in In(facts, side, part, $"back-{name}-{from}", [.. row.Skip(from).Take(to - from + 1)], from,
                IsAtClasp(facts, side, changes, to, i => WasIn(facts, side, i) && row[i].InLoop), $"back where {(from == to ? "it was" : "they were")}"))
                yield return step;
        if (changes.Joins.Count > 0)
            foreach (var step in In(facts, side, part, $"in-{name}", changes.Joins, came, true, "beside the clasp"))
                yield return step;
    }

    /// <summary>Whether what goes into a side is loose by then: in the tray as the round begins, or out of that side itself.</summary>
    public static bool HasItsLinks(BenchFacts facts, Side side)
    {
        var (row, changes) = (facts.Plan.On(side), Changes(facts, side));
        var loose = (facts.Before ?? Arrangement.AsItIs(facts.Band.Links!, facts.Band.Clasp!)).LooseLinks(facts.Band.Spares).ToDictionary(l => l.Kind, l => l.Count);
        void Add(LinkKind kind, int count) => loose[kind] = loose.GetValueOrDefault(kind) + count;
        foreach (var (from, to) in changes.Out)
            for (var i = from; i <= to; i++)
                Add(row[i].KindOn(side), 1);
        foreach (var (from, to) in changes.Back)
            for (var i = from; i <= to; i++)
                Add(row[i].KindOn(side), -1);
        foreach (var link in changes.Aside)
            Add(link.KindOn(side), 1);
        foreach (var link in changes.Joins)
            Add(link.KindOn(side), -1);
        return loose.Values.All(count => count >= 0);
    }

    /// <summary>Whether a run lies beside the clasp at its turn: nothing that came with the band, and nothing put in since, lies between.</summary>
    private static bool IsAtClasp(BenchFacts facts, Side side, Changed changes, int to, Func<int, bool> isIn)
    {
        var joined = facts.Before?.On(side).Count(l => l.Fate == LinkFate.Joins) ?? 0;
        return joined == changes.Aside.Count && !Enumerable.Range(to + 1, Came(facts, side) - to - 1).Any(isIn);
    }

    /// <summary>Whether a link that came with the band is in the loop as the round begins.</summary>
    private static bool WasIn(BenchFacts facts, Side side, int ordinal) => facts.Before?.On(side)[ordinal].Fate != LinkFate.Leaves;

    private static int Came(BenchFacts facts, Side side) => facts.Plan.On(side).Count(l => l.Fate != LinkFate.Joins);

    private sealed record Changed(
        IReadOnlyList<(int From, int To)> Out, IReadOnlyList<(int From, int To)> Back, IReadOnlyList<PlacedLink> Joins, IReadOnlyList<PlacedLink> Aside)
    {
        public bool Any => Out.Count + Back.Count + Joins.Count + Aside.Count > 0;
    }

    private static Changed Changes(BenchFacts facts, Side side)
    {
        var after = facts.Plan.On(side);
        var came = after.Count(l => l.Fate != LinkFate.Joins);
        var before = facts.Before?.On(side);
        List<(int, int)> Runs(Func<int, bool> wanted)
        {
            var runs = new List<(int, int)>();
            for (var i = 0; i < came; i++)
            {
                if (!wanted(i))
                    continue;
                var from = i;
                while (i + 1 < came && wanted(i + 1))
                    i++;
                runs.Add((from, i));
            }
            return runs;
        }
        var joined = before?.Where(l => l.Fate == LinkFate.Joins).ToList() ?? [];
        var joins = after.Where(l => l.Fate == LinkFate.Joins).ToList();
        // What was put in already is not put in again; what is wanted no more is laid aside.
        var stillIn = new List<PlacedLink>(joined);
        var more = joins.Where(l => !stillIn.Remove(l)).ToList();
        return new Changed(
            Runs(i => after[i].Fate == LinkFate.Leaves && WasIn(facts, side, i)), Runs(i => after[i].InLoop && !WasIn(facts, side, i)), more, stillIn);
    }

    private static IEnumerable<BenchStep> Out(BenchFacts facts, Side side, BenchPart part, int from, int to, bool atClasp)
    {
        var (row, name, count) = (facts.Plan.On(side), PlanWords.Name(side), to - from + 1);
        var links = count == 1 ? $"link {from + 1} from the case" : $"links {from + 1} to {to + 1} from the case, a run of {count}";
        var open = FastenerWork.Open(facts.Setup);
        var freed = to == Came(facts, side) - 1 && facts.Marks.Freed.TryGetValue(side, out var end)
            ? $" It is freed at the clasp’s joint: release the bar that holds the fold{(end > Length.Zero ? $"; the end piece of {end} stays on and rejoins it" : "")}." : "";
        var release = !atClasp || freed.Length > 0 ? "" : IsPinned(facts) ? " At the clasp: drive its pin out." : " At the clasp: press one tip of its bar and draw the bar out.";
        var joints = atClasp ? "the joint before them and the one at the clasp" : "the joints at both their ends";
        if (count == 1)
            joints = atClasp ? "the joint before it and the one at the clasp" : "the joints at both its ends";
        yield return new BenchStep($"out-{name}-{from}", part, StepKind.OpenJoint,
            $"{name} side: {links}, out: open {joints}; {(count == 1 ? "it" : "the run")} comes away whole.{freed}{release} {open.How}")
        {
            Where = new BenchPlace(side, [from, to + 1], [.. Enumerable.Range(from, count)]) { AtClasp = atClasp },
            Tool = atClasp ? $"{open.Tool}; {ClaspTool(facts)} at the clasp" : open.Tool,
            Direction = open.Direction,
            FallsOut = atClasp ? Both(open.FallsOut, AtClasp(facts)) : open.FallsOut,
            Caution = atClasp ? Both(open.Caution, ClaspCaution(facts), " ") : open.Caution,
            Moves =
            [
                .. Kinds(row, side, from, to).Select(k => new TrayMove(LinksOf(k.Kind), k.Count, TrayPlace.Watch, TrayPlace.Tray)),
                // Of the run, its joint with the links that stay; those inside the run come along, and at the clasp its bar.
                .. Fasteners(facts, atClasp ? count : count + 1, TrayPlace.Watch, TrayPlace.Tray),
                .. atClasp ? [new TrayMove(ClaspHolders(facts), 1, TrayPlace.Watch, TrayPlace.Tray)] : (TrayMove[])[],
            ],
            Minutes = 2 * BenchStep.UsualMinutes(StepKind.OpenJoint),
        };
        yield return Close(facts, side, part, $"close-{name}-{from}", to + 1, atClasp, atClasp ? "the side to the clasp again" : "the gap");
    }

    private static IEnumerable<BenchStep> In(BenchFacts facts, Side side, BenchPart part, string key, IReadOnlyList<PlacedLink> links, int at, bool atClasp, string where)
    {
        var (name, open) = (PlanWords.Name(side), FastenerWork.Open(facts.Setup));
        var opened = atClasp ? IsPinned(facts) ? "Open the joint at the clasp: drive its pin out." : "Open the joint at the clasp: release its bar." : $"Open the joint there. {open.How}";
        var close = FastenerWork.Close(facts.Setup);
        yield return new BenchStep($"{key}-open", part, StepKind.OpenJoint, $"{name} side: {Said(links, side)} {(links.Count == 1 ? "goes" : "go")} in, {where}. {opened}")
        {
            Where = new BenchPlace(side, [at]) { AtClasp = atClasp },
            Tool = !atClasp ? open.Tool : ClaspTool(facts),
            Direction = atClasp ? null : open.Direction,
            FallsOut = atClasp ? AtClasp(facts) : open.FallsOut,
            Caution = !atClasp ? open.Caution : ClaspCaution(facts),
            Moves = atClasp ? [new TrayMove(ClaspHolders(facts), 1, TrayPlace.Watch, TrayPlace.Tray)] : Fasteners(facts, 1, TrayPlace.Watch, TrayPlace.Tray),
            Minutes = BenchStep.UsualMinutes(StepKind.OpenJoint),
        };
        yield return new BenchStep(key, part, StepKind.CloseJoint,
            $"{name} side: set {Said(links, side)} in, all arrows or screw heads on the same edge, and close {(links.Count == 1 ? "its joint" : $"{Number(links.Count)} joints")}. {close.How}")
        {
            Where = new BenchPlace(side, [at], [.. Enumerable.Range(at, links.Count)]) { AtClasp = atClasp },
            Tool = close.Tool,
            Direction = close.Direction,
            FallsOut = close.FallsOut,
            Caution = close.Caution,
            Moves =
            [
                .. links.GroupBy(l => l.KindOn(side)).Select(g => new TrayMove(LinksOf(g.Key), g.Count(), TrayPlace.Tray, TrayPlace.Watch)),
                .. Fasteners(facts, atClasp ? links.Count : links.Count + 1, TrayPlace.Tray, TrayPlace.Watch),
            ],
            Minutes = links.Count * BenchStep.UsualMinutes(StepKind.CloseJoint),
        };
        if (atClasp)
            yield return Close(facts, side, part, $"{key}-close", at + links.Count, true, "the side to the clasp again");
    }

    private static IEnumerable<BenchStep> Aside(BenchFacts facts, Side side, BenchPart part, IReadOnlyList<PlacedLink> links, int came)
    {
        var (name, open) = (PlanWords.Name(side), FastenerWork.Open(facts.Setup));
        yield return new BenchStep($"aside-{name}", part, StepKind.OpenJoint, $"{name} side: {Said(links, side)} that went in beside the clasp {(links.Count == 1 ? "comes" : "come")} out again, the clasp’s {(IsPinned(facts) ? "pin" : "bar")} first. {open.How}")
        {
            Where = new BenchPlace(side, [came]) { AtClasp = true },
            Tool = $"{open.Tool}; {ClaspTool(facts)} at the clasp",
            Direction = open.Direction,
            FallsOut = Both(open.FallsOut, AtClasp(facts)),
            Caution = Both(open.Caution, ClaspCaution(facts), " "),
            Moves =
            [
                .. links.GroupBy(l => l.KindOn(side)).Select(g => new TrayMove(LinksOf(g.Key), g.Count(), TrayPlace.Watch, TrayPlace.Tray)),
                .. Fasteners(facts, links.Count, TrayPlace.Watch, TrayPlace.Tray),
                new TrayMove(ClaspHolders(facts), 1, TrayPlace.Watch, TrayPlace.Tray),
            ],
            Minutes = links.Count * BenchStep.UsualMinutes(StepKind.OpenJoint),
        };
        yield return Close(facts, side, part, $"aside-{name}-close", came, true, "the side to the clasp again");
    }

    private static BenchStep Close(BenchFacts facts, Side side, BenchPart part, string key, int joint, bool atClasp, string what)
    {
        var close = FastenerWork.Close(facts.Setup);
        var name = PlanWords.Name(side);
        return atClasp
            ? new BenchStep(key, part, StepKind.CloseJoint, IsPinned(facts)
                ? $"{name} side: join {what}: start the pin, stop short of the notch, seat the clasp’s tube, line up, and drive it home flush; turn and pull."
                : $"{name} side: join {what}: one tip of its bar in, press the other, wiggle until it clicks; turn and pull.")
            {
                Where = new BenchPlace(side, [joint]) { AtClasp = true },
                Tool = IsPinned(facts) ? "block, punch, soft hammer" : "fine fork",
                FallsOut = IsPinned(facts) ? null : "the bar, which springs",
                Caution = IsPinned(facts) ? PieceOfWork.Taps : PieceOfWork.Bars,
                Moves = [new TrayMove(ClaspHolders(facts), 1, TrayPlace.Tray, TrayPlace.Watch)],
                Minutes = BenchStep.UsualMinutes(StepKind.CloseJoint),
            }
            : new BenchStep(key, part, StepKind.CloseJoint, $"{name} side: close {what}, arrows or screw heads on the same edge. {close.How}")
            {
                Where = new BenchPlace(side, [joint]),
                Tool = close.Tool,
                Direction = close.Direction,
                FallsOut = close.FallsOut,
                Caution = close.Caution,
                Moves = Fasteners(facts, 1, TrayPlace.Tray, TrayPlace.Watch),
                Minutes = BenchStep.UsualMinutes(StepKind.CloseJoint),
            };
    }

    private static string AtClasp(BenchFacts facts) => IsPinned(facts) ? "the pin at the clasp" : "the bar at the clasp, which springs";

    private static string ClaspTool(BenchFacts facts) => IsPinned(facts) ? "block, punch" : "fine point";

    private static string ClaspCaution(BenchFacts facts) => IsPinned(facts) ? PieceOfWork.Taps : PieceOfWork.Bars;

    private static List<TrayMove> Fasteners(BenchFacts facts, int joints, TrayPlace from, TrayPlace to) => joints == 0 ? [] :
        [.. FastenerWork.PartsOf(facts.Setup.Fastener!.Value).Select(p => new TrayMove(p.Part, joints * p.Count, from, to))];

    private static IEnumerable<(LinkKind Kind, int Count)> Kinds(IReadOnlyList<PlacedLink> row, Side side, int from, int to) =>
        row.Skip(from).Take(to - from + 1).GroupBy(l => l.KindOn(side)).Select(g => (g.Key, g.Count()));

    private static string Said(IReadOnlyList<PlacedLink> links, Side side) =>
        string.Join(" and ", links.GroupBy(l => l.KindOn(side)).Select(g => $"{Number(g.Count())} {(g.Count() == 1 ? "link" : "links")} of {g.Key}"));

    private static string Number(int count) => count.ToString(CultureInfo.InvariantCulture);

    private static string Both(string? one, string other, string between = "; ") => one is null || one == other ? other : $"{one}{between}{other}";
}
