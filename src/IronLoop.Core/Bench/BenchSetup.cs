using IronLoop.Core.Fitting;
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

/// <summary>How a job is worked at the bench: what joins its links, as looked at and gauged, and with which tools.</summary>
/// <param name="Fastener">What joins the links; null while nobody looked.</param>
/// <param name="Tools">The tools for pins.</param>
/// <param name="Insertion">Which way pins go back.</param>
/// <param name="Micro">How the micro-adjust is moved.</param>
/// <param name="Pin">Diameter of a pin.</param>
/// <param name="Slot">Width of a screw's slot.</param>
/// <param name="Gap">Gap that a fork goes into.</param>
/// <param name="NoArrow">Whether nothing shows a direction, so that the edge the pin went in from is kept.</param>
public sealed record BenchSetup(
    Fastener? Fastener = null, ToolFamily Tools = ToolFamily.BlockAndHammer, Insertion Insertion = Insertion.AgainstTheArrow, MicroSchool Micro = MicroSchool.TipByTip,
    Length? Pin = null, Length? Slot = null, Length? Gap = null, bool NoArrow = false)
{
    /// <summary>What may be entered for pin, slot and gap.</summary>
    public static readonly AllowedLength Allowed = AllowedLength.Mm(0.2m, 5);

    /// <summary>The punch: a little thinner than the pin, in tenths.</summary>
    public Length? Punch => Pin is { } pin && pin > Length.FromMillimetres(0.3m) ? Tenths(pin - Length.FromMillimetres(0.15m)) : null;

    /// <summary>The blade: the widest that drops fully into the slot, in twentieths.</summary>
    public Length? Blade => Slot is { } slot ? new Length((slot.Micrometres - 20) / 50 * 50) : null;

    /// <summary>The fork: narrower than the gap, in tenths.</summary>
    public Length? Fork => Gap is { } gap && gap > Length.FromMillimetres(0.4m) ? Tenths(gap - Length.FromMillimetres(0.2m)) : null;

    /// <summary>Whether the pins may go back along the arrow: a split pin never does.</summary>
    public bool GoesBackAlong => Insertion == Insertion.AlongTheArrow && Fastener == Fitting.Fastener.PinWithTube;

    private static Length Tenths(Length length) => new(length.Micrometres / 100 * 100);
}
