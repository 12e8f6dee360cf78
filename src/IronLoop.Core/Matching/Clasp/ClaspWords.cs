namespace IronLoop.Core.Matching;

/// <summary>Clasps in the trade's words.</summary>
public static class ClaspWords
{
    /// <summary>What a kind is called.</summary>
    public static string Of(ClaspKind kind) => kind switch
    {
        ClaspKind.PinBuckle => "pin buckle",
        ClaspKind.StrapFolding => "folding clasp",
        ClaspKind.Butterfly => "butterfly with push buttons",
        ClaspKind.FoldOver => "fold-over",
        ClaspKind.Extending => "extending fold-over",
        ClaspKind.Slide => "slide clasp",
        _ => throw new ArgumentOutOfRangeException(nameof(kind), kind, "Not a clasp."),
    };

    /// <summary>Whether a clasp's name speaks of a safety flap.</summary>
    public static bool HasFlap(string name) => name.Contains("flap", StringComparison.OrdinalIgnoreCase);

    /// <summary>The kind that a clasp's name speaks of.</summary>
    /// <param name="name">The name, such as <c>fold-over with safety flap</c>.</param>
    /// <returns>Null when it speaks of none.</returns>
    public static ClaspKind? KindOf(string name)
    {
        bool Says(string word) => name.Contains(word, StringComparison.OrdinalIgnoreCase);
        return Says("butterfly") ? ClaspKind.Butterfly
            : Says("buckle") ? ClaspKind.PinBuckle
            : Says("extending") ? ClaspKind.Extending
            : Says("fold-over") ? ClaspKind.FoldOver
            : Says("folding") ? ClaspKind.StrapFolding
            : Says("slide") ? ClaspKind.Slide
            : null;
    }
}
