namespace IronLoop.Core.Matching;

/// <summary>The rule <c>finish</c>: a metal band's finish and colour against the case, any band's colour against the wish.</summary>
public static class FinishRule
{
    /// <summary>The rule's name.</summary>
    public const string Name = "finish";

    /// <summary>Judges the looks.</summary>
    /// <returns>Null when nothing is known to compare.</returns>
    public static RuleVerdict? Judge(WatchFacts watch, BandFacts band, WearerFacts wearer) => Looks.Judge(Name, Compared(watch, band, wearer), "Finish and colour go with it.");

    /// <summary>How like the looks are at the worst.</summary>
    public static Likeness LikenessOf(WatchFacts watch, BandFacts band, WearerFacts wearer)
    {
        var worst = Likeness.Equal;
        foreach (var (wanted, has, _) in Compared(watch, band, wearer))
            if (Looks.Compare(wanted, has) is var likeness && likeness > worst)
                worst = likeness;
        return worst;
    }

    private static IEnumerable<(string? Wanted, string? Has, string Says)> Compared(WatchFacts watch, BandFacts band, WearerFacts wearer)
    {
        if (band.Material == BandMaterial.Metal)
        {
            yield return (watch.Finish, band.Finish, "beside a case that is");
            yield return (watch.Colour, band.Colour, "beside a case that is");
        }
        yield return (wearer.WishedColour, band.Colour, "instead of the wished");
        yield return (wearer.WishedFinish, band.Finish, "instead of the wished");
    }
}
