using IronLoop.Core.Fitting;
using IronLoop.Core.Joints;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Bench;

/// <summary>Which links leave, which go in and where, on both sides of a bracelet.</summary>
internal sealed class LinkWork
{
    private readonly Dictionary<Side, SideWork> _sides;
    private readonly string _closure;

    private sealed record SideWork(
        Side Side, IReadOnlyList<string> Row, IReadOnlyList<Joint> Joints, RunChoice? Choice, IReadOnlyList<string> Leaving, IReadOnlyList<string> Coming, Length Change)
    {
        public bool HasWork => Leaving.Count + Coming.Count > 0;
    }

    private LinkWork(Dictionary<Side, SideWork> sides, string closure) => (_sides, _closure) = (sides, closure);

    /// <summary>The side worked first: the one that gives, else the one that leaves the longer loop, else the one without the micro row.</summary>
    public Side First { get; private init; }

    /// <summary>Whether both sides are worked before it is tried on.</summary>
    public bool IsOneRound { get; private init; }

    /// <summary>Whether every pair of ends that meets anew is known to fit.</summary>
    public bool AreMates => _sides.Values.All(s => s.Choice is null or { AreMates: true });

    /// <summary>The clasp that a row of links ends at; null where there is none.</summary>
    public static string? ClosureOf(Stand stand) => stand.Things
        .FirstOrDefault(t => t.IsClosure && stand.Joints.Any(j => j.Closed && j.Joins(t.Id) && stand[j.Other(t.Id)] is { Kind: ThingKind.Link or ThingKind.EndPiece, Fits: FromTheWatch.Wanted }))?.Id;

    /// <summary>Works out both sides.</summary>
    /// <param name="facts">What was agreed.</param>
    /// <param name="lies">How it lies.</param>
    /// <param name="open">The joints that are open for another reason, or will be: to go through them costs nothing.</param>
    /// <exception cref="BenchException">There are not the links the plan asks for, or no joint to take them out by.</exception>
    public static LinkWork? Of(BenchFacts facts, Stand lies, IReadOnlyCollection<string> open)
    {
        if (facts.Plan is not { } plan || ClosureOf(lies) is not { } closure)
            return null;
        // What never comes out, or is never to be taken, is known by where it lay when the band came.
        var stays = new HashSet<string>(StringComparer.Ordinal);
        var marked = facts.Marks.On(facts.Band).Links!;
        foreach (var side in (Side[])[Side.Twelve, Side.Six])
            for (var i = 0; i < marked.On(side).Count; i++)
                if (!marked.On(side)[i].Removable)
                    stays.Add($"{FromTheWatch.Wanted}.link-{Laid.On(side)}-{i + 1}");
        bool MayLeave(string id) => lies[id].Kind == ThingKind.Link && !stays.Contains(id);

        var rows = ((Side[])[Side.Twelve, Side.Six]).ToDictionary(s => s, s => lies.RowTo(closure, s));
        var wanted = rows.Keys.ToDictionary(s => s, s => plan.On(s).Where(l => l is { InLoop: true, Fate: not LinkFate.Fixed })
            .GroupBy(l => Laid.LikeOf(l.KindOn(s))).ToDictionary(g => g.Key, g => g.Count()));
        Dictionary<string, int> Now(Side side) => rows[side].Row.Where(MayLeave).GroupBy(id => lies[id].Like).ToDictionary(g => g.Key, g => g.Count());
        var leave = rows.Keys.ToDictionary(s => s, s => Now(s).Select(n => (n.Key, Count: n.Value - wanted[s].GetValueOrDefault(n.Key))).Where(n => n.Count > 0).ToDictionary(n => n.Key, n => n.Count));
        var join = rows.Keys.ToDictionary(s => s, s => (IReadOnlyList<string>)[.. wanted[s].Select(w => (w.Key, Count: w.Value - Now(s).GetValueOrDefault(w.Key))).Where(n => n.Count > 0)
            .SelectMany(n => Enumerable.Repeat(n.Key, n.Count))]);

        var pitch = PitchOf(plan);
        var chosen = new Dictionary<Side, (RunChoice? Choice, IReadOnlyList<string> Leaving)>();
        foreach (var (side, (row, joints)) in rows)
        {
            if (leave[side].Count == 0 && join[side].Count == 0)
            {
                chosen[side] = (null, []);
                continue;
            }
            var links = row.Select(id => new RowLink(lies[id].Like, MayLeave(id))).ToList();
            var whole = (List<RowJoint>)[.. joints.Select(j => new RowJoint(j.Opens && j.Fastener.Opens(), open.Contains(j.Id) || IsOpenAnyway(facts, lies, side, j), j.Fastener))];
            if (whole.Count == links.Count)
                whole.Insert(0, new RowJoint(false, false, Fastener.NotLookedAt));
            var choice = Runs.Choose(links, whole, leave[side], join[side], facts.Setup.Runs == RunSchool.AtTheClasp)
                ?? throw new BenchException($"The links that the plan asks for cannot be worked on the {PlanWords.Name(side)} side: no joint opens there, or they are not there.");
            chosen[side] = (choice, [.. choice.Out.SelectMany(r => row.Skip(r.From).Take(r.To - r.From + 1))]);
        }
        var taken = new HashSet<string>(StringComparer.Ordinal);
        var inRows = rows.Values.SelectMany(r => r.Row).ToHashSet(StringComparer.Ordinal);
        var coming = rows.Keys.ToDictionary(s => s, s => (IReadOnlyList<string>)AsTheyHang(lies, [.. join[s].Select(like => Source(lies, rows[s].Row, inRows, like, chosen[PlanWords.Other(s)].Leaving, taken, s))]));
        var work = rows.Keys.ToDictionary(s => s, s => new SideWork(
            s, rows[s].Row, rows[s].Joints, chosen[s].Choice, chosen[s].Leaving, coming[s],
            Sum(coming[s], lies, pitch) - Sum(chosen[s].Leaving, lies, pitch)));
        var gives = rows.Keys.Where(s => coming[PlanWords.Other(s)].Any(chosen[s].Leaving.Contains)).ToList();
        var (twelve, six) = (work[Side.Twelve], work[Side.Six]);
        var first = gives.Count > 0 ? gives[0]
            : !twelve.HasWork ? Side.Six
            : !six.HasWork ? Side.Twelve
            : twelve.Change != six.Change ? (twelve.Change > six.Change ? Side.Twelve : Side.Six)
            : PlanWords.Other(facts.Band.Clasp!.MicroSide);
        return new LinkWork(work, closure)
        {
            First = first,
            IsOneRound = gives.Count > 0 || !twelve.HasWork || !six.HasWork || (twelve.Change > Length.Zero && six.Change > Length.Zero),
        };
    }

    /// <summary>The joint at which the band is parted first: in the row of holes, before a link is freed at the fold, or to lie flat.</summary>
    public string? PartFirst(BenchFacts facts, Stand lies)
    {
        if (facts.Band.Clasp is not { Positions: > 1 } clasp || facts.Other is not null && !lies.Holding(_closure).Any() || _sides.Values.All(s => !s.HasWork))
            return null;
        var micro = _sides[clasp.MicroSide].Joints[^1];
        var freed = facts.Marks.Freed.Keys.Any(s => s != clasp.MicroSide && _sides[s].Leaving.Contains($"{FromTheWatch.Wanted}.link-{Laid.On(s)}-{facts.Band.Links!.On(s).Count}"));
        return micro.Fastener.IsByHand() || !(freed || facts.Setup.PartedToLieFlat) ? null : micro.Id;
    }

    /// <summary>Works the links into a stand: both sides, or one alone.</summary>
    public void Work(BenchFacts facts, Stand to, Side? only)
    {
        var sides = _sides.Values.Where(s => s.HasWork && (only is null || s.Side == only)).OrderBy(s => s.Side == First ? 0 : 1).ToList();
        // What is made on the first side is made of what is loose then: one after the other, unless links go across.
        if (sides.Exists(s => _sides[PlanWords.Other(s.Side)].Coming.Any(s.Leaving.Contains)))
            Work(facts, to, sides);
        else
            foreach (var side in sides)
                Work(facts, to, [side]);
    }

    private void Work(BenchFacts facts, Stand to, List<SideWork> sides)
    {
        // With another clasp the joints at it are made already; only what they hold changes.
        var atClasp = sides.ToDictionary(s => s.Side, s => to.Joint(s.Joints[^1].Id)!);
        foreach (var side in sides)
            foreach (var id in side.Leaving)
                foreach (var joint in side.Joints.Where(j => j.Joins(id) && !(IsWithin(side, j) && KeepsTogether(facts, side, j))))
                    to.Set(to.Joint(joint.Id)!.Opened);
        // Of a run that lies in the tray joined, only those that go in side by side stay so.
        foreach (var joint in to.Joints.Where(j => j.Closed && to[j.A] is { Kind: ThingKind.Link, Place: not Place.Watch } && to[j.B].Kind == ThingKind.Link).ToList())
        {
            var goes = sides.Where(s => s.Coming.Contains(joint.A) || s.Coming.Contains(joint.B)).ToList();
            if (goes.Count > 0 && !goes.Exists(s => IndexIn(s.Coming, joint.A) is var a and >= 0 && IndexIn(s.Coming, joint.B) == a + 1))
                to.Set(joint.Opened);
        }
        // Joints that are closed again keep what held them; what is new takes of the rest.
        foreach (var (side, a, b) in sides.SelectMany(s => Close(to, s, atClasp[s.Side])).ToList())
            to.Set(New(to, facts.Look(JointGroup.Links).Fastener, side, a, b));
    }

    /// <summary>Whether both links of a joint leave.</summary>
    private static bool IsWithin(SideWork side, Joint joint) => side.Leaving.Contains(joint.A) && side.Leaving.Contains(joint.B);

    /// <summary>Whether two links that leave stay joined: in the bag as a run, or going across together.</summary>
    private bool KeepsTogether(BenchFacts facts, SideWork side, Joint joint)
    {
        var across = _sides[PlanWords.Other(side.Side)].Coming;
        var (a, b) = (IndexIn(across, joint.A), IndexIn(across, joint.B));
        if (a >= 0 && b >= 0)
            return b == a + 1;
        return a < 0 && b < 0 && !facts.Setup.OneByOne;
    }

    private static int IndexIn(IReadOnlyList<string> list, string id)
    {
        for (var i = 0; i < list.Count; i++)
            if (list[i] == id)
                return i;
        return -1;
    }

    /// <summary>
    /// Closes a side, each gap at its place, with what goes in. The joint that closes a gap is the opened one on its case side; at the
    /// clasp it is the clasp's own.
    /// </summary>
    /// <returns>The pairs for which a new joint is wanted.</returns>
    private static List<(Side Side, string A, string B)> Close(Stand to, SideWork side, Joint clasp)
    {
        var (row, joints) = (side.Row, side.Joints);
        var after = joints.Count - row.Count;
        var left = Enumerable.Range(0, row.Count).Where(i => !side.Leaving.Contains(row[i])).ToList();
        var wanted = new List<(Side, string, string)>();
        for (var n = 0; n < left.Count; n++)
        {
            var (at, next) = (left[n], n + 1 < left.Count ? left[n + 1] : row.Count);
            IReadOnlyList<string> goesIn = side.Choice!.InAt == at + 1 ? side.Coming : [];
            if (next == at + 1 && goesIn.Count == 0)
                continue;
            var (opened, before, isUsed) = (joints[at + after], row[at], false);
            foreach (var link in goesIn)
            {
                var isOwn = before == row[at] && opened.Id != clasp.Id;
                isUsed |= isOwn;
                if (isOwn)
                    to.Set(opened with { A = before, B = link, Side = side.Side });
                // A run that comes across keeps what is closed of it.
                else if (!to.Joints.Any(j => j.Closed && j.Joins(before) && j.Joins(link)))
                    wanted.Add((side.Side, before, link));
                before = link;
            }
            if (next == row.Count)
                to.Set(clasp with { A = before, Closed = true });
            else if (isUsed)
                wanted.Add((side.Side, before, row[next]));
            else
                to.Set(opened with { A = before, B = row[next] });
        }
        return wanted;
    }

    /// <summary>A joint that was not there: with the link's own fastener, else with one that is left over.</summary>
    private static Joint New(Stand to, Fastener fastener, Side side, string a, string b)
    {
        var used = to.Joints.Where(j => j.Closed).SelectMany(j => j.Parts).ToHashSet(StringComparer.Ordinal);
        var parts = new List<string>();
        foreach (var (kind, like) in HeldParts.Of(fastener, JointAt.Links))
        {
            parts.Add(to.Things.Where(t => t.Kind == kind && t.Like == like && !used.Contains(t.Id) && !parts.Contains(t.Id) && t.Place is not (Place.Lost or Place.Thrown))
                .OrderBy(t => t.Of == b || t.Of == a ? 0 : t.Place is Place.Watch or Place.Tray ? 1 : t.Place == Place.Bag ? 2 : 3).FirstOrDefault()?.Id
                ?? throw new BenchException($"There is no {like} for the {PlanWords.Name(side)} side."));
        }
        var number = 1;
        while (to.Joint($"new-{Laid.On(side)}-{number}") is not null)
            number++;
        return new Joint($"new-{Laid.On(side)}-{number}", a, b, fastener, parts, true, side, null);
    }

    /// <summary>A link for a side: from the other side, else the owner's, else from stock.</summary>
    private static string Source(Stand lies, IReadOnlyList<string> row, HashSet<string> inRows, string like, IReadOnlyList<string> otherLeaving, HashSet<string> taken, Side side)
    {
        var found = otherLeaving.FirstOrDefault(id => lies[id].Like == like && !taken.Contains(id))
            ?? lies.Things.Where(t => t is { Kind: ThingKind.Link, Place: Place.Tray or Place.Bag or Place.Drawer } && t.Like == like && !taken.Contains(t.Id)
                    && !row.Contains(t.Id) && !inRows.Contains(t.Id))
                .OrderBy(t => t.Place switch { Place.Tray => 0, Place.Bag => 1, _ => 2 })
                // Of a run that lies there joined, a neighbour of what is taken, else an end: fewest joints are opened.
                .ThenBy(t => Neighbours(lies, t.Id).Any(taken.Contains) ? 0 : 1).ThenBy(t => Neighbours(lies, t.Id).Count()).FirstOrDefault()?.Id
            ?? throw new BenchException($"There is no {like} for the {PlanWords.Name(side)} side.");
        taken.Add(found);
        return found;
    }

    private static IEnumerable<string> Neighbours(Stand lies, string link) =>
        lies.Holding(link).Where(j => j.Joins(link)).Select(j => j.Other(link)).Where(o => lies[o].Kind == ThingKind.Link);

    /// <summary>Links in the order they go in: those that hang together in a run as they hang, case end toward the case.</summary>
    private static List<string> AsTheyHang(Stand lies, IReadOnlyList<string> links)
    {
        var ordered = new List<string>();
        foreach (var link in links.Where(l => !ordered.Contains(l)))
        {
            // Back to the first of its run that goes in too, then along it.
            var at = link;
            while (lies.Holding(at).FirstOrDefault(j => j.B == at && links.Contains(j.A) && !ordered.Contains(j.A)) is { } before && before.A != link)
                at = before.A;
            for (string? next = at; next is not null && !ordered.Contains(next); next = lies.Holding(next).FirstOrDefault(j => j.A == next && links.Contains(j.B))?.B)
                ordered.Add(next);
        }
        return ordered;
    }

    /// <summary>The clasp's joint costs nothing where it is opened whatever leaves.</summary>
    private static bool IsOpenAnyway(BenchFacts facts, Stand lies, Side side, Joint joint)
    {
        if (joint.Id != $"{FromTheWatch.Wanted}.clasp-{Laid.On(side)}")
            return false;
        var isReplaced = facts.Other is { } other && !joint.Joins(other.FromOldBand ? $"{FromTheWatch.Old}.closure" : $"{FromTheWatch.Other}.closure");
        var isMicro = joint.Position is not null && facts.Band.Clasp is { Positions: > 1 };
        var isReseated = isMicro && facts.Setup.Micro == MicroSchool.BarRightOut && facts.Band.Clasp!.Positions <= SlideFrom && facts.Plan!.Position != joint.Position;
        return isReplaced || isReseated || facts.SwapEnds || isMicro && facts.Setup.PartedToLieFlat || !lies.Joint(joint.Id)!.Closed;
    }

    /// <summary>From so many micro positions on it is a slide: nothing is pressed or drawn.</summary>
    public const int SlideFrom = 16;

    private static Dictionary<string, Length> PitchOf(Arrangement plan)
    {
        var pitches = new Dictionary<string, Length>(StringComparer.Ordinal);
        foreach (var side in (Side[])[Side.Twelve, Side.Six])
            foreach (var link in plan.On(side))
                pitches[Laid.LikeOf(link.KindOn(side))] = link.Pitch;
        return pitches;
    }

    private static Length Sum(IEnumerable<string> links, Stand lies, Dictionary<string, Length> pitch) =>
        links.Aggregate(Length.Zero, (sum, id) => sum + pitch.GetValueOrDefault(lies[id].Like));
}
