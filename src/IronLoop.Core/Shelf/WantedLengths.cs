using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Fitting;
using IronLoop.Core.Gauging;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Shelf;

/// <summary>
/// The lengths a job wants of bands: they hang on a band's thickness and on what it raises the head by, so each is worked
/// out once. Not for several threads at a time.
/// </summary>
/// <param name="figures">What was gauged.</param>
public sealed class WantedLengths(Figures figures)
{
    private readonly Dictionary<(Length Pivot, Length Raise), FitTarget?> _known = [];

    /// <summary>The head as it is, not raised.</summary>
    public Head? BareHead { get; } = figures.BareHead;

    /// <summary>The length wanted of a band worn in a way.</summary>
    /// <returns>Null when a figure is missing or the model does not hold.</returns>
    public FitTarget? Of(Band band, PullThroughWay way)
    {
        var key = (band.PivotHeight, Raise: band.Raise(way));
        if (!_known.TryGetValue(key, out var target))
            _known[key] = target = (figures with { Raise = key.Raise }).Target(band.PivotHeight);
        return target;
    }
}
