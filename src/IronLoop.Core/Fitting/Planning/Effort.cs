namespace IronLoop.Core.Fitting;

/// <summary>
/// What one question may cost, shared by every search that it leads to: each look at a combination takes one, each combination that
/// is kept takes as much as keeping and weighing it against the others does. Counted and not timed, so that the same question has the
/// same answer on every machine.
/// </summary>
/// <param name="most">How much it may take in all.</param>
/// <param name="cancelled">Whoever asked has gone away.</param>
public sealed class Effort(long most = Effort.Usual, CancellationToken cancelled = default) : IEquatable<Effort>
{
    /// <summary>Enough for every bracelet that a bench has seen by some hundred times; under half a second of processor and 64 MB on two small cores.</summary>
    public const long Usual = 5_000_000;

    /// <summary>What a combination takes that is kept, beside the look at it.</summary>
    public const int Kept = 40;

    // How often it is asked whether somebody still waits.
    private const long Stride = 16_384;

    private readonly long _most = most;
    private long _left = most;
    private long _ask = Math.Max(0, most - Stride);

    /// <summary>How much was taken so far.</summary>
    public long Taken => _most - _left;

    /// <summary>What a part of the question may cost by itself; whoever waits for the whole waits for it.</summary>
    /// <param name="most">How much it may take.</param>
    public Effort Part(long most) => new(most, cancelled);

    /// <summary>Takes so much.</summary>
    /// <exception cref="PlanTooLargeException">There is not so much left.</exception>
    /// <exception cref="OperationCanceledException">Nobody waits for the answer any more.</exception>
    public void Take(long much)
    {
        _left -= much;
        if (_left >= _ask)
            return;
        if (_left < 0)
            throw new PlanTooLargeException();
        cancelled.ThrowIfCancellationRequested();
        _ask = Math.Max(0, _left - Stride);
    }

    /// <summary>What a question costs is no part of what it asks.</summary>
    public bool Equals(Effort? other) => other is not null;

    /// <inheritdoc/>
    public override bool Equals(object? obj) => obj is Effort;

    /// <inheritdoc/>
    public override int GetHashCode() => 0;
}
