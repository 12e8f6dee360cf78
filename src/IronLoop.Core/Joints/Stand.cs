using IronLoop.Core.Fitting;

namespace IronLoop.Core.Joints;

/// <summary>How a watch and all that belongs to its job stands at one moment: every thing with its place, every joint.</summary>
public sealed class Stand
{
    private readonly Dictionary<string, Thing> _things;
    private readonly Dictionary<string, Joint> _joints;

    // Which closed joints hold each thing; made when it is asked for, anew after a joint was changed.
    private Dictionary<string, List<Joint>>? _held;

    /// <summary>A stand of things and joints.</summary>
    /// <param name="things">Every thing, each once.</param>
    /// <param name="joints">Every joint, each once.</param>
    /// <exception cref="ArgumentException">Two things or two joints have one name.</exception>
    public Stand(IEnumerable<Thing> things, IEnumerable<Joint> joints)
    {
        _things = things.ToDictionary(t => t.Id, StringComparer.Ordinal);
        _joints = joints.ToDictionary(j => j.Id, StringComparer.Ordinal);
    }

    /// <summary>Every thing, in the order they came up.</summary>
    public IReadOnlyCollection<Thing> Things => _things.Values;

    /// <summary>Every joint, in the order they came up.</summary>
    public IReadOnlyCollection<Joint> Joints => _joints.Values;

    /// <summary>A thing by its name; null when there is none.</summary>
    public Thing? Find(string id) => _things.GetValueOrDefault(id);

    /// <summary>A thing by its name.</summary>
    public Thing this[string id] => _things[id];

    /// <summary>A joint by its name; null when there is none.</summary>
    public Joint? Joint(string id) => _joints.GetValueOrDefault(id);

    /// <summary>The head; null in a stand without one.</summary>
    public Thing? Head => _things.Values.FirstOrDefault(t => t.Kind == ThingKind.Head);

    /// <summary>The closed joints that hold a thing, as an end or as a part.</summary>
    public IReadOnlyList<Joint> Holding(string thing) => (_held ??= Held()).GetValueOrDefault(thing) ?? [];

    private Dictionary<string, List<Joint>> Held()
    {
        var held = new Dictionary<string, List<Joint>>(StringComparer.Ordinal);
        foreach (var joint in _joints.Values.Where(j => j.Closed))
        {
            foreach (var thing in (string[])[joint.A, joint.B, .. joint.Parts])
            {
                if (!held.TryGetValue(thing, out var joints))
                    held[thing] = joints = [];
                joints.Add(joint);
            }
        }
        return held;
    }

    /// <summary>Whether a thing is in a place.</summary>
    public bool Is(string thing, Place place) => _things.TryGetValue(thing, out var found) && found.Place == place;

    /// <summary>Everything that hangs together with a thing through closed joints, parts included, itself first.</summary>
    public IReadOnlyList<string> Hanging(string thing)
    {
        var found = new List<string> { thing };
        var seen = new HashSet<string>(StringComparer.Ordinal) { thing };
        for (var i = 0; i < found.Count; i++)
            foreach (var joint in Holding(found[i]))
                foreach (var next in (string[])[joint.A, joint.B, .. joint.Parts])
                    if (seen.Add(next))
                        found.Add(next);
        return found;
    }

    /// <summary>The joint of the head on a side, open or closed; null where there is none.</summary>
    public Joint? Lug(Side side) => Head is { } head ? _joints.Values.FirstOrDefault(j => j.Side == side && j.Joins(head.Id)) : null;

    /// <summary>The buckle or clasp that closes the band in the watch, or in a band by its name; null where there is none.</summary>
    public Thing? Closure(string? fits) => _things.Values.FirstOrDefault(t => t.IsClosure && t.Fits == fits && _joints.Values.Any(j => j.Joins(t.Id)));

    /// <summary>The row of a side from the case to the clasp: walked from the clasp through closed joints to the head or the row's end.</summary>
    /// <param name="clasp">The clasp.</param>
    /// <param name="side">The side.</param>
    /// <returns>The things, and the joints between them; the last joint is the clasp's, the first the one at the case where there is one.</returns>
    public (IReadOnlyList<string> Row, IReadOnlyList<Joint> Joints) RowTo(string clasp, Side side)
    {
        var (row, joints) = (new List<string>(), new List<Joint>());
        var (at, came) = (clasp, (Joint?)null);
        while (Next(at, came, at == clasp ? side : null) is { } joint)
        {
            joints.Insert(0, joint);
            at = joint.Other(at);
            if (_things[at].Kind == ThingKind.Head)
                break;
            row.Insert(0, at);
            came = joint;
        }
        return (row, joints);
    }

    private Joint? Next(string at, Joint? came, Side? side) =>
        Holding(at).FirstOrDefault(j => j != came && j.Joins(at) && (side is null || j.Side == side) && j.Fastener != Fastener.ByHand);

    /// <summary>The same with a thing put in, or in place of the one of that name.</summary>
    internal Stand With(Thing thing)
    {
        var copy = Copy();
        copy.Set(thing);
        return copy;
    }

    internal Stand Copy() => new(_things.Values, _joints.Values);

    internal void Set(Thing thing) => _things[thing.Id] = thing;

    internal void Set(Joint joint)
    {
        var before = _joints.GetValueOrDefault(joint.Id);
        _joints[joint.Id] = joint;
        // What is opened holds nothing more; what is closed has its place among the others, so all are told anew.
        if (joint.Closed)
            _held = null;
        else if (_held is not null && before is { Closed: true })
            foreach (var thing in (string[])[before.A, before.B, .. before.Parts])
                _held[thing].RemoveAll(j => j.Id == joint.Id);
    }

    internal void Put(IEnumerable<string> things, Place place)
    {
        foreach (var thing in things)
            _things[thing] = _things[thing] with { Place = place };
    }
}
