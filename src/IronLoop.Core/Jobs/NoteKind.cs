namespace IronLoop.Core.Jobs;

/// <summary>What a note at the bench is. Stored and sent by name.</summary>
public enum NoteKind
{
    /// <summary>A note.</summary>
    Note,

    /// <summary>Something that was done beside what was asked.</summary>
    AlsoDone,

    /// <summary>Something that was found beside it.</summary>
    AlsoFound,

    /// <summary>A mark that somebody before left in the watch.</summary>
    FormerMark,

    /// <summary>The mark that this house leaves.</summary>
    HouseMark,
}

/// <summary>Kinds of notes in words.</summary>
public static class NoteWords
{
    /// <summary>What stands before a note of a kind; empty for a plain one.</summary>
    public static string Of(NoteKind kind) => kind switch
    {
        NoteKind.AlsoDone => "Also done",
        NoteKind.AlsoFound => "Also found",
        NoteKind.FormerMark => "Mark of a former repair",
        NoteKind.HouseMark => "Our mark",
        _ => "",
    };
}
