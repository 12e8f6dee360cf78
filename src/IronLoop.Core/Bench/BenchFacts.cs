using IronLoop.Core.Bands;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Joints;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Core.Tools;

namespace IronLoop.Core.Bench;

/// <summary>What is on the watch when it is taken in. Stored and sent by name.</summary>
public enum OnTheWatch
{
    /// <summary>Nothing: the bare head.</summary>
    Nothing,

    /// <summary>A strap of two halves.</summary>
    Soft,

    /// <summary>A bracelet of links.</summary>
    Bracelet,

    /// <summary>Mesh.</summary>
    Mesh,

    /// <summary>A band in one piece, pulled through.</summary>
    PulledThrough,
}

/// <summary>How what is on the watch is held at the lugs. Stored and sent by name.</summary>
public enum HeldBy
{
    /// <summary>Nobody has looked yet.</summary>
    NotLookedAt,

    /// <summary>By loose bars.</summary>
    LooseBars,

    /// <summary>By bars with a lever, which are the band's own.</summary>
    LeveredBars,

    /// <summary>By screws: screwed bars, or the screws of a slot.</summary>
    Screws,
}

/// <summary>How the watch came: what is on it now, and how that is held.</summary>
/// <param name="On">What is on it.</param>
/// <param name="Held">How that is held.</param>
/// <param name="IsWanted">Whether it is the band this job is about, which then stays; else another takes its place.</param>
public sealed record AsItCame(OnTheWatch On, HeldBy Held, bool IsWanted)
{
    /// <summary>The sides whose bar was missing at take-in.</summary>
    public IReadOnlySet<Side> MissingBars { get; init; } = new HashSet<Side>();

    /// <summary>The hole, notch or position it stood in, 0 the tightest; null where nobody said.</summary>
    public int? Position { get; init; }

    /// <summary>The band the job was about when this was said; null where none was chosen then.</summary>
    public long? BandId { get; init; }

    /// <summary>
    /// What was said, with the band the job is about now: once another is chosen than the one it was said of, or one that cannot be what is
    /// on the watch, what is on it comes off. What is the client's own may be entered anew and is what was there.
    /// </summary>
    /// <param name="bandId">The band the job is about; null while none is chosen.</param>
    /// <param name="wanted">The same, as it is built.</param>
    /// <param name="isOwn">Whether that one is the client's own.</param>
    public AsItCame With(long? bandId, Band? wanted, bool isOwn) =>
        wanted is null ? this : this with { IsWanted = IsWanted && KindOf(wanted) == On && (isOwn || BandId is null || BandId == bandId) };

    /// <summary>
    /// What is on it, before anybody says: links or a clasp are worked on the band that is there; a strap is changed for another
    /// where one is; a former visit's band is on it still. Once another band is chosen, what is on the watch is not the one wanted.
    /// </summary>
    /// <param name="request">What is asked for.</param>
    /// <param name="wanted">The band the job is about; null while none is chosen.</param>
    /// <param name="isOwn">Whether that one is the client's own.</param>
    /// <param name="before">The band the watch left with at a former visit; null where there was none.</param>
    public static AsItCame Usual(Request request, Band? wanted, bool isOwn, Band? before) =>
        isOwn && wanted is not null ? new AsItCame(KindOf(wanted), HeldBy.NotLookedAt, true)
        : before is not null ? new AsItCame(
            KindOf(before), before.Facts.Attaches == BandAttachment.QuickRelease ? HeldBy.LeveredBars : HeldBy.LooseBars, wanted is null && GaugeSheet.KeepsBand(request))
        : new AsItCame(
            request is Request.TakeLinksOut or Request.PutLinksIn ? OnTheWatch.Bracelet : OnTheWatch.Soft, HeldBy.NotLookedAt, wanted is null && GaugeSheet.KeepsBand(request));

    /// <summary>What a band is by what closes it; null where that does not tell, as of a butterfly, which straps and bracelets have.</summary>
    public static OnTheWatch? ClosedBy(ClaspKind kind) => kind switch
    {
        ClaspKind.PinBuckle or ClaspKind.StrapFolding => OnTheWatch.Soft,
        ClaspKind.FoldOver or ClaspKind.Extending => OnTheWatch.Bracelet,
        ClaspKind.Slide => OnTheWatch.Mesh,
        _ => null,
    };

    /// <summary>What a band is on a watch.</summary>
    public static OnTheWatch KindOf(Band band) => band switch
    {
        { Links: not null } => OnTheWatch.Bracelet,
        { Mesh: not null } => OnTheWatch.Mesh,
        { OnePiece: not null } => OnTheWatch.PulledThrough,
        _ => OnTheWatch.Soft,
    };
}

/// <summary>Joints that are entered and settled together. Stored and sent by name.</summary>
public enum JointGroup
{
    /// <summary>Between the links.</summary>
    Links,

    /// <summary>The last link of the 12 side to the clasp.</summary>
    ClaspTwelve,

    /// <summary>The last link of the 6 side to the clasp.</summary>
    ClaspSix,

    /// <summary>At the lugs.</summary>
    Lugs,
}

/// <summary>What holds a group of joints, and its sizes as gauged.</summary>
/// <param name="Fastener">What holds them.</param>
public sealed record JointLook(Fastener Fastener)
{
    /// <summary>Nobody has looked.</summary>
    public static JointLook None { get; } = new(Fastener.NotLookedAt);

    /// <summary>Diameter of its pin or bar.</summary>
    public Length? Across { get; init; }

    /// <summary>Width of its screw's slot.</summary>
    public Length? Slot { get; init; }

    /// <summary>Length of its screw's slot.</summary>
    public Length? SlotLength { get; init; }

    /// <summary>Gap that a fork goes into.</summary>
    public Length? Gap { get; init; }

    /// <summary>Whether nothing shows a direction.</summary>
    public bool NoArrow { get; init; }
}

/// <summary>A buckle or clasp that goes on the band in place of its own.</summary>
/// <param name="Name">What it is called.</param>
/// <param name="Kind">What it is.</param>
public sealed record OtherClosure(string Name, ClaspKind Kind)
{
    /// <summary>Whether it is taken from the band that comes off, and not from stock.</summary>
    public bool FromOldBand { get; init; }

    /// <summary>Its article in stock.</summary>
    public string Article { get; init; } = "";

    /// <summary>Which drawer it lies in.</summary>
    public string Drawer { get; init; } = "";

    /// <summary>Whether the bars or pins of the clasp that comes off hold it too: the slim ones are kept.</summary>
    public bool KeepsFasteners { get; init; }

    /// <summary>The pins taken from stock for it; null where it brings its own bars.</summary>
    public (string Article, string Drawer, Length Diameter)? Pins { get; init; }
}

/// <summary>Bars from stock that hold the band at the lugs.</summary>
/// <param name="Name">What they are, one of them: "spring bar 20 × 1.8".</param>
/// <param name="Article">Their article; empty where none was named.</param>
/// <param name="Drawer">Which drawer they lie in.</param>
/// <param name="Curved">Whether they are curved.</param>
public sealed record StockBars(string Name, string Article = "", string Drawer = "", bool Curved = false);

/// <summary>Loose links taken from stock, with what joins them.</summary>
public sealed record StockLinks(LinkKind Kind, int Count, string Article = "", string Drawer = "");

/// <summary>Something that a thing needs before it goes on or is joined.</summary>
/// <param name="What">What is done.</param>
/// <param name="Says">How, in a clause: "open the bore by hand to 1.55 mm".</param>
/// <param name="Irreversible">Whether it cannot be undone.</param>
/// <param name="At">Whether it is done to the band's ends at the lugs, its ends at the clasp, or a bar.</param>
public sealed record PieceToPrepare(Shaping What, string Says, bool Irreversible, PreparedAt At)
{
    /// <summary>The tools it takes.</summary>
    public string Tools { get; init; } = "";

    /// <summary>The caution that belongs to it.</summary>
    public string? Caution { get; init; }

    /// <summary>Minutes it takes.</summary>
    public double Minutes { get; init; } = 10;
}

/// <summary>Where something is prepared.</summary>
public enum PreparedAt
{
    /// <summary>Both ends of the band at the lugs.</summary>
    LugEnds,

    /// <summary>The ends at the clasp.</summary>
    ClaspEnds,

    /// <summary>A strap's tail, which has the holes.</summary>
    Tail,
}

/// <summary>Everything that the bench work follows from: how the watch came, what was agreed, and how the house works.</summary>
/// <param name="Attachment">How the watch takes a band.</param>
/// <param name="Came">How the watch came.</param>
/// <param name="Band">The band the job is about, with its own clasp and nothing marked on it.</param>
/// <param name="Name">What the band is called.</param>
/// <param name="Owner">Whose it is.</param>
/// <param name="Setup">How it is worked.</param>
public sealed record BenchFacts(Attachment Attachment, AsItCame Came, Band Band, string Name, Owner Owner, BenchSetup Setup)
{
    /// <summary>Whether the band of the job is chosen; while none is, <see cref="Band"/> only stands in for it, and no thing of it is laid.</summary>
    public bool IsChosen { get; init; } = true;

    /// <summary>What holds each group of joints; what is not in it nobody has looked at.</summary>
    public IReadOnlyDictionary<JointGroup, JointLook> Looks { get; init; } = new Dictionary<JointGroup, JointLook>();

    /// <summary>Links never to take, and links freed at the clasp.</summary>
    public LinkMarks Marks { get; init; } = LinkMarks.None;

    /// <summary>The arrangement agreed; of a band without links, its hole or notch.</summary>
    public Arrangement? Plan { get; init; }

    /// <summary>What it closes in, when it has no links.</summary>
    public HoledBand? Holed { get; init; }

    /// <summary>How a pull-through band is worn.</summary>
    public PullThroughWay Way { get; init; }

    /// <summary>The kind of the band's own clasp; null where nobody looked.</summary>
    public ClaspKind? ClaspKind { get; init; }

    /// <summary>Whether its clasp has a safety flap on the bar at the fold.</summary>
    public bool HasFlap { get; init; }

    /// <summary>Whether the ends for a clasp are pierced; null where nobody looked.</summary>
    public bool? Pierced { get; init; }

    /// <summary>What closes the band in place of its own; null when that is kept.</summary>
    public OtherClosure? Other { get; init; }

    /// <summary>Pins from stock in the place of those that hold the clasp, where it is kept and they are not.</summary>
    public (string Article, string Drawer, Length Diameter)? NewPins { get; init; }

    /// <summary>Whether the two ends at the clasp are exchanged.</summary>
    public bool SwapEnds { get; init; }

    /// <summary>Work before the band or clasp goes on.</summary>
    public IReadOnlyList<PieceToPrepare> Prepare { get; init; } = [];

    /// <summary>Bars from stock for the lugs; null where none are named.</summary>
    public StockBars? Bars { get; init; }

    /// <summary>Whether the bars that come out with the old band are used again.</summary>
    public bool ReuseBars { get; init; } = true;

    /// <summary>The sides whose bar is worn, of the band that stays: one from stock takes its place.</summary>
    public IReadOnlySet<Side> WornBars { get; init; } = new HashSet<Side>();

    /// <summary>Whether the bars have to be curved.</summary>
    public bool CurvedBars { get; init; }

    /// <summary>Loose links from stock.</summary>
    public IReadOnlyList<StockLinks> FromStock { get; init; } = [];

    /// <summary>How many links leave or come, when nothing else is known of the bracelet; null where its rows are known.</summary>
    public Counted? Counted { get; init; }

    /// <summary>Joints whose part is replaced by one like it.</summary>
    public IReadOnlyList<NewPart> NewParts { get; init; } = [];

    /// <summary>Whether all of it is taking the band off the head and putting it on again.</summary>
    public bool IsOffAndOn { get; init; }

    /// <summary>Work that no joint tells of, in words; null where there is none.</summary>
    public string? Told { get; init; }

    /// <summary>How what is shut by hand is shut, where no place was found for it; null where one was.</summary>
    public string? ShutAs { get; init; }

    /// <summary>How the fitter at work holds and turns.</summary>
    public Hands Hands { get; init; } = new();

    /// <summary>What hangs on the wall.</summary>
    public ToolWall Wall { get; init; } = ToolWall.Usual;

    /// <summary>What the shop lends for the work.</summary>
    public IReadOnlyList<Lent> Lent { get; init; } = [];

    /// <summary>Whether somebody tries it on here.</summary>
    public bool HasWearer { get; init; } = true;

    /// <summary>Scratches and dents noted at take-in, in words.</summary>
    public IReadOnlyList<string> Condition { get; init; } = [];

    /// <summary>Whether dirt was noted at take-in.</summary>
    public bool IsDirty { get; init; }

    /// <summary>Room at the bar, which a fork has to go into.</summary>
    public Length? BarGap { get; init; }

    /// <summary>Joints that are opened to be gauged before anything else, by group.</summary>
    public IReadOnlySet<JointGroup> OpenToGauge { get; init; } = new HashSet<JointGroup>();

    /// <summary>What holds a group of joints.</summary>
    public JointLook Look(JointGroup group) => Looks.GetValueOrDefault(group) ?? JointLook.None;
}
