using IronLoop.Core.Measuring;

namespace IronLoop.Core.Matching;

/// <summary>What a figure usually is, when nobody read it (house rules).</summary>
/// <param name="From">The least that is usual.</param>
/// <param name="To">The most that is usual.</param>
public readonly record struct UsualRange(Length From, Length To)
{
    /// <summary>What the ranges are called among the rules of the house.</summary>
    public const string Name = "usual-range";

    // A head lower than this has its bars close to the case.
    private static readonly Length LowHead = Length.FromMillimetres(8);

    /// <summary>Half way between.</summary>
    public Length Middle => (From + To).Half();

    /// <summary>As it is told: "1.5 mm to 3.2 mm".</summary>
    public override string ToString() => $"{From} to {To}";

    /// <summary>The bar gap of a head.</summary>
    /// <param name="height">Its height; null when nobody measured it.</param>
    /// <param name="limits">The house's limits.</param>
    public static UsualRange BarGap(Length? height, HouseLimits limits) =>
        height < LowHead ? Of(limits, Limit.LowBarGapFrom, Limit.LowBarGapTo) : Of(limits, Limit.BarGapFrom, Limit.BarGapTo);

    /// <summary>The lug hole.</summary>
    public static UsualRange LugHole(HouseLimits limits) => Of(limits, Limit.LugHoleFrom, Limit.LugHoleTo);

    /// <summary>The bore of a band's tube at the lugs.</summary>
    public static UsualRange TubeBore(bool isSoft, HouseLimits limits) =>
        isSoft ? Of(limits, Limit.SoftBoreFrom, Limit.SoftBoreTo) : Of(limits, Limit.EndBoreFrom, Limit.EndBoreTo);

    /// <summary>The bore of a band's end at the clasp.</summary>
    public static UsualRange ClaspBore(bool isSoft, HouseLimits limits) =>
        isSoft ? Of(limits, Limit.SoftBoreFrom, Limit.SoftBoreTo) : Of(limits, Limit.ClaspBoreFrom, Limit.ClaspBoreTo);

    /// <summary>The thickness of a band's end.</summary>
    public static UsualRange EndThickness(bool isSoft, HouseLimits limits) =>
        isSoft ? Of(limits, Limit.SoftEndFrom, Limit.SoftEndTo) : Of(limits, Limit.MetalEndFrom, Limit.MetalEndTo);

    /// <summary>The thickness of one layer of a pulled-through band.</summary>
    public static UsualRange Layer(BandMaterial material, HouseLimits limits) => material switch
    {
        BandMaterial.Textile => Of(limits, Limit.TextileLayerFrom, Limit.TextileLayerTo),
        BandMaterial.Metal => EndThickness(isSoft: false, limits),
        _ => Of(limits, Limit.LeatherLayerFrom, Limit.LeatherLayerTo),
    };

    /// <summary>The thickness of an end that goes into a slot.</summary>
    public static UsualRange SlotEnd(HouseLimits limits) => Of(limits, Limit.SlotEndFrom, Limit.SlotEndTo);

    /// <summary>What a clasp nobody measured adds to a bracelet's loop: a fold-over's half where its micro-adjust is.</summary>
    public static UsualRange MicroHalf(HouseLimits limits) => Of(limits, Limit.MicroHalfFrom, Limit.MicroHalfTo);

    /// <summary>A fold-over's other half.</summary>
    public static UsualRange OtherHalf(HouseLimits limits) => Of(limits, Limit.OtherHalfFrom, Limit.OtherHalfTo);

    /// <summary>Each half of a butterfly.</summary>
    public static UsualRange WingHalf(HouseLimits limits) => Of(limits, Limit.WingHalfFrom, Limit.WingHalfTo);

    /// <summary>From one micro-adjust place to the next.</summary>
    public static UsualRange MicroStep(HouseLimits limits) => Of(limits, Limit.MicroStepFrom, Limit.MicroStepTo);

    // A shop that sets the two the wrong way round means what lies between them.
    private static UsualRange Of(HouseLimits limits, Limit from, Limit to) => limits[from] <= limits[to] ? new(limits[from], limits[to]) : new(limits[to], limits[from]);
}
