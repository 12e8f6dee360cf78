using IronLoop.Core.Fitting;
using IronLoop.Core.Tray;

namespace IronLoop.Core.Bench;

/// <summary>The parts of the work, in the order they are done.</summary>
public enum BenchPart
{
    /// <summary>Protect.</summary>
    Protect,

    /// <summary>Take apart.</summary>
    TakeApart,

    /// <summary>The first side.</summary>
    FirstSide,

    /// <summary>Try on.</summary>
    TryOn,

    /// <summary>The second side.</summary>
    SecondSide,

    /// <summary>The clasp.</summary>
    Clasp,

    /// <summary>The micro-adjust.</summary>
    MicroAdjust,

    /// <summary>Mount.</summary>
    Mount,

    /// <summary>Check.</summary>
    Check,
}

/// <summary>What a step does, by which its time is known and it is treated.</summary>
public enum StepKind
{
    /// <summary>Mat, tape, looking.</summary>
    Protect,

    /// <summary>The owner's consent is seen.</summary>
    Consent,

    /// <summary>Work on the band or its clasp that matching or the clasp asked for.</summary>
    Extra,

    /// <summary>A bar or band comes off or goes on at the lugs.</summary>
    Bars,

    /// <summary>A clasp is opened, taken off or put on.</summary>
    Clasp,

    /// <summary>A joint is opened.</summary>
    OpenJoint,

    /// <summary>A joint is closed.</summary>
    CloseJoint,

    /// <summary>The band is tried on.</summary>
    TryOn,

    /// <summary>The micro-adjust, hole or notch is set.</summary>
    Set,

    /// <summary>A check at the end: ticked, or left with a note.</summary>
    Check,
}

/// <summary>Where on the lay-out a step is worked.</summary>
/// <param name="Side">The side; null for the head or the clasp as a whole.</param>
/// <param name="Joints">Joints opened or closed, numbered from the case.</param>
/// <param name="Links">Links by their place from the case.</param>
public sealed record BenchPlace(Side? Side = null, IReadOnlyList<int>? Joints = null, IReadOnlyList<int>? Links = null)
{
    /// <summary>Whether it is at the lugs.</summary>
    public bool AtLugs { get; init; }

    /// <summary>Whether it is at the clasp.</summary>
    public bool AtClasp { get; init; }
}

/// <summary>One step of the bench work.</summary>
/// <param name="Key">A name that stays the same while the plan does, so that a tick finds its step again.</param>
/// <param name="Part">The part of the work it belongs to.</param>
/// <param name="Kind">What it does.</param>
/// <param name="What">What is done, in a sentence that can be read aloud.</param>
public sealed record BenchStep(string Key, BenchPart Part, StepKind Kind, string What)
{
    /// <summary>Where it is worked; null where nowhere in particular.</summary>
    public BenchPlace? Where { get; init; }

    /// <summary>With what; empty where hands do.</summary>
    public string Tool { get; init; } = "";

    /// <summary>Which way a pin travels; null where none does.</summary>
    public string? Direction { get; init; }

    /// <summary>What can fall out unseen; null where nothing can.</summary>
    public string? FallsOut { get; init; }

    /// <summary>The caution that belongs to this step; null where none does.</summary>
    public string? Caution { get; init; }

    /// <summary>Parts that go from place to place with it.</summary>
    public IReadOnlyList<TrayMove> Moves { get; init; } = [];

    /// <summary>Minutes it takes (house figure), until the shop's own are known.</summary>
    public double Minutes { get; init; } = UsualMinutes(StepKind.Protect);

    /// <summary>Whether it may be left out with a reason. Work on links and bars may not: the plan would not be true.</summary>
    public bool MayBeSkipped => Kind is StepKind.TryOn or StepKind.Check || Kind == StepKind.Protect && Moves.Count == 0;

    /// <summary>Minutes a step of a kind takes, before the shop has its own figures (house rule).</summary>
    public static double UsualMinutes(StepKind kind) => kind switch
    {
        StepKind.Protect => 1,
        StepKind.Consent => 1,
        StepKind.Extra => 10,
        StepKind.Bars => 2.5,
        StepKind.Clasp => 2,
        StepKind.OpenJoint => 2,
        StepKind.CloseJoint => 2,
        StepKind.TryOn => 3,
        StepKind.Set => 1.5,
        StepKind.Check => 0.5,
        _ => throw new ArgumentOutOfRangeException(nameof(kind), kind, "Not a kind of step."),
    };
}
