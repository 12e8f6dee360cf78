namespace IronLoop.Core.Fitting;

/// <summary>What joins two links.</summary>
public enum Fastener
{
    /// <summary>A sprung, doubled or slit pin.</summary>
    SplitPin,

    /// <summary>A plain pin in a tube.</summary>
    PinWithTube,

    /// <summary>A screw.</summary>
    Screw,

    /// <summary>A screw in a threaded tube, with heads on both sides.</summary>
    ScrewInTube,

    /// <summary>A spring bar.</summary>
    SpringBar,
}
