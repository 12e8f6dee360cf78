using IronLoop.Core.Matching;

namespace IronLoop.Core.Gauging;

/// <summary>What a figure of the gauging sheet usually is, where the rules go by that until it is read.</summary>
public static class UsualFigures
{
    /// <summary>The range; null where nothing is usual, or none is gone by.</summary>
    /// <param name="figure">The figure.</param>
    /// <param name="watch">The watch.</param>
    /// <param name="limits">The house's limits.</param>
    public static UsualRange? Of(GaugedFigure figure, WatchFacts watch, HouseLimits limits) => figure switch
    {
        GaugedFigure.BarGap => UsualRange.BarGap(watch.Height, limits),
        GaugedFigure.LugHole => UsualRange.LugHole(limits),
        GaugedFigure.EndBore or GaugedFigure.OtherEndBore => UsualRange.ClaspBore(isSoft: false, limits),
        _ => null,
    };
}
