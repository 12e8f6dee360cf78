namespace IronLoop.Core.Matching;

/// <summary>A question about a clasp in the hand, answered by looking.</summary>
public enum ClaspQuestion
{
    /// <summary>Does it fold?</summary>
    Folds,

    /// <summary>Does a tongue go through a hole?</summary>
    Tongue,

    /// <summary>Is there a flap under the cover?</summary>
    Flap,

    /// <summary>Do two buttons show at the edges?</summary>
    Buttons,

    /// <summary>Does it hold a strap's free end?</summary>
    StrapEnd,

    /// <summary>Is there a second fold?</summary>
    SecondFold,
}

/// <summary>Where an answer leads: to another question, to a kind, or, with neither, to none that is known.</summary>
/// <param name="Ask">The question that comes next.</param>
/// <param name="Kind">The kind it is.</param>
public readonly record struct ClaspLead(ClaspQuestion? Ask, ClaspKind? Kind);

/// <summary>A question of the key, with its two leads.</summary>
/// <param name="Question">Which.</param>
/// <param name="Asks">As it is asked.</param>
/// <param name="Yes">Where yes leads.</param>
/// <param name="No">Where no leads.</param>
public sealed record ClaspKeyStep(ClaspQuestion Question, string Asks, ClaspLead Yes, ClaspLead No);

/// <summary>The visual key: from what is seen to the kind of clasp, in at most five looks.</summary>
public static class ClaspKey
{
    /// <summary>All questions, the first one first.</summary>
    public static IReadOnlyList<ClaspKeyStep> Steps { get; } =
    [
        new(ClaspQuestion.Folds, "Does it fold open, and stay on the band?", Asks(ClaspQuestion.Buttons), Asks(ClaspQuestion.Tongue)),
        new(ClaspQuestion.Tongue, "Is it a frame with a tongue?", Is(ClaspKind.PinBuckle), default),
        new(ClaspQuestion.Buttons, "Closed, do only two buttons show, one at each edge?", Is(ClaspKind.Butterfly), Asks(ClaspQuestion.Flap)),
        new(ClaspQuestion.Flap, "Under the cover, does a flap grip mesh?", Is(ClaspKind.Slide), Asks(ClaspQuestion.StrapEnd)),
        new(ClaspQuestion.StrapEnd, "Does it hold the free end of a strap?", Is(ClaspKind.StrapFolding), Asks(ClaspQuestion.SecondFold)),
        new(ClaspQuestion.SecondFold, "Is there a second fold, to lengthen it over a sleeve?", Is(ClaspKind.Extending), Is(ClaspKind.FoldOver)),
    ];

    /// <summary>Follows answers from the first question.</summary>
    /// <param name="yes">Whether a question is answered yes.</param>
    /// <returns>The kind, or null when it is none that is known.</returns>
    public static ClaspKind? Follow(Func<ClaspQuestion, bool> yes)
    {
        var at = Steps[0];
        while (true)
        {
            var lead = yes(at.Question) ? at.Yes : at.No;
            if (lead.Ask is not { } next)
                return lead.Kind;
            at = Steps.Single(s => s.Question == next);
        }
    }

    private static ClaspLead Asks(ClaspQuestion question) => new(question, null);

    private static ClaspLead Is(ClaspKind kind) => new(null, kind);
}
