using IronLoop.Core.Measuring;

namespace IronLoop.Core.Matching;

/// <summary>A limit of the rules that a shop may set for itself.</summary>
public enum Limit
{
    /// <summary>Soft bands: a gap between the lugs up to this fits.</summary>
    SoftFits,

    /// <summary>Soft bands: a gap up to this merely shows.</summary>
    SoftShows,

    /// <summary>Leather and textile: this much too wide goes in with a squeeze.</summary>
    SoftSqueeze,

    /// <summary>Rubber: this much too wide goes in with a squeeze.</summary>
    RubberSqueeze,

    /// <summary>Leather and textile: this much too wide can be trimmed.</summary>
    SoftTrim,

    /// <summary>Metal: a gap up to this fits.</summary>
    MetalFits,

    /// <summary>Metal: a gap up to this is side play.</summary>
    MetalPlay,

    /// <summary>Metal: this much too wide is the reading's own error.</summary>
    MetalReading,

    /// <summary>Metal: this much too wide can be filed off solid ends.</summary>
    MetalFile,

    /// <summary>Room a band's end wants beside the bar.</summary>
    EndRoom,

    /// <summary>What a curved bar gains on the bar gap.</summary>
    CurvedBar,

    /// <summary>Diameter of a bar nobody measured.</summary>
    UsualBar,

    /// <summary>What a bar leaves in the band's tube.</summary>
    TubeRoom,

    /// <summary>What a bar's tip leaves in the lug hole.</summary>
    TipRoom,

    /// <summary>What a bar may be shorter than the lug width.</summary>
    BarShorter,

    /// <summary>What a bar may be longer than the lug width.</summary>
    BarLonger,

    /// <summary>What leather thicker than a slot can be pressed by.</summary>
    SlotPress,

    /// <summary>The wrist's circumference over the height it carries well.</summary>
    WristOverHeight,

    /// <summary>What a flat-sided head seems higher by.</summary>
    FlatSided,

    /// <summary>Friction pins: play in the bore up to this holds.</summary>
    PinPlay,

    /// <summary>Friction pins: shorter than the band is wide by up to this.</summary>
    PinShorter,

    /// <summary>Clasp on soft ends: a gap up to this fits.</summary>
    ClaspSoftFits,

    /// <summary>Clasp on soft ends: a gap up to this shows.</summary>
    ClaspSoftShows,

    /// <summary>Clasp on soft ends: this much too wide is squeezed.</summary>
    ClaspSoftSqueeze,

    /// <summary>Clasp on metal ends: a gap up to this fits.</summary>
    ClaspMetalFits,

    /// <summary>Clasp on metal ends: a gap up to this is side play.</summary>
    ClaspMetalPlay,

    /// <summary>Clasp on metal ends: this much too wide is the reading's own error.</summary>
    ClaspMetalReading,

    /// <summary>Butterfly: the notch may be this much wider than its tube and fit.</summary>
    TubeFits,

    /// <summary>Butterfly: the notch may be this much wider than its tube and still do.</summary>
    TubePlay,

    /// <summary>Butterfly: buttons that stand out at least this much press well.</summary>
    ButtonsLeast,

    /// <summary>Butterfly: buttons that stand out more than this do not belong to the band.</summary>
    ButtonsMost,

    /// <summary>How much more room a hot day asks for.</summary>
    HotDay,

    /// <summary>How much less room a cold day asks for.</summary>
    ColdDay,

    /// <summary>How many days a part takes that is not here.</summary>
    LeadDays,

    /// <summary>What share of each day no new promise takes, in percent.</summary>
    DayReserve,

    /// <summary>The least that is usual: bar gap.</summary>
    BarGapFrom,

    /// <summary>The most that is usual: bar gap.</summary>
    BarGapTo,

    /// <summary>The least that is usual: bar gap of a head under 8 mm high.</summary>
    LowBarGapFrom,

    /// <summary>The most that is usual: bar gap of a head under 8 mm high.</summary>
    LowBarGapTo,

    /// <summary>The least that is usual: lug hole.</summary>
    LugHoleFrom,

    /// <summary>The most that is usual: lug hole.</summary>
    LugHoleTo,

    /// <summary>The least that is usual: bore of a strap’s end.</summary>
    SoftBoreFrom,

    /// <summary>The most that is usual: bore of a strap’s end.</summary>
    SoftBoreTo,

    /// <summary>The least that is usual: bore of a metal band’s end.</summary>
    EndBoreFrom,

    /// <summary>The most that is usual: bore of a metal band’s end.</summary>
    EndBoreTo,

    /// <summary>The least that is usual: bore at a metal band’s clasp.</summary>
    ClaspBoreFrom,

    /// <summary>The most that is usual: bore at a metal band’s clasp.</summary>
    ClaspBoreTo,

    /// <summary>The least that is usual: one layer of a textile band.</summary>
    TextileLayerFrom,

    /// <summary>The most that is usual: one layer of a textile band.</summary>
    TextileLayerTo,

    /// <summary>The least that is usual: one layer of a leather or rubber band.</summary>
    LeatherLayerFrom,

    /// <summary>The most that is usual: one layer of a leather or rubber band.</summary>
    LeatherLayerTo,

    /// <summary>The least that is usual: thickness of a strap’s end.</summary>
    SoftEndFrom,

    /// <summary>The most that is usual: thickness of a strap’s end.</summary>
    SoftEndTo,

    /// <summary>The least that is usual: thickness of a metal band’s end.</summary>
    MetalEndFrom,

    /// <summary>The most that is usual: thickness of a metal band’s end.</summary>
    MetalEndTo,

    /// <summary>The least that is usual: thickness of an end for a slot.</summary>
    SlotEndFrom,

    /// <summary>The most that is usual: thickness of an end for a slot.</summary>
    SlotEndTo,

    /// <summary>The least that is usual: half of a fold-over on the micro-adjust side.</summary>
    MicroHalfFrom,

    /// <summary>The most that is usual: half of a fold-over on the micro-adjust side.</summary>
    MicroHalfTo,

    /// <summary>The least that is usual: half of a fold-over on the other side.</summary>
    OtherHalfFrom,

    /// <summary>The most that is usual: half of a fold-over on the other side.</summary>
    OtherHalfTo,

    /// <summary>The least that is usual: half of a butterfly.</summary>
    WingHalfFrom,

    /// <summary>The most that is usual: half of a butterfly.</summary>
    WingHalfTo,

    /// <summary>The least that is usual: from one micro-adjust place to the next.</summary>
    MicroStepFrom,

    /// <summary>The most that is usual: from one micro-adjust place to the next.</summary>
    MicroStepTo,

    /// <summary>The fewest micro-adjust places that are usual.</summary>
    MicroFewest,

    /// <summary>The most micro-adjust places that are usual.</summary>
    MicroMost,
}

/// <summary>What is known of a limit.</summary>
/// <param name="Limit">The limit.</param>
/// <param name="Rule">The rule it belongs to.</param>
/// <param name="Says">What it limits, in words.</param>
/// <param name="Usual">Its default, in millimetres; a plain number where <paramref name="IsLength"/> is false.</param>
/// <param name="Allowed">What it may be set to.</param>
/// <param name="IsLength">Whether it is a length.</param>
public sealed record LimitKind(Limit Limit, string Rule, string Says, decimal Usual, AllowedNumber Allowed, bool IsLength = true)
{
    private static readonly AllowedNumber UpTo5 = new(0, 5);
    private static readonly AllowedNumber UpTo80 = new(0, 80);

    /// <summary>All limits, in the order of the rules.</summary>
    public static IReadOnlyList<LimitKind> All { get; } =
    [
        new(Limit.SoftFits, LugWidthRule.Name, "Leather, textile, rubber: a gap up to this fits", 0.5m, UpTo5),
        new(Limit.SoftShows, LugWidthRule.Name, "Leather, textile, rubber: a gap up to this merely shows", 2m, UpTo5),
        new(Limit.SoftSqueeze, LugWidthRule.Name, "Leather, textile: too wide by up to this is squeezed in", 0.5m, UpTo5),
        new(Limit.RubberSqueeze, LugWidthRule.Name, "Rubber: too wide by up to this is squeezed in", 0.3m, UpTo5),
        new(Limit.SoftTrim, LugWidthRule.Name, "Leather, textile: too wide by up to this can be trimmed", 1m, UpTo5),
        new(Limit.MetalFits, LugWidthRule.Name, "Metal: a gap up to this fits", 0.3m, UpTo5),
        new(Limit.MetalPlay, LugWidthRule.Name, "Metal: a gap up to this is side play", 1m, UpTo5),
        new(Limit.MetalReading, LugWidthRule.Name, "Metal: too wide by up to this is the reading’s own error", 0.1m, UpTo5),
        new(Limit.MetalFile, LugWidthRule.Name, "Metal: too wide by up to this can be filed off solid ends", 1m, UpTo5),
        new(Limit.EndRoom, BarGapRule.Name, "Room a band’s end wants beside the bar", 0.2m, UpTo5),
        new(Limit.CurvedBar, BarGapRule.Name, "What a curved bar gains", 0.8m, UpTo5),
        new(Limit.UsualBar, BarGapRule.Name, "Diameter of a bar nobody measured", 1.5m, UpTo5),
        new(Limit.TubeRoom, BarBoreRule.Name, "What a bar leaves in the band’s tube", 0.1m, UpTo5),
        new(Limit.TipRoom, BarBoreRule.Name, "What a bar’s tip leaves in the lug hole", 0.05m, UpTo5),
        new(Limit.BarShorter, BarBoreRule.Name, "A bar may be shorter than the lug width by", 0.5m, UpTo5),
        new(Limit.BarLonger, BarBoreRule.Name, "A bar may be longer than the lug width by", 0.3m, UpTo5),
        new(Limit.SlotPress, SlotRule.Name, "Leather thicker than the slot by up to this is pressed flat", 1m, UpTo5),
        new(Limit.WristOverHeight, BuildRule.Name, "The wrist round, over the height it carries well", 12m, new AllowedNumber(6, 30), IsLength: false),
        new(Limit.FlatSided, BuildRule.Name, "A flat-sided head seems higher by", 1m, UpTo5),
        new(Limit.PinPlay, PinRule.Name, "Friction pins: play in the bore up to this holds", 0.05m, UpTo5),
        new(Limit.PinShorter, PinRule.Name, "Friction pins: shorter than the band is wide by up to this", 0.5m, UpTo5),
        new(Limit.ClaspSoftFits, ClaspWidthRule.Name, "Soft band ends: a gap up to this fits", 0.5m, UpTo5),
        new(Limit.ClaspSoftShows, ClaspWidthRule.Name, "Soft band ends: a gap up to this shows", 1m, UpTo5),
        new(Limit.ClaspSoftSqueeze, ClaspWidthRule.Name, "Soft band ends: too wide by up to this is squeezed", 0.5m, UpTo5),
        new(Limit.ClaspMetalFits, ClaspWidthRule.Name, "Metal band ends: a gap up to this fits", 0.3m, UpTo5),
        new(Limit.ClaspMetalPlay, ClaspWidthRule.Name, "Metal band ends: a gap up to this is side play", 0.6m, UpTo5),
        new(Limit.ClaspMetalReading, ClaspWidthRule.Name, "Metal band ends: too wide by up to this is the reading’s own error", 0.1m, UpTo5),
        new(Limit.TubeFits, EndTubeRule.Name, "Butterfly: a notch wider than the tube by up to this fits", 0.2m, UpTo5),
        new(Limit.TubePlay, EndTubeRule.Name, "Butterfly: a notch wider than the tube by up to this still does", 0.5m, UpTo5),
        new(Limit.ButtonsLeast, ButtonSpanRule.Name, "Butterfly: buttons that stand out this much press well", 0.6m, UpTo5),
        new(Limit.ButtonsMost, ButtonSpanRule.Name, "Butterfly: buttons stand out at most", 3m, new AllowedNumber(0, 10)),
        new(Limit.HotDay, "seasons", "A hot day asks for this much more room", 3m, new AllowedNumber(0, 10)),
        new(Limit.ColdDay, "seasons", "A cold day asks for this much less room", 2m, new AllowedNumber(0, 10)),
        new(Limit.LeadDays, "ordering", "Days until a part is here that has to be ordered", 5m, new AllowedNumber(1, 90), IsLength: false),
        new(Limit.DayReserve, "promises", "Percent of each day that no new promise takes", 20m, new AllowedNumber(0, 90), IsLength: false),
        new(Limit.BarGapFrom, UsualRange.Name, "Bar gap: usually at least", 1.5m, UpTo5),
        new(Limit.BarGapTo, UsualRange.Name, "Bar gap: usually at most", 3.2m, UpTo5),
        new(Limit.LowBarGapFrom, UsualRange.Name, "Bar gap of a head under 8 mm high: usually at least", 1.2m, UpTo5),
        new(Limit.LowBarGapTo, UsualRange.Name, "Bar gap of a head under 8 mm high: usually at most", 2.0m, UpTo5),
        new(Limit.LugHoleFrom, UsualRange.Name, "Lug hole: usually at least", 0.8m, UpTo5),
        new(Limit.LugHoleTo, UsualRange.Name, "Lug hole: usually at most", 1.3m, UpTo5),
        new(Limit.SoftBoreFrom, UsualRange.Name, "Bore of a strap’s end: usually at least", 1.5m, UpTo5),
        new(Limit.SoftBoreTo, UsualRange.Name, "Bore of a strap’s end: usually at most", 2.2m, UpTo5),
        new(Limit.EndBoreFrom, UsualRange.Name, "Bore of a metal band’s end: usually at least", 1.3m, UpTo5),
        new(Limit.EndBoreTo, UsualRange.Name, "Bore of a metal band’s end: usually at most", 2.1m, UpTo5),
        new(Limit.ClaspBoreFrom, UsualRange.Name, "Bore at a metal band’s clasp: usually at least", 1.0m, UpTo5),
        new(Limit.ClaspBoreTo, UsualRange.Name, "Bore at a metal band’s clasp: usually at most", 1.8m, UpTo5),
        new(Limit.TextileLayerFrom, UsualRange.Name, "One layer of a textile band: usually at least", 1.0m, UpTo5),
        new(Limit.TextileLayerTo, UsualRange.Name, "One layer of a textile band: usually at most", 1.8m, UpTo5),
        new(Limit.LeatherLayerFrom, UsualRange.Name, "One layer of a leather or rubber band: usually at least", 1.4m, UpTo5),
        new(Limit.LeatherLayerTo, UsualRange.Name, "One layer of a leather or rubber band: usually at most", 2.4m, UpTo5),
        new(Limit.SoftEndFrom, UsualRange.Name, "Thickness of a strap’s end: usually at least", 2.0m, UpTo5),
        new(Limit.SoftEndTo, UsualRange.Name, "Thickness of a strap’s end: usually at most", 5.0m, UpTo5),
        new(Limit.MetalEndFrom, UsualRange.Name, "Thickness of a metal band’s end: usually at least", 2.2m, UpTo5),
        new(Limit.MetalEndTo, UsualRange.Name, "Thickness of a metal band’s end: usually at most", 4.0m, UpTo5),
        new(Limit.SlotEndFrom, UsualRange.Name, "Thickness of an end for a slot: usually at least", 0.8m, UpTo5),
        new(Limit.SlotEndTo, UsualRange.Name, "Thickness of an end for a slot: usually at most", 2.0m, UpTo5),
        new(Limit.MicroHalfFrom, UsualRange.Name, "Half of a fold-over on the micro-adjust side: usually at least", 8m, UpTo80),
        new(Limit.MicroHalfTo, UsualRange.Name, "Half of a fold-over on the micro-adjust side: usually at most", 20m, UpTo80),
        new(Limit.OtherHalfFrom, UsualRange.Name, "Half of a fold-over on the other side: usually at least", 13m, UpTo80),
        new(Limit.OtherHalfTo, UsualRange.Name, "Half of a fold-over on the other side: usually at most", 24m, UpTo80),
        new(Limit.WingHalfFrom, UsualRange.Name, "Half of a butterfly: usually at least", 1.5m, UpTo80),
        new(Limit.WingHalfTo, UsualRange.Name, "Half of a butterfly: usually at most", 7m, UpTo80),
        new(Limit.MicroStepFrom, UsualRange.Name, "From one micro-adjust place to the next: usually at least", 1.5m, UpTo5),
        new(Limit.MicroStepTo, UsualRange.Name, "From one micro-adjust place to the next: usually at most", 3m, UpTo5),
        new(Limit.MicroFewest, UsualRange.Name, "Micro-adjust places: usually at least", 2m, new AllowedNumber(1, 20), IsLength: false),
        new(Limit.MicroMost, UsualRange.Name, "Micro-adjust places: usually at most", 8m, new AllowedNumber(1, 20), IsLength: false),
    ];
}

/// <summary>The limits a shop works with: the defaults, and what it set for itself.</summary>
public sealed class HouseLimits
{
    private readonly long[] _thousandths;

    private HouseLimits(long[] thousandths) => _thousandths = thousandths;

    /// <summary>The defaults.</summary>
    public static HouseLimits Usual { get; } = new([.. LimitKind.All.Select(k => (long)(k.Usual * 1000))]);

    /// <summary>A limit that is a length.</summary>
    public Length this[Limit limit] => new(_thousandths[(int)limit]);

    /// <summary>A limit as a plain number, in thousandths.</summary>
    public long Thousandths(Limit limit) => _thousandths[(int)limit];

    /// <summary>The same with one limit set.</summary>
    /// <exception cref="ArgumentOutOfRangeException">The value is outside what the limit may be set to.</exception>
    public HouseLimits With(Limit limit, decimal value)
    {
        var kind = LimitKind.All[(int)limit];
        if (!kind.Allowed.Holds(value))
            throw new ArgumentOutOfRangeException(nameof(value), value, kind.Allowed.Refuse(kind.Says, value));
        var copy = (long[])_thousandths.Clone();
        copy[(int)limit] = (long)(value * 1000);
        return new HouseLimits(copy);
    }
}
