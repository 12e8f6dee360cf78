using IronLoop.Core.Fitting;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Bench;

/// <summary>How a band felt on the wrist. Stored and sent by name.</summary>
public enum EaseFelt
{
    /// <summary>As it shall be.</summary>
    Comfortable,

    /// <summary>Rather tight.</summary>
    Snug,

    /// <summary>Rather loose.</summary>
    Loose,
}

/// <summary>What came of a try-on. Stored and sent by name.</summary>
public enum TryOnOutcome
{
    /// <summary>It was as the plan foretold.</summary>
    AsPlanned,

    /// <summary>Something else was found, and said.</summary>
    Felt,

    /// <summary>It was not tried, for a reason that is kept.</summary>
    NotTried,
}

/// <summary>What a try-on found, of whatever band.</summary>
/// <param name="Outcome">What came of it.</param>
/// <param name="Final">Whether it was the one it leaves with.</param>
public sealed record Felt(TryOnOutcome Outcome, bool Final)
{
    /// <summary>The hole, notch or place it was closed in, 0 the tightest; null where it has none or nobody said.</summary>
    public int? Position { get; init; }

    /// <summary>How it felt.</summary>
    public EaseFelt? Ease { get; init; }

    /// <summary>What the tail passes its keepers by.</summary>
    public Length? Tail { get; init; }

    /// <summary>What the loop is longer than what was felt to be right; shorter where it is negative.</summary>
    public Length? Surplus { get; init; }

    /// <summary>Why it was not tried; empty when it was.</summary>
    public string Reason { get; init; } = "";

    /// <summary>What is said of it on log, card and at the next visit.</summary>
    /// <param name="holed">The band it was tried on, when it is closed in a hole or a notch.</param>
    public string Says(HoledBand? holed)
    {
        if (Outcome == TryOnOutcome.NotTried)
            return $"Not tried on: {Reason.TrimEnd('.')}.";
        var how = Ease switch
        {
            EaseFelt.Comfortable => "comfortable",
            EaseFelt.Snug => "rather snug",
            EaseFelt.Loose => "rather loose",
            _ => Outcome == TryOnOutcome.AsPlanned ? "as planned" : Surplus is { } over ? $"{over.Abs().ToTenths()} {(over < Length.Zero ? "short" : "over")} of what felt right" : "felt",
        };
        var where = holed is not null && Position is { } at ? $", closed {holed.Closed(at)}" : "";
        var tail = Tail is { } past ? $", the tail {past.ToTenths()} past its keepers" : "";
        return $"Tried on: {how}{where}{tail}.";
    }
}
