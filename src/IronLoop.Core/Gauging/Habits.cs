using IronLoop.Core.Fitting;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Gauging;

/// <summary>How a client wears it, whatever the watch.</summary>
/// <param name="OffCentre">Where the clasp is worn on purpose, positive toward the 6 side; nought for most.</param>
/// <param name="Hot">How much more room a hot day asks for; as the house has it when null.</param>
/// <param name="Cold">How much less room a cold day asks for; as the house has it when null.</param>
public sealed record Habits(Length OffCentre = default, Length? Hot = null, Length? Cold = null)
{
    /// <summary>Where the house puts an odd link; it goes with the client's habits wherever a plan is asked for.</summary>
    public OddLink Odd { get; init; }

    /// <summary>What a day may ask for.</summary>
    public static readonly AllowedLength DayAllowed = AllowedLength.Mm(0, 10);

    /// <summary>What a hot day asks for here.</summary>
    public Length HotBy(HouseLimits limits) => Hot ?? limits[Limit.HotDay];

    /// <summary>What a cold day asks for here.</summary>
    public Length ColdBy(HouseLimits limits) => Cold ?? limits[Limit.ColdDay];
}
