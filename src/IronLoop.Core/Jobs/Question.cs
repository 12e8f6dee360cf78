namespace IronLoop.Core.Jobs;

/// <summary>How a question is answered.</summary>
public enum AnsweredBy
{
    /// <summary>One of its choices.</summary>
    Choice,

    /// <summary>A length that is typed.</summary>
    Length,

    /// <summary>A count that is typed.</summary>
    Count,

    /// <summary>One of the bands or clasps that are offered.</summary>
    Offer,
}

/// <summary>What a strap's length is found by, without its wearer. Sent by name.</summary>
public enum SizedBy
{
    /// <summary>It is not: the wearer picks the hole.</summary>
    NotSized,

    /// <summary>The old strap and its worn hole.</summary>
    OldStrap,

    /// <summary>A loop that was sent.</summary>
    Sent,
}

/// <summary>The sides of a part. Sent by name.</summary>
public enum PartSides
{
    /// <summary>The 12 side.</summary>
    Twelve,

    /// <summary>The 6 side.</summary>
    Six,

    /// <summary>Both.</summary>
    Both,
}

/// <summary>Why a part is replaced. Sent by name.</summary>
public enum PartIs
{
    /// <summary>It is not there.</summary>
    Lost,

    /// <summary>It is there, and comes out.</summary>
    Worn,
}

/// <summary>An answer that can be chosen.</summary>
/// <param name="Value">What it says.</param>
/// <param name="Says">In words.</param>
public sealed record Choice(Enum Value, string Says);

/// <summary>A question is asked only where another was answered so.</summary>
/// <param name="Ask">The other.</param>
/// <param name="Is">The answers to it.</param>
public sealed record AskedWhen(Ask Ask, IReadOnlyList<Enum> Is);

/// <summary>One question, as it is asked over the counter or where work is told by hand.</summary>
/// <param name="Ask">What it is after.</param>
/// <param name="About">What it belongs to, of the things that a request asks.</param>
/// <param name="Label">The question in a few words.</param>
/// <param name="By">How it is answered.</param>
public sealed record Question(Ask Ask, Asked About, string Label, AnsweredBy By)
{
    /// <summary>What can be chosen, in the order of the digits.</summary>
    public IReadOnlyList<Choice> Choices { get; init; } = [];

    /// <summary>What is taken where nothing is said: a choice, or a count; null where something has to be said.</summary>
    public object? Usual { get; init; }

    /// <summary>What is typed, in a word.</summary>
    public string Unit { get; init; } = "";

    /// <summary>The answers it hangs on; null where it is always asked.</summary>
    public AskedWhen? When { get; init; }

    /// <summary>Whether its answer is part of work that is told by hand.</summary>
    public bool IsByHand => About is Asked.Count or Asked.Place or Asked.Part or Asked.OwnBand;
}
