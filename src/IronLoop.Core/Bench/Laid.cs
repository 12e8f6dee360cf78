using IronLoop.Core.Bands;
using IronLoop.Core.Fitting;
using IronLoop.Core.Joints;
using IronLoop.Core.Matching;

namespace IronLoop.Core.Bench;

/// <summary>Lays out things and joints, band by band; what it lays is the stand that the work begins from.</summary>
internal sealed class Laid
{
    private readonly List<Thing> _things = [];
    private readonly List<Joint> _joints = [];

    public const string Head = "head";

    /// <summary>What was laid.</summary>
    public Stand Stand => new(_things, _joints);

    public Thing Thing(string id, ThingKind kind, string like, Owner owner, string? fits, Place place)
    {
        var thing = new Thing(id, kind, like, owner, fits, place);
        _things.Add(thing);
        return thing;
    }

    public void Add(Thing thing) => _things.Add(thing);

    public void Lose(IReadOnlyList<string> things) => _things.RemoveAll(t => things.Contains(t.Id));

    public Joint Joint(string id, string a, string b, Fastener fastener, JointAt at, Side? side, int? position = null)
    {
        var of = _things.First(t => t.Id == (a == Head ? b : a));
        var parts = new List<string>();
        foreach (var (kind, like) in HeldParts.Of(fastener, at))
            parts.Add(Thing($"{id}.{parts.Count + 1}", kind, like, of.Owner, of.Fits, of.Place).Id);
        var joint = new Joint(id, a, b, fastener, parts, true, side, position);
        _joints.Add(joint);
        return joint;
    }

    public void Set(Joint joint) => _joints[_joints.FindIndex(j => j.Id == joint.Id)] = joint;

    public static string On(Side side) => side == Side.Twelve ? "12" : "6";

    /// <summary>A strap of two halves with what closes it; null where nothing does.</summary>
    public void Strap(string band, string name, Owner owner, Place place, ClaspKind? kind, int? position)
    {
        Thing($"{band}.buckle-piece", ThingKind.BucklePiece, $"buckle piece of the {name}", owner, band, place);
        Thing($"{band}.tail-piece", ThingKind.TailPiece, $"tail piece of the {name}", owner, band, place);
        if (kind is not { } closes)
            return;
        Closure($"{band}.closure", closes, ClaspWords.Of(closes), owner, band, place);
        if (closes == ClaspKind.Butterfly)
        {
            Joint($"{band}.clasp-12", $"{band}.buckle-piece", $"{band}.closure", Fastener.FrictionPin, JointAt.Fold, Side.Twelve);
            Joint($"{band}.clasp-6", $"{band}.tail-piece", $"{band}.closure", Fastener.FrictionPin, JointAt.Fold, Side.Six);
            return;
        }
        Joint($"{band}.clasp-12", $"{band}.buckle-piece", $"{band}.closure", Fastener.SpringBar, JointAt.Buckle, Side.Twelve);
        ByHand($"{band}.hole", $"{band}.tail-piece", $"{band}.closure", Side.Six, position);
    }

    /// <summary>Mesh in two pieces: the plain clasp piece on 12, the long one that the clasp slides on.</summary>
    public void Mesh(string band, string name, Owner owner, Place place, int? position)
    {
        Thing($"{band}.piece-12", ThingKind.MeshPiece, $"clasp piece of the {name}", owner, band, place);
        Thing($"{band}.piece-6", ThingKind.MeshPiece, $"long piece of the {name}", owner, band, place);
        Closure($"{band}.closure", ClaspKind.Slide, ClaspWords.Of(ClaspKind.Slide), owner, band, place);
        // The clasp sits somewhere on its mesh, wherever it was delivered.
        Joint($"{band}.slide", $"{band}.piece-6", $"{band}.closure", Fastener.ByHand, JointAt.Fold, Side.Six, position ?? 0);
        ByHand($"{band}.catch", $"{band}.piece-12", $"{band}.closure", Side.Twelve, null, closed: position is not null);
    }

    /// <summary>A band in one piece; its buckle is sewn in.</summary>
    public void OnePiece(string band, string name, Owner owner, Place place, int? position, OnePieceClosure closure = OnePieceClosure.Buckle)
    {
        Thing($"{band}.whole", ThingKind.OnePieceBand, name, owner, band, place);
        Closure($"{band}.closure", ClaspKind.PinBuckle, closure switch { OnePieceClosure.HookAndLoop => Ring, OnePieceClosure.SideRelease => Catch, _ => ClaspWords.Of(ClaspKind.PinBuckle) }, owner, band, place);
        Joint($"{band}.sewn", $"{band}.whole", $"{band}.closure", Fastener.Sewn, JointAt.Buckle, Side.Twelve);
        ByHand($"{band}.hole", $"{band}.whole", $"{band}.closure", Side.Six, position);
    }

    private const string Ring = "ring", Catch = "side-release catch";

    /// <summary>What a closure is called where it is opened: a buckle, whatever buckle it is, or the ring or catch of a one-piece band.</summary>
    /// <param name="closure">The closure.</param>
    public static string ClosureOf(Thing closure) => closure.Like switch { Ring => Ring, Catch => Catch, _ => "buckle" };

    /// <summary>A link bracelet, each row from the case to the clasp.</summary>
    public void Bracelet(BenchFacts facts, string band, Place place)
    {
        var (links, clasp) = (facts.Band.Links!, facts.Band.Clasp!);
        Closure($"{band}.closure", facts.ClaspKind ?? ClaspKind.FoldOver, facts.Band.ClaspName, facts.Owner, band, place);
        foreach (var side in (Side[])[Side.Twelve, Side.Six])
        {
            var on = On(side);
            var last = facts.Band.Facts.SolidEnd == true
                ? Thing($"{band}.end-{on}", ThingKind.EndPiece, facts.Counted is null ? "solid end piece" : "rest of the row", facts.Owner, band, place).Id
                : null;
            var row = links.On(side);
            for (var i = 0; i < row.Count; i++)
            {
                var isFreed = i == row.Count - 1 && facts.Marks.Freed.ContainsKey(side) && !facts.Marks.Pinned.Contains((side, i))
                    && LinkMarks.WhyNotFreed(row, side, facts.Marks.Freed[side]) is null;
                if (isFreed && facts.Marks.Freed[side] is { Micrometres: > 0 } stays)
                {
                    var piece = Thing($"{band}.narrow-{on}", ThingKind.EndPiece, $"narrow end piece of {stays}", facts.Owner, band, place).Id;
                    if (last is not null)
                        Between(facts, $"{band}.joint-{on}-{i}n", last, piece, side);
                    last = piece;
                }
                var link = Thing($"{band}.link-{on}-{i + 1}", ThingKind.Link, LikeOf(facts, side, i), facts.Owner, band, place).Id;
                if (last is not null)
                {
                    var joint = Between(facts, $"{band}.joint-{on}-{i}", last, link, side);
                    // Between what never comes out nothing is ever opened.
                    if (i == 0 || !row[i].Removable && !row[i - 1].Removable && !isFreed)
                        Set(joint with { Opens = false });
                }
                last = link;
            }
            if (last is not null)
                ToTheClasp(facts, $"{band}.clasp-{on}", last, $"{band}.closure", side, clasp);
        }
    }

    /// <summary>A bracelet's joint with its clasp on a side.</summary>
    private void ToTheClasp(BenchFacts facts, string id, string link, string closure, Side side, BraceletClasp clasp)
    {
        var isMicro = clasp.Positions > 1 && clasp.MicroSide == side;
        var fastener = facts.Look(side == Side.Twelve ? JointGroup.ClaspTwelve : JointGroup.ClaspSix).Fastener;
        var joint = Joint(id, link, closure, fastener, isMicro ? JointAt.Micro : JointAt.Fold, side, isMicro ? facts.Came.Position ?? clasp.Position : null);
        if (!facts.HasFlap || isMicro || (clasp.Positions <= 1 && side == Side.Twelve))
            return;
        var flap = Thing($"{id}.flap", ThingKind.SafetyFlap, "safety flap", facts.Owner, _things.First(t => t.Id == closure).Fits, _things.First(t => t.Id == closure).Place);
        Set(joint with { Parts = [.. joint.Parts, flap.Id] });
    }

    private Joint Between(BenchFacts facts, string id, string a, string b, Side side) =>
        Joint(id, a, b, facts.Look(JointGroup.Links).Fastener, JointAt.Links, side);

    public void Closure(string id, ClaspKind kind, string name, Owner owner, string fits, Place place) =>
        Thing(id, kind == ClaspKind.PinBuckle ? ThingKind.Buckle : ThingKind.Clasp, name, owner, fits, place);

    private void ByHand(string id, string a, string b, Side side, int? position, bool? closed = null) =>
        _joints.Add(new Joint(id, a, b, Fastener.ByHand, [], closed ?? position is not null, side, position));

    /// <summary>What a link is called, as its kind is marked for the job.</summary>
    public static string LikeOf(LinkKind kind) => kind == Counted.Link ? "link" : $"link of {kind}{(kind.Only is { } only ? $", {PlanWords.Name(only)} side only" : "")}";

    /// <summary>What a link of a row is called: one that never comes out is no mate of those that do.</summary>
    public static string LikeOf(Link link, Side side) => link.Removable ? LikeOf(link.KindOn(side)) : $"{LikeOf(link.KindOn(side))}, fixed";

    private static string LikeOf(BenchFacts facts, Side side, int i) => LikeOf(facts.Marks.On(facts.Band).Links!.On(side)[i], side);
}
