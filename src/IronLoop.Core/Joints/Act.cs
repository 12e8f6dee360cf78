using IronLoop.Core.Fitting;

namespace IronLoop.Core.Joints;

/// <summary>One thing that a hand does. What each asks and does is told in docs/joints.md.</summary>
public abstract record Act
{
    private Act()
    {
    }

    /// <summary>A joint is looked at.</summary>
    public sealed record Look(string Joint) : Act;

    /// <summary>A joint is opened; its parts go into the tray.</summary>
    public sealed record Open(string Joint) : Act;

    /// <summary>A thing, with what hangs on it, comes out of the watch into the tray.</summary>
    public sealed record Remove(string Thing, IReadOnlyList<string> With) : Act;

    /// <summary>A thing, with what hangs on it, is laid where it will be joined.</summary>
    public sealed record Lay(string Thing, IReadOnlyList<string> With) : Act;

    /// <summary>A part is begun in one end.</summary>
    public sealed record Start(string Joint, string Part) : Act;

    /// <summary>A joint is closed.</summary>
    public sealed record Close(string Joint, string A, string B, IReadOnlyList<string> Parts, Fastener Fastener, Side? Side, int? Position) : Act;

    /// <summary>A thing outside the watch, with what hangs on it, goes to another place.</summary>
    public sealed record Move(string Thing, IReadOnlyList<string> With, Place To) : Act;

    /// <summary>A closed joint is set to another position.</summary>
    public sealed record Adjust(string Joint, int Position) : Act;

    /// <summary>The owner consents to what cannot be undone.</summary>
    public sealed record Consent(string Thing, Shaping What) : Act;

    /// <summary>A thing is made to fit.</summary>
    public sealed record Prepare(string Thing, Shaping What, string? Joint, bool Irreversible) : Act;

    /// <summary>A thing is held where it will go, and looked at.</summary>
    public sealed record OfferUp(string Thing) : Act;

    /// <summary>A thing is cleaned.</summary>
    public sealed record Clean(string Thing) : Act;

    /// <summary>A closed joint is checked.</summary>
    public sealed record Check(string Joint) : Act;

    /// <summary>The shop lends a thing for the work.</summary>
    public sealed record Lend(string Thing) : Act;

    /// <summary>What was lent goes back.</summary>
    public sealed record GiveBack(string Thing) : Act;

    /// <summary>The watch is tried on.</summary>
    public sealed record TryOn(bool Final) : Act;
}
