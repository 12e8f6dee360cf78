using IronLoop.Core.Joints;

namespace IronLoop.Core.Bench;

/// <summary>A bench step that is done, or left out with a reason.</summary>
/// <param name="Seq">Its place among the job's, 1 first.</param>
/// <param name="Key">Its key.</param>
/// <param name="Row">The row of the table it is of.</param>
/// <param name="Round">The round it was worked in.</param>
/// <param name="Says">What was done, in words.</param>
/// <param name="Acts">What was done; null for a step of a version before, which is history.</param>
/// <param name="Skipped">Why it was left out; null when it was done.</param>
/// <param name="DoneAt">When.</param>
public sealed record WorkedStep(int Seq, string Key, StepRow Row, int Round, string Says, IReadOnlyList<Act>? Acts, string? Skipped, DateTimeOffset DoneAt)
{
    /// <summary>Why what is stored of it cannot be read; null where it can.</summary>
    public string? Damage { get; init; }

    /// <summary>Whether this is the same step, done in the same way.</summary>
    internal bool IsAlike(WorkedStep other) =>
        (Seq, Key, Row, Round, Skipped, Damage) == (other.Seq, other.Key, other.Row, other.Round, other.Skipped, other.Damage)
        && (ReferenceEquals(Acts, other.Acts) || Acts is not null && other.Acts is not null && AreAlike(Acts, other.Acts));

    /// <summary>Whether two hands did the same.</summary>
    internal static bool AreAlike(IReadOnlyList<Act> some, IReadOnlyList<Act> others) =>
        some.Count == others.Count && some.Zip(others).All(a => ToldAct.Tell(a.First).IsLike(ToldAct.Tell(a.Second)));

    /// <summary>As the list of steps is worked out from it.</summary>
    public DoneStep Step => new(Key, Row, Round, Acts ?? []);
}
