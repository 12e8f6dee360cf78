using System.Text.Json.Nodes;

namespace IronLoop.Replay;

/// <summary>
/// Works a bench list as it is sent: act by act on how the watch stood, by the table in docs/joints.md and nothing else. It knows
/// no rule of how steps are made; it only says what a hand could not have done, and where the end is not what was promised.
/// </summary>
public sealed class Replayed
{
    private static readonly string[] NeverOpened = ["fixedBar", "sewn", "riveted"];

    private readonly Dictionary<string, string> _place = [];
    private readonly Dictionary<string, JsonNode> _thing = [];
    private readonly Dictionary<string, List<string>> _made = [];
    private readonly Dictionary<string, Held> _joints = [];
    private readonly HashSet<string> _looked = [], _changed = [], _unchecked = [], _openedThisRound = [], _madeThisRound = [];
    private readonly HashSet<(string, string)> _consented = [];
    private readonly HashSet<string> _offered = [], _owesOffer = [];
    private readonly List<string> _faults = [];
    private string _at = "";

    private sealed record Held(string A, string B, string Fastener, string[] Parts, bool Closed, string? Side, int? Position);

    /// <summary>Joints opened, counted each time.</summary>
    public int Opened { get; private set; }

    /// <summary>What is wrong with a list; nothing when a hand could work it and it ends as promised.</summary>
    public static IReadOnlyList<string> FaultsOf(JsonNode bench) => Of(bench).Faults;

    /// <summary>What is wrong with the list.</summary>
    public IReadOnlyList<string> Faults => _faults;

    /// <summary>Works a list to its end.</summary>
    public static Replayed Of(JsonNode bench)
    {
        var replay = new Replayed(bench["from"]!);
        foreach (var step in bench["steps"]!.AsArray())
        {
            replay._at = step!["key"]!.GetValue<string>();
            replay.Round(Number(step, "round") ?? 1);
            var acts = step["acts"]!.AsArray();
            if (acts.Count == 0 && step["caution"]?.GetValue<bool>() != true && step["skipped"]?.GetValue<string>() is null)
                replay.Say("does nothing");
            foreach (var act in acts)
                replay.Do(act!);
        }
        replay._at = "the end";
        replay.End(bench["to"]!);
        return replay;
    }

    private Replayed(JsonNode from)
    {
        foreach (var thing in from["things"]!.AsArray())
        {
            var id = Text(thing!, "id")!;
            if (!_thing.TryAdd(id, thing!))
                Say($"two things are called {id}");
            _place[id] = Text(thing!, "place")!;
            _made[id] = Many(thing!, "made");
        }
        foreach (var joint in from["joints"]!.AsArray())
            if (!_joints.TryAdd(Text(joint!, "id")!, Read(joint!)))
                Say($"two joints are called {Text(joint!, "id")}");
    }

    private int _round = 1;

    private void Round(int round)
    {
        if (round == _round)
            return;
        Ask(round > _round, "goes back to a round before");
        _round = round;
        _openedThisRound.Clear();
        _madeThisRound.Clear();
    }

    private void Do(JsonNode act)
    {
        var (joint, thing) = (Text(act, "joint"), Text(act, "thing"));
        string[] whole = thing is null ? [] : [thing, .. Many(act, "with")];
        foreach (var one in whole.Where(t => !_thing.ContainsKey(t)))
        {
            Say($"there is no {one}");
            return;
        }
        switch (Text(act, "do"))
        {
            case "look":
                Ask(_joints.ContainsKey(joint!), $"looks at {joint}, which is not there");
                _looked.Add(joint!);
                break;
            case "open":
                Open(joint!);
                break;
            case "remove":
                Ask(whole.All(t => _place[t] == "watch"), $"removes {thing}, not all of it in the watch");
                Free(whole);
                Put(whole, "tray");
                break;
            case "place":
                Ask(whole.All(t => _place[t] == "tray"), $"places {thing}, not all of it in the tray");
                Free(whole);
                Put(whole, "watch");
                break;
            case "start":
                Ask(_place[Text(act, "part")!] == "tray", "starts a part that is not in the tray");
                break;
            case "close":
                Close(act, joint!);
                break;
            case "move":
                Ask(whole.All(t => _place[t] != "watch"), $"moves {thing}, which is in the watch");
                Free(whole);
                Put(whole, Text(act, "to")!);
                break;
            case "adjust":
                if (_joints.TryGetValue(joint!, out var set) && set is { Closed: true, Position: not null })
                    _joints[joint!] = set with { Position = Number(act, "position") };
                else
                    Say($"adjusts {joint}, which is not closed or has no position");
                Change(joint!);
                break;
            case "consent":
                _consented.Add((thing!, Text(act, "what")!));
                break;
            case "prepare":
                Prepare(act, thing!, joint);
                break;
            case "offerUp":
                _offered.Add(thing!);
                _owesOffer.Remove(thing!);
                break;
            case "clean":
                break;
            case "check":
                Ask(_joints.TryGetValue(joint!, out var seen) && seen.Closed && _changed.Contains(joint!), $"checks {joint}, at which nothing was done");
                Ask(seen is null || seen.Fastener is not ("byHand" or "threaded"), $"checks {joint}, which only the wearer closes");
                _unchecked.Remove(joint!);
                break;
            case "lend":
                Ask(_place[thing!] == "drawer", $"lends {thing}, which is not in the drawer");
                Put(whole, "loan");
                break;
            case "giveBack":
                Ask(_place[thing!] == "loan", $"gives {thing} back, which is not lent");
                Put(whole, "drawer");
                break;
            case "tryOn":
                TryOn();
                break;
            default:
                Say($"does {Text(act, "do")}, which is no act");
                break;
        }
    }

    private void Open(string joint)
    {
        if (!_joints.TryGetValue(joint, out var held) || !held.Closed)
        {
            Say($"opens {joint}, which is not closed");
            return;
        }
        Opened++;
        Ask(!NeverOpened.Contains(held.Fastener), $"opens {joint}, which is {held.Fastener}");
        Ask(held.Fastener != "notLookedAt" || _looked.Contains(joint), $"opens {joint} without a look");
        Ask(_openedThisRound.Add(joint) && !_madeThisRound.Contains(joint), $"opens {joint} again in one round");
        var place = _place[held.A];
        Ask(place is "watch" or "tray" && held.Parts.Append(held.B).All(t => _place[t] == place), $"opens {joint}, whose things lie apart");
        Put(held.Parts, "tray");
        _joints[joint] = held with { Closed = false, Parts = [] };
        Change(joint);
    }

    private void Close(JsonNode act, string joint)
    {
        var made = Read(act) with { Closed = true };
        if (_joints.TryGetValue(joint, out var before) && before.Closed)
        {
            Say($"closes {joint}, which is closed");
            return;
        }
        foreach (var end in (string[])[made.A, made.B])
        {
            if (!_thing.TryGetValue(end, out var thing))
            {
                Say($"closes {joint} with {end}, which is not there");
                return;
            }
            var joined = _joints.Values.Where(j => j.Closed && (j.A == end || j.B == end)).ToList();
            Ask(joined.Count < (Text(thing, "kind") == "onePieceBand" ? 4 : 2), $"closes {joint}: {end} has no end free");
            Ask(Text(thing, "kind") != "head" || joined.TrueForAll(j => j.Side != made.Side), $"closes {joint}: the {made.Side} side of the head is held already");
        }
        Ask(_place[made.A] == _place[made.B] && _place[made.A] is "watch" or "tray", $"closes {joint}, whose things lie apart");
        Ask(made.Parts.All(p => _place.GetValueOrDefault(p) == "tray"), $"closes {joint} with a part that is not in the tray");
        Ask(!made.Parts.Any(p => _joints.Values.Any(j => j.Closed && j.Parts.Contains(p))), $"closes {joint} with a part that holds another");
        Ask(made.Fastener is "byHand" or "threaded" or "openEnd" || made.Parts.Length > 0 || made.A == Head && Text(_thing[made.B], "kind") == "bar", $"closes {joint} without a fastener");
        Put(made.Parts, _place[made.A]);
        _joints[joint] = made;
        Change(joint);
        if (!_openedThisRound.Contains(joint))
            _madeThisRound.Add(joint);
    }

    private void Prepare(JsonNode act, string thing, string? joint)
    {
        var what = Text(act, "what")!;
        Ask(_place[thing] == "tray" || joint is not null && !_joints.GetValueOrDefault(joint, Nothing).Closed, $"works on {thing}, which is not bare there");
        if (act["irreversible"]?.GetValue<bool>() == true)
        {
            Ask(_consented.Contains((thing, what)), $"does what cannot be undone to {thing} without consent");
            Ask(_offered.Contains(thing), $"does what cannot be undone to {thing} before it was offered up");
            _owesOffer.Add(thing);
        }
        _made[thing].Add(what);
    }

    private static readonly Held Nothing = new("", "", "", [], false, null, null);

    private string Head => _thing.Values.Where(t => Text(t, "kind") == "head").Select(t => Text(t, "id")!).Single();

    private void TryOn()
    {
        foreach (var side in (string[])["12", "6"])
            Ask(_joints.Values.Any(j => j.Closed && j.Side == side && (j.A == Head || j.B == Head)), $"is tried on with the {side} side off");
        Ask(_place[Head] == "watch", "is tried on without its head");
        var closures = _thing.Values.Where(t => Text(t, "kind") is "clasp" or "buckle" && _place[Text(t, "id")!] == "watch").Select(t => Text(t, "id")!).ToList();
        Ask(closures.Count == 1 && _joints.Values.Count(j => j.Closed && (j.A == closures[0] || j.B == closures[0])) == 2, "is tried on with no closed loop");
        var ring = Ring();
        Ask(closures.TrueForAll(ring.Contains), "is tried on in pieces");
        Ask(_place.All(p => p.Value != "watch" || ring.Contains(p.Key)), $"is tried on with {_place.FirstOrDefault(p => p.Value == "watch" && !ring.Contains(p.Key)).Key} lying loose in the watch");
        Ask(_owesOffer.Count == 0, "is tried on before what was made was offered up again");
        var unchecked_ = _joints.Where(j => j.Value.Closed && _unchecked.Contains(j.Key) && j.Value.Fastener is not ("byHand" or "threaded") && _place[j.Value.A] == "watch").Select(j => j.Key).ToList();
        Ask(unchecked_.Count == 0, $"is tried on with {string.Join(", ", unchecked_)} not checked");
        _openedThisRound.Clear();
        _madeThisRound.Clear();
    }

    private HashSet<string> Ring()
    {
        var ring = new HashSet<string> { Head };
        var before = 0;
        while (ring.Count > before)
        {
            before = ring.Count;
            ring.UnionWith(_joints.Values.Where(j => j.Closed && (ring.Contains(j.A) || ring.Contains(j.B))).SelectMany(j => j.Parts.Append(j.A).Append(j.B)).ToList());
        }
        return ring;
    }

    private void End(JsonNode to)
    {
        Ask(_place.All(p => p.Value is not ("tray" or "loan")), $"leaves {string.Join(", ", _place.Where(p => p.Value is "tray" or "loan").Select(p => p.Key))} in the tray or on loan");
        var unchecked_ = _joints.Where(j => j.Value.Closed && _unchecked.Contains(j.Key) && j.Value.Fastener is not ("byHand" or "threaded") && _place[j.Value.A] == "watch").Select(j => j.Key).ToList();
        Ask(unchecked_.Count == 0, $"ends with {string.Join(", ", unchecked_)} not checked");
        var promised = new Replayed(to);
        Ask(promised._faults.Count == 0, "promises what has two names");
        Ask(_thing.Count == promised._thing.Count, $"begins with {_thing.Count} things and promises {promised._thing.Count}");
        Same("the loop", Walk(), promised.Walk());
        Same("what is outside", Outside(), promised.Outside());
    }

    private void Same(string what, List<string> is_, List<string> promised)
    {
        if (!is_.SequenceEqual(promised))
            Say($"{what} is not as promised: {string.Join(" | ", is_.Except(promised).Take(4))} instead of {string.Join(" | ", promised.Except(is_).Take(4))} ({is_.Count} and {promised.Count})");
    }

    /// <summary>From the head by 12 round to the head again: what each joint joins and is held by.</summary>
    private List<string> Walk()
    {
        var said = new List<string>();
        var seen = new HashSet<string>();
        void From(string thing)
        {
            foreach (var (id, joint) in _joints.Where(j => j.Value.Closed && (j.Value.A == thing || j.Value.B == thing))
                .OrderBy(j => j.Value.Side == "12" ? 0 : 1).ThenBy(j => j.Value.Fastener, StringComparer.Ordinal).ToList())
            {
                if (!seen.Add(id))
                    continue;
                var next = joint.A == thing ? joint.B : joint.A;
                said.Add($"{Like(thing)} – {Like(next)}: {joint.Fastener} [{string.Join(", ", joint.Parts.Select(Like).Order(StringComparer.Ordinal))}] at {joint.Position}");
                if (next != Head)
                    From(next);
            }
        }
        From(Head);
        return said;
    }

    private List<string> Outside() =>
    [
        .. _place.Where(p => p.Value != "watch")
            .GroupBy(p => $"{Like(p.Key)}, {Text(_thing[p.Key], "owner")}, {Text(_thing[p.Key], "fits")}, {p.Value}, {string.Join("+", _made[p.Key])}")
            .OrderBy(g => g.Key, StringComparer.Ordinal).Select(g => $"{g.Count()} × {g.Key}"),
    ];

    private string Like(string thing) => _thing.TryGetValue(thing, out var known) ? $"{Text(known, "kind")} {Text(known, "like")}" : $"nothing called {thing}";

    private void Free(string[] whole)
    {
        foreach (var (id, joint) in _joints.Where(j => j.Value.Closed))
        {
            string[] held = [joint.A, joint.B, .. joint.Parts];
            Ask(!held.Any(whole.Contains) || held.All(whole.Contains), $"moves {whole[0]}, which {id} still holds");
        }
    }

    private void Put(IEnumerable<string> things, string place)
    {
        foreach (var thing in things)
            _place[thing] = place;
    }

    private void Change(string joint)
    {
        _changed.Add(joint);
        _unchecked.Add(joint);
    }

    private void Ask(bool holds, string fault)
    {
        if (!holds)
            Say(fault);
    }

    private void Say(string fault) => _faults.Add($"{_at}: {fault}");

    private static Held Read(JsonNode joint) => new(
        Text(joint, "a")!, Text(joint, "b")!, Text(joint, "fastener")!, [.. Many(joint, "parts")], joint["closed"]?.GetValue<bool>() ?? false, Text(joint, "side"), Number(joint, "position"));

    private static string? Text(JsonNode node, string name) => node[name]?.GetValue<string>();

    private static int? Number(JsonNode node, string name) => node[name] is { } value ? value.GetValue<int>() : null;

    private static List<string> Many(JsonNode node, string name) => node[name] is JsonArray list ? [.. list.Select(i => i!.GetValue<string>())] : [];
}
