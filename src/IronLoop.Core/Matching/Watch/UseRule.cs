namespace IronLoop.Core.Matching;

/// <summary>The rule <c>use</c>: what the wearer does and bears.</summary>
public static class UseRule
{
    /// <summary>The rule's name.</summary>
    public const string Name = "use";

    /// <summary>Judges the band for the wearer.</summary>
    /// <returns>Null when nothing was asked.</returns>
    public static RuleVerdict? Judge(BandFacts band, WearerFacts wearer)
    {
        if (wearer is { Water: null, NickelSensitive: null, HairPull: null })
            return null;
        if (wearer.NickelSensitive == true && band.Material == BandMaterial.Metal && band.NickelSafe != true)
            return new RuleVerdict(Name, Verdict.No, "Its metal is not declared nickel-safe, and this skin reacts to nickel.");
        var drawbacks = new List<string>();
        if (wearer.Water == true && band.Material == BandMaterial.Leather)
            drawbacks.Add("leather does not bear water");
        if (wearer.HairPull == true && (band.Kind == BandKind.Mesh || band is { Kind: BandKind.LinkBracelet, SolidEnd: false }))
            drawbacks.Add(band.Kind == BandKind.Mesh ? "mesh pulls hair" : "hollow links pull hair");
        return drawbacks.Count == 0
            ? new RuleVerdict(Name, Verdict.Fits, "Suits what it is worn for.")
            : new RuleVerdict(Name, Verdict.Compromise, $"Tell the owner: {string.Join(" and ", drawbacks)}.");
    }
}
