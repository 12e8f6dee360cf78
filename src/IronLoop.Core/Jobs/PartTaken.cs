using IronLoop.Core.Stock;
using IronLoop.Core.Tray;

namespace IronLoop.Core.Jobs;

/// <summary>A part that a job takes.</summary>
/// <param name="JobId">The job.</param>
/// <param name="Part">The part.</param>
/// <param name="Use">What it is for: one part a use.</param>
/// <param name="Count">How many.</param>
/// <param name="IsReserved">Whether they lie in their place for the job; else the job waits for them.</param>
/// <param name="CameAt">When they came, if the job waited for them.</param>
/// <param name="BookedAt">When they were booked out.</param>
public sealed record PartTaken(long JobId, StockPart Part, string Use, int Count, bool IsReserved, DateTimeOffset? CameAt, DateTimeOffset? BookedAt)
{
    /// <summary>Whether these are loose links that the plan may put in.</summary>
    public bool IsLinksToTry => this is { Part.Part.Link: not null, BookedAt: null };

    /// <summary>The use of a clasp that goes on instead of the band's own.</summary>
    public const string ForClasp = "clasp";

    /// <summary>The use of the pins that hold it.</summary>
    public const string ForClaspPins = "clasp pins";

    /// <summary>The use of what a bench step fetched, which nobody had reserved before.</summary>
    public static string Fetched(string article) => $"fetched {article}";

    /// <summary>The use of a part that goes on instead of one of the owner's own.</summary>
    public static string InsteadOf(OwnPartKind kind) => $"own {kind}";

    /// <summary>The use of loose links.</summary>
    public static string AsLinks(string article) => $"link {article}";
}
