namespace IronLoop.Core.Matching;

/// <summary>The rule <c>finish</c>: a metal band's finish and colour against the case, any band's colour against the wish.</summary>
public static class FinishRule
{
    /// <summary>The rule's name.</summary>
    public const string Name = "finish";

    /// <summary>Judges the looks.</summary>
    /// <returns>Null when nothing is known to compare.</returns>
    public static RuleVerdict? Judge(WatchFacts watch, BandFacts band, WearerFacts wearer)
    {
        var compared = false;
        var differs = new List<string>();
        void Compare(string? wanted, string? has, string says)
        {
            if (string.IsNullOrWhiteSpace(wanted) || string.IsNullOrWhiteSpace(has))
                return;
            compared = true;
            if (!string.Equals(wanted.Trim(), has.Trim(), StringComparison.OrdinalIgnoreCase))
                differs.Add($"{has} {says} {wanted}");
        }
        if (band.Material == BandMaterial.Metal)
        {
            Compare(watch.Finish, band.Finish, "beside a case that is");
            Compare(watch.Colour, band.Colour, "beside a case that is");
        }
        Compare(wearer.WishedColour, band.Colour, "instead of the wished");
        if (!compared)
            return null;
        return differs.Count == 0
            ? new RuleVerdict(Name, Verdict.Fits, "Finish and colour go with it.")
            : new RuleVerdict(Name, Verdict.Compromise, $"Looks different: {string.Join(", ", differs)}.");
    }
}
