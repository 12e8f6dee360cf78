namespace IronLoop.Core.Jobs;

/// <summary>Whose work a watch is for, as it was seen at take-in. Stored and sent by name.</summary>
public enum Craft
{
    /// <summary>The bench is enough.</summary>
    BenchOnly,

    /// <summary>A watchmaker has to see it.</summary>
    NeedsWatchmaker,
}
