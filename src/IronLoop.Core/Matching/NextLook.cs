namespace IronLoop.Core.Matching;

/// <summary>What to read next, as far as the verdicts of some bands go.</summary>
public static class NextLook
{
    // Worth saying from so much of them on.
    private const double Worth = 0.02;

    /// <summary>The figure whose reading would change the word of most of them, by how much of what is usual does.</summary>
    /// <param name="judged">The bands, judged.</param>
    /// <returns>Null where no reading is worth its while.</returns>
    public static string? Says(IReadOnlyList<Judgement> judged)
    {
        var open = judged.Where(j => j.Certainty == Certainty.Likely).SelectMany(j => j.Rules.Where(r => r.Certainty == Certainty.Likely && r.Open!.Decides is not null).Select(r => r.Open!.Decides!)
            .GroupBy(d => d.Figure).Select(g => (Figure: g.Key, Share: g.Max(d => d.Share)))).GroupBy(d => d.Figure).ToList();
        if (open.Count == 0)
            return null;
        var most = open.OrderByDescending(g => g.Sum(d => d.Share)).ThenBy(g => g.Key).First();
        return most.Sum(d => d.Share) < Worth * judged.Count ? null
            : $"{Asks(most.Key)}: {(judged.Count == 1 ? "the word on this band" : $"the word on {most.Count()} of these {judged.Count}")} depends on it.";
    }

    private static string Asks(OpenFigure figure) => figure switch
    {
        OpenFigure.Attachment => "Look at how it is held",
        OpenFigure.CaseShape => "Look whether the case is straight between the lugs",
        OpenFigure.BarGap => "Read the bar gap",
        OpenFigure.LugHole => "Read the lug hole",
        OpenFigure.TubeBore => "Read the bore of the band’s tube",
        OpenFigure.EndThickness => "Read the thickness of the band’s end",
        OpenFigure.LayerThickness => "Read the thickness of one layer",
        OpenFigure.ClaspBore => "Read the bore at the clasp",
        OpenFigure.ClaspEndThickness => "Read the thickness at the clasp",
        OpenFigure.ClaspHalves => "Measure the clasp’s half lengths",
        _ => throw new ArgumentOutOfRangeException(nameof(figure), figure, "Not a figure."),
    };
}
