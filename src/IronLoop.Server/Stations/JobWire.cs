using System.Runtime.CompilerServices;
using IronLoop.Core.Bands;
using IronLoop.Core.Bench;
using IronLoop.Core.Gauging;
using IronLoop.Core.Jobs;
using IronLoop.Core.Matching;
using IronLoop.Core.Measuring;
using IronLoop.Storage;

namespace IronLoop.Server.Stations;

/// <summary>A figure that was gauged or is assumed.</summary>
internal sealed record FigureWire(Length Mm, string Text, string Inches, bool Assumed)
{
    public static FigureWire? Of(Length? length, bool assumed = false) =>
        length is { } known ? new FigureWire(known, known.ToString(), known.ToInches(), assumed) : null;
}

/// <param name="Used">Whether what is asked passes it; the others are open all the same.</param>
/// <param name="Wants">What it waits for first, at whichever station that is said; null where its own act is all that is left.</param>
internal sealed record StationWire(Station Station, bool Done, bool Used, string Says, WantedWire? Wants);

/// <param name="Field">The field, figure or list that takes it.</param>
internal sealed record WantedWire(Station At, string Field, string Words)
{
    public static WantedWire? Of(Wanted? wanted) => wanted is null ? null : new WantedWire(wanted.At, wanted.Field, wanted.Words);
}

internal sealed record FiguresWire(
    FigureWire? LugWidth,
    Core.Matching.Attachment? Attachment,
    FigureWire? LugToLug,
    FigureWire? BarToBar,
    FigureWire? BarRise,
    FigureWire? Wrist,
    Core.Fitting.WearPreference? Wear,
    string? Family,
    bool LugsOverhang,
    IReadOnlyList<string> Missing);

/// <summary>A job as every station shows it.</summary>
/// <param name="Version">Counted up by every change; a change that names an older one in If-Match is refused.</param>
internal sealed record JobWire(
    long Id,
    long Version,
    string Client,
    string Contact,
    string Watch,
    Request Request,
    string Words,
    DateOnly Promised,
    string? PromisedHour,
    bool Late,
    long? PriceCents,
    bool Wearer,
    bool Referred,
    DateTimeOffset TakenInAt,
    string TakenInBy,
    DateTimeOffset? ClosedAt,
    Station Next,
    IReadOnlyList<StationWire> Stations,
    FiguresWire Figures,
    HandWorkWire? ByHand,
    int? ExtraHole,
    BandWire? Band,
    bool ClaspKept,
    string? OtherClasp,
    IReadOnlyList<string> Awaited,
    bool PlanAgreed,
    int StepsDone,
    int Steps,
    MayWire May)
{
    // Every screen that shows the job asks for it: it is worked out once a day, and let go with the job as it is known.
    private static readonly ConditionalWeakTable<JobSnapshot, StrongBox<(DateOnly On, JobWire Wire)>> Known = [];

    public static JobWire Of(JobSnapshot file, DateOnly today)
    {
        if (Known.TryGetValue(file, out var known) && known.Value.On == today)
            return known.Value.Wire;
        var wire = WorkOut(file, today);
        Known.AddOrUpdate(file, new StrongBox<(DateOnly, JobWire)>((today, wire)));
        return wire;
    }

    private static JobWire WorkOut(JobSnapshot file, DateOnly today)
    {
        var (job, figures, progress) = (file.Job, file.Figures, file.Progress);
        var head = figures.Head;
        return new JobWire(
            job.Id,
            job.Version,
            job.Client.Name,
            job.Client.Contact,
            job.WatchName,
            job.Request,
            job.Words,
            job.Promised,
            job.PromisedHour?.ToString("HH:mm", System.Globalization.CultureInfo.InvariantCulture),
            job.ClosedAt is null && job.Promised < today,
            job.PriceCents,
            job.HasWearer,
            job.ReferredAt is not null,
            job.TakenInAt,
            job.TakenInBy,
            job.ClosedAt,
            progress.Next,
            [.. Enum.GetValues<Station>().Select(s => new StationWire(s, progress.Done(s), progress.IsUsed(s), progress.Says(s), WantedWire.Of(progress.Wants(s))))],
            new FiguresWire(
                FigureWire.Of(figures[GaugedFigure.LugWidth], figures.IsUnconfirmed(GaugedFigure.LugWidth)),
                figures.Attachment,
                FigureWire.Of(figures.LugToLug, figures.IsUnconfirmed(GaugedFigure.LugToLug)),
                FigureWire.Of(head?.BarToBar, figures.IsUnconfirmed(GaugedFigure.BarToBar)),
                FigureWire.Of(head?.BarRise, figures.IsUnconfirmed(GaugedFigure.BarRise)),
                FigureWire.Of(figures[GaugedFigure.Wrist]),
                figures.Wear,
                figures.Family,
                figures.LugsOverhang,
                [.. progress.Missing.Select(m => m.Words)]),
            HandWorkWire.Tell(file.Account.ByHand, file.Job.Request),
            file.Job.ExtraHole,
            file is { Stock: { } stock, Work: null } ? BandWire.Of(stock) : null,
            progress.ClaspKept,
            progress.OtherClasp,
            progress.Awaited,
            progress.PlanAgreed,
            progress.StepsDone,
            progress.Steps,
            MayWire.Of(file));
    }
}
