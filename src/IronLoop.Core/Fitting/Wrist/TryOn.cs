using IronLoop.Core.Measuring;

namespace IronLoop.Core.Fitting;

/// <summary>How the surplus was judged with the band on the wrist.</summary>
public enum SurplusBy
{
    /// <summary>In millimetres.</summary>
    Millimetres,

    /// <summary>As a count of links pinched together.</summary>
    LinksPinched,

    /// <summary>As a gap under the clasp.</summary>
    Gap,
}

/// <summary>What the surplus was judged over; mixing the two counts ease twice.</summary>
public enum SurplusOver
{
    /// <summary>Over a band that just touches all round.</summary>
    ZeroEase,

    /// <summary>Over a band that feels right.</summary>
    Comfort,
}

/// <summary>
/// The band, as it is now, on the wrist, and its surplus (fit model, section 2). The head's and the wrist's shape
/// cancel out, so this is the better number whenever it can be had. Null where nothing was entered yet.
/// </summary>
/// <param name="By">How the surplus was judged.</param>
/// <param name="Over">What it is over.</param>
/// <param name="Amount">Millimetres of surplus or gap, or links pinched.</param>
/// <param name="Loop">Length of the loop that was on the wrist.</param>
/// <param name="Thickness">Thickness of the band that was on the wrist; null when it is the band to be fitted.</param>
/// <param name="Pitch">Pitch of the links pinched; not looked at otherwise.</param>
/// <param name="Wedge">Width of what was slid under the clasp, nothing when narrow; not looked at otherwise.</param>
public sealed record TryOn(
    SurplusBy By = SurplusBy.Millimetres,
    SurplusOver Over = SurplusOver.ZeroEase,
    decimal? Amount = null,
    Length? Loop = null,
    Length? Thickness = null,
    Length? Pitch = null,
    Length? Wedge = null)
{
    /// <summary>What may be entered as the amount, by how the surplus was judged; a loop too tight has less than nought.</summary>
    public static AllowedNumber Amounts(SurplusBy by) => by switch
    {
        SurplusBy.Millimetres => new AllowedNumber(-30, 80),
        SurplusBy.LinksPinched => new AllowedNumber(-5, 10),
        SurplusBy.Gap => new AllowedNumber(FitRanges.Gap.Lowest.Millimetres, FitRanges.Gap.Highest.Millimetres),
        _ => throw new ArgumentOutOfRangeException(nameof(by), by, "Not a way to judge a surplus."),
    };

    /// <summary>Whether amount and loop are entered.</summary>
    public bool IsWhole => Amount is not null && Loop is not null && (By != SurplusBy.LinksPinched || Pitch is not null);

    /// <summary>
    /// The needed length for the band that was on the wrist. Uncertainty (house rule; fit model, section 4): 1.0 mm
    /// from millimetres, a fifth of the pitch from links, 1.5 mm from a gap.
    /// </summary>
    /// <param name="wrist">Tape reading; only a gap needs it.</param>
    /// <param name="aspect">Width over depth.</param>
    /// <param name="aim">Ease to aim at; only a surplus over comfort needs it.</param>
    /// <returns>Null while what this judgement needs is unknown.</returns>
    public Need? Need(Length? wrist, decimal aspect, Length? aim)
    {
        if (Amount is not { } amount || Loop is not { } loop || Surplus(amount, wrist, aspect) is not var (surplus, sigma))
            return null;
        var needed = loop.ApproximateMillimetres - surplus;
        return Over switch
        {
            SurplusOver.ZeroEase => new Need(needed, sigma),
            SurplusOver.Comfort when aim is { } ease => new Need(needed - ease.ApproximateMillimetres, sigma),
            _ => null,
        };
    }

    private (double Surplus, double Sigma)? Surplus(decimal amount, Length? wrist, decimal aspect) => By switch
    {
        SurplusBy.Millimetres => ((double)amount, 1.0),
        SurplusBy.LinksPinched when Pitch is { } pitch =>
            ((double)amount * pitch.ApproximateMillimetres, 0.2 * pitch.ApproximateMillimetres),
        SurplusBy.Gap when wrist is { } round =>
            (EaseFromGap.Of(round, aspect, Length.Nearest((double)amount), Wedge ?? Length.Zero), 1.5),
        _ => null,
    };
}

/// <summary>How the length of a loop that feels right is known. Stored and sent by name.</summary>
public enum LoopBy
{
    /// <summary>It was measured here.</summary>
    Measured,

    /// <summary>The old strap, from its lug ends to the buckle's bar and to the worn hole.</summary>
    OldStrap,

    /// <summary>A measure that the owner sent.</summary>
    Sent,
}

/// <summary>Another loop that feels right on the same wrist (fit model, section 2). Null where nothing was entered yet.</summary>
/// <param name="Loop">Its length from head pivot round to head pivot.</param>
/// <param name="BarToBar">Bar-to-bar of the head it is on.</param>
/// <param name="BarRise">Bar rise of that head; assumed when null.</param>
/// <param name="Thickness">Its thickness; that of the band to be fitted when null.</param>
public sealed record CopiedLoop(Length? Loop = null, Length? BarToBar = null, Length? BarRise = null, Length? Thickness = null)
{
    /// <summary>How its length is known.</summary>
    public LoopBy By { get; init; }

    // House rule; a measure that was sent was taken by somebody else's hand.
    private double Sigma => By == LoopBy.Sent ? 3 : 1.2;

    /// <summary>Its length, where it was on this head and is of this thickness: then it is what is wanted here, with no wrist to reckon with.</summary>
    public Length? Alike => BarToBar is null && BarRise is null && Thickness is null ? Loop : null;

    /// <summary>The needed length here: the other loop's length, moved from its head and band to these, less the aim.</summary>
    /// <returns>Null while a figure is missing, or when the model does not hold for one of the two.</returns>
    public Need? Need(Length wrist, decimal aspect, Head here, Length pivotHeight, Length aim)
    {
        if (Loop is not { } loop || BarToBar is not { } bars)
            return null;
        var there = new Head(bars, BarRise ?? Head.AssumedRise);
        var height = Thickness is { } thickness ? thickness.Half() : pivotHeight;
        return NeededLength.Of(wrist, aspect, here, pivotHeight) is { } neededHere && NeededLength.Of(wrist, aspect, there, height) is { } neededThere
            ? new Need(loop.ApproximateMillimetres + neededHere - neededThere - aim.ApproximateMillimetres, Sigma)
            : null;
    }
}
