using IronLoop.Core.Measuring;

namespace IronLoop.Core.Matching;

/// <summary>How sure a verdict is while some figures are not read.</summary>
public enum Certainty
{
    /// <summary>It stands whatever the figures are that nobody read.</summary>
    Certain,

    /// <summary>It is what the usual figures come to; a reading may change it.</summary>
    Likely,

    /// <summary>Nothing is usual that could be gone by.</summary>
    Unknown,
}

/// <summary>A figure, or a look, that a rule would like and nobody took.</summary>
public enum OpenFigure
{
    /// <summary>How the watch takes a band.</summary>
    Attachment,

    /// <summary>Whether the case is round where the band's end meets it.</summary>
    CaseShape,

    /// <summary>Room between the bar's centre line and the case.</summary>
    BarGap,

    /// <summary>Diameter of the lug hole.</summary>
    LugHole,

    /// <summary>Bore of the band's tube.</summary>
    TubeBore,

    /// <summary>Thickness of the band's end.</summary>
    EndThickness,

    /// <summary>Thickness of one layer of a pulled-through band.</summary>
    LayerThickness,

    /// <summary>Bore of the band's end at the clasp.</summary>
    ClaspBore,

    /// <summary>Thickness of a strap where its clasp goes on.</summary>
    ClaspEndThickness,

    /// <summary>What the clasp adds to each side of the loop.</summary>
    ClaspHalves,
}

/// <summary>What a reading would decide.</summary>
/// <param name="Figure">The figure to read.</param>
/// <param name="At">Where the word changes, on the better side of it; null where it is looked at, not measured.</param>
/// <param name="Share">The share of what is usual, 0 to 1, in which the word is another.</param>
public sealed record Decider(OpenFigure Figure, Length? At, double Share);

/// <summary>What a rule comes to while some of its figures are open.</summary>
/// <param name="Figures">The open figures.</param>
/// <param name="Best">The best verdict any usual figures give.</param>
/// <param name="Worst">The worst.</param>
/// <param name="Off">The share of what is usual, 0 to 1, in which the band does not go on as it is; where it goes on after work that counts a quarter.</param>
/// <param name="Decides">What would change the verdict; null where nothing usual does.</param>
public sealed record Openness(IReadOnlyList<OpenFigure> Figures, Verdict Best, Verdict Worst, double Off, Decider? Decides)
{
    // Most of what nobody looked at is as it usually is.
    private const double Unlooked = 0.1;

    /// <summary>Something that is looked at, not measured.</summary>
    /// <param name="figure">What.</param>
    /// <param name="best">The best verdict it may lead to.</param>
    /// <param name="worst">The worst.</param>
    /// <param name="usual">What it is taken to be.</param>
    public static Openness Looked(OpenFigure figure, Verdict best, Verdict worst, Verdict usual = Verdict.Fits) =>
        new([figure], best, worst, (1 - Unlooked) * OverRange.Off(usual), new Decider(figure, null, Unlooked));
}
