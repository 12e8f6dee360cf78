namespace IronLoop.Core.Joints;

/// <summary>What a thing is. Stored and sent by name.</summary>
public enum ThingKind
{
    /// <summary>The watch without its band.</summary>
    Head,

    /// <summary>A whole band of which no joint is opened in the job.</summary>
    Band,

    /// <summary>The short half of a strap, on the 12 side.</summary>
    BucklePiece,

    /// <summary>The long half of a strap, with the holes.</summary>
    TailPiece,

    /// <summary>A band in one piece, pulled through.</summary>
    OnePieceBand,

    /// <summary>A piece of mesh.</summary>
    MeshPiece,

    /// <summary>A piece that ends a row of links: at the case, or the narrow one that stays when a link is freed.</summary>
    EndPiece,

    /// <summary>A link.</summary>
    Link,

    /// <summary>A clasp.</summary>
    Clasp,

    /// <summary>A buckle.</summary>
    Buckle,

    /// <summary>A bar.</summary>
    Bar,

    /// <summary>A pin.</summary>
    Pin,

    /// <summary>A tube.</summary>
    Tube,

    /// <summary>A screw.</summary>
    Screw,

    /// <summary>The small lever of a folding clasp that shares a bar with the last link.</summary>
    SafetyFlap,

    /// <summary>What holds a joint that nobody has looked at yet.</summary>
    Fastener,
}

/// <summary>Where a thing is. Stored and sent by name.</summary>
public enum Place
{
    /// <summary>In the watch or its band, or laid where it will be joined.</summary>
    Watch,

    /// <summary>In the parts tray.</summary>
    Tray,

    /// <summary>In the shop's stock.</summary>
    Drawer,

    /// <summary>In the owner's bag.</summary>
    Bag,

    /// <summary>Lent by the shop for the work.</summary>
    Loan,

    /// <summary>Thrown away, on the owner's word.</summary>
    Thrown,

    /// <summary>Looked for and not found.</summary>
    Lost,
}

/// <summary>Whose a thing was at take-in.</summary>
public enum Owner
{
    /// <summary>The client's.</summary>
    Client,

    /// <summary>The shop's.</summary>
    Shop,
}

/// <summary>What is done to a thing to make it fit. Stored and sent by name.</summary>
public enum Shaping
{
    /// <summary>A bore opened for another bar.</summary>
    Bore,

    /// <summary>A strap's end pierced.</summary>
    Pierce,

    /// <summary>An end pressed flat for a slot.</summary>
    Press,

    /// <summary>An end filed to width.</summary>
    File,

    /// <summary>An edge trimmed.</summary>
    Trim,

    /// <summary>A bar bent to a curve.</summary>
    Bend,

    /// <summary>A hole punched into a strap's tail.</summary>
    Punch,
}

/// <summary>Something that can be held in the hand.</summary>
/// <param name="Id">Its name in this job.</param>
/// <param name="Kind">What it is.</param>
/// <param name="Like">What it is called, one of it; two of one name, owner and band are interchangeable.</param>
/// <param name="Owner">Whose it was at take-in.</param>
/// <param name="Fits">The band it belongs to; null for the head and what belongs to none.</param>
/// <param name="Place">Where it is.</param>
public sealed record Thing(string Id, ThingKind Kind, string Like, Owner Owner, string? Fits, Place Place)
{
    /// <summary>What was made of it in the job, in the order it was.</summary>
    public IReadOnlyList<Shaping> Made { get; init; } = [];

    /// <summary>Which drawer it lies in, of the shop's stock; empty where that is not told.</summary>
    public string Drawer { get; init; } = "";

    /// <summary>The article in stock it is, which is booked when it is used; empty where stock does not count it.</summary>
    public string Article { get; init; } = "";

    /// <summary>The loose link whose own fastener it is; null where it is nobody's.</summary>
    public string? Of { get; init; }

    /// <summary>The thing that is gone whose place it takes; null where it takes nobody's.</summary>
    public string? Instead { get; init; }

    /// <summary>Whether it holds a joint: a bar, pin, tube, screw, or what shares the bar.</summary>
    public bool IsPart => Kind is ThingKind.Bar or ThingKind.Pin or ThingKind.Tube or ThingKind.Screw or ThingKind.SafetyFlap or ThingKind.Fastener;

    /// <summary>Whether it closes a band.</summary>
    public bool IsClosure => Kind is ThingKind.Clasp or ThingKind.Buckle;

    /// <summary>Several of it in the trade's words: "2 split pins".</summary>
    public string Count(int count) => count == 1 ? $"1 {Like}" : $"{count} {Plural}";

    /// <summary>More than one of it: "split pins".</summary>
    public string Plural => Kind switch
    {
        ThingKind.Link => Many("link"),
        ThingKind.Bar => Many("bar"),
        ThingKind.Pin => Many("pin"),
        ThingKind.Tube => Many("tube"),
        ThingKind.Screw => Many("screw"),
        ThingKind.EndPiece => Many("end piece"),
        ThingKind.SafetyFlap => Many("flap"),
        ThingKind.Fastener => Many("fastener"),
        ThingKind.Clasp => Many("clasp"),
        ThingKind.Buckle => Many("buckle"),
        _ => Like,
    };

    private string Many(string noun)
    {
        var at = Like.IndexOf(noun, StringComparison.Ordinal);
        return at < 0 ? Like : $"{Like[..(at + noun.Length)]}s{Like[(at + noun.Length)..]}";
    }
}
