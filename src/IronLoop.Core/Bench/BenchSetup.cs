using IronLoop.Core.Measuring;

namespace IronLoop.Core.Bench;

/// <summary>The tools for pins; the fitter picks one family a job.</summary>
public enum ToolFamily
{
    /// <summary>Block, punch and soft hammer.</summary>
    BlockAndHammer,

    /// <summary>A hand pusher.</summary>
    HandPusher,

    /// <summary>A screw press: good for taking out, at most finishes an insertion.</summary>
    ScrewPress,
}

/// <summary>Which way a pin goes back: practitioners differ.</summary>
public enum Insertion
{
    /// <summary>Against the arrow: most do.</summary>
    AgainstTheArrow,

    /// <summary>Along it, as it came out; only for plain symmetrical pins.</summary>
    AlongTheArrow,
}

/// <summary>How the micro-adjust's bar is moved: practitioners differ.</summary>
public enum MicroSchool
{
    /// <summary>Tip by tip to the neighbouring hole, the bar never leaving.</summary>
    TipByTip,

    /// <summary>The bar right out and seated anew.</summary>
    BarRightOut,
}

/// <summary>Where a run of links leaves.</summary>
public enum RunSchool
{
    /// <summary>Inside the links: link closes to link, the clasp's joint stays closed.</summary>
    InsideTheLinks,

    /// <summary>At the clasp.</summary>
    AtTheClasp,
}

/// <summary>When it is tried on.</summary>
public enum TryOnSchool
{
    /// <summary>Between the sides, and again at the end.</summary>
    BetweenTheSides,

    /// <summary>Once, at the end.</summary>
    OnceAtTheEnd,
}

/// <summary>How a job is worked at the bench: with which tools, and how its fitter does what practitioners do differently.</summary>
/// <param name="Tools">The tools for pins.</param>
/// <param name="Insertion">Which way pins go back.</param>
/// <param name="Micro">How the micro-adjust is moved.</param>
public sealed record BenchSetup(
    ToolFamily Tools = ToolFamily.BlockAndHammer, Insertion Insertion = Insertion.AgainstTheArrow, MicroSchool Micro = MicroSchool.TipByTip)
{
    /// <summary>What may be entered for pin, slot and gap.</summary>
    public static readonly AllowedLength Allowed = AllowedLength.Mm(0.2m, 5);

    /// <summary>The tools that pins go in with, where that is another family than they come out with.</summary>
    public ToolFamily? ToolsIn { get; init; }

    /// <summary>The tools that pins go in with.</summary>
    public ToolFamily In => ToolsIn ?? Tools;

    /// <summary>Where a run of links leaves.</summary>
    public RunSchool Runs { get; init; }

    /// <summary>Whether a run is taken apart, so that the bag holds single links.</summary>
    public bool OneByOne { get; init; }

    /// <summary>Whether the band is parted at the micro-adjust to lie flat while its links are worked.</summary>
    public bool PartedToLieFlat { get; init; }

    /// <summary>When it is tried on.</summary>
    public TryOnSchool TryOn { get; init; }

    /// <summary>Whether the head comes off the band for the work.</summary>
    public bool HeadOff { get; init; }

    /// <summary>Whether a straight bar is bent where a curved one is wanted, and not taken from the drawer.</summary>
    public bool BendsBars { get; init; }
}
