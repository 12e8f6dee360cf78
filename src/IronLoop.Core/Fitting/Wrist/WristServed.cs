using IronLoop.Core.Measuring;

namespace IronLoop.Core.Fitting;

/// <summary>The wrist that a needed length belongs to: section 1 of the fit model turned round.</summary>
public static class WristServed
{
    /// <summary>The smallest and the largest wrist that some length of a band can be worn on.</summary>
    /// <param name="shortest">The shortest it makes.</param>
    /// <param name="longest">The longest it makes.</param>
    /// <param name="wear">The wear window.</param>
    /// <param name="aspect">Width over depth.</param>
    /// <param name="head">The head, where it sits.</param>
    /// <param name="pivotHeight">Height of the band's pivots above the skin.</param>
    /// <returns>Null where it is beyond what is gauged.</returns>
    public static (Length? Smallest, Length? Largest) Range(Length? shortest, Length? longest, Wear wear, decimal aspect, Head head, Length pivotHeight)
    {
        Length? Wrist(Length? loop, Length ease) => loop is { } length ? By((length - ease).ApproximateMillimetres, aspect, head, pivotHeight) : null;
        return (Wrist(shortest, wear.Most), Wrist(longest, wear.Least));
    }

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
        // It hardly bends, so a straight line from end to end comes close; an end that stays twice is taken for half as far off, so that both close in.
        var (under, over) = (least - needed, most - needed);
        bool? wasUnder = null;
        while (high - low > new Length(1))
        {
            var between = new Length(Math.Clamp(low.Micrometres + (long)((high - low).Micrometres * under / (under - over)), low.Micrometres + 1, high.Micrometres - 1));
            var off = (NeededLength.Of(between, aspect, head, pivotHeight) ?? most) - needed;
            var isUnder = off < 0;
            if (isUnder)
                (low, under, over) = (between, off, wasUnder == true ? over / 2 : over);
            else
                (high, over, under) = (between, off, wasUnder == false ? under / 2 : under);
            wasUnder = isUnder;
        }
        return high;
    }
}
