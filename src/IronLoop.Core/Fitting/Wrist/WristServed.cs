using IronLoop.Core.Measuring;

namespace IronLoop.Core.Fitting;

/// <summary>The wrist that a needed length belongs to: section 1 of the fit model turned round.</summary>
public static class WristServed
{
    /// <summary>Finds the circumference, to a micrometre.</summary>
    /// <param name="needed">Needed length in millimetres.</param>
    /// <param name="aspect">Width over depth.</param>
    /// <param name="head">The head.</param>
    /// <param name="pivotHeight">Height of the band's pivots above the skin.</param>
    /// <returns>Null when no wrist in the allowed range has this needed length.</returns>
    public static Length? By(double needed, decimal aspect, Head head, Length pivotHeight)
    {
        // Needed length grows with the wrist, so halving finds it; where the model does not hold the wrist is too small
        // for the head's bars to clear it, or so large that they sink in. Both are beyond what is served.
        var (low, high) = (FitRanges.Wrist.Lowest, FitRanges.Wrist.Highest);
        if (NeededLength.Of(low, aspect, head, pivotHeight) is not { } least || needed < least
            || NeededLength.Of(high, aspect, head, pivotHeight) is not { } most || needed > most)
            return null;
        while (high - low > new Length(1))
        {
            var middle = new Length((low.Micrometres + high.Micrometres) / 2);
            if (NeededLength.Of(middle, aspect, head, pivotHeight) < needed)
                low = middle;
            else
                high = middle;
        }
        return high;
    }
}
