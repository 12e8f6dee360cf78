using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Gauging;

namespace IronLoop.Core.Jobs;

/// <summary>What a line of the log tells of.</summary>
public enum LogKind
{
    /// <summary>A job was taken in: which request.</summary>
    TakenIn,

    /// <summary>A watch was taken in again: after which tag, which request.</summary>
    CameBack,

    /// <summary>It was referred to a watchmaker.</summary>
    Referred,

    /// <summary>It was taken back from the watchmaker.</summary>
    TakenBack,

    /// <summary>The owner's own bracelet was gauged: its article, its links.</summary>
    OwnGauged,

    /// <summary>A band was chosen: its name, its article.</summary>
    BandChosen,

    /// <summary>Consent was given at the counter: to what.</summary>
    Consented,

    /// <summary>Consent was signed: on paper or on the screen, to what.</summary>
    Signed,

    /// <summary>An own part was looked at: its name, what was found.</summary>
    OwnPartSeen,

    /// <summary>Another part goes on instead of an own one: which, how many, the other's name, its article, whether it is there.</summary>
    Instead,

    /// <summary>The clasp was kept: its name.</summary>
    ClaspKept,

    /// <summary>Another clasp goes on: its name, its article, whether it is there.</summary>
    ClaspReplaced,

    /// <summary>A part that was waited for came in: its name, its article.</summary>
    CameIn,

    /// <summary>A plan was agreed: what is done, the figures.</summary>
    PlanAgreed,

    /// <summary>Something happened to a part in the tray: what; with parts of the shop's, which.</summary>
    Tray,

    /// <summary>A note was made at a step.</summary>
    Noted,

    /// <summary>A note was answered.</summary>
    Answered,

    /// <summary>A band was tried on: how it was, where the clasp was seen.</summary>
    TriedOn,

    /// <summary>The bench work was done: in how many steps.</summary>
    BenchDone,

    /// <summary>It was handed over: what was done, the figures, what is in the bag, collected or posted, the day to ask after it.</summary>
    HandedOver,

    /// <summary>The owner was asked after it.</summary>
    AskedAfter,

    /// <summary>It went back as it came; why stands in its note.</summary>
    WentBack,

    /// <summary>A band was added beside the one on the watch: its name, its article, what it is there.</summary>
    BandAdded,

    /// <summary>An observation was set, what of stands in its note: until which day.</summary>
    ObservationSet,

    /// <summary>What a look showed, in its note.</summary>
    Observed,

    /// <summary>The observation ended.</summary>
    ObservationEnded,
}

/// <summary>What somebody said freely about a job. It is stored once, with whatever stood there before; the log refers to it.</summary>
public enum Wording
{
    /// <summary>The owner's words at take-in.</summary>
    Words,

    /// <summary>What the owner is told about a referral.</summary>
    ReferNote,

    /// <summary>What was not settled at the hand-over.</summary>
    CloseNote,

    /// <summary>What is watched until the shop asks after it.</summary>
    ObserveFor,

    /// <summary>The reply then.</summary>
    Heard,

    /// <summary>Who signed a consent.</summary>
    SignedBy,

    /// <summary>Why something happened to a part.</summary>
    Why,

    /// <summary>A line of the log as a version before wrote it, in words alone.</summary>
    Earlier,

    /// <summary>What was set for an observation, or what a look showed.</summary>
    Shown,
}

/// <summary>A note at a step, as a line of the log refers to it.</summary>
/// <param name="Step">What the step said, its first sentence.</param>
/// <param name="Text">What was noted.</param>
/// <param name="Answer">What was answered; empty when nothing was.</param>
/// <param name="IsSettled">Whether it asked for no answer.</param>
public sealed record LoggedNote(string Step, string Text, string Answer, bool IsSettled);

/// <summary>A line of the log: what it tells of, by its kind, its facts and what it refers to. Nothing said freely stands in it.</summary>
/// <param name="Kind">What it tells of.</param>
/// <param name="Facts">Its facts, in the order <see cref="LogKind"/> names them.</param>
public sealed record LogLine(LogKind Kind, IReadOnlyList<string> Facts)
{
    /// <summary>A line of one kind with its facts.</summary>
    public static LogLine Of(LogKind kind, params IReadOnlyList<string> facts) => new(kind, facts);

    /// <summary>What was said freely with it, and is not forgotten.</summary>
    public IReadOnlyDictionary<Wording, string> Said { get; init; } = new Dictionary<Wording, string>();

    /// <summary>The note it refers to; null where there is none, or none any more.</summary>
    public LoggedNote? Note { get; init; }

    /// <summary>The steps that were left out, each with the reason.</summary>
    public IReadOnlyList<string> LeftOut { get; init; } = [];

    /// <summary>The line with something said freely.</summary>
    public LogLine Saying(Wording wording, string words) =>
        words.Length == 0 ? this : this with { Said = new Dictionary<Wording, string>(Said) { [wording] = words } };

    /// <summary>The line in words, with what is still known.</summary>
    public string Words
    {
        get
        {
            if (this[Wording.Earlier] is { Length: > 0 } earlier)
                return earlier;
            return Kind switch
            {
                LogKind.TakenIn => Sentences($"Taken in{After(": ", Request(0))}.", this[Wording.Words]),
                LogKind.CameBack => Sentences($"Taken in again{After(" after tag ", this[0])}{After(": ", Request(1))}.", this[Wording.Words]),
                LogKind.Referred => Sentences("Referred to a watchmaker.", this[Wording.ReferNote]),
                LogKind.TakenBack => "Taken back from the watchmaker.",
                LogKind.OwnGauged => $"The owner’s own bracelet was gauged{After(", ", this[0])}{After(": ", this[1])}.",
                LogKind.BandChosen => $"Band chosen{After(": ", this[0])}{After(", ", this[1])}.",
                LogKind.Consented => $"Written consent{After(" by ", this[Wording.SignedBy])}{After(": ", this[0])}.",
                LogKind.Signed => $"Signed{After(" ", this[0])}{After(" by ", this[Wording.SignedBy])}{After(": ", this[1])}.",
                LogKind.OwnPartSeen => this[0].Length == 0 ? "An own part was looked at." : $"{char.ToUpperInvariant(this[0][0])}{this[0][1..]}: {this[1]}",
                LogKind.Instead => this[0].Length == 0 ? "Another part goes on." : $"Instead of the {this[0]}: {this[1]} {this[2]}, {this[3]}, {this[4]}.",
                LogKind.ClaspKept => $"Clasp kept{After(": ", this[0])}.",
                LogKind.ClaspReplaced => $"Clasp replaced{After(": ", this[0])}{After(", ", this[1])}{After(", ", this[2])}.",
                LogKind.CameIn => $"Came in{After(": ", this[0])}{After(", ", this[1])}.",
                LogKind.PlanAgreed => Sentences("Plan approved.", this[0], this[1]),
                LogKind.Tray => $"Tray{After(": ", this[0])}{Bracketed(this[1], this[Wording.Why])}.",
                LogKind.Noted => Note is null ? "Noted at a step." : $"Noted at “{Note.Step}” {Note.Text}{(Note.IsSettled ? "" : " (still open)")}",
                LogKind.Answered => Note is null ? "A note was answered." : $"Said to the note “{Note.Text}”: {Note.Answer}",
                LogKind.TriedOn => this[0].Length == 0 ? "Tried on." : Sentences(this[0], this[1]),
                LogKind.BenchDone => Sentences([$"Bench work done{After(", ", this[0])}{(this[0].Length > 0 ? " steps" : "")}.", .. LeftOut]),
                LogKind.HandedOver => Sentences("Handed over.", this[0], this[1], this[2], this[3], AskedOn, this[Wording.CloseNote]),
                LogKind.AskedAfter => $"Followed up{After(": ", this[Wording.Heard])}{(this[Wording.Heard].Length > 0 ? "" : ".")}",
                LogKind.WentBack => Sentences("Went back unworked.", this[Wording.CloseNote], this[0]),
                LogKind.BandAdded => $"{(this[2] == nameof(AlsoAs.ForLooks) ? "Shown for looks" : "Goes along in the bag")}{After(": ", this[0])}{After(", ", this[1])}.",
                LogKind.ObservationSet => $"Under observation{After(" until ", this[0])}{After(": ", this[Wording.Shown])}.",
                LogKind.Observed => $"Looked at{After(": ", this[Wording.Shown])}.",
                LogKind.ObservationEnded => "The observation ended.",
                _ => throw new InvalidOperationException($"The log knows no {Kind}."),
            };
        }
    }

    // What is not there any more, or never was, is left out.
    private string this[int fact] => fact < Facts.Count ? Facts[fact] : "";

    private string this[Wording wording] => Said.GetValueOrDefault(wording, "");

    private string AskedOn => this[4].Length == 0 ? "" : $"To follow up on {this[4]}{After(": ", this[Wording.ObserveFor])}.";

    private string Request(int fact) => Enum.TryParse<Request>(this[fact], out var request) ? RequestWords.Of(request) : "";

    private static string After(string before, string words) => words.Length == 0 ? "" : before + words;

    private static string Bracketed(params ReadOnlySpan<string> parts)
    {
        var said = string.Join("; ", [.. parts.ToArray().Where(p => p.Length > 0)]);
        return said.Length == 0 ? "" : $" ({said})";
    }

    private static string Sentences(params ReadOnlySpan<string> parts) => string.Join(' ', parts.ToArray().Where(p => p.Length > 0));
}
