using IronLoop.Core.Fitting;

namespace IronLoop.Core.Joints;

/// <summary>A thing as it is told to another program, and stored.</summary>
/// <param name="Id">Its name in this job.</param>
/// <param name="Kind">What it is.</param>
/// <param name="Like">What it is called: two of one name, owner and band are interchangeable.</param>
/// <param name="Owner">Whose it was at take-in.</param>
/// <param name="Fits">The band it belongs to; null for the head.</param>
/// <param name="Made">What was made of it.</param>
/// <param name="Place">Where it is.</param>
/// <param name="Drawer">Which drawer it lies in, of the shop's stock.</param>
/// <param name="Article">Its article in stock.</param>
/// <param name="Of">The loose link whose own fastener it is.</param>
/// <param name="Instead">The thing that is gone whose place it takes.</param>
public sealed record ToldThing(
    string Id, ThingKind Kind, string Like, Owner Owner, string? Fits, IReadOnlyList<Shaping> Made, Place Place, string? Drawer = null, string? Article = null, string? Of = null,
    string? Instead = null)
{
    /// <summary>Tells a thing.</summary>
    public static ToldThing Tell(Thing thing) => new(
        thing.Id, thing.Kind, thing.Like, thing.Owner, thing.Fits, thing.Made, thing.Place,
        thing.Drawer.Length > 0 ? thing.Drawer : null, thing.Article.Length > 0 ? thing.Article : null, thing.Of, thing.Instead);

    /// <summary>The thing told.</summary>
    public Thing Hear() => new(Id, Kind, Like, Owner, Fits, Place) { Made = Made, Drawer = Drawer ?? "", Article = Article ?? "", Of = Of, Instead = Instead };
}

/// <summary>A joint as it is told to another program, and stored.</summary>
/// <param name="Id">Its name in this job.</param>
/// <param name="A">One of the two things.</param>
/// <param name="B">The other.</param>
/// <param name="Fastener">What holds it.</param>
/// <param name="Parts">The things that hold it.</param>
/// <param name="Closed">Whether it is closed.</param>
/// <param name="Side">Its side: 12 or 6; null for one on neither.</param>
/// <param name="Position">Hole, notch or micro position from the tight end, 0 first; micrometres of a slide that locks anywhere.</param>
/// <param name="Opens">Whether it can be opened at all.</param>
public sealed record ToldJoint(string Id, string A, string B, Fastener Fastener, IReadOnlyList<string> Parts, bool Closed, string? Side, int? Position, bool Opens = true)
{
    /// <summary>Tells a joint.</summary>
    public static ToldJoint Tell(Joint joint) => new(joint.Id, joint.A, joint.B, joint.Fastener, joint.Parts, joint.Closed, ToldAct.Name(joint.Side), joint.Position, joint.Opens);

    /// <summary>The joint told.</summary>
    public Joint Hear() => new(Id, A, B, Fastener, Parts, Closed, ToldAct.SideOf(Side), Position) { Opens = Opens };
}

/// <summary>How it stands, as it is told to another program, and stored.</summary>
/// <param name="Things">Every thing.</param>
/// <param name="Joints">Every joint.</param>
public sealed record ToldStand(IReadOnlyList<ToldThing> Things, IReadOnlyList<ToldJoint> Joints)
{
    /// <summary>Tells a stand.</summary>
    public static ToldStand Tell(Stand stand) => new([.. stand.Things.Select(ToldThing.Tell)], [.. stand.Joints.Select(ToldJoint.Tell)]);

    /// <summary>The stand told.</summary>
    public Stand Hear() => new(Things.Select(t => t.Hear()), Joints.Select(j => j.Hear()));
}

/// <summary>An act as it is told to another program, and stored: its name, and the fields that belong to it.</summary>
/// <param name="Do">Its name: <c>open</c>, <c>remove</c>, <c>place</c>, and so on, as docs/joints.md lists them.</param>
public sealed record ToldAct(string Do)
{
    /// <summary>The joint.</summary>
    public string? Joint { get; init; }

    /// <summary>The thing.</summary>
    public string? Thing { get; init; }

    /// <summary>What hangs on the thing and goes with it.</summary>
    public IReadOnlyList<string>? With { get; init; }

    /// <summary>Where it goes.</summary>
    public Place? To { get; init; }

    /// <summary>One end of the joint closed.</summary>
    public string? A { get; init; }

    /// <summary>The other.</summary>
    public string? B { get; init; }

    /// <summary>What it is closed with.</summary>
    public IReadOnlyList<string>? Parts { get; init; }

    /// <summary>How it is held.</summary>
    public Fastener? Fastener { get; init; }

    /// <summary>Its side, 12 or 6.</summary>
    public string? Side { get; init; }

    /// <summary>Its position.</summary>
    public int? Position { get; init; }

    /// <summary>The part begun.</summary>
    public string? Part { get; init; }

    /// <summary>What is done to the thing.</summary>
    public Shaping? What { get; init; }

    /// <summary>Whether that cannot be undone.</summary>
    public bool? Irreversible { get; init; }

    /// <summary>Whether a try-on is the last one.</summary>
    public bool? Final { get; init; }

    /// <summary>Whether a hand does the same.</summary>
    public bool IsLike(ToldAct other) => this with { With = null, Parts = null } == other with { With = null, Parts = null }
        && (With ?? []).SequenceEqual(other.With ?? []) && (Parts ?? []).SequenceEqual(other.Parts ?? []);

    /// <summary>Tells an act.</summary>
    public static ToldAct Tell(Act act) => act switch
    {
        Act.Look look => new("look") { Joint = look.Joint },
        Act.Open open => new("open") { Joint = open.Joint },
        Act.Remove remove => new("remove") { Thing = remove.Thing, With = Some(remove.With) },
        Act.Lay lay => new("place") { Thing = lay.Thing, With = Some(lay.With) },
        Act.Start start => new("start") { Joint = start.Joint, Part = start.Part },
        Act.Close close => new("close")
        {
            Joint = close.Joint,
            A = close.A,
            B = close.B,
            Parts = Some(close.Parts),
            Fastener = close.Fastener,
            Side = Name(close.Side),
            Position = close.Position,
        },
        Act.Move move => new("move") { Thing = move.Thing, With = Some(move.With), To = move.To },
        Act.Adjust adjust => new("adjust") { Joint = adjust.Joint, Position = adjust.Position },
        Act.Consent consent => new("consent") { Thing = consent.Thing, What = consent.What },
        Act.Prepare prepare => new("prepare") { Thing = prepare.Thing, What = prepare.What, Joint = prepare.Joint, Irreversible = prepare.Irreversible },
        Act.OfferUp offer => new("offerUp") { Thing = offer.Thing },
        Act.Clean clean => new("clean") { Thing = clean.Thing },
        Act.Check check => new("check") { Joint = check.Joint },
        Act.Lend lend => new("lend") { Thing = lend.Thing },
        Act.GiveBack back => new("giveBack") { Thing = back.Thing },
        Act.TryOn tryOn => new("tryOn") { Final = tryOn.Final },
        _ => throw new ArgumentOutOfRangeException(nameof(act), act, "Not an act."),
    };

    /// <summary>The act told.</summary>
    /// <exception cref="FormatException">It is no act, or a field of it is missing.</exception>
    public Act Hear() => Do switch
    {
        "look" => new Act.Look(Needed(Joint)),
        "open" => new Act.Open(Needed(Joint)),
        "remove" => new Act.Remove(Needed(Thing), With ?? []),
        "place" => new Act.Lay(Needed(Thing), With ?? []),
        "start" => new Act.Start(Needed(Joint), Needed(Part)),
        "close" => new Act.Close(Needed(Joint), Needed(A), Needed(B), Parts ?? [], Fastener ?? throw Missing(), SideOf(Side), Position),
        "move" => new Act.Move(Needed(Thing), With ?? [], To ?? throw Missing()),
        "adjust" => new Act.Adjust(Needed(Joint), Position ?? throw Missing()),
        "consent" => new Act.Consent(Needed(Thing), What ?? throw Missing()),
        "prepare" => new Act.Prepare(Needed(Thing), What ?? throw Missing(), Joint, Irreversible ?? false),
        "offerUp" => new Act.OfferUp(Needed(Thing)),
        "clean" => new Act.Clean(Needed(Thing)),
        "check" => new Act.Check(Needed(Joint)),
        "lend" => new Act.Lend(Needed(Thing)),
        "giveBack" => new Act.GiveBack(Needed(Thing)),
        "tryOn" => new Act.TryOn(Final ?? throw Missing()),
        _ => throw new FormatException($"{Do} is no act."),
    };

    /// <summary>A side's name.</summary>
    internal static string? Name(Side? side) => side is { } on ? PlanWords.Name(on) : null;

    /// <summary>The side of a name.</summary>
    internal static Side? SideOf(string? name) => name switch
    {
        "12" => Fitting.Side.Twelve,
        "6" => Fitting.Side.Six,
        _ => null,
    };

    private static IReadOnlyList<string>? Some(IReadOnlyList<string> list) => list.Count > 0 ? list : null;

    private static string Needed(string? field) => field ?? throw Missing();

    private static FormatException Missing() => new("A field of the act is missing.");
}
