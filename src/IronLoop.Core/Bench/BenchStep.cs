using IronLoop.Core.Fitting;
using IronLoop.Core.Joints;
using IronLoop.Core.Tools;

namespace IronLoop.Core.Bench;

/// <summary>The rows of the table that the work goes by, in the order a hand would choose. Stored and sent by name.</summary>
public enum StepRow
{
    /// <summary>Mat and tape.</summary>
    Protect,

    /// <summary>Joints nobody has looked at yet.</summary>
    Look,

    /// <summary>A joint opened to gauge what is in it.</summary>
    OpenToGauge,

    /// <summary>Parts from stock, bag and loan into the tray.</summary>
    Fetch,

    /// <summary>The owner's consent.</summary>
    Consent,

    /// <summary>What the wearer opens is opened.</summary>
    Unbuckle,

    /// <summary>The head comes off its band for the work.</summary>
    HeadOff,

    /// <summary>The old band comes off.</summary>
    OldBandOff,

    /// <summary>Work in the tray.</summary>
    InTheTray,

    /// <summary>What is bare is cleaned.</summary>
    Clean,

    /// <summary>Something is made to fit.</summary>
    Prepare,

    /// <summary>The old clasp comes off.</summary>
    ClaspOff,

    /// <summary>A joint is opened.</summary>
    Open,

    /// <summary>A joint is closed.</summary>
    Join,

    /// <summary>A clasp or buckle goes on.</summary>
    ClaspOn,

    /// <summary>The new band is laid out.</summary>
    Lay,

    /// <summary>Bars go into the bare head.</summary>
    Bars,

    /// <summary>A band is passed under its bars.</summary>
    Thread,

    /// <summary>A band is joined at the lugs.</summary>
    Lugs,

    /// <summary>A position is set.</summary>
    Set,

    /// <summary>What the wearer shuts is shut.</summary>
    Shut,

    /// <summary>Tape off, wiped.</summary>
    Wipe,

    /// <summary>The watch is tried on.</summary>
    TryOn,

    /// <summary>What was opened is looked at once more.</summary>
    Check,

    /// <summary>What was lent goes back.</summary>
    GiveBack,

    /// <summary>What is left over goes where it belongs.</summary>
    PutAway,

    /// <summary>Something that happened to a part outside the steps: lost, found, replaced.</summary>
    Tray,

    /// <summary>What was worked under a version before this one, as far as it is known.</summary>
    Before,

    /// <summary>What no joint tells of, and is told in words.</summary>
    AsTold,
}

/// <summary>Where on the lay-out a step is worked.</summary>
/// <param name="Side">The side; null for the head or the clasp as a whole.</param>
/// <param name="Joints">Joints opened or closed, numbered from the case.</param>
/// <param name="Links">Links by their place from the case, 0 first.</param>
public sealed record BenchPlace(Side? Side = null, IReadOnlyList<int>? Joints = null, IReadOnlyList<int>? Links = null)
{
    /// <summary>Whether it is at the lugs.</summary>
    public bool AtLugs { get; init; }

    /// <summary>Whether it is at the clasp.</summary>
    public bool AtClasp { get; init; }
}

/// <summary>One step of the bench work: acts, and the words made from them.</summary>
/// <param name="Key">A name that stays the same while the plan does.</param>
/// <param name="Row">The row of the table it is of.</param>
/// <param name="Round">Which time round, 1 first; a round ends with a try-on.</param>
/// <param name="Acts">What a hand does; none for a plain word of caution.</param>
public sealed record BenchStep(string Key, StepRow Row, int Round, IReadOnlyList<Act> Acts)
{
    /// <summary>What is done, in a sentence that can be read aloud.</summary>
    public string Says { get; init; } = "";

    /// <summary>Where it is worked; null where nowhere in particular.</summary>
    public BenchPlace? Where { get; init; }

    /// <summary>With what; empty where hands do.</summary>
    public string Tool { get; init; } = "";

    /// <summary>How the hands go, folded away until it is asked for; empty where there is nothing to say.</summary>
    public string How { get; init; } = "";

    /// <summary>What a picture says better; null where words say it as well.</summary>
    public HandPicture? Picture { get; init; }

    /// <summary>Tools that would fit it, where none on the wall does.</summary>
    public IReadOnlyList<WallTool> Wants { get; init; } = [];

    /// <summary>Which way a pin travels; null where none does.</summary>
    public string? Direction { get; init; }

    /// <summary>What can fall out unseen; null where nothing can.</summary>
    public string? FallsOut { get; init; }

    /// <summary>The caution that belongs to this step; null where none does.</summary>
    public string? Caution { get; init; }

    /// <summary>Minutes it takes (house figure), until the shop's own are known.</summary>
    public double Minutes { get; init; } = 1;

    /// <summary>Why it has to wait, such as a part that is lost; null when it can be done.</summary>
    public string? Waits { get; init; }

    /// <summary>Whether it is a plain word, without an act.</summary>
    public bool IsWord => Acts.Count == 0;

    /// <summary>Whether it may be left out with a reason. Work on links and bars may not: the plan would not be true.</summary>
    public bool MayBeSkipped => IsWord || Row is StepRow.TryOn or StepRow.Check or StepRow.Clean;

    /// <summary>Minutes a step takes, before the shop has its own figures (house rule).</summary>
    public static double UsualMinutes(StepRow row) => row switch
    {
        StepRow.Unbuckle or StepRow.Shut or StepRow.Check or StepRow.Wipe => 0.5,
        StepRow.Open or StepRow.Join or StepRow.OpenToGauge or StepRow.ClaspOff or StepRow.ClaspOn => 2,
        StepRow.OldBandOff or StepRow.HeadOff or StepRow.Lugs or StepRow.Bars => 2,
        StepRow.TryOn => 3,
        StepRow.Prepare => 10,
        StepRow.Set => 1.5,
        _ => 1,
    };
}

/// <summary>A step that was done, or left out with a reason.</summary>
/// <param name="Key">Its name.</param>
/// <param name="Row">The row it was of.</param>
/// <param name="Round">The round it was worked in.</param>
/// <param name="Acts">What was done; none of one that was left out.</param>
public sealed record DoneStep(string Key, StepRow Row, int Round, IReadOnlyList<Act> Acts);
