using IronLoop.Core.Fitting;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;

namespace IronLoop.Core.Jobs;

/// <summary>A hole half way between two, where the length wanted lies between them (house rules): it cannot be undone.</summary>
public static class ExtraHole
{
    /// <summary>The work of it.</summary>
    /// <param name="after">The hole before it, 0 the tightest.</param>
    public static PieceOfWork Work(int after) =>
        new(WorkKind.ExtraHole, $"Punch one hole half way between the {HoledBand.Ordinal(after)} and the {HoledBand.Ordinal(after + 1)} from the tight end, round and as wide as they are", Reversible: false)
        {
            Tools = "hole punch, rule",
            Minutes = 5,
            Caution = PieceOfWork.Blades,
        };

    /// <summary>Where one would help: between the two holes that the length wanted lies between, when neither is inside what can be worn.</summary>
    /// <param name="job">The job.</param>
    /// <returns>The hole before it and what it would miss the length wanted by; null where none would help, or none may be punched.</returns>
    public static (int After, Length Off)? Cure(JobSnapshot job)
    {
        if (Forbids(job) is not null || job is not { Band.Strap: { } strap, Target: { } target } || strap.Between(target) is not var (below, _))
            return null;
        var off = (strap.WithExtra(below).LengthIn(below + 1) - target.Length).Abs();
        return off <= target.Window ? (below, off) : null;
    }

    /// <summary>Why none may be punched; null where one may.</summary>
    /// <param name="job">The job.</param>
    public static string? Forbids(JobSnapshot job) => job switch
    {
        { Work: not null } or { Band: null } or { Band.Strap: null } => "Only a strap of two pieces gets an extra hole.",
        { Band.Facts.Material: BandMaterial.Rubber } => "Rubber tears from a hole that was not moulded.",
        { Job.ExtraHole: not null } or { Band.Strap.ExtraAfter: not null } => "It has an extra hole already.",
        _ => null,
    };
}
