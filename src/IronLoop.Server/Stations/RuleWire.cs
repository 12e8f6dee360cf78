using IronLoop.Core.Bands;
using IronLoop.Core.Fitting;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Storage;

namespace IronLoop.Server.Stations;

/// <summary>A piece of work.</summary>
internal sealed record WorkWire(string What, bool Reversible, string Tools, int Minutes, string? Caution);

/// <summary>What a rule found.</summary>
/// <param name="Figure">The number that decides it, short.</param>
/// <param name="Decides">What a reading would decide, where the verdict is only likely.</param>
internal sealed record RuleWire(string Rule, Verdict Verdict, string Says, string? Figure, IReadOnlyList<WorkWire> Work, Certainty Certainty, DeciderWire? Decides)
{
    public static RuleWire Of(RuleVerdict rule) => new(
        rule.Rule, rule.Verdict, rule.Says, rule.Figure, [.. rule.Work.Select(w => new WorkWire(w.What, w.Reversible, w.Tools, w.Minutes, w.Caution))], rule.Certainty,
        rule.Certainty == Certainty.Likely && rule.Open?.Decides is { } decides ? new DeciderWire(FieldOf(decides.Figure), decides.At) : null);

    /// <summary>What the figure is called where a watch, a band or a clasp is told of.</summary>
    private static string FieldOf(OpenFigure figure) => figure switch
    {
        OpenFigure.Attachment => "attachment",
        OpenFigure.CaseShape => "caseShape",
        OpenFigure.BarGap => "barGapMm",
        OpenFigure.LugHole => "lugHoleMm",
        OpenFigure.TubeBore => "tubeBoreMm",
        OpenFigure.EndThickness => "endThicknessMm",
        OpenFigure.LayerThickness => "layerThicknessMm",
        OpenFigure.ClaspBore => "boreMm",
        OpenFigure.ClaspEndThickness => "thicknessMm",
        OpenFigure.ClaspHalves => "clasp",
        _ => throw new ArgumentOutOfRangeException(nameof(figure), figure, "Not a figure."),
    };
}

/// <summary>What a reading would decide.</summary>
/// <param name="Figure">The figure, by the name of its field.</param>
/// <param name="AtMm">Where the word changes, on the better side of it; null where it is looked at, not measured.</param>
internal sealed record DeciderWire(string Figure, Length? AtMm);
