using IronLoop.Core.Fitting;

namespace IronLoop.Core.Joints;

/// <summary>How it stands after some acts, with what has to be remembered of them: looked at, consented, offered up, opened, checked.</summary>
public sealed class Worked
{
    private HashSet<string> _looked = [];
    private HashSet<string> _cleaned = [];
    private HashSet<string> _lent = [];
    private HashSet<string> _changed = [];
    private HashSet<string> _unchecked = [];
    private HashSet<(string Thing, Shaping What)> _consented = [];
    private HashSet<string> _offered = [];
    private HashSet<string> _owesOffer = [];
    private HashSet<string> _openedThisRound = [];
    private HashSet<string> _opened = [];

    private Worked(Stand stand) => Stand = stand;

    /// <summary>The beginning of the work.</summary>
    public static Worked Of(Stand from) => new(from.Copy());

    /// <summary>How it stands after acts.</summary>
    /// <exception cref="InvalidOperationException">An act does not find what it asks for.</exception>
    public static Worked After(Stand from, IEnumerable<Act> acts)
    {
        var worked = Of(from);
        foreach (var act in acts)
            worked.Do(act);
        return worked;
    }

    /// <summary>How it stands after some more acts; this stays as it is.</summary>
    /// <exception cref="InvalidOperationException">An act does not find what it asks for.</exception>
    public Worked Then(IEnumerable<Act> acts)
    {
        var worked = new Worked(Stand.Copy())
        {
            _looked = [.. _looked],
            _cleaned = [.. _cleaned],
            _lent = [.. _lent],
            _changed = [.. _changed],
            _unchecked = [.. _unchecked],
            _consented = [.. _consented],
            _offered = [.. _offered],
            _owesOffer = [.. _owesOffer],
            _openedThisRound = [.. _openedThisRound],
            _opened = [.. _opened],
            TryOns = TryOns,
            IsTriedForGood = IsTriedForGood,
        };
        foreach (var act in acts)
            worked.Do(act);
        return worked;
    }

    /// <summary>How it stands.</summary>
    public Stand Stand { get; }

    /// <summary>How many try-ons there were.</summary>
    public int TryOns { get; private set; }

    /// <summary>Whether the last act was the final try-on or came after it.</summary>
    public bool IsTriedForGood { get; private set; }

    /// <summary>The joints opened, made or set in the job that are closed and not only the wearer's, in the order they came up.</summary>
    public IEnumerable<Joint> Changed => Stand.Joints.Where(j => j.Closed && _changed.Contains(j.Id) && !j.Fastener.IsByHand() && Stand.Is(j.A, Place.Watch));

    /// <summary>Whether a joint was looked at.</summary>
    public bool HasLooked(string joint) => _looked.Contains(joint);

    /// <summary>Whether a thing was cleaned.</summary>
    public bool HasCleaned(string thing) => _cleaned.Contains(thing);

    /// <summary>Whether a thing of the shop's was lent for the work.</summary>
    public bool WasLent(string thing) => _lent.Contains(thing);

    /// <summary>Whether the owner consented.</summary>
    public bool HasConsent(string thing, Shaping what) => _consented.Contains((thing, what));

    /// <summary>Whether a joint was opened since the last try-on.</summary>
    public bool WasOpenedThisRound(string joint) => _openedThisRound.Contains(joint);

    /// <summary>Whether a joint was opened at all.</summary>
    public bool WasOpened(string joint) => _opened.Contains(joint);

    /// <summary>Why an act cannot be done; null when it can.</summary>
    public string? WhyNot(Act act) => act switch
    {
        Act.Look look => Stand.Joint(look.Joint) is null ? NoJoint(look.Joint) : null,
        Act.Open open => WhyNotOpen(open),
        Act.Remove remove => WhyNotWhole(remove.Thing, remove.With, inWatch: true),
        Act.Lay lay => WhyNotWhole(lay.Thing, lay.With, inWatch: false) ?? ((string[])[lay.Thing, .. lay.With]).Select(t => NotIn(t, Place.Tray)).FirstOrDefault(w => w is not null),
        Act.Start start => Stand.Joint(start.Joint) is null ? NoJoint(start.Joint) : NotIn(start.Part, Place.Tray),
        Act.Close close => WhyNotClose(close),
        Act.Move move => WhyNotWhole(move.Thing, move.With, inWatch: false),
        Act.Adjust adjust => Stand.Joint(adjust.Joint) is not { Closed: true, Position: not null } ? $"{adjust.Joint} is no closed joint with a position." : null,
        Act.Consent consent => Stand.Find(consent.Thing) is null ? NoThing(consent.Thing) : null,
        Act.Prepare prepare => WhyNotPrepare(prepare),
        Act.OfferUp offer => Stand.Find(offer.Thing) is null ? NoThing(offer.Thing) : null,
        Act.Clean clean => Stand.Find(clean.Thing) is null ? NoThing(clean.Thing) : null,
        Act.Check check => Stand.Joint(check.Joint) is not { Closed: true } ? $"{check.Joint} is not closed." : !_changed.Contains(check.Joint) ? $"Nothing was done at {check.Joint}." : null,
        Act.Lend lend => NotIn(lend.Thing, Place.Drawer),
        Act.GiveBack back => NotIn(back.Thing, Place.Loan),
        Act.TryOn => WhyNotTryOn(),
        _ => throw new ArgumentOutOfRangeException(nameof(act), act, "Not an act."),
    };

    /// <summary>Does an act.</summary>
    /// <exception cref="InvalidOperationException">It cannot be done.</exception>
    public void Do(Act act)
    {
        if (WhyNot(act) is { } why)
            throw new InvalidOperationException($"{act.GetType().Name}: {why}");
        switch (act)
        {
            case Act.Look look:
                _looked.Add(look.Joint);
                break;
            case Act.Open open:
                var opened = Stand.Joint(open.Joint)!;
                Stand.Put(opened.Parts, Place.Tray);
                Stand.Set(opened.Opened);
                Change(open.Joint);
                _openedThisRound.Add(open.Joint);
                _opened.Add(open.Joint);
                break;
            case Act.Remove remove:
                Stand.Put([remove.Thing, .. remove.With], Place.Tray);
                break;
            case Act.Lay lay:
                Stand.Put([lay.Thing, .. lay.With], Place.Watch);
                break;
            case Act.Close close:
                Stand.Put(close.Parts, Stand[close.A].Place);
                Stand.Set(new Joint(close.Joint, close.A, close.B, close.Fastener, close.Parts, true, close.Side, close.Position));
                Change(close.Joint);
                break;
            case Act.Move move:
                Stand.Put([move.Thing, .. move.With], move.To);
                break;
            case Act.Adjust adjust:
                Stand.Set(Stand.Joint(adjust.Joint)! with { Position = adjust.Position });
                Change(adjust.Joint);
                break;
            case Act.Consent consent:
                _consented.Add((consent.Thing, consent.What));
                break;
            case Act.Prepare prepare:
                Stand.Set(Stand[prepare.Thing] with { Made = [.. Stand[prepare.Thing].Made, prepare.What] });
                if (prepare.Irreversible)
                    _owesOffer.Add(prepare.Thing);
                break;
            case Act.OfferUp offer:
                _offered.Add(offer.Thing);
                _owesOffer.Remove(offer.Thing);
                break;
            case Act.Clean clean:
                _cleaned.Add(clean.Thing);
                break;
            case Act.Check check:
                _unchecked.Remove(check.Joint);
                break;
            case Act.Lend lend:
                Stand.Put([lend.Thing], Place.Loan);
                _lent.Add(lend.Thing);
                break;
            case Act.GiveBack back:
                Stand.Put([back.Thing], Place.Drawer);
                break;
            case Act.TryOn tryOn:
                TryOns++;
                IsTriedForGood = tryOn.Final;
                _openedThisRound.Clear();
                return;
        }
        // What is opened after the final try-on is tried on again.
        if (act is Act.Open or Act.Close or Act.Adjust)
            IsTriedForGood = false;
    }

    /// <summary>A round begins: after a try-on, or with a change of what was agreed.</summary>
    public void BeginRound() => _openedThisRound.Clear();

    private void Change(string joint)
    {
        _changed.Add(joint);
        _unchecked.Add(joint);
    }

    private string? WhyNotOpen(Act.Open open)
    {
        if (Stand.Joint(open.Joint) is not { } joint)
            return NoJoint(open.Joint);
        if (!joint.Closed)
            return $"{open.Joint} is open already.";
        if (!joint.Opens || !joint.Fastener.Opens())
            return $"{open.Joint} is never opened.";
        if (joint.Fastener == Fastener.NotLookedAt && !_looked.Contains(joint.Id))
            return $"Nobody has looked at {open.Joint} yet.";
        var place = Stand[joint.A].Place;
        if (place is not (Place.Watch or Place.Tray))
            return $"{joint.A} is neither in the watch nor in the tray.";
        return ((string[])[joint.B, .. joint.Parts]).Select(t => NotIn(t, place)).FirstOrDefault(w => w is not null);
    }

    private string? WhyNotClose(Act.Close close)
    {
        if (Stand.Joint(close.Joint) is { Closed: true })
            return $"{close.Joint} is closed already.";
        if (Stand.Find(close.A) is not { } a || Stand.Find(close.B) is null)
            return NoThing(close.A);
        if (a.Place is not (Place.Watch or Place.Tray))
            return $"{close.A} is neither in the watch nor in the tray.";
        if (NotIn(close.B, a.Place) is { } apart)
            return apart;
        foreach (var end in (string[])[close.A, close.B])
        {
            var ends = Stand[end].Kind == ThingKind.OnePieceBand ? 4 : 2;
            if (Stand.Holding(end).Count(j => j.Joins(end)) >= ends)
                return $"{end} has no end free.";
        }
        return close.Parts.Select(p => NotIn(p, Place.Tray) ?? (Stand.Holding(p).Count > 0 ? $"{p} holds another joint." : null)).FirstOrDefault(w => w is not null);
    }

    private string? WhyNotWhole(string thing, IReadOnlyList<string> with, bool inWatch)
    {
        HashSet<string> whole = [thing, .. with];
        foreach (var one in whole)
        {
            if (Stand.Find(one) is not { } found)
                return NoThing(one);
            if (found.Place == Place.Watch != inWatch)
                return $"{one} is {(inWatch ? "not in" : "in")} the watch.";
        }
        return whole.SelectMany(Stand.Holding).FirstOrDefault(j => !whole.Contains(j.A) || !whole.Contains(j.B) || !j.Parts.All(whole.Contains)) is { } held ? $"{held.Id} still holds it." : null;
    }

    private string? WhyNotPrepare(Act.Prepare prepare)
    {
        if (Stand.Find(prepare.Thing) is not { } thing)
            return NoThing(prepare.Thing);
        var isBare = thing.Place == Place.Tray || prepare.Joint is not null && Stand.Joint(prepare.Joint) is not { Closed: true };
        if (!isBare)
            return $"{prepare.Thing} lies neither in the tray nor open at that end.";
        if (!prepare.Irreversible)
            return null;
        return !_consented.Contains((prepare.Thing, prepare.What)) ? $"The owner has not consented to what is done to {prepare.Thing}."
            : !_offered.Contains(prepare.Thing) ? $"{prepare.Thing} was not offered up."
            : null;
    }

    private string? WhyNotTryOn()
    {
        foreach (var side in (Side[])[Side.Twelve, Side.Six])
            if (Stand.Lug(side) is not { Closed: true })
                return $"The {PlanWords.Name(side)} side is not held at the lugs.";
        if (!Stand.Is(Stand.Head!.Id, Place.Watch))
            return "The head is not on its band.";
        var closures = Stand.Things.Where(t => t.IsClosure && t.Place == Place.Watch).ToList();
        if (closures.Count != 1 || Stand.Joints.Count(j => j.Closed && j.Joins(closures[0].Id)) != 2)
            return "The loop is not closed.";
        if (!Stand.Hanging(Stand.Head.Id).Contains(closures[0].Id))
            return "The loop does not hold together.";
        if (_owesOffer.Count > 0)
            return $"{_owesOffer.First()} was not offered up again.";
        return Stand.Joints.FirstOrDefault(j => j.Closed && _unchecked.Contains(j.Id) && !j.Fastener.IsByHand() && Stand.Is(j.A, Place.Watch)) is { } joint
            ? $"{joint.Id} is not checked."
            : null;
    }

    private string? NotIn(string thing, Place place) =>
        Stand.Find(thing) is not { } found ? NoThing(thing) : found.Place != place ? $"{thing} is not in {PlaceWords.Of(place)} but in {PlaceWords.Of(found.Place)}." : null;

    private static string NoJoint(string joint) => $"There is no joint {joint}.";

    private static string NoThing(string thing) => $"There is no {thing}.";
}
