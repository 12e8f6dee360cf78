using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Stock;

/// <summary>
/// A part that is looked for by what was measured, never by the lug width: a clasp by its kind and the band's end, pins and
/// bars by diameter and length, a link by its pitch.
/// </summary>
/// <param name="Kind">What it is.</param>
public sealed record PartWish(PartKind Kind)
{
    /// <summary>The kind of clasp.</summary>
    public ClaspKind? Clasp { get; init; }

    /// <summary>Inner width of a clasp: the band's width at its clasp end. Of a link, its width.</summary>
    public Length? Width { get; init; }

    /// <summary>Diameter of a pin or of a bar's body.</summary>
    public Length? Diameter { get; init; }

    /// <summary>Length of a pin or bar; pitch of a link.</summary>
    public Length? Length { get; init; }

    /// <summary>A clasp for a band's end.</summary>
    public static PartWish ForEnd(ClaspKind kind, BandEndFacts end) => new(PartKind.Clasp) { Clasp = kind, Width = end.Width };

    /// <summary>Pins by a pin of their own, or from the bore and the band's width at the clasp.</summary>
    /// <returns>Null when neither is known.</returns>
    public static PartWish? ForPins(FrictionPin? own, BandEndFacts end) => PinRule.Wanted(own, end.Bore, end.Width) is { } pin
        ? new PartWish(PartKind.Pin) { Diameter = pin.Diameter, Length = pin.Length }
        : null;

    /// <summary>What is missing before it can be looked for; null when nothing is.</summary>
    public string? Missing => this switch
    {
        { Kind: PartKind.Clasp, Width: null } => "the band’s width at its clasp end",
        { Kind: PartKind.Pin or PartKind.Bar, Diameter: null } => "its diameter",
        { Kind: PartKind.Pin or PartKind.Bar or PartKind.Link, Length: null } => Kind == PartKind.Link ? "its pitch" : "its length",
        _ => null,
    };

    /// <summary>What is wished for, in words.</summary>
    public string Says => Kind switch
    {
        PartKind.Clasp => $"{(Clasp is { } kind ? ClaspWords.Of(kind) : "clasp")} for an end of {Width}",
        PartKind.Pin => $"pins {Diameter} across, {Length} long",
        PartKind.Bar => $"bars {Diameter} across, {Length} long",
        _ => $"links of {Length}{(Width is { } width ? $", {width} wide" : "")}",
    };
}
