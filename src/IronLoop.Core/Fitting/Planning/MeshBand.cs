using IronLoop.Core.Measuring;

namespace IronLoop.Core.Fitting;

/// <summary>Mesh with a slide clasp (fit model, section 7).</summary>
/// <param name="Shortest">The loop with the clasp at its tightest.</param>
/// <param name="Longest">The loop with the clasp at its loosest.</param>
/// <param name="Notches">Notches on the mesh's back; nought when the clasp locks anywhere.</param>
public sealed record MeshBand(Length Shortest, Length Longest, int Notches)
    : HoledBand(CountOf(Shortest, Longest, Notches), StepOf(Shortest, Longest, Notches))
{
    /// <inheritdoc />
    public override bool LocksAnywhere => Notches == 0;

    /// <inheritdoc />
    public override string Place => Notches > 0 ? "notch" : "place";

    /// <summary>A notch by its number; where the clasp locks anywhere, by how far it is from its tightest.</summary>
    /// <param name="hole">The place, 0 the tightest.</param>
    public override string Said(int hole) =>
        LocksAnywhere ? base.Said(hole) : $"notch {hole + 1} from the tight end";

    private protected override string Named(int hole) => LocksAnywhere ? base.Named(hole) : $"notch {hole + 1}";

    /// <inheritdoc />
    public override string Closed(int hole) => $"at {Said(hole)}";

    /// <inheritdoc />
    public override Length Tightest => Shortest;

    /// <summary>How long each of its two pieces is nobody says, so its middle is not known.</summary>
    /// <param name="hole">The place.</param>
    public override Length? TwiceOffCentre(int hole) => null;

    private static int CountOf(Length shortest, Length longest, int notches) =>
        notches > 0 ? notches : AnywhereBetween(shortest, longest);

    private static Length StepOf(Length shortest, Length longest, int notches) => notches switch
    {
        0 => Anywhere,
        1 => Length.Zero,
        _ => new Length((longest - shortest).Micrometres / (notches - 1)),
    };
}
