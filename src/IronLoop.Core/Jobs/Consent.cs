using IronLoop.Core.Matching;

namespace IronLoop.Core.Jobs;

/// <summary>What a consent is about.</summary>
public enum ConsentTopic
{
    /// <summary>Work to mount the band.</summary>
    Band,

    /// <summary>Work to put another clasp on it.</summary>
    Clasp,
}

/// <summary>The owner's written consent to work that cannot be undone.</summary>
/// <param name="BandId">The band the work is done on.</param>
/// <param name="Work">What was consented to, in the words that were signed.</param>
/// <param name="SignedBy">Who signed.</param>
/// <param name="SignedAt">When.</param>
public sealed record Consent(long BandId, string Work, string SignedBy, DateTimeOffset SignedAt)
{
    /// <summary>The kinds of work it is to.</summary>
    public IReadOnlySet<WorkKind> Kinds { get; init; } = new HashSet<WorkKind>();

    /// <summary>Whether it is to some work on a band, however that is worded now.</summary>
    public bool IsTo(long bandId, IEnumerable<PieceOfWork> work) => BandId == bandId && PieceOfWork.LastingKinds(work).IsSubsetOf(Kinds);

    /// <summary>The signature as drawn on the screen, an SVG path; empty when none was.</summary>
    public string Signature { get; init; } = "";

    /// <summary>Whether it is signed on the printed sheet, which lies with the job.</summary>
    public bool OnPaper { get; init; }

    /// <summary>Whether there is a signature, drawn or on paper.</summary>
    public bool IsSigned => Signature.Length > 0 || OnPaper;
}
