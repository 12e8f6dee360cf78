namespace IronLoop.Core.Tray;

/// <summary>Parts of one kind that go into the owner's bag.</summary>
/// <param name="What">What they are, in the trade's words.</param>
/// <param name="Count">How many there must be.</param>
public sealed record BagLine(string What, int Count)
{
    /// <summary>The thing that stands for them in the job, by which they are counted; empty of what is written down.</summary>
    public string Key { get; init; } = "";

    /// <summary>The band they fit, as it is called; empty where they fit none.</summary>
    public string Fits { get; init; } = "";
}
