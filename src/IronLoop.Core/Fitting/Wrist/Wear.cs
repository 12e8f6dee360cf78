using IronLoop.Core.Measuring;

namespace IronLoop.Core.Fitting;

/// <summary>How loose the wearer likes it.</summary>
public enum WearPreference
{
    /// <summary>Close on the wrist.</summary>
    Snug,

    /// <summary>As most people wear it.</summary>
    Regular,

    /// <summary>Loose.</summary>
    Easy,
}

/// <summary>The ease that goes with a wear preference (house rule; fit model, section 1).</summary>
/// <param name="Least">Lower end of the wear window.</param>
/// <param name="Most">Upper end of the wear window.</param>
/// <param name="Aim">Ease to aim at.</param>
public readonly record struct Wear(Length Least, Length Most, Length Aim)
{
    /// <summary>Half the wear window: what a length may miss the target by and still be wearable.</summary>
    public Length Window => new((Most - Least).Micrometres / 2);

    /// <summary>The window of a preference.</summary>
    public static Wear Of(WearPreference preference) => preference switch
    {
        WearPreference.Snug => Mm(2, 6, 4),
        WearPreference.Regular => Mm(5, 10, 7.5m),
        WearPreference.Easy => Mm(9, 15, 12),
        _ => throw new ArgumentOutOfRangeException(nameof(preference), preference, "Snug, regular or easy."),
    };

    private static Wear Mm(decimal least, decimal most, decimal aim) =>
        new(Length.FromMillimetres(least), Length.FromMillimetres(most), Length.FromMillimetres(aim));
}
