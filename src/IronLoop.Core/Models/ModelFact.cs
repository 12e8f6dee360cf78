namespace IronLoop.Core.Models;

/// <summary>What of a model is no figure that is read with a tool at the watch.</summary>
public enum ModelFact
{
    /// <summary>How it takes a band.</summary>
    Attachment,

    /// <summary>Whether the case is straight where the band's end meets it.</summary>
    CaseShape,

    /// <summary>The maker's family code, of a case with a shape of its own.</summary>
    Family,

    /// <summary>The links of the 12 side, in a fitter's words.</summary>
    Twelve,

    /// <summary>The links of the 6 side.</summary>
    Six,

    /// <summary>Pitch of a half link.</summary>
    HalfPitch,

    /// <summary>What it closes with.</summary>
    ClaspName,

    /// <summary>From the last 12-side pivot to the clasp's centre, at its tightest.</summary>
    ClaspTwelve,

    /// <summary>From the clasp's centre to the last 6-side pivot.</summary>
    ClaspSix,

    /// <summary>The side that carries the micro-adjust.</summary>
    MicroSide,

    /// <summary>Micro positions.</summary>
    Positions,

    /// <summary>What each adds.</summary>
    Step,

    /// <summary>What joins its links.</summary>
    Fastener,

    /// <summary>Whether the last link of the 12 side comes free at the clasp: <see cref="FreedLink"/>.</summary>
    FreedTwelve,

    /// <summary>Whether the last link of the 6 side comes free at the clasp.</summary>
    FreedSix,

    /// <summary>The tools its pins were worked with: <see cref="Bench.ToolFamily"/>.</summary>
    Tools,

    /// <summary>The lengths of the strap that went on, 12 side and 6 side in millimetres, such as <c>75/115</c>.</summary>
    StrapLengths,
}

/// <summary>What the pieces of an edition say of a fact.</summary>
/// <param name="Fact">Which.</param>
/// <param name="Value">What most of them say; what a catalogue says only where no piece tells.</param>
/// <param name="Pieces">How many say so; 0 where only a file does.</param>
/// <param name="Others">What others say, with how many: another edition, or a changed piece.</param>
public sealed record KnownFact(ModelFact Fact, string Value, int Pieces, IReadOnlyList<(string Value, int Pieces)> Others);
