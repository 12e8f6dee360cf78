using IronLoop.Core.Fitting;

namespace IronLoop.Core.Gauging;

/// <summary>Where practitioners differ in deciding a size, and how the house does it.</summary>
/// <param name="Way">The way of knowing the needed length that the house goes by alone, where it is known; all together when null.</param>
/// <param name="Odd">Where an odd link goes.</param>
public sealed record School(Way? Way, OddLink Odd)
{
    /// <summary>Everything as computed: all ways together, the odd link where it centres best.</summary>
    public static School Computed { get; } = new(null, OddLink.AsComputed);
}
