namespace IronLoop.Core.Gauging;

/// <summary>What a band has to suit beside its lengths; null where nobody asked.</summary>
/// <param name="Water">It is worn in water.</param>
/// <param name="NickelSensitive">Nickel makes the skin react.</param>
/// <param name="HairPull">Pulled hair is disliked.</param>
/// <param name="Colour">The colour the owner wishes for.</param>
/// <param name="CaseFinish">Finish of the case's metal.</param>
/// <param name="CaseColour">Colour of the case's metal.</param>
public sealed record Wishes(
    bool? Water = null, bool? NickelSensitive = null, bool? HairPull = null, string? Colour = null, string? CaseFinish = null, string? CaseColour = null)
{
    /// <summary>Whether it must not be lost: held by both bars, or closed twice, is preferred.</summary>
    public bool? MustNotBeLost { get; init; }

    /// <summary>Whether the maker's clasp with its lettering is kept: a band that takes it is preferred.</summary>
    public bool? LetteringKept { get; init; }
}
