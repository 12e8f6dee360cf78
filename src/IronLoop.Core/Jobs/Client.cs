namespace IronLoop.Core.Jobs;

/// <summary>A client.</summary>
/// <param name="Id">Its number.</param>
/// <param name="Name">Name.</param>
/// <param name="Contact">How they are reached.</param>
public sealed record Client(long Id, string Name, string Contact)
{
    /// <summary>When the client asked to be forgotten; null where nobody did.</summary>
    public DateTimeOffset? ErasedAt { get; init; }
}
