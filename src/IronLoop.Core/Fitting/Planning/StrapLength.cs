using IronLoop.Core.Measuring;

namespace IronLoop.Core.Fitting;

/// <summary>A strap's length for a wrist: the pair whose middle hole is nearest leaves most each way (fit model, section 7).</summary>
/// <param name="MiddleHole">The middle hole, 0 the tightest; of two, the one nearer the length wanted.</param>
/// <param name="Miss">What the middle hole misses the length wanted by.</param>
/// <param name="Fit">The hole it would be closed in.</param>
public readonly record struct StrapLength(int MiddleHole, Length Miss, StrapFit Fit)
{
    /// <summary>A strap on a wrist.</summary>
    public static StrapLength Of(TwoPieceStrap strap, FitTarget target)
    {
        var (lower, upper) = ((strap.Holes - 1) / 2, strap.Holes / 2);
        var middle = (strap.LengthIn(upper) - target.Length).Abs() < (strap.LengthIn(lower) - target.Length).Abs() ? upper : lower;
        return new StrapLength(middle, (strap.LengthIn(middle) - target.Length).Abs(), strap.Nearest(target));
    }
}
