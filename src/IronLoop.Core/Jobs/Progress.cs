using IronLoop.Core.Gauging;

namespace IronLoop.Core.Jobs;

/// <summary>How far a job has come.</summary>
/// <param name="Figures">What was gauged.</param>
/// <param name="BandChosen">A band was chosen.</param>
/// <param name="ClaspKept">The clasp was looked at and kept.</param>
/// <param name="PlanAgreed">The plan was taken to the bench.</param>
/// <param name="StepsDone">Bench steps ticked.</param>
/// <param name="Steps">Bench steps in all; nought before a plan is approved.</param>
/// <param name="Closed">Handed over.</param>
/// <param name="Referred">Referred to a watchmaker.</param>
/// <param name="Uses">The stations it passes; the others count as done.</param>
/// <param name="Missing">What the work cannot be told without and nobody said yet.</param>
public sealed record Progress(
    Figures Figures, bool BandChosen, bool ClaspKept, bool PlanAgreed, int StepsDone, int Steps, bool Closed, bool Referred, IReadOnlySet<Station> Uses,
    IReadOnlyList<Wanted> Missing)
{
    /// <summary>The clasp that goes on instead of the band's own; null when that is kept.</summary>
    public string? OtherClasp { get; init; }

    /// <summary>Steps done to open something to be gauged, before the rest.</summary>
    public int Opened { get; init; }

    /// <summary>Whether something is to be opened to be gauged before the rest is approved.</summary>
    public bool ToGauge { get; init; }

    /// <summary>Whether what was taken off lies in the tray until the work goes on.</summary>
    public bool TrayKept { get; init; }

    /// <summary>Parts the job waits for.</summary>
    public IReadOnlyList<string> Awaited { get; init; } = [];

    private IReadOnlyList<Wanted>? _questioned;

    /// <summary>What was gauged.</summary>
    public Figures Figures
    {
        get;
        // What follows from other figures is worked out anew.
        init => (field, _questioned) = (value, null);
    } = Figures;

    private IReadOnlyList<Wanted> Questioned =>
        _questioned ??= [.. GaugeSheet.Questioned(Figures).Select(f => Wanted.Gauged(f, FigureKind.For(f).Name))];

    /// <summary>Whether what is asked passes a station.</summary>
    public bool IsUsed(Station station) => station is not (Station.Match or Station.Clasp or Station.Size) || Uses.Contains(station);

    /// <summary>Whether a station's work is done.</summary>
    public bool Done(Station station) => station switch
    {
        Station.TakeIn => true,
        Station.Gauge => Missing.Count == 0 && Questioned.Count == 0,
        Station.Match => !IsUsed(station) || BandChosen,
        Station.Clasp => !IsUsed(station) || ClaspKept,
        Station.Size => !IsUsed(station) || PlanAgreed,
        Station.Bench => Closed || PlanAgreed && Steps > 0 && StepsDone == Steps,
        Station.HandOver => Closed,
        _ => throw new ArgumentOutOfRangeException(nameof(station), station, "Not a station."),
    };

    /// <summary>The first station whose work is not done; the last when all is.</summary>
    public Station Next => Enum.GetValues<Station>().FirstOrDefault(s => !Done(s), Station.HandOver);

    /// <summary>What still keeps the job from its hand-over, in a sentence; null where nothing does.</summary>
    public string? KeepsOpen => Enum.GetValues<Station>().Where(s => s != Station.HandOver && !Done(s)).Select(s => Says(s)).FirstOrDefault();

    /// <summary>What a station waits for first, wherever that is said; null where its own act is all that is left.</summary>
    public Wanted? Wants(Station station) => Done(station) ? null : station switch
    {
        Station.Gauge => Questioned.Concat(Missing).First(),
        Station.Match => Band,
        Station.Clasp => BandChosen ? new Wanted(Station.Clasp, "clasp", "the clasp kept, or another") : Band,
        Station.Size => !BandChosen ? Band : Missing is [var first, ..] ? first : null,
        Station.Bench when !PlanAgreed && !ToGauge && Steps == 0 => (Missing is [var first, ..] ? first : null) ?? (BandChosen || !IsUsed(Station.Match) ? null : Band)
            ?? (IsUsed(Station.Size) ? new Wanted(Station.Size, "agree", "the plan approved") : null),
        Station.HandOver when !Done(Station.Bench) => new Wanted(Station.Bench, "step", "the work at the bench"),
        _ => null,
    };

    private static Wanted Band => new(Station.Match, "band", "a band");

    /// <summary>The sentence a station opens with: what is missing or what is next.</summary>
    public string Says(Station station) => station switch
    {
        // Whoever comes to the job, on whatever device, must see at once that it is held.
        not Station.TakeIn and not Station.Gauge when Referred && !Closed => "On hold: referred to a watchmaker. Nothing is worked on until it is taken back.",
        Station.TakeIn => Closed ? "This job is handed over and in the log."
            : Referred ? "Referred to a watchmaker; nothing is worked on until it is taken back."
            : "Taken in. Correct anything here that was noted wrong.",
        Station.Gauge => Questioned is { Count: > 0 } questioned
            ? $"Look again at {string.Join(", ", questioned)}{(Missing.Count > 0 ? $"; still to gauge: {string.Join(", ", Missing)}" : "")}."
            : Missing is { Count: > 0 } missing ? $"Still to gauge: {string.Join(", ", missing)}."
            : Uses.Contains(Station.Size) && Figures.Assumed is { BarToBar: true } or { BarRise: true }
                ? "All that is needed is known; bars and rise are assumed until measured."
                : Figures.Book.Any(b => Figures.FromTheBook(b.Key) is { Confirmed: false })
                    ? "All that is needed is known; what is dashed is from the model book until it is read or confirmed."
                    : "All that is needed is known.",
        Station.Match => BandChosen ? "A band is chosen; another can be, until bench work begins."
            : !Uses.Contains(Station.Match) ? "What is asked needs no other band; one can be chosen all the same."
            : Missing.Count > 0 ? $"Bands are judged by what is known; still to gauge: {string.Join(", ", Missing)}."
            : "Choose the band that goes on.",
        Station.Clasp => !BandChosen ? "Choose a band first; its clasp is looked at here."
            : Awaited.Count > 0 ? $"Waiting for {string.Join(", ", Awaited)}."
            : ClaspKept ? OtherClasp is { } other ? $"{other} goes on." : "The clasp is looked at and kept."
            : Uses.Contains(Station.Clasp) ? "Look at its clasp: keep it, or choose another." : "What is asked needs no look at the clasp; another can be chosen all the same.",
        Station.Size => !BandChosen ? "Choose a band first."
            : Missing is { Count: > 0 } gaps ? $"The plan waits for: {string.Join(", ", gaps)}."
            : PlanAgreed ? "The plan is approved and on the bench."
            : !Uses.Contains(Station.Size) ? "Nothing is sized: it can go to the bench as it is." : "Look the plan over, change what you like, and approve it.",
        Station.Bench => !PlanAgreed ? !ToGauge || Steps == 0
                ? Done(Station.Gauge) && BandChosen && !Uses.Contains(Station.Size) ? "Approve the plan; its steps follow from what was asked." : "Approve a plan at Size first. What can be gauged only when it is open can be opened before."
                : Opened < Steps ? "Open it and gauge it; the rest is approved after that."
                : $"It lies open and its tray is kept: {(Awaited.Count > 0 ? $"waiting for {string.Join(", ", Awaited)}." : "the work goes on when the rest is approved.")}"
            : Steps == 0 ? "Say first what joins the links; the steps follow from it."
            : StepsDone == Steps ? "All steps are done." : $"Step {StepsDone + Opened + 1} of {Steps} is next.",
        Station.HandOver => Closed ? "Handed over."
            : Awaited.Count > 0 ? $"Not yet: waiting for {string.Join(", ", Awaited)}."
            : !Done(Station.Bench) ? "The bench work is not finished yet."
            : KeepsOpen is { } open ? $"Not ready yet. {open}" : "Count the parts into the owner’s bag and close the job.",
        _ => throw new ArgumentOutOfRangeException(nameof(station), station, "Not a station."),
    };
}
