namespace IronLoop.Core.Gauging;

/// <summary>The season of a wrist reading: wrists swell in heat and shrink in cold.</summary>
public enum Season
{
    /// <summary>Winter.</summary>
    Winter,

    /// <summary>Spring.</summary>
    Spring,

    /// <summary>Summer.</summary>
    Summer,

    /// <summary>Autumn.</summary>
    Autumn,
}

/// <summary>Where on the arm the watch is worn.</summary>
public enum WornAt
{
    /// <summary>On the arm's side of the wrist bone.</summary>
    ArmSide,

    /// <summary>On the bone.</summary>
    OnBone,

    /// <summary>On the hand's side of the bone.</summary>
    HandSide,
}

/// <summary>The season of a day.</summary>
public static class Seasons
{
    /// <summary>The season a day falls in, by whole months, north of the equator (house rule); a fitter may say otherwise.</summary>
    public static Season Of(DateOnly day) => (Season)(day.Month % 12 / 3);
}
