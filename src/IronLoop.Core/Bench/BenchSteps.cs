using IronLoop.Core.Fitting;
using IronLoop.Core.Joints;
using IronLoop.Core.Stock;

namespace IronLoop.Core.Bench;

/// <summary>
/// The steps that are left: round by round, the difference from how it lies to the next target, row by row of one table. Planned
/// again without a change the same steps come out.
/// </summary>
public sealed class BenchSteps
{
    private readonly BenchFacts _facts;
    private readonly BenchPlan _plan;
    private readonly Worked _now;
    private readonly HashSet<string> _done;
    private readonly List<BenchStep> _steps = [];
    private readonly StepWords _words;
    private Target _target;
    private bool _isFinishing;
    private bool _isWaiting;

    private BenchSteps(BenchFacts facts, BenchPlan plan, Worked now, IEnumerable<string> done)
    {
        (_facts, _plan, _now, _done, _target) = (facts, plan, now, [.. done], plan.Targets[^1]);
        _words = new StepWords(facts, plan);
    }

    /// <summary>The steps that are left after those done.</summary>
    public static IReadOnlyList<BenchStep> Left(BenchFacts facts, BenchPlan plan, IReadOnlyList<DoneStep> done)
    {
        var now = Worked.Of(plan.From);
        var round = 1;
        foreach (var step in done)
        {
            if (step.Round != round)
                now.BeginRound();
            round = step.Round;
            foreach (var act in step.Acts)
                now.Do(act);
        }
        if (plan.Before.Rounds >= round && done.Count > 0)
            now.BeginRound();
        var steps = new BenchSteps(facts, plan, now, done.Select(d => d.Key));
        steps.Plan();
        return steps._steps;
    }

    /// <summary>
    /// Whether a step may be done or taken back: steps are worked in order, so that the second side is never opened before the try-on.
    /// </summary>
    /// <returns>Null when it may; else why not.</returns>
    public static string? WhyNot(IReadOnlyList<BenchStep> left, IReadOnlyList<DoneStep> done, string key, bool tick)
    {
        if (tick)
        {
            return left.Count > 0 && left[0].Key == key ? null
                : done.Any(d => d.Key == key) ? "That step is done already."
                : left.Any(s => s.Key == key) ? $"First: {left[0].Says}"
                : "There is no such step in this plan.";
        }
        return done.Count > 0 && done[^1].Key == key ? null
            : done.Any(d => d.Key == key) ? "Take back first what was done after it."
            : "That step is not done yet.";
    }

    private Stand Stand => _now.Stand;

    /// <summary>A round ends with its try-on; what comes after the last one belongs to that.</summary>
    private int Round => _plan.Before.Rounds + (_isFinishing ? Math.Max(1, _now.TryOns - _plan.Before.TryOns) : _now.TryOns - _plan.Before.TryOns + 1);

    private void Plan()
    {
        var reached = _now.TryOns - _plan.Before.TryOns;
        if (reached == 0)
            OpenToGauge();
        if (_plan.IsToGauge)
            return;
        if (reached == 0)
        {
            Fetch();
            Consent();
        }
        for (var i = Math.Min(reached, _plan.Targets.Count); i < _plan.Targets.Count; i++)
        {
            _target = _plan.Targets[i];
            Work(isLast: i == _plan.Targets.Count - 1);
        }
        _target = _plan.Targets[^1];
        Finish();
    }

    /// <summary>Mat, look, and what is opened before anything is fetched, because it can be gauged only then.</summary>
    private void OpenToGauge()
    {
        _target = _plan.Targets[0];
        var first = _plan.OpenFirst.Where(id => Stand.Joint(id) is { Closed: true } && !_now.WasOpenedThisRound(id)).ToList();
        if (_done.Count == 0 && (first.Count > 0 || _facts.IsOffAndOn || _facts.Told is not null || _plan.Targets.Any(Differs)))
            Word(StepRow.Protect, "");
        LookAt();
        if (first.Count == 0)
            return;
        Unbuckle(first);
        foreach (var id in first)
            AddWithFreed(StepRow.OpenToGauge, id, new Act.Open(id));
    }

    private void Work(bool isLast)
    {
        Unbuckle(_facts.IsOffAndOn ? [.. OffTheHead().Select(j => j.Id)] : []);
        HeadOff();
        OldBandOff();
        OffAndOn();
        if (Closing().Any(IsAtLugs) && !_now.HasCleaned(Stand.Head!.Id))
            Add(StepRow.Clean, "", new Act.Clean(Stand.Head!.Id));
        InTheTray();
        Prepare();
        Part();
        ClaspOff();
        Prepare();
        Sides();
        ClaspOn();
        Lay();
        AtTheLugs();
        Set();
        Shut();
        if (_facts is { Told: not null, IsOffAndOn: false })
            Word(StepRow.AsTold, "");
        if (isLast)
            Word(StepRow.Wipe, "");
        if (_target.TryOn is { } final)
            Add(StepRow.TryOn, final ? "final" : "between", new Act.TryOn(final));
    }

    private void Finish()
    {
        _isFinishing = true;
        foreach (var group in _now.Changed.GroupBy(j => StepWords.GroupOf(Stand, j)).OrderBy(g => g.Key).ToList())
            Add(StepRow.Check, $"{group.Key}", [.. group.Select(j => new Act.Check(j.Id))]);
        foreach (var lent in Stand.Things.Where(t => t.Place == Place.Loan).GroupBy(t => t.Like).ToList())
            Add(StepRow.GiveBack, lent.Key, [.. lent.Select(t => new Act.GiveBack(t.Id))]);
        var left = Components(Stand.Things.Where(t => t.Place == Place.Tray).Select(t => t.Id));
        foreach (var group in left.GroupBy(c => (_plan.To[c[0]].Place, Fits: SetOf(c[0]))).OrderBy(g => g.Key.Place).ThenBy(g => g.Key.Fits, StringComparer.Ordinal).ToList())
            Add(StepRow.PutAway, $"{group.Key.Place}-{group.Key.Fits}", [.. group.Select(c => new Act.Move(c[0], [.. c.Skip(1)], group.Key.Place))]);
    }

    /// <summary>What is bagged together: by the band it fits; a clasp that was replaced with what held it, so that it can be put back.</summary>
    private string SetOf(string thing)
    {
        var fits = Stand[thing].Fits ?? "";
        var closure = _plan.From.Closure(fits)?.Id;
        return closure is not null && !Stand.Is(closure, Place.Watch) && (thing == closure || _plan.From.Joints.Any(j => j.Joins(closure) && j.Parts.Contains(thing)))
            ? $"{fits}-clasp" : fits;
    }

    private void LookAt()
    {
        var joints = _plan.Targets.SelectMany(t => { _target = t; return Opening().ToList(); })
            .Concat(Stand.Joints.Where(j => (_facts.Setup.HeadOff || _facts.IsOffAndOn) && IsAtLugs(j) || _plan.OpenFirst.Contains(j.Id) || _plan.Targets.Any(t => t.PartFirst == j.Id) || _facts.NewParts.Any(n => n.Joint == j.Id))).Distinct()
            .Where(j => (j.Fastener == Fastener.NotLookedAt || _facts.Counted is { } counted && IsInARow(j) && j.Side is { } on && counted.On(on) > 0) && !_now.HasLooked(j.Id)).ToList();
        _target = _plan.Targets[0];
        if (joints.Count > 0)
            Add(StepRow.Look, "", [.. joints.Select(j => new Act.Look(j.Id))]);
    }

    private void Fetch()
    {
        foreach (var drawer in Stand.Things.Where(IsLent).GroupBy(t => t.Drawer).ToList())
            Add(StepRow.Fetch, $"lent-{drawer.First().Id}", [.. drawer.Select(t => new Act.Lend(t.Id))]);
        var wanted = Stand.Things.Where(t => t.Place == Place.Drawer && _plan.To[t.Id].Place != Place.Drawer || t.Place == Place.Bag && _plan.To[t.Id].Place is Place.Watch or Place.Drawer);
        // What a loose link brings comes out of the bag with it.
        var withOwn = wanted.Select(t => t.Id).ToList();
        foreach (var group in Components(withOwn).GroupBy(c => (Stand[c[0]].Place, Stand[c[0]].Drawer)).OrderBy(g => g.Key.Place).ThenBy(g => g.Key.Drawer, StringComparer.Ordinal).ToList())
            Add(StepRow.Fetch, $"{group.Key.Place}-{group.First()[0]}", [.. group.Select(c => new Act.Move(c[0], [.. c.Skip(1)], Place.Tray))]);
    }

    /// <summary>Whether it is lent for the work, which it is once.</summary>
    private bool IsLent(Thing thing) => thing is { Place: Place.Drawer, Fits: null, Owner: Owner.Shop } && !_now.WasLent(thing.Id);

    private void Consent()
    {
        var asked = _plan.Prepare.Where(p => p.Piece.Irreversible && !_now.HasConsent(p.Thing, p.Piece.What)).Select(p => (Act)new Act.Consent(p.Thing, p.Piece.What)).Distinct().ToList();
        if (asked.Count > 0)
            Add(StepRow.Consent, "", [.. asked]);
    }

    /// <summary>What is shut by hand is opened before anything that hangs on it, and to be shut elsewhere.</summary>
    /// <param name="first">What is opened to be gauged.</param>
    private void Unbuckle(IReadOnlyList<string> first)
    {
        var opening = Opening().Concat(first.Select(id => Stand.Joint(id)!)).Distinct().ToList();
        foreach (var hand in Stand.Joints.Where(j => j is { Closed: true, Fastener: Fastener.ByHand } && !IsSlide(j) && Stand.Is(j.A, Place.Watch)).ToList())
        {
            var hangs = Stand.Hanging(hand.A);
            if (opening.Contains(hand) || opening.Any(j => (!j.Fastener.IsByHand() || IsRoundABar(j)) && hangs.Contains(j.A)))
                Add(StepRow.Unbuckle, hand.Id, new Act.Open(hand.Id));
        }
    }

    private void HeadOff()
    {
        if (!_facts.Setup.HeadOff || Stand.Lug(Side.Twelve) is not { Opens: true } twelve || Stand.Lug(Side.Six) is not { Opens: true } six || !twelve.Fastener.Opens() || !six.Fastener.Opens())
            return;
        if (twelve.Closed && six.Closed && !_now.WasOpenedThisRound(twelve.Id) && Opening().Any(j => !IsAtLugs(j) && !j.Fastener.IsByHand()))
            Add(StepRow.HeadOff, twelve.Id, new Act.Open(twelve.Id));
        if (_now.WasOpenedThisRound(twelve.Id) && !_now.WasOpenedThisRound(six.Id) && six.Closed)
            Add(StepRow.HeadOff, six.Id, new Act.Open(six.Id), new Act.Remove(Stand.Head!.Id, []));
    }

    private void OldBandOff()
    {
        var round = Opening().Where(IsRoundABar).ToList();
        if (round.Count > 0)
            AddWithFreed(StepRow.OldBandOff, "band", [.. round.Select(j => (Act)new Act.Open(j.Id))]);
        foreach (var lug in Opening().Where(j => IsAtLugs(j) && !IsRoundABar(j)).OrderBy(j => j.Side).ToList())
            AddWithFreed(StepRow.OldBandOff, lug.Id, new Act.Open(lug.Id));
        // A band that lies there free, as after a begun bench.
        foreach (var free in Freed(Stand))
            Add(StepRow.OldBandOff, free[0], new Act.Remove(free[0], [.. free.Skip(1)]));
    }

    /// <summary>What the band is taken off the head by, once.</summary>
    private List<Joint> OffTheHead()
    {
        var held = Stand.Joints.Where(j => j.Closed && IsAtLugs(j) && !_now.WasOpened(j.Id)).ToList();
        return Stand.Joints.Any(IsRoundABar) ? held.FindAll(IsRoundABar) : [.. held.Where(j => j.Fastener.Opens()).OrderBy(j => j.Side)];
    }

    private void OffAndOn()
    {
        if (!_facts.IsOffAndOn)
            return;
        var held = OffTheHead();
        if (held.Exists(IsRoundABar))
            AddWithFreed(StepRow.OldBandOff, "band", [.. held.Select(j => (Act)new Act.Open(j.Id))]);
        else
            foreach (var lug in held)
                AddWithFreed(StepRow.OldBandOff, lug.Id, new Act.Open(lug.Id));
        Word(StepRow.AsTold, "");
    }

    /// <summary>A buckle or clasp that goes to another band is taken off the old one in the tray.</summary>
    private void InTheTray()
    {
        foreach (var joint in Opening().Where(j => Stand.Is(j.A, Place.Tray) && Stand[j.A].Fits == FromTheWatch.Old).ToList())
            Add(StepRow.InTheTray, joint.Id, new Act.Open(joint.Id));
    }

    /// <summary>What can be made ready now: what is not held where it is worked.</summary>
    private void Prepare()
    {
        foreach (var prepare in _plan.Prepare.Where(p => !Stand[p.Thing].Made.Contains(p.Piece.What)).ToList())
        {
            // A clasp's ends wait until the old clasp is off.
            if (prepare.Piece.At == PreparedAt.ClaspEnds && ComesOff().Count > 0)
                continue;
            var isInTray = Stand.Is(prepare.Thing, Place.Tray);
            if (prepare.Joint is { } at && Stand.Joint(at) is { Closed: true } closed && (closed.Joins(prepare.Thing) || !isInTray) || prepare.Joint is null && !isInTray)
                continue;
            var act = new Act.Prepare(prepare.Thing, prepare.Piece.What, prepare.Joint, prepare.Piece.Irreversible);
            if (Stand[prepare.Thing].Place is not (Place.Tray or Place.Watch))
                continue;
            Act[] acts = prepare.Piece.Irreversible ? [new Act.OfferUp(prepare.Thing), act, new Act.OfferUp(prepare.Thing)] : [act];
            Add(StepRow.Prepare, $"{prepare.Piece.What}-{prepare.Thing}", acts);
        }
    }

    /// <summary>The band is parted at the micro-adjust before a link is freed at the fold, or to lie flat.</summary>
    private void Part()
    {
        if (_target.PartFirst is { } id && Stand.Joint(id) is { Closed: true } && !_now.WasOpenedThisRound(id) && Opening().Any(j => !IsAtLugs(j) && !j.Fastener.IsByHand()))
            Add(StepRow.Open, id, new Act.Open(id));
    }

    /// <summary>The clasps that come off: by the target nothing is joined to them.</summary>
    private List<Thing> ComesOff() =>
    [
        .. Stand.Things.Where(t => t.IsClosure && t.Place is Place.Watch or Place.Tray && t.Fits != FromTheWatch.Old
            && !_target.To.Joints.Any(j => j.Closed && j.Joins(t.Id)) && (t.Place == Place.Watch || Stand.Joints.Any(j => j.Closed && j.Joins(t.Id)))),
    ];

    private void ClaspOff()
    {
        foreach (var closure in ComesOff())
        {
            var held = Stand.Joints.Where(j => j.Closed && j.Joins(closure.Id)).OrderByDescending(j => j.Position is not null).ToList();
            // Its joints may be open already, to be gauged.
            if (held.Count == 0)
                Add(StepRow.ClaspOff, closure.Id, new Act.Remove(closure.Id, []));
            foreach (var joint in held)
                Add(StepRow.ClaspOff, joint.Id, joint == held[^1] && closure.Place == Place.Watch ? [new Act.Open(joint.Id), new Act.Remove(closure.Id, [])] : [new Act.Open(joint.Id)]);
        }
    }

    /// <summary>The links of both sides: on each, what can be closed is closed before the next joint is opened.</summary>
    private void Sides()
    {
        var (first, other) = (_target.First, PlanWords.Other(_target.First));
        while (CloseNext(first) || OpenNext(first) || CloseNext(other) || OpenNext(other))
        {
        }
    }

    private bool CloseNext(Side side)
    {
        var joint = InOrder(Closing().Where(j => j.Side == side && !IsAtLugs(j) && !j.Fastener.IsByHand() && j.Id != _target.PartFirst && !IsOfTheClasp(j)))
            .FirstOrDefault(CanClose);
        if (joint is null || _isWaiting)
            return false;
        Join(StepRow.Join, joint);
        return !_isWaiting;
    }

    private bool OpenNext(Side side)
    {
        if (_isWaiting)
            return false;
        var joint = InOrder(Opening().Where(j => j.Side == side && !IsAtLugs(j) && !j.Fastener.IsByHand() && j.Id != _target.PartFirst))
            // A bar that only goes to another hole is drawn when all else is done.
            .OrderBy(j => _target.To.Joint(j.Id) is { Closed: true } to && j.IsMadeAs(to)).ThenByDescending(IsAtClosure).FirstOrDefault();
        if (joint is null)
            return false;
        AddWithFreed(StepRow.Open, joint.Id, new Act.Open(joint.Id));
        Prepare();
        return true;
    }

    private void ClaspOn()
    {
        foreach (var joint in Closing().Where(j => IsAtClosure(j) && !j.Fastener.IsByHand()).OrderBy(j => j.Position is not null).ToList())
            Join(StepRow.ClaspOn, joint);
        foreach (var slide in Closing().Where(IsSlide).ToList())
            Join(StepRow.ClaspOn, slide);
    }

    private void Lay()
    {
        var laid = Components(Stand.Things.Where(t => t.Place == Place.Tray && _target.To.Is(t.Id, Place.Watch) && !t.IsPart && t.Kind != ThingKind.Head && !t.IsClosure
            && !_target.To.Joints.Any(j => j.Closed && j.Parts.Contains(t.Id))).Select(t => t.Id));
        if (laid.Count > 0)
            Add(StepRow.Lay, laid[0][0], [.. laid.Select(c => new Act.Lay(c[0], [.. c.Skip(1)]))]);
    }

    private void AtTheLugs()
    {
        foreach (var bar in Closing().Where(j => IsAtLugs(j) && !IsRoundABar(j) && Stand[j.B].Kind == ThingKind.Bar).OrderBy(j => j.Side).ToList())
            Join(StepRow.Bars, bar);
        var isReversed = _facts.Way is PullThroughWay.ReversedDouble or PullThroughWay.ReversedSingle;
        foreach (var round in Closing().Where(IsRoundABar).OrderBy(j => j.Side == Side.Six != isReversed).ToList())
            Join(StepRow.Thread, round);
        foreach (var lug in Closing().Where(j => IsAtLugs(j) && !IsRoundABar(j)).OrderBy(j => j.Side).ToList())
            Join(StepRow.Lugs, lug);
    }

    private void Set()
    {
        foreach (var joint in Stand.Joints.Where(j => j.Closed && _target.To.Joint(j.Id) is { Closed: true, Position: { } wanted } to && j.Position != wanted && j.IsMadeAs(to)).ToList())
        {
            var adjust = new Act.Adjust(joint.Id, _target.To.Joint(joint.Id)!.Position!.Value);
            Add(StepRow.Set, joint.Id, joint.Fastener.IsByHand() ? [adjust] : [adjust, new Act.Check(joint.Id)]);
        }
    }

    private void Shut()
    {
        foreach (var hand in Closing().Where(j => j.Fastener == Fastener.ByHand).ToList())
            Join(StepRow.Shut, hand);
    }

    /// <summary>Closes a joint; what lies in the tray and goes to what is in the watch is laid first. It is checked as it is closed.</summary>
    private void Join(StepRow row, Joint joint)
    {
        var acts = new List<Act>();
        var inWatch = Stand.Is(joint.A, Place.Watch) || Stand.Is(joint.B, Place.Watch);
        foreach (var end in (string[])[joint.A, joint.B])
        {
            if (inWatch && Stand.Is(end, Place.Tray))
            {
                var whole = Stand.Hanging(end);
                acts.Add(new Act.Lay(end, [.. whole.Skip(1)]));
            }
        }
        if (IsStranger(joint))
            acts.Add(new Act.OfferUp(Stand.Is(joint.A, Place.Tray) ? joint.A : joint.B));
        acts.Add(new Act.Close(joint.Id, joint.A, joint.B, joint.Parts, joint.Fastener, joint.Side, joint.Position));
        if (!joint.Fastener.IsByHand())
            acts.Add(new Act.Check(joint.Id));
        Add(row, joint.Id, [.. acts]);
    }

    /// <summary>Whether two ends meet that were not joined to their likes when the watch came in: they are offered up first.</summary>
    private bool IsStranger(Joint joint)
    {
        if (!IsInARow(joint))
            return false;
        var (a, b) = (Stand[joint.A], Stand[joint.B]);
        // An end that was held by another fastener may have another bore.
        if (IsAtClosure(joint) && _plan.From.Joints.Any(j => j.A == joint.A && j.Fastener != joint.Fastener))
            return true;
        bool Alike(string x, Thing y) => _plan.From.Find(x) is { } thing && thing.Kind == y.Kind && thing.Like == y.Like && thing.Fits == y.Fits;
        var isKnown = _plan.From.Joints.Any(j => j.Fastener == joint.Fastener && (Alike(j.A, a) && Alike(j.B, b) || Alike(j.A, b) && Alike(j.B, a)));
        return !isKnown && !(a.Kind == b.Kind && a.Like == b.Like);
    }

    /// <summary>The joints that are closed now and have to be opened on the way to the target.</summary>
    private IEnumerable<Joint> Opening() => Stand.Joints.Where(j => j.Closed && Wants(j));

    private bool Wants(Joint joint)
    {
        if (_target.To.Joint(joint.Id) is not { Closed: true } to)
            return true;
        if (!joint.IsMadeAs(to))
            return true;
        if (joint.Position == to.Position)
            return false;
        return joint.Fastener == Fastener.ByHand ? !IsSlide(joint) : _facts.Setup.Micro == MicroSchool.BarRightOut && !IsSlideClasp;
    }

    private bool IsSlideClasp => _facts.Band.Clasp is { Positions: > LinkWork.SlideFrom };

    /// <summary>The joints that the target has closed and that are open now.</summary>
    private IEnumerable<Joint> Closing() => _target.To.Joints.Where(j => j.Closed && Stand.Joint(j.Id) is not { Closed: true } && _target.To.Is(j.A, Place.Watch));

    /// <summary>All that is to be done on the way to the target.</summary>
    private IEnumerable<Joint> Work() => Opening().Concat(Closing());

    private bool Differs(Target target)
    {
        _target = target;
        var differs = Work().Any() || Stand.Joints.Any(j => j.Closed && target.To.Joint(j.Id) is { Closed: true } to && j.Position != to.Position);
        _target = _plan.Targets[0];
        return differs;
    }

    private bool CanClose(Joint joint)
    {
        // What still hangs where it is to be parted from is not joined elsewhere.
        bool Free(string end) => Stand.Find(end) is { Place: Place.Watch or Place.Tray } thing
            && Stand.Holding(end).Count(j => j.Joins(end)) < (thing.Kind == ThingKind.OnePieceBand ? 4 : 2)
            && !Stand.Holding(end).Any(j => j.Joins(end) && !(_target.To.Joint(j.Id) is { } to && j.IsMadeAs(to)));
        return Free(joint.A) && Free(joint.B) && joint.Parts.All(p => Stand.Is(p, Place.Tray) && Stand.Holding(p).Count == 0 || IsGone(p));
    }

    private bool IsGone(string part) => Stand.Is(part, Place.Lost) || Stand.Is(part, Place.Thrown);

    private bool IsAtLugs(Joint joint) => joint.Joins(Stand.Head!.Id) || IsRoundABar(joint);

    private bool IsRoundABar(Joint joint) => !joint.Joins(Stand.Head!.Id) && (Stand.Find(joint.A)?.Kind == ThingKind.Bar || Stand.Find(joint.B)?.Kind == ThingKind.Bar);

    private bool IsAtClosure(Joint joint) => Stand.Find(joint.A)?.IsClosure == true || Stand.Find(joint.B)?.IsClosure == true;

    /// <summary>Whether a joint waits until the clasp goes on: it is another clasp, or both its joints were opened in this round.</summary>
    private bool IsOfTheClasp(Joint joint) => IsAtClosure(joint)
        && ((string[])[joint.A, joint.B]).Where(e => Stand[e].IsClosure).Any(c => !_plan.From.Joints.Any(j => j.Id == joint.Id && j.Joins(c))
            || _target.To.Joints.Where(j => j.Closed && j.Joins(c)).All(j => _now.WasOpenedThisRound(j.Id)));

    private bool IsInARow(Joint joint) => !IsAtLugs(joint) && Stand[joint.A].Kind is ThingKind.Link or ThingKind.EndPiece;

    private bool IsSlide(Joint joint) => joint is { Fastener: Fastener.ByHand, Position: not null } && (Stand[joint.A].Kind == ThingKind.MeshPiece || Stand[joint.B].Kind == ThingKind.MeshPiece);

    private IEnumerable<Joint> InOrder(IEnumerable<Joint> joints) => joints.OrderBy(j => Lies(j.Id)).ThenBy(j => j.Id, StringComparer.Ordinal);

    private int Lies(string joint)
    {
        for (var i = 0; i < _target.Order.Count; i++)
            if (_target.Order[i] == joint)
                return i;
        return _target.Order.Count;
    }

    /// <summary>Things with what hangs on each, every group once.</summary>
    private List<IReadOnlyList<string>> Components(IEnumerable<string> things)
    {
        var seen = new HashSet<string>(StringComparer.Ordinal);
        var found = new List<IReadOnlyList<string>>();
        foreach (var thing in things.ToList())
        {
            if (seen.Contains(thing))
                continue;
            var whole = Stand.Hanging(thing);
            seen.UnionWith(whole);
            found.Add(whole);
        }
        return found;
    }

    /// <summary>
    /// What hangs free in the watch and comes out of it: a band that is off the head, links whose joints are open and that leave or go
    /// elsewhere, a bare bar that another band is held by.
    /// </summary>
    private List<IReadOnlyList<string>> Freed(Stand stand)
    {
        var freed = new List<IReadOnlyList<string>>();
        var seen = new HashSet<string>(StringComparer.Ordinal);
        foreach (var thing in stand.Things.Where(t => t is { Place: Place.Watch, IsClosure: false, Kind: not ThingKind.Head } && (!t.IsPart || t.Kind == ThingKind.Bar)))
        {
            if (!seen.Add(thing.Id))
                continue;
            var whole = stand.Hanging(thing.Id);
            seen.UnionWith(whole);
            if (!whole.Contains(stand.Head!.Id) && whole.All(id => stand.Is(id, Place.Watch)) && ComesOut(stand, whole))
                freed.Add(whole);
        }
        return freed;
    }

    private bool ComesOut(Stand stand, IReadOnlyList<string> whole)
    {
        var to = _target.To;
        // What was only opened to be gauged is kept together in the tray.
        if (_plan.IsToGauge)
            return true;
        if (whole is [var bar] && stand[bar].Kind == ThingKind.Bar)
            return !to.Joints.Any(j => j.Closed && j.Joins(bar));
        var things = whole.Where(id => stand[id] is { IsClosure: false, IsPart: false }).ToList();
        if (things.TrueForAll(id => !to.Is(id, Place.Watch)))
            return whole.Any(id => stand[id].IsClosure) || !stand.Joints.Any(j => j.Closed && whole.Contains(j.A) && Wants(j) && stand[j.A].Kind is ThingKind.Link or ThingKind.EndPiece);
        if (whole.Any(id => stand[id].IsClosure) || !things.TrueForAll(id => stand[id].Kind is ThingKind.Link or ThingKind.EndPiece) || stand.Joints.Any(j => j.Closed && whole.Contains(j.A) && Wants(j)))
            return false;
        // It stays laid where it is joined to the same neighbour again.
        return !to.Joints.Any(j => j.Closed && whole.Contains(j.A) != whole.Contains(j.B) && stand.Joint(j.Id) is { } before && before.Joins(j.A) && before.Joins(j.B));
    }

    /// <summary>Opens joints; what hangs free then comes out with it.</summary>
    private void AddWithFreed(StepRow row, string name, params Act[] opened)
    {
        var after = Stand.Copy();
        foreach (var joint in opened.OfType<Act.Open>().Select(o => after.Joint(o.Joint)!))
        {
            after.Put(joint.Parts, Place.Tray);
            after.Set(joint.Opened);
        }
        Add(row, name, [.. opened, .. Freed(after).Select(f => new Act.Remove(f[0], [.. f.Skip(1)]))]);
    }

    private void Word(StepRow row, string name)
    {
        var key = Key(row, name);
        if (!_done.Contains(key) && !_isWaiting)
            _steps.Add(_words.Of(new BenchStep(key, row, Round, []), Stand, _target));
    }

    private void Add(StepRow row, string name, params Act[] acts)
    {
        if (acts.Length == 0 || _isWaiting)
            return;
        // What is only looked at leaves no mark on how it stands: that it was done, or left out, is known by its name.
        var key = Key(row, name);
        if (row is StepRow.Check or StepRow.TryOn or StepRow.Clean && _done.Contains(key))
            return;
        var step = _words.Of(new BenchStep(key, row, Round, acts), Stand, _target);
        // What is gone has to be found or replaced first; what comes after that is planned then.
        if (acts.OfType<Act.Close>().SelectMany(c => c.Parts).Where(IsGone).ToList() is { Count: > 0 } gone)
        {
            _isWaiting = true;
            _steps.Add(step with { Waits = $"{Stand[gone[0]].Count(gone.Count)} {(gone.Count == 1 ? "is" : "are")} gone: look for it, or take one from stock at the Tray." });
            return;
        }
        _steps.Add(step);
        foreach (var act in acts)
            _now.Do(act);
    }

    private string Key(StepRow row, string name) =>
        $"{(Round > 1 ? $"r{Round}-" : "")}{row}{(name.Length > 0 ? $"-{name}" : "")}".ToLowerInvariant().Replace('.', '-');
}
