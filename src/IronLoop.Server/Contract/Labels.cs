namespace IronLoop.Server.Contract;

/// <summary>What a field of a call is called where somebody reads of it: as it stands on the screen, never as it is sent.</summary>
internal static class Labels
{
    // Those whose words on the screen are others than those they are sent by.
    private static readonly Dictionary<string, string> OnTheScreen = new()
    {
        ["benchLength"] = "whole length along the bench",
        ["boreToFace"] = "its bore to its face",
        ["bucklePiece"] = "buckle piece",
        ["by"] = "fitter’s initials",
        ["caseFinish"] = "finish of the case",
        ["claspEnd"] = "width at the clasp",
        ["claspName"] = "what it closes with",
        ["claspSix"] = "clasp, centre to 6 side",
        ["claspTwelve"] = "clasp, 12 side to centre",
        ["consentSignedBy"] = "written consent signed by",
        ["contact"] = "phone or e-mail",
        ["endPiece"] = "end piece that stays",
        ["endThickness"] = "end’s thickness",
        ["halfPitch"] = "half link’s pitch",
        ["holePitch"] = "hole to hole",
        ["inStock"] = "how many in stock",
        ["mostPrice"] = "price at most",
        ["observeFor"] = "what is watched",
        ["observeOn"] = "follow up on",
        ["offCentre"] = "clasp off the middle",
        ["overButtons"] = "over the buttons",
        ["promised"] = "promised for",
        ["signedBy"] = "who signs",
        ["six"] = "6 side",
        ["step"] = "hole spacing",
        ["supplierArticle"] = "the supplier’s article",
        ["tubeBore"] = "bore of its tube",
        ["twelve"] = "12 side",
        ["words"] = "the owner’s words",
    };

    /// <summary>The words for a field.</summary>
    /// <param name="path">Its path in what was sent, such as <c>$.strap.firstHole</c>.</param>
    public static string Of(string path)
    {
        var name = path[(path.LastIndexOf('.') + 1)..];
        // Whoever sends a figure with its unit in its name is another program, and reads the name it sent.
        if (name.EndsWith("Mm", StringComparison.Ordinal))
            return name;
        return OnTheScreen.TryGetValue(name, out var label) ? label : string.Concat(name.Select(c => char.IsAsciiLetterUpper(c) ? $" {char.ToLowerInvariant(c)}" : $"{c}"));
    }
}
